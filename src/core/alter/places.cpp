#include "core/alter/places.h"

#include <algorithm>
#include <optional>

#include "core/paper/bodice_redraw.h"
#include "core/paper/dart_redraw.h"
#include "core/paper/sleeve_redraw.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

using Found = std::optional<Point>;
using Finder = Found (*)(const Piece&);

void add(Places& out, const Garment& g, PieceRole role, Finder find)
{
    const Piece* piece = find_piece(g.pieces, role);
    if (!piece) return;
    if (const Found at = find(*piece)) out.push_back({role, *at});
}

Places on(const Garment& g, PieceRole role, Finder find)
{
    Places out;
    add(out, g, role, find);
    return out;
}

Places on_both(const Garment& g, Finder find)
{
    Places out;
    add(out, g, PieceRole::Front, find);
    add(out, g, PieceRole::Back, find);
    return out;
}

bool has(const Piece& p, EdgeRole role)
{
    return edge_index(p, role).has_value();
}

Found along(const Piece& p, EdgeRole role, double share)
{
    if (!has(p, role)) return std::nullopt;
    return point_at(p, place_along(p, role, sewn_length(p, role) * share));
}

Found neck_end(const Piece& p)
{
    return has(p, EdgeRole::Shoulder) ? Found{neck_point(p)} : std::nullopt;
}
Found tip(const Piece& p)
{
    return has(p, EdgeRole::Shoulder) ? Found{shoulder_tip(p)} : std::nullopt;
}
Found under_arm(const Piece& p)
{
    return has(p, EdgeRole::Armhole) ? Found{underarm(p)} : std::nullopt;
}
Found neckline(const Piece& p)
{
    return along(p, EdgeRole::Neck, 0.5);
}
Found armhole(const Piece& p)
{
    return along(p, EdgeRole::Armhole, 0.55);
}
Found lower_armhole(const Piece& p)
{
    return along(p, EdgeRole::Armhole, 0.35);
}

Found middle_of(const Piece& p, GuideKind kind)
{
    const auto line = guide(p, kind);
    return line ? Found{(line->a + line->b) / 2} : std::nullopt;
}
Found across_middle(const Piece& p)
{
    return middle_of(p, GuideKind::Across);
}
Found across_end(const Piece& p)
{
    const auto line = guide(p, GuideKind::Across);
    return line ? Found{line->b} : std::nullopt;
}
Found length_line(const Piece& p)
{
    return middle_of(p, GuideKind::LengthenShorten);
}

// Where the side meets the waist: the side's lower end on what ends there, its upper on what hangs from it; the
// waist line's outer end between them.
Found side_waist(const Piece& p)
{
    if (const auto line = guide(p, GuideKind::Waist)) return line->b;
    if (!has(p, EdgeRole::Side)) return std::nullopt;
    const Curve& side = edge(p, EdgeRole::Side).curve;
    if (begins_at(p, Level::Waist)) return side.initialPoint();
    return p.edges[*edge_index(p, EdgeRole::Side, true)].curve.finalPoint();
}
Found side_hip(const Piece& p)
{
    if (const auto line = guide(p, GuideKind::Hip)) return line->b;
    if (!has(p, EdgeRole::Side)) return std::nullopt;
    return p.edges[*edge_index(p, EdgeRole::Side, true)].curve.finalPoint();
}
Found hem(const Piece& p)
{
    return along(p, EdgeRole::Hem, 0.5);
}

Found bust_point(const Piece& p)
{
    return p.bust_point ? Found{*p.bust_point} : std::nullopt;
}
Found bust_on_centre(const Piece& p)
{
    const auto line = guide(p, GuideKind::Bust);
    return line ? Found{line->a} : std::nullopt;
}
Found bust_dart(const Piece& p)
{
    for (const auto role : {EdgeRole::Side, EdgeRole::Armhole, EdgeRole::Shoulder, EdgeRole::Neck}) {
        if (const auto mouth = mouth_in(p, role)) return p.darts[dart_at(p, *mouth)].tip;
    }
    return bust_point(p);
}

// A share of the way up centre back.
Found up_centre(const Piece& p, double share)
{
    if (!has(p, EdgeRole::Centre)) return std::nullopt;
    const Curve& centre = edge(p, EdgeRole::Centre).curve;
    return centre.pointAt(time_at(centre, length(centre) * share));
}
Found high_on_centre(const Piece& p)
{
    return up_centre(p, 0.8);
}
Found low_on_centre(const Piece& p)
{
    const auto line = guide(p, GuideKind::LengthenShorten);
    return line ? Found{line->a} : up_centre(p, 0.2);
}

