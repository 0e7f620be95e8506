// size_choice.h: which size, or which blend between levels, leaves the least to do.
//
// The anchor is the level that is hardest to alter (a school): the frame by high bust or by full bust for tops and
// dresses; the hip for fitted skirts and trousers, the waist for full ones. At each level the size whose chart
// body is nearest (common practice). When a body lies within its measuring noise of the middle between two sizes,
// both are offered and the one towards the other levels' size is taken; with no other level, knits and roomy
// styles go down, woven close ones up. So no larger body ever gets a smaller size.
//
// Ranking: the sizes, and the blend that is advised, fewest and smallest adjustments first, the frame counting
// most (common practice); what lies within measuring, is so small that nobody sews it, or is held by the ease as
// designed, is left out. The weights are our own: 8 mm for each adjustment, plus its amount, twice for a length (5
// mm on a length is as much as 10 mm on a girth, as in reading them) and twice again on the frame.
#pragma once
#include <array>
#include <vector>

#include "core/body/body_set.h"
#include "core/chart/cup.h"
#include "core/chart/ease.h"
#include "core/chart/size_chart.h"

namespace sartorum {

enum class GarmentKind { Top, Dress, Skirt, Trousers, Bra, AllInOne };
enum class School { HighBust, FullBust, Waist, Hip };

inline constexpr std::array garment_keys{"top", "dress", "skirt", "trousers", "bra", "all_in_one"};
inline constexpr std::array school_keys{"high_bust", "full_bust", "waist", "hip"};

struct ChoiceWish {
    GarmentKind kind = GarmentKind::Skirt;
    bool full = false;  // gathered or roomy: hangs from the waist, goes down between sizes
    bool knit = false;
    bool seated = false;             // worn sitting: the larger of standing and seated girths
    std::optional<School> school{};  // hers; else the recommended one
    friend bool operator==(const ChoiceWish&, const ChoiceWish&) = default;
};

enum class SchoolReason { FrameByHighBust, CupAsDrafted, HighBustUnknown, HangsFromHip, HangsFromWaist, OnlyOne };

struct SchoolAdvice {
    School school{};
    SchoolReason reason{};
    std::vector<School> possible;  // what chart and body allow
};

struct LevelDifference {
    Measure measure{};
    Length body;
    Length chart;
    Length difference;  // body − chart
    Length spread;
    Length half_range{};
    bool held = false;  // the ease as designed takes it up
    [[nodiscard]] bool nothing_to_do() const;
};

enum class ChoiceReason { OneSize, OneSizeByNoise, Blend, BeyondChart };

// One size for each of three parts of the body: above, the middle (waist; a bra's band under the bust), below.
struct SizeChoice {
    std::size_t waist_size = 0;
    std::size_t hip_size = 0;
    std::size_t bust_size = 0;  // the anchor's size where the chart has no bust or the garment none
    [[nodiscard]] bool is_blend() const { return waist_size != hip_size || bust_size != hip_size; }
    friend bool operator==(const SizeChoice&, const SizeChoice&) = default;
};

// What a size taken throughout, or a blend, would leave to adjust.
struct SizeCost {
    SizeChoice choice;
    std::vector<LevelDifference> left;
    int to_adjust = 0;
    Length largest;  // of the absolute differences to adjust
    Measure largest_at{};
    Length work;  // for ranking: each difference to adjust, lengths and the frame weighing more
};

// The size that serves a measure: of the part of the body it belongs to.
[[nodiscard]] std::size_t size_at(const SizeChoice&, Measure);
// The sizes of a choice at these levels from the top down, a run of one size once.
[[nodiscard]] std::vector<std::size_t> sizes_from_above(const SizeChoice&, const std::vector<Measure>& levels);
// Another size for that part; a part without a level of its own follows its neighbour.
[[nodiscard]] SizeChoice with_size_at(SizeChoice, Measure, std::size_t size, const std::vector<Measure>& levels);

struct Between {
    Measure measure{};
    std::size_t lower = 0;
};

struct Advice {
    SizeChoice choice;
    ChoiceReason reason{};
    bool waist_between = false;  // the waist lies within its noise of the middle of two sizes
    bool hip_between = false;
    std::vector<SizeCost> costs{};  // one a size, in chart order
    SchoolAdvice school{};
    std::vector<Measure> levels{};    // where a size is chosen: of bust (or high bust), waist, hip
    std::vector<Between> between{};   // levels where two sizes are as good
    std::vector<SizeCost> ranking{};  // the sizes and an advised blend, least left to do first
};

// Nearest size at one measure; on an exact tie the smaller. The chart must print the measure.
[[nodiscard]] std::size_t nearest_size(const SizeChart&, Measure, Length body);
// What the chart drafts a size for at a measure; for the high bust also what the drafted cup implies.
[[nodiscard]] std::optional<Length> drafted(const SizeChart&, std::size_t size, Measure);
[[nodiscard]] SizeCost cost_of(const SizeChart&, const SizeChoice&, const BodySet&, const Cloth& = {});
// Standing girths replaced by the seated ones where these are larger. Who sits needs more behind and less in
// front: front and back rise are the seated ones, larger or not, where both were measured; so is their sum. Common
// practice.
[[nodiscard]] BodySet as_worn(BodySet, bool seated);
[[nodiscard]] SchoolAdvice advise_school(const SizeChart&, const BodySet&, const ChoiceWish&);
// The measure whose nearest size each school stands for.
[[nodiscard]] Measure anchor_of(School);
// Needs the anchor's measure in the set, and one level in common with the chart.
[[nodiscard]] Outcome<Advice> advise(const SizeChart&, const BodySet&, const ChoiceWish& = {});

}  // namespace sartorum
