#include "desk/tape/dialogs.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLocale>
#include <QTableWidget>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

QString date_text(const std::string& iso)
{
    return QLocale{QLocale::English}.toString(QDate::fromString(QString::fromStdString(iso), Qt::ISODate),
                                              "d MMMM yyyy");
}

}  // namespace

TapeCheckDialog::TapeCheckDialog(Look& look, Room& room, QWidget* parent)
    : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("The tape against a rigid ruler"));
    column->addWidget(
        label(look,
              tr("Soft tapes stretch, and their ends wear. Lay the tape along a steel or wooden rule, "
                 "easy, not pulled, and read where the rule ends. The longer the rule, the surer. A "
                 "second length, far from the first, tells a worn end from stretch."),
              14, false, this));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(18);
    const auto& at = room.body().tape.at();
    const QString names[] = {tr("Ruler"), tr("Tape shows"), tr("Second length, ruler"), tr("Tape shows there")};
    const char* objects[] = {"check_ruler_1", "check_tape_1", "check_ruler_2", "check_tape_2"};
    for (int i = 0; i < 4; ++i) {
        auto* field = new LengthField{look, names[i], this};
        field->edit().setObjectName(objects[i]);
        const auto row = static_cast<std::size_t>(i / 2);
        if (row < at.size()) field->show_value(i % 2 == 0 ? at[row].ruler : at[row].tape);
        grid->addWidget(label(look, names[i], 14, true, this), i / 2 * 2, i % 2);
        grid->addWidget(field, i / 2 * 2 + 1, i % 2);
        connect(&field->edit(), &QLineEdit::textChanged, this, &TapeCheckDialog::preview);
        fields_[static_cast<std::size_t>(i)] = field;
    }
    column->addLayout(grid);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("check_said");
    column->addWidget(said_);
    column->addWidget(
        keep_or_leave(*this, look, tr("Correct the readings by this"), "keep_check", [this] { take(); }));
    setMinimumWidth(560);
    preview();
}

Outcome<TapeCheck> TapeCheckDialog::read() const
{
    std::vector<TapeAtRuler> at;
    for (std::size_t i = 0; i < 4; i += 2) {
        const auto& ruler = fields_[i]->edit();
        const auto& tape = fields_[i + 1]->edit();
        if (ruler.text().trimmed().isEmpty() && tape.text().trimmed().isEmpty()) continue;
        const auto r = parse_length(ruler.text().toStdString(), look_.unit());
        const auto t = parse_length(tape.text().toStdString(), look_.unit());
        if (!r) return tl::make_unexpected(r.error());
        if (!t) return tl::make_unexpected(t.error());
        at.push_back({*r, *t});
    }
    return TapeCheck::from(std::move(at));
}

void TapeCheckDialog::preview()
{
    const auto check = read();
    said_->setText(check ? words::tape_check(*check, look_.unit()) : words::refusal(check.error(), look_.unit()));
}

void TapeCheckDialog::take()
{
    const auto check = read();
    if (!check) return preview();
    room_.keep_tape_check(*check);
    accept();
}

DayDialog::DayDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    const auto& body = room.body();
    auto* column = sheet(*this, look, tr("The day, and how the body stands"));
    column->addWidget(
        label(look, tr("These tell, next time, whether the numbers still hold. They stay in your notebook."), 14,
              false, this));
    const auto line = [&](const QString& name, const std::string& text, const char* object) {
        column->addWidget(label(look, name, 14, true, this));
        auto* edit = new QLineEdit{QString::fromStdString(text), this};
        edit->setAccessibleName(name);
        edit->setObjectName(object);
        edit->setMaxLength(400);
        column->addWidget(edit);
        return edit;
    };
    worn_ = line(tr("Worn under the tape"), body.worn, "day_worn");
    weight_ = line(tr("Weight that day, kg (if you like)"),
                   body.weight_kg ? QString::number(*body.weight_kg).toStdString() : std::string{}, "day_weight");
    note_ = line(tr("Note"), body.note, "day_note");
    // Large text makes the sheet wider rather than taller than the screen.
    const int columns = look.scale() > roomy_text ? 3 : 2;
    auto* grid = new FieldGrid{this, look, columns};
    const QStringList stances{tr("not looked at"), tr("back"), tr("centred"), tr("forward")};
    ball_ = grid->add(tr("Ball of the shoulder"), combo(this, tr("Ball of the shoulder"), stances,
                                                        static_cast<int>(body.posture.ball), "day_ball"));
    neck_ =
        grid->add(tr("Neck"), combo(this, tr("Neck"), stances, static_cast<int>(body.posture.neck), "day_neck"));
    round_back_ =
        grid->add(tr("High round back"),
                  combo(this, tr("High round back"), {tr("not looked at"), tr("none"), tr("slight"), tr("marked")},
                        static_cast<int>(body.posture.round_back), "day_round_back"));
    slope_ = grid->add(
        tr("Shoulder slope, as a toile showed"),
        combo(this, tr("Shoulder slope"), {tr("not looked at"), tr("square"), tr("middling"), tr("sloping")},
              static_cast<int>(body.posture.slope), "day_slope"));
    hollow_ = grid->add(tr("Hollow above the seat, or folds there"),
                        combo(this, tr("Hollow above the seat"), {tr("not looked at"), tr("none"), tr("seen")},
                              static_cast<int>(body.posture.hollow), "day_hollow"));
    column->addLayout(grid);
    QStringList slopes;
    for (const auto side : {Side::Right, Side::Left}) {
        if (const auto a = shoulder_slope_degrees(body, side))
            slopes << tr("%1 %2°").arg(words::side_name(side)).arg(*a, 0, 'f', 1);
    }
    column->addWidget(
        label(look,
              slopes.isEmpty() ? tr("The slope in degrees follows from neck point height, shoulder tip height and "
                                    "shoulder length.")
                               : tr("Slope from the heights: %1.").arg(slopes.join(", ")),
              14, false, this));
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("day_said");
    column->addWidget(said_);
    column->addWidget(keep_or_leave(*this, look, tr("Keep"), "keep_day", [this] { take(); }));
    setMinimumWidth(columns > 2 ? 760 : 560);
}

