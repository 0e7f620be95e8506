// plan.h: what the sewist decided: which sizes, which adjustments, by how much. Everything else is computed from
// it (compute.h), and never stored.
#pragma once
#include <map>

#include "core/alter/catalogue.h"
#include "core/alter/make_up.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"

namespace sartorum {

enum class Answer { Accepted, Declined };

// Which face of the garment an amount is of. Of both: of the front, and of the back where it has none of its own.
enum class Face { Both, Front, Back };

struct Amount {
    std::string at{};  // a place of the adjustment's own; "" is its one amount
    Face face = Face::Both;
    std::optional<Side> side{};  // none: both sides alike
    Length by;
    friend bool operator==(const Amount&, const Amount&) = default;
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
    // Of both sides, at its one place: of both faces, or of one's own.
    [[nodiscard]] std::optional<Length> amount() const;
    [[nodiscard]] std::optional<Length> of(Face) const;
    // Of one side: its own, or what is said of both; of a face its own, or what is said of both.
    [[nodiscard]] std::optional<Length> on(Side, Face) const;
    // At a place: its own of that side, or of both; else what is said without a place. Without a side: what is
    // said of both. `or_plain`: what is said without a place is of this one too.
    [[nodiscard]] std::optional<Length> at(std::optional<Side>, std::string_view place,
                                           bool or_plain = true) const;
    [[nodiscard]] bool has_places() const;  // some amount is of one place
    [[nodiscard]] bool has_sides() const;   // some amount is of one side
    [[nodiscard]] std::optional<Length> back() const { return of(Face::Back); }
    void set_amount(std::optional<Length>);  // in place of what the front had of its own
    void set_back(std::optional<Length>);
    // Of one side; what was said of both stays the other's. On the whole piece, or front and back apart.
    void set_side(Side, std::optional<Length> amount, std::optional<Length> back = {});
    void one_amount();  // the right side's, of both
    // At a place; of both sides, or of one, the other's staying what it was.
    void set_at(std::string_view place, std::optional<Side>, std::optional<Length>);
    void set_sides_at(std::string_view place, Length right, Length left);  // one amount where they are alike
    friend bool operator==(const Decision&, const Decision&) = default;
};

struct Plan {
    std::map<Level, std::string> sizes{};  // at the bust (where the chart prints one), the waist, the hip
    std::vector<Decision> decisions{};     // at most one a kind and subject, in the order they were made
    std::string chart_group{};             // body type or cup range, where the chart has several
    ChoiceWish choosing{};
    Cloth cloth{};
    EaseWishes ease{};  // her own ease; the rest keeps the designer's
    MakeUp make_up{};   // which pieces, where that is not what the pattern holds
    SidesWay sides = SidesWay::Usual;
    // The garment is sewn: only what can be done with it is offered, and what was done on paper stands as it is.
    bool sewn = false;
    bool as_drawn = false;  // what looks as if it could not be (doubts.h) is meant so

    [[nodiscard]] const std::string& size_at(Level) const;  // "" where none is chosen
    // Above the waist: the bust's, or the hip's where none is chosen there.
    [[nodiscard]] const std::string& frame_size() const;
    void take_sizes(const std::string& waist, const std::string& hip, const std::string& bust);
    // What is decided for a part: of its own, else for every part.
    [[nodiscard]] const Decision* decision(AdjustmentKind, PartKind) const;
    [[nodiscard]] const Decision* decision(AdjustmentKind, const std::string& subject = {}) const;
    void put(Decision);  // in place of an earlier one of its kind and subject
    // The same; said of every part it also takes the place of what a part had of its own.
    void decide(Decision);
    void forget(AdjustmentKind);  // whatever it is about
    // Accepted with these amounts of her own on both sides, or as proposed; the way and what is said of places
    // stay.
    [[nodiscard]] Decision taken(AdjustmentKind, std::optional<Length> amount, std::optional<Length> back) const;
};
[[nodiscard]] Plan plan_in_sizes(const std::string& waist, const std::string& hip, const std::string& bust = {});

// The levels a size is chosen at.
inline constexpr std::array sized_levels{Level::Bust, Level::Waist, Level::Hip};

[[nodiscard]] std::string_view key(Face);
[[nodiscard]] std::string_view key(SidesWay);
[[nodiscard]] std::optional<SidesWay> sides_of_key(std::string_view);
[[nodiscard]] std::optional<Face> face_of_key(std::string_view);

}  // namespace sartorum
