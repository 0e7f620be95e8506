#include "core/alter/proposals.h"

namespace sartorum {
namespace {

// A skirt's along the side seam, a top's from the neck point.
Length finished_length(const Garment& g, const FlatMeasures& flat)
{
    return is_bodice(g) ? flat.front_length : flat.side;
}

std::optional<Proposal> against_chart(const FittingState& s, Measure m, std::size_t size)
{
    const auto taken = s.body.taken(m);
    const auto printed = s.chart.body(size, m);
    if (!taken || !printed) return std::nullopt;
    return Proposal{taken->value - *printed, taken->spread, taken->value, *printed, Against::Chart};
}

}  // namespace

std::optional<Proposal> propose_waist_to_hip(const FittingState& s)
{
    if (const auto p = against_chart(s, Measure::WaistToHip, s.hip_size)) return p;
    const auto taken = s.body.taken(Measure::WaistToHip);
    if (!taken) return std::nullopt;
    const Length drafted = s.traced_flat.waist_to_hip;
    return Proposal{taken->value - drafted, taken->spread, taken->value, drafted, Against::Pattern};
}

std::optional<Proposal> propose_hem_given_back(const FittingState& s)
{
    const Length was = finished_length(s.traced, s.traced_flat);
    const Length is = finished_length(s.now, s.now_flat);
    if (abs(is - was) < Length::mm(0.5)) return std::nullopt;
    return Proposal{was - is, {}, was, is, Against::EarlierChange};
}

std::optional<Proposal> propose_finished_length(const FittingState& s)
{
    const auto wish = s.body.taken(Measure::SkirtLength);
    if (!wish || is_bodice(s.traced)) return std::nullopt;
    const Length was = finished_length(s.traced, s.traced_flat);
    return Proposal{wish->value - was, Length::mm(3), wish->value, was, Against::Pattern};
}

}  // namespace sartorum
