// lengths.h: how the differences in length of front and back are shared out over a bodice.
//
// Where both differ the same way, the smaller of the two is common to them: taken across both pieces. What is left
// belongs to one piece. Of the back: nape to underarm divides it; the upper part is a round (+) or erect (−) back,
// the lower part a sway-back (−). Of the front: the bust. Of what is common as much lies above the underarm as
// nape to underarm says beyond the upper back's own; it goes into the armhole's depth. Where only one of the two
// lengths is known it stands for both. Common practice.
#pragma once
#include "core/alter/kit/adjustment.h"

namespace sartorum {

// A length that differs: what is left of it after what was done above, and the numbers it came from.
struct Lacking {
    Length left;
    Length spread;
    Length wanted;
    Length given;
    Against against = Against::Chart;
    Length already;
};

struct LengthShares {
    std::optional<Lacking> front;
    std::optional<Lacking> back;
    std::optional<Lacking> nape_to_underarm;
    Length common;      // of front and back; all of it while the armhole's share is not taken
    Length armhole;     // of both, above the underarm
    Length upper_back;  // of the back alone
    Length lower_back;
    Length front_alone;
};

[[nodiscard]] LengthShares length_shares(const FittingState&);

// What both need the same way; nothing when one needs more and the other less.
[[nodiscard]] Length common_length(Length, Length);

// On paper: neck point over the bust point to the waist, as the tape goes; and the neck at centre back to the
// waist.
[[nodiscard]] Length front_waist_length(const Piece& front);
[[nodiscard]] Length back_waist_length(const Piece& back);

// As a proposal of that amount, with the numbers it came from.
[[nodiscard]] std::optional<Proposal> share_of(const std::optional<Lacking>&, Length amount);

}  // namespace sartorum
