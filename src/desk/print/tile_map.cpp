#include "desk/print/tile_map.h"

#include <QPainter>
#include <algorithm>

#include "core/paper/area.h"
#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

const QColor line_on_cloth{0x8A, 0x5A, 0x12};

QRectF on_screen(const formats::Tile& t, double s)
{
    const double half = formats::tile_overlap_mm / 2;
    return {QPointF{(t.part.left() + half) * s, (t.part.top() + half) * s},
            QSizeF{(t.part.width() - 2 * half) * s, (t.part.height() - 2 * half) * s}};
}

// As near its place as nothing else stands; left out where there is no such place.
bool write_where_free(QPainter& p, const QRectF& at, const QString& text, std::vector<QRectF>& taken)
{
    constexpr int flags = Qt::AlignCenter | Qt::TextWordWrap;
    for (const double down : {0.0, -14.0, 14.0, -26.0, 26.0}) {
        const QRectF box = at.translated(0, down);
        const QRectF written = p.boundingRect(box, flags, text);
        const auto lies_on = [&](const QRectF& other) { return other.intersects(written); };
        if (std::any_of(taken.begin(), taken.end(), lies_on)) continue;
        p.drawText(box, flags, text);
        taken.push_back(written);
        return true;
    }
    return false;
}

}  // namespace

TileMap::TileMap(Look& look, PaintCard paint_card, QWidget* parent)
    : Panel{look, parent}, paint_card_{std::move(paint_card)}
{
    setMinimumSize(420, 360);
    setAccessibleName(tr("How the pages lie"));
}

void TileMap::clear()
{
    job_ = {};
    update();
}

void TileMap::show(formats::PrintJob job, formats::Layout layout, bool card)
{
    job_ = std::move(job);
    card_ = card;
    layout_ = std::move(layout);
    setAccessibleDescription(card ? tr("one page")
                                  : tr("%1 pages in %2 rows").arg(layout_.printed()).arg(layout_.rows));
    update();
}

