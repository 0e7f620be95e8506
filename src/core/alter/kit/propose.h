// propose.h: how several adjustments find what to propose.
#pragma once
#include "core/alter/kit/adjustment.h"

namespace sartorum {

// Body less chart, where the chart prints the measure.
[[nodiscard]] std::optional<Proposal> against_chart(const FittingState&, Measure, std::size_t size);

// Where no chart says what it is drafted for, a girth is only brought up to what one moves in: more is design.
// Common practice.
[[nodiscard]] std::optional<Proposal> brought_up(const FittingState&, Measure, GarmentMeasure);
// A girth at one level of the garment: what the body asks for more than the traced pattern gives, less what the
// adjustments above have given already. With the design ease kept that is body − chart; with her own, what lacks.
[[nodiscard]] std::optional<Proposal> lacking_girth(const FittingState&, Measure, std::size_t size,
                                                    GarmentMeasure);

// A whole width against the chart, for each half; less what was done to each half at this level already.
[[nodiscard]] std::optional<Proposal> half_against_chart(const FittingState&, Measure, Length done_on_half);

// Against what is printed for the size; a difference that nobody sews or that its ease holds is marked so.
[[nodiscard]] Proposal as_girth(const FittingState&, Proposal, Measure, std::size_t size, GarmentMeasure);

// A length: what the body asks for more than the traced pattern has, less what was done already. Against the chart
// where it prints the measure, since then the designer's ease is kept; else against the paper itself.
[[nodiscard]] std::optional<Proposal> lacking_length(const FittingState&, Measure, std::size_t size, Length traced,
                                                     Length now);

}  // namespace sartorum
