#include "desk/plan/other_way.h"

#include "core/plan/overview.h"

namespace sartorum::desk {

OtherWay::OtherWay(Room& room, QObject* parent) : QObject{parent}, room_{room}
{
    connect(&room, &Room::changed, this, [this] {
        if (!room_.trying()) known_.clear();
    });
}

std::optional<std::vector<Piece>> OtherWay::worked_out(AdjustmentKind kind) const
{
    const auto& c = *room_.computed();
    Work work = c.work;
    const bool taken = c.line(kind)->state == LineState::Accepted;
    Decision d = work.plan.decision(kind) ? *work.plan.decision(kind) : Decision{kind, Answer::Accepted, {}};
    d.answer = taken ? Answer::Declined : Answer::Accepted;
    work.plan.decide(d);
    auto other = compute(std::move(work));
    if (!other) return std::nullopt;
    return std::move(other->altered.pieces);
}

std::optional<BeforeAfter> OtherWay::of(AdjustmentKind kind)
{
    if (!room_.computed()) return std::nullopt;
    const PlanLine* line = room_.computed()->line(kind);
    if (!line) return std::nullopt;
    const auto standing = shows_as(*line);
    if (standing != Shows::Accepted && standing != Shows::Proposed) return std::nullopt;
    auto known = known_.find(kind);
    if (known == known_.end()) known = known_.emplace(kind, worked_out(kind)).first;
    if (!known->second) return std::nullopt;
    const auto& now = room_.computed()->altered.pieces;
    if (standing == Shows::Accepted) return BeforeAfter{*known->second, now};
    return BeforeAfter{now, *known->second};
}

}  // namespace sartorum::desk
