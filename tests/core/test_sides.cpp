// Left and right: each half is the whole computed with its amount; what moves the centre is done together.
#include <QTest>
#include <algorithm>
#include <random>

#include <array>
#include <tuple>

#include "core/paper/outline_validity.h"
#include "core/pattern/gore.h"
#include "core/pattern/whole_piece.h"
#include "core/plan/cut_out.h"
#include "core/plan/finished.h"
#include "core/plan/first_plan.h"
#include "core/plan/step_telling.h"
#include "dresses.h"
#include "gored_skirts.h"
#include "near.h"
#include "princess_fronts.h"
#include "skirts.h"
#include "tests.h"
#include "tops.h"
#include "trousers.h"

namespace test_sides {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

const Length mm = Length::mm(1);

Decision unlike(Kind kind, Length right, Length left)
{
    Decision d{kind, Answer::Accepted};
    d.set({Face::Both, Side::Right}, right);
    d.set({Face::Both, Side::Left}, left);
    return d;
}

Decision alike(Kind kind, Length amount)
{
    return {kind, Answer::Accepted, amount};
}

Plan with(Plan plan, std::initializer_list<Decision> decisions)
{
    for (const auto& d : decisions) plan.decide(d);
    return plan;
}

bool same_garment(const Garment& a, const Garment& b)
{
    return a.pieces.size() == b.pieces.size() &&
           std::equal(a.pieces.begin(), a.pieces.end(), b.pieces.begin(),
                      [](const Piece& p, const Piece& q) { return same_paper(p, q); });
}

const Garment& left_of(const Computed& c)
{
    return c.left ? c.left->altered : c.altered;
}

Bench shirt()
{
    return bench(with_sleeve(plain_bodice(), Length::mm(20)));
}

Bench skirt()
{
    auto p = graded_skirt();
    SizeChart chart{"C", "N", {}};
    for (std::size_t i = 0; i < p.sizes.size(); ++i) {
        const double more = 40.0 * static_cast<double>(i);
        chart.sizes.push_back({p.sizes[i].size,
                               {{Measure::Waist, Length::mm(640 + more)}, {Measure::Hip, Length::mm(880 + more)}},
                               0});
    }
    return {std::move(p), std::move(chart)};
}

Plan skirt_plan()
{
    return plan_in_sizes("14", "14");
}

Bench trousers()
{
    const auto drawn = *demo::lockgate_trousers();
    return {need(check_pattern(drawn.pattern)), drawn.chart};
}

Plan trousers_plan()
{
    Plan plan = plan_in_sizes("46", "46");
    plan.choosing.kind = GarmentKind::Trousers;
    return plan;
}

Bench gores()
{
    const auto g = six_gores();
    Pattern p{"Gored", "Nobody", {demo::draw_gored(g)}, demo::gored_seams(g)};
    SizeChart chart{"C", "N", {}};
    chart.sizes.push_back({"14", {{Measure::Waist, Length::mm(715)}, {Measure::Hip, Length::mm(960)}}, 0});
    return {need(check_pattern(std::move(p))), std::move(chart)};
}

Bench dress(const DressFlat& flat)
{
    auto p = graded(flat);
    auto chart = chart_for(p);
    return {std::move(p), std::move(chart)};
}

double centre_of(const Garment& g, PieceRole face, PartKind part)
{
    const Garment view = part_view(g, part);
    return sewn_length(view.pieces[face_of(view.pieces, face).front()], EdgeRole::Centre).in_mm();
}

// Both centres of every part are equally long.
bool centres_meet(const Computed& c)
{
    for (const auto part : parts_of(c.altered.pieces)) {
        for (const auto face : {PieceRole::Front, PieceRole::Back}) {
            const double right = centre_of(c.altered, face, part);
            const double left = centre_of(left_of(c), face, part);
            if (std::abs(right - left) < 1e-3) continue;
            qWarning("centre %d: %.6f on the right, %.6f on the left", int(face), right, left);
            return false;
        }
    }
    return true;
}

// As if both sides were the one.
Plan of_side(Plan plan, Side side)
{
    for (auto& d : plan.decisions) {
        const auto by = d.on(side, Face::Both);
        d.amounts.clear();
        d.set_amount(by);
    }
    return plan;
}

// What would hold with one amount holds beside another.
bool walks_as(const Checks& here, const Checks& alone)
{
    for (std::size_t i = 0; i < here.walks.size(); ++i) {
        if (here.walks[i].holds || !alone.walks[i].holds) continue;
        qWarning("%s: %.3f", here.walks[i].seam.c_str(), here.walks[i].difference.in_mm());
        return false;
    }
    return true;
}

BodySet read_apart(Measure m, double right, double left, BodySet body = {})
{
    body.date = "2026-11-29";
    body.readings[m] = {Length::mm(right), Length::mm(right)};
    body.left[m] = {Length::mm(left), Length::mm(left)};
    return body;
}

// Of a piece for one side, or of the half of a whole one: the edges on that side of its centre line, where the
// right half lies on the right hand of the way the line goes.
Piece half_of(const std::vector<PieceToCut>& pieces, PieceRole role, Side side)
{
    for (const auto& p : pieces) {
        if (p.piece.role != role || (p.side && *p.side != side)) continue;
        if (!p.whole) return p.piece;
        const Guide centre = *guide(p.piece, GuideKind::Centre);
        Piece out = p.piece;
        std::erase_if(out.edges, [&](const Edge& e) {
            const Point at = e.curve.pointAt(0.5);
            const bool on_right = Geom::cross(centre.b - centre.a, at - centre.a) < 0;
            return on_right != (side == Side::Right);
        });
        return out;
    }
    qFatal("no such piece");
}

// Going round, clockwise, the run of the middle role comes between the two others.
bool passes(const Piece& p, const std::array<EdgeRole, 3>& in_turn)
{
    const std::size_t n = p.edges.size();
    for (std::size_t i = 0; i < n; ++i) {
        if (p.edges[i].role != in_turn[1] || p.edges[(i + n - 1) % n].role != in_turn[0]) continue;
        std::size_t k = i;
        while (p.edges[k % n].role == in_turn[1] || p.edges[k % n].role == EdgeRole::DartMouth) ++k;
        if (p.edges[k % n].role == in_turn[2]) return true;
    }
    return false;
}

bool beside(const Piece& a, const std::array<EdgeRole, 3>& round_a, const Piece& b,
            const std::array<EdgeRole, 3>& round_b)
{
    return (passes(a, round_a) && passes(b, round_b)) ||
           (passes(a, {round_a[2], round_a[1], round_a[0]}) && passes(b, {round_b[2], round_b[1], round_b[0]}));
}

bool near_mm(Length a, Length b)
{
    return std::abs((a - b).in_mm()) < 1e-6;
}

}  // namespace

