#include "desk/shell/application.h"
#include "tests.h"

int main(int argc, char** argv)
{
    sartorum::desk::Application app{argc, argv};
    return sartorum::test::run();
}
