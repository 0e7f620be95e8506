#include "core/alter/catalogue.h"

#include "core/alter/hem.h"
#include "core/alter/waist_to_hip.h"
#include "core/alter/width.h"

namespace sartorum {
namespace {

Length side_length(const Garment& g)
{
    return sewn_length(*find_piece(g.pieces, PieceRole::Front), EdgeRole::Side);
}

std::optional<Proposal> against_chart(const FittingState& s, Measure m, std::size_t size)
{
    const auto taken = s.body.taken(m);
    const auto printed = s.chart.body(size, m);
    if (!taken || !printed) return std::nullopt;
    return Proposal{taken->value - *printed, taken->spread, taken->value, *printed, Against::Chart};
}

std::optional<Proposal> propose_waist_to_hip(const FittingState& s)
{
    if (const auto p = against_chart(s, Measure::WaistToHip, s.hip_size)) return p;
    const auto taken = s.body.taken(Measure::WaistToHip);
    if (!taken) return std::nullopt;
    const Length drafted = measure_flat(s.traced.pieces).waist_to_hip;
    return Proposal{taken->value - drafted, taken->spread, taken->value, drafted, Against::Pattern};
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
    const Length was = side_length(s.traced);
    const Length is = side_length(s.now);
    if (abs(is - was) < Length::mm(0.5)) return std::nullopt;
    return Proposal{was - is, {}, was, is, Against::EarlierChange};
}

std::optional<Proposal> propose_finished_length(const FittingState& s)
{
    const auto wish = s.body.taken(Measure::SkirtLength);
    if (!wish) return std::nullopt;
    const Length was = side_length(s.traced);
    return Proposal{wish->value - was, Length::mm(3), wish->value, was, Against::Pattern};
}

}  // namespace

const std::array<Adjustment, 5>& catalogue()
{
    static const std::array<Adjustment, 5> all{{
        {AdjustmentKind::WaistToHip, "waist_to_hip", Zone::Lengths, waist_to_hip_limit, propose_waist_to_hip,
         alter_waist_to_hip, false, Measure::WaistToHip},
        {AdjustmentKind::WidthAtWaist, "width_at_waist", Zone::Widths, width_limit, propose_width_at_waist,
         alter_width_at_waist, false, Measure::Waist},
        {AdjustmentKind::WidthAtHip, "width_at_hip", Zone::Widths, width_limit, propose_width_at_hip,
         alter_width_at_hip, false, Measure::Hip},
        {AdjustmentKind::HemGivenBack,
         "hem_given_back",
         Zone::Hem,
         hem_limit,
         propose_hem_given_back,
         alter_hem,
         true,
         {}},
        {AdjustmentKind::FinishedLength, "finished_length", Zone::Hem, hem_limit, propose_finished_length,
         alter_hem, false, Measure::SkirtLength},
    }};
    return all;
}

const Adjustment& adjustment(AdjustmentKind kind)
{
    return catalogue()[static_cast<std::size_t>(kind)];
}

std::optional<AdjustmentKind> adjustment_of_key(std::string_view key)
{
    for (const auto& a : catalogue()) {
        if (a.key == key) return a.kind;
    }
    return std::nullopt;
}

}  // namespace sartorum
