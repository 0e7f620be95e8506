#include "desk/plan/pad/other_way.h"

#include "core/plan/overview.h"

namespace sartorum::desk {

OtherWay::OtherWay(Room& room, QObject* parent) : QObject{parent}, room_{room}
{
    // Without the one that is tried the garment is as it was; every other one goes with it.
    connect(&room, &Room::changed, this,
            [this] { std::erase_if(known_, [&](const auto& k) { return k.first != room_.tried(); }); });
}

std::optional<BeforeAfter> OtherWay::of(AdjustmentKind kind, Side side)
{
    if (!room_.computed()) return std::nullopt;
    const auto& c = *room_.computed();
    const PlanLine* line = c.line(kind);
    if (!line) return std::nullopt;
    const auto shows = shows_as(*line);
    if (shows != Shows::Accepted && shows != Shows::Proposed) return std::nullopt;
    const bool with = shows == Shows::Proposed;
    auto known = known_.find(kind);
    if (known == known_.end() || known->second.with != with)
        known = known_.insert_or_assign(kind, Known{with, answered_otherwise(c, kind)}).first;
    if (!known->second.pieces) return std::nullopt;
    const bool left = side == Side::Left;
    const auto& now = left && c.left ? c.left->altered.pieces : c.altered.pieces;
    const auto& other = left ? known->second.pieces->left : known->second.pieces->right;
    return with ? BeforeAfter{now, other} : BeforeAfter{other, now};
}

}  // namespace sartorum::desk