class TestSides : public QObject {
    Q_OBJECT
private slots:
    void equal_amounts_are_one()
    {
        const auto sew = shirt();
        const auto one = sew(with(plan_at("14"), {alike(Kind::ShoulderSlope, mm * -6)}));
        const auto two = sew(with(plan_at("14"), {unlike(Kind::ShoulderSlope, mm * -6, mm * -6)}));
        QVERIFY(!two.left);
        QVERIFY(same_garment(one.altered, two.altered));
        QCOMPARE(two.steps.size(), one.steps.size());
    }

    // Of every adjustment that leaves the centre where it is: each half is what the whole would be.
    void each_half_is_the_whole_with_its_amount()
    {
        const auto check = [](const Bench& sew, const Plan& plan, const Adjustment& entry, Length right,
                              Length left) {
            const auto both = sew(with(plan, {unlike(entry.kind, right, left)}));
            const auto line = both.line(entry.kind);
            if (!line || line->state != LineState::Accepted) return false;
            const auto on_right = sew(with(plan, {alike(entry.kind, right)}));
            const auto on_left = sew(with(plan, {alike(entry.kind, left)}));
            const bool same =
                same_garment(both.altered, on_right.altered) && same_garment(left_of(both), on_left.altered);
            if (!same) qWarning("%s", std::string{entry.key}.c_str());
            if (!same || !centres_meet(both))
                qFatal("a half is not the whole: %s", std::string{entry.key}.c_str());
            return true;
        };
        int done = 0;
        for (const auto& entry : catalogue()) {
            if (entry.at_centre != AtCentre::Clear) continue;
            if (!entry.places.empty()) continue;  // its centres are places of it: test_waist_line.cpp
            const bool pinch = entry.least >= Length{};
            const Length right = pinch ? entry.most * 0.5 : entry.most * 0.4;
            const Length left = pinch ? entry.most * 0.3 : entry.least * 0.3;
            for (const auto& [sew, plan] : {std::pair{shirt(), plan_at("14")}, std::pair{skirt(), skirt_plan()},
                                            std::pair{trousers(), trousers_plan()}})
                done += check(sew, plan, entry, right, left);
        }
        QVERIFY2(done > 20, qPrintable(QString::number(done)));
    }

