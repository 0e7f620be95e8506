// canvas.h: the picture of the Paper: front and back with their side seams facing, the waistband beneath, on
// squared paper; the current step drawn on its piece. Zoom with the wheel or + −, pan by dragging or with Shift
// and arrows; P plays the step.
#pragma once
#include <QPixmap>
#include <QVariantAnimation>

#include "desk/paper/leg_break.h"
#include "desk/room.h"
#include "desk/shared/laid_out.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

enum class PaperView { AsBought, Step, Finished };

class Canvas : public QWidget {
    Q_OBJECT
public:
    Canvas(Look&, Room&, QWidget* parent = nullptr);
    void set_view(PaperView);
    void set_measures(bool on);
    // Long legs drawn broken, where nothing is done on the stretch left out.
    void break_legs(bool on);
    [[nodiscard]] bool breaks_legs() const { return breaks_legs_; }
    [[nodiscard]] const std::optional<LegBreak>& broken() const;
    [[nodiscard]] bool measures() const { return measures_; }
    void zoom_to_step();
    void whole();
    void zoom(double factor, QPointF about);
    void pan(QPointF by);
    [[nodiscard]] double scale() const;
    // Shows the step being done: panels move, redrawn edges go from the old line to the new.
    void play();
    [[nodiscard]] bool playing() const { return film_.state() == QVariantAnimation::Running; }
    [[nodiscard]] double played() const { return played_; }  // 0 to 1

protected:
    void paintEvent(QPaintEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;

private:
    // A piece cut for one side, or whole, as it was bought and as it is.
    struct CutShown {
        Piece was;
        Piece is;
        std::optional<Side> side;
        LaidPiece laid;
    };
    // In the view of what is finished, where the sides are not alike.
    [[nodiscard]] bool shows_cut() const;
    [[nodiscard]] const std::vector<CutShown>& cut_shown() const;
    void draw_cut(QPainter&, const CutShown&);
    // Of unlike sides, the one the step is done on.
    [[nodiscard]] std::optional<Side> side_here() const;
    [[nodiscard]] const Garment& altered_here() const;
    [[nodiscard]] std::map<std::string, LaidPiece> places() const;
    [[nodiscard]] std::map<std::string, LaidPiece> unbroken_places() const;
    [[nodiscard]] std::vector<const Step*> steps_shown() const;
    void draw_broken(QPainter&, const Piece& bought, const LaidPiece&, const LegBreak&);
    void draw_left_out(QPainter&, const LegBreak&);
    [[nodiscard]] QTransform sheet_to_screen() const;
    [[nodiscard]] QRectF sheet() const;
    void draw_piece(QPainter&, const Piece& bought, const QTransform& to_sheet, bool named = true);
    void draw_finished(QPainter&, const Piece& bought, const Piece& altered, const QTransform&,
                       std::optional<Side> = {}, bool named = true);
    void draw_halves(QPainter&, const Guide& centre, const QTransform&);
    void draw_measures(QPainter&, const Piece&, const QTransform&, bool upper = true);
    [[nodiscard]] QPointF measured_at(const QPainterPath& edge, const QTransform&, bool upper) const;
    void draw_name(QPainter&, const Piece&, const QTransform&, std::optional<Side> = {});
    // Laid out once for as long as the plan and the view stay.
    mutable std::vector<CutShown> cut_;
    mutable QSize cut_for_;
    bool breaks_legs_ = true;
    mutable std::optional<std::optional<LegBreak>> broken_;  // found once a plan, step and view
    std::vector<QRectF> named_;                              // where names stand, of this painting
    void draw_squares(QPainter&, const QTransform&);
    const QPixmap& squared_sheet(const QTransform&);
    struct SheetShown {
        QSize pixels;
        QTransform at;
        bool night = false;
        friend bool operator==(const SheetShown&, const SheetShown&) = default;
    };
    SheetShown sheet_shown_;
    QPixmap squared_;
    Look& look_;
    Room& room_;
    PaperView view_ = PaperView::Step;
    bool measures_ = false;
    QVariantAnimation film_;
    double played_ = 1.0;
    double zoom_ = 1.0;
    QPointF shift_;  // pixels
    QPointF last_;
};

}  // namespace sartorum::desk
