#include "desk/paper/seam_walk.h"

#include <QKeyEvent>
#include <algorithm>

#include "desk/shared/when_shown.h"
#include "words/lines.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {

struct Counted {
    int holds = 0;
    int open = 0;
};

// Darts and outlines are counted only where they do not hold: that they do is what anybody takes for granted.
Counted counted(const Checks& checks)
{
    Counted out;
    const auto count = [&](const auto& all) {
        for (const auto& x : all) ++(x.holds ? out.holds : out.open);
    };
    const auto count_open = [&](const auto& all) {
        for (const auto& x : all) out.open += x.holds ? 0 : 1;
    };
    count(checks.walks);
    count(checks.joins);
    count(checks.folds);
    count_open(checks.darts);
    count_open(checks.outlines);
    return out;
}

}  // namespace

SeamWalk::SeamWalk(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setFixedHeight(static_cast<int>(162 * std::max(1.0, text_scale())));
    setAccessibleName(tr("Walk the seams"));
    refresh_when_shown(
        this,
        [this] {
            describe();
            update();
        },
        room);
    connect(&look, &Look::changed, this, [this] {
        setFixedHeight(static_cast<int>(162 * std::max(1.0, text_scale())));
        describe();
    });
    describe();
}

void SeamWalk::describe()
{
    if (!room_.computed()) return;
    const Unit u = words::paper_unit(look_.unit());
    const auto [holds, open] = counted(room_.computed()->checks);
    QStringList out{tr("%1 hold, %2 to true").arg(holds).arg(open)};
    for (const auto& w : room_.computed()->checks.walks) out << words::walk_sentence(w, u);
    out << words::to_true(room_.computed()->checks, u);
    setAccessibleDescription(out.join("; "));
}

void SeamWalk::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (!room_.computed()) return;
    const auto& d = look_.dyes();
    const auto& checks = room_.computed()->checks;
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    const double k = text_scale();
    p.setFont(cabin(18));
    p.drawText(QPointF{20, 30 * k}, tr("Walk the seams"));
    const auto [holds, open] = counted(checks);
    p.setFont(lato(14, QFont::DemiBold));
    draw_tick(p, look_, {27, 50 * k}, 6.5);
    p.setPen(d.lichen_ink);
    p.drawText(QPointF{42, 55 * k}, tr("%1 hold").arg(holds));
    if (open > 0) {
        draw_triangle(p, look_, {27, 74 * k}, 7);
        p.setPen(d.madder_ink);
        p.drawText(QPointF{42, 79 * k}, tr("%1 to true").arg(open));
    }
    p.setPen(d.faded);
    p.setFont(lato(12.5));
    p.drawText(QRectF{20, 92 * k, 150 * k, 62 * k}, Qt::TextWordWrap,
               tr("end to end, darts closed, allowances left out"));
    const auto all = columns();
    for (std::size_t i = 0; i < all.size(); ++i) {
        const Walk& first = checks.walks[all[i].front()];
        if (all[i].size() == 1 && !first.over_centre)
            draw_pair(p, column(i), first);
        else
            draw_sides(p, column(i), all[i]);
    }
    draw_hem(p, column(all.size()), checks);
    if (hasFocus() && here_ < all.size()) draw_focus(p, look_, column(here_).adjusted(2, 2, -2, -2), 5);
}

// The pieces above need their room, and many columns leave none for the largest text.
double SeamWalk::text_scale() const
{
    return std::min(look_.scale(), roomy_text);
}

QFont SeamWalk::lato(double size, QFont::Weight weight) const
{
    return look_.lato(size * text_scale() / look_.scale(), weight);
}

QFont SeamWalk::cabin(double size) const
{
    return look_.cabin(size * text_scale() / look_.scale());
}

