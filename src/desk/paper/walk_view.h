// walk_view.h: one seam walked: the far edge rolled along the near one, and how far it is ahead, stretch by
// stretch.
#pragma once
#include <QTimer>

#include "core/check/seam_run.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

class QSlider;

namespace sartorum::desk {

class WalkView : public QWidget {
    Q_OBJECT
public:
    WalkView(Look&, Room&, QWidget* parent = nullptr);
    void show_seam(std::size_t seam);
    void play();
    [[nodiscard]] std::size_t seam() const { return seam_; }

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    struct Shown {
        SeamRun a;
        SeamRun b;
        Length meant;  // how much longer b is to be
        std::vector<Stretch> stretches;
    };
    void refresh();
    void describe();
    [[nodiscard]] Length along() const;
    [[nodiscard]] QString side_named(bool second) const;
    void draw_rolled(QPainter&, const QRectF&);
    void draw_difference(QPainter&, const QRectF&);
    Look& look_;
    Room& room_;
    Garment sewn_;  // what the seams are of
    std::size_t seam_ = 0;
    std::optional<Shown> shown_;
    Choices* seams_ = nullptr;
    std::string offered_;
    QSlider* roll_;
    Button* play_;
    QTimer film_;
};

}  // namespace sartorum::desk
