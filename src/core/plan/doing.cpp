#include "core/plan/doing.h"

#include <algorithm>
#include <cmath>
#include <exception>
#include <new>

#include "core/paper/guides.h"
#include "core/paper/princess_redraw.h"
#include "core/paper/sound.h"

namespace sartorum {
namespace {

// A library that gives up on an amount does so for this adjustment, not for the whole plan.
Outcome<Applied> done_alone(const Doing& doing, const Dose& dose)
{
    const auto& [entry, was, across] = doing;
    try {
        return entry.apply_across ? entry.apply_across(was, *across, dose) : entry.apply(was, dose);
    } catch (const std::bad_alloc&) {
        throw;
    } catch (const std::exception&) {
        return refuse(Why::PaperCrosses, std::string{entry.key});
    }
}

// Panels trued, lines across still from edge to edge, and nothing on the paper that no hand can cut.
Outcome<Applied> done_once(const Doing& doing, const Dose& dose)
{
    auto out = done_alone(doing, dose);
    if (!out) return out;
    settle_princess(out->garment.pieces);
    for (auto& p : out->garment.pieces) {
        const Piece* before = find_piece(doing.was.pieces, p.id);
        if (!before || same_paper(*before, p)) continue;
        drop_slivers(p);
        keep_lines_across(p, *before);
        if (unsound(p) && !unsound(*before)) return refuse(Why::PaperCrosses, std::string{doing.entry.key});
    }
    return out;
}

// Where an amount ruins the outline it is refused with the most that does not, found by halving.
Outcome<Applied> done_soundly(const Doing& doing, const Dose& dose)
{
    auto out = done_once(doing, dose);
    if (out || out.error().why != Why::PaperCrosses) return out;
    constexpr int halvings = 8;
    double sound = 0;
    double ruined = 1;
    for (int i = 0; i < halvings; ++i) {
        const double middle = (sound + ruined) / 2;
        (done_once(doing, dose.scaled(middle)) ? sound : ruined) = middle;
    }
    const Length given = abs(dose.front) < abs(dose.back) ? dose.back : dose.front;
    const Length most = given * sound;
    return refuse_amount(Why::PaperCrosses, std::string{doing.entry.key}, given, std::min(most, Length{}),
                         std::max(most, Length{}));
}

// The most that was said to be carried of a dose; none where that is nothing anybody would sew.
std::optional<Dose> most_carried(const Refusal& why, const Dose& dose, const Proposal& asked)
{
    constexpr Length whole = Length::mm(0.5);
    const Length larger = abs(dose.front) < abs(dose.back) ? dose.back : dose.front;
    const Length bound = larger < Length{} ? why.low : why.high;
    if (bound == Length{} || abs(bound) >= abs(larger) || (bound < Length{}) != (larger < Length{})) return {};
    const double share = whole * std::floor(bound / larger * (abs(larger) / whole)) / abs(larger);
    Proposal less = asked;
    less.amount = asked.amount * share;
    if (less.leave() != Leave::No) return {};
    return dose.scaled(share);
}

}  // namespace

Tried tried(const Doing& doing, const Dose& dose, const Proposal* asked)
{
    Tried out{dose, done_soundly(doing, dose)};
    if (out.applied || !asked) return out;
    const auto less = most_carried(out.applied.error(), dose, *asked);
    if (!less) return out;
    if (auto again = done_soundly(doing, *less)) return {*less, std::move(again), out.applied.error()};
    return out;
}

}  // namespace sartorum
