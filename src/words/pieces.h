// pieces.h: the words about what a garment is made of: where each piece is sewn, and how it goes with that edge.
#pragma once
#include "words/words.h"

namespace sartorum::words {

// "the neckline of the front"; of several: "the hem of the front and back".
[[nodiscard]] QString edges_of(const std::vector<SeamSide>&, const std::vector<Piece>&);
// Where it is sewn, and whether it goes with that edge.
[[nodiscard]] QString piece_use(const Piece&, const Garment&, Unit);
// Where the garment opens, and how.
[[nodiscard]] QString opening_use(const Garment&, Unit);
// "2 to 1"
[[nodiscard]] QString ratio(double);

}  // namespace sartorum::words
