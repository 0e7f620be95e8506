// wear_dialog.h: what is made, of what cloth, how it is worn, and her own ease where she wants another than
// designed.
#pragma once
#include <QComboBox>
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QGridLayout;

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
    std::map<Measure, LengthField*> ease_;
    QLabel* said_;
};

// Finished girths from the pieces laid flat, for a maker who prints none.
class FlatDialog : public QDialog {
    Q_OBJECT
public:
    FlatDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    struct Row {
        QLineEdit* piece;
        LengthField* width;
        LengthField* darts;
        QComboBox* fold;
        LengthField* depth;
        QLineEdit* count;
        QComboBox* times;
    };
    void add_row(const QString& piece);
    [[nodiscard]] Outcome<Length> read() const;
    void preview();
    void take();
    Look& look_;
    Room& room_;
    QComboBox* measure_;
    QComboBox* size_;
    QGridLayout* grid_;
    std::vector<Row> rows_;
    QLabel* said_ = nullptr;
};

}  // namespace sartorum::desk
