// tissue_face.h: the Tape's second face: a pattern's tissue laid flat and measured line by line on a picture of
// its pieces; what is written on it; what it says so far; and the pattern drawn from it.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QBoxLayout;

namespace sartorum::desk {

class PaperSays;
class TissueLens;
class TissuePicture;
class TissueWritten;

class TissueFace : public QWidget {
    Q_OBJECT
public:
    TissueFace(Look&, Room&, QWidget* parent = nullptr);
    // The newest tissue of that kind that is not drawn yet, else a new one.
    void take_up(TissueKind);
    // Where it was left: at its first line that waits.
    void resume();
    void go_to(TissueLine);
    [[nodiscard]] std::optional<TissueLine> current() const { return current_; }

signals:
    void wearer_wanted();  // the other face
    void drawn();          // the pattern lies on the table

protected:
    void keyPressEvent(QKeyEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    QWidget* build_table();
    QWidget* build_pad();
    QWidget* build_line(QWidget* parent);
    void build_acts(QVBoxLayout*, QWidget* parent);
    void refresh();
    void refresh_picture();
    void refresh_line();
    void refresh_says();
    void refresh_acts();
    void settle();  // the page as tall as its words, at once
    void show_page(int page);
    bool keep(Length);
    void keep_and_go_on();
    void lacking();
    void leave_assumed();
    void step_by(int by);
    void next_open();
    void draw_it();
    void put_on_chart();
    [[nodiscard]] std::vector<TissueLine> lines() const;
    // Something is typed that is not kept; a kept value that stands there, rounded as the unit has it, is not.
    [[nodiscard]] bool pending() const;
    [[nodiscard]] std::optional<Length> typed() const;
    [[nodiscard]] std::vector<Piece> pieces_with(std::optional<Length> typed) const;
    using Draft = std::pair<std::string, TissueLine>;

    Look& look_;
    Room& room_;
    std::optional<TissueLine> current_;
    std::optional<notebook::Id> shown_;  // which tissue stands here
    // What stands in the field and could not be taken, so that nothing typed is lost when moving about.
    std::map<Draft, QString> drafts_;
    std::vector<Piece> as_kept_;     // without what is typed; empty where that cannot be drawn
    std::vector<Piece> last_drawn_;  // what was seen last
    bool objected_ = false;
    QWidget* empty_ = nullptr;
    QWidget* work_ = nullptr;
    Choices* face_ = nullptr;
    Choices* kinds_ = nullptr;
    QLabel* said_of_it_ = nullptr;
    TissuePicture* picture_ = nullptr;
    Choices* pages_ = nullptr;
    QWidget* line_page_ = nullptr;
    TissueWritten* written_ = nullptr;
    QLabel* title_ = nullptr;
    QLabel* count_ = nullptr;
    LengthField* field_ = nullptr;
    QLabel* sense_ = nullptr;
    QLabel* how_ = nullptr;
    TissueLens* lens_ = nullptr;
    QLabel* says_title_ = nullptr;
    PaperSays* says_ = nullptr;
    QLabel* trouble_ = nullptr;
    Button* keep_ = nullptr;
    Button* lacking_ = nullptr;
    Button* assumed_ = nullptr;
    Button* draw_ = nullptr;
    Button* chart_ = nullptr;
    Button* another_ = nullptr;
    QBoxLayout* ways_on_ = nullptr;
};

}  // namespace sartorum::desk
