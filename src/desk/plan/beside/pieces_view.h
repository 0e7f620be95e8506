// pieces_view.h: what the garment is made of: each piece and where it is sewn; pieces left out, facings made,
// pieces brought in, the opening moved.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class PiecesView : public Panel {
    Q_OBJECT
public:
    PiecesView(Look&, Room&, QWidget* parent = nullptr);

private:
    void refresh();
    void add_piece(const Piece&);
    void add_left_out(const std::string& id);
    void add_opening();
    // A name, what is said of it and what can be done to it.
    void add_row(const QString& name, const QString& said, const QString& act, const QString& object,
                 std::function<void()> done, bool faded = false);
    Room& room_;
    QWidget* inside_;
    QVBoxLayout* column_;
};

}  // namespace sartorum::desk
