// The sleeve: drawn to its armhole, altered, and walked to it again.
#include <QTest>
#include <numbers>

#include "core/alter/kit/catalogue.h"
#include "core/alter/sleeve/rows.h"
#include "core/check/seam_run.h"
#include "core/check/walk.h"
#include "core/paper/redraw/sleeve.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_sleeve {

using namespace sartorum;
using namespace sartorum::test;

namespace {

Garment sleeved()
{
    return bodice(with_sleeve(plain_bodice()));
}

Garment altered(const Garment& g, AdjustmentKind kind, double mm, std::size_t method = 0)
{
    return need(adjustment(kind).apply(g, {Length::mm(mm), method})).garment;
}

double mm_of(const Piece& p, EdgeRole role)
{
    return sewn_length(p, role).in_mm();
}

double cap_of(const Garment& g)
{
    return mm_of(sleeve_of(g), EdgeRole::CapFront) + mm_of(sleeve_of(g), EdgeRole::CapBack);
}

Point front_underarm(const Piece& s)
{
    return edge(s, EdgeRole::UnderarmFront).curve.initialPoint();
}
Point back_underarm(const Piece& s)
{
    return edge(s, EdgeRole::UnderarmBack).curve.finalPoint();
}

}  // namespace

class TestSleeve : public QObject {
    Q_OBJECT
private slots:
    void it_is_drawn_to_any_armhole_with_its_ease()
    {
        std::mt19937 rng{61};
        int seen = 0;
        for (int i = 0; i < 80; ++i) {
            const double ease = between(rng, 0, 36);
            const auto drawn = bodice_pattern(with_sleeve(random_bodice(rng), Length::mm(ease)));
            if (!drawn) continue;
            ++seen;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            const double front = mm_of(sleeve_of(g), EdgeRole::CapFront) - mm_of(front_of(g), EdgeRole::Armhole);
            const double back = mm_of(sleeve_of(g), EdgeRole::CapBack) - mm_of(back_of(g), EdgeRole::Armhole);
            QVERIFY(near(front, ease / 2, 1e-3) && near(back, ease / 2, 1e-3));
            QVERIFY(near(mm_of(sleeve_of(g), EdgeRole::UnderarmFront), mm_of(sleeve_of(g), EdgeRole::UnderarmBack),
                         1e-6));
            Cloth cloth;
            cloth.knit = ease < 5;
            const auto checks = check(g, {}, cloth);
            QVERIFY(checks.seams_hold());
            QVERIFY(checks.cap && near(checks.cap->ease.in_mm(), ease, 1e-3));
            // All the ease lies above the side notches: below them cap and armhole are equally long.
            for (const auto& seam : g.seams) {
                if (seam.id != "armhole-front" && seam.id != "armhole-back") continue;
                const auto parts = stretches(seam_run(g, seam.a), seam_run(g, seam.b));
                QCOMPARE(parts.size(), std::size_t{2});
                QVERIFY(near(parts[0].difference().in_mm(), 0, 0.05));
                QVERIFY(near(parts[1].difference().in_mm(), ease / 2, 0.05));
            }
        }
        QVERIFY2(seen > 50, qPrintable(QString::number(seen)));
    }
    void what_cannot_be_drawn_names_the_measure()
    {
        auto f = with_sleeve(plain_bodice());
        f.sleeve.cap_height = Length::mm(250);
        QCOMPARE(bodice_pattern(f).error().why, Why::BlockCapImpossible);
        f = with_sleeve(plain_bodice());
        f.sleeve.bicep = Length::mm(900);
        QVERIFY(bodice_pattern(f).error().field.find("sleeve") == 0);
        f = with_sleeve(plain_bodice());
        f.sleeve.elbow = Length::mm(575);
        QCOMPARE(bodice_pattern(f).error().field, std::string{"elbow"});
    }
    void the_upper_arm_with_its_cap_kept_is_four_rigid_panels()
    {
        const auto g = sleeved();
        const Piece& before = sleeve_of(g);
        for (const double by : {-24.0, 12.0, 40.0}) {
            const auto s = bicep_spread(before, Length::mm(by));
            const Point top = top_notch(before);
            const Point to = top - Point{0, s.cap_lower.in_mm()};
            const Point f = front_underarm(s.piece);
            const Point b = back_underarm(s.piece);
            // Every hinge is as far from the next as it was; solved by hand as two triangles a side.
            QVERIFY(near(Geom::distance(to, f), Geom::distance(top, front_underarm(before)), 1e-6));
            QVERIFY(near(Geom::distance(to, b), Geom::distance(top, back_underarm(before)), 1e-6));
            QVERIFY(near(Geom::distance(s.hem, f), Geom::distance(s.hem, front_underarm(before)), 1e-6));
            QVERIFY(near(Geom::distance(s.hem, b), Geom::distance(s.hem, back_underarm(before)), 1e-6));
            QVERIFY(near(Geom::distance(f, b), Geom::distance(front_underarm(before), back_underarm(before)) + by,
                         1e-6));
            QVERIFY((s.cap_lower > Length{}) == (by > 0));
            for (const auto& how : {s.cap_front, s.cap_back, s.low_front, s.low_back})
                QVERIFY(near(how.det(), 1, 1e-9));
            QVERIFY(near(Geom::distance(top * s.cap_front, top * s.cap_back), 0, 1e-6));
        }
        const auto wider = altered(g, AdjustmentKind::UpperArm, 40, way(UpperArmMethod::CapKept));
        QVERIFY(near(cap_of(wider), cap_of(g), 0.5));
        QVERIFY(near(mm_of(sleeve_of(wider), EdgeRole::Hem), mm_of(before, EdgeRole::Hem), 2.0));
        QVERIFY(check(wider, {}, {}).seams_hold());
    }
    void split_through_everything_grows_alike()
    {
        const auto g = sleeved();
        const auto wider = altered(g, AdjustmentKind::UpperArm, 30, way(UpperArmMethod::SplitGathered));
        QVERIFY(near(cap_of(wider) - cap_of(g), 30, 1e-6));
        QVERIFY(near((measure_flat(wider.pieces).of(GarmentMeasure::UpperArm) -
                      measure_flat(g.pieces).of(GarmentMeasure::UpperArm))
                         .in_mm(),
                     30, 1e-6));
        QVERIFY(near((measure_flat(wider.pieces).of(GarmentMeasure::SleeveHem) -
                      measure_flat(g.pieces).of(GarmentMeasure::SleeveHem))
                         .in_mm(),
                     30, 0.5));
        const auto narrower = altered(g, AdjustmentKind::UpperArm, -30, way(UpperArmMethod::SplitGathered));
        QVERIFY(near((measure_flat(narrower.pieces).of(GarmentMeasure::UpperArm) -
                      measure_flat(g.pieces).of(GarmentMeasure::UpperArm))
                         .in_mm(),
                     -30, 1e-6));
    }
    void shoulder_tips_up_take_the_cap_down()
    {
        // Common practice: both tips up ¼ in, the cap down ¼ in; here by what gives the cap its ease again.
        const auto g = sleeved();
        const auto up = altered(g, AdjustmentKind::ShoulderSlope, -6.35);
        const Length armhole = measure_flat(up.pieces).of(GarmentMeasure::Armhole) -
                               measure_flat(g.pieces).of(GarmentMeasure::Armhole);
        QVERIFY(near(armhole.in_mm(), -12.7, 1.5));
        const auto amount =
            cap_height_for(sleeve_of(up), measure_flat(up.pieces).of(GarmentMeasure::Armhole) + Length::mm(24));
        QVERIFY(amount.has_value());
        QVERIFY2(*amount < Length::mm(-6) && *amount > Length::mm(-11),
                 qPrintable(QString::number(amount->in_mm())));
        const auto down = altered(up, AdjustmentKind::CapHeight, amount->in_mm());
        QVERIFY(near(cap_of(down) - measure_flat(down.pieces).of(GarmentMeasure::Armhole).in_mm(), 24, 0.05));
        QVERIFY(near(Geom::distance(front_underarm(sleeve_of(down)), front_underarm(sleeve_of(g))), 0, 1e-9));
    }
    void the_cap_forward_trades_exactly_the_amount_between_its_halves()
    {
        // Section 16: the front half loses, the back half gains f. What sliding does to the whole, a millimetre or
        // so, is made up in the back curve.
        const auto g = sleeved();
        for (const double f : {-8.0, 6.0, 12.7}) {
            const auto moved_cap = altered(g, AdjustmentKind::CapForward, f);
            const double front =
                mm_of(sleeve_of(moved_cap), EdgeRole::CapFront) - mm_of(sleeve_of(g), EdgeRole::CapFront);
            QVERIFY(near(front, -f, 0.01));
            const double back =
                mm_of(sleeve_of(moved_cap), EdgeRole::CapBack) - mm_of(sleeve_of(g), EdgeRole::CapBack);
            QVERIFY(near(back, f, 0.02));
            QVERIFY(check(moved_cap, {}, {}).joins[4].holds);  // the top runs on
        }
    }
    void notches_are_marked_where_the_armhole_has_them()
    {
        const auto g = sleeved();
        const auto deeper = altered(g, AdjustmentKind::ArmholeDepth, 12);
        const auto high = altered(deeper, AdjustmentKind::CapHeight, 9);
        for (const auto& w : check(high, {}, {}).walks) {
            if (w.seam != "armhole-front" && w.seam != "armhole-back") continue;
            QCOMPARE(w.notches_a.size(), std::size_t{1});
            QVERIFY(near(w.notches_a[0].in_mm(), w.notches_b[0].in_mm(), 0.05));
        }
        const auto marked = altered(g, AdjustmentKind::TopNotch, 7);
        QVERIFY(
            near(mm_of(sleeve_of(marked), EdgeRole::CapFront), mm_of(sleeve_of(g), EdgeRole::CapFront) - 7, 0.01));
        QVERIFY(near(cap_of(marked), cap_of(g), 1e-3));
        QVERIFY(near(area_mm2(sleeve_of(marked)), area_mm2(sleeve_of(g)), 1e-3));
    }
    void lengths_and_widths_change_what_they_name()
    {
        const auto g = sleeved();
        const auto was = measure_flat(g.pieces);
        const auto flat = [&](AdjustmentKind kind, double mm) {
            return measure_flat(altered(g, kind, mm).pieces);
        };
        QVERIFY(near(
            (flat(AdjustmentKind::SleeveAbove, 20).of(GarmentMeasure::Sleeve) - was.of(GarmentMeasure::Sleeve))
                .in_mm(),
            20, 0.5));
        QVERIFY(near(
            (flat(AdjustmentKind::SleeveBelow, -20).of(GarmentMeasure::Sleeve) - was.of(GarmentMeasure::Sleeve))
                .in_mm(),
            -20, 0.5));
        QVERIFY(near((flat(AdjustmentKind::SleeveAbove, 20).of(GarmentMeasure::SleeveHem) -
                      was.of(GarmentMeasure::SleeveHem))
                         .in_mm(),
                     0, 0.5));
        QVERIFY(near(
            (flat(AdjustmentKind::SleeveHem, 16).of(GarmentMeasure::SleeveHem) - was.of(GarmentMeasure::SleeveHem))
                .in_mm(),
            16, 0.5));
        QVERIFY(near(
            (flat(AdjustmentKind::SleeveHem, 16).of(GarmentMeasure::UpperArm) - was.of(GarmentMeasure::UpperArm))
                .in_mm(),
            0, 1e-6));
        const auto forearm = altered(g, AdjustmentKind::Forearm, 20);
        QVERIFY(near(
            (measure_flat(forearm.pieces).of(GarmentMeasure::UpperArm) - was.of(GarmentMeasure::UpperArm)).in_mm(),
            0, 1e-6));
        QVERIFY(
            near((measure_flat(forearm.pieces).of(GarmentMeasure::SleeveHem) - was.of(GarmentMeasure::SleeveHem))
                     .in_mm(),
                 0, 1e-6));
        QVERIFY(area_mm2(sleeve_of(forearm)) > area_mm2(sleeve_of(g)) + 1500);
        // Above the elbow moves it, below it does not.
        const auto elbow = [](const Garment& x) { return guide(sleeve_of(x), GuideKind::Elbow)->a[Geom::Y]; };
        QVERIFY(near(elbow(altered(g, AdjustmentKind::SleeveAbove, 20)), elbow(g) - 20, 1e-6));
        QVERIFY(near(elbow(altered(g, AdjustmentKind::SleeveBelow, 20)), elbow(g), 1e-6));
        for (const auto kind : {AdjustmentKind::SleeveAbove, AdjustmentKind::SleeveBelow, AdjustmentKind::Forearm,
                                AdjustmentKind::SleeveHem})
            QVERIFY(check(altered(g, kind, 20), {}, {}).seams_hold());
        auto short_one = with_sleeve(plain_tee(), Length::mm(6));
        short_one.sleeve.elbow = {};
        short_one.sleeve.length = Length::mm(220);
        QVERIFY(adjustment(AdjustmentKind::SleeveBelow).apply(bodice(short_one), same(10)).error().why ==
                Why::NeedsElbow);
    }
    void one_edge_rolls_along_the_other_without_stretching()
    {
        const auto g = sleeved();
        for (const auto& seam : g.seams) {
            const auto a = seam_run(g, seam.a);
            const auto b = seam_run(g, seam.b);
            const Length whole = std::min(length(a.line), length(b.line));
            for (const double part : {0.0, 0.31, 0.77, 1.0}) {
                const Length along = whole * part;
                const auto how = rolled(a, b, along);
                // Rigid (a sheet of paper may be turned over), and both have used up the same length at the touch.
                QVERIFY(near(std::abs(how.det()), 1, 1e-9));
                const Point on_a = a.line.pointAt(time_at(a.line, along));
                const Point on_b = b.line.pointAt(time_at(b.line, along)) * how;
                QVERIFY(near(Geom::distance(on_a, on_b), 0, 0.01));
                // Paper on opposite sides of the line.
                const Point down = start_direction(
                    split(a.line, std::clamp(time_at(a.line, along), 1e-3, double(a.line.size_default()) - 1e-3))
                        .after);
                const Piece& far = *find_piece(g.pieces, seam.b.front().piece);
                const Piece& near = *find_piece(g.pieces, seam.a.front().piece);
                Piece shifted = moved(far, b.pieces.front().laid * how);
                const Point probe = on_a + Geom::rot90(down) * 0.5;
                const Point other = on_a - Geom::rot90(down) * 0.5;
                if (part == 0.31) {
                    const bool near_left = outline(near).winding(probe) != 0;
                    QVERIFY(near_left != (outline(near).winding(other) != 0));
                    QVERIFY((outline(shifted).winding(probe) != 0) != near_left);
                }
            }
        }
    }
};
SARTORUM_TEST(TestSleeve)

}  // namespace test_sleeve

#include "test_sleeve.moc"
