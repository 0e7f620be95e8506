// shared.h: what several adjustments do the same way.
#pragma once
#include "core/alter/applied.h"
#include "core/chart/ease.h"

namespace sartorum {

// How much longer the far side of a seam is meant to be; and changing that, where paper is eased in.
[[nodiscard]] Length seam_ease(const Garment&, std::string_view seam);
void add_seam_ease(Garment&, std::string_view seam, Length more);
// The same for this cloth: a cap's ease stays inside what the cloth takes (ease.h), shared out as drafted.
[[nodiscard]] Length meant_ease(const Garment&, std::string_view seam, const Cloth&);
// More than nothing and not beyond the most: a pinch has no other direction.
[[nodiscard]] Outcome<bool> taken_out(Length amount, const std::string& adjustment, Length most);
// Not zero and not beyond ±limit, else a refusal naming the adjustment.
[[nodiscard]] Outcome<bool> within(Length amount, const std::string& adjustment, Length limit);
// The same change on front and back, by the front's amount.
[[nodiscard]] Outcome<Applied> alter_front_and_back(const Garment&, const Dose&, const std::string& adjustment,
                                                    Length limit,
                                                    Outcome<bool> (*alter_piece)(Applied&, Piece&, Length));
// The lower edge moved down (+) or up at the centre, to nothing at the side; or the other way about, where
// the side seam becomes longer by the amount.
[[nodiscard]] Piece bottom_moved_at_centre(Applied&, const Piece&, Length amount);
[[nodiscard]] Piece bottom_moved_at_side(Applied&, const Piece&, Length amount);

}  // namespace sartorum
