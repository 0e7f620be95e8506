// tissue_bench.h: a tissue begun, and measured as a hand would on drawn pieces.
#pragma once
#include "core/tissue/laid.h"
#include "skirts.h"
#include "tests.h"

namespace sartorum::test {

inline Tissue begun(TissueKind kind)
{
    Tissue t;
    t.name = "Test";
    t.kind = kind;
    t.size = "12";
    t.sizes = {{"12", {}}};
    return t;
}

// What a hand would measure on these pieces.
inline void measure_all(Tissue& t, const std::vector<Piece>& pieces)
{
    for (const auto line : lines_on_pieces(t, *t.in_hand())) {
        const auto laid = laid_line(line, pieces);
        if (laid)
            t.in_hand()->lines[line] = {TissueState::Measured, laid->length};
        else if (facts(line).may_lack)
            t.in_hand()->lines[line] = {TissueState::Lacking, {}};
    }
}

inline double worst_gap(const std::vector<Piece>& a, const std::vector<Piece>& b)
{
    if (a.size() != b.size()) return 1e9;
    double worst = 0;
    for (std::size_t i = 0; i < a.size(); ++i) worst = std::max(worst, largest_gap(a[i], b[i]));
    return worst;
}

}  // namespace sartorum::test
