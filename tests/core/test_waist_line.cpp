// The waist drawn anew through its stations, against lines worked out in the test.
#include <QtTest>

#include <math.h>  // this header of Boost asks for isnan without a namespace

#include <boost/math/interpolators/pchip.hpp>

#include "core/alter/kit/catalogue.h"
#include "core/alter/kit/make_up.h"
#include "core/alter/lengths/rows.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/dart.h"
#include "core/pattern/gore.h"
#include "core/pattern/joint.h"
#include "core/plan/compute.h"
#include "faces.h"
#include "gored_skirts.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_waist_line {

using namespace sartorum;
using test::between;
using test::face;
using test::mm;
using test::skirt_part;

namespace {

using Marks = std::array<double, station_count>;

Dose dose_of(const Marks& marks)
{
    Dose out;
    for (const double by : marks) out.at.push_back(Length::mm(by));
    out.front = out.back = furthest(out.at);
    return out;
}

Applied done(const Garment& g, const Marks& marks)
{
    auto out = alter_waist_line(g, dose_of(marks));
    if (!out) qFatal("refused: %s", out.error().field.c_str());
    return std::move(*out);
}

// The line through the marks as an independent library draws it, level past both ends.
class Independent {
public:
    Independent(double front, double back, const Marks& by)
        : line_{{-1, 0, front / 2, front, front + back / 2, front + back, front + back + 1},
                {by[0], by[0], by[1], by[2], by[3], by[4], by[4]}}
    {
    }
    double operator()(double x) const { return line_(x); }

private:
    boost::math::interpolators::pchip<std::vector<double>> line_;
};

// A place of the waist with its darts folded shut, so far along it.
Point on_waist(const Piece& p, double along)
{
    const Curve closed = closed_run(p, EdgeRole::Waist);
    return closed.pointAt(time_at(closed, Length::mm(along)));
}

// How far the new waist lies above a place of the old one, parallel to the centre, both folded shut.
double above(const Piece& was, const Piece& is, double along)
{
    const Point at = on_waist(was, along);
    const Curve now = closed_run(is, EdgeRole::Waist);
    const auto times = times_where(now, Geom::X, at[Geom::X]);
    if (times.size() != 1) return 1e9;
    return now.pointAt(times.front())[Geom::Y] - at[Geom::Y];
}

double waist(const Piece& p)
{
    return mm(sewn_length(p, EdgeRole::Waist));
}

Marks random_marks(std::mt19937& rng)
{
    Marks out;
    for (auto& by : out) by = between(rng, -12, 12);
    return out;
}

// The farthest any place of one outline is from the other.
double apart(const Piece& a, const Piece& b)
{
    double most = 0;
    for (const auto& e : a.edges) {
        if (e.role == EdgeRole::DartMouth) continue;  // its roof is drawn for the waist it is folded at
        for (const Point p : flattened(e.curve, Length::mm(0.5))) {
            double near = 1e9;
            for (const auto& f : b.edges) near = std::min(near, nearest(f.curve, p).off);
            most = std::max(most, near);
        }
    }
    return most;
}

std::vector<Garment> what_hangs(std::mt19937& rng, int each)
{
    std::vector<Garment> out;
    while (static_cast<int>(out.size()) < each) {
        if (draw_skirt(test::random_skirt(rng))) out.push_back(skirt_part(test::random_skirt(rng)));
    }
    while (static_cast<int>(out.size()) < 2 * each) {
        const auto flat = test::random_trousers(rng);
        if (const auto p = trousers_pattern(flat)) out.push_back(test::legs_of(*p));
    }
    return out;
}

using Bench = test::TrousersBench;

// Trousers whose chart prints no heights.
Bench lockgate()
{
    return test::lockgate_bench(false);
}

void read(BodySet& b, Measure m, double value)
{
    b.readings[m] = {Length::mm(value), Length::mm(value)};
}

// A body that stands as the chart says, but for so much in front, at the sides and at the back; a chart that
// prints heights, or none that does.
Bench standing(double front, double right, double left, double back, bool charted = true)
{
    Bench b = lockgate();
    if (charted) {
        for (auto& size : b.chart.sizes) {
            size.body[Measure::WaistToFloorFront] = Length::mm(1052);
            size.body[Measure::WaistToFloorSide] = Length::mm(1060);
            size.body[Measure::WaistToFloorBack] = Length::mm(1055);
        }
    }
    read(b.body, Measure::WaistToFloorFront, 1022 + front);
    read(b.body, Measure::WaistToFloorBack, 1025 + back);
    read(b.body, Measure::WaistToFloorSide, 1030 + right);
    if (right != left) b.body.left[Measure::WaistToFloorSide] = {Length::mm(1030 + left), Length::mm(1030 + left)};
    return b;
}

const PlanLine& line_of(const Computed& c)
{
    return *c.line(AdjustmentKind::WaistLine);
}

Decision taken(const std::vector<Amount>& amounts)
{
    Decision d{AdjustmentKind::WaistLine, Answer::Accepted};
    d.amounts = amounts;
    return d;
}

}  // namespace

