// A cap that is raised, lowered or slid forward keeps its shape: told on dense polylines, by the turning of their
// chords. And where the extra of a sleeve split through goes.
#include <QTest>
#include <algorithm>
#include <cmath>
#include <random>

#include "bodices.h"
#include "core/alter/kit/catalogue.h"
#include "core/alter/sleeve/rows.h"
#include "core/paper/redraw/sleeve.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_caps {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

// Where it turns, in radians a millimetre, along the whole cap from the back underarm to the front one.
std::vector<double> turning(const Piece& sleeve)
{
    std::vector<Point> l;
    for (const auto role : {EdgeRole::CapBack, EdgeRole::CapFront}) {
        const Curve& c = edge(sleeve, role).curve;
        for (std::size_t k = 0; k < c.size_default(); ++k) {
            for (int i = 0; i < 400; ++i) l.push_back(c[k].pointAt(i / 400.0));
        }
    }
    std::vector<double> out;
    for (std::size_t i = 2; i < l.size(); ++i) {
        const Point a = l[i - 1] - l[i - 2];
        const Point b = l[i] - l[i - 1];
        const double way = (Geom::L2(a) + Geom::L2(b)) / 2;
        if (way > 1e-6) out.push_back(Geom::angle_between(a, b) / way);
    }
    return out;
}

// How often it changes from one way to the other; a line of more than 20 m radius is straight to a hand.
int inflections(const Piece& sleeve)
{
    constexpr double straight_enough = 5e-5;
    int changes = 0;
    int last = 0;
    for (const double t : turning(sleeve)) {
        const int way = t > straight_enough ? 1 : t < -straight_enough ? -1 : 0;
        if (way == 0) continue;
        changes += last != 0 && way != last;
        last = way;
    }
    return changes;
}

// A half drawn as other people draw it: of several curves that run into each other, their handles a touch longer
// than a cut would leave them, so that no node is idle.
Curve in_several(const Curve& half, std::vector<double> times)
{
    std::vector<Point> out;
    std::vector<Curve> parts;
    Curve left = half;
    double before = 0;
    for (const double t : times) {
        const auto halves = split(left, (t - before) / (1 - before));
        parts.push_back(halves.before);
        left = halves.after;
        before = t;
    }
    parts.push_back(left);
    for (const auto& part : parts) {
        const auto p = controls(part, 0);
        if (out.empty()) out.push_back(p[0]);
        out.insert(out.end(), {p[0] + (p[1] - p[0]) * 1.02, p[3] + (p[2] - p[3]) * 1.02, p[3]});
    }
    return from_controls(out);
}

Garment cap_in_several(Garment g, std::mt19937& rng)
{
    Piece& sleeve = *find_piece(g.pieces, PieceRole::Sleeve);
    for (auto& e : sleeve.edges) {
        if (e.role != EdgeRole::CapBack && e.role != EdgeRole::CapFront) continue;
        std::vector<double> times;
        double at = 0;
        for (int left = static_cast<int>(rng() % 3) + 1; left > 0; --left) {
            at += between(rng, 0.1, (0.92 - at) / left);
            times.push_back(at);
        }
        e.curve = in_several(e.curve, times);
    }
    settle_notches(sleeve);
    return g;
}

double line_of(const Garment& g, std::initializer_list<EdgeRole> roles)
{
    double sum = 0;
    for (const auto& p : g.pieces) {
        for (const auto& e : p.edges) {
            if (std::find(roles.begin(), roles.end(), e.role) == roles.end()) continue;
            for (std::size_t k = 0; k < e.curve.size_default(); ++k) {
                for (int i = 0; i < 2000; ++i)
                    sum += Geom::distance(e.curve[k].pointAt(i / 2000.0), e.curve[k].pointAt((i + 1) / 2000.0));
            }
        }
    }
    return sum;
}

}  // namespace

