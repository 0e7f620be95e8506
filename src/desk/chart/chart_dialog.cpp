#include "desk/chart/chart_dialog.h"

#include <QApplication>
#include <QClipboard>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QKeyEvent>
#include <QTableWidget>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int most_rows = 70;
constexpr int most_columns = 70;

QString understood_text(const formats::ChartRead& read)
{
    const auto& u = read.understood;
    const auto& chart = read.chart;
    const auto named = [](const std::vector<Measure>& measures) {
        QStringList out;
        for (const auto m : measures) out << words::measure_name(m).toLower();
        return out.join(", ");
    };
    QStringList out;
    const QString first = QString::fromStdString(chart.sizes.front().name);
    const QString last = QString::fromStdString(chart.sizes.back().name);
    out << ChartDialog::tr("%1 sizes, %2 to %3, standing %4.")
               .arg(chart.sizes.size())
               .arg(first, last, u.sizes_across ? ChartDialog::tr("across") : ChartDialog::tr("down"));
    if (chart.groups().size() > 1) {
        QStringList groups;
        for (const auto& g : chart.groups()) groups << QString::fromStdString(g);
        out << ChartDialog::tr("Body types: %1.").arg(groups.join(", "));
    }
    out << ChartDialog::tr("Body: %1.").arg(named(u.body));
    if (!u.finished.empty()) out << ChartDialog::tr("Finished garment: %1.").arg(named(u.finished));
    const QString unit = QString::fromStdString(std::string{unit_text(u.unit)});
    out << (u.unit_guessed ? ChartDialog::tr("No unit is written; the numbers look like %1.").arg(unit)
                           : ChartDialog::tr("In %1.").arg(unit));
    if (u.ranges > 0) out << ChartDialog::tr("%1 ranges; their middle counts.").arg(u.ranges);
    if (const auto cup = chart.drafted_cup.find(""); cup != chart.drafted_cup.end())
        out << ChartDialog::tr("Drafted for cup %1.").arg(QString::fromStdString(cup->second));
    if (!chart.cups.empty()) out << ChartDialog::tr("The maker's own cup table: %1 rows.").arg(chart.cups.size());
    if (chart.allowance) out << ChartDialog::tr("Allowance %1.").arg(words::amount(*chart.allowance, u.unit));
    if (chart.height_from && chart.height_to)
        out << ChartDialog::tr("For heights %1 to %2.")
                   .arg(words::number(*chart.height_from, u.unit), words::number(*chart.height_to, u.unit));
    for (const auto& v : chart.views) out << words::view_text(v);
    return out.join(" ");
}

}  // namespace

ChartDialog::ChartDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("The maker's size chart"));
    column->addWidget(
        label(look,
              tr("As it is printed: sizes down or across, one line naming the measures (size, bust, waist, "
                 "hip, finished hip …). Ranges like 92-96 are fine. Lines such as “drafted cup, B”, "
                 "“allowance, 1.5” or “height, 160-170” may stand beside. Ctrl V pastes a table."),
              14, false, this));
    auto* top = new QHBoxLayout;
    maker_ = line_edit(this, tr("Maker"), "chart_maker");
    maker_->setPlaceholderText(tr("maker"));
    name_ = line_edit(this, tr("Pattern or chart name"), "chart_name");
    name_->setPlaceholderText(tr("pattern or chart"));
    unit_ = new Choices{look, {tr("as written"), tr("cm"), tr("in")}, tr("Unit where none is written"), this};
    unit_->setObjectName("chart_unit");
    top->addWidget(maker_, 2);
    top->addWidget(name_, 2);
    top->addWidget(unit_);
    column->addLayout(top);
    table_ = new QTableWidget{12, 8, this};
    table_->setObjectName("chart_table");
    table_->setAccessibleName(tr("Size chart"));
    table_->horizontalHeader()->hide();
    table_->verticalHeader()->hide();
    table_->horizontalHeader()->setDefaultSectionSize(112);
    table_->setMinimumHeight(320);
    filling_ = true;
    const QString heads[] = {"size", "bust", "waist", "hip"};
    for (int c = 0; c < 4; ++c) table_->setItem(0, c, new QTableWidgetItem{heads[c]});
    filling_ = false;
    table_->setCurrentCell(1, 0);
    table_->setFocus();
    column->addWidget(table_, 1);
    said_ = label(look, {}, 14, false, this);
    said_->setObjectName("chart_said");
    said_->setMinimumHeight(62);
    said_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    column->addWidget(said_);
    auto* buttons = new QHBoxLayout;
    keep_ = new Button{look, tr("Take this chart"), ButtonKind::Primary, this};
    keep_->setObjectName("take_chart");
    auto* leave = new Button{look, tr("Leave it"), ButtonKind::Plain, this};
    auto* past = new Button{look, tr("Paste"), ButtonKind::Plain, this};
    past->setObjectName("paste_chart");
    buttons->addWidget(keep_);
    buttons->addWidget(leave);
    buttons->addStretch();
    buttons->addWidget(past);
    column->addLayout(buttons);
    setMinimumSize(980, 600);
    connect(keep_, &Button::clicked, this, &ChartDialog::take);
    connect(leave, &Button::clicked, this, &QDialog::reject);
    connect(past, &Button::clicked, this, &ChartDialog::paste);
    table_->installEventFilter(this);
    connect(unit_, &Choices::picked, this, [this](int i) {
        unit_->choose(i);
        preview();
    });
    connect(table_, &QTableWidget::cellChanged, this, [this](int r, int c) {
        if (filling_) return;
        if (r + 1 == table_->rowCount() && r + 1 < most_rows) table_->insertRow(r + 1);
        if (c + 1 == table_->columnCount() && c + 1 < most_columns) table_->insertColumn(c + 1);
        preview();
    });
    preview();
}

