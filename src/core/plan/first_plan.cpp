#include "core/plan/first_plan.h"

#include <algorithm>

#include "core/chart/finished_only.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

// What a garment of a kind is drawn as: something that hangs from the shoulders, from the waist, with legs. A
// bodice alone may become a dress.
struct Drawn {
    GarmentKind kind;
    bool from_shoulder;
    bool from_waist;
    bool with_legs = false;
};
constexpr std::array drawn_rows{Drawn{GarmentKind::Top, true, false},
                                Drawn{GarmentKind::Dress, true, false},
                                Drawn{GarmentKind::Dress, true, true},
                                Drawn{GarmentKind::Skirt, false, true},
                                Drawn{GarmentKind::Trousers, false, true, true},
                                Drawn{GarmentKind::AllInOne, true, true, true}};

}  // namespace

GarmentKind garment_drawn(const Pattern& pattern, GarmentKind said)
{
    const auto& pieces = pattern.sizes.front().pieces;
    const bool from_shoulder =
        std::any_of(pieces.begin(), pieces.end(), [](const Piece& p) { return has_level(p, Level::Shoulder); });
    const bool from_waist = std::any_of(pieces.begin(), pieces.end(), [](const Piece& p) {
        return goes_round(p) && begins_with(p, EdgeRole::Waist);
    });
    const bool with_legs =
        std::any_of(pieces.begin(), pieces.end(), [](const Piece& p) { return has_level(p, Level::Crotch); });
    std::optional<GarmentKind> first;
    for (const auto& row : drawn_rows) {
        if (row.from_shoulder != from_shoulder || row.from_waist != from_waist || row.with_legs != with_legs)
            continue;
        if (row.kind == said) return said;
        if (!first) first = row.kind;
    }
    return first.value_or(said);
}

Outcome<Plan> with_first_sizes(Plan plan, const SizeChart& chart, const BodySet& body, const Pattern* pattern)
{
    const auto advice = advise(with_bodies_served(chart, plan.cloth, plan.ease), body, plan.choosing);
    if (!advice) return tl::make_unexpected(advice.error());
    const auto name = [&](std::size_t i) { return chart.sizes[i].name; };
    plan.take_sizes(name(advice->choice.waist_size), name(advice->choice.hip_size),
                    name(advice->choice.bust_size));
    // A pattern cut in one size only is taken as it is.
    if (pattern && pattern->sizes.size() == 1) {
        const std::string& one = pattern->sizes.front().size;
        plan.take_sizes(one, one, one);
    }
    return plan;
}

Outcome<Plan> first_plan(const SizeChart& chart, const BodySet& body, const ChoiceWish& wish,
                         const Pattern* pattern)
{
    Plan plan;
    plan.choosing = wish;
    plan.cloth.knit = wish.knit;
    return with_first_sizes(std::move(plan), chart, body, pattern);
}

namespace {

bool beyond_usual(const PlanLine& l)
{
    const auto& entry = adjustment(l.kind);
    return usual_passed(entry, l.method, l.amount) || usual_passed(entry, l.method, l.back);
}

bool as_shown(const PlanLine& was, const PlanLine& is)
{
    if (is.state != LineState::Accepted || was.at.size() != is.at.size()) return false;
    for (std::size_t i = 0; i < was.at.size(); ++i) {
        if (abs(was.at[i] - is.at[i]) > least_by_hand) return false;
    }
    return abs(was.amount - is.amount) <= least_by_hand && abs(was.back - is.back) <= least_by_hand;
}

// Of that part alone, where another part's is not proposed.
std::string subject_of(const Computed& c, const PlanLine& l)
{
    const bool alone = std::any_of(c.lines.begin(), c.lines.end(), [&](const PlanLine& x) {
        return x.kind == l.kind && x.part != l.part && x.state != LineState::Proposed;
    });
    return alone ? std::string{key(l.part)} : std::string{};
}

}  // namespace

Waiting waiting(const Computed& c)
{
    Waiting out;
    for (const auto& l : c.lines) {
        if (l.state != LineState::Proposed) continue;
        const PlanLine* left = c.left_of(l);
        const bool much = beyond_usual(l) || (left && beyond_usual(*left));
        (much ? out.unusual : out.plain).push_back(&l);
    }
    return out;
}

Outcome<Plan> with_waiting_taken(const Computed& c)
{
    auto taken = waiting(c).plain;
    for (;;) {
        Work next = c.work;
        for (const auto* l : taken) {
            Decision d{l->kind, Answer::Accepted};
            d.subject = subject_of(c, *l);
            next.plan.put(std::move(d));
        }
        auto then = compute(next);
        if (!then) return tl::make_unexpected(then.error());
        // The first that comes out otherwise waits; what comes after it may then be as it stood.
        const auto otherwise = std::find_if(taken.begin(), taken.end(), [&](const PlanLine* l) {
            const PlanLine* is = then->line(l->kind, l->part);
            const PlanLine* left = c.left_of(*l);
            const PlanLine* is_left = is ? then->left_of(*is) : nullptr;
            return !is || !as_shown(*l, *is) || !as_shown(left ? *left : *l, is_left ? *is_left : *is);
        });
        if (otherwise == taken.end()) return next.plan;
        taken.erase(otherwise);
    }
}

Outcome<Computed> with_all_proposed(Work work)
{
    auto c = compute(std::move(work));
    for (std::size_t i = 0; c && i < c->lines.size(); ++i) {
        if (c->lines[i].state != LineState::Proposed) continue;
        Work next = std::move(c->work);
        next.plan.decide({c->lines[i].kind, Answer::Accepted, {}});
        c = compute(std::move(next));
    }
    return c;
}

}  // namespace sartorum
