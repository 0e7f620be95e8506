// measure.h: what is measured on a body, and what is known about measuring it.
//
// Each row is one measure: its stable key (files, notebook), whether the tape goes round or along, the range
// a reading may have before it is refused as a slip of the pen, when two readings disagree, and how well the
// same hand repeats it (standard deviation of one reading).
// Common practice: disagreement 10 mm on a girth, 5 mm on a length. Repeatability: starting values from
// common practice, girths 4 mm, lengths 3 mm.
#pragma once
#include <array>
#include <optional>
#include <string_view>

#include "core/units/length.h"

namespace sartorum {

enum class Measure { Waist, Hip, WaistToHip, SkirtLength };

enum class MeasureKind { Girth, Along, Wish };

struct MeasureFacts {
    Measure measure;
    std::string_view key;
    MeasureKind kind;
    Length least;
    Length most;
    Length disagree;
    Length repeatability;
};

inline constexpr std::array<MeasureFacts, 4> all_measures{{
    {Measure::Waist, "waist", MeasureKind::Girth, Length::mm(300), Length::mm(2500), Length::mm(10),
     Length::mm(4)},
    {Measure::Hip, "hip", MeasureKind::Girth, Length::mm(400), Length::mm(2800), Length::mm(10), Length::mm(4)},
    {Measure::WaistToHip, "waist_to_hip", MeasureKind::Along, Length::mm(60), Length::mm(450), Length::mm(5),
     Length::mm(3)},
    {Measure::SkirtLength, "skirt_length", MeasureKind::Wish, Length::mm(150), Length::mm(1600), Length::mm(5),
     Length::mm(3)},
}};

[[nodiscard]] constexpr const MeasureFacts& facts(Measure m)
{
    return all_measures[static_cast<std::size_t>(m)];
}
[[nodiscard]] std::optional<Measure> measure_of_key(std::string_view key);

}  // namespace sartorum
