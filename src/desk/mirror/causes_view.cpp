#include "desk/mirror/causes_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/mirror/toile_figure.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int most_causes = 4;
constexpr double swatch = 18;

std::optional<Cause> cause_of(const ToldCause& t)
{
    return t.ranked.cause ? std::optional{t.ranked.cause->cause} : std::nullopt;
}

QString amount_text(const ToldCause& t, Unit u)
{
    if (!t.ranked.cause || t.put.not_put != NotPut::No) return {};
    return words::number(t.put.after - t.put.before, u, true);
}

QString spoken(const ToldCause& t, Unit u)
{
    QStringList notes;
    for (const int n : t.notes) notes << QString::number(n + 1);
    QString out = CausesList::tr("%1, %2").arg(words::cause_name(cause_of(t)),
                                               words::likely_word(likely(t.ranked.probability)));
    if (!notes.isEmpty()) out += CausesList::tr(", explains %1").arg(notes.join(", "));
    const QString by = amount_text(t, u);
    return by.isEmpty() ? out : out + ", " + by;
}

}  // namespace

CausesList::CausesList(Look& look, MirrorState& state, QWidget* parent)
    : QWidget{parent}, look_{look}, state_{state}
{
    setFocusPolicy(Qt::StrongFocus);
    setObjectName("causes_list");
    setAccessibleName(tr("What it could be"));
    const auto fit = [this] {
        setFixedHeight(std::max(1, shown()) * row_height() + 4);
        QStringList all;
        for (int i = 0; i < shown(); ++i)
            all << spoken(state_.causes()[static_cast<std::size_t>(i)], look_.unit());
        setAccessibleDescription(all.join("; "));
        update();
    };
    connect(&state, &MirrorState::changed, this, fit);
    connect(&look, &Look::changed, this, fit);
    fit();
}

int CausesList::shown() const
{
    return std::min(most_causes, static_cast<int>(state_.causes().size()));
}

int CausesList::row_height() const
{
    return static_cast<int>(48 * look_.scale());
}

QRectF CausesList::row(int cause) const
{
    return {2.0, 2.0 + cause * row_height(), width() - 4.0, row_height() - 2.0};
}

void CausesList::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const double k = look_.scale();
    for (int i = 0; i < shown(); ++i) {
        const auto& t = state_.causes()[static_cast<std::size_t>(i)];
        const QRectF r = row(i);
        const bool chosen = i == state_.cause();
        if (chosen) p.fillRect(r, d.woad_wash);
        p.setPen(d.rule);
        if (i > 0) p.drawLine(r.topLeft(), r.topRight());
        const QString by = amount_text(t, look_.unit());
        double room = r.width() - 16;
        if (!by.isEmpty()) {
            const Length change = t.put.after - t.put.before;
            const double w = number_width(look_, change, look_.unit(), 20, QFont::Medium, true);
            p.setPen(chosen ? d.woad : d.ink);
            draw_number(p, look_, {r.right() - 8 - w, r.top() + 23 * k}, change, look_.unit(), 20, QFont::Medium,
                        true);
            room -= w + 12;
        }
        const QString name = words::cause_name(cause_of(t));
        p.setPen(d.ink);
        p.setFont(fitting(look_.lato(14, QFont::DemiBold), name, room, 0.9));
        p.drawText(QRectF{r.left() + 8, r.top() + 4, room, 20 * k}, Qt::AlignVCenter,
                   p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(room)));
        double x = r.left() + 8;
        const double y = r.bottom() - 14 * k;
        const double s = swatch * std::min(1.25, k);
        constexpr std::size_t most_swatches = 6;
        for (std::size_t n = 0; n < std::min(most_swatches, t.notes.size()); ++n) {
            p.setPen(Qt::NoPen);
            p.setBrush(d.ink);
            p.drawPolygon(pinked({x, y - s / 2, s, s}, 3.6));
            p.setPen(d.sheet);
            p.setFont(look_.lato(12.5, QFont::Bold));
            p.drawText(QRectF{x, y - s / 2, s, s}, Qt::AlignCenter, QString::number(t.notes[n] + 1));
            x += s + 3;
        }
        const QString word = t.taken   ? tr("in the plan")
                             : t.waits ? tr("on the next toile")
                                       : words::likely_word(likely(t.ranked.probability));
        p.setFont(look_.lato(13));
        const double word_room = p.fontMetrics().horizontalAdvance(word) + 10;
        const double bar = std::clamp(r.right() - 8 - word_room - x - 10, 24.0, 96.0);
        const QRectF b{x + 6, y - 5, bar, 10};
        p.setPen(QPen{d.edge, 1});
        p.setBrush(d.sheet);
        p.drawRect(b);
        p.fillRect(QRectF{b.left() + 1, b.top() + 1, (b.width() - 1) * t.ranked.probability, b.height() - 1},
                   d.woad);
        p.setPen(t.taken ? d.lichen_ink : d.faded);
        p.drawText(QPointF{b.right() + 8, y + 5 * k}, word);
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 4);
}

