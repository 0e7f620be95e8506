#include "desk/dialogs/dialogs.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {
NameDialog::NameDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Who is it for?"));
    column->addWidget(
        label(look, tr("A name to find her or him by. It stays in this notebook."), 14, false, this));
    name_ = line_edit(this, tr("Name"), "wearer_name");
    column->addWidget(name_);
    auto* said = label(look, {}, 14, true, this);
    column->addWidget(said);
    auto* row = new QHBoxLayout;
    auto* keep = new Button{look, tr("Write it down"), ButtonKind::Primary, this};
    keep->setObjectName("keep_name");
    auto* leave = new Button{look, tr("Leave it"), ButtonKind::Plain, this};
    row->addWidget(keep);
    row->addWidget(leave);
    row->addStretch();
    column->addLayout(row);
    setMinimumWidth(420);
    const auto take = [this, &room, said] {
        if (name_->text().trimmed().isEmpty()) {
            said->setText(tr("Type a name first."));
            name_->setFocus();
            return;
        }
        room.add_wearer(name_->text());
        accept();
    };
    connect(keep, &Button::clicked, this, take);
    connect(name_, &QLineEdit::returnPressed, this, take);
    connect(leave, &Button::clicked, this, &QDialog::reject);
}

SkirtDialog::SkirtDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("A skirt from flat measurements"));
    column->addWidget(label(look,
                            tr("Lay the tissue flat and measure between the stitching lines, darts closed. Girths "
                               "are all round: the widths of front and back, times two."),
                            14, false, this));
    auto* top = new QHBoxLayout;
    name_ = line_edit(this, tr("Pattern name"), "skirt_name");
    name_->setPlaceholderText(tr("pattern name"));
    maker_ = line_edit(this, tr("Maker"), "skirt_maker");
    maker_->setPlaceholderText(tr("maker"));
    size_ = line_edit(this, tr("Size as in the chart"), "skirt_size");
    size_->setPlaceholderText(tr("size"));
    if (room.chart()) {
        maker_->setText(QString::fromStdString(room.chart()->maker));
        size_->setText(QString::fromStdString(room.plan().hip_size));
    }
    top->addWidget(name_, 2);
    top->addWidget(maker_, 2);
    top->addWidget(size_, 1);
    column->addLayout(top);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(18);
    grid->setVerticalSpacing(6);
    add(grid, "waist", tr("Waist, finished"), tr("all round, darts closed"), Length::mm(785));
    add(grid, "hip", tr("Hip, finished"), tr("all round at the hip line"), Length::mm(1070));
    add(grid, "waist_to_hip", tr("Waist to hip"), tr("at the side, straight down"), Length::mm(206));
    add(grid, "length", tr("Length"), tr("centre front, waist to hem"), Length::mm(580));
    add(grid, "front_dart", tr("Front dart"), tr("width of the mouth, 0 for none"), Length::mm(18));
    add(grid, "back_dart", tr("Back dart"), tr("width of the mouth, 0 for none"), Length::mm(28));
    add(grid, "flare", tr("Flare"), tr("hem wider than hip, each side seam half"), Length::mm(55));
    add(grid, "allowance", tr("Seam allowance"), tr("as printed"), Length::mm(15));
    add(grid, "hem_allowance", tr("Hem allowance"), tr("as printed"), Length::mm(30));
    add(grid, "band_depth", tr("Waistband"), tr("finished depth, 0 for none"), Length::mm(35));
    column->addLayout(grid);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("skirt_said");
    column->addWidget(said_);
    auto* buttons = new QHBoxLayout;
    auto* keep = new Button{look, tr("Draw it"), ButtonKind::Primary, this};
    keep->setObjectName("draw_skirt");
    auto* leave = new Button{look, tr("Leave it"), ButtonKind::Plain, this};
    buttons->addWidget(keep);
    buttons->addWidget(leave);
    buttons->addStretch();
    column->addLayout(buttons);
    setMinimumWidth(760);
    connect(keep, &Button::clicked, this, &SkirtDialog::take);
    connect(leave, &Button::clicked, this, &QDialog::reject);
}

