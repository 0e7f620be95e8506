// lock.h: who writes in a notebook: one window at a time. A file beside it, held by the kernel, so that a program
// that is killed lets go of it.
#pragma once
#include <memory>

#include "notebook/notebook.h"

namespace sartorum::notebook {

class Lock {
public:
    // Empty when another window holds it.
    [[nodiscard]] static Result<std::unique_ptr<Lock>> take(const QString& notebook);
    ~Lock();
    Lock(const Lock&) = delete;
    Lock& operator=(const Lock&) = delete;

private:
    Lock(QByteArray path, int fd) : path_{std::move(path)}, fd_{fd} {}
    QByteArray path_;
    int fd_;
};

}  // namespace sartorum::notebook
