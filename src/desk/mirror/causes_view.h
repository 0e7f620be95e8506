// causes_view.h: what the sights may come from, likeliest first; one telling test next; and the chosen cause as a
// change of the plan.
#pragma once
#include "desk/mirror/mirror_state.h"
#include "desk/shared/fold_picture.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class CausesList : public QWidget {
    Q_OBJECT
public:
    CausesList(Look&, MirrorState&, QWidget* parent = nullptr);
    [[nodiscard]] int shown() const;
    [[nodiscard]] QRectF row(int cause) const;

signals:
    void take_wanted();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] int row_height() const;
    Look& look_;
    MirrorState& state_;
};

class CausesView : public QWidget {
    Q_OBJECT
public:
    CausesView(Look&, MirrorState&, QWidget* parent = nullptr);
    void take_test();  // the keys go to the test
    [[nodiscard]] CausesList& list() { return *list_; }

signals:
    void plan_wanted();

private:
    void build_test(QVBoxLayout*);
    void build_take(QVBoxLayout*);
    void refresh();
    void refresh_test();
    void refresh_take();
    void answer(bool yes);
    void take();
    Look& look_;
    MirrorState& state_;
    CausesList* list_;
    QLabel* nothing_;
    QWidget* test_;
    QLabel* test_text_;
    QLabel* care_;
    LengthField* pinch_;
    QLabel* pinch_name_;
    FoldPicture* fold_;
    Button* yes_;
    Button* no_;
    QLabel* if_yes_;
    QLabel* if_no_;
    QLabel* done_;
    Button* back_;
    QWidget* taking_;
    QLabel* take_text_;
    QLabel* said_;
    Button* take_;
    Button* to_plan_;
    QString last_said_;
};

}  // namespace sartorum::desk
