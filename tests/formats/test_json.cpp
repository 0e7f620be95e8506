// Bodies, plans and results as JSON: what is written is read again; what is not understood is refused by its key.
#include <QTest>
#include <nlohmann/json.hpp>
#include <random>
#include <set>

#include "formats/json.h"
#include "formats/make_up_json.h"
#include "formats/work_json.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_json {

using namespace sartorum;
using namespace sartorum::test;
using namespace sartorum::formats;
using json = nlohmann::ordered_json;

namespace {

using Kind = AdjustmentKind;

NamedBody random_body(std::mt19937& rng)
{
    NamedBody out{"Ottilie", {}};
    out.set.date = "2026-11-24";
    for (const auto& [m, likely] : {std::pair{Measure::Bust, 950.0},
                                    {Measure::HighBust, 900.0},
                                    {Measure::Waist, 780.0},
                                    {Measure::Hip, 1010.0},
                                    {Measure::UpperArm, 300.0},
                                    {Measure::FrontWaistLength, 440.0}}) {
        const auto n = 1 + rng() % 3;
        for (unsigned i = 0; i < n; ++i)
            out.set.readings[m].push_back(Length::mm(std::round(likely * between(rng, 0.9, 1.1))));
    }
    return out;
}

bool same_decision(const Decision& a, const Decision& b)
{
    const auto near = [](const std::optional<Length>& x, const std::optional<Length>& y) {
        return x.has_value() == y.has_value() && (!x || abs(*x - *y) < Length::mm(1e-6));
    };
    for (const auto side : both_sides) {
        for (const auto face : each_face) {
            if (!near(a.on(side, face), b.on(side, face))) return false;
        }
        for (const auto& place : adjustment(a.kind).places) {
            if (!near(a.at(side, place.key, false), b.at(side, place.key, false))) return false;
        }
    }
    return a.kind == b.kind && a.answer == b.answer && a.method == b.method;
}

Plan random_plan(std::mt19937& rng)
{
    Plan p = plan_at("14");
    p.sizes[Level::Waist] = "16";
    for (const auto& a : catalogue()) {
        if (rng() % 3) continue;
        Decision d{a.kind, rng() % 4 ? Answer::Accepted : Answer::Declined, {}};
        if (d.answer == Answer::Accepted && rng() % 2)
            d.set_amount(Length::mm(std::round(between(rng, a.least.in_mm(), a.most.in_mm()) * 10) / 10));
        if (d.amount() && a.acts_on == ActsOn::Apart && rng() % 2) d.set_back(*d.amount() * 0.5);
        for (int i = 0; i < 3 && d.answer == Answer::Accepted && rng() % 2; ++i) {
            Which which;
            if (!a.places.empty()) which.at = a.places[rng() % a.places.size()].key;
            if (a.acts_on == ActsOn::Apart && a.places.empty()) which.face = each_face[rng() % 2];
            if (rng() % 2) which.side = both_sides[rng() % 2];
            d.set(which, Length::mm(std::round(between(rng, -9, 9) * 10) / 10));
        }
        if (d.answer == Answer::Accepted && !a.methods.empty() && rng() % 2) d.method = rng() % a.methods.size();
        p.decide(d);
    }
    return p;
}

std::string field_of(const std::string& text)
{
    const auto plan = read_plan(text);
    return plan ? std::string{"taken"} : plan.error().field;
}

}  // namespace

