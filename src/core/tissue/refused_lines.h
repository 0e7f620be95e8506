// refused_lines.h: what a block's refusal is about, in the terms of a tissue's lines.
#pragma once
#include "core/tissue/tissue.h"

namespace sartorum {

// The field a block names, the line that is meant by it, and the lines that line depends on.
struct Blamed {
    std::string_view field;
    TissueLine line;
    std::vector<TissueLine> with;
};

// Null where a block names something no line measures.
[[nodiscard]] const Blamed* blamed_in(TissueKind, std::string_view field);

}  // namespace sartorum
