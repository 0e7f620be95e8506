#include "core/alter/widths/rows.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr Length shoulder_dart_length = Length::mm(80);
// Across the back a garment is this much wider than the body, in all. Common practice.
constexpr Length least_back_ease = Length::mm(10);
constexpr Length most_back_ease = Length::mm(30);

struct Corner {
    Point out;  // on the armhole, at the across line
    Point turn;
    Point up;  // on the shoulder
};

// Paper wide enough to be held while it is moved; less than is liked where there is no more.
constexpr double liked_strip = 20;  // mm
constexpr double least_strip = 8;
constexpr double least_upright = 30;
constexpr double beside_dart = 5;

// Outside of a shoulder dart, in the middle of what is left of the seam; further in where the armhole is near.
Corner corner_of(const Piece& back)
{
    const Curve& outer = back.edges[*edge_index(back, EdgeRole::Shoulder, true)].curve;
    const Point out = guide(back, GuideKind::Across)->b;
    const double first = mouth_in(back, EdgeRole::Shoulder) ? beside_dart : 0;
    double along = length(outer).in_mm() / 2;
    const auto at = [&] { return outer.pointAt(time_at(outer, Length::mm(along))); };
    while (along > first && out[Geom::X] - at()[Geom::X] < liked_strip) along = std::max(first, along - 1);
    const Point up = at();
    return {out, {up[Geom::X], out[Geom::Y]}, up};
}

// A dart in the middle of the shoulder as wide as the seam grew, its outer leg on the seam's outer edge.
Piece with_shoulder_dart(const Piece& back, Length width)
{
    Piece out = back;
    const std::size_t at = *edge_index(back, EdgeRole::Shoulder, true);
    const Edge seam = back.edges[at];
    const Length middle = length(seam.curve) / 2.0;
    const auto before = split(seam.curve, time_at(seam.curve, middle - width / 2.0)).before;
    const auto after = split(seam.curve, time_at(seam.curve, middle + width / 2.0)).after;
    Dart dart{before.finalPoint(), after.initialPoint(), {}};
    const Point in = -Geom::rot90(Geom::unit_vector(dart.leg_b - dart.leg_a));
    dart.tip = (dart.leg_a + dart.leg_b) / 2 + in * shoulder_dart_length.in_mm();
    const auto place = out.edges.begin() + static_cast<std::ptrdiff_t>(at);
    const Edge mouth{EdgeRole::DartMouth, dart_mouth(dart, end_direction(before)), seam.allowance};
    const Edge rest{EdgeRole::Shoulder, after, seam.allowance};
    out.edges.insert(place + 1, {mouth, rest});
    out.edges[at].curve = before;
    out.darts.insert(out.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(out, at + 1)), dart);
    settle_notches(out);
    return out;
}

struct Moved {
    Geom::Affine how;
    Motion motion;
    Point tip;
};

Outcome<Moved> moved_out(const Piece& back, Length amount)
{
    const Point by{amount.in_mm(), 0};
    return Moved{Geom::Translate(by), {1, {}, 0, by}, shoulder_tip(back) + by};
}

// About mid-shoulder, clockwise; the seam as long as it was.
Outcome<Moved> turned_in(const Piece& back, const Corner& c, Length amount)
{
    const auto radians = turn_for(amount, c.up[Geom::Y] - c.turn[Geom::Y], "across_back");
    if (!radians) return tl::make_unexpected(radians.error());
    const Motion turn{1, c.up, *radians, no_shift};
    const Geom::Affine how = whole_motion(turn);
    const Point neck = neck_point(back);
    const Point tip = shoulder_tip(back) * how;
    const double seam = Geom::distance(neck, shoulder_tip(back));
    return Moved{how, turn, neck + Geom::unit_vector(tip - neck) * seam};
}

}  // namespace

