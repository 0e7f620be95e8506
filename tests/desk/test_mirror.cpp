// The Mirror in the real window: from the printed toile sheet through sights, test and accepted change to the
// second toile and the gate; by keys, and by mouse.
#include <QDir>
#include <QImage>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QPainter>
#include <QProcess>
#include <QSignalSpy>

#include "desk/mirror/causes_view.h"
#include "desk/mirror/mirror_station.h"
#include "desk/mirror/photo_face.h"
#include "desk/mirror/toile_figure.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "desk/print/tile_map.h"
#include "formats/try_on_json.h"
#include "near.h"
#include "tests.h"

namespace test_mirror {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

MirrorStation& mirror(const Desk& d)
{
    return *d.window->findChild<MirrorStation*>();
}

const MirrorState& state(const Desk& d)
{
    return mirror(d).state();
}

QString said(const Desk& d, const char* name)
{
    return d.find<QLabel>(name)->text();
}

QString text_of(const QString& pdf)
{
    QProcess p;
    p.start("pdftotext", {"-layout", pdf, "-"});
    if (!p.waitForFinished()) qFatal("no pdftotext");
    return QString::fromUtf8(p.readAllStandardOutput()).simplified();
}

// From the list, by a few letters.
void note_by_keys(Desk& d, const QString& letters)
{
    in_dialog([&](QWidget* sheet) {
        auto* search = sheet->findChild<QLineEdit*>("sight_search");
        QTest::keyClicks(search, letters);
        QTest::keyClick(search, Qt::Key_Return);
    });
    mirror(d).setFocus();
    d.key(Qt::Key_N);
    d.settle();
}

void begin_by_keys(Desk& d, const QString& day)
{
    in_dialog([&](QWidget* sheet) {
        auto* field = sheet->findChild<QLineEdit*>("try_on_day");
        field->selectAll();
        QTest::keyClicks(field, day);
        QTest::keyClicks(sheet->findChild<QLineEdit*>("try_on_cloth"), "calico");
        QTest::keyClick(sheet->findChild<QLineEdit*>("try_on_cloth"), Qt::Key_Return);  // as on any sheet
    });
    mirror(d).setFocus();
    d.key(Qt::Key_B);
    d.settle();
}

void type_into(const Desk& d, const char* field, const QString& text)
{
    auto* edit = d.find<QLineEdit>(field);
    edit->setFocus();
    edit->selectAll();
    d.type(text);
    d.key(Qt::Key_Return);
}

std::vector<AdjustmentKind> told(const Desk& d)
{
    std::vector<AdjustmentKind> out;
    for (const auto& c : state(d).causes()) {
        if (c.ranked.cause) out.push_back(c.ranked.cause->cause.kind);
    }
    return out;
}

QString photo_file(const QTemporaryDir& dir)
{
    QImage picture{900, 1200, QImage::Format_RGB32};
    picture.fill(QColor{"#e6dfd3"});
    QPainter{&picture}.fillRect(350, 200, 200, 800, QColor{"#b0a090"});
    const QString path = dir.filePath("try-on.png");
    if (!picture.save(path)) qFatal("no picture");
    return path;
}

}  // namespace

class TestMirror : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int n_ = 0;
    QString at() { return dir_.filePath(QString{"mirror-%1.sartorum"}.arg(n_++)); }

