#include <QTest>
#include <cmath>

#include <random>
#include <set>

#include "core/body/body_set.h"
#include "core/body/rounds.h"
#include "core/body/sense.h"
#include "core/body/staleness.h"
#include "near.h"
#include "tests.h"

namespace test_body {

using namespace sartorum;

class TestBody : public QObject {
    Q_OBJECT
private slots:
    void two_readings_that_agree_give_their_mean()
    {
        const auto t = *take(Measure::Waist, {Length::mm(842), Length::mm(850)});
        QCOMPARE(t.state, ReadingState::Agree);
        QCOMPARE(t.value.in_mm(), 846.0);
        QVERIFY(near(t.spread.in_mm(), 2 * 4 / std::sqrt(2.0), 1e-12));
    }
    void a_girth_apart_by_more_than_a_centimetre_asks_for_a_third()  // common practice
    {
        QCOMPARE(take(Measure::Hip, {Length::mm(1000), Length::mm(1010)})->state, ReadingState::Agree);
        QCOMPARE(take(Measure::Hip, {Length::mm(1000), Length::mm(1011)})->state, ReadingState::ThirdAsked);
        QCOMPARE(take(Measure::WaistToHip, {Length::mm(200), Length::mm(205.5)})->state, ReadingState::ThirdAsked);
    }
    // What a check leaves on a reading is what a millimetre read wrongly on it makes of that reading: tried, by
    // checking the same tape again read a little otherwise.
    void what_a_tape_check_leaves_carries_the_tapes_own_factor()
    {
        const double deviation = 1 / std::sqrt(12.0);  // of what is read to the millimetre
        constexpr double little = 0.01;
        const auto corrected = [](std::vector<TapeAtRuler> at, double reading) {
            return TapeCheck::from(std::move(at))->corrected(Length::mm(reading)).in_mm();
        };
        const std::vector<std::vector<TapeAtRuler>> checks{
            {{Length::mm(300), Length::mm(303)}},
            {{Length::mm(300), Length::mm(294)}},
            {{Length::mm(300), Length::mm(302)}, {Length::mm(1000), Length::mm(1031)}}};
        for (const auto& at : checks) {
            for (const double reading : {200.0, 910.0, 1400.0}) {
                double squares = 0;
                for (std::size_t i = 0; i < at.size(); ++i) {
                    auto more = at;
                    more[i].tape += Length::mm(little);
                    squares +=
                        std::pow((corrected(more, reading) - corrected(at, reading)) / little * deviation, 2);
                }
                const double left = TapeCheck::from(at)->left_on(Length::mm(reading)).in_mm();
                QVERIFY2(std::abs(left - std::sqrt(squares)) < 1e-3 * left + 1e-4,
                         qPrintable(QString::number(left)));
            }
        }
    }
    void of_three_readings_the_middle_one_counts()
    {
        const auto t = *take(Measure::Hip, {Length::mm(1000), Length::mm(1060), Length::mm(1006)});
        QCOMPARE(t.value.in_mm(), 1006.0);
        QCOMPARE(t.state, ReadingState::MiddleTaken);
        // Variance of the median of three standard normal values: 0.4487 (tables of order statistics, from
        // memory).
        QVERIFY(near(std::pow(t.spread.in_mm() / 8.0, 2), 0.4487, 1e-4));
    }
    // The doubt never shrinks as readings come apart, and there is no tick past what is allowed.
    void doubt_grows_with_disagreement()
    {
        for (const auto& f : all_measures) {
            if (f.kind == MeasureKind::Wish) continue;
            const double at = (f.least + (f.most - f.least) * 0.4).in_mm();
            for (const int n : {2, 3}) {
                Length last;
                for (double off = 0; off <= 60; off += 0.5) {
                    std::vector<Length> readings{Length::mm(at), Length::mm(at + off)};
                    if (n == 3) readings.push_back(Length::mm(at - off));
                    const auto t = *take(f.measure, readings);
                    QVERIFY2(t.spread >= last, f.key.data());
                    last = t.spread;
                    const bool allowed = Length::mm(off) <= f.disagree();
                    QCOMPARE(t.settled(), allowed);
                }
            }
        }
        // Three readings 8.5 cm apart, no two of which agree.
        const auto wide = *take(Measure::Waist, {Length::mm(800), Length::mm(842), Length::mm(885)});
        QVERIFY(wide.state == ReadingState::NoneAgree && wide.spread >= Length::mm(42));
    }
    void bust_points_too_far_apart_are_asked_about()
    {
        BodySet set{"2026-12-02", {}};
        set.readings[Measure::Bust] = {Length::mm(980), Length::mm(982)};
        set.readings[Measure::BustSpan] = {Length::mm(330)};
        QCOMPARE(sense_of(Measure::BustSpan, set).size(), std::size_t{1});
        set.readings[Measure::BustSpan] = {Length::mm(192)};
        QVERIFY(sense_of(Measure::BustSpan, set).empty());
    }
    void one_reading_of_a_girth_wants_another_but_a_wish_does_not()
    {
        QCOMPARE(take(Measure::Waist, {Length::mm(800)})->state, ReadingState::OneMore);
        QCOMPARE(take(Measure::SkirtLength, {Length::mm(600)})->state, ReadingState::Agree);
        QVERIFY(!take(Measure::Waist, {}).has_value());
    }
    void readings_no_body_has_are_refused_with_the_range()
    {
        QCOMPARE(check_reading(Measure::Waist, Length::mm(-5)).error().why, Why::NotPositive);
        const auto r = check_reading(Measure::Waist, Length::mm(99.6));
        QCOMPARE(r.error().why, Why::OutOfRange);
        QCOMPARE(r.error().low.in_mm(), 300.0);
        QVERIFY(check_reading(Measure::Waist, Length::mm(996)).has_value());
    }
    void a_stretched_tape_is_corrected_by_ruler_over_tape()  // common practice: x·R/t
    {
        const auto check = *TapeCheck::from({{Length::cm(60), Length::cm(59.6)}});
        QVERIFY(is_near(check.corrected(Length::cm(98.9)), Length::cm(98.9 * 60 / 59.6), Length::mm(1e-9)));
        QVERIFY(is_near(check.corrected(Length::cm(98.9)), Length::cm(99.56), Length::mm(0.05)));
        QCOMPARE(check.worn(), Length{});
        const auto t = *take(Measure::Bust, {Length::cm(98.9), Length::cm(98.9)}, check);
        QCOMPARE(t.as_read.in_cm(), 98.9);
        QVERIFY(t.value > t.as_read);
        QVERIFY(t.spread > take(Measure::Bust, {Length::cm(98.9), Length::cm(98.9)})->spread);
    }
    void longer_rulers_leave_less_doubt()  // common practice: 0.9 mm from 30 cm, 0.2 mm from 1.5 m, at 91 cm
    {
        const auto ruler = [](double cm) { return *TapeCheck::from({{Length::cm(cm), Length::cm(cm)}}); };
        QVERIFY(is_near(ruler(30).left_on(Length::cm(91)), Length::mm(0.9), Length::mm(0.05)));
        QVERIFY(is_near(ruler(150).left_on(Length::cm(91)), Length::mm(0.2), Length::mm(0.05)));
    }
    void two_lengths_tell_a_worn_end_from_stretch()
    {
        // The first 3 mm are gone and the rest has stretched by 1 %: the tape shows less than is there.
        const auto shown = [](double truth) { return Length::mm(truth / 1.01 + 3); };
        const auto check = *TapeCheck::from({{Length::mm(1500), shown(1500)}, {Length::mm(300), shown(300)}});
        QVERIFY(near(check.factor(), 1.01, 1e-12));
        QVERIFY(is_near(check.worn(), Length::mm(-3 * 1.01), Length::mm(1e-9)));
        for (const double x : {250.0, 900.0, 1200.0})
            QVERIFY(is_near(check.corrected(shown(x)), Length::mm(x), Length::mm(1e-9)));
    }
    void a_check_that_is_itself_a_slip_is_refused()
    {
        QCOMPARE(TapeCheck::from({{Length::cm(30), Length::inches(30)}}).error().why, Why::OutOfRange);
        QCOMPARE(TapeCheck::from({{Length::cm(3), Length::cm(3)}}).error().field, std::string{"ruler"});
        QCOMPARE(TapeCheck::from({{Length::cm(30), Length::cm(30)}, {Length::cm(32), Length::cm(32)}}).error().why,
                 Why::TapeChecksTooClose);
        QCOMPARE(TapeCheck::from({{Length::cm(30), Length::cm(30)},
                                  {Length::cm(60), Length::cm(60)},
                                  {Length::cm(90), Length::cm(90)}})
                     .error()
                     .why,
                 Why::TapeCheckTooMany);
        QVERIFY(TapeCheck::from({})->empty());
    }
    void of_two_sides_the_larger_is_fitted()
    {
        BodySet set;
        set.readings[Measure::UpperArm] = {Length::mm(300), Length::mm(300)};
        set.left[Measure::UpperArm] = {Length::mm(309), Length::mm(311)};
        QCOMPARE(set.taken(Measure::UpperArm)->value.in_mm(), 310.0);
        QCOMPARE(set.taken(Measure::UpperArm, Side::Right)->value.in_mm(), 300.0);
        set.left.clear();
        QCOMPARE(set.taken(Measure::UpperArm)->value.in_mm(), 300.0);
        QVERIFY(!set.taken(Measure::UpperArm, Side::Left));
    }
    void the_shoulder_slopes_by_the_two_heights()
    {
        BodySet set;
        set.readings[Measure::NeckPointHeight] = {Length::mm(1420)};
        set.readings[Measure::ShoulderTipHeight] = {Length::mm(1375)};
        QVERIFY(!shoulder_slope_degrees(set, Side::Right));
        set.readings[Measure::ShoulderLength] = {Length::mm(125)};
        // sin a = 45 / 125 = 0.36; a = 21.1° by table.
        QVERIFY(near(*shoulder_slope_degrees(set, Side::Right), 21.10, 0.01));
        set.readings[Measure::ShoulderTipHeight] = {Length::mm(1250)};  // lower by more than the shoulder is long
        QVERIFY(!shoulder_slope_degrees(set, Side::Right));
    }
    void a_steady_hand_earns_a_smaller_spread()
    {
        std::mt19937 rng{11};
        std::normal_distribution<double> noise{0, 2.0};
        std::vector<BodySet> sets(60);
        for (auto& set : sets) {
            for (const auto m : {Measure::Waist, Measure::Hip, Measure::Bust})
                set.readings[m] = {Length::mm(900 + noise(rng)), Length::mm(900 + noise(rng))};
        }
        const auto hand = pooled_repeatability(sets);
        QVERIFY(hand.girth > Length::mm(1.7) && hand.girth < Length::mm(2.6));
        QCOMPARE(hand.along, Length::mm(3));  // nothing read along: as it starts
        QCOMPARE(pooled_repeatability({}), Repeatability{});
    }
    void rounds_hold_what_a_garment_asks_and_keep_the_order()
    {
        const std::vector<Measure> skirt{Measure::Waist, Measure::Hip, Measure::WaistToHip, Measure::SkirtLength};
        QCOMPARE(measures_of(Round::Skirt), skirt);
        QCOMPARE(measures_of(Round::Everything).size(), all_measures.size());
        for (const auto r : all_rounds) {
            const auto m = measures_of(r, true);
            QVERIFY(std::is_sorted(m.begin(), m.end()));
            QVERIFY(std::adjacent_find(m.begin(), m.end()) == m.end());
            QCOMPARE(round_of_key(key_of(r)), std::optional{r});
        }
        const auto dress = measures_of(Round::Dress);
        for (const auto m : measures_of(Round::Top))
            QVERIFY(std::find(dress.begin(), dress.end(), m) != dress.end());
        QCOMPARE(measures_of(Round::Trousers, true).size(), measures_of(Round::Trousers).size() + 5);
        QCOMPARE(measures_of(Round::Skirt, true).size(), measures_of(Round::Skirt).size() + 3);
    }
    void keys_and_rows_agree()
    {
        std::set<std::string_view> keys;
        for (std::size_t i = 0; i < all_measures.size(); ++i) {
            QCOMPARE(static_cast<std::size_t>(all_measures[i].measure), i);
            QVERIFY(keys.insert(all_measures[i].key).second);
            QCOMPARE(measure_of_key(all_measures[i].key), std::optional{all_measures[i].measure});
            QVERIFY(all_measures[i].least < all_measures[i].most);
        }
        QVERIFY(!measure_of_key("chest of drawers"));
    }
    void front_and_back_rise_make_the_crotch_length()  // common practice
    {
        BodySet set;
        const auto read = [&](Measure m, double mm) { set.readings[m] = {Length::mm(mm), Length::mm(mm)}; };
        read(Measure::CrotchLength, 720);
        read(Measure::FrontRise, 330);
        read(Measure::BackRise, 390);
        QVERIFY(sense_of(Measure::CrotchLength, set).empty());
        read(Measure::BackRise, 350);
        const auto s = sense_of(Measure::BackRise, set);
        QCOMPARE(s.size(), std::size_t{1});
        QCOMPARE(s[0].kind, SenseKind::RiseSum);
        QCOMPARE(s[0].expected.in_mm(), 680.0);
    }
    void centimetres_typed_for_inches_are_seen()
    {
        BodySet set;
        const auto read = [&](Measure m, double cm) { set.readings[m] = {Length::cm(cm), Length::cm(cm)}; };
        read(Measure::Waist, 74);
        read(Measure::Hip, 98);
        read(Measure::Thigh, 58);
        QVERIFY(sense_of(Measure::Hip, set).empty());
        read(Measure::Hip, 98 * 2.54);  // 98 typed where inches stood
        const auto s = sense_of(Measure::Hip, set);
        QCOMPARE(s[0].kind, SenseKind::OtherUnit);
        QVERIFY(is_near(s[0].expected, Length::cm(98), Length::mm(1e-6)));
        read(Measure::Hip, 140);  // neither unit explains this
        QCOMPARE(sense_of(Measure::Hip, set)[0].kind, SenseKind::OutsideLikely);
    }
    void measures_in_the_wrong_order_are_asked_about()
    {
        BodySet set;
        set.readings[Measure::Calf] = {Length::mm(420)};
        set.readings[Measure::Thigh] = {Length::mm(360)};
        bool seen = false;
        for (const auto& s : sense_of(Measure::Thigh, set)) seen = seen || s.kind == SenseKind::Order;
        QVERIFY(seen);
        set = {};
        set.readings[Measure::HighBust] = {Length::mm(980)};
        set.readings[Measure::Bust] = {Length::mm(940)};
        QCOMPARE(sense_of(Measure::Bust, set)[0].kind, SenseKind::HighBustAboveBust);
        QVERIFY(sense_of(Measure::Wrist, set).empty());  // not read: nothing to say
    }
    void girths_age_in_a_month_and_bones_do_not()  // common practice
    {
        BodySet set{"2026-09-01", {}};
        for (const auto m : {Measure::Waist, Measure::BackWaistLength, Measure::Height, Measure::SkirtLength})
            set.readings[m] = {Length::mm(900), Length::mm(900)};
        QVERIFY(stale_measures(set, "2026-09-20").empty());
        auto old = stale_measures(set, "2026-11-23");
        QCOMPARE(old.size(), std::size_t{1});
        QCOMPARE(old[0].measure, Measure::Waist);
        QCOMPARE(old[0].days, 83);  // 29 + 31 + 23 by the calendar
        QCOMPARE(stale_measures(set, "2027-12-01").size(), std::size_t{2});
        BodySet newer{"2026-09-10", {}};
        newer.weight_kg = 74;
        set.weight_kg = 70;
        old = stale_measures(set, "2026-09-12", &newer);
        QCOMPARE(old[0].why, StaleWhy::WeightMoved);
        set.weight_kg.reset();
        newer.readings[Measure::Waist] = {Length::mm(940), Length::mm(940)};
        QCOMPARE(stale_measures(set, "2026-09-12", &newer)[0].why, StaleWhy::GirthMoved);
        QCOMPARE(days_between("2024-02-28", "2024-03-01"), std::optional{2});
        QVERIFY(!days_between("yesterday", "2024-03-01"));
        QVERIFY(!days_between("2023-02-30", "2024-03-01"));
    }
    void the_tapes_correction_scales_what_is_uncertain_too()
    {
        // A tape that shows 103 at a rigid 100: everything on it is 100/103 of what it shows, spread included.
        const std::vector<Length> twice{Length::mm(900), Length::mm(900)};
        const auto tape = *TapeCheck::from({{Length::mm(1000), Length::mm(1030)}});
        const auto plain = *take(Measure::Waist, twice);
        const auto corrected = *take(Measure::Waist, twice, tape);
        const double left = 2 * tape.left_on(Length::mm(900)).in_mm();
        const double own = std::sqrt(corrected.spread.in_mm() * corrected.spread.in_mm() - left * left);
        QVERIFY(near(own, plain.spread.in_mm() * 1000 / 1030, 1e-9));
        QVERIFY(near(corrected.value.in_mm(), 900.0 * 1000 / 1030, 1e-9));
    }
};
SARTORUM_TEST(TestBody)

}  // namespace test_body

#include "test_body.moc"
