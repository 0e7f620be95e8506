#include "desk/mirror/notes_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/mirror/toile_figure.h"
#include "words/mirror.h"

namespace sartorum::desk {
namespace {

// In the order in which they are offered.
constexpr std::array again_order{Since::Gone, Since::Less, Since::Same, Since::More};

QString detail_of(const MirrorState& s, int i)
{
    return s.waits(i) ? NotesList::tr("seen last time: is it still there?")
                      : words::note_detail(s.notes()[static_cast<std::size_t>(i)]);
}

}  // namespace

NotesList::NotesList(Look& look, MirrorState& state, QWidget* parent) : QWidget{parent}, look_{look}, state_{state}
{
    setFocusPolicy(Qt::StrongFocus);
    setObjectName("notes_list");
    setAccessibleName(tr("What is seen"));
    connect(&state, &MirrorState::changed, this, &NotesList::fit);
    connect(&look, &Look::changed, this, &NotesList::fit);
    fit();
}

// Each as tall as its words: nothing is cut off.
void NotesList::fit()
{
    const double k = look_.scale();
    const QFontMetricsF name{look_.lato(14, QFont::DemiBold)};
    const QFontMetricsF detail{look_.lato(13)};
    const double room = width() - 54.0;
    const auto tall = [&](const QFontMetricsF& m, const QString& text) {
        return m.boundingRect(QRectF{0, 0, room, 1000}, Qt::TextWordWrap, text).height();
    };
    rows_.clear();
    double y = 2;
    QStringList spoken;
    for (int i = 0; i < static_cast<int>(state_.notes().size()); ++i) {
        const Note& n = state_.notes()[static_cast<std::size_t>(i)];
        const double h = std::max(
            44 * k, tall(name, words::sight_name(n.seen.sight)) + tall(detail, detail_of(state_, i)) + 9 * k);
        rows_.emplace_back(2.0, y, width() - 4.0, h);
        y += h + 2;
        spoken << words::note_sentence(n, i + 1, state_.waits(i));
    }
    setMinimumHeight(static_cast<int>(std::max(y, 40 * k)));
    setAccessibleDescription(spoken.join("; "));
    update();
}

void NotesList::resizeEvent(QResizeEvent*)
{
    fit();
}

QRectF NotesList::row(int note) const
{
    return rows_[static_cast<std::size_t>(note)];
}

void NotesList::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const int n = static_cast<int>(state_.notes().size());
    for (int i = 0; i < n; ++i) {
        const Note& note = state_.notes()[static_cast<std::size_t>(i)];
        const QRectF r = row(i);
        const bool chosen = i == state_.chosen();
        if (chosen) p.fillRect(r, d.woad_wash);
        p.setPen(d.rule);
        if (i > 0) p.drawLine(r.topLeft(), r.topRight());
        const bool waits = state_.waits(i);
        draw_note_mark(p, look_, {r.left() + 20, r.center().y()}, note_mark(state_, i), QString::number(i + 1),
                       false);
        const double left = r.left() + 42;
        const double room = r.width() - 50;
        const QString name = words::sight_name(note.seen.sight);
        p.setPen(note.here() ? d.ink : d.faded);
        p.setFont(look_.lato(14, QFont::DemiBold));
        QRectF written;
        p.drawText(QRectF{left, r.top() + 3, room, r.height()}, Qt::TextWordWrap, name, &written);
        p.setPen(waits ? d.weld_ink : d.faded);
        p.setFont(look_.lato(13));
        p.drawText(QRectF{left, written.bottom() + 1, room, r.height()}, Qt::TextWordWrap, detail_of(state_, i));
    }
    if (n == 0) {
        p.setPen(d.faded);
        p.setFont(look_.lato(14));
        p.drawText(QRectF{rect()}.adjusted(6, 4, -6, -4), Qt::TextWordWrap, tr("Nothing is noted yet."));
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 4);
}

