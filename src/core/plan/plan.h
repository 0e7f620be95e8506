// plan.h: what the sewist decided: which sizes, which adjustments, by how much. Everything else is computed from
// it (compute.h), and never stored.
#pragma once
#include <map>

#include "core/alter/kit/make_up.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"
#include "core/plan/decision.h"

namespace sartorum {

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
    // What is decided of it (for that part, or for every one) or nothing yet, accepted: amounts, sides and way as
    // they were said; on which toile it was seen is forgotten.
    [[nodiscard]] Decision accepting(AdjustmentKind, PartKind) const;
    // The same with one amount of her own; where both sides meet it is of both.
    [[nodiscard]] Decision accepting(AdjustmentKind, PartKind, Which, Length) const;
};
[[nodiscard]] Plan plan_in_sizes(const std::string& waist, const std::string& hip, const std::string& bust = {});

// The levels a size is chosen at.
inline constexpr std::array sized_levels{Level::Bust, Level::Waist, Level::Hip};

}  // namespace sartorum
