// waist.h: half the waist of what hangs from it, unrolled from centre front over the side to centre back: how high
// it stands over the hip line, which hangs level; without and with what the plan draws anew.
#pragma once
#include "core/paper/redraw/waist.h"
#include "core/plan/compute.h"

namespace sartorum {

struct WaistHalf {
    ShiftLine before;  // heights over the hip line, along the waist
    ShiftLine after;
    AtStations by;  // at each station, planned or proposed
    [[nodiscard]] Length height(Length along, bool redrawn) const
    {
        return Length::mm((redrawn ? after : before).at(along).by[Geom::Y]);
    }
};

struct WaistUnrolled {
    std::array<Length, station_count> at;  // where along it the stations lie
    WaistHalf right;
    std::optional<WaistHalf> left{};  // where it is another
    // The heights of the body's waist over the floor at the stations, beyond those of its sides; where they were
    // read.
    std::array<std::optional<Length>, station_count> body{};
    [[nodiscard]] Length whole() const { return at.back(); }
};

// By which adjustment it is drawn anew: on paper, or with the sewn garment.
[[nodiscard]] AdjustmentKind waist_kind(const Plan&);
// None where nothing hangs from a waist of its own.
[[nodiscard]] std::optional<WaistUnrolled> waist_unrolled(const Computed&);

}  // namespace sartorum