void DayDialog::take()
{
    BodySet body = room_.body();
    const QString kg = weight_->text().trimmed().replace(',', '.').remove("kg").trimmed();
    body.weight_kg.reset();
    if (!kg.isEmpty()) {
        bool number = false;
        const double value = kg.toDouble(&number);
        if (!number || value < 2 || value > 500) {
            said_->setText(tr("“%1” is not a weight in kg. Write it like 68 or 68.5, or leave it empty.")
                               .arg(weight_->text()));
            weight_->setFocus();
            return;
        }
        body.weight_kg = value;
    }
    body.worn = worn_->text().trimmed().toStdString();
    body.note = note_->text().trimmed().toStdString();
    body.posture = {static_cast<Stance>(ball_->currentIndex()), static_cast<Stance>(neck_->currentIndex()),
                    static_cast<RoundBack>(round_back_->currentIndex()),
                    static_cast<SlopeSeen>(slope_->currentIndex()), static_cast<Hollow>(hollow_->currentIndex())};
    room_.keep_circumstances(body);
    accept();
}

DatesDialog::DatesDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("Two dates"));
    auto* row = new QHBoxLayout;
    QStringList dates;
    for (const auto& set : room.history()) dates << date_text(set.date);
    from_ = combo(this, tr("Earlier date"), dates, std::max(0, static_cast<int>(dates.size()) - 2), "date_from");
    to_ = combo(this, tr("Later date"), dates, static_cast<int>(dates.size()) - 1, "date_to");
    row->addWidget(from_, 1);
    row->addWidget(to_, 1);
    column->addLayout(row);
    table_ = new QTableWidget{0, 4, this};
    table_->setObjectName("dates_table");
    table_->setAccessibleName(tr("Measures at two dates"));
    table_->verticalHeader()->hide();
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    table_->setMinimumHeight(380);
    column->addWidget(table_);
    auto* done = new Button{look, tr("Close"), ButtonKind::Primary, this};
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(done);
    buttons->addStretch();
    column->addLayout(buttons);
    connect(done, &Button::clicked, this, &QDialog::accept);
    for (auto* box : {from_, to_}) connect(box, &QComboBox::currentIndexChanged, this, &DatesDialog::refresh);
    setMinimumWidth(620);
    refresh();
}

void DatesDialog::refresh()
{
    const auto& history = room_.history();
    if (history.empty()) return;
    const auto& a = history[static_cast<std::size_t>(from_->currentIndex())];
    const auto& b = history[static_cast<std::size_t>(to_->currentIndex())];
    table_->setHorizontalHeaderLabels({tr("Measure"), from_->currentText(), to_->currentText(), tr("moved by")});
    table_->setRowCount(0);
    for (const auto& f : all_measures) {
        const auto x = a.taken(f.measure);
        const auto y = b.taken(f.measure);
        if (!x && !y) continue;
        const int r = table_->rowCount();
        table_->insertRow(r);
        const auto put = [&](int c, const QString& text) {
            auto* item = new QTableWidgetItem{text};
            if (c > 0) item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            table_->setItem(r, c, item);
        };
        put(0, words::measure_name(f.measure));
        put(1, x ? words::number(x->value, look_.unit()) : QString{"–"});
        put(2, y ? words::number(y->value, look_.unit()) : QString{"–"});
        const bool both = x && y;
        const bool inside = both && abs(y->value - x->value) <= x->spread + y->spread;
        put(3, !both    ? QString{}
               : inside ? tr("%1, within measuring").arg(words::number(y->value - x->value, look_.unit(), true))
                        : words::number(y->value - x->value, look_.unit(), true));
    }
    table_->resizeColumnsToContents();
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
}

}  // namespace sartorum::desk
