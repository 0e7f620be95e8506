// plan.h: which sizes, which adjustments, by how much; and everything that follows, computed.
//
// A plan holds only what the sewist decided. Proposals, altered paper, steps and checks come out of pattern +
// chart + body + plan by compute(), and are never stored.
#pragma once
#include "core/alter/catalogue.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"
#include "core/check/walk.h"

namespace sartorum {

enum class Answer { Accepted, Declined };

struct Decision {
    AdjustmentKind kind{};
    Answer answer = Answer::Accepted;
    std::optional<Length> amount;  // her own; none follows the proposal
};

struct Plan {
    std::string waist_size;
    std::string hip_size;
    std::vector<Decision> decisions;  // at most one a kind
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

// What an applied adjustment changed all round.
struct Consequences {
    Length waist;
    Length hip;
    Length hem;
    Length side;
    Length band;
};

struct PlanLine {
    AdjustmentKind kind{};
    LineState state = LineState::NothingKnown;
    std::optional<Proposal> proposal;
    Length amount;  // her own, else the proposed
    bool own_amount = false;
    std::optional<Refusal> refusal;
    Consequences changed;
    std::size_t first_step = 0;
    std::size_t steps = 0;
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
};

// The sizes must exist in chart and pattern alike, and the chart print waist and hip.
[[nodiscard]] Outcome<Computed> compute(const Pattern&, const SizeChart&, const BodySet&, const Plan&);

}  // namespace sartorum
