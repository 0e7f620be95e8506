#include "desk/plan/map/quiet_list.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QVBoxLayout>

#include "words/lines.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {

// Why it is left alone, in one sentence.
QString reason(const Computed& c, const PlanLine& l, Unit u)
{
    QStringList out;
    if (l.proposal && abs(l.proposal->amount) >= to_the_eye) out << words::amounts(c, l, u);
    out << words::why(c, l, u) << words::state_text(l, u);
    const QString sides = words::sides_told(l, u);
    return out.join(", ") + (sides.isEmpty() ? QString{} : ". " + sides);
}

}  // namespace

QuietList::QuietList(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setAccessibleName(tr("Left alone"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(18, 14, 10, 10);
    auto* head = new QHBoxLayout;
    head->addWidget(heading(look, tr("Left alone"), 18, this), 1);
    close_ = new Button{look, tr("Back to the picture"), ButtonKind::Small, this};
    close_->setObjectName("quiet_close");
    connect(close_, &Button::clicked, this, &QuietList::left);
    head->addWidget(close_);
    column->addLayout(head);
    auto* scroll = new QScrollArea{this};
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    frame_ = new QWidget;
    rows_ = new QVBoxLayout{frame_};
    rows_->setContentsMargins(0, 0, 8, 0);
    scroll->setWidget(frame_);
    column->addWidget(scroll, 1);
    hide();
}

void QuietList::show_zones(const std::vector<Zone>& zones)
{
    zones_ = zones;
    shown_.clear();
    refresh();
}

void QuietList::refresh()
{
    if (!room_.computed() || zones_.empty()) return;
    const auto& c = *room_.computed();
    const Unit u = look_.unit();
    QString now;
    for (const auto zone : zones_) {
        for (const auto* line : left_alone(c, zone)) now += words::plan_sentence(*line, c, u) + "\n";
    }
    if (now == shown_) return;
    shown_ = now;
    delete inside_;
    opens_.clear();
    inside_ = new QWidget{frame_};
    auto* rows = new QVBoxLayout{inside_};
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(4);
    for (const auto zone : zones_) {
        const auto lines = left_alone(c, zone);
        if (lines.empty()) continue;
        rows->addWidget(heading(look_, words::zone_name(zone), 15, inside_));
        for (const auto* line : lines) {
            auto* row = new QHBoxLayout;
            row->setSpacing(10);
            auto* open = new Button{look_, tr("Open"), ButtonKind::Small, inside_};
            const auto kind = line->kind;
            open->setObjectName("open_" + QString::fromStdString(std::string{adjustment(kind).key}));
            open->setAccessibleName(tr("Open %1").arg(words::adjustment_name(kind)));
            open->setAccessibleDescription(reason(*room_.computed(), *line, u));
            connect(open, &Button::clicked, this, [this, kind] { emit opened(kind); });
            row->addWidget(open, 0, Qt::AlignTop);
            opens_.push_back(open);
            auto* text = new QVBoxLayout;
            text->setSpacing(0);
            text->addWidget(label(look_, words::adjustment_name(kind), 14, true, inside_));
            auto* why = label(look_, reason(*room_.computed(), *line, u), 13, false, inside_);
            why->setWordWrap(true);
            text->addWidget(why);
            row->addLayout(text, 1);
            rows->addLayout(row);
        }
    }
    rows->addStretch();
    rows_->addWidget(inside_);
    // Made anew, they would come last of all with the keys.
    QWidget* before = close_;
    for (auto* open : opens_) {
        setTabOrder(before, open);
        before = open;
    }
}

void QuietList::take_focus()
{
    (opens_.empty() ? close_ : opens_.front())->setFocus();
}

void QuietList::keyPressEvent(QKeyEvent* e)
{
    if (e->key() == Qt::Key_Escape) return emit left();
    Panel::keyPressEvent(e);
}

}  // namespace sartorum::desk
