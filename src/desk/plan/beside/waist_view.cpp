#include "desk/plan/beside/waist_view.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/alter/kit/shared.h"
#include "core/plan/other_answer.h"
#include "desk/shared/when_shown.h"
#include "words/lines.h"
#include "words/waist.h"

namespace sartorum::desk {
namespace {

constexpr double steepest = 4;  // heights are drawn up to so many times larger than widths
constexpr double station_within = 16;
constexpr int settles_ms = 700;

const Adjustment& drawn_by(const Room& room)
{
    return adjustment(waist_kind(room.plan()));
}

const PlanLine* waist_of(const Room& room)
{
    return room.computed() ? room.computed()->line(drawn_by(room).kind) : nullptr;
}

Length grain(Unit u)
{
    return u == Unit::Inch ? Length::inches(1.0 / 16) : Length::mm(0.5);
}

}  // namespace

WaistPicture::WaistPicture(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setObjectName("waist_picture");
    setMinimumHeight(136);
    setMouseTracking(true);
    settle_.setSingleShot(true);
    settle_.setInterval(settles_ms);
    connect(&settle_, &QTimer::timeout, this, [this] { emit settled(); });
}

void WaistPicture::set_side(std::optional<Side> side)
{
    side_ = side;
    update();
}

QPointF WaistPicture::Laid::at(Length along, Length height) const
{
    return {box.left() + along.in_mm() * across, box.bottom() - (height.in_mm() - base) * up};
}

std::optional<WaistPicture::Laid> WaistPicture::laid() const
{
    const auto& c = room_.computed();
    auto waist = c ? waist_unrolled(*c) : std::nullopt;
    if (!waist) return std::nullopt;
    const double k = look_.scale();
    const QRectF box = QRectF{rect()}.adjusted(26 * k, 30 * k, -26 * k, -46 * k);
    double low = 1e9;
    double high = -1e9;
    const auto take = [&](const WaistHalf& h) {
        for (const auto at : waist->at) {
            for (const bool redrawn : {false, true}) {
                low = std::min(low, h.height(at, redrawn).in_mm());
                high = std::max(high, h.height(at, redrawn).in_mm());
            }
        }
    };
    take(waist->right);
    if (waist->left) take(*waist->left);
    // A hand has room to go on in either direction, and the picture does not jump under it.
    constexpr double step = 20;
    low = std::floor((low - step / 2) / step) * step;
    high = std::ceil((high + step / 2) / step) * step;
    const double across = box.width() / waist->whole().in_mm();
    const double up = std::min(box.height() / (high - low), across * steepest);
    const double middle = (high + low) / 2 - box.height() / up / 2;
    return Laid{std::move(*waist), box, across, up, middle};
}

const WaistHalf& WaistPicture::half(const Laid& laid) const
{
    return side_ == Side::Left && laid.waist.left ? *laid.waist.left : laid.waist.right;
}

QPointF WaistPicture::handle(const Laid& laid, std::size_t station) const
{
    return laid.at(laid.waist.at[station], half(laid).height(laid.waist.at[station], true));
}

void WaistPicture::draw_line(QPainter& p, const Laid& laid, const WaistHalf& of, bool redrawn) const
{
    QPainterPath path;
    constexpr int parts = 80;
    for (int i = 0; i <= parts; ++i) {
        const Length along = laid.waist.whole() * (double(i) / parts);
        const QPointF at = laid.at(along, of.height(along, redrawn));
        i == 0 ? path.moveTo(at) : path.lineTo(at);
    }
    p.drawPath(path);
}

// What hangs from the line: paper down to the level line.
void WaistPicture::draw_cloth(QPainter& p, const Laid& laid) const
{
    const auto& d = look_.dyes();
    QPainterPath cloth;
    constexpr int parts = 80;
    for (int i = 0; i <= parts; ++i) {
        const Length along = laid.waist.whole() * (double(i) / parts);
        const QPointF at = laid.at(along, half(laid).height(along, true));
        i == 0 ? cloth.moveTo(at) : cloth.lineTo(at);
    }
    const double foot = laid.box.bottom() + 14 * look_.scale();
    cloth.lineTo(laid.box.right(), foot);
    cloth.lineTo(laid.box.left(), foot);
    cloth.closeSubpath();
    p.fillPath(cloth, d.paper);
    p.setPen(QPen{d.faded, 1, Qt::DotLine});
    for (std::size_t i = 0; i < station_count; ++i) {
        const double x = laid.at(laid.waist.at[i], {}).x();
        p.drawLine(QPointF{x, handle(laid, i).y()}, QPointF{x, foot});
    }
    p.setPen(QPen{d.walnut_line, 1.2});
    p.drawLine(QPointF{laid.box.left(), foot}, QPointF{laid.box.right(), foot});
}

void WaistPicture::draw_stations(QPainter& p, const Laid& laid) const
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const Unit u = look_.unit();
    const WaistHalf& of = half(laid);
    for (std::size_t i = 0; i < station_count; ++i) {
        const QPointF at = handle(laid, i);
        const bool here = hasFocus() && station_ == i;
        p.setPen(QPen{d.woad, here ? 3.0 : 1.8});
        p.setBrush(here ? d.woad_wash : d.sheet);
        p.drawEllipse(at, here ? 7.0 : 5.0, here ? 7.0 : 5.0);
        const bool drawn = abs(of.by[i]) >= Length::mm(0.25);
        p.setPen(drawn ? d.woad : d.faded);
        p.setFont(look_.lato(drawn ? 15 : 12.5, drawn ? QFont::DemiBold : QFont::Normal));
        const QString said = drawn ? words::number(of.by[i], u, true) : "0";
        const double old = laid.at(laid.waist.at[i], of.height(laid.waist.at[i], false)).y();
        const double over = std::min(at.y(), old) - 9;
        p.drawText(QRectF{at.x() - 40, over - 20 * k, 80, 20 * k}, Qt::AlignHCenter | Qt::AlignBottom, said);
    }
    // The faces under the level line, the seams between them named.
    p.setPen(d.faded);
    const double y = laid.box.bottom() + 17 * k;
    const auto name = [&](Length along, const QString& text, Qt::Alignment to) {
        const double w = laid.box.width() / 3;
        const double x = laid.at(along, {}).x();
        const double left = to & Qt::AlignLeft ? x - 20 * k : to & Qt::AlignRight ? x - w + 20 * k : x - w / 2;
        p.setFont(fitting(look_.lato(12.5), text, w, 0.7));
        p.drawText(QRectF{left, y, w, 18 * k}, to | Qt::AlignTop, text);
    };
    name(laid.waist.at.front(), tr("centre front"), Qt::AlignLeft);
    name(laid.waist.at[2], tr("side"), Qt::AlignHCenter);
    name(laid.waist.at.back(), tr("centre back"), Qt::AlignRight);
}

