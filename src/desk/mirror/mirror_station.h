// mirror_station.h: what the toile said: sights on the wearer, what they may come from, one telling test, the
// change; the next toile; and the gate before good cloth.
#pragma once
#include "desk/mirror/mirror_state.h"
#include "desk/shared/acts.h"
#include "desk/shared/parts.h"

class QBoxLayout;

namespace sartorum::desk {

class ByHandView;
class CausesView;
class GateView;
class NotesView;
class PhotoFace;
class ToileFigure;
class VersionsView;

// How she is seen. Sleeves only where there are some.
enum class MirrorFace { FrontAndBack, Sides, Sleeves, Photographs };

class MirrorStation : public QWidget {
    Q_OBJECT
public:
    MirrorStation(Look&, Room&, QWidget* parent = nullptr);
    void begin();  // a new try-on
    // As a file (docs/cli.md, "Toile"); its photographs beside it only where they are asked for.
    void write_entry(const QString& path, bool photographs);
    void add_note();  // from the list
    void show_face(MirrorFace);
    void show_beside(int view);  // 0 seen, 1 by hand, 2 measured, 3 versions
    [[nodiscard]] MirrorState& state() { return state_; }

signals:
    void plan_wanted();
    void sheet_wanted();  // the toile sheet, in Print

protected:
    void keyPressEvent(QKeyEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    [[nodiscard]] bool take_key(Act, int digit);  // whether it did something here
    QWidget* build_picture();
    QWidget* build_beside();
    QWidget* build_causes();
    void refresh();
    void fit_foot();
    [[nodiscard]] MirrorFace face() const;
    [[nodiscard]] MirrorFace face_of(Sight) const;
    void next_face();
    [[nodiscard]] bool has_sleeve() const;
    void point_at(SeenFrom, FigurePoint, std::optional<Side>, QPoint on_screen);
    void add_sight(Sight, std::optional<FigurePoint>, std::optional<Side>);
    void change_entry();
    void forget_entry();
    void save_entry();
    Look& look_;
    Room& room_;
    MirrorState state_;
    int shown_note_ = -1;
    notebook::Id shown_entry_ = -1;
    QBoxLayout* foot_;
    QWidget* empty_;
    QWidget* none_yet_;
    QWidget* work_;
    QLabel* title_;
    QLabel* detail_;
    Button* earlier_;
    Button* later_;
    Choices* faces_;
    ToileFigure* figure_;
    PhotoFace* photo_;
    Choices* beside_;
    NotesView* notes_;
    ByHandView* by_hand_;
    VersionsView* versions_;
    CausesView* causes_;
    GateView* gate_;
    Button* new_;
    Button* entry_;
    Button* forget_;
    Button* save_;
    QLabel* saved_;
};

}  // namespace sartorum::desk
