#include "core/alter/joins/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/gore_flank.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/gathers.h"
#include "core/alter/widths/rows.h"
#include "core/paper/redraw/side.h"

namespace sartorum {
namespace {

struct Face {
    PieceRole role;
    Length wanted;                  // of closed waist, more
    Length out;                     // of each of its flanks at the waist
    std::optional<Length> freed{};  // of its gathers, where those can give it
};

// What is gathered there gives before a seam moves.
Face face_for(const Garment& below, PieceRole role, Length amount)
{
    if (gathers_can_give(below, role, amount)) return {role, amount, {}, amount};
    return {role, amount, amount / static_cast<double>(flanks_of(below.pieces, role).size())};
}

// One side seam, or flank, moved.
Outcome<bool> move_side(std::vector<Step>& steps, Piece& piece, const Face& face, bool whole_seam)
{
    auto after = side_moved(piece, face.out, whole_seam ? face.out : Length{});
    if (!after) return tl::make_unexpected(after.error());
    record_side_waist(steps, piece, *after, face.out,
                      whole_seam ? StepKind::RedrawWholeSide : StepKind::RedrawWaist);
    piece = std::move(*after);
    return true;
}

// Those of that face; where it leaves steps, those of a hand.
Outcome<bool> move_flanks(Applied& out, const Face& face, bool whole_seam)
{
    if (face.out == Length{}) return true;
    return on_flanks(out, face.role, [&](std::vector<Step>& steps, Piece& plain) {
        return move_side(steps, plain, face, whole_seam);
    });
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
    Face faces[] = {face_for(below, PieceRole::Front, dose.front), face_for(below, PieceRole::Back, dose.back)};
    constexpr int most_rounds = 12;
    for (int i = 0;; ++i) {
        Applied out{below, {}};
        for (const auto& face : faces) {
            free_gathers(out, face.role, face.freed.value_or(Length{}));
            if (const auto ok = move_flanks(out, face, gathered); !ok) return tl::make_unexpected(ok.error());
        }
        if (const auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
        Length worst;
        for (auto& face : faces) {
            const Length gained = upper_run(out.garment, face.role).length - upper_run(below, face.role).length;
            worst = std::max(worst, abs(face.wanted - gained));
            if (face.freed)
                *face.freed += face.wanted - gained;
            else
                face.out += next_share(face.wanted - gained, face.out, gained,
                                       static_cast<double>(flanks_of(below.pieces, face.role).size()));
        }
        if (worst >= Length::mm(0.005) && i < most_rounds) continue;
        between_tucks(out, below);
        return out;
    }
}

namespace {

Length lacking(const Garment& above, const Garment& below, PieceRole role, const JointFace& face, double fullness)
{
    return lower_run(above, role).length * fullness + face.longer - upper_run(below, role).length;
}

// So much longer than the waist above as it was drawn to be, and what the skirt has.
std::optional<Proposal> propose_joined_waist(const FittingState& s)
{
    if (!s.across) return std::nullopt;
    const auto& [above, joint] = *s.across;
    const Length front = lacking(above, s.now, PieceRole::Front, joint.front, joint.fullness);
    const Length back = lacking(above, s.now, PieceRole::Back, joint.back, joint.fullness);
    if (abs(front) + abs(back) < joins_within) return std::nullopt;
    const Length has = upper_run(s.now, PieceRole::Front).length + upper_run(s.now, PieceRole::Back).length;
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
        .needs = {},
        .apply = nullptr,
        .place = at_side_waist,
        .propose = propose_joined_waist,
        .at_join = AtJoin::OnlyBelow,
        .apply_across = alter_joined_waist,
    };
}

}  // namespace sartorum
