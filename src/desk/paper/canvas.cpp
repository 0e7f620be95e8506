#include "desk/paper/canvas.h"

#include <QMouseEvent>
#include <QPainterPath>
#include <QWheelEvent>
#include <algorithm>
#include <cmath>

#include "core/check/face_up.h"
#include "core/paper/area.h"
#include "core/plan/cut_out.h"
#include "desk/shared/piece_painter.h"
#include "formats/painter_paths.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// The last state of a piece at a step, on that side: its panels after the newest step that touched it there.
std::vector<Piece> state_at(const Room& room, const std::string& piece, Side side)
{
    for (int i = room.step(); i >= 0; --i) {
        const auto& told = room.steps()[std::size_t(i)];
        if (told.step->piece != piece || told.side.value_or(side) != side) continue;
        return shown_on(told, side).picture.panels;
    }
    return {*find_piece(room.computed()->bought.pieces, piece)};
}

}  // namespace

Canvas::Canvas(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setAttribute(Qt::WA_OpaquePaintEvent);  // it fills itself: nothing beneath needs painting
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(420, 160);
    setAccessibleName(tr("Pattern pieces on squared paper"));
    setCursor(Qt::OpenHandCursor);
    film_.setDuration(1400);
    film_.setStartValue(0.0);
    film_.setEndValue(1.0);
    film_.setEasingCurve(QEasingCurve::InOutQuad);
    connect(&film_, &QVariantAnimation::valueChanged, this, [this](const QVariant& v) {
        played_ = v.toDouble();
        update();
    });
    const auto still = [this] {
        film_.stop();
        played_ = 1.0;
    };
    connect(&room, &Room::changed, this, still);
    connect(&room, &Room::changed, this, [this] {
        cut_.clear();
        broken_.reset();
    });
    connect(&room, &Room::stepped, this, [this] { broken_.reset(); });
    connect(&room, &Room::stepped, this, still);
    connect(&room, &Room::changed, this, qOverload<>(&QWidget::update));
    connect(&room, &Room::stepped, this, qOverload<>(&QWidget::update));
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void Canvas::set_view(PaperView v)
{
    view_ = v;
    broken_.reset();
    update();
}

void Canvas::set_measures(bool on)
{
    measures_ = on;
    update();
}

void Canvas::play()
{
    film_.stop();
    film_.start();
}

std::map<std::string, LaidPiece> Canvas::unbroken_places() const
{
    const auto& c = *room_.computed();
    const auto side = side_here();
    if (!side) return laid_out(c.bought.pieces, c.altered.pieces);
    return laid_out_for(*side, left_as_drawn(c.altered), c.bought.pieces, altered_here().pieces);
}

std::optional<Side> Canvas::side_here() const
{
    return view_ == PaperView::Step ? room_.step_here().side : std::nullopt;
}

const Garment& Canvas::altered_here() const
{
    const auto& c = *room_.computed();
    return c.left && side_here() == Side::Left ? c.left->altered : c.altered;
}

bool Canvas::shows_cut() const
{
    return view_ == PaperView::Finished && room_.computed()->left && cut_by_side(*room_.computed());
}

const std::vector<Canvas::CutShown>& Canvas::cut_shown() const
{
    if (!cut_.empty() && cut_for_ == size()) return cut_;
    cut_for_ = size();
    cut_.clear();
    const auto& c = *room_.computed();
    const auto now = cut_out(c);
    const auto was = cut_out_of(c, c.bought);
    std::vector<QRectF> boxes;
    for (std::size_t i = 0; i < now.size(); ++i) boxes.push_back(box_of(now[i].piece) | box_of(was[i].piece));
    const auto laid = laid_in_rows(boxes, {double(width()), double(height())});
    for (std::size_t i = 0; i < now.size(); ++i)
        cut_.push_back({was[i].piece, now[i].piece, now[i].side, laid[i]});
    return cut_;
}

QRectF Canvas::sheet() const
{
    QRectF all;
    if (shows_cut()) {
        for (const auto& shown : cut_shown()) all |= shown.laid.box;
    } else {
        for (const auto& [id, placed] : places()) all |= placed.box;
    }
    return all.adjusted(-70, -30, 70, 14);
}

QTransform Canvas::sheet_to_screen() const
{
    const QRectF s = sheet();
    const double fit = std::min(width() / s.width(), height() / s.height()) * zoom_;
    QTransform t;
    t.translate(width() / 2.0 + shift_.x(), height() / 2.0 + shift_.y());
    t.scale(fit, fit);
    t.translate(-s.center().x(), -s.center().y());
    return t;
}

double Canvas::scale() const
{
    return sheet_to_screen().m11();
}

void Canvas::whole()
{
    zoom_ = 1;
    shift_ = {};
    update();
}

void Canvas::zoom(double factor, QPointF about)
{
    const double next = std::clamp(zoom_ * factor, 0.5, 16.0);
    const QPointF centre{width() / 2.0, height() / 2.0};
    shift_ = (shift_ + centre - about) * (next / zoom_) + about - centre;
    zoom_ = next;
    update();
}

void Canvas::pan(QPointF by)
{
    shift_ += by;
    update();
}

void Canvas::zoom_to_step()
{
    if (!room_.computed()) return;
    const Step& step = *room_.step_here().step;
    const auto all = places();
    const auto& placed = all.at(step.piece);
    QRectF where;
    const auto include = [&](Point q) {
        QPointF at = placed.to_sheet.map(formats::on_paper(q));
        if (broken() && broken()->legs.contains(step.piece)) at = broken()->shown(at);
        where |= QRectF{at - QPointF{1, 1}, QSizeF{2, 2}};
    };
    for (const auto& l : step.picture.lines) {
        include(l.a);
        include(l.b);
    }
    for (const auto& d : step.picture.dimensions) {
        include(d.a);
        include(d.b);
    }
    for (const auto& shapes : {added_paper(step.picture), removed_paper(step.picture)}) {
        for (const auto& polygon : shapes) std::for_each(polygon.begin(), polygon.end(), include);
    }
    if (where.isNull()) where = placed.box;
    where.adjust(-40, -40, 40, 40);
    whole();
    const double fit = sheet_to_screen().m11();
    zoom_ = std::clamp(std::min(width() / where.width(), height() / where.height()) / fit, 0.5, 16.0);
    const QPointF now = sheet_to_screen().map(where.center());
    shift_ = QPointF{width() / 2.0, height() / 2.0} - now;
    update();
}

// Drawn once for as long as the sheet lies still: a hand that drags an amount does not move it.
const QPixmap& Canvas::squared_sheet(const QTransform& t)
{
    const double ratio = devicePixelRatioF();
    const SheetShown now{size() * ratio, t, look_.night()};
    if (now == sheet_shown_ && !squared_.isNull()) return squared_;
    sheet_shown_ = now;
    squared_ = QPixmap{now.pixels};
    squared_.setDevicePixelRatio(ratio);
    squared_.fill(look_.dyes().sheet);
    QPainter p{&squared_};
    draw_squares(p, t);
    return squared_;
}

void Canvas::draw_squares(QPainter& p, const QTransform& t)
{
    const QRectF seen = t.inverted().mapRect(QRectF{rect()});
    const auto& d = look_.dyes();
    const bool fine = t.m11() > 0.35;
    for (const auto& [pitch, strength] : {std::pair{10.0, 0.38}, std::pair{50.0, 0.6}}) {
        if (pitch < 20 && !fine) continue;
        QColor c = d.rule;
        c.setAlphaF(static_cast<float>(strength));
        // Whole pixels, filled: a hundred smoothed lines took longer than all the rest of the sheet.
        for (double x = std::ceil(seen.left() / pitch) * pitch; x < seen.right(); x += pitch)
            p.fillRect(QRect{qRound(t.map(QPointF{x, 0}).x()), 0, 1, height()}, c);
        for (double y = std::ceil(seen.top() / pitch) * pitch; y < seen.bottom(); y += pitch)
            p.fillRect(QRect{0, qRound(t.map(QPointF{0, y}).y()), width(), 1}, c);
    }
}

void Canvas::paintEvent(QPaintEvent*)
{
    named_.clear();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    if (!room_.computed()) return p.fillRect(rect(), look_.dyes().sheet);
    const QTransform t = sheet_to_screen();
    p.drawPixmap(0, 0, squared_sheet(t));
    if (shows_cut()) {
        for (const auto& shown : cut_shown()) draw_cut(p, shown);
    } else {
        const auto& legs = broken();
        for (const auto& [id, placed] : places()) {
            const Piece& bought = *find_piece(room_.computed()->bought.pieces, id);
            if (legs && legs->legs.contains(id))
                draw_broken(p, bought, placed, *legs);
            else
                draw_piece(p, bought, placed.to_sheet);
        }
        if (legs) draw_left_out(p, *legs);
    }
    const auto& told = room_.step_here();
    setAccessibleDescription(words::of_side(words::step_title(*told.step, look_.unit()), told.side));
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(2, 2, -2, -2), 4);
}

