#include "core/alter/frame/rows.h"

#include <array>

#include <algorithm>
#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/lengths.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr Length neck_dart_length = Length::mm(70);
constexpr double neck_dart_at = 0.5;  // of the neckline

struct Opened {
    Piece piece;
    Piece joined_paper;
};

Outcome<Opened> opened(Applied& applied, const Piece& piece, Length amount)
{
    const auto across = *guide(piece, GuideKind::Across);
    const Point centre = across.a;
    const Point hinge = across.b;
    // Above the line is what moves: the line is drawn from the armhole to the centre, which has it on its right.
    const Polygon way{hinge, centre};
    const double reach = Geom::distance(centre, hinge);
    const auto radians = turn_for(amount, reach, "round_back");
    if (!radians) return tl::make_unexpected(radians.error());
    const Motion open{1, hinge, -*radians, {0, 0}};
    const auto moved_paper = panel_moved(piece, way, open);
    if (!moved_paper) return tl::make_unexpected(moved_paper.error());
    const Point neck = edge(piece, EdgeRole::Centre).curve.finalPoint();
    const Length place = Length::mm(neck[Geom::Y] - centre[Geom::Y]);
    Step draw = step_on(piece, StepKind::DrawAcrossBack, amount, place);
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{neck, centre, place}};
    Step cut = step_on(piece, StepKind::CutToArmhole, amount);
    cut.picture.panels = {moved_paper->cut.first, moved_paper->cut.second};
    cut.picture.lines = strokes(way);
    Step apart = step_on(piece, StepKind::OpenCentreBack, amount);
    apart.picture.panels = {moved_paper->cut.first, moved_paper->second};
    (amount > Length{} ? apart.picture.added : apart.picture.removed) = {moved_paper->strip};
    apart.picture.dimensions = {{centre, centre * whole_motion(open), abs(amount)}};
    apart.picture.motions = {open};
    applied.steps.insert(applied.steps.end(), {draw, cut, apart});
    return Opened{upper_turned(piece, centre, hinge, open.radians), moved_paper->whole};
}

// A dart at the neck as wide as the neckline grew, square to it.
Piece with_neck_dart(const Piece& piece, Length width)
{
    Piece out = piece;
    const std::size_t neck = *edge_index(piece, EdgeRole::Neck);
    const Curve& line = piece.edges[neck].curve;
    const Length middle = length(line) * neck_dart_at;
    const auto before = split(line, time_at(line, middle - width / 2.0)).before;
    const auto after = split(line, time_at(line, middle + width / 2.0)).after;
    Dart dart{before.finalPoint(), after.initialPoint(), {}};
    const Point in = -Geom::rot90(Geom::unit_vector(dart.leg_b - dart.leg_a));
    dart.tip = (dart.leg_a + dart.leg_b) / 2 + in * neck_dart_length.in_mm();
    const Edge& old = piece.edges[neck];
    const auto at = out.edges.begin() + static_cast<std::ptrdiff_t>(neck);
    const Edge mouth{EdgeRole::DartMouth, dart_mouth(dart, end_direction(before)), old.allowance};
    const Edge rest{EdgeRole::Neck, after, old.allowance};
    out.edges.insert(at + 1, {mouth, rest});
    out.edges[neck].curve = before;
    out.darts.insert(out.darts.begin(), dart);
    return out;
}

}  // namespace

Outcome<Applied> alter_round_back(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "round_back"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    const auto method = static_cast<RoundBackMethod>(dose.method);
    if (on_fold(back) && method == RoundBackMethod::CentreSeam) return refuse(Why::FoldWouldBend, "round_back");
    if (!on_fold(back) && method != RoundBackMethod::CentreSeam) return refuse(Why::NeedsFold, "round_back");
    const auto open = opened(out, back, dose.front);
    if (!open) return tl::make_unexpected(open.error());
    if (method == RoundBackMethod::CentreSeam) {
        out.steps.push_back(redrawn_step(open->joined_paper, open->piece, StepKind::CurveCentreBack));
        back = open->piece;
        return out;
    }
    const auto straight = centre_straightened(open->piece);
    out.steps.push_back(
        redrawn_step(open->joined_paper, straight.piece, StepKind::StraightenFold, straight.at_neck));
    back = straight.piece;
    if (method == RoundBackMethod::FoldDarted && straight.at_neck > Length::mm(1)) {
        const Piece darted = with_neck_dart(back, straight.at_neck);
        const Length from_centre = length(edge(darted, EdgeRole::Neck).curve);
        Step step = step_on(darted, StepKind::DrawNeckDart, straight.at_neck, neck_dart_length, from_centre);
        const Dart& d = darted.darts.front();
        step.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
        out.steps.push_back(std::move(step));
        back = darted;
    } else {
        out.steps.push_back(step_on(back, StepKind::EaseNeck, straight.at_neck));
    }
    return out;
}

namespace {

constexpr std::array<std::string_view, 3> round_back_methods{"centre_seam", "fold_eased", "fold_darted"};

bool round_back_noted(const Posture& p)
{
    return p.round_back == RoundBack::Slight || p.round_back == RoundBack::Marked;
}

// What the upper back alone is longer (+) or, for an erect back, shorter.
std::optional<Proposal> propose_round_back(const FittingState& s)
{
    const LengthShares shares = length_shares(s);
    return share_of(shares.back, shares.upper_back);
}

}  // namespace

Adjustment round_back_row()
{
    return {
        .kind = AdjustmentKind::RoundBack,
        .key = "round_back",
        .zone = Zone::Frame,
        .rank = 50,
        .acts_on = ActsOn::Back,
        .least = -round_back_limit,
        .most = round_back_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Neck, EdgeRole::Armhole},
        .apply = alter_round_back,
        .place = high_on_centre,
        .propose = propose_round_back,
        .from = Measure::BackWaistLength,
        .methods = round_back_methods,
        .usual_method = way_by_centre_back,
        .noted = round_back_noted,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
