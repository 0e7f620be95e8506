// donning_view.h: putting it on: what passes through what, as lengths beside each other, and the opening it takes.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class GoesOnView : public Panel {
    Q_OBJECT
public:
    GoesOnView(Look&, Room&, QWidget* parent = nullptr);

private:
    void refresh();
    void add(const QString& what, const QString& text, QWidget* drawn);
    Room& room_;
    QWidget* inside_;
    QVBoxLayout* column_;
};

}  // namespace sartorum::desk
