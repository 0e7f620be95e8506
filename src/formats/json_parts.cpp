#include "formats/json_parts.h"

#include <QDate>

#include <cmath>
#include <set>

#include "core/units/length_text.h"
#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

constexpr std::size_t longest_text = 4000;

}  // namespace

// Objects keep the order of the file, and look each key up from the front: so many and no more. A key that stands
// twice would lose the first without a word.
Outcome<json> parse(const std::string& text, const JsonLimits& most)
{
    if (text.size() > most.bytes) return refuse(Why::FileTooLarge);
    if (const auto line = line_not_utf8(text)) return refuse(Why::FileNotUtf8, {}, *line);
    bool too_deep = false;
    std::size_t members = 0;
    std::vector<std::set<std::string>> keys;
    std::string twice;
    const auto guard = [&](int depth, json::parse_event_t event, json& value) {
        too_deep = too_deep || depth > most.depth;
        if (event == json::parse_event_t::object_start) keys.emplace_back();
        if (event == json::parse_event_t::object_end) keys.pop_back();
        if (event == json::parse_event_t::key && ++members <= most.members) {
            const auto name = value.get<std::string>();
            if (!keys.back().insert(name).second) twice = name;
        }
        if (event == json::parse_event_t::value) ++members;
        return !too_deep && members <= most.members && twice.empty();
    };
    auto parsed = json::parse(text, guard, false);
    if (too_deep) return refuse(Why::FileTooDeep);
    if (members > most.members)
        return tl::make_unexpected(Refusal{
            .why = Why::FileTooMany, .field = "members", .high = Length::mm(static_cast<double>(most.members))});
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

bool is_iso_date(const std::string& text)
{
    return text.size() == 10 && QDate::fromString(QString::fromStdString(text), Qt::ISODate).isValid();
}

}  // namespace sartorum::formats
