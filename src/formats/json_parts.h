// json_parts.h: how the readers of JSON in this room look at it. Not for other rooms.
#pragma once
#include <algorithm>
#include <array>
#include <nlohmann/json.hpp>
#include <optional>
#include <string>

#include "core/units/refusal.h"

namespace sartorum::formats {

using json = nlohmann::ordered_json;

// What a file may be; past it the file is refused. `members`: keys and values together.
struct JsonLimits {
    std::size_t bytes = 1024 * 1024;
    int depth = 8;
    std::size_t members = 4000;
};
// No key twice; text that is UTF-8.
[[nodiscard]] Outcome<json> parse(const std::string& text, const JsonLimits& = {});
// A text that must be there, not longer than a note.
[[nodiscard]] Outcome<std::string> text_at(const json& j, const char* key);
[[nodiscard]] Outcome<std::string> text_or_empty(const json& j, const char* key);
// A day of the calendar as 2026-11-03.
[[nodiscard]] bool is_iso_date(const std::string&);
// A number of millimetres, or a length as it is written.
[[nodiscard]] Outcome<Length> length_of(const json& value, const std::string& field);

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

template <class E, std::size_t N>
std::optional<E> word_of(const std::array<const char*, N>& words, const json& j, const char* key)
{
    if (!j.contains(key) || !j[key].is_string()) return std::nullopt;
    for (std::size_t i = 0; i < N; ++i) {
        if (j[key].get<std::string>() == words[i]) return static_cast<E>(i);
    }
    return std::nullopt;
}

}  // namespace sartorum::formats
