#include "core/fitting/next_toile.h"

#include <algorithm>

namespace sartorum {
namespace {

bool same_place(const Note& a, const Note& b)
{
    return a.seen.sight == b.seen.sight && (a.seen.side == b.seen.side || !a.seen.side || !b.seen.side);
}

}  // namespace

std::vector<Note> asked_again(const TryOn& before, const TryOn& now)
{
    std::vector<Note> out;
    for (const auto& n : before.notes) {
        const bool answered = std::any_of(now.notes.begin(), now.notes.end(),
                                          [&](const Note& other) { return same_place(n, other); });
        if (n.here() && !answered) out.push_back(seen_again(n, Since::Same));
    }
    return out;
}

Note seen_again(const Note& before, Since since)
{
    Note out = before;
    out.since = since;
    out.words.clear();
    if (since == Since::Less) out.seen.strength = Strength::Slight;
    if (since == Since::More) out.seen.strength = Strength::Clear;
    return out;
}

Tally tally(const TryOn& t)
{
    Tally out;
    for (const auto& n : t.notes) {
        switch (n.since) {
            case Since::New: ++out.fresh; break;
            case Since::Less: ++out.less; break;
            case Since::Same:
            case Since::More: ++out.same; break;
            case Since::Gone: ++out.gone; break;
        }
    }
    return out;
}

Looked looked(const TryOn& last, const TryOn* before)
{
    const bool said = !last.notes.empty() || !last.answers.empty() || !last.found.empty();
    const bool nothing = last.nothing_to_see && last.notes.empty();
    return {said || nothing, tally(last).here(), before && !nothing ? asked_again(*before, last).size() : 0};
}

}  // namespace sartorum
