#include "core/plan/crotch.h"

#include "core/check/part_check.h"
#include "core/paper/leg_redraw.h"

namespace sartorum {
namespace {

double at_the_point(const Piece& p)
{
    const std::size_t inner = *edge_index(p, EdgeRole::InnerLeg);
    return corner_between(p, inner, inner + 1);
}

CrotchLine crotch_line(const Garment& legs)
{
    const Piece& front = front_of(legs);
    const Piece& back = back_of(legs);
    const auto from_point = [](const Piece& p) { return Geom::Translate(-inner_leg_point(p)); };
    CrotchLine out;
    const Curve seam = edge(front, EdgeRole::Centre).curve * (from_point(front) * Geom::Scale(-1, 1));
    out.front = reversed(seam);
    out.back = edge(back, EdgeRole::Centre).curve * from_point(back);
    out.front_length = sewn_length(front, EdgeRole::Centre);
    out.back_length = sewn_length(back, EdgeRole::Centre);
    out.degrees = at_the_point(front) + at_the_point(back);
    return out;
}

std::optional<Length> string_of(const BodySet& body, Measure m)
{
    const auto taken = body.taken(m);
    return taken ? std::optional{taken->value} : std::nullopt;
}

}  // namespace

std::optional<Length> CrotchWorn::ease() const
{
    return string ? std::optional{after.whole() + band * 2.0 - *string} : std::nullopt;
}

std::optional<CrotchWorn> crotch_worn(const Computed& c)
{
    for (const auto part : parts_of(c.altered.pieces)) {
        const Garment now = part_view(c.altered, part);
        if (!edge_index(front_of(now), EdgeRole::InnerLeg)) continue;
        const BodySet body = c.work.worn_by();
        CrotchWorn out{crotch_line(part_view(c.traced, part)), crotch_line(now),
                       band_above_seam(c.altered.pieces)};
        out.string_front = string_of(body, Measure::FrontRise);
        out.string_back = string_of(body, Measure::BackRise);
        out.string = string_of(body, Measure::CrotchLength);
        if (!out.string && out.string_front && out.string_back) out.string = *out.string_front + *out.string_back;
        return out;
    }
    return std::nullopt;
}

}  // namespace sartorum
