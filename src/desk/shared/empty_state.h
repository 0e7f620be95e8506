// empty_state.h: what a station shows before it has anything: an outline, one sentence, what to do, one action.
#pragma once
#include "desk/shared/parts.h"

class QHBoxLayout;

namespace sartorum::desk {

class EmptyState : public Panel {
    Q_OBJECT
public:
    struct Action {
        QString text;
        std::function<void()> run;
    };
    EmptyState(Look&, const QString& sentence, const QString& what, const std::vector<Action>&,
               QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;
};

}  // namespace sartorum::desk