void WaistPicture::paintEvent(QPaintEvent*)
{
    const auto l = laid();
    if (!l) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    draw_cloth(p, *l);
    p.setBrush(Qt::NoBrush);
    QPen old{d.walnut, 1.4, Qt::CustomDashLine};
    old.setDashPattern({5, 3.4});
    p.setPen(old);
    draw_line(p, *l, half(*l), false);
    if (l->waist.left) {  // the other side beside it
        p.setPen(QPen{d.woad, 1.4, Qt::DotLine});
        draw_line(p, *l, side_ == Side::Left ? l->waist.right : *l->waist.left, true);
    }
    p.setPen(QPen{d.woad, 2.2, Qt::SolidLine, Qt::RoundCap});
    draw_line(p, *l, half(*l), true);
    draw_stations(p, *l);
}

void WaistPicture::mousePressEvent(QMouseEvent* e)
{
    const auto l = laid();
    if (!l || e->button() != Qt::LeftButton) return;
    setFocus();
    for (std::size_t i = 0; i < station_count; ++i) {
        // The whole upright at a station can be taken hold of.
        const QPointF off = handle(*l, i) - e->position();
        if (std::abs(off.x()) > station_within * look_.scale() ||
            std::abs(off.y()) > 3 * station_within * look_.scale())
            continue;
        station_ = i;
        drag_ = Drag{e->position(), half(*l).by[i]};
        setCursor(Qt::SizeVerCursor);
        emit in_hand(i);
    }
    update();
}

