// catalogue.h: every adjustment there is, in fitting order. Adding one: docs/adding-an-adjustment.md.
#pragma once
#include <array>
#include <optional>
#include <span>
#include <string_view>

#include "core/alter/garment.h"
#include "core/body/body_set.h"
#include "core/chart/ease.h"
#include "core/chart/size_chart.h"

namespace sartorum {

enum class AdjustmentKind {
    ShoulderLength,
    ShoulderSlope,
    BallOfShoulder,
    NeckForward,
    RoundBack,
    ArmholeDepth,
    BustDepth,
    BodiceLength,
    SwayBack,
    WaistToHip,
    UnderarmWidth,
    Bust,
    KnitDart,
    NeckGape,
    ArmholeGape,
    AcrossFront,
    BackArmhole,
    WidthAtWaist,
    WidthAtHip,
    DartMoved,
    UpperArm,
    CapHeight,
    CapForward,
    TopNotch,
    SleeveAbove,
    SleeveBelow,
    Forearm,
    SleeveHem,
    HemGivenBack,
    FinishedLength,
};
inline constexpr std::size_t adjustment_count = 30;

enum class Zone { Frame, Lengths, Widths, Sleeve, Hem };
// Which pieces it changes; apart: front and back by amounts of their own.
enum class ActsOn { Both, Apart, Front, Back, Sleeve };

// What a proposal is made from: the pieces as traced, as they are now (after what comes before in fitting order),
// the body, and what the chosen sizes are drafted for.
struct FittingState {
    const Garment& traced;
    const Garment& now;
    const BodySet& body;
    const SizeChart& chart;
    std::size_t waist_size;
    std::size_t hip_size;
    std::size_t frame_size;
    const EaseWishes& ease;
    const Cloth& cloth;
    const FlatMeasures& traced_flat;
    const FlatMeasures& now_flat;
    std::size_t method = 0;  // the way it is to be done
    // What each adjustment above has done so far; zero where it is not taken.
    std::array<Length, adjustment_count> done{};
    [[nodiscard]] Length of(AdjustmentKind k) const { return done[static_cast<std::size_t>(k)]; }
};

// Where the second number of a proposal came from.
// Needed: what the body needs to move, where the chart says nothing. Armhole: what the cap is sewn into.
// SeamMoved: how far the shoulder seam went.
enum class Against { Chart, Pattern, EarlierChange, EaseWish, Needed, Armhole, SeamMoved };

struct Proposal {
    Length amount;
    Length spread;
    Length wanted;  // what the body asks for
    Length given;   // what the chart or the pattern has
    Against against = Against::Chart;
    Length already{};  // what earlier changes have made of `given`
    [[nodiscard]] bool inside_noise() const { return abs(amount) <= spread; }
};

struct Adjustment {
    AdjustmentKind kind;
    std::string_view key;
    Zone zone;
    ActsOn acts_on;
    Length least;  // limits of the amount
    Length most;
    bool (*serves)(
        const Garment&);  // a kind of garment it can be done on; neither of these two is asked elsewhere
    // None when nothing is known to propose from, or there is nothing to do.
    std::optional<Proposal> (*propose)(const FittingState&);
    Outcome<Applied> (*apply)(const Garment&, const Dose&);
    // The measure it is proposed from, if there is one: when that is stale, so is the adjustment.
    std::optional<Measure> from{};
    // The trade's ways to do it, by key; empty where there is one. Keys are kept forever.
    std::span<const std::string_view> methods{};
    std::size_t (*usual_method)(const Garment&) = nullptr;
    // The ways in which an amount of zero does something, and those open to a garment; none: no way, every way.
    bool (*zero_works)(std::size_t method) = nullptr;
    bool (*method_serves)(const Garment&, std::size_t method) = nullptr;
    // The posture that was noted calls for it, though it says no amount.
    bool (*noted)(const Posture&) = nullptr;
    // Done in one go with the next entry when both are accepted: nobody trims a hem to add to it.
    bool joins_next = false;
};

[[nodiscard]] const std::array<Adjustment, adjustment_count>& catalogue();
[[nodiscard]] const Adjustment& adjustment(AdjustmentKind);
[[nodiscard]] std::optional<AdjustmentKind> adjustment_of_key(std::string_view);
[[nodiscard]] std::optional<std::size_t> method_of_key(const Adjustment&, std::string_view);
[[nodiscard]] bool zero_works(const Adjustment&, std::size_t method);
[[nodiscard]] bool method_serves(const Adjustment&, const Garment&, std::size_t method);
// The way it is done on this garment unless the sewist says another.
[[nodiscard]] std::size_t usual_method(const Adjustment&, const Garment&);

}  // namespace sartorum
