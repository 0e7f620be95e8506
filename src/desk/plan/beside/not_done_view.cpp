#include "desk/plan/beside/not_done_view.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include "words/words.h"

namespace sartorum::desk {

NotDoneView::NotDoneView(Look& look, Room& room, QWidget* parent)
    : Panel{look, parent}, look_{look}, room_{room}, column_{new QVBoxLayout{this}}
{
    setObjectName("not_done");
    setAccessibleName(tr("Not done"));
    column_->setContentsMargins(46, 10, 10, 10);
    hide();
}

void NotDoneView::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{look_.dyes().madder, 1});
    p.setBrush(look_.dyes().madder_wash);
    p.drawRoundedRect(QRectF{rect()}.adjusted(1, 1, -1, -1), 4, 4);
    draw_triangle(p, look_, {23, 28}, 10);
}

void NotDoneView::refresh()
{
    const auto& computed = room_.computed();
    QStringList now;
    if (computed) {
        for (const auto& n : computed->not_done) now << words::not_done(n, look_.unit());
        for (const auto& n : computed->not_made) now << words::not_made(n, look_.unit());
    }
    setVisible(!now.isEmpty());
    if (now == shown_) return;
    shown_ = now;
    setAccessibleDescription(now.join(' '));
    delete rows_;
    rows_ = new QWidget{this};
    auto* rows = new QVBoxLayout{rows_};
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(6);
    column_->addWidget(rows_);
    if (!computed) return;
    for (const auto& n : computed->not_done) add_row(n);
    for (const auto& n : computed->not_made) add_row(n);
}

void NotDoneView::add_row(const NotMade& n)
{
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    row->addWidget(label(look_, words::not_made(n, look_.unit()), 14, true, rows_), 1);
    auto* out = new Button{look_, tr("Take it out"), ButtonKind::Plain, rows_};
    out->setObjectName("take_out_" + QString::fromStdString(n.piece));
    connect(out, &Button::clicked, this,
            [this, piece = n.piece] { room_.make_up(taken_out(room_.plan().make_up, piece), tr("pieces")); });
    row->addWidget(out, 0, Qt::AlignTop);
    static_cast<QVBoxLayout*>(rows_->layout())->addLayout(row);
}

void NotDoneView::add_row(const NotDone& n)
{
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    const QString name = words::adjustment_name(n.kind);
    row->addWidget(label(look_, words::not_done(n, look_.unit()), 14, true, rows_), 1);
    if (room_.computed()->line(n.kind)) {
        auto* open = new Button{look_, tr("Open it"), ButtonKind::Plain, rows_};
        open->setAccessibleName(tr("Open %1").arg(name));
        connect(open, &Button::clicked, this, [this, kind = n.kind] { emit opened(kind); });
        row->addWidget(open, 0, Qt::AlignTop);
    }
    auto* out = new Button{look_, tr("Take it out"), ButtonKind::Plain, rows_};
    out->setObjectName("take_out_" + QString::fromStdString(std::string{adjustment(n.kind).key}));
    out->setAccessibleName(tr("Take %1 out of the plan").arg(name));
    connect(out, &Button::clicked, this, [this, kind = n.kind] { room_.forget(kind); });
    row->addWidget(out, 0, Qt::AlignTop);
    static_cast<QVBoxLayout*>(rows_->layout())->addLayout(row);
}

}  // namespace sartorum::desk
