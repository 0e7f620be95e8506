#include "core/alter/widths/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"

namespace sartorum {
namespace {

// The armhole's first edge bowed by `by` at one time, nothing at its start and at another time.
Curve bowed(const Curve& c, double at, double until, Point by)
{
    const auto [above, rest] = split(c, at);
    const auto [low, end] = split(rest, nearest(rest, c.pointAt(until)).time);
    return joined(joined(eased(above, {0, 0}, by), eased(low, by, {0, 0})), end);
}

}  // namespace

Outcome<Applied> alter_across_front(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "across_front"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    const std::size_t hole = *edge_index(front, EdgeRole::Armhole);
    const Curve& line = front.edges[hole].curve;
    const auto time_of = [&](Point p) { return nearest(line, p).time; };
    const auto end = static_cast<double>(line.size_default());
    const Point across = guide(front, GuideKind::Across)->b;
    const double at = std::clamp(time_of(across), 0.05, end - 0.1);
    double until = end - 0.05;
    for (const auto& n : front.notches) {
        if (n.on == EdgeRole::Armhole && time_of(n.at) > at + 0.05) until = std::min(until, time_of(n.at));
    }
    const Point by{dose.front.in_mm(), 0};
    Piece after = front;
    after.edges[hole].curve = bowed(line, at, until, by);
    for (auto& g : after.guides) {
        if (g.kind == GuideKind::Across) g.b += by;
    }
    settle_notches(after);
    Step mark = step_on(front, StepKind::MarkAcross, dose.front);
    mark.picture.lines = {{across, across + by}};
    mark.picture.dimensions = {{across, across + by, abs(dose.front)}};
    out.steps = {mark, redrawn_step(front, after, StepKind::RedrawAcross, dose.front)};
    front = after;
    return out;
}

namespace {

constexpr Length most_front_ease = Length::inches(1);  // in all: common practice

// Half of it, less what the shoulder length did at this level already: against the chart where it prints the
// measure; else against the paper, which may be wider by up to half the ease. A cut-in, dropped or raglan armhole
// is the designer's.
std::optional<Proposal> propose_across_front(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::AcrossFront);
    const Piece& front = front_of(s.now);
    const auto across = guide(front, GuideKind::Across);
    if (!taken || !across) return std::nullopt;
    if (const auto p = half_against_chart(s, Measure::AcrossFront, s.of(AdjustmentKind::ShoulderLength))) return p;
    const auto wish = s.ease.find(Measure::AcrossFront);
    if (wish == s.ease.end() && !shoulder_at_tip(s.now)) return std::nullopt;
    const Length given = Length::mm(across->b[Geom::X] - across->a[Geom::X]);
    const Length half = taken->value / 2.0;
    const Length most = most_front_ease / 2.0;
    const Length wanted = wish != s.ease.end() ? half + wish->second / 2.0 : std::clamp(given, half, half + most);
    if (abs(wanted - given) < to_the_eye) return std::nullopt;
    Proposal out{wanted - given, taken->spread / 2.0, wanted, given, Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment across_front_row()
{
    return {
        .kind = AdjustmentKind::AcrossFront,
        .key = "across_front",
        .zone = Zone::Widths,
        .rank = 60,
        .acts_on = ActsOn::Front,
        .least = across_front_least,
        .most = across_front_most,
        .needs = {Level::Underarm},
        .edges = {EdgeRole::Armhole},
        .apply = alter_across_front,
        .place = at_across_end,
        .propose = propose_across_front,
        .from = Measure::AcrossFront,
    };
}

}  // namespace sartorum