void NotesList::mousePressEvent(QMouseEvent* e)
{
    setFocus();
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        if (rows_[i].contains(e->position())) return state_.choose(static_cast<int>(i));
    }
}

void NotesList::keyPressEvent(QKeyEvent* e)
{
    const int last = static_cast<int>(state_.notes().size()) - 1;
    switch (e->key()) {
        case Qt::Key_Down: state_.choose(std::min(last, state_.chosen() + 1)); break;
        case Qt::Key_Up: state_.choose(std::max(0, state_.chosen() - 1)); break;
        case Qt::Key_Delete: emit forget_wanted(); break;
        default: QWidget::keyPressEvent(e);
    }
}

NotesView::NotesView(Look& look, MirrorState& state, QWidget* parent) : QWidget{parent}, look_{look}, state_{state}
{
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    auto* head = new QHBoxLayout;
    tally_ = caption(look, {}, this);
    tally_->setObjectName("notes_tally");
    head->addWidget(tally_, 1);
    auto* add = new Button{look, tr("Add a note"), ButtonKind::Small, this};
    add->setObjectName("add_note");
    connect(add, &Button::clicked, this, &NotesView::add_wanted);
    head->addWidget(add);
    column->addLayout(head);
    nothing_ = new Button{look, {}, ButtonKind::Small, this};
    nothing_->setObjectName("nothing_to_see");
    column->addWidget(nothing_, 0, Qt::AlignLeft);
    connect(nothing_, &Button::clicked, this, [this] {
        TryOn next = state_.entry();
        next.nothing_to_see = !next.nothing_to_see;
        state_.keep(next, tr("nothing to see"));
    });
    scroll_ = new QScrollArea{this};
    scroll_->setWidgetResizable(true);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_ = new NotesList{look, state};
    scroll_->setWidget(list_);
    column->addWidget(scroll_, 1);
    connect(list_, &NotesList::forget_wanted, this, [this] { state_.forget(state_.chosen()); });

    more_ = new QWidget{this};
    auto* rows = new QVBoxLayout{more_};
    rows->setContentsMargins(0, 4, 0, 0);
    rows->setSpacing(4);
    again_said_ = label(look, tr("Since the toile before it is"), 14, true, more_);
    rows->addWidget(again_said_);
    QStringList since;
    for (const auto s : again_order) since << words::since_name(s);
    again_ = new Choices{look, since, tr("Since the toile before"), more_};
    again_->setObjectName("note_again");
    again_->wrap();
    rows->addWidget(again_);
    told_ = new QWidget{more_};
    auto* told = new QVBoxLayout{told_};
    told->setContentsMargins(0, 0, 0, 0);
    told->setSpacing(4);
    strength_ = new Choices{look, {tr("slight"), tr("clear")}, tr("How clearly it is seen"), told_};
    strength_->setObjectName("note_strength");
    side_ = new Choices{look, {tr("both"), tr("left"), tr("right")}, tr("On which side"), told_};
    side_->setObjectName("note_side");
    QStringList moments;
    for (std::size_t i = 0; i < moment_count; ++i) moments << words::moment_name(static_cast<Moment>(i));
    moment_ = new Choices{look, moments, tr("When it is seen"), told_};
    moment_->setObjectName("note_moment");
    for (auto* c : {strength_, side_, moment_}) c->wrap();
    auto* first = new QHBoxLayout;
    first->addWidget(strength_);
    first->addWidget(side_);
    first->addStretch();
    told->addLayout(first);
    told->addWidget(moment_);
    rows->addWidget(told_);
    auto* last = new QHBoxLayout;
    words_ = new QLineEdit{more_};
    words_->setObjectName("note_words");
    words_->setAccessibleName(tr("In your own words"));
    words_->setPlaceholderText(tr("in your own words"));
    words_->setMaxLength(200);
    forget_ = new Button{look, tr("Take it away"), ButtonKind::Small, more_};
    forget_->setObjectName("forget_note");
    last->addWidget(words_, 1);
    last->addWidget(forget_);
    rows->addLayout(last);
    column->addWidget(more_);
    connect(again_, &Choices::picked, this,
            [this](int i) { state_.ask_again(state_.chosen(), again_order[static_cast<std::size_t>(i)]); });
    connect(strength_, &Choices::picked, this, [this](int i) {
        change([i](Note& n) { n.seen.strength = i == 0 ? Strength::Slight : Strength::Clear; });
    });
    connect(side_, &Choices::picked, this, [this](int i) {
        change([i](Note& n) {
            n.seen.side = i == 0 ? std::optional<Side>{} : std::optional{i == 1 ? Side::Left : Side::Right};
        });
    });
    connect(moment_, &Choices::picked, this,
            [this](int i) { change([i](Note& n) { n.moment = static_cast<Moment>(i); }); });
    connect(words_, &QLineEdit::editingFinished, this, [this] {
        const auto said = words_->text().trimmed().toStdString();
        change([&](Note& n) { n.words = said; });
    });
    connect(forget_, &Button::clicked, this, [this] { state_.forget(state_.chosen()); });
    connect(&state, &MirrorState::changed, this, [this] { refresh(); });
    connect(&look, &Look::changed, this, [this] { refresh(); });
    refresh();
}

