// chart_station.h: the wearer against every size; the size or blend, its reason, its cost, its ease.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class Strips;
class EaseTable;

class ChartStation : public QWidget {
    Q_OBJECT
public:
    ChartStation(Look&, Room&, QWidget* parent = nullptr);

signals:
    void chart_typing_wanted();
    void chart_pasting_wanted();
    void chart_import_wanted();
    void chart_correcting_wanted();
    void tape_wanted();
    void flat_wanted();  // its tissue measured, or a girth of it
    void plan_wanted();

private:
    QWidget* build_pad(QWidget* parent);
    void build_choice(QVBoxLayout*, QWidget* pad);
    void refresh();
    void refresh_choice();
    void refresh_ease();
    [[nodiscard]] QStringList laid_flat() const;
    void pick(Measure, std::size_t size);
    void step(Measure, int by);
    void toggle_blend();
    void pick_school(int);
    Look& look_;
    Room& room_;
    QWidget* no_chart_;
    QWidget* no_body_;
    QWidget* work_;
    Strips* strips_;
    QLabel* title_;
    QLabel* reason_;
    QLabel* firm_;
    QWidget* group_place_;
    QWidget* school_place_;
    QLabel* school_reason_;
    QLabel* cup_;
    QLabel* costs_;
    EaseTable* ease_;
    QLabel* ease_note_;
    QLabel* notes_;
    Button* wear_;
    Button* flat_;
    Button* take_;
    Button* advised_;
};

}  // namespace sartorum::desk
