// tissue_picture.h: a tissue laid flat: its pieces, every measure a line on them with its number and value; the
// one in hand under a drawn tape. Edges that are measured are drawn through, what is still assumed is dotted.
#pragma once
#include <QWidget>

#include "desk/shared/look.h"
#include "desk/tape/tissue_layout.h"

namespace sartorum::desk {

class TissuePicture : public QWidget {
    Q_OBJECT
public:
    TissuePicture(Look&, QWidget* parent = nullptr);
    // `typed` stands at the line in hand before it is kept.
    void show(const Tissue&, std::vector<Piece> pieces, std::optional<TissueLine> current,
              std::optional<Length> typed, bool objected);
    // What is painted as text, and where: for tests of room.
    struct Written {
        QString text;
        QRectF at;
    };
    [[nodiscard]] std::vector<Written> written() const;
    [[nodiscard]] const TissueLayout& layout_now() const { return laid_; }
    // What a line shows: measured, or typed.
    [[nodiscard]] std::optional<Length> value_at(TissueLine) const;

signals:
    void picked(TissueLine);

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;

private:
    void lay_out();
    void say();
    void draw_piece(QPainter&, const Piece&) const;
    void draw_line(QPainter&, const PlacedLine&) const;
    void draw_tape(QPainter&, const PlacedLine&) const;
    void draw_label(QPainter&, const PlacedLine&) const;
    [[nodiscard]] bool here(TissueLine line) const { return current_ == line; }
    [[nodiscard]] double value_px(TissueLine line) const { return here(line) ? 25 : 17; }
    Look& look_;
    Tissue tissue_;
    std::vector<Piece> pieces_;
    std::optional<TissueLine> current_;
    std::optional<Length> typed_;
    bool objected_ = false;
    TissueLayout laid_;
};

}  // namespace sartorum::desk
