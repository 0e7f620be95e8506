// rows.h: the adjustments of widths, the bust and the darts. Each is done in the file of its name.
#pragma once
#include <functional>

#include "core/alter/kit/adjustment.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/garment_measure.h"

namespace sartorum {

// across_back: a broad (+) or narrow (−) back: the amount on each half, at the across line.
//
// Changes  +: the corner with the shoulder tip slides out; the shoulder is longer by it, eased or taken in a dart;
//          −: the corner turns in about mid-shoulder until it overlaps by the amount at the across line
// Keeps    neck point, underarm; a narrow back keeps the shoulder's length
// Limits   20 mm (our choice): beyond, another size for the frame
// Then     armhole and so the sleeve's cap; a turned corner tips the shoulder: look at the slope

inline constexpr Length across_back_limit = Length::mm(20);

enum class AcrossBackMethod { Eased, Darted };

[[nodiscard]] Outcome<Applied> alter_across_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment across_back_row();

// across_front: the front armhole scooped out (−) or filled (+) between the shoulder tip and the notch.
//
// Changes  the front armhole at the across line by the amount, nothing at the tip and at the notch
// Keeps    shoulder, underarm, the level of everything
// Limits   scooped 6.5 mm (¼ in): common practice; filled 15 mm: our choice, beyond it another size for the frame
// Then     the armhole is a little longer or shorter: the cap is walked

inline constexpr Length across_front_least = Length::mm(-6.5);
inline constexpr Length across_front_most = Length::mm(15);

[[nodiscard]] Outcome<Applied> alter_across_front(const Garment&, const Dose&);
[[nodiscard]] Adjustment across_front_row();

// back_armhole: a back armhole that is too long (a bubble behind the arm) folded out.
//
// Changes  the outer corner of the back, cut from the shoulder (inside its middle, outside a dart) down and from
//          the armhole across at the across line, pivots where the cuts meet and overlaps by the amount at the
//          armhole
// Keeps    neck, centre back, underarm, side seam
// So       turns by 2·asin(a / 2D), D from the pivot to the armhole; the back shoulder grows by the same angle's
//          chord at its own distance, which is eased to the front
// Limits   10 mm; about 6 is usual: common practice. The shoulder may grow by 15 mm: our choice; the front takes
//          it up by easing
// Then     the cap comes down

inline constexpr Length back_armhole_limit = Length::mm(10);

[[nodiscard]] Outcome<Applied> alter_back_armhole(const Garment&, const Dose& overlap);
[[nodiscard]] Adjustment back_armhole_row();

// bust: more (+) or less room over the bust, on the front alone; the amount is what each half front gains.
//
// Changes  the classic swing of bust_spread.h: bust and lower edge gain the amount, the dart opens, centre front
//          gains length; a front without a dart gets one in the side seam
// Keeps    neck, shoulder, across line, the armhole's length, the closed side seam
// Methods  side: the surplus at the waist is taken in at the side seam;
//          waist dart: it goes into the dart below the bust point, or makes one;
//          kept: the lower edge stays wider;
//          eased: no dart is sewn; its mouth is eased into the side seam, the surplus taken in at the side;
//          princess: of a front of two panels. The new dart at the side is closed into the seam above the bust,
//          the surplus at the waist goes into the seam below it; the seam stays over the bust point as drafted;
//          two slashes: half of the amount each, the second with its hinge nearer the underarm
// Limits   26 mm on each half front (two cups of an inch in girth), 52 mm by two slashes; eased: a mouth of 13 mm;
//          less: no more than the dart there is closes. Common practice.
// Then     cap and armhole are walked; the dart may be moved

inline constexpr Length bust_limit = Length::mm(26);
inline constexpr Length bust_two_slashes_limit = Length::mm(52);
inline constexpr Length bust_dart_least = Length::mm(5);    // our choice: a narrower one is eased
inline constexpr Length bust_eased_limit = Length::mm(13);  // of the mouth

enum class BustMethod { Side, WaistDart, Kept, Eased, TwoSlashes, Princess };

[[nodiscard]] Outcome<Applied> alter_bust(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_row();

// bust_length: more (+) or less length at centre front than front and back have in common, over the bust.
//
// Changes  +: everything below a line from centre front through the bust point and the side dart goes down by the
//          amount; the dart takes at the side what opened. Without a side dart, and for less length: the lower
//          edge at the centre, to nothing at the side
// Keeps    neck, shoulder, armhole, the closed side seam, the bust point and the darts' tips
// Limits   40 mm (our choice): beyond, look whether the bust wants more room
// Then     nothing: the back is as long as it was

inline constexpr Length bust_length_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_bust_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_length_row();

// bust_span: the bust points further apart (+) or closer together (−): the amount on each side, front only.
//
// Changes  the darts' tips, or the fullest place of a panel seam, sideways by the amount
// Keeps    every mouth, the seams' lengths
// Limits   25 mm (our choice, as for a re-aimed tip): beyond, another pattern carries its seam elsewhere

inline constexpr Length bust_span_limit = Length::mm(25);

[[nodiscard]] Outcome<Applied> alter_bust_span(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_span_row();

// dart_moved: the bust dart moved to another place of the front's edge.
//
// Changes  the dart closes, the paper between it and the new place turns about the bust point, and what opens
//          there is the dart now: the same angle, another mouth. An amount moves that much of the mouth; none
//          moves all of it. A dart that is at the new place already grows by the angle.
// Keeps    the garment's shape: every seam's sewn length but for a hair of truing
// Methods  to the side seam, the armhole, the shoulder, the waist, the neck

inline constexpr Length dart_moved_limit = Length::mm(150);

enum class DartPlace { Side, Armhole, Shoulder, Waist, Neck };

[[nodiscard]] Outcome<Applied> alter_dart_moved(const Garment&, const Dose& of_mouth);
[[nodiscard]] Adjustment dart_moved_row();

// gape: a gaping neckline or front armhole taken into the bust dart.
//
// Changes  a wedge as wide as the pinch at the edge, nothing at the bust point, is folded away; the paper between
//          it and the dart turns about the bust point, so that the dart opens by the same angle
// Keeps    the closed side seam, the centre, the bust's width
// So       angle 2·asin(g / 2R) for a pinch g at R from the bust point; the mouth becomes 2·r·sin((old + new)/2)
// Limits   20 mm pinched (our choice): beyond, a toile first
// Then     armhole: the cap comes down; neckline: facing, collar or band

inline constexpr Length gape_limit = Length::mm(20);

[[nodiscard]] Outcome<Applied> alter_neck_gape(const Garment&, const Dose& pinch);
[[nodiscard]] Outcome<Applied> alter_armhole_gape(const Garment&, const Dose& pinch);
[[nodiscard]] Adjustment neck_gape_row();
[[nodiscard]] Adjustment armhole_gape_row();

// high_hip: skirts and trousers wider or closer half-way between waist and hip.
//
// Changes  side seams out (+) or in (−) by a quarter of the girth each, or by half at the back's alone, to nothing
//          at the waist and at the hip line: the hip curve gets the body's shape
// Keeps    waist, darts, hip, all below; the direction in which the side seam leaves the waist
// Done     after waist and hip, whose changes run through here; only what they did not give is left
// Limits   60 mm of girth
// Common practice.

inline constexpr Length high_hip_limit = Length::mm(60);

[[nodiscard]] Outcome<Applied> alter_width_at_high_hip(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment width_at_high_hip_row();

// knit_dart: a short dart from the front armhole towards the bust point, for a knit front without a dart.
//
// Changes  a dart of twice the pinch in the lower half of the front armhole, 65 mm long; with length: the front is
//          cut across just above it and spread by as much, so that the armhole keeps its length and the hem hangs
//          level over the bust
// Keeps    neck, shoulder, the side seam; with length, the sewn armhole
// Methods  with length; dart only, for small amounts
// Limits   a pinch of 6.5 mm a fold layer: a dart 13 mm wide. Common practice.
// Then     dart only: the cap comes down

inline constexpr Length knit_pinch_limit = Length::mm(6.5);

enum class KnitDartMethod { WithLength, DartOnly };

[[nodiscard]] Outcome<Applied> alter_knit_dart(const Garment&, const Dose& pinch);
[[nodiscard]] Adjustment knit_dart_row();

// pinned_darts: darts as they were pinned on a toile or on the tissue itself: where, how deep, how long.
//
// Amounts  place   along the edge it is in: + lower down the seam; of a waist's dart + to the side
//          depth   of its mouth: + deeper, half at each leg
//          length  of its tip from the mouth, on its middle line: + longer
// Bust     the dart in the front's side seam, else in its armhole. What it takes deeper of a side seam is added
//          again at the seam's lower end: it stays as long as it was. An armhole becomes shorter by it
// Waist    every dart at the waist of a face; the closed waist is closer by what they take deeper, what is sewn to
//          it follows
// Without a place an amount is of the depth
// Limits   25 mm; a dart stays 20 mm long, its tip not past the bust point, of a skirt or of trousers not under
//          the hip line; 10 mm of the edge beside it
// Source   common practice

inline constexpr Length pinned_dart_limit = Length::mm(25);

// At place, depth and length.
[[nodiscard]] Outcome<Applied> alter_pinned_bust_dart(const Garment&, const Dose&);
// At those of the front, then of the back.
[[nodiscard]] Outcome<Applied> alter_pinned_waist_darts(const Garment&, const Dose&);
[[nodiscard]] Adjustment pinned_bust_dart_row();
[[nodiscard]] Adjustment pinned_waist_darts_row();

// Which way the bust dart points, from its mouth to its tip; of length one. None without such a dart.
[[nodiscard]] std::optional<Point> bust_dart_way(const Piece& front);
// The face has a dart at the waist.
[[nodiscard]] bool has_waist_dart(const Piece&);

// tucks: tucks and pleats at the waist moved along it, or spaced anew: as the wearer likes them, or as a cloth's
// stripes ask.
//
// Method   moved: all of a piece by the amount, + to the side; spaced: the amount more between one and the next,
//          about the middle of them, which stays; fuller: of a skirt, each takes the amount more cloth down to the
//          hem (core/paper/fold_spread.h)
// Stays    how many there are, how deep when they are moved, the closed waist, all else. Common practice
// Limits   10 mm of the waist must stay beside the first and the last, 2 mm between two (from memory); what is
//          less already stays as it is

inline constexpr Length tucks_limit = Length::mm(60);
enum class TucksWay { Moved, Spaced, Fuller };

// After a waist was made wider or narrower: what it gained lies between its tucks, the first as far from the
// centre as it was, the last from the side. Where one finds no room they stay.
void between_tucks(Applied&, const Garment& before);

// One fold in the waist drawn that far nearer the side (+) or the centre, and the step that says so.
[[nodiscard]] Outcome<bool> slide_fold(std::vector<Step>&, Piece&, std::size_t mouth, Length by, StepKind,
                                       Length kept = kept_beside_dart);

[[nodiscard]] Outcome<Applied> alter_tucks(const Garment&, const Dose&);
[[nodiscard]] Adjustment tucks_row();

// underarm_width: width at the underarm, at the side seams, running to nothing at the waist.
//
// Changes  the side seams out (+) or in (−) at the underarm; the armhole runs to the new underarm
// Keeps    the waist and everything below; darts; centre lines
// Methods  quarters: a quarter of the girth at each of the four side seams; back only: half at each of the two
// Limits   80 mm of girth: beyond, take another size. ½ in at each of four is 2 in of girth. Common practice.
// Then     the armhole is longer or shorter: the cap

inline constexpr Length underarm_limit = Length::mm(80);

// Where a change of girth goes: all four side seam halves, or the back's alone.
// Gathered: at the waist in its gathers, at the hip the back's alone with its waist gathered (gathers.h).
enum class WidthShare { Quarters, BackOnly, Gathered };
inline constexpr std::array<std::string_view, 2> share_methods{"quarters", "back_only"};

[[nodiscard]] Outcome<Applied> alter_underarm_width(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment underarm_width_row();

// waist_darts: the darts at the waist of a skirt or of trousers: deeper, shallower, given up, one more, moved.
//
// Amount   on each piece of one half: what its darts take in more (+) or less (−), shared alike; as much as they
//          take gives them up; of what is moved: along the waist, + to the side
// Method   at the waist: the closed waist is as much closer or wider, the band follows
//          at the side: the side seam makes up for it, the closed waist stays
//          eased: given up or shallower, the closed waist stays: what they took is eased in, or gathered
//          added: one more, where there is most room beside those that are there, as long as they are
//          moved: all of the piece along the waist
// Keeps    the waist line, tips, the hip and all below
// Limits   40 mm a piece, 70 moved; 10 mm of the waist must stay beside each dart
// Common practice: a dart takes 1 to 3.5 cm; a deeper one is parted in two; without one beside it, it is 9 cm long
// in front and 11.5 behind.

inline constexpr Length waist_darts_limit = Length::mm(40);
enum class WaistDartsWay { AtWaist, AtSide, Eased, Added, Moved };

[[nodiscard]] Outcome<Applied> alter_waist_darts(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_darts_row();

// width: width at the waist or at the hip, at the side seams, a quarter of the girth each, or half at each of
// the back's.
//
// Changes  side seam of front and back: out (+) or in (−) by a quarter of the girth change at its level, nothing
//          at the other level; below the hip line as much as there. Of gores every flank, by an equal share
//          a bodice's at the waist (with a hem: at the waist level) or at its hem, quarters or back only
// Keeps    darts, centre lines, the direction of every edge where it meets the next
// Also     width at the waist: the waistband is cut at its side notch and made longer by what the waist gained
// Limits   120 mm of girth (30 mm a seam): beyond, take another size. Common practice: a quarter each.

inline constexpr Length width_limit = Length::mm(120);

[[nodiscard]] Outcome<Applied> alter_width_at_waist(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_hip(const Garment&, const Dose& girth);
// What either comes to on each kind of part: an upper part's lower edge is its waist, or it is widened at the
// waist level or the hem; a skirt's at the waist or from the hip line down.
[[nodiscard]] Outcome<Applied> widen_upper(const Garment&, const Dose& girth, Level);
[[nodiscard]] Outcome<Applied> widen_skirt(const Garment&, const Dose& girth, Level);
// Each face moved by a share of the girth until the garment measures as much more there: a seam that leans, or is
// evened afterwards, gives a little more or less than it is moved by. `seams`: how many shares there are all round
// with front and back.
[[nodiscard]] Outcome<Applied> widened_until(
    const Garment&, const Dose& girth, GarmentMeasure, double seams,
    const std::function<Outcome<bool>(Applied&, PieceRole, Length share)>& move);
// Front and back, or the back alone.
[[nodiscard]] std::vector<PieceRole> widened_faces(const Dose&);
// How much more each flank must go, when all of them by `share` gained so much and that much is lacking.
[[nodiscard]] Length next_share(Length lacks, Length share, Length gained, double flanks);

[[nodiscard]] Adjustment width_at_waist_row();
[[nodiscard]] Adjustment width_at_hip_row();

}  // namespace sartorum
