// failing_calls.h: the calls by which files are written, one of which fails. The linker puts them in the place of
// the kernel's (`--wrap`, tests/CMakeLists.txt) for what is linked into the program; what Qt itself calls is left
// alone.
#pragma once

namespace sartorum::test {

// The call of that number fails with this error, the ones before and after it do what they do; `ever_after`: those
// after it fail too. While it lives.
class FailingCall {
public:
    FailingCall(int which, int error, bool ever_after = false);
    ~FailingCall();
    FailingCall(const FailingCall&) = delete;
    FailingCall& operator=(const FailingCall&) = delete;
    [[nodiscard]] bool came() const;  // there was a call of that number
};

}  // namespace sartorum::test
