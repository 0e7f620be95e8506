#include "desk/mirror/mirror_dialogs.h"

#include <QComboBox>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/dialogs/sheet.h"
#include "words/mirror.h"

namespace sartorum::desk {
namespace {

constexpr std::array every_put_on{PutOn::Whole,  PutOn::Shoulders,  PutOn::Skirt,
                                  PutOn::Sleeve, PutOn::HalfTissue, PutOn::Garment};

QString seen_from_name(SeenFrom f)
{
    return f == SeenFrom::Front    ? SightDialog::tr("front")
           : f == SeenFrom::Back   ? SightDialog::tr("back")
           : f == SeenFrom::Sleeve ? SightDialog::tr("sleeve")
                                   : SightDialog::tr("side");
}

}  // namespace

TryOnDialog::TryOnDialog(Look& look, MirrorState& state, const std::optional<TryOn>& was, QWidget* parent)
    : QDialog{parent}, state_{state}, was_{was}
{
    auto* column = sheet(*this, look, was ? tr("This try-on") : tr("A new try-on"));
    if (!was)
        column->addWidget(
            label(look,
                  tr("The plan as it is now is kept with it, so that it can be told later what was on the "
                     "body."),
                  14, false, this));
    TryOn now;
    now.date = state.room().today().toString(Qt::ISODate).toStdString();
    if (state.room().plan().sewn) now.what = PutOn::Garment;
    if (const auto* last = state.here(); last && !was) {
        now.cloth = last->entry.cloth;
        now.worn = last->entry.worn;
    }
    if (was) now = *was;
    auto* grid = new FieldGrid{this, look};
    day_ = line_edit(this, tr("Day"), "try_on_day");
    day_->setText(QString::fromStdString(now.date));
    QStringList whats;
    for (const auto p : every_put_on) whats << words::put_on_name(p);
    what_ = combo(this, tr("What is put on"), whats, static_cast<int>(now.what), "try_on_what");
    cloth_ = line_edit(this, tr("In what cloth"), "try_on_cloth");
    cloth_->setText(QString::fromStdString(now.cloth));
    worn_ = line_edit(this, tr("Underwear and shoes"), "try_on_worn");
    worn_->setText(QString::fromStdString(now.worn));
    grid->add(tr("Day"), day_);
    grid->add(tr("What is put on"), what_);
    grid->add(tr("In what cloth"), cloth_);
    grid->add(tr("Underwear and shoes"), worn_);
    column->addLayout(grid);
    column->addWidget(label(look, tr("Looked at"), 14, true, this));
    auto* row = new QHBoxLayout;
    for (std::size_t i = 0; i < moment_count; ++i) {
        const auto m = static_cast<Moment>(i);
        const bool on = std::find(now.moments.begin(), now.moments.end(), m) != now.moments.end();
        const QString name = words::moment_name(m);
        auto* b = new Button{look, {}, ButtonKind::Small, this};
        b->setObjectName("try_on_" + QString::fromStdString(std::string{key(m)}));
        b->setCheckable(true);
        const auto say = [b, name] {
            b->setText((b->isChecked() ? QString{"\u2713 "} : QString{}) + name);
            b->setAccessibleName(b->isChecked() ? TryOnDialog::tr("%1, yes").arg(name)
                                                : TryOnDialog::tr("%1, no").arg(name));
            b->updateGeometry();
        };
        b->setChecked(on);
        say();
        connect(b, &Button::toggled, this, say);
        moments_.push_back(b);
        row->addWidget(b);
    }
    row->addStretch();
    column->addLayout(row);
    column->addWidget(label(look, tr("Note"), 14, true, this));
    words_ = line_edit(this, tr("Note"), "try_on_words");
    words_->setMaxLength(400);
    words_->setText(QString::fromStdString(now.words));
    column->addWidget(words_);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("try_on_said");
    column->addWidget(said_);
    column->addWidget(
        keep_or_leave(*this, look, was ? tr("Keep") : tr("Begin"), "keep_try_on", [this] { take(); }));
    setMinimumWidth(620);
}

void TryOnDialog::take()
{
    const QString day = day_->text().trimmed();
    if (day.size() != 10 || !QDate::fromString(day, Qt::ISODate).isValid()) {
        said_->setText(tr("Day: a day as 2026-11-14 is needed."));
        day_->setFocus();
        return;
    }
    TryOn t = was_.value_or(TryOn{});
    t.date = day.toStdString();
    t.what = every_put_on[static_cast<std::size_t>(what_->currentIndex())];
    t.cloth = cloth_->text().trimmed().toStdString();
    t.worn = worn_->text().trimmed().toStdString();
    t.words = words_->text().trimmed().toStdString();
    t.moments.clear();
    for (std::size_t i = 0; i < moments_.size(); ++i) {
        if (moments_[i]->isChecked()) t.moments.push_back(static_cast<Moment>(i));
    }
    accept();
    was_ ? state_.keep(t, tr("try-on")) : state_.room().begin_try_on(t);
}

SightDialog::SightDialog(Look& look, const std::vector<Sight>& all, std::optional<SeenFrom> first, QWidget* parent)
    : QDialog{parent}, all_{all}
{
    if (first) std::stable_partition(all_.begin(), all_.end(), [&](Sight s) { return facts(s).from == *first; });
    auto* column = sheet(*this, look, tr("What do you see?"));
    search_ = line_edit(this, tr("A few letters of it"), "sight_search");
    search_->setPlaceholderText(tr("a few letters of it, as: folds neck"));
    search_->installEventFilter(this);
    column->addWidget(search_);
    list_ = new QListWidget{this};
    list_->setObjectName("sight_list");
    list_->setAccessibleName(tr("What can be seen"));
    list_->setFont(look.lato(14));
    list_->setMinimumHeight(360);
    list_->setWordWrap(true);
    column->addWidget(list_, 1);
    column->addWidget(keep_or_leave(*this, look, tr("Note it"), "keep_sight", [this] {
        if (chosen() && isVisible()) accept();  // Enter in the list has taken it already
    }));
    connect(search_, &QLineEdit::textChanged, this, [this] { filter(); });
    connect(list_, &QListWidget::itemActivated, this, &QDialog::accept);
    setMinimumWidth(static_cast<int>(560 * std::max(1.0, look.scale())));
    filter();
}

void SightDialog::filter()
{
    list_->clear();
    const auto words_typed = search_->text().split(' ', Qt::SkipEmptyParts);
    for (const auto s : all_) {
        const QString name = tr("%1 (%2)").arg(words::sight_name(s), seen_from_name(facts(s).from));
        const bool fits = std::all_of(words_typed.begin(), words_typed.end(),
                                      [&](const QString& w) { return name.contains(w, Qt::CaseInsensitive); });
        if (!fits) continue;
        auto* item = new QListWidgetItem{name, list_};
        item->setData(Qt::UserRole, static_cast<int>(s));
    }
    list_->setCurrentRow(0);
}

std::optional<Sight> SightDialog::chosen() const
{
    const auto* item = list_->currentItem();
    return item ? std::optional{static_cast<Sight>(item->data(Qt::UserRole).toInt())} : std::nullopt;
}

// Up and down go through the list while letters are typed.
bool SightDialog::eventFilter(QObject* watched, QEvent* e)
{
    if (watched == search_ && e->type() == QEvent::KeyPress) {
        const auto key = static_cast<QKeyEvent*>(e)->key();
        if (key == Qt::Key_Down || key == Qt::Key_Up) {
            list_->setCurrentRow(std::clamp(list_->currentRow() + (key == Qt::Key_Down ? 1 : -1), 0,
                                            std::max(0, list_->count() - 1)));
            return true;
        }
        if (key == Qt::Key_Return || key == Qt::Key_Enter) {
            if (chosen()) accept();
            return true;
        }
    }
    return false;
}

}  // namespace sartorum::desk
