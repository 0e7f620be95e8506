#include "formats/work_json.h"

#include <array>

#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/json_parts.h"
#include "formats/pattern_svg.h"

namespace sartorum::formats {
namespace {

// Body and plan inside it, each within the limits it has as a file of its own.
constexpr JsonLimits work_limits{24'000'000, 9, 8200};
constexpr const char* work_kind = "work 1";

Outcome<json> parted(const std::string& text)
{
    auto read = parse(text, work_limits);
    if (!read) return read;
    const json& j = *read;
    constexpr std::array texts{"sartorum", "pattern", "chart"};
    for (const auto* name : texts) {
        if (!j.contains(name)) return refuse(Why::KeyMissing, name);
        if (!j[name].is_string()) return refuse(Why::ValueIllTyped, name);
    }
    for (const auto* name : {"body", "plan"}) {
        if (!j.contains(name)) return refuse(Why::KeyMissing, name);
        if (!j[name].is_object()) return refuse(Why::ValueIllTyped, name);
    }
    if (j["sartorum"] != work_kind) return refuse(Why::WordUnknown, "sartorum");
    if (j.size() != texts.size() + 2) return refuse(Why::KeyUnknown, std::string{std::prev(j.end()).key()});
    return read;
}

}  // namespace

std::string work_json(const Work& work, const std::string& wearer)
{
    const json out{{"sartorum", work_kind},
                   {"pattern", write_pattern_svg(*work.pattern).toStdString()},
                   {"chart", write_chart_csv(*work.chart)},
                   {"body", body_json({wearer, *work.body})},
                   {"plan", plan_json(work.plan)}};
    return out.dump(1);
}

Outcome<NamedWork> read_work(const std::string& text)
{
    const auto j = parted(text);
    if (!j) return tl::make_unexpected(j.error());
    auto pattern = read_pattern_svg((*j)["pattern"].get<std::string>());
    if (!pattern) return tl::make_unexpected(pattern.error());
    auto chart = read_chart_csv((*j)["chart"].get<std::string>());
    if (!chart) return tl::make_unexpected(chart.error());
    auto body = read_body((*j)["body"].dump());
    if (!body) return tl::make_unexpected(body.error());
    auto plan = read_plan((*j)["plan"].dump());
    if (!plan) return tl::make_unexpected(plan.error());
    return NamedWork{body->name,
                     work_of(std::move(*pattern), std::move(*chart), std::move(body->set), std::move(*plan))};
}

}  // namespace sartorum::formats
