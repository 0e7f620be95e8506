#include "core/alter/hem/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/gore_flank.h"
#include "core/alter/kit/part_alter.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/rows.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

void record(std::vector<Step>& steps, const Piece& before, const Piece& after, Length amount)
{
    const std::size_t next = *edge_index(before, EdgeRole::Hem) + 1;  // the centre, or the inner leg
    const Curve& old_centre = before.edges[next].curve;
    const Curve& new_centre = after.edges[next].curve;
    const Curve& old_side = before.edges[*edge_index(before, EdgeRole::Side, true)].curve;
    const Curve& new_side = after.edges[*edge_index(after, EdgeRole::Side, true)].curve;
    const Dimension size{old_centre.initialPoint(), new_centre.initialPoint(), abs(amount)};
    const bool longer = amount > Length{};
    Step draw{
        .kind = longer ? StepKind::ExtendBelow : StepKind::DrawHem, .piece = before.id, .amount = abs(amount)};
    draw.picture.panels = {before};
    draw.picture.dimensions = {size};
    if (longer) {
        draw.picture.lines = {{old_centre.initialPoint(), new_centre.initialPoint()},
                              {old_side.finalPoint(), new_side.finalPoint()}};
    } else {
        const auto hem = flattened(edge(after, EdgeRole::Hem).curve, Length::mm(0.2));
        for (std::size_t i = 1; i < hem.size(); ++i) draw.picture.lines.push_back({hem[i - 1], hem[i]});
    }
    Step change{.kind = longer ? StepKind::AddHem : StepKind::TrimHem, .piece = before.id, .amount = abs(amount)};
    change.picture.panels = {after};
    change.picture.dimensions = {size};
    change.picture.redrawn_from = {before};
    steps.push_back(std::move(draw));
    steps.push_back(std::move(change));
}

}  // namespace

Outcome<Applied> alter_hem(const Garment& garment, const Dose& dose)
{
    const Length amount = dose.front;
    if (const auto ok = some_amount(amount, "hem"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (auto& piece : out.garment.pieces) {
        if (!goes_round(piece)) continue;
        const auto ok = on_flank(out.steps, piece, Flank::Outer, [&](std::vector<Step>& steps, Piece& plain) {
            auto after = hem_moved(plain, amount);
            if (!after) return Outcome<bool>{tl::make_unexpected(after.error())};
            record(steps, plain, *after, amount);
            plain = std::move(*after);
            return Outcome<bool>{true};
        });
        if (!ok) return tl::make_unexpected(ok.error());
    }
    return out;
}

namespace {

Length finished_length(const Garment& g, const FlatMeasures& measures)
{
    return measures.of(part_alter(g).length);
}

// What a lower waist seam took of a skirt the bodice has.
Length moved_to_bodice(const FittingState& s)
{
    return begins_with(s.now, EdgeRole::Waist) ? s.of(AdjustmentKind::WaistSeamLevel) : Length{};
}

// What a yoke has of the length from the waist: it is sewn to what is above it along its own lower edge.
Length of_a_yoke(const FittingState& s)
{
    const bool yoked = s.across && begins_with(s.across->above, EdgeRole::Waist);
    return yoked ? sewn_length(front_of(s.across->above), EdgeRole::Side) : Length{};
}

std::optional<Taken> wished_length(const FittingState& s)
{
    const auto from = part_alter(s.traced).length_wish;
    return from ? s.body.taken(*from) : std::nullopt;
}

// What made a bodice longer on purpose: the body is, there; it stays, and the hem with it.
Length lengthened_on_purpose(const FittingState& s)
{
    using enum AdjustmentKind;
    Length sum;
    for (const auto kind : {ArmholeDepth, BodiceLength, BustLength}) sum += std::max(s.of(kind), Length{});
    // What a fuller bust drops the centre by goes over it.
    const Length bodice = s.of(ArmholeDepth) + s.of(BodiceLength) + s.of(BustLength);
    const Length centre =
        s.now_flat.of(GarmentMeasure::CentreFront) - s.traced_flat.of(GarmentMeasure::CentreFront) - bodice;
    return sum + (s.of(Bust) > Length{} ? std::max(centre, Length{}) : Length{});
}

// What is done above the crotch leaves the inner leg, and so the hem of trousers, where they were.
bool hem_moves_above(const Garment& part)
{
    return !has_level(part, Level::Crotch);
}

// A waist that was drawn anew where it is worn takes no length from the hem; one that was moved as a whole is worn
// elsewhere, and a length that is wished begins there.
Length side_alone(const std::vector<Length>& waist)
{
    return waist_moved_at_side(waist) - waist_moved_whole(waist);
}

// None where a length is wished: then that alone says where the hem is to be.
std::optional<Proposal> propose_given_back(const FittingState& s)
{
    if (wished_length(s)) return std::nullopt;
    const Length was = finished_length(s.traced, s.traced_flat);
    const Length is =
        finished_length(s.now, s.now_flat) + moved_to_bodice(s) - waist_moved_at_side(s.waist_moved_by);
    Length amount = was - is;
    if (has_level(s.now, Level::Shoulder)) amount = std::max(amount + lengthened_on_purpose(s), Length{});
    if (abs(amount) < Length::mm(0.5)) return std::nullopt;
    Proposal out{amount, {}, was, is, Against::EarlierChange};
    out.least = least_on_seam;
    return out;
}

// From where the hem is by then, and will be by what is done to it in one go with this.
std::optional<Proposal> propose_length(const FittingState& s)
{
    const auto wish = wished_length(s);
    if (!wish) return std::nullopt;
    const Length yoke = of_a_yoke(s);
    const Length was = yoke + finished_length(s.traced, s.traced_flat);
    const Length is = yoke + finished_length(s.now, s.now_flat) + moved_to_bodice(s) +
                      s.carried[static_cast<std::size_t>(AdjustmentKind::FinishedLength)] -
                      side_alone(s.waist_moved_by);
    Proposal out{wish->value - is, Length::mm(3), wish->value, was, Against::Pattern, is - was};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment hem_given_back_row()
{
    return {
        .kind = AdjustmentKind::HemGivenBack,
        .key = "hem_given_back",
        .zone = Zone::Hem,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = -hem_limit,
        .most = hem_limit,
        .needs = {Level::Hem},
        .edges = {EdgeRole::Hem},
        .apply = alter_hem,
        .place = on_the_hem,
        .propose = propose_given_back,
        .serves = hem_moves_above,
        .joins = AdjustmentKind::FinishedLength,
        .at_centre = AtCentre::Together,
    };
}

Adjustment finished_length_row()
{
    return {
        .kind = AdjustmentKind::FinishedLength,
        .key = "finished_length",
        .zone = Zone::Hem,
        .rank = 20,
        .acts_on = ActsOn::Both,
        .least = -hem_limit,
        .most = hem_limit,
        .needs = {Level::Hem},
        .edges = {EdgeRole::Hem},
        .apply = alter_hem,
        .place = on_the_hem,
        .propose = propose_length,
        .from = Measure::SkirtLength,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
