// tissue_written.h: what is written on a tissue and seen at a glance: name, maker, size, how it opens, its
// allowances.
#pragma once
#include <QComboBox>
#include <map>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QGridLayout;

namespace sartorum::desk {

class TissueWritten : public QWidget {
    Q_OBJECT
public:
    TissueWritten(Look&, Room&, QWidget* parent = nullptr);
    void refresh();
    void focus_name();

signals:
    void done();  // on to the lines

private:
    void add(const QString& name, QWidget* field);
    void lay_out();
    void rename();
    Look& look_;
    Room& room_;
    QLineEdit* name_;
    QLineEdit* maker_;
    QComboBox* size_;
    std::map<TissueNote, QComboBox*> notes_;
    std::map<TissueLine, LengthField*> lengths_;
    QGridLayout* grid_;
    std::vector<QWidget*> boxes_;
};

}  // namespace sartorum::desk
