// ease_table.h: garment, designed, now and planned, and a bar for each measure whose finished girth is known.
#pragma once
#include "desk/room.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

// The rows of the plan on the table: from the drawing where there is one, else from the chart's finished girths.
[[nodiscard]] std::vector<EaseRow> ease_rows(const Room&);

class EaseTable : public QWidget {
public:
    EaseTable(Look&, Room&, QWidget* parent);
    void refresh();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    Room& room_;
};

}  // namespace sartorum::desk
