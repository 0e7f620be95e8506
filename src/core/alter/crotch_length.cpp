#include "core/alter/crotch_length.h"

#include <cmath>

#include "core/alter/match.h"
#include "core/alter/places.h"
#include "core/alter/propose.h"
#include "core/alter/shared.h"
#include "core/paper/dart_redraw.h"
#include "core/paper/leg_redraw.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto wedge_key = "crotch_wedge";
constexpr auto point_key = "crotch_point";

Length crotch_of(const Piece& p)
{
    return sewn_length(p, EdgeRole::Centre);
}

struct Wedge {
    TurnedTop after;
    Length opening;  // at the centre
    double radians = 0;
};

Outcome<Wedge> wedge_of(const Piece& piece, const Stroke& cut, Length opening)
{
    const double reach = Geom::distance(cut.a, cut.b);
    // The centre lies to the left of the hinge: its upper part rises when it turns clockwise.
    const auto turn = turn_for(abs(opening), reach, wedge_key);
    if (!turn) return tl::make_unexpected(turn.error());
    const double radians = opening > Length{} ? -*turn : *turn;
    if (piece.role == PieceRole::Back) return Wedge{top_turned_leaning(piece, cut, radians), opening, radians};
    auto after = top_turned_upright(piece, cut, radians);
    if (!after) return tl::make_unexpected(after.error());
    return Wedge{std::move(*after), opening, radians};
}

// The opening at which the crotch seam gains the amount: a leaning centre gains a little less than it opens.
Outcome<Wedge> wedge_gaining(const Piece& piece, const Stroke& cut, Length amount)
{
    Length opening = amount;
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        auto wedge = wedge_of(piece, cut, opening);
        if (!wedge) return wedge;
        const Length off = amount - (crotch_of(wedge->after.piece) - crotch_of(piece));
        if (abs(off) < Length::mm(0.001) || i == most_rounds) return wedge;
        opening += off;
    }
}

Outcome<bool> wedge_steps(Applied& out, const Piece& piece, const Stroke& cut, const Wedge& w)
{
    const auto panel = panel_moved(piece, {cut.b, cut.a}, {1, cut.b, w.radians, {}});
    if (!panel) return tl::make_unexpected(panel.error());
    const Length down = crotch_of(piece) - along_to(piece, EdgeRole::Centre, cut.a);
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
    const bool upright = piece.role == PieceRole::Front;
    out.steps.push_back(redrawn_step(panel->whole, w.after.piece,
                                     upright ? StepKind::CarryCentreUp : StepKind::RedrawCentre,
                                     w.after.waist_gained));
    return true;
}

Outcome<bool> wedge_piece(Applied& out, PieceRole role, Length amount)
{
    if (amount == Length{}) return true;
    Piece& piece = *find_piece(out.garment.pieces, role);
    const double level = guide(piece, GuideKind::LengthenShorten)->a[Geom::Y];
    const auto across = lies_across(piece, level);
    if (!across) return refuse(Why::LineMissesPiece, wedge_key);
    const Stroke cut{{across->from, level}, {across->to, level}};
    auto wedge = wedge_gaining(piece, cut, amount);
    if (!wedge) return tl::make_unexpected(wedge.error());
    if (const auto ok = wedge_steps(out, piece, cut, *wedge); !ok) return ok;
    piece = std::move(wedge->after.piece);
    return true;
}

Outcome<bool> move_point(Applied& out, PieceRole role, Length amount)
{
    if (amount == Length{}) return true;
    Piece& piece = *find_piece(out.garment.pieces, role);
    const Point from = inner_leg_point(piece);
    const double centre = edge(piece, EdgeRole::Centre).curve.finalPoint()[Geom::X];
    const Length room = Length::mm(centre - from[Geom::X] - 10);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, point_key, amount, -room, paper_most);
    const Piece after = inner_point_moved(piece, amount);
    Step mark = step_on(piece, StepKind::MarkInnerPoint, amount);
    const Point to = inner_leg_point(after);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(amount)}};
    out.steps.push_back(std::move(mark));
    out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawInnerLeg, amount));
    piece = after;
    return true;
}

using AlterFace = Outcome<bool> (*)(Applied&, PieceRole, Length);

Outcome<Applied> alter_faces(const Garment& garment, const Dose& dose, const char* field, AlterFace alter)
{
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, field);
    Applied out{garment, {}};
    for (const auto& [role, amount] :
         {std::pair{PieceRole::Front, dose.front}, std::pair{PieceRole::Back, dose.back}}) {
        if (abs(amount) > paper_most)
            return refuse_amount(Why::AmountTooLarge, field, amount, -paper_most, paper_most);
        if (const auto ok = alter(out, role, amount); !ok) return tl::make_unexpected(ok.error());
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

}  // namespace

