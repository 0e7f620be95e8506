#include "core/alter/propose.h"

namespace sartorum {

std::optional<Proposal> against_chart(const FittingState& s, Measure m, std::size_t size)
{
    const auto taken = s.body.taken(m);
    const auto printed = s.chart.body(size, m);
    if (!taken || !printed) return std::nullopt;
    return Proposal{taken->value - *printed, taken->spread, taken->value, *printed, Against::Chart};
}

std::optional<Proposal> lacking_girth(const FittingState& s, Measure m, std::size_t size, GarmentMeasure at)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(at);
    const Length done = s.now_flat.of(at) - traced;
    if (const auto wish = s.ease.find(m); wish != s.ease.end()) {
        const Length wanted = taken->value + wish->second;
        return Proposal{wanted - traced - done, taken->spread, wanted, traced, Against::EaseWish, done};
    }
    const auto printed = s.chart.body(size, m);
    if (!printed) return std::nullopt;
    return Proposal{taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done};
}

std::optional<Proposal> lacking_length(const FittingState& s, Measure m, std::size_t size, Length traced,
                                       Length now)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length done = now - traced;
    const auto printed = s.chart.body(size, m);
    const Length given = printed ? *printed : traced;
    return Proposal{taken->value - given - done,
                    taken->spread,
                    taken->value,
                    given,
                    printed ? Against::Chart : Against::Pattern,
                    done};
}

}  // namespace sartorum
