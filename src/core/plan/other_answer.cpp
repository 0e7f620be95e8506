#include "core/plan/other_answer.h"

#include <algorithm>

#include "core/alter/kit/catalogue.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr Length tried_by = Length::mm(2);
constexpr double least_moved = 0.05;

// With that much more of it than the plan has on one side; the altered part of that side. As if both sides were
// it: what is not at the centre is the same, in half the time.
std::optional<Garment> with_more(const Computed& c, const PlanLine& line, Length by, Side side)
{
    const PlanLine* left = c.left_of(line);
    const PlanLine& here = side == Side::Left && left ? *left : line;
    Work work = c.work;
    if (c.left) work.body = std::make_shared<const BodySet>(one_sided(*work.body, side));
    for (auto& d : work.plan.decisions) {
        if (side == Side::Left) {
            for (const auto face : each_face) d.set({face, Side::Right}, d.on(Side::Left, face));
        }
        if (d.has_sides()) d.one_amount();
    }
    Decision more = work.plan.accepting(line.kind, line.part);
    const bool apart = adjustment(line.kind).acts_on == ActsOn::Apart;
    more.set({apart ? Face::Front : Face::Both}, here.amount + by);
    if (apart) more.set({Face::Back}, here.back + by);
    work.plan.decide(std::move(more));
    const auto out = compute(std::move(work));
    return out ? std::optional{part_view(out->altered, line.part)} : std::nullopt;
}

}  // namespace

std::optional<Otherwise> answered_otherwise(const Computed& c, AdjustmentKind kind)
{
    const PlanLine* line = c.line(kind);
    if (!line) return std::nullopt;
    Work work = c.work;
    const Decision* was = work.plan.decision(kind);
    Decision d = was ? *was : Decision{kind, Answer::Accepted};
    d.answer = line->state == LineState::Accepted ? Answer::Declined : Answer::Accepted;
    work.plan.decide(std::move(d));
    auto other = compute(std::move(work));
    if (!other) return std::nullopt;
    Otherwise out{std::move(other->altered.pieces), {}};
    out.left = other->left ? std::move(other->left->altered.pieces) : out.right;
    return out;
}

std::optional<Handle> handle_of(const Computed& c, AdjustmentKind kind, Side side)
{
    const PlanLine* line = c.line(kind);
    if (!line || !line->at.empty()) return std::nullopt;  // which of its places would go along?
    const auto now = with_more(c, *line, nothing_on_paper, side);
    const auto then = with_more(c, *line, nothing_on_paper + tried_by, side);
    if (!now || !then) return std::nullopt;
    const auto from = places_of(adjustment(kind), *now);
    const auto to = places_of(adjustment(kind), *then);
    std::optional<Handle> best;
    const auto take = [&](const std::string& piece, Point moved) {
        const Point by = moved / tried_by.in_mm();
        const double least = best ? Geom::L2(best->a_millimetre) : least_moved;
        if (Geom::L2(by) > least) best = Handle{piece, by};
    };
    for (std::size_t i = 0; i < std::min(from.size(), to.size()); ++i)
        take(find_piece(now->pieces, from[i].piece)->id, to[i].at - from[i].at);
    if (best) return best;
    // The place itself stays: what is cut there pushes the corners of its piece apart.
    for (const auto& place : from) {
        const Piece* was = find_piece(now->pieces, place.piece);
        const Piece* is = find_piece(then->pieces, place.piece);
        for (std::size_t e = 0; is && e < std::min(was->edges.size(), is->edges.size()); ++e)
            take(was->id, is->edges[e].curve.initialPoint() - was->edges[e].curve.initialPoint());
    }
    return best;
}

}  // namespace sartorum
