// sizes_dialog.h: every size, least left to do first, with the difference at each measure.
#pragma once
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class SizesDialog : public QDialog {
    Q_OBJECT
public:
    SizesDialog(Look&, Room&, QWidget* parent = nullptr);
};

}  // namespace sartorum::desk
