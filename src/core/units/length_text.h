// length_text.h: lengths as people type and read them. The only place that does either.
//
// Reading    "39 1/2"  "39½"  "39.5 in"  "5/8\""  "100,5 cm"  "104 CM"  "1.1 m"  "1005 mm"  "-1 1/4 in"  "+0.6"
//            A unit in the text wins; else the one written over it (a field's, a column's heading) does, also
//            over a fraction: "88 1/2" under cm is 88.5 cm. Where nothing at all names a unit a fraction means
//            inches, because no centimetre tape is marked in fractions.
//            A sign stands before its number: "84 -" is refused, not taken for 84.
//            "1,000 mm" is refused: a comma before exactly three digits may be either mark. "0,125" is
//            not, since no thousands group starts with a lone zero.
// Writing    cm with one decimal, mm whole, inches to the nearest sixteenth ("39½", "39⁵⁄₁₆"); a tie goes to the
//            even sixteenth.
//            The minus is U+2212. Independent of any locale.
#pragma once
#include <string>
#include <string_view>

#include "core/units/length.h"
#include "core/units/refusal.h"

namespace sartorum {

enum class Unit { Centimetre, Inch, Millimetre };

// whole + numerator/denominator, the fraction in lowest terms; numerator 0 when there is none.
struct Fraction {
    bool negative = false;
    long whole = 0;
    int numerator = 0;
    int denominator = 1;
    friend bool operator==(const Fraction&, const Fraction&) = default;
};

// The nearest sixteenth of an inch, the finest mark of a sewing ruler; ties to the even sixteenth.
[[nodiscard]] Fraction nearest_fraction(Length);

// Under a heading that names its unit.
[[nodiscard]] Outcome<Length> parse_length(std::string_view text, Unit written);
// Where no heading does: a fraction is inches, everything else `usual`.
[[nodiscard]] Outcome<Length> guess_length(std::string_view text, Unit usual);

// The number alone, without its unit. `signed_change` writes + or − (a difference); else only −.
[[nodiscard]] std::string number_text(Length, Unit, bool signed_change = false);
// With the unit: "100.3 cm", "39½ in", "12 mm".
[[nodiscard]] std::string length_text(Length, Unit, bool signed_change = false);
[[nodiscard]] std::string_view unit_text(Unit);

}  // namespace sartorum
