// tissue_bench.h: a tissue begun, and measured as a hand would on drawn pieces.
#pragma once
#include <QtGlobal>

#include "core/tissue/lines_laid.h"
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

// How many of the lines that were measured are drawn as they were; none where one is not, and which is told.
inline int lines_as_measured(const Tissue& t, const std::vector<Piece>& pieces, Length within)
{
    int out = 0;
    for (const auto line : lines_on_pieces(t, *t.in_hand())) {
        const auto wanted = measured(*t.in_hand(), line);
        if (!wanted || *wanted <= Length{}) continue;
        const auto laid = laid_line(line, pieces);
        const double off = laid ? std::abs((laid->length - *wanted).in_mm()) : 1e9;
        if (off > within.in_mm()) {
            qWarning("%s: off by %f of %f", facts(line).key.data(), off, wanted->in_mm());
            return 0;
        }
        ++out;
    }
    return out;
}

inline double worst_gap(const std::vector<Piece>& a, const std::vector<Piece>& b)
{
    if (a.size() != b.size()) return 1e9;
    double worst = 0;
    for (std::size_t i = 0; i < a.size(); ++i) worst = std::max(worst, largest_gap(a[i], b[i]));
    return worst;
}

}  // namespace sartorum::test
