#include "core/plan/waist.h"

#include <algorithm>

#include "core/alter/lengths/rows.h"

namespace sartorum {
namespace {

ShiftLine through(const std::array<Length, station_count>& at, const AtStations& heights)
{
    std::vector<ShiftAt> places;
    for (std::size_t i = 0; i < station_count; ++i) places.push_back({at[i], {0, heights[i].in_mm()}});
    return ShiftLine{places};
}

WaistHalf half_of(const std::array<Length, station_count>& at, const Garment& altered, const PlanLine& line)
{
    AtStations by;
    by.fill({});
    std::copy(line.at.begin(), line.at.end(), by.begin());
    const bool done = line.state == LineState::Accepted && line.steps > 0;
    const auto done_at = [&](WaistStation s) { return done ? by[static_cast<std::size_t>(s)] : Length{}; };
    const auto depths = waist_depths(altered).value_or(WaistDepths{});
    const Length front = depths.front - done_at(WaistStation::CentreFront);
    const Length side = depths.side - done_at(WaistStation::Side);
    const Length back = depths.back - done_at(WaistStation::CentreBack);
    // Between the three that are known on the smooth line through them.
    const ShiftLine three{{{at[0], {0, front.in_mm()}}, {at[2], {0, side.in_mm()}}, {at[4], {0, back.in_mm()}}}};
    const auto on = [&](std::size_t i) { return Length::mm(three.at(at[i]).by[Geom::Y]); };
    const AtStations before{front, on(1), side, on(3), back};
    AtStations after = before;
    for (std::size_t i = 0; i < station_count; ++i) after[i] += by[i];
    return {through(at, before), through(at, after), by};
}

}  // namespace

AdjustmentKind waist_kind(const Plan& plan)
{
    return plan.sewn ? AdjustmentKind::SewnWaist : AdjustmentKind::WaistLine;
}

std::optional<WaistUnrolled> waist_unrolled(const Computed& c)
{
    const PlanLine* line = c.line(waist_kind(c.work.plan));
    if (!line || line->at.size() != station_count) return std::nullopt;
    const Garment traced = part_view(c.traced, line->part);
    const Length f = half_waist(traced, PieceRole::Front);
    const Length b = half_waist(traced, PieceRole::Back);
    const std::array<Length, station_count> at{Length{}, f / 2.0, f, f + b / 2.0, f + b};
    WaistUnrolled out{at, half_of(at, part_view(c.altered, line->part), *line)};
    if (const PlanLine* left = c.left_of(*line))
        out.left = half_of(at, part_view(c.left->altered, line->part), *left);
    using enum Measure;
    constexpr std::array heights{WaistToFloorFront, WaistToFloorMidFront, WaistToFloorSide, WaistToFloorMidBack,
                                 WaistToFloorBack};
    const BodySet body = c.work.worn_by();
    const auto side = body.taken(WaistToFloorSide);
    for (std::size_t i = 0; side && i < station_count; ++i) {
        if (const auto read = body.taken(heights[i])) out.body[i] = read->value - side->value;
    }
    return out;
}

}  // namespace sartorum
