// tissue_lens.h: where the tape is read, close by: the cut edge, the stitching line its allowance inside it, the
// tape and the mark; or the fold, the mark, the second leg of a dart.
#pragma once
#include <QWidget>

#include "core/tissue/lines_laid.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

class TissueLens : public QWidget {
public:
    TissueLens(Look&, QWidget* parent);
    void show(ReadAt, Length allowance, std::optional<Length> read);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void draw_edges(QPainter&, const QRectF&, double read_x) const;
    Look& look_;
    ReadAt at_ = ReadAt::StitchingLine;
    Length allowance_;
    std::optional<Length> read_;
};

}  // namespace sartorum::desk