    void what_moves_the_centre_is_done_together()
    {
        const auto sew = shirt();
        const auto c = sew(with(plan_at("14"), {unlike(Kind::BodiceLength, mm * 12, mm * 20)}));
        QVERIFY(!c.left);
        QCOMPARE(c.line(Kind::BodiceLength)->amount, mm * 20);
        QCOMPARE(c.line(Kind::BodiceLength)->sides.how, Sided::Together);
        const auto whole = sew(with(plan_at("14"), {alike(Kind::BodiceLength, mm * 20)}));
        QVERIFY(same_garment(c.altered, whole.altered));
    }

    // Each side its own amount; the centres then have one length, and the side seams what their amount asked.
    void a_bust_and_a_hip_by_side_meet_at_the_centre()
    {
        const auto top = shirt();
        const auto c = top(with(plan_at("14"), {unlike(Kind::Bust, mm * 12, mm * 26)}));
        QVERIFY(c.left && centres_meet(c));
        const auto whole = top(with(plan_at("14"), {alike(Kind::Bust, mm * 26)}));
        QVERIFY(same_garment(c.left->altered, whole.altered));  // the longer is as it is
        const auto smaller = top(with(plan_at("14"), {alike(Kind::Bust, mm * 12)}));
        QCOMPARE(c.left->right_flat.of(GarmentMeasure::Side), smaller.altered_flat.of(GarmentMeasure::Side));

        const auto below = skirt();
        const auto hips = below(with(skirt_plan(), {unlike(Kind::WaistToHip, mm * 30, mm * 18)}));
        QVERIFY(hips.left && centres_meet(hips));
        const auto right = below(with(skirt_plan(), {alike(Kind::WaistToHip, mm * 30)}));
        const auto left = below(with(skirt_plan(), {alike(Kind::WaistToHip, mm * 18)}));
        QVERIFY(same_garment(hips.altered, right.altered));
        QCOMPARE(hips.left->flat.of(GarmentMeasure::Side), left.altered_flat.of(GarmentMeasure::Side));
        // Level at the centre, and darts whose legs are equal.
        const Piece& front = front_of(hips.left->altered);
        QVERIFY(near(start_direction(front.edges.front().curve)[Geom::Y], 0, 1e-6));
        QVERIFY(hips.left->checks.seams_hold());
        QVERIFY(hips.checks.seams_hold());
    }

    void measured_sides_are_one_within_the_noise_and_two_beyond()
    {
        const auto sew = shirt();
        const Measure m = Measure::UpperArm;
        const double plain = sew(plan_at("14")).traced_flat.of(GarmentMeasure::UpperArm).in_mm();
        // Nothing is printed for the arm: it is brought up to what one moves in.
        const auto lacking = [&](double right, double left) {
            Plan plan = plan_at("14");
            plan.decide({Kind::UpperArm, Answer::Accepted});
            return sew(plan, read_apart(m, plain + right - 40, plain + left - 40));
        };
        const auto within = lacking(30, 34);
        QVERIFY(!within.left);
        QCOMPARE(within.line(Kind::UpperArm)->sides.how, Sided::WithinNoise);
        const auto small = lacking(30, 40);
        QVERIFY(!small.left);
        QCOMPARE(small.line(Kind::UpperArm)->sides.how, Sided::Larger);
        QVERIFY(small.line(Kind::UpperArm)->sides.right->amount < small.line(Kind::UpperArm)->amount);
        const auto apart = lacking(20, 60);
        QVERIFY(apart.left);
        const PlanLine& line = *apart.line(Kind::UpperArm);
        QCOMPARE(line.sides.how, Sided::Apart);
        const double more = (apart.left_of(line)->amount - line.amount).in_mm();
        QVERIFY2(std::abs(more - 40) < 6, qPrintable(QString::number(more)));  // the larger needs a little more
        QVERIFY(apart.left->flat.of(GarmentMeasure::UpperArm) >
                apart.left->right_flat.of(GarmentMeasure::UpperArm));
    }

