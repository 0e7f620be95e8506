// Edges that are to keep their curve, against constructions by hand on dense polylines: nothing of the program's
// own curves is used but their points. And the same drawing with its nodes elsewhere.
#include <QTest>
#include <cmath>

#include "core/alter/kit/catalogue.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/bodice.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_kept_curves {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;
using Line = std::vector<Point>;

Line dense(const Curve& c, int pieces = 2000)
{
    Line out;
    for (std::size_t k = 0; k < c.size_default(); ++k) {
        const auto p = controls(c, k);
        for (int i = k == 0 ? 0 : 1; i <= pieces; ++i) {  // de Casteljau, written out
            const double t = i / static_cast<double>(pieces);
            const auto mix = [t](Point a, Point b) { return a * (1 - t) + b * t; };
            const Point a = mix(p[0], p[1]);
            const Point b = mix(p[1], p[2]);
            const Point c2 = mix(p[2], p[3]);
            out.push_back(mix(mix(a, b), mix(b, c2)));
        }
    }
    return out;
}

double whole(const Line& l)
{
    double sum = 0;
    for (std::size_t i = 1; i < l.size(); ++i) sum += Geom::distance(l[i - 1], l[i]);
    return sum;
}

double off(const Line& l, Point p)
{
    double best = 1e9;
    for (std::size_t i = 1; i < l.size(); ++i) {
        const Point d = l[i] - l[i - 1];
        const double t = std::clamp(Geom::dot(p - l[i - 1], d) / std::max(1e-12, Geom::dot(d, d)), 0.0, 1.0);
        best = std::min(best, Geom::distance(p, l[i - 1] + d * t));
    }
    return best;
}

double worst_off(const Line& of, const Line& from)
{
    double worst = 0;
    const std::size_t step = std::max<std::size_t>(1, of.size() / 60);
    for (std::size_t k = 0; k < of.size(); k += step) worst = std::max(worst, off(from, of[k]));
    return worst;
}

// A polyline cut off where it first meets a line, or run on backwards to it straight.
Line cut_at(const Line& l, Point from, Point along)
{
    const auto side = [&](Point p) { return Geom::cross(along, p - from); };
    for (std::size_t i = 1; i < l.size(); ++i) {
        if ((side(l[i - 1]) > 0) == (side(l[i]) > 0)) continue;
        const double t = side(l[i - 1]) / (side(l[i - 1]) - side(l[i]));
        Line out{l[i - 1] + (l[i] - l[i - 1]) * t};
        out.insert(out.end(), l.begin() + static_cast<std::ptrdiff_t>(i), l.end());
        return out;
    }
    const Point back = Geom::unit_vector(l[0] - l[1]);
    const double k = -side(l[0]) / Geom::cross(along, back);
    Line out{l[0] + back * k};
    out.insert(out.end(), l.begin(), l.end());
    return out;
}

Line turned_round(Line l)
{
    std::reverse(l.begin(), l.end());
    return l;
}

// The same pattern, some of its edges cut in two or three where nothing ends.
Pattern cut_up(Pattern p, std::mt19937& rng)
{
    for (std::size_t piece = 0; piece < p.sizes.front().pieces.size(); ++piece) {
        for (std::size_t e = 0; e < p.sizes.front().pieces[piece].edges.size(); ++e) {
            if (p.sizes.front().pieces[piece].edges[e].role == EdgeRole::DartMouth || rng() % 3 == 0) continue;
            for (int cuts = 1 + static_cast<int>(rng() % 2); cuts > 0; --cuts) {
                const double share = between(rng, 0.12, 0.88);
                for (auto& sized : p.sizes) {
                    Curve& c = sized.pieces[piece].edges[e].curve;
                    const auto parts = split(c, share * static_cast<double>(c.size_default()));
                    c = joined(parts.before, parts.after);
                }
            }
        }
    }
    return p;
}

