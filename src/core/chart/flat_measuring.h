// flat_measuring.h: a finished girth from the pieces laid flat, where the maker prints none.
//
// At one level, between stitching lines: the piece's width, less what its darts take there, less its tucks and
// pleats, times how often it is cut (a piece on the fold counts twice). A tuck stitched d from its fold takes 2·d;
// a knife pleat 2 × depth; a box or inverted pleat 4 × depth (common practice).
#pragma once
#include <string>
#include <vector>

#include "core/chart/size_chart.h"
#include "core/units/refusal.h"

namespace sartorum {

enum class FoldKind { Tuck, KnifePleat, BoxPleat };

struct FlatFold {
    FoldKind kind = FoldKind::Tuck;
    Length depth;
    int count = 1;
};

struct FlatWidth {
    std::string piece;
    Length width;
    Length darts{};  // together, at this level
    std::vector<FlatFold> folds{};
    int times = 2;
};

[[nodiscard]] Length taken_by(const FlatFold&);
// The chart with that finished girth at one size; where other sizes have none, theirs is graded with the body, so
// that the designed ease is the same.
[[nodiscard]] SizeChart with_finished(SizeChart, const ChartSize&, Measure, Length finished);
// Refuses an empty list, widths that are not positive, counts below one, and more taken out than there is.
[[nodiscard]] Outcome<Length> finished_girth(const std::vector<FlatWidth>&);

}  // namespace sartorum
