// decision.h: what the sewist decided of one adjustment: accepted or declined, in which way, and by how much.
//
// An amount is of a place, a face and a side, or of all that it does not name. What nothing is said of goes as it
// is proposed. One amount is said alone (set): all others stay as they were, the said ones and those left to the
// proposal.
#pragma once
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/alter/kit/catalogue.h"

namespace sartorum {

enum class Answer { Accepted, Declined };

// Which face of the garment an amount is of. Of both: of the front, and of the back where it has none of its own.
enum class Face { Both, Front, Back };
inline constexpr std::array each_face{Face::Front, Face::Back};

struct Amount {
    std::string at{};  // a place of the adjustment's own; "" is its one amount
    Face face = Face::Both;
    std::optional<Side> side{};  // none: both sides alike
    Length by;
    friend bool operator==(const Amount&, const Amount&) = default;
};

// Which of a decision's amounts: of both faces, or both sides, where none is named.
struct Which {
    Face face = Face::Both;
    std::optional<Side> side{};
    std::string at{};
};

// Two sides that differ: as is usual for so much, each by its own amount, or the larger fitted on both and the
// smaller padded or taken in.
enum class SidesWay { Usual, Apart, Larger };

struct Decision {
    AdjustmentKind kind{};
    std::string subject{};  // the part it is about (its key); "" every part it serves
    Answer answer = Answer::Accepted;
    std::vector<Amount> amounts{};        // her own; none follows the proposal
    std::optional<std::size_t> method{};  // one of the adjustment's methods; none is the usual one
    SidesWay sides = SidesWay::Usual;     // usual: as the plan says
    std::string seen_on{};                // the day of the toile it was seen on; "" it was not

    Decision() = default;
    Decision(AdjustmentKind, Answer, std::optional<Length> amount = {}, std::optional<Length> back = {},
             std::optional<std::size_t> way = {});
    // What is said of both sides, at its one place: of both faces, or of one alone.
    [[nodiscard]] std::optional<Length> amount() const { return of(Face::Both); }
    [[nodiscard]] std::optional<Length> back() const { return of(Face::Back); }
    [[nodiscard]] std::optional<Length> of(Face) const;
    // Of one side: its own, or what is said of both; of a face its own, or what is said of both.
    [[nodiscard]] std::optional<Length> on(Side, Face) const;
    // At a place: its own of that side, or of both; else what is said without a place. Without a side: what is
    // said of both. `or_plain`: what is said without a place is of this one too.
    [[nodiscard]] std::optional<Length> at(std::optional<Side>, std::string_view place,
                                           bool or_plain = true) const;
    [[nodiscard]] bool has_places() const;  // some amount is of one place
    [[nodiscard]] bool has_sides() const;   // some amount is of one side

    // That amount alone; none: as it is proposed. All others stay.
    void set(const Which&, std::optional<Length>);
    void set_places(std::string_view place, Length right, Length left);
    void one_amount();  // the right side's, of both
    // As files say it: of both faces, and the back's own where that is another.
    void set_amount(std::optional<Length>);
    void set_back(std::optional<Length>);
    friend bool operator==(const Decision&, const Decision&) = default;
};

[[nodiscard]] std::string_view key(Face);
[[nodiscard]] std::string_view key(SidesWay);
[[nodiscard]] std::optional<SidesWay> sides_of_key(std::string_view);
[[nodiscard]] std::optional<Face> face_of_key(std::string_view);

}  // namespace sartorum
