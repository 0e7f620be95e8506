#include "formats/json.h"

#include "core/units/length_text.h"
#include "formats/pattern_svg.h"

namespace sartorum::formats {
namespace {

using json = nlohmann::ordered_json;
constexpr std::size_t most_bytes = 1024 * 1024;
constexpr int most_depth = 8;

Outcome<json> parse(const std::string& text)
{
    if (text.size() > most_bytes) return refuse(Why::FileTooLarge);
    bool too_deep = false;
    const auto guard = [&](int depth, json::parse_event_t, json&) {
        too_deep = too_deep || depth > most_depth;
        return !too_deep;
    };
    auto parsed = json::parse(text, guard, false);
    if (too_deep) return refuse(Why::FileTooDeep);
    if (parsed.is_discarded() || !parsed.is_object()) return refuse(Why::FileBroken);
    return parsed;
}

Outcome<std::string> text_at(const json& j, const char* key)
{
    if (!j.contains(key) || !j[key].is_string()) return refuse(Why::KeyMissing, key);
    return j[key].get<std::string>();
}

Outcome<Length> length_of(const json& value, const std::string& field)
{
    if (value.is_number() && std::abs(value.get<double>()) < 1e6) return Length::mm(value.get<double>());
    if (value.is_string()) return parse_length(value.get<std::string>(), Unit::Centimetre);
    return refuse(Why::KeyMissing, field);
}

Outcome<Readings> readings_of(const json& j)
{
    Readings out;
    if (!j.is_object()) return refuse(Why::KeyMissing, "left");
    for (const auto& [key, values] : j.items()) {
        const auto measure = measure_of_key(key);
        if (!measure || !values.is_array() || values.size() > 9) return refuse(Why::KeyMissing, key);
        for (const auto& v : values) {
            const auto l = length_of(v, key);
            if (!l) return tl::make_unexpected(l.error());
            const auto ok = check_reading(*measure, *l);
            if (!ok) return tl::make_unexpected(ok.error());
            out[*measure].push_back(*ok);
        }
    }
    return out;
}

Outcome<TapeCheck> tape_of(const json& j)
{
    if (!j.is_array() || j.size() > 2) return refuse(Why::KeyMissing, "tape_check");
    std::vector<TapeAtRuler> at;
    for (const auto& entry : j) {
        if (!entry.is_object() || !entry.contains("ruler") || !entry.contains("tape"))
            return refuse(Why::KeyMissing, "tape_check");
        const auto ruler = length_of(entry["ruler"], "ruler");
        const auto tape = length_of(entry["tape"], "tape");
        if (!ruler) return tl::make_unexpected(ruler.error());
        if (!tape) return tl::make_unexpected(tape.error());
        at.push_back({*ruler, *tape});
    }
    return TapeCheck::from(std::move(at));
}

std::string key_of(LineState s)
{
    switch (s) {
        case LineState::Proposed: return "proposed";
        case LineState::LeaveIt: return "leave_it";
        case LineState::Accepted: return "accepted";
        case LineState::Declined: return "declined";
        case LineState::NothingKnown: return "nothing_known";
        case LineState::Refused: return "refused";
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
    }
    return {};
}

}  // namespace

Outcome<NamedBody> read_body(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    NamedBody out;
    const auto name = text_at(*j, "name");
    const auto date = text_at(*j, "date");
    if (!name) return tl::make_unexpected(name.error());
    if (!date) return tl::make_unexpected(date.error());
    out.name = *name;
    out.set.date = *date;
    if (!j->contains("readings") || !(*j)["readings"].is_object()) return refuse(Why::KeyMissing, "readings");
    for (const auto side : {Side::Right, Side::Left}) {
        const char* key = side == Side::Right ? "readings" : "left";
        if (!j->contains(key)) continue;
        auto readings = readings_of((*j)[key]);
        if (!readings) return tl::make_unexpected(readings.error());
        out.set.side(side) = std::move(*readings);
    }
    if (j->contains("tape_check")) {
        auto tape = tape_of((*j)["tape_check"]);
        if (!tape) return tl::make_unexpected(tape.error());
        out.set.tape = std::move(*tape);
    }
    if (j->contains("worn")) out.set.worn = text_at(*j, "worn").value_or("");
    if (j->contains("note")) out.set.note = text_at(*j, "note").value_or("");
    if (j->contains("weight_kg") && (*j)["weight_kg"].is_number()) {
        const double kg = (*j)["weight_kg"].get<double>();
        if (kg <= 0 || kg > 500) return refuse(Why::KeyMissing, "weight_kg");
        out.set.weight_kg = kg;
    }
    return out;
}

json body_json(const NamedBody& body)
{
    const auto listed = [](const Readings& from) {
        json out = json::object();
        for (const auto& [m, values] : from) {
            auto& list = out[std::string{facts(m).key}] = json::array();
            for (const auto v : values) list.push_back(v.in_mm());
        }
        return out;
    };
    json out{{"name", body.name}, {"date", body.set.date}, {"readings", listed(body.set.readings)}};
    if (!body.set.left.empty()) out["left"] = listed(body.set.left);
    for (const auto& c : body.set.tape.at())
        out["tape_check"].push_back({{"ruler", c.ruler.in_mm()}, {"tape", c.tape.in_mm()}});
    if (!body.set.worn.empty()) out["worn"] = body.set.worn;
    if (!body.set.note.empty()) out["note"] = body.set.note;
    if (body.set.weight_kg) out["weight_kg"] = *body.set.weight_kg;
    return out;
}

Outcome<Plan> read_plan(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    Plan plan;
    const auto waist = text_at(*j, "waist_size");
    const auto hip = text_at(*j, "hip_size");
    if (!waist) return tl::make_unexpected(waist.error());
    if (!hip) return tl::make_unexpected(hip.error());
    plan.waist_size = *waist;
    plan.hip_size = *hip;
    if (!j->contains("adjustments")) return plan;
    if (!(*j)["adjustments"].is_object()) return refuse(Why::KeyMissing, "adjustments");
    for (const auto& [key, entry] : (*j)["adjustments"].items()) {
        const auto kind = adjustment_of_key(key);
        if (!kind || !entry.is_object()) return refuse(Why::KeyMissing, key);
        const auto answer = text_at(entry, "answer");
        if (!answer || (*answer != "accepted" && *answer != "declined"))
            return refuse(Why::KeyMissing, key + ": answer");
        Decision d{*kind, *answer == "accepted" ? Answer::Accepted : Answer::Declined, {}};
        if (entry.contains("amount_mm")) {
            const auto amount = length_of(entry["amount_mm"], key + ": amount_mm");
            if (!amount) return tl::make_unexpected(amount.error());
            d.amount = *amount;
        }
        plan.decide(d);
    }
    return plan;
}

json plan_json(const Plan& plan)
{
    json adjustments = json::object();
    for (const auto& d : plan.decisions) {
        auto& entry = adjustments[std::string{adjustment(d.kind).key}];
        entry["answer"] = d.answer == Answer::Accepted ? "accepted" : "declined";
        if (d.amount) entry["amount_mm"] = d.amount->in_mm();
    }
    return {{"waist_size", plan.waist_size}, {"hip_size", plan.hip_size}, {"adjustments", adjustments}};
}

json compare_json(const SizeChart& chart, const Advice& advice, const BodySet& body)
{
    json measures = json::object();
    for (const auto& f : all_measures) {
        const auto taken = body.taken(f.measure);
        if (!taken) continue;
        measures[std::string{f.key}] = {{"value_mm", taken->value.in_mm()}, {"spread_mm", taken->spread.in_mm()}};
    }
    json costs = json::array();
    for (const auto& cost : advice.costs) {
        json left = json::object();
        for (const auto& d : cost.left) {
            left[std::string{facts(d.measure).key}] = {{"difference_mm", d.difference.in_mm()},
                                                       {"inside_noise", d.inside_noise()}};
        }
        costs.push_back(
            {{"size", chart.sizes[cost.size].name}, {"differences", left}, {"largest_mm", cost.largest.in_mm()}});
    }
    const char* reasons[] = {"one_size", "one_size_by_noise", "blend", "beyond_chart"};
    return {{"measures", measures},
            {"bust_size", chart.sizes[advice.choice.bust_size].name},
            {"waist_size", chart.sizes[advice.choice.waist_size].name},
            {"hip_size", chart.sizes[advice.choice.hip_size].name},
            {"reason", reasons[static_cast<int>(advice.reason)]},
            {"sizes", costs}};
}

json lines_json(const Computed& computed)
{
    json out = json::array();
    for (const auto& line : computed.lines) {
        json entry{{"adjustment", adjustment(line.kind).key},
                   {"state", key_of(line.state)},
                   {"amount_mm", line.amount.in_mm()}};
        if (line.proposal) {
            entry["proposed_mm"] = line.proposal->amount.in_mm();
            entry["spread_mm"] = line.proposal->spread.in_mm();
            entry["wanted_mm"] = line.proposal->wanted.in_mm();
            entry["given_mm"] = line.proposal->given.in_mm();
            entry["against"] = key_of(line.proposal->against);
        }
        if (line.state == LineState::Accepted) {
            entry["changed"] = {{"waist_mm", line.changed.waist.in_mm()},
                                {"hip_mm", line.changed.hip.in_mm()},
                                {"hem_mm", line.changed.hem.in_mm()},
                                {"side_mm", line.changed.side.in_mm()},
                                {"band_mm", line.changed.band.in_mm()}};
        }
        out.push_back(std::move(entry));
    }
    return out;
}

json pieces_json(const std::vector<Piece>& pieces)
{
    json out = json::array();
    for (const auto& p : pieces)
        out.push_back({{"piece", p.id}, {"outline", outline_data(p)}, {"area_mm2", area_mm2(p)}});
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
    }
    json joins = json::array();
    for (const auto& j : checks.joins) {
        joins.push_back(
            {{"at", j.place == JoinPlace::Waist ? "waist" : "hem"}, {"degrees", j.degrees}, {"holds", j.holds}});
    }
    json ease = json::array();
    for (const auto& e : checks.ease) {
        ease.push_back({{"measure", facts(e.measure).key},
                        {"finished_mm", e.finished.in_mm()},
                        {"body_mm", e.body.in_mm()},
                        {"ease_mm", e.ease.in_mm()},
                        {"holds", e.holds}});
    }
    return {{"walks", walks}, {"joins", joins}, {"ease", ease}, {"all_hold", checks.all_hold()}};
}

}  // namespace sartorum::formats