void TileMap::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (job_.pieces.empty()) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    if (card_) return draw_card(p);
    QRectF all;
    for (const auto& t : layout_.tiles) all |= t.part;
    const QRectF area = QRectF{rect()}.adjusted(48, 44, -24, -24);
    const double s = std::min(area.width() / all.width(), area.height() / all.height());
    p.translate(area.center().x() - all.center().x() * s, area.center().y() - all.center().y() * s);
    // White paper in both themes: this is what leaves the printer.
    for (const auto& t : layout_.tiles) {
        const QRectF r{t.part.topLeft() * s, t.part.size() * s};
        p.fillRect(r, t.blank ? d.linen2 : QColor{"#FFFDF9"});
    }
    // The same laid-out pieces that are printed, in lines that can be seen at this size.
    const QTransform to_screen = QTransform::fromScale(s, s);
    auto taken = tile_names(p, s);
    const QRectF square = to_screen.mapRect(layout_.test_square);
    p.setFont(look_.lato(12.5));
    taken.push_back(square.adjusted(0, 0, 12.0 + p.fontMetrics().horizontalAdvance(tr("test square")), 0));
    if (job_.for_toile) taken.back().setRight(all.right() * s);
    for (std::size_t i = 0; i < layout_.pieces.size(); ++i) {
        const auto& at = layout_.places[i];
        const auto shape = [&](const QPainterPath& path) { return to_screen.map(path.translated(at)); };
        p.setPen(QPen{QColor{"#234E7A"}, 1.8});
        p.setBrush(QColor{"#DCE6F0"});
        p.drawPath(shape(formats::painter_path(cutting_outline(layout_.pieces[i]))));
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen{QColor{"#234E7A"}, 0.9, Qt::DashLine});
        p.drawPath(shape(formats::painter_path(layout_.pieces[i])));
        if (const auto& left = layout_.left[i]) {
            p.setPen(QPen{QColor{"#234E7A"}, 1.2, Qt::DashDotLine});
            p.drawPath(shape(formats::painter_path(cutting_outline(*left))));
            p.setPen(QPen{QColor{"#234E7A"}, 0.9, Qt::DashLine});
        }
        p.drawPath(shape(formats::darts_path(layout_.pieces[i])));
        if (job_.for_toile) {  // the lines to be drawn on the cloth
            p.setPen(QPen{line_on_cloth, 1.4, Qt::DashDotLine});
            p.drawPath(shape(formats::guides_path(layout_.pieces[i])));
        }
        p.setPen(QColor{"#26262B"});
        // Its longest word decides how large it can be.
        const auto words_of = words::piece_name(layout_.pieces[i]).split(' ');
        const QString longest =
            *std::max_element(words_of.begin(), words_of.end(),
                              [](const QString& a, const QString& b) { return a.size() < b.size(); });
        const QLineF room = to_screen.map(formats::widest_across(layout_.pieces[i], 0.5).translated(at));
        const QPointF c = room.center();
        const double wide = std::max(room.length() - 8, 60.0);
        p.setFont(fitting(look_.cabin(14), longest, wide - 4, 0.5));
        const double high = 72 * look_.scale();
        const QRectF room_for_it{c.x() - wide / 2, c.y() - high / 2, wide, high};
        const QString name = words::piece_name(layout_.pieces[i]);
        // Of one side's, where there is no more room, at least which.
        const auto side = name.lastIndexOf(", ");
        if (!write_where_free(p, room_for_it, name, taken) && side > 0)
            write_where_free(p, room_for_it, name.mid(side + 2), taken);
    }
    p.setPen(QPen{QColor{"#26262B"}, 1.4});
    p.drawRect(square);
    p.setFont(look_.lato(12.5));
    p.drawText(square.adjusted(8, 0, 200, 0).translated(square.width(), 0), Qt::AlignVCenter | Qt::TextDontClip,
               tr("test square"));
    if (job_.for_toile) {
        const double beside = square.right() + 24 + p.fontMetrics().horizontalAdvance(tr("test square"));
        const QPointF a{beside, square.center().y()};
        p.setPen(QPen{line_on_cloth, 1.4, Qt::DashDotLine});
        p.drawLine(a, a + QPointF{26, 0});
        p.setPen(QColor{"#26262B"});
        p.drawText(a + QPointF{34, 5}, tr("drawn on the cloth"));
    }
    for (const auto& t : layout_.tiles) {
        const QRectF r = on_screen(t, s);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen{QColor{"#8F8576"}, 1});
        p.drawRect(r);
        if (t.blank) {
            p.setPen(QPen{d.edge, 1, Qt::DashLine});
            p.drawLine(r.topLeft(), r.bottomRight());
            p.drawLine(r.topRight(), r.bottomLeft());
        } else {
            p.setPen(QColor{"#234E7A"});
            p.setFont(tile_font(t, s));
            p.drawText(r.adjusted(5, 3, -3, -3), Qt::AlignLeft | Qt::AlignBottom, t.name());
        }
    }
}

QFont TileMap::tile_font(const formats::Tile& t, double s) const
{
    return fitting(look_.lato(14, QFont::DemiBold), t.name(), on_screen(t, s).width() - 10, 0.5);
}

// Where the sheets' own names will stand.
std::vector<QRectF> TileMap::tile_names(QPainter& p, double s) const
{
    std::vector<QRectF> out;
    for (const auto& t : layout_.tiles) {
        p.setFont(tile_font(t, s));
        if (!t.blank)
            out.push_back(
                p.boundingRect(on_screen(t, s).adjusted(5, 3, -3, -3), Qt::AlignLeft | Qt::AlignBottom, t.name()));
    }
    return out;
}

void TileMap::draw_card(QPainter& p) const
{
    const QSizeF page = layout_.page;
    const double s = (height() - 80) / page.height();
    const QRectF r{QPointF{width() / 2.0 - page.width() * s / 2, 40}, page * s};
    p.setPen(QPen{look_.dyes().edge, 1});
    p.setBrush(QColor{"#FFFDF9"});
    p.drawRect(r);
    p.save();
    p.setClipRect(r);
    p.translate(r.topLeft());
    const double points = 72.0 / 25.4;
    p.scale(s / points, s / points);
    p.setPen(Qt::black);
    if (paint_card_) paint_card_(p, job_);
    p.restore();
}

}  // namespace sartorum::desk
