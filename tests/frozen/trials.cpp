#include "frozen/trials.h"

#include <QtGlobal>
#include <algorithm>

#include "demo_garments.h"
#include "formats/json.h"
#include "frozen/draws.h"
#include "princess_fronts.h"
#include "tops.h"

namespace sartorum::test {
namespace {

struct Row {
    const char* key;
    double least;  // of the amounts drawn
    double most;
    std::vector<const char*> methods{};
    bool apart = false;
};

const std::vector<Row>& rows()
{
    static const std::vector<Row> all{
        {"shoulder_length", -20, 20},
        {"shoulder_slope", -16, 16, {"tips", "neck_ends", "allow_and_pin"}, true},
        {"ball_of_shoulder", -10, 10, {"redrawn", "slashed"}},
        {"neck_forward", -10, 10},
        {"round_back", -14, 20, {"centre_seam", "fold_eased", "fold_darted"}},
        {"armhole_depth", -22, 25},
        {"bust_depth", -30, 30, {"move_box", "re_aim"}},
        {"bodice_length", -35, 40, {}, true},
        {"sway_back", -28, -1, {"centre_seam", "fold_trimmed", "fold_tuck", "waist_seam"}},
        {"waist_to_hip", -35, 40},
        {"underarm_width", -50, 60, {"quarters", "back_only"}},
        {"bust", -25, 40, {"side", "waist_dart", "kept", "eased", "two_slashes", "princess"}},
        {"knit_dart", 1, 6.4, {"with_length", "dart_only"}},
        {"neck_gape", 1, 15},
        {"armhole_gape", 1, 15},
        {"across_front", -6, 12},
        {"back_armhole", 1, 9},
        {"width_at_waist", -70, 90, {"quarters", "back_only"}},
        {"width_at_hip", -60, 90, {"quarters", "back_only"}},
        {"dart_moved", 0, 120, {"side", "armhole", "shoulder", "waist", "neck"}},
        {"upper_arm", -30, 45, {"cap_kept", "split_through"}},
        {"cap_height", -25, 25},
        {"cap_forward", -12, 12},
        {"top_notch", -15, 15},
        {"sleeve_above", -60, 60},
        {"sleeve_below", -60, 60},
        {"forearm", -40, 50},
        {"sleeve_hem", -40, 50},
        {"hem_given_back", -60, 80},
        {"finished_length", -120, 150},
    };
    return all;
}

// Of what has legs, beside those.
const std::vector<Row>& leg_rows()
{
    static const std::vector<Row> all{
        {"body_rise", -25, 35},
        {"crotch_wedge", -18, 28, {}, true},
        {"crotch_point", -15, 22, {}, true},
        {"leg_length", -70, 80, {"halved", "at_knee"}},
        {"width_at_thigh", -35, 50},
        {"width_at_knee", -40, 60},
        {"width_at_leg_hem", -50, 90},
    };
    return all;
}

// What a body has where the chart prints nothing, in mm, and how far it may be off either way.
struct BodyRow {
    const char* key;
    double usual;
    double off;
};
constexpr BodyRow body_rows[] = {
    {"neck_base", 370, 20},
    {"high_bust", 860, 40},
    {"bust", 900, 45},
    {"underbust", 770, 30},
    {"waist", 720, 50},
    {"high_hip", 900, 40},
    {"hip", 980, 45},
    {"bust_depth", 270, 20},
    {"bust_span", 190, 15},
    {"front_waist_length", 435, 22},
    {"across_front", 330, 18},
    {"waist_to_hip", 205, 20},
    {"skirt_length", 620, 60},
    {"shoulder_length", 124, 9},
    {"cross_shoulder", 390, 22},
    {"across_back", 350, 18},
    {"back_waist_length", 412, 20},
    {"arm_length", 590, 30},
    {"upper_arm", 285, 30},
    {"wrist", 162, 12},
    {"neck_point_height", 1420, 8},
    {"height", 1680, 40},
    {"shoulder_tip_height", 1376, 9},
    {"seated_hip", 1040, 45},
};

constexpr BodyRow leg_body_rows[] = {
    {"trouser_length", 1030, 50}, {"thigh", 580, 30},      {"knee", 370, 20},      {"calf", 360, 20},
    {"inside_leg", 780, 40},      {"front_rise", 350, 22}, {"back_rise", 430, 28}, {"body_rise", 276, 18},
};

// Patterns and charts of the demo, read once.
struct Subject {
    std::string name;
    Pattern pattern;
    SizeChart chart;
};

using Files = std::vector<std::pair<const char*, const char*>>;

std::vector<Subject> read_subjects(const Files& files)
{
    std::vector<Subject> out;
    for (const auto& [drawing, chart] : files) {
        out.push_back(
            {drawing, *formats::read_pattern_svg(demo_file(drawing)), *formats::read_chart_csv(demo_file(chart))});
    }
    return out;
}

const std::vector<Subject>& demo_subjects()
{
    static const auto all = read_subjects({{"windlass-bodice.svg", "windlass-dress.csv"},
                                           {"heron-tee.svg", "heron-tee.csv"},
                                           {"sluice-waistcoat.svg", "sluice-waistcoat.csv"},
                                           {"lockside-skirt.svg", "towpath-paper.csv"}});
    return all;
}

Outcome<Pattern> two_sizes(BodiceFlat f)
{
    Pattern p{"Drawn",
              "Nobody",
              {},
              bodice_seams(f.shoulder_ease,
                           f.sleeve.length > Length{} ? std::optional{f.sleeve.cap_ease} : std::nullopt)};
    for (const char* name : {"12", "14"}) {
        f.size = name;
        auto size = draw_bodice(f);
        if (!size) return tl::make_unexpected(size.error());
        p.sizes.push_back(std::move(*size));
        f.bust += Length::mm(40);
        f.waist += Length::mm(40);
        f.sleeve.bicep += Length::mm(f.sleeve.length > Length{} ? 14 : 0);
        f.across_front += Length::mm(4);
        f.across_back += Length::mm(4);
        f.back_length += Length::mm(4);
        f.front_length += Length::mm(5);
    }
    return check_pattern(std::move(p));
}

Subject drawn_subject(std::size_t i)
{
    for (unsigned seed = static_cast<unsigned>(i) * 17;; ++seed) {
        std::mt19937 rng{seed};
        if (i % 8 == 5) {
            const auto skirt = skirt_pattern(random_skirt(rng));
            if (!skirt) continue;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back({skirt->sizes.front().size,
                                   {{Measure::Waist, Length::mm(715)}, {Measure::Hip, Length::mm(960)}},
                                   0});
            return {"skirt block", *skirt, chart};
        }
        BodiceFlat f = i % 8 == 3 ? random_princess(rng) : random_bodice(rng);
        if (i % 8 != 7) f = with_sleeve(f, Length::mm(between(rng, 8, 30)));
        const auto pattern = two_sizes(f);
        if (!pattern) continue;
        return {"bodice block", *pattern, chart_for(*pattern)};
    }
}

BodySet drawn_body(const Draws& d, const SizeChart& chart, std::size_t size, bool legs)
{
    BodySet body{"2026-05-01", {}};
    std::vector<BodyRow> drawn{std::begin(body_rows), std::end(body_rows)};
    if (legs) drawn.insert(drawn.end(), std::begin(leg_body_rows), std::end(leg_body_rows));
    for (const auto& row : drawn) {
        const std::string key{row.key};
        if (!d.chance(key + " taken", 0.75)) continue;
        const Measure m = *measure_of_key(key);
        const double at = chart.body(size, m).value_or(Length::mm(row.usual)).in_mm();
        const auto reading = [&](const std::string& which, double from) {
            return Length::mm(std::round(from + d.between(key + which, -1, 1) * 2));
        };
        const double right = at + d.between(key, -1, 1) * row.off;
        body.readings[m] = {reading(" first", right), reading(" second", right)};
        if (facts(m).sided && d.chance(key + " left", 0.4)) {
            const double left = right + d.between(key + " left off", -1, 1) * row.off / 3;
            body.left[m] = {reading(" left first", left), reading(" left second", left)};
        }
    }
    body.posture.ball = static_cast<Stance>(d.one_of("ball", 4));
    body.posture.round_back = static_cast<RoundBack>(d.one_of("round", 4));
    return body;
}

// As a plan's file holds it: that format stays readable.
std::string drawn_decisions(const Draws& d, std::size_t crowd, bool legs)
{
    std::vector<std::pair<double, std::string>> entries;
    std::vector<Row> drawn = rows();
    if (legs) drawn.insert(drawn.end(), leg_rows().begin(), leg_rows().end());
    for (const auto& row : drawn) {
        const std::string key{row.key};
        if (!d.chance(key + " decided", 0.12 + 0.09 * static_cast<double>(crowd % 6))) continue;
        std::string entry = "\"" + key + "\": {\"answer\": ";
        entry += d.chance(key + " declined", 0.08) ? "\"declined\"" : "\"accepted\"";
        const double amount = std::round(d.between(key + " amount", row.least, row.most) * 4) / 4;
        if (d.chance(key + " own", 0.6)) {
            entry += ", \"amount_mm\": " + std::to_string(d.chance(key + " wild", 0.06) ? amount * 4 : amount);
            if (row.apart && d.chance(key + " apart", 0.5))
                entry += ", \"back_mm\": " + std::to_string(std::round(d.between(key + " back", -8, 8) * 4) / 4);
        }
        if (!row.methods.empty() && d.chance(key + " way", 0.4))
            entry +=
                std::string{", \"method\": \""} + row.methods[d.one_of(key + " which", row.methods.size())] + "\"";
        entries.emplace_back(d.between(key + " order", 0, 1), entry + "}");
    }
    std::sort(entries.begin(), entries.end());
    std::string out;
    for (const auto& [order, entry] : entries) out += (out.empty() ? "" : ", ") + entry;
    return out;
}

Plan drawn_plan(const Draws& d, const Subject& of, std::size_t crowd, const std::string& frame,
                const std::string& lower)
{
    const bool trousers = of.name.find("trousers") != std::string::npos;
    const bool all_in_one = of.name.find("all-in-one") != std::string::npos;
    const bool top = of.name.find("skirt") == std::string::npos && !trousers;
    const bool dress = of.name.find("dress") != std::string::npos;
    std::string text = "{\"waist_size\": \"" + (d.chance("waist as frame", 0.5) ? frame : lower) +
                       "\", \"hip_size\": \"" + lower + "\"";
    if (trousers) text += ", \"garment\": \"trousers\"";
    if (all_in_one)
        text += ", \"bust_size\": \"" + frame + "\", \"garment\": \"all_in_one\"";
    else if (top)
        text += ", \"bust_size\": \"" + frame + "\", \"garment\": \"" + (dress ? "dress" : "top") + "\"";
    if (d.chance("knit", 0.25)) text += ", \"knit\": true, \"stretch\": 0.3";
    if (d.chance("seated", 0.1)) text += ", \"seated\": true";
    if (d.chance("wish", 0.15)) text += ", \"ease_mm\": {\"" + std::string{top ? "bust" : "hip"} + "\": 64}";
    const auto plan = formats::read_plan(text + ", \"adjustments\": {" +
                                         drawn_decisions(d, crowd, trousers || all_in_one) + "}}");
    if (!plan) qFatal("the plan drawn is not read: %s", text.c_str());
    return *plan;
}

Plan plain_plan(const Subject& of, const SizeChart& chart, const BodySet& body)
{
    const bool top = of.name != "lockside-skirt.svg";
    ChoiceWish wish;
    wish.kind = top ? GarmentKind::Top : GarmentKind::Skirt;
    const std::size_t middle = chart.sizes.size() / 2;  // where nothing was measured to choose by
    const auto advice = advise(chart, body, wish);
    const SizeChoice choice = advice ? advice->choice : SizeChoice{middle, middle, middle};
    Plan plan;
    plan.choosing = wish;
    const auto name = [&](std::size_t i) { return chart.sizes[i].name; };
    plan.take_sizes(name(choice.waist_size), name(choice.hip_size), top ? name(choice.bust_size) : "");
    return plan;
}

}  // namespace

std::vector<Trial> demo_trials()
{
    std::vector<Trial> out;
    for (const auto& s : demo_subjects()) {
        const auto first = formats::read_body(demo_file("ottilie.json"));
        for (const char* file : {"bram.json", "ottilie-april.json", "ottilie.json"}) {
            const auto body = formats::read_body(demo_file(file));
            Plan plan = plain_plan(s, s.chart, body->set);
            out.push_back({s.name + " · " + file + " · as proposed", s.pattern, s.chart, body->set, plan});
            for (const auto& row : rows()) {
                if (const auto kind = adjustment_of_key(row.key)) plan.decide({*kind, Answer::Accepted, {}});
            }
            out.push_back({s.name + " · " + file + " · all taken", s.pattern, s.chart, body->set, plan});
        }
        for (const auto& row : rows()) {
            Plan plan = plain_plan(s, s.chart, first->set);
            const auto kind = adjustment_of_key(row.key);
            if (!kind) qFatal("no adjustment %s", row.key);
            plan.decide({*kind, Answer::Accepted, Length::mm(std::round((row.least + row.most * 2) / 3))});
            out.push_back({s.name + " · " + row.key, s.pattern, s.chart, first->set, plan});
        }
    }
    return out;
}

namespace {

Trial drawn_trial(std::size_t i, const Draws& d, const Subject& of)
{
    const std::size_t sizes = of.pattern.sizes.size();
    const std::size_t frame = d.one_of("frame", sizes);
    const std::size_t lower = d.chance("blend", 0.4) ? std::min(sizes - 1, frame + d.one_of("step", 3)) : frame;
    const auto& frame_name = of.pattern.sizes[frame].size;
    const auto size = of.chart.index_of(frame_name);
    if (!size) qFatal("%s has no size %s", of.name.c_str(), frame_name.c_str());
    const bool legs =
        of.name.find("trousers") != std::string::npos || of.name.find("all-in-one") != std::string::npos;
    return {std::to_string(i) + " " + of.name, of.pattern, of.chart, drawn_body(d, of.chart, *size, legs),
            drawn_plan(d, of, i / 2, frame_name, of.pattern.sizes[lower].size)};
}

}  // namespace

Trial random_trial(std::size_t i)
{
    const Subject of = i % 2 ? drawn_subject(i) : demo_subjects()[(i / 2) % demo_subjects().size()];
    return drawn_trial(i, Draws{i}, of);
}

std::vector<Trial> leg_trials()
{
    const auto subjects = read_subjects({{"lockgate-trousers.svg", "lockgate-trousers.csv"},
                                         {"barge-trousers.svg", "barge-trousers.csv"},
                                         {"slipway-all-in-one.svg", "slipway-all-in-one.csv"}});
    constexpr std::size_t plans = 90;
    std::vector<Trial> out;
    for (std::size_t i = 0; i < plans; ++i) out.push_back(drawn_trial(i, Draws{i + 19000}, subjects[i % 3]));
    return out;
}

std::vector<Trial> joined_trials()
{
    const auto subjects = read_subjects({{"aqueduct-dress.svg", "aqueduct-dress.csv"},
                                         {"reedbed-dress.svg", "reedbed-dress.csv"},
                                         {"ropewalk-skirt.svg", "ropewalk-skirt.csv"}});
    constexpr std::size_t plans = 90;
    std::vector<Trial> out;
    for (std::size_t i = 0; i < plans; ++i) out.push_back(drawn_trial(i, Draws{i + 9000}, subjects[i % 3]));
    return out;
}

}  // namespace sartorum::test
