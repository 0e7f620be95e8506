// step.h: one thing done to the paper by hand, with everything needed to say and draw it.
#pragma once
#include <optional>
#include <string>
#include <vector>

#include "core/pattern/piece.h"

namespace sartorum {

// What is done; the sentences stand in src/words.
enum class StepKind {
    TraceSize,      // trace one size; from_size
    TraceWhole,     // of a piece on the fold both halves, for sides that differ
    TraceTwice,     // of a pair both, one turned over
    DrawBlend,      // redraw the side seam from from_size at the waist to to_size at the hip
    DrawLine,       // draw over the lengthen/shorten line, `place` below the centre waist
    DrawFoldLines,  // and a second line `amount` below
    CutAcross,
    Spread,       // by amount
    FoldOut,      // fold `depth` deep, takes out `amount`
    TrueSide,     // waist to hip
    ExtendBelow,  // carry centre and side lines on by amount
    AddHem,
    DrawHem,  // a line `amount` above the hem
    TrimHem,
    MarkWaist,    // a dot `amount` out of (into) the side seam at the waist
    RedrawWaist,  // side seam and waist to the dot
    MarkHip,
    RedrawHip,
    CutBand,  // across at the side notch, `place` from the fold
    SpreadBand,
    OverlapBand,
    MarkTopCentre,  // amount above the upper edge at the centre
    RedrawTop,      // from the mark, level there, to nothing at the side
    MatchSides,     // raise or lower the side waist by amount so that front and back seams are equal
    // shoulder and neck
    DrawCorner,        // from `place` along the shoulder straight down `second`, then square out to the armhole
    CutCorner,         // the corner with the tip comes off
    SlideCorner,       // out (in) by amount, level
    MarkTip,           // amount outside (inside) the tip, square to the seam
    RedrawShoulder,    // from the neck point to the mark; armhole run into it
    MarkNeckPoint,     // amount outside (inside) the neck end of the seam, square to it
    RedrawNeckEnd,     // from the mark to the tip; neckline run into it
    AllowShoulder,     // amount of extra allowance on the toile's shoulder; `place` in all
    DrawStrip,         // from the armhole, `place` under the tip, to the neck point
    CutToNeckPoint,    // leaves a paper hinge
    SwingStrip,        // amount at the tip, square to the seam
    MatchShoulders,    // the seam longer (shorter) by amount at the tip, so that front and back match again
    TrueArmhole,       // one line from the shoulder tip to the underarm
    DrawAcrossBack,    // square to centre back, `place` under the neck, to the armhole
    CutToArmhole,      // leaves a hinge
    OpenCentreBack,    // amount at centre back
    CurveCentreBack,   // the seam runs on smoothly
    StraightenFold,    // the fold carried on straight; amount is added at the neck
    DrawNeckDart,      // amount wide, `place` long, `second` from the centre
    EaseNeck,          // amount is eased into what is sewn there
    MarkNeckRound,     // amount into (outside) the paper at the centre and along the shoulder
    MarkNeckAlong,     // along the shoulder alone
    RedrawNeckline,    // through the marks; it gets amount longer all round
    CutToShoulder,     // the corner with the tip, leaving a hinge on the shoulder
    SwingCorner,       // in by amount where it is cut level
    DrawShoulderDart,  // amount wide, `place` long
    // lengths of a bodice
    DrawAcross,        // the across line, `place` under the shoulder tip
    DrawLengthLine,    // the lengthen/shorten line, `place` above the lower edge at the centre
    MarkBottomCentre,  // amount under (above) the lower edge at the centre
    RedrawBottom,      // from the mark at the centre to nothing at the side
    MarkBottomSide,    // the same at the side
    RedrawBottomSide,  // to nothing at the centre
    RedrawDart,        // straight legs from the mouth to the tip, `place` long
    TrueBodiceSide,    // from the underarm, or its dart, to the lower edge
    DrawWedge,         // at the centre `place` above the lower edge: half of amount up, half down; to the side
    CutToSide,         // leaves a hinge
    CloseWedge,        // amount at centre back
    TrimFold,          // the fold carried on straight; amount comes off at the lower edge
    GiveBackAtSide,    // amount out at the lower end of the side seam, nothing at the hinge
    DrawBox,           // round the dart: amount is how far it goes, `place` wide, `second` high
    CutBox,
    SlideBox,       // down (up) by amount
    MarkDartTip,    // amount under (above) the tip
    DrawBustLevel,  // from the centre, `place` under the neck, to the bust point and on through the side dart
    // widths of a bodice
    MarkTipAcross,      // amount outside (inside) the bust point, square to the grain
    RedrawAimed,        // dart legs to tips amount further out (in)
    LayTogether,        // two panels at the bust point
    CloseIntoSeam,      // amount that opened (overlaps) at the side
    RedrawSeam,         // rounded over the bust point within amount
    DrawBustLines,      // from the lower edge up to the bust point, on to the armhole, `place` above the underarm;
                        // from the side to the bust point
    CutBustLines,       // leaves hinges at the armhole and at the bust point
    SwingBust,          // until the upright cut is parallel and amount wide
    DropCentre,         // the centre amount down (up), level with the rest
    RedrawBustDart,     // amount wide, its tip `place` before the bust point
    TakeInSide,         // the surplus of amount at the lower end of the side seam
    DrawWaistDart,      // amount wide, `place` long
    EaseSide,           // amount is eased into the side seam instead of a dart
    DrawKnitDart,       // amount wide, `place` long, `second` above the underarm
    DrawGape,           // a wedge of amount at the edge, nothing at the bust point, `place` away
    CloseGape,          // the dart opens to `place`
    DrawDartLine,       // from the new place to the bust point, `place` long
    SwingDart,          // amount of the old mouth closes
    MarkUnderarmLower,  // amount down the side seam
    RedrawLowerArmhole,  // to the mark
    MarkUnderarm,        // amount outside (inside) the underarm
    RedrawUnderarm,
    MarkAcross,  // amount outside (inside) the armhole at the across line
    RedrawAcross,
    DrawBackCorner,      // mid-shoulder down, armhole across
    OverlapBackArmhole,  // amount at the armhole
    EaseShoulder,        // amount is eased to the front shoulder
    RedrawBodiceSide,    // side seam to the mark, amount
    // sleeves
    DrawSleeveCross,   // top to hem, and the bicep line
    CutSleeveCross,    // leaves hinges at the top, the hem and both underarms
    SpreadBicep,       // amount at the bicep; the cap gets `place` lower
    DrawSleeveMiddle,  // top to hem
    CutSleeveMiddle,
    SpreadSleeve,  // amount from top to hem
    TrueSleeve,
    GatherCap,    // amount between the side notches
    DrawCapLine,  // across below the notches, `place` under the top
    DrawCapTop,   // across above the notches
    CutCap,
    MoveCap,   // the top up (down) by amount
    SlideCap,  // the top forward (back) by amount
    TrueCap,
    MarkTopNotch,    // amount forward (back) along the cap
    DrawSleeveLine,  // `place` under the underarm
    TrueUnderarms,
    MarkSleeveHem,  // amount outside (inside) each end of the hem
    MarkForearm,    // amount outside (inside) each underarm seam, `place` under the underarm
    RedrawUnderarms,
    // trousers
    DrawRiseLine,  // across, square to the crease, `place` under the hip line
    DrawRiseFold,  // and a second line amount below
    DrawLegLine,   // the same, `place` under the inner leg point
    DrawLegFold,
    DrawKneeLine,  // along the knee line
    DrawKneeFold,
    TrueLeg,          // side seam and crotch seam or inner leg over the cut
    DrawCentreWedge,  // from the centre, `place` under the waist, square to the crease to the side, `second` under
                      // it
    OpenAtCentre,     // amount at the centre, nothing at the side
    OverlapAtCentre,
    RedrawCentre,    // one line from the waist into the curve
    CarryCentreUp,   // as it runs below the cut; the waist gets amount longer
    MarkInnerPoint,  // amount outside (inside) the inner leg point
    RedrawInnerLeg,  // from the mark to the knee, and the crotch curve run into it
    MarkHighHip,     // amount outside (inside) the side seam, `place` above the hip line
    RedrawHighHip,   // through the mark, to nothing at the waist and at the hip line
    ShiftSide,       // the whole side seam amount further out (in), as it runs
    EaseWaist,       // amount of the waist eased; then `second` in all, sewn `place` long
    AddTurnUp,       // under the hem amount twice, and then its allowance, `place` in all
    GatherWaist,     // amount more (less) of the waist; then `second` in all, sewn `place` long
    MarkCalf,        // amount outside (inside) both seams, `place` under the knee line
    RedrawCalf,
    RedrawDartLegs,  // amount wider (narrower) at the edge, now `place` wide; its tip stays
    LeaveDart,       // `place` wide, sewn no more: one line over it
    AddDart,         // amount wide, `place` long, `second` from the centre along the closed waist
    MarkKnee,        // amount outside (inside) both seams at the knee line
    MarkLegHem,      // and at the hem
    RedrawLeg,       // both seams through the marks
    MatchInnerLegs,  // the back's hem amount lower (higher) at the inner leg, so that front and back seams are
                     // equal
    // Of a waist: amount above (under) it at the end nearer the centre, `place` in the middle, `second` at the
    // other end.
    MarkWaistLine,
    RedrawWaistLine,  // one smooth line through the marks
    // with the sewn garment
    LayLegs,        // one leg inside the other
    MarkLowered,    // amount down the inner leg, and on along the crotch seam
    MarkSewnSide,   // amount all round, a quarter at each side seam: out (in)
    MarkSewnWaist,  // as MarkWaistLine
    MarkSewnHem,    // amount longer (shorter)
    TackAndTry,
    StitchAndTrim,
    // what goes with the part above
    RedrawWholeSide,  // the side seam moved by amount from waist to hem
    // what follows an edge
    DrawFacing,      // amount wide, from the altered edge
    DrawLining,      // from the altered piece, its hem amount shorter
    DrawShapedBand,  // amount wide, from the altered edges it stands on
    MakeFacing,      // the same where the pattern has none; `on` the edge
    SpreadInFold,   // cut down the middle of a tuck or pleat, to the hem: amount more cloth; `place` it takes then
    TakeOutInFold,  // amount less
    SlideTuck,      // the same with a tuck or a pleat
    SlideDart,      // amount along the waist, + to the side; `place` from the centre
    // what the garment is made of
    TraceBrought,  // from another pattern: from_size is its name, to_size the size there
    OpenCentre,    // `place` long, amount past the centre
    FoldCentre,    // what opened goes on the fold
    SewCentre,     // and where it is no straight line, stays a seam
    MarkBand,      // its notch again, `place` from the end it stood nearest to
    PartBand,      // a band's ends at the other centre: its notches as far from the other end
    // darts as they were pinned
    MarkTipAlong,   // amount further in (nearer the mouth), on the dart's middle line
    SlideBustDart,  // amount lower (higher) along its seam, as wide and as long as it was
};

inline constexpr std::size_t step_kind_count = static_cast<std::size_t>(StepKind::SlideBustDart) + 1;

using Polygon = std::vector<Point>;

struct Stroke {
    Point a;
    Point b;
};

struct Dimension {
    Point a;
    Point b;
    Length amount;
};

// How a panel came to lie where it does: turned about a place where it lay, then shifted.
struct Motion {
    std::size_t panel = 0;
    Point about;
    double radians = 0;
    Point by;
};
[[nodiscard]] Geom::Affine whole_motion(const Motion&, double part = 1.0);
// A rigid movement told as one: the turn about a place of the panel, and where that place goes.
[[nodiscard]] Motion motion_of(std::size_t panel, const Geom::Affine&, Point about);

// The paper when the step is done: its panels, what was drawn, what was added and taken.
struct StepPicture {
    std::vector<Piece> panels{};
    std::vector<Stroke> lines{};
    std::vector<Polygon> added{};  // strips that opened or were folded away
    std::vector<Polygon> removed{};
    std::vector<Dimension> dimensions{};
    // The piece before an edge was redrawn; what came and went is computed for showing (area.h), never stored.
    std::vector<Piece> redrawn_from{};
    std::vector<Motion> motions{};
};

// The panels on their way to where they lie when the step is done (part 1): motions turn and slide in step, a
// redrawn line goes straight over from the old one.
[[nodiscard]] std::vector<Piece> panels_at(const StepPicture&, double part);

struct Step {
    StepKind kind{};
    std::string piece{};
    Length amount{};
    Length place{};
    std::string from_size{};
    std::string to_size{};
    StepPicture picture{};
    Length second{};
    std::optional<EdgeRole> on{};  // the edge that `second` is measured along, from its upper or inner end
};

// Done to a waistband, and to no other band.
[[nodiscard]] bool of_waistband(const Step&);
// Done to one of the gores of a skirt.
[[nodiscard]] bool of_a_gore(const Step&);
// Done to a leg of trousers.
[[nodiscard]] bool of_a_leg(const Step&);
// An edge in which a dart lies comes out otherwise: folded shut first, the line that is drawn runs over it.
[[nodiscard]] bool runs_over_a_dart(const Step&);

// The same on the piece turned over: for the other side of the body.
[[nodiscard]] Step turned_over(const Step&);

// A step on this piece as it lies.
[[nodiscard]] Step step_on(const Piece&, StepKind, Length amount = {}, Length place = {}, Length second = {});
// The same after an edge was redrawn.
[[nodiscard]] Step redrawn_step(const Piece& before, const Piece& after, StepKind, Length amount = {},
                                Length place = {}, Length second = {});
// Strokes along a polyline.
[[nodiscard]] std::vector<Stroke> strokes(const Polygon&);

}  // namespace sartorum
