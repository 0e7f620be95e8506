#include "core/alter/proposals.h"
#include "core/chart/cup.h"
#include "core/chart/ease.h"

namespace sartorum {
namespace {

constexpr Length across_front_ease = Length::inches(1);  // in all, woven and fitted

// A girth at one level of the garment: what the body asks for more than the traced pattern gives, less what the
// adjustments above have given already. With the design ease kept that is body − chart; with her own, what lacks.
std::optional<Proposal> girth(const FittingState& s, Measure m, std::size_t size, Length FlatMeasures::*at)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.*at;
    const Length done = s.now_flat.*at - traced;
    if (const auto wish = s.ease.find(m); wish != s.ease.end()) {
        const Length wanted = taken->value + wish->second;
        return Proposal{wanted - traced - done, taken->spread, wanted, traced, Against::EaseWish, done};
    }
    const auto printed = s.chart.body(size, m);
    if (!printed) return std::nullopt;
    return Proposal{taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done};
}

}  // namespace

std::optional<Proposal> propose_width_at_waist(const FittingState& s)
{
    return girth(s, Measure::Waist, s.waist_size, &FlatMeasures::waist);
}

std::optional<Proposal> propose_width_at_hip(const FittingState& s)
{
    // A top's hem is its hip only where the chart means it so.
    return girth(s, Measure::Hip, s.hip_size, is_bodice(s.now) ? &FlatMeasures::hem : &FlatMeasures::hip);
}

// What the frame is off: high bust against what the size is drafted for. Ease as designed takes up a little.
std::optional<Proposal> propose_underarm_width(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::HighBust);
    const auto drafted = implied_high_bust(s.chart, s.frame_size);
    if (!taken || !drafted) return std::nullopt;
    const Length off = taken->value - *drafted;
    const auto row = ease_at(s.chart, s.frame_size, Measure::Bust, s.body, s.ease, s.cloth, s.traced_flat.bust);
    if (row && ease_holds(*row, off)) return std::nullopt;
    return Proposal{off, taken->spread, taken->value, *drafted, Against::Chart};
}

// Half of what the girth lacks, for each half front; what the side seams gave already is not given again.
std::optional<Proposal> propose_bust(const FittingState& s)
{
    auto p = girth(s, Measure::Bust, s.frame_size, &FlatMeasures::bust);
    if (!p) return std::nullopt;
    p->amount = p->amount / 2.0;
    p->spread = p->spread / 2.0;
    return p;
}

std::optional<Proposal> propose_across_front(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::AcrossFront);
    const Piece& front = *find_piece(s.now.pieces, PieceRole::Front);
    const auto across = guide(front, GuideKind::Across);
    if (!taken || !across) return std::nullopt;
    const auto printed = s.chart.body(s.frame_size, Measure::AcrossFront);
    if (printed)
        return Proposal{(taken->value - *printed) / 2.0, taken->spread / 2.0, taken->value, *printed,
                        Against::Chart};
    const auto wish = s.ease.find(Measure::AcrossFront);
    const Length ease = wish != s.ease.end() ? wish->second : s.cloth.knit ? Length{} : across_front_ease;
    const Length wanted = (taken->value + ease) / 2.0;
    const Length given = Length::mm(across->b[Geom::X] - across->a[Geom::X]);
    // Wider than needed is a style; tighter than needed pulls.
    if (given > wanted && !printed && wish == s.ease.end()) return std::nullopt;
    return Proposal{wanted - given, taken->spread / 2.0, wanted, given, Against::Pattern};
}

}  // namespace sartorum
