// Starts the desk. docs/cli.md lists what may be said on the command line.
#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QFileInfo>
#include <QIcon>
#include <QMessageBox>
#include <QStandardPaths>
#include <QTextStream>
#include <QTimer>
#include <memory>

#include "desk/demo.h"
#include "desk/window.h"

using namespace sartorum;

namespace {

// Everything between the bare window and the work: fonts, the notebook, the room.
std::unique_ptr<desk::Room> open_room(const QString& path, const QString& demo)
{
    desk::load_fonts();
    auto book = notebook::Notebook::open(path);
    if (!book) {
        const QString text = QFileInfo{path}.fileName() + ": " + desk::trouble_text(book.error());
        QTextStream{stderr} << text << "\n";
        QMessageBox::warning(nullptr, "Sartorum", text);
        return nullptr;
    }
    if (!demo.isEmpty() && !desk::fill_with_demo(**book, demo)) {
        QTextStream{stderr} << "The demo could not be laid out from " << demo << "\n";
        return nullptr;
    }
    return std::make_unique<desk::Room>(std::move(*book), [] { return QDate::currentDate(); });
}

}  // namespace

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    QApplication::setApplicationName("sartorum");
    QApplication::setApplicationDisplayName("Sartorum");
    QApplication::setApplicationVersion(SARTORUM_VERSION);
    QApplication::setStyle("Fusion");
    QCommandLineParser parser;
    parser.setApplicationDescription("Fit a paper pattern to a person.");
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument("notebook", "the notebook to open; made when it is not there");
    parser.addOption({"demo", "fill an empty notebook from this folder", "folder"});
    parser.process(app);

    QString path = parser.positionalArguments().value(0);
    if (path.isEmpty()) {
        const QString dir = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
        QDir{}.mkpath(dir);
        path = QDir{dir}.filePath("notebook.sartorum");
    }
    desk::Look look;
    std::unique_ptr<desk::Room> room;
    desk::Window window{look};
    // The window stands first; the work is laid into it in the next moment. The benchmark of starting ends at
    // either point.
    const QByteArray end = qgetenv("SARTORUM_QUIT_WHEN");
    const auto furnish = [&] {
        room = open_room(path, parser.value("demo"));
        if (!room) return QApplication::exit(1);
        QApplication::setWindowIcon(QIcon{":/sartorum.svg"});
        window.furnish(*room);
        if (end == "furnished") QTimer::singleShot(0, qApp, &QApplication::quit);
    };
    QObject::connect(&window, &desk::Window::first_painted, &window, [&] {
        if (end == "painted") return QTimer::singleShot(0, qApp, &QApplication::quit);
        QTimer::singleShot(0, &window, furnish);
    });
    window.show();
    return QApplication::exec();
}
