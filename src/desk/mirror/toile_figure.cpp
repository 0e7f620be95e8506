#include "desk/mirror/toile_figure.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "desk/mirror/sight_place.h"
#include "words/mirror.h"

namespace sartorum::desk {
namespace {

constexpr double badge = 11;  // its radius
constexpr double badge_pitch = 28;
constexpr double sleeve_reach = 7;  // from its middle, figure units

// One fold: widest in its middle, nothing at both ends.
QPainterPath fold_path(QPointF a, QPointF b, double bend, double wide)
{
    const QPointF along = b - a;
    const double l = std::max(1e-6, std::hypot(along.x(), along.y()));
    const QPointF off = QPointF{-along.y(), along.x()} / l;
    const QPointF middle = (a + b) / 2 + off * bend;
    QPainterPath path{a};
    path.quadTo(middle + off * wide, b);
    path.quadTo(middle - off * wide, a);
    return path;
}

QString name_of(SeenFrom from, std::optional<Side> side)
{
    switch (from) {
        case SeenFrom::Front: return ToileFigure::tr("front");
        case SeenFrom::Back: return ToileFigure::tr("back");
        case SeenFrom::Side:
            return side == Side::Left ? ToileFigure::tr("left side") : ToileFigure::tr("right side");
        case SeenFrom::Sleeve: break;
    }
    return side == Side::Left ? ToileFigure::tr("left sleeve") : ToileFigure::tr("right sleeve");
}

bool is_hem(Sight s)
{
    return s == Sight::HemUpFront || s == Sight::HemDownFront || s == Sight::HemUpBack || s == Sight::HemDownBack;
}

}  // namespace

NoteMark note_mark(const MirrorState& s, int i)
{
    const Note& n = s.notes()[static_cast<std::size_t>(i)];
    if (s.waits(i)) return NoteMark::Waits;
    if (!n.here()) return NoteMark::Gone;
    return n.seen.strength == Strength::Slight ? NoteMark::Slight : NoteMark::Clear;
}

void draw_note_mark(QPainter& p, const Look& look, QPointF c, NoteMark mark, const QString& number, bool chosen)
{
    const auto& d = look.dyes();
    const double k = std::min(1.25, look.scale());
    const double r = badge * k;
    const QRectF box{c.x() - r, c.y() - r, 2 * r, 2 * r};
    if (chosen) {
        p.setPen(QPen{d.woad, 2});
        p.setBrush(d.sheet);
        p.drawEllipse(c, r + 4.5, r + 4.5);
    }
    p.setFont(look.lato(13, QFont::Bold));
    switch (mark) {
        case NoteMark::Clear:
            p.setPen(Qt::NoPen);
            p.setBrush(d.ink);
            p.drawPolygon(pinked(box, 4.4));
            p.setPen(d.sheet);
            break;
        case NoteMark::Slight:
            p.setPen(QPen{d.weld_ink, 1.4});
            p.setBrush(d.weld_wash);
            p.drawRoundedRect(box.adjusted(1, 1, -1, -1), 3, 3);
            p.setPen(d.weld_ink);
            break;
        case NoteMark::Gone:
            p.setPen(QPen{d.lichen_ink, 1.2});
            p.setBrush(d.lichen_wash);
            p.drawEllipse(c, r * 0.62, r * 0.62);
            p.setFont(look.lato(12.5));
            p.setPen(d.lichen_ink);
            break;
        case NoteMark::Waits:
            p.setPen(QPen{d.edge, 1.4, Qt::DashLine});
            p.setBrush(d.sheet);
            p.drawEllipse(c, r * 0.9, r * 0.9);
            p.setPen(d.faded);
            break;
    }
    p.drawText(box, Qt::AlignCenter, mark == NoteMark::Waits ? QString{"?"} : number);
}

ToileFigure::ToileFigure(Look& look, MirrorState& state, QWidget* parent)
    : QWidget{parent}, look_{look}, state_{state}
{
    setFocusPolicy(Qt::StrongFocus);
    setObjectName("toile_figure");
    setMinimumSize(300, 200);
    setAccessibleName(tr("The toile on the wearer"));
    connect(&state, &MirrorState::changed, this, [this] { lay_out(); });
    connect(&look, &Look::changed, this, [this] { lay_out(); });
}

void ToileFigure::see(FigureView view)
{
    view_ = view;
    lay_out();
}

std::vector<ToileFigure::OneFigure> ToileFigure::figures() const
{
    const double w = width() / 2.0;
    const double h = height() - name_room();
    const QRectF left{0, 0, w, h};
    const QRectF right{w, 0, w, h};
    // Seen from the left she looks to the left.
    if (view_ != FigureView::FrontAndBack) {
        const SeenFrom from = view_ == FigureView::Sides ? SeenFrom::Side : SeenFrom::Sleeve;
        return {{from, Side::Left, left}, {from, Side::Right, right}};
    }
    return {{SeenFrom::Front, {}, left}, {SeenFrom::Back, {}, right}};
}

double ToileFigure::name_room() const
{
    return 8 + 18 * look_.scale();
}

double ToileFigure::unit() const
{
    const auto part = body_.part(figures().front().from);
    const double tall = (height() - name_room() - 16) / (part.bottom - part.top);
    const double room = width() / 2.0 - 2 * (badge + 2);
    return std::min(tall, room / 2 / part.half_width);
}

QPointF ToileFigure::at(const OneFigure& f, QPointF q) const
{
    const bool mirrored = f.from == SeenFrom::Back || f.side == Side::Left;
    // As much of the body under the cloth as there is room for.
    const double low = std::min(100.0, body_.part(f.from).top + (f.box.height() - 16) / unit());
    const double y = f.box.bottom() - 8 - (low - q.y()) * unit();
    return {f.box.center().x() + (mirrored ? -q.x() : q.x()) * unit(), y};
}

std::vector<QPointF> ToileFigure::spots_of(const OneFigure& f, const Note& n) const
{
    const auto& row = facts(n.seen.sight);
    const SightPlace usual = place_of(n.seen.sight);
    QPointF q = n.at ? QPointF{n.at->x, n.at->y} : body_.placed(usual.at);
    if (f.from == SeenFrom::Sleeve) {
        // Nothing of a sleeve lies so far out: it was put on the whole figure.
        if (n.at && std::abs(q.x()) > sleeve_reach) q = usual.at;
        if (n.seen.side && n.seen.side != f.side) return {};
        return {q};
    }
    if (!n.at && is_hem(n.seen.sight)) q.setY(body_.hem() - 1.2);
    if (!n.at && body_.wears().upper && !body_.wears().skirt && !body_.wears().legs)
        q.setY(std::min(q.y(), body_.hem() - 2.4));
    if (f.from == SeenFrom::Side) {
        // What is seen from the side on both is shown on both.
        if (n.seen.side && n.seen.side != f.side) return {};
        return {q};
    }
    if (!row.sided || std::abs(q.x()) < 0.05) return {q};
    const QPointF left{std::abs(q.x()), q.y()};
    const QPointF right{-std::abs(q.x()), q.y()};
    if (!n.seen.side) return {left, right};
    return {*n.seen.side == Side::Left ? left : right};
}

// Badges stand at both edges of their figure, each near its place, none on another.
void ToileFigure::lay_out()
{
    if (!state_.room().computed()) return;
    body_ = ToileBody{Proportions{state_.room().body()}, wears_of(state_.room().computed()->altered)};
    placed_.clear();
    const auto all = figures();
    for (int f = 0; f < static_cast<int>(all.size()); ++f) {
        const auto& fig = all[static_cast<std::size_t>(f)];
        std::vector<Placed> columns[2];
        for (int i = 0; i < static_cast<int>(state_.notes().size()); ++i) {
            const Note& n = state_.notes()[static_cast<std::size_t>(i)];
            if (facts(n.seen.sight).from != fig.from) continue;
            auto spots = spots_of(fig, n);
            if (spots.empty()) continue;
            for (auto& s : spots) s = at(fig, s);
            const double x = spots.front().x() - fig.box.center().x();
            const bool right = std::abs(x) < 4 ? columns[0].size() > columns[1].size() : x > 0;
            columns[right ? 1 : 0].push_back({i, f, spots, {}});
        }
        for (int c = 0; c < 2; ++c) {
            auto& column = columns[c];
            std::stable_sort(column.begin(), column.end(),
                             [](const Placed& a, const Placed& b) { return a.spots[0].y() < b.spots[0].y(); });
            const double pitch =
                std::min(badge_pitch * std::min(1.25, look_.scale()),
                         (fig.box.height() - 2 * badge) / std::max<double>(1, static_cast<double>(column.size())));
            double y = fig.box.top() + badge + 4;
            for (auto& p : column) {
                y = std::max(y, p.spots[0].y() - 26);
                p.badge = {c == 0 ? fig.box.left() + badge + 6 : fig.box.right() - badge - 6, y};
                y += pitch;
            }
            double most = fig.box.bottom() - badge - 2;
            for (auto it = column.rbegin(); it != column.rend(); ++it) {
                it->badge.setY(std::min(it->badge.y(), most));
                most = it->badge.y() - pitch;
            }
            std::move(column.begin(), column.end(), std::back_inserter(placed_));
        }
    }
    QStringList spoken;
    for (int i = 0; i < static_cast<int>(state_.notes().size()); ++i)
        spoken << words::note_sentence(state_.notes()[static_cast<std::size_t>(i)], i + 1, state_.waits(i));
    setAccessibleDescription(spoken.isEmpty() ? tr("nothing is noted on it yet") : spoken.join("; "));
    update();
}

void ToileFigure::resizeEvent(QResizeEvent*)
{
    lay_out();
}

QPointF ToileFigure::badge_of_note(int note) const
{
    for (const auto& p : placed_) {
        if (p.note == note) return p.badge;
    }
    return {};
}

void ToileFigure::draw_sight(QPainter& p, const Note& n, QPointF c, bool mirrored) const
{
    const auto& d = look_.dyes();
    const SightPlace s = place_of(n.seen.sight);
    const double k = unit();
    const double l = s.length * k / 2;
    const bool slight = n.seen.strength == Strength::Slight;
    const QColor ink = n.here() ? d.ink : d.rule;
    const double turn = (mirrored ? 180 - s.angle : s.angle) * M_PI / 180;
    const QPointF along{std::cos(turn), std::sin(turn)};
    const QPointF off{-along.y(), along.x()};
    const double wide = std::clamp((slight ? 0.2 : 0.46) * k, 1.1, slight ? 3.0 : 6.5);
    p.setPen(Qt::NoPen);
    p.setBrush(ink);
    const QPen thin{ink, slight ? 1.1 : 1.8, Qt::SolidLine, Qt::RoundCap};
    switch (s.as) {
        case DrawnAs::Folds:
            for (int i = 0; i < s.count; ++i) {
                const double t = i - (s.count - 1) / 2.0;
                const QPointF m = c + off * t * k * 1.15;
                const double part = l * (1 - 0.18 * std::abs(t));
                p.drawPath(fold_path(m - along * part, m + along * part, 0.22 * k, wide));
            }
            break;
        case DrawnAs::Pull:
            for (int i = 0; i < s.count; ++i) {
                const QPointF m = c + off * (i - (s.count - 1) / 2.0) * k * 1.2;
                for (const double way : {-1.0, 1.0})
                    p.drawPath(fold_path(m + along * way * l * 0.28, m + along * way * l, 0, wide * 0.9));
            }
            break;
        case DrawnAs::Loose:
            p.setPen(thin);
            p.setBrush(Qt::NoBrush);
            for (int i = 0; i < s.count; ++i) {
                const QPointF m = c + off * (i - (s.count - 1) / 2.0) * k * 1.3;
                QPainterPath wave{m - along * l};
                wave.cubicTo(m - along * l * 0.4 + off * k, m - along * l * 0.3 - off * k, m);
                wave.cubicTo(m + along * l * 0.3 + off * k, m + along * l * 0.4 - off * k, m + along * l);
                p.drawPath(wave);
            }
            break;
        case DrawnAs::Gap: {
            p.setPen(thin);
            p.setBrush(d.weld_wash);
            QPainterPath gap{c - along * l};
            gap.quadTo(c - off * k * 1.5, c + along * l);
            gap.quadTo(c - off * k * 0.2, c - along * l);
            p.drawPath(gap);
            break;
        }
        case DrawnAs::Up:
        case DrawnAs::Down: {
            p.setPen(thin);
            p.setBrush(Qt::NoBrush);
            const double way = s.as == DrawnAs::Up ? -1 : 1;
            p.drawLine(c - QPointF{l, 0}, c + QPointF{l, 0});
            const QPointF tip = c + QPointF{0, way * 2.6 * k};
            p.drawLine(c, tip);
            p.drawLine(tip, tip + QPointF{-0.8 * k, -way * k});
            p.drawLine(tip, tip + QPointF{0.8 * k, -way * k});
            break;
        }
        case DrawnAs::Off:
            p.setPen(thin);
            p.drawLine(c - along * l, c + along * l);
            p.setPen(QPen{ink, 1.1, Qt::DashLine});
            p.drawLine(c - along * l + off * 0.9 * k, c + along * l + off * 0.9 * k);
            break;
    }
}

void ToileFigure::draw_figure(QPainter& p, const OneFigure& f) const
{
    const bool near = f.from == SeenFrom::Sleeve;  // cut out of the whole
    QPainterPath frame;
    if (near)
        frame.addRoundedRect(f.box.adjusted(5, 2, -5, -2), 8, 8);
    else
        frame.addRect(f.box.adjusted(0, -2, 0, 4));
    p.save();
    p.setClipPath(frame);
    body_.draw(p, look_, f.from, [&](QPointF q) { return at(f, q); });
    p.restore();
    if (!near) return;
    p.setPen(QPen{look_.dyes().edge, 1});
    p.setBrush(Qt::NoBrush);
    p.drawPath(frame);
}

void ToileFigure::draw_name(QPainter& p, const OneFigure& f) const
{
    p.setPen(look_.dyes().faded);
    p.setFont(look_.lato(13));
    const QRectF foot{f.box.left() + 6, f.box.bottom() + 4, f.box.width() - 12, name_room() - 4};
    p.drawText(foot, Qt::AlignCenter, name_of(f.from, f.side));
    if (f.from != SeenFrom::Sleeve) return;
    // From near it cannot be seen which way she looks. On both or on none: by the longer name.
    const QString front = tr("front");
    const QString back = tr("back");
    const auto wide = [&](const QString& text) { return p.fontMetrics().horizontalAdvance(text); };
    const int names = std::max(wide(name_of(f.from, Side::Left)), wide(name_of(f.from, Side::Right)));
    if (std::max(wide(front), wide(back)) >= (foot.width() - names) / 2 - 8) return;
    const bool to_left = f.side == Side::Left;
    p.drawText(foot, Qt::AlignVCenter | Qt::AlignLeft, to_left ? front : back);
    p.drawText(foot, Qt::AlignVCenter | Qt::AlignRight, to_left ? back : front);
}

void ToileFigure::paintEvent(QPaintEvent*)
{
    if (!state_.room().computed()) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const auto all = figures();
    for (const auto& f : all) {
        draw_figure(p, f);
        draw_name(p, f);
    }
    for (const bool chosen : {false, true}) {
        for (const auto& at_note : placed_) {
            if ((at_note.note == state_.chosen()) != chosen) continue;
            const auto& f = all[static_cast<std::size_t>(at_note.figure)];
            const Note& n = state_.notes()[static_cast<std::size_t>(at_note.note)];
            for (const auto& c : at_note.spots)
                draw_sight(p, n, c, f.side ? f.side == Side::Left : c.x() < f.box.center().x());
            p.setPen(QPen{chosen ? d.woad : d.ink, chosen ? 1.6 : 1.0});
            p.drawLine(at_note.badge, at_note.spots.front());
            p.setBrush(chosen ? d.woad : d.ink);
            p.drawEllipse(at_note.spots.front(), 2.4, 2.4);
            draw_note_mark(p, look_, at_note.badge, note_mark(state_, at_note.note),
                           QString::number(at_note.note + 1), chosen);
        }
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(2, 2, -2, -2), 6);
}

void ToileFigure::mousePressEvent(QMouseEvent* e)
{
    setFocus();
    const QPointF where = e->position();
    for (const auto& p : placed_) {
        if (QLineF{p.badge, where}.length() < badge + 5) return state_.choose(p.note);
    }
    for (const auto& f : figures()) {
        if (!f.box.contains(where)) continue;
        const bool mirrored = f.from == SeenFrom::Back || f.side == Side::Left;
        const QPointF zero = at(f, {0, 0});
        const double x = (where.x() - zero.x()) / unit() * (mirrored ? -1 : 1);
        const double y = (where.y() - zero.y()) / unit();
        const auto side = f.side              ? f.side
                          : std::abs(x) < 1.2 ? std::optional<Side>{}
                                              : std::optional{x > 0 ? Side::Left : Side::Right};
        emit pointed(f.from, {x, y}, side, e->globalPosition().toPoint());
        return;
    }
}

void ToileFigure::keyPressEvent(QKeyEvent* e)
{
    const int n = static_cast<int>(state_.notes().size());
    switch (e->key()) {
        case Qt::Key_Down:
        case Qt::Key_Right: state_.choose(std::min(n - 1, state_.chosen() + 1)); break;
        case Qt::Key_Up:
        case Qt::Key_Left: state_.choose(std::max(0, state_.chosen() - 1)); break;
        default: QWidget::keyPressEvent(e);
    }
}

}  // namespace sartorum::desk