void NotesView::change(const std::function<void(Note&)>& how)
{
    const int i = state_.chosen();
    if (i < 0 || state_.waits(i)) return;
    Note n = state_.notes()[static_cast<std::size_t>(i)];
    const Note was = n;
    how(n);
    if (!(n == was)) state_.change(i, n);
}

void NotesView::refresh()
{
    const auto t = tally(state_.entry());
    const auto waits = state_.notes().size() - state_.entry().notes.size();
    QStringList said;
    if (t.fresh > 0) said << tr("%1 new").arg(t.fresh);
    if (t.same + t.less > 0) said << tr("%1 still there").arg(t.same + t.less);
    if (t.gone > 0) said << tr("%1 gone").arg(t.gone);
    if (waits > 0) said << tr("%1 to ask again").arg(waits);
    const bool bare = state_.here() && state_.entry().notes.empty();
    if (bare && state_.entry().nothing_to_see) said = {tr("Looked at: nothing to see.")};
    nothing_->setVisible(bare);
    nothing_->setText(state_.entry().nothing_to_see ? tr("Not looked at yet") : tr("Nothing to see"));
    tally_->setText(said.join(", "));
    const int i = state_.chosen();
    const bool some = i >= 0 && i < static_cast<int>(state_.notes().size());
    more_->setVisible(some);
    if (!some) return;
    const Note& n = state_.notes()[static_cast<std::size_t>(i)];
    const bool waiting = state_.waits(i);
    const bool again = state_.before() && (waiting || n.since != Since::New);
    again_->setVisible(again);
    again_said_->setVisible(again);
    // Of one that waits nothing is said yet: no word is chosen.
    const auto which = std::find(again_order.begin(), again_order.end(), n.since) - again_order.begin();
    again_->choose(waiting ? -1 : static_cast<int>(which));
    told_->setVisible(!waiting && n.here());
    words_->setVisible(!waiting);
    forget_->setVisible(!waiting);
    strength_->choose(n.seen.strength == Strength::Slight ? 0 : 1);
    side_->setVisible(facts(n.seen.sight).sided);
    side_->choose(!n.seen.side ? 0 : *n.seen.side == Side::Left ? 1 : 2);
    moment_->choose(static_cast<int>(n.moment));
    if (!words_->hasFocus()) words_->setText(QString::fromStdString(n.words));
    list_->fit();
    const QRectF row = list_->row(i);
    scroll_->ensureVisible(0, static_cast<int>(row.center().y()), 0, static_cast<int>(row.height()));
}

}  // namespace sartorum::desk
