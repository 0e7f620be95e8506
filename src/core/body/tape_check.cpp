#include "core/body/tape_check.h"

#include <algorithm>
#include <cmath>

namespace sartorum {
namespace {

constexpr Length least_ruler = Length::mm(100);
constexpr Length most_ruler = Length::mm(3000);
constexpr double most_off = 0.05;

Length mark_deviation()
{
    return Length::mm(1.0 / std::sqrt(12.0));
}

}  // namespace

Outcome<TapeCheck> TapeCheck::from(std::vector<TapeAtRuler> at)
{
    for (const auto& c : at) {
        if (c.ruler < least_ruler || c.ruler > most_ruler) {
            return refuse_amount(Why::OutOfRange, "ruler", c.ruler, least_ruler, most_ruler);
        }
        const Length off = c.ruler * most_off;
        if (abs(c.tape - c.ruler) > off) {
            return refuse_amount(Why::OutOfRange, "tape_shows", c.tape, c.ruler - off, c.ruler + off);
        }
    }
    std::sort(at.begin(), at.end(), [](const auto& a, const auto& b) { return a.ruler < b.ruler; });
    if (at.size() > 2) return refuse(Why::TapeCheckTooMany, "ruler");
    if (at.size() == 2 && (at[1].ruler - at[0].ruler < least_ruler || at[1].tape <= at[0].tape)) {
        return refuse(Why::TapeChecksTooClose, "ruler");
    }
    TapeCheck out;
    out.at_ = std::move(at);
    return out;
}

double TapeCheck::factor() const
{
    if (at_.empty()) return 1.0;
    if (at_.size() == 1) return at_[0].ruler / at_[0].tape;
    return (at_[1].ruler - at_[0].ruler) / (at_[1].tape - at_[0].tape);
}

Length TapeCheck::worn() const
{
    return at_.size() < 2 ? Length{} : at_[0].ruler - at_[0].tape * factor();
}

Length TapeCheck::corrected(Length reading) const
{
    return reading * factor() + worn();
}

Length TapeCheck::left_on(Length reading) const
{
    if (at_.empty()) return {};
    if (at_.size() == 1) return mark_deviation() * (factor() * (reading / at_[0].tape));
    const double t = (reading - at_[0].tape) / (at_[1].tape - at_[0].tape);
    return mark_deviation() * (factor() * std::hypot(1.0 - t, t));
}

}  // namespace sartorum
