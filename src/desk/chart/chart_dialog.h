// chart_dialog.h: the maker's chart as a table, typed, pasted or imported; it says what it understood before the
// chart is taken, and what is missing.
#pragma once
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"
#include "formats/chart_csv.h"

class QTableWidget;

namespace sartorum::desk {

class ChartDialog : public QDialog {
    Q_OBJECT
public:
    ChartDialog(Look&, Room&, QWidget* parent = nullptr);
    void fill(const std::vector<formats::ChartLine>&, const QString& name = {});
    // The chart on the table, to be put right.
    void paste();  // what is on the clipboard
    void correct();

protected:
    bool eventFilter(QObject*, QEvent*) override;

private:
    void preview();
    void take();
    [[nodiscard]] std::vector<formats::ChartLine> lines() const;
    [[nodiscard]] Outcome<formats::ChartRead> read() const;
    Look& look_;
    Room& room_;
    bool correcting_ = false;
    bool filling_ = false;
    QLineEdit* maker_;
    QLineEdit* name_;
    Choices* unit_;
    QTableWidget* table_;
    QLabel* said_;
    Button* keep_;
};

}  // namespace sartorum::desk
