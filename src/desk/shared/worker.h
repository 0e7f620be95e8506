// worker.h: what runs off the interface's thread: one thing at a time, with its progress and a stop.
//
// What it throws becomes a refusal: no memory, or what could not be worked out. A worker that goes asks for the
// stop and waits for what it asked; what was done is then told to nobody. Work asks often whether it is still
// wanted.
#pragma once
#include <QObject>
#include <QPointer>
#include <QThread>
#include <atomic>
#include <exception>
#include <functional>
#include <new>

#include "core/units/refusal.h"

namespace sartorum::desk {

class Worker : public QObject {
    Q_OBJECT
public:
    // What the work is handed.
    class Going {
    public:
        explicit Going(Worker& by) : by_{by} {}
        [[nodiscard]] bool wanted() const { return !by_.stop_; }
        [[nodiscard]] const std::atomic<bool>& stop() const { return by_.stop_; }
        // Told to the interface; whether it is still wanted.
        bool progress(int done, int all) const;

    private:
        Worker& by_;
    };

    explicit Worker(QObject* parent) : QObject{parent} {}
    ~Worker() override;
    Worker(const Worker&) = delete;
    Worker& operator=(const Worker&) = delete;
    [[nodiscard]] bool busy() const { return thread_ != nullptr; }
    void stop() { stop_ = true; }

    // `done` runs on the interface's thread, when the worker may begin anew. Nothing is begun while it is busy.
    template <class T>
    void start(std::function<Outcome<T>(const Going&)> work, std::function<void(Outcome<T>)> done)
    {
        run([this, work = std::move(work), done = std::move(done)] {
            auto result = guarded<T>([&] { return work(Going{*this}); });
            QMetaObject::invokeMethod(this, [this, done, result = std::move(result)]() mutable {
                end();
                done(std::move(result));
            });
        });
    }

signals:
    void progressed(int done, int all);

private:
    template <class T, class Work>
    static Outcome<T> guarded(const Work& work)
    {
        try {
            return work();
        } catch (const std::bad_alloc&) {
            return refuse(Why::NoMemory);
        } catch (const std::exception&) {
            return refuse(Why::NotWorkedOut);
        }
    }
    void run(std::function<void()>);
    void end();
    QThread* thread_ = nullptr;
    std::atomic<bool> stop_ = false;
};

}  // namespace sartorum::desk
