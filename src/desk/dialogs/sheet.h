// sheet.h: how every small sheet over the table begins.
#pragma once
#include <QComboBox>
#include <QDialog>
#include <QGridLayout>
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
// Fields side by side, each under its name, row by row.
class FieldGrid : public QGridLayout {
public:
    FieldGrid(QWidget* parent, Look&, int columns = 2);
    template <class Field>
    Field* add(const QString& name, Field* field)
    {
        put(name, field);
        return field;
    }

private:
    void put(const QString& name, QWidget* field);
    QWidget* on_;
    Look& look_;
    int columns_;
    int fields_ = 0;
};

// One button to take what stands on the sheet, which Enter presses, one to leave it, which Escape does; where each
// stands is the desktop's. `take` decides whether the sheet closes.
[[nodiscard]] QWidget* keep_or_leave(QDialog&, Look&, const QString& keep, const char* object,
                                     std::function<void()> take);

}  // namespace sartorum::desk
