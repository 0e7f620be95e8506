#include "core/alter/proposals.h"

namespace sartorum {
namespace {

// A skirt's along the side seam, a top's from the neck point.
Length finished_length(const Garment& g)
{
    const auto flat = measure_flat(g.pieces);
    return is_bodice(g) ? flat.front_length : flat.side;
}

std::optional<Proposal> against_chart(const FittingState& s, Measure m, std::size_t size)
{
    const auto taken = s.body.taken(m);
    const auto printed = s.chart.body(size, m);
    if (!taken || !printed) return std::nullopt;
    return Proposal{taken->value - *printed, taken->spread, taken->value, *printed, Against::Chart};
}

// With the design ease kept, body − chart; with her own ease, what the garment then lacks.
std::optional<Proposal> width(const FittingState& s, Measure m, std::size_t size, Length finished)
{
    const auto wish = s.ease.find(m);
    const auto taken = s.body.taken(m);
    if (wish == s.ease.end() || !taken) return against_chart(s, m, size);
    const Length wanted = taken->value + wish->second;
    return Proposal{wanted - finished, taken->spread, wanted, finished, Against::EaseWish};
}

}  // namespace

std::optional<Proposal> propose_waist_to_hip(const FittingState& s)
{
    if (const auto p = against_chart(s, Measure::WaistToHip, s.hip_size)) return p;
    const auto taken = s.body.taken(Measure::WaistToHip);
    if (!taken) return std::nullopt;
    const Length drafted = measure_flat(s.traced.pieces).waist_to_hip;
    return Proposal{taken->value - drafted, taken->spread, taken->value, drafted, Against::Pattern};
}

std::optional<Proposal> propose_width_at_waist(const FittingState& s)
{
    return width(s, Measure::Waist, s.waist_size, measure_flat(s.traced.pieces).waist);
}

std::optional<Proposal> propose_width_at_hip(const FittingState& s)
{
    return width(s, Measure::Hip, s.hip_size, measure_flat(s.traced.pieces).hip);
}

std::optional<Proposal> propose_hem_given_back(const FittingState& s)
{
    const Length was = finished_length(s.traced);
    const Length is = finished_length(s.now);
    if (abs(is - was) < Length::mm(0.5)) return std::nullopt;
    return Proposal{was - is, {}, was, is, Against::EarlierChange};
}

std::optional<Proposal> propose_finished_length(const FittingState& s)
{
    const auto wish = s.body.taken(Measure::SkirtLength);
    if (!wish || is_bodice(s.traced)) return std::nullopt;
    const Length was = finished_length(s.traced);
    return Proposal{wish->value - was, Length::mm(3), wish->value, was, Against::Pattern};
}

}  // namespace sartorum
