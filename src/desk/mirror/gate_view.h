// gate_view.h: the gate before good cloth: what changed since a body saw it last, by how much, and what a new look
// costs. And the versions, one after the other, with what changed from each to the next.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QBoxLayout;
class QVBoxLayout;

namespace sartorum::desk {

class GateView : public Panel {
    Q_OBJECT
public:
    GateView(Look&, Room&, QWidget* parent = nullptr);
    void refresh();
    void take_focus();

signals:
    void sheet_wanted();  // the toile sheet
    void passed();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Room& room_;
    QBoxLayout* ways_;
    QLabel* title_;
    QLabel* said_;
    QLabel* moved_;
    Button* sheet_;
    Button* pass_;
    bool open_ = false;
    bool asked_ = false;  // once, where it is not open
    QString yellow_;      // what it was asked about
};

class VersionsView : public QWidget {
    Q_OBJECT
public:
    VersionsView(Look&, Room&, QWidget* parent = nullptr);
    void refresh();

private:
    Look& look_;
    Room& room_;
    QVBoxLayout* rows_;
    QWidget* inside_ = nullptr;
    QWidget* frame_;
    QString shown_;
};

}  // namespace sartorum::desk