void CausesList::mousePressEvent(QMouseEvent* e)
{
    setFocus();
    const int i = static_cast<int>((e->position().y() - 2) / row_height());
    if (i >= 0 && i < shown()) state_.choose_cause(i);
}

void CausesList::keyPressEvent(QKeyEvent* e)
{
    switch (e->key()) {
        case Qt::Key_Down: state_.choose_cause(std::min(shown() - 1, state_.cause() + 1)); break;
        case Qt::Key_Up: state_.choose_cause(state_.cause() - 1); break;
        case Qt::Key_Return:
        case Qt::Key_Enter: emit take_wanted(); break;
        default: QWidget::keyPressEvent(e);
    }
}

CausesView::CausesView(Look& look, MirrorState& state, QWidget* parent)
    : QWidget{parent}, look_{look}, state_{state}
{
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(heading(look, tr("What it could be"), 18, this));
    nothing_ = label(look, {}, 14, false, this);
    nothing_->setWordWrap(true);
    nothing_->setObjectName("causes_nothing");
    column->addWidget(nothing_);
    list_ = new CausesList{look, state, this};
    column->addWidget(list_);
    connect(list_, &CausesList::take_wanted, this, [this] { take(); });
    build_take(column);
    build_test(column);
    column->addStretch();
    connect(&state, &MirrorState::changed, this, [this] { refresh(); });
    connect(&look, &Look::changed, this, [this] { refresh(); });
    refresh();
}

void CausesView::build_test(QVBoxLayout* column)
{
    test_ = new QWidget{this};
    auto* rows = new QVBoxLayout{test_};
    rows->setContentsMargins(0, 4, 0, 0);
    rows->setSpacing(4);
    rows->addWidget(heading(look_, tr("One telling test next"), 16, test_));
    test_text_ = label(look_, {}, 14, false, test_);
    test_text_->setWordWrap(true);
    test_text_->setObjectName("test_text");
    rows->addWidget(test_text_);
    auto* pinch = new QHBoxLayout;
    pinch_name_ = label(look_, tr("Taken out, in all"), 14, true, test_);
    pinch_ = new LengthField{look_, tr("Total taken out: twice the depth of the pinched fold"), test_};
    pinch_->edit().setObjectName("pinched");
    pinch_->edit().setFixedWidth(110);
    pinch_->check = [](Length l) -> std::optional<Refusal> {
        if (l >= Length{} && l <= found_most) return std::nullopt;
        return Refusal{Why::OutOfRange, "pinched", l, {}, found_most, 0};
    };
    pinch->addWidget(pinch_name_);
    pinch->addStretch();
    pinch->addWidget(pinch_);
    rows->addLayout(pinch);
    fold_ = new FoldPicture{look_, FoldAsked::Whole, test_};
    rows->addWidget(fold_, 0, Qt::AlignRight);
    const auto outcome = [&](Button*& button, QLabel*& meaning, const QString& text, const char* object,
                             bool yes) {
        auto* row = new QHBoxLayout;
        button = new Button{look_, text, ButtonKind::Small, test_};
        button->setObjectName(object);
        meaning = label(look_, {}, 14, false, test_);
        meaning->setWordWrap(true);
        row->addWidget(button, 0, Qt::AlignTop);
        row->addWidget(meaning, 1);
        rows->addLayout(row);
        connect(button, &Button::clicked, this, [this, yes] { answer(yes); });
    };
    outcome(yes_, if_yes_, tr("Yes"), "test_yes", true);
    outcome(no_, if_no_, tr("No"), "test_no", false);
    care_ = caption(look_, words::care_on_a_body(), test_);
    care_->setWordWrap(true);
    rows->addWidget(care_);
    column->addWidget(test_);
    auto* done = new QHBoxLayout;
    done_ = caption(look_, {}, this);
    done_->setWordWrap(true);
    done_->setObjectName("tests_done");
    back_ = new Button{look_, tr("Take it back"), ButtonKind::Small, this};
    back_->setObjectName("test_back");
    done->addWidget(done_, 1);
    done->addWidget(back_, 0, Qt::AlignTop);
    column->addLayout(done);
    connect(back_, &Button::clicked, this, [this] {
        if (!state_.entry().answers.empty()) state_.take_back_test(state_.entry().answers.back().test);
    });
}

void CausesView::build_take(QVBoxLayout* column)
{
    taking_ = new QWidget{this};
    auto* rows = new QVBoxLayout{taking_};
    rows->setContentsMargins(0, 2, 0, 0);
    rows->setSpacing(4);
    take_text_ = label(look_, {}, 14, false, taking_);
    take_text_->setWordWrap(true);
    take_text_->setObjectName("cause_means");
    rows->addWidget(take_text_);
    auto* row = new QHBoxLayout;
    take_ = new Button{look_, tr("Into the plan"), ButtonKind::Primary, taking_};
    take_->setObjectName("cause_into_plan");
    to_plan_ = new Button{look_, tr("To Plan"), ButtonKind::Plain, taking_};
    row->addWidget(take_);
    row->addWidget(to_plan_);
    row->addStretch();
    rows->addLayout(row);
    said_ = label(look_, {}, 14, true, taking_);
    said_->setWordWrap(true);
    said_->setObjectName("cause_said");
    rows->addWidget(said_);
    column->addWidget(taking_);
    connect(take_, &Button::clicked, this, [this] { take(); });
    connect(to_plan_, &Button::clicked, this, &CausesView::plan_wanted);
}

