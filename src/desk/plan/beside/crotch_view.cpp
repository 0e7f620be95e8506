#include "desk/plan/beside/crotch_view.h"

#include <QPainterPath>
#include <cmath>

#include "desk/shared/fitted.h"
#include "desk/shared/when_shown.h"
#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

using formats::painter_path;

QPainterPath joined_path(const CrotchLine& line)
{
    QPainterPath out = painter_path(line.front);
    out.connectPath(painter_path(line.back));
    return out;
}

QString whole_degrees(double v)
{
    return QString::number(v, 'f', 0) + "°";
}

}  // namespace

CrotchView::CrotchView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setMinimumWidth(300);
    setAccessibleName(tr("The crotch, joined"));
    refresh_when_shown(
        this, [this] { describe(); }, room, look);
    describe();
}

void CrotchView::describe()
{
    update();
    const auto& c = room_.computed();
    const auto worn = c ? crotch_worn(*c) : std::nullopt;
    if (!worn) return setAccessibleDescription({});
    const Unit u = words::paper_unit(look_.unit());
    const auto said = [&](const CrotchLine& l) {
        return tr("front %1, back %2").arg(words::amount(l.front_length, u), words::amount(l.back_length, u));
    };
    QString text = tr("as traced: %1; planned: %2").arg(said(worn->before), said(worn->after));
    if (worn->string) {
        text += tr("; string %1, with the band %2, ease %3")
                    .arg(words::amount(*worn->string, u), words::amount(worn->after.whole() + worn->band * 2.0, u),
                         words::amount(*worn->ease(), u));
    }
    setAccessibleDescription(text);
}

void CrotchView::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    const auto& c = room_.computed();
    const auto worn = c ? crotch_worn(*c) : std::nullopt;
    if (!worn) return;
    const auto& d = look_.dyes();
    const double k = look_.scale();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(fitting(look_.cabin(18), tr("The crotch, joined"), width() - 40.0));
    p.drawText(QPointF{20, 34 * k}, tr("The crotch, joined"));
    const QString seen = tr("from the side, creases upright");
    p.setPen(d.faded);
    p.setFont(fitting(look_.lato(12.5), seen, width() - 40.0, 0.7));
    if (!low()) p.drawText(QPointF{20, 54 * k}, seen);
    const bool bars = height() > 290 * k;  // where there is little room the curve alone, with its numbers
    const double numbers = bars ? (worn->string ? 124 : 66) * k : 0;
    const double head = (low() ? 44 : 62) * k;
    draw_curve(p, {14, head, width() - 28.0, height() - head - numbers}, *worn);
    if (bars) draw_lengths(p, {20, height() - numbers, width() - 40.0, numbers - 10}, *worn);
}

// The curve and the numbers come before what is said beside them.
bool CrotchView::low() const
{
    return height() < 350 * look_.scale();
}

void CrotchView::draw_curve(QPainter& p, const QRectF& box, const CrotchWorn& worn)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const Unit u = words::paper_unit(look_.unit());
    const QPainterPath was = joined_path(worn.before);
    const QPainterPath now = joined_path(worn.after);
    // The numbers stand beside the curve.
    const QRectF what = was.boundingRect() | now.boundingRect();
    const QRectF room = box.adjusted(74 * k, 8, -82 * k, low() ? -8 : -26 * k);
    const QTransform t = fitted(what, room);
    p.setPen(Qt::NoPen);
    p.setBrush(d.paper);
    p.drawPath(t.map(now));
    p.setBrush(Qt::NoBrush);
    QPen old{d.walnut, 1.2, Qt::CustomDashLine};
    old.setDashPattern({5, 3.4});
    p.setPen(old);
    p.drawPath(t.map(was));
    p.setPen(QPen{d.woad, 2.2, Qt::SolidLine, Qt::RoundCap});
    p.drawPath(t.map(now));
    const QPointF point = t.map(QPointF{0, 0});
    p.setPen(QPen{d.woad, 1.8});
    p.setBrush(d.sheet);
    p.drawEllipse(point, 4.5, 4.5);
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    const QString at_point = tr("inner leg, %1").arg(whole_degrees(worn.after.degrees));
    if (!low()) p.drawText(QRectF{box.left(), point.y() + 8, box.width(), 18 * k}, Qt::AlignHCenter, at_point);
    const double middle = low() ? box.center().y() + 10 * k : t.map(now).boundingRect().center().y();
    const auto side = [&](bool front, Length is, Length before) {
        const double x = front ? box.left() + 4 : box.right() - 78 * k;
        const double w = 74 * k;
        const Qt::Alignment to = front ? Qt::AlignLeft : Qt::AlignRight;
        const auto line = [&](double y, const QFont& font, const QColor& ink, const QString& text) {
            p.setFont(fitting(font, text, w, 0.6));
            p.setPen(ink);
            p.drawText(QRectF{x, middle + y * k, w, 22 * k}, to | Qt::AlignVCenter, text);
        };
        line(-34, look_.lato(20), d.woad, words::amount(is, u));
        line(-10, look_.lato(12.5), d.faded, front ? tr("front") : tr("back"));
        if (!low() && abs(is - before) >= Length::mm(0.5))
            line(8, look_.lato(12.5), d.walnut, tr("was %1").arg(words::number(before, u)));
    };
    side(true, worn.after.front_length, worn.before.front_length);
    side(false, worn.after.back_length, worn.before.back_length);
}

// The string and the seam with its band, on one scale; a tick where the inner leg parts them.
void CrotchView::draw_lengths(QPainter& p, const QRectF& box, const CrotchWorn& worn)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const Unit u = words::paper_unit(look_.unit());
    const Length seam = worn.after.whole() + worn.band * 2.0;
    const Length longest = std::max(seam, worn.string.value_or(seam));
    const auto bar = [&](int row, const QString& name, Length whole, std::optional<Length> front,
                         const QColor& ink) {
        const double y = box.top() + (14 + 40 * row) * k;
        p.setPen(d.faded);
        p.setFont(fitting(look_.lato(12.5), name, box.width() - 70 * k, 0.6));
        p.drawText(QPointF{box.left(), y}, name);
        const double x = (box.width() - 66 * k) * (whole / longest);
        p.setPen(QPen{ink, 3});
        p.drawLine(QPointF{box.left(), y + 11 * k}, QPointF{box.left() + x, y + 11 * k});
        p.setPen(QPen{ink, 1.6});
        const auto tick = [&](double at) {
            p.drawLine(QPointF{box.left() + at, y + 5 * k}, QPointF{box.left() + at, y + 17 * k});
        };
        tick(0);
        tick(x);
        if (front) tick(x * (*front / whole));
        p.setPen(d.ink);
        p.setFont(look_.lato(14, QFont::DemiBold));
        p.drawText(QRectF{box.left(), y + 1 * k, box.width(), 20 * k}, Qt::AlignRight | Qt::AlignVCenter,
                   words::amount(whole, u));
    };
    int row = 0;
    if (worn.string) bar(row++, tr("string, waist to waist"), *worn.string, worn.string_front, d.walnut);
    bar(row++, worn.band > Length{} ? tr("pattern with its band") : tr("pattern, waist to waist"), seam,
        worn.after.front_length + worn.band, d.woad);
    p.setPen(d.faded);
    const QString said = worn.ease() ? tr("%1 to move in").arg(words::amount(*worn.ease(), u))
                                     : tr("the string was not measured yet");
    p.setFont(fitting(look_.lato(12.5), said, box.width(), 0.7));
    p.drawText(QPointF{box.left(), box.top() + (14 + 40 * row) * k}, said);
}

}  // namespace sartorum::desk
