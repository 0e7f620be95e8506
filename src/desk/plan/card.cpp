#include "desk/plan/card.h"

#include <algorithm>
#include <cmath>
#include <utility>

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QVBoxLayout>

#include "core/alter/shared.h"
#include "words/lines.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int closed_height = 86;
constexpr int open_height = 186;
constexpr int methods_height = 68;
constexpr double pixels_a_tenth = 6;

bool applied(const PlanLine& l)
{
    return l.state == LineState::Accepted;
}

}  // namespace

Card::Card(Look& look, Room& room, AdjustmentKind kind, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, kind_{kind}
{
    setAccessibleName(words::adjustment_name(kind));
    setMouseTracking(true);
    setToolTip(tr("Drag the amount to the left or to the right to change it."));
    toggle_ = new Toggle{look, tr("Accept %1").arg(words::adjustment_name(kind)), this};
    toggle_->setObjectName("accept_" + QString::fromStdString(std::string{adjustment(kind).key}));
    amount_ = new LengthField{look, tr("Amount of %1").arg(words::adjustment_name(kind)), this};
    amount_->edit().setObjectName("amount_" + QString::fromStdString(std::string{adjustment(kind).key}));
    amount_->edit().setFixedWidth(110);
    amount_->check = [kind](Length l) -> std::optional<Refusal> {
        const auto& a = adjustment(kind);
        const std::string name{a.key};
        if (l == Length{}) return Refusal{Why::AmountZero, name, l, {}, {}, 0};
        if (abs(l) > paper_most) return Refusal{Why::AmountTooLarge, name, l, -paper_most, paper_most, 0};
        return std::nullopt;
    };
    const auto& entry = adjustment(kind);
    if (entry.acts_on == ActsOn::Apart) {
        back_ = new LengthField{look, tr("Amount of %1 on the back").arg(words::adjustment_name(kind)), this};
        back_->edit().setObjectName("back_" + QString::fromStdString(std::string{entry.key}));
        back_->edit().setFixedWidth(110);
        back_->check = amount_->check;
        connect(back_, &LengthField::entered, this, [this](Length l) {
            if (const auto* now = line()) decide(now->amount, l);
        });
    }
    if (!entry.methods.empty()) {
        QStringList names;
        for (std::size_t i = 0; i < entry.methods.size(); ++i) names << words::method_name(kind, i);
        methods_ = new Choices{look, names, tr("How: %1").arg(words::adjustment_name(kind)), this};
        methods_->setObjectName("method_" + QString::fromStdString(std::string{entry.key}));
        connect(methods_, &Choices::picked, this, [this](int i) {
            const auto* now = line();
            if (!now) return;
            const Decision* was = room_.plan().decision(kind_);
            // An answer given stays; choosing a way before answering accepts.
            Decision d = was ? *was : Decision{kind_, Answer::Accepted, {}};
            d.method = static_cast<std::size_t>(i);
            room_.decide(d);
        });
    }
    looked_ = new Button{look, tr("Looked at: it stays"), ButtonKind::Small, this};
    looked_->setObjectName("looked_" + QString::fromStdString(std::string{entry.key}));
    connect(looked_, &Button::clicked, this, [this] { room_.looked_again(kind_); });
    follow_ = new Button{look, tr("As proposed"), ButtonKind::Plain, this};
    connect(toggle_, &Toggle::clicked, this, &Card::flip);
    connect(amount_, &LengthField::entered, this, [this](Length l) {
        const Decision* was = room_.plan().decision(kind_);
        decide(l, was ? was->back() : std::nullopt);
    });
    connect(follow_, &Button::clicked, this, [this] { decide({}, {}); });
    set_open(false);
}

const PlanLine* Card::line() const
{
    return room_.computed() ? room_.computed()->line(kind_) : nullptr;
}

void Card::decide(std::optional<Length> amount, std::optional<Length> back)
{
    const Decision* was = room_.plan().decision(kind_);
    room_.decide(Decision{kind_, Answer::Accepted, amount, back == amount ? std::nullopt : back,
                          was ? was->method : std::nullopt});
}

int Card::wanted_height() const
{
    const int open = open_height + (methods_ ? methods_height : 0);
    return static_cast<int>((open_ ? open : closed_height) * look_.scale()) + (open_ ? button_row() : 0);
}

int Card::button_row() const
{
    return back_ && look_.scale() > 1.15 ? follow_->sizeHint().height() : 0;
}

void Card::flip()
{
    const auto* l = line();
    if (!l) return;
    emit opened(kind_);
    if (applied(*l) || l->state == LineState::Refused) {
        room_.decide(kind_, Answer::Declined, l->own_amount ? std::optional{l->amount} : std::nullopt);
    } else if (l->amount != Length{} || zero_works(adjustment(kind_), l->method)) {
        room_.decide(kind_, Answer::Accepted, l->own_amount ? std::optional{l->amount} : std::nullopt);
    } else {
        amount_->edit().setFocus();  // nothing to propose: an amount of her own is needed first
        amount_->say(tr("Type the amount first: nothing was measured to propose it from."), false);
    }
    refresh();
}

Length Card::tenth() const
{
    return look_.unit() == Unit::Inch ? Length::inches(0.125) : Length::mm(1);
}

void Card::nudge(double tenths)
{
    const auto* l = line();
    if (!l) return;
    try_amount(l->amount + tenth() * tenths, l->back + tenth() * tenths, l->back != l->amount);
}

// Zero would be no adjustment, and past a limit there is none: the hand goes on without either.
void Card::try_amount(Length front, Length back, bool apart)
{
    const auto& entry = adjustment(kind_);
    // A hand that drags stops at what is usual; more is typed.
    if (front == Length{} || front < entry.least || front > entry.most) return;
    const Decision* was = room_.plan().decision(kind_);
    room_.try_out(Decision{kind_, Answer::Accepted, front, apart ? std::optional{back} : std::nullopt,
                           was ? was->method : std::nullopt});
}

void Card::set_open(bool open)
{
    open_ = open;
    setFixedHeight(wanted_height());
    refresh();
}

void Card::refresh()
{
    const auto* l = line();
    setVisible(l != nullptr);
    if (!l) return;
    refresh_glyph(*l);
    toggle_->setChecked(applied(*l) || l->state == LineState::Refused);
    amount_->setVisible(open_);
    follow_->setVisible(open_ && l->own_amount && l->proposal);
    if (!amount_->edit().hasFocus() || amount_->value())
        amount_->show_value(l->amount == Length{} ? std::nullopt : std::optional{l->amount});
    if (back_) {
        back_->setVisible(open_);
        if (!back_->edit().hasFocus() || back_->value())
            back_->show_value(l->back == Length{} ? std::nullopt : std::optional{l->back});
    }
    if (methods_) {
        methods_->setVisible(open_);
        methods_->choose(static_cast<int>(l->method));
        std::vector<bool> open;
        const auto& entry = adjustment(kind_);
        const Garment part = part_view(room_.computed()->traced, l->part);
        for (std::size_t i = 0; i < entry.methods.size(); ++i)
            open.push_back(i == l->method || method_serves(entry, part, i));
        methods_->offer(open);
        methods_->setVisible(open_ && std::count(open.begin(), open.end(), true) > 1);
        methods_->setAccessibleDescription(words::method_cost(kind_, l->method));
    }
    looked_->setVisible(open_ && l->look_again);
    resizeEvent(nullptr);
    const auto said = words::plan_text(*l, *room_.computed(), look_.unit());
    QString now = said.amounts + ", " + said.why + ", " + said.state;
    if (const auto why = words::hindrance(*l, look_.unit()); !why.isEmpty()) now += " " + why;
    for (const auto& c : l->cautions) now += " " + words::caution(c, kind_, look_.unit());
    // A closed card shows no more than it says, and the word that something above it came later.
    const auto after = l->look_again ? std::optional{*l->look_again} : std::nullopt;
    const bool same = now == accessibleDescription() && after == shown_after_ && !open_ && !was_open_;
    was_open_ = open_;
    shown_after_ = after;
    setAccessibleDescription(now);
    if (!same) update();
}

void Card::refresh_glyph(const PlanLine& l)
{
    const auto& c = *room_.computed();
    const bool more = l.amount > Length{} || (l.amount == Length{} && adjustment(kind_).most > Length{});
    const std::string wanted = c.bought.pieces.front().name + std::to_string(area_mm2(c.traced.pieces.front())) +
                               (more ? "+" : "-") + std::to_string(l.method);
    if (wanted == glyph_of_) return;
    glyph_of_ = wanted;
    const Garment part = part_view(c.traced, l.part);
    glyph_ = glyph_of(part, kind_, l.method, more);
    // A way that does not suit this pattern still shows what is meant.
    if (glyph_.panels.empty()) glyph_ = glyph_of(part, kind_, usual_method(adjustment(kind_), part), more);
}

void Card::paintEvent(QPaintEvent*)
{
    const auto* l = line();
    if (!l) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const bool quiet = l->state == LineState::LeaveIt || l->state == LineState::NothingKnown ||
                       l->state == LineState::Declined || l->state == LineState::NotOnPaper;
    const QRectF r = QRectF{rect()}.adjusted(1.5, 1.5, -1.5, -1.5);
    p.setBrush(l->state == LineState::Refused ? d.madder_wash : d.sheet);
    QPen edge{open_   ? d.woad
              : quiet ? d.edge
                      : d.rule,
              open_ ? 1.8 : 1.0, quiet && !open_ ? Qt::DashLine : Qt::SolidLine};
    p.setPen(edge);
    p.drawRoundedRect(r, 4, 4);
    draw_glyph(p, look_, {10, 8, 66, closed_height * look_.scale() - 16.0}, glyph_);

    const double k = look_.scale();
    const double x = 92;
    // The state as a chip at the right.
    const QString state =
        l->state == LineState::Refused ? tr("the paper does not carry it")
        : l->look_again ? tr("look again: %1 came after").arg(words::adjustment_name(*l->look_again).toLower())
                        : words::state_text(*l, look_.unit());
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    // In a narrow window the amount goes before the words about it.
    const QString chip_text =
        p.fontMetrics().elidedText(state, Qt::ElideRight, static_cast<int>(width() - x - 90 * k - 32));
    const double w = p.fontMetrics().horizontalAdvance(chip_text) + 16;
    const QRectF chip{width() - w - 16, (closed_height - 38.0) * k, w, 22 * k};
    p.setPen(d.ink);
    p.setFont(look_.cabin(16));
    p.drawText(QPointF{x, 26 * k}, words::adjustment_name(kind_));
    double nx = x;
    if (l->amount != Length{} || applied(*l)) {
        p.setPen(quiet ? d.faded : applied(*l) ? d.woad : d.ink);
        nx += draw_number(p, look_, {x, 57 * k}, l->amount, look_.unit(), 28, QFont::Medium, true);
        if (l->back != l->amount) {
            p.setFont(look_.lato(20));
            p.drawText(QPointF{nx + 6, 57 * k}, tr("and"));
            nx += 44 * k;
            nx += draw_number(p, look_, {nx, 57 * k}, l->back, look_.unit(), 28, QFont::Medium, true);
        }
    } else {
        p.setPen(d.edge);
        p.setFont(look_.lato(28, QFont::Medium));
        p.drawText(QPointF{x, 57 * k}, "–");
        nx += 20;
    }
    p.setPen(d.faded);
    p.setFont(look_.lato(13));
    const QString unit = QString::fromStdString(std::string{unit_text(look_.unit())});
    p.drawText(QPointF{nx + 8, 57 * k},
               p.fontMetrics().elidedText(unit + "  " + words::amount_meaning(kind_), Qt::ElideRight,
                                          static_cast<int>(chip.left() - nx - 20)));
    p.setPen(d.ink);
    p.setFont(look_.lato(13));
    QString reason = words::why(*l, look_.unit()) + "  ·  " + words::piece_names(kind_, room_.computed()->traced);
    if (const auto old = room_.stale_under(kind_)) {
        p.setPen(d.weld_ink);
        reason = tr("measure again: ") + words::stale(*old);
    }
    p.drawText(QPointF{x, 76 * k},
               p.fontMetrics().elidedText(reason, Qt::ElideRight, static_cast<int>(chip.left() - x - 12)));

    p.setFont(look_.lato(12.5, QFont::DemiBold));
    const bool good = (applied(*l) && !l->look_again && l->cautions.empty()) || l->state == LineState::LeaveIt;
    const bool asks = l->state == LineState::Proposed || l->look_again || !l->cautions.empty() ||
                      l->state == LineState::NotOnPaper || (l->noted && l->state == LineState::NothingKnown);
    p.setPen(Qt::NoPen);
    p.setBrush(l->state == LineState::Refused ? d.madder_wash
               : good                         ? d.lichen_wash
               : asks                         ? d.weld_wash
                                              : d.walnut_wash);
    p.drawRoundedRect(chip, 3, 3);
    p.setPen(l->state == LineState::Refused ? d.madder_ink : good ? d.lichen_ink : asks ? d.weld_ink : d.walnut);
    p.drawText(chip, Qt::AlignCenter, chip_text);
    if (!open_) return;
    draw_chain(p, *l);
    p.setPen(d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    const double base = height() - 28.0 * k - button_row();
    p.drawText(QPointF{x, base}, back_ ? tr("Front") : tr("Your amount"));
    if (back_) p.drawText(QPointF{x + 200 * k, base}, tr("Back"));
    if (!methods_) return;
    p.setPen(d.faded);
    p.setFont(look_.lato(13));
    const double top = (closed_height + 54.0) * k + methods_->sizeHint().height() + 4;
    p.drawText(QRectF{x, top, width() - x - 16, 36 * k}, Qt::TextWordWrap, words::method_cost(kind_, l->method));
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
        p.drawText(QRectF{x, y, width() - x - 20.0, 44}, Qt::TextWordWrap, words::state_text(l, look_.unit()));
        return;
    }
    QStringList said;
    if (const auto why = words::hindrance(l, look_.unit()); !why.isEmpty()) said << why;
    if (!l.cautions.empty()) said << words::caution(l.cautions.front(), kind_, look_.unit());
    if (!said.isEmpty()) {
        p.setPen(d.weld_ink);
        p.setFont(look_.lato(13.5));
        p.drawText(QRectF{x, y, width() - x - 20.0, 46 * k}, Qt::TextWordWrap, said.join(" "));
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
    // As many as the card holds beside the check; all of them stand under Finished.
    const auto most = static_cast<std::size_t>(std::clamp((width() - x + 10) / (92 * k + 18) - 1, 1.0, 4.0));
    for (const auto& row : all_garment_measures()) {
        if (row.tells_change && boxes.size() < most)
            add(words::change_name(row.measure), l.changed.of(row.measure));
    }
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
    const auto draw_arrow = [&] {
        p.setPen(QPen{d.faded, 1.3});
        p.drawLine(QPointF(x + 4, y + 21 * k), QPointF(x + 14, y + 21 * k));
        p.drawLine(QPointF(x + 14, y + 21 * k), QPointF(x + 10, y + 21 * k - 4));
        p.drawLine(QPointF(x + 14, y + 21 * k), QPointF(x + 10, y + 21 * k + 4));
        x += 18;
    };
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        if (i > 0) draw_arrow();
        draw_box(boxes[i].name, boxes[i].value, false);
    }
    if (!boxes.empty() && room_.computed()->checks.seams_hold()) {
        draw_arrow();
        draw_box(tr("seams walk"), std::nullopt, true);
    }
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
    const int y = height() - static_cast<int>(50 * k) - button_row();
    const auto px = [&](double v) { return static_cast<int>(v * k); };
    toggle_->setGeometry(width() - 62, 8, 48, 30);
    const int first = 92 + px(back_ ? 52 : 100);
    amount_->setGeometry(first, y, back_ ? px(140) : width() - first - 4, px(48));
    if (back_) back_->setGeometry(92 + px(248), y, px(140), px(48));
    if (methods_) methods_->setGeometry(QRect{QPoint{92, px(closed_height + 50.0)}, methods_->sizeHint()});
    int right = width() - 12;
    for (auto* b : {looked_, follow_}) {
        if (!b->isVisibleTo(this)) continue;
        const QSize size = b->sizeHint();
        right -= size.width();
        const int top = button_row() > 0 ? height() - size.height() - 4 : y + px(24) - size.height() / 2;
        b->setGeometry(right, top, size.width(), size.height());
        right -= 4;
    }
}

// Where the amount stands: it can be dragged to the left and to the right.
QRectF Card::amount_place() const
{
    const double k = look_.scale();
    return {88, 32 * k, 150 * k, 32 * k};
}

void Card::mousePressEvent(QMouseEvent* e)
{
    emit opened(kind_);
    const auto* l = line();
    if (e->button() == Qt::LeftButton && l && amount_place().contains(e->position()))
        drag_ = Drag{e->position().x(), l->amount, l->back, l->back != l->amount};
}

void Card::mouseMoveEvent(QMouseEvent* e)
{
    const bool over = amount_place().contains(e->position());
    setCursor(drag_ || over ? Qt::SizeHorCursor : Qt::ArrowCursor);
    if (!drag_) return;
    const double tenths = std::round((e->position().x() - drag_->from) / pixels_a_tenth);
    if (tenths == drag_->tenths) return;
    drag_->tenths = tenths;
    try_amount(drag_->front + tenth() * tenths, drag_->back + tenth() * tenths, drag_->apart);
}

// One drag is one act, however far the hand went.
void Card::mouseReleaseEvent(QMouseEvent*)
{
    if (std::exchange(drag_, std::nullopt)) room_.keep_trial();
}

}  // namespace sartorum::desk
