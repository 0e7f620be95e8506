// chain_boxes.h: what one change does to the measures of the garment, as washed boxes one after another, ending in
// the check.
#pragma once
#include "desk/room.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

class ChainBoxes : public QWidget {
    Q_OBJECT
public:
    ChainBoxes(Look&, Room&, QWidget* parent = nullptr);
    void show_change(AdjustmentKind);
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int) const override;
    [[nodiscard]] QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    struct Box {
        QString name;
        std::optional<Length> by;
        std::optional<Length>
            left;  // where that is another; `by` is then the right side's  // none: the seams, which walk
        QRectF at;
    };
    [[nodiscard]] std::vector<Box> boxes(double width) const;
    Look& look_;
    Room& room_;
    AdjustmentKind kind_{};
};

}  // namespace sartorum::desk