class TestWaistLine : public QObject {
    Q_OBJECT
private slots:
    void the_line_is_an_independent_librarys()
    {
        std::mt19937 rng{19};
        for (int round = 0; round < 200; ++round) {
            const double front = between(rng, 120, 320);
            const double back = between(rng, 120, 320);
            const Marks by = random_marks(rng);
            AtStations at;
            std::transform(by.begin(), by.end(), at.begin(), [](double v) { return Length::mm(v); });
            const WaistHeights line{Length::mm(front), Length::mm(back), at};
            const Independent wanted{front, back, by};
            for (double x = 0; x <= front + back; x += 5) {
                const auto got = x <= front ? line.at(PieceRole::Front, Length::mm(x))
                                            : line.at(PieceRole::Back, Length::mm(front + back - x));
                QVERIFY(near(mm(got.by), wanted(x), 0.01));
            }
            // Mirrored at both centres: level there.
            QCOMPARE(line.at(PieceRole::Front, Length{}).slope, 0.0);
            QCOMPARE(line.at(PieceRole::Back, Length{}).slope, 0.0);
        }
    }

    // On paper: at the centres along them, at the side along its seam, between them parallel to the centre.
    void the_waist_lies_where_it_is_marked()
    {
        std::mt19937 rng{20};
        for (const auto& g : what_hangs(rng, 12)) {
            const Marks by = random_marks(rng);
            const Applied out = done(g, by);
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& was = face(g, role);
                const Piece& is = face(out.garment, role);
                const bool front = role == PieceRole::Front;
                const double centre = front ? by[0] : by[4];
                const double middle = front ? by[1] : by[3];
                const auto longer = [&](EdgeRole e) { return mm(sewn_length(is, e)) - mm(sewn_length(was, e)); };
                QVERIFY(near(longer(EdgeRole::Centre), centre, 0.01));
                QVERIFY(near(longer(EdgeRole::Side), by[2], 0.01));
                QVERIFY(near(above(was, is, waist(was) / 2), middle, 0.05));
                const Independent wanted{waist(face(g, PieceRole::Front)), waist(face(g, PieceRole::Back)), by};
                const double whole = waist(face(g, PieceRole::Front)) + waist(face(g, PieceRole::Back));
                // Up to the middle; past it the line goes to where it meets the seam, and so it does at a centre
                // that leans.
                const bool leans = edge_index(was, EdgeRole::InnerLeg).has_value();
                for (double share = 0.1; share < 0.5; share += 0.05) {
                    const double x = waist(was) * share;
                    QVERIFY(near(above(was, is, x) - wanted(front ? x : whole - x), 0, (leans ? 0.5 : 0.05)));
                }
                QVERIFY(!unsound(is));
            }
        }
    }

    // Its length is that of the old line with an independent spline on it, cut off at the seams.
    void the_new_edge_is_as_long_as_an_independent_spline()
    {
        std::mt19937 rng{21};
        for (int round = 0; round < 20; ++round) {
            const Garment g = skirt_part(test::random_skirt(rng));
            const Marks by = random_marks(rng);
            const Applied out = done(g, by);
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& was = face(g, role);
                const bool front = role == PieceRole::Front;
                const double f = waist(face(g, PieceRole::Front));
                const double whole = f + waist(face(g, PieceRole::Back));
                const Curve old = closed_run(was, EdgeRole::Waist);
                const Curve now = closed_run(face(out.garment, role), EdgeRole::Waist);
                // Where the new line ends, over the old one carried on straight.
                const Point end = now.finalPoint();
                const Point along = end_direction(old);
                const double on = (end - old.finalPoint())[Geom::X] / along[Geom::X];
                const double up = end[Geom::Y] - (old.finalPoint() + along * on)[Geom::Y];
                Marks upright = by;
                upright[2] = up;
                const double here = waist(was) + on;
                const Independent line{front ? here : f, front ? whole - f : here, upright};
                double sum = 0;
                Point before = now.initialPoint();
                constexpr int parts = 2000;
                for (int i = 1; i <= parts; ++i) {
                    const double x = here * i / parts;
                    const double inside = std::min(x, waist(was) - 1e-7);
                    const Point under =
                        old.pointAt(time_at(old, Length::mm(inside))) + along * std::max(0.0, x - inside);
                    const Point at = under + Point{0, line(front ? x : here + (whole - waist(was)) - x)};
                    sum += Geom::distance(before, at);
                    before = at;
                }
                QVERIFY2(std::abs(sum - mm(length(now))) < 0.3,
                         qPrintable(QString("%1 %2").arg(sum).arg(mm(length(now)))));
            }
        }
    }

    void it_does_not_overshoot()
    {
        std::mt19937 rng{22};
        for (int round = 0; round < 60; ++round) {
            const Garment g = skirt_part(test::random_skirt(rng));
            const Marks by = random_marks(rng);
            const Applied out = done(g, by);
            const Piece& was = face(g, PieceRole::Front);
            const Piece& is = face(out.garment, PieceRole::Front);
            const auto [least, most] = std::minmax({by[0], by[1]});
            for (double share = 0.02; share < 0.48; share += 0.02) {
                const double up = above(was, is, waist(was) * share);
                QVERIFY(up > least - 0.3 && up < most + 0.3);
            }
        }
    }

    // Legs keep their lines, stay alike, and the folded waist runs on over them.
    void darts_keep_their_place()
    {
        std::mt19937 rng{23};
        for (const auto& g : what_hangs(rng, 12)) {
            const Applied out = done(g, random_marks(rng));
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& was = face(g, role);
                const Piece& is = face(out.garment, role);
                QCOMPARE(is.darts.size(), was.darts.size());
                for (std::size_t i = 0; i < was.darts.size(); ++i) {
                    const Dart& a = was.darts[i];
                    const Dart& b = is.darts[i];
                    QVERIFY(Geom::distance(a.tip, b.tip) < 0.01);
                    QVERIFY(near(Geom::distance(b.leg_a, b.tip), Geom::distance(b.leg_b, b.tip), 0.01));
                    QVERIFY(near(dart_radians(a), dart_radians(b), 1e-4));
                    const double off = Geom::cross(Geom::unit_vector(a.leg_a - a.tip), b.leg_a - a.tip);
                    QVERIFY(near(off, 0, 0.05));
                }
                for (const auto mouth : waist_mouths(is)) {
                    const Dart& d = is.darts[dart_at(is, mouth)];
                    const Curve after = is.edges[mouth + 1].curve * closing(d);
                    const double corner =
                        Geom::angle_between(end_direction(is.edges[mouth - 1].curve), start_direction(after));
                    const Dart& o = was.darts[dart_at(was, mouth)];
                    const Curve old = was.edges[mouth + 1].curve * closing(o);
                    const double was_corner =
                        Geom::angle_between(end_direction(was.edges[mouth - 1].curve), start_direction(old));
                    QVERIFY(near(corner, 0, std::abs(was_corner) + 0.01));
                }
            }
        }
    }

    // A full front: lowered in front, the back not touched, and what is sewn together still walks.
    void a_waist_lowered_in_front()
    {
        const Garment g = skirt_part(test::plain_skirt());
        const Applied out = done(g, {-20, -12, 0, 0, 0});
        QVERIFY(same_paper(face(out.garment, PieceRole::Back), face(g, PieceRole::Back)));
        QCOMPARE(out.steps.size(), std::size_t{2});
        QCOMPARE(sewn_length(face(out.garment, PieceRole::Front), EdgeRole::Side),
                 sewn_length(face(g, PieceRole::Front), EdgeRole::Side));
        const Piece& front = face(out.garment, PieceRole::Front);
        const Piece& was = face(g, PieceRole::Front);
        QVERIFY(mouth_width(front.darts.front()) < mouth_width(was.darts.front()));
        QVERIFY(waist(front) > waist(was));  // longer where it is lower
        const auto hem = hem_level(g, out.garment, WaistHigher{Length::mm(-20), {}, {}});
        QVERIFY(hem && hem->holds);
        QVERIFY(!hem_level(g, out.garment)->holds);
    }

    void a_longer_edge_is_said()
    {
        const Garment g = skirt_part(test::plain_skirt());
        const Applied low = done(g, {-25, -25, -25, -25, -25});
        QVERIFY(!low.cautions.empty());
        QCOMPARE(low.cautions.front().kind, CautionKind::WaistLonger);
        const double gained = waist(face(low.garment, PieceRole::Front)) +
                              waist(face(low.garment, PieceRole::Back)) - waist(face(g, PieceRole::Front)) -
                              waist(face(g, PieceRole::Back));
        QVERIFY(near(mm(low.cautions.front().given), gained, 0.01));
        QVERIFY(gained > 6);
        QVERIFY(done(g, {3, 2, 0, 0, 0}).cautions.empty());
    }

    // The middle of a line that became shorter lies elsewhere, and its seams lean: not to the last hair.
    void there_and_back_restores()
    {
        std::mt19937 rng{24};
        for (const auto& g : what_hangs(rng, 8)) {
            Marks up;
            for (auto& by : up) by = between(rng, 0, 9);
            Marks down = up;
            for (auto& by : down) by = -by;
            const Applied back = done(done(g, up).garment, down);
            for (const auto role : {PieceRole::Front, PieceRole::Back})
                QVERIFY2(apart(face(back.garment, role), face(g, role)) < 0.8,
                         qPrintable(QString::number(apart(face(back.garment, role), face(g, role)))));
        }
    }

    void it_does_not_matter_where_nodes_lie()
    {
        const Garment g = skirt_part(test::plain_skirt());
        Garment cut = g;
        for (auto& p : cut.pieces) {
            for (auto& e : p.edges) {
                if (e.role != EdgeRole::Waist && e.role != EdgeRole::Side) continue;
                const auto [before, after] = split(e.curve, 0.37);
                e.curve = joined(before, after);
            }
        }
        const Marks by{12, -7, 5, -14, -9};
        const Applied a = done(g, by);
        const Applied b = done(cut, by);
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            QVERIFY(apart(face(a.garment, role), face(b.garment, role)) < 0.1);
    }

    void gores_stay_sewn_to_one_another()
    {
        const Pattern pattern = *check_pattern(Pattern{
            "Gored", "Nobody", {demo::draw_gored(test::six_gores())}, demo::gored_seams(test::six_gores())});
        const Garment g = part_view({pattern.sizes.front().pieces, pattern.seams}, PartKind::Skirt);
        const Applied out = done(g, {-18, -9, 6, 3, -4});
        for (const auto& seam : upright_seams(out.garment)) {
            const auto flank = [&](const FlankAt& at) {
                const Piece& p = out.garment.pieces[at.piece];
                return mm(sewn_length(p, *flank_role(p, at.flank)));
            };
            QVERIFY(near(flank(seam.b) - flank(seam.a), mm(seam.ease), 0.3));
        }
        for (const auto& p : out.garment.pieces) QVERIFY(!unsound(p));
    }

    // As tall as anybody, standing as the chart says; or any way at all where no chart says how it is drafted.
    void a_body_that_is_the_chart_needs_nothing()
    {
        QCOMPARE(line_of(lockgate()()).state, LineState::NothingKnown);
        QCOMPARE(line_of(standing(0, 0, 0, 0)()).state, LineState::LeaveIt);
        QCOMPARE(line_of(standing(5, 0, 0, -5)()).state, LineState::LeaveIt);
        QCOMPARE(line_of(standing(40, 0, 0, -30, false)()).state, LineState::LeaveIt);
    }

    void heights_over_the_floor_ask_for_what_they_differ_by()
    {
        Bench b = standing(22, 0, 0, 3);
        const auto c = b();
        const PlanLine& line = line_of(c);
        QCOMPARE(line.state, LineState::Proposed);
        QCOMPARE(line.at.size(), std::size_t{station_count});
        QVERIFY(near(mm(line.at[0]), 22, 0.1));
        QVERIFY(near(mm(line.at[2]), 0, 0.1));
        QVERIFY(near(mm(line.at[4]), 3, 0.1));
        QVERIFY(mm(line.at[1]) > 5 && mm(line.at[1]) < 17);  // on the smooth line between them
        b.plan.decide(taken({}));
        const auto done = b();
        QCOMPARE(line_of(done).state, LineState::Accepted);
        const auto longer = [&](GarmentMeasure m) {
            return mm(done.altered_flat.of(m)) - mm(done.traced_flat.of(m));
        };
        QVERIFY(near(longer(GarmentMeasure::CrotchFront), 22, 0.1));
        QVERIFY(near(longer(GarmentMeasure::CrotchBack), 3, 0.1));
        QVERIFY(done.checks.seams_hold());
    }

    // The hem hangs level by it: nothing is to be given back, and a length that is wished begins where it is worn.
    void the_hem_stays()
    {
        const Pattern skirt = test::graded_skirt(1);
        SizeChart chart{"Skirts", "Nobody", {}};
        chart.sizes.push_back({"8", {{Measure::Waist, Length::mm(640)}, {Measure::Hip, Length::mm(880)}}, 0});
        Plan plan = plan_in_sizes("8", "8");
        const auto with = [&](const std::vector<Amount>& amounts, double wish) {
            BodySet body{"2026-11-30", {}};
            if (wish > 0) read(body, Measure::SkirtLength, wish);
            plan.decide(taken(amounts));
            return *compute(skirt, chart, body, plan);
        };
        const std::vector<Amount> tilted{{"centre_front", Face::Both, {}, Length::mm(-12)},
                                         {"side", Face::Both, {}, Length::mm(15)}};
        const auto c = with(tilted, 0);
        QCOMPARE(c.line(AdjustmentKind::HemGivenBack)->state, LineState::NothingKnown);
        QVERIFY(c.checks.hem->holds);
        const double side = mm(c.traced_flat.of(GarmentMeasure::Side));
        QCOMPARE(with(tilted, side).line(AdjustmentKind::FinishedLength)->state, LineState::LeaveIt);
        // Worn 20 mm lower all round: a length that begins there needs 20 more.
        const auto low = with({{{}, Face::Both, {}, Length::mm(-20)}}, side);
        QVERIFY(near(mm(low.line(AdjustmentKind::FinishedLength)->proposal->amount), 20, 0.1));
    }

    // With a chart that prints heights and with one that does not.
    void one_hip_higher_raises_that_side()
    {
        for (const bool charted : {true, false}) one_hip_higher(charted);
    }

    void one_hip_higher(bool charted)
    {
        Bench b = standing(0, 14, -14, 0, charted);
        b.plan.decide(taken({}));
        const auto c = b();
        QVERIFY(c.left.has_value());
        const PlanLine& right = line_of(c);
        const PlanLine& left = *c.left_of(right);
        QCOMPARE(right.sides.how, Sided::Apart);
        QVERIFY(near(mm(right.at[2]), 14, 0.6));
        QVERIFY(near(mm(left.at[2]) + 14, 0, 0.6));
        QCOMPARE(right.at[0], left.at[0]);
        QCOMPARE(right.at[4], left.at[4]);
        QVERIFY(c.checks.seams_hold());
    }

    // A facing and the band are sewn to the line as it is then.
    void facing_and_band_go_with_it()
    {
        Bench b = lockgate();
        b.plan.make_up.facings = {{{"back", EdgeRole::Waist}, Length::mm(50)}};
        b.plan.decide(taken({{"centre_back", Face::Both, {}, Length::mm(-14)},
                             {"mid_back", Face::Both, {}, Length::mm(-9)},
                             {"side", Face::Both, {}, Length::mm(4)}}));
        const auto c = b();
        const Piece& back = face(c.altered, PieceRole::Back);
        const Piece* facing = find_piece(c.altered.pieces, facing_id({"back", EdgeRole::Waist}));
        QVERIFY(facing);
        double nearest_length = 1e9;
        for (const auto& e : facing->edges)
            nearest_length = std::min(nearest_length, std::abs(mm(length(e.curve)) - waist(back)));
        QVERIFY2(nearest_length < 0.2, qPrintable(QString::number(nearest_length)));
        for (const auto& w : c.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        const double band = mm(c.altered_flat.of(GarmentMeasure::Band) - c.traced_flat.of(GarmentMeasure::Band));
        const double edge_gained =
            mm(c.altered_flat.of(GarmentMeasure::Waist) - c.traced_flat.of(GarmentMeasure::Waist));
        QVERIFY(near(band, edge_gained, 0.5));
    }

    // What differs from the waist down to the hip is answered first.
    void it_waits_for_the_way_to_the_hip()
    {
        Bench b = standing(0, 14, -14, 0);
        const Length depth = b.body.taken(Measure::WaistToHip)->value;
        b.body.readings[Measure::WaistToHip] = {depth + Length::mm(20), depth + Length::mm(20)};
        QCOMPARE(line_of(b()).state, LineState::LeaveIt);
        b.plan.decide({AdjustmentKind::WaistToHip, Answer::Declined});
        QCOMPARE(line_of(b()).state, LineState::Proposed);
    }

    // What is said without a place is of every one; of one side alone it is of none where both sides meet.
    void amounts_are_taken_at_places()
    {
        Bench b = lockgate();
        b.plan.decide(taken({{{}, Face::Both, {}, Length::mm(-10)}}));
        const auto whole = b();
        for (const auto by : line_of(whole).at) QCOMPARE(by, Length::mm(-10));
        b.plan.decide(taken(
            {{"centre_front", Face::Both, {}, Length::mm(-20)}, {"side", Face::Both, Side::Left, Length::mm(6)}}));
        const auto c = b();
        const auto& right = line_of(c);
        const auto& left = *c.left_of(right);
        QCOMPARE(right.at, (std::vector{Length::mm(-20), Length{}, Length{}, Length{}, Length{}}));
        QCOMPARE(left.at, (std::vector{Length::mm(-20), Length{}, Length::mm(6), Length{}, Length{}}));
        QCOMPARE(right.amount, Length::mm(-20));
        b.plan.decide(taken({{{}, Face::Both, Side::Right, Length::mm(8)}}));
        const auto d = b();
        QCOMPARE(line_of(d).at, (std::vector{Length{}, Length::mm(8), Length::mm(8), Length::mm(8), Length{}}));
        QCOMPARE(d.left_of(line_of(d))->amount, Length{});
        QVERIFY(d.checks.seams_hold());
    }

    void each_half_is_the_whole_with_its_amounts()
    {
        const auto amounts = [](std::optional<Side> side, double mid, double hip) {
            return std::vector<Amount>{{"mid_front", Face::Both, side, Length::mm(mid)},
                                       {"side", Face::Both, side, Length::mm(hip)},
                                       {"mid_back", Face::Both, side, Length::mm(mid)}};
        };
        Bench b = lockgate();
        auto both = amounts(Side::Right, 4, 12);
        for (const auto& a : amounts(Side::Left, -3, -7)) both.push_back(a);
        b.plan.decide(taken(both));
        const auto c = b();
        b.plan.decide(taken(amounts({}, 4, 12)));
        const auto right = b();
        b.plan.decide(taken(amounts({}, -3, -7)));
        const auto left = b();
        for (std::size_t i = 0; i < c.altered.pieces.size(); ++i) {
            QVERIFY(same_paper(c.altered.pieces[i], right.altered.pieces[i]));
            QVERIFY(same_paper(c.left->altered.pieces[i], left.altered.pieces[i]));
        }
    }

    void an_amount_at_a_place_that_is_none_is_refused()
    {
        Bench b = lockgate();
        b.plan.decide(taken({{"elbow", Face::Both, {}, Length::mm(5)}}));
        QCOMPARE(line_of(b()).state, LineState::Refused);
        QCOMPARE(line_of(b()).refusal->why, Why::PlaceUnknown);
        b.plan.decide(taken({{"centre_back", Face::Both, Side::Left, Length::mm(5)}}));
        QCOMPARE(line_of(b()).refusal->why, Why::SidesAlike);
        // No other adjustment has that place.
        Decision hip{AdjustmentKind::WaistToHip, Answer::Accepted};
        hip.amounts = {{"side", Face::Both, {}, Length::mm(5)}};
        b.plan.decide(hip);
        QCOMPARE(b().line(AdjustmentKind::WaistToHip)->refusal->why, Why::PlaceUnknown);
    }

    void what_is_dragged_is_what_is_computed_anew()
    {
        Bench b = lockgate();
        b.plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(20)});
        b.plan.decide(taken({{"centre_front", Face::Both, {}, Length::mm(-12)}}));
        Work work = work_of(b.pattern, b.chart, b.body, b.plan);
        Computed dragged = *compute(work);
        for (const double by : {-13.0, -14.0, -15.5}) {
            work.plan.decide(taken({{"centre_front", Face::Both, {}, Length::mm(by)},
                                    {"side", Face::Both, Side::Left, Length::mm(-by / 3)}}));
            dragged = *recompute(std::move(dragged), work);
        }
        const Computed anew = *compute(work);
        for (std::size_t i = 0; i < anew.altered.pieces.size(); ++i)
            QVERIFY(same_paper(dragged.altered.pieces[i], anew.altered.pieces[i]));
        QCOMPARE(dragged.steps.size(), anew.steps.size());
    }

    // Too much of it is refused with the most that is carried, at every station alike less.
    void more_than_the_paper_carries_is_refused_with_the_most()
    {
        Bench b = lockgate();
        b.plan.decide(taken({{{}, Face::Both, {}, Length::mm(-170)}}));
        const auto c = b();
        const auto& line = line_of(c);
        QCOMPARE(line.state, LineState::Refused);
        QVERIFY(line.refusal->low < Length::mm(-30));
        QVERIFY(line.refusal->low > Length::mm(-170));
    }

    void what_leaves_no_paper_is_refused()
    {
        const Garment g = skirt_part(test::plain_skirt());
        QVERIFY(!alter_waist_line(g, dose_of({-150, -150, -150, -150, -150})));
        QVERIFY(!alter_waist_line(g, Dose{Length{}}));
        QVERIFY(!alter_waist_line(g, dose_of({-320, 0, 0, 0, 0})));
    }
};

SARTORUM_TEST(TestWaistLine)

}  // namespace test_waist_line

#include "test_waist_line.moc"
