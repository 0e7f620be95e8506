// reckoned_girths.h: what the paper says so far: girths, and lengths that meet, from the lines that were measured.
//
// Girths are twice the half widths of front and back, less darts and tucks (common practice); curved lines are
// measured on the drawn piece. Usual ranges are common practice; the cap's is ease.h's.
#pragma once
#include "core/chart/ease.h"
#include "core/tissue/draw.h"

namespace sartorum {

enum class Reckoning {
    Bust,
    Waist,
    Hip,
    Hem,
    NeckHalf,            // front and back, of one half
    ShoulderDifference,  // the back longer than the front, its dart shut
    AcrossDifference,    // the back wider than the front
    FrontArmhole,
    BackArmhole,
    CapDifference,    // the cap longer than the armhole
    SideSeam,         // of a skirt, waist to hem
    WaistDifference,  // of a dress, the skirt longer than the bodice, all round
    Crotch,           // of trousers, front and back
    Knee,             // one leg
    LegHem,           // one leg, straight across
    InnerDifference,  // the back's inner leg shorter
    Girth,            // the one that is measured
};

struct Reckoned {
    Reckoning what{};
    std::optional<Length> value{};
    std::optional<TissueLine> waits_for{};  // the first line that is wanted for it
    std::optional<EaseRange> usual{};
    std::optional<Measure> body{};   // what of the body it goes round
    std::vector<TissueLine> from{};  // the lines it is reckoned from
};

// Of this size, in the order of its lines; the pieces as it draws them, none where it cannot be drawn.
[[nodiscard]] std::vector<Reckoned> reckoned(const Tissue&, const TissueSize&, const std::vector<Piece>& drawn);
// The girths that are known, as finished measures of that size. Refuses what cannot be: more folded away than
// there is.
[[nodiscard]] Outcome<std::map<Measure, Length>> finished_of(const Tissue&, const TissueSize&);

}  // namespace sartorum
