#include "formats/work_card.h"

#include <QBuffer>
#include <QPainter>
#include <QPdfWriter>
#include <algorithm>

#include "core/paper/area.h"
#include "core/plan/step_telling.h"
#include "formats/card_page.h"
#include "formats/painter_paths.h"
#include "formats/text_file.h"
#include "words/lines.h"
#include "words/sewn.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::formats {
namespace {

constexpr double picture = 58;  // points square
constexpr double gutter = 16;
constexpr double row_gap = 7;

QString tr_(const char* text)
{
    return QCoreApplication::translate("work_card", text);
}

// What a step shows: its lines, amounts, paper that came or went.
QRectF shown(const Step& s)
{
    QRectF out;
    const auto include = [&](Point p) {
        const QPointF at = on_paper(p);
        out |= QRectF{at - QPointF{1, 1}, QSizeF{2, 2}};
    };
    for (const auto& l : s.picture.lines) {
        include(l.a);
        include(l.b);
    }
    for (const auto& d : s.picture.dimensions) {
        include(d.a);
        include(d.b);
    }
    for (const auto& shapes : {added_paper(s.picture), removed_paper(s.picture)}) {
        for (const auto& polygon : shapes) std::for_each(polygon.begin(), polygon.end(), include);
    }
    return out;
}

class Card : private CardPage {
public:
    Card(QPainter& p, const Computed& c, const PrintLabel& label, PaperSize paper, Unit u, int page)
        : CardPage{p, paper, page}, c_{c}, label_{label}, unit_{u}
    {
    }

    int paint()
    {
        head();
        not_done();
        plan();
        heading(tr_("Steps"));
        steps();
        seams();
        return pages();
    }

private:
    void head()
    {
        y_ += text(0, width_, card_font(17, true), label_.wearer + " · " + label_.pattern) + 2;
        y_ += text(0, width_, card_font(10), label_.sizes + " · " + label_.version + " · " + label_.date) + 8;
    }

    // What was asked for and is not on the paper comes before all that is.
    void not_done()
    {
        for (const auto& n : c_.not_done) {
            const QString s = words::not_done(n, unit_);
            const double tall = text_height(width_ - 16, card_font(10, true), s) + 10;
            need(tall + 4);
            if (here()) {
                p_.setPen(QPen{Qt::black, 1.4});
                p_.setBrush(Qt::NoBrush);
                p_.drawRect(QRectF{margin, margin + y_, width_, tall});
                p_.setPen(Qt::black);
            }
            y_ += 4;
            text(8, width_ - 16, card_font(10, true), s);
            y_ += tall;
        }
    }

    void heading(const QString& s)
    {
        need(30);
        y_ += 4;
        y_ += text(0, width_, card_font(12, true), s) + 3;
    }

    void plan()
    {
        heading(tr_("Plan"));
        for (const auto& line : c_.lines) {
            if (line.state != LineState::Accepted) continue;
            if (c_.work.plan.sewn && !adjustment(line.kind).when_sewn) continue;
            const auto said = words::plan_text(line, c_, unit_);
            const QString why = line.own_amount && line.seen_on.empty() ? tr_("own amount") : said.why;
            need(14);
            text(0, 130, card_font(10), said.name);
            const QString sides = said.sides.isEmpty() ? QString{} : ". " + said.sides;
            const double amounts = text(134, 120, card_font(10, true), said.amounts);
            y_ += std::max(amounts, text(258, width_ - 258, card_font(9), said.meaning + "; " + why + sides)) + 2;
        }
        if (const QString crotch = words::crotch_lowered_text(c_, unit_); !crotch.isEmpty()) {
            need(28);
            y_ += text(0, width_, card_font(10), crotch) + 2;
        }
        if (c_.checks.shoulder) {
            need(14);
            text(0, 130, card_font(10), tr_("Shoulder"));
            y_ += text(134, width_ - 134, card_font(10), shoulder()) + 2;
        }
    }

