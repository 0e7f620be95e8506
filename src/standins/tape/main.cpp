// The stand-in tape as a program: a small window with a length and a button, or without a window by lines on its
// standard input ("length 846", "press", "quit"). docs/tape-protocol.md.
#include <QApplication>
#include <QCommandLineParser>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QPushButton>
#include <QSocketNotifier>
#include <QTextStream>
#include <QVBoxLayout>

#include "formats/tape_protocol.h"
#include "standins/tape/tape.h"

using namespace sartorum;
using namespace sartorum::standins;

namespace {

void follow_lines(Tape& tape, QObject* parent)
{
    auto* notifier = new QSocketNotifier{0, QSocketNotifier::Read, parent};
    QObject::connect(notifier, &QSocketNotifier::activated, parent, [&tape] {
        QTextStream in{stdin};
        const QStringList words = in.readLine().split(' ', Qt::SkipEmptyParts);
        if (words.isEmpty() || words[0] == "quit") return QCoreApplication::quit();
        if (words[0] == "press") tape.press();
        if (words[0] == "length" && words.size() == 2) tape.lay_round(Length::mm(words[1].toDouble()));
    });
}

void build_window(QWidget& window, Tape& tape, Length around)
{
    window.setWindowTitle(QObject::tr("A tape measure, simulated"));
    auto* column = new QVBoxLayout{&window};
    auto* length = new QDoubleSpinBox;
    length->setRange(10, 3000);
    length->setDecimals(1);
    length->setSuffix(" mm");
    length->setValue(around.in_mm());
    length->setAccessibleName(QObject::tr("What the tape is laid round"));
    auto* press = new QPushButton{QObject::tr("Take the reading")};
    auto* state = new QLabel{QObject::tr("No desk is connected yet.")};
    column->addWidget(new QLabel{QObject::tr("Laid round")});
    column->addWidget(length);
    column->addWidget(press);
    column->addWidget(state);
    QObject::connect(length, &QDoubleSpinBox::valueChanged, &tape,
                     [&tape](double mm) { tape.lay_round(Length::mm(mm)); });
    QObject::connect(press, &QPushButton::clicked, &tape, [&tape] { tape.press(); });
    QObject::connect(&tape, &Tape::desk_came, state,
                     [state] { state->setText(QObject::tr("The desk is listening.")); });
    QObject::connect(&tape, &Tape::desk_went, state,
                     [state] { state->setText(QObject::tr("The desk has gone.")); });
}

}  // namespace

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    QCommandLineParser parser;
    parser.setApplicationDescription("A simulated digital tape measure.");
    parser.addHelpOption();
    parser.addOption({"socket", "local socket to wait on", "path", formats::usual_tape_socket()});
    parser.addOption({"length", "what it is laid round, mm", "mm", "846"});
    parser.addOption({"noise", "standard deviation of a reading, mm", "mm", "2"});
    parser.addOption({"stretch", "true length per shown length", "factor", "1.0"});
    parser.addOption({"seed", "of the noise", "number", "1"});
    parser.addOption({"lines", "no window: follow lines on the standard input"});
    parser.process(app);
    const double stretch = parser.value("stretch").toDouble();
    if (stretch < 0.9 || stretch > 1.1) {
        QTextStream{stderr} << "--stretch must lie between 0.9 and 1.1\n";
        return 2;
    }
    const TapeWays ways{Length::mm(parser.value("length").toDouble()),
                        Length::mm(parser.value("noise").toDouble()), stretch, parser.value("seed").toUInt()};
    Tape tape{ways};
    if (!tape.listen(parser.value("socket"))) {
        QTextStream{stderr} << parser.value("socket") << " cannot be listened on\n";
        return 1;
    }
    QWidget window;
    if (parser.isSet("lines")) {
        follow_lines(tape, &app);
        QTextStream{stdout} << "ready\n" << Qt::flush;
    } else {
        build_window(window, tape, ways.around);
        window.show();
    }
    return QApplication::exec();
}
