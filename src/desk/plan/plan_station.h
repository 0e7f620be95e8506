// plan_station.h: the proposed adjustments in fitting order, and the room they make all the way down.
#pragma once
#include <QTimer>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QScrollArea;

namespace sartorum::desk {

class Card;
class DoubtView;
class NotDoneView;
class ZoneBox;

class PlanStation : public QWidget {
    Q_OBJECT
public:
    PlanStation(Look&, Room&, QWidget* parent = nullptr);
    void show_adjustment(AdjustmentKind);  // opened, and in sight

signals:
    void pattern_wanted();
    void chart_wanted();
    void paper_wanted();

protected:
    void keyPressEvent(QKeyEvent*) override;
    void keyReleaseEvent(QKeyEvent*) override;
    void hideEvent(QHideEvent*) override;

private:
    void refresh();
    void open(AdjustmentKind);
    void accept_all();
    void show_beside();
    void open_beside(int way);
    void nudge(double tenths);
    void settle_nudge();
    [[nodiscard]] Card* current() const;
    Look& look_;
    Room& room_;
    QWidget* no_pattern_;
    QWidget* no_sizes_;
    QWidget* work_;
    std::vector<Card*> cards_;
    AdjustmentKind current_ = AdjustmentKind::WaistToHip;
    QLabel* left_;
    Button* all_;
    Button* onwards_;
    QScrollArea* scroll_;
    std::vector<ZoneBox*> zones_;
    DoubtView* doubts_;
    NotDoneView* not_done_;
    QTimer settle_;
    Choices* beside_;
    std::vector<QWidget*> views_;  // beside the plan, one at a time
    bool top_ = true;
    QLabel* trouble_;
};

}  // namespace sartorum::desk