void WaistPicture::mouseMoveEvent(QMouseEvent* e)
{
    const auto l = laid();
    if (!drag_ || !l) return;
    const Length g = grain(look_.unit());
    const Length by = drag_->was + Length::mm((drag_->from.y() - e->position().y()) / l->up);
    // A hand that drags stops at what is usual; more is typed.
    emit moved(station_, std::clamp(g * std::round(by / g), drawn_by(room_).least, drawn_by(room_).most));
}

void WaistPicture::mouseReleaseEvent(QMouseEvent*)
{
    if (!std::exchange(drag_, std::nullopt)) return;
    unsetCursor();
    emit settled();
}

void WaistPicture::settle()
{
    if (!settle_.isActive()) return;
    settle_.stop();
    emit settled();
}

void WaistPicture::keyPressEvent(QKeyEvent* e)
{
    const auto l = laid();
    if (!l) return QWidget::keyPressEvent(e);
    const auto step = [&](double steps) {
        const double many = e->modifiers() & Qt::ShiftModifier ? 5 : 1;
        const Length by = half(*l).by[station_] + grain(look_.unit()) * (2 * steps * many);
        emit moved(station_, std::clamp(by, drawn_by(room_).least, drawn_by(room_).most));
        settle_.start();
    };
    const auto take = [&](std::size_t station) {
        settle();
        station_ = station;
        emit in_hand(station);
        update();
    };
    switch (e->key()) {
        case Qt::Key_Left: take(station_ == 0 ? 0 : station_ - 1); break;
        case Qt::Key_Right: take(std::min(station_ + 1, station_count - 1)); break;
        case Qt::Key_Up: step(1); break;
        case Qt::Key_Down: step(-1); break;
        case Qt::Key_Escape:
            settle_.stop();
            drag_.reset();
            emit dropped();
            break;
        default: QWidget::keyPressEvent(e);
    }
}

void WaistPicture::keyReleaseEvent(QKeyEvent* e)
{
    if (!e->isAutoRepeat()) settle();
    QWidget::keyReleaseEvent(e);
}

void WaistPicture::focusOutEvent(QFocusEvent* e)
{
    settle();
    update();
    QWidget::focusOutEvent(e);
}

WaistView::WaistView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setMinimumWidth(300);
    setAccessibleName(tr("The waist, unrolled"));
    build(scrolled(this));
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

void WaistView::build(QWidget* inside)
{
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(14, 10, 12, 10);
    column->setSpacing(5);
    auto* head = new QHBoxLayout;
    head->addWidget(heading(look_, tr("The waist"), 18, inside));
    head->addStretch();
    sides_ = new Choices{look_, {tr("Both"), tr("Right"), tr("Left")}, tr("Whose stations"), inside};
    sides_->setObjectName("waist_sides");
    head->addWidget(sides_);
    column->addLayout(head);
    said_ = caption(look_, {}, inside);
    said_->setWordWrap(true);
    column->addWidget(said_);
    picture_ = new WaistPicture{look_, room_, inside};
    column->addWidget(picture_, 1);
    auto* rows = new QGridLayout;
    rows->setVerticalSpacing(0);
    for (std::size_t i = 0; i < station_count; ++i) {
        const QString name = words::station_title(static_cast<WaistStation>(i));
        names_[i] = label(look_, name, 14, true, inside);
        fields_[i] = new LengthField{look_, {}, inside};
        fields_[i]->edit().setAccessibleName(tr("%1: above the waist (+) or under it (−)").arg(name));
        fields_[i]->edit().setObjectName("station_" +
                                         QString::fromStdString(std::string{drawn_by(room_).places[i].key}));
        fields_[i]->layout()->setContentsMargins(0, 2, 0, 0);
        fields_[i]->check = [this](Length l) -> std::optional<Refusal> {
            const Length most = room_.plan().sewn ? Length{} : paper_most;
            if (l >= -paper_most && l <= most) return std::nullopt;
            return Refusal{Why::AmountTooLarge, std::string{drawn_by(room_).key}, l, -paper_most, most, 0};
        };
        connect(fields_[i], &LengthField::entered, this, [this, i](Length by) {
            if (line()) room_.decide(with_station(i, by));
        });
        rows->addWidget(names_[i], static_cast<int>(i), 0);
        rows->addWidget(fields_[i], static_cast<int>(i), 1, Qt::AlignRight);
    }
    rows->setColumnStretch(0, 1);
    column->addLayout(rows);
    state_ = label(look_, {}, 13.5, false, inside);
    state_->setWordWrap(true);
    column->addWidget(state_);
    auto* foot = new QHBoxLayout;
    follow_ = new Button{look_, tr("As proposed"), ButtonKind::Small, inside};
    follow_->setObjectName("waist_as_proposed");
    foot->addWidget(follow_);
    foot->addStretch();
    column->addLayout(foot);
    connect(sides_, &Choices::picked, this, [this] { refresh(); });
    connect(follow_, &Button::clicked, this, [this] {
        room_.decide(Decision{drawn_by(room_).kind, Answer::Accepted});
    });
    connect(picture_, &WaistPicture::moved, this, [this](std::size_t i, Length by) {
        if (line()) room_.try_out(with_station(i, by));
    });
    connect(picture_, &WaistPicture::settled, &room_, &Room::keep_trial);
    connect(picture_, &WaistPicture::dropped, &room_, &Room::drop_trial);
    connect(picture_, &WaistPicture::in_hand, this, [this](std::size_t) { refresh(); });
}

