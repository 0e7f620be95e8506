// dart.h: darts, tucks and pleats closed and opened exactly.
//
// A dart closes by turning what lies after it about its tip until its legs meet: its angle, not its mouth, is what
// is conserved when it moves. A tuck or pleat closes by sliding what lies after it by its mouth.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// Which dart a mouth belongs to: the mouths stand in the order of the darts.
[[nodiscard]] std::size_t dart_at(const Piece&, std::size_t mouth_edge);
// At the tip, from leg_a round to leg_b; positive. 0 for a tuck or pleat.
[[nodiscard]] double dart_radians(const Dart&);
[[nodiscard]] Length mouth_width(const Dart&);
[[nodiscard]] const Dart& dart_of(const Piece&, std::size_t mouth_edge);
[[nodiscard]] Point mouth_middle(const Dart&);
[[nodiscard]] Length mouth_to_tip(const Dart&);  // its length
// A turn about a place that stays, counter-clockwise.
[[nodiscard]] Geom::Affine turn_about(Point, double radians);
// Takes one place to another, and another so far away in the direction of its own.
[[nodiscard]] Geom::Affine rigid(Point a, Point b, Point to_a, Point to_b);
// Takes what lies after the dart in travel to where it lies when the dart is closed.
[[nodiscard]] Geom::Affine closing(const Dart&);
// All edges of one role in travel, darts between them closed: the seam as it is sewn.
[[nodiscard]] Curve closed_run(const Piece&, EdgeRole);
// What a dart takes of the width at a level between its mouth and its tip; a tuck its full width, a pleat nothing.
[[nodiscard]] Length taken_at(const Dart&, double level_mm);

// The mouth of a dart folded towards the edge before it, whose direction at the dart is `before`: shaped so that
// the fold's cloth ends at the seam. Two straight lines with a peak on the fold.
[[nodiscard]] Curve dart_mouth(const Dart&, Point before);

}  // namespace sartorum
