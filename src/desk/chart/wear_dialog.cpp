#include "desk/chart/wear_dialog.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr Measure girths[] = {Measure::Bust, Measure::Waist, Measure::Hip, Measure::UpperArm, Measure::Thigh};

}  // namespace

WearDialog::WearDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    const auto& plan = room.plan();
    auto* column = sheet(*this, look, tr("What it is, and how it is worn"));
    auto* grid = new FieldGrid{this, look};
    QStringList kinds;
    for (const auto k : {GarmentKind::Top, GarmentKind::Dress, GarmentKind::Skirt, GarmentKind::Trousers,
                         GarmentKind::Bra, GarmentKind::AllInOne})
        kinds << words::kind_name(k);
    kind_ = combo(this, tr("Garment"), kinds, static_cast<int>(plan.choosing.kind), "wear_kind");
    kind_->setEnabled(!room.pattern());
    cut_ =
        combo(this, tr("Cut"), {tr("fitted or straight"), tr("full or gathered")}, plan.choosing.full, "wear_cut");
    cloth_ = combo(this, tr("Cloth"), {tr("woven"), tr("knit")}, plan.cloth.knit, "wear_cloth");
    stretch_ = line_edit(this, tr("Stretch in percent"), "wear_stretch");
    stretch_->setText(plan.cloth.stretch > 0 ? QString::number(plan.cloth.stretch * 100) : QString{});
    stretch_->setPlaceholderText(tr("10 cm stretch to 13: 30"));
    seated_ = combo(this, tr("Worn"), {tr("standing and walking"), tr("mostly seated")}, plan.choosing.seated,
                    "wear_seated");
    grid->add(tr("Garment"), kind_);
    grid->add(tr("Cut"), cut_);
    grid->add(tr("Cloth"), cloth_);
    grid->add(tr("Stretch, %"), stretch_);
    grid->add(tr("Worn"), seated_);
    QStringList ways;
    for (const auto w : {SidesWay::Usual, SidesWay::Apart, SidesWay::Larger}) ways << words::sides_way_name(w);
    sides_ =
        combo(this, tr("Right and left, where they differ"), ways, static_cast<int>(plan.sides), "wear_sides");
    grid->add(tr("Right and left, where they differ"), sides_);
    sewn_ = combo(this, tr("How far it is"), {tr("on paper, or being cut"), tr("sewn already")}, plan.sewn,
                  "wear_sewn");
    sewn_->setEnabled(room.pattern() && room.computed());
    grid->add(tr("How far it is"), sewn_);
    column->addLayout(grid);
    column->addWidget(heading(look, tr("Your own ease"), 16, this));
    column->addWidget(
        label(look,
              tr("Empty keeps the designer's. All round, over the body; a knit may be less than the body "
                 "(−2)."),
              14, false, this));
    auto* eases = new FieldGrid{this, look, static_cast<int>(std::size(girths))};
    for (const auto m : girths) {
        if (!room.chart() || !room.chart()->prints(m)) continue;
        auto* field = new LengthField{look, tr("Ease at the %1").arg(words::measure_name(m).toLower()), this};
        field->edit().setObjectName(QString{"ease_"} + QString::fromStdString(std::string{facts(m).key}));
        if (const auto wish = plan.ease.find(m); wish != plan.ease.end()) field->show_value(wish->second);
        ease_[m] = eases->add(words::measure_name(m), field);
    }
    column->addLayout(eases);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("wear_said");
    column->addWidget(said_);
    const auto ask = [this] {
        const bool asked = cloth_->currentIndex() == 1 && stretch_->text().trimmed().isEmpty();
        said_->setText(asked ? words::stretch_asked() : QString{});
    };
    connect(cloth_, &QComboBox::currentIndexChanged, this, ask);
    connect(stretch_, &QLineEdit::textChanged, this, ask);
    ask();
    column->addWidget(keep_or_leave(*this, look, tr("Keep"), "keep_wear", [this] { take(); }));
    setMinimumWidth(640);
}

void WearDialog::take()
{
    ChoiceWish wish = room_.plan().choosing;
    const auto kind = static_cast<GarmentKind>(kind_->currentIndex());
    if (kind != wish.kind) wish.school.reset();
    wish.kind = kind;
    wish.full = cut_->currentIndex() == 1;
    wish.seated = seated_->currentIndex() == 1;
    Cloth cloth{cloth_->currentIndex() == 1, 0};
    const QString typed = stretch_->text().trimmed().remove('%').replace(',', '.');
    if (!typed.isEmpty()) {
        bool number = false;
        const double percent = typed.toDouble(&number);
        if (!number || percent < 0 || percent > 150) {
            said_->setText(tr("“%1” is no stretch. Lay 10 cm along a ruler and pull: to 13 cm is 30.").arg(typed));
            stretch_->setFocus();
            return;
        }
        cloth.stretch = percent / 100;
    }
    EaseWishes ease = room_.plan().ease;
    for (const auto& [m, field] : ease_) {
        const auto text = field->edit().text().trimmed();
        if (text.isEmpty()) {
            ease.erase(m);
            continue;
        }
        const auto value = parse_length(text.toStdString(), look_.unit());
        if (!value || abs(*value) > Length::mm(800)) {
            said_->setText(value ? tr("%1: ease beyond 80 cm is not meant, is it?").arg(words::measure_name(m))
                                 : words::refusal(value.error(), look_.unit()));
            field->edit().setFocus();
            return;
        }
        ease[m] = *value;
    }
    room_.wear(wish, cloth, ease, static_cast<SidesWay>(sides_->currentIndex()));
    room_.say_sewn(sewn_->currentIndex() == 1);
    accept();
}

}  // namespace sartorum::desk
