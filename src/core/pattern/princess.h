// princess.h: a front of two panels, sewn to each other over the bust point.
//
// It is kept as one piece, the panels laid together: they touch at the bust point with their grain lines parallel,
// and part above it, towards the armhole or the shoulder, and below it, towards the waist, as two darts would
// whose tips are the bust point. So whatever is done to a front can be done to it, and it is parted again to be
// cut out. Common practice.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// Where the seam ends above the bust.
enum class PrincessFrom { Armhole, Shoulder };

// The two openings, as edges of the front: above and below the bust point.
struct PrincessMouths {
    std::size_t upper = 0;
    std::size_t lower = 0;
};
// None where one is not there. Below, the dart whose tip lies nearest to the bust point.
[[nodiscard]] std::optional<PrincessMouths> princess_mouths(const Piece& front);

// A front with a side dart and a waist dart whose tip is the bust point made into two panels: the side dart closed
// about the bust point, the seam opened by its angle at `share` of the sewn armhole or shoulder, in travel.
[[nodiscard]] Piece with_princess_seam(const Piece& front, PrincessFrom, double share);

struct PrincessPanels {
    Piece centre;
    Piece side;
};
// The panels as they are cut out: the seam of each is as long as from its ends straight to the bust point, and
// rounded over it within `rounded_over`; notched `notched_from` above and below. Needs princess_mouths.
[[nodiscard]] PrincessPanels princess_panels(const Piece& front);
inline constexpr Length rounded_over = Length::mm(30);
inline constexpr Length notched_from = Length::mm(50);

// Their seam, where the front lies: from its upper end over the bust point to its lower end, once for each panel.
struct PrincessSeams {
    Curve centre;
    Curve side;
};
[[nodiscard]] PrincessSeams princess_seams(const Piece& front, const PrincessMouths&);

// Every piece as it is cut out: such a front as its two panels.
[[nodiscard]] std::vector<Piece> as_cut(const std::vector<Piece>&);

}  // namespace sartorum
