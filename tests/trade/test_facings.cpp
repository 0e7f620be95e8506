// Facings drawn anew, against the parallel that GEOS, an independent geometry library, draws.
#include <geos_c.h>

#include <QTest>
#include <algorithm>
#include <cstdarg>
#include <memory>

#include "core/alter/kit/follower_drawing.h"
#include "core/paper/facing.h"
#include "core/paper/outline_validity.h"
#include "dresses.h"
#include "geos_lines.h"
#include "near.h"
#include "tests.h"

namespace test_facings {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

std::vector<Point> points_of(const Shape& line)
{
    std::vector<Point> out;
    const auto* seq = GEOSGeom_getCoordSeq(line.get());
    unsigned n = 0;
    GEOSCoordSeq_getSize(seq, &n);
    for (unsigned i = 0; i < n; ++i) {
        double x = 0;
        double y = 0;
        GEOSCoordSeq_getXY(seq, i, &x, &y);
        out.push_back({x, y});
    }
    return out;
}

Seam facing_seam(const std::string& on)
{
    return {
        "neck-facing-" + on, {{on, EdgeRole::Neck}}, {{"neck-facing-" + on, EdgeRole::Neck}}, {}, Follow::Shape};
}

Pattern faced_dress(int sizes = 3)
{
    Pattern p = graded(fitted_dress(), sizes);
    for (const std::string on : {"front", "back"}) {
        for (auto& sized : p.sizes) {
            Piece facing = need(facing_drawn(*find_piece(sized.pieces, on), EdgeRole::Neck, Length::mm(55)));
            facing.id = facing.name = "neck-facing-" + on;
            facing.edges[0].allowance = Length::mm(9);
            facing.edges[2].allowance = Length::mm(7);
            sized.pieces.push_back(std::move(facing));
        }
        p.seams.push_back(facing_seam(on));
    }
    return *check_pattern(std::move(p));
}

Computed made(const Pattern& p, const Plan& plan)
{
    return need(compute(p, chart_for(p), {}, plan));
}

// The whole of a facing against the edge it lies under: 0.2 mm all along, both ways; its ends on the piece's
// lines.
bool lies_under(const Piece& facing, const Piece& on, EdgeRole role, double width, double within = 0.2)
{
    const Curve sewn = edge(on, role).curve;
    const auto edge_points = bernstein(sewn, 150);
    const auto edge_line = line_through(edge_points);
    const auto outer = bernstein(facing.edges[2].curve, 6);
    const auto outer_line = line_through(bernstein(facing.edges[2].curve, 20));
    const Point first = edge_points.front();
    const Point last = edge_points.back();
    const Point at_first = Geom::unit_vector(edge_points[1] - first);
    const Point at_last = Geom::unit_vector(last - edge_points[edge_points.size() - 2]);
    for (const Point p : outer) {
        // Past the ends it is carried on straight.
        const bool past = Geom::dot(p - first, at_first) < 0 || Geom::dot(p - last, at_last) > 0;
        if (!past && std::abs(apart(edge_line, p) - width) > within) return false;
    }
    // The other way about: the library's own parallel, on the right of the way.
    const auto parallel = shape(GEOSOffsetCurve(edge_line.get(), -width, 16, GEOSBUF_JOIN_ROUND, 5));
    for (const Point p : points_of(parallel)) {
        const bool by_an_end = std::min(Geom::distance(p, outer.front()), Geom::distance(p, outer.back())) < 8;
        if (!by_an_end && apart(outer_line, p) > within) return false;
    }
    auto around = outline_points(on, Length::mm(0.02));
    around.push_back(around.front());
    const auto outline_line = line_through(around);
    for (const std::size_t end : {std::size_t{1}, std::size_t{3}}) {
        for (const Point p : bernstein(facing.edges[end].curve, 4)) {
            if (apart(outline_line, p) > 0.05) return false;
        }
    }
    return true;
}

// Laid back onto its piece: it stays where it lay when it was bought.
Piece laid_on(Piece facing, const Piece& on, EdgeRole role)
{
    const Curve& to = edge(on, role).curve;
    return moved(facing, Geom::Translate(to.initialPoint() - edge(facing, role).curve.initialPoint()));
}

}  // namespace

class TestFacings : public QObject {
    Q_OBJECT
private slots:
    void initTestCase() { initGEOS(no_message, no_message); }
    void cleanupTestCase() { finishGEOS(); }

