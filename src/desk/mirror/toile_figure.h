// toile_figure.h: the picture of the Mirror: the wearer with the toile on, from the front and the back or from
// both sides, or her sleeves by themselves, and every sight where it is seen, with its number.
#pragma once
#include <vector>

#include "desk/mirror/mirror_state.h"
#include "desk/mirror/toile_body.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

enum class FigureView { FrontAndBack, Sides, Sleeves };

class ToileFigure : public QWidget {
    Q_OBJECT
public:
    ToileFigure(Look&, MirrorState&, QWidget* parent = nullptr);
    void see(FigureView);
    [[nodiscard]] FigureView view() const { return view_; }
    // Where on the widget that note's badge is; for hands that press.
    [[nodiscard]] QPointF badge_of_note(int note) const;

signals:
    // Somebody points at a place of the figure: what is usual near it first.
    void pointed(SeenFrom, FigurePoint, std::optional<Side>, QPoint on_screen);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    struct OneFigure {  // one figure
        SeenFrom from{};
        std::optional<Side> side{};  // of what is seen from a side
        QRectF box;
    };
    struct Placed {
        int note = 0;
        int figure = 0;
        std::vector<QPointF> spots;  // where it is drawn, the first with the leader
        QPointF badge;
    };
    void lay_out();
    [[nodiscard]] std::vector<OneFigure> figures() const;
    [[nodiscard]] double name_room() const;
    [[nodiscard]] double unit() const;
    [[nodiscard]] QPointF at(const OneFigure&, QPointF figure) const;
    [[nodiscard]] std::vector<QPointF> spots_of(const OneFigure&, const Note&) const;
    void draw_figure(QPainter&, const OneFigure&) const;
    void draw_name(QPainter&, const OneFigure&) const;
    void draw_sight(QPainter&, const Note&, QPointF figure, bool mirrored) const;
    Look& look_;
    MirrorState& state_;
    ToileBody body_;
    FigureView view_{};
    std::vector<Placed> placed_;
};

// The mark of a note: ink pinked = seen clearly, weld square = slight, small dot = gone, hollow = not asked yet.
enum class NoteMark { Clear, Slight, Gone, Waits };
[[nodiscard]] NoteMark note_mark(const MirrorState&, int note);
void draw_note_mark(QPainter&, const Look&, QPointF centre, NoteMark, const QString& number, bool chosen);

}  // namespace sartorum::desk
