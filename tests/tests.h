// tests.h: how a test class joins its program.
#pragma once
#include <QObject>
#include <memory>
#include <string_view>
#include <vector>

namespace sartorum::test {

struct Entry {
    std::string_view name;
    std::unique_ptr<QObject> (*make)();
};

inline std::vector<Entry>& entries()
{
    static std::vector<Entry> all;
    return all;
}

template <class Class>
struct Joined {
    explicit Joined(std::string_view name)
    {
        entries().push_back({name, []() -> std::unique_ptr<QObject> { return std::make_unique<Class>(); }});
    }
};

// The classes of this program: all, or the one that is named first; `2/3` behind its name: the second of three
// parts of its functions. Needs an application.
[[nodiscard]] int run();

}  // namespace sartorum::test

#define SARTORUM_TEST(Class)                             \
    namespace {                                          \
    const sartorum::test::Joined<Class> joined_{#Class}; \
    }
