// waist_line.h: the waist drawn anew through marks at its stations: a full front, one hip higher, a tilted or a
// hollow back; what hangs from the waist then hangs level.
//
// Marked  with an elastic where the waist is wanted and the hem settled level: + where the mark lies above the
//         pattern's waist, − where it lies below; five stations on each half, left and right apart where they
//         differ. An amount without a station is of all five: the waist worn higher or lower
// Done    one smooth line (core/paper/waist_redraw.h); allowances, a band and facings go with it
// Keeps   side seams, darts' legs, everything below; the hem
// Found   from the heights of the waist over the floor at its stations, beyond those of its sides, where the chart
//         prints them too; else from what the two sides differ by, half of it up and half down. Where only three
//         are known the ones between lie on the smooth line
// Limits  30 mm up or down: as much as is left above the waist when it is marked. Past it a longer or shorter
//         waist to hip is likelier
// Says    when half of the edge gained more than 6 mm: that goes into the darts, or is eased
// Common practice, but for the least differences proposed, 6 mm from a chart and 5 from the mean of both sides:
// from memory.
#pragma once
#include "core/alter/adjustment.h"
#include "core/paper/waist_redraw.h"

namespace sartorum {

inline constexpr Length waist_line_limit = Length::mm(30);
inline constexpr Length waist_edge_minds = Length::mm(6);

// From the waist along the paper down to the hip line, which hangs level; none without a hip line.
struct WaistDepths {
    Length front;  // at the centres
    Length side;
    Length back;
};
[[nodiscard]] std::optional<WaistDepths> waist_depths(const Garment& part);
// Half the waist of one face, darts closed, over all of its pieces.
[[nodiscard]] Length half_waist(const Garment& part, PieceRole face);

[[nodiscard]] Outcome<Applied> alter_waist_line(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_line_row();
// What it moved the waist by as a whole, and the side beyond that: nothing where it was not done.
[[nodiscard]] Length waist_moved_whole(const std::vector<Length>& at);
[[nodiscard]] Length waist_moved_at_side(const std::vector<Length>& at);

}  // namespace sartorum
