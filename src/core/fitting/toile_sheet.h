// toile_sheet.h: a toile that can be read: what is worth sewing first, which lines to draw on the cloth and where,
// where to leave more allowance. Common practice.
//
// Lines  level lines square to the centre line (to the grain on a sleeve); where they dip or lean, there the cloth
// is
//        short or long. Measured square down from the upper end of the centre line, on a sleeve from its top notch
// More   an inch on the shoulder seams, sewn on the old line with long stitches, opened and pinned on the wearer:
// what
//        is cut off tells how much; an inch on the side seams and above a waist that ends the piece, to be let out
// First  shoulders and one sleeve before all; of what hangs from the waist that part alone
#pragma once
#include "core/fitting/gate.h"

namespace sartorum {

inline constexpr Length toile_allowance_more = Length::inches(1);

enum class ToileLine { Centre, Across, Bust, Waist, Hip, Crotch, Knee, SleeveCentre, Bicep, Elbow };
inline constexpr std::size_t toile_line_count = 10;

struct LineToDraw {
    ToileLine what{};
    Point a;  // on the piece
    Point b;
    Length down;  // none of a centre line
};
// Nothing for what follows an edge, or is traced as it is.
[[nodiscard]] std::vector<LineToDraw> lines_to_draw(const Piece&);

struct MoreAllowance {
    EdgeRole at{};
    Length whole;  // with what the pattern has there
};
// One an edge role, where there is more.
[[nodiscard]] std::vector<MoreAllowance> more_allowance(const Piece&);

// As it is cut for a toile: its lines as guides, and more allowance.
[[nodiscard]] Piece prepared_for_toile(const Piece&);
// Of what is to be sewn, as it is cut; a sleeve once.
[[nodiscard]] std::vector<Piece> toile_pieces(const Computed&, NextLook);

// What there is to choose from on this garment, what is worth sewing first at the head.
[[nodiscard]] std::vector<NextLook> worth_sewing(const Computed&, const Gate&);

}  // namespace sartorum
