// large_step.h: one step, as large as the window: read from across the room, advanced by a click anywhere or
// Space.
#pragma once
#include "desk/room.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

class LargeStep : public QWidget {
    Q_OBJECT
public:
    LargeStep(Look&, Room&, QWidget* over);  // covers that widget
    void open();
    // The words at the size they are drawn; all of them have room.
    [[nodiscard]] double text_px() const;

signals:
    void step_wanted(int);

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    struct Words {
        QString place;  // "Bodice back, 7 of 37"
        QString title;
        QString detail;
    };
    [[nodiscard]] Words words_here() const;
    [[nodiscard]] QRectF text_room() const;
    [[nodiscard]] double needed(const Words&, double px) const;
    void next();
    void describe();
    Look& look_;
    Room& room_;
};

}  // namespace sartorum::desk
