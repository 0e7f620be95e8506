// catalogue.h: every adjustment there is, in fitting order. Adding one: docs/adding-an-adjustment.md.
#pragma once
#include <array>
#include <optional>
#include <string_view>

#include "core/alter/garment.h"
#include "core/body/body_set.h"
#include "core/chart/ease.h"
#include "core/chart/size_chart.h"

namespace sartorum {

enum class AdjustmentKind { WaistToHip, WidthAtWaist, WidthAtHip, HemGivenBack, FinishedLength };
enum class Zone { Lengths, Widths, Hem };

// What a proposal is made from: the pieces as traced, as they are now (after what comes before in fitting order),
// the body, and what the chosen sizes are drafted for.
struct FittingState {
    const Garment& traced;
    const Garment& now;
    const BodySet& body;
    const SizeChart& chart;
    std::size_t waist_size;
    std::size_t hip_size;
    const EaseWishes& ease;
};

// Where the second number of a proposal came from.
enum class Against { Chart, Pattern, EarlierChange, EaseWish };

struct Proposal {
    Length amount;
    Length spread;
    Length wanted;  // what the body asks for
    Length given;   // what the chart or the pattern has
    Against against = Against::Chart;
    [[nodiscard]] bool inside_noise() const { return abs(amount) <= spread; }
};

struct Adjustment {
    AdjustmentKind kind;
    std::string_view key;
    Zone zone;
    Length limit;
    // None when nothing is known to propose from, or there is nothing to do.
    std::optional<Proposal> (*propose)(const FittingState&);
    Outcome<Applied> (*apply)(const Garment&, Length amount);
    // Done in one go with the next entry when both are accepted: nobody trims a hem to add to it.
    bool joins_next = false;
    // The measure it is proposed from, if there is one: when that is stale, so is the adjustment.
    std::optional<Measure> from{};
};

[[nodiscard]] const std::array<Adjustment, 5>& catalogue();
[[nodiscard]] const Adjustment& adjustment(AdjustmentKind);
[[nodiscard]] std::optional<AdjustmentKind> adjustment_of_key(std::string_view);

}  // namespace sartorum
