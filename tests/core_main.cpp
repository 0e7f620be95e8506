#include <QCoreApplication>

#include "tests.h"

int main(int argc, char** argv)
{
    QCoreApplication app{argc, argv};
    return sartorum::test::run();
}
