#include "formats/json.h"

#include <QDate>
#include <algorithm>
#include <array>
#include <cmath>
#include <set>

#include "core/pattern/princess.h"
#include "core/units/length_text.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "words/words.h"

namespace sartorum::formats {
namespace {

using json = nlohmann::ordered_json;
constexpr std::size_t most_json_bytes = 1024 * 1024;
constexpr int most_json_depth = 8;
constexpr std::size_t most_members = 4000;  // keys and values together
constexpr std::size_t longest_text = 4000;

// Objects keep the order of the file, and look each key up from the front: so many and no more. A key that stands
// twice would lose the first without a word.
Outcome<json> parse(const std::string& text)
{
    if (text.size() > most_json_bytes) return refuse(Why::FileTooLarge);
    if (const auto line = line_not_utf8(text)) return refuse(Why::FileNotUtf8, {}, *line);
    bool too_deep = false;
    std::size_t members = 0;
    std::vector<std::set<std::string>> keys;
    std::string twice;
    const auto guard = [&](int depth, json::parse_event_t event, json& value) {
        too_deep = too_deep || depth > most_json_depth;
        if (event == json::parse_event_t::object_start) keys.emplace_back();
        if (event == json::parse_event_t::object_end) keys.pop_back();
        if (event == json::parse_event_t::key && ++members <= most_members) {
            const auto name = value.get<std::string>();
            if (!keys.back().insert(name).second) twice = name;
        }
        if (event == json::parse_event_t::value) ++members;
        return !too_deep && members <= most_members && twice.empty();
    };
    auto parsed = json::parse(text, guard, false);
    if (too_deep) return refuse(Why::FileTooDeep);
    if (members > most_members)
        return tl::make_unexpected(
            Refusal{Why::FileTooMany, "members", {}, {}, Length::mm(double{most_members}), 0});
    if (!twice.empty()) return refuse(Why::KeyTwice, twice);
    if (parsed.is_discarded() || !parsed.is_object()) return refuse(Why::FileBroken);
    return parsed;
}

Outcome<std::string> text_at(const json& j, const char* key)
{
    if (!j.contains(key)) return refuse(Why::KeyMissing, key);
    if (!j[key].is_string()) return refuse(Why::ValueIllTyped, key);
    auto text = j[key].get<std::string>();
    if (text.size() > longest_text) return refuse(Why::ValueIllTyped, key);
    return text;
}

// The same where it may be left out.
Outcome<std::string> text_or_empty(const json& j, const char* key)
{
    return j.contains(key) ? text_at(j, key) : Outcome<std::string>{std::string{}};
}

// Every member is one of these; `within` is the member this object belongs to.
template <std::size_t N>
Outcome<bool> only(const json& j, const std::array<std::string_view, N>& known, const std::string& within = {})
{
    for (const auto& [key, value] : j.items()) {
        if (std::find(known.begin(), known.end(), key) == known.end())
            return refuse(Why::KeyUnknown, within.empty() ? key : within + ": " + key);
    }
    return true;
}

Outcome<Length> length_of(const json& value, const std::string& field)
{
    if (value.is_number()) {
        const double mm = value.get<double>();
        if (std::isfinite(mm) && std::abs(mm) < 1e6) return Length::mm(mm);
        return refuse(Why::ValueIllTyped, field);
    }
    if (!value.is_string()) return refuse(Why::ValueIllTyped, field);
    auto read = guess_length(value.get<std::string>(), Unit::Centimetre);
    if (!read) read.error().field = field + ": " + read.error().field;
    return read;
}

// A day of the calendar as 2026-11-03.
bool is_date(const std::string& text)
{
    return text.size() == 10 && QDate::fromString(QString::fromStdString(text), Qt::ISODate).isValid();
}

template <class E, std::size_t N>
std::optional<E> word_of(const std::array<const char*, N>& words, const json& j, const char* key)
{
    if (!j.contains(key) || !j[key].is_string()) return std::nullopt;
    for (std::size_t i = 0; i < N; ++i) {
        if (j[key].get<std::string>() == words[i]) return static_cast<E>(i);
    }
    return std::nullopt;
}

Outcome<Posture> posture_of(const json& j)
{
    Posture out;
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "posture");
    constexpr std::array<std::string_view, 4> known{"ball", "neck", "round_back", "slope"};
    if (auto ok = only(j, known, "posture"); !ok) return tl::make_unexpected(ok.error());
    const auto take = [&](const char* key, const auto& words, auto& into) {
        if (!j.contains(key)) return true;
        const auto found = word_of<std::decay_t<decltype(into)>>(words, j, key);
        if (found) into = *found;
        return found.has_value();
    };
    if (!take("ball", stance_keys, out.ball)) return refuse(Why::WordUnknown, "ball");
    if (!take("neck", stance_keys, out.neck)) return refuse(Why::WordUnknown, "neck");
    if (!take("round_back", round_back_keys, out.round_back)) return refuse(Why::WordUnknown, "round_back");
    if (!take("slope", slope_keys, out.slope)) return refuse(Why::WordUnknown, "slope");
    return out;
}

Outcome<Readings> readings_of(const json& j, const char* member)
{
    Readings out;
    if (!j.is_object()) return refuse(Why::ValueIllTyped, member);
    for (const auto& [key, values] : j.items()) {
        const auto measure = measure_of_key(key);
        if (!measure) return refuse(Why::KeyUnknown, std::string{member} + ": " + key);
        if (!values.is_array() || values.size() > 9) return refuse(Why::ValueIllTyped, key);
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
    if (!j.is_array()) return refuse(Why::ValueIllTyped, "tape_check");
    if (j.size() > 2) return refuse(Why::TapeCheckTooMany);
    std::vector<TapeAtRuler> at;
    for (const auto& entry : j) {
        if (!entry.is_object()) return refuse(Why::ValueIllTyped, "tape_check");
        constexpr std::array<std::string_view, 2> known{"ruler", "tape"};
        if (auto ok = only(entry, known, "tape_check"); !ok) return tl::make_unexpected(ok.error());
        if (!entry.contains("ruler") || !entry.contains("tape"))
            return refuse(Why::KeyMissing, "tape_check: ruler, tape");
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
        case Against::Needed: return "needed";
        case Against::Armhole: return "armhole";
        case Against::SeamMoved: return "seam_moved";
    }
    return {};
}

}  // namespace

Outcome<NamedBody> read_body(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    constexpr std::array<std::string_view, 9> known{"name",    "date", "readings", "left",     "tape_check",
                                                    "posture", "worn", "note",     "weight_kg"};
    if (auto ok = only(*j, known); !ok) return tl::make_unexpected(ok.error());
    NamedBody out;
    const auto name = text_at(*j, "name");
    const auto date = text_at(*j, "date");
    if (!name) return tl::make_unexpected(name.error());
    if (!date) return tl::make_unexpected(date.error());
    if (!is_date(*date)) return refuse(Why::DateBroken, *date);
    out.name = *name;
    out.set.date = *date;
    if (!j->contains("readings")) return refuse(Why::KeyMissing, "readings");
    for (const auto side : {Side::Right, Side::Left}) {
        const char* key = side == Side::Right ? "readings" : "left";
        if (!j->contains(key)) continue;
        auto readings = readings_of((*j)[key], key);
        if (!readings) return tl::make_unexpected(readings.error());
        out.set.side(side) = std::move(*readings);
    }
    if (j->contains("tape_check")) {
        auto tape = tape_of((*j)["tape_check"]);
        if (!tape) return tl::make_unexpected(tape.error());
        out.set.tape = std::move(*tape);
    }
    if (j->contains("posture")) {
        const auto posture = posture_of((*j)["posture"]);
        if (!posture) return tl::make_unexpected(posture.error());
        out.set.posture = *posture;
    }
    for (const auto& [key, into] : {std::pair{"worn", &out.set.worn}, std::pair{"note", &out.set.note}}) {
        auto said = text_or_empty(*j, key);
        if (!said) return tl::make_unexpected(said.error());
        *into = std::move(*said);
    }
    if (j->contains("weight_kg")) {
        const auto& kg = (*j)["weight_kg"];
        const bool sound = kg.is_number() && kg.get<double>() > 0 && kg.get<double>() <= 500;
        if (!sound) return refuse(Why::ValueIllTyped, "weight_kg");
        out.set.weight_kg = kg.get<double>();
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
    const auto& stands = body.set.posture;
    if (!(stands == Posture{})) {
        out["posture"] = {{"ball", stance_keys[static_cast<std::size_t>(stands.ball)]},
                          {"neck", stance_keys[static_cast<std::size_t>(stands.neck)]},
                          {"round_back", round_back_keys[static_cast<std::size_t>(stands.round_back)]},
                          {"slope", slope_keys[static_cast<std::size_t>(stands.slope)]}};
    }
    if (!body.set.worn.empty()) out["worn"] = body.set.worn;
    if (!body.set.note.empty()) out["note"] = body.set.note;
    if (body.set.weight_kg) out["weight_kg"] = *body.set.weight_kg;
    return out;
}

namespace {

// How the size was chosen, the cloth, and her own ease; all of it optional.
Outcome<bool> read_wishes(const json& j, Plan& plan)
{
    auto group = text_or_empty(j, "body_type");
    if (!group) return tl::make_unexpected(group.error());
    plan.chart_group = std::move(*group);
    if (j.contains("garment")) {
        const auto kind = word_of<GarmentKind>(garment_keys, j, "garment");
        if (!kind) return refuse(Why::WordUnknown, "garment");
        plan.choosing.kind = *kind;
    }
    if (j.contains("school")) {
        plan.choosing.school = word_of<School>(school_keys, j, "school");
        if (!plan.choosing.school) return refuse(Why::WordUnknown, "school");
    }
    for (const auto& [key, into] :
         {std::pair{"full", &plan.choosing.full}, std::pair{"seated", &plan.choosing.seated},
          std::pair{"knit", &plan.choosing.knit}}) {
        if (!j.contains(key)) continue;
        if (!j[key].is_boolean()) return refuse(Why::ValueIllTyped, key);
        *into = j[key].get<bool>();
    }
    plan.cloth.knit = plan.choosing.knit;
    if (j.contains("stretch")) {
        const bool sound =
            j["stretch"].is_number() && j["stretch"].get<double>() >= 0 && j["stretch"].get<double>() <= 1.5;
        if (!sound) return refuse(Why::ValueIllTyped, "stretch");
        plan.cloth.stretch = j["stretch"].get<double>();
    }
    if (!j.contains("ease_mm")) return true;
    if (!j["ease_mm"].is_object()) return refuse(Why::ValueIllTyped, "ease_mm");
    for (const auto& [key, value] : j["ease_mm"].items()) {
        const auto m = measure_of_key(key);
        if (!m) return refuse(Why::KeyUnknown, "ease_mm: " + key);
        const auto ease = length_of(value, key);
        if (!ease) return tl::make_unexpected(ease.error());
        plan.ease[*m] = *ease;
    }
    return true;
}

constexpr std::array<std::string_view, 3> side_keys{"both", "right", "left"};

// {"at": "tip", "face": "back", "side": "left", "mm": 6}: all but mm may be left out.
Outcome<Amount> amount_of(const json& entry, const std::string& field)
{
    if (!entry.is_object()) return refuse(Why::ValueIllTyped, field);
    constexpr std::array<std::string_view, 4> known{"at", "face", "side", "mm"};
    if (auto ok = only(entry, known, field); !ok) return tl::make_unexpected(ok.error());
    Amount out;
    const auto at = text_or_empty(entry, "at");
    const auto face = text_or_empty(entry, "face");
    const auto side = text_or_empty(entry, "side");
    for (const auto* text : {&at, &face, &side}) {
        if (!*text) return tl::make_unexpected(text->error());
    }
    out.at = *at;
    const auto face_said = face->empty() ? std::optional{Face::Both} : face_of_key(*face);
    if (!face_said) return refuse(Why::WordUnknown, field + ": face");
    out.face = *face_said;
    const auto which = std::find(side_keys.begin(), side_keys.end(), side->empty() ? "both" : *side);
    if (which == side_keys.end()) return refuse(Why::WordUnknown, field + ": side");
    if (which != side_keys.begin()) out.side = *which == "left" ? Side::Left : Side::Right;
    if (!entry.contains("mm")) return refuse(Why::KeyMissing, field + ": mm");
    const auto by = length_of(entry["mm"], field + ": mm");
    if (!by) return tl::make_unexpected(by.error());
    out.by = *by;
    return out;
}

Outcome<bool> read_amounts(const json& list, const std::string& field, Decision& into)
{
    constexpr std::size_t most_amounts = 40;
    if (!list.is_array() || list.size() > most_amounts) return refuse(Why::ValueIllTyped, field);
    for (const auto& entry : list) {
        auto amount = amount_of(entry, field);
        if (!amount) return tl::make_unexpected(amount.error());
        into.amounts.push_back(std::move(*amount));
    }
    return true;
}

Outcome<Decision> decision_of(const std::string& key, const json& entry)
{
    const auto kind = adjustment_of_key(key);
    if (!kind) return refuse(Why::KeyUnknown, "adjustments: " + key);
    if (!entry.is_object()) return refuse(Why::ValueIllTyped, key);
    constexpr std::array<std::string_view, 6> known{"answer",  "amount_mm", "back_mm",
                                                    "amounts", "subject",   "method"};
    if (auto ok = only(entry, known, key); !ok) return tl::make_unexpected(ok.error());
    const auto answer = text_at(entry, "answer");
    if (!answer) return refuse(answer.error().why, key + ": answer");
    if (*answer != "accepted" && *answer != "declined") return refuse(Why::WordUnknown, key + ": answer");
    Decision d{*kind, *answer == "accepted" ? Answer::Accepted : Answer::Declined};
    for (const auto& [name, into] :
         {std::pair{"amount_mm", &Decision::set_amount}, std::pair{"back_mm", &Decision::set_back}}) {
        if (!entry.contains(name)) continue;
        const auto length = length_of(entry[name], key + ": " + name);
        if (!length) return tl::make_unexpected(length.error());
        (d.*into)(*length);
    }
    if (entry.contains("amounts")) {
        if (const auto ok = read_amounts(entry["amounts"], key + ": amounts", d); !ok)
            return tl::make_unexpected(ok.error());
    }
    const auto subject = text_or_empty(entry, "subject");
    if (!subject) return refuse(subject.error().why, key + ": subject");
    if (!subject->empty() && !part_of_key(*subject)) return refuse(Why::WordUnknown, key + ": subject");
    d.subject = *subject;
    if (entry.contains("method")) {
        const auto method = text_at(entry, "method");
        if (!method) return refuse(method.error().why, key + ": method");
        d.method = method_of_key(adjustment(*kind), *method);
        if (!d.method) return refuse(Why::WordUnknown, key + ": method");
    }
    return d;
}

// One decision, or a list of them where parts are decided apart.
Outcome<bool> read_decisions(const std::string& key, const json& entry, Plan& into)
{
    if (!entry.is_array()) {
        auto d = decision_of(key, entry);
        if (!d) return tl::make_unexpected(d.error());
        into.put(std::move(*d));
        return true;
    }
    if (entry.empty() || entry.size() > part_kinds + 1) return refuse(Why::ValueIllTyped, key);
    for (const auto& one : entry) {
        auto d = decision_of(key, one);
        if (!d) return tl::make_unexpected(d.error());
        if (into.decision(d->kind, d->subject)) return refuse(Why::KeyTwice, key + ": subject");
        into.put(std::move(*d));
    }
    return true;
}

json decision_json(const Decision& d)
{
    json entry{{"answer", d.answer == Answer::Accepted ? "accepted" : "declined"}};
    if (!d.subject.empty()) entry["subject"] = d.subject;
    if (const auto own = d.amount()) entry["amount_mm"] = own->in_mm();
    if (const auto back = d.back()) entry["back_mm"] = back->in_mm();
    for (const auto& a : d.amounts) {
        if (a.at.empty() && !a.side && a.face != Face::Front) continue;
        json amount = json::object();
        if (!a.at.empty()) amount["at"] = a.at;
        if (a.face != Face::Both) amount["face"] = key(a.face);
        if (a.side) amount["side"] = side_keys[*a.side == Side::Left ? 2 : 1];
        amount["mm"] = a.by.in_mm();
        entry["amounts"].push_back(std::move(amount));
    }
    if (d.method) entry["method"] = adjustment(d.kind).methods[*d.method];
    return entry;
}

}  // namespace

Outcome<Plan> read_plan(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    constexpr std::array<std::string_view, 12> known{"waist_size", "hip_size", "bust_size", "body_type",
                                                     "garment",    "school",   "full",      "seated",
                                                     "knit",       "stretch",  "ease_mm",   "adjustments"};
    if (auto ok = only(*j, known); !ok) return tl::make_unexpected(ok.error());
    Plan plan;
    const auto waist = text_at(*j, "waist_size");
    const auto hip = text_at(*j, "hip_size");
    if (!waist) return tl::make_unexpected(waist.error());
    if (!hip) return tl::make_unexpected(hip.error());
    const auto bust = text_or_empty(*j, "bust_size");
    if (!bust) return tl::make_unexpected(bust.error());
    plan.take_sizes(*waist, *hip, *bust);
    if (const auto ok = read_wishes(*j, plan); !ok) return tl::make_unexpected(ok.error());
    if (!j->contains("adjustments")) return plan;
    if (!(*j)["adjustments"].is_object()) return refuse(Why::ValueIllTyped, "adjustments");
    for (const auto& [key, entry] : (*j)["adjustments"].items()) {
        if (const auto ok = read_decisions(key, entry, plan); !ok) return tl::make_unexpected(ok.error());
    }
    return plan;
}

json plan_json(const Plan& plan)
{
    json adjustments = json::object();
    for (const auto& d : plan.decisions) {
        auto& entry = adjustments[std::string{adjustment(d.kind).key}];
        if (entry.is_null())
            entry = decision_json(d);
        else if (entry.is_array())
            entry.push_back(decision_json(d));
        else
            entry = json::array({entry, decision_json(d)});
    }
    json out{{"waist_size", plan.size_at(Level::Waist)}, {"hip_size", plan.size_at(Level::Hip)}};
    if (!plan.size_at(Level::Bust).empty()) out["bust_size"] = plan.size_at(Level::Bust);
    if (!plan.chart_group.empty()) out["body_type"] = plan.chart_group;
    out["garment"] = garment_keys[static_cast<std::size_t>(plan.choosing.kind)];
    if (plan.choosing.school) out["school"] = school_keys[static_cast<std::size_t>(*plan.choosing.school)];
    for (const auto& [key, on] : {std::pair{"full", plan.choosing.full}, std::pair{"seated", plan.choosing.seated},
                                  std::pair{"knit", plan.cloth.knit}}) {
        if (on) out[key] = true;
    }
    if (plan.cloth.stretch > 0) out["stretch"] = plan.cloth.stretch;
    for (const auto& [m, ease] : plan.ease) out["ease_mm"][std::string{facts(m).key}] = ease.in_mm();
    out["adjustments"] = adjustments;
    return out;
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
    json ranking = json::array();
    for (const auto i : advice.ranking) ranking.push_back(chart.sizes[i].name);
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

constexpr std::array<std::string_view, 8> join_keys{"neck_point", "shoulder_tip", "underarm",        "waist",
                                                    "hem",        "cap_top",      "sleeve_underarm", "sleeve_hem"};

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
        if (!methods.empty()) entry["method"] = methods[line.method];
        if (line.look_again) entry["look_again_after"] = adjustment(*line.look_again).key;
        if (line.proposal) {
            entry["proposed_mm"] = line.proposal->amount.in_mm();
            entry["spread_mm"] = line.proposal->spread.in_mm();
            entry["wanted_mm"] = line.proposal->wanted.in_mm();
            entry["given_mm"] = line.proposal->given.in_mm();
            entry["against"] = key_of(line.proposal->against);
        }
        if (line.state == LineState::Accepted) {
            json& changed = entry["changed"] = json::object();
            for (const auto& row : all_garment_measures()) {
                if (row.tells_change) changed[std::string{row.key} + "_mm"] = line.changed.of(row.measure).in_mm();
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
        }
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
    }
    json joins = json::array();
    for (const auto& j : checks.joins) {
        joins.push_back(
            {{"at", join_keys[static_cast<std::size_t>(j.place)]}, {"degrees", j.degrees}, {"holds", j.holds}});
    }
    json ease = json::array();
    for (const auto& e : checks.ease) {
        ease.push_back({{"measure", facts(e.measure).key},
                        {"finished_mm", e.finished.in_mm()},
                        {"body_mm", e.body.in_mm()},
                        {"ease_mm", e.ease.in_mm()},
                        {"holds", e.holds}});
    }
    json out{{"walks", walks}, {"joins", joins}, {"ease", ease}};
    for (const auto& side : checks.unwalked)
        out["unwalked"].push_back({{"piece", side.piece}, {"edge", key(side.role)}});
    for (const auto& f : checks.folds)
        out["folds"].push_back({{"piece", f.piece}, {"off_mm", f.off.in_mm()}, {"holds", f.holds}});
    for (const auto& d : checks.darts)
        out["darts"].push_back({{"piece", d.piece}, {"legs_apart_mm", d.apart.in_mm()}, {"holds", d.holds}});
    if (checks.shoulder) {
        out["shoulder"] = {{"slope_degrees", checks.shoulder->slope_degrees()},
                           {"forward_mm", checks.shoulder->forward().in_mm()}};
    }
    if (checks.cap) {
        out["cap"] = {{"cap_mm", checks.cap->cap.in_mm()},
                      {"armhole_mm", checks.cap->armhole.in_mm()},
                      {"ease_mm", checks.cap->ease.in_mm()},
                      {"wanted_mm", checks.cap->wanted.in_mm()},
                      {"holds", checks.cap->holds}};
    }
    out["all_hold"] = checks.all_hold();
    return out;
}

}  // namespace sartorum::formats