    void the_wearer_decides_for_one_and_for_all()
    {
        const auto sew = shirt();
        const double plain = sew(plan_at("14")).traced_flat.of(GarmentMeasure::UpperArm).in_mm();
        const auto body = read_apart(Measure::UpperArm, plain - 20, plain + 20);
        Plan plan = plan_at("14");
        plan.decide({Kind::UpperArm, Answer::Accepted});
        plan.sides = SidesWay::Larger;
        const auto larger = sew(plan, body);
        QVERIFY(!larger.left);
        QCOMPARE(larger.line(Kind::UpperArm)->sides.how, Sided::Larger);
        Decision own{Kind::UpperArm, Answer::Accepted};
        own.sides = SidesWay::Apart;
        plan.decide(own);
        QVERIFY(sew(plan, body).left);
        const auto same = read_apart(Measure::UpperArm, plain + 20, plain + 21);
        QVERIFY(!sew(plan, same).left);  // apart, and yet nothing is between them
    }

    // A side that needs nothing gets nothing.
    void nothing_without_a_need_on_one_side()
    {
        const auto sew = shirt();
        const auto traced = sew(plan_at("14"));
        const double plain = traced.traced_flat.of(GarmentMeasure::UpperArm).in_mm();
        const auto c = sew(plan_at("14"), read_apart(Measure::UpperArm, plain - 90, plain));
        const PlanLine& line = *c.line(Kind::UpperArm);
        QCOMPARE(line.state, LineState::Proposed);
        QCOMPARE(line.amount, Length{});
        QVERIFY(c.left && c.left_of(line)->amount > mm * 20);
        Plan plan = plan_at("14");
        plan.decide({Kind::UpperArm, Answer::Accepted});
        const auto done = sew(plan, read_apart(Measure::UpperArm, plain - 90, plain));
        QVERIFY(same_garment(done.altered, traced.altered));
        QVERIFY(!same_garment(done.left->altered, traced.altered));
    }

    // What one side cannot carry is not done on the other alone.
    void refused_on_one_side_is_refused()
    {
        const auto sew = shirt();
        const auto c = sew(with(plan_at("14"), {unlike(Kind::UpperArm, mm * 10, mm * 500)}));
        const PlanLine& line = *c.line(Kind::UpperArm);
        QCOMPARE(line.state, LineState::Refused);
        QCOMPARE(line.refused_on, std::optional{Side::Left});
        QVERIFY(same_garment(c.altered, c.traced));
        QVERIFY(same_garment(left_of(c), c.traced));
        QCOMPARE(c.not_done.size(), std::size_t{1});
    }

    // Asked in a way that cannot be done at all: no side is named for it.
    void what_no_side_can_do_is_not_laid_on_one()
    {
        const auto sew = shirt();
        auto asked = unlike(Kind::UpperArm, mm * 10, mm * 20);
        asked.amounts.push_back({"", Face::Front, Side::Left, mm * 30});
        const auto c = sew(with(plan_at("14"), {asked}));
        const PlanLine& line = *c.line(Kind::UpperArm);
        QCOMPARE(line.state, LineState::Refused);
        QVERIFY(line.refusal && line.refusal->why == Why::FacesAlike);
        QVERIFY(!line.refused_on);
    }

