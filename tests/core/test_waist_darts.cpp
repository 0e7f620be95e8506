// Darts at the waist: deeper, shallower, given up, one more, moved; and what the waist then asks for.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/widths/rows.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"
#include "core/plan/compute.h"
#include "faces.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_waist_darts {

using namespace sartorum;
using test::face;
using test::mm;
using test::skirt_part;

namespace {

Applied done(const Garment& g, WaistDartsWay way, double front, double back)
{
    auto out = alter_waist_darts(g, {Length::mm(front), Length::mm(back), static_cast<std::size_t>(way)});
    if (!out) qFatal("refused: %s", out.error().field.c_str());
    return std::move(*out);
}

double waist(const Garment& g, PieceRole role)
{
    return mm(sewn_length(face(g, role), EdgeRole::Waist));
}

// The waist as it lies, from leg to leg straight.
std::vector<Point> open_waist(const Piece& p)
{
    std::vector<Point> out;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Waist) continue;
        const auto points = flattened(e.curve, Length::mm(0.05));
        out.insert(out.end(), points.begin(), points.end());
    }
    return out;
}

double off_line(const std::vector<Point>& line, Point p)
{
    double best = 1e9;
    for (std::size_t i = 0; i + 1 < line.size(); ++i) {
        const Point d = line[i + 1] - line[i];
        const double along = std::clamp(Geom::dot(p - line[i], d) / std::max(Geom::dot(d, d), 1e-12), 0.0, 1.0);
        best = std::min(best, Geom::distance(p, line[i] + d * along));
    }
    return best;
}

void holds(const Garment& g)
{
    for (const auto& p : g.pieces) {
        const auto ok = check_piece(p);
        if (!ok) qWarning("%s: %s", p.id.c_str(), ok.error().field.c_str());
        QVERIFY(ok.has_value());
        QVERIFY(!unsound(p));
        for (const auto& d : p.darts) {
            QVERIFY(near(Geom::distance(d.leg_a, d.tip), Geom::distance(d.leg_b, d.tip), 0.01));
        }
    }
    QVERIFY(near(mm(sewn_length(face(g, PieceRole::Front), EdgeRole::Side) -
                    sewn_length(face(g, PieceRole::Back), EdgeRole::Side)),
                 0, 0.05));
}

}  // namespace

