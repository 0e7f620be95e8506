// lines.h: the lines of text that card, printed card and command line have in common, each made once.
#pragma once
#include <QString>
#include <QStringList>

#include "core/plan/compute.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString part_name(PartKind);

// A row of the plan, in its parts.
struct PlanText {
    QString name;     // with the part of the garment, where two parts have the adjustment
    QString amounts;  // "+6 mm", or front's and back's
    QString meaning;  // what the amount is, or in which way it is done
    QString why;      // what it is proposed from
    QString state;    // "accepted with your amount"
    QString sides{};  // how two sides that differ are answered; or empty
};
[[nodiscard]] PlanText plan_text(const PlanLine&, const Computed&, Unit);
[[nodiscard]] QString state_text(const PlanLine&, Unit);
// Why the paper does not carry what the measures ask for, or not all of it; else empty.
[[nodiscard]] QString hindrance(const PlanLine&, Unit);
// In one sentence: name, amounts, why and state.
[[nodiscard]] QString plan_sentence(const PlanLine&, const Computed&, Unit);

// What is on that side of a seam: "front", "cap"; of a join the part.
[[nodiscard]] QString walk_side(const Walk&, bool second);
// Counted from what is meant: "holds", "12 mm longer, as meant", "4 mm more than meant: true again".
[[nodiscard]] QString walk_verdict(const Walk&, Unit);
// The same where there is little room: "12 longer, as meant"; empty where nothing is meant and it holds.
[[nodiscard]] QString walk_brief(const Walk&, Unit);
[[nodiscard]] QString walk_name(const Walk&);
// "Side seam: front 209 mm, back 209 mm, holds"
[[nodiscard]] QString walk_sentence(const Walk&, Unit);
// How far the hem is level, counted from how it was drawn.
[[nodiscard]] QString hem_text(const HemLevel&, Unit);
// Where edges meet, with its side, or over the centre.
[[nodiscard]] QString corner_name(const Join&);
// What of the rest has to be made true, a sentence each: where seams meet, folds, darts and outlines.
[[nodiscard]] QStringList to_true(const Checks&, Unit);
// All that does not hold, a sentence each: seams that are walked, what has to be made true, room to move.
[[nodiscard]] QStringList not_holding(const Checks&, Unit);

}  // namespace sartorum::words
