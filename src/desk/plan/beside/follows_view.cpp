#include "desk/plan/beside/follows_view.h"

#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/plan/bust_ways.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// One chain: knots on a thread, from the cause down to what follows; each as tall as its words.
class Chain : public QWidget {
public:
    Chain(Look& look, QStringList said, bool answered, QWidget* parent)
        : QWidget{parent}, look_{look}, said_{std::move(said)}, answered_{answered}
    {
        setAccessibleName(said_.join(tr(", then ")));
        fit();
    }

protected:
    void resizeEvent(QResizeEvent*) override { fit(); }
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const auto n = said_.size();
        double top = 0;
        for (qsizetype i = 0; i < n; ++i) {
            const double tall = height_of(i);
            const double y = top + tall / 2;
            const bool last = i + 1 == n;
            if (!last)
                draw_thread(p, look_, {10, y}, {10, top + tall + height_of(i + 1) / 2}, i + 2 < n || answered_);
            draw_knot(p, look_, {10, y}, !last || answered_ ? Knot::Done : Knot::Here);
            p.setPen(i == 0 ? d.faded : d.ink);
            p.setFont(font_of(i));
            p.drawText(QRectF{28, top, width() - 30.0, tall}, Qt::AlignVCenter | Qt::TextWordWrap, said_[i]);
            top += tall;
        }
    }

private:
    [[nodiscard]] QFont font_of(qsizetype i) const
    {
        return look_.lato(14, i + 1 == said_.size() ? QFont::DemiBold : QFont::Normal);
    }
    [[nodiscard]] double height_of(qsizetype i) const
    {
        const QRectF room{0, 0, std::max(80.0, width() - 30.0), 1000};
        return QFontMetricsF{font_of(i)}.boundingRect(room, Qt::TextWordWrap, said_[i]).height() +
               12 * look_.scale();
    }
    void fit()
    {
        double all = 0;
        for (qsizetype i = 0; i < said_.size(); ++i) all += height_of(i);
        setFixedHeight(static_cast<int>(std::ceil(all)));
    }
    Look& look_;
    QStringList said_;
    bool answered_;
};

}  // namespace

FollowsView::FollowsView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setAccessibleName(tr("What follows"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(18, 14, 6, 8);
    column->setSpacing(6);
    column->addWidget(heading(look, tr("What follows"), 18, this));
    column->addWidget(
        caption(look, tr("what one change asks for further on; nothing is done until you accept"), this));
    auto* scroll = new QScrollArea{this};
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inner = new QWidget;
    chains_ = new QVBoxLayout{inner};
    chains_->setContentsMargins(0, 4, 10, 4);
    chains_->setSpacing(12);
    chains_->addStretch();
    scroll->setWidget(inner);
    column->addWidget(scroll, 1);
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

void FollowsView::refresh()
{
    for (auto* w : shown_) w->deleteLater();
    for (auto* w : shown_) w->hide();
    shown_.clear();
    if (!room_.computed()) return;
    if (const auto ways = bust_ways(*room_.computed()); !ways.empty()) add(ways);
    const auto chains = knock_ons(*room_.computed());
    for (const auto& chain : chains) add(chain);
    if (!shown_.empty()) return;
    shown_.push_back(label(look_, tr("Nothing yet: no accepted change asks for another."), 14, false, this));
    chains_->insertWidget(0, shown_.back());
}

// More than two cups: what each way would leave, side by side.
void FollowsView::add(const std::vector<BustWay>& ways)
{
    auto* box = new QWidget{this};
    auto* column = new QVBoxLayout{box};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(label(look_, tr("The bust asks for more than two cups."), 14, true, box));
    auto* row = new QHBoxLayout;
    const Unit u = look_.unit();
    for (const auto& way : ways) {
        const bool other = way.size != room_.plan().size_at(Level::Bust);
        auto* side = new QVBoxLayout;
        const QString size = QString::fromStdString(way.size);
        QStringList said{other ? tr("Size %1").arg(size) : tr("Two slashes"),
                         tr("bust %1 each half").arg(words::amount(way.bust, u, true))};
        if (way.carried && way.dart > Length{}) said << tr("dart %1 wide").arg(words::amount(way.dart, u));
        if (!way.carried) said << tr("more than two slashes carry");
        if (other && abs(way.shoulder_length) > Length::mm(0.5))
            said << tr("shoulder %1").arg(words::amount(way.shoulder_length, u, true));
        auto* text = label(look_, said.join("\n"), 13, false, box);
        text->setAlignment(Qt::AlignTop);
        side->addWidget(text, 1);
        auto* take =
            new Button{look_, other ? tr("Take size %1").arg(size) : tr("Two slashes"), ButtonKind::Small, box};
        take->setObjectName(other ? "bust_other_size" : "bust_two_slashes");
        take->setEnabled(way.carried);
        connect(take, &Button::clicked, this, [this, way, other] { take_way(way, other); });
        side->addWidget(take);
        row->addLayout(side, 1);
    }
    column->addLayout(row);
    chains_->insertWidget(0, box);
    shown_.push_back(box);
}

void FollowsView::take_way(const BustWay& way, bool other_size)
{
    if (!other_size) {
        const Decision* was = room_.plan().decision(AdjustmentKind::Bust);
        room_.decide({AdjustmentKind::Bust, Answer::Accepted, was ? was->amount() : std::nullopt, {}, way.method});
        return;
    }
    SizeChoice choice = room_.choice();
    choice.bust_size = *room_.chart()->index_of(way.size);
    room_.choose(choice);
}

void FollowsView::add(const KnockOn& k)
{
    auto* box = new QWidget{this};
    auto* column = new QVBoxLayout{box};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(2);
    const bool done = k.effect ? k.state == LineState::Accepted : false;
    column->addWidget(new Chain{look_, words::chain(k, look_.unit()), done, box});
    if (k.effect) {
        auto* row = new QHBoxLayout;
        row->setContentsMargins(28, 0, 0, 0);
        const auto kind = *k.effect;
        const auto key = QString::fromStdString(std::string{adjustment(kind).key});
        auto* show = new Button{look_, tr("Show"), ButtonKind::Small, box};
        show->setObjectName("show_" + key);
        show->setAccessibleName(tr("Show %1").arg(words::adjustment_name(kind)));
        connect(show, &Button::clicked, this, [this, kind] { emit opened(kind); });
        if (k.state == LineState::Proposed) {
            auto* take = new Button{look_, tr("Accept"), ButtonKind::Small, box};
            take->setObjectName("follow_" + key);
            take->setAccessibleName(tr("Accept %1").arg(words::adjustment_name(kind)));
            connect(take, &Button::clicked, this, [this, kind] { room_.decide(kind, Answer::Accepted, {}); });
            row->addWidget(take);
        }
        row->addWidget(show);
        row->addStretch();
        column->addLayout(row);
    }
    chains_->insertWidget(static_cast<int>(shown_.size()), box);
    shown_.push_back(box);
}

}  // namespace sartorum::desk
