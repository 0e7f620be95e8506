// tape_station.h: the guided round: readings for one wearer, two or three a measure and side, kept in a dated set.
#pragma once
#include <array>
#include <tuple>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class Figure;
class Hero;
class ReadingStrip;
class TapeLink;
class TissueFace;
class Trend;

class TapeStation : public QWidget {
    Q_OBJECT
public:
    TapeStation(Look&, Room&, QWidget* parent = nullptr);
    void go_to(Measure, Side = Side::Right);
    // Where the round was left: its first measure that is not settled, else its first.
    void resume();
    // A digital tape on this socket; the menu of the station connects to the usual one.
    void connect_tape(const QString& socket);
    // The other face: a tissue measured flat.
    void lay_paper(std::optional<TissueKind> = {});
    // To the face that does not show.
    void turn_over();
    [[nodiscard]] bool on_paper() const { return on_paper_; }
    [[nodiscard]] TissueFace& paper();

signals:
    void wearer_wanted();
    void finished();  // the last measure is kept
    void drawn();     // a pattern, from its tissue
    void face_changed();

protected:
    void keyPressEvent(QKeyEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    QWidget* build_pad();
    void build_readings(QVBoxLayout*, QWidget* pad);
    void build_sections(QVBoxLayout*, QWidget* pad);
    void build_day(QVBoxLayout*, QWidget* pad);
    void show_page(int page);
    void say_live(const QString&);  // what a digital tape has to say, while there is one
    void turn(bool to_paper);
    void refresh();
    bool step_by(int way);
    void refresh_readings();
    void refresh_sections();
    void keep(std::size_t cell, Length);
    void ask_reading();
    void remove(std::size_t cell);
    void take_pressed(Length);
    void next();
    [[nodiscard]] std::vector<Length> readings() const;
    [[nodiscard]] bool settled(Measure) const;
    using Draft = std::tuple<Measure, Side, std::size_t>;

    Look& look_;
    Room& room_;
    Measure current_ = Measure::Waist;
    Side side_ = Side::Right;
    // What stands in a field and could not be taken yet, so that nothing typed is lost when moving about.
    std::map<Draft, QString> drafts_;
    TapeLink* link_;
    Figure* figure_;
    TissueFace* paper_ = nullptr;  // built when it is first turned to
    bool on_paper_ = false;
    Choices* rounds_;
    QWidget* empty_;
    QWidget* work_;
    Choices* pages_;
    QWidget* measure_page_;
    QWidget* day_page_;
    QLabel* title_;
    QLabel* term_;
    Hero* hero_;
    QLabel* sure_;
    Choices* sides_;
    std::array<LengthField*, 3> cells_{};
    std::array<QWidget*, 3> cell_boxes_{};
    ReadingStrip* strip_;
    QLabel* state_;
    QLabel* sense_;
    QLabel* how_;
    QLabel* check_;
    QLabel* live_;
    Button* link_button_;
    Trend* trend_;
    QLabel* history_;
    Button* dates_button_;
    QLabel* day_;
    Button* next_button_;
};

}  // namespace sartorum::desk
