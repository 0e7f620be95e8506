#include "core/body/body_set.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace sartorum {

std::string_view key(Side side)
{
    return side == Side::Left ? "left" : "right";
}

std::string_view key(const std::optional<Side>& side)
{
    return side ? key(*side) : "both";
}

std::optional<std::optional<Side>> side_said(std::string_view word)
{
    for (const std::optional<Side> side :
         {std::optional<Side>{}, std::optional{Side::Right}, std::optional{Side::Left}}) {
        if (word == key(side)) return side;
    }
    return std::nullopt;
}

std::optional<Side> side_of_key(std::string_view word)
{
    return side_said(word).value_or(std::nullopt);
}

std::optional<Measure> measure_of_key(std::string_view key)
{
    for (const auto& f : all_measures) {
        if (f.key == key) return f.measure;
    }
    return std::nullopt;
}

Length Repeatability::of(MeasureKind kind) const
{
    switch (kind) {
        case MeasureKind::Girth: return girth;
        case MeasureKind::Along:
        case MeasureKind::Wish: return along;
        case MeasureKind::Height: return height;
        case MeasureKind::Crotch: return crotch;
    }
    return along;
}

Outcome<Length> check_reading(Measure m, Length reading)
{
    const auto& f = facts(m);
    if (reading <= Length{}) return refuse_amount(Why::NotPositive, std::string{f.key}, reading, f.least, f.most);
    if (reading < f.least || reading > f.most) {
        return refuse_amount(Why::OutOfRange, std::string{f.key}, reading, f.least, f.most);
    }
    return reading;
}

namespace {

// How near the next reading lies to the middle one; of an even number the two in the middle.
Length beside_middle(const std::vector<Length>& sorted)
{
    const std::size_t n = sorted.size();
    const std::size_t at = n / 2;
    const Length below = sorted[at] - sorted[at - 1];
    return n % 2 == 0 ? below : std::min(below, sorted[at + 1] - sorted[at]);
}

}  // namespace

std::optional<Taken> take(Measure m, const std::vector<Length>& readings, const TapeCheck& tape,
                          const Repeatability& hand)
{
    if (readings.empty()) return std::nullopt;
    const auto& f = facts(m);
    auto sorted = readings;
    std::sort(sorted.begin(), sorted.end());
    Taken out;
    out.apart = sorted.back() - sorted.front();
    const std::size_t n = sorted.size();
    const Length s = hand.of(f.kind);
    if (n == 1) {
        // A wished length is decided, not measured: once is enough.
        out.state = f.kind == MeasureKind::Wish ? ReadingState::Agree : ReadingState::OneMore;
        out.value = sorted[0];
        out.spread = s * 2.0;
    } else if (n == 2) {
        out.state = out.apart <= f.disagree() ? ReadingState::Agree : ReadingState::ThirdAsked;
        out.value = (sorted[0] + sorted[1]) / 2.0;
        out.spread = out.state == ReadingState::Agree ? s * std::numbers::sqrt2 : std::max(out.apart, s * 2.0);
    } else {
        out.value = n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2.0;
        // A blunder is left aside where the middle one has company; without it nobody knows which is right.
        const Length company = beside_middle(sorted);
        out.state = company <= f.disagree() ? ReadingState::MiddleTaken : ReadingState::NoneAgree;
        const Length usual = s * (2.0 * std::sqrt(1.0 - std::numbers::sqrt3 / std::numbers::pi));
        out.spread = out.state == ReadingState::MiddleTaken ? usual : std::max(usual, company);
    }
    out.as_read = out.value;
    if (!tape.empty() && f.kind != MeasureKind::Wish) {
        out.value = tape.corrected(out.as_read);
        out.spread =
            Length::mm(std::hypot(out.spread.in_mm() * tape.factor(), 2.0 * tape.left_on(out.as_read).in_mm()));
    }
    return out;
}

std::optional<Taken> BodySet::taken(Measure m, Side s) const
{
    const auto it = side(s).find(m);
    return it == side(s).end() ? std::nullopt : take(m, it->second, tape, hand);
}

std::optional<Taken> BodySet::taken(Measure m) const
{
    auto right = taken(m, Side::Right);
    auto other = taken(m, Side::Left);
    if (!right || (other && other->value > right->value)) return other;
    return right;
}

BodySet one_sided(const BodySet& body, Side side)
{
    BodySet out = body;
    out.left.clear();
    for (const auto& [m, left] : body.left) {
        const bool of_left = side == Side::Left || out.readings[m].empty();
        if (of_left && !left.empty()) out.readings[m] = left;
    }
    return out;
}

bool sides_differ(const BodySet& body)
{
    return std::any_of(body.left.begin(), body.left.end(), [&](const auto& read) {
        const auto right = body.taken(read.first, Side::Right);
        const auto left = body.taken(read.first, Side::Left);
        return right && left && right->value != left->value;
    });
}

std::optional<double> shoulder_slope_degrees(const BodySet& set, Side side)
{
    const auto either = [&](Measure m) {
        const auto t = set.taken(m, side);
        return t ? t : set.taken(m);
    };
    const auto neck = set.taken(Measure::NeckPointHeight);
    const auto tip = either(Measure::ShoulderTipHeight);
    const auto length = either(Measure::ShoulderLength);
    if (!neck || !tip || !length) return std::nullopt;
    const double sine = (neck->value - tip->value) / length->value;
    if (sine <= -0.2 || sine >= 0.8) return std::nullopt;
    return std::asin(sine) * 180.0 / std::numbers::pi;
}

Repeatability pooled_repeatability(const std::vector<BodySet>& sets)
{
    constexpr double start_pairs = 8;
    Repeatability out;
    const auto pooled = [&](MeasureKind kind, Length start) {
        double squares = start_pairs * start.in_mm() * start.in_mm();
        double pairs = start_pairs;
        for (const auto& set : sets) {
            for (const auto* readings : {&set.readings, &set.left}) {
                for (const auto& [m, values] : *readings) {
                    if (facts(m).kind != kind || values.size() < 2) continue;
                    const double d = (values[1] - values[0]).in_mm();
                    // A blunder is what the third reading is for; it says nothing about the hand.
                    if (std::abs(d) > 2.0 * facts(m).disagree().in_mm()) continue;
                    squares += d * d / 2.0;
                    pairs += 1;
                }
            }
        }
        return Length::mm(std::sqrt(squares / pairs));
    };
    out.girth = pooled(MeasureKind::Girth, out.girth);
    out.along = pooled(MeasureKind::Along, out.along);
    out.height = pooled(MeasureKind::Height, out.height);
    out.crotch = pooled(MeasureKind::Crotch, out.crotch);
    return out;
}

}  // namespace sartorum
