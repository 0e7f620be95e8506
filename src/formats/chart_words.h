// chart_words.h: the words that stand in makers' charts. Not for other rooms.
#pragma once
#include <optional>
#include <string>
#include <string_view>

#include "core/body/measure.h"
#include "core/units/length_text.h"

namespace sartorum::formats {

enum class HeadKind { Size, Group, Cup, Body, Finished };

struct Head {
    HeadKind kind = HeadKind::Body;
    Measure measure{};
    std::optional<Unit> unit;
};

// "Full Bust (in)" -> "full_bust_in"
[[nodiscard]] std::string plain(std::string_view s);
[[nodiscard]] std::optional<Unit> unit_of_word(std::string_view w);
// What a column or a line is about, and its unit; none where the word is not known.
[[nodiscard]] std::optional<Head> head_of(const std::string& text);

}  // namespace sartorum::formats
