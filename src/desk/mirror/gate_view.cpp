#include "desk/mirror/gate_view.h"

#include <QPainter>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

#include "core/fitting/next_toile.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr std::size_t most_moved = 3;
constexpr std::size_t most_versions = 8;

QString moved_text(const std::vector<Moved>& moved, std::size_t most, Unit u)
{
    QStringList out;
    for (std::size_t i = 0; i < std::min(most, moved.size()); ++i) out << words::moved_sentence(moved[i], u);
    if (moved.size() > most) out << GateView::tr("and %1 more").arg(moved.size() - most);
    return out.join("; ");
}

QString kept_for(notebook::KeptFor what)
{
    switch (what) {
        case notebook::KeptFor::Cut: return VersionsView::tr("cut and sewn");
        case notebook::KeptFor::TriedOn: return VersionsView::tr("tried on");
        case notebook::KeptFor::Printed: return VersionsView::tr("printed");
    }
    return {};
}

}  // namespace

GateView::GateView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setObjectName("gate");
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(16, 12, 16, 10);
    column->setSpacing(4);
    title_ = heading(look, tr("Before good cloth"), 17, this);
    column->addWidget(title_);
    said_ = label(look, {}, 14, true, this);
    said_->setWordWrap(true);
    said_->setObjectName("gate_said");
    column->addWidget(said_);
    moved_ = label(look, {}, 13.5, false, this);
    moved_->setWordWrap(true);
    moved_->setObjectName("gate_moved");
    column->addWidget(moved_);
    ways_ = new QBoxLayout{QBoxLayout::LeftToRight};
    sheet_ = new Button{look, tr("Toile sheet"), ButtonKind::Plain, this};
    sheet_->setObjectName("gate_sheet");
    pass_ = new Button{look, tr("On to good cloth"), ButtonKind::Plain, this};
    pass_->setObjectName("gate_pass");
    ways_->addWidget(sheet_);
    ways_->addWidget(pass_);
    ways_->addStretch();
    column->addLayout(ways_);
    connect(sheet_, &Button::clicked, this, &GateView::sheet_wanted);
    // Past what is not settled in two steps: the first says what that is.
    connect(pass_, &Button::clicked, this, [this] {
        if (!open_ && !std::exchange(asked_, true)) return refresh();
        asked_ = false;
        room_.pass_gate(open_ ? QString{} : yellow_);
        emit passed();
    });
}

void GateView::take_focus()
{
    (pass_->isVisible() ? pass_ : sheet_)->setFocus();
}

void GateView::refresh()
{
    if (!room_.computed()) return;
    ways_->setDirection(look_.scale() > roomy_text ? QBoxLayout::TopToBottom : QBoxLayout::LeftToRight);
    const Gate g = room_.gate();
    open_ = g.open();
    QString said = words::gate_sentence(g);
    const auto& all = room_.versions();
    // Said once, and kept: that it was passed as it stands now.
    const auto now = all.empty() ? nullptr : room_.version(all.front().id);
    const bool passed_now =
        gate_before_cloth(now.get(), *room_.computed()).same() && !all.front().passed_on.isEmpty();
    if (passed_now) {
        said = tr("Passed on %1, as it is now: %2")
                   .arg(words::day_in_words(all.front().passed_on.toStdString()), all.front().name);
        if (!all.front().passed_over.isEmpty())
            said += " " + tr("Not settled then: %1").arg(all.front().passed_over);
    }
    moved_->setText(moved_text(g.moved, most_moved, look_.unit()));
    moved_->setVisible(!g.moved.empty());
    if (open_ || passed_now || said != yellow_) asked_ = false;
    yellow_ = said;
    if (asked_) said = tr("Not settled: %1 Press again to cut all the same.").arg(said);
    said_->setText(said);
    pass_->setText(asked_ ? tr("Cut all the same") : tr("On to good cloth"));
    pass_->setVisible(!passed_now);
    setAccessibleName(title_->text() + ": " + said);
    setAccessibleDescription(moved_->text());
    const auto& d = look_.dyes();
    for (auto* l : {title_, said_, moved_}) {
        QPalette p = l->palette();
        p.setColor(QPalette::WindowText, l == title_ && !open_ ? d.weld_ink : open_ ? d.lichen_ink : d.ink);
        l->setPalette(p);
    }
    update();
}

