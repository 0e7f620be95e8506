#include "core/alter/lengths/rows.h"

#include <array>

#include <algorithm>
#include <cmath>

#include "core/alter/kit/seam_matching.h"
#include "core/alter/lengths/lengths.h"
#include "core/alter/widths/across_cut.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

struct FoldedWedge {
    Point upper;
    Point lower;
    Point hinge;
    double radians;  // the lower part turns clockwise
};

FoldedWedge wedge_of(const Piece& piece, Length taken)
{
    const auto line = *guide(piece, GuideKind::LengthenShorten);
    const double half = taken.in_mm() / 2;
    const double reach = Geom::distance(line.a, line.b);
    return {line.a + Point{0, half}, line.a - Point{0, half}, line.b, -2 * std::atan(half / reach)};
}

// Draw, cut to the side, close. Gives the paper with the wedge closed and its edges smoothed.
Outcome<Piece> wedge_closed(Applied& applied, const Piece& piece, Length taken)
{
    const FoldedWedge w = wedge_of(piece, taken);
    // The wedge must stay above the lower edge: after much shortening there may be no room for it.
    const Curve& lower = piece.edges[*edge_index(piece, EdgeRole::Side, true)].curve;
    const double floor =
        std::max(edge(piece, EdgeRole::Centre).curve.initialPoint()[Geom::Y], lower.finalPoint()[Geom::Y]);
    const double room = w.hinge[Geom::Y] - floor - 5;
    if (taken.in_mm() / 2 > room)
        return refuse_amount(Why::AmountTooLarge, "sway_back", -taken, -Length::mm(std::max(0.0, room * 2)), {});
    const Polygon low{w.lower, w.hinge};
    const Motion close{1, w.hinge, w.radians, {0, 0}};
    const auto moved_paper = panel_moved(piece, low, close);
    if (!moved_paper) return tl::make_unexpected(moved_paper.error());
    const Point bottom = edge(piece, EdgeRole::Centre).curve.initialPoint();
    const Length place = Length::mm((w.upper[Geom::Y] + w.lower[Geom::Y]) / 2 - bottom[Geom::Y]);
    const Length side = sewn_length(piece, EdgeRole::Side) - along_to(piece, EdgeRole::Side, w.hinge);
    Step draw = step_on(piece, StepKind::DrawWedge, taken, place, side);
    draw.picture.lines = {{w.upper, w.hinge}, {w.lower, w.hinge}};
    draw.picture.removed = {{w.upper, w.hinge, w.lower}};
    draw.picture.dimensions = {{w.upper, w.lower, taken}};
    Step cut = step_on(piece, StepKind::CutToSide, taken);
    cut.picture.panels = {moved_paper->cut.first, moved_paper->cut.second};
    cut.picture.lines = draw.picture.lines;
    const Piece closed = lower_turned(piece, w.upper, w.lower, w.hinge, w.radians);
    Step shut = step_on(piece, StepKind::CloseWedge, taken);
    shut.picture.panels = {moved_paper->cut.first, moved_paper->second};
    shut.picture.removed = {{w.upper, w.hinge, w.lower}};
    shut.picture.motions = {close};
    applied.steps.insert(applied.steps.end(), {draw, cut, shut});
    return closed;
}

Outcome<Piece> trimmed(Applied& applied, const Piece& closed)
{
    const auto straight = centre_straightened(closed);
    const Length off = -straight.at_bottom;
    applied.steps.push_back(redrawn_step(closed, straight.piece, StepKind::TrimFold, off));
    const Piece given = bottom_redrawn(straight.piece, {off.in_mm(), 0}, {0, 0});
    Step back = redrawn_step(straight.piece, given, StepKind::GiveBackAtSide, off);
    const Point was = edge(straight.piece, bottom_role(given)).curve.initialPoint();
    back.picture.dimensions = {{was, was + Point{off.in_mm(), 0}, off}};
    applied.steps.push_back(std::move(back));
    return given;
}

