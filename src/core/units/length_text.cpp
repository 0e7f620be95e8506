#include "core/units/length_text.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <cstdlib>
#include <numeric>
#include <optional>

namespace sartorum {
namespace {

constexpr std::string_view minus_sign = "\u2212";
constexpr std::size_t longest_text = 64;
constexpr double largest_number = 1e6;

struct Vulgar {
    std::string_view glyph;
    int numerator;
    int denominator;
};
// Sixteenths have no letter of their own: raised figures, a fraction stroke, lowered figures.
constexpr std::array<Vulgar, 17> vulgars{{{"⅛", 1, 8},
                                          {"¼", 1, 4},
                                          {"⅜", 3, 8},
                                          {"½", 1, 2},
                                          {"⅝", 5, 8},
                                          {"¾", 3, 4},
                                          {"⅞", 7, 8},
                                          {"⅓", 1, 3},
                                          {"⅔", 2, 3},
                                          {"¹⁄₁₆", 1, 16},
                                          {"³⁄₁₆", 3, 16},
                                          {"⁵⁄₁₆", 5, 16},
                                          {"⁷⁄₁₆", 7, 16},
                                          {"⁹⁄₁₆", 9, 16},
                                          {"¹¹⁄₁₆", 11, 16},
                                          {"¹³⁄₁₆", 13, 16},
                                          {"¹⁵⁄₁₆", 15, 16}}};

// A cursor over the typed text; each take_... consumes what it recognises.
class Reader {
public:
    explicit Reader(std::string_view text) : rest_{text} {}

