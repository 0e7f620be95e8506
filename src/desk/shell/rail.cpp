#include "desk/shell/rail.h"

#include <QPainter>
#include <QPainterPath>
#include <QSvgRenderer>
#include <QVBoxLayout>

#include "desk/shared/acts.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {
namespace {

void draw_icon(QPainter& p, Station s, QPointF c, const QColor& colour)
{
    p.save();
    p.translate(c);
    p.setPen(QPen{colour, 1.7, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
    p.setBrush(Qt::NoBrush);
    QPainterPath path;
    switch (s) {
        case Station::Tape:  // a tape let out of its roll
            p.drawEllipse(QPointF(-3, -2), 8, 8);
            p.drawEllipse(QPointF(-3, -2), 2.6, 2.6);
            p.drawLine(QPointF(-3, 6), QPointF(12, 6));
            p.drawLine(QPointF(12, 6), QPointF(12, 10));
            for (int x = 1; x < 11; x += 4) p.drawLine(QPointF(x, 6), QPointF(x, 9));
            break;
        case Station::Chart:  // growing sizes on a line, and the wearer's mark above
            p.drawLine(QPointF(-13, 10), QPointF(13, 10));
            for (int i = 0; i < 5; ++i) p.drawLine(QPointF(-12 + 6 * i, 10), QPointF(-12 + 6 * i, 7 - 2.2 * i));
            p.setBrush(colour);
            p.drawPolygon(QPolygonF{{{-3, -12}, {1, -7}, {-3, -2}, {-7, -7}}});
            break;
        case Station::Plan:  // a thread through three knots
            path.moveTo(-6, -12);
            path.cubicTo({8, -8}, {-16, 2}, {-4, 12});
            p.drawPath(path);
            for (const auto& at : {QPointF{0, -8}, QPointF{-6, 1}, QPointF{-6, 9}})
                p.drawLine(at + QPointF{6, 0}, at + QPointF{16, 0});
            break;
        case Station::Paper:  // a skirt piece cut across
            path.moveTo(-6, -12);
            path.quadTo(0, -10, 6, -12);
            path.cubicTo({9, -6}, {9, 0}, {12, 11});
            path.quadTo(0, 14, -12, 11);
            path.cubicTo({-9, 0}, {-9, -6}, {-6, -12});
            p.drawPath(path);
            p.drawLine(QPointF(-9, -1), QPointF(9, -1));
            p.drawLine(QPointF(-9.5, 2.5), QPointF(9.5, 2.5));
            break;
        case Station::Mirror:  // a hand glass, a fold seen in it
            p.drawEllipse(QRectF{-9, -13, 18, 20});
            p.drawLine(QPointF(0, 7), QPointF(0, 13));
            p.drawLine(QPointF(-4, 13), QPointF(4, 13));
            path.moveTo(-4, -1);
            path.quadTo(0, -5, 5, -6);
            p.drawPath(path);
            break;
        case Station::Print:  // four taped sheets
            p.drawRect(QRectF{-11, -12, 22, 24});
            p.drawLine(QPointF(0, -12), QPointF(0, 12));
            p.drawLine(QPointF(-11, 0), QPointF(11, 0));
            p.drawRect(QRectF{-8, -9, 5, 5});
            break;
    }
    p.restore();
}

}  // namespace

class RailButton : public QAbstractButton {
public:
    RailButton(Look& look, Station s, QWidget* parent) : QAbstractButton{parent}, look_{look}, station_{s}
    {
        setFixedSize(76, 86);
        setFocusPolicy(Qt::StrongFocus);
        setAccessibleName(station_name(s));
        setObjectName("station_" + QString::number(static_cast<int>(s) + 1));
        setToolTip(key_text(row_of(static_cast<Act>(static_cast<int>(Act::ToTape) + static_cast<int>(s)))));
    }
    bool active = false;
    bool finished = false;

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const QRectF box{16, 8, 44, 44};
        if (active) {
            p.setPen(Qt::NoPen);
            p.setBrush(d.woad);
            p.drawPolygon(pinked(box, 5));
        }
        draw_icon(p, station_, box.center(), active ? d.on_woad : d.faded);
        if (finished) draw_tick(p, look_, {58, 50}, 6.5);
        p.setFont(look_.cabin(13));
        p.setPen(active ? d.woad : d.faded);
        p.drawText(QRectF{0, 58, 76, 20}, Qt::AlignCenter, station_name(station_));
        if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(5, 2, -5, -4), 6);
    }

private:
    Look& look_;
    Station station_;
};

constexpr QRect mark_place{17, 11, 42, 42};

// The mark at the upper left: the menu is behind it.
class MarkButton : public QAbstractButton {
public:
    MarkButton(Look& look, QWidget* parent) : QAbstractButton{parent}, look_{look}
    {
        setGeometry(mark_place.adjusted(-3, -3, 3, 3));
        setFocusPolicy(Qt::StrongFocus);
        setObjectName("menu_button");
        setAccessibleName(tr("Menu"));
        setToolTip(tr("Menu (%1)").arg(key_text(row_of(Act::Menu))));
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        static QSvgRenderer mark{QString{":/sartorum.svg"}};
        mark.render(&p, QRectF{rect()}.adjusted(3, 3, -3, -3));
        if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 4);
    }

private:
    Look& look_;
};

Rail::Rail(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedWidth(76);
    auto* menu = new MarkButton{look, this};
    connect(menu, &QAbstractButton::clicked, this, &Rail::menu_wanted);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 68, 0, 12);
    column->setSpacing(0);
    for (int i = 0; i < desk_station_count; ++i) {
        auto* b = new RailButton{look, static_cast<Station>(i), this};
        connect(b, &QAbstractButton::clicked, this, [this, i] { emit picked(static_cast<Station>(i)); });
        buttons_.push_back(b);
        column->addWidget(b);
    }
    column->addStretch();
    auto* guide = new Button{look, "F1", ButtonKind::Plain, this};
    guide->setAccessibleName(tr("Guide"));
    guide->setToolTip(with_key(Act::Guide));
    guide->setFixedWidth(60);
    column->addWidget(guide, 0, Qt::AlignHCenter);
    connect(guide, &Button::clicked, this, &Rail::guide_wanted);
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void Rail::show(Station current, const std::vector<bool>& finished)
{
    for (std::size_t i = 0; i < buttons_.size(); ++i) {
        const bool active = i == static_cast<std::size_t>(current);
        if (active == buttons_[i]->active && finished[i] == buttons_[i]->finished) continue;
        buttons_[i]->active = active;
        buttons_[i]->finished = finished[i];
        buttons_[i]->setAccessibleDescription(buttons_[i]->active ? tr("here")
                                              : finished[i]       ? tr("finished")
                                                                  : QString{});
        buttons_[i]->update();
    }
}

void Rail::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), d.linen2);
    p.setPen(d.rule);
    p.drawLine(width() - 1, 0, width() - 1, height());
}

QPoint Rail::menu_corner() const
{
    return mark_place.bottomLeft() + QPoint{0, 4};
}

}  // namespace sartorum::desk
