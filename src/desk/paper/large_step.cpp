#include "desk/paper/large_step.h"

#include <QKeyEvent>
#include <QPainter>
#include <algorithm>

#include "formats/work_card.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {
constexpr double largest = 46;
constexpr double smallest = 20;
constexpr double title_size = 1.3;  // times the text
constexpr double picture_scale = 2.6;
}  // namespace

LargeStep::LargeStep(Look& look, Room& room, QWidget* over) : QWidget{over}, look_{look}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_OpaquePaintEvent);
    setAccessibleName(tr("The step, large"));
    over->installEventFilter(this);
    connect(&room, &Room::stepped, this, &LargeStep::describe);
    connect(&room, &Room::changed, this, &LargeStep::describe);
    hide();
}

void LargeStep::open()
{
    if (!room_.computed()) return;
    setGeometry(parentWidget()->rect());
    describe();
    show();
    raise();
    setFocus();
}

LargeStep::Words LargeStep::words_here() const
{
    const auto& c = *room_.computed();
    const auto& told = room_.step_here();
    const Step& step = *told.step;
    const Piece* piece = find_piece(c.bought.pieces, step.piece);
    return {tr("%1, %2 of %3")
                .arg(words::of_side(piece ? words::piece_name(*piece) : QString{}, told.side))
                .arg(room_.step() + 1)
                .arg(room_.steps().size()),
            words::step_title(step, look_.unit()), words::step_detail(step, look_.unit())};
}

void LargeStep::describe()
{
    if (!room_.computed()) return hide();
    const auto w = words_here();
    setAccessibleDescription(w.place + ": " + w.title + ". " + w.detail);
    update();
}

QRectF LargeStep::text_room() const
{
    return {48, 40, width() * 0.52 - 60, height() - 120.0};
}

double LargeStep::needed(const Words& w, double px) const
{
    const QRectF room = text_room();
    const auto high = [&](const QFont& f, const QString& text) {
        return QFontMetricsF{f}.boundingRect(QRectF{0, 0, room.width(), 1e5}, Qt::TextWordWrap, text).height();
    };
    const double k = look_.scale();
    return high(look_.lato(px * 0.7 / k), w.place) +
           high(look_.lato(px * title_size / k, QFont::DemiBold), w.title) + high(look_.lato(px / k), w.detail) +
           px * 1.6;
}

double LargeStep::text_px() const
{
    const auto w = words_here();
    double px = largest;
    while (px > smallest && needed(w, px) > text_room().height()) px -= 1;
    return px;
}

void LargeStep::paintEvent(QPaintEvent*)
{
    if (!room_.computed()) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), d.linen);
    const auto w = words_here();
    const double px = text_px();
    const double k = look_.scale();
    QRectF room = text_room();
    const auto say = [&](const QFont& f, const QColor& ink, const QString& text) {
        p.setFont(f);
        p.setPen(ink);
        QRectF used;
        p.drawText(room, Qt::TextWordWrap, text, &used);
        room.setTop(used.bottom() + px * 0.6);
    };
    say(look_.lato(px * 0.7 / k), d.woad, w.place);
    say(look_.lato(px * title_size / k, QFont::DemiBold), d.ink, w.title);
    say(look_.lato(px / k), d.ink, w.detail);
    // The picture is printed in ink: on paper, in either theme.
    const QRectF box{width() * 0.54, 40, width() * 0.46 - 48, height() - 120.0};
    p.setPen(QPen{d.edge, 1});
    p.setBrush(Qt::white);
    p.drawRoundedRect(box, 6, 6);
    const auto& told = room_.step_here();
    const Step step = told.turned ? turned_over(*told.step) : *told.step;
    p.save();
    p.scale(picture_scale, picture_scale);
    const QRectF inner = box.adjusted(20, 20, -20, -20);
    formats::paint_step(p, step, QRectF{inner.topLeft() / picture_scale, inner.size() / picture_scale},
                        look_.unit());
    p.restore();
    p.setPen(d.faded);
    p.setFont(look_.lato(18 / k));
    p.drawText(QRectF{48, height() - 60.0, width() - 96.0, 30}, Qt::AlignVCenter,
               tr("Space or a click: next    ←: back    Esc: close"));
}

void LargeStep::next()
{
    emit step_wanted(room_.step() + 1);
}

void LargeStep::keyPressEvent(QKeyEvent* e)
{
    switch (e->key()) {
        case Qt::Key_Space:
        case Qt::Key_Right: next(); break;
        case Qt::Key_Left: emit step_wanted(room_.step() - 1); break;
        case Qt::Key_Escape:
        case Qt::Key_F11:
            hide();
            if (parentWidget()) parentWidget()->setFocus();
            break;
        default: QWidget::keyPressEvent(e);
    }
}

void LargeStep::mousePressEvent(QMouseEvent*)
{
    next();
}

bool LargeStep::eventFilter(QObject* watched, QEvent* e)
{
    if (watched == parentWidget() && e->type() == QEvent::Resize) setGeometry(parentWidget()->rect());
    return QWidget::eventFilter(watched, e);
}

}  // namespace sartorum::desk
