// How much a sewist types and presses from an empty notebook to a printed plan: each field typed, each key that
// acts and each click is one input.
#include <QClipboard>
#include <QGuiApplication>
#include <QLabel>
#include <QTest>

#include "desk/print/print_station.h"
#include "desk/tissue_hands.h"
#include "tests.h"

namespace test_inputs {

using namespace sartorum;
using namespace sartorum::test;

namespace {

class Hands {
public:
    explicit Hands(const Desk& d) : desk_{d} {}
    void press(const QString& text)
    {
        for (auto* b : desk_.window->findChildren<QAbstractButton*>()) {
            if (!b->isVisible() || b->text() != text) continue;
            QTest::mouseClick(b, Qt::LeftButton);
            ++inputs;
            return;
        }
        qFatal("no button %s", qPrintable(text));
    }
    void click(const char* name)
    {
        desk_.click(name);
        ++inputs;
    }
    void key(int k, Qt::KeyboardModifiers m = {})
    {
        desk_.key(k, m);
        ++inputs;
    }
    void type(const QString& text)
    {
        desk_.type(text);
        desk_.key(Qt::Key_Return);
        ++inputs;
    }
    int inputs = 0;

private:
    const Desk& desk_;
};

void write_name(Desk& d, Hands& hands)
{
    in_dialog([&](QWidget* w) {
        QTest::keyClicks(w->findChild<QLineEdit*>("wearer_name"), "Wilhelmine");
        QTest::keyClick(w->findChild<QLineEdit*>("wearer_name"), Qt::Key_Return);
        ++hands.inputs;
    });
    hands.press("Write a name");
    d.settle();
}

// The wearer, read twice where two readings are asked, once where it is a wish.
void write_wearer(Desk& d, Hands& hands, const QStringList& twice, const QStringList& once)
{
    write_name(d, hands);
    for (const auto& v : twice) {
        hands.type(v);
        hands.type(v);
    }
    for (const auto& v : once) hands.type(v);
}

void paste(Desk& d, Hands& hands, const QString& chart)
{
    QGuiApplication::clipboard()->setText(chart);
    in_dialog([&](QWidget* w) {
        QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        ++hands.inputs;
    });
    hands.key(Qt::Key_V, Qt::ControlModifier);
    d.settle();
}

// From an empty notebook to the tissue on the table: her measures, the chart pasted, what it is, how it is
// measured.
void begin_measuring_flat(Desk& d, Hands& hands, GarmentKind kind, int round,
                          const std::vector<std::pair<Measure, const char*>>& readings, const QString& chart)
{
    write_name(d, hands);
    emit d.find<Choices>("rounds")->picked(round);
    ++hands.inputs;
    auto* tape = d.window->findChild<TapeStation*>();
    for (const auto& [m, value] : readings) {
        tape->go_to(m);
        ++hands.inputs;
        hands.type(value);
        hands.type(value);
    }
    hands.key(Qt::Key_2, Qt::ControlModifier);
    paste(d, hands, chart);
    in_dialog([&](QWidget* w) {
        w->findChild<QComboBox*>("wear_kind")->setCurrentIndex(static_cast<int>(kind));
        QTest::mouseClick(w->findChild<QWidget*>("keep_wear"), Qt::LeftButton);
        hands.inputs += 2;
    });
    hands.click("wear");
    d.settle();
    hands.click("measure_flat");
}

void print_card(Desk& d, Hands& hands)
{
    QTemporaryDir out;
    hands.key(Qt::Key_6, Qt::ControlModifier);
    d.find<QLineEdit>("print_folder")->setText(out.path());  // it stands there already, at home
    QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
    hands.click("save_pages");
    QVERIFY(written.wait(30000));
}

}  // namespace

class TestInputs : public QObject {
    Q_OBJECT
private slots:
    void a_skirt_takes_thirty_inputs_at_most()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("skirt.sartorum"), false};
        Hands hands{d};
        write_wearer(d, hands, {"76.4", "102.9", "21.5"}, {"60"});
        QCOMPARE(d.window->current(), Station::Chart);
        paste(d, hands, "size,waist,hip,waist to hip\n38,72,98,20\n40,76,102,20.2\n42,80,106,20.4\n");
        QVERIFY(d.room->chart().has_value());
        hands.click("measure_flat");
        hands.type("Weir skirt");
        for (const char* line :
             {"21.4", "1", "20.2", "32", "58", "26.7", "1.8", "9", "22.4", "26.8", "2.8", "12", "3.5"})
            hands.type(line);
        QCOMPARE(QApplication::focusWidget()->objectName(), "draw_tissue");
        hands.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Plan);
        QVERIFY(d.room->computed().has_value());
        hands.click("accept_all");
        QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
        print_card(d, hands);
        qInfo("a skirt: %d inputs", hands.inputs);
        QVERIFY(hands.inputs <= 30);
    }
    void a_top_takes_its_number()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("top.sartorum"), false};
        Hands hands{d};
        // What a top goes by: high bust, bust and waist; the rest of its round can wait.
        begin_measuring_flat(d, hands, GarmentKind::Top, 1,
                             {{Measure::HighBust, "85.6"}, {Measure::Bust, "88.2"}, {Measure::Waist, "71.0"}},
                             "size,bust,waist\n38,84,66\n40,88,70\n42,92,74\n");
        hands.type("Weir bodice");
        for (const char* line :
             {"7.1",  "8.2", "12.2", "4.6",  "16.4", "24.9", "20.9", "2.9",  "22.5", "2.6", "44.6",
              "26.8", "9.3", "2.2",  "12.2", "0",    "4",    "17.4", "24.1", "21.7", "2.6", "41"})
            hands.type(line);
        hands.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Plan);
        QVERIFY(d.room->computed().has_value());
        hands.click("accept_all");
        print_card(d, hands);
        qInfo("a top: %d inputs", hands.inputs);
        QVERIFY(hands.inputs <= 46);
    }
    void a_dress_takes_its_number()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("dress.sartorum"), false};
        Hands hands{d};
        begin_measuring_flat(d, hands, GarmentKind::Dress, 2,
                             {{Measure::HighBust, "85.6"},
                              {Measure::Bust, "88.2"},
                              {Measure::Waist, "77.6"},
                              {Measure::Hip, "98.3"}},
                             "size,bust,waist,hip\n38,84,66,92\n40,88,70,96\n42,92,74,100\n");
        QCOMPARE(d.room->tissue()->kind, TissueKind::Dress);
        hands.type("Weir dress");
        for (const char* line :
             {"7.1",  "8.2", "12.2", "4.6", "16.4", "24.9", "20.9", "2.9",  "22.5", "2.6",  "44.6", "26.8",
              "9.3",  "2.2", "12.2", "0",   "4",    "17.4", "24.1", "21.7", "2.6",  "41",  // the bodice
              "21.7", "1",   "20.2", "32",  "62",   "26.7", "1.8",  "9",    "21.9", "26.8", "2.8",  "12"})
            hands.type(line);
        QCOMPARE(QApplication::focusWidget()->objectName(), "draw_tissue");
        hands.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Plan);
        QVERIFY(d.room->computed().has_value());
        hands.click("accept_all");
        // A wider waist, and the skirt with it, without a word from her.
        QVERIFY(d.line(AdjustmentKind::WidthAtWaist).state == LineState::Accepted);
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).by_itself);
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).state == LineState::Accepted);
        for (const auto& w : d.room->computed()->checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        print_card(d, hands);
        qInfo("a dress: %d inputs", hands.inputs);
        QVERIFY(hands.inputs <= 66);
    }
};
SARTORUM_TEST(TestInputs)

}  // namespace test_inputs

#include "test_inputs.moc"