private slots:
    void from_the_toile_sheet_to_the_gate_by_keys()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.key(Qt::Key_5, Qt::ControlModifier);
        QCOMPARE(d.window->current(), Station::Mirror);
        // Nobody has worn it: the sheet first.
        mirror(d).show();
        auto* sheet = [&] {
            for (auto* b : d.window->findChildren<Button*>()) {
                if (b->isVisible() && b->text() == "The toile sheet") return b;
            }
            qFatal("no way to the sheet");
        }();
        sheet->setFocus();
        d.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Print);
        QCOMPARE(d.find<Choices>("print_kind")->chosen(), 5);
        QTemporaryDir out;
        d.find<QLineEdit>("print_folder")->setText(out.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.find("save_pages")->setFocus();
        d.key(Qt::Key_Return);
        QVERIFY(written.wait(30000));
        const QString page = text_of(written.first().first().toString());
        for (const char* line : {"Shoulders and one sleeve", "Bust line", "Across line", "Upper arm line",
                                 "long stitches", "Pin along the body", "front, neck end"})
            QVERIFY2(page.contains(line), line);
        // The map of the toile's pieces shows the lines that are drawn on the cloth, the pattern's does not.
        const auto show_kind = [&](int kind) {
            auto* kinds = d.find<Choices>("print_kind");
            kinds->setFocus();
            while (kinds->chosen() != kind) d.key(kinds->chosen() < kind ? Qt::Key_Right : Qt::Key_Left);
        };
        const auto lines_on_map = [&] {
            const QImage seen = d.window->findChild<TileMap*>()->grab().toImage();
            int n = 0;
            for (int y = 0; y < seen.height(); ++y)
                for (int x = 0; x < seen.width(); ++x) {
                    const QColor c = seen.pixelColor(x, y);
                    n += c.red() - c.blue() > 70 && c.red() < 200;
                }
            return n;
        };
        show_kind(4);
        QTRY_VERIFY(lines_on_map() > 300);
        show_kind(0);
        QTRY_COMPARE(lines_on_map(), 0);
        // Sewn, put on, looked at.
        d.key(Qt::Key_5, Qt::ControlModifier);
        begin_by_keys(d, "2026-11-14");
        QVERIFY(state(d).here());
        QCOMPARE(state(d).entry().date, std::string{"2026-11-14"});
        QVERIFY(said(d, "toile_detail").contains("calico"));
        note_by_keys(d, "slant neck under");
        QCOMPARE(state(d).notes().size(), std::size_t{1});
        QCOMPARE(state(d).notes()[0].seen.sight, Sight::FoldsNeckToUnderarm);
        note_by_keys(d, "stands up tip");
        QCOMPARE(told(d).front(), ShoulderSlope);
        // The test that tells, answered with what was pinched.
        QVERIFY(state(d).next() && state(d).next()->test == SmallTest::PinchTips);
        mirror(d).setFocus();
        d.key(Qt::Key_T);
        QCOMPARE(QApplication::focusWidget()->objectName(), QString{"pinched"});
        d.type("0.9");
        d.find("test_yes")->setFocus();
        d.key(Qt::Key_Return);
        QCOMPARE(state(d).entry().answers.size(), std::size_t{1});
        QCOMPARE(*state(d).entry().answers[0].pinched, Length::mm(9));
        QVERIFY(said(d, "tests_done").contains("Yes"));
        // Accepted, as it was seen.
        const Length pinched = state(d).causes()[0].put.after;
        QVERIFY(pinched < Length{});
        mirror(d).setFocus();
        d.key(Qt::Key_C);
        d.key(Qt::Key_Return);
        QVERIFY(is_near(d.line(ShoulderSlope).amount, pinched, Length::mm(1e-6)));
        QCOMPARE(d.line(ShoulderSlope).seen_on, std::string{"2026-11-14"});
        QVERIFY(said(d, "cause_said").contains("in the plan"));
        QVERIFY(said(d, "gate_moved").contains("Shoulder slope"));
        d.window->go_to(Station::Plan);
        QVERIFY(
            map_of(d).tag_of(ShoulderSlope)->accessibleDescription().contains("seen on the toile of 14 November"));
        // The second toile: what was seen is asked again.
        d.key(Qt::Key_5, Qt::ControlModifier);
        begin_by_keys(d, "2026-11-21");
        QCOMPARE(state(d).number(), 2);
        QCOMPARE(state(d).notes().size(), std::size_t{2});
        QVERIFY(state(d).waits(0) && state(d).waits(1));
        mirror(d).setFocus();
        d.key(Qt::Key_1);
        auto* again = d.find<Choices>("note_again");
        again->setFocus();
        d.key(Qt::Key_Right);
        QVERIFY(!state(d).notes()[0].here());  // gone
        QVERIFY(state(d).waits(1));
        mirror(d).setFocus();
        d.key(Qt::Key_2);
        d.find<Choices>("note_again")->setFocus();
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Right);
        QCOMPARE(state(d).notes()[1].since, Since::Less);
        QCOMPARE(state(d).notes()[1].seen.strength, Strength::Slight);
        d.find<Choices>("note_again")->setFocus();
        d.key(Qt::Key_Left);
        QVERIFY(said(d, "notes_tally").contains("2 gone"));
        // The gate: as it was last worn, nothing left to see.
        QVERIFY(said(d, "gate_said").contains("Cut as it was last seen"));
        mirror(d).setFocus();
        d.key(Qt::Key_G);
        QCOMPARE(QApplication::focusWidget()->objectName(), QString{"gate_pass"});
        d.key(Qt::Key_Return);
        QVERIFY(said(d, "gate_said").contains("Passed on 23 November"));
        QCOMPARE(d.room->versions().front().passed_on, QString{"2026-11-23"});
        // What changes after it asks for a look again, and says which.
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-20));
        QVERIFY(said(d, "gate_said").contains("shoulders"));
        // Past it only in two steps, the first of which says what is not settled.
        d.find("gate_pass")->setFocus();
        d.key(Qt::Key_Return);
        QVERIFY(said(d, "gate_said").contains("Not settled") && said(d, "gate_said").contains("shoulders"));
        QVERIFY(d.room->versions().front().passed_on != QString{} && d.room->versions().size() == 2);
        // What was not settled is kept with it.
        const auto over = said(d, "gate_said");
        d.key(Qt::Key_Return);
        QCOMPARE(d.room->versions().size(), std::size_t{3});
        QVERIFY(!d.room->versions().front().passed_over.isEmpty());
        QVERIFY2(over.contains(d.room->versions().front().passed_over), qPrintable(over));
        QVERIFY(said(d, "gate_said").contains("Not settled then: " + d.room->versions().front().passed_over));
        d.room->undo();
        // A toile on which nothing is noted yet is not green; that there is nothing to see can be said.
        const auto versions = d.room->versions().size();
        begin_by_keys(d, "2026-11-22");
        QVERIFY(d.room->versions().size() >= versions && !d.room->gate().open());
        QVERIFY(d.room->versions().front().what == notebook::KeptFor::TriedOn);
        QVERIFY(said(d, "gate_said").contains("not looked at"));
        d.click("nothing_to_see");
        QVERIFY(d.room->gate().open() && said(d, "gate_said").contains("Cut as it was last seen"));
        // Undone, and another plan put on: its number is the undone one's, its paper is not.
        d.room->undo();
        d.room->undo();
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-6));
        d.room->begin_try_on({"2026-11-22", PutOn::Whole, {}, {}, {Moment::Standing}, {}, {}, {}, {}, true});
        QVERIFY(d.room->gate().moved.empty() && d.room->gate().open());
        mirror(d).setFocus();
        d.key(Qt::Key_V);
        QVERIFY(d.find("versions")->accessibleDescription().contains("toile 2, tried on, 21 November"));
        QVERIFY(d.find("versions")->accessibleDescription().contains("Shoulder slope"));
    }

    void the_same_by_mouse_and_after_the_program_was_closed()
    {
        const QString path = at();
        {
            Desk d{path, true};
            lay_bodice(d);
            TryOn t;
            t.date = "2026-11-14";
            d.room->begin_try_on(t);
            d.click("station_5");
            auto* figure = d.find<ToileFigure>("toile_figure");
            // Pointed at the back, above the seat: what is usual there comes first.
            QString first;
            QTimer::singleShot(200, [&] {
                auto* menu = d.window->findChild<QMenu*>("sights_near");
                if (!menu) qFatal("no menu");
                first = menu->actions().front()->text();
                menu->setActiveAction(menu->actions().front());
                QTest::keyClick(menu, Qt::Key_Return);
            });
            QTest::mouseClick(figure, Qt::LeftButton, {},
                              QPoint{figure->width() * 3 / 4 + 20, figure->height() / 2 - 30});
            QVERIFY(!first.isEmpty());
            QCOMPARE(state(d).notes().size(), std::size_t{1});
            const auto& note = state(d).notes()[0];
            QCOMPARE(facts(note.seen.sight).from, SeenFrom::Back);
            QVERIFY(note.at.has_value());
            // Its badge takes it in hand; then slight, and gone altogether, and back.
            QTest::mouseClick(figure, Qt::LeftButton, {}, figure->badge_of_note(0).toPoint());
            QCOMPARE(state(d).chosen(), 0);
            auto* strength = d.find<Choices>("note_strength");
            QTest::mouseClick(strength, Qt::LeftButton, {}, QPoint{12, strength->height() / 2});
            QCOMPARE(state(d).notes()[0].seen.strength, Strength::Slight);
            d.click("forget_note");
            QVERIFY(state(d).notes().empty());
            d.room->undo();
            QCOMPARE(state(d).notes().size(), std::size_t{1});
            auto* list = d.find<CausesList>("causes_list");
            QTest::mouseClick(list, Qt::LeftButton, {}, list->row(0).center().toPoint());
            QCOMPARE(state(d).cause(), 0);
        }
        Desk d{path, false};
        d.click("station_5");
        QCOMPARE(state(d).notes().size(), std::size_t{1});
        QCOMPARE(state(d).entry().date, std::string{"2026-11-14"});
    }

    void what_hands_found_becomes_the_amounts()
    {
        Desk d{at(), true};
        lay_bodice(d);
        TryOn t;
        t.date = "2026-11-14";
        d.room->begin_try_on(t);
        d.window->go_to(Station::Mirror);
        mirror(d).setFocus();
        d.key(Qt::Key_H);
        type_into(d, "found_offcut_neck_end", "25.4 mm");
        type_into(d, "found_offcut_tip", "34.4 mm");
        type_into(d, "found_offcut_tip_back", "30.4 mm");
        QVERIFY(said(d, "found_makes").contains("Shoulder as pinned"));
        d.click("found_into_plan");
        const auto& l = d.line(PinnedShoulder);
        QCOMPARE(l.state, LineState::Accepted);
        QVERIFY(is_near(l.at[1], Length::mm(-9), Length::mm(0.01)) &&
                is_near(l.at[3], Length::mm(-5), Length::mm(0.01)));
        QVERIFY(is_near(l.at[0], Length{}, Length::mm(0.01)));
        QCOMPARE(l.seen_on, std::string{"2026-11-14"});
        // More than can be is refused at the field, and stays there.
        auto* edit = d.find<QLineEdit>("found_bust_dot_down");
        edit->setFocus();
        d.type("900 cm");
        d.key(Qt::Key_Return);
        QCOMPARE(edit->text(), QString{"900 cm"});
        QCOMPARE(state(d).entry().found.size(), std::size_t{3});
        // In the plan its four ends can be seen and typed.
        d.window->go_to(Station::Plan);
        QVERIFY(stands_out(d, PinnedShoulder));
        open_card(d, PinnedShoulder);
        auto* tip = d.find<QLineEdit>("place_front_tip");
        tip->setFocus();
        tip->selectAll();
        d.type("-0.6");
        d.key(Qt::Key_Return);
        QVERIFY(is_near(d.line(PinnedShoulder).at[1], Length::mm(-6), Length::mm(1e-6)));
        QVERIFY(d.line(PinnedShoulder).seen_on.empty());  // it is her own now
    }

    void a_dart_pinned_on_the_tissue_becomes_its_own_amounts()
    {
        Desk d{at(), true};
        lay_bodice(d);
        TryOn t;
        t.date = "2026-11-14";
        t.what = PutOn::HalfTissue;
        d.room->begin_try_on(t);
        d.window->go_to(Station::Mirror);
        mirror(d).setFocus();
        d.key(Qt::Key_H);
        type_into(d, "found_bust_dart_place", "12 mm");
        type_into(d, "found_bust_dart_depth", "6 mm");
        type_into(d, "found_bust_dart_length", "-10 mm");
        QVERIFY(said(d, "found_makes").contains("Bust dart as pinned"));
        d.click("found_into_plan");
        const auto& l = d.line(PinnedBustDart);
        QVERIFY2(l.state == LineState::Accepted, qPrintable(said(d, "found_said")));
        QVERIFY(is_near(l.at[0], Length::mm(12), Length::mm(1e-6)));
        QVERIFY(is_near(l.at[1], Length::mm(6), Length::mm(1e-6)));
        QVERIFY(is_near(l.at[2], Length::mm(-10), Length::mm(1e-6)));
        QCOMPARE(l.seen_on, std::string{"2026-11-14"});
        for (const auto& w : d.room->computed()->checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        // What the paper cannot carry is said, and nothing of what is there is lost.
        type_into(d, "found_bust_dart_length", "-190 mm");
        d.click("found_into_plan");
        QVERIFY2(!said(d, "found_said").startsWith("In the plan"), qPrintable(said(d, "found_said")));
        QCOMPARE(state(d).entry().found.size(), std::size_t{3});
        QVERIFY(!d.room->computed()->not_done.empty());
    }

    void a_sleeve_is_looked_at_by_itself()
    {
        Desk d{at(), true};
        lay_pattern(d, "Heron");
        TryOn t;
        t.date = "2026-11-14";
        t.what = PutOn::Sleeve;
        d.room->begin_try_on(t);
        d.window->go_to(Station::Mirror);
        auto* figure = d.find<ToileFigure>("toile_figure");
        QCOMPARE(figure->view(), FigureView::Sleeves);  // it is all that was put on
        QTimer::singleShot(200, [&] {
            auto* menu = d.window->findChild<QMenu*>("sights_near");
            if (!menu) qFatal("no menu");
            menu->setActiveAction(menu->actions().front());
            QTest::keyClick(menu, Qt::Key_Return);
        });
        QTest::mouseClick(figure, Qt::LeftButton, {}, QPoint{figure->width() / 4, figure->height() / 2});
        QCOMPARE(state(d).notes().size(), std::size_t{1});
        const auto& note = state(d).notes()[0];
        QCOMPARE(facts(note.seen.sight).from, SeenFrom::Sleeve);
        QCOMPARE(note.seen.side, std::optional{Side::Left});
        QVERIFY(near(note.at->x, 0, 7));
        // A sight of the front shows the front, and the note of the sleeve in hand the sleeve again.
        note_by_keys(d, "neckline stands");
        QCOMPARE(figure->view(), FigureView::FrontAndBack);
        mirror(d).setFocus();
        d.key(Qt::Key_1);
        QCOMPARE(figure->view(), FigureView::Sleeves);
        // What has no sleeve has no such view, and F goes past it.
        lay_pattern(d, "Lockgate");
        t.what = PutOn::Whole;
        d.room->begin_try_on(t);
        QCOMPARE(figure->view(), FigureView::FrontAndBack);
        mirror(d).setFocus();
        d.key(Qt::Key_F);
        QCOMPARE(figure->view(), FigureView::Sides);
        d.key(Qt::Key_F);
        QVERIFY(!figure->isVisible());  // the photographs
    }

    void a_photograph_is_kept_measured_and_taken_away()
    {
        Desk d{at(), true};
        lay_bodice(d);
        TryOn t;
        t.date = "2026-11-14";
        d.room->begin_try_on(t);
        d.window->go_to(Station::Mirror);
        mirror(d).show_face(MirrorFace::Photographs);
        auto* face = d.window->findChild<PhotoFace*>();
        const auto wait = [&] {
            while (face->reading()) QTest::qWait(10);
            QTest::qWait(20);
        };
        // What is none is said, and nothing is kept.
        QFile broken{dir_.filePath("broken.jpg")};
        QVERIFY(broken.open(QIODevice::WriteOnly));
        broken.write("no picture");
        broken.close();
        face->open(broken.fileName());
        wait();
        QVERIFY(said(d, "photo_trouble").contains("JPEG and PNG"));
        QVERIFY(d.room->book().photos(state(d).here()->id).empty());
        face->open(photo_file(dir_));
        wait();
        QCOMPARE(d.room->book().photos(state(d).here()->id).size(), std::size_t{1});
        const auto photo = [&] { return d.room->book().photos(state(d).here()->id)[0].photo; };
        // A known length: laid, told, moved by the arrows.
        mirror(d).setFocus();
        d.key(Qt::Key_L);
        QVERIFY(line(photo(), Guideline::KnownLength));
        const auto before = line(photo(), Guideline::KnownLength)->a;
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Down, Qt::ShiftModifier);
        QCOMPARE(line(photo(), Guideline::KnownLength)->a.x, before.x + 1);
        QCOMPARE(line(photo(), Guideline::KnownLength)->a.y, before.y + 10);
        auto* known = d.find<QLineEdit>("known_length");
        known->setFocus();
        d.type("100 cm");
        d.key(Qt::Key_Return);
        QVERIFY(said(d, "photo_says").contains("sets the scale"));
        auto* lines = d.find<Choices>("photo_lines");
        lines->setFocus();
        emit lines->picked(static_cast<int>(Guideline::Hem));
        // By hand: the right handle is taken down.
        auto* picture = d.find<PhotoPicture>("photo_picture");
        const QPoint right = picture->on_screen(line(photo(), Guideline::Hem)->b).toPoint();
        QTest::mousePress(picture, Qt::LeftButton, {}, right);
        QTest::mouseMove(picture, right + QPoint{0, 12});
        QTest::mouseRelease(picture, Qt::LeftButton, {}, right + QPoint{0, 12});
        QVERIFY(line(photo(), Guideline::Hem)->b.y > line(photo(), Guideline::Hem)->a.y + 5);
        QVERIFY(said(d, "photo_says").contains("drops to the right"));
        d.room->undo();
        QCOMPARE(line(photo(), Guideline::Hem)->b.y, line(photo(), Guideline::Hem)->a.y);
        d.click("forget_photo");
        QVERIFY(d.room->book().photos(state(d).here()->id).empty());
    }

    void a_try_on_is_saved_without_its_photographs_unless_they_are_asked_for()
    {
        Desk d{at(), true};
        seat(d, "Hedda");
        lay_pattern(d, "Heron");
        d.window->go_to(Station::Mirror);
        QCOMPARE(state(d).number(), 2);  // the demo's
        QCOMPARE(d.room->book().photos(state(d).here()->id).size(), std::size_t{1});
        QTemporaryDir out;
        mirror(d).write_entry(out.filePath("toile.json"), false);
        QCOMPARE(QDir{out.path()}.entryList(QDir::Files), QStringList{"toile.json"});
        QVERIFY(said(d, "try_on_saved").contains("without photographs"));
        QFile f{out.filePath("toile.json")};
        QVERIFY(f.open(QIODevice::ReadOnly));
        const auto read = formats::read_try_on(f.readAll().toStdString());
        QVERIFY(read && *read == state(d).entry());
        mirror(d).write_entry(out.filePath("toile.json"), true);
        QVERIFY(QImage{out.filePath("toile-1.jpg")}.height() > 900);
        // One that is there already is not replaced unasked; a place that cannot be written is said.
        mirror(d).write_entry(out.filePath("toile.json"), true);
        QVERIFY(!said(d, "try_on_saved").contains("Saved"));
        mirror(d).write_entry("/proc/nowhere/toile.json", false);
        QVERIFY(!said(d, "try_on_saved").contains("Saved"));
    }

    // What was sewn can only be let out, taken in, lowered: the rest is said to be for the next one.
    void a_sewn_garment_is_offered_what_can_still_be_done()
    {
        Desk d{at(), true};
        seat(d, "Benno");
        lay_pattern(d, "Lockgate");
        d.room->say_sewn(true);
        TryOn t;
        t.date = "2026-11-20";
        t.what = PutOn::Garment;
        t.notes = {{{Sight::CrotchCutsIn, Strength::Clear, {}}, Moment::Sitting, Since::New, {}, ""},
                   {{Sight::FoldsToCrotchBehind, Strength::Clear, {}}, Moment::Standing, Since::New, {}, ""},
                   {{Sight::BagUnderSeat, Strength::Clear, {}}, Moment::Standing, Since::New, {}, ""}};
        d.room->begin_try_on(t);
        d.window->go_to(Station::Mirror);
        bool lowered = false;
        bool later = false;
        for (const auto& c : state(d).causes()) {
            if (!c.ranked.cause) continue;
            if (c.put.not_put == NotPut::No) QVERIFY(adjustment(c.put.decision.kind).when_sewn);
            lowered = lowered || (c.put.not_put == NotPut::No && c.put.decision.kind == SewnCrotch);
            later = later || c.put.not_put == NotPut::WithThisGarment;
        }
        QVERIFY(lowered && later);
        const auto& all = state(d).causes();
        const auto it = std::find_if(all.begin(), all.end(), [](const ToldCause& c) {
            return c.ranked.cause && c.put.not_put == NotPut::No && c.put.decision.kind == SewnCrotch;
        });
        mirror(d).state().choose_cause(static_cast<int>(it - all.begin()));
        d.click("cause_into_plan");
        QCOMPARE(d.line(SewnCrotch).state, LineState::Accepted);
        QCOMPARE(d.line(SewnCrotch).seen_on, std::string{"2026-11-20"});
    }

    void a_try_on_is_changed_and_forgotten_and_a_wrong_day_is_said()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Mirror);
        in_dialog([&](QWidget* sheet) {
            auto* day = sheet->findChild<QLineEdit*>("try_on_day");
            day->setText("14 November");
            QTest::mouseClick(sheet->findChild<QWidget*>("keep_try_on"), Qt::LeftButton);
            QVERIFY(sheet->isVisible() && sheet->findChild<QLabel*>("try_on_said")->text().contains("Day"));
            QCOMPARE(day->text(), QString{"14 November"});
            day->setText("2026-11-14");
            QTest::mouseClick(sheet->findChild<QWidget*>("try_on_sitting"), Qt::LeftButton);
            QTest::mouseClick(sheet->findChild<QWidget*>("keep_try_on"), Qt::LeftButton);
        });
        mirror(d).begin();
        d.settle();
        QCOMPARE(state(d).entry().moments, (std::vector{Moment::Standing, Moment::Sitting}));
        in_dialog([](QWidget* sheet) {
            QTest::keyClicks(sheet->findChild<QLineEdit*>("try_on_words"), "too warm for it");
            QTest::mouseClick(sheet->findChild<QWidget*>("keep_try_on"), Qt::LeftButton);
        });
        d.click("change_try_on");
        d.settle();
        QVERIFY(said(d, "toile_detail").contains("too warm"));
        in_dialog([](QWidget* box) {
            for (auto* b : box->findChildren<QAbstractButton*>()) {
                if (b->text().contains("Forget")) return QTest::mouseClick(b, Qt::LeftButton);
            }
        });
        d.click("forget_try_on");
        QVERIFY(!state(d).here());
        QCOMPARE(d.room->versions().size(), std::size_t{1});  // the plan as it was stays
        d.room->undo();
        QVERIFY(state(d).here());
    }
};
SARTORUM_TEST(TestMirror)

}  // namespace test_mirror

#include "test_mirror.moc"
