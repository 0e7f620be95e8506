// What was computed, as JSON.
#include "formats/json.h"

#include "core/pattern/princess.h"
#include "core/plan/both_sides.h"
#include "core/plan/cut_out.h"
#include "core/plan/step_telling.h"
#include "formats/pattern_svg.h"
#include "words/lines.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::formats {

using json = nlohmann::ordered_json;

namespace {

std::string key_of(LineState s)
{
    switch (s) {
        case LineState::Proposed: return "proposed";
        case LineState::LeaveIt: return "leave_it";
        case LineState::Accepted: return "accepted";
        case LineState::Declined: return "declined";
        case LineState::NothingKnown: return "nothing_known";
        case LineState::Refused: return "refused";
        case LineState::NotOnPaper: return "not_on_paper";
    }
    return {};
}

std::string key_of(Against a)
{
    switch (a) {
        case Against::Chart: return "chart";
        case Against::Pattern: return "pattern";
        case Against::EarlierChange: return "earlier_change";
        case Against::EaseWish: return "ease_wish";
        case Against::Needed: return "needed";
        case Against::Armhole: return "armhole";
        case Against::SeamMoved: return "seam_moved";
        case Against::PartAbove: return "part_above";
    }
    return {};
}

}  // namespace

json compare_json(const SizeChart& chart, const Advice& advice, const BodySet& body)
{
    json measures = json::object();
    for (const auto& f : all_measures) {
        const auto taken = body.taken(f.measure);
        if (!taken) continue;
        auto& entry = measures[std::string{f.key}];
        entry = {{"value_mm", taken->value.in_mm()}, {"spread_mm", taken->spread.in_mm()}};
        if (taken->state == ReadingState::ThirdAsked) entry["third_reading_asked"] = true;
        if (taken->state == ReadingState::NoneAgree) entry["readings_disagree"] = true;
    }
    json costs = json::array();
    for (const auto& cost : advice.costs) {
        json left = json::object();
        for (const auto& d : cost.left) {
            left[std::string{facts(d.measure).key}] = {{"difference_mm", d.difference.in_mm()},
                                                       {"nothing_to_do", d.nothing_to_do()}};
        }
        costs.push_back({{"size", chart.sizes[cost.choice.hip_size].name},
                         {"differences", left},
                         {"largest_mm", cost.largest.in_mm()}});
    }
    json ranking = json::array();
    for (const auto& cost : advice.ranking) {
        json sizes = json::array();
        for (const auto i : sizes_from_above(cost.choice, advice.levels)) sizes.push_back(chart.sizes[i].name);
        ranking.push_back({{"sizes", sizes}, {"to_adjust", cost.to_adjust}, {"largest_mm", cost.largest.in_mm()}});
    }
    const char* reasons[] = {"one_size", "one_size_by_noise", "blend", "beyond_chart"};
    return {{"measures", measures},
            {"bust_size", chart.sizes[advice.choice.bust_size].name},
            {"waist_size", chart.sizes[advice.choice.waist_size].name},
            {"hip_size", chart.sizes[advice.choice.hip_size].name},
            {"reason", reasons[static_cast<int>(advice.reason)]},
            {"school", school_keys[static_cast<std::size_t>(advice.school.school)]},
            {"ranking", ranking},
            {"sizes", costs}};
}

namespace {

constexpr std::array<std::string_view, 11> join_keys{
    "neck_point",      "shoulder_tip", "underarm",   "waist",         "hem",   "cap_top",
    "sleeve_underarm", "sleeve_hem",   "yoke_lower", "inner_leg_hem", "crotch"};
constexpr std::array<std::string_view, 3> outline_keys{"line_of_no_length", "crossing", "mouth_too_wide"};
constexpr std::array<std::string_view, 5> sided_keys{"alike", "within_noise", "larger", "apart", "together"};

void tell_side(json& row, const std::optional<Side>& side)
{
    if (side) row["side"] = key(*side);
}

json at_places(const PlanLine& line)
{
    json out = json::object();
    for (std::size_t i = 0; i < line.at.size(); ++i)
        out[std::string{adjustment(line.kind).places[i].key}] = line.at[i].in_mm();
    return out;
}

json sides_json(const PlanLine& line)
{
    json out{{"how", sided_keys[static_cast<std::size_t>(line.sides.how)]}};
    if (line.sides.right) out["right_proposed_mm"] = line.sides.right->amount.in_mm();
    if (line.sides.left) out["left_proposed_mm"] = line.sides.left->amount.in_mm();
    return out;
}

}  // namespace

