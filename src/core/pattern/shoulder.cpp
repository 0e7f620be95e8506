#include "core/pattern/shoulder.h"

#include <cmath>
#include <numbers>

#include "core/pattern/dart.h"

namespace sartorum {
namespace {

struct Chord {
    Point from;
    double below;  // radians below the level
    double length;
};

Chord chord_of(const Piece& p)
{
    const Curve seam = closed_run(p, EdgeRole::Shoulder);
    const Point along = seam.finalPoint() - seam.initialPoint();
    return {seam.initialPoint(), std::atan2(-along[Geom::Y], along[Geom::X]), Geom::L2(along)};
}

constexpr double degrees = 180.0 / std::numbers::pi;

}  // namespace

Length SewnShoulder::forward() const
{
    return (front + back) / 2.0 * std::sin((front_degrees - back_degrees) / 2 / degrees);
}

SewnShoulder sewn_shoulder(const Piece& front, const Piece& back)
{
    const Chord f = chord_of(front);
    const Chord b = chord_of(back);
    return {f.below * degrees, b.below * degrees, Length::mm(f.length), Length::mm(b.length)};
}

Geom::Affine shoulder_darts_closed(const Piece& p)
{
    Geom::Affine out = Geom::identity();
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth && p.edges[i - 1].role == EdgeRole::Shoulder)
            out = closing(p.darts[dart_at(p, i)]) * out;
    }
    return out;
}

Geom::Affine back_joined(const Piece& front, const Piece& back)
{
    // Mirrored at the fold line through the neck point: a direction −b becomes −f.
    const Chord f = chord_of(front);
    const Chord b = chord_of(back);
    const double fold = -(f.below + b.below) / 2;
    return Geom::Translate(-b.from) * Geom::Rotate{-fold} * Geom::Scale{1, -1} * Geom::Rotate{fold} *
           Geom::Translate(f.from);
}

}  // namespace sartorum
