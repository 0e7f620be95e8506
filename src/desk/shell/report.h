// report.h: what a user can read and send when something did not work: versions and the last refusals. No name, no
// number that was typed, no measure of a body.
#pragma once
#include <QDateTime>
#include <QDialog>
#include <QStringList>

#include "desk/shared/look.h"

namespace sartorum::desk {

class Report {
public:
    // Numbers, quoted words and file names are taken out before it is remembered.
    void refused(const QString& sentence);
    [[nodiscard]] QString text() const;

private:
    QStringList last_;
};

// A sentence with all that is the user's own taken out.
[[nodiscard]] QString without_particulars(QString sentence);

class ReportDialog : public QDialog {
    Q_OBJECT
public:
    ReportDialog(Look&, const Report&, QWidget* parent = nullptr);
};

}  // namespace sartorum::desk