class TestWaistDarts : public QObject {
    Q_OBJECT
private slots:
    void a_deeper_dart_takes_the_closed_waist_in_and_leaves_the_line()
    {
        for (const auto& g : test::skirts_and_legs(31, 12)) {
            for (const double by : {9.0, -6.0}) {
                const auto out = done(g, WaistDartsWay::AtWaist, by, by);
                holds(out.garment);
                for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                    QVERIFY(near(waist(g, role) - by, waist(out.garment, role), 0.01));
                    const Piece& was = face(g, role);
                    const Piece& now = face(out.garment, role);
                    QVERIFY(Geom::distance(was.darts[0].tip, now.darts[0].tip) < 1e-6);
                    // The waist is a little bent: its chord and its length are not quite alike.
                    const double wider = mm(mouth_width(now.darts[0]) - mouth_width(was.darts[0]));
                    QVERIFY(near(wider, by, 0.6));
                    // On the old line but for what it is trued over the fold.
                    auto line = open_waist(was);
                    for (const Point p : open_waist(now)) QVERIFY(off_line(line, p) < 2);
                }
                QVERIFY(near(mm(sewn_length(face(g, PieceRole::Front), EdgeRole::Side) -
                                sewn_length(face(out.garment, PieceRole::Front), EdgeRole::Side)),
                             0, 1e-6));
            }
        }
    }
    // Common practice: the wedge of a dart of width w and length l is 2·atan(w / 2l) wide.
    void its_angle_is_that_of_its_width_and_length()
    {
        const Garment g = skirt_part(test::plain_skirt());
        const auto out = done(g, WaistDartsWay::AtWaist, 10, 10);
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            const Dart& d = face(out.garment, role).darts[0];
            const double w = mm(mouth_width(d));
            const double l = Geom::distance((d.leg_a + d.leg_b) / 2, d.tip);
            QVERIFY(near(dart_radians(d), 2 * std::atan(w / 2 / l), 1e-6));
        }
        QVERIFY(near(mm(mouth_width(face(out.garment, PieceRole::Front).darts[0])), 30, 0.3));
    }
    void the_side_seam_makes_up_for_it()
    {
        for (const auto& g : test::skirts_and_legs(31, 12)) {
            for (const double by : {8.0, -7.0}) {
                const auto out = done(g, WaistDartsWay::AtSide, by, by / 2);
                holds(out.garment);
                double both = 0;
                for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                    both += waist(out.garment, role) - waist(g, role);
                    const double side = (edge(face(out.garment, role), EdgeRole::Side).curve.initialPoint() -
                                         edge(face(g, role), EdgeRole::Side).curve.initialPoint())[Geom::X];
                    QVERIFY(side * by > 0);
                    const double hip = guide(face(g, role), GuideKind::Hip)->a[Geom::Y];
                    QVERIFY(near(mm(*width_at(face(out.garment, role), hip) - *width_at(face(g, role), hip)), 0,
                                 0.05));
                }
                QVERIFY(near(both, 0, 0.01));
            }
        }
    }
    void given_up_whole_the_waist_runs_on_as_one_line()
    {
        for (const auto& g : test::skirts_and_legs(31, 12)) {
            const double mouth = mm(mouth_width(face(g, PieceRole::Front).darts[0]));
            for (const auto way : {WaistDartsWay::AtWaist, WaistDartsWay::AtSide}) {
                const auto out = done(g, way, -mouth, 0);
                holds(out.garment);
                const Piece& front = face(out.garment, PieceRole::Front);
                QVERIFY(front.darts.empty());
                QVERIFY(!edge_index(front, EdgeRole::DartMouth));
                QCOMPARE(face(out.garment, PieceRole::Back).darts.size(), std::size_t{1});
                const double longer = waist(out.garment, PieceRole::Front) - waist(g, PieceRole::Front);
                QVERIFY(near(longer - (way == WaistDartsWay::AtWaist ? mouth : 0), 0, 0.35));
            }
            const auto more = alter_waist_darts(g, {Length::mm(-mouth - 5), {}, 0});
            QVERIFY(!more.has_value());
            QVERIFY(near(mm(more.error().low) + mouth, 0, 0.1));
        }
    }
    void turned_into_ease_the_closed_waist_stays()
    {
        for (const auto& g : test::skirts_and_legs(31, 8)) {
            const double mouth = mm(mouth_width(face(g, PieceRole::Front).darts[0]));
            const auto out = done(g, WaistDartsWay::Eased, -mouth, -6);
            holds(out.garment);
            for (const auto& [role, eased] :
                 {std::pair{PieceRole::Front, mouth}, std::pair{PieceRole::Back, 6.0}}) {
                QVERIFY(near(waist(out.garment, role), waist(g, role), 1e-6));
                QVERIFY(near(mm(gathered_in(face(out.garment, role), EdgeRole::Waist)), eased, 0.35));
                QVERIFY(near(mm(sewn_length(face(out.garment, role), EdgeRole::Side) -
                                sewn_length(face(g, role), EdgeRole::Side)),
                             0, 1e-6));
            }
            QVERIFY(face(out.garment, PieceRole::Front).darts.empty());
            QCOMPARE(face(out.garment, PieceRole::Back).darts.size(), std::size_t{1});
            // More than cloth eases well is said.
            const double share = mouth / mm(flat_length(face(out.garment, PieceRole::Front), EdgeRole::Waist));
            const bool said = std::any_of(out.cautions.begin(), out.cautions.end(),
                                          [](const Caution& c) { return c.kind == CautionKind::WaistEased; });
            if (share > 0.09) QVERIFY(said);
            if (share < 0.07) QVERIFY(!said);
            QVERIFY(!alter_waist_darts(g, {Length::mm(4), {}, static_cast<std::size_t>(WaistDartsWay::Eased)}));
        }
    }
    void one_more_stands_where_there_is_room()
    {
        for (const auto& g : test::skirts_and_legs(31, 12)) {
            const auto out = done(g, WaistDartsWay::Added, 14, 18);
            holds(out.garment);
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& now = face(out.garment, role);
                const double by = role == PieceRole::Front ? 14 : 18;
                QCOMPARE(now.darts.size(), std::size_t{2});
                QVERIFY(near(waist(g, role) - by, waist(out.garment, role), 0.25));
                const WaistRun run = waist_run(now);
                QVERIFY(run.darts[1] - run.darts[0] > Length::mm(20));
                QVERIFY(run.darts[0] > Length::mm(15) && run.darts[1] < run.length - Length::mm(15));
                const double hip = guide(now, GuideKind::Hip)->a[Geom::Y];
                for (const auto& d : now.darts) QVERIFY(d.tip[Geom::Y] > hip);
                // Folded shut, the waist runs over the new one without a corner.
                const Curve closed = closed_run(now, EdgeRole::Waist);
                std::vector<Length> old_darts;
                for (std::size_t i = 0; i < now.darts.size(); ++i) {
                    if (Geom::distance(now.darts[i].tip, face(g, role).darts[0].tip) < 0.01)
                        old_darts.push_back(run.darts[i]);
                }
                QCOMPARE(old_darts.size(), std::size_t{1});
                const auto points = flattened(closed, Length::mm(0.1));
                for (std::size_t i = 1; i + 1 < points.size(); ++i) {
                    const bool old = std::any_of(old_darts.begin(), old_darts.end(), [&](Length at) {
                        return std::abs(mm(at) - mm(length_to(closed, nearest(closed, points[i]).time))) < 1;
                    });
                    const double turn = Geom::angle_between(points[i] - points[i - 1], points[i + 1] - points[i]);
                    QVERIFY(old || std::abs(turn) < 0.1);
                }
            }
        }
        // Where there is none yet: 9 cm in front, 11.5 behind (common practice).
        SkirtFlat plain = test::plain_skirt();
        plain.front_dart = plain.back_dart = {};
        const Garment g = skirt_part(plain);
        const auto out = done(g, WaistDartsWay::Added, 15, 20);
        for (const auto& [role, l] : {std::pair{PieceRole::Front, 90.0}, std::pair{PieceRole::Back, 115.0}}) {
            const Dart& d = face(out.garment, role).darts.at(0);
            QVERIFY(near(Geom::distance((d.leg_a + d.leg_b) / 2, d.tip), l, 0.3));
        }
        QVERIFY(!alter_waist_darts(g, {Length::mm(-10), {}, static_cast<std::size_t>(WaistDartsWay::Added)}));
        QVERIFY(!alter_waist_darts(g, {Length::mm(10), {}, 0}));  // there is none to make deeper
    }
    void moved_along_it_keeps_its_width_and_the_waist()
    {
        const Garment g = skirt_part(test::plain_skirt());
        const auto out = done(g, WaistDartsWay::Moved, 15, -12);
        holds(out.garment);
        for (const auto& [role, by] : {std::pair{PieceRole::Front, 15.0}, std::pair{PieceRole::Back, -12.0}}) {
            const auto was = waist_run(face(g, role));
            const auto now = waist_run(face(out.garment, role));
            QVERIFY(near(mm(now.darts[0] - was.darts[0]), by, 0.3));
            QVERIFY(near(mm(now.length - was.length), 0, 0.3));
            QVERIFY(near(mm(mouth_width(face(out.garment, role).darts[0]) - mouth_width(face(g, role).darts[0])),
                         0, 0.05));
        }
    }
    void there_and_back_restores()
    {
        for (const auto& g : test::skirts_and_legs(31, 8)) {
            for (const auto way : {WaistDartsWay::AtWaist, WaistDartsWay::AtSide, WaistDartsWay::Moved}) {
                const auto there = done(g, way, 7, 9);
                const auto back = done(there.garment, way, -7, -9);
                for (std::size_t i = 0; i < g.pieces.size(); ++i) {
                    // But for the roofs of the mouths, which are drawn for how the waist meets them.
                    const auto line = open_waist(g.pieces[i]);
                    for (const Point p : open_waist(back.garment.pieces[i])) QVERIFY(off_line(line, p) < 0.35);
                    QVERIFY(same_edges(g.pieces[i], back.garment.pieces[i], EdgeRole::Side) ||
                            std::abs(mm(sewn_length(g.pieces[i], EdgeRole::Side) -
                                        sewn_length(back.garment.pieces[i], EdgeRole::Side))) < 0.1);
                }
            }
        }
    }
    // What the darts give or take is no longer asked of the side seams, and the band follows.
    void the_width_at_the_waist_asks_only_for_the_rest()
    {
        auto bench = test::lockgate_bench();
        bench.body.readings[Measure::Waist] = {Length::mm(866), Length::mm(866)};  // 30 over the chart
        const auto line = [](const Computed& c, AdjustmentKind kind) {
            for (const auto& l : c.lines)
                if (l.kind == kind) return l;
            return PlanLine{};
        };
        auto c = bench();
        QVERIFY(near(mm(line(c, AdjustmentKind::WidthAtWaist).amount), 30, 0.01));
        QVERIFY(!line(c, AdjustmentKind::WaistDarts).proposal);
        bench.plan.decisions = {{AdjustmentKind::WaistDarts, Answer::Accepted, Length::mm(-5), Length::mm(-5)}};
        c = bench();
        QVERIFY(near(mm(line(c, AdjustmentKind::WidthAtWaist).amount), 10, 0.05));
        bench.plan.decisions = {
            {AdjustmentKind::WaistDarts, Answer::Accepted, Length::mm(-7.5), Length::mm(-7.5)}};
        c = bench();
        QVERIFY(line(c, AdjustmentKind::WidthAtWaist).state != LineState::Proposed);
        QVERIFY(c.checks.seams_hold());
        QVERIFY(near(mm(c.altered_flat.of(GarmentMeasure::Band) - c.traced_flat.of(GarmentMeasure::Band)) - 30, 0,
                     0.2));
    }
};
SARTORUM_TEST(TestWaistDarts)

}  // namespace test_waist_darts

#include "test_waist_darts.moc"
