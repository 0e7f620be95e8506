#include "core/alter/sleeve/rows.h"

#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/chart/ease.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/side.h"
#include "core/paper/redraw/sleeve.h"
#include "core/units/nearness.h"
#include "core/units/root.h"

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

Outcome<bool> spread_kept(Applied& out, Piece& sleeve, Length amount)
{
    // A cap of that length is flat, or as steep as it can be, before it has that width.
    const BicepRoom room = bicep_room(sleeve);
    if (amount > room.more || amount < room.less)
        return refuse_amount(Why::AmountTooLarge, "upper_arm", amount, room.less, room.more);
    const BicepSpread spread = bicep_spread(sleeve, amount);
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

Length armholes(const Piece& front, const Piece& back)
{
    return sewn_length(front, EdgeRole::Armhole) + sewn_length(back, EdgeRole::Armhole);
}

// Front and back alike, so that the sides still meet.
Outcome<bool> lower_underarms(Applied& out, Length extra, Length amount)
{
    constexpr double side_left = 15;  // mm of the side seam above its dart, or in all
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    const auto room = [](const Piece& p) { return length(edge(p, EdgeRole::Side).curve).in_mm() - side_left; };
    const double most = std::max(0.0, std::min(room(front), room(back)));
    const Length were = armholes(front, back);
    const auto lacks = [&](double down) {
        const auto lower = [&](const Piece& p) { return underarm_lowered(p, Length::mm(down)); };
        return (armholes(lower(front), lower(back)) - were - extra).in_mm();
    };
    const double over = most > 0 ? lacks(most) : -extra.in_mm();
    if (over < 0) {
        const Length can = amount * (1 + over / extra.in_mm());
        return refuse_amount(Why::AmountTooLarge, "upper_arm", amount, -can, can);
    }
    const Length down = Length::mm(zero_between(0, most, -extra.in_mm(), over, nothing_on_paper.in_mm(), lacks));
    for (Piece* p : {&front, &back}) {
        const Piece after = underarm_lowered(*p, down);
        Step mark = step_on(*p, StepKind::MarkUnderarmLower, down);
        mark.picture.lines = {{underarm(*p), underarm(after)}};
        mark.picture.dimensions = {{underarm(*p), underarm(after), down}};
        out.steps.push_back(mark);
        out.steps.push_back(redrawn_step(*p, after, StepKind::RedrawLowerArmhole));
        *p = after;
    }
    return true;
}

}  // namespace

Outcome<Applied> alter_upper_arm(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "upper_arm"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const auto method = static_cast<UpperArmMethod>(dose.method);
    if (method == UpperArmMethod::CapKept) {
        if (const auto ok = spread_kept(out, sleeve, dose.front); !ok) return tl::make_unexpected(ok.error());
        return out;
    }
    const Piece was = sleeve;
    if (const auto ok = spread_through(out, sleeve, dose.front); !ok) return tl::make_unexpected(ok.error());
    const auto extra = [&](EdgeRole half) { return sewn_length(sleeve, half) - sewn_length(was, half); };
    const Length front = extra(EdgeRole::CapFront);
    const Length back = extra(EdgeRole::CapBack);
    if (front + back <= Length{}) return out;
    if (method == UpperArmMethod::SplitGathered) {
        gather(out.garment, "armhole-front", front);
        gather(out.garment, "armhole-back", back);
        Step step = step_on(sleeve, StepKind::GatherCap, front + back);
        step.picture.lines = {strokes(flattened(cap_run(sleeve), Length::mm(0.5)))};
        out.steps.push_back(step);
        return out;
    }
    if (const auto ok = lower_underarms(out, front + back, dose.front); !ok)
        return tl::make_unexpected(ok.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 3> upper_arm_methods{"cap_kept", "split_through", "split_lowered"};

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
        .edges = {EdgeRole::CapFront, EdgeRole::CapBack},
        .apply = alter_upper_arm,
        .place = on_bicep_line,
        .propose = propose_upper_arm,
        .from = Measure::UpperArm,
        .methods = upper_arm_methods,
    };
}

}  // namespace sartorum
