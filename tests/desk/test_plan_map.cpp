// The plan seen whole: tags round the pieces, leaders that never cross, marks that can be dragged.
#include <QRandomGenerator>

#include "desk/plan/map/quiet_list.h"
#include "desk/plan/map/zone_strip.h"
#include "desk/plan/pad/other_way.h"
#include "desk/plan_hands.h"
#include "near.h"
#include "tests.h"
#include "words/words.h"

namespace test_plan_map {

using namespace sartorum;
using namespace sartorum::test;
using enum AdjustmentKind;

namespace {

bool cross(const QLineF& a, const QLineF& b)
{
    QPointF at;
    if (a.intersects(b, &at) != QLineF::BoundedIntersection) return false;
    // Two that end at one mark touch there.
    return QLineF{at, a.p2()}.length() > 0.5 && QLineF{at, b.p2()}.length() > 0.5;
}

int crossings(const std::vector<QLineF>& lines)
{
    int out = 0;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        for (std::size_t k = i + 1; k < lines.size(); ++k) out += cross(lines[i], lines[k]) ? 1 : 0;
    }
    return out;
}

// The fullest plan of the demo: all that is proposed, and what a toile showed.
void fill(Desk& d)
{
    lay_bodice(d);
    for (const auto& [kind, mm] : {std::pair{ShoulderSlope, -6.0},
                                   {BallOfShoulder, 9.0},
                                   {NeckForward, 5.0},
                                   {NeckSize, 8.0},
                                   {ArmholeGape, 8.0},
                                   {BustDepth, 9.0}})
        d.room->decide(kind, Answer::Accepted, Length::mm(mm));
    d.room->accept_all();
    d.room->decide({SwayBack, Answer::Accepted, Length::mm(-12), {}, 0});  // on a fold: not done
    d.window->go_to(Station::Plan);
    d.settle();
}

}  // namespace

