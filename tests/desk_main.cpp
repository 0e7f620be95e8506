#include "desk/shell/application.h"
#include "formats/photo_file.h"
#include "tests.h"

int main(int argc, char** argv)
{
    sartorum::desk::Application app{argc, argv};
    sartorum::formats::limit_pictures();
    return sartorum::test::run();
}
