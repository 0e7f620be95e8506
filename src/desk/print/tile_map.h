// tile_map.h: the laid-out sheet with its pages over it, blanks crossed out; of a card, its first page.
#pragma once
#include "desk/shared/parts.h"
#include "formats/pages.h"

namespace sartorum::desk {

class TileMap : public Panel {
    Q_OBJECT
public:
    // Paints the first page of the card that is shown, in points.
    using PaintCard = std::function<void(QPainter&, const formats::PrintJob&)>;
    TileMap(Look&, PaintCard, QWidget* parent);
    void show(formats::PrintJob, formats::Layout, bool card);
    void clear();
    [[nodiscard]] int pages() const { return card_ ? 1 : layout_.printed(); }
    [[nodiscard]] int blanks() const { return static_cast<int>(layout_.tiles.size()) - layout_.printed(); }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    [[nodiscard]] QFont tile_font(const formats::Tile&, double scale) const;
    [[nodiscard]] std::vector<QRectF> tile_names(QPainter&, double scale) const;
    void draw_card(QPainter&) const;
    PaintCard paint_card_;
    formats::PrintJob job_;
    formats::Layout layout_;
    bool card_ = false;
};

}  // namespace sartorum::desk
