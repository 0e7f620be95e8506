#include "core/alter/joins/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/rows.h"

namespace sartorum {
namespace {

struct Off {
    std::size_t dart;  // from the centre
    Length by;         // how far it must go, + to the side
};

std::vector<Off> off_in(const WaistRun& a, const WaistRun& b, const JointFace& face)
{
    std::vector<Off> out;
    for (const auto& pair : face.pairs) {
        if (pair.above >= a.darts.size() || pair.below >= b.darts.size()) continue;  // moved away since
        out.push_back({pair.below, a.darts[pair.above] + pair.apart - b.darts[pair.below]});
    }
    return out;
}

Length furthest(const std::vector<Off>& all)
{
    const auto it =
        std::max_element(all.begin(), all.end(), [](const Off& x, const Off& y) { return abs(x.by) < abs(y.by); });
    return it == all.end() ? Length{} : it->by;
}

Outcome<bool> slide(Applied& out, const Garment& above, PieceRole role, const JointFace& face, Length amount)
{
    if (amount == Length{}) return true;
    Piece& piece = *find_piece(out.garment.pieces, role);
    const auto off = off_in(lower_run(above, role), upper_run(out.garment, role), face);
    if (off.empty()) return refuse(Why::NoDartToMeet, "joined_darts");
    const Length most = furthest(off);
    for (const auto& o : off) {
        // Her own amount is what the furthest goes; where none is off, all go by it.
        const Length by = abs(most) < Length::mm(1e-6) ? amount : o.by * (amount / most);
        if (abs(by) < Length::mm(0.05)) continue;
        const auto mouth = waist_mouths(piece)[o.dart];
        if (const auto ok = slide_fold(out.steps, piece, mouth, by, StepKind::SlideDart); !ok) return ok;
    }
    return true;
}

}  // namespace

Outcome<Applied> alter_joined_darts(const Garment& below, const Across& across, const Dose& dose)
{
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, "joined_darts");
    Applied out{below, {}};
    const auto& [above, joint] = across;
    if (const auto ok = slide(out, above, PieceRole::Front, joint.front, dose.front); !ok)
        return tl::make_unexpected(ok.error());
    if (const auto ok = slide(out, above, PieceRole::Back, joint.back, dose.back); !ok)
        return tl::make_unexpected(ok.error());
    return out;
}

namespace {

std::optional<Proposal> propose_joined_darts(const FittingState& s)
{
    if (!s.across) return std::nullopt;
    const Garment& above = s.across->above;
    const Joint& joint = s.across->joint;
    const auto of = [&](PieceRole role, const JointFace& face) {
        const Length by = furthest(off_in(lower_run(above, role), upper_run(s.now, role), face));
        return abs(by) < joins_within ? Length{} : by;
    };
    const Length front = of(PieceRole::Front, joint.front);
    const Length back = of(PieceRole::Back, joint.back);
    if (front == Length{} && back == Length{}) return std::nullopt;
    Proposal out{front, {}, front, {}, Against::PartAbove};
    out.back = back;
    return out;
}

}  // namespace

Adjustment joined_darts_row()
{
    return {
        .kind = AdjustmentKind::JoinedDarts,
        .key = "joined_darts",
        .zone = Zone::Widths,
        .rank = 310,
        .acts_on = ActsOn::Apart,
        .least = -joined_darts_limit,
        .most = joined_darts_limit,
        .needs = {},
        .apply = nullptr,
        .place = at_waist_dart,
        .propose = propose_joined_darts,
        .at_join = AtJoin::OnlyBelow,
        .apply_across = alter_joined_darts,
        .reads_above = true,
    };
}

}  // namespace sartorum
