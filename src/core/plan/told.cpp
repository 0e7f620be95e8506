#include "core/plan/told.h"

#include <algorithm>
#include <set>
#include <span>
#include <string>

#include "core/check/face_up.h"

namespace sartorum {
namespace {

// No hand draws the difference.
constexpr Length same_amount = Length::mm(0.25);
constexpr Length same_place = Length::mm(0.5);
constexpr Length least_told = Length::mm(0.5);

bool same_words(const Step& a, const Step& b)
{
    const auto near = [](Length x, Length y) { return abs(x - y) <= same_place; };
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
    const auto little = [](Length by) { return abs(by) < least_told; };
    const bool some = line.amount != Length{} || line.back != Length{};
    return some && little(line.amount) && little(line.back) &&
           std::all_of(line.at.begin(), line.at.end(), little) &&
           std::all_of(steps.begin(), steps.end(), [&](const Step& s) { return little(s.amount); });
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
        if (std::equal(right.begin(), right.end(), left.begin(), left.end(), same_words)) {
            for (std::size_t i = 0; i < right.size(); ++i)
                out.push_back({.step = &right[i], .on_left = &left[i], .line = &line});
            continue;
        }
        for (const auto& s : right)
            out.push_back(
                {.step = &s, .side = Side::Right, .line = &line, .turned = left_drawn.contains(s.piece)});
        for (const auto& s : left)
            out.push_back(
                {.step = &s, .side = Side::Left, .line = &line, .turned = !left_drawn.contains(s.piece)});
    }
    return out;
}

}  // namespace sartorum
