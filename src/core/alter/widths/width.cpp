#include "core/alter/widths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/gore_flank.h"
#include "core/alter/kit/part_alter.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/gathers.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/joint.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// Where a skirt's side seam stands at the level: the place the sewist marks from.
Point marked_side_at(const Piece& piece, Level level)
{
    const Curve& side = edge(piece, EdgeRole::Side).curve;
    if (level == Level::Waist) return side.initialPoint();
    const auto hip = *guide(piece, GuideKind::Hip);
    return {hip.a[Geom::X] + width_at(piece, hip.a[Geom::Y]).value_or(Length{}).in_mm(), hip.a[Geom::Y]};
}

constexpr std::array<std::string_view, 3> waist_ways{"quarters", "back_only", "gathers"};
constexpr std::array<std::string_view, 3> hip_ways{"quarters", "back_only", "back_gathered"};

bool waist_way_open(const Garment& g, std::size_t method)
{
    const auto way = static_cast<WidthShare>(method);
    if (way == WidthShare::Gathered) return has_waist_gathers(g) && one_piece_a_face(g);
    return way == WidthShare::Quarters || part_alter(g).widens_back_alone;
}

bool hip_way_open(const Garment& g, std::size_t method)
{
    const auto way = static_cast<WidthShare>(method);
    if (way == WidthShare::Gathered)
        return hangs_from_waist(g) && one_piece_a_face(g) && edge_index(back_of(g), EdgeRole::Waist);
    return way == WidthShare::Quarters || part_alter(g).widens_back_alone;
}

Outcome<Applied> alter_width(const Garment& garment, const Dose& dose, Level level, const std::string& field)
{
    if (const auto ok = some_amount(dose.front, field); !ok) return tl::make_unexpected(ok.error());
    const bool gathered = static_cast<WidthShare>(dose.method) == WidthShare::Gathered;
    const auto open = level == Level::Waist ? waist_way_open : hip_way_open;
    if (gathered && !open(garment, dose.method)) return refuse(Why::WayNotHere, field);
    if (gathered)
        return level == Level::Waist ? alter_in_gathers(garment, dose) : alter_back_gathered(garment, dose);
    auto out = part_alter(garment).widen(garment, dose, level);
    if (out && level == Level::Waist) between_tucks(*out, garment);
    return out;
}

}  // namespace

// A bodice's: out at its waist, with a hem at the waist level or at the hem.
Outcome<Applied> widen_upper(const Garment& garment, const Dose& dose, Level level)
{
    Applied out{garment, {}};
    const bool back_only = static_cast<WidthShare>(dose.method) == WidthShare::BackOnly;
    const Length share = dose.front / (back_only ? 2.0 : 4.0);
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        if (back_only && role == PieceRole::Front) continue;
        Piece& piece = *find_piece(out.garment.pieces, role);
        const bool hemmed = bottom_role(piece) == EdgeRole::Hem;
        const bool at_waist = level == Level::Waist;
        const Piece after =
            side_redrawn(piece, {}, at_waist ? share : Length{}, at_waist && hemmed ? Length{} : share);
        const auto waist = guide(piece, GuideKind::Waist);
        const Point from = at_waist && hemmed && waist
                               ? waist->b
                               : piece.edges[*edge_index(piece, EdgeRole::Side, true)].curve.finalPoint();
        const Point to = from + Point{share.in_mm(), 0};
        Step mark = step_on(piece, at_waist ? StepKind::MarkWaist : StepKind::MarkHip, share);
        mark.picture.lines = {{from, to}};
        mark.picture.dimensions = {{from, to, abs(share)}};
        out.steps.insert(out.steps.end(), {mark, redrawn_step(piece, after, StepKind::RedrawBodiceSide, share)});
        piece = after;
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

Outcome<bool> move_side(std::vector<Step>& steps, Piece& piece, Length by, Level level)
{
    const bool waist = level == Level::Waist;
    auto after = waist ? side_moved(piece, by, {}) : side_moved(piece, {}, by);
    if (!after) return tl::make_unexpected(after.error());
    const Point from = marked_side_at(piece, level);
    const Point to = from + Point{by.in_mm(), 0};
    Step mark = step_on(piece, waist ? StepKind::MarkWaist : StepKind::MarkHip, by);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(by)}};
    Step redraw = redrawn_step(piece, *after, waist ? StepKind::RedrawWaist : StepKind::RedrawHip, by);
    redraw.picture.dimensions = {{from, to, abs(by)}};
    steps.push_back(std::move(mark));
    steps.push_back(std::move(redraw));
    piece = std::move(*after);
    return true;
}

}  // namespace

std::vector<PieceRole> widened_faces(const Dose& dose)
{
    if (static_cast<WidthShare>(dose.method) == WidthShare::BackOnly) return {PieceRole::Back};
    return {PieceRole::Front, PieceRole::Back};
}

