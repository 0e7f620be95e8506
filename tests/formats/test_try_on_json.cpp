// What was seen on a toile, read from JSON, and what is answered.
#include <QTest>

#include "formats/try_on_json.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"
#include "words/mirror.h"

namespace test_try_on_json {

using namespace sartorum;

namespace {

Refusal refused(const std::string& text)
{
    const auto read = formats::read_try_on(text);
    return read ? Refusal{} : read.error();
}

const char* const seat = R"({"seen": [{"sight": "folds_to_crotch_behind", "strength": "clear"},
                                      {"sight": "bag_under_seat", "side": "left", "strength": "slight"}],
                             "answers": [{"test": "waist_lowered_behind", "yes": true}]})";

}  // namespace

class TestTryOnJson : public QObject {
    Q_OBJECT
private slots:
    void sights_and_answers_are_read()
    {
        const auto read = formats::read_try_on(seat);
        QVERIFY(read.has_value());
        QCOMPARE(read->notes.size(), std::size_t{2});
        QCOMPARE(read->notes[1].seen, (Seen{Sight::BagUnderSeat, Strength::Slight, Side::Left}));
        QCOMPARE(read->answers.front(), (Answered{SmallTest::WaistLoweredBehind, true, {}}));
        const auto pinched =
            formats::read_try_on(R"({"answers": [{"test": "pinch_tips", "yes": true, "pinched": "1.2 cm"}]})");
        QVERIFY(pinched && pinched->answers.front().pinched == Length::mm(12));
        QVERIFY(formats::read_try_on("{}")->notes.empty());
    }
    void what_is_none_is_refused_by_its_name()
    {
        QCOMPARE(refused(R"({"seen": [{"sight": "folds"}]})").field, std::string{"sight: folds"});
        QCOMPARE(refused(R"({"seen": [{"sight": "tight_seat", "strength": "very"}]})").why, Why::WordUnknown);
        QCOMPARE(refused(R"({"seen": [{"sight": "tight_seat"}, {"sight": "tight_seat"}]})").why, Why::KeyTwice);
        QCOMPARE(refused(R"({"seen": [{"sight": "tight_seat", "where": 1}]})").why, Why::KeyUnknown);
        QCOMPARE(refused(R"({"seen": [{"sight": "tight_seat", "side": "left"}]})").field,
                 std::string{"tight_seat: side"});
        QCOMPARE(refused(R"({"seen": {"sight": "tight_seat"}})").why, Why::ValueIllTyped);
        QCOMPARE(refused(R"({"seen": ["tight_seat"]})").why, Why::ValueIllTyped);
        QCOMPARE(refused(R"({"answers": [{"test": "pinch_tips"}]})").field, std::string{"yes"});
        QCOMPARE(refused(R"({"answers": [{"test": "pinch_tips", "yes": true, "pinched": 500}]})").why,
                 Why::OutOfRange);
        QVERIFY(!formats::read_try_on("[]").has_value());
        std::string many = R"({"seen": [)";
        for (int i = 0; i < 61; ++i) many += std::string{i ? "," : ""} + R"({"sight": "tight_seat"})";
        QCOMPARE(refused(many + "]}").why, Why::FileTooMany);
        QVERIFY(!formats::read_try_on("{\"seen\": ").has_value());
    }
    void all_of_a_try_on_comes_back_as_it_was_written()
    {
        TryOn t;
        t.date = "2026-11-14";
        t.what = PutOn::HalfTissue;
        t.cloth = "calico \"A\"";
        t.moments = {Moment::Sitting, Moment::Walking};
        t.words = "zu eng am März";
        t.notes = {{{Sight::TipStandsOff, Strength::Slight, Side::Left},
                    Moment::Reaching,
                    Since::Less,
                    FigurePoint{3.5, 19},
                    "x"},
                   {{Sight::HemUpFront, Strength::Clear, {}}, Moment::Standing, Since::New, {}, ""}};
        t.answers = {{SmallTest::PinchTips, true, Length::mm(9.5)}, {SmallTest::NapeToHem, false, {}}};
        t.found = {{ByHand::Offcut, "tip", Face::Back, Side::Right, Length::mm(31)},
                   {ByHand::BustDart, "depth", Face::Both, {}, Length::mm(-4)},
                   {ByHand::WaistDart, "length", Face::Back, {}, Length::mm(12)},
                   {ByHand::LetOut, "hip", Face::Both, {}, Length::mm(18)}};
        t.nothing_to_see = true;
        const auto read = formats::read_try_on(formats::try_on_json(t).dump());
        QVERIFY(read.has_value());
        QVERIFY(*read == t);
        QCOMPARE(refused(R"({"found": [{"what": "offcut", "at": "nose", "by": 3}]})").why, Why::PlaceUnknown);
        QCOMPARE(refused(R"({"found": [{"what": "let_out", "at": "hip", "by": 900}]})").why, Why::OutOfRange);
        QCOMPARE(refused(R"({"date": "14 November"})").why, Why::DateBroken);
        QCOMPARE(refused(R"({"moments": ["dancing"]})").why, Why::WordUnknown);
        QCOMPARE(refused(R"({"seen": [{"sight": "tight_seat", "at": [1, "far"]}]})").why, Why::ValueIllTyped);
    }
    void causes_are_answered_with_their_amounts()
    {
        auto bench = test::lockgate_bench();
        const auto c = bench();
        const Observed seen = observed(*formats::read_try_on(seat), known_of(c));
        const auto j = formats::causes_json(seen, c);
        QCOMPARE(j["causes"][0]["cause"].get<std::string>(), std::string{"crotch_wedge:back:+"});
        QCOMPARE(j["causes"][0]["from"].get<std::string>(), std::string{"first_step"});
        QCOMPARE(j["causes"][0]["amount_mm"].get<double>(), 10.0);
        QCOMPARE(j["causes"][0]["explains"].size(), std::size_t{1});
        QCOMPARE(j["causes"][0]["leaves"][0].get<std::string>(), std::string{"bag_under_seat"});
        for (const auto& row : j["causes"]) {
            const bool other = row["cause"] == "something_else";
            QCOMPARE(row.contains("amount_mm"), !other);
            QVERIFY(other || row["adjustment"] != "bust");  // no bodice here
        }
    }
    // By which the body differs, the cause is likelier, and that is its amount.
    void the_body_speaks_for_a_cause()
    {
        auto bench = test::lockgate_bench();
        const Length back = bench.body.taken(Measure::BackRise)->value + Length::mm(18);
        bench.body.readings[Measure::BackRise] = {back, back};
        auto c = bench();
        const Cause wedge{AdjustmentKind::CrotchWedge, 1, Face::Back};
        const auto is_wedge = [&](const KnownOf& k) { return k.cause == wedge; };
        const auto known = known_of(c);
        const auto found = std::find_if(known.begin(), known.end(), is_wedge);
        QVERIFY(found != known.end() && found->what == Known::Proposed);
        const auto by = suggested(*facts(wedge), {}, c);
        QCOMPARE(by.from, AmountFrom::Body);
        QVERIFY(near(by.amount.in_mm(), 18, 0.5));
        bench.plan.decide({AdjustmentKind::CrotchWedge, Answer::Accepted});
        c = bench();
        const auto after = known_of(c);
        const auto again = std::find_if(after.begin(), after.end(), is_wedge);
        QVERIFY(again != after.end() && again->what == Known::TakenUp);
    }
    void a_pinch_is_the_amount()
    {
        const auto c = test::lockgate_bench()();
        Observed o;
        o.answers = {{SmallTest::PinchAcrossUnderSeat, true, Length::mm(14)}};
        const auto by = suggested(*facts(Cause{AdjustmentKind::CrotchWedge, -1, Face::Back}), o, c);
        QCOMPARE(by.from, AmountFrom::Pinch);
        QCOMPARE(by.amount, Length::mm(-14));
        o.answers = {{SmallTest::PinchAtWaist, true, Length::mm(8)}};
        QCOMPARE(suggested(*facts(Cause{AdjustmentKind::WidthAtWaist, -1}), o, c).amount, Length::mm(-8));
        o.answers = {{SmallTest::PinchAcrossUnderSeat, true, Length::mm(90)}};
        QCOMPARE(suggested(*facts(Cause{AdjustmentKind::CrotchWedge, -1, Face::Back}), o, c).amount,
                 Length::mm(-30));
    }
    void everything_has_its_words()
    {
        for (std::size_t i = 0; i < sight_count; ++i) QVERIFY(!words::sight_name(static_cast<Sight>(i)).isEmpty());
        for (const auto& t : all_small_tests()) QVERIFY(words::small_test(t.test).endsWith('?'));
        for (const auto& c : all_causes()) QVERIFY(words::cause_name(c.cause).size() > 5);
    }
};

SARTORUM_TEST(TestTryOnJson)

}  // namespace test_try_on_json

#include "test_try_on_json.moc"
