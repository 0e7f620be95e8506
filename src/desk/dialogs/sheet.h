// sheet.h: how every small sheet over the table begins.
#pragma once
#include <QComboBox>
#include <QDialog>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QVBoxLayout>

#include <functional>

#include "desk/shared/parts.h"

namespace sartorum::desk {

[[nodiscard]] QVBoxLayout* sheet(QDialog&, Look&, const QString& title);
[[nodiscard]] QLineEdit* line_edit(QWidget* parent, const QString& name, const QString& object);

[[nodiscard]] QComboBox* combo(QWidget* parent, const QString& name, const QStringList& words, int chosen,
                               const char* object);
// One button to take what stands on the sheet, one to leave it; `take` decides whether the sheet closes.
[[nodiscard]] QHBoxLayout* keep_or_leave(QDialog&, Look&, const QString& keep, const char* object,
                                         std::function<void()> take);

}  // namespace sartorum::desk
