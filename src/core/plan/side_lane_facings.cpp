// Lane::draw_facings and what it needs.
#include <algorithm>
#include <exception>
#include <new>

#include "core/alter/kit/follower_drawing.h"
#include "core/paper/facing.h"
#include "core/plan/side_lane.h"

namespace sartorum {

void Lane::draw_facings(const Garment& traced, std::vector<NotMade>& not_made)
{
    const auto is_shaped = [](const Seam& s) {
        return s.follow == Follow::Shape || s.follow == Follow::Whole || s.follow == Follow::Above;
    };
    if (std::none_of(ground_.followers.begin(), ground_.followers.end(), is_shaped)) return;
    PlanLine line;
    line.kind = AdjustmentKind::Facings;
    line.part = standing->parts.front().kind;
    line.first_step = steps_.size();
    const Decision* all = plan_.decision(line.kind, std::string{});
    line.by_itself = !all;
    if (all && all->answer == Answer::Declined) line.state = LineState::Declined;
    for (const auto& seam : ground_.followers) {
        const Decision* own = plan_.decision(line.kind, seam.id);
        const Decision* decided = own ? own : all;
        const bool made = is_made(seam);
        if (is_shaped(seam) && (made || !(decided && decided->answer == Answer::Declined)))
            draw_facing(traced, seam, line, made, not_made);
    }
    line.steps = steps_.size() - line.first_step;
    lines_.push_back(std::move(line));
}

bool Lane::is_made(const Seam& seam) const
{
    const auto& made = plan_.make_up.facings;
    return std::any_of(made.begin(), made.end(),
                       [&](const MadeFacing& f) { return facing_id(f.from) == seam.id; });
}

// One that the pattern has not got has its step also where nothing was altered.
Outcome<bool> Lane::drawn_alone(Piece& facing, const Seam& seam, const std::vector<StandsOn>& edges, bool made)
{
    const auto& on = edges.front();
    const auto& under = seam.b.front();
    try {
        if (seam.follow == Follow::Above) return follow_above(steps_, facing, under.role, edges);
        if (seam.follow == Follow::Whole) return follow_whole(steps_, facing, *on.was, *on.now);
        if (!made) return follow_shape(steps_, facing, under.role, *on.now, on.role);
        std::vector<Step> anew;
        const auto drawn = follow_shape(anew, facing, under.role, *on.now, on.role);
        if (!drawn) return drawn;
        const Length width = facing_width(facing, under.role).value_or(Length{});
        Step step = step_on(facing, StepKind::MakeFacing, width);
        step.on = on.role;
        steps_.push_back(std::move(step));
        return true;
    } catch (const std::bad_alloc&) {
        throw;
    } catch (const std::exception&) {
        return refuse(Why::NotComputable, facing.id);
    }
}

std::vector<StandsOn> Lane::sewn_by(const Seam& seam, const Garment& traced) const
{
    std::vector<StandsOn> out;
    for (const auto& on : seam.a) {
        const Piece& was = *find_piece(traced.pieces, on.piece);
        out.push_back({&was, &piece_in(*standing, was), on.role});
    }
    return out;
}

void Lane::draw_facing(const Garment& traced_garment, const Seam& seam, PlanLine& line, bool made,
                       std::vector<NotMade>& not_made)
{
    const auto edges = sewn_by(seam, traced_garment);
    const bool alone = edges.size() == 1 || seam.follow == Follow::Above;
    const auto changed = [](const StandsOn& e) { return !same_paper(*e.was, *e.now); };
    if (!alone || (!made && std::none_of(edges.begin(), edges.end(), changed))) return;
    const auto& under = seam.b.front();
    auto others = std::make_shared<std::vector<Piece>>(*standing->others);
    const auto facing =
        std::find_if(others->begin(), others->end(), [&](const Piece& x) { return x.id == under.piece; });
    const auto drawn = drawn_alone(*facing, seam, edges, made);
    if (!drawn && made) {  // what she made herself, she takes out herself
        not_made.push_back({seam.id, drawn.error()});
        return;
    }
    if (!drawn) {
        line.state = LineState::Refused;
        line.refusal = drawn.error();
        return;
    }
    if (*drawn && line.state != LineState::Refused) line.state = LineState::Accepted;
    auto next = std::make_shared<Standing>(*standing);
    next->others_measured.take_again(*standing->others, *others);
    next->others = std::move(others);
    standing = std::move(next);
}

}  // namespace sartorum
