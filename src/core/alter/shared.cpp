#include "core/alter/shared.h"

#include <algorithm>

#include "core/paper/bodice_redraw.h"
#include "core/paper/dart_redraw.h"
#include "core/paper/panels.h"
#include "core/paper/redraw.h"

namespace sartorum {

namespace {

// Front and back as they come out, the front's lower or upper end raised by the amount, the back's lowered.
void keep_matched(Applied& applied, Piece front_after, Piece back_after, Length raised)
{
    Piece& front = *find_piece(applied.garment.pieces, PieceRole::Front);
    Piece& back = *find_piece(applied.garment.pieces, PieceRole::Back);
    if (abs(raised) > Length::mm(0.5)) {
        applied.steps.push_back(redrawn_step(front, front_after, StepKind::MatchSides, raised));
        applied.steps.push_back(redrawn_step(back, back_after, StepKind::MatchSides, -raised));
    }
    front = std::move(front_after);
    back = std::move(back_after);
}

// Where a side notch lies along the sewn seam, and the notch at such a place.
std::optional<Length> along_side(const Piece& p, const Notch& n)
{
    Length along;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Side) continue;
        const auto near = nearest(e.curve, n.at);
        if (near.off < 0.1) return along + length_to(e.curve, near.time);
        along += length(e.curve);
    }
    return std::nullopt;
}

// The front's side notches marked again from the back's, in their order.
void match_side_notches(Piece& front, const Piece& back)
{
    std::vector<Length> wanted;
    for (const auto& n : back.notches) {
        const auto along = n.on == EdgeRole::Side ? along_side(back, n) : std::nullopt;
        if (along) wanted.push_back(*along);
    }
    std::size_t i = 0;
    for (auto& n : front.notches) {
        if (n.on != EdgeRole::Side || i >= wanted.size()) continue;
        n.at = point_at(front, place_along(front, EdgeRole::Side, wanted[i++]));
    }
}

}  // namespace

Outcome<bool> match_sides(Applied& applied)
{
    const Piece& front = *find_piece(applied.garment.pieces, PieceRole::Front);
    const Piece& back = *find_piece(applied.garment.pieces, PieceRole::Back);
    if (is_bodice(front)) {
        auto even = sides_evened(front, back, seam_ease(applied.garment, "side"));
        keep_matched(applied, std::move(even.front), std::move(even.back), even.raised);
        match_side_notches(*find_piece(applied.garment.pieces, PieceRole::Front),
                           *find_piece(applied.garment.pieces, PieceRole::Back));
        return true;
    }
    auto matched = sides_matched(front, back);
    if (!matched) return tl::make_unexpected(matched.error());
    keep_matched(applied, std::move(matched->front), std::move(matched->back), matched->raised);
    return true;
}

Length shoulder_ease(const Garment& g)
{
    return sewn_length(*find_piece(g.pieces, PieceRole::Back), EdgeRole::Shoulder) -
           sewn_length(*find_piece(g.pieces, PieceRole::Front), EdgeRole::Shoulder);
}

void match_shoulders(Applied& applied, Length ease)
{
    const Length half = (shoulder_ease(applied.garment) - ease) / 2.0;
    if (abs(half) < Length::mm(1e-9)) return;
    for (const auto& [role, by] : {std::pair{PieceRole::Front, half}, {PieceRole::Back, -half}}) {
        Piece& piece = *find_piece(applied.garment.pieces, role);
        const Curve seam = shoulder_run(piece);
        const Point along = Geom::unit_vector(seam.finalPoint() - seam.initialPoint());
        const Piece after = shoulder_redrawn(piece, {0, 0}, along * by.in_mm());
        if (abs(by) > Length::mm(0.5))
            applied.steps.push_back(redrawn_step(piece, after, StepKind::MatchShoulders, by));
        piece = after;
    }
}

Length seam_ease(const Garment& g, std::string_view seam)
{
    const auto it = std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& s) { return s.id == seam; });
    return it == g.seams.end() ? Length{} : it->ease;
}

void add_seam_ease(Garment& g, std::string_view seam, Length more)
{
    const auto it = std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& s) { return s.id == seam; });
    if (it != g.seams.end()) it->ease += more;
}

Length meant_ease(const Garment& g, std::string_view seam, const Cloth& cloth)
{
    const Length own = seam_ease(g, seam);
    if (seam != "armhole-front" && seam != "armhole-back") return own;
    const Length drafted = seam_ease(g, "armhole-front") + seam_ease(g, "armhole-back");
    const auto range = cap_ease_range(cloth);
    const Length wanted = std::clamp(drafted, range.least, range.most);
    if (wanted == drafted) return own;
    return abs(drafted) < Length::mm(0.5) ? wanted / 2.0 : own * (wanted / drafted);
}

