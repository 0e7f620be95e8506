// gore_flank.h: what is done to the side seam of a skirt, done to the flanks of gores (core/pattern/gore.h). A
// skirt of one front and one back has one flank a piece: its side seam.
#pragma once
#include <functional>

#include "core/alter/kit/applied.h"
#include "core/pattern/gore.h"

namespace sartorum {

// Alters a plain piece and leaves the steps of it.
using AlterPlain = std::function<Outcome<bool>(std::vector<Step>&, Piece& plain)>;

// One flank; the steps name it where it is a gore's.
[[nodiscard]] Outcome<bool> on_flank(std::vector<Step>&, Piece&, Flank, const AlterPlain&);
// Every flank of one face that can be moved, from the centre to the side.
[[nodiscard]] Outcome<bool> on_flanks(Applied&, PieceRole face, const AlterPlain&);
// What is done to a whole piece and trues its side seam: once, and both its flanks come out trued.
[[nodiscard]] Outcome<bool> on_both_flanks(std::vector<Step>&, Piece&, const AlterPlain&);

}  // namespace sartorum
