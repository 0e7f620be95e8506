#include "core/plan/step_telling.h"

#include <algorithm>
#include <set>
#include <span>
#include <string>

#include "core/check/face_up.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

// No hand draws the difference.
constexpr Length same_amount = Length::mm(0.25);

bool same_words(const Step& a, const Step& b)
{
    const auto near = [](Length x, Length y) { return abs(x - y) <= least_by_hand; };
    return a.kind == b.kind && a.piece == b.piece && abs(a.amount - b.amount) <= same_amount &&
           near(a.place, b.place) && near(a.second, b.second) && a.on == b.on;
}

std::span<const Step> of_line(const std::vector<Step>& steps, const PlanLine& line)
{
    return std::span{steps}.subspan(line.first_step, line.steps);
}

// So little that nobody draws it, in no step and at no place: the paper is as it was.
bool too_little(std::span<const Step> steps, const PlanLine& line)
{
    const auto little = [](Length by) { return abs(by) < least_by_hand; };
    const bool some = line.amount != Length{} || line.back != Length{};
    return some && little(line.amount) && little(line.back) &&
           std::all_of(line.at.begin(), line.at.end(), little) &&
           std::all_of(steps.begin(), steps.end(), [&](const Step& s) { return little(s.amount); });
}

// Half a millimetre, or as little on each of several that come to more all round.
bool worth_drawing(const Step& s, std::span<const Step> all)
{
    if (s.amount == Length{} || abs(s.amount) >= least_by_hand) return true;
    Length together;
    for (const auto& other : all) {
        if (other.kind == s.kind) together += abs(other.amount);
    }
    return abs(s.amount) >= same_amount && together >= least_by_hand;
}

// The one takes back what the other does, in the same place of the same piece.
bool take_each_other_back(const Step& a, const Step& b)
{
    Step reverse = b;
    reverse.amount = -b.amount;
    return a.amount != Length{} && same_words(a, reverse);
}

std::vector<const Step*> told_of(std::span<const Step> all)
{
    std::vector<const Step*> out;
    for (const auto& s : all) {
        if (!worth_drawing(s, all)) continue;
        const auto back = std::find_if(out.begin(), out.end(),
                                       [&](const Step* before) { return take_each_other_back(*before, s); });
        if (back == out.end())
            out.push_back(&s);
        else
            out.erase(back);
    }
    std::vector<std::string> pieces;
    for (const auto* s : out) {
        if (std::find(pieces.begin(), pieces.end(), s->piece) == pieces.end()) pieces.push_back(s->piece);
    }
    const auto place = [&](const Step* s) { return std::find(pieces.begin(), pieces.end(), s->piece); };
    std::stable_sort(out.begin(), out.end(), [&](const Step* a, const Step* b) { return place(a) < place(b); });
    return out;
}

}  // namespace

std::vector<ToldStep> told_steps(const Computed& c)
{
    std::vector<ToldStep> out;
    // Until something is done with it, the steps it was cut by.
    const bool sewn = std::any_of(c.lines.begin(), c.lines.end(),
                                  [](const PlanLine& l) { return adjustment(l.kind).when_sewn && l.steps > 0; });
    for (std::size_t i = 0; !sewn && i < c.trace_steps; ++i) out.push_back({.step = &c.steps[i]});
    if (c.left && !sewn) {
        for (const auto& s : c.left->traced) out.push_back({.step = &s});
    }
    const auto left_drawn = c.left ? left_as_drawn(c.altered) : std::set<std::string>{};
    for (const auto& line : c.lines) {
        if (sewn && !adjustment(line.kind).when_sewn) continue;
        const PlanLine* other = c.left_of(line);
        const auto right = of_line(c.steps, line);
        const auto left = other ? of_line(c.left->steps, *other) : right;
        if (too_little(right, line) && (!other || too_little(left, *other))) continue;
        const auto on_right = told_of(right);
        const auto on_left = other ? told_of(left) : on_right;
        const auto same = [](const Step* a, const Step* b) { return same_words(*a, *b); };
        if (std::equal(on_right.begin(), on_right.end(), on_left.begin(), on_left.end(), same)) {
            for (std::size_t i = 0; i < on_right.size(); ++i)
                out.push_back({.step = on_right[i], .on_left = on_left[i], .line = &line});
            continue;
        }
        for (const auto* s : on_right)
            out.push_back(
                {.step = s, .side = Side::Right, .line = &line, .turned = left_drawn.contains(s->piece)});
        for (const auto* s : on_left)
            out.push_back(
                {.step = s, .side = Side::Left, .line = &line, .turned = !left_drawn.contains(s->piece)});
    }
    return out;
}

}  // namespace sartorum
