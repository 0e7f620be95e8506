// walk.h: do the altered pieces still sew together, and do they fit the body.
//
// Walked pairs: equal within 1.5 mm with darts closed, or different by the ease meant; a cap's ease takes up the 3
// mm that nobody changes a cap for. Joins: the two corner angles that meet at a seam add up to 180° within 5°, so
// that the edge runs on without a corner. Common practice. Least wearing ease: core/chart/ease.h.
#pragma once
#include <set>

#include "core/alter/kit/applied.h"
#include "core/body/body_set.h"
#include "core/chart/ease.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/shoulder.h"

namespace sartorum {

inline constexpr Length walk_tolerance = Length::mm(1.5);
inline constexpr Length cap_tolerance = Length::mm(3);
inline constexpr Length fold_tolerance = Length::mm(0.1);
inline constexpr Length leg_tolerance = Length::mm(1.0);
inline constexpr double join_tolerance_degrees = 6.0;

struct Walk {
    std::string seam;
    Length a;
    Length b;
    Length difference;  // b − a − ease meant
    bool holds = false;
    std::vector<Length> notches_a;  // from the start of the seam
    std::vector<Length> notches_b;
    // Of a join, a seam between two parts: which.
    std::optional<PartKind> part_a{};
    std::optional<PartKind> part_b{};
    // Of a seam between two pieces: what they are called.
    std::string name_a{};
    std::string name_b{};
    // Where the sides are not alike: whose it is; or of the centre, a the right and b the left.
    std::optional<Side> side{};
    bool over_centre = false;
};

enum class JoinPlace {
    NeckPoint,
    ShoulderTip,
    Underarm,
    Waist,
    Hem,
    CapTop,
    SleeveUnderarm,
    SleeveHem,
    Lower,     // a yoke's lower edge at its side seam
    InnerHem,  // of trousers, at the inner leg
    Crotch     // the crotch seam over the inner leg
};

struct Join {
    JoinPlace place{};
    double degrees = 180;
    bool holds = false;
    std::optional<Side> side{};
    bool over_centre = false;  // of two unlike halves; 180 as it was drawn
};

// An edge on the fold is one straight line.
struct FoldCheck {
    std::string piece;
    Length off;  // the farthest it strays from the line between its ends
    bool holds = false;
    std::optional<Side> side{};
};

struct DartCheck {
    std::string piece;
    Length apart;  // leg_b − leg_a
    bool holds = false;
    std::optional<Side> side{};
};

// What no hand can cut out (core/paper/outline_validity.h), as drawn by the pattern or as it came out.
struct OutlineCheck {
    std::string piece;
    std::optional<Unsound> found{};
    bool holds = false;
    std::optional<Side> side{};
};

struct EaseCheck {
    Measure measure{};
    Length finished;
    Length body;
    Length ease;
    Length least;
    bool holds = false;  // not below the least by more than the body's spread, nor above the most
    std::optional<Side> side{};
    std::optional<Length> most{};  // where too much of it fails too
};

// The cap over its armhole: wanted is the ease as drafted, kept inside what the cloth takes (ease.h).
struct CapCheck {
    Length cap;
    Length armhole;
    Length ease;
    Length wanted;
    bool holds = false;  // within walk_tolerance, or cap_tolerance
};

// Of what hangs from the waist: how much lower its hem came to lie than it was drawn, on the pieces.
struct HemLevel {
    Length front;  // at the centre; of a leg at its inner leg
    Length side;
    Length back;
    bool holds = false;                 // all alike, within hem_tolerance
    std::optional<Length> side_left{};  // where it is another than the right one
    bool of_legs = false;
};
inline constexpr Length hem_tolerance = Length::mm(3);  // nobody sews less

struct Checks {
    std::vector<Walk> walks;
    std::vector<Join> joins;
    std::vector<EaseCheck> ease;
    std::vector<FoldCheck> folds{};
    std::vector<DartCheck> darts{};
    std::vector<OutlineCheck> outlines{};    // one a piece, in their order
    std::optional<SewnShoulder> shoulder{};  // of a bodice
    std::optional<CapCheck> cap{};
    // Of the left side, where the sides are not alike.
    std::optional<SewnShoulder> shoulder_left{};
    std::optional<CapCheck> cap_left{};
    Length front_hem{};
    Length back_hem{};
    std::optional<HemLevel> hem{};
    // Edges that are sewn to something, and no seam of the pattern says to what: nothing is known of them.
    std::vector<SeamSide> unwalked{};
    [[nodiscard]] bool seams_hold() const;  // walks, joins, folds, darts, outlines
    [[nodiscard]] bool all_hold() const;
};

[[nodiscard]] Checks check(const Garment&, const BodySet&, const Cloth& = {});

// How much higher the waist stands on the body, or the longer the way over it is there: by a waist drawn anew, a
// wedge at the centre.
struct WaistHigher {
    Length front;
    Length side;
    Length back;
};
// None where nothing hangs from the waist. What hangs from a higher waist by as much more hangs level. Of legs it
// is counted from the hip line: what is done above it is done for what the body has there.
[[nodiscard]] std::optional<HemLevel> hem_level(const Garment& traced, const Garment& altered,
                                                const WaistHigher& waist = {});

// Of unlike sides it is counted from the hip line, since their waists need not be alike; none where no hip is
// drawn.
[[nodiscard]] std::optional<HemLevel> hem_level(const Garment& traced, const Garment& right, const Garment& left);

// A part of the garment and its measures, where they are known already.
struct PartMeasured {
    PartKind kind;
    const Garment& view;
    const FlatMeasures& flat;
};
// What came out when the same garment was checked before, for the same body and cloth, and the pieces that have
// changed since: seams of the others are not walked again.
struct Stayed {
    const std::set<std::string>& changed;
    const Checks& checks;
};
[[nodiscard]] Checks check_measured(const Garment&, const std::vector<PartMeasured>&, const BodySet&, const Cloth&,
                                    const std::optional<Stayed>&);

}  // namespace sartorum
