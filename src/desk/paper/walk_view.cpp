#include "desk/paper/walk_view.h"

#include <QPainterPath>
#include <QSlider>
#include <algorithm>
#include <cmath>

#include "desk/shared/fitted.h"
#include "desk/shared/piece_painter.h"
#include "desk/shared/when_shown.h"
#include "formats/painter_paths.h"
#include "words/lines.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int slider_steps = 1000;
constexpr int film_ms = 16;
constexpr int film_step = 5;
constexpr double plot_height = 138;

QPainterPath shape_of(const Garment& g, const SeamRun& run, const Geom::Affine& how)
{
    QPainterPath out;
    for (const auto& laid : run.pieces) {
        if (const Piece* piece = find_piece(g.pieces, laid.piece))
            out.addPath(formats::painter_path(moved(*piece, laid.laid * how)));
    }
    return out;
}

}  // namespace

WalkView::WalkView(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setAccessibleName(tr("One edge rolled along the other"));
    roll_ = new QSlider{Qt::Horizontal, this};
    roll_->setRange(0, slider_steps);
    roll_->setSingleStep(10);
    roll_->setPageStep(100);
    roll_->setObjectName("roll_seam");
    roll_->setAccessibleName(tr("Rolled so far"));
    play_ = new Button{look, tr("Roll"), ButtonKind::Small, this};
    play_->setObjectName("play_seam");
    connect(play_, &Button::clicked, this, &WalkView::play);
    connect(roll_, &QSlider::valueChanged, this, [this] {
        describe();
        update();
    });
    film_.setInterval(film_ms);
    connect(&film_, &QTimer::timeout, this, [this] {
        roll_->setValue(roll_->value() + film_step);
        if (roll_->value() >= slider_steps) film_.stop();
    });
    refresh_when_shown(
        this, [this] { refresh(); }, room);
    refresh_when_shown(
        this,
        [this] {
            resizeEvent(nullptr);
            refresh();
        },
        look);
    refresh();
}

void WalkView::show_seam(std::size_t seam)
{
    seam_ = seam;
    refresh();
}

void WalkView::play()
{
    if (roll_->value() >= slider_steps) roll_->setValue(0);
    film_.isActive() ? film_.stop() : film_.start();
}

Length WalkView::along() const
{
    return shown_ ? std::min(length(shown_->a.line), length(shown_->b.line)) *
                        (static_cast<double>(roll_->value()) / slider_steps)
                  : Length{};
}

void WalkView::refresh()
{
    shown_.reset();
    update();
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    const auto& walks = c.checks.walks;
    // Centre on centre there is nothing to roll.
    std::vector<std::size_t> rolled_ones;
    for (std::size_t i = 0; i < walks.size(); ++i) {
        if (!walks[i].over_centre) rolled_ones.push_back(i);
    }
    if (rolled_ones.empty()) return;
    const auto there = std::lower_bound(rolled_ones.begin(), rolled_ones.end(), seam_);
    seam_ = there == rolled_ones.end() ? rolled_ones.back() : *there;
    const Walk& walk = walks[seam_];
    sewn_ = with_panels(c.left && walk.side == Side::Left ? c.left->altered : c.altered);
    const auto& g = sewn_;
    const bool roomy = look_.scale() <= roomy_text;
    std::string names = roomy ? "" : "short ";
    QStringList words;
    for (const auto i : rolled_ones) {
        const Walk& w = walks[i];
        const QString name = roomy ? words::seam_name(w.seam) : words::seam_short(w.seam);
        words << words::of_side(name, w.side);
        names += words.last().toStdString() + "; ";
    }
    if (names != offered_) {
        delete seams_;
        seams_ = new Choices{look_, words, tr("Which seam"), this};
        seams_->setObjectName("walk_seam");
        seams_->wrap();
        connect(seams_, &Choices::picked, this,
                [this, rolled_ones](int i) { show_seam(rolled_ones[static_cast<std::size_t>(i)]); });
        seams_->show();
        offered_ = names;
        resizeEvent(nullptr);
    }
    seams_->choose(
        static_cast<int>(std::find(rolled_ones.begin(), rolled_ones.end(), seam_) - rolled_ones.begin()));
    const auto seam =
        std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& other) { return other.id == walk.seam; });
    if (seam == g.seams.end()) return;
    Shown s{seam_run(g, seam->a), seam_run(g, seam->b), walk.b - walk.a - walk.difference, {}};
    if (s.a.pieces.empty() || s.b.pieces.empty()) return;
    s.stretches = stretches(s.a, s.b);
    shown_ = std::move(s);
    describe();
}

