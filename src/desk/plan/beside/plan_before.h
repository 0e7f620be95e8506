// plan_before.h: the plan as it stood before the last answer: its pieces, and in words what has changed since.
#pragma once
#include <map>

#include "desk/room.h"

namespace sartorum::desk {

struct BothSides {
    Length right;
    Length left;
};

class PlanBefore {
public:
    // As this wearer's plan for this pattern stands now; what stood before is kept when something on paper is
    // otherwise. Another wearer's or pattern's has none before.
    void take(const Computed&, std::optional<notebook::Id> wearer);
    [[nodiscard]] bool known() const { return !before_.pieces.empty(); }
    [[nodiscard]] const std::vector<Piece>& pieces() const { return before_.pieces; }
    [[nodiscard]] QString changes(Unit) const;

private:
    struct Stood {
        std::shared_ptr<const Pattern> pattern;
        std::optional<notebook::Id> wearer;
        std::vector<Piece> pieces;
        std::map<AdjustmentKind, BothSides> taken;  // what was accepted, and its amount
    };
    Stood now_;
    Stood before_;
};

}  // namespace sartorum::desk
