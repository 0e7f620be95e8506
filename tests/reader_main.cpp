#include <QGuiApplication>

#include "tests.h"

int main(int argc, char** argv)
{
    QGuiApplication app{argc, argv};
    return sartorum::test::run();
}
