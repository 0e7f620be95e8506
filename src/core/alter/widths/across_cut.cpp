#include "core/alter/widths/across_cut.h"

#include "core/paper/panels.h"

namespace sartorum {
namespace {

const Point crosswise{1, 0};

Outcome<Piece> spread(Applied& applied, const Piece& piece, const Guide& line, Length amount, StepKind draw_kind,
                      Length place)
{
    const Point down{0, -amount.in_mm()};
    const auto apart = panel_moved(piece, {line.a, line.b}, {1, {}, 0, down});
    if (!apart) return tl::make_unexpected(apart.error());
    Step draw = step_on(piece, draw_kind, amount, place);
    draw.picture.lines = {{line.a, line.b}};
    Step cut = step_on(piece, StepKind::CutAcross, amount);
    cut.picture.panels = {apart->cut.first, apart->cut.second};
    cut.picture.lines = draw.picture.lines;
    Step move = step_on(piece, StepKind::Spread, amount);
    move.picture.panels = {apart->cut.first, apart->second};
    move.picture.added = {apart->strip};
    move.picture.dimensions = {{line.a, line.a + down, amount}};
    move.picture.motions = {{1, {}, 0, down}};
    applied.steps.insert(applied.steps.end(), {draw, cut, move});
    return apart->whole;
}

Outcome<Piece> fold(Applied& applied, const Piece& piece, const Guide& line, Length amount, StepKind draw_kind,
                    Length place)
{
    const Point down{0, amount.in_mm()};  // negative: the second line lies below
    const auto folded = folded_out(piece, line.a, crosswise, down);
    if (!folded) return tl::make_unexpected(folded.error());
    Step draw = step_on(piece, draw_kind, amount, place);
    draw.picture.lines = {{folded->band[0], folded->band[1]}, {folded->band[3], folded->band[2]}};
    draw.picture.removed = {folded->band};
    draw.picture.dimensions = {{line.a, line.a + down, abs(amount)}};
    Step done = step_on(piece, StepKind::FoldOut, abs(amount));
    done.picture.panels = {folded->whole};
    done.picture.lines = {{folded->band[0], folded->band[1]}};
    applied.steps.insert(applied.steps.end(), {draw, done});
    return folded->whole;
}

}  // namespace

Outcome<Piece> cut_across(Applied& applied, const Piece& piece, const Guide& line, Length amount, StepKind draw,
                          Length place)
{
    return amount > Length{} ? spread(applied, piece, line, amount, draw, place)
                             : fold(applied, piece, line, amount, draw, place);
}

}  // namespace sartorum
