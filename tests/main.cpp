// Runs the test classes of one program: all, or the one that is named first.
#include <QTest>
#include <cstdio>

#include "tests.h"
#include SARTORUM_APPLICATION_HEADER

int main(int argc, char** argv)
{
    SARTORUM_APPLICATION app{argc, argv};
    QStringList arguments = QCoreApplication::arguments();
    const std::string wanted = arguments.value(1).startsWith("Test") ? arguments.takeAt(1).toStdString() : "";
    int failed = 0;
    int ran = 0;
    for (const auto& entry : sartorum::test::entries()) {
        if (!wanted.empty() && entry.name != wanted) continue;
        failed += QTest::qExec(entry.make().get(), arguments) != 0;
        ++ran;
    }
    if (ran == 0) std::fprintf(stderr, "no test class %s here\n", wanted.c_str());
    return failed != 0 || ran == 0;
}