void WalkView::describe()
{
    if (!shown_) return setAccessibleDescription({});
    const Unit u = words::paper_unit(look_.unit());
    QStringList out{tr("rolled %1").arg(words::amount(along(), u))};
    for (std::size_t i = 0; i < shown_->stretches.size(); ++i) {
        const auto& s = shown_->stretches[i];
        out << tr("stretch %1: %2 and %3, %4")
                   .arg(i + 1)
                   .arg(words::amount(s.a_to - s.a_from, u), words::amount(s.b_to - s.b_from, u),
                        words::amount(s.difference(), u, true));
    }
    setAccessibleDescription(out.join("; "));
    roll_->setAccessibleDescription(out.first());
}

void WalkView::resizeEvent(QResizeEvent*)
{
    const int k = static_cast<int>(14 * look_.scale());
    if (seams_) seams_->setGeometry(12, 2, width() - 24, seams_->heightForWidth(width() - 24));
    const QSize button = play_->sizeHint();
    const int y = height() - static_cast<int>(plot_height * look_.scale()) - button.height() - 4;
    play_->setGeometry(16, y, button.width(), button.height());
    roll_->setGeometry(16 + button.width() + k, y, width() - button.width() - 2 * k - 24, button.height());
}

void WalkView::paintEvent(QPaintEvent*)
{
    if (!shown_) return;
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const double plot = plot_height * look_.scale();
    const double top = seams_ ? seams_->height() + 8.0 : 8;
    draw_rolled(p, {8, top, width() - 16.0, roll_->y() - top - 6});
    draw_difference(p, {16, height() - plot, width() - 32.0, plot - 6});
}

// The near piece lies still; the view holds its edge, with room for the far piece on the other side.
void WalkView::draw_rolled(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const auto& g = sewn_;
    const Geom::Affine laid = rolled(shown_->a, shown_->b, along());
    const QRectF seam = formats::painter_path(shown_->a.line).boundingRect();
    const double room = 70;
    const QRectF what = seam.adjusted(-room, -room * 0.5, room, room * 0.5);
    const QTransform t = fitted(what, box);
    p.save();
    p.setClipRect(box);
    p.setPen(QPen{d.walnut_line, 1.2});
    p.setBrush(d.paper);
    p.drawPath(t.map(shape_of(g, shown_->a, Geom::identity())));
    QColor over = d.walnut_wash;
    over.setAlphaF(0.75F);
    p.setBrush(over);
    p.drawPath(t.map(shape_of(g, shown_->b, laid)));
    p.setBrush(Qt::NoBrush);
    const Curve far = shown_->b.line * laid;
    p.setPen(QPen{d.woad, 3});
    p.drawPath(t.map(formats::painter_path(shown_->a.line)));
    p.setPen(QPen{d.walnut, 2.4});
    p.drawPath(t.map(formats::painter_path(far)));
    const auto notches = [&](const Curve& line, const std::vector<RunNotch>& all, const QColor& c, double side) {
        for (const auto& n : all) {
            const double time = time_at(line, n.along);
            const Point at = line.pointAt(time);
            const auto parts = split(line, std::clamp(time, 1e-3, double(line.size_default()) - 1e-3));
            const Point off = Geom::rot90(start_direction(parts.after)) * side;
            const Point across = start_direction(parts.after) * 2.4;
            p.setPen(Qt::NoPen);
            p.setBrush(c);
            QPolygonF mark;
            for (const Point& q : {at - across, at + across, at + off * 5.0}) mark << t.map(formats::on_paper(q));
            p.drawPolygon(mark);
        }
    };
    // Each mark points into its own paper.
    notches(shown_->a.line, shown_->a.notches, d.woad, shown_->a.paper_on_right ? -1 : 1);
    notches(far, shown_->b.notches, d.walnut, shown_->a.paper_on_right ? 1 : -1);
    const Point touch = shown_->a.line.pointAt(time_at(shown_->a.line, along()));
    p.setPen(QPen{d.sheet, 1.6});
    p.setBrush(d.madder);
    p.drawEllipse(t.map(formats::on_paper(touch)), 5.5, 5.5);
    p.restore();
    p.setFont(look_.lato(12.5));
    const auto key = [&](double x, const QColor& c, const QString& text) {
        p.setPen(Qt::NoPen);
        p.setBrush(d.sheet);
        p.drawRect(QRectF{x - 6, box.top(), p.fontMetrics().horizontalAdvance(text) + 40.0, 20});
        p.setPen(QPen{c, 3});
        p.drawLine(QPointF(x, box.top() + 10), QPointF(x + 22, box.top() + 10));
        p.setPen(d.ink);
        p.drawText(QPointF{x + 28, box.top() + 14}, text);
        return x + 28 + p.fontMetrics().horizontalAdvance(text) + 18;
    };
    const double next = key(box.left() + 8, d.woad, side_named(false));
    key(next, d.walnut, tr("%1, rolled along it").arg(side_named(true)));
}

