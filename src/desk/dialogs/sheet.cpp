#include "desk/dialogs/sheet.h"

#include <QDialogButtonBox>
#include <QEvent>
#include <QScreen>
#include <algorithm>

namespace sartorum::desk {
namespace {

// A sheet opens as tall as its words need, up to the screen: by itself it would stop at two thirds of that, and
// press them together.
class AsTallAsItsWords : public QObject {
public:
    explicit AsTallAsItsWords(QDialog& dialog) : QObject{&dialog}, dialog_{dialog}
    {
        dialog.installEventFilter(this);
    }

protected:
    bool eventFilter(QObject* watched, QEvent* e) override
    {
        if (watched == &dialog_ && e->type() == QEvent::Show) fit();
        return false;
    }

private:
    void fit()
    {
        auto* layout = dialog_.layout();
        const QSize most = dialog_.screen()->availableSize() - QSize{20, 40};
        const int width = std::min(most.width(), std::max(dialog_.width(), layout->totalSizeHint().width()));
        const int height =
            layout->hasHeightForWidth() ? layout->totalHeightForWidth(width) : layout->totalSizeHint().height();
        dialog_.resize(width, std::min(most.height(), std::max(dialog_.height(), height)));
    }
    QDialog& dialog_;
};

}  // namespace

QVBoxLayout* sheet(QDialog& dialog, Look& look, const QString& title)
{
    dialog.setWindowTitle(title);
    dialog.setAccessibleName(title);
    auto* column = new QVBoxLayout{&dialog};
    column->setContentsMargins(24, 20, 24, 16);
    column->setSpacing(10);
    column->addWidget(heading(look, title, 21, &dialog));
    new AsTallAsItsWords{dialog};
    return column;
}

QLineEdit* line_edit(QWidget* parent, const QString& name, const QString& object)
{
    auto* e = new QLineEdit{parent};
    e->setAccessibleName(name);
    e->setObjectName(object);
    e->setMaxLength(80);
    return e;
}

QComboBox* combo(QWidget* parent, const QString& name, const QStringList& words, int chosen, const char* object)
{
    auto* out = new QComboBox{parent};
    out->addItems(words);
    out->setCurrentIndex(chosen);
    out->setAccessibleName(name);
    out->setObjectName(object);
    return out;
}

FieldGrid::FieldGrid(QWidget* parent, Look& look, int columns) : on_{parent}, look_{look}, columns_{columns}
{
    setHorizontalSpacing(14);
    for (int i = 0; i < columns; ++i) setColumnStretch(i, 1);
}

void FieldGrid::put(const QString& name, QWidget* field)
{
    auto* above = label(look_, name, 14, true, on_);
    above->setBuddy(field);
    above->setAlignment(Qt::AlignLeft | Qt::AlignBottom);
    const int row = fields_ / columns_ * 2;
    addWidget(above, row, fields_ % columns_);
    addWidget(field, row + 1, fields_ % columns_);
    ++fields_;
}

QWidget* keep_or_leave(QDialog& dialog, Look& look, const QString& keep, const char* object,
                       std::function<void()> take)
{
    auto* box = new QDialogButtonBox{&dialog};
    auto* yes = new Button{look, keep, ButtonKind::Primary, box};
    yes->setObjectName(object);
    box->addButton(yes, QDialogButtonBox::AcceptRole);
    yes->setDefault(true);
    box->addButton(new Button{look, QDialog::tr("Leave it"), ButtonKind::Plain, box},
                   QDialogButtonBox::RejectRole);
    QObject::connect(box, &QDialogButtonBox::accepted, &dialog, std::move(take));
    QObject::connect(box, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    return box;
}

}  // namespace sartorum::desk
