// reasoning.h: from what was seen on a toile to what it may come from: sets of up to three causes, "something
// else" among them, weighed by what they would show.
//
// Apart     sights that no cause shows both of, and no answer ties together, are weighed apart, each with a set of
//           causes of its own; where more than three hang together as many causes may hold
// Sight     seen under a set as surely as one of its causes shows it, or more where several do (a noisy-or), never
//           more than a cause it is typical of does; a slight one tells half as much
// Known     a cause the body speaks for is more likely beforehand, one that was taken up less
// Answer    of a small test, the same with how surely it tells
// Next      the test of which most is expected: by how much its answer makes the sets less alike (in bits). One
// waits
//           while a cause of an earlier stage is likely
#pragma once
#include <functional>
#include <optional>
#include <string_view>
#include <vector>

#include "core/body/body_set.h"
#include "core/fitting/small_test.h"

namespace sartorum {

enum class Strength { Slight, Clear };
// Kept forever: files and notebooks use them.
[[nodiscard]] std::string_view key(Strength);
[[nodiscard]] std::optional<Strength> strength_of_key(std::string_view);

struct Seen {
    Sight sight{};
    Strength strength = Strength::Clear;
    std::optional<Side> side{};  // none: on both
    friend bool operator==(const Seen&, const Seen&) = default;
};

struct Answered {
    SmallTest test{};
    bool yes = false;
    std::optional<Length> pinched{};  // what the edge lost in all, where something was pinched
    friend bool operator==(const Answered&, const Answered&) = default;
};

// What speaks for a cause before anything is seen.
enum class Known {
    Proposed,     // the body differs so, and the plan does not take it up
    InsideNoise,  // it differs so by less than anybody measures
    TakenUp,      // it is in the plan already
    TakenTooFar,  // the other way is
    Helped,       // more of it was done since the toile before, and what it shows is less
    HelpedNot,    // and is the same
};
struct KnownOf {
    Cause cause;
    Known what{};
};

struct Observed {
    std::vector<Seen> seen{};
    std::vector<Answered> answers{};
    std::vector<KnownOf> known{};
};

struct Ranked {
    const CauseFacts* cause = nullptr;  // null: something else
    double probability = 0;
    std::vector<Sight> explains{};
    std::vector<Sight> leaves{};
};

enum class Likely { Hardly, Possibly, Likely, VeryLikely };
[[nodiscard]] Likely likely(double probability);

struct Asked {
    SmallTest test{};
    double bits = 0;
    // What each answer would put first.
    std::optional<Cause> if_yes{};
    std::optional<Cause> if_no{};
};

// A set of causes and how likely it is, given all that was observed; of what hangs together they sum to one.
struct WeighedSet {
    std::vector<const CauseFacts*> causes;  // a null among them: something else
    double probability = 0;
};

// Which causes can be at all, on this garment; none: any.
using CanBe = std::function<bool(const CauseFacts&)>;

[[nodiscard]] std::vector<std::vector<WeighedSet>> weighed_sets(const Observed&, const CanBe& = {});
// Most likely first; those that nothing speaks for are left out. Something else: of what hangs together, where it
// is likeliest.
[[nodiscard]] std::vector<Ranked> ranked(const Observed&, const CanBe& = {});
// None where nothing more is told, or all that could tell waits.
[[nodiscard]] std::optional<Asked> next_test(const Observed&, const CanBe& = {});

}  // namespace sartorum
