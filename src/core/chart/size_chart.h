// size_chart.h: the body measurements a maker drafts each size for.
//
// Sizes stand in growing order; every printed measure grows or stays from size to size, and waist and hip
// are there for every size. waist_to_hip may be missing: then the pattern itself is measured.
#pragma once
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/body/measure.h"
#include "core/units/refusal.h"

namespace sartorum {

struct ChartSize {
    std::string name;
    std::map<Measure, Length> body;
    int line = 0;  // where it stood in the file, for messages
};

struct SizeChart {
    std::string name;
    std::string maker;
    std::vector<ChartSize> sizes;

    [[nodiscard]] std::optional<std::size_t> index_of(const std::string& size) const;
    [[nodiscard]] std::optional<Length> body(std::size_t size, Measure) const;
    [[nodiscard]] bool prints(Measure) const;
};

inline constexpr std::size_t most_sizes = 60;

// The chart itself when it can be used, else the first reason it cannot.
[[nodiscard]] Outcome<SizeChart> check_chart(SizeChart);

}  // namespace sartorum