Outcome<Applied> widened_until(const Garment& garment, const Dose& dose, GarmentMeasure measure, double seams,
                               const std::function<Outcome<bool>(Applied&, PieceRole, Length)>& move)
{
    const Length was = measured_alone(garment.pieces, measure);
    const auto faces = widened_faces(dose);
    const double shares = seams * static_cast<double>(faces.size()) / 2;
    Length share = dose.front / shares;
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        Applied out{garment, {}};
        for (const auto role : faces) {
            if (const auto ok = move(out, role, share); !ok) return tl::make_unexpected(ok.error());
        }
        if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
        const Length gained = measured_alone(out.garment.pieces, measure) - was;
        const Length off = dose.front - gained;
        if (abs(off) < Length::mm(0.005) || i == most_rounds) return out;
        share += next_share(off, share, gained, shares);
    }
}

Length next_share(Length lacks, Length share, Length gained, double flanks)
{
    const bool tells = abs(gained) > abs(share) * (flanks * 0.2);
    return tells ? share * (lacks / gained) : lacks / flanks;
}

// A quarter of it on each side seam of a half, or half on each of the back's, which is then the longer curve of
// the two until they are evened; of gores, shared by all their flanks. A waist that leans where it ends gets less
// than it is moved by, and a little when the seams are evened: what is moved is what leaves it as wanted.
Outcome<Applied> widen_skirt(const Garment& garment, const Dose& dose, Level level)
{
    const auto half_waist = [](const Garment& g) {
        return upper_run(g, PieceRole::Front).length + upper_run(g, PieceRole::Back).length;
    };
    const auto faces = widened_faces(dose);
    double flanks = 0;
    for (const auto role : faces) flanks += static_cast<double>(flanks_of(garment.pieces, role).size());
    Length share = dose.front / 2.0 / flanks;
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        Applied out{garment, {}};
        for (const auto role : faces) {
            const auto ok = on_flanks(out, role, [&](std::vector<Step>& steps, Piece& plain) {
                return move_side(steps, plain, share, level);
            });
            if (!ok) return tl::make_unexpected(ok.error());
        }
        if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
        if (level != Level::Waist || i == most_rounds) return out;
        const Length gained = half_waist(out.garment) - half_waist(garment);
        const Length off = dose.front / 2.0 - gained;
        if (abs(off) < Length::mm(0.005)) return out;
        share += next_share(off, share, gained, flanks);
    }
}

Outcome<Applied> alter_width_at_waist(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Waist, "width_at_waist");
}
Outcome<Applied> alter_width_at_hip(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Hip, "width_at_hip");
}

namespace {

// Gathers give and take before any seam does.
std::size_t usual_waist_way(const Garment& g)
{
    const bool gathers = waist_way_open(g, static_cast<std::size_t>(WidthShare::Gathered));
    return static_cast<std::size_t>(gathers ? WidthShare::Gathered : WidthShare::Quarters);
}

// Body − chart, less what the adjustments above gave; or her own ease less what the garment has.
std::optional<Proposal> propose_at_waist(const FittingState& s)
{
    return lacking_girth(s, Measure::Waist, s.sizes.waist, GarmentMeasure::Waist);
}

std::optional<Proposal> propose_at_hip(const FittingState& s)
{
    // A gathered skirt is as wide as its gathers: only what cannot be moved in is brought up.
    if ((s.across && s.across->joint.fullness >= gathered_from) || full_at_waist(s.now))
        return brought_up(s, Measure::Hip, part_alter(s.now).hip);
    // A top's hem is its hip only where the chart means it so.
    return lacking_girth(s, Measure::Hip, s.sizes.hip, part_alter(s.now).hip);
}

}  // namespace

Adjustment width_at_waist_row()
{
    return {
        .kind = AdjustmentKind::WidthAtWaist,
        .key = "width_at_waist",
        .zone = Zone::Widths,
        .rank = 80,
        .acts_on = ActsOn::Both,
        .least = -width_limit,
        .most = width_limit,
        .needs = {Level::Waist},
        .apply = alter_width_at_waist,
        .place = at_side_waist,
        .propose = propose_at_waist,
        .from = Measure::Waist,
        .methods = waist_ways,
        .usual_method = usual_waist_way,
        .method_serves = waist_way_open,
        .at_join = AtJoin::NotBelow,
    };
}

Adjustment width_at_hip_row()
{
    return {
        .kind = AdjustmentKind::WidthAtHip,
        .key = "width_at_hip",
        .zone = Zone::Widths,
        .rank = 90,
        .acts_on = ActsOn::Both,
        .least = -width_limit,
        .most = width_limit,
        .needs = {Level::Hem},
        .apply = alter_width_at_hip,
        .place = at_side_hip,
        .propose = propose_at_hip,
        .from = Measure::Hip,
        .methods = hip_ways,
        .method_serves = hip_way_open,
    };
}

}  // namespace sartorum
