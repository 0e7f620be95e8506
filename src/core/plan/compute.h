// compute.h: everything that follows from pattern, chart, body and plan: the one place where it is worked out.
#pragma once
#include <array>
#include <memory>

#include "core/check/walk.h"
#include "core/plan/doubts.h"
#include "core/plan/plan.h"

namespace sartorum {

// All that goes in. What stays while a hand drags is held, not copied.
struct Work {
    std::shared_ptr<const Pattern> pattern;
    std::shared_ptr<const SizeChart> chart;  // as printed, with all its groups
    std::shared_ptr<const BodySet> body;     // as measured
    Plan plan;
    // The chart's sizes of the plan's group, and the body as the garment is worn.
    [[nodiscard]] SizeChart sizes() const { return chart->of_group(plan.chart_group); }
    [[nodiscard]] BodySet worn_by() const { return as_worn(*body, plan.choosing.seated); }
};
[[nodiscard]] Work work_of(Pattern, SizeChart, BodySet, Plan);

enum class LineState {
    Proposed,  // waits for an answer
    LeaveIt,   // inside the measuring noise
    Accepted,  // applied
    Declined,
    NothingKnown,  // no measure to propose from; may be added by hand
    Refused,       // accepted, but the paper does not carry it
    NotOnPaper,    // the measures ask for it, and this paper cannot do it: not proposed
};

// What an applied adjustment changed.
struct Consequences {
    std::array<Length, garment_measure_count> by{};
    [[nodiscard]] Length of(GarmentMeasure m) const { return by[static_cast<std::size_t>(m)]; }
};

// Left and right of one change.
//   Alike        nothing was read apart that it is proposed from
//   WithinNoise  what was read apart says the same
//   Larger       the larger is fitted on both sides
//   Apart        each side gets its own
//   Together     it moves the centre: the larger on both
enum class Sided { Alike, WithinNoise, Larger, Apart, Together };
struct TwoSides {
    Sided how = Sided::Alike;
    // What each side's measures ask for, where they are not alike.
    std::optional<Proposal> right{};
    std::optional<Proposal> left{};
};

struct PlanLine {
    AdjustmentKind kind{};
    PartKind part{};
    LineState state = LineState::NothingKnown;
    std::optional<Proposal> proposal;
    Length amount;  // her own, else the proposed; the front's where front and back differ
    Length back;
    std::vector<Length> at{};  // at the adjustment's places, where it has some; amount is then the furthest
    bool own_amount = false;
    std::string seen_on{};   // accepted as it was seen on the toile of that day
    bool by_itself = false;  // goes with the part above; nobody had to accept it
    std::size_t method = 0;
    // Decided before something above it was: to be looked at again.
    std::optional<AdjustmentKind> look_again{};
    std::vector<Caution> cautions{};  // done, and yet unusual
    bool noted = false;               // the posture noted calls for it
    std::optional<Refusal> refusal;
    // The measures ask for more than this; the amount is the most the paper carries.
    std::optional<Refusal> short_of{};
    TwoSides sides{};                  // of the right side's line, for both
    std::optional<Side> refused_on{};  // where it is refused because of one side
    Consequences changed;
    std::size_t first_step = 0;
    std::size_t steps = 0;
};

// Accepted, and yet not on the paper: why, and with that the way out. Amounts stay in the plan as they were given.
struct NotDone {
    AdjustmentKind kind{};
    Refusal why;
};

// The left side, where it is not as the right: the same lines, one by one, and its own half of each piece.
struct LeftSide {
    Garment altered;
    FlatMeasures flat;
    std::vector<PlanLine> lines;
    std::vector<Step> steps;
    Checks checks;
    std::vector<Step> traced{};  // what has to be traced for each side
    // The right side's alone: what stands in Computed is then of both (both_sides.h).
    FlatMeasures right_flat{};
    Checks right_checks{};
};

class Trail;  // how the garment stood between the adjustments (recompute)

struct Computed {
    Work work;
    Garment bought;  // one size as printed
    Garment traced;  // after blending
    Garment altered;
    FlatMeasures traced_flat;
    FlatMeasures altered_flat;
    std::vector<PlanLine> lines;
    std::vector<Step> steps;  // tracing first
    std::size_t trace_steps = 0;
    Checks checks;
    std::vector<NotDone> not_done{};  // in fitting order
    // What the plan makes otherwise than the pattern, and could not.
    std::vector<NotMade> not_made{};
    // Looked at before anything is proposed; none once the plan says that it is meant so.
    std::vector<Doubt> doubts{};
    // None: what stands above is of both sides. Else `altered`, `lines` and `steps` are the right side's; checks
    // and measures are of the whole garment.
    std::optional<LeftSide> left{};
    std::shared_ptr<const Trail> trail{};
    // One for each adjustment that serves a part of this garment, in fitting order; the uppermost part's.
    [[nodiscard]] const PlanLine* line(AdjustmentKind) const;
    [[nodiscard]] const PlanLine* line(AdjustmentKind, PartKind) const;  // that part's
    // The left side's line beside one of these; none where both sides are one.
    [[nodiscard]] const PlanLine* left_of(const PlanLine&) const;
};

// The sizes must exist in chart and pattern alike. The chart prints what each part is chosen by. Nothing is
// thrown: a drawing the paper cannot be worked out from is refused.
[[nodiscard]] Outcome<Computed> compute(Work);
[[nodiscard]] Outcome<Computed> compute(const Pattern&, const SizeChart&, const BodySet&, const Plan&);
// The same as compute(), from what was computed before: what lies above the first decision that changed, and the
// seams of pieces that stayed as they were, are not worked out again. The second time on: how the garment stood
// between the adjustments is kept only once it is asked for.
[[nodiscard]] Outcome<Computed> recompute(Computed before, Work);

}  // namespace sartorum
