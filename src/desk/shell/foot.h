// foot.h: the keys of this station, and when the last change was kept. Refusals are told here too.
#pragma once
#include <QList>
#include <QPair>
#include <QWidget>

#include "desk/shared/parts.h"

namespace sartorum::desk {

class Foot : public QWidget {
    Q_OBJECT
public:
    using Keys = QList<QPair<QString, QString>>;
    explicit Foot(Look&, QWidget* parent = nullptr);
    void show_keys(const Keys&);
    void show_kept(const QString&);
    void show_trouble(const QString&);  // all of it, until it is put away as read

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    void lay_out();
    Look& look_;
    Keys keys_;
    QString kept_;
    QString trouble_;
    Button* read_;
};

}  // namespace sartorum::desk
