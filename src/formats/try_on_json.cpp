#include "formats/try_on_json.h"

#include <cmath>

#include "core/alter/kit/catalogue.h"
#include "formats/json_parts.h"

namespace sartorum::formats {
namespace {

constexpr std::array likely_keys{"hardly", "possibly", "likely", "very_likely"};
constexpr std::array from_keys{"pinch", "body", "first_step"};

// The word at a key as one of these; none where it is not said.
template <class E, std::size_t N>
Outcome<std::optional<E>> said(const std::array<const char*, N>& words, const json& j, const char* key)
{
    if (!j.contains(key)) return std::optional<E>{};
    const auto word = word_of<E>(words, j, key);
    if (!word) return refuse(Why::WordUnknown, key);
    return word;
}

template <class E>
Outcome<std::optional<E>> said_as(const json& j, const char* field, std::optional<E> (*of_key)(std::string_view))
{
    if (!j.contains(field)) return std::optional<E>{};
    const auto word = j[field].is_string() ? of_key(j[field].get_ref<const std::string&>()) : std::nullopt;
    if (!word) return refuse(Why::WordUnknown, field);
    return word;
}

Outcome<const json*> list_at(const json& j, const char* key)
{
    static const json none = json::array();
    if (!j.contains(key)) return &none;
    if (!j[key].is_array()) return refuse(Why::ValueIllTyped, key);
    if (j[key].size() > most_notes) {
        Refusal r{.why = Why::FileTooMany, .field = key};
        r.high = Length::mm(static_cast<double>(most_notes));
        return tl::make_unexpected(r);
    }
    return &j[key];
}

std::string text_of(std::string_view key)
{
    return std::string{key};
}

// "at": [x, y] on the figure, both within it.
Outcome<std::optional<FigurePoint>> read_place(const json& j)
{
    if (!j.contains("at")) return std::optional<FigurePoint>{};
    const auto& at = j["at"];
    constexpr double most = 110;
    const auto within = [&](const json& v) { return v.is_number() && std::abs(v.get<double>()) <= most; };
    if (!at.is_array() || at.size() != 2 || !within(at[0]) || !within(at[1]))
        return refuse(Why::ValueIllTyped, "at");
    return std::optional{FigurePoint{at[0].get<double>(), at[1].get<double>()}};
}

template <class E>
Outcome<E> said_or(const json& j, const char* key, std::optional<E> (*of_key)(std::string_view), E otherwise)
{
    if (!j.contains(key)) return otherwise;
    const auto word = text_at(j, key);
    const auto known = word ? of_key(*word) : std::nullopt;
    if (!known) return refuse(Why::WordUnknown, key);
    return *known;
}

Outcome<Note> read_note(const json& j)
{
    static constexpr std::array<std::string_view, 7> keys{"sight", "strength", "side", "moment",
                                                          "since", "at",       "words"};
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "seen");
    if (const auto ok = only(j, keys, "seen"); !ok) return tl::make_unexpected(ok.error());
    const auto word = text_at(j, "sight");
    if (!word) return tl::make_unexpected(word.error());
    const auto sight = sight_of(*word);
    if (!sight) return refuse(Why::WordUnknown, "sight: " + *word);
    const auto strength = said_as(j, "strength", strength_of_key);
    if (!strength) return tl::make_unexpected(strength.error());
    const auto side = said_as(j, "side", side_of_key);
    if (!side) return tl::make_unexpected(side.error());
    if (*side && !facts(*sight).sided) return refuse(Why::KeyUnknown, *word + ": side");
    const auto moment = said_or(j, "moment", moment_of_key, Moment::Standing);
    if (!moment) return tl::make_unexpected(moment.error());
    const auto since = said_or(j, "since", since_of_key, Since::New);
    if (!since) return tl::make_unexpected(since.error());
    const auto at = read_place(j);
    if (!at) return tl::make_unexpected(at.error());
    auto words = text_or_empty(j, "words");
    if (!words) return tl::make_unexpected(words.error());
    return Note{{*sight, strength->value_or(Strength::Clear), *side}, *moment, *since, *at, std::move(*words)};
}

Outcome<Found> read_found(const json& j)
{
    static constexpr std::array<std::string_view, 5> keys{"what", "at", "face", "side", "by"};
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "found");
    if (const auto ok = only(j, keys, "found"); !ok) return tl::make_unexpected(ok.error());
    const auto word = text_at(j, "what");
    const auto what = word ? by_hand_of_key(*word) : std::nullopt;
    if (!what) return refuse(Why::WordUnknown, "found: what");
    const auto at = text_at(j, "at");
    const auto places = places_of(*what);
    if (!at || std::find(places.begin(), places.end(), *at) == places.end())
        return refuse(Why::PlaceUnknown, *word + ": at");
    const auto face = said_or(j, "face", face_of_key, Face::Both);
    if (!face) return tl::make_unexpected(face.error());
    const auto side = said_as(j, "side", side_of_key);
    if (!side) return tl::make_unexpected(side.error());
    if (!j.contains("by")) return refuse(Why::KeyMissing, *word + ": by");
    const auto by = length_of(j["by"], *word + ": by");
    if (!by) return tl::make_unexpected(by.error());
    if (abs(*by) > found_most) return refuse_amount(Why::OutOfRange, *word + ": by", *by, -found_most, found_most);
    return Found{*what, *at, *face, *side, *by};
}