void CausesView::take_test()
{
    if (test_->isVisible()) (pinch_->isVisible() ? static_cast<QWidget*>(&pinch_->edit()) : yes_)->setFocus();
}

void CausesView::answer(bool yes)
{
    if (!state_.next()) return;
    const auto& row = facts(state_.next()->test);
    Answered a{state_.next()->test, yes, {}};
    if (yes && row.pinch_share > 0) {
        const bool typed = !pinch_->edit().text().trimmed().isEmpty();
        a.pinched = pinch_->value();
        if (typed && !a.pinched) return pinch_->edit().setFocus();  // it says why under the field
    }
    pinch_->show_value({});
    state_.answer_test(a);
}

void CausesView::take()
{
    const auto i = static_cast<std::size_t>(state_.cause());
    if (i >= state_.causes().size()) return;
    const auto& t = state_.causes()[i];
    if (!t.ranked.cause || t.put.not_put != NotPut::No || t.waits || !state_.is_newest()) return;
    const QString name = words::adjustment_name(t.put.decision.kind);
    const auto refused = state_.put_in_plan(t.put.decision, look_.unit());
    last_said_ = refused ? *refused : tr("%1 is in the plan, as seen on this toile.").arg(name);
    refresh();
}

void CausesView::refresh()
{
    const bool some = !state_.causes().empty();
    nothing_->setVisible(!some);
    nothing_->setText(
        state_.notes().empty()
            ? tr("Put what you see on the figure, one note for each thing. What it may come from is worked "
                 "out then.")
            : tr("Nothing that is still there asks for a change."));
    list_->setVisible(some);
    refresh_take();
    refresh_test();
}

void CausesView::refresh_take()
{
    const auto i = static_cast<std::size_t>(state_.cause());
    const bool some = i < state_.causes().size();
    taking_->setVisible(some);
    if (!some) return;
    const auto& t = state_.causes()[i];
    QString text;
    if (!t.ranked.cause) {
        text = tr("Something that is not in this list: look again, from further off.");
    } else if (t.put.not_put != NotPut::No) {
        text = words::not_put(t.put.not_put);
    } else {
        const auto& kind = t.put.decision.kind;
        const QString from = t.put.from == AmountFrom::Pinch  ? tr("as it was pinched")
                             : t.put.from == AmountFrom::Body ? tr("by which the body differs")
                                                              : tr("a first step");
        text = t.put.before == Length{}
                   ? tr("%1 %2, %3.")
                         .arg(words::adjustment_name(kind), words::amount(t.put.after, look_.unit(), true), from)
                   : tr("%1 from %2 to %3, %4.")
                         .arg(words::adjustment_name(kind), words::number(t.put.before, look_.unit(), true),
                              words::amount(t.put.after, look_.unit(), true), from);
        if (t.put.side) text += " " + tr("On the %1 alone.").arg(words::side_name(*t.put.side));
        if (t.waits)
            text = tr("What was taken from this toile already may be all of it. Look again on the next one.");
    }
    take_text_->setText(text);
    const bool can = t.ranked.cause && t.put.not_put == NotPut::No && !t.waits && state_.is_newest();
    take_->setVisible(can);
    said_->setText(last_said_);
    said_->setVisible(!last_said_.isEmpty());
    to_plan_->setVisible(!last_said_.isEmpty());
    last_said_.clear();
}

void CausesView::refresh_test()
{
    const auto& next = state_.next();
    test_->setVisible(next && state_.is_newest());
    if (next) {
        test_text_->setText(words::small_test(next->test));
        const bool pinch = facts(next->test).pinch_share > 0;
        pinch_->setVisible(pinch);
        pinch_name_->setVisible(pinch);
        fold_->setVisible(pinch);
        const auto then = [](const std::optional<Cause>& c) { return tr("then: %1").arg(words::cause_name(c)); };
        const bool alike = next->if_yes == next->if_no;
        if_yes_->setText(alike ? tr("then surely: %1").arg(words::cause_name(next->if_yes)) : then(next->if_yes));
        if_no_->setText(alike ? tr("then less surely") : then(next->if_no));
        yes_->setAccessibleDescription(if_yes_->text());
        no_->setAccessibleDescription(if_no_->text());
    }
    const auto& done = state_.entry().answers;
    done_->setVisible(!done.empty());
    back_->setVisible(!done.empty() && state_.is_newest());
    if (!done.empty()) {
        const auto& last = done.back();
        const QString pinched =
            last.pinched ? tr(", %1").arg(words::amount(*last.pinched, look_.unit())) : QString{};
        done_->setText(tr("%1 %2%3").arg(words::small_test(last.test), last.yes ? tr("Yes") : tr("No"), pinched));
    }
}

}  // namespace sartorum::desk
