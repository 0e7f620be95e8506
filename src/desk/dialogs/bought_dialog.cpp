#include "desk/dialogs/bought_dialog.h"

#include <QDir>
#include <QGridLayout>
#include <QStandardPaths>

#include "desk/dialogs/sheet.h"
#include "formats/work_card.h"
#include "words/sewn.h"

namespace sartorum::desk {
namespace {

// Nothing a file system trips over.
QString file_name(const QString& name)
{
    QString out;
    for (const QChar c : name) out += c.isLetterOrNumber() ? c : QChar{'-'};
    return out;
}

}  // namespace

BoughtDialog::BoughtDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("A pair that was bought"));
    auto* what = label(
        look,
        tr("It has no pattern. Measure it laid flat: girths all round, the crotch seams from the upper edge to "
           "the inner leg seam. A usual leg that measures so says where the lower seam goes, and about "
           "what it gives; knee and opening may stay empty."),
        14, false, this);
    what->setWordWrap(true);
    column->addWidget(what);
    name_ = line_edit(this, tr("What it is called"), "bought_name");
    name_->setText(tr("Bought trousers"));
    column->addWidget(name_);
    const Length l = Length::mm(1);
    lines_ = {{&BoughtTrousers::waist, tr("Waist"), nullptr, l * 300, l * 2500},
              {&BoughtTrousers::hip, tr("Hip"), nullptr, l * 400, l * 2800},
              {&BoughtTrousers::crotch_front, tr("Crotch seam, front"), nullptr, l * 120, l * 800},
              {&BoughtTrousers::crotch_back, tr("Crotch seam, back"), nullptr, l * 150, l * 900},
              {&BoughtTrousers::inside_leg, tr("Inside leg"), nullptr, l * 60, l * 1200},
              {&BoughtTrousers::thigh, tr("Thigh, one leg"), nullptr, l * 250, l * 1400},
              {&BoughtTrousers::hem, tr("Hem, one leg"), nullptr, l * 150, l * 1400},
              {&BoughtTrousers::knee, tr("Knee, one leg"), nullptr, l * 0, l * 1400, false},
              {&BoughtTrousers::fly, tr("Front opens by"), nullptr, l * 0, l * 400, false}};
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    const auto put = [&](const QString& name, QWidget* field, int i) {
        constexpr int columns = 3;
        grid->addWidget(label(look, name, 14, true, this), i / columns * 2, i % columns);
        grid->addWidget(field, i / columns * 2 + 1, i % columns, Qt::AlignTop);
    };
    for (std::size_t i = 0; i < lines_.size(); ++i) {
        auto& line = lines_[i];
        line.field = new LengthField{look, line.name, this};
        line.field->edit().setObjectName(QString{"bought_%1"}.arg(i));
        put(line.name, line.field, static_cast<int>(i));
    }
    column->addLayout(grid);
    down_ = new LengthField{look, tr("Lowered by"), this};
    down_->edit().setObjectName("bought_down");
    down_->edit().setPlaceholderText(tr("as the string asks"));
    put(tr("Lowered by"), down_, static_cast<int>(lines_.size()));
    folder_ = line_edit(this, tr("Folder for the card"), "bought_folder");
    folder_->setText(QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation));
    put(tr("Folder for the card"), folder_, static_cast<int>(lines_.size()) + 1);
    auto* work = new Button{look, tr("Work it out"), ButtonKind::Plain, this};
    work->setObjectName("bought_work");
    connect(work, &Button::clicked, this, &BoughtDialog::tell);
    column->addWidget(work);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("bought_said");
    said_->setWordWrap(true);
    column->addWidget(said_);
    column->addWidget(keep_or_leave(*this, look, tr("Save the card"), "keep_bought", [this] { save(); }));
    work->setDefault(true);  // Enter in a field: a file is not saved by it
    setMinimumWidth(760);
}

// What was typed, worked out; none, and why is said, where it cannot be.
std::optional<Computed> BoughtDialog::worked_out()
{
    const auto again = [&](LengthField& field, const QString& name, const QString& why) {
        field.say(why, true);
        said_->setText(tr("%1: measure it again.").arg(name));
        field.edit().setFocus();
        return std::nullopt;
    };
    BoughtTrousers pair;
    pair.name = name_->text().trimmed().toStdString();
    for (const auto& line : lines_) {
        const QString text = line.field->edit().text().trimmed();
        if (text.isEmpty() && !line.needed) continue;
        const auto typed = parse_length(text.toStdString(), look_.unit());
        if (!typed) return again(*line.field, line.name, words::refusal(typed.error(), look_.unit()));
        if (*typed < line.least || *typed > line.most)
            return again(
                *line.field, line.name,
                tr("From %1 to %2.")
                    .arg(words::amount(line.least, look_.unit()), words::amount(line.most, look_.unit())));
        pair.*line.into = *typed;
    }
    std::optional<Length> down;
    if (const QString text = down_->edit().text().trimmed(); !text.isEmpty()) {
        const auto typed = parse_length(text.toStdString(), look_.unit());
        if (!typed) return again(*down_, tr("Lowered by"), words::refusal(typed.error(), look_.unit()));
        down = *typed;
    }
    auto out = bought_lowered(pair, room_.body(), down);
    if (out) return std::move(*out);
    const auto& why = out.error();
    const bool no_leg = why.why == Why::BlockImpossible || why.why == Why::FlatMoreTakenThanThere;
    said_->setText(
        no_leg ? tr("No leg measures so all at once. Look again at the thigh, the hip and the crotch seams.")
        : why.why == Why::AmountMissing
            ? tr("Nothing asks for it: the string was not measured, or the seam is long enough. Type by how "
                 "much it is to be lowered.")
            : words::refusal(why, look_.unit()));
    return std::nullopt;
}

void BoughtDialog::tell()
{
    if (const auto c = worked_out()) {
        const PlanLine& line = *c->line(AdjustmentKind::SewnCrotch);
        said_->setText(
            tr("Lowered by %1. About, by a usual curve: %2")
                .arg(words::amount(line.amount, look_.unit()), words::crotch_lowered_text(*c, look_.unit())));
    }
}

void BoughtDialog::save()
{
    const auto c = worked_out();
    if (!c) return;
    const QString name = name_->text().trimmed().isEmpty() ? tr("Bought trousers") : name_->text().trimmed();
    const formats::PrintLabel label{room_.wearer_name(), name, tr("bought"), tr("sewn"),
                                    room_.today().toString(Qt::ISODate)};
    const QString path = QDir{folder_->text()}.filePath(file_name(name) + "-work-card.pdf");
    const auto written =
        formats::write_work_card(path, *c, label, formats::PaperSize::A4, look_.unit(), formats::IfThere::Refuse);
    if (!written) {
        said_->setText(words::refusal(written.error(), look_.unit()));
        return;
    }
    accept();
}

}  // namespace sartorum::desk
