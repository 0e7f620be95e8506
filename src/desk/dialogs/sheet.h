// sheet.h: how every small sheet over the table begins.
#pragma once
#include <QDialog>
#include <QLineEdit>
#include <QVBoxLayout>

#include "desk/shared/parts.h"

namespace sartorum::desk {

[[nodiscard]] QVBoxLayout* sheet(QDialog&, Look&, const QString& title);
[[nodiscard]] QLineEdit* line_edit(QWidget* parent, const QString& name, const QString& object);

}  // namespace sartorum::desk
