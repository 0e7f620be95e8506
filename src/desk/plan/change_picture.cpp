#include "desk/plan/change_picture.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

#include "desk/shared/laid_out.h"
#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {

ChangePicture::ChangePicture(Look& look, Room& room, OtherWay& other, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, other_{other}
{
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
}

void ChangePicture::show_kind(AdjustmentKind kind)
{
    kind_ = kind;
    setFixedHeight(132);
    setAccessibleName(tr("Picture of %1").arg(words::adjustment_name(kind)));
    update();
}

void ChangePicture::paintEvent(QPaintEvent*)
{
    if (!room_.computed() || !room_.computed()->line(kind_)) return;
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    if (const auto change = other_.of(kind_)) return draw_change(p, *change);
    draw_meant(p);
}

void ChangePicture::draw_change(QPainter& p, const BeforeAfter& change)
{
    const auto& d = look_.dyes();
    constexpr double around = 45;  // mm of paper beside what changes
    constexpr double least = 200;
    struct Shown {
        QPainterPath was;
        QPainterPath is;
        QRectF seen;
    };
    std::vector<Shown> shown;
    double wide = 0;
    double high = 1;
    for (const auto& before : change.before) {
        const Piece* after = find_piece(change.after, before.id);
        if (!after || same_paper(before, *after)) continue;
        Shown s{formats::painter_path(before), formats::painter_path(*after), {}};
        if (before.role == PieceRole::Back) {
            const auto mirrored = QTransform::fromScale(-1, 1);
            s = {mirrored.map(s.was), mirrored.map(s.is), {}};
        }
        const QRectF moved = s.is.subtracted(s.was).boundingRect() | s.was.subtracted(s.is).boundingRect();
        const double more = std::max(around, (least - std::min(moved.width(), moved.height())) / 2);
        s.seen = moved.adjusted(-more, -more, more, more) & (s.was.boundingRect() | s.is.boundingRect());
        wide += s.seen.width();
        high = std::max(high, s.seen.height());
        shown.push_back(std::move(s));
    }
    if (shown.empty()) return draw_meant(p);
    const double gap = 24;
    const double n = static_cast<double>(shown.size());
    const double fit = std::min((width() - gap * (n + 1)) / wide, (height() - 12.0) / high);
    double x = (width() - wide * fit - gap * (n - 1)) / 2;
    QPen bought{d.walnut, 1.3, Qt::CustomDashLine};
    bought.setDashPattern({5, 3.4});
    for (const auto& s : shown) {
        QTransform t;
        t.translate(x - s.seen.left() * fit, (height() - s.seen.height() * fit) / 2 - s.seen.top() * fit);
        t.scale(fit, fit);
        p.save();
        p.setClipRect(t.mapRect(s.seen).adjusted(-3, -3, 3, 3));
        p.fillPath(t.map(s.is), d.paper);
        p.setPen(QPen{d.weld_ink, 0.8});
        p.setBrush(look_.dots());
        p.drawPath(t.map(s.is.subtracted(s.was)));
        p.setPen(QPen{d.madder, 0.8});
        p.setBrush(look_.hatch());
        p.drawPath(t.map(s.was.subtracted(s.is)));
        p.setBrush(Qt::NoBrush);
        p.setPen(bought);
        p.drawPath(t.map(s.was));
        p.setPen(QPen{d.woad, 2});
        p.drawPath(t.map(s.is));
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