void WaistView::take_focus()
{
    picture_->setFocus();
}

const PlanLine* WaistView::line() const
{
    return waist_of(room_);
}

Decision WaistView::with_station(std::size_t i, Length by) const
{
    const std::string at{adjustment(line()->kind).places[i].key};
    return room_.plan().accepting(line()->kind, line()->part, {Face::Both, side(), at}, by);
}

std::optional<Side> WaistView::side() const
{
    if (sides_->chosen() == 0) return std::nullopt;
    return sides_->chosen() == 1 ? Side::Right : Side::Left;
}

// The line of the side in hand.
const PlanLine& WaistView::shown() const
{
    const PlanLine* left = side() == Side::Left ? room_.computed()->left_of(*line()) : nullptr;
    return left ? *left : *line();
}

void WaistView::refresh()
{
    picture_->set_side(side());
    const auto& c = room_.computed();
    const auto waist = c ? waist_unrolled(*c) : std::nullopt;
    if (!waist || !line()) return setAccessibleDescription({});
    for (std::size_t i = 0; i < station_count; ++i) {
        fields_[i]->edit().setFixedWidth(static_cast<int>(96 * look_.scale()));
        fields_[i]->offer_value(shown().at[i]);
    }
    describe(*waist, shown());
    const auto& asked = line()->proposal;
    follow_->setVisible(line()->own_amount && asked && asked->leave() == Leave::No);
}

void WaistView::describe(const WaistUnrolled& waist, const PlanLine& of)
{
    const Unit u = look_.unit();
    QString said = tr("Unrolled over the level hip line; heights drawn larger.");
    if (waist.left) said += " " + tr("Dotted: the other side.");
    const auto read = [&](WaistStation s) { return waist.body[static_cast<std::size_t>(s)]; };
    if (read(WaistStation::CentreFront) && read(WaistStation::CentreBack))
        said += " " + tr("The body's waist stands %1 over its sides in front, %2 behind.")
                          .arg(words::amount(*read(WaistStation::CentreFront), u, true),
                               words::amount(*read(WaistStation::CentreBack), u, true));
    said_->setText(said);
    const auto text = words::plan_text(*line(), *room_.computed(), look_.unit());
    QStringList state{text.state};
    if (const auto why = words::hindrance(*line(), look_.unit()); !why.isEmpty()) state << why;
    for (const auto& caution : of.cautions) state << words::caution(caution, drawn_by(room_).kind, look_.unit());
    state_->setText(state.join(". "));
    const QString spoken = QStringList{text.amounts, text.why, text.state}.join(", ");
    setAccessibleDescription(spoken);
    picture_->setAccessibleName(tr("The waist and its stations"));
    picture_->setAccessibleDescription(tr("Left and right take a station, up and down move it. %1").arg(spoken));
}

}  // namespace sartorum::desk
