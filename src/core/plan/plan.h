// plan.h: which sizes, which adjustments, by how much; and everything that follows, computed.
//
// A plan holds only what the sewist decided. Proposals, altered paper, steps and checks come out of pattern +
// chart + body + plan by compute(), and are never stored.
#pragma once
#include <array>

#include "core/alter/catalogue.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"
#include "core/check/walk.h"

namespace sartorum {

enum class Answer { Accepted, Declined };

struct Decision {
    AdjustmentKind kind{};
    Answer answer = Answer::Accepted;
    std::optional<Length> amount;         // her own; none follows the proposal
    std::optional<Length> back{};         // the back's, where it differs from the front's
    std::optional<std::size_t> method{};  // one of the adjustment's methods; none is the usual one
};

struct Plan {
    std::string waist_size;
    std::string hip_size;
    std::vector<Decision> decisions;  // at most one a kind, in the order they were made
    std::string bust_size{};          // where the chart prints one
    std::string chart_group{};        // body type or cup range, where the chart has several
    ChoiceWish choosing{};
    Cloth cloth{};
    EaseWishes ease{};  // her own ease; the rest keeps the designer's

    [[nodiscard]] const Decision* decision(AdjustmentKind) const;
    void decide(Decision);  // replaces an earlier one of its kind
    void forget(AdjustmentKind);
};

enum class LineState {
    Proposed,  // waits for an answer
    LeaveIt,   // inside the measuring noise
    Accepted,  // applied
    Declined,
    NothingKnown,  // no measure to propose from; may be added by hand
    Refused,       // accepted, but the paper does not carry it
};

// What an applied adjustment changed: girths all round, lengths of one side.
enum class Quantity {
    Neck,
    Shoulder,
    Armhole,
    Bust,
    Waist,
    Hip,
    Side,
    CentreFront,
    CentreBack,
    Hem,
    Band,
    Cap,
    UpperArm,
    SleeveHem,
    Sleeve,
};
inline constexpr std::size_t quantity_count = 15;

struct Consequences {
    std::array<Length, quantity_count> by{};
    [[nodiscard]] Length of(Quantity q) const { return by[static_cast<std::size_t>(q)]; }
};

struct PlanLine {
    AdjustmentKind kind{};
    LineState state = LineState::NothingKnown;
    std::optional<Proposal> proposal;
    Length amount;  // her own, else the proposed; the front's where front and back differ
    Length back;
    bool own_amount = false;
    std::size_t method = 0;
    // Decided before something above it was: to be looked at again.
    std::optional<AdjustmentKind> look_again{};
    bool noted = false;  // the posture noted calls for it
    std::optional<Refusal> refusal;
    Consequences changed;
    std::size_t first_step = 0;
    std::size_t steps = 0;
};

// Accepted, and yet not on the paper: why, and with that the way out. Amounts stay in the plan as they were given.
struct NotDone {
    AdjustmentKind kind{};
    Refusal why;
};

struct Computed {
    Garment bought;  // the hip size as printed
    Garment traced;  // after blending
    Garment altered;
    FlatMeasures traced_flat;
    FlatMeasures altered_flat;
    std::vector<PlanLine> lines;
    std::vector<Step> steps;  // tracing first
    std::size_t trace_steps = 0;
    Checks checks;
    std::vector<NotDone> not_done{};  // in fitting order
    // One for each adjustment that serves this garment, in fitting order.
    [[nodiscard]] const PlanLine* line(AdjustmentKind) const;
};

// The sizes must exist in chart and pattern alike. The chart prints what the garment is chosen by: waist and hip
// for a skirt, the bust for a bodice. Nothing is thrown: a drawing the paper cannot be worked out from is refused.
[[nodiscard]] Outcome<Computed> compute(const Pattern&, const SizeChart&, const BodySet&, const Plan&);

}  // namespace sartorum
