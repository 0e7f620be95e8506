#include "desk/plan/plan_station.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

#include "core/plan/first_plan.h"
#include "desk/plan/beside/crotch_view.h"
#include "desk/plan/beside/donning_view.h"
#include "desk/plan/beside/doubt_view.h"
#include "desk/plan/beside/finished_view.h"
#include "desk/plan/beside/follows_view.h"
#include "desk/plan/beside/not_done_view.h"
#include "desk/plan/beside/pieces_view.h"
#include "desk/plan/beside/profile.h"
#include "desk/plan/beside/shoulder_view.h"
#include "desk/plan/beside/waist_view.h"
#include "desk/plan/map/plan_map.h"
#include "desk/plan/map/quiet_list.h"
#include "desk/plan/map/zone_strip.h"
#include "desk/plan/pad/change_pad.h"
#include "desk/plan/pad/place_fields.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "words/donning.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {
constexpr int nudge_ends_ms = 700;
constexpr int pad_width = 350;
enum View {
    change_view,
    shoulder_view,
    follows_view,
    finished_view,
    room_view,
    goes_on_view,
    pieces_view,
    crotch_view,
    waist_view
};
}  // namespace

PlanStation::PlanStation(Look& look, Room& room, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, other_{new OtherWay{room, this}}
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
    held_up_ = new EmptyState{look,
                              tr("There is no plan for this yet."),
                              {},
                              {{tr("To the chart"), [this] { emit chart_wanted(); }}},
                              this};
    held_up_why_ = held_up_->findChild<QLabel*>("what_to_do");
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(12);
    auto* picture = new QWidget{work_};
    build_picture(picture);
    inner->addWidget(picture, 1);
    auto* side = new QWidget{work_};
    side->setFixedWidth(pad_width);
    build_pad(side);
    inner->addWidget(side);
    for (auto* w : {no_pattern_, no_sizes_, held_up_, work_}) row->addWidget(w);
    settle_.setSingleShot(true);
    settle_.setInterval(nudge_ends_ms);
    connect(&settle_, &QTimer::timeout, &room, &Room::keep_trial);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Plan: the changes in fitting order"));
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

void PlanStation::build_picture(QWidget* frame)
{
    auto* column = new QVBoxLayout{frame};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    doubts_ = new DoubtView{look_, room_, frame};
    not_done_ = new NotDoneView{look_, room_, frame};
    connect(not_done_, &NotDoneView::opened, this, &PlanStation::show_adjustment);
    column->addWidget(doubts_);
    column->addWidget(not_done_);
    auto* sheet = new Panel{look_, frame};
    auto* on_sheet = new QVBoxLayout{sheet};
    on_sheet->setContentsMargins(2, 2, 2, 2);
    on_sheet->setSpacing(0);
    strip_ = new ZoneStrip{look_, room_, sheet};
    map_ = new PlanMap{look_, room_, *other_, sheet};
    quiet_ = new QuietList{look_, room_, sheet};
    on_sheet->addWidget(strip_);
    on_sheet->addWidget(map_, 1);
    on_sheet->addWidget(quiet_, 1);
    column->addWidget(sheet, 1);
    connect(strip_, &ZoneStrip::opened, this, &PlanStation::show_adjustment);
    connect(strip_, &ZoneStrip::zone_wanted, this, [this](Zone zone) {
        quiet_->isVisible() && quiet_->zones() == std::vector{zone} ? show_picture() : list_quiet({zone});
    });
    connect(quiet_, &QuietList::opened, this, [this](AdjustmentKind kind) {
        show_picture();
        show_adjustment(kind);
    });
    connect(quiet_, &QuietList::left, this, &PlanStation::show_picture);
    connect(map_, &PlanMap::opened, this, &PlanStation::show_adjustment);
}

void PlanStation::build_pad(QWidget* side)
{
    auto* column = new QVBoxLayout{side};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    beside_ = new Choices{look_,
                          {tr("Change"), tr("Shoulder"), tr("Follows"), tr("Finished"), tr("Room"), tr("Goes on"),
                           tr("Pieces"), tr("Crotch"), tr("Waist")},
                          tr("Beside the plan"),
                          side};
    beside_->wrap();
    beside_->setObjectName("beside_plan");
    column->addWidget(beside_);
    change_ = new ChangePad{look_, room_, *other_, side};
    auto* follows = new FollowsView{look_, room_, side};
    waist_ = new WaistView{look_, room_, side};
    views_ = {change_,
              new ShoulderView{look_, room_, side},
              follows,
              new FinishedView{look_, room_, side},
              new Profile{look_, room_, side},
              new GoesOnView{look_, room_, side},
              new PiecesView{look_, room_, side},
              new CrotchView{look_, room_, side},
              waist_};
    for (auto* v : views_) column->addWidget(v, 1);
    connect(beside_, &Choices::picked, this, [this] { show_beside(); });
    connect(follows, &FollowsView::opened, this, &PlanStation::show_adjustment);
    connect(map_, &PlanMap::dragged, change_, &ChangePad::try_amount);
    connect(map_, &PlanMap::dropped, &room_, &Room::keep_trial);
    connect(change_, &ChangePad::places_wanted, this, &PlanStation::show_waist);
    connect(change_, &ChangePad::hand_changed, this, [this] { map_->set_hand(change_->side_in_hand()); });
    trouble_ = label(look_, {}, 14, true, side);
    left_ = label(look_, {}, 14, false, side);
    for (auto* l : {trouble_, left_}) l->setWordWrap(true);
    all_ = new Button{look_, {}, ButtonKind::Plain, side};
    all_->setObjectName("accept_all");
    connect(all_, &Button::clicked, &room_, &Room::accept_all);
    zone_ = new Button{look_, {}, ButtonKind::Plain, side};
    zone_->setObjectName("leave_zone");
    connect(zone_, &Button::clicked, this, [this] { room_.leave_zone(adjustment(current_).zone); });
    onwards_ = new Button{look_, tr("To the paper"), ButtonKind::Primary, side};
    onwards_->setObjectName("to_paper");
    connect(onwards_, &Button::clicked, this, &PlanStation::paper_wanted);
    for (QWidget* w : std::initializer_list<QWidget*>{trouble_, left_, all_, zone_, onwards_})
        column->addWidget(w);
}

void PlanStation::open(AdjustmentKind kind)
{
    if (kind != current_) settle_nudge();
    current_ = kind;
    show_open();
    refresh_sums();
}

// The change on pad, map and thread.
void PlanStation::show_open()
{
    map_->choose(current_);
    strip_->refresh(map_->shown(), current_);
    const Tag* tag = map_->tag_of(current_);
    change_->show_change(current_, tag ? tag->text().number : QString{});
    map_->set_hand(change_->side_in_hand());
}

void PlanStation::show_adjustment(AdjustmentKind kind)
{
    if (!room_.computed() || !room_.computed()->line(kind)) return;
    beside(change_view);
    open(kind);
}

void PlanStation::refresh()
{
    const bool pattern = room_.pattern() != nullptr;
    const bool ready = room_.computed().has_value();
    no_pattern_->setVisible(!pattern);
    no_sizes_->setVisible(pattern && !ready && !room_.trouble());
    held_up_->setVisible(pattern && !ready && room_.trouble());
    work_->setVisible(pattern && ready);
    if (room_.trouble()) held_up_why_->setText(words::refusal(*room_.trouble(), look_.unit()));
    if (!ready) return;
    const auto& c = *room_.computed();
    if (!room_.trying()) before_.take(c, room_.table().wearer);
    doubts_->refresh();
    not_done_->refresh();
    if (!c.line(current_)) {
        const auto out = standing_out(c);
        current_ = out.empty() ? c.lines.front().kind : out.front()->kind;
    }
    quiet_->refresh();
    show_open();
    compare(comparing_ && before_.known());
    show_beside();
}

// What the garment asks to be looked at, and what waits for an answer.
void PlanStation::refresh_sums()
{
    const auto& c = *room_.computed();
    QStringList warnings;
    for (const auto& ease : c.checks.ease) {
        if (!ease.holds) warnings << words::ease_warning(ease, look_.unit());
    }
    // Not worked out in every frame of a hand that drags: what was said stays until it lets go.
    if (!room_.trying()) {
        passing_.clear();
        for (const auto& g : goes_on(c)) {
            if (const auto said = words::goes_on_warning(g, look_.unit()); !said.isEmpty()) passing_ << said;
        }
    }
    warnings << passing_;
    if (const auto unwalked = words::unwalked(c.checks); !unwalked.isEmpty()) warnings << unwalked;
    trouble_->setText(warnings.join("\n"));
    trouble_->setVisible(!warnings.isEmpty());
    int waiting = 0;
    int taken = 0;
    int here = 0;
    const Zone zone = adjustment(current_).zone;
    for (const auto& l : c.lines) {
        waiting += l.state == LineState::Proposed;
        taken += l.state == LineState::Accepted;
        here += l.state == LineState::Proposed && adjustment(l.kind).zone == zone;
    }
    QString sum = waiting ? tr("%1 accepted, %2 waiting for an answer").arg(taken).arg(waiting)
                          : tr("%1 accepted, nothing waiting").arg(taken);
    if (c.work.plan.sewn) sum = tr("Sewn already: only what can be done with it is offered. %1").arg(sum);
    if (comparing_) sum = tr("Since the plan before: %1").arg(before_.changes(look_.unit()));
    left_->setText(sum);
    const auto asked = sartorum::waiting(c);
    const auto plain = static_cast<int>(asked.plain.size());
    const auto unusual = static_cast<int>(asked.unusual.size());
    all_->setText(
        unusual == 0 ? plain == 1 ? tr("Accept the one proposed") : tr("Accept all %1 proposed").arg(plain)
        : unusual == 1
            ? tr("Accept %1 of %2: one is more than usual").arg(plain).arg(plain + 1)
            : tr("Accept %1 of %2: %3 are more than usual").arg(plain).arg(plain + unusual).arg(unusual));
    all_->setAccessibleName(all_->text());
    all_->setVisible(plain > 0);
    zone_->setText(tr("Leave the %1 of %2").arg(here).arg(words::zone_name(zone)));
    zone_->setAccessibleName(zone_->text());
    zone_->setVisible(here > 1);
}

// A skirt has no shoulder to look at.
bool PlanStation::has_legs() const
{
    return room_.computed() && room_.computed()->altered_flat.has(GarmentMeasure::CrotchFront);
}

// A waist of its own, not sewn to a part above it.
bool PlanStation::has_waist() const
{
    return room_.computed() && room_.computed()->line(waist_kind(room_.plan()));
}

void PlanStation::show_beside()
{
    const bool top = room_.computed() && room_.computed()->checks.shoulder;
    if (!top && beside_->chosen() == shoulder_view) beside_->choose(change_view);
    const bool legs = has_legs();
    if (!legs && beside_->chosen() == crotch_view) beside_->choose(change_view);
    const bool waist = has_waist();
    if (!waist && beside_->chosen() == waist_view) beside_->choose(change_view);
    beside_->offer({true, top, true, true, true, true, true, legs, waist});
    for (std::size_t i = 0; i < views_.size(); ++i)
        views_[i]->setVisible(static_cast<std::size_t>(beside_->chosen()) == i);
}

void PlanStation::beside(int view)
{
    beside_->choose(view);
    show_beside();
}

// Each of its places has an amount of its own: they are seen together.
void PlanStation::show_waist()
{
    if (has_place_fields(current_)) {
        beside(change_view);
        return change_->take_places();
    }
    beside(waist_view);
    waist_->take_focus();
}

void PlanStation::list_quiet(const std::vector<Zone>& zones)
{
    quiet_->show_zones(zones);
    map_->hide();
    quiet_->show();
    quiet_->take_focus();
}

void PlanStation::show_picture()
{
    quiet_->hide();
    map_->show();
    setFocus();
}

void PlanStation::compare(bool on)
{
    comparing_ = on;
    map_->compare_with(on ? before_.pieces() : std::vector<Piece>{});
    if (room_.computed()) refresh_sums();
}

// The next change up or down that stands out.
void PlanStation::open_beside(int way)
{
    const auto shown = map_->shown();
    const auto here = std::find(shown.begin(), shown.end(), current_);
    const auto next = here - shown.begin() + way;
    if (next < 0 || next >= static_cast<std::ptrdiff_t>(shown.size())) return;
    show_adjustment(shown[static_cast<std::size_t>(next)]);
}

// A key held down is one gesture: it is written when it is let go, or when nothing more comes.
void PlanStation::nudge(double steps, bool fine)
{
    if (!adjustment(current_).places.empty()) return show_waist();
    change_->nudge(steps, fine);
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
    const auto act = act_for(At::Plan, *e);
    if (!room_.computed() || !act || !take_key(*act, e->modifiers() & Qt::ShiftModifier))
        QWidget::keyPressEvent(e);
}

bool PlanStation::take_key(Act act, bool far)
{
    const double by = far ? 5 : 1;
    const bool at_places = !adjustment(current_).places.empty();
    switch (act) {
        case Act::ChangeBefore: open_beside(-1); return true;
        case Act::ChangeAfter: open_beside(1); return true;
        case Act::SlightlyLess: nudge(-1, true); return true;
        case Act::SlightlyMore: nudge(1, true); return true;
        case Act::Accept: change_->flip(); return true;
        case Act::More: nudge(by, false); return true;
        case Act::Less: nudge(-by, false); return true;
        case Act::TypeAmount:
            if (at_places) {
                show_waist();
            } else {
                beside(change_view);
                change_->amount_field().edit().setFocus();
            }
            return true;
        case Act::LeftAlone:
            quiet_->isVisible() ? show_picture() : list_quiet(zones_of(*room_.computed()));
            return true;
        case Act::SidesApart:
        case Act::SidesAlike:
            if (at_places) {
                show_waist();
            } else {
                beside(change_view);
                act == Act::SidesAlike ? change_->join_sides() : change_->part_sides();
            }
            return true;
        case Act::PlanBefore:
            if (before_.known()) compare(!comparing_);
            return true;
        case Act::Follows: beside(follows_view); return true;
        case Act::Finished: beside(finished_view); return true;
        case Act::RoomToMove: beside(room_view); return true;
        case Act::GoesOn: beside(goes_on_view); return true;
        case Act::Pieces: beside(pieces_view); return true;
        case Act::Crotch:
            if (has_legs()) beside(crotch_view);
            return true;
        case Act::Waist:
            if (!has_waist()) return true;
            beside(waist_view);
            waist_->take_focus();
            return true;
        case Act::BackToChange:
            if (map_->dragging() || room_.trying()) {
                map_->let_go();
                settle_.stop();
                room_.drop_trial();
            } else {
                beside(change_view);
            }
            return true;
        case Act::PlanToPaper:
            // In an amount Enter takes the amount, and no more.
            if (!qobject_cast<QLineEdit*>(QApplication::focusWidget())) emit paper_wanted();
            return true;
        default: return false;
    }
}

}  // namespace sartorum::desk
