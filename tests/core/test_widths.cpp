// Bust, darts, gapes, armholes and side seams against rigid bodies worked out here, closed forms (trade, section
// 16) and common practice (section 15).
#include <QTest>
#include <array>
#include <numbers>

#include "bodices.h"
#include "core/alter/kit/catalogue.h"
#include "core/alter/widths/rows.h"
#include "core/check/walk.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/plan/first_plan.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"
#include "tops.h"

namespace test_widths {

using namespace sartorum;
using namespace sartorum::test;

namespace {

struct Flat {
    double x = 0;
    double y = 0;
};

Flat flat(Point p)
{
    return {p[Geom::X], p[Geom::Y]};
}
Flat minus(Flat a, Flat b)
{
    return {a.x - b.x, a.y - b.y};
}
double far(Flat a, Flat b)
{
    return std::hypot(a.x - b.x, a.y - b.y);
}
double angle(Flat a, Flat b)
{
    return std::abs(std::remainder(std::atan2(a.y, a.x) - std::atan2(b.y, b.x), 2 * std::numbers::pi));
}
Flat swung(Flat p, Flat about, double radians)
{
    const Flat d = minus(p, about);
    return {about.x + d.x * std::cos(radians) - d.y * std::sin(radians),
            about.y + d.x * std::sin(radians) + d.y * std::cos(radians)};
}

const Dart& side_dart(const Piece& front)
{
    return front.darts[dart_at(front, *mouth_in(front, EdgeRole::Side))];
}

// The paper as two rigid side panels and a centre, hinged by hand: the upper panel on the armhole at A, the lower
// one on the upper at the bust point; the one unknown is how far it swings.
struct ByHand {
    double radians = 0;
    double gain = 0;
    double dart = 0;         // at the bust point
    double side_closed = 0;  // seam from underarm to lower edge, without the mouth
    Flat waist;              // the side's lower end

