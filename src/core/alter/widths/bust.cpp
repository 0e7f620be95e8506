#include "core/alter/widths/rows.h"

#include <algorithm>
#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/bust_spread.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/princess.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

constexpr double one_hinge = 1.0 / 3;  // of the armhole, from the underarm
// Above and below it, so that two halves together drop the centre about as one whole does.
constexpr std::array<double, 2> two_hinges{0.43, 0.23};
constexpr Length fuller = Length::mm(12.7);  // a cup: tips stop a thumb's breadth further back
constexpr Length further_back = Length::mm(10);

Length tip_before(Length a)
{
    return a >= fuller ? tip_before_bust_point + further_back : tip_before_bust_point;
}

// The three panels before and after the swing, for showing.
void add_swing(Applied& out, const Piece& front, const BustSpread& s, Length a)
{
    const Polygon upright{s.from_waist, s.bust_point, s.hinge};
    const Polygon level{s.from_side, s.bust_point};
    const Length up = sewn_length(front, EdgeRole::Armhole) - along_to(front, EdgeRole::Armhole, s.hinge);
    Step draw = step_on(front, StepKind::DrawBustLines, a, up, along_to(front, EdgeRole::Side, s.from_side));
    draw.picture.lines = strokes(upright);
    draw.picture.lines.push_back({level[0], level[1]});
    out.steps.push_back(draw);
    const auto outer = cut_along(front, upright);
    if (!outer) return;
    const auto inner = cut_along(outer->second, level);
    if (!inner) return;
    const Point carried{a.in_mm(), -s.gain.in_mm()};
    const Motion turn{2, s.hinge, s.radians, {0, 0}};
    const Motion slide{1, {}, 0, carried};
    Step cut = step_on(front, StepKind::CutBustLines, a);
    cut.picture.panels = {outer->first, inner->first, inner->second};
    cut.picture.lines = draw.picture.lines;
    Step swing = step_on(front, StepKind::SwingBust, a);
    swing.picture.panels = {outer->first, moved(inner->first, Geom::Translate(carried)),
                            moved(inner->second, whole_motion(turn))};
    const Point bp = s.bust_point + carried;
    const Polygon gap{s.from_waist, s.bust_point, s.hinge, bp, s.from_waist + carried};
    const Polygon wedge{s.from_side * whole_motion(turn), bp, s.from_side + carried};
    (a > Length{} ? swing.picture.added : swing.picture.removed) = {gap, wedge};
    swing.picture.dimensions = {{s.bust_point, {bp[Geom::X], s.bust_point[Geom::Y]}, abs(a)}};
    swing.picture.motions = {slide, turn};
    out.steps.insert(out.steps.end(), {cut, swing});
}

Length side_mouth(const Piece& front)
{
    const auto mouth = mouth_in(front, EdgeRole::Side);
    return mouth ? mouth_width(front.darts[dart_at(front, *mouth)]) : Length{};
}

// What a smaller bust leaves of its dart is eased, where nobody would sew it.
bool given_up(const Piece& front, Length a)
{
    return a < Length{} && mouth_in(front, EdgeRole::Side) && side_mouth(front) < bust_dart_least;
}

Outcome<BustSpread> swung(Applied& out, Piece& front, Length a, double hinge, WaistGap into)
{
    auto spread = bust_spread(front, a, hinge, tip_before(a), into);
    if (!spread) return spread;
    add_swing(out, front, *spread, a);
    const Step drop = redrawn_step(front, spread->piece, StepKind::DropCentre, spread->gain);
    out.steps.push_back(drop);
    const auto mouth = mouth_in(spread->piece, EdgeRole::Side);
    if (mouth && !given_up(spread->piece, a)) {
        const Dart& d = spread->piece.darts[dart_at(spread->piece, *mouth)];
        Step draw = step_on(spread->piece, StepKind::RedrawBustDart, mouth_width(d), tip_before(a));
        draw.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
        draw.picture.dimensions = {{d.leg_a, d.leg_b, mouth_width(d)}};
        out.steps.push_back(draw);
    }
    front = spread->piece;
    return spread;
}

// For a smaller bust a front of two panels lends a side dart as large as the swing will close.
Outcome<Piece> with_dart_to_close(const Piece& front, Length a, double hinge)
{
    constexpr int parts = 12;
    const double most = upper_radians(front);
    Length least;
    for (int i = 1; i <= parts; ++i) {
        const auto lent = side_dart_from_princess(front, most * 0.97 * i / parts);
        if (!lent) break;
        least = least_spread(*lent, hinge);
        if (least <= a) return *lent;
    }
    return refuse_amount(Why::DartTooSmall, "bust", a, least, {});
}

