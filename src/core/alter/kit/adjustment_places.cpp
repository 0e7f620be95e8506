#include "core/alter/kit/adjustment_places.h"

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/leg.h"
#include "core/paper/redraw/sleeve.h"
#include "core/pattern/dart.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/gore.h"
#include "core/pattern/joint.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

bool has(const Piece& p, EdgeRole role)
{
    return edge_index(p, role).has_value();
}

Spot along(const Piece& p, EdgeRole role, double share)
{
    if (!has(p, role)) return std::nullopt;
    return point_at(p, place_along(p, role, sewn_length(p, role) * share));
}

Spot middle_of(const Piece& p, GuideKind kind)
{
    const auto line = guide(p, kind);
    return line ? Spot{(line->a + line->b) / 2} : std::nullopt;
}

// A share of the way up centre back.
Spot up_centre(const Piece& p, double share)
{
    if (!has(p, EdgeRole::Centre)) return std::nullopt;
    const Curve& centre = edge(p, EdgeRole::Centre).curve;
    return centre.pointAt(time_at(centre, length(centre) * share));
}

// On the line from the top of the cap down to the hem: the levels that are drawn, and between them.
Spot on_sleeve(const Piece& p, GuideKind upper, double share, std::optional<GuideKind> lower)
{
    const auto from = guide(p, upper);
    const Spot top = at_cap_top(p);
    if (!from || !top) return std::nullopt;
    const double x = (*top)[Geom::X];
    const double begin = from->a[Geom::Y];
    const auto to = lower ? guide(p, *lower) : std::nullopt;
    const Spot bottom = along(p, EdgeRole::Hem, 0.5);
    const double end = to ? to->a[Geom::Y] : bottom ? (*bottom)[Geom::Y] : begin;
    return Point{x, begin + share * (end - begin)};
}

}  // namespace

Spot at_neck_point(const Piece& p)
{
    return has(p, EdgeRole::Shoulder) ? Spot{neck_point(p)} : std::nullopt;
}

Spot at_shoulder_tip(const Piece& p)
{
    return has(p, EdgeRole::Shoulder) ? Spot{shoulder_tip(p)} : std::nullopt;
}

Spot at_underarm(const Piece& p)
{
    return has(p, EdgeRole::Armhole) ? Spot{underarm(p)} : std::nullopt;
}

Spot in_the_neckline(const Piece& p)
{
    return along(p, EdgeRole::Neck, 0.5);
}

Spot in_the_armhole(const Piece& p)
{
    return along(p, EdgeRole::Armhole, 0.55);
}

Spot low_in_armhole(const Piece& p)
{
    return along(p, EdgeRole::Armhole, 0.35);
}

Spot on_across_line(const Piece& p)
{
    return middle_of(p, GuideKind::Across);
}

Spot at_across_end(const Piece& p)
{
    const auto line = guide(p, GuideKind::Across);
    return line ? Spot{line->b} : std::nullopt;
}

Spot on_length_line(const Piece& p)
{
    return middle_of(p, GuideKind::LengthenShorten);
}

Spot at_waist_dart(const Piece& p)
{
    const auto mouths = waist_mouths(p);
    return mouths.empty() ? Spot{} : p.darts[dart_at(p, mouths.front())].tip;
}

// Where the side meets the waist: the side's lower end on what ends there, its upper on what hangs from it; the
// waist line's outer end between them.
Spot at_side_waist(const Piece& p)
{
    if (const auto line = guide(p, GuideKind::Waist)) return line->b;
    if (!flank_role(p, Flank::Outer)) return std::nullopt;
    if (begins_with(p, EdgeRole::Waist)) return outer_line(p).initialPoint();
    return p.edges[*edge_index(p, EdgeRole::Side, true)].curve.finalPoint();
}

namespace {

// On the side seam.
Spot side_at(const Piece& p, std::optional<double> level)
{
    const auto span = level ? lies_across(p, *level) : std::nullopt;
    return span ? Spot{Point{span->to, *level}} : std::nullopt;
}

}  // namespace

Spot at_top_of_waist_dart(const Piece& p)
{
    if (!has(p, EdgeRole::Waist)) return std::nullopt;
    const auto mouths = waist_mouths(p);
    if (mouths.empty()) return along(p, EdgeRole::Waist, 0.5);
    const Dart& d = p.darts[dart_at(p, mouths.front())];
    return (d.leg_a + d.leg_b) / 2;
}

Spot at_side_high_hip(const Piece& p)
{
    return side_at(p, high_hip_level(p));
}

