#include "core/plan/overview.h"

#include <algorithm>

namespace sartorum {
namespace {

std::vector<const PlanLine*> once_each(const Computed& c)
{
    std::vector<const PlanLine*> out;
    for (const auto& line : c.lines) {
        const auto same = [&](const PlanLine* other) { return other->kind == line.kind; };
        if (std::none_of(out.begin(), out.end(), same)) out.push_back(&line);
    }
    return out;
}

}  // namespace

Shows shows_as(const PlanLine& line)
{
    switch (line.state) {
        case LineState::Accepted: return Shows::Accepted;
        case LineState::Proposed: return Shows::Proposed;
        case LineState::Refused:
        case LineState::NotOnPaper: return Shows::NotDone;
        case LineState::LeaveIt:
        case LineState::Declined:
        case LineState::NothingKnown: return Shows::Quiet;
    }
    return Shows::Quiet;
}

std::vector<const PlanLine*> standing_out(const Computed& c)
{
    auto out = once_each(c);
    std::erase_if(out, [](const PlanLine* l) { return shows_as(*l) == Shows::Quiet; });
    return out;
}

std::vector<const PlanLine*> left_alone(const Computed& c, Zone zone)
{
    auto out = once_each(c);
    std::erase_if(
        out, [&](const PlanLine* l) { return shows_as(*l) != Shows::Quiet || adjustment(l->kind).zone != zone; });
    return out;
}

std::vector<Zone> zones_of(const Computed& c)
{
    std::vector<Zone> out;
    for (const auto& line : c.lines) {
        const Zone zone = adjustment(line.kind).zone;
        if (std::find(out.begin(), out.end(), zone) == out.end()) out.push_back(zone);
    }
    return out;
}

QuietCount count_quiet(const std::vector<const PlanLine*>& lines)
{
    QuietCount out;
    for (const auto* l : lines) {
        const bool nothing = l->proposal && abs(l->proposal->amount) < to_the_eye;
        const bool waits = l->state == LineState::LeaveIt && (l->proposal->leave() == Leave::SignFirst ||
                                                              l->proposal->leave() == Leave::AnswerFirst);
        if (l->state == LineState::Declined) {
            ++out.declined;
        } else if (!waits && (l->state == LineState::LeaveIt || nothing)) {
            ++out.in_order;
        } else {
            ++out.unknown;
        }
    }
    return out;
}

}  // namespace sartorum
