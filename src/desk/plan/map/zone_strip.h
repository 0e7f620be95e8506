// zone_strip.h: the zones on one thread in fitting order, sewn as far as they are answered; the marks of what
// stands out, and one quiet line a zone for what does not.
#pragma once
#include "desk/plan/map/mark.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class ZoneStrip : public QWidget {
    Q_OBJECT
public:
    ZoneStrip(Look&, Room&, QWidget* parent = nullptr);
    void refresh(const std::vector<AdjustmentKind>& shown, AdjustmentKind chosen);

signals:
    void opened(AdjustmentKind);
    void zone_wanted(Zone);  // what is left alone there

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;

private:
    struct OnThread {
        AdjustmentKind kind;
        Shows standing;
        QString number;
        QPointF at;
    };
    struct Cell {
        Zone zone{};
        QRectF at;
        Button* more = nullptr;
        QString count;
        std::vector<OnThread> marks;
        bool answered = false;
        int quiet = 0;  // left alone
    };
    void lay_out();
    Look& look_;
    Room& room_;
    AdjustmentKind chosen_{};
    std::vector<Cell> cells_;
    std::vector<Button*> buttons_;
    QStringList drawn_;
};

}  // namespace sartorum::desk
