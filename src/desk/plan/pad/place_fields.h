// place_fields.h: the amounts of a change at its own places, one field each, where they are not a waist's
// stations; of the side in hand where both go apart.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QGridLayout;

namespace sartorum::desk {

class PlaceFields : public QWidget {
    Q_OBJECT
public:
    PlaceFields(Look&, Room&, QWidget* parent = nullptr);
    // None: hidden. Of a waist's stations the waist's own view is asked.
    void show_line(const PlanLine*);
    void take_focus();
    void enter();  // what is typed and not yet entered

private:
    void build();
    void typed(AdjustmentKind, std::size_t place, Length);
    [[nodiscard]] std::optional<Side> side() const;
    Look& look_;
    Room& room_;
    std::optional<AdjustmentKind> kind_;
    Choices* side_;
    QGridLayout* grid_;
    std::vector<QLabel*> names_;
    std::vector<LengthField*> fields_;
};

[[nodiscard]] bool has_place_fields(AdjustmentKind);

}  // namespace sartorum::desk
