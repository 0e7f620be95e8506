#include "core/plan/knock_ons.h"

#include <array>

#include "core/pattern/part_rules.h"
#include "core/plan/both_sides.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

struct Rule {
    GarmentMeasure through;
    std::optional<AdjustmentKind> effect;
    std::optional<AdjustmentKind> only{};  // the one cause that counts
};

using enum AdjustmentKind;

// Section by section as the trade lists them: armhole to cap, seam forward to cap forward, neckline to facing,
// waist to skirt, lengths to hem and sleeve.
const std::array<Rule, 8>& rules()
{
    static const std::array<Rule, 8> all{{{GarmentMeasure::Neck, std::nullopt},
                                          {GarmentMeasure::Waist, std::nullopt},
                                          {GarmentMeasure::Waist, JoinedWaist},
                                          {GarmentMeasure::Armhole, CapHeight},
                                          {GarmentMeasure::Armhole, CapForward, BallOfShoulder},
                                          {GarmentMeasure::Armhole, TopNotch},
                                          {GarmentMeasure::Sleeve, SleeveBelow},
                                          {GarmentMeasure::CentreFront, HemGivenBack}}};
    return all;
}

bool upstream(const PlanLine& line, const Rule& rule)
{
    if (line.state != LineState::Accepted) return false;
    if (rule.only) return line.kind == *rule.only;
    return (!rule.effect || comes_before(line.kind, *rule.effect)) &&
           abs(line.changed.of(rule.through)) > least_by_hand;
}

KnockOn followed(const Computed& c, const Rule& rule)
{
    KnockOn out{{}, rule.through, {}, rule.effect, LineState::NothingKnown, {}};
    const bool round = goes_all_round(rule.through);
    Length on_left;
    for (const auto& line : c.lines) {
        const PlanLine* left = c.left_of(line);
        if (!upstream(line, rule) && !(left && upstream(*left, rule))) continue;
        out.causes.push_back(line.kind);
        const auto by = [&](const PlanLine& of) { return rule.only ? of.amount : of.changed.of(rule.through); };
        out.by += round && !rule.only ? changed_by(c, line, rule.through) : by(line);
        on_left += by(left ? *left : line);
    }
    if (c.left && !round && abs(on_left - out.by) > least_by_hand) out.by_left = on_left;
    if (const PlanLine* effect = rule.effect ? c.line(*rule.effect) : nullptr) {
        out.state = effect->state;
        out.amount = effect->amount;
        const PlanLine* left = c.left_of(*effect);
        if (left && abs(left->amount - effect->amount) > least_by_hand) out.amount_left = left->amount;
    }
    return out;
}

// What a knock-on passes to is among these pieces; or was left to another pattern: a waist that ends the garment
// below is sewn to something, and a neckline is faced.
bool meant(const Computed& c, const Rule& rule)
{
    if (rule.effect) return c.line(*rule.effect) != nullptr;
    const Garment lowest = part_view(c.altered, parts_of(c.altered.pieces).back());
    const bool shouldered = c.checks.shoulder.has_value();
    return shouldered && (rule.through != GarmentMeasure::Waist || !has_level(lowest, Level::Hem));
}

}  // namespace

std::vector<KnockOn> knock_ons(const Computed& c)
{
    std::vector<KnockOn> out;
    for (const auto& rule : rules()) {
        if (!meant(c, rule)) continue;
        KnockOn k = followed(c, rule);
        // Nothing caused it, or it came to nothing and nothing is to be answered.
        const bool open = k.state == LineState::Proposed || k.state == LineState::Accepted;
        if (k.causes.empty() || (k.effect && !open)) continue;
        if (!k.effect && abs(k.by) <= least_by_hand && !k.by_left) continue;
        out.push_back(std::move(k));
    }
    return out;
}

}  // namespace sartorum
