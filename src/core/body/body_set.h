// body_set.h: one dated set of readings of one body, and what the readings say together.
//
// Two readings that agree: their mean. Two that disagree: a third is asked for; of three, the middle one. A tape
// check corrects what comes out; the readings stay as they were read.
// Spread ("±"): two standard deviations of the value taken. One reading has the measure's repeatability s;
// the mean of two has s/√2; the median of three s·√(1 − √3/π), the exact standard deviation of the median of
// three normal values (order statistics). The tape's correction scales it too; what the tape check leaves is added
// in squares.
#pragma once
#include <array>
#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/body/measure.h"
#include "core/body/tape_check.h"
#include "core/units/refusal.h"

namespace sartorum {

// NoneAgree: three or more, and no two beside the middle within what is allowed.
enum class ReadingState { Unread, OneMore, Agree, ThirdAsked, MiddleTaken, NoneAgree };

struct Taken {
    Length value;
    Length spread;  // ±, two standard deviations; where none agree, no less than how far the nearest stands off
    ReadingState state = ReadingState::Unread;
    Length apart;      // largest distance between two readings
    Length as_read{};  // before the tape was corrected
    [[nodiscard]] bool settled() const
    {
        return state == ReadingState::Agree || state == ReadingState::MiddleTaken;
    }
};

// Standard deviation of one reading, by kind of measure.
struct Repeatability {
    Length girth = Length::mm(4);
    Length along = Length::mm(3);
    Length height = Length::mm(4);
    Length crotch = Length::mm(6);
    [[nodiscard]] Length of(MeasureKind) const;
    friend bool operator==(const Repeatability&, const Repeatability&) = default;
};

// Positive and inside the measure's range, else a refusal carrying that range.
[[nodiscard]] Outcome<Length> check_reading(Measure, Length);
[[nodiscard]] std::optional<Taken> take(Measure, const std::vector<Length>& readings, const TapeCheck& = {},
                                        const Repeatability& = {});

// Right is also where a reading stands that is not told apart.
enum class Side { Right, Left };
// Kept forever: files and notebooks use them. Of both where none is said.
[[nodiscard]] std::string_view key(Side);
[[nodiscard]] std::string_view key(const std::optional<Side>&);
// None where it is another word; the inner one none: of both.
[[nodiscard]] std::optional<std::optional<Side>> side_said(std::string_view);
[[nodiscard]] std::optional<Side> side_of_key(std::string_view);  // one of the two
inline constexpr std::array both_sides{Side::Right, Side::Left};
[[nodiscard]] constexpr Side other_side(Side s)
{
    return s == Side::Right ? Side::Left : Side::Right;
}

enum class Stance { Unsaid, Back, Centred, Forward };        // ball of the shoulder, neck
enum class RoundBack { Unsaid, None, Slight, Marked };       // high round back
enum class SlopeSeen { Unsaid, Square, Middling, Sloping };  // shoulder slope, as a toile showed it
enum class Hollow { Unsaid, None, Seen };  // the hollow above the seat, or the folds a toile shows there

inline constexpr std::array stance_keys{"", "back", "centred", "forward"};
inline constexpr std::array round_back_keys{"", "none", "slight", "marked"};
inline constexpr std::array slope_keys{"", "square", "middling", "sloping"};
inline constexpr std::array hollow_keys{"", "none", "seen"};

struct Posture {
    Stance ball = Stance::Unsaid;
    Stance neck = Stance::Unsaid;
    RoundBack round_back = RoundBack::Unsaid;
    SlopeSeen slope = SlopeSeen::Unsaid;
    Hollow hollow = Hollow::Unsaid;
    friend bool operator==(const Posture&, const Posture&) = default;
};

using Readings = std::map<Measure, std::vector<Length>>;

struct BodySet {
    std::string date;  // ISO 8601, yyyy-mm-dd
    Readings readings;
    Readings left{};  // of measures read apart
    TapeCheck tape{};
    Posture posture{};
    std::string worn{};  // underwear, shoes
    std::string note{};
    std::optional<double> weight_kg{};
    Repeatability hand{};  // of who measures; not kept, found from all their readings

    [[nodiscard]] std::optional<Taken> taken(Measure, Side) const;
    // Where the sides differ, the larger: it is fitted, and the smaller taken in or padded.
    [[nodiscard]] std::optional<Taken> taken(Measure) const;
    [[nodiscard]] Readings& side(Side s) { return s == Side::Left ? left : readings; }
    [[nodiscard]] const Readings& side(Side s) const { return s == Side::Left ? left : readings; }
};

// The body as if both its sides were this one: what is read apart is this side's, or the other's where only that
// was read.
[[nodiscard]] BodySet one_sided(const BodySet&, Side);
// Some measure was read on both sides, and does not say the same on each.
[[nodiscard]] bool sides_differ(const BodySet&);

// Degrees below the level, from the heights of neck point and shoulder tip and the shoulder's length; none while
// one of them is missing or they cannot belong together.
[[nodiscard]] std::optional<double> shoulder_slope_degrees(const BodySet&, Side);

// What this measurer's own pairs of readings show, pooled by kind with the starting value (which counts as eight
// pairs): the variance of one reading is half the mean square of the differences within pairs.
[[nodiscard]] Repeatability pooled_repeatability(const std::vector<BodySet>&);

}  // namespace sartorum
