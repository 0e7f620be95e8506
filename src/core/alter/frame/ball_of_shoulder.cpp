#include "core/alter/frame/rows.h"

#include <array>

#include <cmath>

#include "core/alter/frame/shoulder_ends.h"
#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"

namespace sartorum {
namespace {

constexpr Length strip_height = Length::mm(30);

// The strip above a line from the armhole to the neck point swings about the neck point until its tip has moved by
// the amount, square to the seam.
Outcome<Piece> strip_swung(Applied& applied, const Piece& piece, Length amount)
{
    const Point neck = neck_point(piece);
    const Curve seam = shoulder_run(piece);
    const double whole = Geom::distance(seam.initialPoint(), seam.finalPoint());
    const Curve& hole = edge(piece, EdgeRole::Armhole).curve;
    const Polygon way{hole.pointAt(time_at(hole, strip_height)), neck};
    const Motion swing{1, neck, std::atan(amount.in_mm() / whole), {0, 0}};
    const auto swung = panel_moved(piece, way, swing);
    if (!swung) return tl::make_unexpected(swung.error());
    Step draw = step_on(piece, StepKind::DrawStrip, amount, strip_height);
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{shoulder_tip(piece), way[0], strip_height}};
    Step cut = step_on(piece, StepKind::CutToNeckPoint, amount);
    cut.picture.panels = {swung->cut.first, swung->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(piece, StepKind::SwingStrip, amount);
    move.picture.panels = {swung->cut.first, swung->second};
    (amount > Length{} ? move.picture.added : move.picture.removed) = {swung->strip};
    move.picture.dimensions = {{shoulder_tip(piece), shoulder_tip(swung->second), abs(amount)}};
    move.picture.motions = {swing};
    const Point tip = seam.finalPoint();
    const Piece after = shoulder_redrawn(piece, {0, 0}, tip * whole_motion(swing) - tip, ArmholeReach::Underarm);
    applied.steps.insert(applied.steps.end(),
                         {draw, cut, move, redrawn_step(swung->whole, after, StepKind::TrueArmhole)});
    return after;
}

}  // namespace

Outcome<Applied> alter_ball_of_shoulder(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "ball_of_shoulder"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        const Length amount = role == PieceRole::Front ? -dose.front : dose.front;
        if (static_cast<BallMethod>(dose.method) == BallMethod::Slashed) {
            auto after = strip_swung(out, piece, amount);
            if (!after) return tl::make_unexpected(after.error());
            piece = std::move(*after);
        } else {
            piece = tip_moved(out, piece, amount);
        }
    }
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> ball_methods{"redrawn", "slashed"};

bool ball_noted(const Posture& p)
{
    return p.ball == Stance::Forward || p.ball == Stance::Back;
}

}  // namespace

Adjustment ball_of_shoulder_row()
{
    return {
        .kind = AdjustmentKind::BallOfShoulder,
        .key = "ball_of_shoulder",
        .zone = Zone::Frame,
        .rank = 30,
        .acts_on = ActsOn::Both,
        .least = -shoulder_forward_limit,
        .most = shoulder_forward_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Shoulder, EdgeRole::Armhole},
        .apply = alter_ball_of_shoulder,
        .place = at_shoulder_tip,
        .methods = ball_methods,
        .noted = ball_noted,
    };
}

}  // namespace sartorum
