#include "core/alter/kit/catalogue.h"

#include <array>

#include <algorithm>
#include <tuple>

#include "core/alter/frame/rows.h"
#include "core/alter/hem/rows.h"
#include "core/alter/joins/rows.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/legs/rows.h"
#include "core/alter/lengths/rows.h"
#include "core/alter/sewn/rows.h"
#include "core/alter/sleeve/rows.h"
#include "core/alter/widths/rows.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

std::array<Adjustment, adjustment_count> listed()
{
    return {
        shoulder_length_row(),
        shoulder_slope_row(),
        ball_of_shoulder_row(),
        neck_forward_row(),
        neck_size_row(),
        round_back_row(),
        armhole_depth_row(),
        bust_depth_row(),
        bodice_length_row(),
        sway_back_row(),
        waist_to_hip_row(),
        underarm_width_row(),
        bust_span_row(),
        bust_row(),
        bust_length_row(),
        knit_dart_row(),
        neck_gape_row(),
        armhole_gape_row(),
        across_front_row(),
        across_back_row(),
        back_armhole_row(),
        width_at_waist_row(),
        width_at_hip_row(),
        dart_moved_row(),
        upper_arm_row(),
        cap_height_row(),
        cap_forward_row(),
        top_notch_row(),
        sleeve_above_row(),
        sleeve_below_row(),
        forearm_row(),
        sleeve_hem_row(),
        hem_given_back_row(),
        finished_length_row(),
        joined_waist_row(),
        joined_darts_row(),
        waist_seam_level_row(),
        facings_row(),
        tucks_row(),
        body_rise_row(),
        crotch_wedge_row(),
        crotch_point_row(),
        leg_length_row(),
        width_at_thigh_row(),
        width_at_knee_row(),
        width_at_leg_hem_row(),
        waist_line_row(),
        sewn_crotch_row(),
        sewn_waist_width_row(),
        sewn_hip_width_row(),
        sewn_waist_row(),
        sewn_hem_row(),
        waist_darts_row(),
        width_at_high_hip_row(),
        width_at_calf_row(),
        centre_wedge_row(),
        turn_up_row(),
        pinned_shoulder_row(),
        pinned_bust_dart_row(),
        pinned_waist_darts_row(),
    };
}

std::tuple<Zone, int> order_of(const Adjustment& a)
{
    return {a.zone, a.rank};
}

}  // namespace

const std::array<Adjustment, adjustment_count>& catalogue()
{
    static const auto all = listed();
    return all;
}

const Adjustment& adjustment(AdjustmentKind kind)
{
    return catalogue()[static_cast<std::size_t>(kind)];
}

std::optional<AdjustmentKind> adjustment_of_key(std::string_view key)
{
    for (const auto& a : catalogue()) {
        if (a.key == key) return a.kind;
    }
    return std::nullopt;
}

std::optional<std::size_t> method_of_key(const Adjustment& a, std::string_view key)
{
    const auto it = std::find(a.methods.begin(), a.methods.end(), key);
    return it == a.methods.end() ? std::nullopt : std::optional{static_cast<std::size_t>(it - a.methods.begin())};
}

bool zero_works(const Adjustment& a, std::size_t method)
{
    return a.zero_works && a.zero_works(method);
}

UsualAmounts usual_amounts(const Adjustment& a, std::size_t method)
{
    return a.usual ? a.usual(method) : UsualAmounts{a.least, a.most};
}

Length far_beyond(const Adjustment& a, std::size_t method)
{
    constexpr double times = 6;
    constexpr Length at_least = Length::mm(150);
    const auto usual = usual_amounts(a, method);
    return std::max(at_least, std::max(abs(usual.least), abs(usual.most)) * times);
}

std::optional<Length> usual_passed(const Adjustment& a, std::size_t method, Length by)
{
    const auto usual = usual_amounts(a, method);
    if (by > usual.most) return usual.most;
    return by < usual.least ? std::optional{usual.least} : std::nullopt;
}

