#include <QGuiApplication>

#include "formats/photo_file.h"
#include "tests.h"

int main(int argc, char** argv)
{
    QGuiApplication app{argc, argv};
    sartorum::formats::limit_pictures();
    return sartorum::test::run();
}
