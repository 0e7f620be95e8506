#include "desk/plan/plan_station.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

#include "desk/plan/card.h"
#include "desk/plan/doubt_view.h"
#include "desk/plan/finished_view.h"
#include "desk/plan/follows_view.h"
#include "desk/plan/not_done_view.h"
#include "desk/plan/profile.h"
#include "desk/plan/shoulder_view.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {
constexpr int nudge_ends_ms = 700;
}

// A zone's name on the left, the thread with its number down the middle, its cards on the right.
class ZoneBox : public Panel {
public:
    ZoneBox(Look& look, Room& room, const QString& name, const QString& why, int number, QWidget* parent)
        : Panel{look, parent}, room_{room}, name_{name}, why_{why}, number_{number}, column_{new QVBoxLayout{this}}
    {
        column_->setContentsMargins(146, 8, 10, 8);
        column_->setSpacing(8);
    }
    // Hidden while none of its adjustments serves; the rest are numbered in order.
    bool settle(int number)
    {
        const bool any = std::any_of(cards_.begin(), cards_.end(), [&](const Card* c) {
            return room_.computed() && room_.computed()->line(c->kind());
        });
        setVisible(any);
        // Painting a zone paints every card in it: only when the zone itself looks otherwise.
        const bool sewn = any_accepted();
        if (number != std::exchange(number_, number) || sewn != std::exchange(sewn_, sewn)) update();
        return any;
    }
    void add(Card* card)
    {
        cards_.push_back(card);
        column_->addWidget(card);
    }

protected:
    void paintEvent(QPaintEvent* e) override
    {
        Panel::paintEvent(e);
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(d.ink);
        p.setFont(look_.cabin(16));
        p.drawText(QRectF{14, 12, 100, 24}, name_);
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5));
        p.drawText(QRectF{14, 36, 92, 90}, Qt::TextWordWrap, why_);
        const bool sewn = any_accepted();
        const double x = 124;
        draw_thread(p, look_, {x, 0}, {x, double(height())}, sewn);
        const QRectF swatch{x - 11, 16, 22, 22};
        p.setPen(sewn ? QPen{Qt::NoPen} : QPen{d.edge, 1.2});
        p.setBrush(sewn ? d.woad : d.sheet);
        p.drawPolygon(pinked(swatch, 4));
        p.setPen(sewn ? d.on_woad : d.ink);
        p.setFont(look_.lato(14, QFont::DemiBold));
        p.drawText(swatch, Qt::AlignCenter, QString::number(number_));
    }

private:
    [[nodiscard]] bool any_accepted() const
    {
        return std::any_of(cards_.begin(), cards_.end(), [&](const Card* c) {
            const auto* line = room_.computed() ? room_.computed()->line(c->kind()) : nullptr;
            return line && line->state == LineState::Accepted;
        });
    }
    Room& room_;
    QString name_;
    QString why_;
    int number_;
    bool sewn_ = false;
    QVBoxLayout* column_;
    std::vector<Card*> cards_;
};

