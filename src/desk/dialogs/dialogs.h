// dialogs.h: the small sheets that are laid over the table: a name, a chart, a skirt from flat measurements.
#pragma once
#include <QDialog>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QGridLayout;

namespace sartorum::desk {

class NameDialog : public QDialog {
    Q_OBJECT
public:
    NameDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    QLineEdit* name_;
};

class SkirtDialog : public QDialog {
    Q_OBJECT
public:
    SkirtDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    void take();
    LengthField* add(QGridLayout*, const QString& key, const QString& name, const QString& hint, Length start);
    Look& look_;
    Room& room_;
    QLineEdit* name_;
    QLineEdit* maker_;
    QLineEdit* size_;
    std::map<QString, LengthField*> fields_;
    QLabel* said_;
};

class GuideDialog : public QDialog {
    Q_OBJECT
public:
    GuideDialog(Look&, QWidget* parent = nullptr);
};

}  // namespace sartorum::desk