    // Two unlike sleeves over equal arms: neither hides behind the other.
    void each_arm_has_the_ease_of_its_own_sleeve()
    {
        const auto sew = shirt();
        const double plain = sew(plan_at("14")).traced_flat.of(GarmentMeasure::UpperArm).in_mm();
        const auto body = read_apart(Measure::UpperArm, plain - 20, plain - 20);
        const auto ease = [&](const Decision& d) {
            std::vector<EaseCheck> out = sew(with(plan_at("14"), {d}), body).checks.ease;
            std::erase_if(out, [](const EaseCheck& e) { return e.measure != Measure::UpperArm; });
            return out;
        };
        const auto wide = ease(alike(Kind::UpperArm, mm * 60));
        const auto narrow = ease(alike(Kind::UpperArm, mm * -15));
        const auto both = ease(unlike(Kind::UpperArm, mm * 60, mm * -15));
        QCOMPARE(both.size(), std::size_t{2});
        for (const auto& [of, one, side] :
             {std::tuple{both[0], wide, Side::Right}, std::tuple{both[1], narrow, Side::Left}}) {
            QCOMPARE(one.size(), std::size_t{1});
            QCOMPARE(of.side, std::optional{side});
            QVERIFY(near(of.ease, one.front().ease, mm * 1e-9));
            QCOMPARE(of.holds, one.front().holds);
        }
        QVERIFY(both[0].holds && !both[1].holds);
    }

    // A cap over its own armhole.
    void a_knock_on_follows_its_own_side()
    {
        const auto sew = shirt();
        Plan plan = with(plan_at("14"), {unlike(Kind::ShoulderSlope, mm * -16, mm * -4)});
        plan.decide({Kind::CapHeight, Answer::Accepted});
        const auto c = sew(plan);
        QVERIFY(c.left);
        QVERIFY(c.checks.cap->holds);
        QVERIFY(c.left->checks.cap->holds);
        const PlanLine& line = *c.line(Kind::CapHeight);
        QVERIFY(line.amount < c.left_of(line)->amount - mm);
    }

    // On the cloth, right side up: cut, turned over where it must be, and laid beside what it is sewn to. Two
    // pieces that are opened flat at their seam lie on either side of it: going round each the same way, the seam
    // is passed from the one end to the other on one piece and back on the other.
    void never_a_left_piece_called_right()
    {
        Plan plan = with(plan_at("14"), {unlike(Kind::ShoulderSlope, mm * -14, mm * -4)});
        plan.decide(unlike(Kind::UnderarmWidth, mm * 8, mm * 2));
        plan.decide(unlike(Kind::UpperArm, mm * 10, mm * 24));
        const auto c = shirt()(plan);
        QVERIFY(c.left && cut_by_side(c));
        const auto pieces = cut_out(c);
        for (const auto side : both_sides) {
            const auto piece = [&](PieceRole role) { return half_of(pieces, role, side); };
            const auto [front, back, sleeve] =
                std::tuple{piece(PieceRole::Front), piece(PieceRole::Back), piece(PieceRole::Sleeve)};
            using enum EdgeRole;
            QVERIFY(beside(front, {Armhole, Side, Waist}, back, {Waist, Side, Armhole}));
            QVERIFY(beside(front, {Neck, Shoulder, Armhole}, back, {Armhole, Shoulder, Neck}));
            QVERIFY(beside(front, {Shoulder, Armhole, Side}, sleeve, {UnderarmFront, CapFront, CapBack}));
            QVERIFY(beside(back, {Side, Armhole, Shoulder}, sleeve, {CapFront, CapBack, UnderarmBack}));
            // Seen from behind the wearer's right is on the right; seen from the front it is on the left.
            const double back_side = edge(back, Side).curve.initialPoint()[Geom::X];
            const double back_neck = edge(back, Neck).curve.initialPoint()[Geom::X];
            QVERIFY((back_side > back_neck) == (side == sartorum::Side::Right));
            const double front_side = edge(front, Side).curve.initialPoint()[Geom::X];
            const double front_neck = edge(front, Neck).curve.initialPoint()[Geom::X];
            QVERIFY((front_side < front_neck) == (side == sartorum::Side::Right));
            // And the paper is that side's.
            const auto& half = side == sartorum::Side::Right ? c.altered : c.left->altered;
            QVERIFY(near_mm(sewn_length(sleeve, CapBack), sewn_length(sleeve_of(half), CapBack)));
            QVERIFY(near_mm(sewn_length(front, Shoulder), sewn_length(front_of(half), Shoulder)));
        }
    }

