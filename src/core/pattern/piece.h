// piece.h: one pattern piece: a closed run of named edges, and the marks that ride on it.
//
// Frame      millimetres on the flat piece; x along the cross grain away from the centre line, y up the grain.
// Edges      run clockwise (y up): each starts where the one before ends, within closed_within; the last ends
//            where the first starts. They are stitching lines: allowances lie outside them. A dart's mouth is an
//            edge of its own, so the sewn length of a seam is the sum of its edges with darts closed.
#pragma once
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/pattern/curve.h"
#include "core/pattern/part.h"
#include "core/units/refusal.h"

namespace sartorum {

// Other: a facing, a collar, a pocket: traced and printed as it is.
enum class PieceRole { Front, Back, Waistband, Sleeve, Other };
enum class EdgeRole {
    Centre,
    Neck,
    Shoulder,
    Armhole,
    Waist,
    DartMouth,  // of a tuck or a pleat too: what is folded away at the seam
    Side,
    Hem,
    BandTop,
    BandEnd,
    Underlap,
    CapBack,  // of a sleeve: from the back underarm up to the top notch
    CapFront,
    UnderarmFront,
    UnderarmBack,
    Princess,  // of a front's panel: the seam over the bust point
    Inner,     // of a gore: its seam nearer the centre (gore.h)
    Outer,     // and the one nearer the side, where that is not the side seam
    Lower,     // of a yoke: what the skirt hangs from
    InnerLeg,  // of trousers: from the hem up to the crotch seam, which is their centre
    Plain,     // of another piece: no part in any adjustment
    Cut,
};
// Centre: of a piece drawn whole, where its two halves meet (whole_piece.h). Crotch: across at the inner leg
// point.
enum class GuideKind {
    Grain,
    LengthenShorten,
    Hip,
    Bust,
    Waist,
    Across,
    Bicep,
    Elbow,
    Centre,
    Crease,
    Crotch,
    Knee
};
// A dart narrows to nothing at its tip; a tuck is stitched parallel down to its tip; a pleat is only held in the
// seam.
enum class DartKind { Dart, Tuck, Pleat };
// Where the armhole of a front is meant to lie: at the shoulder's own tip; further in, without a sleeve; further
// out; or the sleeve runs up to the neck.
enum class ShoulderStyle { SetIn, CutIn, Dropped, Raglan };

[[nodiscard]] std::string_view key(PieceRole);
[[nodiscard]] std::string_view key(EdgeRole);
[[nodiscard]] std::string_view key(GuideKind);
[[nodiscard]] std::string_view key(DartKind);
[[nodiscard]] std::string_view key(ShoulderStyle);
[[nodiscard]] std::optional<PieceRole> piece_role_of(std::string_view);
[[nodiscard]] std::optional<EdgeRole> edge_role_of(std::string_view);
[[nodiscard]] std::optional<GuideKind> guide_kind_of(std::string_view);
[[nodiscard]] std::optional<DartKind> dart_kind_of(std::string_view);
[[nodiscard]] std::optional<ShoulderStyle> shoulder_style_of(std::string_view);

inline constexpr Length closed_within = Length::mm(0.05);
// A mark lies on its edge, a dart's leg on its mouth, within what a hand can draw.
inline constexpr Length mark_within = Length::mm(2);
// The largest and the least a piece of paper can be, in either direction, and the shortest line drawn on it.
inline constexpr Length piece_most = Length::mm(4000);
inline constexpr Length piece_least = Length::mm(5);
inline constexpr Length line_least = Length::mm(5);
// What may lie past a centre, and how near buttons may stand.
inline constexpr Length centre_extent_most = Length::mm(150);
inline constexpr Length button_gap_least = Length::mm(10);
inline constexpr Length edge_least = Length::mm(0.1);
// The most of a waist that may be gathered in: five times what is sewn. Common practice: fullness 1.5 to 2.5.
inline constexpr double most_gathered = 0.8;

struct Edge {
    EdgeRole role = EdgeRole::Centre;
    Curve curve;
    Length allowance;
    bool on_fold = false;
    // Where a cut piece remembers its old order: the edge it came from, and which part of it.
    int run = 0;
    int part = 0;
    // Of a waist: how much of it is gathered in where it is sewn, or by an elastic; it is sewn that much shorter.
    Length gathered{};
};

struct Dart {
    Point leg_a;  // on the edge, first in travel
    Point leg_b;
    Point tip;
    DartKind kind = DartKind::Dart;
};

struct Notch {
    Point at;
    EdgeRole on = EdgeRole::Side;
    int count = 1;  // single or double
};

struct Guide {
    GuideKind kind = GuideKind::Grain;
    Point a;
    Point b;
};

struct Piece {
    std::string id{};
    std::string name{};
    PieceRole role = PieceRole::Front;
    int cut = 1;
    std::vector<Edge> edges{};
    std::vector<Dart> darts{};
    std::vector<Notch> notches{};
    std::vector<Guide> guides{};
    std::optional<Point> bust_point{};  // the fullest point, not the dart's drawn-back tip
    // Of a front, a back or a sleeve; none: what follows another edge, or is traced as it is.
    std::optional<PartKind> part{};
    // A front of two panels, laid together at the bust point with their grain lines parallel (princess.h).
    bool princess = false;
    // Of a front, where the drawing says so.
    std::optional<ShoulderStyle> shoulder_style{};
    // Of a centre that is a seam: how far it opens from its upper end; piece_most: all the way; 0: nothing is
    // said.
    Length opening{};
    Length side_opening{};  // how far its side seam opens from its upper end; 0: it does not, or nothing is said
    Length overlap{};       // of a centre that opens: what lies past it, within its allowance; none: edge to edge
    Length button_gap{};    // about how far buttons stand apart on it; none: it has none
    bool neck_at_base = false;  // the neckline is meant to lie where the neck begins
};

[[nodiscard]] std::optional<Guide> guide(const Piece&, GuideKind);
// The first edge with that role; the piece must have one.
[[nodiscard]] const Edge& edge(const Piece&, EdgeRole);
[[nodiscard]] std::optional<std::size_t> edge_index(const Piece&, EdgeRole, bool last = false);
[[nodiscard]] bool on_fold(const Piece&);
// On the centre line of a piece that is buttoned, from its upper end down: the first and the last as far from the
// ends of the opening as the overlap is wide, the rest evenly between them. Common practice.
[[nodiscard]] std::vector<Point> button_places(const Piece&);

// Sum of the lengths of all edges with that role: darts count as closed, what is gathered as gathered.
[[nodiscard]] Length sewn_length(const Piece&, EdgeRole);
[[nodiscard]] Length flat_length(const Piece&, EdgeRole);  // the same before anything is gathered
[[nodiscard]] Length gathered_in(const Piece&, EdgeRole);
[[nodiscard]] Geom::Path outline(const Piece&);  // closed
[[nodiscard]] std::vector<Point> outline_points(const Piece&, Length tolerance);
// Enclosed area in mm², exact for the cubics.
[[nodiscard]] double area_mm2(const Piece&);
[[nodiscard]] double signed_area_mm2(const Piece&);  // positive when the edges run counter-clockwise (y up)
[[nodiscard]] Geom::Rect bounds(const Piece&);
// Where it lies at a level, from the centre line or the inner leg to the side seam, on the stitching line; none if
// the level misses.
struct LevelSpan {
    double from = 0;
    double to = 0;
};
[[nodiscard]] std::optional<LevelSpan> lies_across(const Piece&, double level_mm);
// Width from the centre line to the side seam at a level, on the stitching line; none if the level misses.
[[nodiscard]] std::optional<Length> width_at(const Piece&, double level_mm);

// The same lines and marks, exactly; and the same allowances at them.
[[nodiscard]] bool same_paper(const Piece&, const Piece&);
[[nodiscard]] bool same_edges(const Piece&, const Piece&, EdgeRole);
[[nodiscard]] bool same_allowances(const Piece&, const Piece&);

// Moves everything, as a rigid body.
[[nodiscard]] Piece moved(const Piece&, const Geom::Affine&);
// Each notch back onto its edge, at the nearest place.
void settle_notches(Piece&);
// Where the dart legs meet their mouth, after the waist edge moved.
void settle_darts(Piece&);

// Closed, complete, edges in order, marks on their edges and on the piece, not larger than piece_most; brought
// into the frame: clockwise, centre line left of the side seam, its upper end at the origin; a sleeve's top notch
// there, its front towards +x. Front and back run as their kind of part says (part_rules.h); a sleeve's edges: cap
// back, cap front, underarm front, hem, underarm back. Dart mouths stand between two edges of one role. A piece
// without a part gets the one its edges tell.
[[nodiscard]] Outcome<Piece> check_piece(Piece);

}  // namespace sartorum