json lines_json(const Computed& computed)
{
    json out = json::array();
    for (const auto& line : computed.lines) {
        json entry{{"adjustment", adjustment(line.kind).key},
                   {"state", key_of(line.state)},
                   {"amount_mm", line.amount.in_mm()}};
        const auto& methods = adjustment(line.kind).methods;
        if (line.back != line.amount) entry["back_mm"] = line.back.in_mm();
        if (line.amount != Length{} && !line.at.empty()) entry["at_mm"] = at_places(line);
        if (!methods.empty()) entry["method"] = methods[line.method];
        for (const auto& c : line.cautions)
            entry["more_than_usual"].push_back({{"mm", c.given.in_mm()}, {"usual_mm", c.most.in_mm()}});
        if (const auto why = words::hindrance(line, Unit::Millimetre); !why.isEmpty())
            entry["hindrance"] = why.toStdString();
        if (line.look_again) entry["look_again_after"] = adjustment(*line.look_again).key;
        if (line.proposal) {
            entry["proposed_mm"] = line.proposal->amount.in_mm();
            entry["spread_mm"] = line.proposal->spread.in_mm();
            entry["wanted_mm"] = line.proposal->wanted.in_mm();
            entry["given_mm"] = line.proposal->given.in_mm();
            entry["against"] = key_of(line.proposal->against);
        }
        if (line.sides.how != Sided::Alike) entry["sides"] = sides_json(line);
        if (const PlanLine* left = computed.left_of(line);
            left && (left->amount != line.amount || left->back != line.back || left->at != line.at)) {
            if (left->amount != Length{} && !left->at.empty()) entry["left_at_mm"] = at_places(*left);
            entry["left_mm"] = left->amount.in_mm();
            if (left->back != left->amount) entry["left_back_mm"] = left->back.in_mm();
        }
        if (line.refused_on) entry["refused_on"] = key(*line.refused_on);
        if (line.state == LineState::Accepted) {
            json& changed = entry["changed"] = json::object();
            for (const auto& row : all_garment_measures()) {
                if (row.tells_change && computed.altered_flat.has(row.measure))
                    changed[std::string{row.key} + "_mm"] = changed_by(computed, line, row.measure).in_mm();
            }
        }
        out.push_back(std::move(entry));
    }
    return out;
}

json not_done_json(const Computed& computed, Unit unit)
{
    json out = json::array();
    for (const auto& n : computed.not_done)
        out.push_back(
            {{"adjustment", adjustment(n.kind).key}, {"why", words::refusal(n.why, unit).toStdString()}});
    for (const auto& n : computed.not_made)
        out.push_back({{"piece", n.piece}, {"why", words::refusal(n.why, unit).toStdString()}});
    return out;
}

json elastic_json(const Elastic& e)
{
    return {{"cut_mm", e.cut().in_mm()},
            {"worn_mm", e.worn.in_mm()},
            {"waist_mm", e.body.in_mm()},
            {"casing_mm", e.casing.in_mm()},
            {"fullness", e.fullness()}};
}

json goes_on_json(const std::vector<GoesOn>& all)
{
    constexpr std::array through{"neck", "sleeve_hem", "leg_hem", "body"};
    json out = json::array();
    for (const auto& g : all) {
        json row{{"through", through[static_cast<std::size_t>(g.through)]},
                 {"closed_mm", g.has.in_mm()},
                 {"over", facts(g.over).key},
                 {"needs_mm", g.needs.in_mm()},
                 {"guessed", g.guessed},
                 {"opening_mm", g.opening.in_mm()},
                 {"from_below", g.from_below},
                 {"holds", g.holds()}};
        if (g.there && *g.there >= piece_most)
            row["opens"] = "all";
        else if (g.there)
            row["opens_mm"] = g.there->in_mm();
        if (g.stretch) row["stretch_needed"] = *g.stretch;
        out.push_back(row);
    }
    return out;
}

json pieces_json(const std::vector<Piece>& pieces)
{
    json out = json::array();
    for (const auto& p : pieces) {
        json entry{{"piece", p.id}, {"outline", outline_data(p)}, {"area_mm2", area_mm2(p)}};
        if (p.princess) entry["panels"] = pieces_json(as_cut({p}));
        out.push_back(std::move(entry));
    }
    return out;
}

json cut_out_json(const Computed& computed)
{
    json out = json::array();
    for (const auto& p : cut_out(computed)) {
        json entry{{"piece", p.piece.id}, {"cut", p.piece.cut}, {"outline", outline_data(p.piece)}};
        tell_side(entry, p.side);
        if (p.whole) entry["whole"] = true;
        out.push_back(std::move(entry));
    }
    return out;
}

json steps_json(const Computed& computed, Unit unit)
{
    json out = json::array();
    for (const auto& s : told_steps(computed)) {
        json entry{{"piece", s.step->piece},
                   {"do", words::step_title(*s.step, unit).toStdString()},
                   {"how", words::step_detail(*s.step, unit).toStdString()},
                   {"amount_mm", s.step->amount.in_mm()}};
        tell_side(entry, s.side);
        out.push_back(std::move(entry));
    }
    return out;
}

