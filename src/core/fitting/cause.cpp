#include "core/fitting/cause.h"

#include <algorithm>

#include "core/alter/frame/rows.h"
#include "core/alter/kit/catalogue.h"

namespace sartorum {
namespace {

using S = Sight;
using K = AdjustmentKind;

constexpr auto by_neck_ends = static_cast<std::size_t>(SlopeMethod::NeckEnds);

const std::vector<CauseFacts>& cause_rows()
{
    static const std::vector<CauseFacts> all{
        // shoulders
        {{K::ShoulderSlope, -1, Face::Both, by_neck_ends},
         Stage::Shoulders,
         false,
         {S::NecklineStandsOff, S::FoldsAtNeckEnd},
         {S::BackNeckStandsOff},
         {S::CapPulls, S::SleeveSeamInside}},
        {{K::ShoulderSlope, -1},
         Stage::Shoulders,
         false,
         {S::FoldsNeckToUnderarm, S::TipStandsOff},
         {S::CapFolds},
         {S::SleeveSeamHangsOff, S::ArmholeLow}},
        {{K::ShoulderLength, -1},
         Stage::Shoulders,
         false,
         {S::SleeveSeamHangsOff},
         {S::TightUpperArm, S::FoldAtFrontArmhole, S::CapFolds},
         {S::ArmholeLow}},
        {{K::ShoulderLength, 1},
         Stage::Shoulders,
         false,
         {S::SleeveSeamInside},
         {S::CapPulls, S::FrontArmholePulls},
         {S::TightAcrossBack}},
        {{K::BallOfShoulder, 1},
         Stage::Shoulders,
         false,
         {S::SeamBehind, S::FoldsSleeveFront},
         {S::ThroatPulls, S::SlidesBack, S::FoldsSleeveBack},
         {S::TightAcrossBack}},
        {{K::BallOfShoulder, -1},
         Stage::Shoulders,
         true,
         {S::SeamBefore, S::FoldsSleeveBack},
         {},
         {S::BackNeckStandsOff}},
        {{K::NeckForward, 1},
         Stage::Shoulders,
         false,
         {S::NeckEndBehind},
         {S::ThroatPulls, S::BackNeckStandsOff},
         {S::SlidesBack, S::SeamBehind}},
        {{K::RoundBack, 1},
         Stage::Shoulders,
         false,
         {S::BackNeckLow, S::HemUpBack},
         {S::SlidesBack, S::ThroatPulls, S::LooseBehindArm, S::TightAcrossBack},
         {S::SeamBehind}},
        {{K::RoundBack, -1},
         Stage::Shoulders,
         true,
         {S::BackNeckStandsOff, S::HemDownBack},
         {S::FoldsUprightBack},
         {S::FoldsAcrossAboveSeat}},
        {{K::NeckGape, 1}, Stage::Shoulders, false, {S::NeckGapes}, {}, {S::NecklineStandsOff}},
        // lengths
        {{K::SwayBack, -1}, Stage::Lengths, false, {S::FoldsAcrossAboveSeat}, {S::HemDownBack}, {S::WaistLow}},
        {{K::BodiceLength, -1},
         Stage::Lengths,
         false,
         {S::WaistLow},
         {S::FoldsAcrossAboveSeat},
         {S::LooseOverBust}},
        {{K::BodiceLength, 1}, Stage::Lengths, false, {S::WaistHigh}, {S::TightOverBust}, {S::RidesUp}},
        {{K::BustDepth, 1}, Stage::Lengths, false, {S::DartAboveBust}, {}, {S::FoldsBustToSide}},
        {{K::BustDepth, -1}, Stage::Lengths, false, {S::DartBelowBust}, {}, {S::LooseOverBust}},
        {{K::BustLength, 1}, Stage::Lengths, false, {S::HemUpFront}, {S::WaistHigh}, {S::FoldsBustToSide}},
        {{K::ArmholeDepth, 1}, Stage::Lengths, false, {S::ArmholeCutsIn}, {}, {S::TightUpperArm}},
        {{K::ArmholeDepth, -1},
         Stage::Lengths,
         false,
         {S::ArmholeLow},
         {S::TightUpperArm, S::LooseBehindArm},
         {S::ArmholeGapes}},
        {{K::WaistToHip, -1},
         Stage::Lengths,
         false,
         {S::RidesUp, S::FullnessLow},
         {S::CrotchHangs},
         {S::FoldsAcrossAboveSeat}},
        {{K::WaistToHip, 1}, Stage::Lengths, false, {S::WaistNotReached}, {S::TightHip}, {S::WaistPulledDown}},
        {{K::WaistLine, 1, Face::Front}, Stage::Lengths, false, {S::HemUpFront}, {}, {S::TightWaist}},
        {{K::WaistLine, -1, Face::Front}, Stage::Lengths, false, {S::HemDownFront}, {}, {S::LooseAtFrontCrotch}},
        {{K::BodyRise, 1},
         Stage::Lengths,
         false,
         {S::WaistNotReached, S::CrotchCutsIn},
         {S::WaistPulledDown},
         {S::SmilesAtCrotch}},
        {{K::BodyRise, -1}, Stage::Lengths, false, {S::CrotchHangs}, {}, {S::BagUnderSeat, S::LegTwists}},
        {{K::CrotchWedge, 1, Face::Back},
         Stage::Lengths,
         false,
         {S::WaistPulledDown, S::FoldsToCrotchBehind},
         {S::CrotchCutsIn, S::TightSeat},
         {S::WaistNotReached}},
        {{K::CrotchWedge, -1, Face::Back},
         Stage::Lengths,
         false,
         {S::BagUnderSeat},
         {S::FoldsAcrossAboveSeat},
         {S::LooseHip}},
        {{K::CrotchWedge, 1, Face::Front},
         Stage::Lengths,
         false,
         {S::SmilesAtCrotch},
         {S::HemUpFront, S::CrotchCutsIn},
         {S::TightWaist}},
        {{K::CrotchWedge, -1, Face::Front}, Stage::Lengths, false, {S::LooseAtFrontCrotch}, {}, {S::CrotchHangs}},
        {{K::CentreWedge, 1, Face::Back},
         Stage::Lengths,
         false,
         {S::HemUpBack, S::RidesUpSitting},
         {S::RidesUp},
         {S::TightHip}},
        {{K::CentreWedge, 1, Face::Front}, Stage::Lengths, false, {S::HemUpFront}, {S::RidesUp}, {S::TightWaist}},
        // widths
        {{K::Bust, 1},
         Stage::Widths,
         false,
         {S::FoldsBustToSide, S::TightOverBust},
         {S::HemUpFront, S::ArmholeGapes},
         {S::NeckGapes, S::WaistHigh}},
        {{K::Bust, -1}, Stage::Widths, false, {S::LooseOverBust}, {S::HemDownFront}, {S::FoldAtFrontArmhole}},
        {{K::ArmholeGape, 1}, Stage::Widths, false, {S::ArmholeGapes}, {}, {S::FoldAtFrontArmhole}},
        {{K::AcrossFront, -1}, Stage::Widths, false, {S::FoldAtFrontArmhole}, {}, {S::ArmholeGapes}},
        {{K::AcrossFront, 1}, Stage::Widths, false, {S::FrontArmholePulls}, {}, {S::SleeveSeamInside}},
        {{K::AcrossBack, 1}, Stage::Widths, false, {S::TightAcrossBack}, {S::FoldsSleeveBack}, {S::SlidesBack}},
        {{K::AcrossBack, -1}, Stage::Widths, false, {S::FoldsUprightBack}, {S::LooseBehindArm}, {}},
        {{K::BackArmhole, 1}, Stage::Widths, false, {S::LooseBehindArm}, {}, {S::FoldsSleeveBack}},
        {{K::WidthAtWaist, 1},
         Stage::Widths,
         false,
         {S::TightWaist},
         {S::WaistHigh, S::DoesNotGoOn},
         {S::RidesUp}},
        {{K::WidthAtWaist, -1}, Stage::Widths, false, {S::LooseWaist}, {S::WaistLow}, {S::HemDownBack}},
        {{K::WidthAtHip, 1},
         Stage::Widths,
         false,
         {S::TightHip},
         {S::FoldsAcrossAboveSeat, S::RidesUp, S::TightSeat, S::RidesUpSitting, S::FoldsToCrotchBehind,
          S::DoesNotGoOn},
         {S::HemUpBack, S::LegTwists}},
        {{K::WidthAtHip, -1}, Stage::Widths, false, {S::LooseHip}, {}, {S::BagUnderSeat}},
        {{K::CrotchPoint, 1, Face::Back},
         Stage::Widths,
         false,
         {S::TightSeat},
         {S::FoldsToCrotchBehind, S::TightThigh},
         {S::CrotchCutsIn}},
        {{K::CrotchPoint, -1, Face::Back}, Stage::Widths, false, {S::BagUnderSeat}, {S::LooseThigh}, {}},
        {{K::CrotchPoint, 1, Face::Front},
         Stage::Widths,
         false,
         {S::SmilesAtCrotch},
         {S::TightThigh},
         {S::CrotchCutsIn}},
        {{K::WidthAtThigh, 1}, Stage::Widths, false, {S::TightThigh}, {S::SmilesAtCrotch}, {S::LegTwists}},
        {{K::WidthAtThigh, -1}, Stage::Widths, false, {S::LooseThigh}, {}, {S::BagUnderSeat}},
        // the sleeve
        {{K::UpperArm, 1}, Stage::Sleeve, false, {S::TightUpperArm}, {S::CapPulls}, {S::FoldsSleeveBack}},
        {{K::UpperArm, -1}, Stage::Sleeve, false, {S::LooseUpperArm}, {}, {S::FoldsSleeveFront}},
        {{K::CapForward, 1}, Stage::Sleeve, false, {S::FoldsSleeveFront}, {}, {S::FoldsSleeveBack}},
        {{K::CapForward, -1}, Stage::Sleeve, true, {S::FoldsSleeveBack}, {}, {}},
        {{K::CapHeight, 1}, Stage::Sleeve, false, {S::CapPulls}, {S::SleeveSeamHangsOff}, {S::TightUpperArm}},
        {{K::CapHeight, -1}, Stage::Sleeve, false, {S::CapFolds}, {}, {}}};
    return all;
}

bool is_among(const std::vector<Sight>& list, Sight s)
{
    return std::find(list.begin(), list.end(), s) != list.end();
}

}  // namespace

double probability(HowOften o)
{
    switch (o) {
        case HowOften::Never: return 0;
        case HowOften::Seldom: return 0.1;
        case HowOften::Sometimes: return 0.4;
        case HowOften::Often: return 0.8;
    }
    return 0;
}

std::span<const CauseFacts> all_causes()
{
    return cause_rows();
}

const CauseFacts* facts(const Cause& c)
{
    const auto it =
        std::find_if(cause_rows().begin(), cause_rows().end(), [&](const CauseFacts& f) { return f.cause == c; });
    return it == cause_rows().end() ? nullptr : &*it;
}

HowOften how_often(const CauseFacts& c, Sight s)
{
    if (is_among(c.often, s)) return HowOften::Often;
    if (is_among(c.sometimes, s)) return HowOften::Sometimes;
    return is_among(c.seldom, s) ? HowOften::Seldom : HowOften::Never;
}

std::string key(const Cause& c)
{
    const auto& row = adjustment(c.kind);
    std::string out{row.key};
    if (c.face != Face::Both) out += c.face == Face::Front ? ":front" : ":back";
    if (c.method > 0) out += ":" + std::string{row.methods[c.method]};
    return out + (c.sign > 0 ? ":+" : ":-");
}

bool contradict(const Cause& a, const Cause& b)
{
    const bool same_place = a.face == b.face || a.face == Face::Both || b.face == Face::Both;
    return a.kind == b.kind && same_place && !(a == b);
}

}  // namespace sartorum