void Canvas::draw_piece(QPainter& p, const Piece& bought, const QTransform& to_sheet, bool named)
{
    const auto& c = *room_.computed();
    const QTransform t = to_sheet * sheet_to_screen();
    PiecePainter paint{p, look_, t};
    if (view_ == PaperView::AsBought) {
        paint.paper(bought);
        paint.marks(bought);
        paint.as_bought(bought);
        if (measures_) draw_measures(p, bought, t, named);
        if (named) draw_name(p, bought, t);
        return;
    }
    if (view_ == PaperView::Finished) {
        return draw_finished(p, bought, *find_piece(c.altered.pieces, bought.id), t, {}, named);
    }
    const auto& told = room_.step_here();
    const Side side = told.side.value_or(Side::Right);
    const Step& step = *told.step;
    const bool here = step.piece == bought.id;
    const auto panels = here ? panels_at(step.picture, played_) : state_at(room_, bought.id, side);
    for (const auto& panel : panels) paint.paper(panel);
    paint.as_bought(bought);
    if (here && played_ >= 1.0) {
        paint.added(added_paper(step.picture));
        paint.removed(removed_paper(step.picture));
    }
    for (const auto& panel : panels) {
        paint.marks(panel);
        paint.new_line(panel);
    }
    if (here && played_ >= 1.0) {
        for (const auto& s : step.picture.lines) paint.stroke(s);
        for (const auto& d : step.picture.dimensions) paint.dimension(d, look_.unit());
    }
    if (measures_) draw_measures(p, panels.front(), t, named);
    if (!named) return;
    draw_name(p,
              *std::max_element(panels.begin(), panels.end(),
                                [](const Piece& a, const Piece& b) { return area_mm2(a) < area_mm2(b); }),
              t);
}

