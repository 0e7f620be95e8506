// mirror.h: what is said of a toile: what is seen, what to try, what it may come from.
#pragma once
#include <QString>

#include "core/fitting/gate.h"
#include "core/fitting/into_plan.h"
#include "core/fitting/photo.h"
#include "core/fitting/toile_sheet.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString sight_name(Sight);
// What to do, and the question it answers.
[[nodiscard]] QString small_test(SmallTest);
// How pins and scissors are used on somebody.
[[nodiscard]] QString care_on_a_body();
// The adjustment with its direction; none: something else.
[[nodiscard]] QString cause_name(const std::optional<Cause>&);
[[nodiscard]] QString likely_word(Likely);
// By how much, and where that is from.
[[nodiscard]] QString suggestion(const Cause&, const Suggested&, Unit);

// Try-ons.
[[nodiscard]] QString put_on_name(PutOn);
[[nodiscard]] QString moment_name(Moment);
[[nodiscard]] QString since_name(Since);  // "gone", "less"
// "left, slight, in sitting; less than before": what stands under a sight.
[[nodiscard]] QString note_detail(const Note&);
// With its number, for those who listen.
[[nodiscard]] QString note_sentence(const Note&, int number, bool waits);
[[nodiscard]] QString by_hand_name(ByHand);
[[nodiscard]] QString by_hand_how(ByHand, Unit);  // where and from what it is measured
[[nodiscard]] QString found_place(ByHand, std::string_view place);
[[nodiscard]] QString of_face(Face, const QString& place);
// Why a cause cannot be put into the plan; empty where it can.
[[nodiscard]] QString not_put(NotPut);
// "Shoulder slope: −6 → −10 mm"
[[nodiscard]] QString moved_sentence(const Moved&, Unit);
[[nodiscard]] QString next_look(NextLook);
// What stands at the gate, in one or two sentences.
[[nodiscard]] QString gate_sentence(const Gate&);

// The toile sheet.
[[nodiscard]] QString sew_first(NextLook);  // "Shoulders and one sleeve"
[[nodiscard]] QString toile_line_name(ToileLine);
// "Bust line: 279 mm under the upper end of the centre line"
[[nodiscard]] QString line_to_draw(const LineToDraw&, bool on_sleeve, Unit);
// "Shoulder: 40 mm in all; …"
[[nodiscard]] QString more_allowance_text(const MoreAllowance&, Unit);
// What to pin, wear and do with a toile of these pieces.
[[nodiscard]] QStringList toile_hints(NextLook, const std::vector<Piece>&);

// Photographs.
[[nodiscard]] QString photo_view_name(PhotoView);
[[nodiscard]] QString guideline_name(Guideline);
[[nodiscard]] QString guideline_how(Guideline);  // where its two ends go
// What that line says, with its doubt, and what to take; empty while it says nothing.
[[nodiscard]] QString guideline_says(const Photo&, Guideline, Unit);
[[nodiscard]] QString camera_deceives();

}  // namespace sartorum::words
