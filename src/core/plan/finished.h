// finished.h: the garment's own measures beside the body's: as traced, as needed, as altered; and girth against
// height.
//
// Needed = body + the ease planned: the designer's (traced − chart body of the size traced there), or her own
// wish. All girths all round with darts closed, lengths of one side.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// Where the level of the hip was not measured. Common practice: 8 in.
inline constexpr Length usual_waist_to_hip = Length::mm(205);

struct SideMeasures {
    Length after;
    std::optional<Length> body{};
    bool holds = true;
};

struct FinishedRow {
    GarmentMeasure what{};
    Length bought;
    std::optional<Length> body{};
    std::optional<Length> needed{};
    Length after;
    Length least{};     // wearing ease, where the body is known
    bool holds = true;  // not below the least, by more than the body's spread
    // On each side, where they are not alike: of a girth its half, and the body where it was read apart.
    std::optional<SideMeasures> right{};
    std::optional<SideMeasures> left{};
};

// In the order of the rows' places (garment_measure.h).
[[nodiscard]] std::vector<FinishedRow> finished_table(const Computed&);

struct GirthAt {
    Length height;  // above the waist (+), along the upright
    Length girth;
    bool leg = false;  // round one leg, under the inner leg point
};

struct BodyGirthAt {
    Measure measure{};
    GirthAt at;
    bool level_measured = false;  // else the level is the pattern's, and so only likely
    Length ease_before{};         // of the garment as traced, and as altered, at that level
    Length ease_after{};
};

// Garment girths are of the pieces, level by level; body girths only where the tape lay: between them nothing is
// known.
struct EaseProfile {
    std::vector<GirthAt> before;
    std::vector<GirthAt> after;
    // Twice each half, where the sides are not alike.
    std::vector<GirthAt> after_right{};
    std::vector<GirthAt> after_left{};
    std::vector<BodyGirthAt> body{};  // from the top down
};
[[nodiscard]] EaseProfile ease_profile(const Computed&);

}  // namespace sartorum
