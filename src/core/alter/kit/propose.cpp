#include "core/alter/kit/propose.h"

namespace sartorum {

std::optional<Proposal> against_chart(const FittingState& s, Measure m, std::size_t size)
{
    const auto taken = s.body.taken(m);
    const auto printed = s.chart.body(size, m);
    if (!taken || !printed) return std::nullopt;
    Proposal out{taken->value - *printed, taken->spread, taken->value, *printed, Against::Chart};
    out.least = least_on_seam;
    return out;
}

std::optional<Proposal> half_against_chart(const FittingState& s, Measure m, Length done_on_half)
{
    auto p = against_chart(s, m, s.sizes.frame);
    if (!p) return p;
    p->already = done_on_half * 2.0;
    p->amount = (p->amount - p->already) / 2.0;
    p->spread = p->spread / 2.0;
    return p;
}

Proposal as_girth(const FittingState& s, Proposal p, Measure m, std::size_t size, GarmentMeasure at)
{
    p.least = least_on_girth;
    if (p.against == Against::EaseWish) return p;
    const auto row = ease_at(s.chart, size, m, s.body, s.ease, s.cloth, s.traced_flat.of(at));
    p.held = row && ease_holds(*row, p.amount);
    return p;
}

std::optional<Proposal> brought_up(const FittingState& s, Measure m, GarmentMeasure at)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(at);
    const Length now = s.now_flat.of(at);
    const Length wanted = taken->value + least_ease(m, s.cloth, taken->value);
    if (wanted <= now) return std::nullopt;
    Proposal out{wanted - now, taken->spread, wanted, traced, Against::Needed, now - traced};
    out.least = least_on_girth;
    return out;
}

std::optional<Proposal> lacking_girth(const FittingState& s, Measure m, std::size_t size, GarmentMeasure at)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(at);
    const Length done = s.now_flat.of(at) - traced;
    if (const auto wish = s.ease.find(m); wish != s.ease.end()) {
        const Length wanted = taken->value + wish->second;
        return as_girth(s, {wanted - traced - done, taken->spread, wanted, traced, Against::EaseWish, done}, m,
                        size, at);
    }
    const auto printed = s.chart.body(size, m);
    if (!printed) return brought_up(s, m, at);
    return as_girth(s,
                    {taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done},
                    m, size, at);
}

std::optional<Proposal> lacking_length(const FittingState& s, Measure m, std::size_t size, Length traced,
                                       Length now)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length done = now - traced;
    const auto printed = s.chart.body(size, m);
    const Length given = printed ? *printed : traced;
    Proposal out{taken->value - given - done,
                 taken->spread,
                 taken->value,
                 given,
                 printed ? Against::Chart : Against::Pattern,
                 done};
    out.least = least_on_seam;
    return out;
}

}  // namespace sartorum
