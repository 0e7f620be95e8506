// The sides of a change: told apart, typed, joined again.
#include "desk/plan/pad/change_pad.h"
#include "words/sides.h"

namespace sartorum::desk {

// What is typed is of that side and that face; all else stays as it is, decided or not.
void ChangePad::type_amount(Side side, Face face, Length l)
{
    if (!line()) return;
    hand_ = side;
    stay_parted();
    const auto of_side = parted() ? std::optional{side} : std::nullopt;
    room_.decide(room_.plan().accepting(kind_, line()->part, {faces_parted() ? face : Face::Both, of_side}, l));
}

// What is told apart stays so while its pad is open, also where two amounts come to be the same.
void ChangePad::stay_parted()
{
    if (parted()) parted_by_hand_ = kind_;
    if (faces_parted()) faces_by_hand_ = kind_;
}

bool ChangePad::has_faces() const
{
    return adjustment(kind_).acts_on == ActsOn::Apart && adjustment(kind_).places.empty();
}

bool ChangePad::faces_parted() const
{
    if (!line() || !has_faces()) return false;
    const auto unlike = [](const PlanLine& l) { return l.amount != l.back; };
    return faces_by_hand_ == kind_ || unlike(*line()) || unlike(line_on(Side::Left));
}

void ChangePad::part_faces()
{
    if (!line() || !has_faces()) return;
    faces_by_hand_ = kind_;
    refresh();
}

// The front's, of both.
void ChangePad::join_faces()
{
    if (!line()) return;
    faces_by_hand_.reset();
    if (faces_parted()) {
        Decision d = room_.plan().accepting(kind_, line()->part);
        for (const auto side : both_sides) d.set({Face::Both, side}, line_on(side).amount);
        room_.decide(d);
    }
    refresh();
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
    const Decision* was = room_.plan().decision(kind_, line()->part);
    Decision d = was ? *was : Decision{kind_, Answer::Accepted};
    std::erase_if(d.amounts, [](const Amount& a) { return a.at.empty() && a.side; });
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
    parting_faces_->setVisible(has_faces());
    parting_faces_->setText(faces_parted() ? tr("One amount for front and back") : tr("Front and back apart"));
}

}  // namespace sartorum::desk
