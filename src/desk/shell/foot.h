// foot.h: the keys of this station, and when the last change was kept. Refusals are told here too.
#pragma once
#include <QList>
#include <QPair>
#include <QWidget>

#include "desk/shared/look.h"

namespace sartorum::desk {

class Foot : public QWidget {
    Q_OBJECT
public:
    using Keys = QList<QPair<QString, QString>>;
    explicit Foot(Look&, QWidget* parent = nullptr);
    void show_keys(const Keys&);
    void show_kept(const QString&);
    void show_trouble(const QString&);  // stays until the next change is kept

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    Keys keys_;
    QString kept_;
    QString trouble_;
};

}  // namespace sartorum::desk
