#include "core/pattern/dart.h"

#include <algorithm>
#include <cmath>

namespace sartorum {

double dart_radians(const Dart& d)
{
    if (d.kind != DartKind::Dart) return 0;
    return std::abs(Geom::angle_between(d.leg_a - d.tip, d.leg_b - d.tip));
}

std::size_t dart_at(const Piece& p, std::size_t mouth_edge)
{
    return static_cast<std::size_t>(std::count_if(p.edges.begin(),
                                                  p.edges.begin() + static_cast<std::ptrdiff_t>(mouth_edge),
                                                  [](const Edge& e) { return e.role == EdgeRole::DartMouth; }));
}

Length mouth_width(const Dart& d)
{
    return Length::mm(Geom::distance(d.leg_a, d.leg_b));
}

const Dart& dart_of(const Piece& piece, std::size_t mouth_edge)
{
    return piece.darts[dart_at(piece, mouth_edge)];
}

Point mouth_middle(const Dart& d)
{
    return (d.leg_a + d.leg_b) / 2;
}

Length mouth_to_tip(const Dart& d)
{
    return Length::mm(Geom::distance(mouth_middle(d), d.tip));
}

Geom::Affine turn_about(Point about, double radians)
{
    return Geom::Translate(-about) * Geom::Rotate{radians} * Geom::Translate(about);
}

Geom::Affine rigid(Point a, Point b, Point to_a, Point to_b)
{
    return Geom::Translate(-a) * Geom::Rotate{Geom::angle_between(b - a, to_b - to_a)} * Geom::Translate(to_a);
}

Geom::Affine closing(const Dart& d)
{
    if (d.kind != DartKind::Dart) return Geom::Translate(d.leg_a - d.leg_b);
    return turn_about(d.tip, Geom::angle_between(d.leg_b - d.tip, d.leg_a - d.tip));
}

Curve closed_run(const Piece& piece, EdgeRole role)
{
    std::optional<Curve> out;
    // Darts further along are closed first onto those before them.
    Geom::Affine so_far = Geom::identity();
    std::size_t dart = 0;
    for (const auto& e : piece.edges) {
        if (e.role == EdgeRole::DartMouth) {
            if (out && dart < piece.darts.size()) so_far = closing(piece.darts[dart]) * so_far;
            ++dart;
            continue;
        }
        if (e.role != role) {
            if (out) break;
            continue;
        }
        const Curve here = e.curve * so_far;
        out = out ? joined(*out, here) : here;
    }
    if (!out) throw NoSuchLine{};
    return *out;
}

Length taken_at(const Dart& d, double level)
{
    const double top = (d.leg_a[Geom::Y] + d.leg_b[Geom::Y]) / 2;
    const double bottom = d.tip[Geom::Y];
    if (d.kind == DartKind::Pleat || std::abs(top - bottom) < 1e-9) return {};
    const double along = (level - bottom) / (top - bottom);
    if (along <= 0 || along > 1 + 1e-9) return {};
    return d.kind == DartKind::Tuck ? mouth_width(d) : mouth_width(d) * along;
}

Curve dart_mouth(const Dart& d, Point before)
{
    const auto bare = straight(d.leg_a, d.leg_b);
    if (d.kind != DartKind::Dart)
        return joined(straight(d.leg_a, (d.leg_a + d.leg_b) / 2), straight((d.leg_a + d.leg_b) / 2, d.leg_b));
    const double turn = Geom::angle_between(d.leg_a - d.tip, d.leg_b - d.tip);
    // Under leg_b the cloth leaves at the angle the edge makes with leg_a, mirrored into the dart.
    const double corner = Geom::angle_between(d.tip - d.leg_a, -before);
    const Point out = Geom::unit_vector(d.tip - d.leg_b) * Geom::Rotate{corner};
    const Point fold = Geom::unit_vector((d.leg_a + d.leg_b) / 2 - d.tip);
    const double across = Geom::cross(out, fold);
    if (std::abs(across) < 1e-9 || std::abs(turn) < 1e-9)
        return joined(straight(d.leg_a, (d.leg_a + d.leg_b) / 2), straight((d.leg_a + d.leg_b) / 2, d.leg_b));
    const double reach = Geom::cross(d.tip - d.leg_b, fold) / across;
    const Point peak = d.leg_b + out * reach;
    return joined(straight(d.leg_a, peak), straight(peak, d.leg_b));
}

}  // namespace sartorum