bool ChartDialog::eventFilter(QObject* watched, QEvent* e)
{
    if (watched == table_ && e->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(e)->matches(QKeySequence::Paste)) {
        paste();
        return true;
    }
    return QDialog::eventFilter(watched, e);
}

void ChartDialog::fill(const std::vector<formats::ChartLine>& from, const QString& name)
{
    filling_ = true;
    table_->clearContents();
    int row = 0;
    for (const auto& l : from) {
        if (row >= most_rows) break;
        // The maker and the name have their own fields.
        const QString key = QString::fromStdString(l.cells.front()).toLower();
        if ((key == "maker" || key == "name") && l.cells.size() > 1) {
            (key == "maker" ? maker_ : name_)->setText(QString::fromStdString(l.cells[1]));
            continue;
        }
        const int columns = std::min<int>(most_columns, static_cast<int>(l.cells.size()));
        if (row + 2 > table_->rowCount()) table_->setRowCount(row + 2);
        if (columns + 1 > table_->columnCount()) table_->setColumnCount(columns + 1);
        for (int c = 0; c < columns; ++c)
            table_->setItem(row, c,
                            new QTableWidgetItem{QString::fromStdString(l.cells[static_cast<std::size_t>(c)])});
        ++row;
    }
    filling_ = false;
    if (name_->text().isEmpty()) name_->setText(name);
    preview();
}

void ChartDialog::correct()
{
    if (!room_.printed_chart()) return;
    correcting_ = true;
    keep_->setText(tr("Put it right"));
    const auto lines = formats::chart_lines(formats::write_chart_csv(*room_.printed_chart(), look_.unit()));
    if (lines) fill(*lines);
}

void ChartDialog::paste()
{
    const auto text = QApplication::clipboard()->text().left(200000).toStdString();
    const auto pasted = formats::chart_lines(text);
    if (!pasted) {
        said_->setText(words::refusal(pasted.error(), look_.unit()));
        return;
    }
    if (!pasted->empty()) fill(*pasted);
}

std::vector<formats::ChartLine> ChartDialog::lines() const
{
    std::vector<formats::ChartLine> out;
    for (int r = 0; r < table_->rowCount(); ++r) {
        formats::ChartLine l{r + 1, {}};
        for (int c = 0; c < table_->columnCount(); ++c)
            l.cells.push_back(table_->item(r, c) ? table_->item(r, c)->text().trimmed().toStdString()
                                                 : std::string{});
        const bool blank =
            std::all_of(l.cells.begin(), l.cells.end(), [](const std::string& text) { return text.empty(); });
        if (!blank) out.push_back(std::move(l));
    }
    return out;
}

Outcome<formats::ChartRead> ChartDialog::read() const
{
    const auto unit = unit_->chosen() == 1   ? std::optional{Unit::Centimetre}
                      : unit_->chosen() == 2 ? std::optional{Unit::Inch}
                                             : std::nullopt;
    auto read = formats::read_chart(lines(), unit);
    if (!read) return read;
    const auto name = name_->text().trimmed().toStdString();
    const auto maker = maker_->text().trimmed().toStdString();
    if (!maker.empty() || read->chart.maker.empty()) read->chart.maker = maker.empty() ? name : maker;
    if (!name.empty() || read->chart.name.empty()) read->chart.name = name.empty() ? maker : name;
    return read;
}

void ChartDialog::preview()
{
    const auto got = read();
    const bool untouched = !got && lines().size() < 2;
    auto colours = said_->palette();
    colours.setColor(QPalette::WindowText, got         ? look_.dyes().lichen_ink
                                           : untouched ? look_.dyes().faded
                                                       : look_.dyes().madder_ink);
    said_->setPalette(colours);
    said_->setText(untouched ? tr("Nothing is typed yet.")
                   : got     ? tr("Understood: %1").arg(understood_text(*got))
                             : words::refusal(got.error(), look_.unit()));
}

void ChartDialog::take()
{
    table_->setCurrentItem(nullptr);  // ends an edit in progress, so that its text counts
    const auto got = read();
    if (!got) {
        preview();
        if (got.error().line > 0) table_->selectRow(got.error().line - 1);
        return;
    }
    const auto ok = correcting_ ? room_.change_chart(got->chart) : room_.take_chart(got->chart);
    if (!ok) {
        said_->setText(words::refusal(ok.error(), look_.unit()));
        return;
    }
    accept();
}

}  // namespace sartorum::desk
