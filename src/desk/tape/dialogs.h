// dialogs.h: the small sheets of the Tape: the ruler check, the day and the body, two dates beside each other.
#pragma once
#include <QComboBox>
#include <QDialog>
#include <array>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QTableWidget;

namespace sartorum::desk {

// One or two lengths at which the tape was held against a rigid ruler.
class TapeCheckDialog : public QDialog {
    Q_OBJECT
public:
    TapeCheckDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    [[nodiscard]] Outcome<TapeCheck> read() const;
    void preview();
    void take();
    Look& look_;
    Room& room_;
    std::array<LengthField*, 4> fields_{};  // ruler, tape, ruler, tape
    QLabel* said_;
};

// What was worn, weight, a note, and how the body stands.
class DayDialog : public QDialog {
    Q_OBJECT
public:
    DayDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void take();
    Look& look_;
    Room& room_;
    QLineEdit* worn_;
    QLineEdit* weight_;
    QLineEdit* note_;
    QComboBox* ball_;
    QComboBox* neck_;
    QComboBox* round_back_;
    QComboBox* hollow_;
    QComboBox* slope_;
    QLabel* said_;
};

// Every measure at two dates, and the difference.
class DatesDialog : public QDialog {
    Q_OBJECT
public:
    DatesDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void refresh();
    Look& look_;
    Room& room_;
    QComboBox* from_;
    QComboBox* to_;
    QTableWidget* table_;
};

}  // namespace sartorum::desk
