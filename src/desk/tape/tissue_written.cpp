#include "desk/tape/tissue_written.h"

#include <QGridLayout>

#include "desk/dialogs/sheet.h"
#include "words/tissue.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr TissueLine written_lines[] = {TissueLine::Allowance, TissueLine::FrontAllowance,
                                        TissueLine::HemAllowance};

}  // namespace

TissueWritten::TissueWritten(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* grid = grid_ = new QGridLayout{this};
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(10);
    grid->setVerticalSpacing(3);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    name_ = line_edit(this, tr("Pattern name"), "tissue_name");
    maker_ = line_edit(this, tr("Maker"), "tissue_maker");
    size_ = combo(this, tr("Size in hand"), {}, -1, "tissue_size");
    size_->setEditable(true);
    size_->lineEdit()->setMaxLength(24);
    size_->lineEdit()->setAccessibleName(tr("Size in hand"));
    size_->setInsertPolicy(QComboBox::NoInsert);
    add(tr("Pattern name"), name_);
    add(tr("Maker"), maker_);
    add(tr("Size in hand"), size_);
    connect(name_, &QLineEdit::editingFinished, this, &TissueWritten::rename);
    connect(name_, &QLineEdit::returnPressed, this, [this] {
        rename();
        emit done();
    });
    connect(maker_, &QLineEdit::editingFinished, this, &TissueWritten::rename);
    connect(size_->lineEdit(), &QLineEdit::editingFinished, this,
            [this] { room_.take_size(size_->currentText()); });
    connect(size_, &QComboBox::activated, this, [this] { room_.take_size(size_->currentText()); });
    for (std::size_t i = 0; i < tissue_note_count; ++i) {
        const auto note = static_cast<TissueNote>(i);
        const auto object = "tissue_" + std::string{facts(note).key};
        auto* c = combo(this, words::tissue_note(note), words::tissue_note_words(note), 0, object.c_str());
        c->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        c->setMinimumContentsLength(6);
        notes_[note] = c;
        add(words::tissue_note(note), c);
        connect(c, &QComboBox::activated, this, [this, note](int at) { room_.write_on_tissue(note, at); });
    }
    for (const auto line : written_lines) {
        auto* f = new LengthField{look, words::tissue_line(line, {}), this};
        f->edit().setObjectName(QString{"tissue_"} + QString::fromStdString(std::string{facts(line).key}));
        f->check = [line](Length l) {
            auto never = out_of_range(line, l);
            if (never) never->field = words::tissue_line(line, {}).toStdString();
            return never;
        };
        lengths_[line] = f;
        add(words::tissue_line(line, {}), f);
        connect(f, &LengthField::entered, this, [this, line](Length l) {
            room_.keep_line(line, TissueValue{TissueState::Measured, l});
        });
        connect(f, &LengthField::cleared, this, [this, line] { room_.keep_line(line, {}); });
    }
}

void TissueWritten::add(const QString& name, QWidget* field)
{
    auto* box = new QWidget{this};
    auto* stack = new QVBoxLayout{box};
    stack->setContentsMargins(0, 0, 0, 4);
    stack->setSpacing(2);
    stack->addWidget(caption(look_, name, box));
    stack->addWidget(field);
    boxes_.push_back(box);
}

// Two beside each other, where their words have room.
void TissueWritten::lay_out()
{
    const int columns = look_.scale() > roomy_text ? 1 : 2;
    int n = 0;
    for (auto* box : boxes_) {
        if (box->isHidden()) continue;
        grid_->addWidget(box, n / columns, n % columns, Qt::AlignTop);
        ++n;
    }
    grid_->setColumnStretch(1, columns - 1);
}

void TissueWritten::rename()
{
    if (!room_.tissue()) return;
    Tissue t = *room_.tissue();
    t.name = name_->text().trimmed().toStdString();
    t.maker = maker_->text().trimmed().toStdString();
    room_.keep_tissue(t, tr("name of a tissue"));
}

void TissueWritten::focus_name()
{
    name_->setFocus();
    name_->selectAll();
}

void TissueWritten::refresh()
{
    const auto& tissue = room_.tissue();
    if (!tissue) return;
    const bool pattern = tissue->kind != TissueKind::Girth;
    const auto stand = [](QLineEdit* e, const std::string& text) {
        if (e->hasFocus()) return;
        e->setText(QString::fromStdString(text));
        e->setCursorPosition(0);
    };
    stand(name_, tissue->name);
    stand(maker_, tissue->maker);
    for (QWidget* w : {static_cast<QWidget*>(name_), static_cast<QWidget*>(maker_)})
        w->parentWidget()->setVisible(pattern);
    size_->clear();
    for (const auto& s : tissue->sizes) size_->addItem(QString::fromStdString(s.name));
    if (room_.chart()) {
        for (const auto& s : room_.chart()->sizes) {
            if (!tissue->size_named(s.name)) size_->addItem(QString::fromStdString(s.name));
        }
    }
    size_->setCurrentText(QString::fromStdString(tissue->size));
    const auto asked = notes_of(*tissue);
    for (const auto& [note, c] : notes_) {
        c->parentWidget()->setVisible(std::find(asked.begin(), asked.end(), note) != asked.end());
        c->setCurrentIndex(tissue->note(note));
    }
    const auto lines = tissue->in_hand() ? lines_of(*tissue, *tissue->in_hand()) : std::vector<TissueLine>{};
    const auto known =
        tissue->in_hand() ? resolved(*tissue, *tissue->in_hand(), room_.tissue_chart()) : TissueLengths{};
    for (const auto& [line, f] : lengths_) {
        f->parentWidget()->setVisible(std::find(lines.begin(), lines.end(), line) != lines.end());
        if (f->edit().hasFocus() && !f->value() && !f->edit().text().isEmpty()) continue;
        f->show_value(measured(*tissue->in_hand(), line));
        f->edit().setPlaceholderText(known.contains(line) ? words::number(known.at(line), look_.unit())
                                                          : QString{});
    }
    lay_out();
}

}  // namespace sartorum::desk
