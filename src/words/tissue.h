// tissue.h: the words about measuring a tissue flat: what a line is called, where it starts and ends, what is
// written on the paper, what cannot be, and what the paper says so far.
#pragma once
#include <QString>
#include <QStringList>

#include "core/tissue/line_objection.h"
#include "core/tissue/lines_laid.h"
#include "core/tissue/reckoned_girths.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString tissue_kind(TissueKind);
[[nodiscard]] QString tissue_line(TissueLine, const Tissue&);
// Where it starts and where it is read, in one sentence or two.
[[nodiscard]] QString tissue_line_how(TissueLine, const Tissue&);
[[nodiscard]] QString tissue_note(TissueNote);
[[nodiscard]] QStringList tissue_note_words(TissueNote);
[[nodiscard]] QString tissue_read_at(ReadAt);
// Of a tissue, its line by name.
[[nodiscard]] QString tissue_refusal(Refusal, const Tissue&, Unit);
[[nodiscard]] QString tissue_objection(const TissueObjection&, const Tissue&, Unit);
[[nodiscard]] QString reckoning(Reckoning, const Tissue&);
// "1.0 wider than across the front; usual is 0 to 1.5"; empty where nothing is usual.
[[nodiscard]] QString reckoned_sense(const Reckoned&, Unit);

}  // namespace sartorum::words
