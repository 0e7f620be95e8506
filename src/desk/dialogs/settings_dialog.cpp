#include "desk/dialogs/settings_dialog.h"

#include <QButtonGroup>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QPushButton>
#include <QRadioButton>
#include <cmath>

#include "desk/dialogs/sheet.h"

namespace sartorum::desk {
namespace {

// A row of buttons of which one is down.
QWidget* one_of(QWidget* parent, const QString& name, const QStringList& words, int chosen,
                const std::function<void(int)>& take)
{
    auto* row = new QWidget{parent};
    row->setAccessibleName(name);
    auto* layout = new QHBoxLayout{row};
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(18);
    auto* group = new QButtonGroup{row};
    for (int i = 0; i < words.size(); ++i) {
        auto* button = new QRadioButton{words[i], row};
        button->setAccessibleName(name + ": " + words[i]);
        button->setChecked(i == chosen);
        group->addButton(button, i);
        layout->addWidget(button);
    }
    layout->addStretch();
    QObject::connect(group, &QButtonGroup::idClicked, row, take);
    return row;
}

}  // namespace

SettingsDialog::SettingsDialog(Look& look, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Settings"));
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(24);
    form->setVerticalSpacing(14);
    form->addRow(tr("Lengths in"),
                 one_of(this, tr("Lengths in"), {tr("centimetres"), tr("inches")}, look.unit() == Unit::Inch,
                        [&look](int i) { look.set_unit(i == 1 ? Unit::Inch : Unit::Centimetre); }));
    constexpr int least = 90;
    constexpr int most = 150;
    constexpr int apart = 10;
    QStringList sizes;
    for (int percent = least; percent <= most; percent += apart) sizes << tr("%1 %").arg(percent);
    const auto now = static_cast<int>(std::lround((look.scale() * 100 - least) / apart));
    auto* size = combo(this, tr("Text size"), sizes, now, "text_size");
    size->setMaximumWidth(160);
    connect(size, &QComboBox::activated, this, [&look](int i) { look.set_scale((least + i * apart) / 100.0); });
    form->addRow(tr("Text size"), size);
    form->addRow(tr("Colours"), one_of(this, tr("Colours"), {tr("day"), tr("night"), tr("as the desktop")},
                                       static_cast<int>(look.theme()),
                                       [&look](int i) { look.set_theme(static_cast<Theme>(i)); }));
    column->addLayout(form);
    column->addStretch();
    auto* buttons = new QDialogButtonBox{QDialogButtonBox::Close, this};
    buttons->button(QDialogButtonBox::Close)->setDefault(true);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::accept);
    column->addWidget(buttons);
    setMinimumWidth(480);
}

}  // namespace sartorum::desk