Outcome<bool> tucked(Applied& applied, Piece& back, Piece& front, Length taken)
{
    const auto line = *guide(back, GuideKind::LengthenShorten);
    const double low = edge(back, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    const auto paper =
        cut_across(applied, back, line, -taken, StepKind::DrawLengthLine, Length::mm(line.a[Geom::Y] - low));
    if (!paper) return tl::make_unexpected(paper.error());
    const Length side_before = sewn_length(back, EdgeRole::Side);
    const Piece after = lowered_at_line(back, {0, taken.in_mm()});
    applied.steps.push_back(redrawn_step(*paper, after, StepKind::TrueBodiceSide));
    back = after;
    front = bottom_moved_at_side(applied, front, sewn_length(back, EdgeRole::Side) - side_before);
    return true;
}

Outcome<bool> fits_centre(const Piece& back, SwayBackMethod method)
{
    const bool fold = method == SwayBackMethod::FoldTrimmed || method == SwayBackMethod::FoldTuck;
    if (on_fold(back) && method == SwayBackMethod::CentreSeam) return refuse(Why::FoldWouldBend, "sway_back");
    if (!on_fold(back) && fold) return refuse(Why::NeedsFold, "sway_back");
    if (method == SwayBackMethod::WaistSeam && bottom_role(back) != EdgeRole::Waist)
        return refuse(Why::NeedsWaistSeam, "sway_back");
    return true;
}

Outcome<bool> taken_in(Applied& out, Length taken, SwayBackMethod method)
{
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (const auto ok = fits_centre(back, method); !ok) return tl::make_unexpected(ok.error());
    if (method == SwayBackMethod::WaistSeam) {
        back = bottom_moved_at_centre(out, back, -taken);
        return true;
    }
    if (method == SwayBackMethod::FoldTuck) {
        return tucked(out, back, front, taken);
    }
    auto closed = wedge_closed(out, back, taken);
    if (!closed) return tl::make_unexpected(closed.error());
    if (method == SwayBackMethod::FoldTrimmed) {
        auto straight = trimmed(out, *closed);
        if (!straight) return tl::make_unexpected(straight.error());
        back = std::move(*straight);
    } else {
        out.steps.push_back(redrawn_step(*closed, *closed, StepKind::CurveCentreBack));
        back = std::move(*closed);
    }
    return true;
}

}  // namespace

Outcome<Applied> alter_sway_back(const Garment& garment, const Dose& dose)
{
    const Length taken = -dose.front;
    if (taken == Length{}) return refuse(Why::AmountZero, "sway_back");
    if (taken < Length{} || taken > paper_most)
        return refuse_amount(Why::AmountTooLarge, "sway_back", dose.front, -paper_most, {});
    Applied out{garment, {}};
    const auto ok = taken_in(out, taken, static_cast<SwayBackMethod>(dose.method));
    if (!ok) return tl::make_unexpected(ok.error());
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 4> sway_back_methods{"centre_seam", "fold_trimmed", "fold_tuck",
                                                            "waist_seam"};

// With a waist seam it is cut there.
std::size_t way_by_seam(const Garment& part)
{
    constexpr auto at_seam = static_cast<std::size_t>(SwayBackMethod::WaistSeam);
    return bottom_role(part) == EdgeRole::Waist ? at_seam : way_by_centre_back(part);
}

bool sway_noted(const Posture& p)
{
    return p.hollow == Hollow::Seen;
}

// What is left to the lower back: when it is shorter and the folds above the seat were seen, or the hollow; when
// it is longer a toile decides.
std::optional<Proposal> propose_sway_back(const FittingState& s)
{
    const LengthShares shares = length_shares(s);
    auto p = share_of(shares.back, shares.lower_back);
    if (p) p->sign_first = p->amount > Length{} || !sway_noted(s.body.posture);
    return p;
}

}  // namespace

Adjustment sway_back_row()
{
    return {
        .kind = AdjustmentKind::SwayBack,
        .key = "sway_back",
        .zone = Zone::Lengths,
        .rank = 40,
        .acts_on = ActsOn::Back,
        .least = -sway_back_limit,
        .most = Length{},
        .needs = {Level::Shoulder},
        .apply = alter_sway_back,
        .place = low_on_centre,
        .propose = propose_sway_back,
        .from = Measure::BackWaistLength,
        .methods = sway_back_methods,
        .usual_method = way_by_seam,
        .noted = sway_noted,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
