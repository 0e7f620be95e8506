// rows.h: the adjustments of lengths above the hip and the waist line. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"
#include "core/paper/redraw/waist.h"

namespace sartorum {

// armhole_depth: the armhole deeper (+) or shallower (−), front and back alike.
//
// Changes  everything below the across line goes down (up) by the amount
// Keeps    neck, shoulders, the side seam, the bodice from underarm to waist
// Method   cut across at the across line, spread or fold; true the armhole. Common practice.
// Limits   40 mm; a fold must leave 15 mm of armhole below the line
// Then     bust depth, lengths and the sleeve's cap looked at again

inline constexpr Length armhole_depth_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_armhole_depth(const Garment&, const Dose&);
[[nodiscard]] Adjustment armhole_depth_row();

// bodice_length: the bodice longer (+) or shorter (−) between underarm and waist.
//
// Changes  everything below the lengthen/shorten line, by what front and back have in common; what one piece needs
//          more is added at its lower edge at the centre, to nothing at the side seam
// Keeps    the armhole, the bust dart, the width at the line; side seams walk
// Method   cut across at the printed line, spread, or fold half as deep; true side seam and darts. Common
//          practice.
// Limits   60 mm; a fold must stay above the lower edge; front and back unlike by 30 mm at most

inline constexpr Length bodice_length_limit = Length::mm(60);
inline constexpr Length bodice_unlike_limit = Length::mm(30);

[[nodiscard]] Outcome<Applied> alter_bodice_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment bodice_length_row();

// bust_depth: the bust point and its darts lower (+) or higher (−), front only.
//
// Methods  move the dart's box: a box round the side dart is cut out and slid; dart, angle and legs stay as they
//          are; re-aim the tip: the mouth stays, both legs are drawn anew to the moved tip, and made equally long
//          of a front of two panels: the seam's fullest place is moved, both panels run to it
// Keeps    the side seam's length; a waist dart's tip goes along with the bust point
// Limits   50 mm for the box, and the dart stays 15 mm inside the side seam; 25 mm for the tip
// Then     the bust itself, which opens round the bust point

inline constexpr Length bust_depth_limit = Length::mm(50);
inline constexpr Length re_aim_limit = Length::mm(25);

enum class BustDepthMethod { MoveBox, ReAim };

[[nodiscard]] Outcome<Applied> alter_bust_depth(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_depth_row();

// centre_wedge: a wedge across a skirt's front or back, full at the centre, nothing at the side: for a full
// tummy or a full seat.
//
// Changes  cut across above the hip line to the side, where it is hinged; opened (+) or overlapped (−) at the
//          centre. A fold, and the front, is carried on straight from below: the half waist gets wider by a·h/B (h
//          from the cut to the waist, B from the centre to the hinge), which is wanted there; a seam at centre
//          back keeps the lean
// Keeps    the side seam, the hem, the hip and all below the cut
// Amount   what the centre gains
// Limits   30 mm; more is likelier a longer way from waist to hip. Common practice. The other school leaves the
//          paper whole and moves the waist by the hem level (waist_line): never both.

inline constexpr Length centre_wedge_limit = Length::mm(30);

// Of the crotch seam of trousers too; refusals name `field`.
[[nodiscard]] Outcome<bool> wedge_at_centre(Applied&, PieceRole, Length amount, const char* field);
[[nodiscard]] Outcome<Applied> alter_centre_wedge(const Garment&, const Dose&);
[[nodiscard]] Adjustment centre_wedge_row();

// sway_back: less length at centre back (−), where the back curves in at the waist.
//
// Keeps    the side seam's length (but for the tuck), the front, the dart's tip
// Methods  centre seam: a wedge of the amount at centre back, to nothing at the side seam, closed; centre back
//          keeps its new curve;
//          on the fold, trimmed: the same, then the fold drawn straight; what swings past it comes off and is
//          given back at the side seam; on the fold, tuck: the amount folded out all across; the side seam loses
//          it too, and the front's lower edge rises to it at the side; at the waist seam: the lower edge rises by
//          the amount at centre back, to nothing at the side seam
// So       the lower part turns by 2·atan(a / 2B), B from the wedge's middle at centre back to the side seam
// Limits   40 mm, a bust dart's notion of a wedge (our choice): beyond, look whether hips need width first

inline constexpr Length sway_back_limit = Length::mm(40);

enum class SwayBackMethod { CentreSeam, FoldTrimmed, FoldTuck, WaistSeam };

[[nodiscard]] Outcome<Applied> alter_sway_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment sway_back_row();

// waist_line: the waist drawn anew through marks at its stations: a full front, one hip higher, a tilted or a
// hollow back; what hangs from the waist then hangs level.
//
// Marked  with an elastic where the waist is wanted and the hem settled level: + where the mark lies above the
//         pattern's waist, − where it lies below; five stations on each half, left and right apart where they
//         differ. An amount without a station is of all five: the waist worn higher or lower
// Done    one smooth line (core/paper/redraw/waist.h); allowances, a band and facings go with it
// Keeps   side seams, darts' legs, everything below; the hem
// Found   from the heights of the waist over the floor at its stations, beyond those of its sides, where the chart
//         prints them too; else from what the two sides differ by, half of it up and half down. Where only three
//         are known the ones between lie on the smooth line
// Limits  30 mm up or down: as much as is left above the waist when it is marked. Past it a longer or shorter
//         waist to hip is likelier
// Says    when half of the edge gained more than 6 mm: that goes into the darts, or is eased
// Common practice, but for the least differences proposed, 6 mm from a chart and 5 from the mean of both sides:
// from memory.

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

// waist_seam_level: the seam at the waist of a dress put lower or higher on the body, as the wearer wants it.
//
// Changes  the bodice longer (+) at its printed line, the skirt as much shorter between waist and hip; or the
//          other way about
// Stays    the length from shoulder to hem, the waists and what they were shaped to: the garment's waist moves
// Follows  the body is narrower or wider there: measure the waist where the seam is to lie
// Entered by hand: it is a wish. Common practice: length can be moved between parts, their sum serves the body.

inline constexpr Length waist_seam_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_waist_seam_level(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_seam_level_row();

// waist_to_hip: lengthen or shorten between waist and hip line, front and back alike.
//
// Changes  everything below the lengthen/shorten line, down (+) or up (−) by the amount
// Keeps    the waist as it is shaped, with its darts; so waistband and facing stay as they are
// Method   longer: cut across at the printed line, spread; shorter: fold half as deep as the amount.
//          Then true the side seam from waist to hip. Common practice.
// Limits   50 mm: beyond, make a toile first (common practice); a fold must leave 5 mm above the hip line
// Then     hem, if the finished length is to stay (hem_given_back)

inline constexpr Length waist_to_hip_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_waist_to_hip(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_to_hip_row();

}  // namespace sartorum