Outcome<bool> taken_out(Length amount, const std::string& adjustment, Length most)
{
    if (amount == Length{}) return refuse(Why::AmountZero, adjustment);
    if (amount < Length{} || amount > most)
        return refuse_amount(Why::AmountTooLarge, adjustment, amount, Length{}, most);
    return true;
}

Outcome<bool> within(Length amount, const std::string& adjustment, Length limit)
{
    if (amount == Length{}) return refuse(Why::AmountZero, adjustment);
    if (abs(amount) > limit) return refuse_amount(Why::AmountTooLarge, adjustment, amount, -limit, limit);
    return true;
}

Outcome<Applied> alter_front_and_back(const Garment& garment, const Dose& dose, const std::string& adjustment,
                                      Length limit, Outcome<bool> (*alter_piece)(Applied&, Piece&, Length))
{
    if (const auto ok = within(dose.front, adjustment, limit); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        const auto ok = alter_piece(out, *find_piece(out.garment.pieces, role), dose.front);
        if (!ok) return tl::make_unexpected(ok.error());
    }
    return out;
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

Length sewn_waist(const Garment& g)
{
    return sewn_length(*find_piece(g.pieces, PieceRole::Front), EdgeRole::Waist) +
           sewn_length(*find_piece(g.pieces, PieceRole::Back), EdgeRole::Waist);
}

Outcome<bool> fit_band(Applied& applied, Length change)
{
    Piece* band = find_piece(applied.garment.pieces, PieceRole::Waistband);
    if (!band || abs(change) < Length::mm(0.05)) return true;
    const Edge& seam = edge(*band, EdgeRole::Waist);
    // The first notch inside the waist seam is the side notch; without one the middle of the seam does.
    const Point end = seam.curve.initialPoint();
    const Point fold = seam.curve.finalPoint();
    Point at = (end + fold) / 2;
    std::size_t side_notch = band->notches.size();
    for (std::size_t i = 0; i < band->notches.size(); ++i) {
        const Point n = band->notches[i].at;
        if (band->notches[i].on == EdgeRole::Waist && Geom::distance(n, end) > 5 && Geom::distance(n, fold) > 5) {
            at = n;
            side_notch = i;
            break;
        }
    }
    const Point along = Geom::unit_vector(end - fold);
    const auto square = Geom::rot90(along);
    const Point direction = square[Geom::Y] < 0 ? -square : square;
    if (-change.in_mm() > Geom::distance(at, end) - 10) {
        return refuse_amount(Why::AmountTooLarge, band->id, change, -Length::mm(Geom::distance(at, end) - 10),
                             Length::mm(400));
    }
    // Drawn upwards, the line has the fold on its left and the free end on its right.
    const auto spread = spread_across(*band, at, direction, along * change.in_mm());
    if (!spread) return tl::make_unexpected(spread.error());
    const Length place = Length::mm(Geom::distance(at, fold));
    Step cut{StepKind::CutBand,
             band->id,
             change,
             place,
             {},
             {},
             {{spread->cut.first, spread->cut.second}, {}, {}, {}, {}}};
    cut.picture.lines = {{spread->cut.enters, spread->cut.leaves}};
    Step move{change > Length{} ? StepKind::SpreadBand : StepKind::OverlapBand,
              band->id,
              abs(change),
              place,
              {},
              {},
              {}};
    Piece whole = spread->whole;
    for (auto& e : whole.edges) {  // the joints lie in straight edges: draw them as one line again
        e.curve = straight(e.curve.initialPoint(), e.curve.finalPoint());
    }
    if (side_notch < whole.notches.size()) {
        for (auto& n : whole.notches) {  // re-marked in the middle of the strip
            if (Geom::distance(n.at, at) < 1e-6 || Geom::distance(n.at, at + along * change.in_mm()) < 1e-6) {
                n.at = at + along * (change.in_mm() / 2);
            }
        }
    }
    move.picture.panels = {whole};
    (change > Length{} ? move.picture.added : move.picture.removed) = {spread->strip};
    move.picture.dimensions = {{spread->cut.enters, spread->cut.enters + along * change.in_mm(), abs(change)}};
    applied.steps.push_back(std::move(cut));
    applied.steps.push_back(std::move(move));
    *band = std::move(whole);
    return true;
}

}  // namespace sartorum
