// Files that once broke the program, and relatives of theirs: each is refused in a sentence that names the field,
// or read right; nothing takes longer than a second.
#include <QElapsedTimer>
#include <QFile>
#include <QTest>
#include <cmath>
#include <ctime>
#include <set>

#include "core/plan/pattern_trial.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "formats/work_json.h"
#include "near.h"
#include "tests.h"
#include "words/words.h"

namespace test_hostile {

using namespace sartorum;
using namespace sartorum::formats;

namespace {

std::string in(const char* folder, const QString& name)
{
    const auto bytes = read_file(QString{SARTORUM_SOURCE_DIR} + "/" + QLatin1String{folder} + "/" + name);
    if (!bytes) qFatal("%s is not there", qPrintable(name));
    return *bytes;
}
std::string hostile(const char* name)
{
    return in("tests/hostile", QLatin1String{name});
}
std::string demo(const char* name)
{
    return in("demo", QLatin1String{name});
}

std::string with(std::string text, const std::string& from, const std::string& to)
{
    const auto at = text.find(from);
    if (at == std::string::npos) qFatal("no %s there", from.c_str());
    return text.replace(at, from.size(), to);
}

QString said(const Refusal& r)
{
    return words::refusal(r, Unit::Centimetre);
}

template <class T>
std::string why(const Outcome<T>& read)
{
    return read ? std::string{"read"} : said(read.error()).toStdString();
}

}  // namespace

class TestHostile : public QObject {
    Q_OBJECT
    QElapsedTimer clock_;

private slots:
    void init() { clock_.start(); }
    void cleanup()
    {
        QVERIFY2(clock_.elapsed() < 8000, "slow");
    }  // a second, and room for sanitizers and neighbours

