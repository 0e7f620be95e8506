// gate.h: before good cloth is cut: what changed since a body last saw it, which part of a toile would show it,
// and what is left to look at on the last one.
//
// Common practice: a change nobody has worn is looked at on the smallest toile that shows it; a hem is settled on
// the garment itself. How much can go unseen, from memory: 5 mm, and 10 mm of a girth.
#pragma once
#include "core/fitting/next_toile.h"
#include "core/plan/compute.h"

namespace sartorum {

struct Moved {
    AdjustmentKind kind{};
    PartKind part{};
    Length was;
    Length now;  // of the face it moved most on, the right side's where only one moved
    bool small = false;
    bool other_way = false;  // done in another of its ways
    [[nodiscard]] Length by() const { return now - was; }
};
// In fitting order; what is applied counts, not what is proposed.
[[nodiscard]] std::vector<Moved> moved_since(const Computed& seen, const Computed& now);

enum class NextLook { Nothing, OneSleeve, Shoulders, UpperPart, LowerPart, Whole };
struct Gate {
    std::vector<Moved> moved{};
    bool never_seen = false;
    bool sizes_changed = false;
    NextLook look{};
    bool made_otherwise = false;  // pieces left out, brought in, an opening moved
    Looked looked{};              // of the last toile
    // The same garment, as far as it was decided.
    [[nodiscard]] bool same() const { return !never_seen && moved.empty() && !sizes_changed && !made_otherwise; }
    // Nothing moved that a body would show, and all that was seen was looked at again and is gone.
    [[nodiscard]] bool open() const { return look == NextLook::Nothing && looked.done(); }
};
// `seen`: null where no body ever saw it.
[[nodiscard]] Gate gate_before_cloth(const Computed* seen, const Computed& now, const Looked& = {});

}  // namespace sartorum
