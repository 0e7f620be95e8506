// guides.h: lines that run from edge to edge, kept so when an edge is drawn anew.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// A line that ended on an edge, within what a hand can draw, ends on that edge again: it is carried on, or cut
// off, along its own way. Grain, crease and bust lines, and lines that ended inside the paper, stay as they are.
void keep_lines_across(Piece& now, const Piece& was);
// The line as far as the paper goes: an end that lies on no edge is moved along the line to where it meets one, as
// the across line of a low neckline, which is drawn from the centre line beyond it.
[[nodiscard]] Guide on_paper(const Piece&, const Guide&);

}  // namespace sartorum
