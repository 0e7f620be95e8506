#include "desk/plan/beside/donning_view.h"

#include <QPainter>
#include <QVBoxLayout>
#include <algorithm>

#include "core/plan/donning.h"
#include "core/plan/elastic.h"
#include "desk/shared/when_shown.h"
#include "words/donning.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// What lies beside each other: cloth, and beneath it what it passes or what draws it in.
struct Beside {
    QString cloth;
    Length has;
    QString tape;
    Length needs;
    bool guessed = false;
    Length spread{};
};

// The garment's girth as a band of cloth laid straight, the other as a tape beneath it, to one scale.
class Passing : public QWidget {
public:
    Passing(Look& look, Beside g, QWidget* parent) : QWidget{parent}, look_{look}, g_{std::move(g)}
    {
        setFixedHeight(static_cast<int>(62 * look.scale()));
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        const double k = look_.scale();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const double left = 96 * k;
        const double room = width() - left - 58 * k;
        const Length most = std::max(g_.has, g_.needs + g_.spread);
        const auto x = [&](Length l) { return left + room * (l / most); };
        const auto name = [&](const QString& text, double base) {
            p.setPen(d.faded);
            p.setFont(look_.lato(12.5));
            p.drawText(QPointF{0, base}, text);
        };
        const auto value = [&](Length l, double base, const QColor& ink) {
            p.setPen(ink);
            draw_number(p, look_,
                        {width() - number_width(look_, l, look_.unit(), 14.5, QFont::Normal, false), base}, l,
                        look_.unit(), 14.5, QFont::Normal, false);
        };
        name(g_.cloth, 20 * k);
        p.fillRect(QRectF{left, 8 * k, x(g_.has) - left, 14 * k}, d.woad_wash);
        p.setPen(QPen{d.woad, 1.6});
        p.drawLine(QPointF{x(g_.has), 6 * k}, QPointF{x(g_.has), 24 * k});
        value(g_.has, 20 * k, d.woad);
        name(g_.tape, 48 * k);
        p.setPen(QPen{d.walnut, 1.6, g_.guessed ? Qt::DashLine : Qt::SolidLine});
        p.drawLine(QPointF{left, 43 * k}, QPointF{x(g_.needs), 43 * k});
        p.setPen(QPen{d.walnut, 1.6});
        if (g_.guessed)
            p.drawLine(QPointF{x(g_.needs - g_.spread), 43 * k}, QPointF{x(g_.needs + g_.spread), 43 * k});
        p.drawLine(QPointF{x(g_.needs), 36 * k}, QPointF{x(g_.needs), 50 * k});
        value(g_.needs, 48 * k, d.walnut);
    }

private:
    Look& look_;
    Beside g_;
};

// The place, and with a mark whether it passes.
class Place : public QWidget {
public:
    Place(Look& look, const GoesOn& g, QWidget* parent)
        : QWidget{parent}, look_{look}, name_{words::goes_on_place(g)}, holds_{g.holds()}
    {
        setFixedHeight(static_cast<int>(26 * look.scale()));
        setAccessibleName(holds_ ? tr("%1: goes on").arg(name_) : tr("%1: does not go on").arg(name_));
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const double k = look_.scale();
        p.setPen(look_.dyes().ink);
        p.setFont(look_.cabin(16));
        p.drawText(QPointF{0, 19 * k}, name_);
        const QPointF at{width() - 10 * k, 13 * k};
        if (holds_)
            draw_tick(p, look_, at, 7 * k);
        else
            draw_triangle(p, look_, at, 8 * k);
    }

private:
    Look& look_;
    QString name_;
    bool holds_;
};

}  // namespace

GoesOnView::GoesOnView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setAccessibleName(tr("Goes on"));
    inside_ = scrolled(this);
    column_ = new QVBoxLayout{inside_};
    column_->setContentsMargins(18, 12, 18, 12);
    column_->setSpacing(4);
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

void GoesOnView::refresh()
{
    while (auto* item = column_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    if (!room_.computed()) return;
    column_->addWidget(heading(look_, tr("Putting it on"), 18, inside_));
    for (const auto& g : goes_on(*room_.computed())) {
        column_->addSpacing(6);
        column_->addWidget(new Place{look_, g, inside_});
        add(words::goes_on_place(g), words::goes_on_text(g, look_.unit()),
            new Passing{look_, {tr("closed"), g.has, tr("passes"), g.needs, g.guessed, g.spread}, inside_});
    }
    if (const auto e = waist_elastic(*room_.computed())) {
        column_->addSpacing(12);
        column_->addWidget(heading(look_, tr("Elastic"), 18, inside_));
        add(tr("Elastic"), words::elastic_text(*e, look_.unit()),
            new Passing{look_, {tr("casing"), e->casing, tr("elastic"), e->cut()}, inside_});
    }
    column_->addStretch(1);
    for (auto* w : inside_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly)) w->show();
}

void GoesOnView::add(const QString& what, const QString& text, QWidget* drawn)
{
    drawn->setAccessibleName(what);
    drawn->setAccessibleDescription(text);
    column_->addWidget(drawn);
    auto* said = label(look_, text, 14, false, inside_);
    said->setWordWrap(true);
    column_->addWidget(said);
}

}  // namespace sartorum::desk
