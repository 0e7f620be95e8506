// plan_station.h: the plan seen whole on its pieces, and beside it one change large, what follows, what comes out.
#pragma once
#include <QTimer>

#include "core/plan/overview.h"
#include "desk/plan/beside/plan_before.h"
#include "desk/room.h"
#include "desk/shared/acts.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class ChangePad;
class DoubtView;
class NotDoneView;
class OtherWay;
class PlanMap;
class QuietList;
class WaistView;
class ZoneStrip;

class PlanStation : public QWidget {
    Q_OBJECT
public:
    PlanStation(Look&, Room&, QWidget* parent = nullptr);
    void show_adjustment(AdjustmentKind);

signals:
    void pattern_wanted();
    void chart_wanted();
    void paper_wanted();

protected:
    void keyPressEvent(QKeyEvent*) override;
    void keyReleaseEvent(QKeyEvent*) override;
    void hideEvent(QHideEvent*) override;

private:
    [[nodiscard]] bool take_key(Act, bool far);  // whether it did something here
    void build_picture(QWidget* frame);
    void build_pad(QWidget* side);
    void refresh();
    void refresh_sums();
    void open(AdjustmentKind);
    void show_open();
    void show_beside();
    [[nodiscard]] bool has_legs() const;
    [[nodiscard]] bool has_waist() const;
    void show_waist();
    void open_beside(int way);
    void beside(int view);
    void list_quiet(const std::vector<Zone>&);
    void show_picture();
    void compare(bool on);
    void nudge(double steps, bool fine);
    void settle_nudge();
    Look& look_;
    Room& room_;
    OtherWay* other_;
    QWidget* no_pattern_;
    QWidget* no_sizes_;
    QWidget* work_;
    QWidget* held_up_;  // computed nothing: why
    QLabel* held_up_why_;
    AdjustmentKind current_ = AdjustmentKind::WaistToHip;
    ZoneStrip* strip_;
    PlanMap* map_;
    QuietList* quiet_;
    ChangePad* change_;
    WaistView* waist_;
    QLabel* left_;
    Button* all_;
    Button* zone_;
    Button* onwards_;
    DoubtView* doubts_;
    NotDoneView* not_done_;
    QTimer settle_;
    Choices* beside_;
    QStringList passing_;          // what keeps it from going on
    std::vector<QWidget*> views_;  // beside the plan, one at a time
    bool top_ = true;
    QLabel* trouble_;
    PlanBefore before_;
    bool comparing_ = false;
};

}  // namespace sartorum::desk
