// size_chart.h: the body measurements a maker drafts each size for, as makers print them.
//
// Sizes stand in growing order inside their group (a body type or cup range of one pattern; most charts have one,
// without a name). At least one girth, of the body or finished, is printed for every size, and every printed
// measure for every size of a group. A printed range ("92-96") is kept as its middle and half its width.
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
    std::string group{};
    std::map<Measure, Length> half_range{};  // where a range was printed
    std::map<Measure, Length> finished{};    // garment, at the stitching lines, where printed or flat-measured
};

struct CupRow {
    std::string letter;
    Length difference;
    friend bool operator==(const CupRow&, const CupRow&) = default;
};

enum class CupBy { HighBust, Underbust };

struct ChartView {
    std::string name;
    std::string first;  // size names
    std::string last;
    friend bool operator==(const ChartView&, const ChartView&) = default;
};

struct HeightRange {
    Length from;
    Length to;
    friend bool operator==(const HeightRange&, const HeightRange&) = default;
};

struct SizeChart {
    std::string name;
    std::string maker;
    std::vector<ChartSize> sizes;
    std::map<std::string, std::string> drafted_cup{};  // letter by group; "" for the whole chart
    std::vector<CupRow> cups{};                        // the maker's own table, if there is one
    CupBy cups_by = CupBy::HighBust;
    std::optional<Length> height_from{};
    std::optional<Length> height_to{};
    std::map<std::string, HeightRange> heights{};  // of a group, where the groups are told apart by height
    std::optional<Length> allowance{};
    std::vector<ChartView> views{};
    bool bodies_assumed = false;  // worked out from finished measures (finished_only.h), never printed or kept

    [[nodiscard]] std::optional<std::size_t> index_of(const std::string& size) const;
    [[nodiscard]] std::optional<Length> body(std::size_t size, Measure) const;
    [[nodiscard]] Length half_range(std::size_t size, Measure) const;
    [[nodiscard]] std::optional<Length> finished(std::size_t size, Measure) const;
    [[nodiscard]] bool prints(Measure) const;
    [[nodiscard]] std::vector<std::string> groups() const;  // in order of appearance
    // The sizes of one group, as a chart of their own; an unknown name gives the first group.
    [[nodiscard]] SizeChart of_group(const std::string&) const;
};

inline constexpr std::size_t most_sizes = 60;

// The chart itself when it can be used, else the first reason it cannot.
[[nodiscard]] Outcome<SizeChart> check_chart(SizeChart);

}  // namespace sartorum