void Canvas::draw_finished(QPainter& p, const Piece& bought, const Piece& altered, const QTransform& t,
                           std::optional<Side> side, bool named)
{
    PiecePainter paint{p, look_, t};
    paint.paper(altered);
    // Where the outline now lies outside and inside the bought one, all steps together.
    const QPainterPath was = formats::painter_path(bought);
    const QPainterPath is = formats::painter_path(altered);
    p.setPen(QPen{look_.dyes().weld_ink, 1});
    p.setBrush(look_.dots());
    p.drawPath(t.map(is.subtracted(was)));
    p.setPen(QPen{look_.dyes().madder, 1});
    p.setBrush(look_.hatch());
    p.drawPath(t.map(was.subtracted(is)));
    paint.as_bought(bought);
    paint.marks(altered);
    paint.new_line(altered);
    if (measures_) draw_measures(p, altered, t, named);
    if (named) draw_name(p, altered, t, side);
}

void Canvas::draw_cut(QPainter& p, const CutShown& shown)
{
    const QTransform t = shown.laid.to_sheet * sheet_to_screen();
    draw_finished(p, shown.was, shown.is, t, shown.side);
    if (const auto centre = guide(shown.is, GuideKind::Centre)) draw_halves(p, *centre, t);
}

// Beside the centre line of a piece drawn whole, whose half is whose.
void Canvas::draw_halves(QPainter& p, const Guide& centre, const QTransform& t)
{
    const QPointF a = t.map(formats::on_paper(centre.a));
    const QPointF b = t.map(formats::on_paper(centre.b));
    const QPointF along = (b - a) / std::max(1.0, std::hypot((b - a).x(), (b - a).y()));
    const QPointF right{-along.y(), along.x()};  // the right half lies on the right hand of the way
    p.setPen(look_.dyes().faded);
    p.setFont(look_.lato(12.5));
    const QPointF top = a.y() < b.y() ? a : b;
    const QPointF low = top + (a.y() < b.y() ? b - a : a - b) * 0.1;
    for (const auto& [way, text] : {std::pair{right, tr("right")}, std::pair{-right, tr("left")}}) {
        const double wide = p.fontMetrics().horizontalAdvance(text);
        const QPointF at = low + way * (wide / 2 + 8);
        p.drawText(QRectF{at.x() - wide / 2 - 2, at.y() - 9, wide + 4, 18}, Qt::AlignCenter, text);
    }
}

namespace {

// How large it is in lines no wider than that, or than its longest word.
QSizeF wrapped(const QString& text, const QFont& font, double wide)
{
    const QFontMetricsF metrics{font};
    for (const auto& word : text.split(' ')) wide = std::max(wide, metrics.horizontalAdvance(word) + 2);
    const auto box = metrics.boundingRect(QRectF{0, 0, wide, 200}, Qt::AlignHCenter | Qt::TextWordWrap, text);
    return {wide, std::max(18.0, box.height() + 2)};
}

}  // namespace

