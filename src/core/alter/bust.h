// bust.h: more (+) or less room over the bust, on the front alone; the amount is what each half front gains.
//
// Changes  the classic swing of bust_spread.h: bust and lower edge gain the amount, the dart opens, centre front
//          gains length; a front without a dart gets one in the side seam
// Keeps    neck, shoulder, across line, the armhole's length, the closed side seam
// Methods  side: the surplus at the waist is taken in at the side seam;
//          waist dart: it goes into the dart below the bust point, or makes one;
//          kept: the lower edge stays wider;
//          eased: no dart is sewn; its mouth is eased into the side seam, the surplus taken in at the side;
//          princess: of a front of two panels. The new dart at the side is closed into the seam above the bust,
//          the surplus at the waist goes into the seam below it; the seam stays over the bust point as drafted;
//          two slashes: half of the amount each, the second with its hinge nearer the underarm
// Limits   26 mm on each half front (two cups of an inch in girth), 52 mm by two slashes; eased: a mouth of 13 mm;
//          less: no more than the dart there is closes. Common practice.
// Then     cap and armhole are walked; the dart may be moved
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length bust_limit = Length::mm(26);
inline constexpr Length bust_two_slashes_limit = Length::mm(52);
inline constexpr Length bust_dart_least = Length::mm(5);    // our choice: a narrower one is eased
inline constexpr Length bust_eased_limit = Length::mm(13);  // of the mouth

enum class BustMethod { Side, WaistDart, Kept, Eased, TwoSlashes, Princess };

[[nodiscard]] Outcome<Applied> alter_bust(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_row();

}  // namespace sartorum