Outcome<Applied> alter_across_back(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "across_back"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    const bool broad = dose.front > Length{};
    const Corner corner = corner_of(back);
    if (corner.up[Geom::Y] - corner.turn[Geom::Y] < least_upright ||
        corner.out[Geom::X] - corner.turn[Geom::X] < least_strip)
        return refuse(Why::NoRoomForCut, "across_back");
    const bool darted = broad && static_cast<AcrossBackMethod>(dose.method) == AcrossBackMethod::Darted;
    if (darted && mouth_in(back, EdgeRole::Shoulder)) return refuse(Why::DartAlreadyThere, "across_back");
    const Polygon way{corner.out, corner.turn, corner.up};
    const auto moved_corner = broad ? moved_out(back, dose.front) : turned_in(back, corner, dose.front);
    if (!moved_corner) return tl::make_unexpected(moved_corner.error());
    const Moved& moved = *moved_corner;
    const auto panel = panel_moved(back, way, moved.motion);
    if (!panel) return tl::make_unexpected(panel.error());
    const Length along = Length::mm(Geom::distance(neck_point(back), corner.up));
    const Length down = Length::mm(corner.up[Geom::Y] - corner.turn[Geom::Y]);
    Step draw = step_on(back, StepKind::DrawCorner, dose.front, along, down);
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{neck_point(back), corner.up, along}, {corner.up, corner.turn, down}};
    Step cut = step_on(back, broad ? StepKind::CutCorner : StepKind::CutToShoulder, dose.front);
    cut.picture.panels = {panel->cut.first, panel->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(back, broad ? StepKind::SlideCorner : StepKind::SwingCorner, dose.front);
    move.picture.panels = {panel->cut.first, panel->second};
    (broad ? move.picture.added : move.picture.removed) = {panel->strip};
    move.picture.dimensions = {{corner.turn, corner.turn * moved.how, abs(dose.front)}};
    move.picture.motions = {moved.motion};
    Piece after = shoulder_corner_moved(back, corner.out, moved.how, moved.tip);
    const auto grown = [&] {
        return sewn_length(after, EdgeRole::Shoulder) - sewn_length(back, EdgeRole::Shoulder);
    };
    // A dart in the seam opens or closes a little as its outer part turns: the tip makes up for it.
    if (!broad) {
        const Point outward = Geom::unit_vector(moved.tip - neck_point(back));
        after = shoulder_corner_moved(back, corner.out, moved.how, moved.tip - outward * grown().in_mm());
    }
    out.steps = {draw, cut, move, redrawn_step(panel->whole, after, StepKind::TrueArmhole)};
    const Length grew = grown();
    if (broad && darted) {
        const Piece with = with_shoulder_dart(after, grew);
        Step step = step_on(with, StepKind::DrawShoulderDart, grew, shoulder_dart_length);
        const Dart& d = with.darts[dart_at(with, *mouth_in(with, EdgeRole::Shoulder))];
        step.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
        out.steps.push_back(std::move(step));
        after = with;
    } else if (broad) {
        out.steps.push_back(step_on(after, StepKind::EaseShoulder, grew));
        ease_in(out.garment, PieceRole::Back, EdgeRole::Shoulder, grew);
    }
    back = after;
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> across_back_methods{"shoulder_eased", "shoulder_darted"};

bool across_back_way_open(const Garment& g, std::size_t method)
{
    return static_cast<AcrossBackMethod>(method) == AcrossBackMethod::Eased ||
           !mouth_in(back_of(g), EdgeRole::Shoulder);
}

// Half of it, less what the shoulder length did at this level: against the chart, else against the paper within
// the ease a back has.
std::optional<Proposal> propose_across_back(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::AcrossBack);
    const auto line = guide(back_of(s.now), GuideKind::Across);
    if (!taken || !line) return std::nullopt;
    if (const auto p = half_against_chart(s, Measure::AcrossBack, s.of(AdjustmentKind::ShoulderLength))) return p;
    if (!shoulder_at_tip(s.now)) return std::nullopt;
    const Length given = Length::mm(line->b[Geom::X] - line->a[Geom::X]);
    const Length wanted =
        std::clamp(given, (taken->value + least_back_ease) / 2.0, (taken->value + most_back_ease) / 2.0);
    if (abs(wanted - given) < to_the_eye) return std::nullopt;
    Proposal out{wanted - given, taken->spread / 2.0, wanted, given, Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment across_back_row()
{
    return {
        .kind = AdjustmentKind::AcrossBack,
        .key = "across_back",
        .zone = Zone::Widths,
        .rank = 65,
        .acts_on = ActsOn::Back,
        .least = -across_back_limit,
        .most = across_back_limit,
        .needs = {Level::Underarm},
        .edges = {EdgeRole::Armhole},
        .apply = alter_across_back,
        .place = at_across_end,
        .propose = propose_across_back,
        .from = Measure::AcrossBack,
        .methods = across_back_methods,
        .method_serves = across_back_way_open,
    };
}

}  // namespace sartorum
