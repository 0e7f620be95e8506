// notes_view.h: what is seen on a toile, note by note; those of the toile before are asked again; the chosen one
// can be told more of.
#pragma once
#include "desk/mirror/mirror_state.h"
#include "desk/shared/parts.h"

class QScrollArea;
class QVBoxLayout;

namespace sartorum::desk {

// The list itself: one row a note, its mark, what it is, what is said of it.
class NotesList : public QWidget {
    Q_OBJECT
public:
    NotesList(Look&, MirrorState&, QWidget* parent = nullptr);
    [[nodiscard]] QRectF row(int note) const;
    void fit();

signals:
    void forget_wanted();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    std::vector<QRectF> rows_;
    Look& look_;
    MirrorState& state_;
};

class NotesView : public QWidget {
    Q_OBJECT
public:
    NotesView(Look&, MirrorState&, QWidget* parent = nullptr);
    [[nodiscard]] NotesList& list() { return *list_; }

signals:
    void add_wanted();

private:
    void refresh();
    void change(const std::function<void(Note&)>&);
    Look& look_;
    MirrorState& state_;
    NotesList* list_;
    QScrollArea* scroll_;
    QLabel* tally_;
    Button* nothing_;  // to see: said of a toile without notes
    QWidget* more_;
    Choices* again_;
    QLabel* again_said_;
    Choices* strength_;
    Choices* side_;
    Choices* moment_;
    QLineEdit* words_;
    Button* forget_;
    QWidget* told_;  // what can be said of one that is here
};

}  // namespace sartorum::desk
