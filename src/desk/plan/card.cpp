#include "desk/plan/card.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainterPath>
#include <QVBoxLayout>

#include "desk/shared/piece_painter.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int closed_height = 86;
constexpr int open_height = 186;

bool applied(const PlanLine& l)
{
    return l.state == LineState::Accepted;
}

}  // namespace

Card::Card(Look& look, Room& room, AdjustmentKind kind, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, kind_{kind}
{
    setAccessibleName(words::adjustment_name(kind));
    toggle_ = new Toggle{look, tr("Accept %1").arg(words::adjustment_name(kind)), this};
    toggle_->setObjectName("accept_" + QString::fromStdString(std::string{adjustment(kind).key}));
    amount_ = new LengthField{look, tr("Amount of %1").arg(words::adjustment_name(kind)), this};
    amount_->edit().setObjectName("amount_" + QString::fromStdString(std::string{adjustment(kind).key}));
    amount_->edit().setFixedWidth(110);
    amount_->check = [kind](Length l) -> std::optional<Refusal> {
        const auto& a = adjustment(kind);
        const std::string name{a.key};
        if (l == Length{}) return Refusal{Why::AmountZero, name, l, {}, {}, 0};
        if (abs(l) > a.limit) return Refusal{Why::AmountTooLarge, name, l, -a.limit, a.limit, 0};
        return std::nullopt;
    };
    follow_ = new Button{look, tr("As proposed"), ButtonKind::Plain, this};
    connect(toggle_, &Toggle::clicked, this, &Card::flip);
    connect(amount_, &LengthField::entered, this, [this](Length l) { room_.decide(kind_, Answer::Accepted, l); });
    connect(follow_, &Button::clicked, this, [this] { room_.decide(kind_, Answer::Accepted, {}); });
    set_open(false);
}

const PlanLine* Card::line() const
{
    return room_.computed() ? &room_.computed()->lines[static_cast<std::size_t>(kind_)] : nullptr;
}

void Card::flip()
{
    const auto* l = line();
    if (!l) return;
    emit opened(kind_);
    if (applied(*l) || l->state == LineState::Refused) {
        room_.decide(kind_, Answer::Declined, l->own_amount ? std::optional{l->amount} : std::nullopt);
    } else if (l->amount != Length{}) {
        room_.decide(kind_, Answer::Accepted, l->own_amount ? std::optional{l->amount} : std::nullopt);
    } else {
        amount_->edit().setFocus();  // nothing to propose: an amount of her own is needed first
        amount_->say(tr("Type the amount first: nothing was measured to propose it from."), false);
    }
    refresh();
}

void Card::nudge(double tenths)
{
    const auto* l = line();
    if (!l) return;
    const Length step = look_.unit() == Unit::Inch ? Length::inches(0.125) : Length::mm(1);
    const Length next = l->amount + step * tenths;
    if (next == Length{} || abs(next) > adjustment(kind_).limit) return;
    room_.decide(kind_, Answer::Accepted, next);
}

void Card::set_open(bool open)
{
    open_ = open;
    setFixedHeight(static_cast<int>((open ? open_height : closed_height) * look_.scale()));
    refresh();
}

void Card::refresh()
{
    const auto* l = line();
    if (!l) return;
    toggle_->setChecked(applied(*l) || l->state == LineState::Refused);
    amount_->setVisible(open_);
    follow_->setVisible(open_ && l->own_amount && l->proposal);
    if (!amount_->edit().hasFocus() || amount_->value())
        amount_->show_value(l->amount == Length{} ? std::nullopt : std::optional{l->amount});
    setAccessibleDescription(words::amount(l->amount, look_.unit(), true) + ", " + words::why(*l, look_.unit()) +
                             ", " + state_text(*l));
    update();
}

QString Card::state_text(const PlanLine& l) const
{
    switch (l.state) {
        case LineState::Proposed: return tr("proposed: accept it or leave it");
        case LineState::LeaveIt:
            return tr("inside measuring noise ±%1: leave it").arg(words::number(l.proposal->spread, look_.unit()));
        case LineState::Accepted: return l.own_amount ? tr("accepted with your amount") : tr("accepted");
        case LineState::Declined: return tr("left as bought");
        case LineState::NothingKnown:
            return kind_ == AdjustmentKind::HemGivenBack ? tr("the length has not changed")
                                                         : tr("not measured; add it by hand");
        case LineState::Refused: return words::refusal(*l.refusal, look_.unit());
    }
    return {};
}

void Card::paintEvent(QPaintEvent*)
{
    const auto* l = line();
    if (!l) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const bool quiet =
        l->state == LineState::LeaveIt || l->state == LineState::NothingKnown || l->state == LineState::Declined;
    const QRectF r = QRectF{rect()}.adjusted(1.5, 1.5, -1.5, -1.5);
    p.setBrush(l->state == LineState::Refused ? d.madder_wash : d.sheet);
    QPen edge{open_   ? d.woad
              : quiet ? d.edge
                      : d.rule,
              open_ ? 1.8 : 1.0, quiet && !open_ ? Qt::DashLine : Qt::SolidLine};
    p.setPen(edge);
    p.drawRoundedRect(r, 4, 4);
    draw_glyph(p, {10, 8, 66, closed_height * look_.scale() - 16.0}, *l);

    const double k = look_.scale();
    const double x = 92;
    p.setPen(d.ink);
    p.setFont(look_.cabin(16));
    p.drawText(QPointF{x, 26 * k}, words::adjustment_name(kind_));
    double nx = x;
    if (l->amount != Length{} || applied(*l)) {
        p.setPen(quiet ? d.faded : applied(*l) ? d.woad : d.ink);
        nx += draw_number(p, look_, {x, 57 * k}, l->amount, look_.unit(), 28, QFont::Medium, true);
    } else {
        p.setPen(d.edge);
        p.setFont(look_.lato(28, QFont::Medium));
        p.drawText(QPointF{x, 57 * k}, "–");
        nx += 20;
    }
    p.setPen(d.faded);
    p.setFont(look_.lato(13));
    p.drawText(QPointF{nx + 8, 57 * k},
               QString::fromStdString(std::string{unit_text(look_.unit())}) + "  " + words::amount_meaning(kind_));
    p.setPen(d.ink);
    p.setFont(look_.lato(13));
    QString reason = words::why(*l, look_.unit()) + "  ·  " + words::piece_names(kind_);
    if (const auto old = room_.stale_under(kind_)) {
        p.setPen(d.weld_ink);
        reason = tr("measure again: ") + words::stale(*old);
    }
    p.drawText(QPointF{x, 76 * k}, reason);

    // The state as a chip at the right.
    const QString state = l->state == LineState::Refused ? tr("the paper does not carry it") : state_text(*l);
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    const double w = p.fontMetrics().horizontalAdvance(state) + 16;
    const QRectF chip{width() - w - 16, (closed_height - 34.0) * k, w, 22 * k};
    const bool good = applied(*l) || l->state == LineState::LeaveIt;
    p.setPen(Qt::NoPen);
    p.setBrush(l->state == LineState::Refused    ? d.madder_wash
               : good                            ? d.lichen_wash
               : l->state == LineState::Proposed ? d.weld_wash
                                                 : d.walnut_wash);
    p.drawRoundedRect(chip, 3, 3);
    p.setPen(l->state == LineState::Refused    ? d.madder_ink
             : good                            ? d.lichen_ink
             : l->state == LineState::Proposed ? d.weld_ink
                                               : d.walnut);
    p.drawText(chip, Qt::AlignCenter, state);
    if (!open_) return;
    draw_chain(p, *l);
    p.setPen(d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    p.drawText(QPointF{x, height() - 28.0 * k}, tr("Your amount"));
}

void Card::draw_glyph(QPainter& p, const QRectF& box, const PlanLine& l)
{
    const Piece* piece =
        room_.computed() ? find_piece(room_.computed()->traced.pieces, PieceRole::Front) : nullptr;
    if (!piece) return;
    const auto b = bounds(*piece);
    const double s = std::min(box.width() / b.width(), box.height() / b.height());
    QTransform t;
    t.translate(box.center().x() - s * (b.left() + b.width() / 2),
                box.center().y() + s * (b.top() + b.height() / 2));
    t.scale(s, s);
    PiecePainter paint{p, look_, t};
    const auto& d = look_.dyes();
    p.setPen(QPen{d.walnut_line, 1.3});
    p.setBrush(d.walnut_wash);
    QPolygonF shape;
    for (const auto& q : outline_points(*piece, Length::mm(2))) shape << paint.at(q);
    p.drawPolygon(shape);
    const bool more = l.amount > Length{};
    const double hip = guide(*piece, GuideKind::Hip)->a[Geom::Y];
    const double line = guide(*piece, GuideKind::LengthenShorten)->a[Geom::Y];
    const double hem = b.top();
    const auto band = [&](Polygon q) { more ? paint.added({q}) : paint.removed({q}); };
    if (l.amount == Length{}) return;
    switch (kind_) {
        case AdjustmentKind::WaistToHip: {
            const double w = width_at(*piece, line).value_or(Length{}).in_mm();
            band({{0, line + 20}, {w, line + 20}, {w, line - 28}, {0, line - 28}});
            break;
        }
        case AdjustmentKind::WidthAtWaist:
        case AdjustmentKind::WidthAtHip: {
            const bool waist = kind_ == AdjustmentKind::WidthAtWaist;
            const Point top = edge(*piece, EdgeRole::Side).curve.initialPoint();
            const double hw = width_at(*piece, hip).value_or(Length{}).in_mm();
            const double out = more ? 34 : -34;
            if (waist)
                band({top, top + Point{out, 0}, {hw, hip}});
            else
                band({top,
                      {hw + out, hip},
                      edge(*piece, EdgeRole::Side).curve.finalPoint() + Point{out, 0},
                      edge(*piece, EdgeRole::Side).curve.finalPoint(),
                      {hw, hip}});
            break;
        }
        case AdjustmentKind::HemGivenBack:
        case AdjustmentKind::FinishedLength: {
            const double w = edge(*piece, EdgeRole::Side).curve.finalPoint()[Geom::X];
            band({{0, hem + (more ? 0 : 40)},
                  {w, hem + (more ? 18 : 58)},
                  {w, hem + (more ? -22 : 18)},
                  {0, hem + (more ? -40 : 0)}});
            break;
        }
    }
}

// What follows from it, as washed boxes ending in the check.
void Card::draw_chain(QPainter& p, const PlanLine& l)
{
    const auto& d = look_.dyes();
    double x = 92;
    const double k = look_.scale();
    const double y = 88 * k;
    if (l.state == LineState::Refused) {
        p.setPen(d.madder_ink);
        p.setFont(look_.lato(14));
        p.drawText(QRectF{x, y, width() - x - 20.0, 44}, Qt::TextWordWrap, state_text(l));
        return;
    }
    struct Box {
        QString name;
        Length value;
    };
    std::vector<Box> boxes;
    const auto add = [&](const QString& name, Length v) {
        if (abs(v) >= Length::mm(0.5)) boxes.push_back({name, v});
    };
    add(tr("waist"), l.changed.waist);
    add(tr("hip"), l.changed.hip);
    add(tr("side seam"), l.changed.side);
    add(tr("hem sweep"), l.changed.hem);
    add(tr("waistband"), l.changed.band);
    const auto draw_box = [&](const QString& name, const std::optional<Length>& v, bool check) {
        p.setPen(Qt::NoPen);
        p.setBrush(check ? d.lichen_wash : d.woad_wash);
        const QRectF r{x, y, 92 * k, 42 * k};
        p.drawRoundedRect(r, 3, 3);
        p.setPen(check ? d.lichen_ink : d.ink);
        p.setFont(look_.lato(12.5));
        p.drawText(r.adjusted(0, 4, 0, 0), Qt::AlignHCenter, name);
        if (v) {
            p.setPen(d.woad);
            const double w = number_width(look_, *v, look_.unit(), 17, QFont::Medium, true);
            draw_number(p, look_, {r.center().x() - w / 2, r.bottom() - 6}, *v, look_.unit(), 17, QFont::Medium,
                        true);
        } else {
            draw_tick(p, look_, {r.center().x(), r.bottom() - 12}, 7);
        }
        x += 92 * k;
    };
    for (const auto& b : boxes) {
        draw_box(b.name, b.value, false);
        p.setPen(QPen{d.faded, 1.3});
        p.drawLine(QPointF(x + 4, y + 21 * k), QPointF(x + 14, y + 21 * k));
        p.drawLine(QPointF(x + 14, y + 21 * k), QPointF(x + 10, y + 21 * k - 4));
        p.drawLine(QPointF(x + 14, y + 21 * k), QPointF(x + 10, y + 21 * k + 4));
        x += 18;
    }
    const bool walks = room_.computed()->checks.seams_hold();
    if (!boxes.empty() && walks) draw_box(tr("seams walk"), std::nullopt, true);
    if (boxes.empty()) {
        p.setPen(d.faded);
        p.setFont(look_.lato(13));
        const QString text = l.state == LineState::Accepted ? tr("Done together with the finished length.")
                                                            : tr("Nothing changes on paper until it is accepted.");
        p.drawText(QPointF{x, y + 26 * k}, text);
    }
}

void Card::resizeEvent(QResizeEvent*)
{
    const double k = look_.scale();
    const int y = height() - static_cast<int>(50 * k);
    toggle_->setGeometry(width() - 62, 8, 48, 30);
    amount_->setGeometry(static_cast<int>(92 + 100 * k), y, width() - static_cast<int>(100 + 104 * k),
                         static_cast<int>(48 * k));
    follow_->setGeometry(static_cast<int>(210 + 100 * k), y - 6, follow_->sizeHint().width(), 44);
}

void Card::mousePressEvent(QMouseEvent*)
{
    emit opened(kind_);
}

}  // namespace sartorum::desk
