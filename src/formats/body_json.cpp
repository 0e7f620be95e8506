// Bodies, read and written.
#include "formats/json.h"
#include "formats/json_parts.h"

namespace sartorum::formats {
namespace {

Outcome<Posture> posture_of(const json& j)
{
    Posture out;
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "posture");
    constexpr std::array<std::string_view, 5> known{"ball", "neck", "round_back", "slope", "hollow"};
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
    if (!take("hollow", hollow_keys, out.hollow)) return refuse(Why::WordUnknown, "hollow");
    return out;
}

// Only what may differ from side to side is read on the left alone.
Outcome<Readings> readings_of(const json& j, const char* member, Side side)
{
    Readings out;
    if (!j.is_object()) return refuse(Why::ValueIllTyped, member);
    for (const auto& [key, values] : j.items()) {
        const auto measure = measure_of_key(key);
        if (!measure || (side == Side::Left && !facts(*measure).sided))
            return refuse(Why::KeyUnknown, std::string{member} + ": " + key);
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
    if (!is_iso_date(*date)) return refuse(Why::DateBroken, *date);
    out.name = *name;
    out.set.date = *date;
    if (!j->contains("readings")) return refuse(Why::KeyMissing, "readings");
    for (const auto side : {Side::Right, Side::Left}) {
        const char* key = side == Side::Right ? "readings" : "left";
        if (!j->contains(key)) continue;
        auto readings = readings_of((*j)[key], key, side);
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
                          {"slope", slope_keys[static_cast<std::size_t>(stands.slope)]},
                          {"hollow", hollow_keys[static_cast<std::size_t>(stands.hollow)]}};
    }
    if (!body.set.worn.empty()) out["worn"] = body.set.worn;
    if (!body.set.note.empty()) out["note"] = body.set.note;
    if (body.set.weight_kg) out["weight_kg"] = *body.set.weight_kg;
    return out;
}

}  // namespace sartorum::formats
