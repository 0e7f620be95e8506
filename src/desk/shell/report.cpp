#include "desk/shell/report.h"

#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QPlainTextEdit>
#include <QScreen>
#include <QSysInfo>
#include <QTime>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "desk/room.h"
#include "desk/shared/parts.h"
#include "formats/text_file.h"
#include "notebook/schema.h"
#include "words/words.h"

namespace sartorum::desk {

QString plain(const Refusal& r)
{
    return words::refusal({.why = r.why, .field = "…"}, Unit::Centimetre);
}

QString plain(const notebook::Failure& f)
{
    return trouble_text({f.trouble, "…"});
}

void Report::refused(const QString& said)
{
    constexpr qsizetype most = 50;
    last_ << QTime::currentTime().toString("HH:mm") + "  " + said;
    while (last_.size() > most) last_.removeFirst();
}

QString Report::text() const
{
    const auto* screen = QGuiApplication::primaryScreen();
    QStringList out{"Sartorum " + QCoreApplication::applicationVersion(),
                    QString{"Notebook version %1"}.arg(notebook::schema_version),
                    QString{"Qt %1, %2, platform %3"}.arg(qVersion(), QSysInfo::prettyProductName(),
                                                          QGuiApplication::platformName()),
                    screen ? QString{"Screen %1 × %2 at %3"}
                                 .arg(screen->size().width())
                                 .arg(screen->size().height())
                                 .arg(screen->devicePixelRatio())
                           : QString{},
                    {},
                    last_.isEmpty() ? QString{"Nothing was refused since the start."}
                                    : QString{"Last refusals, newest last:"}};
    return (out + last_).join('\n') + '\n';
}

ReportDialog::ReportDialog(Look& look, const Report& report, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Report"));
    column->addWidget(
        label(look,
              tr("Read it, and send it with what you were doing when something did not work. It holds no "
                 "name and no measure; nothing leaves this machine by itself."),
              14, false, this));
    auto* box = new QPlainTextEdit{report.text(), this};
    box->setObjectName("report_text");
    box->setReadOnly(true);
    box->setAccessibleName(tr("The report"));
    box->setTabChangesFocus(true);
    box->setMinimumHeight(240);
    column->addWidget(box, 1);
    auto* said = label(look, {}, 14, true, this);
    column->addWidget(said);
    auto* row = new QHBoxLayout;
    auto* copy = new Button{look, tr("Copy it"), ButtonKind::Primary, this};
    auto* save = new Button{look, tr("Save it as a file"), ButtonKind::Plain, this};
    auto* close = new Button{look, tr("Close"), ButtonKind::Plain, this};
    for (auto* b : {copy, save, close}) row->addWidget(b);
    row->addStretch();
    column->addLayout(row);
    setMinimumWidth(640);
    connect(copy, &Button::clicked, this, [box, said] {
        QGuiApplication::clipboard()->setText(box->toPlainText());
        said->setText(tr("Copied."));
    });
    connect(save, &Button::clicked, this, [this, box, said, &look] {
        const QString path = QFileDialog::getSaveFileName(this, tr("Save the report"), "sartorum-report.txt");
        if (path.isEmpty()) return;
        const auto ok = formats::write_file(path, box->toPlainText().toUtf8(), formats::IfThere::Replace);
        said->setText(ok ? tr("Saved.") : words::refusal(ok.error(), look.unit()));
    });
    connect(close, &Button::clicked, this, &QDialog::accept);
}

}  // namespace sartorum::desk
