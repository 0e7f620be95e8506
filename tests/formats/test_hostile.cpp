// Files that once broke the program, and relatives of theirs: each is refused in a sentence that names the field,
// or read right; nothing takes longer than a second.
#include <QElapsedTimer>
#include <QFile>
#include <QTest>
#include <cmath>

#include "core/plan/trial.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
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
        QVERIFY(std::abs(area_mm2(*plain) - area_mm2(*leaning)) < 1);
        QVERIFY(std::abs(bounds(*plain).width() - bounds(*leaning).width()) > 10);
        const auto skirt = demo("lockside-skirt.svg");
        const std::string group = "<g data-size=\"8\"";
        for (const char* same : {"translate(5)", "rotate(30 10 20) rotate(-30, 10, 20)", "scale(2) scale(.5)",
                                 " matrix(1 0 0 1 3 4) , skewX(0)skewY(0)", ""}) {
            const auto read =
                read_pattern_svg(with(skirt, group, "<g transform=\"" + std::string{same} + "\" data-size=\"8\""));
            QVERIFY2(read.has_value(), same);
            QVERIFY(std::abs(area_mm2(read->sizes[0].pieces[0]) - area_mm2(straight->sizes[0].pieces[0])) < 1e-3);
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
};
SARTORUM_TEST(TestHostile)

}  // namespace test_hostile

#include "test_hostile.moc"
