// other_way.h: the garment had one change been answered the other way: without what is accepted, with what is
// proposed. Worked out when it is asked for, kept until the plan changes.
#pragma once
#include <map>

#include "core/plan/other_answer.h"
#include "desk/room.h"

namespace sartorum::desk {

struct BeforeAfter {
    std::vector<Piece> before;
    std::vector<Piece> after;
};

class OtherWay : public QObject {
    Q_OBJECT
public:
    explicit OtherWay(Room&, QObject* parent = nullptr);
    // None where nothing would be different on paper.
    [[nodiscard]] std::optional<BeforeAfter> of(AdjustmentKind, Side = Side::Right);

private:
    struct Known {
        bool with = false;  // the change is in it; else it is without
        std::optional<Otherwise> pieces;
    };
    Room& room_;
    std::map<AdjustmentKind, Known> known_;
};

}  // namespace sartorum::desk
