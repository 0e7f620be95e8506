#include "core/alter/widths/rows.h"

#include <algorithm>
#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

EdgeRole role_of(DartPlace place)
{
    switch (place) {
        case DartPlace::Side: return EdgeRole::Side;
        case DartPlace::Armhole: return EdgeRole::Armhole;
        case DartPlace::Shoulder: return EdgeRole::Shoulder;
        case DartPlace::Waist: return EdgeRole::Waist;
        case DartPlace::Neck: return EdgeRole::Neck;
    }
    return EdgeRole::Side;
}

// The dart that shapes the bust: in the side seam if there is one.
std::optional<std::size_t> dart_to_move(const Piece& front)
{
    for (const auto role :
         {EdgeRole::Side, EdgeRole::Armhole, EdgeRole::Shoulder, EdgeRole::Neck, EdgeRole::Waist}) {
        if (const auto mouth = mouth_in(front, role)) return mouth;
    }
    return std::nullopt;
}

OutlinePlace new_place(const Piece& front, EdgeRole role)
{
    if (role == EdgeRole::Waist) return place_near(front, role, {(*front.bust_point)[Geom::X], -1e3});
    const double share = role == EdgeRole::Side ? 0.3 : role == EdgeRole::Armhole ? 0.6 : 0.5;
    return place_along(front, role, sewn_length(front, role) * share);
}

}  // namespace

Outcome<Applied> alter_dart_moved(const Garment& garment, const Dose& dose)
{
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (!front.bust_point) return refuse(Why::NeedsBustPoint, "dart_moved");
    const auto mouth = dart_to_move(front);
    if (!mouth) return refuse(Why::NeedsBustDart, "dart_moved");
    const EdgeRole role = role_of(static_cast<DartPlace>(dose.method));
    if (role == dart_role(front, *mouth)) return refuse(Why::DartAlreadyThere, "dart_moved");
    if (role == EdgeRole::Waist && bottom_role(front) == EdgeRole::Hem)
        return refuse(Why::NeedsWaistSeam, "dart_moved");
    const Point bp = *front.bust_point;
    const Dart& old = front.darts[dart_at(front, *mouth)];
    const Length width = mouth_width(old);
    if (dose.front < Length{} || dose.front > width)
        return refuse_amount(Why::AmountTooLarge, "dart_moved", dose.front, {}, width);
    const double share = dose.front == Length{} ? 1.0 : dose.front / width;
    const Length before = std::max(Length::mm(Geom::distance(old.tip, bp)), Length::mm(15));
    const OutlinePlace place = new_place(front, role);
    const Point at = point_at(front, place);
    Pivoted turned = pivoted_into_place(front, *mouth, place, bp, radians_at(front, *mouth, bp) * share);
    Piece& after = turned.piece;
    for (const auto m : turned.mouths) aim_dart(after, m, bp, before);
    settle_bodice_guides(after);
    settle_darts(after);
    Step draw = step_on(front, StepKind::DrawDartLine, width, Length::mm(Geom::distance(at, bp)),
                        along_to(front, role, at));
    draw.on = role;
    draw.picture.lines = {{at, bp}, {old.leg_a, bp}, {old.leg_b, bp}};
    Step swing = redrawn_step(front, after, StepKind::SwingDart, width * share);
    const Dart& now = after.darts[dart_at(after, turned.mouths.back())];
    Step redraw = step_on(after, StepKind::RedrawBustDart, mouth_width(now), before);
    redraw.picture.lines = {{now.leg_a, now.tip}, {now.leg_b, now.tip}};
    redraw.picture.dimensions = {{now.leg_a, now.leg_b, mouth_width(now)}};
    out.steps = {draw, swing, redraw};
    front = after;
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 5> dart_places{"side", "armhole", "shoulder", "waist", "neck"};

bool dart_place_open(const Garment& g, std::size_t method)
{
    const bool waist = static_cast<DartPlace>(method) == DartPlace::Waist;
    return !waist || bottom_role(g) == EdgeRole::Waist;
}

std::size_t usual_dart_place(const Garment& g)
{
    const bool side = mouth_in(front_of(g), EdgeRole::Side).has_value();
    return static_cast<std::size_t>(side ? DartPlace::Armhole : DartPlace::Side);
}

bool always_works(std::size_t)
{
    return true;
}

}  // namespace

Adjustment dart_moved_row()
{
    return {
        .kind = AdjustmentKind::DartMoved,
        .key = "dart_moved",
        .zone = Zone::Widths,
        .rank = 100,
        .acts_on = ActsOn::Front,
        .least = Length{},
        .most = dart_moved_limit,
        .needs = {Level::Bust},
        .apply = alter_dart_moved,
        .place = at_bust_dart,
        .serves = has_movable_dart,
        .methods = dart_places,
        .usual_method = usual_dart_place,
        .zero_works = always_works,
        .method_serves = dart_place_open,
    };
}

}  // namespace sartorum
