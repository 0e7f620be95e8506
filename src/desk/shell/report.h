// report.h: what a user can read and send when something did not work: versions and the last refusals. No name, no
// number that was typed, no measure of a body.
#pragma once
#include <QDateTime>
#include <QDialog>
#include <QStringList>

#include "core/units/refusal.h"
#include "desk/shared/look.h"
#include "notebook/notebook.h"

namespace sartorum::desk {

class Report {
public:
    // Fixed words: what belongs to the user never comes here. plain() below makes such a sentence of a refusal.
    void refused(const QString& plain);
    [[nodiscard]] QString text() const;

private:
    QStringList last_;
};

// What was refused, and why, in the words it is said in, with nothing of the user's put into them: no name of a
// file or of anybody, no number.
[[nodiscard]] QString plain(const Refusal&);
[[nodiscard]] QString plain(const notebook::Failure&);

class ReportDialog : public QDialog {
    Q_OBJECT
public:
    ReportDialog(Look&, const Report&, QWidget* parent = nullptr);
};

}  // namespace sartorum::desk