    void a_piece_on_the_fold_is_both_halves()
    {
        const auto c = skirt()(with(skirt_plan(), {unlike(Kind::WaistToHip, mm * 30, mm * 12)}));
        const auto pieces = cut_out(c);
        const auto front = std::find_if(pieces.begin(), pieces.end(),
                                        [](const PieceToCut& p) { return p.piece.role == PieceRole::Front; });
        QVERIFY(front->whole && !front->side);
        const double halves = area_mm2(front_of(c.altered)) + area_mm2(front_of(c.left->altered));
        QVERIFY(near(area_mm2(front->piece), halves, 0.01));
        QCOMPARE(front->piece.darts.size(), front_of(c.altered).darts.size() * 2);
        QVERIFY(!on_fold(front->piece));
        QVERIFY(!unsound(front->piece));
        const auto backs = std::count_if(pieces.begin(), pieces.end(), [](const PieceToCut& p) {
            return p.piece.role == PieceRole::Back && p.side && p.piece.cut == 1;
        });
        QCOMPARE(backs, 2);
        // What is alike is told once and traced once.
        QVERIFY(std::none_of(pieces.begin(), pieces.end(),
                             [](const PieceToCut& p) { return p.piece.role == PieceRole::Waistband && p.side; }));
        const auto told = told_steps(c);
        QVERIFY(std::any_of(told.begin(), told.end(),
                            [](const ToldStep& s) { return s.step->kind == StepKind::TraceWhole; }));
        QVERIFY(std::any_of(told.begin(), told.end(), [](const ToldStep& s) { return s.side == Side::Left; }));
    }

    // Of equal halves the left is the mirror image of the right; turned over twice a piece is what it was.
    void equal_halves_are_each_others_mirror_image()
    {
        const auto c = skirt()(skirt_plan());
        const Piece& front = front_of(c.altered);
        const Piece whole = drawn_whole(front, front);
        QVERIFY(near(area_mm2(whole), 2 * area_mm2(front), 1e-6));
        const double fold = edge(front, EdgeRole::Centre).curve.initialPoint()[Geom::X];
        std::vector<Point> all;
        for (const auto& e : whole.edges) {
            for (const auto& p : all_controls(e.curve)) all.push_back(p);
        }
        for (const auto& p : all) {
            const Point mirrored{2 * fold - p[Geom::X], p[Geom::Y]};
            const auto nearest = std::min_element(all.begin(), all.end(), [&](const Point& a, const Point& b) {
                return Geom::distance(a, mirrored) < Geom::distance(b, mirrored);
            });
            QVERIFY(Geom::distance(*nearest, mirrored) < 1e-9);
        }
        for (const auto& p : shirt()(plan_at("14")).altered.pieces) {
            const Piece again = mirror_image(mirror_image(p));
            QVERIFY(near(signed_area_mm2(mirror_image(p)), signed_area_mm2(p), 1e-6));
            for (const auto& e : p.edges) {
                QVERIFY(std::any_of(again.edges.begin(), again.edges.end(), [&](const Edge& o) {
                    return o.role == e.role &&
                           Geom::distance(o.curve.initialPoint(), e.curve.initialPoint()) < 1e-9;
                }));
            }
        }
    }

    // Neck, waist and hem run on over the centre; the centres are walked.
    void centres_are_walked_and_run_on()
    {
        const auto c = skirt()(with(skirt_plan(), {unlike(Kind::WaistToHip, mm * 30, mm * 12)}));
        int walked = 0;
        for (const auto& w : c.checks.walks) walked += w.over_centre && w.holds;
        QCOMPARE(walked, 2);
        int corners = 0;
        for (const auto& j : c.checks.joins) {
            if (!j.over_centre) continue;
            ++corners;
            QVERIFY(j.holds && std::abs(j.degrees - 180) < 0.5);
        }
        QCOMPARE(corners, 4);
    }

