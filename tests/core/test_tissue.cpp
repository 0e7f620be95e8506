// A tissue measured flat: what is drawn measures what was measured; nothing waits in the way of the outline.
#include <QTest>

#include "bodices.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"
#include "core/tissue/line_objection.h"
#include "core/tissue/lines_laid.h"
#include "core/tissue/measured_edges.h"
#include "core/tissue/reckoned_girths.h"
#include "dresses.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tissue_bench.h"

namespace test_tissue {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using L = TissueLine;
using N = TissueNote;

// A dart's mouth is drawn along the waist, and measured straight from leg to leg.
constexpr Length near_to = Length::mm(0.1);

Tissue tissue_of(const BodiceFlat& f)
{
    Tissue t = begun(TissueKind::Bodice);
    t.notes[N::CentreFront] = f.front_fold ? 0 : 1;
    t.notes[N::CentreBack] = f.back_seam ? 1 : 0;
    if (f.princess) t.notes[N::FrontSeam] = *f.princess == PrincessFrom::Armhole ? 1 : 2;
    t.notes[N::Ends] = f.below_waist > Length{} ? 1 : 0;
    t.notes[N::Sleeve] = f.sleeve.length > Length{} ? 1 : 0;
    t.in_hand()->lines[L::Allowance] = {TissueState::Measured, f.allowance};
    t.in_hand()->lines[L::FrontAllowance] = {TissueState::Measured, f.front_allowance};
    t.in_hand()->lines[L::HemAllowance] = {TissueState::Measured, f.hem_allowance};
    return t;
}

Tissue tissue_of(const SkirtFlat& f)
{
    Tissue t = begun(TissueKind::Skirt);
    t.notes[N::CentreBack] = f.back_seam ? 1 : 0;
    t.in_hand()->lines[L::Allowance] = {TissueState::Measured, f.allowance};
    t.in_hand()->lines[L::HemAllowance] = {TissueState::Measured, f.hem_allowance};
    return t;
}

Tissue tissue_of(const DressFlat& f)
{
    Tissue t = tissue_of(f.bodice);
    t.kind = TissueKind::Dress;
    t.notes.erase(N::Ends);
    t.in_hand()->lines[L::HemAllowance] = {TissueState::Measured, f.skirt.hem_allowance};
    return t;
}

// Every bodice this draws: darted, of panels, tees, with and without a sleeve.
std::vector<BodiceFlat> bodices(int n)
{
    std::mt19937 rng{16};
    std::vector<BodiceFlat> out;
    for (int i = 0; i < n; ++i) {
        BodiceFlat f = i % 4 == 1 ? random_princess(rng) : random_bodice(rng);
        if (i % 4 == 2) f = plain_tee();
        if (i % 4 == 3) f.side_dart = {};
        if (i % 3 == 0) f = with_sleeve(f, Length::mm(between(rng, 5, 30)));
        out.push_back(f);
    }
    return out;
}

}  // namespace

