#include <QTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/kit/follower_drawing.h"
#include "core/alter/kit/size_blend.h"
#include "core/check/walk.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"

namespace test_alter {

using namespace sartorum;
using namespace sartorum::test;

namespace {
Garment garment()
{
    const auto p = skirt_pattern(plain_skirt());
    return {p->sizes[0].pieces, p->seams};
}
Applied altered(AdjustmentKind kind, Length amount)
{
    return *adjustment(kind).apply(garment(), amount);
}
}  // namespace

class TestAlter : public QObject {
    Q_OBJECT
private slots:
    void drafted_8_in_worn_9_in_adds_1_in_on_front_and_back()  // common practice
    {
        const auto before = garment();
        const auto a = altered(AdjustmentKind::WaistToHip, Length::inches(1));
        const auto was = measure_flat(before.pieces);
        const auto is = measure_flat(a.garment.pieces);
        QVERIFY(is_near(is.of(GarmentMeasure::WaistToHip) - was.of(GarmentMeasure::WaistToHip), Length::inches(1),
                        Length::mm(0.05)));
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            const auto centre = [&](const Garment& g) {
                return sewn_length(*find_piece(g.pieces, role), EdgeRole::Centre);
            };
            QVERIFY(is_near(centre(a.garment) - centre(before), Length::inches(1), Length::mm(1e-6)));
        }
    }
    void a_difference_in_waist_to_hip_leaves_waist_and_band_untouched()  // common practice
    {
        const auto before = garment();
        const auto a = altered(AdjustmentKind::WaistToHip, Length::mm(-18));
        QVERIFY(is_near(measure_flat(a.garment.pieces).of(GarmentMeasure::Waist),
                        measure_flat(before.pieces).of(GarmentMeasure::Waist), Length::mm(0.01)));
        QVERIFY(largest_gap(*find_piece(a.garment.pieces, PieceRole::Waistband),
                            *find_piece(before.pieces, PieceRole::Waistband)) < 1e-9);
        QVERIFY(is_near(measure_flat(a.garment.pieces).of(GarmentMeasure::Hip),
                        measure_flat(before.pieces).of(GarmentMeasure::Hip), Length::mm(1e-6)));
    }
    void a_fold_is_half_as_deep_as_what_it_takes_out()  // common practice: 1¼ in deep removes 2½ in
    {
        const auto a = altered(AdjustmentKind::WaistToHip, Length::mm(-12));
        const auto fold = std::find_if(a.steps.begin(), a.steps.end(),
                                       [](const Step& s) { return s.kind == StepKind::FoldOut; });
        QVERIFY(fold != a.steps.end());
        QCOMPARE(fold->amount.in_mm(), 12.0);
        const auto draw = std::find_if(a.steps.begin(), a.steps.end(),
                                       [](const Step& s) { return s.kind == StepKind::DrawFoldLines; });
        // The two drawn lines lie the whole amount apart; folded onto each other the fold is half of it.
        QVERIFY(near(draw->picture.lines[0].a[Geom::Y] - draw->picture.lines[1].a[Geom::Y], 12.0, 1e-9));
    }
    void there_and_back_restores_the_pattern()
    {
        const auto before = garment();
        for (const auto kind : {AdjustmentKind::WaistToHip, AdjustmentKind::WidthAtWaist,
                                AdjustmentKind::WidthAtHip, AdjustmentKind::FinishedLength}) {
            const auto there = *adjustment(kind).apply(before, Length::mm(16));
            const auto back = *adjustment(kind).apply(there.garment, Length::mm(-16));
            for (std::size_t i = 0; i < before.pieces.size(); ++i) {
                // Matching the side seams settles within 0.01 mm, so this is looser than the bare paper
                // operations.
                QVERIFY2(largest_gap(back.garment.pieces[i], before.pieces[i]) < 0.03,
                         adjustment(kind).key.data());
            }
        }
    }
    void width_is_shared_in_quarters_and_the_band_follows()  // common practice
    {
        const auto before = garment();
        const auto a = altered(AdjustmentKind::WidthAtWaist, Length::mm(24));
        const auto was = measure_flat(before.pieces);
        const auto is = measure_flat(a.garment.pieces);
        QVERIFY(is_near(is.of(GarmentMeasure::Waist) - was.of(GarmentMeasure::Waist), Length::mm(24),
                        Length::mm(0.02)));
        QVERIFY(is_near(is.of(GarmentMeasure::Hip), was.of(GarmentMeasure::Hip), Length::mm(0.01)));
        const auto mark = std::find_if(a.steps.begin(), a.steps.end(),
                                       [](const Step& s) { return s.kind == StepKind::MarkWaist; });
        QVERIFY(is_near(mark->amount, Length::mm(6), Length::mm(0.1)));  // the waist leans where it ends
        // The band is of no part: it follows the waist it is sewn to.
        auto sewn = a;
        const auto seams = followers(before.seams, before.pieces);
        QCOMPARE(seams.size(), std::size_t{1});
        const Length change = side_length(a.garment.pieces, seams[0].a) - side_length(before.pieces, seams[0].a);
        Piece& band = *find_piece(sewn.garment.pieces, PieceRole::Waistband);
        QVERIFY(follow_length(sewn.steps, band, seams[0].b[0].role, change).has_value());
        const auto c = check(sewn.garment, {});
        for (const auto& w : c.walks) QVERIFY2(w.holds, w.seam.c_str());
        QVERIFY(is_near(c.walks[1].difference, {}, Length::mm(0.06)));
        const auto hip = altered(AdjustmentKind::WidthAtHip, Length::mm(-20));
        QVERIFY(is_near(measure_flat(hip.garment.pieces).of(GarmentMeasure::Hip) - was.of(GarmentMeasure::Hip),
                        Length::mm(-20), Length::mm(0.01)));
    }
    void what_is_unusual_is_done_and_only_what_no_paper_carries_is_refused()
    {
        for (const auto& entry : catalogue()) {
            if (!serves(entry, garment()) || entry.when_sewn) continue;
            QCOMPARE(entry.apply(garment(), {}).error().why, Why::AmountZero);
            QVERIFY(entry.apply(garment(), entry.most + Length::mm(1)).has_value());
            const auto refused = entry.apply(garment(), Length::mm(700));
            QCOMPARE(refused.error().why, Why::AmountTooLarge);
            QVERIFY(refused.error().high > entry.most);
        }
        QCOMPARE(adjustment(AdjustmentKind::WaistToHip).apply(garment(), Length::mm(-49.9)).has_value(), true);
        QCOMPARE(adjustment(AdjustmentKind::FinishedLength).apply(garment(), Length::mm(-290)).has_value(), true);
    }
    void every_step_shows_paper_and_its_additions_match_the_area()
    {
        const auto before = garment();
        for (const auto& entry : catalogue()) {
            if (!serves(entry, before) || entry.when_sewn) continue;
            const auto a = *entry.apply(before, Length::mm(14));
            for (const auto& s : a.steps) {
                QVERIFY(!s.picture.panels.empty());
                QVERIFY(find_piece(before.pieces, s.piece));
            }
        }
    }
    // What moves is told, so that it can be played.
    void a_hip_spread_apart_is_seen_to_move()
    {
        const auto out = adjustment(AdjustmentKind::WaistToHip).apply(garment(), Length::mm(18));
        int spreads = 0;
        for (const auto& s : out->steps) {
            if (s.kind != StepKind::Spread) continue;
            ++spreads;
            QCOMPARE(s.picture.motions.size(), std::size_t{1});
            QCOMPARE(s.picture.motions.front().by, (Point{0, -18}));
            const auto half_way = panels_at(s.picture, 0.5);
            const double before = bounds(panels_at(s.picture, 0)[1]).min()[Geom::Y];
            QVERIFY(near(bounds(half_way[1]).min()[Geom::Y], (before - 9), 0.01));
        }
        QCOMPARE(spreads, 2);
    }
    void a_blend_between_sizes_walks()
    {
        const auto p = graded_skirt();
        for (std::size_t w = 0; w < p.sizes.size(); ++w) {
            for (std::size_t h = 0; h < p.sizes.size(); ++h) {
                if (std::max(w, h) - std::min(w, h) > 3) continue;
                const auto t = *trace_pattern(p, {p.sizes[h].size, p.sizes[w].size, p.sizes[h].size});
                for (const auto& walk : check(t.garment, {}).walks) {
                    QVERIFY2(walk.holds,
                             qPrintable(QString("%1 %2 %3").arg(w).arg(h).arg(walk.difference.in_mm())));
                }
            }
        }
    }
};
SARTORUM_TEST(TestAlter)

}  // namespace test_alter

#include "test_alter.moc"
