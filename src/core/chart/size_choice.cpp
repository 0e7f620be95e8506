#include "core/chart/size_choice.h"

#include <algorithm>
#include <array>
#include <utility>

namespace sartorum {
namespace {

using enum Measure;

// Compared size by size; the frame counts most because it is the hardest to alter.
constexpr std::array compared{HighBust,   Bust,         Underbust,     Waist,           Hip,
                              Thigh,      UpperArm,     CrossShoulder, ShoulderLength,  AcrossFront,
                              AcrossBack, ArmholeDepth, BustDepth,     BackWaistLength, FrontWaistLength,
                              ArmLength,  WaistToHip,   BodyRise,      CrotchLength,    InsideLeg};
constexpr std::array frame{HighBust, CrossShoulder, ShoulderLength, AcrossFront, AcrossBack};

std::size_t& part_of(SizeChoice& c, Measure m)
{
    switch (m) {
        case Underbust:
        case Waist: return c.waist_size;
        case Hip:
        case HighHip:
        case Thigh:
        case Knee:
        case Calf:
        case WaistToHip:
        case SkirtLength:
        case TrouserLength:
        case BodyRise:
        case CrotchLength:
        case FrontRise:
        case BackRise:
        case InsideLeg: return c.hip_size;
        default: return c.bust_size;
    }
}

struct SizedLevel {
    Measure measure{};
    Taken taken;
    std::size_t nearest = 0;
    std::optional<std::size_t> other;  // as good within the noise
};

Length at(const SizeChart& chart, std::size_t size, Measure m)
{
    return *drafted(chart, size, m);
}

// The neighbour that is as good as the nearest, if the body stands within its noise of the middle.
std::optional<std::size_t> other_side(const SizeChart& chart, Measure m, const Taken& taken, std::size_t nearest)
{
    const Length here = at(chart, nearest, m);
    const bool up = taken.value > here;
    if (up ? nearest + 1 >= chart.sizes.size() : nearest == 0) return std::nullopt;
    const std::size_t next = up ? nearest + 1 : nearest - 1;
    const Length middle = (here + at(chart, next, m)) / 2.0;
    return abs(taken.value - middle) <= taken.spread ? std::optional{next} : std::nullopt;
}

bool beyond(const SizeChart& chart, const SizedLevel& level)
{
    const std::size_t last = chart.sizes.size() - 1;
    const auto value = [&](std::size_t i) { return at(chart, i, level.measure); };
    return level.taken.value > value(last) + (value(last) - value(last - 1)) / 2.0 ||
           level.taken.value < value(0) - (value(1) - value(0)) / 2.0;
}

std::optional<SizedLevel> level_at(const SizeChart& chart, const BodySet& set, Measure m)
{
    const auto taken = set.taken(m);
    if (!taken || !drafted(chart, 0, m)) return std::nullopt;
    const std::size_t nearest = nearest_size(chart, m, taken->value);
    return SizedLevel{m, *taken, nearest, other_side(chart, m, *taken, nearest)};
}

// The one of a level's candidates that lies towards `size`.
std::size_t towards(const SizedLevel& level, std::size_t size)
{
    if (!level.other) return level.nearest;
    return std::clamp(size, std::min(level.nearest, *level.other), std::max(level.nearest, *level.other));
}

bool wears_bust(GarmentKind kind)
{
    return kind == GarmentKind::Top || kind == GarmentKind::Dress || kind == GarmentKind::Bra ||
           kind == GarmentKind::AllInOne;
}

// Bust (by the school's measure), waist and hip, as far as garment, chart and body have them.
std::vector<SizedLevel> levels_of(const SizeChart& chart, const BodySet& set, const ChoiceWish& wish,
                                  School school)
{
    std::vector<SizedLevel> out;
    const auto add = [&](Measure m) {
        if (auto level = level_at(chart, set, m)) out.push_back(*level);
    };
    if (wears_bust(wish.kind)) add(school == School::HighBust ? HighBust : Bust);
    if (wish.kind == GarmentKind::Bra) {
        add(Underbust);
    } else {
        add(Waist);
        add(Hip);
    }
    return out;
}

std::size_t anchor_size(const SizedLevel& anchor, const std::vector<SizedLevel>& levels, const ChoiceWish& wish)
{
    if (!anchor.other) return anchor.nearest;
    const auto next = std::find_if(levels.begin(), levels.end(),
                                   [&](const SizedLevel& l) { return l.measure != anchor.measure; });
    if (next != levels.end()) return towards(anchor, next->nearest);
    const auto [lower, upper] = std::minmax(anchor.nearest, *anchor.other);
    return wish.knit || wish.full ? lower : upper;
}

std::vector<SizeCost> ranked(std::vector<SizeCost> costs)
{
    std::stable_sort(costs.begin(), costs.end(),
                     [](const SizeCost& a, const SizeCost& b) { return a.work < b.work; });
    return costs;
}

bool of_frame(Measure m)
{
    return std::find(frame.begin(), frame.end(), m) != frame.end();
}

Length work_of(const LevelDifference& d)
{
    constexpr Length each = Length::mm(8);
    const double weight =
        (facts(d.measure).kind == MeasureKind::Girth ? 1.0 : 2.0) * (of_frame(d.measure) ? 2.0 : 1.0);
    return each + abs(d.difference) * weight;
}

}  // namespace

bool LevelDifference::nothing_to_do() const
{
    const Length least = facts(measure).kind == MeasureKind::Girth ? least_on_girth : least_on_seam;
    return held || abs(difference) <= std::max(spread, half_range) || abs(difference) < least;
}

std::size_t size_at(const SizeChoice& choice, Measure m)
{
    SizeChoice c = choice;
    return part_of(c, m);
}

std::vector<std::size_t> sizes_from_above(const SizeChoice& choice, const std::vector<Measure>& levels)
{
    std::vector<std::size_t> out;
    for (const auto m : levels) out.push_back(size_at(choice, m));
    if (out.empty()) out.push_back(choice.hip_size);
    out.erase(std::unique(out.begin(), out.end()), out.end());
    return out;
}

SizeChoice with_size_at(SizeChoice c, Measure m, std::size_t size, const std::vector<Measure>& levels)
{
    part_of(c, m) = size;
    const auto has = [&](const std::size_t& part) {
        return std::any_of(levels.begin(), levels.end(), [&](Measure l) { return &part_of(c, l) == &part; });
    };
    if (!has(c.hip_size)) c.hip_size = has(c.waist_size) ? c.waist_size : c.bust_size;
    if (!has(c.waist_size)) c.waist_size = c.hip_size;
    if (!has(c.bust_size)) c.bust_size = c.hip_size;
    return c;
}

std::optional<Length> drafted(const SizeChart& chart, std::size_t size, Measure m)
{
    return m == HighBust ? implied_high_bust(chart, size) : chart.body(size, m);
}

std::size_t nearest_size(const SizeChart& chart, Measure m, Length body)
{
    std::size_t best = 0;
    for (std::size_t i = 1; i < chart.sizes.size(); ++i) {
        if (abs(body - at(chart, i, m)) < abs(body - at(chart, best, m))) best = i;
    }
    return best;
}

SizeCost cost_of(const SizeChart& chart, const SizeChoice& choice, const BodySet& set, const Cloth& cloth)
{
    SizeCost cost;
    cost.choice = choice;
    for (const auto m : compared) {
        const std::size_t size = size_at(choice, m);
        const auto taken = set.taken(m);
        const auto printed = drafted(chart, size, m);
        if (!taken || !printed) continue;
        LevelDifference d{m, taken->value, *printed, taken->value - *printed, taken->spread};
        d.half_range = chart.half_range(size, m);
        const auto ease = ease_at(chart, size, m, set, {}, cloth);
        d.held = ease && ease_holds(*ease, d.difference);
        if (!d.nothing_to_do()) {
            ++cost.to_adjust;
            cost.work += work_of(d);
            if (abs(d.difference) > cost.largest) {
                cost.largest = abs(d.difference);
                cost.largest_at = m;
            }
        }
        cost.left.push_back(d);
    }
    return cost;
}

namespace {

void rises_as_worn(BodySet& set)
{
    const auto read = [&](Measure m) {
        const auto found = set.readings.find(m);
        return found == set.readings.end() ? std::vector<Length>{} : found->second;
    };
    const auto front = read(SeatedFrontRise);
    const auto back = read(SeatedBackRise);
    if (front.empty() || back.empty()) return;
    std::vector<Length> whole;
    for (std::size_t i = 0; i < std::min(front.size(), back.size()); ++i) whole.push_back(front[i] + back[i]);
    if (set.taken(CrotchLength)) set.readings[CrotchLength] = std::move(whole);
    set.readings[FrontRise] = front;
    set.readings[BackRise] = back;
}

}  // namespace

BodySet as_worn(BodySet set, bool seated)
{
    if (!seated) return set;
    rises_as_worn(set);
    constexpr std::array pairs{std::pair{Waist, SeatedWaist}, std::pair{Hip, SeatedHip},
                               std::pair{Thigh, SeatedThigh}};
    for (const auto& [standing, sitting] : pairs) {
        for (const auto side : {Side::Right, Side::Left}) {
            const auto a = set.taken(standing, side);
            const auto b = set.taken(sitting, side);
            if (b && (!a || b->value > a->value)) set.side(side)[standing] = set.side(side).at(sitting);
        }
    }
    return set;
}

Measure anchor_of(School school)
{
    switch (school) {
        case School::HighBust: return HighBust;
        case School::FullBust: return Bust;
        case School::Waist: return Waist;
        case School::Hip: return Hip;
    }
    return Hip;
}

SchoolAdvice advise_school(const SizeChart& chart, const BodySet& set, const ChoiceWish& wish)
{
    SchoolAdvice out;
    const bool bust = wears_bust(wish.kind);
    for (const auto school : {School::HighBust, School::FullBust, School::Waist, School::Hip}) {
        const bool of_bust = school == School::HighBust || school == School::FullBust;
        if (of_bust == bust && level_at(chart, set, anchor_of(school))) out.possible.push_back(school);
    }
    if (out.possible.empty()) return out;
    const auto can = [&](School s) {
        return std::find(out.possible.begin(), out.possible.end(), s) != out.possible.end();
    };
    out.school = out.possible.front();
    out.reason = SchoolReason::OnlyOne;
    if (bust && can(School::HighBust)) {
        // High bust when the cup is C or more, or another than the drafted one; else both say the same.
        const auto cup = cup_of(set, chart);
        const auto difference = drafted_difference(chart);
        const bool as_drafted = cup && difference && cup->by == CupBy::HighBust &&
                                abs(cup->difference - *difference) <= Length::inches(0.5) &&
                                cup->difference < Length::inches(2.5);
        out.reason = as_drafted ? SchoolReason::CupAsDrafted : SchoolReason::FrameByHighBust;
    } else if (bust) {
        out.reason = SchoolReason::HighBustUnknown;
    } else if (out.possible.size() > 1) {
        out.school = wish.full ? School::Waist : School::Hip;
        out.reason = wish.full ? SchoolReason::HangsFromWaist : SchoolReason::HangsFromHip;
    }
    return out;
}

Outcome<Advice> advise(const SizeChart& chart, const BodySet& body, const ChoiceWish& wish)
{
    const BodySet set = as_worn(body, wish.seated);
    Advice advice;
    advice.school = advise_school(chart, set, wish);
    if (advice.school.possible.empty()) {
        const Measure wanted = wears_bust(wish.kind) ? (set.taken(Bust) ? HighBust : Bust)
                               : set.taken(Waist)    ? Hip
                                                     : Waist;
        const bool unprinted = !drafted(chart, 0, wanted);
        return refuse(unprinted ? Why::ChartNoMeasure : Why::BodyIncomplete, std::string{facts(wanted).key});
    }
    const auto& possible = advice.school.possible;
    if (wish.school && std::find(possible.begin(), possible.end(), *wish.school) != possible.end()) {
        advice.school.school = *wish.school;
    }
    const auto levels = levels_of(chart, set, wish, advice.school.school);
    const Measure anchor_measure = anchor_of(advice.school.school);
    const auto anchor = *std::find_if(levels.begin(), levels.end(),
                                      [&](const SizedLevel& l) { return l.measure == anchor_measure; });
    const std::size_t by_anchor = anchor_size(anchor, levels, wish);
    advice.choice = {by_anchor, by_anchor, by_anchor};
    bool differ = false;
    bool off = false;
    for (const auto& level : levels) {
        const std::size_t size = level.measure == anchor_measure ? by_anchor : towards(level, by_anchor);
        part_of(advice.choice, level.measure) = size;
        advice.levels.push_back(level.measure);
        if (level.other) advice.between.push_back({level.measure, std::min(level.nearest, *level.other)});
        advice.waist_between = advice.waist_between || (level.measure == Waist && level.other);
        advice.hip_between = advice.hip_between || (level.measure == Hip && level.other);
        differ = differ || level.nearest != anchor.nearest;
        off = off || beyond(chart, level);
    }
    advice.reason = off                        ? ChoiceReason::BeyondChart
                    : advice.choice.is_blend() ? ChoiceReason::Blend
                    : differ                   ? ChoiceReason::OneSizeByNoise
                                               : ChoiceReason::OneSize;
    const Cloth cloth{wish.knit};
    for (std::size_t i = 0; i < chart.sizes.size(); ++i)
        advice.costs.push_back(cost_of(chart, {i, i, i}, set, cloth));
    advice.ranking = advice.costs;
    if (advice.choice.is_blend())
        advice.ranking.insert(advice.ranking.begin(), cost_of(chart, advice.choice, set, cloth));
    advice.ranking = ranked(std::move(advice.ranking));
    return advice;
}

}  // namespace sartorum