Outcome<Applied> alter_crotch_wedge(const Garment& garment, const Dose& dose)
{
    return alter_faces(garment, dose, wedge_key, wedge_piece);
}

Outcome<Applied> alter_crotch_point(const Garment& garment, const Dose& dose)
{
    return alter_faces(garment, dose, point_key, move_point);
}

namespace {

// What the string asks of one piece more than it has by now.
struct Lack {
    Length amount;
    Length spread;
    Length wanted;
    Length given;
    Length already;
    Against against = Against::Chart;
};

std::optional<Lack> lack_of(const FittingState& s, Measure m, GarmentMeasure on_paper)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(on_paper);
    const Length done = s.now_flat.of(on_paper) - traced;
    if (const auto printed = s.chart.body(s.sizes.hip, m))
        return Lack{taken->value - *printed - done, taken->spread, taken->value, *printed, done, Against::Chart};
    const Length has = traced + s.band;
    const Length ease = has + done - taken->value;
    const Length meant = std::clamp(ease, crotch_ease_least, crotch_ease_most);
    return Lack{meant - ease, taken->spread, taken->value + meant, has, done, Against::Pattern};
}

Proposal as_proposal(const Lack& front, const Lack& back)
{
    const bool by_back = abs(back.amount) > abs(front.amount);
    const Lack& larger = by_back ? back : front;
    Proposal p{front.amount, larger.spread, larger.wanted, larger.given, larger.against, larger.already};
    p.least = least_on_seam;
    p.back = back.amount;
    return p;
}

// An amount that nobody sews, or inside the noise, is none on that piece.
Length worth(const Lack& l)
{
    return abs(l.amount) < std::max(l.spread, least_on_seam) ? Length{} : l.amount;
}

}  // namespace

std::optional<Proposal> crotch_lacks(const FittingState& s)
{
    auto front = lack_of(s, Measure::FrontRise, GarmentMeasure::CrotchFront);
    auto back = lack_of(s, Measure::BackRise, GarmentMeasure::CrotchBack);
    if (!front && !back) return std::nullopt;
    auto p = as_proposal(front.value_or(Lack{}), back.value_or(Lack{}));
    p.amount = front ? worth(*front) : Length{};
    p.back = back ? worth(*back) : Length{};
    if (p.larger() == Length{}) return std::nullopt;
    return p;
}

namespace {

// What gives crotch length before it counts first.
void wait_for(std::optional<Proposal>& p, const FittingState& s, std::initializer_list<AdjustmentKind> above)
{
    for (const auto kind : above) {
        if (p && s.waits_for(kind)) p->after = kind;
    }
}

std::optional<Proposal> propose_wedge(const FittingState& s)
{
    using enum AdjustmentKind;
    auto p = crotch_lacks(s);
    wait_for(p, s, {WaistToHip, WaistLine, BodyRise, WidthAtThigh});
    return p;
}

// How far the point goes for so much crotch seam on a piece.
Length point_for(Length lacks, const Piece& p)
{
    if (lacks == Length{}) return {};
    return lacks * (lacks / (crotch_of(inner_point_moved(p, lacks)) - crotch_of(p)));
}

// What the wedge leaves, once it is answered.
std::optional<Proposal> propose_point(const FittingState& s)
{
    using enum AdjustmentKind;
    auto p = crotch_lacks(s);
    if (!p) return p;
    p->amount = point_for(p->amount, front_of(s.now));
    p->back = point_for(*p->back, back_of(s.now));
    wait_for(p, s, {WaistToHip, WaistLine, BodyRise, WidthAtThigh, CrotchWedge});
    return p;
}

}  // namespace

Adjustment crotch_wedge_row()
{
    return {
        .kind = AdjustmentKind::CrotchWedge,
        .key = wedge_key,
        .zone = Zone::Lengths,
        .rank = 54,
        .acts_on = ActsOn::Apart,
        .least = -crotch_wedge_limit,
        .most = crotch_wedge_limit,
        .needs = {Level::Crotch},
        .apply = alter_crotch_wedge,
        .place = on_centre_above_hip,
        .propose = propose_wedge,
        .from = Measure::BackRise,
        .at_centre = AtCentre::Together,
    };
}

Adjustment crotch_point_row()
{
    return {
        .kind = AdjustmentKind::CrotchPoint,
        .key = point_key,
        .zone = Zone::Lengths,
        .rank = 56,
        .acts_on = ActsOn::Apart,
        .least = -crotch_point_limit,
        .most = crotch_point_limit,
        .needs = {Level::Crotch},
        .apply = alter_crotch_point,
        .place = at_inner_leg_point,
        .propose = propose_point,
        .from = Measure::BackRise,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
