// crotch.h: the crotch seam of trousers as it is worn: front and back joined at the inner leg, seen from the side,
// and its length beside the body's string.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// From the waist in front down to the inner leg point, which lies at the origin, and up to the waist at the back;
// the creases upright, the front to the left, y up.
struct CrotchLine {
    Curve front;
    Curve back;
    Length front_length;
    Length back_length;
    double degrees = 180;  // of the joined edge over the inner leg
    [[nodiscard]] Length whole() const { return front_length + back_length; }
};

struct CrotchWorn {
    CrotchLine before;
    CrotchLine after;
    Length band;  // what the finished waistband stands above it, at each end
    // The body's string; of the whole where it was read, else front and back together.
    std::optional<Length> string{};
    std::optional<Length> string_front{};
    std::optional<Length> string_back{};
    // Of the pattern with its band, beyond the string.
    [[nodiscard]] std::optional<Length> ease() const;
};

// Whether the seam with its band and the string belong together: not shorter than the string, and not further
// beyond it than the pattern was meant to be (what its chart prints, else the usual ease; of a roomy one what it
// had) by more than `crotch_far`. None where there are no legs or no string.
inline constexpr Length crotch_far = Length::mm(30);  // from memory
[[nodiscard]] std::optional<EaseCheck> crotch_check(const Computed&);

// None where the garment has no legs. Of the right side, where the sides are not alike.
[[nodiscard]] std::optional<CrotchWorn> crotch_worn(const Computed&);

}  // namespace sartorum