class TestCaps : public QObject {
    Q_OBJECT
private slots:
    void what_a_split_cap_is_longer_by_goes_somewhere_data()
    {
        QTest::addColumn<int>("way");
        QTest::addRow("gathered") << static_cast<int>(UpperArmMethod::SplitGathered);
        QTest::addRow("armhole lowered") << static_cast<int>(UpperArmMethod::SplitLowered);
    }
    void what_a_split_cap_is_longer_by_goes_somewhere()
    {
        QFETCH(int, way);
        std::mt19937 rng{16};
        for (int i = 0; i < 12; ++i) {
            const auto b = bench(with_sleeve(i == 0 ? plain_bodice() : random_bodice(rng)));
            const double mm = between(rng, 8, 36);
            Plan plan = plan_at("12");
            plan.decide({Kind::UpperArm, Answer::Accepted, Length::mm(mm), {}, static_cast<std::size_t>(way)});
            const auto c = b(plan);
            QVERIFY2(c.line(Kind::UpperArm)->state == LineState::Accepted, qPrintable(QString::number(mm)));
            QVERIFY(c.checks.seams_hold());
            QVERIFY(c.checks.cap && c.checks.cap->holds);
            // Nothing is asked of the cap's height: the extra is where it was put.
            QVERIFY(!c.line(Kind::CapHeight)->proposal);
            const double cap = line_of(c.altered, {EdgeRole::CapBack, EdgeRole::CapFront}) -
                               line_of(c.traced, {EdgeRole::CapBack, EdgeRole::CapFront});
            const double armhole =
                line_of(c.altered, {EdgeRole::Armhole}) - line_of(c.traced, {EdgeRole::Armhole});
            QVERIFY(near(cap, mm, 0.05));
            const bool gathers = static_cast<UpperArmMethod>(way) == UpperArmMethod::SplitGathered;
            QVERIFY2(near(armhole, gathers ? 0 : mm, 0.05), qPrintable(QString::number(armhole)));
            // The sides still meet, and the armhole's corner to the side is the one it was.
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const auto corner = [&](const Garment& g) {
                    const Piece& p = *find_piece(g.pieces, role);
                    return Geom::angle_between(end_direction(edge(p, EdgeRole::Armhole).curve),
                                               start_direction(edge(p, EdgeRole::Side).curve));
                };
                QVERIFY(near(corner(c.altered), corner(c.traced), 1e-3));
            }
        }
    }
    void an_armhole_that_cannot_go_lower_says_how_much_it_carries()
    {
        const auto g = bodice(with_sleeve(plain_bodice()));
        const auto way = static_cast<std::size_t>(UpperArmMethod::SplitLowered);
        const auto no = adjustment(Kind::UpperArm).apply(g, same(400, way));
        QVERIFY(!no);
        QCOMPARE(no.error().why, Why::AmountTooLarge);
        const double most = no.error().high.in_mm();
        QVERIFY(most > 20 && most < 400);
        QVERIFY(adjustment(Kind::UpperArm).apply(g, same(most - 1, way)));
        // Narrower, nothing is longer, and no armhole moves.
        const auto narrower = need(adjustment(Kind::UpperArm).apply(g, same(-20, way)));
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            QVERIFY(same_paper(*find_piece(narrower.garment.pieces, role), *find_piece(g.pieces, role)));
    }
    void a_cap_raised_lowered_or_slid_has_no_dent_data()
    {
        QTest::addColumn<int>("kind");
        QTest::addColumn<double>("mm");
        for (const double mm : {-30.0, -20.0, -13.0, -6.0, -3.0, 3.0, 6.0, 13.0, 20.0, 30.0})
            QTest::addRow("height %g", mm) << static_cast<int>(Kind::CapHeight) << mm;
        for (const double mm : {-13.0, -9.0, -6.0, -3.0, 3.0, 6.0, 9.0, 13.0, 20.0})
            QTest::addRow("forward %g", mm) << static_cast<int>(Kind::CapForward) << mm;
    }
    void a_cap_raised_lowered_or_slid_has_no_dent()
    {
        QFETCH(int, kind);
        QFETCH(double, mm);
        std::mt19937 rng{15};
        for (int i = 0; i < 20; ++i) {
            auto g = bodice(with_sleeve(i == 0 ? plain_bodice() : random_bodice(rng)));
            if (i % 2) g = cap_in_several(std::move(g), rng);
            const auto done = adjustment(static_cast<Kind>(kind)).apply(g, same(mm));
            QVERIFY(done);
            const Piece& was = *find_piece(g.pieces, PieceRole::Sleeve);
            const Piece& is = *find_piece(done->garment.pieces, PieceRole::Sleeve);
            QVERIFY2(
                inflections(is) <= inflections(was),
                qPrintable(QString{"sleeve %1: %2, was %3"}.arg(i).arg(inflections(is)).arg(inflections(was))));
        }
    }
};

SARTORUM_TEST(TestCaps)

}  // namespace test_caps

#include "test_caps.moc"
