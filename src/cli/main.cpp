// The same work without a window, on plain files. docs/cli.md.
#include <QCommandLineParser>
#include <QDate>
#include <QGuiApplication>
#include <QTextStream>
#include <csignal>
#include <cstdio>
#include <exception>
#include <new>

#include "cli/inputs.h"
#include "core/chart/finished_only.h"
#include "core/plan/cut_out.h"
#include "core/plan/first_plan.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pages.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "formats/try_on_json.h"
#include "formats/work_card.h"
#include "formats/work_json.h"
#include "words/donning.h"
#include "words/lines.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/words.h"

using namespace sartorum;
using namespace sartorum::cli;
using formats::read_file;
using json = nlohmann::ordered_json;

namespace {

Said compare(const Options& o)
{
    auto in = load(o, false);
    in.chart = with_bodies_served(in.chart, in.plan.cloth, in.plan.ease);
    const auto advice = need(advise(in.chart, in.body.set, o.wish), o.body);
    if (o.json) return {text_of(formats::compare_json(in.chart, advice, in.body.set))};
    QString text;
    QTextStream out{&text};
    out << words::advice_title(in.chart, advice.choice, advice.levels) << "\n"
        << words::advice_reason(in.chart, advice, in.body.set, o.unit) << "\n";
    out << words::school_name(advice.school.school) << ". " << words::school_reason(advice.school) << "\n";
    if (const auto cup = cup_of(in.body.set, in.chart)) out << words::cup_text(*cup, in.chart) << "\n";
    if (in.chart.bodies_assumed) out << words::bodies_assumed() << "\n";
    if (in.plan.cloth.stretch_asked()) out << words::stretch_asked() << "\n";
    for (const auto& cost : advice.ranking)
        out << "  " << words::cost_text(in.chart, cost, advice.levels, o.unit) << "\n";
    out.flush();
    return {text};
}

Said plan(const Options& o)
{
    const auto in = load(o, true);
    const auto c =
        need(compute(in.pattern, in.chart, in.body.set, in.plan), o.work.isEmpty() ? o.pattern : o.work);
    Said answer;
    tell_not_done(answer, c, o);
    if (o.json) {
        answer.out = text_of({{"plan", formats::plan_json(in.plan)},
                              {"not_done", formats::not_done_json(c, o.unit)},
                              {"lines", formats::lines_json(c)}});
        return answer;
    }
    for (const auto& line : c.lines) {
        answer.out += words::plan_sentence(line, c, o.unit) + "\n";
        if (const auto why = words::hindrance(line, o.unit); !why.isEmpty()) answer.out += "    " + why + "\n";
    }
    return answer;
}

formats::PrintLabel label_of(const Inputs& in, const Plan& plan)
{
    return {QString::fromStdString(in.body.name), QString::fromStdString(in.pattern.name),
            words::sizes_text(plan, &in.pattern, in.chart.prints(Measure::Hip)),
            QString::fromStdString("measured " + in.body.set.date), QDate::currentDate().toString(Qt::ISODate)};
}

Said apply(const Options& o)
{
    const auto in = load(o, true);
    const auto c = applied(in, o);
    Said answer;
    tell_not_done(answer, c, o);
    if (!stops_here(answer, o) && !o.out.isEmpty())
        (void)need(formats::write_file(o.out, formats::altered_svg(c, label_of(in, c.work.plan)), o.if_there()),
                   o.out);
    if (!o.json) {
        const auto steps = told_steps(c);
        for (std::size_t i = 0; i < steps.size(); ++i)
            answer.out += words::step_sentence(steps[i], i, o.unit) + "\n";
        return answer;
    }
    answer.out = text_of({{"plan", formats::plan_json(c.work.plan)},
                          {"not_done", formats::not_done_json(c, o.unit)},
                          {"lines", formats::lines_json(c)},
                          {"pieces", formats::pieces_json(c.altered.pieces)},
                          {"cut_out", formats::cut_out_json(c)},
                          {"steps", formats::steps_json(c, o.unit)},
                          {"knock_ons", formats::knock_ons_json(c)},
                          {"finished", formats::finished_json(finished_table(c))},
                          {"checks", formats::checks_json(c.checks)}});
    return answer;
}

Said check_seams(const Options& o)
{
    const auto in = load(o, true);
    const auto c = applied(in, o);
    Said answer;
    tell_not_done(answer, c, o);
    if (o.json) {
        auto checks = formats::checks_json(c.checks);
        checks["not_done"] = formats::not_done_json(c, o.unit);
        checks["goes_on"] = formats::goes_on_json(goes_on(c));
        if (const auto e = waist_elastic(c)) checks["elastic"] = formats::elastic_json(*e);
        answer.out = text_of(checks);
    } else {
        for (const auto& w : c.checks.walks)
            answer.out += words::walk_sentence(w, words::paper_unit(o.unit)) + "\n";
        for (const auto& g : goes_on(c))
            answer.out += words::goes_on_place(g) + ": " + words::goes_on_text(g, o.unit) + "\n";
        if (const auto e = waist_elastic(c)) answer.out += "Elastic: " + words::elastic_text(*e, o.unit) + "\n";
        for (const auto& said : words::to_true(c.checks, words::paper_unit(o.unit))) answer.out += said + "\n";
    }
    if (c.checks.all_hold() && c.checks.unwalked.empty()) return answer;
    answer.code = exit_not_all;
    answer.aside += words::not_holding(c.checks, o.unit);
    return answer;
}

QString sights_of(const std::vector<Sight>& sights)
{
    QStringList out;
    for (const auto s : sights) out << words::sight_name(s).toLower();
    return out.join("; ");
}

// What was seen on a toile, what it may come from, and what to try next.
Said causes(const Options& o)
{
    const auto in = load(o, true);
    const auto c = applied(in, o);
    const auto toile = need(formats::read_try_on(need(read_file(given(o.toile, "toile FILE")), o.toile)), o.toile);
    const Observed seen = observed(toile, known_of(c));
    if (o.json) return {text_of(formats::causes_json(seen, c))};
    Said answer;
    for (const auto& r : ranked(seen, can_be_on(c))) {
        answer.out += words::cause_name(r.cause ? std::optional{r.cause->cause} : std::nullopt) + ": " +
                      words::likely_word(likely(r.probability));
        if (!r.explains.empty()) answer.out += ". Explains: " + sights_of(r.explains);
        if (r.cause && !r.leaves.empty()) answer.out += ". Leaves: " + sights_of(r.leaves);
        if (r.cause) answer.out += ". " + words::suggestion(r.cause->cause, suggested(*r.cause, seen, c), o.unit);
        answer.out += "\n";
    }
    if (const auto next = next_test(seen, can_be_on(c)))
        answer.out += "Try next: " + words::small_test(next->test) + " Yes: " + words::cause_name(next->if_yes) +
                      ". No: " + words::cause_name(next->if_no) + ".\n" + words::care_on_a_body() + "\n";
    return answer;
}

// Every sight and every small test a toile's file can name.
Said sights(const Options& o)
{
    json seen = json::array();
    json tests = json::array();
    QString table;
    const auto text = [](std::string_view key) { return QString::fromUtf8(key.data(), qsizetype(key.size())); };
    for (std::size_t i = 0; i < sight_count; ++i) {
        const auto s = static_cast<Sight>(i);
        const auto said = words::sight_name(s);
        seen.push_back({{"sight", facts(s).key},
                        {"name", said.toStdString()},
                        {"from", key(facts(s).from)},
                        {"sided", facts(s).sided}});
        table += QString{"%1: %2\n"}.arg(text(facts(s).key), said);
    }
    table += "\n";
    for (const auto& t : all_small_tests()) {
        tests.push_back(
            {{"test", t.key}, {"what", words::small_test(t.test).toStdString()}, {"pinched", t.pinch_share > 0}});
        table += QString{"%1: %2\n"}.arg(text(t.key), words::small_test(t.test));
    }
    return {o.json ? text_of({{"sights", seen}, {"tests", tests}}) : table};
}

Said print(const Options& o)
{
    const auto in = load(o, true);
    (void)given(o.out, "out FILE");
    (void)need(formats::may_write(o.out, o.if_there()), o.out);
    const auto c = applied(in, o);
    Said answer;
    tell_not_done(answer, c, o);
    if (stops_here(answer, o)) return answer;
    const auto paper = o.paper == "letter" ? formats::PaperSize::Letter : formats::PaperSize::A4;
    const auto label = label_of(in, c.work.plan);
    int pages = 0;
    if (o.kind == "card") {
        pages = need(formats::write_work_card(o.out, c, label, paper, o.unit, o.if_there()), o.out);
    } else {
        const int divide = o.kind == "half" ? 2 : o.kind == "quarter" ? 4 : 1;
        const bool one = o.sides == "one-piece";
        if (one && cut_by_side(c) && !cut_with_two_lines(c))
            answer.aside << "Right and left lie too far apart for two lines on one piece: each side has its own.";
        const auto sides = one ? formats::SidesPrinted::OnOnePiece : formats::SidesPrinted::Apart;
        const auto job = formats::print_job(c, paper, divide, o.unit, label, sides);
        pages = need(formats::write_pages(o.out, job, o.if_there()), o.out);
    }
    answer.out += o.json ? text_of({{"file", o.out.toStdString()},
                                    {"pages", pages},
                                    {"not_done", formats::not_done_json(c, o.unit)}})
                         : QString{"%1 pages\n"}.arg(pages);
    return answer;
}

// All that goes in as one text, to be kept; without a plan, what is proposed is taken first.
Said keep(const Options& o)
{
    const auto in = load(o, true);
    const auto c = applied(in, o);
    const auto text = formats::work_json(c.work, in.body.name);
    if (o.out.isEmpty()) return {QString::fromStdString(text) + "\n"};
    (void)need(formats::write_file(o.out, QByteArray::fromStdString(text), o.if_there()), o.out);
    return {};
}

// Every adjustment there is, from the catalogue: what docs/cli.md shows.
Said adjustments(const Options& o)
{
    const char* on[] = {"front and back", "front and back, apart", "front", "back", "sleeve"};
    json rows = json::array();
    QString table =
        "| adjustment | on | `amount_mm`, from and to | what the amount is | `method` |\n|---|---|---|---|---|\n";
    for (const auto& a : catalogue()) {
        QStringList methods;
        for (const auto m : a.methods) methods << QString::fromUtf8(m.data(), qsizetype(m.size()));
        const auto key = QString::fromUtf8(a.key.data(), qsizetype(a.key.size()));
        const char* acts_on = on[static_cast<std::size_t>(a.acts_on)];
        table += QString{"| `%1` | %2 | %3 to %4 | %5 | %6 |\n"}.arg(
            key, QLatin1String{acts_on}, QString::number(a.least.in_mm()), QString::number(a.most.in_mm()),
            words::amount_meaning(a.kind), methods.isEmpty() ? QString{} : "`" + methods.join("`, `") + "`");
        rows.push_back(
            {{"adjustment", a.key},
             {"name", words::adjustment_name(a.kind).toStdString()},
             {"on", acts_on},
             {"least_mm", a.least.in_mm()},
             {"most_mm", a.most.in_mm()},
             {"methods", a.methods.empty() ? json::array()
                                           : json(std::vector<std::string>(a.methods.begin(), a.methods.end()))}});
    }
    return {o.json ? text_of(rows) : table};
}

template <std::size_t N>
std::optional<std::size_t> place_of(const std::array<const char*, N>& keys, const QString& word)
{
    for (std::size_t i = 0; i < N; ++i) {
        if (word == QLatin1String{keys[i]}) return i;
    }
    return std::nullopt;
}

template <std::size_t N>
std::size_t word_of(const QCommandLineParser& parser, const char* option, const std::array<const char*, N>& words)
{
    const auto found = place_of(words, parser.value(option));
    if (found) return *found;
    QStringList known;
    for (const auto* w : words) known << w;
    throw Stop{exit_bad_input, QString{"--%1 %2 is not known. It is one of: %3."}.arg(
                                   QLatin1String{option}, parser.value(option), known.join(", "))};
}

struct Command {
    const char* name;
    Said (*run)(const Options&);
    QStringList takes;  // beside those every command takes
};

const std::vector<Command>& commands()
{
    static const QStringList on_paper{"plan", "work", "size", "pattern", "go-on"};
    static const std::vector<Command> all{
        {"compare", compare, {"pattern"}},
        {"plan", plan, on_paper},
        {"apply", apply, on_paper + QStringList{"out", "force"}},
        {"check", check_seams, on_paper},
        {"print", print, on_paper + QStringList{"out", "force", "paper", "kind", "sides"}},
        {"causes", causes, on_paper + QStringList{"toile"}},
        {"work", keep, {"plan", "work", "size", "pattern", "out", "force"}},
        {"adjustments", adjustments, {}},
        {"sights", sights, {}}};
    return all;
}

Options options_of(const QCommandLineParser& parser, const Command& command)
{
    static const QStringList everywhere{"chart", "body", "unit",   "garment", "school", "type",
                                        "full",  "knit", "seated", "json",    "help",   "version"};
    for (const auto& name : parser.optionNames()) {
        if (!everywhere.contains(name) && !command.takes.contains(name))
            throw Stop{exit_bad_input, QString{"%1 has no use for --%2."}.arg(QLatin1String{command.name}, name)};
        if (parser.optionNames().count(name) > 1)
            throw Stop{exit_bad_input, QString{"--%1 is said twice. Say it once."}.arg(name)};
    }
    if (parser.positionalArguments().size() > 1)
        throw Stop{exit_bad_input,
                   QString{"“%1” is not understood. One command at a time."}.arg(parser.positionalArguments()[1])};
    for (const char* file : {"chart", "pattern", "body", "plan", "work", "toile", "out"}) {
        if (parser.isSet(file) && parser.value(file).isEmpty())
            throw Stop{exit_bad_input, QString{"--%1 needs the name of a file."}.arg(QLatin1String{file})};
    }
    if (parser.isSet("plan") && parser.isSet("size"))
        throw Stop{exit_bad_input, "--plan names the sizes already. Leave --size out."};
    for (const char* other : {"chart", "pattern", "body", "plan", "size", "type"}) {
        if (parser.isSet("work") && parser.isSet(other))
            throw Stop{exit_bad_input,
                       QString{"--work holds that already. Leave --%1 out."}.arg(QLatin1String{other})};
    }
    Options o;
    o.wish = {static_cast<GarmentKind>(word_of(parser, "garment", garment_keys)),
              parser.isSet("full"),
              parser.isSet("knit"),
              parser.isSet("seated"),
              {}};
    if (parser.isSet("school")) o.wish.school = static_cast<School>(word_of(parser, "school", school_keys));
    constexpr std::array units{"cm", "in", "mm"};
    constexpr std::array unit_kinds{Unit::Centimetre, Unit::Inch, Unit::Millimetre};
    o.unit = unit_kinds[word_of(parser, "unit", units)];
    (void)word_of(parser, "paper", std::array{"a4", "letter"});
    (void)word_of(parser, "kind", std::array{"tiles", "half", "quarter", "card"});
    (void)word_of(parser, "sides", std::array{"apart", "one-piece"});
    for (const auto& [name, into] :
         {std::pair{"chart", &o.chart}, std::pair{"pattern", &o.pattern}, std::pair{"body", &o.body},
          std::pair{"plan", &o.plan}, std::pair{"work", &o.work}, std::pair{"size", &o.size},
          std::pair{"out", &o.out}, std::pair{"paper", &o.paper}, std::pair{"kind", &o.kind},
          std::pair{"type", &o.type}, std::pair{"sides", &o.sides}, std::pair{"toile", &o.toile}})
        *into = parser.value(name);
    o.json = parser.isSet("json");
    o.force = parser.isSet("force");
    o.go_on = parser.isSet("go-on");
    return o;
}

// Whole, or a sentence: what reads the other end may have gone, or its disk be full.
bool write_out(const QString& text)
{
    const QByteArray bytes = text.toUtf8();
    return std::fwrite(bytes.constData(), 1, static_cast<std::size_t>(bytes.size()), stdout) ==
               static_cast<std::size_t>(bytes.size()) &&
           std::fflush(stdout) == 0;
}

Said run(const QCommandLineParser& parser)
{
    const QString wanted = parser.positionalArguments().value(0);
    for (const auto& command : commands()) {
        if (wanted == QLatin1String{command.name}) return command.run(options_of(parser, command));
    }
    QStringList known;
    for (const auto& command : commands()) known << command.name;
    throw Stop{exit_bad_input,
               QString{"%1Say what to do: %2. --help lists the options."}.arg(
                   wanted.isEmpty() ? QString{} : QString{"“%1” is not known. "}.arg(wanted), known.join(", "))};
}

}  // namespace

