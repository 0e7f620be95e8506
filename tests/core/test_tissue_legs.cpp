// The tissue of trousers measured flat: legs are drawn as they were measured, line by line.
#include <QElapsedTimer>
#include <QTest>

#include "bodices.h"
#include "core/check/walk.h"
#include "core/pattern/all_in_one_block.h"
#include "core/pattern/garment_measure.h"
#include "core/tissue/draw.h"
#include "core/tissue/line_objection.h"
#include "core/tissue/measured_edges.h"
#include "core/tissue/reckoned_girths.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tissue_bench.h"
#include "trousers.h"

namespace test_tissue_legs {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using L = TissueLine;

// A dart's mouth is drawn along the waist, and measured straight from leg to leg.
constexpr Length near_to = Length::mm(0.05);

Tissue tissue_of(const TrousersFlat& f)
{
    Tissue t = begun(TissueKind::Trousers);
    t.in_hand()->lines[L::Allowance] = {TissueState::Measured, f.allowance};
    t.in_hand()->lines[L::HemAllowance] = {TissueState::Measured, f.hem_allowance};
    return t;
}

// Tapered, straight and wide; with and without darts, a fly, a band; on elastic, as wide at the waist as at the
// hip.
TrousersFlat any_trousers(std::mt19937& rng, int i)
{
    TrousersFlat f = random_trousers(rng);
    f.front_lean = Length::mm(between(rng, 0, 15));
    f.knee_below = f.inside_leg * between(rng, 0.38, 0.52);
    f.back_leg_more = Length::mm(between(rng, 0, 40));
    f.back_hem_more = Length::mm(between(rng, 0, 40));
    if (i % 4 == 0) f.front_dart = {};
    if (i % 5 == 0) f.band_depth = f.fly = {};
    if (i % 6 == 0) {
        f.front_dart = f.back_dart = f.front_lean = f.back_lean = {};
        f.waist = f.hip;
        f.back_waist_more = f.back_more;
    }
    return f;
}

}  // namespace

