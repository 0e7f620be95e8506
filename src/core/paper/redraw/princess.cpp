#include "core/paper/redraw/princess.h"

#include "core/pattern/princess.h"

namespace sartorum {
namespace {

constexpr double panels_dart_at = 0.3;  // of the side seam, from the underarm
constexpr double most_taken = 0.98;     // of the opening: the seam stays one

}  // namespace

void settle_princess(Piece& front)
{
    const auto mouths = princess_mouths(front);
    if (!mouths) return;
    aim_dart(front, mouths->upper, *front.bust_point, {});
    aim_dart(front, mouths->lower, *front.bust_point, {});
}

void settle_princess(std::vector<Piece>& pieces)
{
    for (auto& p : pieces) {
        if (p.princess) settle_princess(p);
    }
}

double upper_radians(const Piece& front)
{
    return radians_at(front, princess_mouths(front)->upper, *front.bust_point);
}

std::optional<Piece> side_dart_from_princess(const Piece& front, double radians)
{
    const auto upper = princess_mouths(front)->upper;
    if (radians > upper_radians(front) * most_taken) return std::nullopt;
    const OutlinePlace place =
        place_along(front, EdgeRole::Side, sewn_length(front, EdgeRole::Side) * panels_dart_at);
    Pivoted out = pivoted_into_place(front, upper, place, *front.bust_point, radians);
    for (const auto mouth : out.mouths) aim_dart(out.piece, mouth, *front.bust_point, {});
    return out.piece;
}

Piece side_dart_into_princess(const Piece& front)
{
    Piece p = front;
    const Point bp = *p.bust_point;
    const std::size_t fold = *mouth_in(p, EdgeRole::Side);
    aim_dart(p, fold, bp, {});
    const OutlinePlace seam{princess_mouths(p)->upper - 1, 0};
    Pivoted out = pivoted_into_place(p, fold, seam, bp, radians_at(p, fold, bp));
    settle_princess(out.piece);
    return out.piece;
}

}  // namespace sartorum
