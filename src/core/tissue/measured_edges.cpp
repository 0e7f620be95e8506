#include "core/tissue/measured_edges.h"

#include <algorithm>

namespace sartorum {
namespace {

using L = TissueLine;
using N = TissueNote;
using Lines = std::vector<TissueLine>;

bool all(const TissueSize& s, const Lines& lines)
{
    return std::all_of(lines.begin(), lines.end(), [&](TissueLine l) { return answered(s, l); });
}

bool of_band(const TissueSize& s, bool trousers)
{
    if (trousers)
        return all(s, {L::LegBandDepth, L::LegFrontWaist, L::LegFrontDart, L::LegBackWaist, L::LegBackDart});
    return all(s, {L::BandDepth, L::FrontWaist, L::FrontDart, L::BackWaist, L::BackDart});
}

bool of_skirt(const TissueSize& s, bool front, EdgeRole edge)
{
    const bool waist = front ? all(s, {L::FrontWaist, L::FrontDart, L::SideRise})
                             : all(s, {L::BackWaist, L::BackDart, L::SideRise});
    switch (edge) {
        case EdgeRole::Waist:
        case EdgeRole::DartMouth: return waist;
        case EdgeRole::Side:
            return waist &&
                   all(s, {front ? L::FrontHip : L::BackHip, L::WaistToHip, L::FrontHem, L::CentreLength});
        case EdgeRole::Hem: return all(s, {L::FrontHem, L::CentreLength});
        default: return all(s, {L::CentreLength});
    }
}

bool of_trousers(const TissueSize& s, bool front, EdgeRole edge)
{
    const bool knee = lacks(s, L::LegToKnee) || all(s, {L::LegToKnee, front ? L::LegFrontKnee : L::LegBackKnee});
    const bool hem = answered(s, front ? L::LegFrontHem : L::LegBackHem);
    const bool hip = all(s, {front ? L::LegFrontHip : L::LegBackHip, L::LegToHip, L::LegRise});
    const bool lean = answered(s, front ? L::LegFrontLean : L::LegBackLean);
    const bool waist =
        lean && (front ? all(s, {L::LegFrontWaist, L::LegFrontDart}) : all(s, {L::LegBackWaist, L::LegBackDart}));
    const bool point = hip && answered(s, front ? L::LegFrontThigh : L::LegBackThigh);
    const bool long_enough = knee && hem && all(s, {L::InsideLeg, front ? L::InsideLeg : L::LegBackInside});
    switch (edge) {
        case EdgeRole::Waist:
        case EdgeRole::DartMouth: return waist;
        case EdgeRole::Side: return waist && hip && long_enough;
        case EdgeRole::Hem: return hem && knee;
        case EdgeRole::InnerLeg: return point && long_enough;
        default: return point && lean && answered(s, front ? L::LegFrontCrotch : L::LegBackCrotch);
    }
}

bool of_sleeve(const TissueSize& s, EdgeRole edge)
{
    const bool cap = all(s, {L::SleeveBicep, L::CapHeight, L::CapLength});
    const bool low = all(s, {L::SleeveLength, L::SleeveHem});
    if (edge == EdgeRole::Hem) return low;
    return edge == EdgeRole::CapFront || edge == EdgeRole::CapBack ? cap : cap && low;
}

// What a front and a back are drawn by, each in lines of its own.
struct HalfLines {
    Lines neck_point;
    Lines shoulder;
    TissueLine neck_depth;
    TissueLine across;
    TissueLine bust;
    Lines waist;
    Lines side;
    TissueLine hem;
    Lines centre;
};

bool of_half(const Tissue& t, const TissueSize& s, const HalfLines& h, EdgeRole edge)
{
    const bool hem = t.note(N::Ends) == 1;
    const bool shoulder = all(s, h.neck_point) && all(s, h.shoulder);
    const bool underarm = all(s, {h.bust, L::SideLength});
    switch (edge) {
        case EdgeRole::Neck: return all(s, h.neck_point) && answered(s, h.neck_depth);
        case EdgeRole::Shoulder: return shoulder;
        case EdgeRole::Armhole: return shoulder && underarm && answered(s, h.across);
        case EdgeRole::Side: return underarm && (hem || (all(s, h.waist) && all(s, h.side)));
        case EdgeRole::Hem: return all(s, {L::BelowWaist, h.hem});
        case EdgeRole::Centre: return all(s, h.centre);
        default: return all(s, h.waist);
    }
}

}  // namespace

bool edge_measured(const Tissue& t, const TissueSize& s, const Piece& piece, EdgeRole edge)
{
    if (t.kind == TissueKind::Girth) {
        const auto width = tissue_line_of(piece.id);
        return width && answered(s, *width);
    }
    if (piece.role == PieceRole::Waistband) return of_band(s, t.kind == TissueKind::Trousers);
    const bool front = piece.role == PieceRole::Front;
    const auto below = [&](TissueKind kind, TissueLine line) {
        return t.kind == kind || (is_of(t.kind, kind) && piece.part == part_of(line));
    };
    if (below(TissueKind::Trousers, L::LegFrontHip)) return of_trousers(s, front, edge);
    if (below(TissueKind::Skirt, L::FrontHip)) return of_skirt(s, front, edge);
    if (piece.role == PieceRole::Sleeve) return of_sleeve(s, edge);
    if (!front) {
        return of_half(t, s,
                       {{L::NeckWidth, L::BackNeckDepth, L::BackLength},
                        {L::BackShoulder, L::BackShoulderDart, L::BackDrop},
                        L::BackNeckDepth,
                        L::AcrossBack,
                        L::BackBust,
                        {L::BodiceBackWaist, L::BackWaistDart},
                        {},
                        L::BackHemWidth,
                        {L::BackLength}},
                       edge);
    }
    const bool panels = t.note(N::FrontSeam) > 0;
    return of_half(t, s,
                   {{L::NeckWidth, L::FrontLength},
                    {L::FrontShoulder, L::FrontDrop},
                    L::FrontNeckDepth,
                    L::AcrossFront,
                    L::FrontBust,
                    {L::BodiceFrontWaist, L::FrontWaistDart},
                    {panels ? L::SeamAbove : L::SideDart},
                    L::FrontHemWidth,
                    {L::FrontLength, L::FrontNeckDepth}},
                   edge);
}

}  // namespace sartorum
