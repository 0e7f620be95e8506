#include "core/alter/lengths/rows.h"

#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto centre_wedge_key = "centre_wedge";

Length centre_of(const Piece& p)
{
    return sewn_length(p, EdgeRole::Centre);
}

struct Wedge {
    TurnedTop after;
    Length opening;  // at the centre
    double radians = 0;
};

// At the back a seam keeps the lean the wedge gives it; a fold stays straight.
bool carried_straight(const Piece& p)
{
    return p.role == PieceRole::Front || on_fold(p);
}

Outcome<Wedge> wedge_of(const Piece& piece, const Stroke& cut, Length opening, const char* field)
{
    const double reach = Geom::distance(cut.a, cut.b);
    // The centre lies to the left of the hinge: its upper part rises when it turns clockwise.
    const auto turn = turn_for(abs(opening), reach, field);
    if (!turn) return tl::make_unexpected(turn.error());
    const double radians = opening > Length{} ? -*turn : *turn;
    if (!carried_straight(piece)) return Wedge{top_turned_leaning(piece, cut, radians), opening, radians};
    auto after = top_turned_upright(piece, cut, radians);
    if (!after) return tl::make_unexpected(after.error());
    return Wedge{std::move(*after), opening, radians};
}

// The opening at which the centre gains the amount: a leaning centre gains a little less than it opens.
Outcome<Wedge> wedge_gaining(const Piece& piece, const Stroke& cut, Length amount, const char* field)
{
    Length opening = amount;
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        auto wedge = wedge_of(piece, cut, opening, field);
        if (!wedge) return wedge;
        const Length off = amount - (centre_of(wedge->after.piece) - centre_of(piece));
        if (abs(off) < Length::mm(0.001) || i == most_rounds) return wedge;
        opening += off;
    }
}

Outcome<bool> wedge_steps(Applied& out, const Piece& piece, const Stroke& cut, const Wedge& w)
{
    const auto panel = panel_moved(piece, {cut.b, cut.a}, {1, cut.b, w.radians, {}});
    if (!panel) return tl::make_unexpected(panel.error());
    const Length down = centre_of(piece) - along_to(piece, EdgeRole::Centre, cut.a);
    const Length side = along_to(piece, EdgeRole::Side, cut.b);
    const bool opens = w.opening > Length{};
    const Point raised = (cut.a - cut.b) * Geom::Rotate{w.radians} + cut.b;
    Step draw = step_on(piece, StepKind::DrawCentreWedge, abs(w.opening), down, side);
    draw.picture.lines = {cut};
    Step in_two = step_on(piece, StepKind::CutToSide, abs(w.opening));
    in_two.picture.panels = {panel->cut.first, panel->cut.second};
    in_two.picture.lines = {cut};
    Step turned = step_on(piece, opens ? StepKind::OpenAtCentre : StepKind::OverlapAtCentre, abs(w.opening));
    turned.picture.panels = {panel->cut.first, panel->second};
    (opens ? turned.picture.added : turned.picture.removed) = {{cut.a, cut.b, raised}};
    turned.picture.dimensions = {{cut.a, raised, abs(w.opening)}};
    turned.picture.motions = {{1, cut.b, w.radians, {}}};
    out.steps.insert(out.steps.end(), {draw, in_two, turned});
    out.steps.push_back(redrawn_step(panel->whole, w.after.piece,
                                     carried_straight(piece) ? StepKind::CarryCentreUp : StepKind::RedrawCentre,
                                     w.after.waist_gained));
    return true;
}

}  // namespace

Outcome<bool> wedge_at_centre(Applied& out, PieceRole role, Length amount, const char* field)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    const double level = guide(piece, GuideKind::LengthenShorten)->a[Geom::Y];
    const auto across = lies_across(piece, level);
    if (!across) return refuse(Why::LineMissesPiece, field);
    const Stroke cut{{across->from, level}, {across->to, level}};
    auto wedge = wedge_gaining(piece, cut, amount, field);
    if (!wedge) return tl::make_unexpected(wedge.error());
    if (const auto ok = wedge_steps(out, piece, cut, *wedge); !ok) return ok;
    piece = std::move(wedge->after.piece);
    return true;
}

Outcome<Applied> alter_centre_wedge(const Garment& garment, const Dose& dose)
{
    auto out = alter_apart(garment, dose, centre_wedge_key, [](Applied& applied, PieceRole role, Length amount) {
        return wedge_at_centre(applied, role, amount, centre_wedge_key);
    });
    if (!out) return out;
    if (auto ok = match_sides(*out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

Adjustment centre_wedge_row()
{
    return {
        .kind = AdjustmentKind::CentreWedge,
        .key = centre_wedge_key,
        .zone = Zone::Lengths,
        .rank = 50,
        .acts_on = ActsOn::Apart,
        .least = -centre_wedge_limit,
        .most = centre_wedge_limit,
        .needs = {Level::HighHip},
        .apply = alter_centre_wedge,
        .place = on_centre_above_hip,
        .serves =
            [](const Garment& part) {
                return hangs_from_waist(part) && !has_level(part, Level::Crotch) && one_piece_a_face(part);
            },
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
