// fold_picture.h: a pinched fold p deep, and what it takes out, 2 p; the one that is asked for is drawn strongly.
#pragma once
#include <QWidget>

#include "desk/shared/look.h"

namespace sartorum::desk {

enum class FoldAsked { Depth, Whole };

class FoldPicture : public QWidget {
public:
    FoldPicture(Look&, FoldAsked, QWidget* parent = nullptr);
    void ask(FoldAsked);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    FoldAsked asked_;
};

}  // namespace sartorum::desk
