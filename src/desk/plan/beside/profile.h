// profile.h: girth against height: the body, the pattern as traced, the plan.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Profile : public Panel {
    Q_OBJECT
public:
    Profile(Look&, Room&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void describe();
    Room& room_;
};

}  // namespace sartorum::desk
