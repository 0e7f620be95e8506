// Plans, read and written.
#include "formats/json.h"
#include "formats/json_parts.h"
#include "formats/make_up_json.h"

namespace sartorum::formats {
namespace {

constexpr std::size_t most_subjects = 40;

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
          std::pair{"knit", &plan.choosing.knit}, std::pair{"as_drawn", &plan.as_drawn},
          std::pair{"sewn", &plan.sewn}}) {
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
    const auto which = side->empty() ? std::optional<std::optional<Side>>{std::in_place} : side_said(*side);
    if (!which) return refuse(Why::WordUnknown, field + ": side");
    out.side = *which;
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
        const bool twice = std::any_of(into.amounts.begin(), into.amounts.end(), [&](const Amount& a) {
            return a.at == amount->at && a.face == amount->face && a.side == amount->side;
        });
        if (twice) return refuse(Why::KeyTwice, field);
        into.amounts.push_back(std::move(*amount));
    }
    return true;
}

Outcome<SidesWay> sides_said(const json& entry, const std::string& field)
{
    if (!entry.contains("sides")) return SidesWay::Usual;
    const auto text = text_at(entry, "sides");
    const auto sides = text ? sides_of_key(*text) : std::nullopt;
    if (!sides) return refuse(Why::WordUnknown, field);
    return *sides;
}

Outcome<Decision> decision_of(const std::string& key, const json& entry)
{
    const auto kind = adjustment_of_key(key);
    if (!kind) return refuse(Why::KeyUnknown, "adjustments: " + key);
    if (!entry.is_object()) return refuse(Why::ValueIllTyped, key);
    constexpr std::array<std::string_view, 8> known{"answer",  "amount_mm", "back_mm", "amounts",
                                                    "subject", "method",    "sides",   "seen_on"};
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
    // Of the whole garment one seam can be meant.
    const bool of_seam = adjustment(*kind).at_join == AtJoin::WholeGarment;
    if (!subject->empty() && !of_seam && !part_of_key(*subject))
        return refuse(Why::WordUnknown, key + ": subject");
    d.subject = *subject;
    if (entry.contains("method")) {
        const auto method = text_at(entry, "method");
        if (!method) return refuse(method.error().why, key + ": method");
        d.method = method_of_key(adjustment(*kind), *method);
        if (!d.method) return refuse(Why::WordUnknown, key + ": method");
    }
    const auto sides = sides_said(entry, key + ": sides");
    if (!sides) return tl::make_unexpected(sides.error());
    d.sides = *sides;
    const auto seen_on = text_or_empty(entry, "seen_on");
    if (!seen_on) return refuse(seen_on.error().why, key + ": seen_on");
    if (!seen_on->empty() && !is_iso_date(*seen_on)) return refuse(Why::ValueIllTyped, key + ": seen_on");
    d.seen_on = *seen_on;
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
    if (entry.empty() || entry.size() > most_subjects) return refuse(Why::ValueIllTyped, key);
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
        if (a.side) amount["side"] = key(*a.side);
        amount["mm"] = a.by.in_mm();
        entry["amounts"].push_back(std::move(amount));
    }
    if (d.sides != SidesWay::Usual) entry["sides"] = key(d.sides);
    if (!d.seen_on.empty()) entry["seen_on"] = d.seen_on;
    if (d.method) entry["method"] = adjustment(d.kind).methods[*d.method];
    return entry;
}

}  // namespace

Outcome<Plan> read_plan(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    constexpr std::array<std::string_view, 16> known{
        "waist_size", "hip_size", "bust_size", "body_type",   "garment",  "school",  "full",  "seated",
        "knit",       "stretch",  "ease_mm",   "adjustments", "as_drawn", "make_up", "sides", "sewn"};
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
    const auto sides = sides_said(*j, "sides");
    if (!sides) return tl::make_unexpected(sides.error());
    plan.sides = *sides;
    if (j->contains("make_up")) {
        auto made = read_make_up((*j)["make_up"]);
        if (!made) return tl::make_unexpected(made.error());
        plan.make_up = std::move(*made);
    }
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
                                  std::pair{"knit", plan.cloth.knit}, std::pair{"as_drawn", plan.as_drawn},
                                  std::pair{"sewn", plan.sewn}}) {
        if (on) out[key] = true;
    }
    if (plan.cloth.stretch > 0) out["stretch"] = plan.cloth.stretch;
    for (const auto& [m, ease] : plan.ease) out["ease_mm"][std::string{facts(m).key}] = ease.in_mm();
    if (plan.sides != SidesWay::Usual) out["sides"] = key(plan.sides);
    if (!plan.make_up.empty()) out["make_up"] = make_up_json(plan.make_up);
    out["adjustments"] = adjustments;
    return out;
}

}  // namespace sartorum::formats
