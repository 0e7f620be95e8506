// change_picture.h: the small picture of one change: the pieces it touches, before it dashed and after it in woad.
#pragma once
#include "desk/plan/map/glyph.h"
#include "desk/plan/pad/other_way.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class ChangePicture : public QWidget {
    Q_OBJECT
public:
    ChangePicture(Look&, Room&, OtherWay&, QWidget* parent = nullptr);
    void show_kind(AdjustmentKind, Side = Side::Right);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void draw_change(QPainter&, const BeforeAfter&);
    void draw_meant(QPainter&);  // nothing changes yet: what is meant by it
    Look& look_;
    Room& room_;
    OtherWay& other_;
    AdjustmentKind kind_{};
    Side side_ = Side::Right;
};

}  // namespace sartorum::desk