Found cap_top(const Piece& p)
{
    return has(p, EdgeRole::CapFront) ? Found{top_notch(p)} : std::nullopt;
}

// On the line from the top of the cap down to the hem: the levels that are drawn, and between them.
Found on_sleeve(const Piece& p, GuideKind upper, double share, std::optional<GuideKind> lower)
{
    const auto from = guide(p, upper);
    const Found top = cap_top(p);
    if (!from || !top) return std::nullopt;
    const double x = (*top)[Geom::X];
    const double begin = from->a[Geom::Y];
    const auto to = lower ? guide(p, *lower) : std::nullopt;
    const Found bottom = along(p, EdgeRole::Hem, 0.5);
    const double end = to ? to->a[Geom::Y] : bottom ? (*bottom)[Geom::Y] : begin;
    return Point{x, begin + share * (end - begin)};
}
Found bicep(const Piece& p)
{
    return on_sleeve(p, GuideKind::Bicep, 0, {});
}
Found cap_middle(const Piece& p)
{
    const Found top = cap_top(p);
    const Found line = bicep(p);
    return top && line ? Found{*top + (*line - *top) * 0.55} : std::nullopt;
}
Found upper_sleeve(const Piece& p)
{
    return guide(p, GuideKind::Elbow) ? on_sleeve(p, GuideKind::Bicep, 0.5, GuideKind::Elbow)
                                      : on_sleeve(p, GuideKind::Bicep, 0.25, {});
}
Found lower_sleeve(const Piece& p)
{
    return guide(p, GuideKind::Elbow) ? on_sleeve(p, GuideKind::Elbow, 0.5, {})
                                      : on_sleeve(p, GuideKind::Bicep, 0.75, {});
}
Found underarm_seam(const Piece& p)
{
    return along(p, EdgeRole::UnderarmFront, 0.6);
}

}  // namespace

Places at_neck_points(const Garment& g)
{
    return on_both(g, neck_end);
}
Places at_shoulder_tips(const Garment& g)
{
    return on_both(g, tip);
}
Places in_the_necklines(const Garment& g)
{
    return on_both(g, neckline);
}
Places across_armholes(const Garment& g)
{
    return on_both(g, across_middle);
}
Places at_underarms(const Garment& g)
{
    return on_both(g, under_arm);
}
Places on_length_lines(const Garment& g)
{
    return on_both(g, length_line);
}
Places at_side_waists(const Garment& g)
{
    return on_both(g, side_waist);
}
Places at_side_hips(const Garment& g)
{
    return on_both(g, side_hip);
}
Places on_hems(const Garment& g)
{
    return on_both(g, hem);
}

Places at_bust_point(const Garment& g)
{
    return on(g, PieceRole::Front, bust_point);
}
Places at_bust_on_centre(const Garment& g)
{
    return on(g, PieceRole::Front, bust_on_centre);
}
Places at_bust_dart(const Garment& g)
{
    return on(g, PieceRole::Front, bust_dart);
}
Places in_front_neckline(const Garment& g)
{
    return on(g, PieceRole::Front, neckline);
}
Places in_front_armhole(const Garment& g)
{
    return on(g, PieceRole::Front, armhole);
}
Places across_front_armhole(const Garment& g)
{
    return on(g, PieceRole::Front, across_end);
}

Places high_on_centre_back(const Garment& g)
{
    return on(g, PieceRole::Back, high_on_centre);
}
Places low_on_centre_back(const Garment& g)
{
    return on(g, PieceRole::Back, low_on_centre);
}
Places across_back_armhole(const Garment& g)
{
    return on(g, PieceRole::Back, across_end);
}
Places in_back_armhole(const Garment& g)
{
    return on(g, PieceRole::Back, lower_armhole);
}

Places at_cap_top(const Garment& g)
{
    return on(g, PieceRole::Sleeve, cap_top);
}
Places in_the_cap(const Garment& g)
{
    return on(g, PieceRole::Sleeve, cap_middle);
}
Places on_bicep_line(const Garment& g)
{
    return on(g, PieceRole::Sleeve, bicep);
}
Places above_elbow(const Garment& g)
{
    return on(g, PieceRole::Sleeve, upper_sleeve);
}
Places below_elbow(const Garment& g)
{
    return on(g, PieceRole::Sleeve, lower_sleeve);
}
Places on_underarm_seam(const Garment& g)
{
    return on(g, PieceRole::Sleeve, underarm_seam);
}
Places on_sleeve_hem(const Garment& g)
{
    return on(g, PieceRole::Sleeve, hem);
}

}  // namespace sartorum
