// rounds.h: which measures a kind of garment asks for, in the order of the guided round.
#pragma once
#include <vector>

#include "core/body/measure.h"

namespace sartorum {

enum class Round { Top, Dress, Skirt, Trousers, AllInOne, Bra, Everything };
inline constexpr std::array all_rounds{Round::Top,      Round::Dress, Round::Skirt,     Round::Trousers,
                                       Round::AllInOne, Round::Bra,   Round::Everything};

[[nodiscard]] std::string_view key_of(Round);
[[nodiscard]] std::optional<Round> round_of_key(std::string_view);
// `seated` adds the seated girths, and of trousers the seated rises, where the garment is worn sitting.
[[nodiscard]] std::vector<Measure> measures_of(Round, bool seated = false);

}  // namespace sartorum
