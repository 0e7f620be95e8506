// settings_dialog.h: unit, text size and theme, at once as they are chosen.
#pragma once
#include <QDialog>

#include "desk/shared/look.h"

namespace sartorum::desk {

class SettingsDialog : public QDialog {
    Q_OBJECT
public:
    explicit SettingsDialog(Look&, QWidget* parent = nullptr);
};

}  // namespace sartorum::desk
