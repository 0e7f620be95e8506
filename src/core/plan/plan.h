// plan.h: what the sewist decided: which sizes, which adjustments, by how much. Everything else is computed from
// it (compute.h), and never stored.
#pragma once
#include "core/alter/catalogue.h"
#include "core/chart/ease.h"
#include "core/chart/size_choice.h"

namespace sartorum {

enum class Answer { Accepted, Declined };

struct Decision {
    AdjustmentKind kind{};
    Answer answer = Answer::Accepted;
    std::optional<Length> amount;         // her own; none follows the proposal
    std::optional<Length> back{};         // the back's, where it differs from the front's
    std::optional<std::size_t> method{};  // one of the adjustment's methods; none is the usual one
    friend bool operator==(const Decision&, const Decision&) = default;
};

struct Plan {
    std::string waist_size;
    std::string hip_size;
    std::vector<Decision> decisions;  // at most one a kind, in the order they were made
    std::string bust_size{};          // where the chart prints one
    std::string chart_group{};        // body type or cup range, where the chart has several
    ChoiceWish choosing{};
    Cloth cloth{};
    EaseWishes ease{};  // her own ease; the rest keeps the designer's

    [[nodiscard]] const Decision* decision(AdjustmentKind) const;
    void decide(Decision);  // replaces an earlier one of its kind
    void forget(AdjustmentKind);
};

}  // namespace sartorum
