#include "core/tissue/draw_legs.h"

#include <algorithm>

#include "core/pattern/trousers_block.h"
#include "core/tissue/lines_laid.h"

namespace sartorum {
namespace {

using L = TissueLine;

TrousersFlat legs_flat(const Tissue& t, const TissueSize& s, const TissueLengths& lines)
{
    const auto of = [&](L line) { return lines.at(line); };
    TrousersFlat f;
    f.name = t.name;
    f.size = s.name;
    const Length front_waist = of(L::LegFrontWaist) - of(L::LegFrontDart);
    const Length back_waist = of(L::LegBackWaist) - of(L::LegBackDart);
    f.waist = (front_waist + back_waist) * 2.0;
    f.back_waist_more = (back_waist - front_waist) * 2.0;
    f.hip = (of(L::LegFrontHip) + of(L::LegBackHip)) * 2.0;
    f.back_more = (of(L::LegBackHip) - of(L::LegFrontHip)) * 2.0;
    f.waist_to_hip = of(L::LegToHip);
    f.rise = of(L::LegRise);
    f.inside_leg = of(L::InsideLeg);
    f.back_stretch = inner_stretch(lines);
    f.knee = of(L::LegFrontKnee) + of(L::LegBackKnee);
    f.back_leg_more = of(L::LegBackKnee) - of(L::LegFrontKnee);
    f.hem = of(L::LegFrontHem) + of(L::LegBackHem);
    f.back_hem_more = of(L::LegBackHem) - of(L::LegFrontHem);
    f.knee_below = lacks(s, L::LegToKnee) ? of(L::InsideLeg) / 2.0 : of(L::LegToKnee);
    f.front_extension = of(L::LegFrontThigh) - of(L::LegFrontHip);
    f.back_extension = of(L::LegBackThigh) - of(L::LegBackHip);
    f.front_lean = of(L::LegFrontLean);
    f.back_lean = of(L::LegBackLean);
    f.front_dart = of(L::LegFrontDart);
    f.front_dart_length = of(L::LegFrontDartLength);
    f.back_dart = of(L::LegBackDart);
    f.back_dart_length = of(L::LegBackDartLength);
    f.front_fold = static_cast<DartKind>(t.note(TissueNote::WaistFold));
    f.band_depth = joined_at_waist(t.kind) ? Length{} : of(L::LegBandDepth);
    f.fly = t.note(TissueNote::OpensAt) == 0 ? of(L::LegFly) : Length{};
    f.allowance = of(L::Allowance);
    f.hem_allowance = of(L::HemAllowance);
    return f;
}

// Shorts end above the knee.
SizedPieces without_knee(SizedPieces out)
{
    for (auto& p : out.pieces) {
        const auto line = guide(p, GuideKind::Knee);
        if (!line) continue;
        const double level = line->a[Geom::Y];
        std::erase_if(p.notches, [&](const Notch& n) { return std::abs(n.at[Geom::Y] - level) < 1; });
        std::erase_if(p.guides, [](const Guide& g) { return g.kind == GuideKind::Knee; });
    }
    return out;
}

// A crotch seam reaches no further: the centre's top would lie at the hip, or far above the side.
Outcome<bool> centre_in_reach(const TrousersFlat& f, const TissueLengths& lines)
{
    const Length to_hip = f.waist_to_hip;
    if (f.side_rise > to_hip * 0.8 || f.side_rise < to_hip * -0.6)
        return refuse_amount(Why::OutOfRange, "side_rise", lines.at(L::LegFrontCrotch), {}, {});
    if (f.back_rise > to_hip * 0.9 || f.back_rise < to_hip * -0.6)
        return refuse_amount(Why::OutOfRange, "back_rise", lines.at(L::LegBackCrotch), {}, {});
    return true;
}

}  // namespace

Length inner_stretch(const TissueLengths& lines)
{
    return lines.at(L::InsideLeg) - lines.at(L::LegBackInside);
}

Outcome<SizedPieces> draw_legs(const Tissue& t, const TissueSize& s, const TissueLengths& lines,
                               const DartsAbove& above)
{
    TrousersFlat f = legs_flat(t, s, lines);
    f.front_dart_at = above.front;
    f.back_dart_at = above.back;
    constexpr int most_rounds = 30;
    auto out = draw_trousers(f);
    for (int i = 0; out && i < most_rounds; ++i) {
        Length worst;
        const auto off = [&](L line) {
            const auto laid = laid_line(line, out->pieces);
            const bool wanted = laid && lines.at(line) > Length{};
            const Length by = wanted ? lines.at(line) - laid->length : Length{};
            worst = std::max(worst, abs(by));
            return by;
        };
        const Length front_thigh = off(L::LegFrontThigh);
        const Length back_thigh = off(L::LegBackThigh);
        f.front_extension += front_thigh;
        f.back_extension += back_thigh;
        // The seam is longer by about what its point was moved out.
        f.side_rise += front_thigh - off(L::LegFrontCrotch);
        f.back_rise += off(L::LegBackCrotch) - back_thigh;
        if (worst < Length::mm(3e-4)) break;
        if (const auto ok = centre_in_reach(f, lines); !ok) return tl::make_unexpected(ok.error());
        out = draw_trousers(f);
    }
    if (out && t.note(TissueNote::OpensAt) == 1) out->pieces.front().side_opening = lines.at(L::LegFly);
    if (out && lacks(s, L::LegToKnee)) return without_knee(std::move(*out));
    return out;
}

}  // namespace sartorum