// A column for each seam, and a wider one for where seams meet.
QRectF SeamWalk::column(std::size_t i) const
{
    const auto n = static_cast<double>(columns().size());
    const double k = text_scale();
    const double left = 178 * k;
    const double last = std::max(230 * k, (width() - left - 16) / (n + 1));
    const double w = n > 0 ? (width() - left - 16 - last) / n : 0;
    const bool pair = static_cast<double>(i) < n;
    return {left + w * (pair ? double(i) : n), 8, (pair ? w : last) - 8, height() - 16.0};
}

void SeamWalk::mousePressEvent(QMouseEvent* e)
{
    if (!room_.computed()) return;
    const auto all = columns();
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (column(i).contains(e->position())) pick(all[i]);
    }
}

std::vector<SeamWalk::Column> SeamWalk::columns() const
{
    const auto& walks = room_.computed()->checks.walks;
    std::vector<Column> out;
    for (std::size_t i = 0; i < walks.size(); ++i) {
        const Walk* last = out.empty() ? nullptr : &walks[out.back().front()];
        const bool beside = last && ((walks[i].side && last->seam == walks[i].seam) ||
                                     (walks[i].over_centre && last->over_centre));
        if (beside)
            out.back().push_back(i);
        else
            out.push_back({i});
    }
    return out;
}

// Centre on centre is not rolled.
void SeamWalk::pick(const Column& c)
{
    if (!room_.computed()->checks.walks[c.front()].over_centre) emit picked(static_cast<int>(c.front()));
}

void SeamWalk::keyPressEvent(QKeyEvent* e)
{
    const std::size_t n = room_.computed() ? columns().size() : 0;
    if (e->key() == Qt::Key_Right && here_ + 1 < n) {
        ++here_;
    } else if (e->key() == Qt::Key_Left && here_ > 0) {
        --here_;
    } else if ((e->key() == Qt::Key_Return || e->key() == Qt::Key_Space) && here_ < n) {
        pick(columns()[here_]);
    } else {
        return QWidget::keyPressEvent(e);
    }
    update();
}

void SeamWalk::draw_pair(QPainter& p, const QRectF& r, const Walk& walk)
{
    const auto& d = look_.dyes();
    const Unit u = words::paper_unit(look_.unit());
    column_edge(p, r, walk.holds);
    const QRectF in = r.adjusted(14, 4, -14, -4);
    column_name(p, in, words::seam_name(walk.seam), words::seam_short(walk.seam));
    const Length longest = std::max(walk.a, walk.b);
    const auto bar = [&](double y, Length l, const std::vector<Length>& notches, const QColor& c,
                         const QString& side, bool down) {
        p.setPen(d.faded);
        p.setFont(lato(13));
        // Name and length beside each other, where both have room.
        const double named = p.fontMetrics().horizontalAdvance(side) + 6;
        const double measured = QFontMetricsF{lato(15, QFont::DemiBold)}.horizontalAdvance(words::amount(l, u));
        if (named + measured <= in.width()) p.drawText(QPointF{in.left(), y - 6}, side);
        p.setPen(d.ink);
        p.setFont(fitting(lato(15, QFont::DemiBold), words::amount(l, u), in.width(), 0.6));
        p.drawText(QRectF{in.left(), y - 24 * text_scale(), in.width(), 20 * text_scale()},
                   Qt::AlignRight | Qt::TextDontClip, words::amount(l, u));
        const double w = in.width() * (l / longest);
        p.setPen(QPen{c, 3});
        p.drawLine(QPointF(in.left(), y), QPointF(in.left() + w, y));
        p.setPen(QPen{c, 1.6});
        p.drawLine(QPointF(in.left(), y - 4), QPointF(in.left(), y + 4));
        p.drawLine(QPointF(in.left() + w, y - 4), QPointF(in.left() + w, y + 4));
        p.setPen(Qt::NoPen);
        p.setBrush(c);
        for (const auto n : notches) {
            const double x = in.left() + in.width() * (n / longest);
            const double s = down ? 1 : -1;
            p.drawPolygon(QPolygonF{{{x - 4, y + 2 * s}, {x + 4, y + 2 * s}, {x, y + 8 * s}}});
        }
    };
    bar(in.top() + 50 * text_scale(), walk.a, walk.notches_a, d.woad, words::walk_side(walk, false), true);
    bar(in.top() + 88 * text_scale(), walk.b, walk.notches_b, d.walnut, words::walk_side(walk, true), false);
    p.setPen(walk.holds ? d.ink : d.madder_ink);
    const QString off = words::amount(walk.difference, u, true);
    p.setFont(fitting(lato(22), off, in.width() - 20, 0.5));  // clear of its mark
    p.drawText(QPointF{in.left(), in.bottom() - 4}, off);
    const double x = in.left() + p.fontMetrics().horizontalAdvance(off) + 14;
    p.setFont(lato(12.5));
    p.setPen(walk.holds ? d.faded : d.madder_ink);
    // In millimetres also where inches are shown: a sixteenth of an inch is coarser.
    const QString allowed = QString::number(walk_tolerance.in_mm()) + " mm";
    const QString said =
        walk.holds ? tr("level, allowed %1").arg(allowed) : tr("allowed %1: true again").arg(allowed);
    if (x + p.fontMetrics().horizontalAdvance(said) < in.right() - 18)
        p.drawText(QPointF{x, in.bottom() - 5}, said);
    // What is meant stands between bars and number, where it has room.
    const QString meant = words::walk_brief(walk, u);
    if (p.fontMetrics().horizontalAdvance(meant) <= in.width() + 8)
        p.drawText(QPointF{in.left(), in.top() + 112 * text_scale()}, meant);
    const QPointF mark{in.right() - 8, in.bottom() - 10};
    if (walk.holds)
        draw_tick(p, look_, mark, 7.5);
    else
        draw_triangle(p, look_, mark, 8);
}

