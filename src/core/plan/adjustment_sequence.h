// adjustment_sequence.h: a garment on its way through the adjustments, turn by turn, its right and its left side
// in step. Not for other rooms.
#pragma once
#include <memory>
#include <set>

#include "core/plan/compute.h"
#include "core/plan/measured.h"

namespace sartorum {

// One part on its way through the adjustments. Papers are shared: how a part stood is kept by holding it.
struct PartState {
    PartKind kind;
    std::shared_ptr<const Garment> traced;
    std::shared_ptr<const Garment> now;
    Measured measured;
    FlatMeasures traced_flat;
    std::array<Length, adjustment_count> done{};
    std::array<Length, adjustment_count> done_back{};
    // What an adjustment left to be done together with another.
    std::array<Length, adjustment_count> carried{};
    std::vector<Length> waist_moved_by{};  // at its stations
};

// A garment between two adjustments: its parts, and what belongs to none.
struct Standing {
    std::vector<PartState> parts;
    std::shared_ptr<const std::vector<Piece>> others;
    Measured others_measured;
};

// Before each turn: how the garment stood, and how many lines and steps there were. As long as nothing was done
// otherwise on the left it stands there as on the right.
class Trail {
public:
    struct Stop {
        std::shared_ptr<const Standing> standing;
        std::size_t lines = 0;
        std::size_t steps = 0;
        std::shared_ptr<const Standing> left{};  // none where the left was not taken apart
        std::size_t left_steps = 0;
    };
    // What no decision changes.
    // Two parts that are sewn together, as they were drawn in the size of the waist.
    struct Join {
        PartKind above;
        PartKind below;
        Joint joint;
    };
    struct Ground {
        std::vector<FittingTurn> order;
        std::vector<Seam> followers;
        std::vector<Join> joins;
        SizeChart chart;  // of the plan's group
        BodySet body;     // as the garment is worn
        SizesAt sizes;
        School school{};       // the frame's size was chosen by
        bool doubted = false;  // nothing is proposed
        std::vector<NotMade> not_made{};
        // As if both sides were the one; none where the measures of both are alike.
        std::optional<BodySet> right_body{};
        std::optional<BodySet> left_body{};
        [[nodiscard]] const BodySet& body_of(Side side) const
        {
            const auto& own = side == Side::Left ? left_body : right_body;
            return own ? *own : body;
        }
    };
    std::shared_ptr<const Ground> ground;
    std::vector<Stop> before;  // one a turn, and one for the end
};

// How it went the last time on one side, from the turn that is taken up again: what comes to the same is taken
// over.
struct LastSide {
    std::vector<PlanLine> lines;
    std::vector<Step> steps;
    std::size_t first_step = 0;
};
struct LastTime {
    std::vector<Trail::Stop> stops;
    std::size_t first_line = 0;
    LastSide right;
    std::optional<LastSide> left;
};

[[nodiscard]] Standing standing_traced(const std::vector<PartKind>& kinds, const Garment& traced);
// Of the whole garment; where two parts have the same measure, the upper one's.
[[nodiscard]] FlatMeasures flat_of(const Standing& s);
// The garment as it stands, from how it was before: only what changed is copied. The ids of those pieces.
[[nodiscard]] std::set<std::string> bring_up_to(Garment& g, const Standing& standing);

// Of an adjustment that was accepted and has something to do.
[[nodiscard]] bool asks_to_look_again(const PlanLine&);

[[nodiscard]] bool accepted(const Plan& plan, AdjustmentKind kind, PartKind part);
// Which decision of something above came after this one.
[[nodiscard]] std::optional<AdjustmentKind> changed_above(const Plan& plan, AdjustmentKind kind);

struct AfterTurns {
    std::shared_ptr<const Standing> right;
    std::shared_ptr<const Standing> left;  // none where both sides are one
};
// Takes the garment from one of its turns to the end; lines and steps are added to `out`. How it stood before each
// turn is kept in the trail only where that will be asked for.
[[nodiscard]] AfterTurns taken_to_end(Computed& out, Trail&, std::size_t from_turn, bool keep,
                                      LastTime* last = nullptr);

}  // namespace sartorum