    ByHand(const Piece& front, double a)
    {
        const Length whole = sewn_length(front, EdgeRole::Armhole);
        const Flat hinge = flat(point_at(front, place_along(front, EdgeRole::Armhole, whole * (2.0 / 3))));
        const Flat bp = flat(*front.bust_point);
        // Bisection on how far the bust point of the swung panel stands off the centre's.
        double low = -0.6;
        double high = 0.9;
        for (int i = 0; i < 200; ++i) {
            radians = (low + high) / 2;
            (swung(bp, hinge, radians).x - bp.x < a ? low : high) = radians;
        }
        const Flat apex = swung(bp, hinge, radians);
        gain = bp.y - apex.y;
        const Dart& d = side_dart(front);
        const Flat upper = swung(flat(d.leg_a), hinge, radians);
        const Flat carried = minus(apex, bp);
        const Flat lower{flat(d.leg_b).x + carried.x, flat(d.leg_b).y + carried.y};
        dart = angle(minus(upper, apex), minus(lower, apex));
        const Flat under = swung(flat(underarm(front)), hinge, radians);
        const Flat low_end = flat(front.edges[*edge_index(front, EdgeRole::Side, true)].curve.finalPoint());
        waist = {low_end.x + carried.x, low_end.y + carried.y};
        side_closed = far(under, upper) + far(lower, waist);
    }
};

double dart_at_bust_point(const Piece& front)
{
    return radians_at(front, *mouth_in(front, EdgeRole::Side), *front.bust_point);
}

Garment altered(const Garment& g, AdjustmentKind kind, double mm, std::size_t method = 0)
{
    return need(adjustment(kind).apply(g, {Length::mm(mm), method})).garment;
}

double mm_of(const Piece& p, EdgeRole role)
{
    return sewn_length(p, role).in_mm();
}

}  // namespace

class TestWidths : public QObject {
    Q_OBJECT
private slots:
    void a_side_seams_meant_ease_survives_every_width_and_length()
    {
        const Length ease = Length::mm(6);
        const auto eased = [&](Pattern p, bool turned) {
            for (auto& sized : p.sizes) {
                Piece& front = *find_piece(sized.pieces, PieceRole::Front);
                Piece& back = *find_piece(sized.pieces, PieceRole::Back);
                if (has_level(front, Level::Shoulder)) {
                    auto even = *sides_evened_below(front, back, ease);
                    front = even.front;
                    back = even.back;
                } else {
                    auto even = *sides_evened_at_waist(front, back, ease);
                    front = even.front;
                    back = even.back;
                }
            }
            for (auto& seam : p.seams) {
                if (seam.id != "side") continue;
                seam.ease = turned ? -ease : ease;
                if (turned) std::swap(seam.a, seam.b);
            }
            return *check_pattern(std::move(p));
        };
        int done = 0;
        for (const bool turned : {false, true}) {
            for (const auto& p : {eased(graded(plain_bodice()), turned), eased(graded_skirt(4), turned)}) {
                const std::string small = p.sizes[0].size;
                const std::string large = p.sizes[1].size;
                Plan blend = plan_in_sizes(large, small);
                blend.sizes[Level::Bust] = small;
                blend.choosing.kind = garment_drawn(p, GarmentKind::Top);
                const auto traced = *compute(p, chart_for(p), {}, blend);
                QVERIFY(traced.checks.seams_hold());
                for (const auto& line : traced.lines) {
                    const auto& entry = adjustment(line.kind);
                    if (entry.zone != Zone::Lengths && entry.zone != Zone::Widths) continue;
                    for (const double mm : {9.0, -7.0}) {
                        Plan plan = blend;
                        plan.decide({line.kind, Answer::Accepted, Length::mm(mm)});
                        const auto c = *compute(p, chart_for(p), {}, plan);
                        if (c.line(line.kind)->state != LineState::Accepted) continue;
                        ++done;
                        const auto side = std::find_if(c.checks.walks.begin(), c.checks.walks.end(),
                                                       [](const Walk& w) { return w.seam == "side"; });
                        QVERIFY2(side->holds && abs(side->difference) < Length::mm(0.6),
                                 qPrintable(QString{"%1 %2: %3"}
                                                .arg(QString::fromStdString(std::string{entry.key}))
                                                .arg(mm)
                                                .arg(side->difference.in_mm())));
                    }
                }
            }
        }
        QVERIFY(done > 30);
    }
    void the_classic_bust_is_what_rigid_panels_do()
    {
        std::mt19937 rng{51};
        int seen = 0;
        for (int i = 0; i < 60; ++i) {
            const auto drawn = bodice_pattern(random_bodice(rng));
            if (!drawn) continue;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            const Piece& before = front_of(g);
            const double a = between(rng, -5, 25);
            const ByHand hand{before, a};
            const auto done = adjustment(AdjustmentKind::Bust).apply(g, {Length::mm(a), way(BustMethod::Kept)});
            if (!done) continue;
            ++seen;
            const Piece& after = front_of(done->garment);
            QVERIFY(near(dart_at_bust_point(after), hand.dart, 2e-3));
            QVERIFY(near(mm_of(after, EdgeRole::Centre) - mm_of(before, EdgeRole::Centre), hand.gain, 1e-3));
            QVERIFY(near(mm_of(after, EdgeRole::Waist) - mm_of(before, EdgeRole::Waist), a, 0.2));
            QVERIFY(near(mm_of(after, EdgeRole::Side), hand.side_closed, 0.02));
            QVERIFY(near(mm_of(after, EdgeRole::Side), mm_of(before, EdgeRole::Side), 0.02));
            QVERIFY(near(mm_of(after, EdgeRole::Armhole), mm_of(before, EdgeRole::Armhole), 0.3));
            const Point end = after.edges[*edge_index(after, EdgeRole::Side, true)].curve.finalPoint();
            QVERIFY(near(end[Geom::X], hand.waist.x, 0.5) && near(end[Geom::Y], hand.waist.y, 0.5));
            const auto flat_before = measure_flat(g.pieces);
            const auto flat_after = measure_flat(done->garment.pieces);
            QVERIFY(near((flat_after.of(GarmentMeasure::Bust) - flat_before.of(GarmentMeasure::Bust)).in_mm(),
                         2 * a, 0.05));
        }
        QVERIFY2(seen > 35, qPrintable(QString::number(seen)));
    }
    void its_closed_form_agrees()
    {
        // Section 16: psi = atan2(p, q) + asin((a − p)/√(p² + q²)), gain p·sin psi − q·(1 − cos psi).
        const auto g = bodice(plain_bodice());
        const Piece& f = front_of(g);
        const Length whole = sewn_length(f, EdgeRole::Armhole);
        const Point hinge = point_at(f, place_along(f, EdgeRole::Armhole, whole * (2.0 / 3)));
        const double p = hinge[Geom::X] - (*f.bust_point)[Geom::X];
        const double q = hinge[Geom::Y] - (*f.bust_point)[Geom::Y];
        const double a = 20;
        const double psi = std::atan2(p, q) + std::asin((a - p) / std::hypot(p, q));
        const ByHand hand{f, a};
        QVERIFY(near(hand.radians, psi, 1e-9));
        QVERIFY(near(hand.gain, p * std::sin(psi) - q * (1 - std::cos(psi)), 1e-9));
        QVERIFY(near(hand.dart - dart_at_bust_point(f), psi, 2e-3));
    }
    void two_inches_of_bust_are_an_inch_on_each_half_front()
    {
        // Common practice: 2 in more girth than drafted is 1 in per half front, two cups.
        const auto g = bodice(plain_bodice());
        const auto after = altered(g, AdjustmentKind::Bust, 25.4, way(BustMethod::Side));
        const auto was = measure_flat(g.pieces);
        const auto is = measure_flat(after.pieces);
        QVERIFY(near((is.of(GarmentMeasure::Bust) - was.of(GarmentMeasure::Bust)).in_inches(), 2.0, 1e-3));
        QVERIFY(near((is.of(GarmentMeasure::Waist) - was.of(GarmentMeasure::Waist)).in_mm(), 0, 1.0));
        QVERIFY(is.of(GarmentMeasure::CentreFront) > was.of(GarmentMeasure::CentreFront) + Length::mm(5));
        QVERIFY(near((is.of(GarmentMeasure::CentreBack) - was.of(GarmentMeasure::CentreBack)).in_mm(), 0, 1e-9));
    }
    void the_surplus_at_the_waist_goes_where_it_is_wanted()
    {
        const auto g = bodice(plain_bodice());
        const auto was = measure_flat(g.pieces).of(GarmentMeasure::Waist);
        const auto side = altered(g, AdjustmentKind::Bust, 15, way(BustMethod::Side));
        const auto dart = altered(g, AdjustmentKind::Bust, 15, way(BustMethod::WaistDart));
        const auto kept = altered(g, AdjustmentKind::Bust, 15, way(BustMethod::Kept));
        QVERIFY(near((measure_flat(side.pieces).of(GarmentMeasure::Waist) - was).in_mm(), 0, 1.0));
        QVERIFY(near((measure_flat(dart.pieces).of(GarmentMeasure::Waist) - was).in_mm(), 0, 0.2));
        QVERIFY(near((measure_flat(kept.pieces).of(GarmentMeasure::Waist) - was).in_mm(), 30, 0.4));
        const auto mouth = [](const Garment& x) {
            const Piece& f = front_of(x);
            return mouth_width(f.darts[dart_at(f, *mouth_in(f, EdgeRole::Waist))]).in_mm();
        };
        QVERIFY(near(mouth(dart) - mouth(g), 15, 0.2));
        for (const auto& x : {side, dart, kept}) QVERIFY(check(x, {}, {}).seams_hold());
    }
    void a_front_without_a_dart_gets_one_or_eases_it()
    {
        const auto tee = bodice(plain_tee());
        const auto dart = altered(tee, AdjustmentKind::Bust, 15, way(BustMethod::Side));
        QVERIFY(mouth_in(front_of(dart), EdgeRole::Side).has_value());
        QVERIFY(check(dart, {}, {}).seams_hold());
        const auto eased = need(adjustment(AdjustmentKind::Bust).apply(tee, same(5, way(BustMethod::Eased))));
        QVERIFY(!mouth_in(front_of(eased.garment), EdgeRole::Side));
        const auto checks = check(eased.garment, {}, {});
        QVERIFY(checks.seams_hold());
        // The front's side is longer by the mouth, and the walk knows it is meant.
        const auto& side = checks.walks[1];
        QVERIFY(side.a - side.b > Length::mm(4) && side.a - side.b <= bust_eased_limit);
        // More than cloth eases well is done and said.
        const auto much = need(adjustment(AdjustmentKind::Bust).apply(tee, same(20, way(BustMethod::Eased))));
        QVERIFY(eased.cautions.empty() && much.cautions.size() == 1);
        QVERIFY(much.cautions[0].kind == CautionKind::SideEased && much.cautions[0].given > much.cautions[0].most);
        QVERIFY(adjustment(AdjustmentKind::Bust).apply(tee, same(-5)).error().why == Why::DartTooSmall);
    }
    // Whichever side of its seam the front's is.
    void an_eased_dart_is_eased_into_the_front_however_the_seam_is_named()
    {
        auto tee = bodice(plain_tee());
        const auto dose = same(5, way(BustMethod::Eased));
        const auto usual = need(adjustment(AdjustmentKind::Bust).apply(tee, dose)).garment;
        for (auto& seam : tee.seams) {
            std::swap(seam.a, seam.b);
            seam.ease = -seam.ease;
        }
        const auto turned = need(adjustment(AdjustmentKind::Bust).apply(tee, dose)).garment;
        QVERIFY(check(turned, {}, {}).seams_hold());
        for (std::size_t i = 0; i < usual.seams.size(); ++i)
            QVERIFY(near(turned.seams[i].ease.in_mm(), -usual.seams[i].ease.in_mm()));
    }
    void a_smaller_bust_closes_no_more_than_the_dart_there_is()
    {
        const auto g = bodice(plain_bodice());
        const auto refused = adjustment(AdjustmentKind::Bust).apply(g, same(-25));
        QVERIFY(refused.error().why == Why::DartTooSmall);
        const Length least = refused.error().low;
        QVERIFY(least < Length::mm(-8) && least > Length::mm(-25));
        // Right up to it the dart closes.
        const auto after = altered(g, AdjustmentKind::Bust, least.in_mm() + 0.3, way(BustMethod::Kept));
        // Nobody sews what is left of it: that is eased, and the seams still hold.
        QVERIFY(!mouth_in(front_of(after), EdgeRole::Side) && check(after, {}, {}).seams_hold());
        const Length left =
            sewn_length(front_of(after), EdgeRole::Side) - sewn_length(back_of(after), EdgeRole::Side);
        QVERIFY(left > Length{} && left < bust_dart_least);
        QVERIFY(adjustment(AdjustmentKind::Bust).apply(g, {least - Length::mm(0.1), 2}).error().why ==
                Why::DartTooSmall);
    }
    void more_than_two_cups_takes_two_slashes()
    {
        const auto g = bodice(plain_bodice());
        const auto one = adjustment(AdjustmentKind::Bust).apply(g, same(38, way(BustMethod::Side)));
        QVERIFY(one.has_value());  // done, and said on the plan's line
        QCOMPARE(usual_amounts(adjustment(AdjustmentKind::Bust), way(BustMethod::Side)).most.in_mm(),
                 bust_limit.in_mm());
        QVERIFY(usual_amounts(adjustment(AdjustmentKind::Bust), way(BustMethod::TwoSlashes)).most >
                Length::mm(38));
        const auto two = need(adjustment(AdjustmentKind::Bust).apply(g, same(38, way(BustMethod::TwoSlashes))));
        QCOMPARE(std::count_if(two.steps.begin(), two.steps.end(),
                               [](const Step& s) { return s.kind == StepKind::SwingBust; }),
                 2);
        QVERIFY(near((measure_flat(two.garment.pieces).of(GarmentMeasure::Bust) -
                      measure_flat(g.pieces).of(GarmentMeasure::Bust))
                         .in_mm(),
                     76, 0.1));
        QVERIFY(check(two.garment, {}, {}).seams_hold());
    }
    void the_knit_dart_gives_back_what_it_uses()
    {
        // Common practice: a pinch of ¼ in uses ½ in of armhole, and the front is lengthened by ½ in.
        const auto tee = bodice(plain_tee());
        const Piece& before = front_of(tee);
        const double pinch = 6.35;
        const auto full = altered(tee, AdjustmentKind::KnitDart, pinch, way(KnitDartMethod::WithLength));
        const Piece& after = front_of(full);
        const auto mouth = mouth_in(after, EdgeRole::Armhole);
        QVERIFY(mouth.has_value());
        QVERIFY(near(mouth_width(after.darts[0]).in_mm(), 2 * pinch, 0.3));
        QVERIFY(near(mm_of(after, EdgeRole::Armhole), mm_of(before, EdgeRole::Armhole), 0.01));
        QVERIFY(near(mm_of(after, EdgeRole::Side), mm_of(before, EdgeRole::Side), 0.01));
        // The hem hangs level: all of it went down alike.
        const Curve& hem_before = edge(before, EdgeRole::Hem).curve;
        const Curve& hem_after = edge(after, EdgeRole::Hem).curve;
        const Point down_side = hem_after.initialPoint() - hem_before.initialPoint();
        const Point down_centre = hem_after.finalPoint() - hem_before.finalPoint();
        QVERIFY(near(Geom::distance(down_side, down_centre), 0, 1e-6));
        QVERIFY(down_side[Geom::Y] < -2 * pinch + 0.5);
        const auto only = altered(tee, AdjustmentKind::KnitDart, pinch, way(KnitDartMethod::DartOnly));
        QVERIFY(
            near(mm_of(before, EdgeRole::Armhole) - mm_of(front_of(only), EdgeRole::Armhole), 2 * pinch, 0.05));
        // It points at the bust point, 65 mm long, wherever that lies.
        const Dart& d = after.darts[0];
        const Point middle = (d.leg_a + d.leg_b) / 2;
        QVERIFY(near(Geom::distance(middle, d.tip), 65, 1.0));
        const double off = Geom::angle_between(d.tip - middle, *after.bust_point - middle);
        QVERIFY2(std::abs(off) < 0.2, qPrintable(QString::number(off)));
        QVERIFY(adjustment(AdjustmentKind::KnitDart).apply(tee, same(7)).has_value());
        QVERIFY(adjustment(AdjustmentKind::KnitDart).most < Length::mm(7));
        QVERIFY(adjustment(AdjustmentKind::KnitDart).apply(tee, same(-3)).error().why == Why::AmountTooLarge);
    }
    void a_gape_becomes_the_same_angle_in_the_dart()
    {
        std::mt19937 rng{52};
        for (int i = 0; i < 40; ++i) {
            const auto drawn = bodice_pattern(random_bodice(rng));
            if (!drawn) continue;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            for (const auto kind : {AdjustmentKind::NeckGape, AdjustmentKind::ArmholeGape}) {
                const auto role = kind == AdjustmentKind::NeckGape ? EdgeRole::Neck : EdgeRole::Armhole;
                const Piece& before = front_of(g);
                const Point bp = *before.bust_point;
                const double pinch = between(rng, 3, 14);
                const Point at = point_at(before, place_facing(before, role, bp, 0.3, 0.75));
                const double radians = 2 * std::asin(pinch / 2 / Geom::distance(at, bp));
                const double had = dart_at_bust_point(before);
                const auto done = need(adjustment(kind).apply(g, same(pinch)));
                const Piece& after = front_of(done.garment);
                // The wedge's edges lie on the drawn line, not on an arc: a hair of the angle may be the chord's.
                const double grew = dart_at_bust_point(after) - had;
                QVERIFY(near(grew, radians, radians * 0.06));
                QVERIFY(near(mm_of(after, EdgeRole::Side), mm_of(before, EdgeRole::Side), 0.5));
                QVERIFY(mm_of(after, role) < mm_of(before, role) - pinch * 0.6);
                // Mouths do not add: 2·r·sin((old + new)/2).
                const Dart& d = side_dart(after);
                const double r = (Geom::distance(d.leg_a, bp) + Geom::distance(d.leg_b, bp)) / 2;
                QVERIFY(near(mouth_width(d).in_mm(), 2 * r * std::sin((had + grew) / 2), 0.05));
                QVERIFY(check(done.garment, {}, {}).seams_hold());
            }
        }
    }
    void a_dart_keeps_its_angle_wherever_it_goes_and_comes_back()
    {
        const auto g = bodice(plain_bodice());
        const Piece& before = front_of(g);
        const Point bp = *before.bust_point;
        const double had = dart_at_bust_point(before);
        const std::array<std::pair<DartPlace, EdgeRole>, 3> places{{{DartPlace::Armhole, EdgeRole::Armhole},
                                                                    {DartPlace::Shoulder, EdgeRole::Shoulder},
                                                                    {DartPlace::Neck, EdgeRole::Neck}}};
        for (const auto& [place, role] : places) {
            const auto there = altered(g, AdjustmentKind::DartMoved, 0, way(place));
            const Piece& f = front_of(there);
            QVERIFY(!mouth_in(f, EdgeRole::Side));
            QVERIFY(near(radians_at(f, *mouth_in(f, role), bp), had, 1e-4));
            QVERIFY(check(there, {}, {}).seams_hold());
            for (const auto r : {EdgeRole::Neck, EdgeRole::Shoulder, EdgeRole::Armhole, EdgeRole::Side})
                QVERIFY(near(mm_of(f, r), mm_of(before, r), 0.3));
            const auto home = altered(there, AdjustmentKind::DartMoved, 0, way(DartPlace::Side));
            QVERIFY(near(dart_at_bust_point(front_of(home)), had, 1e-3));
            QVERIFY(near(area_mm2(front_of(home)), area_mm2(before), 150));  // mm² of some 100 000
        }
        // Into the waist dart that is there: the angles add, the mouths do not.
        const auto waist = altered(g, AdjustmentKind::DartMoved, 0, way(DartPlace::Waist));
        const Piece& f = front_of(waist);
        const double was = radians_at(before, *mouth_in(before, EdgeRole::Waist), bp);
        QVERIFY(near(radians_at(f, *mouth_in(f, EdgeRole::Waist), bp), had + was, 0.01));
        // A part of it, and what cannot be.
        const double half = mouth_width(side_dart(before)).in_mm() / 2;
        const auto part = front_of(altered(g, AdjustmentKind::DartMoved, half, way(DartPlace::Armhole)));
        QVERIFY(near(dart_at_bust_point(part), had / 2, 1e-3));
        QVERIFY(adjustment(AdjustmentKind::DartMoved).apply(g, same(0, way(DartPlace::Side))).error().why ==
                Why::DartAlreadyThere);
        const auto tee = bodice(plain_tee());
        QVERIFY(adjustment(AdjustmentKind::DartMoved).apply(tee, same(0)).error().why == Why::NeedsBustDart);
    }
    void underarm_in_by_half_an_inch_takes_two_inches_off()
    {
        // Common practice: ½ in at both front and back is 2 in of girth.
        const auto g = bodice(plain_bodice());
        const auto in = altered(g, AdjustmentKind::UnderarmWidth, -50.8, way(WidthShare::Quarters));
        // At the level the underarm had: the armhole ends a little higher now, on its old curve.
        double lost = 0;
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            const Point was = underarm(*find_piece(g.pieces, role));
            const Piece& is = *find_piece(in.pieces, role);
            const Curve& side = is.edges[*edge_index(is, EdgeRole::Side)].curve;
            const Point along = start_direction(side);
            const Point on = side.initialPoint() + along * ((was - side.initialPoint())[Geom::Y] / along[Geom::Y]);
            lost += 2 * (was - on)[Geom::X];
        }
        QVERIFY(near(lost / 25.4, 2.0, 0.01));
        QVERIFY(near(
            (measure_flat(g.pieces).of(GarmentMeasure::Waist) - measure_flat(in.pieces).of(GarmentMeasure::Waist))
                .in_mm(),
            0, 1.0));
        const auto back = altered(g, AdjustmentKind::UnderarmWidth, 40, way(WidthShare::BackOnly));
        QVERIFY(near(underarm(back_of(back))[Geom::X] - underarm(back_of(g))[Geom::X], 20, 0.8));
        QVERIFY(near(
            (measure_flat(back.pieces).of(GarmentMeasure::Bust) - measure_flat(g.pieces).of(GarmentMeasure::Bust))
                .in_mm(),
            40, 1.5));
        for (const auto& x : {in, back}) QVERIFY(check(x, {}, {}).seams_hold());
    }
    void widths_at_waist_and_hip_change_their_level_alone()
    {
        const auto g = bodice(plain_bodice());
        const auto waist = altered(g, AdjustmentKind::WidthAtWaist, 40);
        QVERIFY(near((measure_flat(waist.pieces).of(GarmentMeasure::Waist) -
                      measure_flat(g.pieces).of(GarmentMeasure::Waist))
                         .in_mm(),
                     40, 0.6));
        QVERIFY(near(
            (measure_flat(waist.pieces).of(GarmentMeasure::Bust) - measure_flat(g.pieces).of(GarmentMeasure::Bust))
                .in_mm(),
            0, 1e-6));
        const auto tee = bodice(plain_tee());
        const auto tee_waist = altered(tee, AdjustmentKind::WidthAtWaist, 40);
        const auto tee_hip = altered(tee, AdjustmentKind::WidthAtHip, 40, way(WidthShare::BackOnly));
        const auto was = measure_flat(tee.pieces);
        QVERIFY(near(
            (measure_flat(tee_waist.pieces).of(GarmentMeasure::Waist) - was.of(GarmentMeasure::Waist)).in_mm(), 40,
            0.6));
        QVERIFY(
            near((measure_flat(tee_waist.pieces).of(GarmentMeasure::Hem) - was.of(GarmentMeasure::Hem)).in_mm(), 0,
                 1.0));
        QVERIFY(near((measure_flat(tee_hip.pieces).of(GarmentMeasure::Hem) - was.of(GarmentMeasure::Hem)).in_mm(),
                     40, 1.0));
        QVERIFY(
            near((measure_flat(tee_hip.pieces).of(GarmentMeasure::Waist) - was.of(GarmentMeasure::Waist)).in_mm(),
                 0, 0.5));
        for (const auto& x : {waist, tee_waist, tee_hip}) QVERIFY(check(x, {}, {}).seams_hold());
    }
    void the_scoop_leaves_tip_and_notch()
    {
        const auto g = bodice(plain_bodice());
        const auto scooped = altered(g, AdjustmentKind::AcrossFront, -6);
        const Piece& f = front_of(scooped);
        QVERIFY(near(Geom::distance(shoulder_tip(f), shoulder_tip(front_of(g))), 0, 1e-9));
        QVERIFY(near(Geom::distance(underarm(f), underarm(front_of(g))), 0, 1e-9));
        QVERIFY(near(guide(f, GuideKind::Across)->b[Geom::X],
                     guide(front_of(g), GuideKind::Across)->b[Geom::X] - 6, 1e-6));
        QVERIFY(near(Geom::distance(f.notches[0].at, front_of(g).notches[0].at), 0, 0.05));
        QVERIFY(adjustment(AdjustmentKind::AcrossFront).least > Length::mm(-7));
    }
    void the_back_armhole_loses_what_the_shoulder_eases()
    {
        BodiceFlat f = plain_bodice();
        f.shoulder_ease = Length::mm(4);
        const auto g = bodice(f);
        const auto done = altered(g, AdjustmentKind::BackArmhole, 6);
        const double armhole = mm_of(back_of(g), EdgeRole::Armhole) - mm_of(back_of(done), EdgeRole::Armhole);
        const double grew = mm_of(back_of(done), EdgeRole::Shoulder) - mm_of(back_of(g), EdgeRole::Shoulder);
        QVERIFY2(armhole > 2.5 && armhole < 7, qPrintable(QString::number(armhole)));
        QVERIFY2(grew > 1 && grew < 10, qPrintable(QString::number(grew)));
        const auto checks = check(done, {}, {});
        QVERIFY(checks.seams_hold());
        QVERIFY(near((checks.walks[0].b - checks.walks[0].a).in_mm(), 4 + grew, 0.01));
        QVERIFY(near(mm_of(front_of(done), EdgeRole::Armhole), mm_of(front_of(g), EdgeRole::Armhole), 1e-9));
    }
    void what_has_no_bust_point_says_what_is_missing()
    {
        auto g = bodice(plain_bodice());
        find_piece(g.pieces, PieceRole::Front)->bust_point.reset();
        for (const auto kind : {AdjustmentKind::Bust, AdjustmentKind::NeckGape, AdjustmentKind::DartMoved})
            QVERIFY(adjustment(kind).apply(g, same(5)).error().why == Why::NeedsBustPoint);
    }
};
SARTORUM_TEST(TestWidths)

}  // namespace test_widths

#include "test_widths.moc"