Outcome<Answered> read_answer(const json& j)
{
    static constexpr std::array<std::string_view, 3> keys{"test", "yes", "pinched"};
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "answers");
    if (const auto ok = only(j, keys, "answers"); !ok) return tl::make_unexpected(ok.error());
    const auto word = text_at(j, "test");
    if (!word) return tl::make_unexpected(word.error());
    const auto test = small_test_of(*word);
    if (!test) return refuse(Why::WordUnknown, "test: " + *word);
    if (!j.contains("yes") || !j["yes"].is_boolean()) return refuse(Why::ValueIllTyped, "yes");
    Answered out{*test, j["yes"].get<bool>(), {}};
    if (!j.contains("pinched")) return out;
    const auto pinched = length_of(j["pinched"], "pinched");
    if (!pinched) return tl::make_unexpected(pinched.error());
    constexpr Length most = Length::mm(200);
    if (*pinched < Length{} || *pinched > most)
        return refuse_amount(Why::OutOfRange, "pinched", *pinched, {}, most);
    out.pinched = *pinched;
    return out;
}

json keys_of(const std::vector<Sight>& sights)
{
    json out = json::array();
    for (const auto s : sights) out.push_back(facts(s).key);
    return out;
}

json cause_or_else(const std::optional<Cause>& c)
{
    return c ? json(key(*c)) : json("something_else");
}

}  // namespace

namespace {

Outcome<bool> read_head(const json& j, TryOn& out)
{
    for (const auto& [key, into] : {std::pair{"date", &out.date}, std::pair{"cloth", &out.cloth},
                                    std::pair{"worn", &out.worn}, std::pair{"words", &out.words}}) {
        auto text = text_or_empty(j, key);
        if (!text) return tl::make_unexpected(text.error());
        *into = std::move(*text);
    }
    if (!out.date.empty() && !is_iso_date(out.date)) return refuse(Why::DateBroken, out.date);
    if (j.contains("nothing_to_see")) {
        if (!j["nothing_to_see"].is_boolean()) return refuse(Why::ValueIllTyped, "nothing_to_see");
        out.nothing_to_see = j["nothing_to_see"].get<bool>();
    }
    const auto what = said_or(j, "what", put_on_of_key, PutOn::Whole);
    if (!what) return tl::make_unexpected(what.error());
    out.what = *what;
    if (!j.contains("moments")) return true;
    const auto& moments = j["moments"];
    if (!moments.is_array() || moments.size() > moment_count) return refuse(Why::ValueIllTyped, "moments");
    out.moments.clear();
    for (const auto& m : moments) {
        const auto moment = m.is_string() ? moment_of_key(m.get<std::string>()) : std::nullopt;
        if (!moment) return refuse(Why::WordUnknown, "moments");
        out.moments.push_back(*moment);
    }
    return true;
}

// One after the other, none that stands there already.
template <class T, class Same>
Outcome<bool> read_list(const json& j, const char* key, Outcome<T> (*read)(const json&), std::vector<T>& into,
                        Same same)
{
    const auto all = list_at(j, key);
    if (!all) return tl::make_unexpected(all.error());
    for (const auto& one : **all) {
        auto value = read(one);
        if (!value) return tl::make_unexpected(value.error());
        const auto twice = [&](const T& old) { return same(old, *value); };
        if (const auto it = std::find_if(into.begin(), into.end(), twice); it != into.end())
            return refuse(Why::KeyTwice, key);
        into.push_back(std::move(*value));
    }
    return true;
}

}  // namespace

