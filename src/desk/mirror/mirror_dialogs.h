// mirror_dialogs.h: the small sheets of the Mirror: a try-on's day and cloth, and the list of all that can be
// seen.
#pragma once
#include <QDialog>

#include "desk/mirror/mirror_state.h"
#include "desk/shared/parts.h"

class QComboBox;
class QLineEdit;
class QListWidget;

namespace sartorum::desk {

// A new try-on where `was` is none.
class TryOnDialog : public QDialog {
    Q_OBJECT
public:
    TryOnDialog(Look&, MirrorState&, const std::optional<TryOn>& was, QWidget* parent = nullptr);

private:
    void take();
    MirrorState& state_;
    std::optional<TryOn> was_;
    QLineEdit* day_;
    QComboBox* what_;
    QLineEdit* cloth_;
    QLineEdit* worn_;
    std::vector<Button*> moments_;
    QLineEdit* words_;
    QLabel* said_;
};

// What can be seen on this garment: typed a few letters of, chosen with Enter.
class SightDialog : public QDialog {
    Q_OBJECT
public:
    // Those seen from there first, where that is given.
    SightDialog(Look&, const std::vector<Sight>&, std::optional<SeenFrom> first, QWidget* parent = nullptr);
    [[nodiscard]] std::optional<Sight> chosen() const;

protected:
    bool eventFilter(QObject*, QEvent*) override;

private:
    void filter();
    std::vector<Sight> all_;
    QLineEdit* search_;
    QListWidget* list_;
};

}  // namespace sartorum::desk