    void patterns_that_say_what_cannot_be_are_refused_by_name_data()
    {
        QTest::addColumn<QString>("file");
        QTest::addColumn<Why>("why");
        QTest::addColumn<QString>("named");
        const auto row = [](const char* file, Why why, const char* named) {
            QTest::newRow(file) << QString{file} << why << QString{named};
        };
        row("size-inside-piece.svg", Why::NestedInPiece, "data-size");
        row("facing-with-princess.svg", Why::PanelsNotOfAFront, "facing");
        row("bodice-front-skirt-back.svg", Why::KindsDiffer, "16");
        row("across-of-no-length.svg", Why::MarkMissing, "across");
        row("notch-at-1e308.svg", Why::MarkOffEdge, "2.0 mm");
        row("notch-far-away.svg", Why::MarkOffEdge, "armhole");
        row("scale-infinite.svg", Why::ScaleImpossible, "transform");
        row("thousand-times.svg", Why::PieceTooLarge, "400.0 cm");
        row("seam-ease-nan.svg", Why::NumberBroken, "data-ease");
        row("seam-ease-1e9.svg", Why::NumberBroken, "data-ease");
    }
    void patterns_that_say_what_cannot_be_are_refused_by_name()
    {
        QFETCH(QString, file);
        QFETCH(Why, why);
        QFETCH(QString, named);
        const auto read = read_pattern_svg(in("tests/hostile", file));
        QVERIFY(!read.has_value());
        const auto sentence = said(read.error());
        QVERIFY2(read.error().why == why, qPrintable(sentence));
        const bool length = named.endsWith("mm");
        QVERIFY2(length ? sentence.contains("0.2 cm") : sentence.contains(named), qPrintable(sentence));
    }
    void an_allowance_with_a_comma_or_a_unit_is_an_allowance()
    {
        const auto read = read_pattern_svg(hostile("allowance-with-comma.svg"));
        QVERIFY2(read.has_value(), why(read).c_str());
        std::vector<double> allowances;
        for (const auto& e : read->sizes[0].pieces[0].edges) allowances.push_back(e.allowance.in_mm());
        QVERIFY(std::count(allowances.begin(), allowances.end(), 0.0) == 1);  // the fold's alone
        const auto skirt = demo("lockside-skirt.svg");
        for (const char* wrong : {"wide", "-5", "1e3", "nan", "15 px", "3000"}) {
            const auto refused = read_pattern_svg(
                with(skirt, "data-allowance=\"15\"", "data-allowance=\"" + std::string{wrong} + "\""));
            QVERIFY(!refused.has_value());
            QCOMPARE(refused.error().why, Why::NumberBroken);
            QVERIFY(said(refused.error()).contains("data-allowance"));
        }
    }
    void every_transform_counts_skew_too()
    {
        const auto skewed = read_pattern_svg(hostile("skew-ignored.svg"));
        QVERIFY2(skewed.has_value(), why(skewed).c_str());
        const auto straight = read_pattern_svg(demo("lockside-skirt.svg"));
        const Piece* plain = find_piece(straight->find("16")->pieces, PieceRole::Front);
        const Piece* leaning = find_piece(skewed->sizes[0].pieces, PieceRole::Front);
        // Shearing keeps the area and moves the corners.
        QVERIFY(near(area_mm2(*plain), area_mm2(*leaning), 1));
        QVERIFY(std::abs(bounds(*plain).width() - bounds(*leaning).width()) > 10);
        const auto skirt = demo("lockside-skirt.svg");
        const std::string group = "<g data-size=\"8\"";
        for (const char* same : {"translate(5)", "rotate(30 10 20) rotate(-30, 10, 20)", "scale(2) scale(.5)",
                                 " matrix(1 0 0 1 3 4) , skewX(0)skewY(0)", ""}) {
            const auto read =
                read_pattern_svg(with(skirt, group, "<g transform=\"" + std::string{same} + "\" data-size=\"8\""));
            QVERIFY2(read.has_value(), same);
            QVERIFY(near(area_mm2(read->sizes[0].pieces[0]), area_mm2(straight->sizes[0].pieces[0]), 1e-3));
        }
        for (const char* wrong :
             {"spin(3)", "scale(2", "rotate(1 2)", "scale(2) and more", "translate(a)", "scale(0)"})
            QVERIFY2(!read_pattern_svg(
                         with(skirt, group, "<g transform=\"" + std::string{wrong} + "\" data-size=\"8\"")),
                     wrong);
    }
    void what_no_seam_names_is_said_to_be_unchecked()
    {
        const auto read = read_pattern_svg(hostile("no-seams.svg"));
        QVERIFY2(read.has_value(), why(read).c_str());
        Plan plan = plan_in_sizes("16", "16");
        const auto c = compute(*read, trial_chart(*read), trial_body(), plan);
        QVERIFY(c.has_value());
        QCOMPARE(c->checks.unwalked.size(), std::size_t{2});
        QVERIFY(words::unwalked(c->checks).contains("front side, back side"));
        for (const char* whole :
             {"lockside-skirt.svg", "windlass-bodice.svg", "heron-tee.svg", "sluice-waistcoat.svg"}) {
            const auto pattern = *read_pattern_svg(demo(whole));
            const auto& size = pattern.sizes[0].size;
            Plan one = plan_in_sizes(size, size);
            const auto computed = compute(pattern, trial_chart(pattern), trial_body(), one);
            QVERIFY(computed.has_value());
            QVERIFY2(computed->checks.unwalked.empty(), qPrintable(words::unwalked(computed->checks)));
        }
    }
    void an_element_of_many_attributes_ends_the_reading()
    {
        std::string many;
        for (int i = 0; i < 50'000; ++i) many += "a" + std::to_string(i) + "=\"\" ";
        const auto read =
            read_pattern_svg(with(demo("lockside-skirt.svg"), "<g data-size", "<g " + many + "data-size"));
        QCOMPARE(read.error().why, Why::FileTooMany);
        QVERIFY(said(read.error()).contains("attributes"));
        // Signs inside of a comment are none.
        QVERIFY(read_pattern_svg(with(demo("lockside-skirt.svg"), "<g data-size",
                                      "<!-- " + std::string(500, '=') + " --><g data-size")));
    }
    void many_of_anything_is_refused_and_quickly()
    {
        const auto skirt = demo("lockside-skirt.svg");
        std::string path = "M0,0";
        for (int i = 0; i < 40'000; ++i) path += " L" + std::to_string(i % 90) + "," + std::to_string(i % 70);
        const std::string edge = "<path data-edge=\"plain\" d=\"" + path + "\"/>";
        QCOMPARE(read_pattern_svg(with(skirt, "<path data-edge", edge + "<path data-edge")).error().why,
                 Why::FileTooMany);
        std::string notches;
        for (int i = 0; i < 20'000; ++i) notches += "<circle data-notch=\"side\" cx=\"1\" cy=\"1\"/>";
        QCOMPARE(read_pattern_svg(with(skirt, "<circle data-notch", notches + "<circle data-notch")).error().why,
                 Why::FileTooMany);
        std::string seams;
        for (int i = 0; i < 20'000; ++i)
            seams += "<g data-seam=\"s\" data-a=\"front:side\" data-b=\"back:side\"/>";
        QCOMPARE(read_pattern_svg(with(skirt, "<g data-seam", seams + "<g data-seam")).error().why,
                 Why::FileTooMany);
        QCOMPARE(read_pattern_svg("<!DOCTYPE svg [<!ATTLIST g a CDATA \"b\">]>" + skirt.substr(skirt.find("<svg")))
                     .error()
                     .why,
                 Why::FileActiveContent);
    }
    void marks_and_lines_lie_on_the_paper()
    {
        const auto top = demo("windlass-bodice.svg");
        for (const auto& [from, to] :
             {std::pair{"data-mark=\"bust-point\" cx=\"", "data-mark=\"bust-point\" cx=\"9"},
              std::pair{"data-guide=\"across\" d=\"M0,", "data-guide=\"across\" d=\"M-900,"}}) {
            const auto read = read_pattern_svg(with(top, from, to));
            QCOMPARE(read.error().why, Why::MarkMissing);
        }
        QCOMPARE(read_pattern_svg(with(top, "data-piece=\"back\"", "data-piece=\"front\"")).error().why,
                 Why::KeyTwice);
        QCOMPARE(read_pattern_svg(with(top, "data-cut=\"2\"", "data-cut=\"two\"")).error().why, Why::NumberBroken);
        QCOMPARE(read_pattern_svg(with(top, "data-fold=\"true\"", "data-fold=\"yes\"")).error().why,
                 Why::WordUnknown);
    }
    void charts_are_refused_in_our_own_words()
    {
        const auto latin = chart_lines(hostile("chart-latin1.csv"));
        QCOMPARE(latin.error().why, Why::FileNotUtf8);
        QCOMPARE(latin.error().line, 2);
        QVERIFY(said(latin.error()).contains("UTF-8"));
        const auto range = read_chart_csv(hostile("chart-range-units.csv"));
        QCOMPARE(range.error().why, Why::ChartRangeHalfUnit);
        QVERIFY(said(range.error()).contains("2 cm - 5"));
        QVERIFY(!read_chart_csv("size,bust\n10,84 -\n12,88\n").has_value());
    }
    void bodies_and_plans_of_many_members_are_refused_and_quickly()
    {
        std::string body = R"({"name":"A","date":"2026-01-01","readings":{"bust":[900]})";
        for (int i = 0; i < 80'000; ++i) body += ",\"k" + std::to_string(i) + "\":0";
        const auto read = read_body(body + "}");
        QCOMPARE(read.error().why, Why::FileTooMany);
        std::string values = R"({"name":"A","date":"2026-01-01","readings":{"bust":[9)";
        for (int i = 0; i < 200'000; ++i) values += ",9";
        QCOMPARE(read_body(values + "]}}").error().why, Why::FileTooMany);
        QCOMPARE(read_body(std::string(200'000, '[')).error().why, Why::FileTooDeep);
    }
    void unknown_and_ill_typed_members_are_named()
    {
        const auto number = read_plan(hostile("plan-bust-size-number.json"));
        QCOMPARE(number.error().why, Why::ValueIllTyped);
        QCOMPARE(number.error().field, std::string{"bust_size"});
        const auto plan = [](const std::string& more) {
            return read_plan(R"({"waist_size":"16","hip_size":"16",)" + more + "}");
        };
        const auto named = [](const auto& read, Why why, const char* field) {
            return !read && read.error().why == why && read.error().field == field;
        };
        QVERIFY(named(plan(R"("knit":"yes")"), Why::ValueIllTyped, "knit"));
        QVERIFY(named(plan(R"("colour":"red")"), Why::KeyUnknown, "colour"));
        QVERIFY(named(plan(R"("garment":"cape")"), Why::WordUnknown, "garment"));
        QVERIFY(named(plan(R"("hip_size":"18")"), Why::KeyTwice, "hip_size"));
        QVERIFY(named(plan(R"("adjustments":{"bust":{"answer":"accepted","amout_mm":5}})"), Why::KeyUnknown,
                      "bust: amout_mm"));
        QVERIFY(named(plan(R"("adjustments":{"bust":{"answer":"perhaps"}})"), Why::WordUnknown, "bust: answer"));
        QVERIFY(named(plan(R"("adjustments":{"bust":{"answer":"accepted","amount_mm":true}})"), Why::ValueIllTyped,
                      "bust: amount_mm"));
        QVERIFY(
            named(read_body(R"({"name":"A","date":"3.11.2026","readings":{}})"), Why::DateBroken, "3.11.2026"));
        QVERIFY(named(read_body(R"({"name":"A","date":"2026-01-01","readings":{"busst":[1]}})"), Why::KeyUnknown,
                      "readings: busst"));
        QVERIFY(named(read_body(R"({"name":"A","date":"2026-01-01","readings":{},"worn":5})"), Why::ValueIllTyped,
                      "worn"));
    }
    void an_amount_past_its_limit_is_not_done_and_says_so()
    {
        const auto plan = *read_plan(hostile("plan-refused-amount.json"));
        const auto top = *read_pattern_svg(demo("windlass-bodice.svg"));
        const auto skirt = *read_pattern_svg(demo("lockside-skirt.svg"));
        const auto on = [&](const Pattern& p) { return *compute(p, trial_chart(p), trial_body(), plan); };
        const auto refused = on(top);
        QCOMPARE(refused.not_done.size(), std::size_t{1});
        QVERIFY(refused.not_done[0].why.why == Why::AmountTooLarge);
        QVERIFY(words::not_done(refused.not_done[0], Unit::Centimetre).startsWith("NOT DONE: Bust. "));
        // Accepted without an amount, and nothing to propose one from.
        Plan bare = plan_in_sizes("16", "16");
        bare.decide({AdjustmentKind::NeckForward, Answer::Accepted, {}});
        const auto unsaid = *compute(top, trial_chart(top), trial_body(), bare);
        QCOMPARE(unsaid.not_done.size(), std::size_t{1});
        QVERIFY(words::not_done(unsaid.not_done[0], Unit::Centimetre).contains("No amount is known"));
        const auto strange = on(skirt);
        QCOMPARE(strange.not_done.size(), std::size_t{1});
        QCOMPARE(strange.not_done[0].why.why, Why::NotOnThisGarment);
    }
    // One work in one file: as deep, as many and as often as its parts by themselves, and no more.
    void a_work_is_read_within_limits()
    {
        const Work work =
            work_of(*read_pattern_svg(demo("lockside-skirt.svg")), *read_chart_csv(demo("towpath-paper.csv")),
                    read_body(demo("ottilie.json"))->set, plan_in_sizes("16", "16"));
        const std::string whole = work_json(work, "Ottilie");
        QVERIFY(read_work(whole).has_value());
        const auto with_body = [&](const std::string& body) {
            const auto from = whole.find("\"body\": ") + 8;
            const auto to = whole.find("\"plan\": ", from);
            return whole.substr(0, from) + body + ",\n " + whole.substr(to);
        };
        const std::string deep = R"({"a":)" + std::string(100'000, '[') + std::string(100'000, ']') + "}";
        QCOMPARE(read_work(with_body(deep)).error().why, Why::FileTooDeep);
        std::string many = "{";
        for (int k = 0; k < 100'000; ++k) many += "\"k" + std::to_string(k) + "\":0,";
        many.back() = '}';
        QCOMPARE(read_work(with_body(many)).error().why, Why::FileTooMany);
        const auto twice = read_work(with(whole, "\"body\":", "\"plan\": {}, \"body\":"));
        QVERIFY(!twice && twice.error().why == Why::KeyTwice && twice.error().field == "plan");
    }
    void members_of_a_piece_brought_in_are_named()
    {
        const auto plan = read_plan(
            R"({"waist_size":"16","hip_size":"16","make_up":{"brought":[{"pattern":"A","size":"16","drawing":"<svg/>",
               "to":[{"piece":"front","edge":"hem","evil":1}]}]}})");
        QVERIFY(!plan && plan.error().why == Why::KeyUnknown && plan.error().field == "brought: to: evil");
    }
    void what_moves_in_a_drawing_is_refused_by_its_name()
    {
        for (const char* name : {"animate", "animateTransform", "animateMotion", "set", "audio", "object"}) {
            const auto svg =
                with(demo("lockside-skirt.svg"), "<g data-size", "<" + std::string{name} + "/><g data-size");
            const auto read = read_pattern_svg(svg);
            QVERIFY2(!read && read.error().why == Why::FileActiveContent && read.error().field == name, name);
        }
    }
    // A facing is made along one edge: asked for along several that lie apart it is not made, and says so.
    void a_facing_along_plain_edges_is_not_made()
    {
        const auto pattern = *read_pattern_svg(demo("aqueduct-dress.svg"));
        const auto chart = *read_chart_csv(demo("aqueduct-dress.csv"));
        auto plan = *read_plan(hostile("facing-from-plain-edge-crashes.json"));
        const std::string size = pattern.sizes[pattern.sizes.size() / 2].size;
        plan.take_sizes(size, size, size);
        const auto c = compute(pattern, chart, read_body(demo("ottilie.json"))->set, plan);
        QVERIFY(c && c->not_made.size() == 1);
        QVERIFY(c->not_made[0].why.why == Why::FacingParted);
        QVERIFY(words::not_made(c->not_made[0], Unit::Centimetre).contains("along one edge"));
        // Every edge of every piece, of every garment of the demo: made, or said.
        int asked = 0;
        for (const char* name : {"aqueduct-dress", "reedbed-dress", "bulrush-dress", "slipway-all-in-one",
                                 "lockgate-trousers", "heron-tee"}) {
            const auto p = *read_pattern_svg(demo((std::string{name} + ".svg").c_str()));
            const auto ch = *read_chart_csv(demo((std::string{name} + ".csv").c_str()));
            const auto& sized = p.sizes[p.sizes.size() / 2];
            const Plan plain = plan_in_sizes(sized.size, sized.size, sized.size);
            const auto before = compute(p, ch, {}, plain)->altered.pieces.size();
            for (const auto& piece : sized.pieces) {
                std::set<EdgeRole> roles;
                for (const auto& e : piece.edges) {
                    if (!roles.insert(e.role).second) continue;
                    Plan one = plain;
                    one.make_up.facings.push_back({{piece.id, e.role}, Length::mm(40)});
                    const auto made = compute(p, ch, {}, one);
                    QVERIFY(made.has_value());
                    const bool there = made->altered.pieces.size() > before;
                    QVERIFY2(there || !made->not_made.empty(), piece.id.c_str());
                    ++asked;
                }
            }
        }
        QVERIFY(asked > 100);
    }
    // Rises read seated on the left alone: there is no left rise.
    void a_reading_of_a_side_that_has_none_is_refused_and_ends_nothing()
    {
        const auto read = read_body(
            R"({"name":"A","date":"2026-01-01","readings":{},"left":{"seated_front_rise":[360],"seated_back_rise":[490]}})");
        QVERIFY(!read && read.error().why == Why::KeyUnknown && read.error().field == "left: seated_front_rise");
        BodySet body{"2026-01-01", {}};
        body.left[Measure::SeatedFrontRise] = {Length::mm(360)};
        body.left[Measure::SeatedBackRise] = {Length::mm(490)};
        QVERIFY(!as_worn(body, true).taken(Measure::FrontRise, Side::Right));
    }
    void an_amount_far_past_any_paper_is_refused_at_once()
    {
        auto plan = *read_plan(hostile("crotch-point-far-over-limit-takes-14-s.json"));
        const auto pattern = *read_pattern_svg(demo("lockgate-trousers.svg"));
        const std::string size = pattern.sizes[pattern.sizes.size() / 2].size;
        plan.take_sizes(size, size, size);
        const auto c = *compute(pattern, *read_chart_csv(demo("lockgate-trousers.csv")), {}, plan);
        QCOMPARE(c.not_done.size(), std::size_t{1});
        QVERIFY(c.not_done[0].why.why == Why::AmountTooLarge);
        QVERIFY(words::not_done(c.not_done[0], Unit::Centimetre).contains("49.4 cm"));
    }
    // Sixteen times the input takes about sixteen times as long, in each reader, in what once went up by the
    // square: that is looked at, and not how quick this machine is.
    void every_reader_is_linear_in_its_input_data()
    {
        QTest::addColumn<QString>("what");
        for (const char* what : {"transforms", "digits", "quotes", "keys", "depth", "attributes", "path", "cells",
                                 "names", "work keys"})
            QTest::newRow(what) << QString{what};
    }
    void every_reader_is_linear_in_its_input()
    {
        QFETCH(QString, what);
        const std::string skirt = demo("lockside-skirt.svg");
        const auto text = [&](int n) -> std::string {
            const auto times = [&](const std::string& one) {
                std::string out;
                for (int k = 0; k < n; ++k) out += one;
                return out;
            };
            if (what == "transforms") return with(skirt, "translate(60 70)", times("scale(1)"));
            if (what == "digits") return with(skirt, "width=\"", "width=\"" + times("1"));
            if (what == "quotes") return times(" \"");
            if (what == "cells") return "size" + times(",a") + "\n1" + times(",1") + "\n";
            if (what == "names") return "maker," + times("x ") + "\nsize,hip\n8,90\n10,94\n";
            if (what == "depth")
                return R"({"name":"A","date":"2026-01-01","readings":)" + times("[") + times("]") + "}";
            if (what == "attributes") return with(skirt, "<g data-size", "<g " + times("a=\"\" ") + " data-size");
            if (what == "path") return with(skirt, " d=\"M", " d=\"M" + times(" 0 0 L"));
            std::string keys = R"({"name":"A","date":"2026-01-01","readings":{})";
            for (int k = 0; k < n; ++k) keys += ",\"k" + std::to_string(k) + "\":0";
            return keys + "}";
        };
        const auto read = [&](const std::string& t) {
            if (what == "quotes" || what == "cells" || what == "names") return read_chart_csv(t).has_value();
            if (what == "keys" || what == "depth") return read_body(t).has_value();
            if (what == "work keys") return read_work(t).has_value();
            return read_pattern_svg(t).has_value();
        };
        const auto took = [&](int n) {
            const std::string t = text(n);
            double least = 1e9;
            for (int again = 0; again < 3; ++again) {
                const std::clock_t from = std::clock();
                (void)read(t);
                least = std::min(least, double(std::clock() - from) / CLOCKS_PER_SEC);
            }
            return least;
        };
        constexpr int few = 20'000;
        const double small = std::max(took(few), 0.002);
        const double large = took(16 * few);
        QVERIFY2(large < 64 * small, qPrintable(QString{"%1 s, then %2 s"}.arg(small).arg(large)));
    }
};
SARTORUM_TEST(TestHostile)

}  // namespace test_hostile

#include "test_hostile.moc"