QString WalkView::side_named(bool second) const
{
    const auto& walks = room_.computed()->checks.walks;
    return seam_ < walks.size() ? words::walk_side(walks[seam_], second) : QString{};
}

// How far the far edge is ahead, from the start of the seam on: level where both are equal.
void WalkView::draw_difference(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const Unit u = words::paper_unit(look_.unit());
    const double k = look_.scale();
    const Length whole = length(shown_->a.line);
    Length most = abs(shown_->meant) + walk_tolerance;
    Length ahead;
    for (const auto& s : shown_->stretches) {
        ahead += s.difference();
        most = std::max(most, abs(ahead));
    }
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    p.drawText(QPointF{box.left(), box.top() + 14 * k},
               tr("how much longer the %1 is, along the seam").arg(side_named(true)));
    const QRectF area{box.left() + 6, box.top() + 26 * k, box.width() - 130 * k, box.height() - 46 * k};
    const double scale = area.height() / 2 / std::max(most.in_mm() * 1.15, 3.0);
    const auto at = [&](Length along, Length off) {
        return QPointF{area.left() + area.width() * (along / whole), area.center().y() - off.in_mm() * scale};
    };
    // What is meant at the end, with what may be left over.
    const QRectF band{QPointF{area.right() - 14, at(whole, shown_->meant + walk_tolerance).y()},
                      QPointF{area.right() + 14, at(whole, shown_->meant - walk_tolerance).y()}};
    p.setPen(Qt::NoPen);
    p.setBrush(d.lichen_wash);
    p.drawRect(band);
    p.setPen(QPen{d.rule, 1});
    p.drawLine(at({}, {}), at(whole, {}));
    ahead = {};
    QPolygonF line{{at({}, {})}};
    for (const auto& s : shown_->stretches) {
        const QPointF from = line.last();
        ahead += s.difference();
        line << at(s.a_to, ahead);
        p.setPen(QPen{d.edge, 1, Qt::DotLine});
        p.drawLine(QPointF{line.last().x(), area.top()}, QPointF{line.last().x(), area.bottom()});
        p.setPen(d.ink);
        p.setFont(look_.lato(13, QFont::DemiBold));
        p.drawText(QRectF{from.x(), area.bottom() + 2, line.last().x() - from.x(), 18 * k}, Qt::AlignHCenter,
                   words::amount(s.difference(), u, true));
    }
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.woad, 2.2});
    p.drawPolyline(line);
    for (const auto& q : line) {
        p.setPen(QPen{d.sheet, 1.4});
        p.setBrush(d.woad);
        p.drawEllipse(q, 4, 4);
    }
    const double x = at(along(), {}).x();
    p.setPen(QPen{d.madder, 1.4});
    p.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
    const Length left = ahead - shown_->meant;
    const bool holds = abs(left) <= walk_tolerance;
    const QPointF said{area.right() + 24, area.center().y()};
    holds ? draw_tick(p, look_, said + QPointF{8, -16 * k}, 7)
          : draw_triangle(p, look_, said + QPointF{8, -16 * k}, 7);
    p.setPen(holds ? d.ink : d.madder_ink);
    p.setFont(look_.lato(18));
    p.drawText(said + QPointF{22, -10 * k}, words::amount(ahead, u, true));
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    p.drawText(said + QPointF{0, 8 * k}, tr("meant %1").arg(words::amount(shown_->meant, u, true)));
}

}  // namespace sartorum::desk
