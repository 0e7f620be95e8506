#include "formats/try_on_json.h"

#include "core/alter/catalogue.h"
#include "formats/json_parts.h"

namespace sartorum::formats {
namespace {

constexpr std::array strength_keys{"slight", "clear"};
constexpr std::array from_side_keys{"right", "left"};
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

Outcome<const json*> list_at(const json& j, const char* key)
{
    static const json none = json::array();
    if (!j.contains(key)) return &none;
    if (!j[key].is_array()) return refuse(Why::ValueIllTyped, key);
    if (j[key].size() > most_seen) {
        Refusal r{Why::FileTooMany, key, {}, {}, {}, 0};
        r.high = Length::mm(static_cast<double>(most_seen));
        return tl::make_unexpected(r);
    }
    return &j[key];
}

Outcome<Seen> read_seen(const json& j)
{
    static constexpr std::array<std::string_view, 3> keys{"sight", "strength", "side"};
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "seen");
    if (const auto ok = only(j, keys, "seen"); !ok) return tl::make_unexpected(ok.error());
    const auto word = text_at(j, "sight");
    if (!word) return tl::make_unexpected(word.error());
    const auto sight = sight_of(*word);
    if (!sight) return refuse(Why::WordUnknown, "sight: " + *word);
    const auto strength = said<Strength>(strength_keys, j, "strength");
    if (!strength) return tl::make_unexpected(strength.error());
    const auto side = said<Side>(from_side_keys, j, "side");
    if (!side) return tl::make_unexpected(side.error());
    if (*side && !facts(*sight).sided) return refuse(Why::KeyUnknown, *word + ": side");
    return Seen{*sight, strength->value_or(Strength::Clear), *side};
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

Outcome<Observed> read_try_on(const std::string& text)
{
    const auto j = parse(text);
    if (!j) return tl::make_unexpected(j.error());
    static constexpr std::array<std::string_view, 2> keys{"seen", "answers"};
    if (!j->is_object()) return refuse(Why::ValueIllTyped, "try-on");
    if (const auto ok = only(*j, keys); !ok) return tl::make_unexpected(ok.error());
    Observed out;
    const auto all_seen = list_at(*j, "seen");
    if (!all_seen) return tl::make_unexpected(all_seen.error());
    for (const auto& one : **all_seen) {
        auto seen = read_seen(one);
        if (!seen) return tl::make_unexpected(seen.error());
        const auto again = [&](const Seen& s) { return s.sight == seen->sight && s.side == seen->side; };
        if (std::any_of(out.seen.begin(), out.seen.end(), again))
            return refuse(Why::KeyTwice, std::string{facts(seen->sight).key});
        out.seen.push_back(*seen);
    }
    const auto answers = list_at(*j, "answers");
    if (!answers) return tl::make_unexpected(answers.error());
    for (const auto& one : **answers) {
        auto answer = read_answer(one);
        if (!answer) return tl::make_unexpected(answer.error());
        if (std::any_of(out.answers.begin(), out.answers.end(),
                        [&](const Answered& a) { return a.test == answer->test; }))
            return refuse(Why::KeyTwice, std::string{facts(answer->test).key});
        out.answers.push_back(*answer);
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
