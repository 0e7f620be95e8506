// change_pad.h: one change of the plan, large: what, why, how much, in which way and at what cost, what is unusual
// about it, what follows; accept it, change it or leave it.
#pragma once
#include "desk/plan/map/mark.h"
#include "desk/plan/pad/change_picture.h"
#include "desk/shared/fold_picture.h"

class QLabel;
class QVBoxLayout;

namespace sartorum::desk {

class MarkView;
class ChainBoxes;
class PlaceFields;

class ChangePad : public Panel {
    Q_OBJECT
public:
    ChangePad(Look&, Room&, OtherWay&, QWidget* parent = nullptr);
    void show_change(AdjustmentKind, const QString& number);
    [[nodiscard]] AdjustmentKind kind() const { return kind_; }
    [[nodiscard]] LengthField& amount_field() { return *rows_[0][0].field; }
    void flip();  // accept or leave
    // Tries amounts; Room::keep_trial() writes them. Nothing would be no adjustment: the hand goes on without it.
    // Past what is usual it stops, and says so; back from there it goes.
    void try_amount(Length front, Length back);
    // By so many steps of the unit in use: a millimetre, an eighth of an inch; fine: half of one. Of sides told
    // apart the one in hand.
    void nudge(double steps, bool fine, Face = Face::Both);
    // Left and right told apart; then the other side taken in hand.
    void part_sides();
    void join_sides();  // one amount for both again
    void part_faces();  // front and back told apart; and one amount for both again
    void join_faces();
    void take_places();  // the keys go to the amounts at its places
    // None while both have one amount.
    [[nodiscard]] std::optional<Side> side_in_hand() const;

signals:
    void hand_changed();
    void places_wanted();  // the amounts at its places are to be seen, or given

private:
    struct Row {
        QLabel* name = nullptr;
        Button* less = nullptr;
        LengthField* field = nullptr;
        Button* more = nullptr;
    };
    [[nodiscard]] const PlanLine* line() const;
    [[nodiscard]] Length grain() const;
    Row amount_row(Side, Face, QVBoxLayout*);
    Row& row(Side side, Face face) { return rows_[side == Side::Left][face == Face::Back]; }
    [[nodiscard]] bool has_sides() const;  // it can be done otherwise on each side
    [[nodiscard]] bool parted() const;
    [[nodiscard]] bool has_faces() const;  // front and back may have amounts of their own
    [[nodiscard]] bool faces_parted() const;
    void stay_parted();
    [[nodiscard]] const PlanLine& line_on(Side) const;
    void type_amount(Side, Face, Length);
    void refresh_sides(const PlanLine&);
    void take_sides(int way);
    void build(QWidget* inside);
    void name_all();  // controls take their names from the change
    void rebuild_ways();
    void refresh();
    void refresh_amounts(const PlanLine&);
    void say(QLabel*, const QString&);
    void take_way(int);
    Room& room_;
    AdjustmentKind kind_{};
    QString number_;
    MarkView* mark_;
    QLabel* name_;
    Toggle* toggle_;
    QLabel* why_;
    QLabel* state_;
    QLabel* stale_;
    ChangePicture* picture_;
    QLabel* meaning_;
    FoldPicture* fold_;
    Row rows_[2][2];  // right and left, front and back; what is not told apart in the first
    QLabel* sides_said_;
    Choices* sides_way_;
    Button* parting_;
    Button* parting_faces_;
    PlaceFields* place_fields_;
    QLabel* places_said_;
    Button* places_;
    std::optional<AdjustmentKind> parted_by_hand_{};
    std::optional<AdjustmentKind> faces_by_hand_{};
    Side hand_ = Side::Right;
    QVBoxLayout* ways_place_;
    Choices* ways_ = nullptr;
    QLabel* cost_;
    QLabel* warning_;
    QLabel* refused_;
    ChainBoxes* chain_;
    Button* follow_;
    Button* looked_;
};

}  // namespace sartorum::desk
