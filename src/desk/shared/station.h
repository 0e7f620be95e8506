// station.h: the six stations of the desk, in the order of the work.
#pragma once
#include <QString>

namespace sartorum::desk {

enum class Station { Tape, Chart, Plan, Paper, Mirror, Print };
inline constexpr int desk_station_count = 6;
[[nodiscard]] QString station_name(Station);

}  // namespace sartorum::desk