    void skip_spaces()
    {
        for (;;) {
            if (rest_.starts_with(' ') || rest_.starts_with('\t')) {
                rest_.remove_prefix(1);
            } else if (!take("\u00a0") && !take("\u202f")) {
                return;
            }
        }
    }
    bool take(std::string_view word)
    {
        if (!rest_.starts_with(word)) return false;
        rest_.remove_prefix(word.size());
        return true;
    }
    std::string_view take_digits()
    {
        std::size_t n = 0;
        while (n < rest_.size() && rest_[n] >= '0' && rest_[n] <= '9') ++n;
        const auto digits = rest_.substr(0, n);
        rest_.remove_prefix(n);
        return digits;
    }
    std::optional<Vulgar> take_vulgar()
    {
        for (const auto& v : vulgars) {
            if (take(v.glyph)) return v;
        }
        return std::nullopt;
    }
    [[nodiscard]] std::string_view rest() const { return rest_; }

private:
    std::string_view rest_;
};

double number(std::string_view digits)
{
    double v = 0;
    std::from_chars(digits.data(), digits.data() + digits.size(), v);
    return v;
}

constexpr double mm_per_inch = 25.4;

// Millimetres in what this word names.
std::optional<double> unit_named(std::string_view text)
{
    std::string word{text};
    for (auto& c : word) {
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    }
    if (word == "cm") return 10;
    if (word == "mm") return 1;
    if (word == "m" || word == "metre" || word == "metres" || word == "meter" || word == "meters") return 1000;
    for (const std::string_view inch : {"in", "in.", "\"", "″", "”", "inch", "inches", "''"}) {
        if (word == inch) return mm_per_inch;
    }
    return std::nullopt;
}

double mm_in(Unit unit)
{
    switch (unit) {
        case Unit::Centimetre: return 10;
        case Unit::Inch: return mm_per_inch;
        case Unit::Millimetre: return 1;
    }
    std::abort();
}

struct Amount {
    double value = 0;
    bool fraction = false;
};

Outcome<double> read_division(Reader& in, std::string_view numerator, std::string_view typed)
{
    in.skip_spaces();
    const auto denominator = in.take_digits();
    if (numerator.empty() || denominator.empty() || number(denominator) == 0) {
        return refuse(Why::FractionBroken, std::string{typed});
    }
    const double value = number(numerator) / number(denominator);
    if (value >= 1 || number(denominator) > 64) return refuse(Why::FractionBroken, std::string{typed});
    return value;
}

// "39 1/2", "39½", "5/8", "39.5", "100,5"
Outcome<Amount> read_amount(Reader& in, std::string_view typed)
{
    const auto first = in.take_digits();
    if (in.take("/") || in.take("⁄")) {
        return read_division(in, first, typed).map([](double v) { return Amount{v, true}; });
    }
    if (const auto v = in.take_vulgar()) {
        const double whole = first.empty() ? 0 : number(first);
        return Amount{whole + static_cast<double>(v->numerator) / v->denominator, true};
    }
    const bool comma = in.rest().starts_with(',');
    if (in.take(".") || in.take(",")) {
        const auto decimals = in.take_digits();
        if (first.empty() && decimals.empty()) return refuse(Why::TextNotALength, std::string{typed});
        if (comma && decimals.size() == 3 && first != "0") {
            return refuse(Why::TextCommaAmbiguous, std::string{typed});
        }
        return Amount{number(std::string{first.empty() ? "0" : first} + "." + std::string{decimals} + "0"), false};
    }
    if (first.empty()) return refuse(Why::TextNotALength, std::string{typed});
    in.skip_spaces();
    const bool sign = in.take("-");  // "39-1/2" is a way of writing a mixed number
    if (sign) in.skip_spaces();
    if (const auto v = in.take_vulgar()) {
        return Amount{number(first) + static_cast<double>(v->numerator) / v->denominator, true};
    }
    const auto second = in.take_digits();
    if (second.empty() && sign) return refuse(Why::TextSignBehind, std::string{typed});
    if (second.empty()) return Amount{number(first), false};
    if (!in.take("/") && !in.take("⁄")) return refuse(Why::TextNotALength, std::string{typed});
    return read_division(in, second, typed).map([&](double v) { return Amount{number(first) + v, true}; });
}

// Rounds half to even, so that 2.5 sixteenths are 2 and 3.5 are 4.
double round_half_even(double v)
{
    const double below = std::floor(v);
    const double over = v - below;
    constexpr double tie = 1e-9;
    if (std::abs(over - 0.5) < tie) return std::fmod(below, 2.0) == 0.0 ? below : below + 1;
    return std::floor(v + 0.5);
}

std::string decimal_text(double magnitude, int decimals)
{
    const double scale = std::pow(10.0, decimals);
    const auto scaled = static_cast<long long>(round_half_even(magnitude * scale));
    std::string out = std::to_string(scaled / static_cast<long long>(scale));
    if (decimals > 0) out += "." + std::to_string(scaled % static_cast<long long>(scale));
    return out;
}

std::string fraction_text(const Fraction& f)
{
    if (f.numerator == 0) return std::to_string(f.whole);
    const auto v = std::find_if(vulgars.begin(), vulgars.end(), [&](const Vulgar& any) {
        return any.numerator == f.numerator && any.denominator == f.denominator;
    });
    return (f.whole != 0 ? std::to_string(f.whole) : "") + std::string{v->glyph};
}

}  // namespace

Fraction nearest_fraction(Length length)
{
    constexpr int denominator = 16;
    const double inches = length.in_inches();
    const auto parts = static_cast<long>(round_half_even(std::abs(inches) * denominator));
    const int rest = static_cast<int>(parts % denominator);
    const int common = std::gcd(rest, denominator);
    return {inches < 0 && parts != 0, parts / denominator, rest == 0 ? 0 : rest / common,
            rest == 0 ? 1 : denominator / common};
}

namespace {

struct Parsed {
    double value = 0;
    bool fraction = false;
    std::optional<double> mm;  // of the unit in the text
};

Outcome<Parsed> parse(std::string_view text)
{
    if (text.size() > longest_text) return refuse(Why::TextTooLong, std::string{text.substr(0, longest_text)});
    Reader in{text};
    in.skip_spaces();
    if (in.rest().empty()) return refuse(Why::TextEmpty);
    const bool negative = in.take("-") || in.take(minus_sign);
    if (!negative) in.take("+");
    in.skip_spaces();
    const auto amount = read_amount(in, text);
    if (!amount) return tl::make_unexpected(amount.error());
    in.skip_spaces();
    auto name = in.rest();
    while (name.ends_with(' ')) name.remove_suffix(1);
    Parsed out{negative ? -amount->value : amount->value, amount->fraction, std::nullopt};
    if (!name.empty()) {
        for (const std::string_view sign : {std::string_view{"-"}, std::string_view{"+"}, minus_sign}) {
            if (name.ends_with(sign)) return refuse(Why::TextSignBehind, std::string{text});
        }
        out.mm = unit_named(name);
        if (!out.mm) return refuse(Why::TextUnitUnknown, std::string{text});
    }
    if (amount->value > largest_number) return refuse(Why::TextNotALength, std::string{text});
    return out;
}

}  // namespace

namespace {

// Nothing that is sewn is a kilometre long.
Outcome<Length> sensible(double mm, std::string_view text)
{
    if (std::abs(mm) > largest_number) return refuse(Why::TextNotALength, std::string{text});
    return Length::mm(mm);
}

}  // namespace

Outcome<Length> parse_length(std::string_view text, Unit written)
{
    return parse(text).and_then(
        [&](const Parsed& p) { return sensible(p.value * p.mm.value_or(mm_in(written)), text); });
}

Outcome<Length> guess_length(std::string_view text, Unit usual)
{
    return parse(text).and_then([&](const Parsed& p) {
        return sensible(p.value * p.mm.value_or(p.fraction ? mm_per_inch : mm_in(usual)), text);
    });
}

std::string number_text(Length length, Unit unit, bool signed_change)
{
    std::string digits;
    switch (unit) {
        case Unit::Centimetre: digits = decimal_text(std::abs(length.in_cm()), 1); break;
        case Unit::Millimetre: digits = decimal_text(std::abs(length.in_mm()), 0); break;
        case Unit::Inch: {
            const auto f = nearest_fraction(length);
            digits = fraction_text(f);
            break;
        }
    }
    const bool zero = digits.find_first_of("123456789") == std::string::npos &&
                      digits.find_first_not_of("0.") == std::string::npos;
    if (zero) return digits;
    if (length < Length{}) return std::string{minus_sign} + digits;
    return signed_change ? "+" + digits : digits;
}

std::string length_text(Length length, Unit unit, bool signed_change)
{
    return number_text(length, unit, signed_change) + " " + std::string{unit_text(unit)};
}

std::string_view unit_text(Unit unit)
{
    switch (unit) {
        case Unit::Centimetre: return "cm";
        case Unit::Inch: return "in";
        case Unit::Millimetre: return "mm";
    }
    std::abort();
}

}  // namespace sartorum
