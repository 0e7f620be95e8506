#include "core/alter/sleeve/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/redraw/sleeve.h"

namespace sartorum {
namespace {

Outcome<Applied> alter_length(const Garment& garment, const Dose& dose, bool above, const std::string& name)
{
    if (const auto ok = some_amount(dose.front, name); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const auto elbow = guide(sleeve, GuideKind::Elbow);
    if (!above && !elbow) return refuse(Why::NeedsElbow, name);
    const Curve& front = edge(sleeve, EdgeRole::UnderarmFront).curve;
    const Curve& back = edge(sleeve, EdgeRole::UnderarmBack).curve;
    const double under = std::min(front.initialPoint()[Geom::Y], back.finalPoint()[Geom::Y]);
    // Its highest place: a short sleeve's hem may rise towards its middle.
    const double hem = edge(sleeve, EdgeRole::Hem).curve.boundsExact()->bottom();
    const double from = above ? under : elbow->a[Geom::Y];
    const double to = above && elbow ? elbow->a[Geom::Y] : hem;
    const double level = (from + to) / 2;
    const Length room = Length::mm((level - hem) - 10);
    if (-dose.front > room) return refuse_amount(Why::AmountTooLarge, name, dose.front, -room, paper_most);
    const auto on = [&](const Curve& c) {
        const auto t = c[0].roots(level, Geom::Y);
        return t.empty() ? c.pointAt(0.5) : c[0].pointAt(t.front());
    };
    const Guide line{GuideKind::LengthenShorten, on(back), on(front)};
    const auto paper =
        cut_across(out, sleeve, line, dose.front, StepKind::DrawSleeveLine, Length::mm(under - level));
    if (!paper) return tl::make_unexpected(paper.error());
    const Piece after = sleeve_longer(sleeve, level, dose.front);
    out.steps.push_back(redrawn_step(*paper, after, StepKind::TrueUnderarms));
    sleeve = after;
    return out;
}

}  // namespace

Outcome<Applied> alter_sleeve_above(const Garment& g, const Dose& dose)
{
    return alter_length(g, dose, true, "sleeve_above");
}

Outcome<Applied> alter_sleeve_below(const Garment& g, const Dose& dose)
{
    return alter_length(g, dose, false, "sleeve_below");
}

namespace {

bool with_elbow(const Garment& g)
{
    return sleeved(g) && guide(sleeve_of(g), GuideKind::Elbow);
}

constexpr Length shared_from = Length::mm(10);  // our own choice: less goes below the elbow in one

// Arm length against the chart's, or the sleeve's own, less what the cap took.
std::optional<Proposal> lacking_arm(const FittingState& s)
{
    return lacking_length(s, Measure::ArmLength, s.sizes.frame, s.traced_flat.of(GarmentMeasure::Sleeve),
                          s.now_flat.of(GarmentMeasure::Sleeve));
}

// What the length above the elbow leaves, also while that waits for its answer: nothing is asked for twice.
std::optional<Proposal> propose_below(const FittingState& s)
{
    auto p = lacking_arm(s);
    if (p && s.waits_for(AdjustmentKind::SleeveAbove)) p->amount = p->amount / 2.0;
    return p;
}

// Half of it, so that the elbow stays at the elbow.
std::optional<Proposal> propose_above(const FittingState& s)
{
    auto p = with_elbow(s.now) ? lacking_arm(s) : std::nullopt;
    if (!p || abs(p->amount) < shared_from) return std::nullopt;
    p->amount = p->amount / 2.0;
    return p;
}

}  // namespace

Adjustment sleeve_above_row()
{
    return {
        .kind = AdjustmentKind::SleeveAbove,
        .key = "sleeve_above",
        .zone = Zone::Sleeve,
        .rank = 50,
        .acts_on = ActsOn::Sleeve,
        .least = -sleeve_length_limit,
        .most = sleeve_length_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Hem},
        .apply = alter_sleeve_above,
        .place = above_elbow,
        .propose = propose_above,
        .from = Measure::ArmLength,
    };
}

Adjustment sleeve_below_row()
{
    return {
        .kind = AdjustmentKind::SleeveBelow,
        .key = "sleeve_below",
        .zone = Zone::Sleeve,
        .rank = 60,
        .acts_on = ActsOn::Sleeve,
        .least = -sleeve_length_limit,
        .most = sleeve_length_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Hem},
        .apply = alter_sleeve_below,
        .place = below_elbow,
        .propose = propose_below,
        .serves = with_elbow,
        .from = Measure::ArmLength,
    };
}

}  // namespace sartorum
