// The adjustments of frame and lengths against their closed forms (trade, section 16) and common practice (15).
#include <QTest>
#include <cmath>
#include <numbers>

#include "bodices.h"
#include "core/alter/frame/rows.h"
#include "core/alter/hem/rows.h"
#include "core/alter/kit/catalogue.h"
#include "core/alter/lengths/rows.h"
#include "core/check/walk.h"
#include "core/paper/redraw/bodice.h"
#include "core/pattern/dart.h"
#include "core/pattern/shoulder.h"
#include "near.h"
#include "tests.h"

namespace test_bodice_adjustments {

using namespace sartorum;
using namespace sartorum::test;

namespace {

constexpr double degree = std::numbers::pi / 180;

SewnShoulder sewn(const Garment& g)
{
    return sewn_shoulder(front_of(g), back_of(g));
}

const Dart& dart_in(const Piece& p, EdgeRole before)
{
    std::size_t n = 0;
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth) continue;
        if (p.edges[i - 1].role == before) return p.darts[n];
        ++n;
    }
    qFatal("no dart");
}

Garment with_back_seam()
{
    BodiceFlat f = plain_bodice();
    f.back_seam = true;
    return bodice(f);
}

}  // namespace

class TestBodiceAdjustments : public QObject {
    Q_OBJECT
private slots:
    void the_sewn_slope_is_the_mean_of_both_angles_proved_by_folding()
    {
        BodiceFlat f = plain_bodice();
        f.shoulder_dart = Length::mm(12);
        const auto g = bodice(f);
        const Piece& front = front_of(g);
        const Piece& back = back_of(g);
        const auto s = sewn(g);
        // By hand: lay the back onto the front seam to seam, find the line about which it folds so that the centre
        // backs hang parallel, and measure that line's angle.
        const auto joined = back_joined(front, back);
        const Point seam_end = closed_run(back, EdgeRole::Shoulder).finalPoint() * joined;
        const Point front_seam = Geom::unit_vector(shoulder_tip(front) - neck_point(front));
        QVERIFY(near(Geom::cross(front_seam, seam_end - neck_point(front)), 0, 1e-9));
        const Point hangs = Point{0, -1} * joined.withoutTranslation();  // centre back, downwards, laid flat
        const double cb = std::atan2(hangs[Geom::Y], hangs[Geom::X]);
        const double cf = -90 * degree;
        const double fold = (cb + cf) / 2;  // a fold halves the angle between what it lays together
        // The fold line points outwards along the shoulder, whichever half of the angle that is.
        const double slope = -std::remainder(fold, std::numbers::pi);
        QVERIFY(near(slope / degree, s.slope_degrees(), 1e-9));
        // And the seam's distance from that line at the tip.
        const Point line{std::cos(slope), -std::sin(slope)};
        const double off = Geom::cross(shoulder_tip(front) - neck_point(front), line);
        QVERIFY(near(off, std::sin((s.front_degrees - s.back_degrees) / 2 * degree) * s.front.in_mm(), 1e-9));
        QVERIFY(near(s.forward().in_mm(), off, 1e-9));
    }
    void forward_at_the_tips_moves_the_seam_exactly_and_leaves_the_slope()
    {
        for (const double mm : {12.7, 6.0, -9.0}) {
            for (const auto method : {BallMethod::Redrawn, BallMethod::Slashed}) {
                const auto g = bodice(plain_bodice());
                const auto before = sewn(g);
                const auto after = sewn(need(alter_ball_of_shoulder(g, same(mm, way(method)))).garment);
                QVERIFY(near(after.slope_degrees(), before.slope_degrees(), 1e-9));
                const double length = before.front.in_mm();
                const double x = (before.front_degrees - before.back_degrees) / 2 * degree;
                if (method == BallMethod::Redrawn) {
                    QVERIFY(near((after.forward() - before.forward()).in_mm(), mm * std::cos(x), 0.05));
                    // It ends where the armhole is met, a hair from the mark.
                    QVERIFY(near(after.front.in_mm(), std::hypot(length, mm), 0.5));
                    QVERIFY(near(after.back.in_mm(), after.front.in_mm()));
                } else {
                    QVERIFY(near(after.front.in_mm(), length));
                    QVERIFY(
                        near(after.front_degrees - before.front_degrees, std::atan(mm / length) / degree, 1e-9));
                }
            }
        }
        // Common practice: forward 1/2 in is front tip − 1/2 in, back tip + 1/2 in, slope the same.
        const auto g = bodice(plain_bodice());
        const auto moved = need(alter_ball_of_shoulder(g, Dose{Length::inches(0.5)})).garment;
        for (const auto& [piece, was, sign] :
             {std::tuple{&front_of(moved), &front_of(g), -1.0}, std::tuple{&back_of(moved), &back_of(g), 1.0}}) {
            const Point by = shoulder_tip(*piece) - shoulder_tip(*was);
            QVERIFY(near(Geom::dot(by, off_shoulder(*was)), sign * 12.7, 0.05));
            QVERIFY(Geom::distance(neck_point(*piece), neck_point(*was)) < 1e-9);
        }
    }
    void tips_and_neck_ends_turn_each_seam_by_their_own_angle()
    {
        const auto g = bodice(plain_bodice());
        const auto before = sewn(g);
        const double length = before.front.in_mm();
        for (const double mm : {6.35, -10.0}) {
            const auto tips = sewn(need(alter_shoulder_slope(g, same(mm))).garment);
            const double turn = std::atan(mm / length) / degree;
            QVERIFY(near(tips.front_degrees, before.front_degrees - turn, 1e-9));
            QVERIFY(near(tips.back_degrees, before.back_degrees - turn, 1e-9));
            QVERIFY(near(tips.slope_degrees(), before.slope_degrees() - turn, 1e-9));
            const auto neck = sewn(need(alter_shoulder_slope(g, same(mm, way(SlopeMethod::NeckEnds)))).garment);
            QVERIFY(near(neck.slope_degrees(), before.slope_degrees() + turn, 1e-9));
        }
        // Front and back by amounts of their own: the slope moves by the mean of both turns.
        const Dose unlike{Length::mm(-8), Length::mm(-4), 0};
        const auto after = sewn(need(alter_shoulder_slope(g, unlike)).garment);
        const double turn = (std::atan(8 / length) + std::atan(4 / length)) / 2 / degree;
        QVERIFY(near(after.slope_degrees(), before.slope_degrees() + turn, 1e-9));
    }
    void the_armhole_loses_about_what_the_tips_lose_and_none_at_the_neck()
    {
        const auto g = bodice(plain_bodice());
        const Length before = measure_flat(g.pieces).of(GarmentMeasure::Armhole);
        const auto tips = need(alter_shoulder_slope(g, same(-6.35))).garment;
        // Common practice: tips up 1/4 in front and back, armhole about 1/2 in shorter in all.
        QVERIFY(is_near(measure_flat(tips.pieces).of(GarmentMeasure::Armhole), before - Length::inches(0.5),
                        Length::mm(1.5)));
        const auto neck = need(alter_shoulder_slope(g, same(-12, way(SlopeMethod::NeckEnds)))).garment;
        QVERIFY(is_near(measure_flat(neck.pieces).of(GarmentMeasure::Armhole), before, Length::mm(0.5)));
        QVERIFY(neck_point(front_of(neck))[Geom::Y] < neck_point(front_of(g))[Geom::Y] - 11);
    }
    void allow_and_pin_adds_an_inch_to_the_toile_then_takes_what_was_pinned()
    {
        const auto g = bodice(plain_bodice());
        const std::size_t pin = way(SlopeMethod::AllowAndPin);
        const auto toile = need(alter_shoulder_slope(g, Dose{Length{}, pin}));
        QCOMPARE(toile.steps.size(), std::size_t{2});
        QVERIFY(toile.steps[0].kind == StepKind::AllowShoulder);
        QVERIFY(near(edge(front_of(toile.garment), EdgeRole::Shoulder).allowance.in_mm(), 15 + 25.4));
        QVERIFY(largest_gap(front_of(toile.garment), front_of(g)) < 1e-9);
        const auto pinned = need(alter_shoulder_slope(g, {Length::mm(-9), Length::mm(-7), pin})).garment;
        const auto tips = need(alter_shoulder_slope(g, {Length::mm(-9), Length::mm(-7), 0})).garment;
        QVERIFY(largest_gap(front_of(pinned), front_of(tips)) < 1e-9);
        QVERIFY(near(edge(front_of(pinned), EdgeRole::Shoulder).allowance.in_mm(), 15));
    }
    void the_neck_forward_trades_neck_ends_and_keeps_slope_and_tips()
    {
        const auto g = bodice(plain_bodice());
        const auto after = need(alter_neck_forward(g, same(8))).garment;
        QVERIFY(near(sewn(after).slope_degrees(), sewn(g).slope_degrees(), 1e-9));
        QVERIFY(Geom::distance(shoulder_tip(front_of(after)), shoulder_tip(front_of(g))) < 1e-9);
        const Point by = neck_point(back_of(after)) - neck_point(back_of(g));
        QVERIFY(near(Geom::dot(by, off_shoulder(back_of(g))), 8));
        QVERIFY(near(Geom::L2(by), 8));
    }
    void the_corner_slides_level_and_the_seam_follows_its_formula()
    {
        for (const double d : {-12.7, 10.0}) {
            const auto g = bodice(plain_bodice());
            const auto before = sewn(g);
            const auto done = need(alter_shoulder_length(g, same(d)));
            const auto after = sewn(done.garment);
            const auto formula = [&](Length seam, double degrees) {
                const double l = seam.in_mm();
                return std::sqrt(l * l + 2 * l * d * std::cos(degrees * degree) + d * d);
            };
            const double front = formula(before.front, before.front_degrees);
            const double back = formula(before.back, before.back_degrees);
            // Seams of unlike angle come apart by a fraction of a millimetre and are trued together.
            QVERIFY(std::abs(front - back) > 0.05 && std::abs(front - back) < 1);
            QVERIFY(near(after.front.in_mm(), (front + back) / 2, 1e-3));
            QVERIFY(near(after.back.in_mm(), after.front.in_mm()));
            QVERIFY(near(shoulder_tip(front_of(done.garment))[Geom::Y], shoulder_tip(front_of(g))[Geom::Y], 0.1));
            QVERIFY((after.front_degrees > before.front_degrees) == (d < 0));  // shorter is a touch steeper
            // Cut into two panels, slid, trued: four steps a piece, and the corner really moved.
            QCOMPARE(done.steps.size(), std::size_t{8});
            QCOMPARE(done.steps[2].picture.panels.size(), std::size_t{2});
            QVERIFY(near(done.steps[2].picture.motions[0].by[Geom::X], d));
        }
    }
    void a_shoulder_dart_keeps_its_angle_and_equal_legs_whatever_the_shoulder_does()
    {
        BodiceFlat f = plain_bodice();
        f.shoulder_dart = Length::mm(14);
        const auto g = bodice(f);
        const double angle = dart_radians(dart_in(back_of(g), EdgeRole::Shoulder));
        for (const auto& after :
             {need(alter_shoulder_slope(g, same(-12))).garment, need(alter_shoulder_length(g, same(9))).garment,
              need(alter_ball_of_shoulder(g, same(10))).garment, need(alter_neck_forward(g, same(10))).garment,
              need(alter_round_back(g, same(15, way(RoundBackMethod::FoldEased)))).garment}) {
            const Dart& d = dart_in(back_of(after), EdgeRole::Shoulder);
            QVERIFY(near(dart_radians(d), angle, 1e-9));
            QVERIFY(near(Geom::distance(d.leg_a, d.tip), Geom::distance(d.leg_b, d.tip), 1e-9));
        }
    }
    void a_round_back_with_a_seam_opens_by_the_amount_and_turns_by_its_angle()
    {
        const auto g = with_back_seam();
        const Piece& back = back_of(g);
        const auto across = *guide(back, GuideKind::Across);
        const double reach = Geom::distance(across.a, across.b);
        const auto done = need(alter_round_back(g, same(12.7)));
        const Piece& after = back_of(done.garment);
        const double turn = 2 * std::asin(12.7 / 2 / reach);
        QVERIFY(near(sewn(done.garment).back_degrees - sewn(g).back_degrees, turn / degree, 1e-9));
        // The neck's corner went where a rigid turn about the hinge takes it.
        const Point neck = edge(back, EdgeRole::Centre).curve.finalPoint();
        const Point rel = neck - across.b;
        const Point want = across.b + Point{rel[Geom::X] * std::cos(turn) + rel[Geom::Y] * std::sin(turn),
                                            -rel[Geom::X] * std::sin(turn) + rel[Geom::Y] * std::cos(turn)};
        QVERIFY(Geom::distance(edge(after, EdgeRole::Centre).curve.finalPoint(), want) < 1e-9);
        QVERIFY(is_near(sewn_length(after, EdgeRole::Centre),
                        sewn_length(back, EdgeRole::Centre) + Length::mm(12.7), Length::mm(0.2)));
        QVERIFY(is_near(sewn_length(after, EdgeRole::Neck), sewn_length(back, EdgeRole::Neck), Length::mm(1e-6)));
        QVERIFY(is_near(sewn_length(after, EdgeRole::Shoulder), sewn_length(back, EdgeRole::Shoulder),
                        Length::mm(1e-6)));
        QVERIFY(largest_gap(front_of(done.garment), front_of(g)) < 1e-12);
        QVERIFY(alter_round_back(g, same(12, way(RoundBackMethod::FoldEased))).error().why == Why::NeedsFold);
    }
    void on_the_fold_the_round_back_stays_straight_and_its_wedge_is_eased_or_darted()
    {
        const auto g = bodice(plain_bodice());
        QVERIFY(on_fold(back_of(g)));
        QVERIFY(alter_round_back(g, same(12, way(RoundBackMethod::CentreSeam))).error().why == Why::FoldWouldBend);
        const Length neck = sewn_length(back_of(g), EdgeRole::Neck);
        const auto eased = need(alter_round_back(g, same(12.7, way(RoundBackMethod::FoldEased))));
        const auto folds = check(eased.garment, {}, {}).folds;
        QVERIFY(!folds.empty() && folds[0].holds);
        const Length grew = sewn_length(back_of(eased.garment), EdgeRole::Neck) - neck;
        // The wedge at the neck is the height above the cut times the sine of the turn, nearly.
        const auto across = *guide(back_of(g), GuideKind::Across);
        const double height = -across.a[Geom::Y];
        const double turn = 2 * std::asin(12.7 / 2 / Geom::distance(across.a, across.b));
        QVERIFY(is_near(grew, Length::mm(height * std::sin(turn)), Length::mm(1)));
        const auto darted = need(alter_round_back(g, same(12.7, way(RoundBackMethod::FoldDarted)))).garment;
        const Dart& d = dart_in(back_of(darted), EdgeRole::Neck);
        QVERIFY(is_near(mouth_width(d), grew, Length::mm(0.1)));
        QVERIFY(is_near(sewn_length(back_of(darted), EdgeRole::Neck), neck, Length::mm(0.2)));
        QVERIFY(check_piece(back_of(darted)).has_value());
    }
    void lengths_go_where_they_are_asked()
    {
        const auto g = bodice(plain_bodice());
        const auto was = measure_flat(g.pieces);
        for (const double mm : {20.0, -15.0}) {
            const auto longer = measure_flat(need(alter_bodice_length(g, same(mm))).garment.pieces);
            QVERIFY(is_near(longer.of(GarmentMeasure::FrontLength),
                            was.of(GarmentMeasure::FrontLength) + Length::mm(mm), Length::mm(1e-6)));
            QVERIFY(is_near(longer.of(GarmentMeasure::CentreBack),
                            was.of(GarmentMeasure::CentreBack) + Length::mm(mm), Length::mm(1e-6)));
            QVERIFY(is_near(longer.of(GarmentMeasure::Armhole), was.of(GarmentMeasure::Armhole),
                            Length::mm(0.3)));  // square to the seam again
            QVERIFY(is_near(longer.of(GarmentMeasure::Waist), was.of(GarmentMeasure::Waist), Length::mm(0.5)));
            const auto deeper = measure_flat(need(alter_armhole_depth(g, same(mm))).garment.pieces);
            QVERIFY(is_near(deeper.of(GarmentMeasure::Side), was.of(GarmentMeasure::Side), Length::mm(1e-6)));
            QVERIFY(is_near(deeper.of(GarmentMeasure::FrontLength),
                            was.of(GarmentMeasure::FrontLength) + Length::mm(mm), Length::mm(1e-6)));
            QVERIFY(is_near(deeper.of(GarmentMeasure::Armhole),
                            was.of(GarmentMeasure::Armhole) + Length::mm(2 * mm), Length::mm(std::abs(mm) * 0.4)));
        }
        // Front and back unlike: the common part across, the rest at the centre only; the side seams still walk.
        const auto unlike = need(alter_bodice_length(g, {Length::mm(18), Length::mm(10), 0})).garment;
        const auto flat = measure_flat(unlike.pieces);
        QVERIFY(is_near(flat.of(GarmentMeasure::FrontLength), was.of(GarmentMeasure::FrontLength) + Length::mm(18),
                        Length::mm(1e-6)));
        QVERIFY(is_near(flat.of(GarmentMeasure::CentreBack), was.of(GarmentMeasure::CentreBack) + Length::mm(10),
                        Length::mm(1e-6)));
        QVERIFY(check(unlike, {}, {}).walks[1].holds);
    }
    void fold_depth_is_half_of_what_is_taken_out()  // common practice: 1 1/4 in deep takes out 2 1/2 in
    {
        const auto done = need(alter_bodice_length(bodice(plain_bodice()), same(-20)));
        const auto fold = std::find_if(done.steps.begin(), done.steps.end(),
                                       [](const Step& s) { return s.kind == StepKind::FoldOut; });
        QVERIFY(fold != done.steps.end());
        QVERIFY(near(fold->amount.in_mm(), 20));
    }
    void sway_back_with_a_seam_turns_the_lower_part_by_the_wedges_angle()
    {
        const auto g = with_back_seam();
        const Piece& back = back_of(g);
        const auto line = *guide(back, GuideKind::LengthenShorten);
        const double b = Geom::distance(line.a, line.b);
        const auto done = need(alter_sway_back(g, same(-15)));
        const Piece& after = back_of(done.garment);
        const double turn = 2 * std::atan(15 / (2 * b));
        // Centre back loses exactly the amount; its kink is smoothed.
        QVERIFY(is_near(sewn_length(after, EdgeRole::Centre), sewn_length(back, EdgeRole::Centre) - Length::mm(15),
                        Length::mm(0.2)));
        QVERIFY(is_near(sewn_length(after, EdgeRole::Side), sewn_length(back, EdgeRole::Side), Length::mm(0.3)));
        QVERIFY(is_near(sewn_length(after, EdgeRole::Waist), sewn_length(back, EdgeRole::Waist), Length::mm(0.1)));
        // The waist corner swings out by the lower length times the sine.
        const double low = line.a[Geom::Y] - 7.5 - edge(back, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
        const Point corner = edge(after, EdgeRole::Centre).curve.initialPoint();
        QVERIFY(near(corner[Geom::X], -(low * std::sin(turn)) + b * (1 - std::cos(turn)) - 7.5 * std::sin(turn),
                     0.01));  // and the seam evened by a hair
    }
    void sway_back_on_the_fold_stays_straight_and_says_what_it_costs()
    {
        const auto g = bodice(plain_bodice());
        const Length side = sewn_length(back_of(g), EdgeRole::Side);
        const Length waist = sewn_length(back_of(g), EdgeRole::Waist);
        QVERIFY(alter_sway_back(g, same(-12)).error().why == Why::FoldWouldBend);
        const auto trimmed = need(alter_sway_back(g, same(-12, way(SwayBackMethod::FoldTrimmed)))).garment;
        QVERIFY(check(trimmed, {}, {}).folds[0].holds);
        QVERIFY(is_near(sewn_length(back_of(trimmed), EdgeRole::Waist), waist, Length::mm(0.6)));
        QVERIFY(check(trimmed, {}, {}).walks[1].holds);
        const auto tuck = need(alter_sway_back(g, same(-12, way(SwayBackMethod::FoldTuck)))).garment;
        QVERIFY(check(tuck, {}, {}).folds[0].holds);
        QVERIFY(is_near(sewn_length(back_of(tuck), EdgeRole::Side), side - Length::mm(12), Length::mm(0.6)));
        QVERIFY(check(tuck, {}, {}).walks[1].holds);  // the front rose to it at the side
        const auto seam = need(alter_sway_back(g, same(-12, way(SwayBackMethod::WaistSeam)))).garment;
        QVERIFY(is_near(sewn_length(back_of(seam), EdgeRole::Centre),
                        sewn_length(back_of(g), EdgeRole::Centre) - Length::mm(12), Length::mm(1e-6)));
        QVERIFY(is_near(sewn_length(back_of(seam), EdgeRole::Side), side, Length::mm(1e-6)));
        const auto tee = bodice(plain_tee());
        QVERIFY(alter_sway_back(tee, same(-12, way(SwayBackMethod::WaistSeam))).error().why ==
                Why::NeedsWaistSeam);
        QVERIFY(alter_sway_back(g, same(12)).error().why == Why::AmountTooLarge);
    }
    void a_wedge_that_has_no_room_left_is_refused_with_what_there_is()
    {
        const auto g = with_back_seam();
        // Nearly all between the line and the waist is folded away first.
        const double line = guide(back_of(g), GuideKind::LengthenShorten)->a[Geom::Y];
        const double low = edge(back_of(g), EdgeRole::Centre).curve.initialPoint()[Geom::Y];
        const auto shorter = need(alter_bodice_length(g, same(-(line - low - 9)))).garment;
        const auto r = alter_sway_back(shorter, same(-40));
        QVERIFY(!r && r.error().why == Why::AmountTooLarge);
        QVERIFY(r.error().low < Length{} || r.error().low == Length{});
        QVERIFY(alter_sway_back(g, same(-40)).has_value());
    }
    void the_darts_box_moves_whole_and_the_side_seam_keeps_its_length()
    {
        const auto g = bodice(plain_bodice());
        const Dart& was = dart_in(front_of(g), EdgeRole::Side);
        for (const double mm : {16.0, -12.0}) {
            const auto after = need(alter_bust_depth(g, same(mm))).garment;
            const Dart& is = dart_in(front_of(after), EdgeRole::Side);
            QVERIFY(near(dart_radians(is), dart_radians(was), 1e-9));
            QVERIFY(near(was.tip[Geom::Y] - is.tip[Geom::Y], mm, 1e-9));
            QVERIFY(is_near(sewn_length(front_of(after), EdgeRole::Side), sewn_length(front_of(g), EdgeRole::Side),
                            Length::mm(0.01)));
            QVERIFY(near((*front_of(g).bust_point - *front_of(after).bust_point)[Geom::Y], mm, 1e-9));
            const Dart& below = dart_in(front_of(after), EdgeRole::Waist);
            QVERIFY(near(Geom::distance(below.leg_a, below.tip), Geom::distance(below.leg_b, below.tip), 1e-9));
        }
        const auto aimed = need(alter_bust_depth(g, same(12, way(BustDepthMethod::ReAim)))).garment;
        const Dart& d = dart_in(front_of(aimed), EdgeRole::Side);
        QVERIFY(near(Geom::distance(d.leg_a, d.tip), Geom::distance(d.leg_b, d.tip), 1e-9));
        QVERIFY(near(was.tip[Geom::Y] - d.tip[Geom::Y], 12, 1e-9));
        QVERIFY(check(aimed, {}, {}).seams_hold());
        QVERIFY(alter_bust_depth(bodice(plain_tee()), same(10)).error().why == Why::NeedsSideDart);
        QVERIFY(usual_amounts(adjustment(AdjustmentKind::BustDepth), way(BustDepthMethod::ReAim)).most ==
                re_aim_limit);
    }
    void a_tees_hem_goes_down_and_comes_back_and_not_above_its_waist()
    {
        const auto g = bodice(plain_tee());
        const auto longer = need(alter_hem(g, same(30))).garment;
        QVERIFY(is_near(measure_flat(longer.pieces).of(GarmentMeasure::FrontLength),
                        measure_flat(g.pieces).of(GarmentMeasure::FrontLength) + Length::mm(30),
                        Length::mm(1e-6)));
        QVERIFY(check(longer, {}, {}).seams_hold());
        QVERIFY(alter_hem(g, same(-250)).error().why == Why::AmountTooLarge);
    }
    void going_back_by_the_same_amount_restores_what_is_only_redrawn()
    {
        const auto g = bodice(plain_bodice());
        for (const auto kind : {AdjustmentKind::ArmholeDepth, AdjustmentKind::ShoulderLength}) {
            const auto there = need(adjustment(kind).apply(g, same(11))).garment;
            const auto back = need(adjustment(kind).apply(there, same(-11))).garment;
            // Shifted points come back exactly; a corner that was cut off its armhole to within what truing takes.
            const double within = kind == AdjustmentKind::ArmholeDepth ? 1e-6 : 0.6;
            QVERIFY(largest_gap(front_of(back), front_of(g)) < within);
            QVERIFY(largest_gap(back_of(back), back_of(g)) < within);
        }
    }
    void what_no_paper_carries_is_refused_and_nothing_is_no_adjustment()
    {
        const auto g = bodice(plain_bodice());
        for (const auto& entry : catalogue()) {
            if (!serves(entry, g)) continue;
            const auto r = entry.apply(g, {Length::mm(-700), usual_method(entry, g)});
            QVERIFY2(!r, entry.key.data());
            QCOMPARE(r.error().field, std::string{entry.key});
            const bool zero_works = entry.zero_works != nullptr;
            if (!zero_works)
                QVERIFY(entry.apply(g, {Length{}, usual_method(entry, g)}).error().why == Why::AmountZero);
        }
    }
    void every_step_of_moved_paper_says_how_it_moved()
    {
        const auto g = bodice(plain_bodice());
        for (const auto& entry : catalogue()) {
            if (!serves(entry, g)) continue;
            for (std::size_t m = 0; m < std::max<std::size_t>(1, entry.methods.size()); ++m) {
                const auto done = entry.apply(g, {Length::mm(-9), m});
                if (!done) continue;
                for (std::size_t i = 1; i < done->steps.size(); ++i) {
                    const auto& s = done->steps[i].picture;
                    for (const auto& motion : s.motions) {
                        // The panel, taken back along its motion, lies where the cut left it.
                        const auto& cut = done->steps[i - 1].picture.panels.at(motion.panel);
                        const Piece back = moved(s.panels.at(motion.panel), whole_motion(motion).inverse());
                        QVERIFY2(largest_gap(back, cut) < 1e-6, entry.key.data());
                    }
                }
            }
        }
    }
};
SARTORUM_TEST(TestBodiceAdjustments)

}  // namespace test_bodice_adjustments

#include "test_bodice_adjustments.moc"