Outcome<TryOn> read_try_on(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    static constexpr std::array<std::string_view, 10> keys{"date",  "what", "cloth",   "worn",  "moments",
                                                           "words", "seen", "answers", "found", "nothing_to_see"};
    if (!j->is_object()) return refuse(Why::ValueIllTyped, "try-on");
    if (const auto ok = only(*j, keys); !ok) return tl::make_unexpected(ok.error());
    TryOn out;
    if (const auto ok = read_head(*j, out); !ok) return tl::make_unexpected(ok.error());
    const auto same_note = [](const Note& a, const Note& b) {
        return a.seen.sight == b.seen.sight && a.seen.side == b.seen.side;
    };
    const auto same_test = [](const Answered& a, const Answered& b) { return a.test == b.test; };
    const auto same_place = [](const Found& a, const Found& b) {
        return a.what == b.what && a.at == b.at && a.face == b.face && a.side == b.side;
    };
    if (const auto ok = read_list(*j, "seen", read_note, out.notes, same_note); !ok)
        return tl::make_unexpected(ok.error());
    if (const auto ok = read_list(*j, "answers", read_answer, out.answers, same_test); !ok)
        return tl::make_unexpected(ok.error());
    if (const auto ok = read_list(*j, "found", read_found, out.found, same_place); !ok)
        return tl::make_unexpected(ok.error());
    return out;
}

nlohmann::ordered_json try_on_json(const TryOn& t)
{
    json out = json::object();
    if (!t.date.empty()) out["date"] = t.date;
    out["what"] = text_of(key(t.what));
    for (const auto& [name, said] :
         {std::pair{"cloth", &t.cloth}, std::pair{"worn", &t.worn}, std::pair{"words", &t.words}}) {
        if (!said->empty()) out[name] = *said;
    }
    out["moments"] = json::array();
    for (const auto m : t.moments) out["moments"].push_back(text_of(key(m)));
    if (t.nothing_to_see) out["nothing_to_see"] = true;
    out["seen"] = json::array();
    for (const auto& n : t.notes) {
        json one{{"sight", text_of(facts(n.seen.sight).key)}, {"strength", key(n.seen.strength)}};
        if (n.seen.side) one["side"] = key(*n.seen.side);
        if (n.moment != Moment::Standing) one["moment"] = text_of(key(n.moment));
        if (n.since != Since::New) one["since"] = text_of(key(n.since));
        if (n.at) one["at"] = {n.at->x, n.at->y};
        if (!n.words.empty()) one["words"] = n.words;
        out["seen"].push_back(std::move(one));
    }
    out["answers"] = json::array();
    for (const auto& a : t.answers) {
        json one{{"test", text_of(facts(a.test).key)}, {"yes", a.yes}};
        if (a.pinched) one["pinched"] = a.pinched->in_mm();
        out["answers"].push_back(std::move(one));
    }
    out["found"] = json::array();
    for (const auto& f : t.found) {
        json one{{"what", text_of(key(f.what))}, {"at", f.at}};
        if (f.face != Face::Both) one["face"] = text_of(key(f.face));
        if (f.side) one["side"] = key(*f.side);
        one["by"] = f.by.in_mm();
        out["found"].push_back(std::move(one));
    }
    return out;
}

nlohmann::ordered_json causes_json(const Observed& o, const Computed& c)
{
    const auto can_be = can_be_on(c);
    json causes = json::array();
    for (const auto& r : ranked(o, can_be)) {
        json row{{"cause", r.cause ? key(r.cause->cause) : "something_else"},
                 {"likely", likely_keys[static_cast<std::size_t>(likely(r.probability))]},
                 {"explains", keys_of(r.explains)},
                 {"leaves", keys_of(r.leaves)}};
        if (r.cause) {
            const auto by = suggested(*r.cause, o, c);
            row["adjustment"] = adjustment(r.cause->cause.kind).key;
            row["amount_mm"] = by.amount.in_mm();
            row["from"] = from_keys[static_cast<std::size_t>(by.from)];
        }
        causes.push_back(std::move(row));
    }
    json out{{"causes", std::move(causes)}};
    if (const auto next = next_test(o, can_be))
        out["next"] = {{"test", facts(next->test).key},
                       {"if_yes", cause_or_else(next->if_yes)},
                       {"if_no", cause_or_else(next->if_no)}};
    return out;
}

}  // namespace sartorum::formats