    [[nodiscard]] QString shoulder() const
    {
        const QString right = words::shoulder_text(*c_.checks.shoulder, unit_);
        if (!c_.checks.shoulder_left) return right;
        const QString left = words::shoulder_text(*c_.checks.shoulder_left, unit_);
        return left == right ? right : tr_("right %1; left %2").arg(right, left);
    }

    // Two columns, a row at a time.
    void steps()
    {
        const double column = (width_ - gutter) / 2;
        for (std::size_t i = 0; i < steps_.size(); i += 2) {
            const std::size_t n = std::min<std::size_t>(2, steps_.size() - i);
            double tall = picture;
            for (std::size_t k = 0; k < n; ++k) tall = std::max(tall, step_height(*steps_[i + k].step, column));
            need(tall + row_gap);
            for (std::size_t k = 0; k < n; ++k) step(i + k, static_cast<double>(k) * (column + gutter), column);
            y_ += tall + row_gap;
        }
    }

    [[nodiscard]] double step_height(const Step& s, double column)
    {
        const double w = column - picture - 24;
        return text_height(w, card_font(9, true), words::step_title(s, unit_)) + 11 +
               text_height(w, card_font(8), words::step_detail(s, unit_)) + 4;
    }

    void step(std::size_t i, double x, double column)
    {
        const Step& s = *steps_[i].step;
        const Piece* piece = find_piece(c_.bought.pieces, s.piece);
        const double left = x + picture + 24;
        const double w = column - picture - 24;
        const double top = y_;
        if (here()) {
            p_.setPen(QPen{Qt::black, 0.6});
            p_.setBrush(Qt::NoBrush);
            p_.drawRect(QRectF{margin + x, margin + y_ + 1, 8, 8});
            paint_step(p_, steps_[i].turned ? turned_over(s) : s, {margin + x + 14, margin + y_, picture, picture},
                       unit_);
            p_.setPen(Qt::black);
        }
        y_ += text(left, w, card_font(8),
                   QString::number(i + 1) + "  " +
                       words::of_side(piece ? words::piece_name(*piece) : QString{}, steps_[i].side)) +
              1;
        y_ += text(left, w, card_font(9, true), words::step_title(s, unit_)) + 1;
        text(left, w, card_font(8), words::step_detail(s, unit_));
        y_ = top;
    }

    void seams()
    {
        heading(tr_("Walk the seams"));
        for (const auto& w : c_.checks.walks) {
            need(14);
            y_ += text(0, width_, card_font(10), words::walk_sentence(w, unit_)) + 2;
        }
        for (const auto& said : words::to_true(c_.checks, unit_)) {
            need(14);
            y_ += text(0, width_, card_font(10, true), said) + 2;
        }
        if (const auto unwalked = words::unwalked(c_.checks); !unwalked.isEmpty()) {
            need(14);
            y_ += text(0, width_, card_font(10, true), unwalked) + 2;
        }
        need(30);
        y_ += 4;
        y_ += text(
            0, width_, card_font(9),
            tr_("Pins along the body, not at it. Close the rotary cutter when you put it down. Nothing made since "
                "the last try-on has been seen on a body: make a toile before good cloth is cut."));
    }

    const Computed& c_;
    const std::vector<ToldStep> steps_ = told_steps(c_);
    const PrintLabel& label_;
    Unit unit_;
};

}  // namespace

