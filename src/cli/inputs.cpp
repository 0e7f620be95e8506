#include "cli/inputs.h"

#include <algorithm>

#include "core/plan/first_plan.h"
#include "formats/chart_csv.h"
#include "formats/pattern_svg.h"
#include "formats/work_json.h"
#include "words/lines.h"

namespace sartorum::cli {

using formats::read_file;

int exit_of(Why why)
{
    const bool machine_failed = why == Why::FileNotWritable || why == Why::FileNoRoom;
    return machine_failed ? exit_not_all : exit_bad_input;
}

QString given(const QString& value, const char* option)
{
    if (value.isEmpty()) throw Stop{exit_bad_input, QString{"This needs --%1."}.arg(QLatin1String{option})};
    return value;
}

namespace {

// All that goes in, from one file.
Inputs unpacked(const Options& o)
{
    const auto read = need(formats::read_work(need(read_file(o.work), o.work)), o.work);
    return {*read.work.chart, *read.work.pattern, {read.wearer, *read.work.body}, read.work.plan};
}

}  // namespace

Inputs load(const Options& o, bool with_pattern)
{
    if (!o.work.isEmpty()) return unpacked(o);
    Inputs in;
    in.chart = need(formats::read_chart_csv(need(read_file(given(o.chart, "chart FILE")), o.chart)), o.chart);
    const auto groups = in.chart.groups();
    const auto type = o.type.toStdString();
    if (!o.type.isEmpty() && std::find(groups.begin(), groups.end(), type) == groups.end())
        throw Stop{exit_bad_input,
                   QString{"--type %1: the chart has no such body type or cup range."}.arg(o.type)};
    in.chart = in.chart.of_group(type);
    in.body = need(formats::read_body(need(read_file(given(o.body, "body FILE")), o.body)), o.body);
    if (with_pattern)
        in.pattern = need(formats::read_pattern_svg(need(read_file(given(o.pattern, "pattern FILE")), o.pattern)),
                          o.pattern);
    if (!o.plan.isEmpty()) {
        in.plan = need(formats::read_plan(need(read_file(o.plan), o.plan)), o.plan);
    } else if (!o.size.isEmpty()) {
        const auto one = o.size.toStdString();
        in.plan.take_sizes(one, one, one);
        in.plan.choosing = o.wish;
        in.plan.cloth.knit = o.wish.knit;
    } else {
        in.plan = need(first_plan(in.chart, in.body.set, o.wish), o.body);
    }
    return in;
}

QString text_of(const nlohmann::ordered_json& j)
{
    return QString::fromStdString(j.dump(2)) + "\n";
}

void tell_not_done(Said& answer, const Computed& c, const Options& o)
{
    for (const auto& d : c.doubts) {
        answer.aside << words::doubt(d, o.unit);
        if (!o.json) answer.out += words::doubt(d, o.unit) + "\n";
    }
    for (const auto& n : c.not_done) {
        answer.aside << words::not_done(n, o.unit);
        if (!o.json) answer.out += words::not_done(n, o.unit) + "\n";
    }
    for (const auto& n : c.not_made) {
        answer.aside << words::not_made(n, o.unit);
        if (!o.json) answer.out += words::not_made(n, o.unit) + "\n";
    }
    if ((!c.not_done.empty() || !c.not_made.empty()) && !o.go_on) answer.code = exit_not_all;
    if (const auto unwalked = words::unwalked(c.checks); !unwalked.isEmpty()) answer.aside << unwalked;
}

bool stops_here(Said& answer, const Options& o)
{
    if (answer.code == 0 || o.out.isEmpty()) return false;
    answer.aside << QString{"%1 was not written. Change the plan, or say --go-on."}.arg(o.out);
    return true;
}

Computed applied(const Inputs& in, const Options& o)
{
    Work work = work_of(in.pattern, in.chart, in.body.set, in.plan);
    return need(o.decided() ? compute(std::move(work)) : with_all_proposed(std::move(work)),
                o.work.isEmpty() ? o.pattern : o.work);
}

}  // namespace sartorum::cli
