// The sides of a change: told apart, typed, joined again.
#include "core/plan/otherwise.h"
#include "desk/plan/change_pad.h"
#include "words/sides.h"

namespace sartorum::desk {

void ChangePad::type_amount(Side side, Face face, Length l)
{
    if (!line()) return;
    hand_ = side;
    if (parted()) {
        const PlanLine& now = line_on(side);
        const bool back = face == Face::Back;
        const bool both = adjustment(kind_).acts_on != ActsOn::Apart || (!back && now.back == now.amount);
        return room_.decide(with_amounts(side, back ? now.amount : l, back || both ? l : now.back));
    }
    const Decision* was = room_.plan().decision(kind_);
    face == Face::Back ? decide(line()->amount, l) : decide(l, was ? was->back() : std::nullopt);
}

// Accepted with these amounts: of one side, the other's as it is, or of both.
Decision ChangePad::with_amounts(std::optional<Side> side, Length front, Length back) const
{
    if (!side) return room_.plan().taken(kind_, front, back);
    Decision out = taken_apart(*room_.computed(), *line());
    out.set_side(*side, front, back);
    return out;
}

bool ChangePad::has_sides() const
{
    const auto& entry = adjustment(kind_);
    return entry.places.empty() && entry.at_join != AtJoin::WholeGarment && entry.at_centre != AtCentre::Together;
}

bool ChangePad::parted() const
{
    if (!line() || !has_sides()) return false;
    const Decision* d = room_.plan().decision(kind_);
    const PlanLine& right = line_on(Side::Right);
    const PlanLine& left = line_on(Side::Left);
    return parted_by_hand_ == kind_ || (d && d->has_sides()) || right.amount != left.amount ||
           right.back != left.back;
}

std::optional<Side> ChangePad::side_in_hand() const
{
    return parted() ? std::optional{hand_} : std::nullopt;
}

const PlanLine& ChangePad::line_on(Side side) const
{
    const PlanLine* left = side == Side::Left ? room_.computed()->left_of(*line()) : nullptr;
    return left ? *left : *line();
}

void ChangePad::part_sides()
{
    if (!line() || !has_sides()) return;
    hand_ = parted() ? other_side(hand_) : Side::Right;
    parted_by_hand_ = kind_;
    refresh();
    emit hand_changed();
}

// What was measured apart is answered by the larger from here on; what was typed by the right side's amount.
void ChangePad::join_sides()
{
    parted_by_hand_.reset();
    const Decision* was = room_.plan().decision(kind_);
    const bool measured = line() && (line()->sides.right || line()->sides.left);
    if (was && was->has_sides()) {
        Decision d = *was;
        d.one_amount();
        room_.decide(d);
    } else if (measured) {
        take_sides(static_cast<int>(SidesWay::Larger));
    }
    refresh();
    emit hand_changed();
}

// Choosing before answering accepts, as a way does.
void ChangePad::take_sides(int way)
{
    if (!line()) return;
    const Decision* was = room_.plan().decision(kind_);
    Decision d = was ? *was : Decision{kind_, Answer::Accepted};
    d.set_side(Side::Right, {});
    d.set_side(Side::Left, {});
    d.sides = static_cast<SidesWay>(way);
    parted_by_hand_.reset();
    room_.decide(d);
}

void ChangePad::refresh_sides(const PlanLine& l)
{
    say(sides_said_, words::sides_told(l, look_.unit()));
    const bool measured = has_sides() && (l.sides.right || l.sides.left) && l.sides.how != Sided::WithinNoise;
    sides_way_->setVisible(measured);
    const Decision* d = room_.plan().decision(kind_);
    sides_way_->choose(static_cast<int>(d ? d->sides : SidesWay::Usual));
    parting_->setVisible(has_sides());
    parting_->setText(parted() ? tr("One amount for both sides") : tr("Left and right apart"));
}

}  // namespace sartorum::desk
