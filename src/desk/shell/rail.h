// rail.h: the stations down the left side.
#pragma once
#include <QAbstractButton>
#include <vector>

#include "desk/shared/look.h"

namespace sartorum::desk {

enum class Station { Tape, Chart, Plan, Paper, Mirror, Print };
inline constexpr int station_count = 6;
[[nodiscard]] QString station_name(Station);

class RailButton;

class Rail : public QWidget {
    Q_OBJECT
public:
    explicit Rail(Look&, QWidget* parent = nullptr);
    void show(Station current, const std::vector<bool>& finished);

signals:
    void picked(Station);
    void guide_wanted();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    std::vector<RailButton*> buttons_;
};

}  // namespace sartorum::desk
