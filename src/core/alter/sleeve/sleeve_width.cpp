#include "core/alter/sleeve/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/sleeve.h"

namespace sartorum {
namespace {

double forearm_level(const Piece& sleeve)
{
    const double hem = edge(sleeve, EdgeRole::UnderarmFront).curve.finalPoint()[Geom::Y];
    const double under = edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint()[Geom::Y];
    const auto elbow = guide(sleeve, GuideKind::Elbow);
    return elbow ? elbow->a[Geom::Y] + (hem - elbow->a[Geom::Y]) / 3 : (hem + under) / 2;
}

Outcome<Applied> widened(const Garment& garment, const Dose& dose, const std::string& name, bool hem)
{
    if (const auto ok = some_amount(dose.front, name); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const double level = forearm_level(sleeve);
    const Piece after = hem ? hem_wider(sleeve, dose.front) : wider_at(sleeve, level, dose.front);
    const Length half = dose.front / 2.0;
    Step mark = step_on(sleeve, hem ? StepKind::MarkSleeveHem : StepKind::MarkForearm, half,
                        Length::mm(edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint()[Geom::Y] - level));
    for (const auto role : {EdgeRole::UnderarmFront, EdgeRole::UnderarmBack}) {
        const bool front = role == EdgeRole::UnderarmFront;
        const Curve& seam = edge(sleeve, role).curve;
        const auto t = seam[0].roots(level, Geom::Y);
        const Point low = front ? seam.finalPoint() : seam.initialPoint();
        const Point from = hem || t.empty() ? low : seam[0].pointAt(t.front());
        const Point to = from + Point{front ? half.in_mm() : -half.in_mm(), 0};
        mark.picture.lines.push_back({from, to});
        mark.picture.dimensions.push_back({from, to, abs(half)});
    }
    out.steps = {mark, redrawn_step(sleeve, after, StepKind::RedrawUnderarms, half)};
    sleeve = after;
    return out;
}

}  // namespace

Outcome<Applied> alter_forearm(const Garment& g, const Dose& dose)
{
    return widened(g, dose, "forearm", false);
}

Outcome<Applied> alter_sleeve_hem(const Garment& g, const Dose& dose)
{
    return widened(g, dose, "sleeve_hem", true);
}

namespace {

std::optional<Proposal> propose_hem(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::Wrist);
    const auto printed = s.chart.body(s.sizes.frame, Measure::Wrist);
    if (!taken || !printed) return std::nullopt;
    const Length done = s.now_flat.of(GarmentMeasure::SleeveHem) - s.traced_flat.of(GarmentMeasure::SleeveHem);
    Proposal out{taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done};
    out.least = least_on_girth;
    return out;
}

}  // namespace

Adjustment forearm_row()
{
    return {
        .kind = AdjustmentKind::Forearm,
        .key = "forearm",
        .zone = Zone::Sleeve,
        .rank = 70,
        .acts_on = ActsOn::Sleeve,
        .least = -sleeve_width_limit,
        .most = sleeve_width_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Hem},
        .apply = alter_forearm,
        .place = on_underarm_seam,
    };
}

Adjustment sleeve_hem_row()
{
    return {
        .kind = AdjustmentKind::SleeveHem,
        .key = "sleeve_hem",
        .zone = Zone::Sleeve,
        .rank = 80,
        .acts_on = ActsOn::Sleeve,
        .least = -sleeve_width_limit,
        .most = sleeve_width_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Hem},
        .apply = alter_sleeve_hem,
        .place = on_the_hem,
        .propose = propose_hem,
        .from = Measure::Wrist,
    };
}

}  // namespace sartorum