Spot at_side_hip(const Piece& p)
{
    if (const auto line = guide(p, GuideKind::Hip)) return line->b;
    if (!has(p, EdgeRole::Side)) return std::nullopt;
    return p.edges[*edge_index(p, EdgeRole::Side, true)].curve.finalPoint();
}

Spot on_the_hem(const Piece& p)
{
    return along(p, EdgeRole::Hem, 0.5);
}

Spot at_bust_point(const Piece& p)
{
    return p.bust_point ? Spot{*p.bust_point} : std::nullopt;
}

Spot at_bust_on_centre(const Piece& p)
{
    const auto line = guide(p, GuideKind::Bust);
    return line ? Spot{line->a} : std::nullopt;
}

Spot at_bust_dart(const Piece& p)
{
    for (const auto role : {EdgeRole::Side, EdgeRole::Armhole, EdgeRole::Shoulder, EdgeRole::Neck}) {
        if (const auto mouth = mouth_in(p, role)) return p.darts[dart_at(p, *mouth)].tip;
    }
    return at_bust_point(p);
}

Spot high_on_centre(const Piece& p)
{
    return up_centre(p, 0.8);
}

Spot low_on_centre(const Piece& p)
{
    const auto line = guide(p, GuideKind::LengthenShorten);
    return line ? Spot{line->a} : up_centre(p, 0.2);
}

namespace {

Spot on_crease(const Piece& p, double level)
{
    const auto crease = guide(p, GuideKind::Crease);
    return crease ? Spot{Point{crease->a[Geom::X], level}} : std::nullopt;
}

}  // namespace

Spot under_the_hip(const Piece& p)
{
    const auto hip = guide(p, GuideKind::Hip);
    if (!hip || !has(p, EdgeRole::InnerLeg)) return std::nullopt;
    return on_crease(p, (hip->a[Geom::Y] + inner_leg_point(p)[Geom::Y]) / 2);
}

Spot on_centre_above_hip(const Piece& p)
{
    const auto line = guide(p, GuideKind::LengthenShorten);
    return line ? Spot{line->a} : std::nullopt;
}

Spot at_inner_leg_point(const Piece& p)
{
    return has(p, EdgeRole::InnerLeg) ? Spot{inner_leg_point(p)} : std::nullopt;
}

Spot at_thigh(const Piece& p)
{
    if (!has(p, EdgeRole::InnerLeg)) return std::nullopt;
    const double level = inner_leg_point(p)[Geom::Y] - thigh_below.in_mm();
    const auto span = lies_across(p, level);
    return span ? Spot{Point{span->from, level}} : std::nullopt;
}

Spot at_knee(const Piece& p)
{
    const auto line = guide(p, GuideKind::Knee);
    return line ? Spot{line->b} : std::nullopt;
}

Spot at_calf(const Piece& p)
{
    return side_at(p, has(p, EdgeRole::Hem) ? calf_level(p) : std::nullopt);
}

Spot above_knee(const Piece& p)
{
    const auto line = guide(p, GuideKind::Knee);
    if (!line || !has(p, EdgeRole::InnerLeg)) return std::nullopt;
    return on_crease(p, (line->a[Geom::Y] + inner_leg_point(p)[Geom::Y]) / 2);
}

Spot at_side_hem(const Piece& p)
{
    return has(p, EdgeRole::Hem) ? Spot{edge(p, EdgeRole::Hem).curve.initialPoint()} : std::nullopt;
}

Spot at_cap_top(const Piece& p)
{
    return has(p, EdgeRole::CapFront) ? Spot{top_notch(p)} : std::nullopt;
}

Spot on_bicep_line(const Piece& p)
{
    return on_sleeve(p, GuideKind::Bicep, 0, {});
}

Spot in_the_cap(const Piece& p)
{
    const Spot top = at_cap_top(p);
    const Spot line = on_bicep_line(p);
    return top && line ? Spot{*top + (*line - *top) * 0.55} : std::nullopt;
}

Spot above_elbow(const Piece& p)
{
    return guide(p, GuideKind::Elbow) ? on_sleeve(p, GuideKind::Bicep, 0.5, GuideKind::Elbow)
                                      : on_sleeve(p, GuideKind::Bicep, 0.25, {});
}

Spot below_elbow(const Piece& p)
{
    return guide(p, GuideKind::Elbow) ? on_sleeve(p, GuideKind::Elbow, 0.5, {})
                                      : on_sleeve(p, GuideKind::Bicep, 0.75, {});
}

Spot on_underarm_seam(const Piece& p)
{
    return along(p, EdgeRole::UnderarmFront, 0.6);
}

}  // namespace sartorum
