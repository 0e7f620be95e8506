// A garment of parts: what is done to one leaves the others, and comes out as if it were alone.
#include <QTest>
#include <algorithm>

#include "core/alter/kit/part_alter.h"
#include "core/pattern/part_rules.h"
#include "core/plan/compute.h"
#include "core/plan/finished.h"
#include "core/plan/first_plan.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_parts {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

Pattern bodice_alone()
{
    return graded(plain_bodice(), 3);
}

Pattern skirt_alone()
{
    Pattern p = graded_skirt(4);
    p.sizes.erase(p.sizes.begin(), p.sizes.begin() + 1);
    for (std::size_t i = 0; i < p.sizes.size(); ++i) p.sizes[i].size = std::to_string(12 + 2 * i);
    std::erase_if(p.seams, [](const Seam& s) { return s.id == "waist"; });
    for (auto& sized : p.sizes)
        std::erase_if(sized.pieces, [](const Piece& piece) { return piece.role == PieceRole::Waistband; });
    return *check_pattern(std::move(p));
}

// Sewn together at the waist: one flat list of pieces and seams.
Pattern dress()
{
    Pattern p = bodice_alone();
    Pattern skirt = skirt_alone();
    for (std::size_t i = 0; i < p.sizes.size(); ++i) {
        for (auto piece : skirt.sizes[i].pieces) {
            piece.id = "skirt-" + piece.id;
            p.sizes[i].pieces.push_back(piece);
        }
    }
    for (auto seam : skirt.seams) {
        for (auto* side : {&seam.a, &seam.b}) {
            for (auto& s : *side) s.piece = "skirt-" + s.piece;
        }
        seam.id = "skirt-" + seam.id;
        p.seams.push_back(seam);
    }
    p.seams.push_back({"waist",
                       {{"front", EdgeRole::Waist}, {"back", EdgeRole::Waist}},
                       {{"skirt-front", EdgeRole::Waist}, {"skirt-back", EdgeRole::Waist}},
                       {}});
    return *check_pattern(std::move(p));
}

Plan sized_plan()
{
    Plan p = plan_in_sizes("12", "14", "12");
    p.choosing.kind = GarmentKind::Dress;
    return p;
}

Computed made(const Pattern& pattern, const Plan& plan, const BodySet& body = {})
{
    return need(compute(pattern, chart_for(bodice_alone()), body, plan));
}

bool same_piece(const Computed& a, const std::string& in_a, const Computed& b, const std::string& in_b)
{
    return largest_gap(*find_piece(a.altered.pieces, in_a), *find_piece(b.altered.pieces, in_b)) < 1e-9;
}

}  // namespace

