// words.h: every sentence made from the core's data: translatable, shared by the desk, the printed pages and the
// command line. Amounts are written in the given unit; on paper, centimetres become millimetres.
#pragma once
#include <QCoreApplication>
#include <QString>

#include "core/chart/size_choice.h"
#include "core/plan/compute.h"
#include "core/plan/finished.h"
#include "core/plan/knock_ons.h"
#include "core/units/length_text.h"
#include "words/measures.h"

namespace sartorum::words {

// "14 November", of an ISO date.
[[nodiscard]] QString day_in_words(const std::string& iso);
[[nodiscard]] Unit paper_unit(Unit);  // mm for cm, inches stay
[[nodiscard]] QString number(Length, Unit, bool change = false);
[[nodiscard]] QString amount(Length, Unit, bool change = false);
// "+1.0 → +1.4 cm"; in tenths of a millimetre where both would read alike.
[[nodiscard]] QString from_to(Length was, Length now, Unit);
// To be measured on paper; what the unit rounds away is said finer, never as nothing.
[[nodiscard]] QString amount_on_paper(Length, Unit);

[[nodiscard]] QString piece_name(const Piece&);
// Within a sentence: "neckline", "shoulder".
[[nodiscard]] QString edge_name(EdgeRole);
[[nodiscard]] QString piece_names(AdjustmentKind, const Garment&);
[[nodiscard]] QString seam_name(const std::string& id);
// Where there is little room.
[[nodiscard]] QString seam_short(const std::string& id);
[[nodiscard]] QString seam_sides(const std::string& id, bool second);
[[nodiscard]] QString zone_name(Zone);
[[nodiscard]] QString adjustment_name(AdjustmentKind);
// What of a pinched fold its amount is; none where nothing is pinched.
enum class Pinched { Depth, Whole };
[[nodiscard]] std::optional<Pinched> pinched(AdjustmentKind);
[[nodiscard]] QString amount_meaning(AdjustmentKind,
                                     bool of_gores = false);  // "all round"

// The trade's ways to do an adjustment, and what each costs.
[[nodiscard]] QString method_name(AdjustmentKind, std::size_t method);
[[nodiscard]] QString method_cost(AdjustmentKind, std::size_t method, bool of_gores = false);
// The way it is done; where there is one, what its amount is.
[[nodiscard]] QString way_or_meaning(AdjustmentKind, std::size_t method, bool of_gores);
[[nodiscard]] QString toile_sign(AdjustmentKind);    // what is seen where only a toile can tell; else empty
[[nodiscard]] QString limit_advice(AdjustmentKind);  // what to do instead of more
// More than is usual: how much is, and what else to do; a toile first.
[[nodiscard]] QString caution(const Caution&, AdjustmentKind, Unit);
[[nodiscard]] QString change_name(GarmentMeasure);
[[nodiscard]] QString finished_name(GarmentMeasure);
// A knock-on told link by link: cause, what it changed, what follows and whether it is answered.
[[nodiscard]] QStringList chain(const KnockOn&, Unit);
[[nodiscard]] QString join_name(JoinPlace);
[[nodiscard]] QString shoulder_text(const SewnShoulder&, Unit);  // "20.5° sewn, seam 3 mm before the fold"

// What of paper and chart can hardly belong together.
[[nodiscard]] QString doubt(const Doubt&, Unit);
[[nodiscard]] QString refusal(const Refusal&, Unit);
// "NOT DONE: Bust. …", with its reason and the way out.
[[nodiscard]] QString not_done(const NotDone&, Unit);
// "NOT MADE: neck-facing-front. …"
[[nodiscard]] QString not_made(const NotMade&, Unit);
// Edges that no seam names; empty when all are walked.
[[nodiscard]] QString unwalked(const Checks&);
// What a chart is called where its maker gave it no name.
[[nodiscard]] QString chart_name(const SizeChart&);
[[nodiscard]] QString school_name(School);
[[nodiscard]] QString school_reason(const SchoolAdvice&);
[[nodiscard]] QString kind_name(GarmentKind);
[[nodiscard]] QString advice_title(const SizeChart&, const SizeChoice&, const std::vector<Measure>& levels);
// With what the bust stands above the underbust, the shop cup is named beside the sewing cup.
[[nodiscard]] QString cup_text(const Cup& own, const SizeChart&,
                               const std::optional<Length>& above_underbust = {});
[[nodiscard]] QString view_text(const ChartView&);
// Of a chart that prints finished measures only.
[[nodiscard]] QString bodies_assumed();
// Of a knit, while it is not known how far it stretches.
[[nodiscard]] QString stretch_asked();
[[nodiscard]] QString ease_below(const EaseRow&, Unit);
[[nodiscard]] QString advice_reason(const SizeChart&, const Advice&, const BodySet&, Unit);
[[nodiscard]] QString size_names(const SizeChart&, const SizeChoice&, const std::vector<Measure>& levels);
[[nodiscard]] QString cost_text(const SizeChart&, const SizeCost&, const std::vector<Measure>& levels, Unit);
// "size 12, to 14 at the waist"; the pattern may not be there yet.
[[nodiscard]] QString sizes_text(const Plan&, const Pattern*, bool hip_printed);
// "+6 mm", or "−6 mm and −4 mm" where front and back differ.
[[nodiscard]] QString amounts(const PlanLine&, Unit);
[[nodiscard]] QString why(const PlanLine&, Unit);
[[nodiscard]] QString ease_warning(const EaseCheck&, Unit);  // empty when it holds

// The hand operation of a step, for its picture.
enum class HandMark { Draw, Cut, Spread, Overlap, Redraw, True, Trim };
[[nodiscard]] HandMark hand_mark(StepKind);
[[nodiscard]] QString step_title(const Step&, Unit);
[[nodiscard]] QString step_detail(const Step&, Unit);
[[nodiscard]] QString before_going_on(const Step&);  // what to look at, may be empty

}  // namespace sartorum::words
