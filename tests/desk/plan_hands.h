// plan_hands.h: what tests of tops do again and again: lay the demo's bodice, open a change, find a step.
#pragma once
#include "desk/desk_fixture.h"
#include "desk/plan/map/plan_map.h"
#include "desk/plan/pad/change_pad.h"
#include "desk/plan/plan_station.h"

namespace sartorum::test {

// The demo's pattern of that name on the table, its sizes chosen.
inline void lay_pattern(Desk& d, const QString& name)
{
    for (const auto& p : d.room->book().patterns()) {
        if (p.name.contains(name)) d.room->choose_pattern(p.id);
    }
    // Who was not measured for its chart is given one size of it.
    constexpr SizeChoice one_size{2, 2, 2};
    d.room->choose(d.room->advice() ? d.room->advice()->choice : one_size);
}

// That demo wearer stands at the table.
inline void seat(Desk& d, const QString& wearer)
{
    for (const auto& w : d.room->book().wearers()) {
        if (w.name == wearer) d.room->choose_wearer(w.id);
    }
}

inline void lay_bodice(Desk& d)
{
    lay_pattern(d, "Windlass");
}

inline PlanMap& map_of(const Desk& d)
{
    return *d.window->findChild<PlanMap*>();
}

// Stands out on the plan: a tag in the margin.
inline bool stands_out(const Desk& d, AdjustmentKind kind)
{
    const auto* tag = map_of(d).tag_of(kind);
    return tag && tag->isVisible();
}

inline ChangePad& pad_of(const Desk& d)
{
    return *d.window->findChild<ChangePad*>();
}

inline void open_card(Desk& d, AdjustmentKind kind)
{
    d.window->findChild<PlanStation*>()->show_adjustment(kind);
    QTest::qWait(30);
}

inline int step_of(const Desk& d, StepKind kind)
{
    const auto& steps = d.room->steps();
    for (std::size_t i = 0; i < steps.size(); ++i) {
        if (steps[i].step->kind == kind) return static_cast<int>(i);
    }
    qFatal("no such step");
}

// One of the views beside the plan, by the keyboard.
enum BesidePlan {
    change_shown,
    shoulder_shown,
    follows_shown,
    finished_shown,
    room_shown,
    goes_on_shown,
    pieces_shown,
    crotch_shown,
    waist_shown
};
inline void beside(Desk& d, int view)
{
    auto* choices = d.find<Choices>("beside_plan");
    choices->setFocus();
    constexpr int most_keys = 20;  // more would go on for ever
    for (int i = 0; choices->chosen() != view; ++i) {
        if (i == most_keys) qFatal("view %d is not reached", view);
        QTest::keyClick(choices, choices->chosen() < view ? Qt::Key_Right : Qt::Key_Left);
    }
    d.settle();
}

}  // namespace sartorum::test
