#include "core/tissue/reckoned_girths.h"

#include <algorithm>

#include "core/chart/flat_measuring.h"

namespace sartorum {
namespace {

using L = TissueLine;
using N = TissueNote;

struct Wanted {
    Reckoning what;
    std::vector<TissueLine> lines;
    std::optional<Measure> body{};
    std::optional<EaseRange> usual{};
};

constexpr EaseRange usual_shoulder{Length{}, Length::mm(10)};
constexpr EaseRange usual_across{Length{}, Length::mm(15)};

std::vector<Wanted> of_skirts()
{
    return {
        {Reckoning::Waist, {L::FrontWaist, L::FrontDart, L::BackWaist, L::BackDart}, Measure::Waist},
        {Reckoning::Hip, {L::FrontHip, L::BackHip}, Measure::Hip},
        {Reckoning::Hem, {L::FrontHem, L::FrontWaist, L::WaistToHip, L::CentreLength, L::FrontHip, L::BackHip}},
        {Reckoning::SideSeam,
         {L::FrontWaist, L::SideRise, L::WaistToHip, L::FrontHem, L::CentreLength, L::FrontHip}}};
}

constexpr EaseRange usual_inner{Length{}, Length::mm(6)};

std::vector<Wanted> of_legs(const TissueSize& s)
{
    std::vector<Wanted> out{
        {Reckoning::Waist, {L::LegFrontWaist, L::LegFrontDart, L::LegBackWaist, L::LegBackDart}, Measure::Waist},
        {Reckoning::Hip, {L::LegFrontHip, L::LegBackHip}, Measure::Hip},
        {Reckoning::Crotch, {L::LegFrontCrotch, L::LegBackCrotch}},
        {Reckoning::InnerDifference, {L::InsideLeg, L::LegBackInside}, {}, usual_inner}};
    if (!lacks(s, L::LegToKnee))
        out.push_back({Reckoning::Knee, {L::LegFrontKnee, L::LegBackKnee}, Measure::Knee});
    out.push_back({Reckoning::LegHem, {L::LegFrontHem, L::LegBackHem}});
    out.push_back({Reckoning::SideSeam,
                   {L::LegFrontWaist, L::LegToHip, L::LegRise, L::LegFrontHem, L::InsideLeg, L::LegFrontHip,
                    L::LegFrontThigh}});
    return out;
}

// What a bodice and what is sewn to its waist come to; the waist is the bodice's.
std::vector<Wanted> with_below(std::vector<Wanted> out, const std::vector<Wanted>& below)
{
    out.push_back({Reckoning::WaistDifference, out[1].lines});
    out.back().lines.insert(out.back().lines.end(), below[0].lines.begin(), below[0].lines.end());
    out.insert(out.end(), below.begin() + 1, below.end());
    return out;
}

std::vector<Wanted> of_bodices(const Tissue& t)
{
    std::vector<Wanted> out{
        {Reckoning::Bust, {L::FrontBust, L::BackBust}, Measure::Bust},
        {Reckoning::Waist,
         {L::BodiceFrontWaist, L::FrontWaistDart, L::BodiceBackWaist, L::BackWaistDart},
         Measure::Waist},
        {Reckoning::NeckHalf,
         {L::NeckWidth, L::FrontNeckDepth, L::FrontShoulder, L::FrontDrop, L::BackNeckDepth, L::BackDrop}},
        {Reckoning::ShoulderDifference,
         {L::FrontShoulder, L::BackShoulder, L::BackShoulderDart},
         {},
         usual_shoulder},
        {Reckoning::AcrossDifference, {L::AcrossFront, L::AcrossBack}, {}, usual_across},
        {Reckoning::FrontArmhole,
         {L::NeckWidth, L::FrontShoulder, L::FrontDrop, L::AcrossFront, L::FrontBust, L::SideLength,
          L::FrontLength}},
        {Reckoning::BackArmhole,
         {L::NeckWidth, L::BackNeckDepth, L::BackShoulder, L::BackDrop, L::AcrossBack, L::BackBust, L::SideLength,
          L::BackLength}}};
    if (t.note(N::Ends) == 1) {
        out[1].lines = {L::BodiceFrontWaist, L::BodiceBackWaist};
        out.push_back({Reckoning::Hem, {L::FrontHemWidth, L::BackHemWidth}, Measure::Hip});
    }
    if (t.note(N::Sleeve) == 1) {
        auto lines = out[5].lines;
        lines.insert(lines.end(), out[6].lines.begin(), out[6].lines.end());
        lines.push_back(L::CapLength);
        out.push_back({Reckoning::CapDifference, lines, {}, cap_ease_range({})});
    }
    return out;
}

// Value 0 where the line is not there.
Length half(const TissueSize& s, TissueLine line)
{
    return measured(s, line).value_or(Length{});
}

Outcome<Length> girth_of_strips(const Tissue& t, const TissueSize& s)
{
    struct Strip {
        TissueLine width;
        std::optional<TissueLine> darts;
        std::optional<TissueLine> fold;
        std::optional<TissueNote> folds;
        TissueNote cut;
    };
    const Strip strips[] = {{L::GirthFront, L::GirthFrontDarts, L::GirthFrontFold, N::FrontFolds, N::FrontCut},
                            {L::GirthBack, L::GirthBackDarts, L::GirthBackFold, N::BackFolds, N::BackCut},
                            {L::GirthSide, {}, {}, {}, N::SideCut}};
    std::vector<FlatWidth> widths;
    for (const auto& strip : strips) {
        const auto width = measured(s, strip.width);
        if (!width) continue;
        FlatWidth w{std::string{facts(strip.width).key}, *width};
        w.times = t.note(strip.cut) + 1;
        if (strip.darts) w.darts = half(s, *strip.darts);
        if (strip.fold && t.note(*strip.folds) > 0)
            w.folds.push_back(
                {static_cast<FoldKind>(t.note(N::GirthFolds)), half(s, *strip.fold), t.note(*strip.folds)});
        widths.push_back(std::move(w));
    }
    return finished_girth(widths);
}

// Half widths twice, darts and tucks shut; what only a drawing tells, from the pieces.
std::optional<Length> value_of(const Wanted& w, const TissueSize& s, const std::vector<Piece>& pieces)
{
    const auto sum = [&](TissueLine a, TissueLine b) { return (half(s, a) + half(s, b)) * 2.0; };
    const auto edge_of = [&](std::size_t piece, EdgeRole role) {
        const auto at = std::find_if(pieces.begin(), pieces.end(),
                                     [&](const Piece& p) { return p.part == part_of(w.lines.front()); });
        return sewn_length(*(at + static_cast<std::ptrdiff_t>(piece)), role);
    };
    switch (w.what) {
        case Reckoning::Bust: return sum(L::FrontBust, L::BackBust);
        case Reckoning::Hip: return sum(w.lines[0], w.lines[1]);
        case Reckoning::Waist:
            if (w.lines.size() < 4) return sum(w.lines[0], w.lines[1]);
            return sum(w.lines[0], w.lines[2]) - sum(w.lines[1], w.lines[3]);
        case Reckoning::Crotch:
        case Reckoning::Knee:
        case Reckoning::LegHem: return half(s, w.lines[0]) + half(s, w.lines[1]);
        case Reckoning::InnerDifference: return half(s, w.lines[0]) - half(s, w.lines[1]);
        case Reckoning::WaistDifference:
            return sum(w.lines[4], w.lines[6]) - sum(w.lines[5], w.lines[7]) - sum(w.lines[0], w.lines[2]) +
                   sum(w.lines[1], w.lines[3]);
        case Reckoning::ShoulderDifference:
            return half(s, L::BackShoulder) - half(s, L::BackShoulderDart) - half(s, L::FrontShoulder);
        case Reckoning::AcrossDifference: return half(s, L::AcrossBack) - half(s, L::AcrossFront);
        case Reckoning::Hem:
            if (w.body) return sum(L::FrontHemWidth, L::BackHemWidth);
            break;
        default: break;
    }
    if (pieces.empty()) return std::nullopt;
    switch (w.what) {
        case Reckoning::Hem: return (edge_of(0, EdgeRole::Hem) + edge_of(1, EdgeRole::Hem)) * 2.0;
        case Reckoning::NeckHalf: return edge_of(0, EdgeRole::Neck) + edge_of(1, EdgeRole::Neck);
        case Reckoning::FrontArmhole: return edge_of(0, EdgeRole::Armhole);
        case Reckoning::BackArmhole: return edge_of(1, EdgeRole::Armhole);
        case Reckoning::SideSeam: return edge_of(0, EdgeRole::Side);
        case Reckoning::CapDifference:
            return half(s, L::CapLength) - edge_of(0, EdgeRole::Armhole) - edge_of(1, EdgeRole::Armhole);
        default: return std::nullopt;
    }
}

}  // namespace

std::vector<Reckoned> reckoned(const Tissue& t, const TissueSize& s, const std::vector<Piece>& pieces)
{
    if (t.kind == TissueKind::Girth) {
        Reckoned one{
            Reckoning::Girth,     {}, {}, {}, girths_laid_flat[static_cast<std::size_t>(t.note(N::GirthAt))],
            lines_on_pieces(t, s)};
        const auto lines = lines_on_pieces(t, s);
        const auto open = std::find_if(lines.begin(), lines.end(), [&](TissueLine l) { return !answered(s, l); });
        if (open != lines.end()) one.waits_for = *open;
        if (const auto girth = girth_of_strips(t, s); girth && open == lines.end()) one.value = *girth;
        return {one};
    }
    std::vector<Reckoned> out;
    const auto all = t.kind == TissueKind::Skirt      ? of_skirts()
                     : t.kind == TissueKind::Trousers ? of_legs(s)
                     : t.kind == TissueKind::Bodice   ? of_bodices(t)
                     : t.kind == TissueKind::Dress    ? with_below(of_bodices(t), of_skirts())
                                                      : with_below(of_bodices(t), of_legs(s));
    for (const auto& w : all) {
        Reckoned one{w.what, {}, {}, w.usual, w.body, w.lines};
        const auto open =
            std::find_if(w.lines.begin(), w.lines.end(), [&](TissueLine l) { return !answered(s, l); });
        if (open != w.lines.end())
            one.waits_for = *open;
        else
            one.value = value_of(w, s, pieces);
        out.push_back(one);
    }
    return out;
}

Outcome<std::map<Measure, Length>> finished_of(const Tissue& t, const TissueSize& s)
{
    std::map<Measure, Length> out;
    if (t.kind == TissueKind::Girth) {
        const auto girth = girth_of_strips(t, s);
        if (!girth) return tl::make_unexpected(girth.error());
        out[girths_laid_flat[static_cast<std::size_t>(t.note(N::GirthAt))]] = *girth;
        return out;
    }
    for (const auto& r : reckoned(t, s, {})) {
        if (r.body && r.value) out[*r.body] = *r.value;
    }
    if (t.note(N::Sleeve) == 1) {
        if (const auto arm = measured(s, L::SleeveBicep)) out[Measure::UpperArm] = *arm;
    }
    return out;
}

}  // namespace sartorum
