#include <QMetaMethod>
#include <QRegularExpression>
#include <QTest>
#include <cstdio>

#include "tests.h"

namespace sartorum::test {
namespace {

// One of several parts of a class; of 1: all of it.
struct Part {
    int which = 1;
    int of = 1;
};

Part taken_part(QStringList& arguments)
{
    static const QRegularExpression form{"^([1-9]\\d*)/([1-9]\\d*)$"};
    const auto m = form.match(arguments.value(1));
    if (!m.hasMatch()) return {};
    arguments.removeAt(1);
    return {m.captured(1).toInt(), m.captured(2).toInt()};
}

// Every function of the class stands in one part: they are dealt out in turn.
QStringList functions_of(const QObject& test, Part part)
{
    const QStringList helpers{"initTestCase", "cleanupTestCase", "init", "cleanup"};
    QStringList out;
    int n = 0;
    const auto* meta = test.metaObject();
    for (int i = meta->methodOffset(); i < meta->methodCount(); ++i) {
        const auto m = meta->method(i);
        const QString name = QString::fromLatin1(m.name());
        const bool is_test = m.methodType() == QMetaMethod::Slot && m.access() == QMetaMethod::Private &&
                             m.parameterCount() == 0 && !name.endsWith("_data") && !helpers.contains(name);
        if (is_test && n++ % part.of == part.which - 1) out << name;
    }
    return out;
}

}  // namespace

int run()
{
    QStringList arguments = QCoreApplication::arguments();
    const std::string wanted = arguments.value(1).startsWith("Test") ? arguments.takeAt(1).toStdString() : "";
    const Part part = taken_part(arguments);
    int failed = 0;
    int ran = 0;
    for (const auto& entry : entries()) {
        if (!wanted.empty() && entry.name != wanted) continue;
        const auto test = entry.make();
        const QStringList functions = part.of > 1 ? functions_of(*test, part) : QStringList{};
        if (part.of > 1 && functions.isEmpty()) continue;
        failed += QTest::qExec(test.get(), arguments + functions) != 0;
        ++ran;
    }
    if (ran == 0) std::fprintf(stderr, "no test class %s here\n", wanted.c_str());
    return failed != 0 || ran == 0;
}

}  // namespace sartorum::test
