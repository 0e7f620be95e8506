// The same work without a window, on plain files. docs/cli.md.
#include <QCommandLineParser>
#include <QDate>
#include <QGuiApplication>
#include <QTextStream>

#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pages.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "formats/work_card.h"
#include "words/words.h"

using namespace sartorum;
using formats::read_file;
using json = nlohmann::ordered_json;

namespace {

constexpr int exit_refused = 1;
constexpr int exit_usage = 2;

struct Options {
    QString chart, pattern, body, plan, size, out, paper = "a4", kind = "tiles";
    QString type;
    ChoiceWish wish;
    bool json = false;
    Unit unit = Unit::Centimetre;
};

struct Inputs {
    SizeChart chart;
    Pattern pattern;
    formats::NamedBody body;
    Plan plan;
};

QTextStream& err()
{
    static QTextStream stream{stderr};
    return stream;
}

template <class T>
T need(Outcome<T> outcome, const QString& file)
{
    if (outcome) return std::move(*outcome);
    throw std::runtime_error{(file + ": " + words::refusal(outcome.error(), Unit::Centimetre)).toStdString()};
}

Inputs load(const Options& o, bool with_pattern)
{
    Inputs in;
    in.chart = need(formats::read_chart_csv(need(read_file(o.chart), o.chart)), o.chart);
    in.chart = in.chart.of_group(o.type.toStdString());
    in.body = need(formats::read_body(need(read_file(o.body), o.body)), o.body);
    if (with_pattern)
        in.pattern = need(formats::read_pattern_svg(need(read_file(o.pattern), o.pattern)), o.pattern);
    if (!o.plan.isEmpty()) {
        in.plan = need(formats::read_plan(need(read_file(o.plan), o.plan)), o.plan);
    } else if (!o.size.isEmpty()) {
        in.plan.waist_size = in.plan.hip_size = o.size.toStdString();
        in.plan.choosing = o.wish;
    } else {
        const auto advice = need(advise(in.chart, in.body.set, o.wish), o.body);
        in.plan.choosing = o.wish;
        in.plan.cloth.knit = o.wish.knit;
        in.plan.bust_size = in.chart.sizes[advice.choice.bust_size].name;
        in.plan.waist_size = in.chart.sizes[advice.choice.waist_size].name;
        in.plan.hip_size = in.chart.sizes[advice.choice.hip_size].name;
    }
    return in;
}

void print_json(const json& j)
{
    QTextStream{stdout} << QString::fromStdString(j.dump(2)) << "\n";
}

int compare(const Options& o)
{
    const auto in = load(o, false);
    const auto advice = need(advise(in.chart, in.body.set, o.wish), o.body);
    if (o.json) {
        print_json(formats::compare_json(in.chart, advice, in.body.set));
        return 0;
    }
    QTextStream out{stdout};
    out << words::advice_title(in.chart, advice.choice, advice.levels) << "\n"
        << words::advice_reason(in.chart, advice, in.body.set, o.unit) << "\n";
    out << words::school_name(advice.school.school) << ". " << words::school_reason(advice.school) << "\n";
    if (const auto cup = cup_of(in.body.set, in.chart)) out << words::cup_text(*cup, in.chart) << "\n";
    for (const auto i : advice.ranking) out << "  " << words::cost_text(in.chart, advice.costs[i], o.unit) << "\n";
    return 0;
}

int plan(const Options& o)
{
    const auto in = load(o, true);
    const auto c = need(compute(in.pattern, in.chart, in.body.set, in.plan), o.pattern);
    if (o.json) {
        print_json({{"plan", formats::plan_json(in.plan)}, {"lines", formats::lines_json(c)}});
        return 0;
    }
    QTextStream out{stdout};
    for (const auto& line : c.lines) {
        out << words::adjustment_name(line.kind) << ": " << words::amount(line.amount, o.unit, true) << ", "
            << words::why(line, o.unit)
            << (line.state == LineState::LeaveIt ? QString{", inside measuring noise: leave it"} : QString{})
            << "\n";
    }
    return 0;
}

// Without a plan file, every proposal outside the noise is taken, in fitting order.
Computed applied(const Inputs& in, const Options& o, Plan& plan)
{
    auto c = need(compute(in.pattern, in.chart, in.body.set, plan), o.pattern);
    if (!o.plan.isEmpty()) return c;
    for (std::size_t i = 0; i < c.lines.size(); ++i) {
        if (c.lines[i].state != LineState::Proposed) continue;
        plan.decide({c.lines[i].kind, Answer::Accepted, {}});
        c = need(compute(in.pattern, in.chart, in.body.set, plan), o.pattern);
    }
    return c;
}

formats::PrintLabel label_of(const Inputs& in, const Plan& plan)
{
    const QString waist = QString::fromStdString(plan.waist_size);
    const QString hip = QString::fromStdString(plan.hip_size);
    return {QString::fromStdString(in.body.name), QString::fromStdString(in.pattern.name),
            waist == hip ? QString{"size %1"}.arg(hip) : QString{"size %1 to %2"}.arg(waist, hip),
            QString::fromStdString("measured " + in.body.set.date), QDate::currentDate().toString(Qt::ISODate)};
}

int apply(const Options& o)
{
    const auto in = load(o, true);
    Plan plan = in.plan;
    const auto c = applied(in, o, plan);
    if (!o.out.isEmpty())
        (void)need(formats::write_file(o.out, formats::altered_svg(c, label_of(in, plan))), o.out);
    json steps = json::array();
    for (const auto& s : c.steps) {
        steps.push_back({{"piece", s.piece},
                         {"do", words::step_title(s, o.unit).toStdString()},
                         {"how", words::step_detail(s, o.unit).toStdString()},
                         {"amount_mm", s.amount.in_mm()}});
    }
    if (o.json) {
        print_json({{"plan", formats::plan_json(plan)},
                    {"lines", formats::lines_json(c)},
                    {"pieces", formats::pieces_json(c.altered.pieces)},
                    {"steps", steps},
                    {"knock_ons", formats::knock_ons_json(c)},
                    {"finished", formats::finished_json(finished_table(c, in.chart, in.body.set, plan))},
                    {"checks", formats::checks_json(c.checks)}});
    } else {
        QTextStream out{stdout};
        int n = 0;
        for (const auto& s : c.steps)
            out << ++n << ". " << QString::fromStdString(s.piece) << ": " << words::step_title(s, o.unit) << "\n";
    }
    return 0;
}

int check_seams(const Options& o)
{
    const auto in = load(o, true);
    Plan plan = in.plan;
    const auto c = applied(in, o, plan);
    if (o.json) {
        print_json(formats::checks_json(c.checks));
    } else {
        QTextStream out{stdout};
        for (const auto& w : c.checks.walks) {
            out << words::seam_name(w.seam) << ": " << words::amount(w.a, Unit::Millimetre) << " and "
                << words::amount(w.b, Unit::Millimetre) << (w.holds ? ", holds\n" : ", true again\n");
        }
    }
    return c.checks.all_hold() ? 0 : exit_refused;
}

int print(const Options& o)
{
    const auto in = load(o, true);
    if (o.out.isEmpty()) throw std::runtime_error{"print needs --out FILE"};
    Plan plan = in.plan;
    const auto c = applied(in, o, plan);
    const auto paper = o.paper == "letter" ? formats::PaperSize::Letter : formats::PaperSize::A4;
    const auto label = label_of(in, plan);
    int pages = 0;
    if (o.kind == "card") {
        pages = need(formats::write_work_card(o.out, c, label, paper, o.unit), o.out);
    } else {
        const int divide = o.kind == "half" ? 2 : o.kind == "quarter" ? 4 : 1;
        pages = need(formats::write_pages(o.out, {divide > 1 ? formats::practice_pieces(c) : c.altered.pieces,
                                                  paper, divide, o.unit, label}),
                     o.out);
    }
    if (o.json) {
        print_json({{"file", o.out.toStdString()}, {"pages", pages}});
    } else {
        QTextStream{stdout} << pages << " pages\n";
    }
    return 0;
}

template <std::size_t N>
std::optional<std::size_t> place_of(const std::array<const char*, N>& keys, const QString& word)
{
    for (std::size_t i = 0; i < N; ++i) {
        if (word == QLatin1String{keys[i]}) return i;
    }
    return std::nullopt;
}

bool wish_of(const QCommandLineParser& parser, ChoiceWish& wish)
{
    const auto kind = place_of(garment_keys, parser.value("garment"));
    const auto school = place_of(school_keys, parser.value("school"));
    if (!kind || (parser.isSet("school") && !school)) return false;
    wish = {
        static_cast<GarmentKind>(*kind), parser.isSet("full"), parser.isSet("knit"), parser.isSet("seated"), {}};
    if (school) wish.school = static_cast<School>(*school);
    return true;
}

}  // namespace

