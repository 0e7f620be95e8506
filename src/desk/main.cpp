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

#include "desk/demo.h"
#include "desk/window.h"

using namespace sartorum;

namespace {

class QuitWhenPainted : public QObject {
protected:
    bool eventFilter(QObject* watched, QEvent* e) override
    {
        if (e->type() == QEvent::Paint) QTimer::singleShot(0, qApp, &QApplication::quit);
        return QObject::eventFilter(watched, e);
    }
};

}  // namespace

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    QApplication::setApplicationName("sartorum");
    QApplication::setApplicationDisplayName("Sartorum");
    QApplication::setApplicationVersion(SARTORUM_VERSION);
    QApplication::setStyle("Fusion");
    QApplication::setWindowIcon(QIcon{":/sartorum.svg"});
    desk::load_fonts();

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
    auto book = notebook::Notebook::open(path);
    if (!book) {
        const QString text = QFileInfo{path}.fileName() + ": " + desk::trouble_text(book.error());
        QTextStream{stderr} << text << "\n";
        QMessageBox::warning(nullptr, "Sartorum", text);
        return 1;
    }
    if (parser.isSet("demo") && !desk::fill_with_demo(**book, parser.value("demo"))) {
        QTextStream{stderr} << "The demo could not be laid out from " << parser.value("demo") << "\n";
        return 1;
    }
    desk::Look look;
    desk::Room room{std::move(*book), [] { return QDate::currentDate(); }, desk::Room::Reading::Later};
    desk::Window window{look, room};
    // For the benchmark of starting: ends once the first window stands painted.
    QuitWhenPainted quit;
    if (qEnvironmentVariableIsSet("SARTORUM_QUIT_WHEN_PAINTED")) window.installEventFilter(&quit);
    window.show();
    return QApplication::exec();
}
