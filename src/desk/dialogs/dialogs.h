// dialogs.h: the small sheets that are laid over the table: a name, and the guide.
#pragma once
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class NameDialog : public QDialog {
    Q_OBJECT
public:
    NameDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    QLineEdit* name_;
};

class GuideDialog : public QDialog {
    Q_OBJECT
public:
    GuideDialog(Look&, QWidget* parent = nullptr);

signals:
    void report_wanted();
};

}  // namespace sartorum::desk
