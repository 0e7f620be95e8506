// tucks.h: tucks and pleats at the waist moved along it, or spaced anew: as the wearer likes them, or as a cloth's
// stripes ask.
//
// Method   moved: all of a piece by the amount, + to the side; spaced: the amount more between one and the next,
//          about the middle of them, which stays; fuller: of a skirt, each takes the amount more cloth down to the
//          hem (core/paper/fold_spread.h)
// Stays    how many there are, how deep when they are moved, the closed waist, all else. Common practice
// Limits   10 mm of the waist must stay beside the first and the last, 2 mm between two (from memory); what is
// less
//          already stays as it is
#pragma once
#include "core/alter/adjustment.h"
#include "core/paper/dart_redraw.h"

namespace sartorum {

inline constexpr Length tucks_limit = Length::mm(60);
enum class TucksWay { Moved, Spaced, Fuller };

// After a waist was made wider or narrower: what it gained lies between its tucks, the first as far from the
// centre as it was, the last from the side. Where one finds no room they stay.
void between_tucks(Applied&, const Garment& before);

// One fold in the waist drawn that far nearer the side (+) or the centre, and the step that says so.
[[nodiscard]] Outcome<bool> slide_fold(std::vector<Step>&, Piece&, std::size_t mouth, Length by, StepKind,
                                       Length kept = kept_beside_dart);

[[nodiscard]] Outcome<Applied> alter_tucks(const Garment&, const Dose&);
[[nodiscard]] Adjustment tucks_row();

}  // namespace sartorum
