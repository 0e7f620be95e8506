#include "desk/tape/tissue_lens.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

#include "words/tissue.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double tall = 90;

}  // namespace

TissueLens::TissueLens(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedHeight(static_cast<int>(tall * look.scale()));
    QObject::connect(&look, &Look::changed, this,
                     [this] { setFixedHeight(static_cast<int>(tall * look_.scale())); });
}

void TissueLens::show(ReadAt at, Length allowance, std::optional<Length> read)
{
    at_ = at;
    allowance_ = allowance;
    read_ = read;
    const QString where = words::tissue_read_at(at_);
    setAccessibleName(
        at_ == ReadAt::StitchingLine
            ? tr("Read at the stitching line, %1 inside the cut edge").arg(words::amount(allowance_, look_.unit()))
            : tr("Read at the %1").arg(where));
    update();
}

// To the right lies what is beyond: past the stitching line its allowance, and past the cut edge nothing.
void TissueLens::draw_edges(QPainter& p, const QRectF& r, double x) const
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    p.setFont(look_.lato(12.5));
    const double cut = x + 62 * k;
    if (at_ == ReadAt::StitchingLine) {
        p.fillRect(QRectF{cut, r.top(), r.right() - cut, r.height()}, d.linen2);
        p.setPen(QPen{d.walnut, 1.4});
        p.drawLine(QPointF{cut, r.top()}, QPointF{cut, r.bottom()});
        p.setPen(QPen{d.walnut, 1.4, Qt::DashLine});
        p.drawLine(QPointF{x, r.top()}, QPointF{x, r.bottom()});
        p.setPen(d.faded);
        if (p.fontMetrics().horizontalAdvance(tr("cut edge")) < r.right() - cut - 8)
            p.drawText(QPointF{cut + 5, r.bottom() - 10 * k}, tr("cut edge"));
        const double y = r.top() + 22 * k;
        p.setPen(QPen{d.ink, 1.1});
        p.drawLine(QPointF{x, y}, QPointF{cut, y});
        for (const double end : {x, cut}) p.drawLine(QPointF{end, y - 4}, QPointF{end, y + 4});
        const double w = number_width(look_, allowance_, look_.unit(), 14, QFont::Medium, false);
        draw_number(p, look_, {(x + cut - w) / 2, y - 5}, allowance_, look_.unit(), 14, QFont::Medium, false);
        return;
    }
    QPen pen{d.walnut, 1.6};
    if (at_ == ReadAt::Fold) pen.setStyle(Qt::DashDotLine);
    if (at_ == ReadAt::DartLeg) pen.setStyle(Qt::DashLine);
    p.setPen(pen);
    if (at_ == ReadAt::Mark) {
        const QPointF c{x, r.center().y() - 18 * k};
        p.drawLine(c - QPointF{8, 0}, c + QPointF{8, 0});
        p.drawLine(c - QPointF{0, 8}, c + QPointF{0, 8});
        p.drawEllipse(c, 4, 4);
    } else {
        p.drawLine(QPointF{x, r.top()}, QPointF{x, r.bottom()});
    }
}

void TissueLens::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF r = QRectF{rect()}.adjusted(0.5, 0.5, -0.5, -0.5);
    QPainterPath shape;
    shape.addRoundedRect(r, 4, 4);
    p.fillPath(shape, d.paper);
    p.setClipPath(shape);
    const double x = r.left() + r.width() * 0.52;
    draw_edges(p, r, x);
    // The tape comes from the left; figures count what is read.
    const double band = 26 * k;
    const QRectF tape{r.left(), r.center().y() - band / 2 + 6 * k, x - r.left(), band};
    p.fillRect(tape, d.woad);
    const bool inches = look_.unit() == Unit::Inch;
    const double one = inches ? 25.4 : 10.0;
    const double read = read_ ? read_->in_mm() / one : 0;
    const double step = 56 * k;  // pixels of one unit
    p.setPen(QPen{d.on_woad, 1});
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    const int parts = inches ? 8 : 10;
    for (int i = 0; read_ && i < 60; ++i) {
        const double value = (std::floor(read * parts) - i) / parts;
        const double at = x - (read - value) * step;
        if (value < 0 || at < r.left()) break;
        const bool whole = std::abs(value - std::round(value)) < 1e-6;
        p.drawLine(QPointF{at, tape.top()}, QPointF{at, tape.top() + (whole ? 11 : 6) * k});
        if (whole && at - 12 * k > r.left() && at + 10 * k < x)
            p.drawText(QRectF{at - 16 * k, tape.bottom() - 17 * k, 32 * k, 16 * k}, Qt::AlignCenter,
                       QString::number(static_cast<int>(std::round(value))));
    }
    p.setPen(QPen{d.madder, 2.4});
    p.drawLine(QPointF{x, tape.top() - 5}, QPointF{x, tape.bottom() + 5});
    p.setPen(d.madder_ink);
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    p.drawText(QRectF{r.left() + 8, tape.bottom() + 3, x - r.left() - 8, 18 * k},
               Qt::AlignRight | Qt::AlignVCenter, tr("read here"));
    p.setPen(d.ink);
    p.setFont(look_.lato(12.5));
    p.drawText(QRectF{r.left() + 8, r.top() + 4, x - r.left() - 14, 18 * k}, Qt::AlignRight | Qt::AlignVCenter,
               words::tissue_read_at(at_));
    p.setClipping(false);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.edge, 1});
    p.drawRoundedRect(r, 4, 4);
}

}  // namespace sartorum::desk
