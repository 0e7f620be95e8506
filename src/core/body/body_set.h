// body_set.h: one dated set of readings of one body, and what the readings say together.
//
// Two readings that agree: their mean. Two that disagree: a third is asked for; of three, the middle one.
// Spread ("±"): two standard deviations of the value taken. One reading has the measure's repeatability s;
// the mean of two has s/√2; the median of three s·√(1 − √3/π), the exact standard deviation of the median of
// three normal values (order statistics).
#pragma once
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/body/measure.h"
#include "core/units/refusal.h"

namespace sartorum {

enum class ReadingState { Unread, OneMore, Agree, ThirdAsked, MiddleTaken };

struct Taken {
    Length value;
    Length spread;  // ±, two standard deviations
    ReadingState state = ReadingState::Unread;
    Length apart;  // largest distance between two readings
};

// Positive and inside the measure's range, else a refusal carrying that range.
[[nodiscard]] Outcome<Length> check_reading(Measure, Length);
[[nodiscard]] std::optional<Taken> take(Measure, const std::vector<Length>& readings);

struct BodySet {
    std::string date;  // ISO 8601, yyyy-mm-dd
    std::map<Measure, std::vector<Length>> readings;

    [[nodiscard]] std::optional<Taken> taken(Measure m) const
    {
        const auto it = readings.find(m);
        return it == readings.end() ? std::nullopt : take(m, it->second);
    }
};

}  // namespace sartorum
