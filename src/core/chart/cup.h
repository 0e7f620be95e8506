// cup.h: the sewing cup, which is not the shop cup: a letter for how far the bust stands out.
//
// By high bust (common practice): bust − high bust; under 1/2 in AA, then an inch a letter: 1 in A, 2 B, 3 C, 4 D,
// 5 E (also DD), 6 F. The letter is the nearest inch.
// By underbust (EN 13402-3, from memory): bust − underbust in cm: AA 10-12, A 12-14, B 14-16, C 16-18, D 18-20,
// E 20-22, F 22-24, ... two centimetres a letter; each class begins at its lower end.
// A maker's own table wins: the row whose difference is nearest.
#pragma once
#include "core/body/body_set.h"
#include "core/chart/size_chart.h"

namespace sartorum {

struct Cup {
    std::string letter;
    Length difference;  // what it was read from
    CupBy by = CupBy::HighBust;
    bool makers = false;  // by the maker's own table
};

[[nodiscard]] std::string cup_by_high_bust(Length difference);
[[nodiscard]] std::string cup_by_underbust(Length difference);
// The bust − high bust a letter stands for in the common practice of an inch a letter; none for an unknown letter.
[[nodiscard]] std::optional<Length> cup_difference(const std::string& letter);

// The wearer's cup in this chart's way; none while a girth it needs is not read.
[[nodiscard]] std::optional<Cup> cup_of(const BodySet&, const SizeChart&);
// The letter this chart's (first) group is drafted for. A chart that states none and prints no high bust is taken
// for a B (common practice), and that is to be said.
struct DraftedCup {
    std::string letter;
    bool assumed = false;
};
[[nodiscard]] std::optional<DraftedCup> drafted_cup(const SizeChart&);
// What the chart's bust stands above its high bust: as printed; else from the drafted cup, by the maker's table or
// common practice.
[[nodiscard]] std::optional<Length> drafted_difference(const SizeChart&);
// Of a chart with several body types: by height first, where they are told apart by it; then the one drafted
// nearest to the wearer's bust − high bust; the first where nothing tells.
[[nodiscard]] std::string nearest_group(const SizeChart&, const BodySet&);
// High bust of a size: printed, else chart bust less the drafted cup's difference.
[[nodiscard]] std::optional<Length> implied_high_bust(const SizeChart&, std::size_t size);

}  // namespace sartorum
