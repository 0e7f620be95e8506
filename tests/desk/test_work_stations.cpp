// Plan, Paper, Print and the shell, through the real window: each key and control once, and what it must change.
#include <QComboBox>
#include <QLabel>
#include <QPointer>

#include "desk/desk_fixture.h"
#include "desk/paper/paper_station.h"
#include "desk/plan/plan_station.h"
#include "desk/print/print_station.h"
#include "tests.h"
#include "words/words.h"

namespace test_work_stations {

using namespace sartorum;
using namespace sartorum::test;

namespace {

// The demo's skirt with its sizes chosen and everything proposed accepted.
void lay_ready(Desk& d)
{
    d.room->choose(d.room->advice()->choice);
    for (const auto kind :
         {AdjustmentKind::WaistToHip, AdjustmentKind::WidthAtHip, AdjustmentKind::FinishedLength})
        d.room->decide(kind, Answer::Accepted, {});
}

QWidget* picture_of(const Desk& d, const char* name)
{
    for (auto* w : d.window->findChildren<QWidget*>()) {
        if (w->isVisible() && w->accessibleName() == QLatin1String{name}) return w;
    }
    return nullptr;
}

bool shows(const Desk& d, const QString& text)
{
    for (auto* l : d.window->findChildren<QLabel*>()) {
        if (l->isVisible() && l->text().contains(text)) return true;
    }
    return false;
}

}  // namespace

class TestWorkStations : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void cards_are_walked_flipped_and_nudged_by_keys()
    {
        Desk d{at(), true};
        d.room->choose(d.room->advice()->choice);
        d.window->go_to(Station::Plan);
        d.key(Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
        const Length proposed = d.line(AdjustmentKind::WaistToHip).amount;
        d.key(Qt::Key_Minus);
        QVERIFY(d.line(AdjustmentKind::WaistToHip).amount < proposed);
        QVERIFY(d.line(AdjustmentKind::WaistToHip).own_amount);
        d.key(Qt::Key_Plus);
        QVERIFY(is_near(d.line(AdjustmentKind::WaistToHip).amount, proposed, Length::mm(1e-9)));
        d.key(Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Declined);
        d.key(Qt::Key_Down);
        d.key(Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::WidthAtHip).state == LineState::Accepted);
        d.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Paper);
    }
    void an_amount_the_paper_does_not_carry_stays_and_says_why()
    {
        Desk d{at(), true};
        d.room->choose(d.room->advice()->choice);
        d.window->go_to(Station::Plan);
        d.key(Qt::Key_A);
        auto* field = static_cast<QLineEdit*>(QApplication::focusWidget());
        QCOMPARE(field->objectName(), QString{"amount_waist_to_hip"});
        for (const char* text : {"80 cm", "a lot", "1,000 mm"}) {
            field->setFocus();
            field->selectAll();
            d.type(text);
            d.key(Qt::Key_Return);
            QCOMPARE(field->text(), QString{text});
            QVERIFY(field->property("wrong").toBool());
            QVERIFY(d.line(AdjustmentKind::WaistToHip).state != LineState::Refused);
        }
        field->setFocus();
        field->selectAll();
        d.type("-1/2");
        d.key(Qt::Key_Return);
        QVERIFY(is_near(d.line(AdjustmentKind::WaistToHip).amount, Length::cm(-0.5), Length::mm(1e-9)));
    }
    void a_stale_measure_is_told_on_its_card()
    {
        Desk d{at(), true, {2027, 3, 1}};
        d.room->choose(d.room->advice()->choice);
        QVERIFY(d.room->stale_under(AdjustmentKind::WidthAtHip).has_value());
        QVERIFY(!d.room->stale_under(AdjustmentKind::HemGivenBack).has_value());
        d.window->go_to(Station::Plan);
        QVERIFY(!d.window->grab().isNull());
    }
    void the_profile_speaks_the_ease_it_draws()
    {
        Desk d{at(), true};
        lay_ready(d);
        d.window->go_to(Station::Plan);
        d.key(Qt::Key_R);
        auto* profile = picture_of(d, "Room all the way down");
        QVERIFY(profile);
        const auto flat = d.room->computed()->altered_flat;
        const Length ease = flat.of(GarmentMeasure::Waist) - d.room->body().taken(Measure::Waist)->value;
        QVERIFY2(profile->accessibleDescription().contains(words::number(ease, Unit::Centimetre)),
                 qPrintable(profile->accessibleDescription()));
    }
    void steps_are_walked_and_every_step_stands_in_both_themes()
    {
        Desk d{at(), true};
        lay_ready(d);
        d.window->go_to(Station::Paper);
        auto* canvas = picture_of(d, "Pattern pieces on squared paper");
        QVERIFY(canvas);
        const int last = static_cast<int>(d.room->computed()->steps.size()) - 1;
        QSet<QString> said;
        for (int i = 0; i <= last; ++i) {
            d.room->go_to_step(i);
            d.look.set_night(i % 2 == 1);
            QVERIFY(!canvas->grab().isNull());
            said << canvas->accessibleDescription();
        }
        QVERIFY(said.size() > 8);
        d.room->go_to_step(last + 5);  // there is none
        QCOMPARE(d.room->step(), last);
        d.room->go_to_step(-1);
        QCOMPARE(d.room->step(), last);
    }
    void the_views_zoom_and_measures_change_the_picture()
    {
        Desk d{at(), true};
        lay_ready(d);
        d.room->go_to_step(5);
        d.window->go_to(Station::Paper);
        auto* canvas = picture_of(d, "Pattern pieces on squared paper");
        auto* station = d.window->findChild<PaperStation*>();
        const auto picture = [&] { return canvas->grab().toImage(); };
        QTest::qWait(250);  // the paper slides into place
        QImage before = picture();
        for (const auto key : {Qt::Key_M, Qt::Key_Plus, Qt::Key_O, Qt::Key_Z, Qt::Key_F}) {
            QTest::keyClick(station, key);
            QTest::qWait(250);
            const QImage after = picture();
            QVERIFY2(after != before, qPrintable(QKeySequence{key}.toString()));
            before = after;
        }
        QTest::keyClick(station, Qt::Key_K);
        QCOMPARE(QApplication::focusWidget()->accessibleName(), QString{"Walk the seams"});
        QVERIFY(QApplication::focusWidget()->accessibleDescription().contains("Side seam"));
    }
    void print_needs_a_place_and_says_so()
    {
        Desk d{at(), true};
        lay_ready(d);
        d.window->go_to(Station::Print);
        auto* folder = d.find<QLineEdit>("print_folder");
        folder->setText("/proc/nowhere");
        d.click("save_svg");
        QVERIFY(shows(d, "annot be written") || shows(d, "folder"));
        folder->setText(dir_.path());
        d.click("save_svg");
        QVERIFY(QFile::exists(dir_.filePath("Ottilie-Lockside-skirt.svg")));
    }
    void every_kind_of_page_is_written()
    {
        Desk d{at(), true};
        lay_ready(d);
        d.window->go_to(Station::Print);
        QTemporaryDir out;
        d.find<QLineEdit>("print_folder")->setText(out.path());
        auto* kinds = d.find<Choices>("print_kind");
        auto* station = d.window->findChild<PrintStation*>();
        for (int i = 0; i < 6; ++i) {
            kinds->setFocus();
            if (i > 0) d.key(Qt::Key_Right);
            QSignalSpy written{station, &PrintStation::written};
            d.click("save_pages");
            QVERIFY(written.wait(30000));
        }
        const auto files = QDir{out.path()}.entryList({"*.pdf"});
        QCOMPARE(files.size(), 6);
        for (const auto& f : files) {
            QFile file{out.filePath(f)};
            QVERIFY(file.open(QIODevice::ReadOnly));
            QCOMPARE(file.read(5), QByteArray{"%PDF-"});
        }
    }
    void undo_in_the_docket_names_the_act()
    {
        Desk d{at(), true};
        d.room->choose(d.room->advice()->choice);
        d.room->decide(AdjustmentKind::WaistToHip, Answer::Accepted, {});
        QCOMPARE(d.find("undo")->accessibleName(), QString{"Undo: Waist to hip"});
        d.click("undo");
        QCOMPARE(d.find("redo")->accessibleName(), QString{"Redo: Waist to hip"});
        QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Proposed);
    }
    void units_theme_and_text_size_have_their_keys()
    {
        Desk d{at(), true};
        d.window->setFocus();
        d.key(Qt::Key_U, Qt::ControlModifier);
        QCOMPARE(d.look.unit(), Unit::Inch);
        d.key(Qt::Key_F8);
        QVERIFY(d.look.night());
        d.key(Qt::Key_Plus, Qt::ControlModifier);
        QVERIFY(d.look.scale() > 1.05);
        d.key(Qt::Key_0, Qt::ControlModifier);
        QCOMPARE(d.look.scale(), 1.0);
        for (int i = 0; i < 20; ++i) d.key(Qt::Key_Plus, Qt::ControlModifier);
        QCOMPARE(d.look.scale(), 1.5);
        for (int i = 0; i < 20; ++i) d.key(Qt::Key_Minus, Qt::ControlModifier);
        QCOMPARE(d.look.scale(), 0.9);
    }
    void f6_goes_from_part_to_part()
    {
        Desk d{at(), true};
        d.window->go_to(Station::Chart);
        d.key(Qt::Key_F6);
        QCOMPARE(QApplication::focusWidget()->objectName(), QString{"docket_wearer"});
        d.key(Qt::Key_F6);
        QCOMPARE(QApplication::focusWidget()->objectName(), QString{"station_2"});
        d.key(Qt::Key_F6);
        QCOMPARE(d.window->current(), Station::Chart);
        QVERIFY(QApplication::focusWidget() != nullptr);
    }
    void wearers_and_patterns_are_chosen_from_the_docket()
    {
        Desk d{at(), true};
        d.click("docket_wearer");
        auto* menu = d.window->findChild<QMenu*>("wearer_menu");
        QVERIFY(menu);
        bool bram = false;
        for (auto* a : menu->actions()) {
            if (a->text() == "Bram") {
                a->trigger();
                bram = true;
                break;
            }
        }
        QVERIFY(bram);
        QCOMPARE(d.room->wearer_name(), "Bram");
        menu->close();
        d.click("docket_pattern");
        auto* patterns = d.window->findChild<QMenu*>("pattern_menu");
        QVERIFY(patterns);
        for (auto* a : patterns->actions()) {
            if (a->text() == "Work by the chart alone") {
                a->trigger();
                break;
            }
        }
        QVERIFY(!d.room->pattern());
        QVERIFY(d.room->chart());
        patterns->close();
    }
    void stations_without_what_they_need_say_what_is_missing()
    {
        Desk d{at(), false};
        for (int i = 0; i < desk_station_count; ++i) {
            d.window->go_to(static_cast<Station>(i));
            QVERIFY(!d.window->grab().isNull());
            bool said = false;
            for (auto* l : d.window->findChildren<QLabel*>())
                said = said || (l->isVisible() && l->text().size() > 20);
            QVERIFY(said);
        }
    }
    void the_window_stands_bare_until_it_is_furnished()
    {
        Look look;
        auto book = notebook::Notebook::open(at());
        Room room{std::move(*book), [] { return QDate{2026, 11, 23}; }};
        Window window{look};
        QSignalSpy painted{&window, &Window::first_painted};
        window.show();
        QVERIFY(painted.wait(5000));
        QVERIFY(!window.findChild<QWidget*>("foot"));
        window.furnish(room);
        QTest::qWait(50);
        QVERIFY(window.findChild<QWidget*>("foot"));
        QCOMPARE(painted.size(), 1);
    }
};
SARTORUM_TEST(TestWorkStations)

}  // namespace test_work_stations

#include "test_work_stations.moc"
