#include "core/alter/widths/rows.h"

#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

constexpr Length dart_length = Length::mm(65);
// Of the armhole, from the tip: between here the dart lies where it faces the bust point.
constexpr double dart_from = 0.5;
constexpr double dart_to = 0.85;

Outcome<bool> lengthened(Applied& out, Piece& front, Length by)
{
    const Guide across = *guide(front, GuideKind::Across);
    const Length place = Length::mm(shoulder_tip(front)[Geom::Y] - across.a[Geom::Y]);
    const auto spread = cut_across(out, front, across, by, StepKind::DrawAcross, place);
    if (!spread) return tl::make_unexpected(spread.error());
    const Piece after = lowered_at_across(front, {0, -by.in_mm()});
    out.steps.push_back(redrawn_step(*spread, after, StepKind::TrueArmhole));
    front = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_knit_dart(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_pinch(dose.front, "knit_dart"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (!front.bust_point) return refuse(Why::NeedsBustPoint, "knit_dart");
    if (mouth_in(front, EdgeRole::Armhole)) return refuse(Why::DartAlreadyThere, "knit_dart");
    const Length mouth = dose.front * 2.0;
    const Length was = sewn_length(front, EdgeRole::Armhole);
    if (static_cast<KnitDartMethod>(dose.method) == KnitDartMethod::WithLength) {
        // The trued armhole gains a little less than the cut opens: spread until it gains the mouth.
        const auto by = settle(mouth, Length::mm(1e-6), "knit_dart", [&](Length down) -> Outcome<Length> {
            const Piece lower = lowered_at_across(front, {0, -down.in_mm()});
            return mouth - (sewn_length(lower, EdgeRole::Armhole) - was);
        });
        if (!by) return tl::make_unexpected(by.error());
        if (const auto ok = lengthened(out, front, *by); !ok) return tl::make_unexpected(ok.error());
    }
    const Length whole = sewn_length(front, EdgeRole::Armhole);
    const OutlinePlace facing = place_facing(front, EdgeRole::Armhole, *front.bust_point, dart_from, dart_to);
    const Length middle = length(split(front.edges[facing.edge].curve, facing.time).before);
    Piece after = front;
    (void)part_edge(after, place_along(after, EdgeRole::Armhole, middle + mouth / 2.0));
    const std::size_t at = part_edge(after, place_along(after, EdgeRole::Armhole, middle - mouth / 2.0));
    Edge& between = after.edges[at];
    const Point a = between.curve.initialPoint();
    const Point b = between.curve.finalPoint();
    const Point square = Geom::unit_vector(Geom::rot90(b - a));
    const double side = Geom::dot(square, *after.bust_point - a) < 0 ? -1 : 1;
    const Point tip = (a + b) / 2 + square * (side * dart_length.in_mm());
    between.role = EdgeRole::DartMouth;
    after.darts.insert(after.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(after, at)), Dart{a, b, tip});
    redraw_dart(after, at, tip);
    settle_darts(after);
    Step step = step_on(after, StepKind::DrawKnitDart, mouth, dart_length, whole - middle);
    const Dart& d = after.darts[dart_at(after, at)];
    step.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
    step.picture.dimensions = {{d.leg_a, d.leg_b, mouth_width(d)}};
    out.steps.push_back(step);
    front = after;
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> knit_dart_methods{"with_length", "dart_only"};

}  // namespace

Adjustment knit_dart_row()
{
    return {
        .kind = AdjustmentKind::KnitDart,
        .key = "knit_dart",
        .zone = Zone::Widths,
        .rank = 30,
        .acts_on = ActsOn::Front,
        .least = Length{},
        .most = knit_pinch_limit,
        .needs = {Level::Bust},
        .edges = {EdgeRole::Armhole},
        .apply = alter_knit_dart,
        .place = in_the_armhole,
        .serves = without_bust_dart,
        .methods = knit_dart_methods,
    };
}

}  // namespace sartorum