void paint_step(QPainter& p, const Step& s, const QRectF& box, Unit u)
{
    QRectF piece;
    for (const auto& panel : s.picture.panels) piece |= painter_path(panel).boundingRect();
    QRectF part = shown(s);
    if (part.isNull()) part = piece;
    // At least a hand's breadth round it, square, so that one can see where on the piece it is.
    const double side = std::max({part.width() + 50, part.height() + 50, 170.0});
    part = QRectF{part.center() - QPointF{side / 2, side / 2}, QSizeF{side, side}};
    if (part.width() > std::max(piece.width(), piece.height()))
        part = QRectF{piece.center() - QPointF{side / 2, side / 2}, QSizeF{side, side}};
    QTransform t;
    t.translate(box.left(), box.top());
    t.scale(box.width() / part.width(), box.width() / part.width());
    t.translate(-part.left(), -part.top());
    p.save();
    p.setClipRect(box);
    p.setBrush(QColor{245, 242, 235});
    p.setPen(QPen{Qt::black, 0.7});
    for (const auto& panel : s.picture.panels) p.drawPath(t.map(painter_path(panel)));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{Qt::darkGray, 0.4, Qt::DotLine});
    for (const auto& panel : s.picture.panels) {
        p.drawPath(t.map(darts_path(panel)));
    }
    for (const auto& from : s.picture.redrawn_from) {
        p.setPen(QPen{Qt::darkGray, 0.6, Qt::DashLine});
        p.drawPath(t.map(painter_path(from)));
    }
    p.setPen(QPen{Qt::black, 0.4});
    p.setBrush(QBrush{Qt::black, Qt::Dense6Pattern});
    p.drawPath(t.map(painter_path(added_paper(s.picture))));
    p.setBrush(QBrush{Qt::black, Qt::BDiagPattern});
    p.drawPath(t.map(painter_path(removed_paper(s.picture))));
    p.setPen(QPen{Qt::black, 1.1});
    for (const auto& l : s.picture.lines) p.drawLine(t.map(on_paper(l.a)), t.map(on_paper(l.b)));
    p.setFont(card_font(8, true));
    for (const auto& d : s.picture.dimensions) {
        const QPointF at = (t.map(on_paper(d.a)) + t.map(on_paper(d.b))) / 2;
        const QString text = words::amount(d.amount, words::paper_unit(u));
        const double w = p.fontMetrics().horizontalAdvance(text) + 3;
        QRectF r{at.x() + 3, at.y() - 5, w, 10};
        if (r.right() > box.right()) r.moveRight(at.x() - 3);
        r.moveLeft(std::max(r.left(), box.left() + 1));
        r.moveTop(std::clamp(r.top(), box.top() + 1, box.bottom() - r.height() - 1));
        p.fillRect(r, QColor{255, 255, 255, 200});
        p.drawText(r, Qt::AlignCenter, text);
    }
    p.restore();
    p.setPen(QPen{Qt::gray, 0.4});
    p.setBrush(Qt::NoBrush);
    p.drawRect(box);
}

int paint_work_card(QPainter& p, const Computed& c, const PrintLabel& label, PaperSize paper, Unit u, int page)
{
    return Card{p, c, label, paper, u, page}.paint();
}

Outcome<int> write_card(const QString& path, const PrintLabel& label, PaperSize paper, IfThere if_there,
                        const std::function<int(QPainter&, int)>& paint)
{
    if (auto ok = may_write(path, if_there); !ok) return tl::make_unexpected(ok.error());
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    int pages = 1;
    {
        QPdfWriter pdf{&buffer};
        pdf.setTitle(label.pattern);  // nobody's name: a file is shown by its title
        pdf.setCreator("Sartorum");
        pdf.setResolution(72);
        pdf.setPageSize(QPageSize{paper == PaperSize::A4 ? QPageSize::A4 : QPageSize::Letter});
        pdf.setPageMargins({0, 0, 0, 0});
        QPainter p{&pdf};
        p.setRenderHint(QPainter::Antialiasing);
        for (int page = 0; page < pages; ++page) {
            if (page > 0) pdf.newPage();
            pages = paint(p, page);
        }
    }
    if (auto ok = write_file(path, buffer.data(), if_there); !ok) return tl::make_unexpected(ok.error());
    return pages;
}

Outcome<int> write_work_card(const QString& path, const Computed& computed, const PrintLabel& label,
                             PaperSize paper, Unit u, IfThere if_there)
{
    return write_card(path, label, paper, if_there,
                      [&](QPainter& p, int page) { return paint_work_card(p, computed, label, paper, u, page); });
}

}  // namespace sartorum::formats