void SeamWalk::column_edge(QPainter& p, const QRectF& r, bool holds)
{
    const auto& d = look_.dyes();
    if (!holds) {
        p.setPen(Qt::NoPen);
        p.setBrush(d.madder_wash);
        p.drawRoundedRect(r, 4, 4);
    }
    p.setPen(QPen{d.rule, 1});
    p.drawLine(r.topLeft() + QPointF{-4, 6}, r.bottomLeft() + QPointF{-4, -6});
}

void SeamWalk::column_name(QPainter& p, const QRectF& in, const QString& name, const QString& shorter)
{
    p.setPen(look_.dyes().ink);
    p.setFont(cabin(16));
    const bool fits = p.fontMetrics().horizontalAdvance(name) <= in.width() + 8;
    p.setFont(fitting(cabin(16), fits ? name : shorter, in.width() + 8, 0.5));
    p.drawText(in.topLeft() + QPointF{0, 18 * text_scale()}, fits ? name : shorter);
}

// The right side over the left, or the front's centre over the back's: both lengths, and what is between them.
void SeamWalk::draw_sides(QPainter& p, const QRectF& r, const Column& walks)
{
    const auto& d = look_.dyes();
    const Unit u = words::paper_unit(look_.unit());
    const double k = text_scale();
    const auto& all = room_.computed()->checks.walks;
    const bool holds = std::all_of(walks.begin(), walks.end(), [&](std::size_t i) { return all[i].holds; });
    column_edge(p, r, holds);
    const QRectF in = r.adjusted(14, 4, -14, -4);
    const Walk& first = all[walks.front()];
    if (first.over_centre)
        column_name(p, in, tr("Centres"), tr("Centres"));
    else
        column_name(p, in, words::seam_name(first.seam), words::seam_short(first.seam));
    // A dress has four centres: what there is no room for is said among what has to be made true, if it must be.
    const double pitch = 54 * k;
    double y = in.top() + 42 * k;
    for (const auto i : walks) {
        const Walk& w = all[i];
        if (y + 30 * k > in.bottom() + 4) break;
        const QString name = w.over_centre ? words::seam_name(w.seam) : words::side_name(*w.side);
        p.setPen(d.faded);
        p.setFont(fitting(lato(13), name, in.width() - 20, 0.7));
        p.drawText(QPointF{in.left(), y}, name);
        const QString lengths = tr("%1 · %2").arg(words::number(w.a, u), words::number(w.b, u));
        p.setPen(d.ink);
        p.setFont(fitting(lato(14, QFont::DemiBold), lengths, in.width() - 4, 0.6));
        p.drawText(QPointF{in.left(), y + 18 * k}, lengths);
        const QString off = words::amount(w.difference, u, true);
        p.setPen(w.holds ? d.ink : d.madder_ink);
        p.setFont(fitting(lato(13), off, in.width() - 20, 0.6));
        p.drawText(QPointF{in.left(), y + 35 * k}, off);
        const QPointF mark{in.right() - 8, y + 30 * k};
        w.holds ? draw_tick(p, look_, mark, 6.5) : draw_triangle(p, look_, mark, 7);
        y += pitch;
    }
}

