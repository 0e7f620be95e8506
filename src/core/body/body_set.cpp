#include "core/body/body_set.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace sartorum {

std::optional<Measure> measure_of_key(std::string_view key)
{
    for (const auto& f : all_measures) {
        if (f.key == key) return f.measure;
    }
    return std::nullopt;
}

Outcome<Length> check_reading(Measure m, Length reading)
{
    const auto& f = facts(m);
    if (reading <= Length{}) return refuse_amount(Why::NotPositive, std::string{f.key}, reading, f.least, f.most);
    if (reading < f.least || reading > f.most) {
        return refuse_amount(Why::OutOfRange, std::string{f.key}, reading, f.least, f.most);
    }
    return reading;
}

std::optional<Taken> take(Measure m, const std::vector<Length>& readings)
{
    if (readings.empty()) return std::nullopt;
    const auto& f = facts(m);
    auto sorted = readings;
    std::sort(sorted.begin(), sorted.end());
    Taken out;
    out.apart = sorted.back() - sorted.front();
    const std::size_t n = sorted.size();
    const Length s = f.repeatability;
    if (n == 1) {
        // A wished length is decided, not measured: once is enough.
        out.state = f.kind == MeasureKind::Wish ? ReadingState::Agree : ReadingState::OneMore;
        out.value = sorted[0];
        out.spread = s * 2.0;
    } else if (n == 2) {
        out.state = out.apart <= f.disagree ? ReadingState::Agree : ReadingState::ThirdAsked;
        out.value = (sorted[0] + sorted[1]) / 2.0;
        out.spread = out.state == ReadingState::Agree ? s * std::numbers::sqrt2 : std::max(out.apart, s * 2.0);
    } else {
        out.state = ReadingState::MiddleTaken;
        out.value = n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2.0;
        out.spread = s * (2.0 * std::sqrt(1.0 - std::numbers::sqrt3 / std::numbers::pi));
    }
    return out;
}

}  // namespace sartorum
