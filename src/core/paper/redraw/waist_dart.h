// waist_dart.h: a dart on the waist line drawn deeper or shallower, given up, or made.
//
// A leg that moves outwards goes along the waist line; one that moves inwards goes straight towards the other.
// Beside it the line is turned a little, so that it runs over the folded dart as it did; over a new one smoothly.
// Tips stay.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

// Less of a dart nobody folds.
inline constexpr Length dart_least = Length::mm(3);

// Wider at its mouth (+) or narrower, half at each leg; legs as long as one another afterwards. Refuses what
// leaves less than a centimetre of the edge beside it, or less than dart_least of the dart.
[[nodiscard]] Outcome<Piece> dart_deepened(const Piece&, std::size_t mouth, Length by);
// Sewn no more: the edge runs on over it as one line.
[[nodiscard]] Piece dart_left(const Piece&, std::size_t mouth);
// A new one, its middle that far from the centre along the closed waist, square to it there. Refuses what does
// not find a centimetre of the edge on either side.
struct NewDart {
    Length mouth;
    Length at;
    Length length;
};
[[nodiscard]] Outcome<Piece> dart_added(const Piece&, const NewDart&);

}  // namespace sartorum