    // A girth is the right half and the left.
    void a_girth_is_right_and_left()
    {
        const auto c = skirt()(with(skirt_plan(), {unlike(Kind::WidthAtHip, mm * 40, mm * 8)}));
        const auto right = skirt()(with(skirt_plan(), {alike(Kind::WidthAtHip, mm * 40)}));
        const auto left = skirt()(with(skirt_plan(), {alike(Kind::WidthAtHip, mm * 8)}));
        const auto hip = [](const Computed& of) { return of.altered_flat.of(GarmentMeasure::Hip).in_mm(); };
        QVERIFY(near(hip(c), (hip(right) + hip(left)) / 2, 1e-9));
        const auto table = finished_table(c);
        const auto row = std::find_if(table.begin(), table.end(),
                                      [](const FinishedRow& r) { return r.what == GarmentMeasure::Hip; });
        QVERIFY(row->right && row->left);
        QVERIFY(near((row->right->after + row->left->after - row->after).in_mm(), 0, 1e-9));
        const auto profile = ease_profile(c);
        QCOMPARE(profile.after.size(), profile.after_left.size());
    }

    void what_follows_an_edge_of_one_side_alone_is_told_for_both()
    {
        for (const double right : {-4.0, 0.0}) {
            Plan plan = trousers_plan();
            plan.decide(unlike(Kind::WaistLine, Length::mm(right), Length::mm(-4 - right)));
            const auto c = trousers()(plan);
            const auto* l = c.line(Kind::Facings);
            QVERIFY(l && c.left);
            QCOMPARE(l->state, LineState::Accepted);
            QCOMPARE(c.left_of(*l)->state, LineState::Accepted);
        }
    }
    void random_unlike_plans()
    {
        std::mt19937 rng{2026};
        const Bench benches[] = {shirt(),
                                 skirt(),
                                 bench(princess(plain_bodice())),
                                 gores(),
                                 dress(fitted_dress()),
                                 dress(gathered_dress()),
                                 trousers()};
        const Plan plans[] = {plan_at("14"),
                              skirt_plan(),
                              plan_at("14"),
                              skirt_plan(),
                              dress_plan("14", "14", "14"),
                              dress_plan("14", "14", "14"),
                              trousers_plan()};
        int apart = 0;
        for (int i = 0; i < tries(90); ++i) {
            const auto& sew = benches[i % 7];
            Plan plan = plans[i % 7];
            Computed kept = need(compute(sew.pattern, sew.chart, {}, plan));
            for (int k = 0; k < 6; ++k) {
                const auto& entry = catalogue()[std::size_t(between(rng, 0, adjustment_count - 0.01))];
                if (entry.at_join == AtJoin::WholeGarment || !kept.line(entry.kind)) continue;
                const auto amount = [&] {
                    return Length::mm(std::round(between(rng, entry.least.in_mm(), entry.most.in_mm()) * 0.5));
                };
                plan.decide(unlike(entry.kind, amount(), amount()));
                kept = need(recompute(std::move(kept), work_of(sew.pattern, sew.chart, {}, plan)));
                const auto fresh = sew(plan);
                QVERIFY(same_garment(kept.altered, fresh.altered));
                QVERIFY(same_garment(left_of(kept), left_of(fresh)));
                QCOMPARE(kept.lines.size(), fresh.lines.size());
                QCOMPARE(kept.steps.size(), fresh.steps.size());
                QVERIFY(centres_meet(fresh));
                if (!fresh.left) continue;
                ++apart;
                QCOMPARE(fresh.left->lines.size(), fresh.lines.size());
                for (std::size_t n = 0; n < fresh.lines.size(); ++n) {
                    QCOMPARE(fresh.left->lines[n].state, fresh.lines[n].state);
                    const auto& l = fresh.left->lines[n];
                    QVERIFY(l.first_step + l.steps <= fresh.left->steps.size());
                }
                for (const auto& p : cut_out(fresh)) {
                    QVERIFY2(!unsound(p.piece), p.piece.id.c_str());
                    QVERIFY(!p.whole || !on_fold(p.piece));
                }
                QVERIFY(walks_as(fresh.left->right_checks, sew(of_side(plan, Side::Right)).checks));
                QVERIFY(walks_as(fresh.left->checks, sew(of_side(plan, Side::Left)).checks));
            }
        }
        QVERIFY2(apart > tries(90), qPrintable(QString::number(apart)));
    }
};

SARTORUM_TEST(TestSides)

}  // namespace test_sides

#include "test_sides.moc"
