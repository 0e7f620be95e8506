// plan_map.h: the plan seen whole: the pieces as bought and as planned; each change that stands out has a tag in
// the margin, tied to its place by a leader, and a mark wherever it touches. A mark can be taken hold of and
// dragged.
#pragma once
#include "desk/plan/map/tag.h"
#include "desk/plan/map/tag_layout.h"
#include "desk/plan/pad/other_way.h"
#include "desk/shared/laid_out.h"

namespace sartorum::desk {

class PlanMap : public QWidget {
    Q_OBJECT
public:
    PlanMap(Look&, Room&, OtherWay&, QWidget* parent = nullptr);
    void choose(AdjustmentKind);
    void refresh();
    // The plan as it stood before the last answer, shown beneath; empty: no more.
    void compare_with(std::vector<Piece> before);
    [[nodiscard]] std::vector<AdjustmentKind> shown() const;  // in fitting order
    [[nodiscard]] Tag* tag_of(AdjustmentKind) const;
    [[nodiscard]] std::vector<QLineF> leaders() const;
    [[nodiscard]] std::optional<QPointF> mark_of(AdjustmentKind) const;  // the one that is tied
    void let_go();                                                       // without keeping what was dragged
    [[nodiscard]] bool dragging() const { return drag_.has_value(); }
    // Of sides told apart the one a hand draws; none while both have one amount.
    void set_hand(std::optional<Side>);

signals:
    void opened(AdjustmentKind);
    void dragged(Length front, Length back);
    void dropped();

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void leaveEvent(QEvent*) override;
    void hideEvent(QHideEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    [[nodiscard]] Side drawn() const { return hand_.value_or(Side::Right); }
    [[nodiscard]] const Garment& altered(Side) const;
    [[nodiscard]] QPen other_side_pen() const;
    struct Shown {
        const PlanLine* line;
        Tag* tag;
        std::vector<QPointF> marks;
        std::size_t tied = 0;  // which of the marks
        Seat seat;
    };
    struct Drag {
        QPointF from;
        QPointF a_millimetre;  // how the mark moves on the screen with a millimetre of the amount
        Length front;
        Length back;
    };
    [[nodiscard]] QRectF area() const;
    void lay_pieces(const QRectF& inner);
    void find_marks();
    void tie();
    void show_tags();
    [[nodiscard]] std::vector<QPointF> marks_of(const PlanLine&, const Garment&) const;
    [[nodiscard]] std::optional<AdjustmentKind> mark_at(QPointF) const;
    [[nodiscard]] std::optional<Drag> taken_hold(AdjustmentKind, QPointF) const;
    void point_at(std::optional<AdjustmentKind>);
    void draw_pieces(QPainter&);
    void draw_change(QPainter&, const BeforeAfter&);
    void draw_leaders(QPainter&);
    void draw_legend(QPainter&);
    Look& look_;
    Room& room_;
    OtherWay& other_;
    AdjustmentKind chosen_{};
    std::optional<AdjustmentKind> pointed_;
    std::vector<Tag*> tags_;
    std::vector<Shown> shown_;
    TagRoom space_;
    std::map<std::string, LaidPiece> laid_;
    QTransform sheet_to_screen_;
    std::vector<Piece> before_;
    std::optional<Drag> drag_;
    std::optional<Side> hand_{};
};

}  // namespace sartorum::desk