// On the side panel's part of the armhole, whatever the seam leaves of it.
double hinge_on_side_panel(const Piece& front, double wanted)
{
    const std::size_t upper = princess_mouths(front)->upper;
    if (dart_role(front, upper) != EdgeRole::Armhole) return wanted;
    const Length below = length(front.edges[upper + 1].curve);
    return std::min(wanted, 0.8 * (below / sewn_length(front, EdgeRole::Armhole)));
}

// The seam is where paper parts already: only the side's opening is left to be closed. Returned is how far the
// side was opened beforehand, to have something to close.
Outcome<Length> swung_in_panels(Applied& out, Piece& front, Length a, double share)
{
    const double hinge = hinge_on_side_panel(front, share);
    Length lent;
    if (a < Length{}) {
        const auto darted = with_dart_to_close(front, a, hinge);
        if (!darted) return tl::make_unexpected(darted.error());
        lent = side_mouth(*darted) - side_mouth(front);
        front = *darted;
    }
    const auto spread = bust_spread(front, a, hinge, {}, WaistGap::Dart);
    if (!spread) return tl::make_unexpected(spread.error());
    add_swing(out, front, *spread, a);
    Piece swung = spread->piece;
    // The centre panel only becomes longer: the seam stays where it was across.
    const Point dropped{0, -spread->gain.in_mm()};
    swung.bust_point = spread->bust_point + dropped;
    // The bust line goes with the lower side panel, which is not turned.
    const auto line = guide(front, GuideKind::Bust);
    for (auto& g : swung.guides) {
        if (g.kind == GuideKind::Bust) g = {g.kind, line->a + dropped, line->b + dropped + Point{a.in_mm(), 0}};
    }
    out.steps.push_back(redrawn_step(front, swung, StepKind::DropCentre, spread->gain));
    front = swung;
    return lent;
}

Outcome<Applied> alter_princess(const Garment& garment, Length a, std::size_t rounds)
{
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (!princess_mouths(front)) return refuse(Why::NeedsBustPoint, "bust");
    out.steps.push_back(step_on(front, StepKind::LayTogether));
    Length lent;
    for (std::size_t i = 0; i < rounds; ++i) {
        const auto ok =
            swung_in_panels(out, front, a / static_cast<double>(rounds), rounds == 1 ? one_hinge : two_hinges[i]);
        if (!ok) return tl::make_unexpected(ok.error());
        lent += *ok;
    }
    // No dart is sewn at the side, and nothing shows of the swing but a seam that bends more over the bust.
    const Piece closed = mouth_in(front, EdgeRole::Side) ? side_dart_into_princess(front) : front;
    out.steps.push_back(redrawn_step(front, closed, StepKind::CloseIntoSeam, side_mouth(front) - lent));
    front = closed;
    settle_bodice_guides(front);
    out.steps.push_back(step_on(front, StepKind::RedrawSeam, rounded_over));
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

void take_in_at_side(Applied& out, Piece& front, Length a)
{
    const Piece after = side_redrawn(front, {}, -a, -a);
    const Curve& bottom = edge(front, bottom_role(front)).curve;
    Step step = redrawn_step(front, after, StepKind::TakeInSide, a);
    step.picture.dimensions = {{bottom.initialPoint() - Point{a.in_mm(), 0}, bottom.initialPoint(), abs(a)}};
    out.steps.push_back(step);
    front = after;
}

// The side dart not sewn: its mouth is eased in, the edge drawn straight over it.
void ease_dart(Applied& out, Piece& front)
{
    const auto mouth = mouth_in(front, EdgeRole::Side);
    const Dart dart = front.darts[dart_at(front, *mouth)];
    const Length width = mouth_width(dart);
    if (width > bust_eased_limit) out.cautions.push_back({CautionKind::SideEased, width, bust_eased_limit});
    Piece after = front;
    after.darts.erase(after.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(front, *mouth)));
    after.edges[*mouth - 1].curve = joined(joined(front.edges[*mouth - 1].curve, straight(dart.leg_a, dart.leg_b)),
                                           front.edges[*mouth + 1].curve);
    const auto at = after.edges.begin() + static_cast<std::ptrdiff_t>(*mouth);
    after.edges.erase(at, at + 2);
    settle_notches(after);
    Step step = redrawn_step(front, after, StepKind::EaseSide, width);
    step.picture.lines = {{dart.leg_a, dart.leg_b}};
    out.steps.push_back(step);
    front = after;
    ease_in(out.garment, PieceRole::Front, EdgeRole::Side, width);
}

}  // namespace

