// piece_dialogs.h: the sheets that change what a garment is made of.
#pragma once
#include <QComboBox>
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class FacingDialog : public QDialog {
    Q_OBJECT
public:
    FacingDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void take();
    Look& look_;
    Room& room_;
    std::vector<SeamSide> edges_;
    QComboBox* edge_;
    LengthField* width_;
    QLabel* said_;
};

class BringDialog : public QDialog {
    Q_OBJECT
public:
    BringDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    struct Choice {  // where it can be sewn
        std::vector<SeamSide> sides;
        QString name;
        Length length;
    };
    void read_pattern();
    void read_size();
    void read_piece();
    void tell();
    void take();
    [[nodiscard]] const Piece* piece() const;
    [[nodiscard]] std::optional<double> ratio() const;
    Look& look_;
    Room& room_;
    std::vector<notebook::Id> patterns_;
    std::optional<Pattern> from_;
    std::vector<std::string> ids_;
    std::vector<std::size_t> own_edges_;
    std::vector<Choice> to_;
    QComboBox* pattern_;
    QComboBox* size_;
    QComboBox* piece_;
    QComboBox* edge_;
    QComboBox* sewn_to_;
    QLineEdit* ratio_;
    QLabel* said_;
};

class OpeningDialog : public QDialog {
    Q_OBJECT
public:
    OpeningDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void tell();
    void take();
    Look& look_;
    Room& room_;
    QComboBox* where_;
    QComboBox* how_;
    LengthField* length_;
    LengthField* button_;
    LengthField* gap_;
    LengthField* facing_;
    QLabel* said_;
};

}  // namespace sartorum::desk