void GateView::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{open_ ? d.lichen : d.weld, 1.2});
    p.setBrush(open_ ? d.lichen_wash : d.weld_wash);
    p.drawRoundedRect(QRectF{rect()}.adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
}

VersionsView::VersionsView(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setObjectName("versions");
    setAccessibleName(tr("Versions"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    auto* scroll = new QScrollArea{this};
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setAccessibleName(tr("Versions, one after the other"));
    frame_ = new QWidget;
    rows_ = new QVBoxLayout{frame_};
    rows_->setContentsMargins(0, 0, 8, 0);
    scroll->setWidget(frame_);
    column->addWidget(scroll);
}

// A knot on the thread for each version.
class VersionRow : public QWidget {
public:
    VersionRow(Look& look, const QString& title, const QString& detail, bool first, bool last, QWidget* parent)
        : QWidget{parent}, look_{look}, first_{first}, last_{last}
    {
        auto* column = new QVBoxLayout{this};
        column->setContentsMargins(30, 4, 0, 8);
        column->setSpacing(1);
        column->addWidget(label(look, title, 14, true, this));
        auto* text = label(look, detail, 13, false, this);
        text->setWordWrap(true);
        column->addWidget(text);
        setAccessibleName(title + ": " + detail);
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const double y = 15 * look_.scale();
        if (!first_) draw_thread(p, look_, {12, 0}, {12, y}, true);
        if (!last_) draw_thread(p, look_, {12, y}, {12.0, double(height())}, true);
        draw_knot(p, look_, {12, y}, first_ ? Knot::Here : Knot::Done);
    }

private:
    Look& look_;
    bool first_;
    bool last_;
};

void VersionsView::refresh()
{
    if (!room_.computed()) return;
    const auto& all = room_.versions();
    struct Row {
        QString title;
        QString detail;
    };
    std::vector<Row> rows;
    const Computed* later = &*room_.computed();
    rows.push_back({tr("As it is now"), {}});
    std::vector<std::shared_ptr<const Computed>> held;
    const auto say_change = [&](const Computed* earlier) {
        if (!earlier) return tr("cannot be read any more");
        const Gate since = gate_before_cloth(earlier, *later);
        if (since.same()) return tr("the same as the one before");
        return (since.sizes_changed ? tr("another size; ") : QString{}) +
               (since.made_otherwise ? tr("the pieces are made up differently; ") : QString{}) +
               moved_text(since.moved, most_moved, look_.unit());
    };
    for (std::size_t i = 0; i < std::min(all.size(), most_versions); ++i) {
        const auto c = room_.version(all[i].id);
        held.push_back(c);
        rows.back().detail += say_change(c.get());
        if (c) later = c.get();
        const auto tried = std::count_if(room_.try_ons().begin(), room_.try_ons().end(),
                                         [&](const auto& t) { return t.version == all[i].id; });
        QString title =
            tr("%1, %2, %3")
                .arg(all[i].name, kept_for(all[i].what), words::day_in_words(all[i].day.toStdString()));
        if (tried > 1) title += tr(", %1 times").arg(tried);
        QString detail;
        if (!all[i].passed_on.isEmpty())
            detail = tr("on to good cloth on %1. ").arg(words::day_in_words(all[i].passed_on.toStdString()));
        if (!all[i].passed_over.isEmpty()) detail += tr("Not settled then: %1 ").arg(all[i].passed_over);
        rows.push_back({title, detail});
    }
    if (all.size() > most_versions)
        rows.back().detail += tr("%1 earlier ones are kept.").arg(all.size() - most_versions);
    else
        rows.back().detail += all.empty() ? tr("no version is kept yet") : tr("the first");
    QString now;
    for (const auto& r : rows) now += r.title + r.detail + "\n";
    now += QString::number(look_.scale());
    if (now == shown_) return;
    shown_ = now;
    delete inside_;
    inside_ = new QWidget{frame_};
    auto* column = new QVBoxLayout{inside_};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    for (std::size_t i = 0; i < rows.size(); ++i)
        column->addWidget(
            new VersionRow{look_, rows[i].title, rows[i].detail, i == 0, i + 1 == rows.size(), inside_});
    column->addStretch();
    rows_->addWidget(inside_);
    setAccessibleDescription(now);
}

}  // namespace sartorum::desk
