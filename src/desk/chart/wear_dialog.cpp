#include "desk/chart/wear_dialog.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>
#include <iterator>

#include "core/chart/flat_measuring.h"
#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr Measure girths[] = {Measure::Bust, Measure::Waist, Measure::Hip, Measure::UpperArm, Measure::Thigh};

}  // namespace

WearDialog::WearDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    const auto& plan = room.plan();
    auto* column = sheet(*this, look, tr("What it is, and how it is worn"));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    const auto add = [&](int i, const QString& name, QWidget* w) {
        grid->addWidget(label(look, name, 14, true, this), i / 2 * 2, i % 2);
        grid->addWidget(w, i / 2 * 2 + 1, i % 2);
    };
    QStringList kinds;
    for (const auto k :
         {GarmentKind::Top, GarmentKind::Dress, GarmentKind::Skirt, GarmentKind::Trousers, GarmentKind::Bra})
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
    add(0, tr("Garment"), kind_);
    add(1, tr("Cut"), cut_);
    add(2, tr("Cloth"), cloth_);
    add(3, tr("Stretch, %"), stretch_);
    add(4, tr("Worn"), seated_);
    column->addLayout(grid);
    column->addWidget(heading(look, tr("Your own ease"), 16, this));
    column->addWidget(
        label(look,
              tr("Empty keeps the designer's. All round, over the body; a knit may be less than the body "
                 "(−2)."),
              14, false, this));
    auto* eases = new QGridLayout;
    int i = 0;
    for (const auto m : girths) {
        if (!room.chart() || !room.chart()->prints(m)) continue;
        auto* field = new LengthField{look, tr("Ease at the %1").arg(words::measure_name(m).toLower()), this};
        field->edit().setObjectName(QString{"ease_"} + QString::fromStdString(std::string{facts(m).key}));
        if (const auto wish = plan.ease.find(m); wish != plan.ease.end()) field->show_value(wish->second);
        eases->addWidget(label(look, words::measure_name(m), 14, true, this), 0, i);
        eases->addWidget(field, 1, i);
        ease_[m] = field;
        ++i;
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
    column->addLayout(keep_or_leave(*this, look, tr("Keep"), "keep_wear", [this] { take(); }));
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
    room_.wear(wish, cloth, ease);
    accept();
}

FlatDialog::FlatDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("Finished girth from the pieces laid flat"));
    column->addWidget(
        label(look,
              tr("Lay each piece flat. At the level of the measure, from stitching line to stitching line: "
                 "its width, what its darts take there, tucks or pleats, and how often it is cut (on the "
                 "fold counts twice)."),
              14, false, this));
    auto* top = new QHBoxLayout;
    QStringList measures;
    for (const auto m : girths) measures << words::measure_name(m);
    // The first that the chart has a body for and no garment.
    const auto wanted = std::find_if(std::begin(girths), std::end(girths), [&](Measure m) {
        return room.chart()->prints(m) && !room.chart()->finished(0, m);
    });
    const auto first = wanted == std::end(girths) ? 0 : std::distance(std::begin(girths), wanted);
    measure_ = combo(this, tr("Measure"), measures, static_cast<int>(first), "flat_measure");
    QStringList sizes;
    for (const auto& s : room.chart()->sizes) sizes << QString::fromStdString(s.name);
    size_ = combo(this, tr("Size"), sizes, 0, "flat_size");
    const auto chosen_size = [this] {
        const Measure m = girths[measure_->currentIndex()];
        size_->setCurrentIndex(static_cast<int>(size_at(room_.choice(), m)));
    };
    chosen_size();
    top->addWidget(label(look, tr("At the"), 14, true, this));
    top->addWidget(measure_, 1);
    top->addWidget(label(look, tr("of size"), 14, true, this));
    top->addWidget(size_, 1);
    column->addLayout(top);
    grid_ = new QGridLayout;
    grid_->setHorizontalSpacing(10);
    const QString heads[] = {tr("Piece"), tr("Width"),    tr("Darts take"), tr("Folds"),
                             tr("Depth"), tr("How many"), tr("Cut")};
    for (int c = 0; c < 7; ++c) grid_->addWidget(caption(look, heads[c], this), 0, c);
    column->addLayout(grid_);
    for (const auto& piece : {tr("front"), tr("back"), tr("side")}) add_row(piece);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("flat_said");
    column->addWidget(said_);
    column->addLayout(keep_or_leave(*this, look, tr("Keep as finished girth"), "keep_flat", [this] { take(); }));
    connect(measure_, &QComboBox::currentIndexChanged, this, chosen_size);
    connect(measure_, &QComboBox::currentIndexChanged, this, &FlatDialog::preview);
    connect(size_, &QComboBox::currentIndexChanged, this, &FlatDialog::preview);
    setMinimumWidth(880);
    preview();
}