class TestPlanMap : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void leaders_of_random_places_never_cross_and_tags_never_overlap()
    {
        QRandomGenerator rng{7};
        for (std::size_t n = 1; n <= 26; ++n) {
            for (int round = 0; round < 6; ++round) {
                const double k = round % 2 ? 1.5 : 1.0;
                const QRectF area{0, 0, 780.0 + 150 * round, 540.0 + 60 * round};
                const auto room = room_for_tags(area, n, {QSizeF{188, 82} * k, QSizeF{188, 38} * k, 8});
                QVERIFY(room.seats.size() >= n);
                for (std::size_t i = 0; i < room.seats.size(); ++i) {
                    QVERIFY(area.adjusted(-0.5, -0.5, 0.5, 0.5).contains(room.seats[i].tag));
                    for (std::size_t j = i + 1; j < room.seats.size(); ++j)
                        QVERIFY(!room.seats[i].tag.adjusted(1, 1, -1, -1).intersects(room.seats[j].tag));
                    if (room.seats[i].tied)
                        QVERIFY(!room.inner.adjusted(1, 1, -1, -1).intersects(room.seats[i].tag));
                }
                std::vector<QPointF> places;
                for (std::size_t i = 0; i < n; ++i)
                    places.push_back(room.inner.topLeft() + QPointF{room.inner.width() * rng.generateDouble(),
                                                                    room.inner.height() * rng.generateDouble()});
                const auto seats = seats_for(places, room.seats);
                QCOMPARE(std::set<std::size_t>(seats.begin(), seats.end()).size(), n);
                std::vector<QLineF> lines;
                for (std::size_t i = 0; i < n; ++i) {
                    if (room.seats[seats[i]].tied) lines.emplace_back(room.seats[seats[i]].tie, places[i]);
                }
                QCOMPARE(crossings(lines), 0);
            }
        }
    }
    void marks_on_one_spot_are_pushed_apart_and_stay_near()
    {
        const QRectF within{0, 0, 400, 300};
        const std::vector<QPointF> spot(4, QPointF{200, 150});
        const auto apart = pushed_apart(spot, 26, within);
        for (std::size_t i = 0; i < apart.size(); ++i) {
            QVERIFY(QLineF(apart[i], spot[i]).length() < 40);
            for (std::size_t k = i + 1; k < apart.size(); ++k) QVERIFY(QLineF(apart[i], apart[k]).length() > 24);
        }
        QCOMPARE(pushed_apart({{10, 10}, {90, 10}}, 26, within)[1], (QPointF{90, 10}));
    }
    void the_fullest_plan_of_the_demo_is_seen_whole()
    {
        Desk d{at(), true};
        fill(d);
        auto& map = map_of(d);
        QCOMPARE(d.window->size(), QSize(1280, 800));
        const auto& c = *d.room->computed();
        const auto out = standing_out(c);
        QVERIFY2(out.size() >= 12, qPrintable(QString::number(out.size())));
        for (const auto* line : out) {
            const Tag* tag = map.tag_of(line->kind);
            QVERIFY2(tag && tag->isVisible(), adjustment(line->kind).key.data());
            QVERIFY(map.rect().contains(tag->geometry()));
            QVERIFY(map.mark_of(line->kind) && map.rect().contains(map.mark_of(line->kind)->toPoint()));
            QVERIFY(!tag->accessibleDescription().isEmpty());
        }
        QCOMPARE(crossings(map.leaders()), 0);
        QVERIFY(map.tag_of(SwayBack)->accessibleDescription().contains("fold"));
        // What is left alone is a line a zone, opened on demand.
        QVERIFY(!d.window->findChild<QuietList*>()->isVisible());
        d.click("zone_2");
        auto* quiet = d.window->findChild<QuietList*>();
        QVERIFY(quiet->isVisible() && !map.isVisible());
        const auto left = left_alone(c, Zone::Widths);
        for (const auto* line : left) {
            const auto name = "open_" + std::string{adjustment(line->kind).key};
            QVERIFY(d.window->findChild<Button*>(QString::fromStdString(name)));
        }
        d.key(Qt::Key_Escape);
        QVERIFY(!quiet->isVisible() && map.isVisible());
    }
    void in_large_text_too_every_change_is_there_beside_the_pieces()
    {
        Desk d{at(), true};
        fill(d);
        for (const double scale : {1.25, 1.5}) {
            for (const QSize size : {QSize{1180, 720}, QSize{1280, 800}, QSize{2560, 1440}}) {
                d.look.set_scale(scale);
                d.window->resize(size);
                d.settle();
                auto& map = map_of(d);
                QRectF tags;
                for (const auto kind : map.shown()) {
                    const Tag* tag = map.tag_of(kind);
                    QVERIFY(tag->isVisible() && map.rect().adjusted(-1, -1, 1, 1).contains(tag->geometry()));
                    for (const auto other : map.shown()) {
                        if (other == kind) continue;
                        QVERIFY(!map.tag_of(other)->geometry().adjusted(1, 1, -1, -1).intersects(tag->geometry()));
                        QVERIFY(!tag->geometry().contains(map.mark_of(other)->toPoint()));
                    }
                }
                QCOMPARE(crossings(map.leaders()), 0);
            }
        }
    }
    void a_mark_is_dragged_and_escape_gives_it_back()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.room->decide(ShoulderLength, Answer::Accepted, Length::mm(-6));
        d.settle();
        auto& map = map_of(d);
        const QPoint hold = map.mark_of(ShoulderLength)->toPoint();
        const auto press_and_pull = [&](QPoint by) {
            QTest::mousePress(&map, Qt::LeftButton, {}, hold);
            QTest::mouseMove(&map, hold + by);
        };
        press_and_pull({6, 2});
        QVERIFY(map.dragging() && d.room->trying());
        QVERIFY(d.line(ShoulderLength).amount != Length::mm(-6));
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_Escape);
        QVERIFY(!map.dragging() && !d.room->trying());
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(-6), Length::mm(1e-9)));
        QTest::mouseRelease(&map, Qt::LeftButton, {}, hold);
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(-6), Length::mm(1e-9)));
        // In inches it goes by sixteenths, and what is let go is kept.
        d.look.set_unit(Unit::Inch);
        d.settle();
        press_and_pull({9, 3});
        QTest::mouseRelease(&map, Qt::LeftButton, {}, hold + QPoint{9, 3});
        const double sixteenths = d.line(ShoulderLength).amount.in_inches() * 16;
        QVERIFY(near(sixteenths, std::round(sixteenths), 1e-9));
        QVERIFY(!d.room->trying() && d.line(ShoulderLength).own_amount);
    }
    // A mark that stays where it is, in the middle of what is cut, is taken hold of as well.
    void every_change_that_stands_out_can_be_dragged()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->accept_all();
        d.window->go_to(Station::Plan);
        d.settle();
        auto& map = map_of(d);
        int dragged = 0;
        for (const auto kind : map.shown()) {
            const auto mark = map.mark_of(kind);
            if (!mark) continue;
            const Length before = d.line(kind).amount;
            open_card(d, kind);
            const QPoint hold = map.mark_of(kind)->toPoint();
            QTest::mousePress(&map, Qt::LeftButton, {}, hold);
            QVERIFY2(map.dragging(), adjustment(kind).key.data());
            bool moved = false;
            for (const QPoint by : {QPoint{7, 0}, QPoint{0, 7}, QPoint{-7, 0}, QPoint{0, -7}}) {
                QTest::mouseMove(&map, hold + by);
                moved = moved || d.line(kind).amount != before;
            }
            QVERIFY2(moved, adjustment(kind).key.data());
            d.window->findChild<PlanStation*>()->setFocus();
            d.key(Qt::Key_Escape);
            QTest::mouseRelease(&map, Qt::LeftButton, {}, hold);
            QVERIFY(is_near(d.line(kind).amount, before, Length::mm(1e-9)));
            ++dragged;
        }
        QCOMPARE(dragged, static_cast<int>(map.shown().size()));
        QVERIFY2(dragged > 4, qPrintable(QString::number(dragged)));
    }
    void arrow_keys_move_it_by_half_millimetres()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.room->decide(ShoulderLength, Answer::Accepted, Length::mm(8));
        open_card(d, ShoulderLength);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_Right);
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(8.5), Length::mm(1e-9)));
        d.key(Qt::Key_Left);
        d.key(Qt::Key_Left);
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(7.5), Length::mm(1e-9)));
        d.click("more_amount_shoulder_length");
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(8.5), Length::mm(1e-9)));
    }
    void a_step_goes_over_nothing_to_the_other_side()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.room->decide(ShoulderLength, Answer::Accepted, Length::mm(1));
        open_card(d, ShoulderLength);
        d.click("less_amount_shoulder_length");
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(-1), Length::mm(1e-9)));
        d.click("more_amount_shoulder_length");
        QVERIFY(is_near(d.line(ShoulderLength).amount, Length::mm(1), Length::mm(1e-9)));
        // Front and back by amounts of their own: each its own buttons.
        d.room->decide({ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4)});
        open_card(d, ShoulderSlope);
        d.click("less_back_shoulder_slope");
        d.click("more_amount_shoulder_slope");
        QVERIFY(is_near(d.line(ShoulderSlope).back, Length::mm(-5), Length::mm(1e-9)));
        QVERIFY(is_near(d.line(ShoulderSlope).amount, Length::mm(-5), Length::mm(1e-9)));
        // Alike now, and still told apart.
        d.click("less_back_shoulder_slope");
        QVERIFY(is_near(d.line(ShoulderSlope).back, Length::mm(-6), Length::mm(1e-9)));
        QVERIFY(is_near(d.line(ShoulderSlope).amount, Length::mm(-5), Length::mm(1e-9)));
    }
    // Past what is usual a step says why it stops; back from there it goes.
    void beyond_the_usual_a_step_back_goes_and_a_step_on_says_why_not()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        const Length most = adjustment(ShoulderLength).most;
        d.room->decide(ShoulderLength, Answer::Accepted, most + Length::mm(4));
        open_card(d, ShoulderLength);
        d.click("more_amount_shoulder_length");
        QVERIFY(is_near(d.line(ShoulderLength).amount, most + Length::mm(4), Length::mm(1e-9)));
        bool told = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            told = told || (l->isVisible() && l->text().contains("More than is usual here"));
        QVERIFY(told);
        for (int i = 0; i < 2; ++i) d.click("less_amount_shoulder_length");
        QVERIFY(is_near(d.line(ShoulderLength).amount, most + Length::mm(2), Length::mm(1e-9)));
    }
    // A front typed while front and back are told apart leaves the back to the proposal, or as it was; undo too.
    void one_face_typed_leaves_the_other_data()
    {
        QTest::addColumn<bool>("inches");
        QTest::newRow("cm") << false;
        QTest::newRow("inches") << true;
    }
    void one_face_typed_leaves_the_other()
    {
        QFETCH(bool, inches);
        Desk d{at(), true};
        lay_bodice(d);
        d.look.set_unit(inches ? Unit::Inch : Unit::Centimetre);
        // What is typed, as the pad then shows it, and what it is.
        struct Typed {
            const char* keys;
            const char* shown;
            Length by;
        };
        const auto typed =
            inches ? std::array{Typed{"5/16", "⁵⁄₁₆", Length::inches(5.0 / 16)},
                                Typed{"-3/16", "\u2212³⁄₁₆", Length::inches(-3.0 / 16)},
                                Typed{"1/8", "⅛", Length::inches(1.0 / 8)}}
                   : std::array{Typed{"0.4", "0.4", Length::mm(4)}, Typed{"-0.3", "\u22120.3", Length::mm(-3)},
                                Typed{"0.2", "0.2", Length::mm(2)}};
        d.window->go_to(Station::Plan);
        for (const auto kind : {ShoulderSlope, BodiceLength}) {
            d.room->forget(kind);
            open_card(d, kind);
            const QString key = QString::fromLatin1(adjustment(kind).key.data());
            const auto id = [&](const char* what) { return (what + key).toUtf8(); };
            if (!d.window->findChild<QLineEdit*>(QString{"back_"} + key)->isVisible())
                d.click(id("faces_").constData());
            const auto type = [&](const QString& field, const Typed& what) {
                auto* e = d.find<QLineEdit>(field.toUtf8().constData());
                e->setFocus();
                e->selectAll();
                d.type(what.keys);
                d.key(Qt::Key_Return);
                QCOMPARE(e->text(), QString::fromUtf8(what.shown));
            };
            const auto all = [&] { return std::pair{d.line(kind).amount, d.line(kind).back}; };
            const Length proposed = d.line(kind).back;
            type("amount_" + key, typed[0]);
            QCOMPARE(all().second, proposed);
            QVERIFY(is_near(all().first, typed[0].by, Length::mm(1e-9)));
            QVERIFY(!d.room->plan().decision(kind)->on(Side::Right, Face::Back));  // undecided still
            type("back_" + key, typed[1]);
            type("amount_" + key, typed[2]);
            QVERIFY(is_near(all().second, typed[1].by, Length::mm(1e-9)));
            QVERIFY(is_near(all().first, typed[2].by, Length::mm(1e-9)));
            d.room->undo();
            QVERIFY(is_near(all().first, typed[0].by, Length::mm(1e-9)));
            d.room->undo();
            QCOMPARE(all().second, proposed);
        }
    }
    void while_a_hand_tries_what_was_proposed_the_picture_stays_before_and_after()
    {
        Desk d{at(), true};
        lay_bodice(d);
        OtherWay other{*d.room};
        const Piece without = front_of(d.room->computed()->altered);
        QVERIFY(other.of(Bust) && other.of(UpperArm));
        d.room->try_out({Bust, Answer::Accepted, Length::mm(14)});
        const auto tried = other.of(Bust);
        QVERIFY(same_paper(*find_piece(tried->before, PieceRole::Front), without));
        QVERIFY(!same_paper(*find_piece(tried->after, PieceRole::Front), without));
        // Another change is shown on what is tried, not on what was there before.
        const auto arm = other.of(UpperArm);
        QVERIFY(same_paper(*find_piece(arm->before, PieceRole::Front), *find_piece(arm->after, PieceRole::Front)));
        d.room->drop_trial();
        QVERIFY(same_paper(*find_piece(other.of(Bust)->before, PieceRole::Front), without));
    }
    void before_and_after_are_the_plan_with_and_without_it()
    {
        Desk d{at(), true};
        lay_bodice(d);
        OtherWay other{*d.room};
        const auto& c = *d.room->computed();
        QVERIFY(d.line(Bust).state == LineState::Proposed);
        const auto proposed = other.of(Bust);
        QVERIFY(proposed.has_value());
        QVERIFY(same_paper(*find_piece(proposed->before, PieceRole::Front), front_of(c.altered)));
        QVERIFY(!same_paper(*find_piece(proposed->after, PieceRole::Front), front_of(c.altered)));
        d.room->decide(Bust, Answer::Accepted, {});
        const auto taken = other.of(Bust);
        QVERIFY(same_paper(*find_piece(taken->after, PieceRole::Front),
                           *find_piece(proposed->after, PieceRole::Front)));
        QVERIFY(same_paper(*find_piece(taken->before, PieceRole::Front),
                           *find_piece(proposed->before, PieceRole::Front)));
        QVERIFY(!other.of(NeckForward));
    }
    void a_zone_is_left_and_the_plan_before_is_compared()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, UpperArm);
        int waiting = 0;
        for (const auto& l : d.room->computed()->lines)
            waiting += l.state == LineState::Proposed && adjustment(l.kind).zone == Zone::Sleeve;
        QVERIFY(waiting > 1);
        d.click("leave_zone");
        for (const auto& l : d.room->computed()->lines) {
            if (adjustment(l.kind).zone == Zone::Sleeve) QVERIFY(l.state != LineState::Proposed);
        }
        d.key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(d.line(UpperArm).state == LineState::Proposed);  // one act
        d.room->decide(Bust, Answer::Accepted, {});
        d.settle();
        d.window->findChild<PlanStation*>()->setFocus();
        const QImage without = map_of(d).grab().toImage();
        d.key(Qt::Key_C);
        const auto labels = d.window->findChildren<QLabel*>();
        QVERIFY(std::any_of(labels.begin(), labels.end(), [](const QLabel* l) {
            return l->isVisible() && l->text().contains("Since the plan before: Bust +1.3 cm, was left");
        }));
        QVERIFY(map_of(d).grab().toImage() != without);
        d.key(Qt::Key_C);
        QVERIFY(map_of(d).grab().toImage() == without);
        // Another pattern has no plan before, though its pieces are named alike.
        lay_pattern(d, "Heron");
        d.settle();
        const QImage tee = map_of(d).grab().toImage();
        d.key(Qt::Key_C);
        QVERIFY(map_of(d).grab().toImage() == tee);
    }
};
SARTORUM_TEST(TestPlanMap)

}  // namespace test_plan_map

#include "test_plan_map.moc"