void Canvas::draw_name(QPainter& p, const Piece& piece, const QTransform& t, std::optional<Side> side)
{
    const auto b = box_of(piece);
    const bool band = piece.role == PieceRole::Waistband;
    // In the clear middle of the piece, beside the grain line; above the band.
    const bool sleeved = edge_index(piece, EdgeRole::Armhole).has_value();
    const bool legs = broken() && broken()->legs.contains(piece.id);
    const double down = legs ? 0.24 : sleeved ? 0.36 : 0.6;
    const bool whole = guide(piece, GuideKind::Centre).has_value();  // clear of its centre line
    const double share = whole ? 0.27 : sleeved ? 0.5 : 0.55;
    QPointF at = t.map(band ? b.topLeft() + QPointF{b.width() * 0.5, -44}
                            : formats::widest_across(piece, down).pointAt(share));
    p.setPen(look_.dyes().ink);
    const QString name = words::piece_name(piece);
    p.setFont(look_.cabin(16));
    const double room = t.map(formats::widest_across(piece, down)).length() - 8;
    const double small = std::clamp(room / p.fontMetrics().horizontalAdvance(name), 0.6, 1.0);
    QString cut = tr("cut %1%2").arg(piece.cut).arg(on_fold(piece) ? tr(" on the fold") : QString{});
    if (side) cut = tr("%1, %2").arg(words::side_name(*side), cut);
    const QFont name_font = look_.cabin(16 * small);
    const QFont cut_font = look_.lato(13 * small);
    const double wide =
        std::max(QFontMetricsF{name_font}.horizontalAdvance(name), QFontMetricsF{cut_font}.horizontalAdvance(cut));
    // A curved strip has no room for it: beneath it then. An upright one has its two lines below each other.
    const QRectF box = t.mapRect(b);
    constexpr double low = 70;
    const auto outline_here = t.map(formats::painter_path(piece));
    const auto place = [&] { return QRectF{at.x() - wide / 2 - 2, at.y() - 20, wide + 4, 40}; };
    if (!band && box.height() < low && !outline_here.contains(place())) at = {box.center().x(), box.bottom() + 22};
    const bool narrow = box.height() >= low && QFontMetricsF{cut_font}.horizontalAdvance(cut) > room;
    const QSizeF lines = narrow ? wrapped(cut, cut_font, room + 4) : QSizeF{240, 20};
    // Drawn in where it would stand out of the view a little.
    const double inside = std::clamp(at.x(), wide / 2 + 8, std::max(wide / 2 + 8, width() - wide / 2 - 8));
    if (std::abs(inside - at.x()) < wide / 2) at.setX(inside);
    // Narrow pieces lie nearer each other than their names have room.
    const QRectF all = place().adjusted(0, 0, 0, lines.height() - 18);
    if (std::any_of(named_.begin(), named_.end(), [&](const QRectF& r) { return r.intersects(all); })) return;
    named_.push_back(all);
    p.setFont(name_font);
    p.drawText(QRectF{at.x() - 120, at.y() - 20, 240, 22}, Qt::AlignCenter, name);
    p.setPen(look_.dyes().faded);
    p.setFont(cut_font);
    p.drawText(QRectF{at.x() - lines.width() / 2, at.y() + 2, lines.width(), lines.height()},
               Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap, cut);
}

// Each edge's own length beside its middle.
void Canvas::draw_measures(QPainter& p, const Piece& piece, const QTransform& t, bool upper)
{
    const Unit u = words::paper_unit(look_.unit());
    p.setFont(look_.lato(13.5, QFont::DemiBold));
    for (const auto& e : piece.edges) {
        if (e.role == EdgeRole::Cut) continue;
        const QPointF at = measured_at(formats::painter_path(e.curve), t, upper);
        const QString text = words::amount(length(e.curve), u);
        const double w = p.fontMetrics().horizontalAdvance(text) + 10;
        const QRectF r{at.x() - w / 2, at.y() - 11, w, 22};
        p.setPen(QPen{look_.dyes().rule, 1});
        p.setBrush(look_.dyes().sheet);
        p.drawRoundedRect(r, 3, 3);
        p.setPen(look_.dyes().ink);
        p.drawText(r, Qt::AlignCenter, text);
    }
}

void Canvas::wheelEvent(QWheelEvent* e)
{
    zoom(std::pow(1.0015, e->angleDelta().y()), e->position());
}
void Canvas::mousePressEvent(QMouseEvent* e)
{
    last_ = e->position();
}
void Canvas::mouseMoveEvent(QMouseEvent* e)
{
    if (!(e->buttons() & Qt::LeftButton)) return;
    pan(e->position() - last_);
    last_ = e->position();
}

}  // namespace sartorum::desk