Pattern any_pattern(std::mt19937& rng)
{
    for (;;) {
        if (rng() % 4 == 0) return graded_skirt(2);
        BodiceFlat f = rng() % 3 == 0 ? random_princess(rng) : random_bodice(rng);
        if (rng() % 4 == 0) f = plain_tee();
        f = with_sleeve(f, Length::mm(between(rng, 8, 30)));
        const auto one = bodice_pattern(f);
        if (one) return *one;
    }
}

}  // namespace

class TestKeptCurves : public QObject {
    Q_OBJECT
private slots:
    void tips_moved_leave_the_armhole_its_curve_data()
    {
        QTest::addColumn<double>("mm");
        for (const double mm : {-9.0, -6.35, -3.0, 4.0, 6.35, 10.0})
            QTest::newRow(qPrintable(QString::number(mm))) << mm;
    }
    void tips_moved_leave_the_armhole_its_curve()
    {
        QFETCH(double, mm);
        const auto g = bodice(with_sleeve(plain_bodice()));
        const auto done = need(adjustment(Kind::ShoulderSlope).apply(g, same(mm)));
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            const Piece& was = *find_piece(g.pieces, role);
            const Piece& is = *find_piece(done.garment.pieces, role);
            // By hand: the seam through the neck point and the mark square to the tip, the old armhole cut off
            // there.
            const Point neck = neck_point(was);
            const Point tip = shoulder_tip(was);
            const Point along = Geom::unit_vector(tip - neck);
            const Point mark = tip + Point{-along[Geom::Y], along[Geom::X]} * mm;
            const Line drawn =
                cut_at(dense(edge(was, EdgeRole::Armhole).curve), neck, Geom::unit_vector(mark - neck));
            const Line came = dense(edge(is, EdgeRole::Armhole).curve);
            const double worst = worst_off(came, drawn);
            QVERIFY2(worst < 0.3, qPrintable(QString::number(worst)));
            QVERIFY2(near(whole(came), whole(drawn), 0.3), "armhole's length");
            QVERIFY(Geom::distance(came.front(), drawn.front()) < 0.3);
        }
    }
    void the_cap_follows_a_moved_tip_by_what_the_armhole_lost()
    {
        // Tips up a quarter of an inch on both: the armhole 12 to 13 mm shorter, the cap down by 6 to 9 mm (common
        // practice), by what gives the drafted ease again.
        for (const double mm : {-6.35, -9.0, 6.35}) {
            const auto b = bench(with_sleeve(plain_bodice()));
            Plan plan = plan_at("12");
            plan.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(mm)});
            plan.decide({Kind::CapHeight, Answer::Accepted, {}});
            const auto c = b(plan);
            const auto lines = [](const Garment& g, bool cap) {
                double sum = 0;
                for (const auto& p : g.pieces) {
                    for (const auto& e : p.edges) {
                        const bool of_cap = e.role == EdgeRole::CapBack || e.role == EdgeRole::CapFront;
                        if (cap ? of_cap : e.role == EdgeRole::Armhole) sum += whole(dense(e.curve));
                    }
                }
                return sum;
            };
            const double ease = lines(c.traced, true) - lines(c.traced, false);
            QVERIFY(near(lines(c.altered, true) - lines(c.altered, false), ease, 0.5));
            if (mm != -6.35) continue;
            const double lost = lines(c.traced, false) - lines(c.altered, false);
            QVERIFY2(lost > 12 && lost < 13, qPrintable(QString::number(lost)));
            const double down = -c.line(Kind::CapHeight)->amount.in_mm();
            QVERIFY2(down > 6 && down < 9.2, qPrintable(QString::number(down)));
        }
    }
    void an_underarm_moved_leaves_the_armhole_its_curve()
    {
        for (const double mm : {-25.4, -24.0, 25.4, 28.0}) {  // of girth: an inch in at front and back is two
            const auto g = bodice(plain_bodice());
            const auto done = need(adjustment(Kind::UnderarmWidth).apply(g, same(mm)));
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& was = *find_piece(g.pieces, role);
                const Piece& is = *find_piece(done.garment.pieces, role);
                const auto first = *edge_index(is, EdgeRole::Side);
                const Line side = dense(is.edges[first].curve);
                // By hand: the old armhole, from the underarm, cut off where the new side line meets it.
                const Point along = Geom::unit_vector(side[200] - side[0]);
                const Line drawn =
                    cut_at(turned_round(dense(edge(was, EdgeRole::Armhole).curve)), side[400], along);
                const Line came = turned_round(dense(edge(is, EdgeRole::Armhole).curve));
                const double worst = worst_off(came, drawn);
                QVERIFY2(worst < 0.3, qPrintable(QString{"%1 %2"}.arg(mm).arg(worst)));
                // A little more than a quarter, since the side leans and the armhole rises.
                const double gained = underarm(is)[Geom::X] - underarm(was)[Geom::X];
                QVERIFY2(std::abs(gained) > std::abs(mm) / 4 - 1.2 && std::abs(gained) < std::abs(mm) / 4 + 2.5,
                         qPrintable(QString{"%1 %2"}.arg(mm).arg(gained)));
            }
        }
    }
    void the_same_drawing_with_other_nodes_gives_the_same_result()
    {
        std::mt19937 rng{4711};
        int compared = 0;
        for (int i = 0; i < tries(60); ++i) {
            const Pattern plain = any_pattern(rng);
            const auto cut = check_pattern(cut_up(plain, rng));
            QVERIFY(cut.has_value());
            const std::string& size = plain.sizes.front().size;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back({size,
                                   {{Measure::Bust, Length::mm(700)},
                                    {Measure::Waist, Length::mm(500)},
                                    {Measure::Hip, Length::mm(700)}},
                                   0});
            Plan plan = plan_at(size);
            const auto start = compute(plain, chart, {}, plan);
            QVERIFY(start.has_value());
            for (const auto& line : start->lines) {
                const auto& a = adjustment(line.kind);
                Plan one = plan;
                const double share = between(rng, -0.5, 0.6);
                const Length amount = share < 0 ? a.least * -share : a.most * share;
                Decision d{a.kind, Answer::Accepted, amount};
                if (!a.methods.empty()) d.method = rng() % a.methods.size();
                one.decide(d);
                const auto x = compute(plain, chart, {}, one);
                const auto y = compute(*cut, chart, {}, one);
                QVERIFY(x && y);
                QVERIFY2(x->line(a.kind)->state == y->line(a.kind)->state, a.key.data());
                for (std::size_t p = 0; p < x->altered.pieces.size(); ++p) {
                    for (std::size_t e = 0; e < x->altered.pieces[p].edges.size(); ++e) {
                        if (same_edges(x->altered.pieces[p], y->altered.pieces[p],
                                       x->altered.pieces[p].edges[e].role))
                            continue;
                        const Line lx = dense(x->altered.pieces[p].edges[e].curve, 60);
                        const Line ly = dense(y->altered.pieces[p].edges[e].curve, 60);
                        const double worst = worst_off(lx, ly);
                        QVERIFY2(
                            worst < 0.1,
                            qPrintable(QString{"%1 %2 edge %3: %4"}.arg(i).arg(a.key.data()).arg(e).arg(worst)));
                        const auto turn = [](const Line& l, bool end) {
                            const Point way = end ? l.back() - l[l.size() - 3] : l[2] - l[0];
                            return std::atan2(way[Geom::Y], way[Geom::X]) * 180 / M_PI;
                        };
                        for (const bool end : {false, true})
                            QVERIFY2(std::abs(std::remainder(turn(lx, end) - turn(ly, end), 360)) < 0.05,
                                     a.key.data());
                    }
                }
                ++compared;
            }
        }
        QVERIFY(compared > tries(800));
    }
};

SARTORUM_TEST(TestKeptCurves)

}  // namespace test_kept_curves

#include "test_kept_curves.moc"
