// wear_dialog.h: what is made, of what cloth, how it is worn, and her own ease where she wants another than
// designed.
#pragma once
#include <QComboBox>
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class WearDialog : public QDialog {
    Q_OBJECT
public:
    WearDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void take();
    Look& look_;
    Room& room_;
    QComboBox* kind_;
    QComboBox* cut_;
    QComboBox* cloth_;
    QLineEdit* stretch_;
    QComboBox* seated_;
    QComboBox* sides_;
    QComboBox* sewn_;
    std::map<Measure, LengthField*> ease_;
    QLabel* said_;
};

}  // namespace sartorum::desk
