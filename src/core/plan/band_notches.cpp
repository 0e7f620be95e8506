#include "core/plan/band_notches.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr Length meets_within = Length::mm(3);

// Where two edges of side a meet, along the band from its one end.
std::vector<Length> meetings(const Seam& seam, const std::vector<Piece>& pieces)
{
    std::vector<Length> out;
    Length along;
    for (const auto& s : seam.a) {
        const Piece* p = find_piece(pieces, s.piece);
        if (!p) return {};
        along += sewn_length(*p, s.role) * seam.fullness;
        out.push_back(along);
    }
    if (!out.empty()) out.pop_back();  // the end itself
    return out;
}

}  // namespace

std::vector<MarkMet> marks_met(const Piece& band, const Seam& seam, const std::vector<Piece>& pieces)
{
    const EdgeRole role = seam.b.front().role;
    const Curve& sewn = edge(band, role).curve;
    const auto places = meetings(seam, pieces);
    const auto found = [&](bool from_last) {
        std::vector<MarkMet> out;
        for (std::size_t i = 0; i < band.notches.size(); ++i) {
            if (band.notches[i].on != role) continue;
            const Length along = length_to(sewn, nearest(sewn, band.notches[i].at).time);
            const Length here = from_last ? length(sewn) - along : along;
            for (std::size_t k = 0; k < places.size(); ++k) {
                if (abs(places[k] - here) <= meets_within) out.push_back({i, k, from_last});
            }
        }
        return out;
    };
    const auto first = found(true);
    return first.empty() ? found(false) : first;
}

MarkedAgain mark_again(Piece& band, const Seam& seam, const std::vector<Piece>& pieces,
                       const std::vector<MarkMet>& marks)
{
    MarkedAgain out;
    const Curve& sewn = edge(band, seam.b.front().role).curve;
    const auto places = meetings(seam, pieces);
    for (const auto& m : marks) {
        if (m.meeting >= places.size()) continue;
        const Length along = m.from_last ? length(sewn) - places[m.meeting] : places[m.meeting];
        Point& at = band.notches[m.notch].at;
        const Point to = sewn.pointAt(time_at(sewn, std::clamp(along, Length{}, length(sewn))));
        const Length by = Length::mm(Geom::distance(at, to));
        at = to;
        if (by > out.by) out = {by, places[m.meeting]};
    }
    return out;
}

}  // namespace sartorum
