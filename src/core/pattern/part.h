// part.h: what a garment is made of. A skirt is one part, a top is one; a dress is two that meet at the waist; a
// yoke is one between the waist and what hangs from it.
//
// A part is a label on a piece. What differs from kind to kind stands in one row a kind: here (part_rules.h), in
// core/alter/kit/part_alter.h and in core/check/part_check.h; nothing else asks which kind a part is.
#pragma once
#include <array>
#include <cstddef>
#include <optional>
#include <string_view>

namespace sartorum {

// From the top of the body down; one part may end where the next begins.
// Trousers: a front and a back are of one leg. BelowYoke: a skirt that hangs from a yoke; it has no waist.
enum class PartKind { Upper, Yoke, Trousers, Skirt, BelowYoke };
inline constexpr std::size_t part_kinds = 5;
inline constexpr std::array every_part{PartKind::Upper, PartKind::Yoke, PartKind::Trousers, PartKind::Skirt,
                                       PartKind::BelowYoke};

// Where on the body something lies, from the top down.
enum class Level { Shoulder, Underarm, Bust, Waist, HighHip, Hip, Crotch, Knee, Hem };
inline constexpr std::array every_level{Level::Shoulder, Level::Underarm, Level::Bust,
                                        Level::Waist,    Level::HighHip,  Level::Hip,
                                        Level::Crotch,   Level::Knee,     Level::Hem};

// Kept forever: files and notebooks use them.
[[nodiscard]] std::string_view key(PartKind);
[[nodiscard]] std::string_view key(Level);
[[nodiscard]] std::optional<PartKind> part_of_key(std::string_view);
[[nodiscard]] std::optional<Level> level_of_key(std::string_view);

}  // namespace sartorum