class TestTissueLegs : public QObject {
    Q_OBJECT
private slots:
    void trousers_measured_line_by_line_draw_the_same()
    {
        std::mt19937 rng{20};
        int drawn = 0;
        for (int i = 0; i < tries(30); ++i) {
            const auto f = any_trousers(rng, i);
            const auto first = draw_trousers(f);
            if (!first) continue;
            Tissue t = tissue_of(f);
            measure_all(t, first->pieces);
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) qWarning("%d: %s %f", i, again.error().field.c_str(), again.error().given.in_mm());
            QVERIFY(again.has_value());
            // The curve of the crotch is the block's own for its points and its length.
            const double gap = worst_gap(first->pieces, again->pieces);
            if (gap >= 0.1) qWarning("%d: gap %f", i, gap);
            QVERIFY(gap < 0.1);
            ++drawn;
        }
        QVERIFY(drawn > tries(20));
    }
    // As makers draw them, by rules that are not the block's: each line still measures what was measured.
    void each_line_measures_what_was_measured()
    {
        std::mt19937 rng{21};
        int drawn = 0;
        int lines = 0;
        for (int i = 0; i < tries(30); ++i) {
            const auto first = draw_trousers(any_trousers(rng, i));
            if (!first) continue;
            Tissue t = begun(TissueKind::Trousers);
            measure_all(t, first->pieces);
            for (auto& [line, value] : t.in_hand()->lines) {
                if (value.state == TissueState::Measured && value.value > Length::mm(15))
                    value.value += Length::mm(between(rng, -6, 6));
            }
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) continue;
            ++drawn;
            const int as_measured = lines_as_measured(t, again->pieces, near_to);
            QVERIFY(as_measured > 0);
            lines += as_measured;
            QVERIFY(is_near(sewn_length(again->pieces[0], EdgeRole::Side),
                            sewn_length(again->pieces[1], EdgeRole::Side), Length::mm(0.01)));
        }
        QVERIFY(drawn > tries(20) && lines > tries(400));
    }
    // A bodice and trousers, joined at the waist: drawn as they were, sewn there, every line what was measured.
    void an_all_in_one_measured_line_by_line_draws_the_same()
    {
        std::mt19937 rng{27};
        int drawn = 0;
        for (int i = 0; i < tries(24); ++i) {
            BodiceFlat above = i % 3 == 1 ? random_princess(rng) : random_bodice(rng);
            if (i % 2) above = with_sleeve(above, Length::mm(between(rng, 5, 30)));
            const auto legs = any_trousers(rng, i);
            const auto first = draw_all_in_one({above, legs});
            if (!first || above.below_waist > Length{}) continue;
            Tissue t = begun(TissueKind::AllInOne);
            if (above.princess) t.notes[TissueNote::FrontSeam] = *above.princess == PrincessFrom::Armhole ? 1 : 2;
            t.notes[TissueNote::CentreBack] = above.back_seam ? 1 : 0;
            t.notes[TissueNote::Sleeve] = i % 2;
            t.in_hand()->lines[L::Allowance] = {TissueState::Measured, above.allowance};
            measure_all(t, first->pieces);
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) qWarning("%d: %s %f", i, again.error().field.c_str(), again.error().given.in_mm());
            QVERIFY(again.has_value());
            QCOMPARE(again->pieces.size(), first->pieces.size());
            QVERIFY(lines_as_measured(t, again->pieces, Length::mm(0.1)) > 0);
            for (std::size_t p = 0; p < first->pieces.size(); ++p) {
                QCOMPARE(again->pieces[p].id, first->pieces[p].id);
                if (edge_index(first->pieces[p], EdgeRole::InnerLeg))
                    QVERIFY(largest_gap(first->pieces[p], again->pieces[p]) < 0.1);
            }
            const auto pattern = tissue_pattern(t, nullptr);
            QVERIFY(pattern.has_value());
            const auto walked = check({pattern->sizes.front().pieces, pattern->seams}, {});
            for (const auto& w : walked.walks) QVERIFY2(w.holds, w.seam.c_str());
            const auto all = reckoned(t, *t.in_hand(), again->pieces);
            const auto waist = std::find_if(
                all.begin(), all.end(), [](const Reckoned& r) { return r.what == Reckoning::WaistDifference; });
            QVERIFY(waist != all.end() && waist->value && abs(*waist->value) < Length::mm(0.2));
            ++drawn;
        }
        QVERIFY(drawn > tries(10));
    }
    void of_an_all_in_one_what_waits_is_assumed_to_fit()
    {
        Tissue t = begun(TissueKind::AllInOne);
        const auto drawn = draw_tissue(t, *t.in_hand(), nullptr);
        QVERIFY(drawn.has_value());
        const auto pattern = tissue_pattern(t, nullptr);
        QVERIFY(pattern.has_value());
        for (const auto& w : check({pattern->sizes.front().pieces, pattern->seams}, {}).walks)
            QVERIFY2(w.holds, w.seam.c_str());
        const auto notes = notes_of(t);
        QVERIFY(std::find(notes.begin(), notes.end(), TissueNote::OpensAt) != notes.end());
        QVERIFY(std::find(notes.begin(), notes.end(), TissueNote::Ends) == notes.end());
        const auto lines = lines_on_pieces(t, *t.in_hand());
        QVERIFY(std::find(lines.begin(), lines.end(), L::LegBandDepth) == lines.end());
        QVERIFY(!lie_together(t, L::FrontBust, L::LegFrontHip));
        QVERIFY(tissue_kind_of(key(TissueKind::AllInOne)) == TissueKind::AllInOne);
    }
    // Whatever is measured first, the outline is there, and nothing that is true of some trousers is objected to.
    void the_outline_grows_without_a_gap()
    {
        std::mt19937 rng{22};
        for (int i = 0; i < tries(8); ++i) {
            const auto f = any_trousers(rng, i);
            const auto first = draw_trousers(f);
            if (!first) continue;
            Tissue whole = tissue_of(f);
            measure_all(whole, first->pieces);
            Tissue t = tissue_of(f);
            auto order = lines_on_pieces(whole, *whole.in_hand());
            if (i % 2) std::shuffle(order.begin(), order.end(), rng);
            QVERIFY(draw_tissue(t, *t.in_hand(), nullptr).has_value());
            for (const auto line : order) {
                const auto value = whole.in_hand()->lines.at(line);
                if (value.state == TissueState::Measured)
                    QVERIFY2(!objection(t, *t.in_hand(), nullptr, line, value.value), facts(line).key.data());
                t.in_hand()->lines[line] = value;
                const auto drawn = draw_tissue(t, *t.in_hand(), nullptr);
                if (!drawn)
                    qWarning("%d after %s: %s %f (%f to %f)", i, facts(line).key.data(),
                             drawn.error().field.c_str(), drawn.error().given.in_mm(), drawn.error().low.in_mm(),
                             drawn.error().high.in_mm());
                QVERIFY(drawn.has_value());
            }
            int edges = 0;
            int known = 0;
            const auto grown = draw_tissue(t, *t.in_hand(), nullptr);
            for (const auto& p : grown->pieces) {
                for (const auto& e : p.edges) {
                    ++edges;
                    known += edge_measured(t, *t.in_hand(), p, e.role);
                }
            }
            QCOMPARE(known, edges);
        }
    }
    void shorts_have_no_knee()
    {
        TrousersFlat f = plain_trousers();
        f.inside_leg = Length::mm(180);
        f.hem = Length::mm(600);
        f.knee = Length::mm(620);
        f.knee_below = Length::mm(40);
        QCOMPARE(draw_trousers(f).error().field, std::string{"knee_below"});  // no back reaches both
        f.knee_below = Length::mm(100);
        Tissue t = tissue_of(f);
        measure_all(t, draw_trousers(f)->pieces);
        t = without_line(t, L::LegToKnee);
        const auto lines = lines_on_pieces(t, *t.in_hand());
        QVERIFY(std::find(lines.begin(), lines.end(), L::LegFrontKnee) == lines.end());
        const auto shorts = tissue_pattern(t, nullptr);
        if (!shorts) qWarning("%s %f", shorts.error().field.c_str(), shorts.error().given.in_mm());
        QVERIFY(shorts.has_value());
        for (const auto& p : shorts->sizes[0].pieces) QVERIFY(!guide(p, GuideKind::Knee));
        QVERIFY(is_near(sewn_length(shorts->sizes[0].pieces[0], EdgeRole::InnerLeg), f.inside_leg, near_to));
    }
    // Against the measures of the garment that everything else goes by, and sums by hand.
    void what_it_comes_to_is_what_the_garment_measures()
    {
        const auto f = plain_trousers();
        Tissue t = tissue_of(f);
        measure_all(t, draw_trousers(f)->pieces);
        const auto p = tissue_pattern(t, nullptr);
        QVERIFY(p.has_value());
        QVERIFY(is_near(p->seams[1].ease, -f.back_stretch, near_to));
        const auto finished = *finished_of(t, *t.in_hand());
        QVERIFY(is_near(finished.at(Measure::Waist), f.waist, near_to * 4));
        QVERIFY(is_near(finished.at(Measure::Hip), f.hip, near_to));
        QVERIFY(is_near(finished.at(Measure::Knee), f.knee, near_to));
        const Garment legs = legs_of(*p);
        const Length crotch =
            sewn_length(legs.pieces[0], EdgeRole::Centre) + sewn_length(legs.pieces[1], EdgeRole::Centre);
        for (const auto& r : reckoned(t, *t.in_hand(), p->sizes[0].pieces)) {
            QVERIFY(r.value.has_value());
            if (r.what == Reckoning::Crotch) QVERIFY(is_near(*r.value, crotch, near_to));
            if (r.what == Reckoning::LegHem) QVERIFY(is_near(*r.value, f.hem, near_to));
            if (r.what == Reckoning::InnerDifference) QVERIFY(is_near(*r.value, f.back_stretch, near_to));
        }
        QVERIFY(measured_alone(legs.pieces, GarmentMeasure::Knee) > Length{});
    }
    void a_pair_that_opens_at_the_side()
    {
        const auto f = plain_trousers();
        Tissue t = tissue_of(f);
        measure_all(t, draw_trousers(f)->pieces);
        t.notes[TissueNote::OpensAt] = 1;
        t.in_hand()->lines[L::LegFly] = {TissueState::Measured, Length::mm(160)};
        const auto p = tissue_pattern(t, nullptr);
        QVERIFY(p.has_value());
        const Piece& front = p->sizes[0].pieces[0];
        QCOMPARE(front.opening, Length{});
        QVERIFY(is_near(front.side_opening, Length::mm(160), near_to));
        QVERIFY(is_near(laid_line(L::LegFly, p->sizes[0].pieces)->length, Length::mm(160), near_to));
    }
    void what_cannot_be_names_the_lines_that_make_it_so()
    {
        const auto f = plain_trousers();
        Tissue t = tissue_of(f);
        measure_all(t, draw_trousers(f)->pieces);
        const auto narrow = objection(t, *t.in_hand(), nullptr, L::LegFrontThigh, Length::mm(200));
        QVERIFY(narrow.has_value());
        QVERIFY(std::find(narrow->with.begin(), narrow->with.end(), L::LegFrontHip) != narrow->with.end());
        const auto flat = objection(t, *t.in_hand(), nullptr, L::LegRise, Length::mm(210));
        QVERIFY(flat.has_value());
        const auto low = objection(t, *t.in_hand(), nullptr, L::LegFrontCrotch, Length::mm(110));
        QVERIFY(low.has_value());
        QVERIFY(std::find(low->with.begin(), low->with.end(), L::LegRise) != low->with.end());
    }
    // A line is drawn while it is typed.
    void it_is_drawn_at_once()
    {
        const auto f = plain_trousers();
        Tissue t = tissue_of(f);
        measure_all(t, draw_trousers(f)->pieces);
        QElapsedTimer clock;
        clock.start();
        for (int i = 0; i < 10; ++i) QVERIFY(draw_tissue(t, *t.in_hand(), nullptr).has_value());
        qInfo("drawn in %.1f ms", static_cast<double>(clock.nsecsElapsed()) / 1e7);
    }
};
SARTORUM_TEST(TestTissueLegs)

}  // namespace test_tissue_legs

#include "test_tissue_legs.moc"
