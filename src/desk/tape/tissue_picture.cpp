#include "desk/tape/tissue_picture.h"

#include <QMouseEvent>
#include <QPainter>
#include <cmath>

#include "core/tissue/measured_edges.h"
#include "desk/tape/drawn_tape.h"
#include "formats/painter_paths.h"
#include "words/tissue.h"
#include "words/words.h"

namespace sartorum::desk {

TissuePicture::TissuePicture(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setMinimumSize(420, 300);
}

void TissuePicture::show(const Tissue& t, std::vector<Piece> pieces, std::optional<TissueLine> current,
                         std::optional<Length> typed, bool objected)
{
    tissue_ = t;
    pieces_ = std::move(pieces);
    // Of what is joined at the waist, the part that is in hand.
    if (joined_at_waist(t.kind) && current)
        std::erase_if(pieces_, [&](const Piece& p) { return p.part != part_of(*current); });
    current_ = current;
    typed_ = typed;
    objected_ = objected;
    lay_out();
    say();
    update();
}

std::optional<Length> TissuePicture::value_at(TissueLine line) const
{
    if (here(line) && typed_) return typed_;
    return tissue_.in_hand() ? measured(*tissue_.in_hand(), line) : std::nullopt;
}

void TissuePicture::lay_out()
{
    const double k = look_.scale();
    LabelSizes sizes;
    sizes.disc = 10 * k;
    sizes.height = 22 * k;
    sizes.width = [this](TissueLine line) {
        const auto v = value_at(line);
        return v ? number_width(look_, *v, look_.unit(), value_px(line), QFont::Medium, false) + 2 : 0.0;
    };
    sizes.name = [this](const Piece& p) {
        return QFontMetricsF{look_.cabin(15)}.horizontalAdvance(words::piece_name(p)) + 4;
    };
    laid_ = laid_tissue(tissue_, pieces_, QRectF{rect()}, current_, sizes);
}

void TissuePicture::resizeEvent(QResizeEvent*)
{
    lay_out();
}

std::vector<TissuePicture::Written> TissuePicture::written() const
{
    std::vector<Written> out;
    for (const auto& l : laid_.lines) out.push_back({words::tissue_line(l.line, tissue_), l.label});
    for (const auto& p : pieces_) {
        if (laid_.names.at(p.id).isValid()) out.push_back({words::piece_name(p), laid_.names.at(p.id)});
    }
    return out;
}

// The spoken twin: each line with what is known of it, in order.
void TissuePicture::say()
{
    QStringList said;
    for (const auto& l : laid_.lines) {
        const auto v = value_at(l.line);
        const QString name = tr("%1 %2").arg(l.number).arg(words::tissue_line(l.line, tissue_));
        said << (v ? name + " " + words::amount(*v, look_.unit()) : tr("%1, waits").arg(name)) +
                    (here(l.line) ? tr(", in hand") : QString{});
    }
    setAccessibleName(tr("The paper laid flat"));
    setAccessibleDescription(said.join("; "));
}

void TissuePicture::paintEvent(QPaintEvent*)
{
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    for (const auto& piece : pieces_) draw_piece(p, piece);
    for (const auto& l : laid_.lines) {
        if (!here(l.line)) draw_line(p, l);
    }
    for (const auto& l : laid_.lines) {
        if (here(l.line)) draw_tape(p, l);
    }
    for (const auto& l : laid_.lines) draw_label(p, l);
}

void TissuePicture::draw_piece(QPainter& p, const Piece& piece) const
{
    const auto& d = look_.dyes();
    const auto& t = laid_.to_screen.at(piece.id);
    p.setPen(Qt::NoPen);
    p.setBrush(d.paper);
    p.drawPath(t.map(formats::painter_path(piece)));
    p.setBrush(Qt::NoBrush);
    const auto* size = tissue_.in_hand();
    for (const auto& e : piece.edges) {
        if (e.role == EdgeRole::DartMouth && !piece.darts.empty()) continue;
        const bool known = size && edge_measured(tissue_, *size, piece, e.role);
        QPen pen{known ? d.woad : d.walnut, known ? 2.0 : 1.6};
        if (!known) {
            pen.setStyle(Qt::CustomDashLine);
            pen.setDashPattern({0.1, 2.6});
            pen.setCapStyle(Qt::RoundCap);
        } else if (e.on_fold) {
            pen.setStyle(Qt::DashDotLine);
        }
        p.setPen(pen);
        p.drawPath(t.map(formats::painter_path(e.curve)));
    }
    p.setPen(QPen{d.walnut, 1.1, Qt::DashLine});
    p.drawPath(t.map(formats::darts_path(piece)));
    p.setPen(d.walnut);
    p.setFont(look_.cabin(15));
    p.drawText(laid_.names.at(piece.id), Qt::AlignCenter, words::piece_name(piece));
}

void TissuePicture::draw_line(QPainter& p, const PlacedLine& l) const
{
    if (!l.laid) return;
    const auto& d = look_.dyes();
    const bool kept = value_at(l.line).has_value();
    QPen pen{kept ? d.walnut : d.walnut_line, kept ? 1.2 : 1.3};
    if (!kept) {
        pen.setStyle(Qt::CustomDashLine);
        pen.setDashPattern({0.1, 3});
        pen.setCapStyle(Qt::RoundCap);
    }
    p.setPen(QPen{d.edge, 1, Qt::DotLine});
    for (const auto& tie : l.ties) p.drawLine(tie);
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    p.drawPath(l.drawn);
    p.setPen(QPen{kept ? d.walnut : d.walnut_line, 1.3});
    for (const double end : {0.0, 1.0}) {
        const double a = (l.drawn.angleAtPercent(end) + 90) * M_PI / 180;
        const QPointF across = QPointF{std::cos(a), -std::sin(a)} * 4.5;
        const QPointF c = l.drawn.pointAtPercent(end);
        p.drawLine(c - across, c + across);
    }
}

void TissuePicture::draw_tape(QPainter& p, const PlacedLine& l) const
{
    if (l.laid) draw_laid_tape(p, look_, l.on_piece, laid_.scale);
}

// A washed disc where it is kept, a hollow one while it waits, pinked in hand.
void TissuePicture::draw_label(QPainter& p, const PlacedLine& l) const
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const auto v = value_at(l.line);
    if (v || here(l.line)) {
        QColor ground = d.paper;
        ground.setAlpha(225);
        p.setPen(Qt::NoPen);
        p.setBrush(ground);
        p.drawRoundedRect(l.label.adjusted(-2, -1, 2, 1), 3, 3);
    }
    const double r = 10 * k;
    if (here(l.line)) {
        p.setPen(Qt::NoPen);
        p.setBrush(objected_ ? d.madder : d.woad);
        p.drawPolygon(pinked(QRectF{l.disc.x() - r - 1, l.disc.y() - r - 1, 2 * r + 2, 2 * r + 2}, 3));
        p.setPen(d.on_woad);
    } else {
        p.setPen(QPen{v ? d.walnut : d.walnut_line, 1.2});
        p.setBrush(v ? d.walnut_wash : d.sheet);
        p.drawEllipse(l.disc, r, r);
        p.setPen(v ? d.walnut : d.faded);
    }
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    p.drawText(QRectF{l.disc.x() - r, l.disc.y() - r, 2 * r, 2 * r}, Qt::AlignCenter, QString::number(l.number));
    if (!v) return;
    p.setPen(here(l.line) ? (objected_ ? d.madder_ink : d.woad) : d.ink);
    const double px = value_px(l.line);
    draw_number(p, look_, {l.disc.x() + r + 5, l.disc.y() + px * k * 0.36}, *v, look_.unit(), px, QFont::Medium,
                false);
}

void TissuePicture::mousePressEvent(QMouseEvent* e)
{
    const PlacedLine* nearest = nullptr;
    double best = 14;
    for (const auto& l : laid_.lines) {
        if (l.label.adjusted(-3, -3, 3, 3).contains(e->position())) return emit picked(l.line);
        for (int i = 0; i <= 24 && l.laid; ++i) {
            const QPointF off = l.drawn.pointAtPercent(i / 24.0) - e->position();
            const double far = std::hypot(off.x(), off.y());
            if (far < best) {
                best = far;
                nearest = &l;
            }
        }
    }
    if (nearest) emit picked(nearest->line);
}

}  // namespace sartorum::desk
