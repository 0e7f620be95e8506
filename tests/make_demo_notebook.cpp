// make_demo_notebook FILE FOLDER: a notebook filled with the demo of that folder.
#include <QFile>
#include <QGuiApplication>

#include "desk/demo.h"
#include "notebook/notebook.h"

int main(int argc, char** argv)
{
    using namespace sartorum;
    const QGuiApplication app{argc, argv};
    const QStringList arguments = QCoreApplication::arguments();
    if (arguments.size() != 3) return 2;
    QFile::remove(arguments[1]);
    const auto book = notebook::Notebook::open(arguments[1]);
    return book && desk::fill_with_demo(**book, arguments[2]) ? 0 : 1;
}
