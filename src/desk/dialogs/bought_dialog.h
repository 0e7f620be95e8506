// bought_dialog.h: a pair of trousers that was bought: a few measures taken on it, and the card for lowering its
// crotch.
#pragma once
#include <QDialog>

#include "core/plan/bought_pair.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class BoughtDialog : public QDialog {
    Q_OBJECT
public:
    BoughtDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    struct Line {
        Length BoughtTrousers::*into;
        QString name;
        LengthField* field = nullptr;
        Length least;
        Length most;
        bool needed = true;
    };
    [[nodiscard]] std::optional<Computed> worked_out();
    void tell();
    void save();
    Look& look_;
    Room& room_;
    QLineEdit* name_;
    LengthField* down_;
    QLineEdit* folder_;
    std::vector<Line> lines_;
    QLabel* said_;
};

}  // namespace sartorum::desk
