// What the room does to the plan: each change written first, then worked out and shown.
#include "desk/room.h"

#include <QLocale>
#include <QTime>
#include <algorithm>
#include <utility>

#include "core/plan/first_plan.h"
#include "core/plan/pattern_trial.h"
#include "core/plan/sewn_plan.h"
#include "formats/pattern_svg.h"
#include "formats/work_json.h"
#include "words/words.h"

namespace sartorum::desk {

// Written first: what is refused leaves nothing in memory.
bool Room::save_plan(const Plan& plan, const QString& act)
{
    const auto what = plan_for();
    if (!what) return false;
    const auto written = book_->save_plan(*table_.wearer, *what, plan, act);
    if (!written) {
        const bool was_trying = trying();
        if (was_trying) plan_ = *std::exchange(before_trial_, std::nullopt);
        trial_.reset();
        if (was_trying) recompute();
        say_refused(written.error());
        look_round();  // it may be lost: said above the work at once
        if (book_->unread()) reload();
        emit changed();
        return false;
    }
    before_trial_.reset();
    trial_.reset();
    kept_at_ = tr("Kept %1").arg(QTime::currentTime().toString("HH:mm"));
    return true;
}

// A plan that was written: nothing else in the notebook changed, so nothing else is read again.
void Room::take_plan(const Plan& plan)
{
    const bool same_group = plan.chart_group == plan_.chart_group;
    plan_ = plan;
    settle_kind();
    settle_chart();
    same_group ? recompute() : reload();
    emit changed();
}

SizeChoice Room::choice() const
{
    if (!chart_) return {};
    const std::size_t hip = chart_->index_of(plan_.size_at(Level::Hip)).value_or(0);
    return {chart_->index_of(plan_.size_at(Level::Waist)).value_or(0), hip,
            chart_->index_of(plan_.size_at(Level::Bust)).value_or(hip)};
}

void Room::choose(const SizeChoice& c)
{
    Plan next = before_trial_.value_or(plan_);
    const auto name = [&](std::size_t i) { return chart_->sizes.at(i).name; };
    next.take_sizes(name(c.waist_size), name(c.hip_size), name(c.bust_size));
    if (save_plan(next, tr("size"))) take_plan(next);
}

void Room::choose_sizes(std::size_t waist, std::size_t hip)
{
    choose({waist, hip, hip});
}

// Another body type asks for the size anew.
void Room::choose_group(const std::string& group)
{
    Plan next = before_trial_.value_or(plan_);
    next.chart_group = group;
    next.sizes.clear();
    if (save_plan(next, tr("body type"))) take_plan(next);
}

void Room::wear(const ChoiceWish& wish, const Cloth& cloth, const EaseWishes& ease, SidesWay sides)
{
    Plan next = before_trial_.value_or(plan_);
    ChoiceWish now = wish;
    now.knit = cloth.knit;
    // Another way to choose asks for the size anew.
    if (!(now == next.choosing)) next.sizes.clear();
    next.choosing = now;
    next.cloth = cloth;
    next.ease = ease;
    next.sides = sides;
    if (save_plan(next, tr("how it is worn"))) take_plan(next);
}

void Room::decide(const Decision& decision)
{
    Plan next = before_trial_.value_or(plan_);
    next.decide(decision);
    if (save_plan(next, words::adjustment_name(decision.kind))) take_plan(next);
}

void Room::make_up(const MakeUp& made, const QString& act)
{
    Plan next = before_trial_.value_or(plan_);
    next.make_up = made;
    if (save_plan(next, act)) take_plan(next);
}

std::optional<Refusal> Room::not_made(const MakeUp& made, const std::string& piece) const
{
    Plan next = plan_;
    next.make_up = made;
    const auto computed = sartorum::compute({pattern_, printed_chart_, body_, next});
    if (!computed) return computed.error();
    for (const auto& n : computed->not_made) {
        if (n.piece == piece) return n.why;
    }
    return std::nullopt;
}

void Room::try_out(const Decision& decision)
{
    if (looks_only()) {
        say_refused({notebook::Trouble::OtherWindow, {}});
        return;
    }
    if (!before_trial_) before_trial_ = plan_;
    trial_ = decision.kind;
    plan_ = *before_trial_;
    plan_.decide(decision);
    rework();
    emit changed();
}

void Room::keep_trial()
{
    if (!trial_) return;
    const Decision* tried = plan_.decision(*trial_);
    if (tried) decide(Decision{*tried});
}

void Room::drop_trial()
{
    if (!before_trial_) return;
    plan_ = *std::exchange(before_trial_, std::nullopt);
    trial_.reset();
    rework();
    emit changed();
}

void Room::leave_zone(Zone zone)
{
    if (!computed_) return;
    Plan next = before_trial_.value_or(plan_);
    for (const auto& l : computed_->lines) {
        if (l.state == LineState::Proposed && adjustment(l.kind).zone == zone)
            next.decide({l.kind, Answer::Declined, {}});
    }
    if (save_plan(next, tr("%1 left").arg(words::zone_name(zone)))) take_plan(next);
}

void Room::accept_all()
{
    if (!computed_ || !chart_) return;
    drop_trial();
    const auto next = with_waiting_taken(*computed_);
    if (!next) return;
    if (save_plan(*next, tr("what was proposed"))) take_plan(*next);
}

// Another amount or answer leaves the way it is done as it was chosen, and amounts of a place or a side as they
// are.
void Room::decide(AdjustmentKind kind, Answer answer, std::optional<Length> amount)
{
    const Decision* before = plan_.decision(kind);
    Decision next = before ? *before : Decision{kind, answer};
    next.answer = answer;
    if (amount != next.amount()) next.seen_on.clear();
    next.set_amount(amount);
    if (!amount) next.set_back({});
    decide(next);
}

// Deciding the same again puts it after what changed.
void Room::looked_again(AdjustmentKind kind)
{
    if (const Decision* d = plan_.decision(kind)) decide(Decision{*d});
}

void Room::say_sewn(bool sewn)
{
    if (!computed_ || plan_.sewn == sewn) return;
    if (!sewn) {
        const Plan next = plan_on_paper(plan_);
        if (save_plan(next, tr("on paper again"))) take_plan(next);
        return;
    }
    const QByteArray work =
        QByteArray::fromStdString(formats::work_json(computed_->work, wearer_name().toStdString()));
    const auto kept = book_->keep_version(*table_.wearer, *table_.pattern, tr("as it was cut"), today_(),
                                          notebook::KeptFor::Cut, work);
    if (!kept) return say_refused(kept.error());
    const Plan next = plan_as_sewn(*computed_);
    if (save_plan(next, tr("the garment is sewn"))) take_plan(next);
}

void Room::say_as_drawn()
{
    Plan next = before_trial_.value_or(plan_);
    next.as_drawn = true;
    if (save_plan(next, tr("pattern as it is meant"))) take_plan(next);
}

void Room::forget(AdjustmentKind kind)
{
    Plan next = before_trial_.value_or(plan_);
    next.forget(kind);
    if (save_plan(next, words::adjustment_name(kind))) take_plan(next);
}

}  // namespace sartorum::desk
