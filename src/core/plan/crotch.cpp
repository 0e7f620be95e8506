#include "core/plan/crotch.h"

#include <algorithm>

#include "core/alter/legs/rows.h"
#include "core/check/part_check.h"
#include "core/paper/redraw/leg.h"

namespace sartorum {
namespace {

double at_the_point(const Piece& p)
{
    const std::size_t inner = *edge_index(p, EdgeRole::InnerLeg);
    return corner_between(p, inner, inner + 1);
}

CrotchLine crotch_line(const FrontAndBack& legs)
{
    const auto& [front, back] = legs;
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

// Front and back read apart, or the whole string; the same of what the chart prints.
template <class Of>
std::optional<Length> whole_string(const Of& of)
{
    if (const auto whole = of(Measure::CrotchLength)) return whole;
    const auto front = of(Measure::FrontRise);
    const auto back = of(Measure::BackRise);
    return front && back ? std::optional{*front + *back} : std::nullopt;
}

Length spread_of(const BodySet& body)
{
    if (const auto whole = body.taken(Measure::CrotchLength)) return whole->spread;
    return body.taken(Measure::FrontRise)->spread + body.taken(Measure::BackRise)->spread;
}

}  // namespace

std::optional<EaseCheck> crotch_check(const Computed& c)
{
    using enum GarmentMeasure;
    const FlatMeasures& flat = c.altered_flat;
    if (!flat.has(CrotchFront) || !flat.has(CrotchBack)) return std::nullopt;
    const BodySet body = c.work.worn_by();
    const auto string = whole_string([&](Measure m) { return string_of(body, m); });
    if (!string) return std::nullopt;
    const auto with_band = [&](const FlatMeasures& f) {
        return f.of(CrotchFront) + f.of(CrotchBack) + band_above_seam(c.altered.pieces) * 2.0;
    };
    const Length traced = with_band(c.traced_flat);
    const SizeChart chart = c.work.sizes();
    const auto hip = chart.index_of(c.work.plan.size_at(Level::Hip));
    const auto printed =
        hip ? whole_string([&](Measure m) { return chart.body(*hip, m); }) : std::optional<Length>{};
    const Length usual = crotch_ease_most * 2.0;
    const Length meant = printed ? traced - *printed : c.work.plan.choosing.full ? traced - *string : usual;
    EaseCheck out{Measure::CrotchLength, with_band(flat), *string, with_band(flat) - *string,
                  std::min(Length{}, meant)};
    out.most = std::max(usual, meant) + crotch_far;
    out.holds = out.ease >= out.least - spread_of(body) && out.ease <= *out.most;
    return out;
}

std::optional<Length> CrotchWorn::ease() const
{
    return string ? std::optional{after.whole() + band * 2.0 - *string} : std::nullopt;
}

std::optional<CrotchWorn> crotch_worn(const Computed& c)
{
    for (const auto part : parts_of(c.altered.pieces)) {
        const Garment now = part_view(c.altered, part);
        const Garment was = part_view(c.traced, part);
        const auto legs_now = front_and_back_at(now, Level::Crotch);
        const auto legs_were = front_and_back_at(was, Level::Crotch);
        if (!legs_now || !legs_were) continue;
        const BodySet body = c.work.worn_by();
        CrotchWorn out{crotch_line(*legs_were), crotch_line(*legs_now), band_above_seam(c.altered.pieces)};
        out.string_front = string_of(body, Measure::FrontRise);
        out.string_back = string_of(body, Measure::BackRise);
        out.string = whole_string([&](Measure m) { return string_of(body, m); });
        return out;
    }
    return std::nullopt;
}

}  // namespace sartorum
