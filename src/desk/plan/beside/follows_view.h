// follows_view.h: what the accepted changes ask for further on: each chain from cause to knock-on, to be accepted.
#pragma once
#include "core/plan/bust_ways.h"
#include "core/plan/knock_ons.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class FollowsView : public Panel {
    Q_OBJECT
public:
    FollowsView(Look&, Room&, QWidget* parent = nullptr);

signals:
    void opened(AdjustmentKind);

private:
    void refresh();
    void add(const KnockOn&);
    void add(const std::vector<BustWay>&);
    void take_way(const BustWay&, bool other_size);
    Room& room_;
    QVBoxLayout* chains_;
    std::vector<QWidget*> shown_;
};

}  // namespace sartorum::desk
