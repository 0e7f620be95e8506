#include "desk/chart/sizes_dialog.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QTableWidget>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {

SizesDialog::SizesDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Every size, least left to do first"));
    column->addWidget(label(
        look,
        tr("What each size, taken throughout, and the blend that is advised differ by: body less chart. In "
           "brackets what lies within measuring or the printed range, or is less than anybody sews, and needs "
           "nothing."),
        14, false, this));
    const auto& chart = *room.chart();
    const auto& advice = *room.advice();
    std::vector<Measure> measures;
    for (const auto& d : advice.costs.front().left) measures.push_back(d.measure);
    auto* table =
        new QTableWidget{static_cast<int>(advice.ranking.size()), static_cast<int>(measures.size()) + 2, this};
    table->setObjectName("sizes_table");
    table->setAccessibleName(tr("What each size leaves to adjust"));
    table->verticalHeader()->hide();
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    QStringList heads{tr("Size"), tr("To adjust")};
    for (const auto m : measures) heads << words::measure_name(m);
    table->setHorizontalHeaderLabels(heads);
    for (int r = 0; r < table->rowCount(); ++r) {
        const auto& cost = advice.ranking[static_cast<std::size_t>(r)];
        const auto put = [&](int c, const QString& text) {
            auto* item = new QTableWidgetItem{text};
            item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            table->setItem(r, c, item);
        };
        put(0, words::size_names(chart, cost.choice, advice.levels));
        put(1, QString::number(cost.to_adjust));
        for (std::size_t i = 0; i < cost.left.size(); ++i) {
            const auto& d = cost.left[i];
            const QString number = words::number(d.difference, look.unit(), true);
            put(static_cast<int>(i) + 2, d.nothing_to_do() ? "(" + number + ")" : number);
        }
    }
    table->resizeColumnsToContents();
    if (measures.size() <= 9) table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    table->setMinimumSize(std::min(1040, 110 * (static_cast<int>(measures.size()) + 2)), 340);
    column->addWidget(table, 1);
    auto* buttons = new QHBoxLayout;
    auto* done = new Button{look, tr("Close"), ButtonKind::Primary, this};
    buttons->addWidget(done);
    buttons->addStretch();
    column->addLayout(buttons);
    connect(done, &Button::clicked, this, &QDialog::accept);
}

}  // namespace sartorum::desk