PlanStation::PlanStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    no_pattern_ = new EmptyState{
        look,
        tr("No pattern lies on the table."),
        tr("Open a pattern drawing, or draw a skirt or a bodice from measurements taken flat on the tissue."),
        {{tr("Choose a pattern"), [this] { emit pattern_wanted(); }}},
        this};
    no_sizes_ = new EmptyState{look,
                               tr("No size is chosen."),
                               tr("The plan starts from the size that is traced."),
                               {{tr("To the chart"), [this] { emit chart_wanted(); }}},
                               this};
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(14);
    scroll_ = new QScrollArea{work_};
    scroll_->setWidgetResizable(true);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* list = new QWidget;
    auto* column = new QVBoxLayout{list};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(10);
    const std::pair<Zone, QString> zones[] = {{Zone::Frame, tr("first: a top hangs from here")},
                                              {Zone::Lengths, tr("so levels sit where the body has them")},
                                              {Zone::Widths, tr("once levels are true")},
                                              {Zone::Sleeve, tr("the armhole first, then what is sewn into it")},
                                              {Zone::Hem, tr("last: when all above is settled")}};
    doubts_ = new DoubtView{look, room, list};
    column->addWidget(doubts_);
    not_done_ = new NotDoneView{look, room, list};
    connect(not_done_, &NotDoneView::opened, this, &PlanStation::show_adjustment);
    column->addWidget(not_done_);
    cards_.resize(adjustment_count);
    int number = 0;
    for (const auto& [zone, why] : zones) {
        auto* box = new ZoneBox{look, room, words::zone_name(zone), why, ++number, list};
        for (const auto& entry : catalogue()) {
            if (entry.zone != zone) continue;
            auto* card = new Card{look, room, entry.kind, box};
            connect(card, &Card::opened, this, &PlanStation::open);
            cards_[static_cast<std::size_t>(entry.kind)] = card;
            box->add(card);
        }
        zones_.push_back(box);
        column->addWidget(box);
    }
    column->addStretch();
    scroll_->setWidget(list);
    inner->addWidget(scroll_, 1);

    auto* side = new QWidget{work_};
    side->setFixedWidth(360);
    auto* side_column = new QVBoxLayout{side};
    side_column->setContentsMargins(0, 0, 0, 0);
    side_column->setSpacing(8);
    beside_ = new Choices{
        look, {tr("Shoulder"), tr("Follows"), tr("Finished"), tr("Room")}, tr("Beside the plan"), side};
    beside_->setObjectName("beside_plan");
    side_column->addWidget(beside_);
    auto* follows = new FollowsView{look, room, side};
    views_ = {new ShoulderView{look, room, side}, follows, new FinishedView{look, room, side},
              new Profile{look, room, side}};
    for (auto* v : views_) side_column->addWidget(v, 1);
    connect(beside_, &Choices::picked, this, [this] { show_beside(); });
    connect(follows, &FollowsView::opened, this, &PlanStation::show_adjustment);
    trouble_ = label(look, {}, 14, true, side);
    left_ = label(look, {}, 14, false, side);
    all_ = new Button{look, {}, ButtonKind::Plain, side};
    all_->setObjectName("accept_all");
    onwards_ = new Button{look, tr("To the paper"), ButtonKind::Primary, side};
    onwards_->setObjectName("to_paper");
    for (QWidget* w : std::initializer_list<QWidget*>{trouble_, left_, all_, onwards_}) side_column->addWidget(w);
    connect(all_, &Button::clicked, this, &PlanStation::accept_all);
    connect(onwards_, &Button::clicked, this, &PlanStation::paper_wanted);
    inner->addWidget(side);
    for (auto* w : {no_pattern_, no_sizes_, work_}) row->addWidget(w);
    settle_.setSingleShot(true);
    settle_.setInterval(nudge_ends_ms);
    connect(&settle_, &QTimer::timeout, &room, &Room::keep_trial);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Plan: the adjustments in fitting order"));
    refresh_when_shown(
        this, [this] { refresh(); }, room);
    refresh_when_shown(
        this,
        [this] {
            open(current_);
            refresh();
        },
        look);
    open(current_);
    refresh();
}

void PlanStation::open(AdjustmentKind kind)
{
    current_ = kind;
    for (auto* c : cards_) c->set_open(c->kind() == kind);
}

void PlanStation::show_adjustment(AdjustmentKind kind)
{
    open(kind);
    // The list has not been laid out again yet with the card open.
    QTimer::singleShot(0, this, [this] { scroll_->ensureWidgetVisible(current(), 0, 20); });
}

void PlanStation::accept_all()
{
    room_.accept_all();
}

