#include "core/plan/single_adjustment.h"

#include <algorithm>
#include <cmath>
#include <exception>
#include <new>

#include "core/alter/kit/catalogue.h"
#include "core/paper/guides.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/princess.h"

namespace sartorum {
namespace {

// Panels trued, lines across still from edge to edge, and nothing on the paper that no hand can cut.
Outcome<Applied> done_whole(const Doing& doing, const Dose& dose)
{
    const auto& [entry, was, across] = doing;
    auto out = entry.apply_across ? entry.apply_across(was, *across, dose) : entry.apply(was, dose);
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

// What no line can be drawn for, and a library that gives up on an amount, end this adjustment, not the whole
// plan.
Outcome<Applied> done_once(const Doing& doing, const Dose& dose)
{
    try {
        return done_whole(doing, dose);
    } catch (const std::bad_alloc&) {
        throw;
    } catch (const std::exception&) {
        return refuse(Why::PaperCrosses, std::string{doing.entry.key});
    }
}

// The first amount that is further than any paper is carried.
std::optional<Refusal> beyond_all(const Adjustment& entry, const Dose& dose)
{
    const Length most = far_beyond(entry, dose.method);
    std::vector<Length> all{dose.front, dose.back};
    all.insert(all.end(), dose.at.begin(), dose.at.end());
    for (const Length by : all) {
        if (abs(by) > most) return Refusal{Why::AmountTooLarge, std::string{entry.key}, by, {}, {}, 0};
    }
    return std::nullopt;
}

// Where an amount ruins the outline it is refused with the most that does not, found by halving.
Outcome<Applied> done_soundly(const Doing& doing, const Dose& dose)
{
    if (auto beyond = beyond_all(doing.entry, dose)) return tl::make_unexpected(std::move(*beyond));
    auto out = done_once(doing, dose);
    if (out || out.error().why != Why::PaperCrosses) return out;
    // Near what is refused unseen the bound is said less finely, and on the safe side.
    const Length wild_from = far_beyond(doing.entry, dose.method) * (2.0 / 3);
    const bool wild = abs(dose.front) > wild_from || abs(dose.back) > wild_from;
    const int halvings = wild ? 4 : 8;
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

Attempted attempted(const Doing& doing, const Dose& dose, const Proposal* asked)
{
    Attempted out{dose, done_soundly(doing, dose)};
    if (out.applied || !asked) return out;
    const auto less = most_carried(out.applied.error(), dose, *asked);
    if (!less) return out;
    if (auto again = done_soundly(doing, *less)) return {*less, std::move(again), out.applied.error()};
    return out;
}

}  // namespace sartorum
