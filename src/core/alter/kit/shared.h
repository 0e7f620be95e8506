// shared.h: what several adjustments do the same way.
#pragma once
#include <functional>

#include "core/alter/kit/applied.h"
#include "core/chart/ease.h"

namespace sartorum {

// How much longer the far side of a seam is meant to be.
[[nodiscard]] Length seam_ease(const Garment&, std::string_view seam);
// That edge of that piece became longer by `more`, to be eased in, whichever side of its seam it is.
void ease_in(Garment&, PieceRole piece, EdgeRole edge, Length more);
// What the far side was made longer by on purpose, to be gathered in.
void gather(Garment&, std::string_view seam, Length more);
[[nodiscard]] Length gathered(const Garment&, std::string_view seam);
// The ease for this cloth, a cap's inside what the cloth takes (ease.h) and shared out as drafted, the gathers and
// what its fullness makes of the near side.
[[nodiscard]] Length meant_ease(const Garment&, std::string_view seam, const Cloth&);
// What no sheet of paper carries, whatever is done.
inline constexpr Length paper_most = Length::mm(600);
// More than nothing: a pinch has no other direction; and less than paper_most.
[[nodiscard]] Outcome<bool> some_pinch(Length amount, const std::string& adjustment);
// Not zero and within ±paper_most, else a refusal naming the adjustment.
[[nodiscard]] Outcome<bool> some_amount(Length amount, const std::string& adjustment);
// The angle a panel turns by about its hinge, to open or close by the amount `reach` away from it. A panel turned
// by more than an eighth of a circle lies on no pattern: refused.
[[nodiscard]] Outcome<double> turn_for(Length amount, double reach_mm, const std::string& adjustment);
// The same change on front and back, by the front's amount.
[[nodiscard]] Outcome<Applied> alter_front_and_back(const Garment&, const Dose&, const std::string& adjustment,
                                                    Outcome<bool> (*alter_piece)(Applied&, Piece&, Length));
// The front by the front's amount, the back by the back's, where they are any. Refuses two of nothing, and more
// than any paper carries.
[[nodiscard]] Outcome<Applied> alter_apart(
    const Garment&, const Dose&, const std::string& adjustment,
    const std::function<Outcome<bool>(Applied&, PieceRole, Length)>& alter_face);
// The side seam's upper end moved out (+) or in: marked there, and drawn anew.
void record_side_waist(std::vector<Step>&, const Piece& before, const Piece& after, Length by, StepKind redraw);
// The lower edge moved down (+) or up at the centre, to nothing at the side; or the other way about, where
// the side seam becomes longer by the amount.
[[nodiscard]] Piece bottom_moved_at_centre(Applied&, const Piece&, Length amount);
[[nodiscard]] Piece bottom_moved_at_side(Applied&, const Piece&, Length amount);

}  // namespace sartorum
