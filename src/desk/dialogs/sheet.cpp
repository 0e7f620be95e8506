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

}  // namespace sartorum::desk
