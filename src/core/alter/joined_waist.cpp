#include "core/alter/joined_waist.h"

#include "core/alter/match.h"
#include "core/alter/places.h"
#include "core/alter/propose.h"
#include "core/alter/shared.h"
#include "core/paper/redraw.h"

namespace sartorum {
namespace {

struct Face {
    PieceRole role;
    Length wanted;  // of closed waist, more
    Length out;     // of the side seam at the waist
};

// The side seam of that face moved; where it leaves steps, those of a hand.
Outcome<bool> move_side(Applied& out, const Face& face, bool whole_seam)
{
    if (face.out == Length{}) return true;
    Piece& piece = *find_piece(out.garment.pieces, face.role);
    auto after = side_moved(piece, face.out, whole_seam ? face.out : Length{});
    if (!after) return tl::make_unexpected(after.error());
    const Point from = edge(piece, EdgeRole::Side).curve.initialPoint();
    const Point to = from + Point{face.out.in_mm(), 0};
    Step mark = step_on(piece, StepKind::MarkWaist, face.out);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(face.out)}};
    out.steps.insert(
        out.steps.end(),
        {mark,
         redrawn_step(piece, *after, whole_seam ? StepKind::RedrawWholeSide : StepKind::RedrawWaist, face.out)});
    piece = std::move(*after);
    return true;
}

}  // namespace

// Evening the side seams moves the waist's ends a little: what is moved out is what leaves the waist as wanted.
Outcome<Applied> alter_joined_waist(const Garment& below, const Across& across, const Dose& dose)
{
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, "joined_waist");
    for (const auto amount : {dose.front, dose.back}) {
        if (abs(amount) > paper_most)
            return refuse_amount(Why::AmountTooLarge, "joined_waist", amount, -paper_most, paper_most);
    }
    const bool gathered = across.joint.fullness >= gathered_from;
    Face faces[] = {{PieceRole::Front, dose.front, dose.front}, {PieceRole::Back, dose.back, dose.back}};
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        Applied out{below, {}};
        for (const auto& face : faces) {
            if (const auto ok = move_side(out, face, gathered); !ok) return tl::make_unexpected(ok.error());
        }
        if (const auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
        Length worst;
        for (auto& face : faces) {
            const Length gained = sewn_length(*find_piece(out.garment.pieces, face.role), EdgeRole::Waist) -
                                  sewn_length(*find_piece(below.pieces, face.role), EdgeRole::Waist);
            worst = std::max(worst, abs(face.wanted - gained));
            face.out += face.wanted - gained;
        }
        if (worst < Length::mm(0.005) || i == most_rounds) return out;
    }
}

namespace {

Length lacking(const Piece& above, const Piece& below, const JointFace& face, double fullness)
{
    return waist_run(above).length * fullness + face.longer - waist_run(below).length;
}

// So much longer than the waist above as it was drawn to be, and what the skirt has.
std::optional<Proposal> propose_joined_waist(const FittingState& s)
{
    if (!s.across) return std::nullopt;
    const auto& [above, joint] = *s.across;
    const Length front = lacking(front_of(above), front_of(s.now), joint.front, joint.fullness);
    const Length back = lacking(back_of(above), back_of(s.now), joint.back, joint.fullness);
    if (abs(front) + abs(back) < joins_within) return std::nullopt;
    const Length has = waist_run(front_of(s.now)).length + waist_run(back_of(s.now)).length;
    Proposal out{front, {}, (has + front + back) * 2.0, has * 2.0, Against::PartAbove};
    out.back = back;
    return out;
}

}  // namespace

Adjustment joined_waist_row()
{
    return {
        .kind = AdjustmentKind::JoinedWaist,
        .key = "joined_waist",
        .zone = Zone::Widths,
        .rank = 300,
        .acts_on = ActsOn::Apart,
        .least = -joined_waist_limit,
        .most = joined_waist_limit,
        .needs = {Level::Waist},
        .apply = nullptr,
        .place = at_side_waist,
        .propose = propose_joined_waist,
        .at_join = AtJoin::OnlyBelow,
        .apply_across = alter_joined_waist,
    };
}

}  // namespace sartorum
