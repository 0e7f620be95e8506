#include "core/alter/lengths/lengths.h"

#include <algorithm>

#include "core/alter/kit/part_questions.h"
#include "core/paper/redraw/bodice.h"

namespace sartorum {
namespace {

Length nape_to_underarm(const Piece& p)
{
    return Length::mm(edge(p, EdgeRole::Centre).curve.finalPoint()[Geom::Y] - underarm(p)[Geom::Y]);
}

// Body against the chart, which keeps the designer's ease; else against the paper, whose length may lie between
// two eases over the body's.
std::optional<Lacking> lacking(const FittingState& s, Measure m, Length paper, Length done, Length least_ease,
                               Length most_ease)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    if (const auto printed = s.chart.body(s.sizes.frame, m))
        return Lacking{
            taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done};
    const Length wanted = std::clamp(paper, taken->value + least_ease, taken->value + most_ease);
    return Lacking{wanted - paper - done, taken->spread, wanted, paper, Against::Pattern, done};
}

// The armhole lies this far below the body's underarm. Common practice.
struct DepthRange {
    Length least;
    Length most;
};

DepthRange below_underarm(const FittingState& s)
{
    if (s.cloth.knit) return {Length{}, Length::mm(10)};
    return sleeved(s.traced) ? DepthRange{Length::mm(15), Length::mm(25)}
                             : DepthRange{Length::mm(5), Length::mm(15)};
}

}  // namespace

Length common_length(Length a, Length b)
{
    if ((a > Length{}) != (b > Length{})) return {};
    return abs(a) < abs(b) ? a : b;
}

Length front_waist_length(const Piece& p)
{
    const Point neck = neck_point(p);
    const auto waist = guide(p, GuideKind::Waist);
    const double level = waist ? waist->a[Geom::Y] : edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    if (!p.bust_point) return Length::mm(neck[Geom::Y] - level);
    return Length::mm(Geom::distance(neck, *p.bust_point) + (*p.bust_point)[Geom::Y] - level);
}

Length back_waist_length(const Piece& p)
{
    const auto waist = guide(p, GuideKind::Waist);
    const Point neck = edge(p, EdgeRole::Centre).curve.finalPoint();
    return waist ? Length::mm(neck[Geom::Y] - waist->a[Geom::Y]) : sewn_length(p, EdgeRole::Centre);
}

LengthShares length_shares(const FittingState& s)
{
    using enum AdjustmentKind;
    LengthShares out;
    const Piece& front = front_of(s.traced);
    const Piece& back = back_of(s.traced);
    const Length armholes = s.of(ArmholeDepth);
    out.front =
        lacking(s, Measure::FrontWaistLength, front_waist_length(front), armholes + s.of(BodiceLength), {}, {});
    out.back = lacking(s, Measure::BackWaistLength, back_waist_length(back),
                       s.of(RoundBack) + armholes + s.back_of(BodiceLength) + s.of(SwayBack), {}, {});
    // The armhole of a dropped shoulder or a raglan lies where its designer wanted it.
    const auto& style = front.shoulder_style;
    const bool fitted = !style || *style == ShoulderStyle::SetIn || *style == ShoulderStyle::CutIn;
    const DepthRange below = below_underarm(s);
    if (fitted || s.chart.prints(Measure::ArmholeDepth)) {
        out.nape_to_underarm = lacking(s, Measure::ArmholeDepth, nape_to_underarm(back),
                                       s.of(RoundBack) + armholes, below.least, below.most);
    }
    if (out.front && out.back)
        out.common = common_length(out.front->left, out.back->left);
    else
        out.common = out.front ? out.front->left : out.back ? out.back->left : Length{};
    const Length back_alone = out.back ? out.back->left - out.common : Length{};
    const auto& upper = out.nape_to_underarm;
    out.upper_back = upper ? common_length(back_alone, upper->left) : std::max(back_alone, Length{});
    out.lower_back = back_alone - out.upper_back;
    out.armhole = upper ? upper->left - out.upper_back : Length{};
    out.front_alone = out.front ? out.front->left - out.common : Length{};
    return out;
}

std::optional<Proposal> share_of(const std::optional<Lacking>& from, Length amount)
{
    if (!from) return std::nullopt;
    Proposal out{amount, from->spread, from->wanted, from->given, from->against, from->already};
    out.least = least_on_seam;
    return out;
}

}  // namespace sartorum
