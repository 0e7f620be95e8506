#include "formats/chart_words.h"

#include "formats/chart_csv.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <cmath>

#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

using Word = std::pair<const char*, Measure>;
constexpr std::array other_words{
    Word{"full_bust", Measure::Bust},
    Word{"chest", Measure::Bust},
    Word{"bust_girth", Measure::Bust},
    Word{"upper_bust", Measure::HighBust},
    Word{"above_bust", Measure::HighBust},
    Word{"upper_chest", Measure::HighBust},
    Word{"under_bust", Measure::Underbust},
    Word{"ribcage", Measure::Underbust},
    Word{"waistline", Measure::Waist},
    Word{"waist_girth", Measure::Waist},
    Word{"hips", Measure::Hip},
    Word{"hip_girth", Measure::Hip},
    Word{"seat", Measure::Hip},
    Word{"top_hip", Measure::HighHip},
    Word{"upper_hip", Measure::HighHip},
    Word{"nape_to_waist", Measure::BackWaistLength},
    Word{"back_length", Measure::BackWaistLength},
    Word{"back_waist", Measure::BackWaistLength},
    Word{"back_neck_to_waist", Measure::BackWaistLength},
    Word{"front_waist", Measure::FrontWaistLength},
    Word{"hip_depth", Measure::WaistToHip},
    Word{"waist_to_hips", Measure::WaistToHip},
    Word{"crotch_depth", Measure::BodyRise},
    Word{"rise", Measure::BodyRise},
    Word{"inseam", Measure::InsideLeg},
    Word{"inside_leg_length", Measure::InsideLeg},
    Word{"bicep", Measure::UpperArm},
    Word{"biceps", Measure::UpperArm},
    Word{"shoulder", Measure::ShoulderLength},
    Word{"shoulder_width", Measure::CrossShoulder},
    Word{"across_shoulder", Measure::CrossShoulder},
    Word{"back_width", Measure::AcrossBack},
    Word{"front_width", Measure::AcrossFront},
    Word{"neck", Measure::NeckBase},
    Word{"stature", Measure::Height},
};

}  // namespace

std::string plain(std::string_view s)
{
    std::string out;
    for (const char c : s) {
        const auto u = static_cast<unsigned char>(c);
        if (std::isalnum(u) || u >= 0x80)
            out += static_cast<char>(std::tolower(u));
        else if (!out.empty() && out.back() != '_')
            out += '_';
    }
    while (!out.empty() && out.back() == '_') out.pop_back();
    return out;
}

std::optional<Unit> unit_of_word(std::string_view w)
{
    if (w == "cm" || w == "centimetres" || w == "centimeters") return Unit::Centimetre;
    if (w == "mm" || w == "millimetres") return Unit::Millimetre;
    if (w == "in" || w == "inch" || w == "inches") return Unit::Inch;
    return std::nullopt;
}

std::optional<Head> head_of(const std::string& text)
{
    Head head;
    std::string name = plain(text);
    const auto cut = name.rfind('_');
    if (cut != std::string::npos) {
        head.unit = unit_of_word(std::string_view{name}.substr(cut + 1));
        if (head.unit) name = name.substr(0, cut);
    }
    if (name == "size" || name == "sizes") {
        head.kind = HeadKind::Size;
        return head;
    }
    if (name == "type" || name == "body_type" || name == "group" || name == "figure") {
        head.kind = HeadKind::Group;
        return head;
    }
    if (name == "cup" || name == "cup_range") {
        head.kind = HeadKind::Cup;
        return head;
    }
    for (const std::string_view garment : {"finished_", "garment_"}) {
        if (name.starts_with(garment)) {
            head.kind = HeadKind::Finished;
            name = name.substr(garment.size());
            break;
        }
    }
    const auto measure = measure_of_word(name);
    if (!measure || facts(*measure).kind == MeasureKind::Wish) return std::nullopt;
    head.measure = *measure;
    return head;
}

std::optional<Measure> measure_of_word(std::string_view word)
{
    const std::string name = plain(word);
    if (const auto m = measure_of_key(name)) return m;
    for (const auto& [other, measure] : other_words) {
        if (name == other) return measure;
    }
    return std::nullopt;
}

}  // namespace sartorum::formats