int main(int argc, char** argv)
{
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication app{argc, argv};
    QGuiApplication::setApplicationName("sartorum-cli");
    QGuiApplication::setApplicationVersion(SARTORUM_VERSION);
    QCommandLineParser parser;
    parser.setApplicationDescription("Pattern adjustments on plain files. See docs/cli.md.");
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument("command", "compare, plan, apply, check or print");
    parser.addOptions(
        {{"chart", "size chart, CSV", "file"},
         {"pattern", "pattern, SVG", "file"},
         {"body", "measurements, JSON", "file"},
         {"plan", "decisions, JSON; without it the advised size and every proposal outside the noise", "file"},
         {"size", "one size throughout", "name"},
         {"out", "file to write", "file"},
         {"paper", "a4 or letter", "paper", "a4"},
         {"kind", "tiles, half, quarter or card", "kind", "tiles"},
         {"unit", "cm or in, for words", "unit", "cm"},
         {"garment", "top, dress, skirt, trousers or bra", "garment", "skirt"},
         {"school", "choose by high_bust, full_bust, waist or hip", "school"},
         {"type", "body type or cup range, where the chart has several", "name"},
         {"full", "a full or gathered style"},
         {"knit", "knit cloth"},
         {"seated", "worn seated: the larger of standing and seated girths"},
         {"json", "answer in JSON, millimetres at full precision"}});
    parser.process(app);
    ChoiceWish wish;
    if (!wish_of(parser, wish)) {
        err() << "--garment or --school is not known. --help lists the options.\n";
        return exit_usage;
    }
    const Options o{parser.value("chart"), parser.value("pattern"),
                    parser.value("body"),  parser.value("plan"),
                    parser.value("size"),  parser.value("out"),
                    parser.value("paper"), parser.value("kind"),
                    parser.value("type"),  wish,
                    parser.isSet("json"),  parser.value("unit") == "in" ? Unit::Inch : Unit::Centimetre};
    const QString command = parser.positionalArguments().value(0);
    using Command = int (*)(const Options&);
    const std::pair<const char*, Command> commands[] = {
        {"compare", compare}, {"plan", plan}, {"apply", apply}, {"check", check_seams}, {"print", print}};
    for (const auto& [name, run] : commands) {
        if (command != QLatin1String{name}) continue;
        try {
            return run(o);
        } catch (const std::exception& e) {
            err() << e.what() << "\n";
            return exit_refused;
        }
    }
    err() << "Say what to do: compare, plan, apply, check or print. --help lists the options.\n";
    return exit_usage;
}