void PlanStation::refresh()
{
    const bool pattern = room_.pattern() != nullptr;
    const bool ready = room_.computed().has_value();
    no_pattern_->setVisible(!pattern);
    no_sizes_->setVisible(pattern && !ready && !room_.trouble());
    work_->setVisible(pattern && (ready || room_.trouble()));
    trouble_->setText(room_.trouble() ? words::refusal(*room_.trouble(), look_.unit()) : QString{});
    trouble_->setVisible(room_.trouble().has_value());
    if (!ready) return;
    QStringList warnings;
    for (const auto& ease : room_.computed()->checks.ease) {
        if (!ease.holds) warnings << words::ease_warning(ease, look_.unit());
    }
    if (const auto unwalked = words::unwalked(room_.computed()->checks); !unwalked.isEmpty()) warnings << unwalked;
    doubts_->refresh();
    not_done_->refresh();
    if (!warnings.isEmpty()) trouble_->setText(warnings.join("\n"));
    trouble_->setVisible(!warnings.isEmpty());
    int waiting = 0;
    int taken = 0;
    for (const auto& l : room_.computed()->lines) {
        waiting += l.state == LineState::Proposed;
        taken += l.state == LineState::Accepted;
    }
    left_->setText(waiting ? tr("%1 accepted, %2 waiting for an answer").arg(taken).arg(waiting)
                           : tr("%1 accepted, nothing waiting").arg(taken));
    all_->setText(waiting == 1 ? tr("Accept the one proposed") : tr("Accept all %1 proposed").arg(waiting));
    all_->setAccessibleName(all_->text());
    all_->setVisible(waiting > 0);
    for (auto* c : cards_) c->refresh();
    int number = 0;
    for (auto* z : zones_) number += z->settle(number + 1) ? 1 : 0;
    if (!room_.computed()->line(current_)) open(room_.computed()->lines.front().kind);
    show_beside();
}

// A skirt has no shoulder to look at: the room all the way down stands there instead.
void PlanStation::show_beside()
{
    const bool top = room_.computed() && room_.computed()->checks.shoulder;
    if (top != top_) beside_->choose(top ? 0 : 3);
    top_ = top;
    beside_->offer({top, true, true, true});
    for (std::size_t i = 0; i < views_.size(); ++i)
        views_[i]->setVisible(static_cast<std::size_t>(beside_->chosen()) == i);
}

Card* PlanStation::current() const
{
    return cards_[static_cast<std::size_t>(current_)];
}

// The next adjustment up or down that serves this garment.
void PlanStation::open_beside(int way)
{
    if (!room_.computed()) return;
    const auto& lines = room_.computed()->lines;
    const auto here =
        std::find_if(lines.begin(), lines.end(), [&](const PlanLine& l) { return l.kind == current_; });
    const auto next = here - lines.begin() + way;
    if (next >= 0 && next < static_cast<std::ptrdiff_t>(lines.size()))
        show_adjustment(lines[static_cast<std::size_t>(next)].kind);
}

// A key held down is one gesture: it is written when it is let go, or when nothing more comes.
void PlanStation::nudge(double tenths)
{
    current()->nudge(tenths);
    settle_.start();
}

void PlanStation::keyReleaseEvent(QKeyEvent* e)
{
    if (!e->isAutoRepeat()) settle_nudge();
    QWidget::keyReleaseEvent(e);
}

void PlanStation::settle_nudge()
{
    if (!settle_.isActive()) return;
    settle_.stop();
    room_.keep_trial();
}

void PlanStation::hideEvent(QHideEvent*)
{
    settle_nudge();
}

void PlanStation::keyPressEvent(QKeyEvent* e)
{
    const double big = e->modifiers() & Qt::ShiftModifier ? 5 : 1;
    switch (e->key()) {
        case Qt::Key_Up: open_beside(-1); break;
        case Qt::Key_Down: open_beside(1); break;
        case Qt::Key_Space: current()->flip(); break;
        case Qt::Key_Plus:
        case Qt::Key_Equal: nudge(big); break;
        case Qt::Key_Minus:
        case Qt::Key_Underscore: nudge(-big); break;
        case Qt::Key_A: current()->amount_field().edit().setFocus(); break;
        case Qt::Key_Return:
        case Qt::Key_Enter:
            // In an amount Enter takes the amount, and no more.
            if (!qobject_cast<QLineEdit*>(QApplication::focusWidget())) emit paper_wanted();
            break;
        default: QWidget::keyPressEvent(e);
    }
}

}  // namespace sartorum::desk
