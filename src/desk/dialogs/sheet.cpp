#include "desk/dialogs/sheet.h"

namespace sartorum::desk {

QVBoxLayout* sheet(QDialog& dialog, Look& look, const QString& title)
{
    dialog.setWindowTitle(title);
    dialog.setAccessibleName(title);
    auto* column = new QVBoxLayout{&dialog};
    column->setContentsMargins(24, 20, 24, 16);
    column->setSpacing(10);
    column->addWidget(heading(look, title, 21, &dialog));
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

QHBoxLayout* keep_or_leave(QDialog& dialog, Look& look, const QString& keep, const char* object,
                           std::function<void()> take)
{
    auto* row = new QHBoxLayout;
    auto* yes = new Button{look, keep, ButtonKind::Primary, &dialog};
    yes->setObjectName(object);
    auto* no = new Button{look, QDialog::tr("Leave it"), ButtonKind::Plain, &dialog};
    row->addWidget(yes);
    row->addWidget(no);
    row->addStretch();
    QObject::connect(yes, &Button::clicked, &dialog, std::move(take));
    QObject::connect(no, &Button::clicked, &dialog, &QDialog::reject);
    return row;
}

}  // namespace sartorum::desk
