#include "core/alter/upper_arm.h"

#include <array>

#include "core/alter/propose.h"
#include "core/alter/serves.h"
#include "core/alter/shared.h"
#include "core/chart/ease.h"
#include "core/paper/panels.h"
#include "core/paper/sleeve_redraw.h"

namespace sartorum {
namespace {

// Both halves, each parted again at the bicep line: cap front, low front, cap back, low back.
std::vector<Piece> quarters(const Piece& sleeve, Point top, Point middle, Point hem)
{
    const auto halves = cut_along(sleeve, {hem, top});
    if (!halves) return {};
    const auto bicep = *guide(sleeve, GuideKind::Bicep);
    const auto back = cut_along(halves->first, {bicep.a, middle});
    const auto front = cut_along(halves->second, {middle, bicep.b});
    if (!back || !front) return {};
    return {front->first, front->second, back->first, back->second};
}

Length bicep_of(const Piece& sleeve)
{
    return Length::mm(Geom::distance(edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint(),
                                     edge(sleeve, EdgeRole::UnderarmBack).curve.finalPoint()));
}

Outcome<bool> spread_kept(Applied& out, Piece& sleeve, Length amount)
{
    const BicepSpread spread = bicep_spread(sleeve, amount);
    // A cap of that length is flat, or as steep as it can be, before it has that width.
    const Length came = bicep_of(spread.piece) - bicep_of(sleeve);
    if (abs(came - amount) > Length::mm(0.1)) {
        const Length most = abs(came);
        return refuse_amount(Why::AmountTooLarge, "upper_arm", amount, -most, most);
    }
    const Point top = top_notch(sleeve);
    const auto bicep = *guide(sleeve, GuideKind::Bicep);
    const double share = (top[Geom::X] - bicep.a[Geom::X]) / (bicep.b[Geom::X] - bicep.a[Geom::X]);
    const Point middle = bicep.a + (bicep.b - bicep.a) * share;
    Step draw = step_on(sleeve, StepKind::DrawSleeveCross, amount);
    draw.picture.lines = {{top, spread.hem}, {bicep.a, bicep.b}};
    out.steps.push_back(draw);
    const auto cut = quarters(sleeve, top, middle, spread.hem);
    if (cut.size() == 4) {
        Step slit = step_on(sleeve, StepKind::CutSleeveCross, amount);
        slit.picture.panels = cut;
        slit.picture.lines = draw.picture.lines;
        Step move = step_on(sleeve, StepKind::SpreadBicep, amount, spread.cap_lower);
        const std::array<Geom::Affine, 4> how{spread.cap_front, spread.low_front, spread.cap_back,
                                              spread.low_back};
        move.picture.panels.clear();
        for (std::size_t i = 0; i < 4; ++i) {
            move.picture.panels.push_back(moved(cut[i], how[i]));
            move.picture.motions.push_back(motion_of(i, how[i], i % 2 == 0 ? top : spread.hem));
        }
        const Polygon gap{top * how[0], middle * how[0], bicep.b * how[0], middle * how[1],
                          spread.hem,   middle * how[3], bicep.a * how[3], middle * how[2]};
        (amount > Length{} ? move.picture.added : move.picture.removed) = {gap};
        move.picture.dimensions = {{middle * how[2], middle * how[0], abs(amount)}};
        out.steps.insert(out.steps.end(), {slit, move});
    }
    out.steps.push_back(redrawn_step(sleeve, spread.piece, StepKind::TrueSleeve));
    sleeve = spread.piece;
    return true;
}

Outcome<bool> spread_through(Applied& out, Piece& sleeve, Length amount)
{
    const Point top = top_notch(sleeve);
    const Curve& low = edge(sleeve, EdgeRole::Hem).curve;
    const Point hem = low.pointAt(low.nearestTime({top[Geom::X], low.initialPoint()[Geom::Y]}));
    const Polygon way{hem, top};
    const Point by{amount.in_mm(), 0};
    const auto apart = panel_moved(sleeve, way, {1, {}, 0, by});
    if (!apart) return tl::make_unexpected(apart.error());
    const Piece after = split_through(sleeve, amount);
    Step draw = step_on(sleeve, StepKind::DrawSleeveMiddle, amount);
    draw.picture.lines = strokes(way);
    Step cut = step_on(sleeve, StepKind::CutSleeveMiddle, amount);
    cut.picture.panels = {apart->cut.first, apart->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(sleeve, StepKind::SpreadSleeve, amount);
    move.picture.panels = {apart->cut.first, apart->second};
    (amount > Length{} ? move.picture.added : move.picture.removed) = {apart->strip};
    move.picture.dimensions = {{top, top + by, abs(amount)}};
    move.picture.motions = {{1, {}, 0, by}};
    out.steps = {draw, cut, move, redrawn_step(sleeve, after, StepKind::TrueSleeve)};
    sleeve = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_upper_arm(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "upper_arm"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    if (static_cast<UpperArmMethod>(dose.method) == UpperArmMethod::CapKept) {
        if (const auto ok = spread_kept(out, sleeve, dose.front); !ok) return tl::make_unexpected(ok.error());
        return out;
    }
    if (const auto ok = spread_through(out, sleeve, dose.front); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> upper_arm_methods{"cap_kept", "split_through"};

// Girth and the ease as designed; where the chart says nothing, only what is needed to move.
std::optional<Proposal> propose_upper_arm(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::UpperArm);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(GarmentMeasure::UpperArm);
    const Length now = s.now_flat.of(GarmentMeasure::UpperArm);
    if (const auto row = ease_at(s.chart, s.sizes.frame, Measure::UpperArm, s.body, s.ease, s.cloth, traced)) {
        const bool wished = row->wished;
        const Length wanted = row->finished_wanted();
        const Length chart = *s.chart.body(s.sizes.frame, Measure::UpperArm);
        const Proposal own{wanted - now, taken->spread, wanted, traced, Against::EaseWish, now - traced};
        const Proposal kept{wanted - now, taken->spread, taken->value, chart, Against::Chart, now - traced};
        return as_girth(s, wished ? own : kept, Measure::UpperArm, s.sizes.frame, GarmentMeasure::UpperArm);
    }
    return brought_up(s, Measure::UpperArm, GarmentMeasure::UpperArm);
}

}  // namespace

Adjustment upper_arm_row()
{
    return {
        .kind = AdjustmentKind::UpperArm,
        .key = "upper_arm",
        .zone = Zone::Sleeve,
        .rank = 10,
        .acts_on = ActsOn::Sleeve,
        .least = -upper_arm_limit,
        .most = upper_arm_limit,
        .needs = {Level::Shoulder},
        .apply = alter_upper_arm,
        .propose = propose_upper_arm,
        .serves = sleeved,
        .from = Measure::UpperArm,
        .methods = upper_arm_methods,
    };
}

}  // namespace sartorum
