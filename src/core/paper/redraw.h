// redraw.h: redrawing edges: the side seam moved or trued, the hem moved, front and back side seams matched.
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

// Hem moved by `amount` along the centre and along the side seam (+ longer): the lines are carried on, or cut
// back. Refuses to cut back above the hip line (a bodice's waist).
[[nodiscard]] Outcome<Piece> hem_moved(const Piece&, Length amount);

// Raises the side waist point (down for negative), easing the side seam to the hip and the waist edge to its
// middle.
[[nodiscard]] Outcome<Piece> side_waist_raised(const Piece&, Length amount);

// The upper edge of what hangs from the waist, darts closed.
[[nodiscard]] Length top_length(const Piece&);
// That edge higher: by `amount` at the centre, level there, less and less to nothing at the side, even with the
// grain. Of a gore the stretch of the whole edge from `from` to `to`, fractions from the centre; its flanks run
// on.
[[nodiscard]] Piece top_raised(const Piece&, Length amount, double from = 0, double to = 1);

// Front and back side seams made equally long, or the back's longer by `ease`, each by half of the difference.
struct EvenedSides {
    Piece front;
    Piece back;
    Length raised;  // the front's end went up by this, the back's down by about as much
};
// At the waist, within 0.01 mm: what hangs from it stays.
[[nodiscard]] Outcome<EvenedSides> sides_evened_at_waist(const Piece& front, const Piece& back, Length ease = {});

}  // namespace sartorum
