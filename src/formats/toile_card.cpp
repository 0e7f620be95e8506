#include "formats/toile_card.h"

#include <QPainter>
#include <algorithm>

#include "core/fitting/from_hands.h"
#include "core/paper/area.h"
#include "formats/card_page.h"
#include "formats/painter_paths.h"
#include "formats/work_card.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::formats {
namespace {

constexpr double piece_picture = 112;  // points high

QString say(const char* text)
{
    return QCoreApplication::translate("toile_card", text);
}

class ToileCard : private CardPage {
public:
    ToileCard(QPainter& p, const Computed& c, NextLook look, const PrintLabel& label, PaperSize paper, Unit u,
              int page)
        : CardPage{p, paper, page}, c_{c}, look_{look}, label_{label}, unit_{u}, pieces_{toile_pieces(c, look)}
    {
    }

    int paint()
    {
        y_ += text(0, width_, card_font(17, true), say("A toile that can be read")) + 2;
        y_ += text(0, width_, card_font(10),
                   label_.wearer + " · " + label_.pattern + " · " + label_.sizes + " · " + label_.date) +
              8;
        heading(say("Sew first"));
        y_ += text(0, width_, card_font(11, true), words::sew_first(look_)) + 4;
        heading(say("Draw these lines on the cloth"));
        pieces();
        more();
        heading(say("Pin, wear, look"));
        for (const auto& hint : words::toile_hints(look_, pieces_)) bullet(hint);
        for (const auto& n : c_.not_done) bullet(words::not_done(n, unit_));
        found();
        return pages();
    }

private:
    void heading(const QString& s)
    {
        need(44);
        y_ += 5;
        y_ += text(0, width_, card_font(12, true), s) + 3;
    }

    void bullet(const QString& s)
    {
        need(28);
        if (here()) {
            p_.setBrush(Qt::black);
            p_.drawEllipse(QPointF{margin + 3, margin + y_ + 7}, 1.4, 1.4);
            p_.setBrush(Qt::NoBrush);
        }
        y_ += text(10, width_ - 10, card_font(10), s) + 3;
    }

    // Two beside each other: the piece with its lines, lettered, and beside it what they are.
    void pieces()
    {
        std::vector<const Piece*> drawn;
        for (const auto& p : pieces_) {
            if (!lines_to_draw(p).empty()) drawn.push_back(&p);
        }
        const double column = (width_ - 14) / 2;
        for (std::size_t i = 0; i < drawn.size(); i += 2) {
            need(piece_picture + 12);
            double low = y_ + piece_picture;
            for (std::size_t k = i; k < std::min(i + 2, drawn.size()); ++k)
                low = std::max(low, piece_at(*drawn[k], k == i ? 0 : column + 14, column));
            y_ = low + 8;
        }
    }

    // How far down it goes.
    double piece_at(const Piece& piece, double left, double column)
    {
        const auto lines = lines_to_draw(piece);
        const bool sleeve = piece.role == PieceRole::Sleeve;
        const QRectF box{margin + left, margin + y_, piece_picture * 0.8, piece_picture};
        if (here()) draw_piece(piece, lines, box);
        const double top = y_;
        const double x = left + box.width() + 8;
        const double room = column - box.width() - 8;
        y_ += text(x, room, card_font(11, true), words::piece_name(piece)) + 3;
        for (std::size_t i = 0; i < lines.size(); ++i)
            y_ +=
                text(x, room, card_font(9.5), letter(i) + "  " + words::line_to_draw(lines[i], sleeve, unit_)) + 2;
        return std::exchange(y_, top);
    }

    static QString letter(std::size_t i) { return QString{QChar('A' + static_cast<int>(i))}; }

    void draw_piece(const Piece& piece, const std::vector<LineToDraw>& lines, const QRectF& box)
    {
        const QPainterPath cut = painter_path(cutting_outline(piece));
        const QRectF all = cut.boundingRect();
        const double s = std::min((box.width() - 8) / all.width(), (box.height() - 8) / all.height());
        QTransform to;
        to.translate(box.center().x(), box.center().y());
        to.scale(s, s);
        to.translate(-all.center().x(), -all.center().y());
        p_.setPen(QPen{Qt::darkGray, 0.5, Qt::DashLine});
        p_.setBrush(QColor{245, 242, 235});
        p_.drawPath(to.map(cut));
        p_.setPen(QPen{Qt::black, 0.9});
        p_.setBrush(Qt::white);
        p_.drawPath(to.map(painter_path(piece)));
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen{Qt::darkGray, 0.5});
        p_.drawPath(to.map(darts_path(piece)));
        p_.setFont(card_font(8, true));
        for (std::size_t i = 0; i < lines.size(); ++i) {
            const QPointF a = to.map(on_paper(lines[i].a));
            const QPointF b = to.map(on_paper(lines[i].b));
            p_.setPen(QPen{Qt::black, 1.1, Qt::DotLine});
            p_.drawLine(a, b);
            const bool upright = std::abs(a.y() - b.y()) > std::abs(a.x() - b.x());
            const QPointF low = a.y() > b.y() ? a : b;
            const QPointF at = upright ? low + (a + b - low - low) * 0.08 : a + (b - a) * 0.62;
            const QRectF r{at.x() - 6, at.y() - 6, 12, 12};
            p_.setPen(QPen{Qt::black, 0.6});
            p_.setBrush(Qt::white);
            p_.drawEllipse(r);
            p_.setBrush(Qt::NoBrush);
            p_.drawText(r, Qt::AlignCenter, letter(i));
        }
        p_.setPen(Qt::black);
    }

