// ease.h: how much larger the garment is than the body: as designed, as wished, and the least one moves in.
//
// Design ease of a size at a measure = finished − chart body. Finished wanted = body + design ease, unless she
// wishes another ease. What must change = wanted − finished of the chosen size; with the design ease kept this is
// body − chart.
// Least wearing ease, woven and close (common practice): bust 50 mm, waist 25, hip 40, upper arm 40; thigh 40 by
// analogy with the hip, knee 30 and calf 20 (from memory), high bust and underbust 0. Seated: the hip's least
// applies to the seated girth. Knit: girth g of cloth that stretches by s may be as small as body/(1 + s/2): half
// the stretch is spent at most, so least = −body·(s/2)/(1 + s/2); a knit that stretches less than 10 % counts as
// woven. From memory.
#pragma once
#include "core/body/body_set.h"
#include "core/chart/size_chart.h"

namespace sartorum {

struct Cloth {
    bool knit = false;
    double stretch = 0.0;  // 0.30 for 30 %, 0 to 1.5; 0 is not known
    [[nodiscard]] bool stretch_asked() const { return knit && stretch <= 0; }
    friend bool operator==(const Cloth&, const Cloth&) = default;
};

[[nodiscard]] Length least_ease(Measure, const Cloth&, Length body);

// How much longer than its armhole a cap may be: woven 5 to 40 mm (a shirt's 5-15, a set-in sleeve's 20-40), knit
// 0 to 10. Common practice.
struct EaseRange {
    Length least;
    Length most;
};
[[nodiscard]] EaseRange cap_ease_range(const Cloth&);

// Less than this nobody sews: on a seam and a length 3 mm; on a half front, and on the girth of two side seams, 6.
// Common practice. Amounts that were typed, pinched or marked are done as they are.
inline constexpr Length least_on_seam = Length::mm(3);
inline constexpr Length least_on_half_front = Length::mm(6);
inline constexpr Length least_on_girth = Length::mm(6);

struct EaseRow {
    Measure measure{};
    Length body;
    Length finished;  // of the chosen size
    Length designed;  // ease over the chart's body
    Length now;       // over the wearer's, in the chosen size
    Length planned;   // designed, or her wish
    bool wished = false;
    Length least;
    [[nodiscard]] Length change() const { return planned - now; }
    [[nodiscard]] Length finished_wanted() const { return body + planned; }
    [[nodiscard]] bool holds(Length spread) const { return planned + spread >= least; }
};

// What a garment of that size is larger by than the chart's body there; none where the chart says none.
[[nodiscard]] std::optional<Length> designed_ease(const SizeChart&, std::size_t size, Measure, Length finished);

// Does the ease as designed hold a difference of body from chart: less than a centimetre on the girth, and enough
// left to move in. Common practice.
[[nodiscard]] bool ease_holds(const EaseRow&, Length difference);

using EaseWishes = std::map<Measure, Length>;

// None while the body or the chart's body or the finished girth is not known. `finished` overrides the chart's.
[[nodiscard]] std::optional<EaseRow> ease_at(const SizeChart&, std::size_t size, Measure, const BodySet&,
                                             const EaseWishes&, const Cloth&, std::optional<Length> finished = {});

}  // namespace sartorum