int main(int argc, char** argv)
{
    std::signal(SIGPIPE, SIG_IGN);
    std::signal(SIGXFSZ, SIG_IGN);  // the write says that no more was taken
    // Sentences of our own only: what a library has to say of the desktop it runs on is no part of the answer.
    qInstallMessageHandler([](QtMsgType, const QMessageLogContext&, const QString&) {});
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication app{argc, argv};
    QGuiApplication::setApplicationName("sartorum-cli");
    QGuiApplication::setApplicationVersion(SARTORUM_VERSION);
    QCommandLineParser parser;
    parser.setApplicationDescription("Pattern adjustments on plain files. See docs/cli.md.");
    const auto help = parser.addHelpOption();
    const auto version = parser.addVersionOption();
    parser.addPositionalArgument("command",
                                 "compare, plan, apply, check, causes, print, work, adjustments or sights");
    parser.addOptions(
        {{"chart", "size chart, CSV", "file"},
         {"pattern", "pattern, SVG", "file"},
         {"body", "measurements, JSON", "file"},
         {"plan", "decisions, JSON; without it the advised size and every proposal outside the noise", "file"},
         {"work", "all that goes in, in one file, in place of these", "file"},
         {"toile", "what was seen on a toile of that plan, JSON", "file"},
         {"size", "one size throughout", "name"},
         {"out", "file to write", "file"},
         {"force", "replace the file that is there"},
         {"go-on", "write also where something accepted could not be done"},
         {"paper", "a4 or letter", "paper", "a4"},
         {"kind", "tiles, half, quarter or card", "kind", "tiles"},
         {"sides", "apart, or one-piece: both lines on one, where right and left differ little", "sides", "apart"},
         {"unit", "cm, in or mm, for words", "unit", "cm"},
         {"garment", "top, dress, skirt, trousers, all_in_one or bra", "garment", "skirt"},
         {"school", "choose by high_bust, full_bust, waist or hip", "school"},
         {"type", "body type or cup range, where the chart has several", "name"},
         {"full", "a full or gathered style"},
         {"knit", "knit cloth"},
         {"seated", "worn seated: the larger of standing and seated girths, and the rises as read seated"},
         {"json", "answer in JSON, millimetres at full precision"}});
    QTextStream err{stderr};
    if (!parser.parse(QCoreApplication::arguments())) {
        err << parser.errorText() << ". --help lists the options.\n";
        return exit_bad_input;
    }
    if (parser.isSet(help)) parser.showHelp(0);
    if (parser.isSet(version)) parser.showVersion();
    try {
        const Said answer = run(parser);
        for (const auto& line : answer.aside) err << line << "\n";
        if (write_out(answer.out)) return answer.code;
        err << "The answer could not be written out whole: the disk is full, or nobody reads it.\n";
        return exit_not_all;
    } catch (const Stop& stop) {
        err << stop.sentence << "\n";
        return stop.code;
    } catch (const std::bad_alloc&) {
        err << "There is not enough memory for this.\n";
        return exit_not_all;
    } catch (const std::exception&) {
        err << "That could not be worked out. Please check the files that were given.\n";
        return exit_bad_input;
    }
}
