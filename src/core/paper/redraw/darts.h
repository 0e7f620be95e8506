// darts.h: darts drawn anew, made, closed and turned into one another about a pivot.
//
// Turned about the bust point, the angle taken from one place appears at the other; mouths do not add. A mouth is
// always drawn so that the fold's cloth ends at the seam: side and armhole darts folded down, waist darts towards
// the centre, shoulder and neck darts towards the neck.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

// Bust darts end this far before the bust point; fuller busts a thumb's breadth more. Common practice.
inline constexpr Length tip_before_bust_point = Length::mm(22);

struct OutlinePlace {
    std::size_t edge = 0;
    double time = 0;
};
// The nearest place of the edges of one role.
[[nodiscard]] OutlinePlace place_near(const Piece&, EdgeRole, Point);
[[nodiscard]] Point point_at(const Piece&, const OutlinePlace&);
// The place this far along the sewn edges of a role, from the first in travel.
[[nodiscard]] OutlinePlace place_along(const Piece&, EdgeRole, Length);
// How far along them the nearest place lies, from the first in travel.
[[nodiscard]] Length along_to(const Piece&, EdgeRole, Point);
// The place between two shares of a role's sewn length where the edge lies squarest to the way to a pivot: what is
// folded there towards it meets best.
[[nodiscard]] OutlinePlace place_facing(const Piece&, EdgeRole, Point pivot, double from, double to);

// Which edge runs up to a dart mouth: where the dart lies.
[[nodiscard]] EdgeRole dart_role(const Piece&, std::size_t mouth);
// The mouth of the dart in the edges of this role that takes most; none if there is none.
[[nodiscard]] std::optional<std::size_t> mouth_in(const Piece&, EdgeRole);
// Its angle as seen from a pivot, positive.
[[nodiscard]] double radians_at(const Piece&, std::size_t mouth, Point pivot);

// An edge parted in two of one role; gives the index of the second.
std::size_t part_edge(Piece&, const OutlinePlace&);
// Edges first to last, the darts between them and the notches on them.
void turn_edges(Piece&, std::size_t first, std::size_t last, const Geom::Affine&);

// The tip on the mouth's middle line at its distance, both legs as long as their mean, mouth and neighbours
// following.
void redraw_dart(Piece&, std::size_t mouth, Point tip);
// The same with the tip `before` short of the pivot, on the way from it to the mouth's middle.
void aim_dart(Piece&, std::size_t mouth, Point pivot, Length before);

// The edges on either side of a dart as long as they were: its legs, as long as they are, turned a little about
// its tip.
void keep_beside_dart(Piece&, std::size_t mouth, Length before, Length after);

// The dart drawn again that far along its edge, in travel, the mouth and its depth as they were; the edge on
// either side runs to it. Refuses what leaves less than `kept` of the edge.
inline constexpr Length kept_beside_dart = Length::mm(10);
[[nodiscard]] Outcome<Piece> dart_slid(const Piece&, std::size_t mouth, Length along,
                                       Length kept = kept_beside_dart);

// The paper between a place and a dart turned about the pivot: the dart opens (+) or closes by the angle; at the
// place paper folds over, or gapes. A place before the dart in travel turns what lies between them, one behind it
// too. What is left open at the place becomes a dart there; what closes wholly is joined into one edge.
struct Pivoted {
    Piece piece;
    std::vector<std::size_t> mouths;  // of the darts there are now at place and dart, for redrawing
};
[[nodiscard]] Pivoted pivoted_into_place(const Piece&, std::size_t mouth, const OutlinePlace& place, Point pivot,
                                         double radians);
// A fold of `radians` closed at the place, the dart opened by it; the edge at the place joined smoothly.
[[nodiscard]] Pivoted pivoted_into_dart(const Piece&, const OutlinePlace& place, std::size_t mouth, Point pivot,
                                        double radians);

// Both sides of a corner turned by half of it: one smooth line.
[[nodiscard]] Curve smoothly_joined(const Curve&, const Curve&);

}  // namespace sartorum
