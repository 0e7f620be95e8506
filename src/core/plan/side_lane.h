// side_lane.h: one side of a garment on its way: what is done to its paper in one turn, and what follows from
// that. Not for other rooms.
#pragma once
#include "core/paper/shaped_band.h"
#include "core/plan/adjustment_sequence.h"
#include "core/plan/single_adjustment.h"

namespace sartorum {

class Lane {
public:
    Lane(Side which, const Plan& plan, const Trail::Ground& ground, std::vector<PlanLine>& lines,
         std::vector<Step>& steps)
        : side{which}, plan_{plan}, ground_{ground}, lines_{lines}, steps_{steps}
    {
    }

    Side side;
    std::shared_ptr<const Standing> standing;

    [[nodiscard]] const PartState& part(PartKind kind) const { return standing->parts[part_at(kind)]; }
    [[nodiscard]] std::optional<Across> across_for(PartKind below) const;
    [[nodiscard]] bool asked_of(const Adjustment&, PartKind) const;
    [[nodiscard]] FittingState state_before(const FittingTurn&, const BodySet&, const Across*) const;
    [[nodiscard]] std::size_t steps() const { return steps_.size(); }

    // Left to be done in one go with another.
    void carry(PartKind, AdjustmentKind to, Length amount);
    // What one above left to this one.
    [[nodiscard]] Length carried(PartKind, AdjustmentKind) const;

    // Nothing has changed yet; none where there is nothing to do.
    [[nodiscard]] std::optional<Attempted> attempt(const FittingTurn&, const Across*, const PlanLine&) const;
    // What is sewn to a changed edge goes with it: the pieces of no part.
    using Others = std::shared_ptr<const std::vector<Piece>>;
    [[nodiscard]] Outcome<Others> followed(Applied&, PartKind) const;
    void commit(const FittingTurn&, PlanLine&, Attempted, Others);
    void add(PlanLine line) { lines_.push_back(std::move(line)); }

    // The same piece of paper, and the same to be done with it, as the last time: then so is what comes of it.
    [[nodiscard]] bool taken_over(std::size_t turn, const FittingTurn&, PlanLine&, const LastTime&, LastSide&);

    // Last of all, from the final edges: what lies under them.
    void draw_facings(const Garment& traced, std::vector<NotMade>&);

private:
    [[nodiscard]] std::size_t part_at(PartKind) const;
    [[nodiscard]] bool is_made(const Seam&) const;
    [[nodiscard]] std::vector<StandsOn> sewn_by(const Seam&, const Garment& traced) const;
    Outcome<bool> drawn_alone(Piece& facing, const Seam&, const std::vector<StandsOn>&, bool made);
    void draw_facing(const Garment& traced, const Seam&, PlanLine&, bool made, std::vector<NotMade>&);

    const Plan& plan_;
    const Trail::Ground& ground_;
    std::vector<PlanLine>& lines_;
    std::vector<Step>& steps_;
};

// The piece as it stands there.
[[nodiscard]] const Piece& piece_in(const Standing&, const Piece& traced);

}  // namespace sartorum
