// The Tape through its real window: the guided round by keyboard, both sides, what is asked again, the ruler
// check, the day, two dates, and a digital tape that behaves and one that does not.
#include <QComboBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QLocalServer>
#include <QLocalSocket>
#include <QPointer>
#include <QTableWidget>

#include "desk/desk_fixture.h"
#include "desk/tape/tape_link.h"
#include "desk/tape/tape_station.h"
#include "standins/tape/tape.h"
#include "tests.h"

namespace test_tape {

using namespace sartorum;
using namespace sartorum::test;

namespace {

QString focus_name()
{
    return QApplication::focusWidget() ? QApplication::focusWidget()->objectName() : QString{};
}

QString text_of(const Desk& d, const char* label)
{
    auto* l = d.window->findChild<QLabel*>(label);
    return l ? l->text() : QString{};
}

TapeStation& tape_of(const Desk& d)
{
    return *d.window->findChild<TapeStation*>();
}

}  // namespace

class TestTape : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    // Enter in an empty second field asks for the reading; a correction that parts two readings asks for the third
    // there and then: what is typed next never falls into another measure.
    void what_is_typed_next_belongs_to_this_measure()
    {
        Desk d{at(), false};
        d.room->add_wearer("Wilhelmine");
        d.room->walk_round(Round::Bra);
        tape_of(d).resume();
        d.type("92.4");
        d.key(Qt::Key_Return);
        d.key(Qt::Key_Return);  // empty
        QCOMPARE(focus_name(), QString{"reading2"});
        d.type("92.6");
        d.key(Qt::Key_Return);
        d.type("99.4");
        d.key(Qt::Key_Return);
        d.type("99.6");
        d.key(Qt::Key_Return);
        QVERIFY(!d.room->body().taken(Measure::Underbust));
        // Back to the bust, the first reading corrected by 8 cm.
        tape_of(d).go_to(Measure::Bust);
        auto* first = d.find<QLineEdit>("reading1");
        first->setFocus();
        first->selectAll();
        d.type("107.4");
        d.key(Qt::Key_Return);
        QCOMPARE(focus_name(), QString{"reading3"});
        d.type("91");
        d.key(Qt::Key_Return);
        QVERIFY(d.room->body().taken(Measure::Bust)->state == ReadingState::NoneAgree);
        QVERIFY(focus_name().startsWith("reading"));
        d.type("99.5");
        d.key(Qt::Key_Return);
        QVERIFY(d.room->body().taken(Measure::Bust)->settled());
        QVERIFY(!d.room->body().taken(Measure::Underbust));
    }
    void a_guided_round_by_keyboard_alone()
    {
        const QString path = at();
        {
            Desk d{path, false};
            d.room->add_wearer("Wilhelmine");
            d.room->walk_round(Round::Bra);
            tape_of(d).resume();
            // High bust, bust, underbust, bust depth, bust span; the second bust reading is off, so a third is
            // asked.
            for (const char* text : {"92.4", "92.6", "99.4", "101.2", "99.6", "81.2", "81", "27.6", "27.5"}) {
                QVERIFY(focus_name().startsWith("reading"));
                d.type(text);
                d.key(Qt::Key_Return);
            }
            QVERIFY(d.room->body().taken(Measure::Bust)->state == ReadingState::MiddleTaken);
            QCOMPARE(d.room->body().taken(Measure::Bust)->value.in_cm(), 99.6);
            QVERIFY(!d.room->body().taken(Measure::BustSpan));
        }
        // Left in the middle, it goes on there.
        Desk d{path, false};
        QCOMPARE(*d.room->round(), Round::Bra);
        QCOMPARE(focus_name(), QString{"reading1"});
        d.type("19.8");
        d.key(Qt::Key_Return);
        d.type("19.8");
        d.key(Qt::Key_Return);
        QVERIFY(d.room->body().taken(Measure::BustSpan).has_value());
        QCOMPARE(d.window->current(), Station::Chart);  // the round is over
    }
    void a_measure_may_be_skipped_and_comes_back_first()
    {
        Desk d{at(), false};
        d.room->add_wearer("Bram");
        d.room->walk_round(Round::Skirt);
        tape_of(d).resume();
        d.click("next_measure");  // skips the waist
        d.type("101");
        d.key(Qt::Key_Return);
        QVERIFY(d.room->body().taken(Measure::Hip));
        QVERIFY(!d.room->body().taken(Measure::Waist));
        tape_of(d).resume();
        d.type("84");
        d.key(Qt::Key_Return);
        QVERIFY(d.room->body().taken(Measure::Waist));
    }
    void every_round_can_be_chosen_and_each_view_stands()
    {
        Desk d{at(), true};
        auto* rounds = d.find<Choices>("rounds");
        rounds->setFocus();
        for (int i = 0; i < 6; ++i) {
            rounds->setFocus();
            d.key(Qt::Key_Right);
            QCOMPARE(*d.room->round(), all_rounds[static_cast<std::size_t>(i)]);
        }
        for (const auto m : d.room->measures()) {
            tape_of(d).go_to(m);
            QVERIFY(!d.window->grab().isNull());
            QVERIFY(!d.find("reading1")->isHidden());
        }
        d.look.set_scale(1.5);
        QVERIFY(!d.window->grab().isNull());
    }
    void left_and_right_are_kept_apart()
    {
        Desk d{at(), true};
        d.room->walk_round(Round::Top);
        tape_of(d).go_to(Measure::UpperArm);
        QCOMPARE(d.find<QLineEdit>("reading1")->text(), "31.5");
        QTest::keyClick(d.find("side"), Qt::Key_Right);
        QCOMPARE(d.find<QLineEdit>("reading1")->text(), "31.1");
        auto* first = d.find<QLineEdit>("reading1");
        first->setFocus();
        first->selectAll();
        d.type("33");
        d.key(Qt::Key_Return);
        QCOMPARE(d.room->body().left.at(Measure::UpperArm)[0].in_cm(), 33.0);
        QCOMPARE(d.room->body().readings.at(Measure::UpperArm)[0].in_cm(), 31.5);
    }
    void what_does_not_go_with_the_rest_is_asked_again_and_kept_all_the_same()
    {
        Desk d{at(), true};
        d.room->walk_round(Round::Dress);
        tape_of(d).go_to(Measure::Hip);
        QVERIFY(!d.window->findChild<QLabel*>("sense")->isVisible());
        for (const char* field : {"reading1", "reading2"}) {
            auto* edit = d.find<QLineEdit>(field);
            edit->setFocus();
            edit->selectAll();
            d.type("106.2 in");
            d.key(Qt::Key_Tab);
        }
        QVERIFY(d.window->findChild<QLabel*>("sense")->isVisible());
        const QString said = text_of(d, "sense");
        QVERIFY2(said.contains("Please measure again") && said.contains("106.2 cm"), qPrintable(said));
        QVERIFY(is_near(d.room->body().taken(Measure::Hip)->value, Length::inches(106.2), Length::mm(0.01)));
    }
    void the_ruler_check_corrects_and_shows_both_numbers()
    {
        Desk d{at(), true};
        const Length before = d.room->body().taken(Measure::Waist)->value;
        in_dialog([](QWidget* w) {
            const auto type = [&](const char* name, const char* text) {
                w->findChild<QLineEdit*>(name)->setText(text);
            };
            type("check_ruler_1", "60");
            type("check_tape_1", "50");  // a slip
            QTest::mouseClick(w->findChild<QWidget*>("keep_check"), Qt::LeftButton);
            QVERIFY(w->isVisible());
            type("check_tape_1", "59.6");
            QVERIFY(w->findChild<QLabel*>("check_said")->text().contains("1.0067"));
            QTest::mouseClick(w->findChild<QWidget*>("keep_check"), Qt::LeftButton);
        });
        emit d.find<Choices>("tape_pages")->picked(1);
        d.click("tape_check");
        const auto after = *d.room->body().taken(Measure::Waist);
        QVERIFY(is_near(after.value, before * (60 / 59.6), Length::mm(1e-6)));
        QCOMPARE(after.as_read, before);
        emit d.find<Choices>("tape_pages")->picked(0);
        bool both = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            both = both || (l->isVisible() && l->text().contains("corrected for your tape"));
        QVERIFY(both);
    }
    void the_day_and_the_body_are_written_down()
    {
        Desk d{at(), true};
        in_dialog([](QWidget* w) {
            w->findChild<QLineEdit*>("day_weight")->setText("heavy");
            QTest::mouseClick(w->findChild<QWidget*>("keep_day"), Qt::LeftButton);
            QVERIFY(w->isVisible());
            QVERIFY(w->findChild<QLabel*>("day_said")->text().contains("heavy"));
            w->findChild<QLineEdit*>("day_weight")->setText("71,5 kg");
            w->findChild<QLineEdit*>("day_note")->setText("before lunch");
            w->findChild<QComboBox*>("day_ball")->setCurrentIndex(3);
            QTest::mouseClick(w->findChild<QWidget*>("keep_day"), Qt::LeftButton);
        });
        emit d.find<Choices>("tape_pages")->picked(1);
        d.click("the_day");
        QCOMPARE(d.room->body().posture.ball, Stance::Forward);
        QCOMPARE(*d.room->body().weight_kg, 71.5);
        QCOMPARE(d.room->body().note, std::string{"before lunch"});
    }
    void two_dates_stand_beside_each_other()
    {
        Desk d{at(), true};
        in_dialog([](QWidget* w) {
            auto* table = w->findChild<QTableWidget*>("dates_table");
            w->findChild<QComboBox*>("date_from")->setCurrentIndex(0);
            bool waist = false;
            for (int r = 0; r < table->rowCount(); ++r) {
                if (table->item(r, 0)->text() != "Waist") continue;
                waist = true;
                QCOMPARE(table->item(r, 1)->text(), "83.2");
                QCOMPARE(table->item(r, 2)->text(), "84.6");
                QVERIFY(table->item(r, 3)->text().startsWith("+1.4"));
            }
            QVERIFY(waist);
        });
        d.click("two_dates");
    }
    void old_girths_ask_to_be_measured_again()
    {
        Desk d{at(), true, {2027, 2, 1}};
        QVERIFY(!d.room->stale().empty());
        bool asked = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            asked =
                asked || (l->isVisible() && l->text().contains("Please measure again: Waist: read 90 days ago"));
        QVERIFY(asked);
    }
    void the_button_on_the_tape_enters_the_reading_and_goes_on()
    {
        Desk d{at(), false};
        d.room->add_wearer("Bram");
        d.room->walk_round(Round::Skirt);
        tape_of(d).resume();
        const QString socket = dir_.filePath("tape");
        standins::TapeWays ways;
        ways.around = Length::mm(846);
        ways.stretch = 1.007;
        ways.live_every_ms = 20;
        standins::Tape tape{ways};
        QVERIFY(tape.listen(socket));
        QSignalSpy came{&tape, &standins::Tape::desk_came};
        tape_of(d).connect_tape(socket);
        QVERIFY(came.wait());
        QTRY_VERIFY(text_of(d, "tape_live").contains("The tape is here"));
        tape.press();
        QTRY_VERIFY(d.room->body().taken(Measure::Waist));
        tape.press();
        QTRY_VERIFY(d.room->body().taken(Measure::Waist)->state != ReadingState::OneMore);
        // What a stretched tape shows, within the tremble.
        QVERIFY(is_near(d.room->body().taken(Measure::Waist)->value, Length::mm(846 / 1.007), Length::mm(8)));
        tape.lay_round(Length::mm(1010));
        tape.press();
        QTRY_VERIFY(d.room->body().taken(Measure::Hip));  // on to the hip by itself
        // Out of reach in the middle: said, and what was kept stays.
        tape.drop();
        QTRY_VERIFY(text_of(d, "tape_live").contains("gone"));
        QVERIFY(d.room->body().taken(Measure::Hip));
        d.type("101.2");
        d.key(Qt::Key_Return);
        QCOMPARE(d.room->body().readings.at(Measure::Hip).size(), std::size_t{1});
    }
    void a_reading_no_body_has_is_refused_from_the_tape_too()
    {
        Desk d{at(), true};
        const QString socket = dir_.filePath("absurd");
        standins::Tape tape{{Length::mm(4500), Length::mm(0), 1.0, 1, 0}};
        QVERIFY(tape.listen(socket));
        QSignalSpy came{&tape, &standins::Tape::desk_came};
        d.room->measure_anew();
        tape_of(d).resume();
        tape_of(d).connect_tape(socket);
        QVERIFY(came.wait());
        QTRY_VERIFY(text_of(d, "tape_live").contains("The tape is here"));
        tape.press();
        QTRY_VERIFY(text_of(d, "tape_live").contains("lies outside"));
        QVERIFY(!d.room->body().taken(Measure::Waist));
    }
    void a_tape_that_is_none_is_put_down_data()
    {
        QTest::addColumn<QByteArrayList>("lines");
        QTest::addColumn<QString>("said");
        QTest::newRow("something else") << QByteArrayList{"HELLO 9"} << "not a tape";
        QTest::newRow("a newer one") << QByteArrayList{"SARTORUM-TAPE 2"} << "not a tape, or a newer one";
        QTest::newRow("garbage") << (QByteArrayList{"SARTORUM-TAPE 1"} + QByteArrayList(30, "\x01\x02READ"))
                                 << "nonsense";
        QTest::newRow("absurd numbers")
            << (QByteArrayList{"SARTORUM-TAPE 1"} + QByteArrayList(30, "READ -1e300")) << "nonsense";
        QTest::newRow("flood") << (QByteArrayList{"SARTORUM-TAPE 1"} + QByteArrayList(400, "LIVE 845.2"))
                               << "more than anyone";
        QTest::newRow("one endless line") << QByteArrayList{QByteArray(100000, 'x')} << "not a tape";
    }
    void a_tape_that_is_none_is_put_down()
    {
        QFETCH(QByteArrayList, lines);
        QFETCH(QString, said);
        const QString socket = dir_.filePath(QString{"none%1"}.arg(++made_));
        QLocalServer server;
        QVERIFY(server.listen(socket));
        connect(&server, &QLocalServer::newConnection, &server, [&] {
            auto* s = server.nextPendingConnection();
            for (const auto& l : lines) s->write(l + "\n");
            s->flush();
        });
        TapeLink link;
        QSignalSpy trouble{&link, &TapeLink::trouble};
        QSignalSpy pressed{&link, &TapeLink::pressed};
        link.connect_to(socket);
        QVERIFY(trouble.wait(4000));
        QVERIFY2(trouble[0][0].toString().contains(said), qPrintable(trouble[0][0].toString()));
        QCOMPARE(link.state(), TapeLink::State::Away);
        QVERIFY(pressed.isEmpty());
    }
    void no_tape_there_is_said()
    {
        TapeLink link;
        QSignalSpy trouble{&link, &TapeLink::trouble};
        link.connect_to(dir_.filePath("nobody"));
        QTRY_VERIFY(!trouble.isEmpty());
        QVERIFY(trouble[0][0].toString().contains("No tape answers"));
    }
};
SARTORUM_TEST(TestTape)

}  // namespace test_tape

#include "test_tape.moc"
