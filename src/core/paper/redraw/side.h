// side.h: side seams drawn anew: moved, trued after a cut, and two that are sewn together made equally long.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

// The lines drawn across reach from the centre, or the inner leg, to the side seam.
void settle_level_guides(Piece&);

// Moves the side seam out (+) or in (−) by `at_waist` at the waist end and `at_hip` from the hip line down, eased
// between; the waist edge and the hem run to their new ends. Directions at the ends of every edge stay.
[[nodiscard]] Outcome<Piece> side_moved(const Piece&, Length at_waist, Length at_hip);

// The side seam of `before`, with everything from the hip line down carried by `by` and eased in above it.
// Puts that line on `after`, whose lower part has already been carried.
[[nodiscard]] Outcome<Piece> side_trued(const Piece& before, const Piece& after, Point by);

// Raises the side waist point (down for negative), easing the side seam to the hip and the waist edge to its
// middle.
[[nodiscard]] Outcome<Piece> side_waist_raised(const Piece&, Length amount);

// Of a bodice:
// The side seam shifted out (+) or in (−) at the underarm, at the waist and at the lower edge, even in between
// (where the lower edge is the waist, `at_bottom` counts); armhole and lower edge run to its ends, darts in the
// side keep their tips.
[[nodiscard]] Piece side_redrawn(const Piece&, Length at_underarm, Length at_waist, Length at_bottom);

// The underarm lower along the side seam, which loses as much; the armhole is drawn on to it, keeps its corner
// there, and its notches stay as far from the underarm. `down` is less than the side seam above its dart.
[[nodiscard]] Piece underarm_lowered(const Piece&, Length down);

// Front and back side seams made equally long, or the back's longer by `ease`, each by half of the difference.
struct EvenedSides {
    Piece front;
    Piece back;
    Length raised;  // the front's end went up by this, the back's down by about as much
};
// At the waist, within 0.01 mm: what hangs from it stays.
[[nodiscard]] Outcome<EvenedSides> sides_evened_at_waist(const Piece& front, const Piece& back, Length ease = {});
// At the lower end, along the seam, within 0.005 mm: the underarm stays.
[[nodiscard]] Outcome<EvenedSides> sides_evened_below(const Piece& front, const Piece& back, Length ease = {});

}  // namespace sartorum