Outcome<Applied> alter_bust(const Garment& garment, const Dose& dose)
{
    const auto method = static_cast<BustMethod>(dose.method);
    const bool two = method == BustMethod::TwoSlashes;
    const Length a = dose.front;
    if (const auto ok = some_amount(a, "bust"); !ok) return tl::make_unexpected(ok.error());
    const bool hemmed = bottom_role(garment) == EdgeRole::Hem;
    if (method == BustMethod::WaistDart && hemmed) return refuse(Why::NeedsWaistSeam, "bust");
    if (front_of(garment).princess) return alter_princess(garment, a, two ? 2 : 1);
    if (method == BustMethod::Princess) return refuse(Why::NeedsPanels, "bust");
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    const Piece drafted = front;
    const auto into = method == BustMethod::WaistDart ? WaistGap::Dart : WaistGap::Edge;
    const std::size_t rounds = two ? 2 : 1;
    for (std::size_t i = 0; i < rounds; ++i) {
        const auto spread =
            swung(out, front, a / static_cast<double>(rounds), two ? two_hinges[i] : one_hinge, into);
        if (!spread) return tl::make_unexpected(spread.error());
    }
    if (method == BustMethod::WaistDart) {
        const Dart& d = front.darts[dart_at(front, *mouth_in(front, bottom_role(front)))];
        Step step =
            step_on(front, StepKind::DrawWaistDart, mouth_width(d), Length::mm(Geom::distance(d.leg_a, d.tip)));
        step.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
        out.steps.push_back(step);
    } else if (method != BustMethod::Kept) {
        take_in_at_side(out, front, a);
    }
    if (method == BustMethod::Eased) {
        if (!mouth_in(front, EdgeRole::Side) || mouth_in(drafted, EdgeRole::Side))
            return refuse(Why::DartAlreadyThere, "bust");
        ease_dart(out, front);
    } else if (given_up(front, a)) {
        ease_dart(out, front);
    }
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 6> bust_methods{"side",  "waist_dart",  "kept",
                                                       "eased", "two_slashes", "princess"};

bool bust_way_open(const Garment& g, std::size_t method)
{
    const auto way = static_cast<BustMethod>(method);
    if (front_of(g).princess) return way == BustMethod::Princess || way == BustMethod::TwoSlashes;
    switch (way) {
        case BustMethod::Princess: return false;
        case BustMethod::WaistDart: return bottom_role(g) == EdgeRole::Waist;
        case BustMethod::Eased: return without_bust_dart(g);
        default: return true;
    }
}

std::size_t usual_bust(const Garment& g)
{
    if (front_of(g).princess) return static_cast<std::size_t>(BustMethod::Princess);
    const bool darted = mouth_in(front_of(g), EdgeRole::Waist).has_value();
    return static_cast<std::size_t>(darted ? BustMethod::WaistDart : BustMethod::Side);
}

// One slash carries two cups.
UsualAmounts usual_bust_amounts(std::size_t method)
{
    const bool two = static_cast<BustMethod>(method) == BustMethod::TwoSlashes;
    return two ? UsualAmounts{-bust_two_slashes_limit, bust_two_slashes_limit}
               : UsualAmounts{-bust_limit, bust_limit};
}

// Half of what the girth lacks, for each half front; what the side seams gave already is not given again.
std::optional<Proposal> propose_bust(const FittingState& s)
{
    auto p = lacking_girth(s, Measure::Bust, s.sizes.frame, GarmentMeasure::Bust);
    if (!p) return std::nullopt;
    p->amount = p->amount / 2.0;
    p->spread = p->spread / 2.0;
    p->least = least_on_half_front;
    p->held = false;
    return p;
}

}  // namespace

Adjustment bust_row()
{
    return {
        .kind = AdjustmentKind::Bust,
        .key = "bust",
        .zone = Zone::Widths,
        .rank = 20,
        .acts_on = ActsOn::Front,
        .least = -bust_two_slashes_limit,
        .most = bust_two_slashes_limit,
        .needs = {Level::Bust},
        .edges = {EdgeRole::Armhole, EdgeRole::Side},
        .apply = alter_bust,
        .place = at_bust_point,
        .propose = propose_bust,
        .from = Measure::Bust,
        .methods = bust_methods,
        .usual_method = usual_bust,
        .method_serves = bust_way_open,
        .usual = usual_bust_amounts,
        .at_centre = AtCentre::Evened,
    };
}

}  // namespace sartorum