void SeamWalk::draw_hem(QPainter& p, const QRectF& r, const Checks& c)
{
    const auto& d = look_.dyes();
    const Unit u = words::paper_unit(look_.unit());
    p.setPen(QPen{d.rule, 1});
    p.drawLine(r.topLeft() + QPointF{-4, 6}, r.bottomLeft() + QPointF{-4, -6});
    const QRectF in = r.adjusted(14, 4, -14, -4);
    p.setPen(d.ink);
    p.setFont(cabin(16));
    const double k = text_scale();
    const bool anywhere = c.shoulder || room_.computed()->altered_flat.has(GarmentMeasure::CrotchFront);
    const QString title = anywhere ? tr("Where seams meet") : tr("Hem and waist at the side");
    p.setFont(fitting(cabin(16), title, in.width(), 0.6));
    p.drawText(in.topLeft() + QPointF{0, 18 * k}, title);
    double y = in.top() + 40 * k;
    const bool level = c.hem && c.hem->holds;
    if (!c.shoulder) {
        const QString hem = (level ? tr("hem level: front %1, back %2") : tr("hem: front %1, back %2"))
                                .arg(words::number(c.front_hem, u), words::amount(c.back_hem, u));
        const QPointF at{in.left() + (level ? 24 : 0), in.top() + 42 * k};
        if (level) draw_tick(p, look_, at - QPointF{16, 5}, 6.5);
        p.setFont(fitting(lato(level ? 14 : 13), hem, in.right() - at.x(), 0.6));
        p.setPen(level ? d.ink : d.faded);
        p.drawText(at, hem);
        y += 26 * k;
    }
    const auto row = [&](bool holds, const QString& text) {
        if (holds)
            draw_tick(p, look_, {in.left() + 8, y - 5}, 6.5);
        else
            draw_triangle(p, look_, {in.left() + 8, y - 5}, 7);
        p.setPen(holds ? d.ink : d.madder_ink);
        p.setFont(lato(14));
        p.drawText(QPointF{in.left() + 24, y}, text);
        y += (c.shoulder ? 20 : 24) * k;
    };
    // Many run on: said in one line, so that what does not is seen.
    const auto runs_on = std::count_if(c.joins.begin(), c.joins.end(), [](const Join& j) { return j.holds; });
    const bool many = c.joins.size() > 5;
    if (many && runs_on > 0) row(true, tr("%1 edges run on smoothly").arg(runs_on));
    for (const auto& said : words::to_true(c, u)) row(false, said);
    if (level && c.shoulder) row(true, words::hem_text(*c.hem, u));
    for (const auto& j : c.joins) {
        const QString degrees = QString::number(j.degrees, 'f', 1) + "°";
        if (j.holds && !many) row(true, tr("%1 runs on, %2").arg(words::corner_name(j), degrees));
    }
    p.setPen(d.faded);
    p.setFont(lato(12.5));
    if (y < in.bottom() - 16)
        p.drawText(QPointF{in.left(), in.bottom() - 5},
                   tr("laid seam to seam, 180° ± %1° asked").arg(join_tolerance_degrees));
}

}  // namespace sartorum::desk