class TestTissue : public QObject {
    Q_OBJECT
private slots:
    void every_line_and_note_has_its_key_once()
    {
        QSet<QString> seen;
        for (std::size_t i = 0; i < tissue_line_count; ++i) {
            const auto line = static_cast<TissueLine>(i);
            QCOMPARE(*tissue_line_of(facts(line).key), line);
            QVERIFY(facts(line).low < facts(line).high);
            seen.insert(QString::fromUtf8(facts(line).key.data(), qsizetype(facts(line).key.size())));
        }
        QCOMPARE(seen.size(), qsizetype(tissue_line_count));
        for (std::size_t i = 0; i < tissue_note_count; ++i)
            QCOMPARE(*tissue_note_of(facts(static_cast<TissueNote>(i)).key), static_cast<TissueNote>(i));
        QVERIFY(!tissue_line_of("sleeve_of_care") && !tissue_note_of(""));
    }
    void a_bodice_measured_line_by_line_draws_the_same()
    {
        int drawn = 0;
        for (const auto& f : bodices(tries(24))) {
            const auto first = draw_bodice(f);
            if (!first) continue;
            Tissue t = tissue_of(f);
            measure_all(t, first->pieces);
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) qWarning("%s %f", again.error().field.c_str(), again.error().given.in_mm());
            QVERIFY(again.has_value());
            const double gap = worst_gap(first->pieces, again->pieces);
            if (gap >= 0.1) qWarning("%d: gap %f", drawn, gap);
            QVERIFY(gap < 0.1);
            ++drawn;
        }
        QVERIFY(drawn > tries(16));
    }
    void a_skirt_measured_line_by_line_draws_the_same()
    {
        std::mt19937 rng{17};
        int drawn = 0;
        for (int i = 0; i < tries(60); ++i) {
            SkirtFlat f = random_skirt(rng);
            f.flare = std::max(f.flare, Length::mm(1));
            if (i % 5 == 0) f.front_dart = {};
            if (i % 7 == 0) f.band_depth = {};
            const auto first = draw_skirt(f);
            if (!first) continue;
            Tissue t = tissue_of(f);
            measure_all(t, first->pieces);
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            QVERIFY(again.has_value());
            const double gap = worst_gap(first->pieces, again->pieces);
            if (gap >= 0.02) qWarning("%d: gap %f", i, gap);
            QVERIFY(gap < 0.02);
            ++drawn;
        }
        QVERIFY(drawn > tries(40));
    }
    // A dress is a bodice's lines and then a skirt's; drawn, both are as they were, sewn at the waist as they
    // were.
    void a_dress_measured_line_by_line_draws_the_same()
    {
        const std::pair<DressFlat, bool> dresses[] = {{fitted_dress(), false}, {gathered_dress(), true}};
        for (const auto& [flat, gathered] : dresses) {
            const auto first = draw_dress(flat);
            QVERIFY(first.has_value());
            Tissue t = tissue_of(flat);
            measure_all(t, first->pieces);
            const auto lines = lines_on_pieces(t, *t.in_hand());
            QVERIFY(std::find(lines.begin(), lines.end(), L::BandDepth) == lines.end());
            QVERIFY(std::find(lines.begin(), lines.end(), L::FrontBust) <
                    std::find(lines.begin(), lines.end(), L::FrontHip));
            const auto again = tissue_pattern(t, nullptr);
            if (!again) qWarning("%s %f", again.error().field.c_str(), again.error().given.in_mm());
            QVERIFY(again.has_value());
            QVERIFY(worst_gap(first->pieces, draw_tissue(t, *t.in_hand(), nullptr)->pieces) < 0.1);
            const auto* join =
                join_between(again->seams, again->sizes[0].pieces, PartKind::Upper, PartKind::Skirt);
            QVERIFY(join);
            QVERIFY(near(join->fullness - (gathered ? flat.fullness : 1), 0, 0.002));
            QVERIFY(is_near(join->ease, Length{}, Length::mm(0.5)));
            int edges = 0;
            int known = 0;
            for (const auto& p : again->sizes[0].pieces) {
                for (const auto& e : p.edges) {
                    ++edges;
                    known += edge_measured(t, *t.in_hand(), p, e.role);
                }
            }
            QCOMPARE(known, edges);
            const auto all = reckoned(t, *t.in_hand(), again->sizes[0].pieces);
            const auto longer = std::find_if(
                all.begin(), all.end(), [](const Reckoned& r) { return r.what == Reckoning::WaistDifference; });
            const Length closed = finished_of(t, *t.in_hand())->at(Measure::Waist);
            QVERIFY(is_near(*longer->value, closed * (flat.fullness - 1), Length::mm(0.5)));
            for (const auto& r : all) QVERIFY(r.value.has_value());
        }
    }
    void the_outline_of_a_dress_grows_without_a_gap()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            Tissue whole = tissue_of(flat);
            measure_all(whole, draw_dress(flat)->pieces);
            Tissue t = tissue_of(flat);
            QVERIFY(draw_tissue(t, *t.in_hand(), nullptr).has_value());
            for (const auto line : lines_on_pieces(whole, *whole.in_hand())) {
                const auto value = whole.in_hand()->lines.at(line);
                if (value.state == TissueState::Measured)
                    QVERIFY2(!objection(t, *t.in_hand(), nullptr, line, value.value), facts(line).key.data());
                t.in_hand()->lines[line] = value;
                QVERIFY2(draw_tissue(t, *t.in_hand(), nullptr).has_value(), facts(line).key.data());
            }
            if (flat.fullness > 1) continue;
            // Until it is measured a fitted skirt's waist is the bodice's.
            t.in_hand()->lines.erase(L::FrontWaist);
            t.in_hand()->lines.erase(L::BackWaist);
            const auto plain = draw_tissue(t, *t.in_hand(), nullptr)->pieces;
            QVERIFY(is_near(sewn_length(plain[plain.size() - 2], EdgeRole::Waist),
                            sewn_length(plain[0], EdgeRole::Waist), near_to));
        }
        Tissue t = tissue_of(fitted_dress());
        measure_all(t, draw_dress(fitted_dress())->pieces);
        const auto against = objection(t, *t.in_hand(), nullptr, L::FrontHip, Length::mm(150));
        QVERIFY(against.has_value());
        QVERIFY(std::find(against->with.begin(), against->with.end(), L::BodiceFrontWaist) == against->with.end());
        // Whatever is written on it, a dress's bodice ends at its waist.
        t.notes[N::Ends] = 1;
        QVERIFY(draw_tissue(t, *t.in_hand(), nullptr).has_value());
    }
    // Front and back of unlike make, as makers draw them: each line still measures what was measured.
    void each_line_measures_what_was_measured()
    {
        std::mt19937 rng{18};
        int drawn = 0;
        int lines = 0;
        for (const auto& f : bodices(tries(28))) {
            const auto first = draw_bodice(f);
            if (!first) continue;
            Tissue t = tissue_of(f);
            measure_all(t, first->pieces);
            for (auto& [line, value] : t.in_hand()->lines) {
                if (facts(line).on == TissuePiece::Writing || value.state != TissueState::Measured) continue;
                // The back's shoulder is not shorter than the front's; the cap goes by the armhole.
                if (line == L::BackShoulder || line == L::FrontShoulder || line == L::CapLength) continue;
                value.value += Length::mm(between(rng, -2.5, 2.5));
            }
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) continue;
            ++drawn;
            const int as_measured = lines_as_measured(t, again->pieces, near_to);
            QVERIFY(as_measured > 0);
            lines += as_measured;
            // Sewn to each other they are equally long.
            QVERIFY(is_near(sewn_length(again->pieces[0], EdgeRole::Side),
                            sewn_length(again->pieces[1], EdgeRole::Side), Length::mm(0.01)));
        }
        QVERIFY(drawn > tries(14) && lines > tries(280));
    }
    void a_skirt_of_unlike_halves_measures_what_was_measured()
    {
        std::mt19937 rng{19};
        int drawn = 0;
        for (int i = 0; i < tries(60); ++i) {
            const auto first = draw_skirt(random_skirt(rng));
            if (!first) continue;
            Tissue t = begun(TissueKind::Skirt);
            measure_all(t, first->pieces);
            for (auto& [line, value] : t.in_hand()->lines) value.value += Length::mm(between(rng, -4, 4));
            auto& hem = t.in_hand()->lines[L::FrontHem].value;
            hem = std::max(hem, t.in_hand()->lines[L::FrontHip].value + Length::mm(5));
            auto& rise = t.in_hand()->lines[L::SideRise].value;
            rise = std::max(rise, Length{});
            const auto again = draw_tissue(t, *t.in_hand(), nullptr);
            if (!again) continue;
            ++drawn;
            QVERIFY(lines_as_measured(t, again->pieces, near_to) > 0);
            QVERIFY(is_near(sewn_length(again->pieces[0], EdgeRole::Side),
                            sewn_length(again->pieces[1], EdgeRole::Side), Length::mm(0.01)));
        }
        QVERIFY(drawn > tries(35));
    }
    // The outline is there from the first number on, and no number of a paper that can be drawn is objected to.
    void the_outline_grows_without_a_gap()
    {
        int refused = 0;
        int steps = 0;
        for (const auto& f : bodices(tries(20))) {
            const auto first = draw_bodice(f);
            if (!first) continue;
            Tissue whole = tissue_of(f);
            measure_all(whole, first->pieces);
            Tissue t = tissue_of(f);
            for (const auto line : lines_on_pieces(whole, *whole.in_hand())) {
                const auto value = whole.in_hand()->lines.at(line);
                if (value.state == TissueState::Measured)
                    QVERIFY2(!objection(t, *t.in_hand(), nullptr, line, value.value), facts(line).key.data());
                t.in_hand()->lines[line] = value;
                const auto drawn = draw_tissue(t, *t.in_hand(), nullptr);
                ++steps;
                if (!drawn) {
                    ++refused;
                    qWarning("after %s: %s %f (%f to %f)", facts(line).key.data(), drawn.error().field.c_str(),
                             drawn.error().given.in_mm(), drawn.error().low.in_mm(), drawn.error().high.in_mm());
                }
            }
        }
        QVERIFY(steps > tries(300));
        QCOMPARE(refused, 0);
    }
    void what_cannot_be_is_objected_to_with_the_lines_that_make_it_so()
    {
        Tissue t = begun(TissueKind::Bodice);
        auto at_once = objection(t, *t.in_hand(), nullptr, L::NeckWidth, Length::mm(700));
        QVERIFY(at_once && at_once->with.empty());
        QCOMPARE(at_once->refusal.why, Why::OutOfRange);
        // With the bust still assumed it could be wider; once that is measured it cannot.
        QVERIFY(!objection(t, *t.in_hand(), nullptr, L::AcrossFront, Length::mm(290)));
        t.in_hand()->lines[L::NeckWidth] = {TissueState::Measured, Length::mm(71)};
        t.in_hand()->lines[L::FrontBust] = {TissueState::Measured, Length::mm(250)};
        const auto now = objection(t, *t.in_hand(), nullptr, L::AcrossFront, Length::mm(290));
        QVERIFY(now.has_value());
        QVERIFY((now->with == std::vector{L::NeckWidth, L::FrontBust}));
        QVERIFY(is_near(now->refusal.high, Length::mm(250), Length::mm(0.01)));
        QVERIFY(!objection(t, *t.in_hand(), nullptr, L::AcrossFront, Length::mm(170)));
    }
    void an_edge_is_known_once_all_it_is_drawn_by_is_measured()
    {
        const auto known = [](const Tissue& t, const std::vector<Piece>& pieces) {
            int out = 0;
            for (const auto& p : pieces)
                for (const auto& e : p.edges) out += edge_measured(t, *t.in_hand(), p, e.role);
            return out;
        };
        for (const auto& f : {with_sleeve(plain_bodice()), princess(plain_bodice()), plain_tee()}) {
            const auto pieces = draw_bodice(f)->pieces;
            int edges = 0;
            for (const auto& p : pieces) edges += static_cast<int>(p.edges.size());
            Tissue t = tissue_of(f);
            QCOMPARE(known(t, pieces), 0);
            Tissue whole = t;
            measure_all(whole, pieces);
            QCOMPARE(known(whole, pieces), edges);
            // Line by line never less.
            int before = 0;
            for (const auto line : lines_on_pieces(whole, *whole.in_hand())) {
                t.in_hand()->lines[line] = whole.in_hand()->lines.at(line);
                QVERIFY(known(t, pieces) >= before);
                before = known(t, pieces);
            }
            QCOMPARE(before, edges);
        }
        Tissue strip = begun(TissueKind::Girth);
        strip.in_hand()->lines[L::GirthFront] = {TissueState::Measured, Length::mm(300)};
        QCOMPARE(known(strip, draw_tissue(strip, *strip.in_hand(), nullptr)->pieces), 4);
    }
    void girths_are_reckoned_from_half_widths()
    {
        Tissue t = begun(TissueKind::Skirt);
        const auto put = [&](L line, double mm) {
            t.in_hand()->lines[line] = {TissueState::Measured, Length::mm(mm)};
        };
        put(L::FrontWaist, 216);
        put(L::FrontDart, 20);
        put(L::BackWaist, 218);
        QCOMPARE(*reckoned(t, *t.in_hand(), {})[0].waits_for, L::BackDart);
        put(L::BackDart, 30);
        QVERIFY(is_near(*reckoned(t, *t.in_hand(), {})[0].value, Length::mm(2 * (196 + 188)), Length::mm(1e-9)));
        put(L::FrontHip, 266);
        put(L::BackHip, 262);
        const auto finished = *finished_of(t, *t.in_hand());
        QVERIFY(is_near(finished.at(Measure::Hip), Length::mm(1056), Length::mm(1e-9)));
        QCOMPARE(finished.size(), std::size_t{2});
    }
    void one_girth_counts_tucks_pleats_and_how_often_a_piece_is_cut()
    {
        Tissue t = begun(TissueKind::Girth);
        const auto put = [&](L line, double mm) {
            t.in_hand()->lines[line] = {TissueState::Measured, Length::mm(mm)};
        };
        t.notes = {{N::GirthAt, 2}, {N::GirthFolds, 2}, {N::FrontFolds, 1}, {N::SideCut, 0}};
        QCOMPARE(lines_on_pieces(t, *t.in_hand()).size(), std::size_t{6});
        put(L::GirthFront, 400);
        put(L::GirthFrontDarts, 15);
        put(L::GirthFrontFold, 30);  // a box pleat: four times
        put(L::GirthBack, 260);
        t = without_line(t, L::GirthBackDarts);
        QCOMPARE(*reckoned(t, *t.in_hand(), {})[0].waits_for, L::GirthSide);
        put(L::GirthSide, 50);
        const auto one = reckoned(t, *t.in_hand(), {})[0];
        QCOMPARE(*one.body, Measure::Hip);
        QVERIFY(is_near(*one.value, Length::mm((400 - 15 - 120) * 2 + 260 * 2 + 50), Length::mm(1e-9)));
        put(L::GirthFrontFold, 110);
        QCOMPARE(finished_of(t, *t.in_hand()).error().why, Why::FlatMoreTakenThanThere);
    }
    void another_size_is_assumed_from_its_neighbour()
    {
        SizeChart chart;
        for (int i = 0; i < 2; ++i) {
            ChartSize s{i == 0 ? "12" : "14", {}};
            s.body = {{Measure::Waist, Length::mm(700 + 40 * i)}, {Measure::Hip, Length::mm(960 + 40 * i)}};
            chart.sizes.push_back(s);
        }
        Tissue t = tissue_of(plain_skirt());
        measure_all(t, draw_skirt(plain_skirt())->pieces);
        t.sizes.push_back({"14", {}});
        const auto here = resolved(t, t.sizes[0], &chart);
        const auto there = resolved(t, t.sizes[1], &chart);
        QVERIFY(is_near(there.at(L::FrontHip) - here.at(L::FrontHip), Length::mm(10), Length::mm(1e-6)));
        QVERIFY(is_near(there.at(L::FrontWaist) - here.at(L::FrontWaist), Length::mm(10), Length::mm(1e-6)));
        QVERIFY(is_near(there.at(L::CentreLength), here.at(L::CentreLength), Length::mm(1e-6)));
        // A size of which nothing was measured yet is no part of the pattern.
        QCOMPARE(tissue_pattern(t, &chart)->sizes.size(), std::size_t{1});
        t.sizes[1].lines[L::FrontHip] = {TissueState::Measured, there.at(L::FrontHip)};
        const auto both = tissue_pattern(t, &chart);
        QVERIFY(both.has_value());
        QCOMPARE(both->sizes.size(), std::size_t{2});
        QVERIFY(lines_assumed(t, t.sizes[1]) > 10 && lines_assumed(t, t.sizes[0]) == 0);
    }
    void tucks_are_drawn_as_tucks()
    {
        Tissue t = tissue_of(plain_bodice());
        measure_all(t, draw_bodice(plain_bodice())->pieces);
        t.notes[N::WaistFold] = 1;
        const auto p = tissue_pattern(t, nullptr);
        QVERIFY(p.has_value());
        const auto& front = p->sizes[0].pieces[0];
        QVERIFY(std::any_of(front.darts.begin(), front.darts.end(),
                            [](const Dart& d) { return d.kind == DartKind::Tuck; }));
        const Length waist = sewn_length(front, EdgeRole::Waist);
        QVERIFY(is_near(waist,
                        *measured(*t.in_hand(), L::BodiceFrontWaist) - *measured(*t.in_hand(), L::FrontWaistDart),
                        near_to));
    }
    void what_is_not_there_takes_its_lines_with_it()
    {
        Tissue t = begun(TissueKind::Bodice);
        t.notes[N::Sleeve] = 1;
        const auto with = lines_on_pieces(t, *t.in_hand()).size();
        t = without_line(t, L::SleeveLength);
        QCOMPARE(lines_on_pieces(t, *t.in_hand()).size(), with - 6);
        t = without_line(t, L::SideDart);
        QCOMPARE(lines_on_pieces(t, *t.in_hand()).size(), with - 6);
        t = without_line(t, L::FrontWaistDart);  // and no bust point is drawn to
        QCOMPARE(lines_on_pieces(t, *t.in_hand()).size(), with - 8);
        QVERIFY(draw_tissue(t, *t.in_hand(), nullptr).has_value());
        Tissue skirt = begun(TissueKind::Skirt);
        for (const auto line : {L::FrontDart, L::BackDart, L::BandDepth, L::SideRise})
            skirt = without_line(skirt, line);
        const auto drawn = draw_tissue(skirt, *skirt.in_hand(), nullptr);
        QVERIFY(drawn.has_value());
        QCOMPARE(drawn->pieces.size(), std::size_t{2});
    }
};
SARTORUM_TEST(TestTissue)

}  // namespace test_tissue

#include "test_tissue.moc"