class TestJson : public QObject {
    Q_OBJECT
private slots:
    void a_body_comes_back_with_all_its_readings()
    {
        std::mt19937 rng{1};
        for (int i = 0; i < 60; ++i) {
            const NamedBody was = random_body(rng);
            const auto is = read_body(body_json(was).dump());
            QVERIFY(is.has_value());
            QCOMPARE(is->name, was.name);
            QCOMPARE(is->set.date, was.set.date);
            QCOMPARE(is->set.readings.size(), was.set.readings.size());
            for (const auto& [m, readings] : was.set.readings) {
                const auto& back = is->set.readings.at(m);
                QCOMPARE(back.size(), readings.size());
                for (std::size_t k = 0; k < back.size(); ++k)
                    QVERIFY(near(back[k].in_mm(), readings[k].in_mm(), 1e-6));
            }
        }
    }
    void readings_may_be_written_as_people_say_them()
    {
        const auto body = read_body(R"({"name": "Bram", "date": "2026-11-24",
            "readings": {"waist": [842, "33 1/4 in", "84,3 cm"]}})");
        QVERIFY(body.has_value());
        const auto& waist = body->set.readings.at(Measure::Waist);
        QVERIFY(near(waist[0].in_mm(), 842) && near(waist[1].in_mm(), 33.25 * 25.4, 1e-9));
        QVERIFY(near(waist[2].in_mm(), 843, 1e-9));
    }
    void what_a_garment_is_made_of_comes_back()
    {
        Plan was = plan_in_sizes("12", "14");
        was.make_up.left_out = {"pocket"};
        was.make_up.facings = {{{"front", EdgeRole::Armhole}, Length::mm(45.5)}};
        was.make_up.opening = MovedOpening{PieceRole::Front, piece_most, Length::mm(15), Length::mm(80)};
        const auto skirt = *draw_skirt(plain_skirt());
        const Piece& band = *find_piece(skirt.pieces, PieceRole::Waistband);
        const std::vector<SeamSide> to{{"front", EdgeRole::Hem}, {"back", EdgeRole::Hem}};
        was.make_up.brought = {brought_piece(band, 0, to, 1.75, "Lockside", "14")};
        const Piece& piece = was.make_up.brought[0].piece;
        QVERIFY(piece.role == PieceRole::Other && !piece.part);
        QCOMPARE(std::count_if(piece.edges.begin(), piece.edges.end(),
                               [](const Edge& e) { return e.role == EdgeRole::Hem; }),
                 1);
        QVERIFY(near(sewn_length(piece, EdgeRole::Hem).in_mm(), length(band.edges[0].curve).in_mm(), 1e-5));
        const auto is = read_plan(plan_json(was).dump());
        if (!is) qWarning("%s", is.error().field.c_str());
        QVERIFY(is.has_value());
        QVERIFY(is->make_up == was.make_up);
        QVERIFY(largest_gap(is->make_up.brought[0].piece, piece) < 1e-5);
        was.make_up.opening->length = Length::mm(300);
        QVERIFY(read_plan(plan_json(was).dump())->make_up.opening->length == Length::mm(300));
        // Facings are declined seam by seam; parts are parts.
        was.decide({AdjustmentKind::Facings, Answer::Accepted, {}});
        Decision one{AdjustmentKind::Facings, Answer::Declined};
        one.subject = "neck-facing-back";
        was.put(one);
        QVERIFY(*read_plan(plan_json(was).dump())->decision(AdjustmentKind::Facings, one.subject) == one);
        QVERIFY(!read_plan(R"({"waist_size": "12", "hip_size": "12", "adjustments": {"waist_to_hip": {"answer":
                "declined", "subject": "neck-facing-back"}}})"));
    }
    void what_a_garment_cannot_be_made_of_is_refused_by_name()
    {
        const auto refused = [](const char* made) {
            const auto read =
                read_plan(std::string{R"({"waist_size": "12", "hip_size": "12", "make_up": )"} + made + "}");
            return read ? std::string{"taken"} : read.error().field;
        };
        QCOMPARE(refused(R"({"sewn_on": []})"), std::string{"make_up: sewn_on"});
        QCOMPARE(refused(R"([1])"), std::string{"make_up"});
        QCOMPARE(refused(R"({"left_out": [3]})"), std::string{"left_out"});
        QCOMPARE(refused(R"({"facings": [{"piece": "front", "edge": "nose", "width_mm": 5}]})"),
                 std::string{"facings: edge"});
        QCOMPARE(refused(R"({"facings": [{"piece": "front", "edge": "neck"}]})"),
                 std::string{"facings: width_mm"});
        QCOMPARE(refused(R"({"facings": [{"piece": "front", "edge": "neck", "width_mm": "wide"}]})"),
                 std::string{"facings: width_mm: wide"});
        QCOMPARE(refused(R"({"brought": [{"pattern": "A", "to": [{"piece": "front", "edge": "hem"}]}]})"),
                 std::string{"brought: drawing"});
        QCOMPARE(refused(R"({"brought": [{"drawing": "", "ratio": 70, "to": []}]})"),
                 std::string{"brought: ratio"});
        QCOMPARE(refused(R"({"brought": [{"drawing": "", "to": []}]})"), std::string{"brought: to"});
        QVERIFY(refused(R"({"brought": [{"drawing": "<svg", "to": [{"piece": "front", "edge": "hem"}]}]})") !=
                "taken");
        QCOMPARE(refused(R"({"opening": {"centre": "side", "length_mm": 5}})"), std::string{"opening: centre"});
        QCOMPARE(refused(R"({"opening": {"centre": "back"}})"), std::string{"opening: length_mm"});
        QCOMPARE(refused(R"({"opening": {"centre": "back", "length_mm": -5}})"),
                 std::string{"opening: length_mm"});
        QCOMPARE(refused(R"({"opening": {"centre": "back", "length_mm": 50, "button_gap_mm": 1}})"),
                 std::string{"opening: button_gap_mm"});
    }
    void a_plan_comes_back_with_its_decisions_in_their_order()
    {
        std::mt19937 rng{2};
        for (int i = 0; i < 80; ++i) {
            const Plan was = random_plan(rng);
            const auto is = read_plan(plan_json(was).dump());
            QVERIFY(is.has_value());
            QCOMPARE(is->size_at(Level::Waist), was.size_at(Level::Waist));
            QCOMPARE(is->size_at(Level::Bust), was.size_at(Level::Bust));
            QCOMPARE(is->decisions.size(), was.decisions.size());
            for (std::size_t k = 0; k < was.decisions.size(); ++k)
                QVERIFY2(same_decision(is->decisions[k], was.decisions[k]),
                         qPrintable(QString{"%1: decision %2"}.arg(i).arg(k)));
            // Written again it is the same text: nothing is lost on the way.
            QCOMPARE(plan_json(*is).dump(), plan_json(was).dump());
        }
    }
    void every_adjustment_and_every_way_has_a_key_of_its_own()
    {
        std::set<std::string_view> kinds;
        for (const auto& a : catalogue()) {
            QVERIFY2(kinds.insert(a.key).second, std::string{a.key}.c_str());
            QVERIFY(adjustment_of_key(a.key) == a.kind);
            std::set<std::string_view> ways;
            for (std::size_t m = 0; m < a.methods.size(); ++m) {
                QVERIFY(ways.insert(a.methods[m]).second);
                QVERIFY(method_of_key(a, a.methods[m]) == m);
            }
        }
        QVERIFY(!adjustment_of_key("by_magic"));
    }
    void what_a_plan_does_not_understand_is_named()
    {
        QCOMPARE(field_of(R"({"hip_size": "12"})"), std::string{"waist_size"});
        QCOMPARE(field_of(R"({"waist_size": 12, "hip_size": "12"})"), std::string{"waist_size"});
        const auto with = [](const std::string& adjustments) {
            return field_of(R"({"waist_size": "12", "hip_size": "12", "adjustments": )" + adjustments + "}");
        };
        QCOMPARE(with(R"({"bust": {"answer": "accepted"}})"), std::string{"taken"});
        QCOMPARE(with(R"({"bust_size_up": {"answer": "accepted"}})"), std::string{"adjustments: bust_size_up"});
        QVERIFY(with(R"({"bust": {"answer": "perhaps"}})") != "taken");
        QVERIFY(with(R"({"bust": {"answer": "accepted", "amount_mm": "wide"}})") != "taken");
        QVERIFY(with(R"({"bust": {"answer": "accepted", "method": "classic"}})") != "taken");
        QVERIFY(with(R"({"bust": 12})") != "taken");
        QVERIFY(with(R"([1, 2])") != "taken");
    }
    void damaged_text_never_gets_through()
    {
        std::mt19937 rng{3};
        const std::string plan = plan_json(random_plan(rng)).dump();
        const std::string body = body_json(random_body(rng)).dump();
        int refused = 0;
        for (int i = 0; i < 400; ++i) {
            std::string text = i % 2 ? plan : body;
            const auto hits = 1 + rng() % 4;
            for (unsigned k = 0; k < hits; ++k) {
                const auto at = rng() % text.size();
                if (rng() % 2) {
                    text[at] = static_cast<char>(rng() % 256);
                } else {
                    text.erase(at, 1 + rng() % 12);
                }
                if (text.empty()) text = "{";
            }
            // Either refused, or read as something a plan or a body can be: never a crash, never a hang.
            if (i % 2) {
                refused += !read_plan(text);
            } else {
                refused += !read_body(text);
            }
        }
        QVERIFY2(refused > 250, qPrintable(QString::number(refused)));
        QVERIFY(!read_plan(std::string(2 * 1024 * 1024, ' ')));
        QVERIFY(!read_plan("{\"a\":" + std::string(2000, '[') + std::string(2000, ']') + "}"));
    }
    void the_chain_is_told_link_by_link()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        Plan plan = plan_at("12");
        plan.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(-6)});
        const auto c = b(plan);
        const json told = knock_ons_json(c);
        QCOMPARE(told.size(), knock_ons(c).size());
        bool cap = false;
        for (const auto& link : told) {
            QVERIFY(!link["causes"].empty());
            if (!link.contains("effect") || link["effect"] != "cap_height") continue;
            cap = true;
            QCOMPARE(link["causes"][0].get<std::string>(), std::string{"shoulder_slope"});
            QCOMPARE(link["state"].get<std::string>(), std::string{"proposed"});
        }
        QVERIFY(cap);
    }
    void the_pieces_are_told_as_they_lie()
    {
        const auto g = bodice(princess(plain_bodice()));
        const json told = pieces_json(g.pieces);
        QCOMPARE(told.size(), g.pieces.size());
        for (std::size_t i = 0; i < told.size(); ++i)
            QCOMPARE(told[i]["piece"].get<std::string>(), g.pieces[i].id);
        // The front of two panels tells both as well; together they are less paper than it is laid together.
        QVERIFY(told[0].contains("panels") && !told[1].contains("panels"));
        const auto& panels = told[0]["panels"];
        QCOMPARE(panels.size(), std::size_t{2});
        QCOMPARE(panels[0]["piece"].get<std::string>(), std::string{"front-centre"});
        const double parts = panels[0]["area_mm2"].get<double>() + panels[1]["area_mm2"].get<double>();
        QVERIFY(parts < told[0]["area_mm2"].get<double>() && parts > told[0]["area_mm2"].get<double>() * 0.9);
    }
    void the_checks_say_what_they_measured()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto body = body_of({{Measure::Bust, 900}, {Measure::Waist, 720}, {Measure::UpperArm, 300}});
        const auto c = b(plan_at("12"), body);
        const json told = checks_json(c.checks);
        QCOMPARE(told["all_hold"].get<bool>(), c.checks.all_hold());
        QVERIFY(near(told["cap"]["cap_mm"].get<double>() - told["cap"]["armhole_mm"].get<double>(),
                     c.checks.cap->ease.in_mm(), 1e-3));
        const auto rows = finished_table(c);
        const json table = finished_json(rows);
        QCOMPARE(table.size(), rows.size());
        for (std::size_t i = 0; i < rows.size(); ++i) {
            QVERIFY(near(table[i]["after_mm"].get<double>(), rows[i].after.in_mm(), 1e-3));
            QCOMPARE(table[i].contains("needed_mm"), rows[i].needed.has_value());
        }
    }
    void amounts_by_place_face_and_side_and_part_by_part_come_back()
    {
        Plan plan = plan_at("12");
        Decision slope{AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), 1};
        slope.amounts.push_back({"tip", Face::Front, Side::Left, Length::mm(2)});
        slope.amounts.push_back({"", Face::Both, Side::Right, Length::mm(-8.5)});
        slope.sides = SidesWay::Apart;
        plan.decide(slope);
        plan.sides = SidesWay::Larger;
        plan.sewn = true;
        Decision lower{AdjustmentKind::SewnWaist, Answer::Accepted};
        lower.set({Face::Both, {}, "centre_front"}, Length::mm(-20));
        lower.set({Face::Both, Side::Left, "side"}, Length::mm(-4));
        plan.decide(lower);
        Decision waist{AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(20)};
        plan.put(waist);
        waist.subject = "skirt";
        waist.answer = Answer::Declined;
        plan.put(waist);
        const auto text = plan_json(plan).dump();
        const auto read = read_plan(text);
        QVERIFY2(read.has_value(), text.c_str());
        QVERIFY(read->decisions == plan.decisions && read->sizes == plan.sizes && read->sides == plan.sides &&
                read->sewn);
        const auto ill = read_plan(R"({"waist_size": "12", "hip_size": "12", "sides": "both"})");
        QVERIFY(!ill && ill.error().field == "sides");
        const auto refused = [](const std::string& entry) {
            const auto r =
                read_plan(R"({"waist_size": "12", "hip_size": "12", "adjustments": {"bust": )" + entry + "}}");
            return r ? std::string{} : r.error().field;
        };
        QCOMPARE(refused(R"({"answer": "accepted", "amounts": [{"face": "top", "mm": 3}]})"),
                 std::string{"bust: amounts: face"});
        QCOMPARE(refused(R"({"answer": "accepted", "amounts": [{"side": "left"}]})"),
                 std::string{"bust: amounts: mm"});
        QCOMPARE(refused(R"({"answer": "accepted", "amounts": [{"mm": 3, "where": "tip"}]})"),
                 std::string{"bust: amounts: where"});
        QCOMPARE(refused(R"({"answer": "accepted", "amounts": 3})"), std::string{"bust: amounts"});
        QCOMPARE(refused(R"({"answer": "accepted", "subject": "roof"})"), std::string{"bust: subject"});
        QCOMPARE(refused(R"([{"answer": "accepted"}, {"answer": "declined"}])"), std::string{"bust: subject"});
        QCOMPARE(refused("[]"), std::string{"bust"});
    }
    void work_comes_back_whole_and_computes_to_the_same()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        std::mt19937 rng{91};
        for (int i = 0; i < tries(6); ++i) {
            const Plan plan = random_plan(rng);
            const auto body = random_body(rng);
            const Work work = work_of(b.pattern, b.chart, body.set, plan);
            const auto read = read_work(work_json(work, body.name));
            QVERIFY2(read.has_value(), read ? "" : read.error().field.c_str());
            QCOMPARE(read->wearer, body.name);
            const auto was = need(compute(work));
            const auto is = need(compute(read->work));
            QCOMPARE(is.steps.size(), was.steps.size());
            for (std::size_t p = 0; p < was.altered.pieces.size(); ++p)
                QVERIFY(largest_gap(is.altered.pieces[p], was.altered.pieces[p]) < 1e-3);
        }
        const auto refused = [](const char* text) { return read_work(text).error(); };
        QCOMPARE(refused("[]").why, Why::FileBroken);
        QCOMPARE(refused(R"({"sartorum": "work 1"})").field, std::string{"pattern"});
        QCOMPARE(refused(R"({"sartorum": "work 9", "pattern": "", "chart": "", "body": {}, "plan": {}})").field,
                 std::string{"sartorum"});
        QCOMPARE(
            refused(R"({"sartorum": "work 1", "pattern": "", "chart": "", "body": {}, "plan": {}, "x": 1})").field,
            std::string{"x"});
        QCOMPARE(refused(R"({"sartorum": "work 1", "pattern": "", "chart": "", "body": [], "plan": {}})").field,
                 std::string{"body"});
    }
};

SARTORUM_TEST(TestJson)

}  // namespace test_json

#include "test_json.moc"
