// chart_station.h: the wearer against every size; the size or blend, its reason, its cost, its ease.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Strips;
class EaseTable;

class ChartStation : public QWidget {
    Q_OBJECT
public:
    ChartStation(Look&, Room&, QWidget* parent = nullptr);

signals:
    void chart_typing_wanted();
    void chart_import_wanted();
    void tape_wanted();
    void plan_wanted();

private:
    QWidget* build_pad(QWidget* parent);
    void refresh();
    void pick(Measure, std::size_t size);
    void step(Measure, int by);
    Look& look_;
    Room& room_;
    QWidget* no_chart_;
    QWidget* no_body_;
    QWidget* work_;
    Strips* strips_;
    QLabel* title_;
    QLabel* reason_;
    QLabel* firm_;
    QLabel* costs_;
    EaseTable* ease_;
    QLabel* ease_note_;
    Button* take_;
    Button* advised_;
};

}  // namespace sartorum::desk
