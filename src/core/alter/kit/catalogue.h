// catalogue.h: every adjustment there is. Adding one: docs/adding-an-adjustment.md.
#pragma once
#include "core/alter/kit/adjustment.h"

namespace sartorum {

[[nodiscard]] const std::array<Adjustment, adjustment_count>& catalogue();
// Its places are not of one thing: where, how deep and how long.
[[nodiscard]] bool unlike_places(const Adjustment&);
// Its amount is all round.
[[nodiscard]] bool is_girth(AdjustmentKind);
[[nodiscard]] const Adjustment& adjustment(AdjustmentKind);
[[nodiscard]] std::optional<AdjustmentKind> adjustment_of_key(std::string_view);
[[nodiscard]] std::optional<std::size_t> method_of_key(const Adjustment&, std::string_view);
[[nodiscard]] bool zero_works(const Adjustment&, std::size_t method);
// What a way usually carries.
[[nodiscard]] UsualAmounts usual_amounts(const Adjustment&, std::size_t method);
// Further than anybody ever went: six times what is usual, and 15 cm at least. It is refused unseen.
[[nodiscard]] Length far_beyond(const Adjustment&, std::size_t method);
// The bound of that an amount lies past; none where it is usual.
[[nodiscard]] std::optional<Length> usual_passed(const Adjustment&, std::size_t method, Length);
// What is done on a part by itself; and of one that is sewn to another above or below it.
[[nodiscard]] bool serves(const Adjustment&, const Garment& part);
[[nodiscard]] bool serves_joined(const Adjustment&, const Garment& part, bool below);
[[nodiscard]] bool method_serves(const Adjustment&, const Garment& part, std::size_t method);
// The way it is done on this part unless the sewist says another.
[[nodiscard]] std::size_t usual_method(const Adjustment&, const Garment& part);

// Where it is done on the pieces of a part; the first place stands for the rest.
struct Place {
    PieceRole piece{};
    Point at;
};
[[nodiscard]] std::vector<Place> places_of(const Adjustment&, const Garment& part);

// One adjustment on one part.
struct FittingTurn {
    const Adjustment* adjustment;
    PartKind part;
};
// The order in which a garment of these parts is fitted: by zone, part by part from the top, by rank.
[[nodiscard]] std::vector<FittingTurn> fitting_order(const std::vector<PartKind>&);
// Fitted earlier than the other, on the same part.
[[nodiscard]] bool comes_before(AdjustmentKind, AdjustmentKind);

}  // namespace sartorum
