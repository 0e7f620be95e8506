#include "core/body/sense.h"

#include <array>
#include <cmath>
#include <utility>

namespace sartorum {
namespace {

using enum Measure;

// First can hardly be more than second.
constexpr std::array<std::pair<Measure, Measure>, 20> orders{{
    {Underbust, Bust},
    {Wrist, UpperArm},
    {Wrist, NeckBase},
    {Knee, Thigh},
    {Calf, Thigh},
    {Thigh, Hip},
    {UpperArm, Bust},
    {UpperArm, HighBust},
    {HighHip, Hip},
    {BustSpan, Bust},
    {WaistToHip, WaistToFloorSide},
    {InsideLeg, WaistToFloorSide},
    {BodyRise, WaistToFloorSide},
    {WaistToFloorSide, NeckPointHeight},
    {WaistToFloorSide, Height},
    {ShoulderTipHeight, NeckPointHeight},
    {NeckPointHeight, Height},
    {ShoulderLength, CrossShoulder},
    {WaistToHip, BodyRise},
    {ArmholeDepth, BackWaistLength},
}};

// Different tapes, postures and levels: what a pair in the wrong order must exceed before it is mentioned.
constexpr Length order_slack = Length::mm(15);

std::map<Measure, Length> values_of(const BodySet& set)
{
    std::map<Measure, Length> out;
    for (const auto& f : all_measures) {
        if (const auto t = set.taken(f.measure)) out[f.measure] = t->value;
    }
    return out;
}

void check_rise(Measure m, const BodySet& set, const std::map<Measure, Length>& v, std::vector<Sense>& out)
{
    if (m != CrotchLength && m != FrontRise && m != BackRise) return;
    if (!v.contains(CrotchLength) || !v.contains(FrontRise) || !v.contains(BackRise)) return;
    const Length sum = v.at(FrontRise) + v.at(BackRise);
    double squares = 0;
    for (const auto k : {CrotchLength, FrontRise, BackRise}) squares += std::pow(set.taken(k)->spread.in_mm(), 2);
    const Length allowed = Length::mm(std::sqrt(squares));
    if (abs(v.at(CrotchLength) - sum) > allowed) {
        out.push_back(
            {SenseKind::RiseSum, m, CrotchLength, v.at(CrotchLength), sum, sum - allowed, sum + allowed});
    }
}

void check_trunk(Measure m, const std::map<Measure, Length>& v, std::vector<Sense>& out)
{
    constexpr std::array parts{FrontWaistLength, FrontRise, BackRise, BackWaistLength};
    if (m != TrunkGirth) return;
    Length sum;
    for (const auto p : parts) {
        if (!v.contains(p)) return;
        sum += v.at(p);
    }
    if (abs(v.at(TrunkGirth) - sum) > trunk_slack) {
        out.push_back(
            {SenseKind::TrunkSum, m, TrunkGirth, v.at(TrunkGirth), sum, sum - trunk_slack, sum + trunk_slack});
    }
}

// Bust points stand a sixth to a quarter of the bust's girth apart; a good deal either way is asked about. From
// memory.
void check_span(Measure m, const std::map<Measure, Length>& v, std::vector<Sense>& out)
{
    if (m != BustSpan) return;
    const Length low = v.contains(Bust) ? v.at(Bust) * 0.14 : Length::mm(110);
    const Length high = v.contains(Bust) ? v.at(Bust) * 0.28 : Length::mm(300);
    const Length span = v.at(BustSpan);
    if (span < low || span > high)
        out.push_back({SenseKind::OutsideLikely, m, m, span, (low + high) / 2.0, low, high});
}

void check_likely(Measure m, std::map<Measure, Length> v, std::vector<Sense>& out)
{
    const Length value = v.at(m);
    v.erase(m);
    const auto band = likely(m, v);
    if (!band || band->holds(value)) return;
    // The digits were right and the unit was not: 39 typed where centimetres stand, or 99.6 where inches do.
    for (const double factor : {2.54, 1.0 / 2.54}) {
        if (band->holds(value * factor)) {
            out.push_back({SenseKind::OtherUnit, m, m, value, value * factor, band->low, band->high});
            return;
        }
    }
    out.push_back({SenseKind::OutsideLikely, m, m, value, band->expected, band->low, band->high});
}

}  // namespace

std::vector<Sense> sense_of(Measure m, const BodySet& set)
{
    std::vector<Sense> out;
    const auto v = values_of(set);
    if (!v.contains(m)) return out;
    check_likely(m, v, out);
    check_span(m, v, out);
    check_rise(m, set, v, out);
    check_trunk(m, v, out);
    for (const auto& [less, more] : orders) {
        if ((m != less && m != more) || !v.contains(less) || !v.contains(more)) continue;
        if (v.at(less) > v.at(more) + order_slack) {
            out.push_back({SenseKind::Order, less, more, v.at(less), v.at(more), {}, v.at(more)});
        }
    }
    if ((m == HighBust || m == Bust) && v.contains(HighBust) && v.contains(Bust) &&
        v.at(HighBust) > v.at(Bust) + order_slack) {
        out.push_back({SenseKind::HighBustAboveBust, HighBust, Bust, v.at(HighBust), v.at(Bust), {}, v.at(Bust)});
    }
    return out;
}

}  // namespace sartorum