    void more()
    {
        std::vector<MoreAllowance> all;
        for (const auto& p : pieces_) {
            for (auto m : more_allowance(p)) {
                m.whole = m.whole - toile_allowance_more;  // the pieces have it already
                const bool told = std::any_of(all.begin(), all.end(), [&](const MoreAllowance& o) {
                    return o.at == m.at && abs(o.whole - m.whole) < Length::mm(0.1);
                });
                if (!told) all.push_back(m);
            }
        }
        if (all.empty()) return;
        heading(say("Leave more allowance"));
        bullet(say("The pieces of the toile print with it: the solid line is the cutting line."));
        for (const auto& m : all) bullet(words::more_allowance_text(m, unit_));
        const bool shoulders =
            std::any_of(all.begin(), all.end(), [](const MoreAllowance& m) { return m.at == EdgeRole::Shoulder; });
        if (shoulders) bullet(words::by_hand_how(ByHand::Offcut, unit_));
    }

    // Empty fields, to be filled on the wearer.
    void found()
    {
        heading(say("What hands find"));
        const bool sleeve = look_ == NextLook::OneSleeve;
        const bool upper = look_ != NextLook::LowerPart && !sleeve;
        if (upper) {
            fields(ByHand::Offcut);
            fields(ByHand::BustDot);
            fields(ByHand::BustDart);
        }
        if (look_ != NextLook::Shoulders && !sleeve) {
            fields(ByHand::WaistMark);
            fields(ByHand::WaistDart);
        }
        fields(ByHand::LetOut);
    }

    void fields(ByHand what)
    {
        QString title = words::by_hand_name(what);
        for (const auto face : of_faces(what) ? std::vector{Face::Front, Face::Back} : std::vector{Face::Both}) {
            if (fields_of(title, what, face)) title.clear();
        }
    }

    // A field for each of its places this garment has; says whether there are any.
    bool fields_of(const QString& title, ByHand what, Face face)
    {
        std::vector<std::string_view> places;
        for (const auto place : places_of(what)) {
            const bool on_sleeve = adjustment(made_of(what, place, c_.work.plan.sewn)).zone == Zone::Sleeve;
            const bool sewn =
                look_ == NextLook::OneSleeve ? on_sleeve : !on_sleeve || look_ != NextLook::LowerPart;
            if (sewn && can_be_found(what, place, face, c_)) places.push_back(place);
        }
        if (places.empty()) return false;
        need(34);
        if (!title.isEmpty()) y_ += text(0, width_, card_font(10, true), title) + 2;
        const double w = width_ / static_cast<double>(places.size());
        double tall = 0;
        for (std::size_t i = 0; i < places.size(); ++i) {
            const QString place = words::found_place(what, places[i]);
            const double x = w * static_cast<double>(i);
            tall = std::max(tall, text(x, w, card_font(9), words::of_face(face, place)));
            if (here()) {
                p_.setPen(QPen{Qt::black, 0.5});
                p_.drawLine(QPointF{margin + x, margin + y_ + 27}, QPointF{margin + x + w - 12, margin + y_ + 27});
            }
        }
        y_ += tall + 20;
        return true;
    }

    const Computed& c_;
    NextLook look_;
    const PrintLabel& label_;
    Unit unit_;
    std::vector<Piece> pieces_;
};

}  // namespace

int paint_toile_card(QPainter& p, const Computed& c, NextLook look, const PrintLabel& label, PaperSize paper,
                     Unit u, int page)
{
    p.setPen(Qt::black);
    return ToileCard{p, c, look, label, paper, u, page}.paint();
}

Outcome<int> write_toile_card(const QString& path, const Computed& c, NextLook look, const PrintLabel& label,
                              PaperSize paper, Unit u, IfThere if_there)
{
    return write_card(path, label, paper, if_there,
                      [&](QPainter& p, int page) { return paint_toile_card(p, c, look, label, paper, u, page); });
}

PrintJob toile_job(const Computed& c, NextLook look, PaperSize paper, Unit unit, const PrintLabel& label)
{
    PrintJob job = print_job(c, paper, 1, unit, label);
    job.pieces = toile_pieces(c, look);
    job.left.clear();
    job.for_toile = true;
    return job;
}

}  // namespace sartorum::formats
