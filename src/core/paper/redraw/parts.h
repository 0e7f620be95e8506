// parts.h: what the redrawing of a bodice's edges has in common. Not for other rooms.
#pragma once
#include "core/paper/redraw/side.h"
#include "core/units/settle.h"

namespace sartorum::redraw {

// A curve that keeps its line and starts where it meets another line, or runs on backwards to it as it was going.
[[nodiscard]] Curve met(const Curve&, Point from, Point along);

// A curve carried on straight at its end, or cut back (−), by a length along it that it has.
[[nodiscard]] Curve end_moved(const Curve&, Length by);

// How far the kept curve's end turns to stand to its neighbour as the old one did, when that turned; and over how
// long a stretch, so that up to half an inch the line stays within 0.3 mm of where it was.
struct CornerTurn {
    double radians;
    Length reach;
};
[[nodiscard]] CornerTurn corner_turn(Point kept, Point was, double neighbour_turned);

// First and last edge of a run, dart mouths between them included.
struct Run {
    std::size_t first;
    std::size_t last;
};

[[nodiscard]] std::size_t index_of(const Piece&, EdgeRole, bool last = false);
[[nodiscard]] Run run_of(const Piece&, EdgeRole);
// The edge with that role, which the piece must have, to be drawn anew.
[[nodiscard]] Edge& edge_with(Piece&, EdgeRole, bool last = false);
// Straight from end to end.
[[nodiscard]] bool is_line(const Curve&);
// Straight stays straight, curved keeps its directions.
[[nodiscard]] Curve trued(const Curve&, Point at_start, Point at_end);
// The side seam's last edge drawn anew: what meets it at either end keeps its corner.
void redraw_side(Piece&, std::size_t side, const Curve&);

// Which end of both side seams moves. Up, the upper one makes the seam longer and the lower one shorter.
enum class SideEnd { Upper, Lower };
// `raised(piece, by)` moves that end of a piece up.
template <class Raised>
[[nodiscard]] Outcome<EvenedSides> sides_evened(const Piece& front, const Piece& back, Length ease, Length within,
                                                SideEnd end, const Raised& raised)
{
    EvenedSides out{front, back, {}};
    const auto up = settle({}, within / 2.0, "side", [&](Length by) -> Outcome<Length> {
        if (by != Length{}) {
            auto f = raised(front, by);
            auto b = raised(back, -by);
            if (!f) return tl::make_unexpected(f.error());
            if (!b) return tl::make_unexpected(b.error());
            out.front = std::move(*f);
            out.back = std::move(*b);
        }
        const Length longer =
            sewn_length(out.front, EdgeRole::Side) + ease - sewn_length(out.back, EdgeRole::Side);
        return longer / (end == SideEnd::Upper ? -2.0 : 2.0);
    });
    if (!up) return tl::make_unexpected(up.error());
    out.raised = *up;
    return out;
}

}  // namespace sartorum::redraw
