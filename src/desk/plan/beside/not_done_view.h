// not_done_view.h: at the head of the plan: what was accepted and is not on the paper, why, and the way out.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class NotDoneView : public Panel {
    Q_OBJECT
public:
    NotDoneView(Look&, Room&, QWidget* parent = nullptr);
    void refresh();

protected:
    void paintEvent(QPaintEvent*) override;

signals:
    void opened(AdjustmentKind);  // to change its amount or its way

private:
    void add_row(const NotDone&);
    void add_row(const NotMade&);
    Look& look_;
    Room& room_;
    QVBoxLayout* column_;
    QWidget* rows_ = nullptr;
    QStringList shown_;
};

}  // namespace sartorum::desk