json knock_ons_json(const Computed& computed)
{
    json out = json::array();
    for (const auto& k : knock_ons(computed)) {
        json causes = json::array();
        for (const auto cause : k.causes) causes.push_back(adjustment(cause).key);
        json entry{{"causes", causes}, {"changed", facts(k.through).key}, {"by_mm", k.by.in_mm()}};
        if (k.effect) {
            entry["effect"] = adjustment(*k.effect).key;
            entry["state"] = key_of(k.state);
            entry["amount_mm"] = k.amount.in_mm();
            if (k.amount_left) entry["left_mm"] = k.amount_left->in_mm();
        }
        if (k.by_left) entry["by_left_mm"] = k.by_left->in_mm();
        out.push_back(std::move(entry));
    }
    return out;
}

json finished_json(const std::vector<FinishedRow>& table)
{
    json out = json::array();
    for (const auto& row : table) {
        json entry{{"measure", facts(row.what).key},
                   {"traced_mm", row.bought.in_mm()},
                   {"after_mm", row.after.in_mm()},
                   {"holds", row.holds}};
        if (row.body) entry["body_mm"] = row.body->in_mm();
        if (row.needed) entry["needed_mm"] = row.needed->in_mm();
        if (row.right) entry["right_mm"] = row.right->after.in_mm();
        if (row.left) entry["left_mm"] = row.left->after.in_mm();
        out.push_back(std::move(entry));
    }
    return out;
}

json checks_json(const Checks& checks)
{
    json walks = json::array();
    for (const auto& w : checks.walks) {
        walks.push_back({{"seam", w.seam},
                         {"a_mm", w.a.in_mm()},
                         {"b_mm", w.b.in_mm()},
                         {"difference_mm", w.difference.in_mm()},
                         {"holds", w.holds}});
        tell_side(walks.back(), w.side);
    }
    json joins = json::array();
    for (const auto& j : checks.joins) {
        joins.push_back(
            {{"at", join_keys[static_cast<std::size_t>(j.place)]}, {"degrees", j.degrees}, {"holds", j.holds}});
        tell_side(joins.back(), j.side);
        if (j.over_centre) joins.back()["over_centre"] = true;
    }
    json ease = json::array();
    for (const auto& e : checks.ease) {
        ease.push_back({{"measure", facts(e.measure).key},
                        {"finished_mm", e.finished.in_mm()},
                        {"body_mm", e.body.in_mm()},
                        {"ease_mm", e.ease.in_mm()},
                        {"holds", e.holds}});
        tell_side(ease.back(), e.side);
    }
    json out{{"walks", walks}, {"joins", joins}, {"ease", ease}};
    for (const auto& side : checks.unwalked)
        out["unwalked"].push_back({{"piece", side.piece}, {"edge", key(side.role)}});
    for (const auto& f : checks.folds) {
        out["folds"].push_back({{"piece", f.piece}, {"off_mm", f.off.in_mm()}, {"holds", f.holds}});
        tell_side(out["folds"].back(), f.side);
    }
    for (const auto& d : checks.darts) {
        out["darts"].push_back({{"piece", d.piece}, {"legs_apart_mm", d.apart.in_mm()}, {"holds", d.holds}});
        tell_side(out["darts"].back(), d.side);
    }
    for (const auto& o : checks.outlines) {
        out["outlines"].push_back({{"piece", o.piece}, {"holds", o.holds}});
        tell_side(out["outlines"].back(), o.side);
        if (o.found) out["outlines"].back()["found"] = outline_keys[static_cast<std::size_t>(*o.found)];
    }
    if (checks.hem) {
        out["hem_level"] = {{"front_mm", checks.hem->front.in_mm()},
                            {"side_mm", checks.hem->side.in_mm()},
                            {"back_mm", checks.hem->back.in_mm()},
                            {"holds", checks.hem->holds}};
    }
    if (checks.hem && checks.hem->side_left) out["hem_level"]["left_side_mm"] = checks.hem->side_left->in_mm();
    const auto shoulder = [](const SewnShoulder& s) {
        return json{{"slope_degrees", s.slope_degrees()}, {"forward_mm", s.forward().in_mm()}};
    };
    const auto cap = [](const CapCheck& c) {
        return json{{"cap_mm", c.cap.in_mm()},
                    {"armhole_mm", c.armhole.in_mm()},
                    {"ease_mm", c.ease.in_mm()},
                    {"wanted_mm", c.wanted.in_mm()},
                    {"holds", c.holds}};
    };
    if (checks.shoulder) out["shoulder"] = shoulder(*checks.shoulder);
    if (checks.shoulder_left) out["shoulder_left"] = shoulder(*checks.shoulder_left);
    if (checks.cap) out["cap"] = cap(*checks.cap);
    if (checks.cap_left) out["cap_left"] = cap(*checks.cap_left);
    out["all_hold"] = checks.all_hold();
    return out;
}

}  // namespace sartorum::formats
