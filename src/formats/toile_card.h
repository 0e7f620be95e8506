// toile_card.h: the sheet for a toile: what to sew first, its pieces with the lines to draw on them, where to
// leave more allowance, what to pin and wear, and room to write what hands find.
#pragma once
#include "core/fitting/toile_sheet.h"
#include "formats/pages.h"

namespace sartorum::formats {

[[nodiscard]] Outcome<int> write_toile_card(const QString& path, const Computed&, NextLook, const PrintLabel&,
                                            PaperSize, Unit, IfThere);
// Paints page `page` and says how many there are. Points, y down.
int paint_toile_card(QPainter&, const Computed&, NextLook, const PrintLabel&, PaperSize, Unit, int page);
// Its pieces at full size, with the lines named on them.
[[nodiscard]] PrintJob toile_job(const Computed&, NextLook, PaperSize, Unit, const PrintLabel&);

}  // namespace sartorum::formats
