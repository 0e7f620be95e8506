// rail.h: the stations down the left side.
#pragma once
#include <QAbstractButton>
#include <vector>

#include "desk/shared/look.h"
#include "desk/shared/station.h"

namespace sartorum::desk {

class RailButton;

class Rail : public QWidget {
    Q_OBJECT
public:
    explicit Rail(Look&, QWidget* parent = nullptr);
    void show(Station current, const std::vector<bool>& finished);
    // Where the menu opens, under the mark.
    [[nodiscard]] QPoint menu_corner() const;

signals:
    void picked(Station);
    void guide_wanted();
    void menu_wanted();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    std::vector<RailButton*> buttons_;
};

}  // namespace sartorum::desk
