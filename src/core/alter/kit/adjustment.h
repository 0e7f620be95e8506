// adjustment.h: what an adjustment is: one row, in its own file; core/alter/kit/catalogue.h lists them.
#pragma once
#include <array>
#include <optional>
#include <span>
#include <string_view>
#include <vector>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/applied.h"
#include "core/body/body_set.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/joint.h"

namespace sartorum {

// A name and a place in lists; the fitting order stands in the rows.
enum class AdjustmentKind {
    ShoulderLength,
    ShoulderSlope,
    BallOfShoulder,
    NeckForward,
    NeckSize,
    RoundBack,
    ArmholeDepth,
    BustDepth,
    BodiceLength,
    SwayBack,
    WaistToHip,
    UnderarmWidth,
    BustSpan,
    Bust,
    BustLength,
    KnitDart,
    NeckGape,
    ArmholeGape,
    AcrossFront,
    AcrossBack,
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
    JoinedWaist,
    JoinedDarts,
    WaistSeamLevel,
    Facings,
    Tucks,
    BodyRise,
    CrotchWedge,
    CrotchPoint,
    LegLength,
    WidthAtThigh,
    WidthAtKnee,
    WidthAtLegHem,
    WaistLine,
    SewnCrotch,
    SewnWaistWidth,
    SewnHipWidth,
    SewnWaist,
    SewnHem,
    WaistDarts,
    WidthAtHighHip,
    WidthAtCalf,
    CentreWedge,
    TurnUp,
    PinnedShoulder,
    PinnedBustDart,
    PinnedWaistDarts,
};
inline constexpr std::size_t adjustment_count = 60;

// Sewn: of a garment that is sewn already.
enum class Zone { Frame, Lengths, Widths, Sleeve, Hem, Sewn };
// Which pieces it changes; apart: front and back by amounts of their own.
enum class ActsOn { Both, Apart, Front, Back, Sleeve };

// The sizes chosen, as places in the chart: of what lies above the waist, at it, and below.
struct SizesAt {
    std::size_t frame = 0;
    std::size_t waist = 0;
    std::size_t hip = 0;
};

// What a proposal is made from: one part's pieces as traced, as they are now (after what comes before in fitting
// order), the body, and what the chosen sizes are drafted for.
struct FittingState {
    const Garment& traced;
    const Garment& now;
    const BodySet& body;
    const SizeChart& chart;
    SizesAt sizes;
    const EaseWishes& ease;
    const Cloth& cloth;
    const FlatMeasures& traced_flat;
    const FlatMeasures& now_flat;
    const Across* across = nullptr;  // the part it is sewn to above it
    School school{};                 // the size of the frame was chosen by
    std::size_t method = 0;          // the way it is to be done
    // What each adjustment above has done so far on front (or alone) and back; zero where it is not taken.
    std::array<Length, adjustment_count> done{};
    std::array<Length, adjustment_count> done_back{};
    // What one above left to be done together with another.
    std::array<Length, adjustment_count> carried{};
    // Which of those above are proposed and not yet answered.
    std::array<bool, adjustment_count> open{};
    Length band{};                         // what a finished waistband stands above the waist seam
    const BodySet* both_sides = nullptr;   // with each side's own readings, where `body` is one side's
    std::vector<Length> waist_moved_by{};  // at its stations, by what was done so far
    [[nodiscard]] Length of(AdjustmentKind k) const { return done[static_cast<std::size_t>(k)]; }
    [[nodiscard]] Length back_of(AdjustmentKind k) const { return done_back[static_cast<std::size_t>(k)]; }
    [[nodiscard]] bool waits_for(AdjustmentKind k) const { return open[static_cast<std::size_t>(k)]; }
};

// Where the second number of a proposal came from.
// Needed: what the body needs to move, where the chart says nothing. Armhole: what the cap is sewn into.
// SeamMoved: how far the shoulder seam went. PartAbove: what the part above comes to.
enum class Against { Chart, Pattern, EarlierChange, EaseWish, Needed, Armhole, SeamMoved, PartAbove };

// Why a difference is left alone: it may be none; nobody sews so little; the ease as designed takes it up; only
// its sign on a toile tells; or something above it is to be answered first.
enum class Leave { No, Noise, TooSmall, EaseHolds, SignFirst, AnswerFirst };

struct Proposal {
    Length amount;
    Length spread;
    Length wanted;  // what the body asks for
    Length given;   // what the chart or the pattern has
    Against against = Against::Chart;
    Length already{};  // what earlier changes have made of `given`
    Length least{};    // nobody sews less
    bool held = false;
    bool sign_first = false;
    std::optional<AdjustmentKind> after{};
    std::optional<Length> back{};  // of the back, where it is another
    std::vector<Length> at{};      // at the adjustment's places, where it has some; amount is then the furthest
    [[nodiscard]] Length larger() const { return std::max(abs(amount), abs(back.value_or(amount))); }
    [[nodiscard]] bool inside_noise() const { return larger() <= spread; }
    [[nodiscard]] Leave leave() const
    {
        if (inside_noise()) return Leave::Noise;
        if (larger() < least) return Leave::TooSmall;
        if (held) return Leave::EaseHolds;
        if (sign_first) return Leave::SignFirst;
        return after ? Leave::AnswerFirst : Leave::No;
    }
};

inline constexpr Length to_the_eye = Length::mm(1e-6);  // nothing at all

// One of an adjustment's own places: an amount may be of it alone.
struct AmountPlace {
    std::string_view key;    // kept forever
    bool at_centre = false;  // both sides meet there: one amount
    bool plain = true;       // an amount that is said without a place is of it too
};
// The one furthest from nothing.
[[nodiscard]] Length furthest(const std::vector<Length>&);

struct UsualAmounts {
    Length least;
    Length most;
};

using Serves = bool (*)(const Garment& part);

// Where two parts are joined: done on each by itself; only on the one below, to go with what is above; not on the
// one below, where what is done above comes down by itself; on both, and nowhere else; or on no part, but on the
// whole.
enum class AtJoin { Alike, OnlyBelow, NotBelow, Joined, WholeGarment };

// What two unlike sides of it do to the centres: nothing; each side its own amount, and the shorter centre drawn
// on to the longer's length; or it is done alike on both, by the larger amount, which leaves more paper.
enum class AtCentre { Clear, Evened, Together };

struct Adjustment {
    AdjustmentKind kind;
    std::string_view key;  // kept forever: notebooks and JSON use it
    // Fitting order: by zone, then part by part from the top, then by rank.
    Zone zone;
    int rank;
    ActsOn acts_on;
    Length least;  // what is usually done with it; past that it is done and said
    Length most;
    // Done on each part that lies at these levels and has the pieces it acts on, with these edges, if it serves;
    // none of its functions is asked elsewhere.
    std::vector<Level> needs;
    std::vector<EdgeRole> edges{};
    Outcome<Applied> (*apply)(const Garment&, const Dose&);
    // Where on each of the pieces it is done.
    Spot (*place)(const Piece&);
    // None when nothing is known to propose from, or there is nothing to do. Without a function it is entered from
    // what a toile showed.
    std::optional<Proposal> (*propose)(const FittingState&) = nullptr;
    Serves serves = nullptr;
    // The measure it is proposed from, if there is one: when that is stale, so is the adjustment.
    std::optional<Measure> from{};
    // The trade's ways to do it, by key; empty where there is one. Keys are kept forever.
    std::span<const std::string_view> methods{};
    std::size_t (*usual_method)(const Garment&) = nullptr;
    // The ways in which an amount of zero does something, and those open to a garment; none: no way, every way.
    bool (*zero_works)(std::size_t method) = nullptr;
    bool (*method_serves)(const Garment&, std::size_t method) = nullptr;
    // Where a way usually carries other amounts than the row says.
    UsualAmounts (*usual)(std::size_t method) = nullptr;
    // The posture that was noted calls for it, though it says no amount.
    bool (*noted)(const Posture&) = nullptr;
    // Done in one go with that one when both are accepted: nobody trims a hem to add to it.
    std::optional<AdjustmentKind> joins{};
    AtJoin at_join = AtJoin::Alike;
    // In place of `apply` for what goes with the part above: done by itself unless it is declined.
    Outcome<Applied> (*apply_across)(const Garment&, const Across&, const Dose&) = nullptr;
    AtCentre at_centre = AtCentre::Clear;
    bool reads_above = false;  // it does what the part above is, not only how the two were drawn
    // Where it takes an amount at each place; one without a place is then of all of them.
    std::span<const AmountPlace> places{};
    bool at_waist_stations = false;  // its places are the stations of the waist (core/paper/redraw/waist.h)
    bool when_sewn = false;          // with the sewn garment, and only then; all others on paper, before
};

}  // namespace sartorum
