// The Tape's second face through its real window: a tissue measured flat, by keys and by mouse.
#include <QTest>

#include "desk/shell/docket.h"
#include "desk/tissue_hands.h"
#include "near.h"
#include "tests.h"

namespace test_tissue_face {

using namespace sartorum;
using namespace sartorum::test;

class TestTissueFace : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int n_ = 0;
    QString at() { return dir_.filePath(QString{"t%1.sartorum"}.arg(n_++)); }

    static std::optional<Length> kept(const Desk& d, TissueLine line)
    {
        return measured(*d.room->tissue()->in_hand(), line);
    }
    static QString said(const Desk& d) { return d.find<QLineEdit>("tissue_value")->accessibleDescription(); }
    static double width_of(const Desk& d, const char* piece)
    {
        const auto& now = d.find<TissuePicture>("tissue_picture")->layout_now();
        for (const auto& l : now.lines) {
            if (l.line == TissueLine::FrontHip && QString{piece} == "front")
                return l.on_piece.length() / now.scale;
        }
        return 0;
    }

private slots:
    void from_an_empty_notebook_nothing_but_a_tissue_is_needed_to_begin()
    {
        Desk d{at(), false};
        d.window->go_to(Station::Tape);
        d.settle();
        d.key(Qt::Key_F4);
        QVERIFY(!d.room->tissue());
        // Three ways to begin are offered in words.
        for (auto* b : d.window->findChildren<QAbstractButton*>()) {
            if (b->isVisible() && b->text() == "A skirt") {
                QTest::mouseClick(b, Qt::LeftButton);
                break;
            }
        }
        QVERIFY(d.room->tissue() && d.room->tissue()->kind == TissueKind::Skirt);
        QVERIFY(!d.find<TissuePicture>("tissue_picture")->layout_now().lines.empty());
        d.key(Qt::Key_F4);
        QVERIFY(!d.window->findChild<TapeStation*>()->on_paper());
    }
    void a_line_is_typed_kept_and_left_and_the_outline_grows()
    {
        Desk d{at(), true};
        d.window->measure_flat(TissueKind::Skirt);
        d.settle();
        d.window->measure_flat({});
        QCOMPARE(*face_of(d).current(), TissueLine::FrontWaist);
        d.key(Qt::Key_Down);
        d.key(Qt::Key_Down);
        d.key(Qt::Key_Up);
        QCOMPARE(*face_of(d).current(), TissueLine::SideRise);
        face_of(d).go_to(TissueLine::FrontHip);
        const double before = width_of(d, "front");
        d.type("31");
        QVERIFY(width_of(d, "front") > before + 10);  // before it is kept
        QVERIFY(near(width_of(d, "front"), 310, 0.5));
        QVERIFY(!kept(d, TissueLine::FrontHip));
        d.type(".5");
        d.key(Qt::Key_Return);
        QCOMPARE(kept(d, TissueLine::FrontHip)->in_mm(), 315.0);
        QCOMPARE(*face_of(d).current(), TissueLine::FrontDart);  // on to the next
        // Undone, it waits again.
        d.room->undo();
        QVERIFY(!kept(d, TissueLine::FrontHip));
        d.room->redo();
        d.key(Qt::Key_X);  // no dart
        QVERIFY(lacks(*d.room->tissue()->in_hand(), TissueLine::FrontDart));
        QCOMPARE(*face_of(d).current(), TissueLine::BackWaist);  // nor is it long
        d.key(Qt::Key_A);
        QCOMPARE(d.room->tissue()->in_hand()->lines.at(TissueLine::BackWaist).state, TissueState::Assumed);
        face_of(d).go_to(TissueLine::FrontWaist);
        d.key(Qt::Key_X);  // every skirt has it
        QVERIFY(said(d).contains("has this line"));
        d.type("0");
        d.key(Qt::Key_Return);
        QVERIFY(!lacks(*d.room->tissue()->in_hand(), TissueLine::FrontWaist) && !kept(d, TissueLine::FrontWaist));
    }
    void what_cannot_be_is_said_at_once_and_stays_in_the_field()
    {
        Desk d{at(), true};
        d.window->measure_flat(TissueKind::Skirt);
        d.window->measure_flat({});
        d.settle();
        d.window->measure_flat({});
        measure_lines(d, {"25", "1"});
        face_of(d).go_to(TissueLine::WaistToHip);
        measure_lines(d, {"20"});
        face_of(d).go_to(TissueLine::FrontHip);
        d.type("20");
        d.key(Qt::Key_Return);
        QVERIFY2(said(d).contains("cannot be with front waist 25.0"), qPrintable(said(d)));
        QCOMPARE(d.find<QLineEdit>("tissue_value")->text(), "20");
        // Looked at another line and come back, it still stands there.
        d.key(Qt::Key_Up);
        QVERIFY(d.find<QLineEdit>("tissue_value")->text().isEmpty());
        d.key(Qt::Key_Down);
        QCOMPARE(d.find<QLineEdit>("tissue_value")->text(), "20");
        QVERIFY(said(d).contains("not kept yet"));
        d.find<QLineEdit>("tissue_value")->selectAll();
        d.type("10 1/2 in");  // in any unit
        d.key(Qt::Key_Return);
        QVERIFY(is_near(*kept(d, TissueLine::FrontHip), Length::inches(10.5), Length::mm(1e-9)));
    }
    // A value kept in millimetres is shown rounded in inches: looked at again it stays what it is.
    void what_the_unit_rounds_stays_as_it_was_kept()
    {
        Desk d{at(), true};
        d.window->measure_flat(TissueKind::Skirt);
        d.settle();
        d.window->measure_flat({});
        face_of(d).go_to(TissueLine::FrontHip);
        measure_lines(d, {"26.55"});
        d.look.set_unit(Unit::Inch);
        face_of(d).go_to(TissueLine::FrontHip);
        auto* field = d.find<QLineEdit>("tissue_value");
        QVERIFY(!field->text().isEmpty());
        QCOMPARE(d.find<TissuePicture>("tissue_picture")->value_at(TissueLine::FrontHip)->in_mm(), 265.5);
        QVERIFY(near(width_of(d, "front"), 265.5, 0.1));
        d.key(Qt::Key_Down);
        d.key(Qt::Key_Up);
        QVERIFY(said(d).isEmpty());
        d.key(Qt::Key_Return);
        QCOMPARE(kept(d, TissueLine::FrontHip)->in_mm(), 265.5);
        // What is not there leaves nothing behind in the field.
        face_of(d).go_to(TissueLine::FrontDart);
        measure_lines(d, {"0"});
        QVERIFY(lacks(*d.room->tissue()->in_hand(), TissueLine::FrontDart));
        face_of(d).go_to(TissueLine::FrontDart);
        QVERIFY(field->text().isEmpty() && said(d).isEmpty());
    }
    void a_window_may_go_while_a_number_is_being_typed()
    {
        const QString path = at();
        {
            Desk d{path, true};
            d.settle();
            d.find<QLineEdit>("reading1")->selectAll();
            d.type("84.1");
        }
        {
            Desk d{path, false};
            QCOMPARE(d.room->body().readings.at(Measure::Waist)[0].in_mm(), 841.0);
            d.window->measure_flat(TissueKind::Skirt);
            d.window->measure_flat({});
            d.settle();
            d.find<QLineEdit>("tissue_value")->setFocus();
            d.type("21.7");
        }
        Desk d{path, false};
        QCOMPARE(kept(d, TissueLine::FrontWaist)->in_mm(), 217.0);
    }
    void a_line_is_chosen_on_the_picture_and_the_picture_speaks()
    {
        Desk d{at(), true};
        d.window->measure_flat(TissueKind::Skirt);
        d.window->measure_flat({});
        auto* picture = d.find<TissuePicture>("tissue_picture");
        for (std::size_t i = picture->layout_now().lines.size(); i-- > 0;) {
            const PlacedLine l = picture->layout_now().lines[i];
            QTest::mouseClick(picture, Qt::LeftButton, {}, l.disc.toPoint());
            QCOMPARE(*face_of(d).current(), l.line);
        }
        face_of(d).go_to(TissueLine::CentreLength);
        measure_lines(d, {"58"});
        QVERIFY(picture->accessibleDescription().contains("5 Length 58.0 cm"));
        QVERIFY(picture->accessibleDescription().contains("1 Front waist, waits"));
        // Nothing written lies on another.
        const auto all = picture->written();
        for (std::size_t i = 0; i < all.size(); ++i) {
            QVERIFY(QRectF(picture->rect()).contains(all[i].at));
            for (std::size_t k = i + 1; k < all.size(); ++k)
                QVERIFY2(!all[i].at.intersects(all[k].at), qPrintable(all[i].text + " on " + all[k].text));
        }
    }
    void a_half_taken_measuring_is_gone_on_with_after_closing()
    {
        const QString path = at();
        {
            Desk d{path, true};
            d.window->measure_flat(TissueKind::Bodice);
            d.window->measure_flat({});
            measure_lines(d, {"7.1", "8.2", "12.2"});
            QVERIFY(d.window->findChild<Docket*>()->accessibleName().contains("3 of") ||
                    d.room->tissue()->in_hand()->lines.size() == 3);
        }
        Desk d{path, false};
        d.window->measure_flat({});
        QCOMPARE(*face_of(d).current(), TissueLine::FrontDrop);
        QCOMPARE(kept(d, TissueLine::FrontShoulder)->in_mm(), 122.0);
    }
    void several_sizes_make_one_pattern_and_what_they_leave_stands_beside_the_chart()
    {
        Desk d{at(), true};
        const auto sizes = d.room->chart()->sizes;
        d.window->measure_flat(TissueKind::Skirt);
        d.settle();
        d.type("Lock skirt");
        d.click("keep_line");
        const QString first = QString::fromStdString(d.room->tissue()->size);
        const QStringList lines{"21.4", "1",    "20.6", "32",  "58", "26.7", "1.8",
                                "9",    "22.4", "26.8", "2.8", "12", "3.5"};
        measure_lines(d, lines);
        QString second;
        for (const auto& s : sizes) {
            if (s.name != first.toStdString()) second = QString::fromStdString(s.name);
        }
        emit d.find<Choices>("tissue_pages")->picked(1);
        auto* size = d.find<QComboBox>("tissue_size");
        size->setCurrentText(second);
        emit size->activated(size->currentIndex());
        QCOMPARE(d.room->tissue()->sizes.size(), std::size_t{2});
        d.click("keep_line");
        // What it may be comes from the size beside it and what the chart's sizes differ by.
        const auto there = resolved(*d.room->tissue(), *d.room->tissue()->in_hand(), d.room->tissue_chart());
        QVERIFY(!is_near(there.at(TissueLine::FrontHip), Length::mm(267), Length::mm(1)));
        QVERIFY(is_near(there.at(TissueLine::CentreLength), Length::mm(580), Length::mm(0.01)));
        measure_lines(d, {"22.4"});
        QVERIFY(d.find<QAbstractButton>("draw_tissue")->text().contains("12 assumed"));
        d.click("draw_tissue");
        d.settle();
        d.window->go_to(Station::Chart);
        QCOMPARE(d.room->pattern()->sizes.size(), std::size_t{2});
        QCOMPARE(QString::fromStdString(d.room->pattern()->name), "Lock skirt");
        const QString note = d.find<QLabel>("ease_note")->text();
        QVERIFY2(note.contains("Size " + first + " laid flat: "), qPrintable(note));
        // The same tissue can be taken up again, from where its pattern is.
        d.window->measure_flat({});
        QCOMPARE(QString::fromStdString(d.room->tissue()->name), "Lock skirt");
    }
    void a_pattern_without_a_name_asks_for_it_and_draws_nothing()
    {
        Desk d{at(), true};
        const auto before = d.room->book().patterns().size();
        d.window->measure_flat(TissueKind::Bodice);
        d.window->measure_flat({});
        d.click("draw_tissue");
        QVERIFY(d.find<QLabel>("tissue_trouble")->text().contains("name"));
        QCOMPARE(QApplication::focusWidget()->objectName(), "tissue_name");
        QCOMPARE(d.room->book().patterns().size(), before);
    }
    void what_is_written_changes_what_is_asked()
    {
        Desk d{at(), true};
        d.window->measure_flat(TissueKind::Bodice);
        const auto asked = [&] { return lines_on_pieces(*d.room->tissue(), *d.room->tissue()->in_hand()).size(); };
        const auto plain = asked();
        note(d, "tissue_sleeve", 1);
        QCOMPARE(asked(), plain + 6);
        note(d, "tissue_ends", 1);
        QVERIFY(asked() < plain + 6);
        d.window->measure_flat({});
        face_of(d).go_to(TissueLine::SleeveLength);
        d.key(Qt::Key_X);  // there is no sleeve: none of its lines is asked
        QCOMPARE(d.room->tissue()->note(TissueNote::Sleeve), 0);
        d.key(Qt::Key_W);
        QVERIFY(d.find<QComboBox>("tissue_ends")->isVisible());
        // An allowance that cannot be is refused by its name.
        auto* allowance = d.find<QLineEdit>("tissue_allowance");
        allowance->setFocus();
        d.type("9");
        d.key(Qt::Key_Return);
        QVERIFY(allowance->property("wrong").toBool() && allowance->text() == "9");
        allowance->setText("1");
        d.key(Qt::Key_Return);
        QCOMPARE(kept(d, TissueLine::Allowance)->in_mm(), 10.0);
    }
};
SARTORUM_TEST(TestTissueFace)

}  // namespace test_tissue_face

#include "test_tissue_face.moc"
