// centre_wedge.h: a wedge across a skirt's front or back, full at the centre, nothing at the side: for a full
// tummy or a full seat.
//
// Changes  cut across above the hip line to the side, where it is hinged; opened (+) or overlapped (−) at the
//          centre. A fold, and the front, is carried on straight from below: the half waist gets wider by a·h/B (h
//          from the cut to the waist, B from the centre to the hinge), which is wanted there; a seam at centre
//          back keeps the lean
// Keeps    the side seam, the hem, the hip and all below the cut
// Amount   what the centre gains
// Limits   30 mm; more is likelier a longer way from waist to hip. Common practice. The other school leaves the
//          paper whole and moves the waist by the hem level (waist_line.h): never both.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length centre_wedge_limit = Length::mm(30);

// Of the crotch seam of trousers too; refusals name `field`.
[[nodiscard]] Outcome<bool> wedge_at_centre(Applied&, PieceRole, Length amount, const char* field);
[[nodiscard]] Outcome<Applied> alter_centre_wedge(const Garment&, const Dose&);
[[nodiscard]] Adjustment centre_wedge_row();

}  // namespace sartorum
