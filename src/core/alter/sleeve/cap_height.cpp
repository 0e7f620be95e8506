#include "core/alter/sleeve/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/sleeve.h"
#include "core/units/root.h"

namespace sartorum {
namespace {

// Across the cap, from the front edge to the back, below its notches and above the underarms.
Polygon cap_cut(const Piece& sleeve)
{
    const Point front = edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint();
    const double low = std::max(front[Geom::Y], edge(sleeve, EdgeRole::UnderarmBack).curve.finalPoint()[Geom::Y]);
    const double top = top_notch(sleeve)[Geom::Y];
    double level = low + (top - low) * 0.3;
    for (const auto& n : sleeve.notches) {
        if (n.at[Geom::Y] < top - 1) level = std::min(level, low + (n.at[Geom::Y] - low) * 0.7);
    }
    return across_cap(sleeve, level);
}

}  // namespace

constexpr double solved_within = 150;  // mm

std::optional<Length> cap_height_for(const Piece& sleeve, Length wanted)
{
    double low = -solved_within;
    double high = solved_within;
    const Curve& cap_front = edge(sleeve, EdgeRole::CapFront).curve;
    const Curve& cap_back = edge(sleeve, EdgeRole::CapBack).curve;
    const auto at = [&](double up) {  // as cap_moved draws it, without its notches
        return length(eased(cap_front, {0, up}, {0, 0})) + length(eased(cap_back, {0, 0}, {0, up}));
    };
    // A cap flattened beyond its own height grows again: look only where it is still a cap.
    const double height =
        top_notch(sleeve)[Geom::Y] - edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint()[Geom::Y];
    low = std::max(low, 15 - height);
    // A cap grows by about 1.4 times what its top goes up: look near there first, then everywhere.
    const double guess = std::clamp((wanted - at(0)).in_mm() / 1.4, low, high);
    const double near = 3 + std::abs(guess) / 4;
    const auto off = [&](double x) { return (at(x) - wanted).in_mm(); };
    const double below = std::max(low, guess - near);
    const double above = std::min(high, guess + near);
    double under = off(below);
    double over = off(above);
    if (under <= 0) low = below;
    if (under > 0) under = off(low);
    if (over >= 0) high = above;
    if (over < 0) over = off(high);
    if (under > 0 || over < 0) return std::nullopt;
    constexpr double near_enough = 0.02;
    return Length::mm(zero_between(low, high, under, over, near_enough, off));
}

Outcome<Applied> alter_cap_height(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "cap_height"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const Polygon way = cap_cut(sleeve);
    const Point up{0, dose.front.in_mm()};
    const Motion lift{1, {}, 0, up};
    const auto lifted = panel_moved(sleeve, way, lift);
    if (!lifted) return tl::make_unexpected(lifted.error());
    Piece after = cap_moved(sleeve, up);
    match_cap_notches(after, front_of(garment), back_of(garment));
    Step draw = step_on(sleeve, StepKind::DrawCapLine, dose.front,
                        Length::mm(top_notch(sleeve)[Geom::Y] - way[0][Geom::Y]));
    draw.picture.lines = strokes(way);
    Step cut = step_on(sleeve, StepKind::CutCap, dose.front);
    cut.picture.panels = {lifted->cut.first, lifted->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(sleeve, StepKind::MoveCap, dose.front);
    move.picture.panels = {lifted->cut.first, lifted->second};
    (dose.front > Length{} ? move.picture.added : move.picture.removed) = {lifted->strip};
    move.picture.dimensions = {{way[0], way[0] + up, abs(dose.front)}};
    move.picture.motions = {lift};
    out.steps = {draw, cut, move, redrawn_step(lifted->whole, after, StepKind::TrueCap)};
    sleeve = after;
    return out;
}

namespace {

constexpr Length least_cap_change = Length::mm(3);  // less is truing: common practice

// After a change of armhole or cap the ease as drafted again; of its own accord only where that lies outside what
// the cloth takes.
std::optional<Proposal> propose_cap_height(const FittingState& s)
{
    const auto over = [](const FlatMeasures& f) {
        return f.of(GarmentMeasure::Cap) - f.of(GarmentMeasure::Armhole);
    };
    const auto range = cap_ease_range(s.cloth);
    const Length drafted = over(s.traced_flat);
    const auto in_all = [](const Garment& g) {
        return gathered(g, "armhole-front") + gathered(g, "armhole-back");
    };
    const Length ease = std::clamp(drafted, range.least, range.most) + in_all(s.now) - in_all(s.traced);
    const Length wanted = s.now_flat.of(GarmentMeasure::Armhole) + ease;
    if (abs(over(s.now_flat) - ease) < least_cap_change) return std::nullopt;
    const auto amount = cap_height_for(sleeve_of(s.now), wanted);
    if (!amount) return std::nullopt;
    return Proposal{*amount, {}, wanted, s.now_flat.of(GarmentMeasure::Cap), Against::Armhole};
}

}  // namespace

Adjustment cap_height_row()
{
    return {
        .kind = AdjustmentKind::CapHeight,
        .key = "cap_height",
        .zone = Zone::Sleeve,
        .rank = 20,
        .acts_on = ActsOn::Sleeve,
        .least = -cap_height_limit,
        .most = cap_height_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::CapFront, EdgeRole::CapBack},
        .apply = alter_cap_height,
        .place = in_the_cap,
        .propose = propose_cap_height,
    };
}

}  // namespace sartorum
