#include "core/body/staleness.h"

#include <charconv>
#include <chrono>
#include <cmath>

namespace sartorum {
namespace {

std::optional<std::chrono::sys_days> day_of(const std::string& iso)
{
    if (iso.size() != 10 || iso[4] != '-' || iso[7] != '-') return std::nullopt;
    int y = 0;
    unsigned m = 0;
    unsigned d = 0;
    const char* s = iso.data();
    if (std::from_chars(s, s + 4, y).ptr != s + 4 || std::from_chars(s + 5, s + 7, m).ptr != s + 7 ||
        std::from_chars(s + 8, s + 10, d).ptr != s + 10) {
        return std::nullopt;
    }
    const std::chrono::year_month_day day{std::chrono::year{y}, std::chrono::month{m}, std::chrono::day{d}};
    return day.ok() ? std::optional{std::chrono::sys_days{day}} : std::nullopt;
}

bool weight_moved(const BodySet& set, const BodySet* newer)
{
    return newer && set.weight_kg && newer->weight_kg &&
           std::abs(*set.weight_kg - *newer->weight_kg) > weight_moved_kg;
}

bool girth_moved(const BodySet& set, const BodySet* newer)
{
    if (!newer || (set.weight_kg && newer->weight_kg)) return false;
    const auto was = set.taken(Measure::Waist);
    const auto is = newer->taken(Measure::Waist);
    return was && is && abs(is->value - was->value) > was->spread + is->spread;
}

}  // namespace

std::optional<int> days_between(const std::string& from, const std::string& to)
{
    const auto a = day_of(from);
    const auto b = day_of(to);
    return a && b ? std::optional{static_cast<int>((*b - *a).count())} : std::nullopt;
}

std::vector<Stale> stale_measures(const BodySet& set, const std::string& today, const BodySet* newer)
{
    std::vector<Stale> out;
    const int days = days_between(set.date, today).value_or(0);
    const bool heavier = weight_moved(set, newer);
    const bool wider = girth_moved(set, newer);
    for (const auto& f : all_measures) {
        if (!set.taken(f.measure) || f.kind == MeasureKind::Wish) continue;
        if (f.kind == MeasureKind::Girth && (heavier || wider)) {
            out.push_back({f.measure, heavier ? StaleWhy::WeightMoved : StaleWhy::GirthMoved, days});
        } else if ((f.kind == MeasureKind::Girth && days > girth_days) ||
                   ((f.kind == MeasureKind::Along || f.kind == MeasureKind::Crotch) && days > length_days)) {
            out.push_back({f.measure, StaleWhy::Age, days});
        }
    }
    return out;
}

}  // namespace sartorum