class TestParts : public QObject {
    Q_OBJECT
private slots:
    void a_piece_tells_its_part_by_its_edges()
    {
        const auto p = dress();
        const auto& pieces = p.sizes.front().pieces;
        QCOMPARE(*find_piece(pieces, "front")->part, PartKind::Upper);
        QCOMPARE(*find_piece(pieces, "skirt-back")->part, PartKind::Skirt);
        QVERIFY(parts_of(pieces) == (std::vector{PartKind::Upper, PartKind::Skirt}));
        Piece belt;
        belt.role = PieceRole::Other;
        QVERIFY(!part_told(belt));
        for (const auto kind : every_part) QCOMPARE(*part_of_key(key(kind)), kind);
        for (const auto level : every_level) QCOMPARE(*level_of_key(key(level)), level);
        // A join lies in two parts; seams inside a part are none, and neither follows.
        const auto joins =
            std::count_if(p.seams.begin(), p.seams.end(), [&](const Seam& s) { return is_join(s, pieces); });
        QCOMPARE(joins, 1);
        QVERIFY(followers(p.seams, pieces).empty());
        QCOMPARE(part_view({pieces, p.seams}, PartKind::Skirt).seams.size(), std::size_t{1});
    }
    void each_part_comes_out_as_it_does_alone()
    {
        const auto body = body_of({{Measure::Bust, 902},
                                   {Measure::Waist, 728},
                                   {Measure::Hip, 1012},
                                   {Measure::WaistToHip, 214},
                                   {Measure::BackWaistLength, 402}});
        const auto all = need(with_all_proposed(work_of(dress(), chart_for(bodice_alone()), body, sized_plan())));
        // But for the waist, which the skirt has from the bodice (test_dress.cpp).
        Plan plan = all.work.plan;
        plan.forget(Kind::WidthAtWaist);
        for (const auto kind : {Kind::JoinedWaist, Kind::JoinedDarts}) plan.decide({kind, Answer::Declined});
        QVERIFY(plan.decisions.size() >= 4);
        const auto whole = made(dress(), plan, body);
        const auto upper = made(bodice_alone(), plan, body);
        const auto skirt = made(skirt_alone(), plan, body);
        for (const auto* id : {"front", "back"}) {
            QVERIFY(same_piece(whole, id, upper, id));
            QVERIFY(same_piece(whole, std::string{"skirt-"} + id, skirt, id));
            QVERIFY(!same_piece(whole, id, made(dress(), sized_plan(), body), id));
        }
        for (const auto& w : whole.checks.walks) {
            if (w.seam != "waist") QVERIFY2(w.holds, w.seam.c_str());
        }
        // The join says which parts meet in it; no other seam does.
        for (const auto& w : whole.checks.walks) {
            QCOMPARE(w.part_a.has_value(), w.seam == "waist");
            if (w.part_a) QVERIFY(*w.part_a == PartKind::Upper && *w.part_b == PartKind::Skirt);
        }
        QVERIFY(whole.checks.shoulder && whole.checks.front_hem > Length{});
        // One row a measure, the uppermost part's; and the girths go all the way down.
        const auto table = finished_table(whole);
        const auto rows = [&](GarmentMeasure m) {
            return std::count_if(table.begin(), table.end(), [&](const FinishedRow& r) { return r.what == m; });
        };
        QCOMPARE(rows(GarmentMeasure::Waist), 1);
        QCOMPARE(rows(GarmentMeasure::Bust) + rows(GarmentMeasure::Hip) + rows(GarmentMeasure::Hem), 3);
        const auto profile = ease_profile(whole);
        QVERIFY(profile.after.front().height > Length::mm(150) && profile.after.back().height < Length::mm(-400));
    }
    void what_is_done_to_one_part_leaves_the_other()
    {
        const auto plain = made(dress(), sized_plan());
        Plan plan = sized_plan();
        plan.decide({Kind::WaistToHip, Answer::Accepted, Length::mm(20)});
        plan.decide({Kind::FinishedLength, Answer::Accepted, Length::mm(-30)});
        const auto lower = made(dress(), plan);
        QVERIFY(same_piece(lower, "front", plain, "front") && same_piece(lower, "back", plain, "back"));
        QVERIFY(!same_piece(lower, "skirt-front", plain, "skirt-front"));
        QCOMPARE(lower.line(Kind::WaistToHip)->part, PartKind::Skirt);
        Plan higher = sized_plan();
        higher.decide({Kind::ShoulderLength, Answer::Accepted, Length::mm(8)});
        const auto upper = made(dress(), higher);
        QVERIFY(same_piece(upper, "skirt-front", plain, "skirt-front"));
        QVERIFY(!same_piece(upper, "front", plain, "front"));
    }
    void a_decision_is_about_every_part_or_about_one()
    {
        Plan plan = sized_plan();
        plan.decide({Kind::WidthAtHip, Answer::Accepted, Length::mm(24)});
        const auto both = made(dress(), plan);
        Decision skirt{Kind::WidthAtHip, Answer::Declined};
        skirt.subject = key(PartKind::Skirt);
        plan.put(skirt);
        const auto one = made(dress(), plan);
        const auto plain = made(dress(), sized_plan());
        QVERIFY(same_piece(one, "front", both, "front"));
        QVERIFY(same_piece(one, "skirt-front", plain, "skirt-front"));
        QVERIFY(!same_piece(both, "skirt-front", plain, "skirt-front"));
        QVERIFY(one.not_done.empty());
        // Said of every part again, it is about every part.
        plan.decide({Kind::WidthAtHip, Answer::Accepted, Length::mm(24)});
        QCOMPARE(plan.decisions.size(), std::size_t{1});
    }
    void the_fitting_order_goes_by_zone_then_from_the_top_then_by_rank()
    {
        const auto order = fitting_order({PartKind::Upper, PartKind::Skirt});
        QCOMPARE(order.size(), 2 * adjustment_count);
        for (std::size_t i = 1; i < order.size(); ++i) {
            const auto& a = order[i - 1];
            const auto& b = order[i];
            const auto of = [](const FittingTurn& t) {
                return std::tuple{t.adjustment->zone, t.part, t.adjustment->rank};
            };
            QVERIFY(of(a) < of(b));
        }
        // Section by section as the trade has it, no two at one place.
        QVERIFY(comes_before(Kind::ShoulderSlope, Kind::BodiceLength));
        QVERIFY(comes_before(Kind::BodiceLength, Kind::Bust) && comes_before(Kind::Bust, Kind::WidthAtWaist));
        QVERIFY(comes_before(Kind::WidthAtHip, Kind::CapHeight) &&
                comes_before(Kind::CapHeight, Kind::FinishedLength));
        for (std::size_t i = 0; i < adjustment_count; ++i)
            QCOMPARE(static_cast<std::size_t>(catalogue()[i].kind), i);
    }
    void a_second_front_of_one_kind_is_refused()
    {
        Pattern p = bodice_alone();
        for (auto& sized : p.sizes) {
            Piece again = *find_piece(sized.pieces, PieceRole::Front);
            again.id = "lining";
            sized.pieces.push_back(again);
        }
        const auto refused = check_pattern(p);
        QVERIFY(!refused && refused.error().why == Why::PartTwice);
        for (auto& sized : p.sizes) {
            sized.pieces.back().role = PieceRole::Other;
            sized.pieces.back().part.reset();
        }
        QVERIFY(check_pattern(p).has_value());
    }
    void a_band_follows_its_waist_and_without_a_seam_that_is_said()
    {
        Pattern p = graded_skirt(3);
        SizeChart chart{"C", "N", {}};
        for (const auto& s : p.sizes)
            chart.sizes.push_back(
                {s.size, {{Measure::Waist, Length::mm(665)}, {Measure::Hip, Length::mm(940)}}, 0});
        Plan plan = plan_in_sizes(p.sizes[1].size, p.sizes[1].size);
        plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(30)});
        const auto c = need(compute(p, chart, {}, plan));
        // All round, sewn: what the waist gained the band gained, to what least_followed leaves.
        const auto& changed = c.line(Kind::WidthAtWaist)->changed;
        QVERIFY(near(changed.of(GarmentMeasure::Band).in_mm(), changed.of(GarmentMeasure::Waist).in_mm(), 0.1));
        QVERIFY(c.checks.seams_hold() && c.checks.unwalked.empty());
        std::erase_if(p.seams, [](const Seam& s) { return s.id == "waist"; });
        const auto loose = need(compute(p, chart, {}, plan));
        QCOMPARE(loose.line(Kind::WidthAtWaist)->changed.of(GarmentMeasure::Band).in_mm(), 0.0);
        QCOMPARE(loose.checks.unwalked.size(), std::size_t{1});
        QCOMPARE(loose.checks.unwalked[0].piece, std::string{"waistband"});
    }
    void an_amount_that_cannot_be_done_is_said_and_nothing_is_done()
    {
        const auto b = bench(plain_bodice());
        const auto plain = b(plan_at("12"));
        const auto tried = [&](Kind kind, const Amount& more, std::optional<Length> own) {
            Plan plan = plan_at("12");
            Decision d{kind, Answer::Accepted, own};
            d.amounts.push_back(more);
            plan.decide(d);
            const auto c = b(plan);
            if (c.not_done.size() != 1 || !same_piece(c, "front", plain, "front")) return Why::FileExists;
            return c.not_done[0].why.why;
        };
        const Length mm = Length::mm(6);
        QCOMPARE(tried(Kind::ShoulderSlope, {"tip", Face::Both, {}, mm}, {}), Why::PlaceUnknown);
        QCOMPARE(tried(Kind::ShoulderLength, {"", Face::Back, {}, mm}, Length::mm(5)), Why::FacesAlike);
        // Where they may differ, front and back each take their own.
        Plan plan = plan_at("12");
        Decision apart{Kind::ShoulderSlope, Answer::Accepted};
        apart.amounts = {{"", Face::Front, {}, Length::mm(-6)}, {"", Face::Back, {}, Length::mm(-3)}};
        plan.decide(apart);
        Plan usual = plan_at("12");
        usual.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-3)});
        const auto c = b(plan);
        QVERIFY(same_piece(c, "front", b(usual), "front") && same_piece(c, "back", b(usual), "back"));
    }
    void a_drawing_is_the_garment_its_parts_make()
    {
        QCOMPARE(garment_drawn(dress(), GarmentKind::Skirt), GarmentKind::Dress);
        QCOMPARE(garment_drawn(bodice_alone(), GarmentKind::Dress), GarmentKind::Dress);
        QCOMPARE(garment_drawn(bodice_alone(), GarmentKind::Skirt), GarmentKind::Top);
        QCOMPARE(garment_drawn(skirt_alone(), GarmentKind::Top), GarmentKind::Skirt);
    }
};
SARTORUM_TEST(TestParts)

}  // namespace test_parts

#include "test_parts.moc"
