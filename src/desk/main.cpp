// Starts the desk. docs/cli.md lists what may be said on the command line.
#include <QCommandLineParser>
#include <QDir>
#include <QFileInfo>
#include <QIcon>
#include <QMessageBox>
#include <QProcess>
#include <QPushButton>
#include <QScreen>
#include <QStandardPaths>
#include <QTextStream>
#include <QTimer>
#include <csignal>
#include <memory>

#include "desk/demo.h"
#include "desk/shell/application.h"
#include "desk/shell/settings.h"
#include "desk/window.h"
#include "formats/photo_file.h"
#include "notebook/copies.h"

using namespace sartorum;

namespace {

// The newest copy takes the notebook's place; where it cannot, why is said. Whether it did.
bool went_back(const QString& path)
{
    const auto copies = notebook::daily_copies(path, QDate::currentDate());
    if (copies.empty()) return false;
    const auto kept = notebook::go_back_to(path, copies.front(), QDate::currentDate());
    if (kept) return true;
    const QString text = QMessageBox::tr("The copy of %1 could not take the notebook's place. %2")
                             .arg(copies.front().day.toString(Qt::ISODate), desk::trouble_text(kept.error()));
    QTextStream{stderr} << text << "\n";
    QMessageBox{QMessageBox::Warning, "Sartorum", text, QMessageBox::Close}.exec();
    return false;
}

// What keeps the notebook from opening, said in a sentence; where a copy of it is at hand, going back is offered.
// Whether it is worth trying again.
bool try_again(const QString& path, const notebook::Failure& failure)
{
    const QString text = QFileInfo{path}.fileName() + ": " + desk::trouble_text(failure);
    QTextStream{stderr} << text << "\n";
    const auto copies = notebook::daily_copies(path, QDate::currentDate());
    QMessageBox box{QMessageBox::Warning, "Sartorum", text, QMessageBox::NoButton};
    auto* close = box.addButton(QMessageBox::tr("Close"), QMessageBox::RejectRole);
    if (failure.trouble != notebook::Trouble::Damaged || copies.empty()) {
        box.exec();
        return false;
    }
    auto* back =
        box.addButton(QMessageBox::tr("Go back to the copy of %1").arg(copies.front().day.toString(Qt::ISODate)),
                      QMessageBox::AcceptRole);
    box.setInformativeText(QMessageBox::tr("The damaged file is kept beside it."));
    box.setDefaultButton(close);
    box.exec();
    return box.clickedButton() == back && went_back(path);
}

// Everything between the bare window and the work: fonts, the notebook, the room.
std::unique_ptr<desk::Room> open_room(const QString& path, const QString& demo)
{
    desk::load_fonts();
    auto book = notebook::Notebook::open(path);
    while (!book && try_again(path, book.error())) book = notebook::Notebook::open(path);
    if (!book) return nullptr;
    if (!demo.isEmpty() && !(*book)->looks_only() && !desk::fill_with_demo(**book, demo)) {
        QTextStream{stderr} << "The demo could not be laid out from " << demo << "\n";
        return nullptr;
    }
    return std::make_unique<desk::Room>(std::move(*book), [] { return QDate::currentDate(); });
}

}  // namespace

int main(int argc, char** argv)
{
    // A pipe or a size limit is said by the call that met it, and ends nothing.
    std::signal(SIGPIPE, SIG_IGN);
    std::signal(SIGXFSZ, SIG_IGN);
    desk::Application app{argc, argv};
    formats::limit_pictures();
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
    desk::Settings settings{QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation) + "/settings.ini"};
    settings.follow(look);
    std::unique_ptr<desk::Room> room;
    desk::Window window{look};
    window.keep_settings(settings);
    // The window stands first; the work is laid into it in the next moment. The benchmark of starting ends at
    // either point.
    const QByteArray end = qgetenv("SARTORUM_QUIT_WHEN");
    const auto furnish = [&] {
        room = open_room(path, parser.value("demo"));
        if (!room) return QApplication::exit(1);
        QApplication::setWindowIcon(QIcon{":/sartorum.svg"});
        window.furnish(*room);
        window.fit(window.screen()->availableGeometry());
        if (end == "furnished") return QTimer::singleShot(0, qApp, &QApplication::quit);
        window.look_after_the_notebook();
    };
    QObject::connect(&app, &desk::Application::failed, &window,
                     [&](const QString& sentence) { window.tell(sentence, sentence); });
    // The window goes with what it showed, the copy takes the notebook's place, and the program starts anew on it.
    QObject::connect(
        &window, &desk::Window::going_back_wanted, &app,
        [&] {
            QStringList arguments = QCoreApplication::arguments().mid(1);
            window.close();
            room.reset();
            if (went_back(path)) QProcess::startDetached(QCoreApplication::applicationFilePath(), arguments);
            QApplication::quit();
        },
        Qt::QueuedConnection);
    QObject::connect(
        &window, &desk::Window::elsewhere_wanted, &app,
        [&](const QString& there) {
            window.close();
            room.reset();
            QProcess::startDetached(QCoreApplication::applicationFilePath(), {there});
            QApplication::quit();
        },
        Qt::QueuedConnection);
    QObject::connect(&window, &desk::Window::first_painted, &window, [&] {
        if (end == "painted") return QTimer::singleShot(0, qApp, &QApplication::quit);
        QTimer::singleShot(0, &window, furnish);
    });
    window.fit(QGuiApplication::primaryScreen()->availableGeometry());
    window.show();
    return QApplication::exec();
}
