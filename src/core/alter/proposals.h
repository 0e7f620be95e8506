// proposals.h: what each adjustment is proposed from; none when nothing is known to go by.
#pragma once
#include "core/alter/catalogue.h"

namespace sartorum {

// Pattern centre front to the armhole, square across at the tip, against half the cross-shoulder and half the
// wanted ease: an inch in all, none for a knit. Common practice.
[[nodiscard]] std::optional<Proposal> propose_shoulder_length(const FittingState&);
// The slope from the heights of neck point and tip against the sewn slope of the pattern, at the tips.
[[nodiscard]] std::optional<Proposal> propose_shoulder_slope(const FittingState&);
// Neck point to bust point, on the body and on the pattern.
[[nodiscard]] std::optional<Proposal> propose_bust_depth(const FittingState&);
// Front waist length: what front and back have in common.
[[nodiscard]] std::optional<Proposal> propose_bodice_length(const FittingState&);
// Back waist length: what is left of it after the common part; only where the back is shorter.
[[nodiscard]] std::optional<Proposal> propose_sway_back(const FittingState&);
// Entered from a toile: nothing to propose.
[[nodiscard]] std::optional<Proposal> propose_nothing(const FittingState&);

[[nodiscard]] std::optional<Proposal> propose_waist_to_hip(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_width_at_waist(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_width_at_hip(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_hem_given_back(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_finished_length(const FittingState&);

}  // namespace sartorum
