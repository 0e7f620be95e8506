#include "desk/plan/pad/change_picture.h"

#include <QPainter>
#include <algorithm>

#include "core/paper/area.h"
#include "desk/shared/laid_out.h"
#include "desk/shared/piece_painter.h"
#include "words/words.h"

namespace sartorum::desk {

ChangePicture::ChangePicture(Look& look, Room& room, OtherWay& other, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, other_{other}
{
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
}

void ChangePicture::show_kind(AdjustmentKind kind, Side side)
{
    kind_ = kind;
    side_ = side;
    setFixedHeight(132);
    setAccessibleName(tr("Picture of %1").arg(words::adjustment_name(kind)));
    update();
}

void ChangePicture::paintEvent(QPaintEvent*)
{
    if (!room_.computed() || !room_.computed()->line(kind_)) return;
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    if (const auto change = other_.of(kind_, side_)) return draw_change(p, *change);
    draw_meant(p);
}

void ChangePicture::draw_change(QPainter& p, const BeforeAfter& change)
{
    constexpr double around = 45;  // mm of paper beside what changes
    constexpr double least = 200;
    struct Shown {
        const Piece* before;
        const Piece* after;
        std::vector<Polygon> added;
        std::vector<Polygon> removed;
        QTransform turned;  // the back lies mirrored, as on the map
        QRectF seen;
    };
    std::vector<Shown> shown;
    double wide = 0;
    double high = 1;
    for (const auto& before : change.before) {
        const Piece* after = find_piece(change.after, before.id);
        if (!after || same_paper(before, *after)) continue;
        Shown s{&before, after, difference(*after, before), difference(before, *after), {}, {}};
        if (before.role == PieceRole::Back) s.turned = QTransform::fromScale(-1, 1);
        if (s.added.empty() && s.removed.empty()) continue;
        QPolygonF moved;
        for (const auto& shapes : {s.added, s.removed}) {
            for (const auto& shape : shapes) {
                for (const auto& q : shape) moved << QPointF{q[Geom::X], -q[Geom::Y]};
            }
        }
        const QRectF where = moved.boundingRect();
        const double more = std::max(around, (least - std::min(where.width(), where.height())) / 2);
        s.seen = s.turned.mapRect(where.adjusted(-more, -more, more, more) & (box_of(before) | box_of(*after)));
        wide += s.seen.width();
        high = std::max(high, s.seen.height());
        shown.push_back(std::move(s));
    }
    if (shown.empty()) return draw_meant(p);
    const double gap = 24;
    const double n = static_cast<double>(shown.size());
    const double fit = std::min((width() - gap * (n + 1)) / wide, (height() - 12.0) / high);
    double x = (width() - wide * fit - gap * (n - 1)) / 2;
    for (const auto& s : shown) {
        QTransform t;
        t.translate(x - s.seen.left() * fit, (height() - s.seen.height() * fit) / 2 - s.seen.top() * fit);
        t.scale(fit, fit);
        p.save();
        p.setClipRect(t.mapRect(s.seen).adjusted(-3, -3, 3, 3));
        PiecePainter paint{p, look_, s.turned * t};
        paint.paper(*s.after);
        paint.added(s.added);
        paint.removed(s.removed);
        paint.as_bought(*s.before);
        paint.new_line(*s.after);
        p.restore();
        x += s.seen.width() * fit + gap;
    }
}

void ChangePicture::draw_meant(QPainter& p)
{
    const auto& c = *room_.computed();
    const PlanLine& l = *c.line(kind_);
    const Garment part = part_view(c.traced, l.part);
    const bool more = l.amount > Length{} || (l.amount == Length{} && adjustment(kind_).most > Length{});
    auto glyph = glyph_of(part, kind_, l.method, more);
    // A way that does not suit this pattern still shows what is meant.
    if (glyph.panels.empty()) glyph = glyph_of(part, kind_, usual_method(adjustment(kind_), part), more);
    draw_glyph(p, look_, QRectF{rect()}.adjusted(8, 4, -8, -4), glyph);
}

}  // namespace sartorum::desk
