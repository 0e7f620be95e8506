// length.h: a distance, on the body or on the flat pattern.
//
// Unit       millimetres. Core and the notebook store nothing else; inches exist only at the edges.
// Invariant  finite. May be negative: ease and differences are lengths too.
// Exactness  1 in = 25.4 mm by definition (international yard and pound agreement, 1959).
//            == is exact and meant for stored values; compare computed values with is_near.
#pragma once
#include <cassert>
#include <compare>

namespace sartorum {

class Length {
public:
    constexpr Length() = default;

    static constexpr Length mm(double v) { return Length{v}; }
    static constexpr Length cm(double v) { return Length{v * 10.0}; }
    static constexpr Length inches(double v) { return Length{v * mm_per_inch}; }

    [[nodiscard]] constexpr double in_mm() const { return mm_; }
    [[nodiscard]] constexpr double in_cm() const { return mm_ / 10.0; }
    [[nodiscard]] constexpr double in_inches() const { return mm_ / mm_per_inch; }

    friend constexpr Length operator+(Length a, Length b) { return Length{a.mm_ + b.mm_}; }
    friend constexpr Length operator-(Length a, Length b) { return Length{a.mm_ - b.mm_}; }
    friend constexpr Length operator-(Length a) { return Length{-a.mm_}; }
    friend constexpr Length operator*(Length a, double k) { return Length{a.mm_ * k}; }
    friend constexpr Length operator/(Length a, double k) { return Length{a.mm_ / k}; }
    friend constexpr double operator/(Length a, Length b) { return a.mm_ / b.mm_; }
    constexpr Length& operator+=(Length b) { return *this = *this + b; }
    friend constexpr auto operator<=>(Length, Length) = default;

private:
    static constexpr double mm_per_inch = 25.4;
    constexpr explicit Length(double v) : mm_{v} { assert(v - v == 0.0); }  // false for NaN and infinity
    double mm_ = 0.0;
};

[[nodiscard]] constexpr Length abs(Length a)
{
    return a < Length{} ? -a : a;
}

[[nodiscard]] constexpr bool is_near(Length a, Length b, Length tolerance)
{
    return abs(a - b) <= tolerance;
}

}  // namespace sartorum
