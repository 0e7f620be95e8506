// change_pad.h: one change of the plan, large: what, why, how much, in which way and at what cost, what is unusual
// about it, what follows; accept it, change it or leave it.
#pragma once
#include "desk/plan/change_picture.h"
#include "desk/plan/mark.h"

class QLabel;
class QVBoxLayout;

namespace sartorum::desk {

class MarkView;
class ChainBoxes;

class ChangePad : public Panel {
    Q_OBJECT
public:
    ChangePad(Look&, Room&, OtherWay&, QWidget* parent = nullptr);
    void show_change(AdjustmentKind, const QString& number);
    [[nodiscard]] AdjustmentKind kind() const { return kind_; }
    [[nodiscard]] LengthField& amount_field() { return *front_.field; }
    void flip();  // accept or leave
    // Tries an amount; Room::keep_trial() writes it. Nothing would be no adjustment: the hand goes on without it.
    void try_amount(Length front, Length back);
    // By so many steps of the unit in use: a millimetre, an eighth of an inch; fine: half of one.
    void nudge(double steps, bool fine, Face = Face::Both);

private:
    struct Row {
        QLabel* name = nullptr;
        Button* less = nullptr;
        LengthField* field = nullptr;
        Button* more = nullptr;
    };
    [[nodiscard]] const PlanLine* line() const;
    [[nodiscard]] Length grain() const;
    Row amount_row(bool back, QVBoxLayout*);
    void build(QWidget* inside);
    void name_all();  // controls take their names from the change
    void rebuild_ways();
    void refresh();
    void refresh_amounts(const PlanLine&);
    void say(QLabel*, const QString&);
    void decide(std::optional<Length> amount, std::optional<Length> back);
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
    Row front_;
    Row back_;
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
