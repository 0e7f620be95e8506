#include "core/alter/kit/shared.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/lower_edge.h"

namespace sartorum {

namespace {

template <class SeamsOf>
auto seam_of(SeamsOf& g, std::string_view id)
{
    const auto it = std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& s) { return s.id == id; });
    return it == g.seams.end() ? nullptr : &*it;
}

}  // namespace

Length seam_ease(const Garment& g, std::string_view seam)
{
    const Seam* s = seam_of(g, seam);
    return s ? s->ease : Length{};
}

void ease_in(Garment& g, PieceRole piece, EdgeRole edge, Length more)
{
    const auto eased = [&](const SeamSide& s) {
        const Piece* p = find_piece(g.pieces, s.piece);
        return p && p->role == piece && s.role == edge;
    };
    for (auto& seam : g.seams) {
        if (std::any_of(seam.b.begin(), seam.b.end(), eased)) seam.ease += more;
        if (std::any_of(seam.a.begin(), seam.a.end(), eased)) seam.ease += -more;
    }
}

void gather(Garment& g, std::string_view seam, Length more)
{
    if (Seam* s = seam_of(g, seam)) s->gathered += more;
}

Length gathered(const Garment& g, std::string_view seam)
{
    const Seam* s = seam_of(g, seam);
    return s ? s->gathered : Length{};
}

namespace {

Length ease_for_cloth(const Garment& g, std::string_view seam, const Cloth& cloth)
{
    const Length own = seam_ease(g, seam);
    if (seam != "armhole-front" && seam != "armhole-back") return own;
    const Length drafted = seam_ease(g, "armhole-front") + seam_ease(g, "armhole-back");
    const auto range = cap_ease_range(cloth);
    const Length wanted = std::clamp(drafted, range.least, range.most);
    if (wanted == drafted) return own;
    return abs(drafted) < Length::mm(0.5) ? wanted / 2.0 : own * (wanted / drafted);
}

}  // namespace

Length meant_ease(const Garment& g, std::string_view seam, const Cloth& cloth)
{
    const Seam* s = seam_of(g, seam);
    const Length full = s && s->fullness != 1 ? side_length(g.pieces, s->a) * (s->fullness - 1) : Length{};
    return ease_for_cloth(g, seam, cloth) + gathered(g, seam) + full;
}

Outcome<bool> some_pinch(Length amount, const std::string& adjustment)
{
    if (amount == Length{}) return refuse(Why::AmountZero, adjustment);
    if (amount < Length{} || amount > paper_most)
        return refuse_amount(Why::AmountTooLarge, adjustment, amount, Length{}, paper_most);
    return true;
}

Outcome<bool> some_amount(Length amount, const std::string& adjustment)
{
    if (amount == Length{}) return refuse(Why::AmountZero, adjustment);
    if (abs(amount) > paper_most)
        return refuse_amount(Why::AmountTooLarge, adjustment, amount, -paper_most, paper_most);
    return true;
}

Outcome<double> turn_for(Length amount, double reach_mm, const std::string& adjustment)
{
    constexpr double eighth = std::numbers::pi / 4;
    const Length most = Length::mm(2 * reach_mm * std::sin(eighth / 2));
    if (abs(amount) > most) return refuse_amount(Why::AmountTooLarge, adjustment, amount, -most, most);
    return 2 * std::asin(amount.in_mm() / 2 / reach_mm);
}

Outcome<Applied> alter_front_and_back(const Garment& garment, const Dose& dose, const std::string& adjustment,
                                      Outcome<bool> (*alter_piece)(Applied&, Piece&, Length))
{
    if (const auto ok = some_amount(dose.front, adjustment); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        const auto ok = alter_piece(out, *find_piece(out.garment.pieces, role), dose.front);
        if (!ok) return tl::make_unexpected(ok.error());
    }
    return out;
}

Outcome<Applied> alter_apart(const Garment& garment, const Dose& dose, const std::string& adjustment,
                             const std::function<Outcome<bool>(Applied&, PieceRole, Length)>& alter_face)
{
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, adjustment);
    Applied out{garment, {}};
    for (const auto& [role, amount] :
         {std::pair{PieceRole::Front, dose.front}, std::pair{PieceRole::Back, dose.back}}) {
        if (amount == Length{}) continue;
        if (abs(amount) > paper_most)
            return refuse_amount(Why::AmountTooLarge, adjustment, amount, -paper_most, paper_most);
        if (const auto ok = alter_face(out, role, amount); !ok) return tl::make_unexpected(ok.error());
    }
    return out;
}

void record_side_waist(std::vector<Step>& steps, const Piece& before, const Piece& after, Length by,
                       StepKind redraw)
{
    const Point from = edge(before, EdgeRole::Side).curve.initialPoint();
    const Point to = from + Point{by.in_mm(), 0};
    Step mark = step_on(before, StepKind::MarkWaist, by);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(by)}};
    steps.push_back(std::move(mark));
    steps.push_back(redrawn_step(before, after, redraw, by));
}

Piece bottom_moved_at_centre(Applied& applied, const Piece& piece, Length amount)
{
    const Point by{0, -amount.in_mm()};
    const Piece after = bottom_redrawn(piece, {0, 0}, by);
    const Point from = edge(piece, EdgeRole::Centre).curve.initialPoint();
    Step mark = step_on(piece, StepKind::MarkBottomCentre, amount);
    mark.picture.lines = {{from, from + by}};
    mark.picture.dimensions = {{from, from + by, abs(amount)}};
    applied.steps.insert(applied.steps.end(), {mark, redrawn_step(piece, after, StepKind::RedrawBottom, amount)});
    return after;
}

Piece bottom_moved_at_side(Applied& applied, const Piece& piece, Length amount)
{
    const Curve& side = piece.edges[*edge_index(piece, EdgeRole::Side, true)].curve;
    const Point from = side.finalPoint();
    const Point by = end_direction(side) * amount.in_mm();
    const Piece after = bottom_redrawn(piece, by, {0, 0});
    Step mark = step_on(piece, StepKind::MarkBottomSide, amount);
    mark.picture.lines = {{from, from + by}};
    mark.picture.dimensions = {{from, from + by, abs(amount)}};
    applied.steps.insert(applied.steps.end(),
                         {mark, redrawn_step(piece, after, StepKind::RedrawBottomSide, amount)});
    return after;
}

}  // namespace sartorum
