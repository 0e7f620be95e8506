// step_rows.h: what is said of each step: one row a kind, in the file of its zone. Not for other rooms.
#pragma once
#include <span>

#include "core/paper/step.h"
#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {

// What the sentences of most steps name, as it is said on paper.
struct Said {
    Unit unit;
    QString a;        // its amount, without a sign
    QString quarter;  // and a quarter of it
    QString place;
    QString second;
    QString from;  // sizes
    QString to;
    bool more;  // its amount adds
};

using StepWords = QString (*)(const Step&, const Said&);
inline QString nothing(const Step&, const Said&)
{
    return {};
}

struct StepRow {
    StepKind kind;
    HandMark mark;  // the hand operation, for its picture
    StepWords title;
    StepWords detail;           // from which corner, along or square to what, how far
    StepWords check = nothing;  // what is looked at before going on
};

[[nodiscard]] std::span<const StepRow> general_steps();
[[nodiscard]] std::span<const StepRow> shoulder_steps();
[[nodiscard]] std::span<const StepRow> lengths_steps();
[[nodiscard]] std::span<const StepRow> widths_steps();
[[nodiscard]] std::span<const StepRow> sleeve_steps();
[[nodiscard]] std::span<const StepRow> legs_steps();
[[nodiscard]] std::span<const StepRow> sewn_steps();
[[nodiscard]] std::span<const StepRow> joins_steps();

[[nodiscard]] bool on_two_panels(const Step&);
// One of the two seams of a gore; the side seam too, where the skirt is of gores.
[[nodiscard]] bool flank_of(const Step&);
// Where the measure along an edge begins.
[[nodiscard]] QString along_from(const std::optional<EdgeRole>&);
// "0: 25, 30: 24, 60: 10 mm": along the old seam from the inner leg, and how far the new one lies from it.
[[nodiscard]] QString distances(const Step&, Unit);

}  // namespace sartorum::words