    void a_facing_can_be_made_from_any_edge()
    {
        std::mt19937 rng{77};
        int made_so_far = 0;
        for (int i = 0; i < tries(60); ++i) {
            const auto body = draw_bodice(random_bodice(rng));
            if (!body) continue;
            for (const auto& piece : body->pieces) {
                for (const auto role : {EdgeRole::Neck, EdgeRole::Armhole}) {
                    const double width = between(rng, 25, 50);
                    const auto facing = facing_drawn(piece, role, Length::mm(width));
                    if (!facing) continue;
                    QVERIFY(lies_under(*facing, piece, role, width));
                    QVERIFY(!unsound(*facing));
                    QVERIFY(near(facing_width(*facing, role)->in_mm(), width, 0.2));
                    ++made_so_far;
                }
            }
        }
        QVERIFY2(made_so_far > tries(120), qPrintable(QString::number(made_so_far)));
    }
    // A waist with darts in it: the facing lies under the seam as it is sewn, darts shut. What lies behind a dart
    // is turned about its tip here by hand.
    void under_a_darted_edge_it_lies_as_the_darts_are_sewn()
    {
        std::mt19937 rng{1129};
        for (int i = 0; i < tries(40); ++i) {
            const auto skirt = draw_skirt(random_skirt(rng));
            if (!skirt) continue;
            for (const Piece& piece : skirt->pieces) {
                if (!piece.part) continue;
                const double width = between(rng, 25, 60);
                const auto facing = need(facing_drawn(piece, EdgeRole::Waist, Length::mm(width)));
                QVERIFY(!unsound(facing));
                QVERIFY(lies_under(facing, facing, EdgeRole::Waist, width));
                const Length sewn = sewn_length(piece, EdgeRole::Waist);
                QVERIFY(is_near(sewn_length(facing, EdgeRole::Waist), sewn, Length::mm(0.3)));
                // The centre lies where it lay.
                QVERIFY(facing.edges.back().on_fold == edge(piece, EdgeRole::Centre).on_fold);
                const auto line = line_through(bernstein(facing.edges[0].curve, 100));
                const Dart& d = piece.darts.at(0);
                const double turn = std::atan2(Geom::cross(d.leg_b - d.tip, d.leg_a - d.tip),
                                               Geom::dot(d.leg_b - d.tip, d.leg_a - d.tip));
                for (const auto& e : piece.edges) {
                    if (e.role != EdgeRole::Waist) continue;
                    const bool behind = Geom::distance(e.curve.initialPoint(), d.leg_b) < 0.01;
                    for (const Point p : bernstein(e.curve, 20)) {
                        const Point off = p - d.tip;
                        const Point turned{off[Geom::X] * std::cos(turn) - off[Geom::Y] * std::sin(turn),
                                           off[Geom::X] * std::sin(turn) + off[Geom::Y] * std::cos(turn)};
                        QVERIFY(apart(line, behind ? d.tip + turned : p) < 0.8);  // trued over the dart
                    }
                }
            }
        }
    }
    // An armhole that bends round tightly where it meets the side: as far as it has a parallel, then straight on.
    void past_a_tight_bend_it_is_carried_on_straight()
    {
        const auto p = graded(fitted_dress(), 1);
        Piece back = *find_piece(p.sizes[0].pieces, std::string{"back"});
        const std::size_t at = *edge_index(back, EdgeRole::Armhole);
        const Curve hole = back.edges[at].curve;
        // The last tenth turns up sharply to the side.
        const auto [before, rest] = split(hole, time_at(hole, length(hole) * 0.9));
        const Point end = rest.finalPoint();
        const Point from = rest.initialPoint();
        const Point along = end_direction(before);
        back.edges[at].curve = joined(before, from_controls({from, from + along * 9, end + Point{-2, -9}, end}));
        const auto facing = facing_drawn(back, EdgeRole::Armhole, Length::mm(45));
        QVERIFY(facing.has_value());
        QVERIFY(!unsound(*facing));
        const auto line = line_through(bernstein(back.edges[at].curve, 200));
        int looked = 0;
        for (const Point q : bernstein(facing->edges[2].curve, 8)) {
            QVERIFY(apart(line, q) > 30 && apart(line, q) < 60);
            looked += std::abs(apart(line, q) - 45) < 0.2;
        }
        QVERIFY(looked > 30);
    }
    void too_little_room_is_said()
    {
        const auto p = graded(fitted_dress(), 1);
        const Piece& front = *find_piece(p.sizes[0].pieces, std::string{"front"});
        QVERIFY(facing_drawn(front, EdgeRole::Neck, Length::mm(300)).error().why == Why::FacingNoRoom);
        QVERIFY(facing_drawn(front, EdgeRole::Neck, Length::mm(160)).error().why == Why::FacingNoRoom);
        QVERIFY(facing_drawn(front, EdgeRole::CapBack, Length::mm(50)).error().why == Why::EdgeMissing);
    }
    void under_a_changed_neckline_it_is_drawn_anew_by_itself()
    {
        const auto p = faced_dress();
        Plan plan = dress_plan("12", "12", "12");
        const auto before = made(p, plan);
        QVERIFY(before.line(Kind::Facings)->state == LineState::NothingKnown);
        plan.decide({Kind::NeckSize, Answer::Accepted, Length::mm(30)});
        const auto after = made(p, plan);
        const auto* line = after.line(Kind::Facings);
        QVERIFY(line->state == LineState::Accepted && line->by_itself && line->steps == 2);
        QVERIFY(&after.lines.back() == line);
        for (const std::string on : {"front", "back"}) {
            const Piece& piece = *find_piece(after.altered.pieces, on);
            const Piece& facing = *find_piece(after.altered.pieces, "neck-facing-" + on);
            // Cut with the allowances it had.
            QCOMPARE(facing.edges[0].allowance, Length::mm(9));
            QCOMPARE(facing.edges[2].allowance, Length::mm(7));
            QVERIFY(largest_gap(facing, *find_piece(before.altered.pieces, "neck-facing-" + on)) > 2);
            QVERIFY(lies_under(laid_on(facing, piece, EdgeRole::Neck), piece, EdgeRole::Neck, 55));
        }
        for (const auto& w : after.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        // Accepted in so many words, with nothing to do any more, it is not called not done.
        Plan asked = dress_plan("12", "12", "12");
        asked.decide({Kind::Facings, Answer::Accepted});
        QVERIFY(made(p, asked).not_done.empty());
        // A change elsewhere leaves it.
        Plan other = dress_plan("12", "12", "12");
        other.decide({Kind::WidthAtHip, Answer::Accepted, Length::mm(30)});
        QVERIFY(made(p, other).line(Kind::Facings)->state == LineState::NothingKnown);
        // Declined, all of them or one.
        plan.decide({Kind::Facings, Answer::Declined});
        const auto left = made(p, plan);
        QVERIFY(left.line(Kind::Facings)->state == LineState::Declined && left.line(Kind::Facings)->steps == 0);
        QVERIFY(std::any_of(left.checks.walks.begin(), left.checks.walks.end(),
                            [](const Walk& w) { return w.seam == "neck-facing-front" && !w.holds; }));
        plan.forget(Kind::Facings);
        Decision one{Kind::Facings, Answer::Declined};
        one.subject = "neck-facing-back";
        plan.put(one);
        QCOMPARE(made(p, plan).line(Kind::Facings)->steps, std::size_t{1});
    }
    void what_cannot_be_drawn_is_not_done_and_said()
    {
        Pattern p = faced_dress();
        for (auto& sized : p.sizes) {  // on the fold behind, where a round back may put a dart into the neck
            for (auto& piece : sized.pieces) {
                for (auto& e : piece.edges) {
                    if (e.role == EdgeRole::Centre) e.on_fold = true;
                }
            }
        }
        Plan plan = dress_plan("12", "12", "12");
        plan.decide({Kind::RoundBack,
                     Answer::Accepted,
                     Length::mm(12),
                     {},
                     method_of_key(adjustment(Kind::RoundBack), "fold_darted")});
        const auto c = made(p, plan);
        QVERIFY(c.line(Kind::RoundBack)->state == LineState::Accepted);
        // A dart in the neck is sewn: the facing has none.
        QVERIFY(c.line(Kind::Facings)->state == LineState::Accepted && c.not_done.empty());
        for (const auto& w : c.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        plan.decide({Kind::ShoulderLength, Answer::Accepted, -Length::mm(80)});
        const auto none = made(p, plan);
        QVERIFY(none.line(Kind::ShoulderLength)->state == LineState::Accepted);
        QVERIFY(none.line(Kind::Facings)->state == LineState::Refused);
        QVERIFY(std::any_of(none.not_done.begin(), none.not_done.end(), [](const NotDone& n) {
            return n.kind == Kind::Facings && n.why.why == Why::FacingNoRoom;
        }));
    }
    void after_any_chain_it_lies_under_the_final_edge()
    {
        std::mt19937 rng{1718};
        const auto p = faced_dress();
        const auto bought = made(p, dress_plan("12", "12", "12"));
        int drawn_anew = 0;
        for (int i = 0; i < tries(80); ++i) {
            const auto size = [&] { return p.sizes[rng() % 3].size; };
            const std::string bust = size();
            Plan plan = dress_plan(bust, size(), size());
            for (const auto& a : catalogue()) {
                if (rng() % 4 || a.at_join == AtJoin::OnlyBelow || a.at_join == AtJoin::WholeGarment) continue;
                std::uniform_real_distribution<double> amount{a.least.in_mm() * 0.4, a.most.in_mm() * 0.4};
                plan.decide({a.kind, Answer::Accepted, Length::mm(amount(rng))});
            }
            const auto c = made(p, plan);
            for (const std::string on : {"front", "back"}) {
                const Piece& piece = *find_piece(c.altered.pieces, on);
                const Piece& facing = *find_piece(c.altered.pieces, "neck-facing-" + on);
                if (c.line(Kind::Facings)->state == LineState::Refused) continue;
                QVERIFY(lies_under(laid_on(facing, piece, EdgeRole::Neck), piece, EdgeRole::Neck, 55));
                drawn_anew += !same_edges(piece, *find_piece(c.traced.pieces, on), EdgeRole::Neck);
            }
        }
        QVERIFY2(drawn_anew >= tries(54), qPrintable(QString::number(drawn_anew)));
    }
};
SARTORUM_TEST(TestFacings)

}  // namespace test_facings

#include "test_facings.moc"
