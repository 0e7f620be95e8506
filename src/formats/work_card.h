// work_card.h: the card for the table: the plan, every step with a small picture and a box to tick, the walked
// seams.
#pragma once
#include "formats/pages.h"

namespace sartorum::formats {

// As many pages as the steps need.
[[nodiscard]] Outcome<int> write_work_card(const QString& path, const Computed&, const PrintLabel&, PaperSize,
                                           Unit, IfThere);
// The same without a file, for showing; one picture list per page is not needed: it paints page `page` and says
// how many there are. Points, y down.
int paint_work_card(QPainter&, const Computed&, const PrintLabel&, PaperSize, Unit, int page);
// Painted page by page into a PDF, in points; `paint` is given the page, and says how many there are.
[[nodiscard]] Outcome<int> write_card(const QString& path, const PrintLabel&, PaperSize, IfThere,
                                      const std::function<int(QPainter&, int page)>& paint);
// The place where the step happens, and its paper, lines and amounts, within the box.
void paint_step(QPainter&, const Step&, const QRectF& box, Unit);

}  // namespace sartorum::formats
