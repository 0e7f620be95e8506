#include "desk/paper/step_list.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainterPath>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desk/shared/when_shown.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// The operation's small mark: pencil, scissors, arrows apart, a fold, a curve, a trued line.
void draw_mark(QPainter& p, QPointF c, words::HandMark mark, const QColor& colour)
{
    p.save();
    p.translate(c);
    p.setPen(QPen{colour, 1.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
    p.setBrush(Qt::NoBrush);
    QPainterPath path;
    switch (mark) {
        case words::HandMark::Draw:
            p.drawPolygon(QPolygonF{{{-7, 7}, {-5, 2}, {4, -7}, {7, -4}, {-2, 5}}});
            p.drawLine(QPointF(1, -4), QPointF(4, -1));
            break;
        case words::HandMark::Cut:
        case words::HandMark::Trim:
            p.drawLine(QPointF(-6, -7), QPointF(4, 4));
            p.drawLine(QPointF(6, -7), QPointF(-4, 4));
            p.drawEllipse(QPointF(5.5, 6), 2.2, 2.2);
            p.drawEllipse(QPointF(-5.5, 6), 2.2, 2.2);
            break;
        case words::HandMark::Spread:
            for (const double s : {-1.0, 1.0}) {
                p.drawLine(QPointF(-7, 2.4 * s), QPointF(7, 2.4 * s));
                p.drawLine(QPointF(0, 3 * s), QPointF(0, 8.5 * s));
                p.drawLine(QPointF(0, 8.5 * s), QPointF(2.4, 6 * s));
                p.drawLine(QPointF(0, 8.5 * s), QPointF(-2.4, 6 * s));
            }
            break;
        case words::HandMark::Overlap:
            p.drawLine(QPointF(-7, -3), QPointF(7, -3));
            p.drawLine(QPointF(-7, 3), QPointF(7, 3));
            for (int i = -6; i < 6; i += 4) p.drawLine(QPointF(i, 3), QPointF(i + 5, -3));
            break;
        case words::HandMark::Redraw:
        case words::HandMark::True:
            path.moveTo(-6, -7);
            path.cubicTo({4, -5}, {6, 0}, {6, 7});
            p.drawPath(path);
            if (mark == words::HandMark::True) p.drawPolyline(QPolygonF{{{-7, 2}, {-4, 5.5}, {1, -1}}});
            break;
    }
    p.restore();
}

}  // namespace

// All steps as lines; the current one opens with how it is done.
class StepRows : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(StepRows)
public:
    StepRows(Look& look, Room& room, StepList& list) : look_{look}, room_{room}, list_{list} {}

    [[nodiscard]] QRect row(int i) const
    {
        const auto at = static_cast<std::size_t>(i);
        if (at + 1 >= tops_.size()) return {};
        return {0, tops_[at], width(), tops_[at + 1] - tops_[at]};
    }
    void resize_rows()
    {
        tops_.assign(1, 0);
        const std::size_t n = room_.computed() ? room_.steps().size() : 0;
        for (std::size_t i = 0; i < n; ++i) tops_.push_back(tops_.back() + height_of(i));
        setFixedHeight(std::max(1, tops_.back()));
        update();
    }

protected:
    void resizeEvent(QResizeEvent*) override { resize_rows(); }
    void paintEvent(QPaintEvent* e) override
    {
        if (!room_.computed()) return;
        const auto& d = look_.dyes();
        const auto& steps = room_.steps();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const int here = room_.step();
        for (int i = 0; i < static_cast<int>(steps.size()); ++i) {
            const QRect r = row(i);
            if (!r.intersects(e->rect())) continue;
            const Step& s = *steps[std::size_t(i)].step;
            const double base = r.top() + 22 * look_.scale();
            if (i == here) p.fillRect(r, d.woad_wash);
            const QPointF knot{22, base - 5};
            draw_thread(p, look_, {22, double(r.top())}, {22, double(r.bottom() + 1)}, i < here);
            draw_knot(p, look_, knot, i < here ? Knot::Done : i == here ? Knot::Here : Knot::Later);
            draw_mark(p, {50, base - 5}, words::hand_mark(s.kind), i == here ? d.woad : d.faded);
            p.setPen(i == here ? d.ink : d.faded);
            p.setFont(look_.lato(14, i == here ? QFont::DemiBold : QFont::Normal));
            const QString title = title_of(static_cast<std::size_t>(i));
            if (i != here) {
                const double top = base - p.fontMetrics().ascent();
                p.drawText(QRectF{text_left, top, double(text_width()), r.bottom() - top}, Qt::TextWordWrap,
                           title);
                continue;
            }
            const int title_height = wrapped(look_.lato(14, QFont::DemiBold), title);
            double y = base - p.fontMetrics().ascent();
            p.drawText(QRectF{text_left, y, double(text_width()), double(title_height)}, Qt::TextWordWrap, title);
            y += title_height + 2 * look_.scale();
            const Piece* piece = find_piece(room_.computed()->bought.pieces, s.piece);
            p.setPen(d.woad);
            p.setFont(look_.lato(13, QFont::DemiBold));
            p.drawText(QPointF{text_left, y + p.fontMetrics().ascent()},
                       words::of_side(piece ? words::piece_name(*piece) : QString{}, steps[std::size_t(i)].side));
            y += p.fontMetrics().height() + 2 * look_.scale();
            p.setPen(d.ink);
            p.setFont(look_.lato(14));
            const QString detail = words::step_detail(s, look_.unit());
            p.drawText(QRectF{text_left, y, double(text_width()), double(wrapped(p.font(), detail))},
                       Qt::TextWordWrap, detail);
        }
    }
    void mousePressEvent(QMouseEvent* e) override
    {
        const int n = room_.computed() ? static_cast<int>(room_.steps().size()) : 0;
        for (int i = 0; i < n; ++i) {
            if (row(i).contains(e->pos())) emit list_.picked(i);
        }
    }

private:
    static constexpr double text_left = 72;
    [[nodiscard]] int text_width() const { return width() - 84; }
    [[nodiscard]] int wrapped(const QFont& font, const QString& text) const
    {
        return QFontMetrics{font}.boundingRect(QRect{0, 0, text_width(), 10'000}, Qt::TextWordWrap, text).height();
    }
    // One side's own begin with it.
    [[nodiscard]] QString title_of(std::size_t i) const
    {
        const auto& told = room_.steps()[i];
        const QString title = words::step_title(*told.step, look_.unit());
        if (!told.side) return title;
        return (*told.side == Side::Right ? tr("Right: %1") : tr("Left: %1")).arg(title);
    }
    // A row holds all of its words; the open one is never so low that the others jump.
    [[nodiscard]] int height_of(std::size_t i) const
    {
        const auto least = [&](int high) { return static_cast<int>(high * look_.scale()); };
        const Step& s = *room_.steps()[i].step;
        const QString title = title_of(i);
        if (static_cast<int>(i) != room_.step()) {
            // Nothing is laid out for what is short enough at a glance.
            constexpr double wide = 9;
            if (static_cast<double>(title.size()) * wide * look_.scale() < text_width()) return least(32);
            return std::max(least(32), least(13) + wrapped(look_.lato(14), title));
        }
        const int words = wrapped(look_.lato(14, QFont::DemiBold), title) +
                          QFontMetrics{look_.lato(13, QFont::DemiBold)}.height() +
                          wrapped(look_.lato(14), words::step_detail(s, look_.unit()));
        return std::max(least(136), least(20) + words);
    }
    std::vector<int> tops_;  // of each row, and where the last ends
    Look& look_;
    Room& room_;
    StepList& list_;
};

StepList::StepList(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    const auto widen = [this, &look] {
        setFixedWidth(static_cast<int>(338 * std::clamp(look.scale(), 1.0, 1.3)));
    };
    widen();
    connect(&look, &Look::changed, this, widen);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(14, 12, 10, 8);
    column->setSpacing(6);
    title_ = heading(look, {}, 19, this);
    column->addWidget(title_);
    rows_ = new StepRows{look, room, *this};
    scroll_ = new QScrollArea{this};
    scroll_->setWidget(rows_);
    scroll_->setWidgetResizable(true);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    column->addWidget(scroll_, 1);
    check_ = label(look, {}, 14, false, this);
    column->addWidget(check_);
    auto* buttons = new QVBoxLayout;
    buttons->setSpacing(2);
    done_ = new Button{look, tr("Done"), ButtonKind::Primary, this};
    done_->setObjectName("done_on_paper");
    back_ = new Button{look, tr("Back"), ButtonKind::Plain, this};
    back_->setObjectName("step_back");
    play_ = new Button{look, tr("Play"), ButtonKind::Plain, this};
    play_->setObjectName("play_step");
    play_->setAccessibleName(tr("Play the step as a short movement"));
    auto* other = new Button{look, tr("Amount"), ButtonKind::Plain, this};
    other->setObjectName("other_amount");
    other->setAccessibleName(tr("Another amount, in Plan"));
    // In one row while they fit, else two and two.
    auto* first = new QHBoxLayout;
    auto* second = new QHBoxLayout;
    for (auto* row : {first, second}) row->setSpacing(2);
    buttons->addLayout(first);
    buttons->addLayout(second);
    column->addLayout(buttons);
    first->addWidget(done_, 1);
    first->addWidget(back_);
    const auto share = [this, first, second, other] {
        auto* row = look_.scale() > roomy_text ? second : first;
        for (auto* b : {play_, other}) row->addWidget(b, row == second ? 1 : 0);
    };
    connect(&look, &Look::changed, this, share);
    share();
    connect(done_, &Button::clicked, this, [this] { emit picked(room_.step() + 1); });
    connect(back_, &Button::clicked, this, [this] { emit picked(room_.step() - 1); });
    connect(play_, &Button::clicked, this, &StepList::play_wanted);
    connect(other, &Button::clicked, this, &StepList::amount_wanted);
    auto* shown = refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    connect(&room, &Room::stepped, shown, &WhenShown::changed);
    refresh();
}

void StepList::refresh()
{
    if (!room_.computed()) return;
    const auto& steps = room_.steps();
    const int here = room_.step();
    const Step& step = *room_.step_here().step;
    title_->setText(tr("Step %1 of %2").arg(here + 1).arg(steps.size()));
    rows_->resize_rows();
    const QString check = words::before_going_on(step);
    check_->setText(check.isEmpty() ? QString{} : tr("Before you go on: %1").arg(check));
    check_->setVisible(!check.isEmpty());
    const auto& d = look_.dyes();
    const QString dress = QString{"background:%1; color:%2; padding:8px 10px; border-radius:3px;"}.arg(
        d.lichen_wash.name(), d.lichen_ink.name());
    if (check_->styleSheet() != dress) check_->setStyleSheet(dress);
    done_->setEnabled(here + 1 < static_cast<int>(steps.size()));
    back_->setEnabled(here > 0);
    const auto& picture = step.picture;
    play_->setEnabled(!picture.motions.empty() || !picture.redrawn_from.empty());
    setAccessibleName(title_->text());
    setAccessibleDescription(words::of_side(words::step_title(step, look_.unit()), room_.step_here().side) + ". " +
                             words::step_detail(step, look_.unit()));
    const QRect r = rows_->row(here);
    scroll_->ensureVisible(0, r.top(), 0, 0);
    scroll_->ensureVisible(0, r.bottom() + 30, 0, 20);
}

}  // namespace sartorum::desk