namespace {

std::span<const PieceRole> acted_on(ActsOn what)
{
    static constexpr std::array faces{PieceRole::Front, PieceRole::Back};
    static constexpr std::array sleeve{PieceRole::Sleeve};
    switch (what) {
        case ActsOn::Both:
        case ActsOn::Apart: return faces;
        case ActsOn::Front: return std::span{faces}.first(1);
        case ActsOn::Back: return std::span{faces}.last(1);
        case ActsOn::Sleeve: break;
    }
    return sleeve;
}

// Its pieces are there, with the edges it works on.
bool finds_its_edges(const Adjustment& a, const Garment& part)
{
    const auto roles = acted_on(a.acts_on);
    return std::all_of(roles.begin(), roles.end(), [&](PieceRole role) {
        return find_piece(part.pieces, role) && std::all_of(a.edges.begin(), a.edges.end(), [&](EdgeRole edge) {
                   return has_edge(part, role, edge);
               });
    });
}

bool fits(const Adjustment& a, const Garment& part)
{
    return std::all_of(a.needs.begin(), a.needs.end(), [&](Level l) { return has_level(part, l); }) &&
           finds_its_edges(a, part) && (!a.serves || a.serves(part));
}

}  // namespace

bool serves(const Adjustment& a, const Garment& part)
{
    return (a.at_join == AtJoin::Alike || a.at_join == AtJoin::NotBelow) && fits(a, part);
}

bool serves_joined(const Adjustment& a, const Garment& part, bool below)
{
    if (a.at_join == AtJoin::WholeGarment) return false;
    const bool asked = a.at_join == AtJoin::OnlyBelow ? below : a.at_join == AtJoin::NotBelow ? !below : true;
    return asked && fits(a, part);
}

bool method_serves(const Adjustment& a, const Garment& g, std::size_t method)
{
    return !a.method_serves || a.method_serves(g, method);
}

std::size_t usual_method(const Adjustment& a, const Garment& g)
{
    return a.usual_method ? a.usual_method(g) : 0;
}

std::vector<Place> places_of(const Adjustment& a, const Garment& part)
{
    std::vector<Place> out;
    const auto add = [&](PieceRole role) {
        const Piece* piece = find_piece(part.pieces, role);
        if (const Spot at = piece ? a.place(*piece) : std::nullopt) out.push_back({role, *at});
    };
    for (const auto role : acted_on(a.acts_on)) add(role);
    return out;
}

std::vector<FittingTurn> fitting_order(const std::vector<PartKind>& parts)
{
    std::vector<FittingTurn> out;
    out.reserve(parts.size() * adjustment_count);
    for (const auto& a : catalogue()) {
        for (const auto part : parts) out.push_back({&a, part});
    }
    std::sort(out.begin(), out.end(), [](const FittingTurn& x, const FittingTurn& y) {
        return std::tuple{x.adjustment->zone, x.part, x.adjustment->rank} <
               std::tuple{y.adjustment->zone, y.part, y.adjustment->rank};
    });
    return out;
}

bool comes_before(AdjustmentKind a, AdjustmentKind b)
{
    return order_of(adjustment(a)) < order_of(adjustment(b));
}

bool unlike_places(const Adjustment& a)
{
    return std::any_of(a.places.begin(), a.places.end(), [](const AmountPlace& p) { return !p.plain; });
}

bool is_girth(AdjustmentKind kind)
{
    using enum AdjustmentKind;
    constexpr std::array all{UnderarmWidth, WidthAtWaist, WidthAtHip,    UpperArm,      Forearm,
                             SleeveHem,     WidthAtThigh, WidthAtKnee,   WidthAtLegHem, SewnWaistWidth,
                             SewnHipWidth,  WidthAtCalf,  WidthAtHighHip};
    return std::find(all.begin(), all.end(), kind) != all.end();
}

}  // namespace sartorum
