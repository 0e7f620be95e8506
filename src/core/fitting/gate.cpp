#include "core/fitting/gate.h"

#include <algorithm>

#include "core/alter/kit/catalogue.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr Length unseen = Length::mm(5);
constexpr Length unseen_of_girth = Length::mm(10);

struct Amounts {
    std::vector<Length> all;  // right front, right back, left front, left back, right places, left places
};

Amounts applied(const Computed& c, AdjustmentKind kind, PartKind part)
{
    const std::size_t places = adjustment(kind).places.size();
    Amounts out{std::vector<Length>(4 + 2 * places)};
    const PlanLine* right = c.line(kind, part);
    if (!right || right->state != LineState::Accepted) return out;
    const PlanLine* left = c.left_of(*right);
    const auto put = [&](const PlanLine& l, std::size_t faces, std::size_t at) {
        out.all[faces] = l.amount;
        out.all[faces + 1] = l.back;
        std::copy_n(l.at.begin(), std::min(l.at.size(), places), out.all.begin() + static_cast<long>(at));
    };
    put(*right, 0, 4);
    put(left ? *left : *right, 2, 4 + places);
    return out;
}

std::optional<Moved> moved(const Computed& seen, const Computed& now, AdjustmentKind kind, PartKind part)
{
    const auto was = applied(seen, kind, part).all;
    const auto is = applied(now, kind, part).all;
    std::size_t most = 0;
    for (std::size_t i = 1; i < is.size(); ++i) {
        if (abs(is[i] - was[i]) > abs(is[most] - was[most]) + equal_on_paper) most = i;
    }
    Moved out{kind, part, was[most], is[most]};
    const PlanLine* then = seen.line(kind, part);
    const PlanLine* line = now.line(kind, part);
    const auto done = [](const PlanLine* l) { return l && l->state == LineState::Accepted; };
    out.other_way = done(then) && done(line) && then->method != line->method;
    if (abs(out.by()) <= equal_on_paper && !out.other_way) return std::nullopt;
    out.small = !out.other_way && abs(out.by()) < (is_girth(kind) ? unseen_of_girth : unseen);
    return out;
}

bool is_above_waist(PartKind part)
{
    const auto& levels = rules(part).levels;
    return std::find(levels.begin(), levels.end(), Level::Shoulder) != levels.end();
}

NextLook look_at(const Moved& m)
{
    const auto& row = adjustment(m.kind);
    // A hem is settled on the garment itself, and a facing is seen inside.
    if (m.small || row.zone == Zone::Hem || row.at_join == AtJoin::WholeGarment) return NextLook::Nothing;
    if (row.zone == Zone::Sleeve) return NextLook::OneSleeve;
    if (!is_above_waist(m.part)) return NextLook::LowerPart;
    return row.zone == Zone::Frame ? NextLook::Shoulders : NextLook::UpperPart;
}

// The least that shows both.
NextLook together(NextLook a, NextLook b)
{
    if (a > b) std::swap(a, b);
    const bool both_parts = b == NextLook::LowerPart && a != NextLook::Nothing && a != NextLook::LowerPart;
    return both_parts ? NextLook::Whole : b;
}

}  // namespace

std::vector<Moved> moved_since(const Computed& seen, const Computed& now)
{
    std::vector<Moved> out;
    const auto add = [&](const PlanLine& l) {
        if (const auto m = moved(seen, now, l.kind, l.part)) out.push_back(*m);
    };
    for (const auto& l : now.lines) add(l);
    for (const auto& l : seen.lines) {
        if (!now.line(l.kind, l.part)) add(l);
    }
    return out;
}

Gate gate_before_cloth(const Computed* seen, const Computed& now, const Looked& looked)
{
    if (!seen) return {{}, true, false, NextLook::Whole};
    Gate out{moved_since(*seen, now), false, seen->work.plan.sizes != now.work.plan.sizes, NextLook::Nothing};
    out.looked = looked;
    out.made_otherwise = !(seen->work.plan.make_up == now.work.plan.make_up);
    for (const auto& m : out.moved) out.look = together(out.look, look_at(m));
    if (out.sizes_changed || out.made_otherwise) out.look = NextLook::Whole;
    return out;
}

}  // namespace sartorum
