#include "desk/plan/beside/pieces_view.h"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

#include "core/alter/kit/opening.h"
#include "desk/plan/beside/piece_dialogs.h"
#include "desk/shared/when_shown.h"
#include "words/pieces.h"

namespace sartorum::desk {

PiecesView::PiecesView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setAccessibleName(tr("Pieces"));
    inside_ = scrolled(this);
    column_ = new QVBoxLayout{inside_};
    column_->setContentsMargins(18, 12, 18, 12);
    column_->setSpacing(4);
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

void PiecesView::refresh()
{
    // What was pressed is one of these: it goes when its press is over.
    for (auto* w : inside_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly)) {
        w->hide();
        w->setObjectName({});
        w->deleteLater();
    }
    const QObjectList gone = inside_->children();
    while (auto* item = column_->takeAt(0)) delete item;
    if (!room_.computed()) return;
    column_->addWidget(heading(look_, tr("What it is made of"), 18, inside_));
    add_opening();
    for (const auto& p : room_.computed()->altered.pieces) {
        if (may_be_left_out(p)) add_piece(p);
    }
    for (const auto& id : room_.plan().make_up.left_out) add_left_out(id);
    auto* acts = new QHBoxLayout;
    acts->setContentsMargins(0, 10, 0, 0);
    const auto button = [&](const QString& text, const char* object, auto open) {
        auto* b = new Button{look_, text, ButtonKind::Plain, inside_};
        b->setObjectName(object);
        connect(b, &Button::clicked, this, open);
        acts->addWidget(b);
    };
    button(tr("Make a facing"), "make_facing", [this] { FacingDialog{look_, room_, this}.exec(); });
    button(tr("Bring in a piece"), "bring_piece", [this] { BringDialog{look_, room_, this}.exec(); });
    column_->addLayout(acts);
    column_->addStretch(1);
    for (auto* w : inside_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly)) {
        if (!gone.contains(w)) w->show();
    }
}

void PiecesView::add_row(const QString& name, const QString& said, const QString& act, const QString& object,
                         std::function<void()> done, bool faded)
{
    auto* row = new QHBoxLayout;
    row->setContentsMargins(0, 8, 0, 0);
    auto* title = heading(look_, name, 15.5, inside_);
    if (faded) title->setEnabled(false);
    row->addWidget(title, 1);
    auto* b = new Button{look_, act, ButtonKind::Small, inside_};
    b->setObjectName(object);
    b->setAccessibleName(act + ": " + name);
    connect(b, &Button::clicked, this, [done = std::move(done)] { done(); });
    row->addWidget(b, 0, Qt::AlignTop);
    column_->addLayout(row);
    auto* text = label(look_, said, 14, false, inside_);
    text->setWordWrap(true);
    column_->addWidget(text);
}

void PiecesView::add_piece(const Piece& p)
{
    const auto& made = room_.plan().make_up;
    const auto id = p.id;
    const bool own = taken_out(made, id) != made;
    const QString said = words::piece_use(p, room_.computed()->altered, look_.unit());
    const QString object = QString::fromStdString(id);
    if (own) {
        add_row(words::piece_name(p), said, tr("Take out"), "take_out_" + object,
                [this, id] { room_.make_up(taken_out(room_.plan().make_up, id), tr("a piece taken out")); });
        return;
    }
    add_row(words::piece_name(p), said, tr("Leave out"), "leave_out_" + object, [this, id] {
        MakeUp next = room_.plan().make_up;
        next.left_out.push_back(id);
        room_.make_up(next, tr("a piece left out"));
    });
}

void PiecesView::add_left_out(const std::string& id)
{
    const Piece* p = nullptr;
    for (const auto& s : room_.computed()->work.pattern->sizes) {
        if (!p) p = find_piece(s.pieces, id);
    }
    if (!p) return;
    add_row(
        words::piece_name(*p), tr("Left out: not traced, not printed."), tr("Put back"),
        "put_back_" + QString::fromStdString(id),
        [this, id] { room_.make_up(taken_out(room_.plan().make_up, id), tr("a piece put back")); }, true);
}

void PiecesView::add_opening()
{
    const bool moved = room_.plan().make_up.opening.has_value();
    const QString said = words::opening_use(room_.computed()->altered, look_.unit());
    add_row(tr("Opening"), moved ? said + " " + tr("Moved there.") : said, tr("Move it"), "move_opening", [this] {
        OpeningDialog{look_, room_, this}.exec();
    });
    if (!moved) return;
    auto* back = new Button{look_, tr("As the pattern has it"), ButtonKind::Small, inside_};
    back->setObjectName("opening_back");
    connect(back, &Button::clicked, this,
            [this] { room_.make_up(without_opening(room_.plan().make_up), tr("the opening as bought")); });
    column_->addWidget(back, 0, Qt::AlignLeft);
}

}  // namespace sartorum::desk
