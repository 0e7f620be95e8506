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
// Body − chart, less what the adjustments above gave; or her own ease less what the garment has.
[[nodiscard]] std::optional<Proposal> propose_width_at_waist(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_width_at_hip(const FittingState&);
// High bust − what the size is drafted for; nothing while the ease as designed holds it.
[[nodiscard]] std::optional<Proposal> propose_underarm_width(const FittingState&);
// Half of the bust's difference for each half front, less what the side seams gave already: (D − r)/2 where the
// frame's r is fitted there.
[[nodiscard]] std::optional<Proposal> propose_bust(const FittingState&);
// Half: across front and its ease, an inch in all for woven cloth; only where the pattern is narrower.
[[nodiscard]] std::optional<Proposal> propose_across_front(const FittingState&);

// Girth and the ease as designed; where the chart says nothing, only what is needed to move.
[[nodiscard]] std::optional<Proposal> propose_upper_arm(const FittingState&);
// What gives the cap the ease it is to have over the armhole as it is now.
[[nodiscard]] std::optional<Proposal> propose_cap_height(const FittingState&);
// As far as the ball of the shoulder moved the seam.
[[nodiscard]] std::optional<Proposal> propose_cap_forward(const FittingState&);
// Half of what one half of the cap is long and the other short.
[[nodiscard]] std::optional<Proposal> propose_top_notch(const FittingState&);
// Arm length against the chart's, or the sleeve's own, less what the cap took.
[[nodiscard]] std::optional<Proposal> propose_sleeve_below(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_sleeve_hem(const FittingState&);

[[nodiscard]] std::optional<Proposal> propose_hem_given_back(const FittingState&);
[[nodiscard]] std::optional<Proposal> propose_finished_length(const FittingState&);

}  // namespace sartorum
