#include "desk/shared/worker.h"

#include <utility>

namespace sartorum::desk {

bool Worker::Going::progress(int done, int all) const
{
    QMetaObject::invokeMethod(&by_, [by = &by_, done, all] { emit by->progressed(done, all); });
    return wanted();
}

Worker::~Worker()
{
    stop();
    end();
}

void Worker::run(std::function<void()> work)
{
    if (busy()) return;
    stop_ = false;
    thread_ = QThread::create(std::move(work));
    thread_->start();
}

void Worker::end()
{
    if (!thread_) return;
    thread_->wait();
    delete std::exchange(thread_, nullptr);
}

}  // namespace sartorum::desk