void FlatDialog::add_row(const QString& piece)
{
    const int r = static_cast<int>(rows_.size()) + 1;
    const QString n = QString::number(r);
    const auto length = [&](const QString& name, const QString& object) {
        auto* f = new LengthField{look_, name + " " + piece, this};
        f->edit().setObjectName(object + n);
        connect(&f->edit(), &QLineEdit::textChanged, this, &FlatDialog::preview);
        return f;
    };
    Row row{line_edit(this, tr("Piece"), "flat_piece" + n),
            length(tr("Width"), "flat_width"),
            length(tr("Darts take"), "flat_darts"),
            combo(this, tr("Folds"), {tr("tuck"), tr("knife pleat"), tr("box pleat")}, 0, "flat_fold"),
            length(tr("Depth"), "flat_depth"),
            line_edit(this, tr("How many"), "flat_count" + n),
            combo(this, tr("Cut"), {tr("once"), tr("twice, or on the fold"), tr("three times"), tr("four times")},
                  1, "flat_times")};
    row.piece->setText(piece);
    row.count->setText("1");
    connect(row.count, &QLineEdit::textChanged, this, &FlatDialog::preview);
    connect(row.fold, &QComboBox::currentIndexChanged, this, &FlatDialog::preview);
    connect(row.times, &QComboBox::currentIndexChanged, this, &FlatDialog::preview);
    QWidget* cells[] = {row.piece, row.width, row.darts, row.fold, row.depth, row.count, row.times};
    for (int c = 0; c < 7; ++c) grid_->addWidget(cells[c], r, c, Qt::AlignTop);
    rows_.push_back(row);
}

Outcome<Length> FlatDialog::read() const
{
    std::vector<FlatWidth> widths;
    for (const auto& row : rows_) {
        const auto text = [](LengthField* f) { return f->edit().text().trimmed().toStdString(); };
        if (text(row.width).empty()) continue;
        FlatWidth w;
        w.piece = row.piece->text().trimmed().toStdString();
        w.times = row.times->currentIndex() + 1;
        const auto width = parse_length(text(row.width), look_.unit());
        if (!width) return tl::make_unexpected(width.error());
        w.width = *width;
        if (!text(row.darts).empty()) {
            const auto darts = parse_length(text(row.darts), look_.unit());
            if (!darts) return tl::make_unexpected(darts.error());
            w.darts = *darts;
        }
        if (!text(row.depth).empty()) {
            const auto depth = parse_length(text(row.depth), look_.unit());
            if (!depth) return tl::make_unexpected(depth.error());
            w.folds.push_back(
                {static_cast<FoldKind>(row.fold->currentIndex()), *depth, row.count->text().toInt()});
        }
        widths.push_back(std::move(w));
    }
    return finished_girth(widths);
}

void FlatDialog::preview()
{
    if (!said_) return;
    const auto girth = read();
    if (!girth) {
        said_->setText(words::refusal(girth.error(), look_.unit()));
        return;
    }
    const Measure m = girths[measure_->currentIndex()];
    const auto printed = room_.chart()->body(static_cast<std::size_t>(size_->currentIndex()), m);
    QString text = tr("Finished %1.").arg(words::amount(*girth, look_.unit()));
    if (printed)
        text += " " + tr("The chart's body is %1: designed ease %2.")
                          .arg(words::amount(*printed, look_.unit()),
                               words::amount(*girth - *printed, look_.unit(), true));
    said_->setText(text);
}

void FlatDialog::take()
{
    const auto girth = read();
    if (!girth) return preview();
    const auto& size = room_.chart()->sizes[static_cast<std::size_t>(size_->currentIndex())];
    const auto chart = with_finished(*room_.printed_chart(), size, girths[measure_->currentIndex()], *girth);
    const auto ok = room_.change_chart(chart);
    if (!ok) {
        said_->setText(words::refusal(ok.error(), look_.unit()));
        return;
    }
    accept();
}

}  // namespace sartorum::desk