LengthField* SkirtDialog::add(QGridLayout* grid, const QString& key, const QString& name, const QString& hint,
                              Length start)
{
    const int n = static_cast<int>(fields_.size());
    const int row = n % 5;
    const int c = n / 5 * 2;
    auto* words = new QWidget{this};
    words->setMinimumWidth(210);
    auto* stack = new QVBoxLayout{words};
    stack->setContentsMargins(0, 0, 0, 0);
    stack->setSpacing(0);
    stack->addWidget(label(look_, name, 14, true, words));
    stack->addWidget(caption(look_, hint, words));
    auto* field = new LengthField{look_, name, this};
    field->edit().setObjectName("skirt_" + key);
    field->show_value(start);
    field->edit().setFixedWidth(110);
    grid->addWidget(words, row, c);
    grid->addWidget(field, row, c + 1, Qt::AlignTop);
    fields_[key] = field;
    return field;
}

void SkirtDialog::take()
{
    SkirtFlat f;
    f.name = name_->text().trimmed().toStdString();
    f.maker = maker_->text().trimmed().toStdString();
    f.size = size_->text().trimmed().toStdString();
    if (f.name.empty() || f.size.empty()) {
        said_->setText(tr("Give the pattern a name, and the size it is in, as the chart calls it."));
        (f.name.empty() ? name_ : size_)->setFocus();
        return;
    }
    const std::pair<const char*, Length SkirtFlat::*> slots_of[] = {{"waist", &SkirtFlat::waist},
                                                                    {"hip", &SkirtFlat::hip},
                                                                    {"waist_to_hip", &SkirtFlat::waist_to_hip},
                                                                    {"length", &SkirtFlat::length},
                                                                    {"front_dart", &SkirtFlat::front_dart},
                                                                    {"back_dart", &SkirtFlat::back_dart},
                                                                    {"flare", &SkirtFlat::flare},
                                                                    {"allowance", &SkirtFlat::allowance},
                                                                    {"hem_allowance", &SkirtFlat::hem_allowance},
                                                                    {"band_depth", &SkirtFlat::band_depth}};
    for (const auto& [key, slot] : slots_of) {
        auto* field = fields_.at(key);
        const auto l = parse_length(field->edit().text().toStdString(), look_.unit());
        if (!l) {
            field->say(words::refusal(l.error(), look_.unit()), true);
            field->edit().setFocus();
            return;
        }
        f.*slot = *l;
    }
    const auto ok = room_.take_skirt(f);
    if (!ok) {
        said_->setText(words::refusal(ok.error(), look_.unit()));
        const auto it = fields_.find(QString::fromStdString(ok.error().field));
        if (it != fields_.end()) it->second->edit().setFocus();
        return;
    }
    accept();
}

GuideDialog::GuideDialog(Look& look, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Guide"));
    const std::pair<QString, QString> lines[] = {
        {tr("Tape"), tr("Type each reading as you read it: 84.6, 33 1/4, 100,5 cm. Enter keeps it and moves on. "
                        "Two readings; a third when they disagree. The round above the figure says which "
                        "measures; any may be skipped.")},
        {tr("Chart"), tr("The diamond is the wearer, the ticks are the maker's body sizes. Click a size or use "
                         "the arrows; B blends or takes one size, E says what it is and how it is worn.")},
        {tr("Plan"), tr("Each card is one adjustment in the order of fitting. Space accepts or leaves it, + and − "
                        "change the amount, A types one.")},
        {tr("Paper"), tr("Do the steps with scissors and tape, one at a time: → and ←. O shows the pattern as "
                         "bought, F the finished paper, Z zooms to the cut, M shows lengths.")},
        {tr("Print"), tr("Full-size sheets to tape, practice sheets to rehearse, a work card for the table. "
                         "Measure the test square before taping.")},
        {tr("Anywhere"), tr("Ctrl 1–5 station · Ctrl Z and Ctrl Shift Z undo, redo · Ctrl U cm or inches · F8 "
                            "indigo night · Ctrl + and Ctrl − text size · F6 next part")},
        {tr("Care"), tr("Blades closed when put down, pins along the body and not at it, mind the hot iron. Local "
                        "rules and trained people come first.")}};
    for (const auto& [name, text] : lines) {
        column->addWidget(heading(look, name, 16, this));
        column->addWidget(label(look, text, 14, false, this));
    }
    auto* close = new Button{look, tr("Close"), ButtonKind::Primary, this};
    connect(close, &Button::clicked, this, &QDialog::accept);
    column->addWidget(close, 0, Qt::AlignLeft);
    setMinimumWidth(640);
}

}  // namespace sartorum::desk
