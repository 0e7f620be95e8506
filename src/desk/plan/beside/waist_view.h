// waist_view.h: half the waist unrolled with its stations, the old line and the smooth new one; a station is
// dragged, stepped with the keys, or typed.
#pragma once
#include <QTimer>

#include "core/plan/waist.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

// The picture: arrows left and right take a station in hand, up and down move it.
class WaistPicture : public QWidget {
    Q_OBJECT
public:
    WaistPicture(Look&, Room&, QWidget* parent);
    void set_side(std::optional<Side>);  // whose stations are moved; both sides'

signals:
    void moved(std::size_t station, Length by);  // tried, not kept
    void settled();
    void dropped();
    void in_hand(std::size_t station);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void keyReleaseEvent(QKeyEvent*) override;
    void focusOutEvent(QFocusEvent*) override;

private:
    struct Laid {
        WaistUnrolled waist;
        QRectF box;
        double across = 1;  // pixels a millimetre
        double up = 1;
        double base = 0;  // the height at the lower edge of the box
        [[nodiscard]] QPointF at(Length along, Length height) const;
    };
    [[nodiscard]] std::optional<Laid> laid() const;
    [[nodiscard]] const WaistHalf& half(const Laid&) const;
    [[nodiscard]] QPointF handle(const Laid&, std::size_t station) const;
    void draw_line(QPainter&, const Laid&, const WaistHalf&, bool redrawn) const;
    void draw_cloth(QPainter&, const Laid&) const;
    void draw_stations(QPainter&, const Laid&) const;
    void settle();
    Look& look_;
    Room& room_;
    std::optional<Side> side_{};
    std::size_t station_ = 0;
    struct Drag {
        QPointF from;
        Length was;
    };
    std::optional<Drag> drag_{};
    QTimer settle_;
};

class WaistView : public Panel {
    Q_OBJECT
public:
    WaistView(Look&, Room&, QWidget* parent = nullptr);
    void take_focus();

private:
    void build(QWidget* inside);
    void refresh();
    void describe(const WaistUnrolled&, const PlanLine&);
    [[nodiscard]] const PlanLine* line() const;
    [[nodiscard]] Decision with_station(std::size_t, Length) const;
    [[nodiscard]] std::optional<Side> side() const;
    [[nodiscard]] const PlanLine& shown() const;
    Room& room_;
    QLabel* said_;
    WaistPicture* picture_;
    Choices* sides_;
    std::array<QLabel*, station_count> names_{};
    std::array<LengthField*, station_count> fields_{};
    QLabel* state_;
    Button* follow_;
};

}  // namespace sartorum::desk
