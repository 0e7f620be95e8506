#include "desk/dialogs/dialogs.h"

#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desk/dialogs/sheet.h"
#include "desk/shared/acts.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// "Ctrl Z Undo · F6 Next part of the window": the stations' own are one.
QString keys_anywhere()
{
    QStringList out{
        QObject::tr("the mark at the upper left, or %1: a menu of everything").arg(key_text(row_of(Act::Menu)))};
    for (const auto& row : all_acts()) {
        if (row.at != At::Anywhere || row.keys.isEmpty() || !row.in_menu) continue;
        if (row.act > Act::ToTape && row.act <= Act::ToPrint) continue;
        const bool stations = row.act == Act::ToTape;
        out << (stations ? row.shown : key_text(row)) + " " + (stations ? row.foot : row.words);
    }
    return out.join(" · ");
}

}  // namespace

NameDialog::NameDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Who is it for?"));
    column->addWidget(
        label(look, tr("A name to find her or him by. It stays in this notebook."), 14, false, this));
    name_ = line_edit(this, tr("Name"), "wearer_name");
    column->addWidget(name_);
    auto* said = label(look, {}, 14, true, this);
    column->addWidget(said);
    const auto take = [this, &room, said] {
        if (name_->text().trimmed().isEmpty()) {
            said->setText(tr("Type a name first."));
            name_->setFocus();
            return;
        }
        room.add_wearer(name_->text());
        accept();
    };
    column->addWidget(keep_or_leave(*this, look, tr("Write it down"), "keep_name", take));
    setMinimumWidth(420);
}

GuideDialog::GuideDialog(Look& look, QWidget* parent) : QDialog{parent}
{
    auto* column = sheet(*this, look, tr("Guide"));
    const std::pair<QString, QString> lines[] = {
        {tr("Tape"), tr("Type each reading as you read it: 84.6, 33 1/4, 100,5 cm. Enter keeps it and moves on. "
                        "Two readings; a third when they disagree. The round above the figure says which "
                        "measures; any may be skipped.")},
        {tr("The paper"),
         tr("F4 turns to a tissue measured flat: each numbered line between stitching lines, darts open. "
            "Dotted is assumed until it is measured. X: there is no such line; A: go on with what is "
            "assumed; W: what is written on it.")},
        {tr("Chart"), tr("The diamond is the wearer, the ticks are the maker's body sizes. Click a size or use "
                         "the arrows; B blends or takes one size, E says what it is and how it is worn.")},
        {tr("Plan"),
         tr("Each tag is one adjustment in the order of fitting, tied to its place. Space accepts or "
            "leaves it, + and − "
            "or a hand on its mark change the amount, A types one, Z lists what is left alone. On a "
            "top: shoulders "
            "first, then lengths; a tag says when something above it came later. Beside it W shows the waist "
            "with its stations, J the crotch.")},
        {tr("Paper"), tr("Do the steps with scissors and tape, one at a time: → and ←. O shows the pattern as "
                         "bought, F the finished paper, P plays the step, Z zooms to the cut, M shows "
                         "lengths.")},
        {tr("Mirror"), tr("Sew a toile by the toile sheet, put it on, and put what you see on the figure: N from "
                          "a list, or point "
                          "at the place. Causes stand beside it, one test is asked next (T), and a cause goes "
                          "into the plan. On the "
                          "next toile (B) all of it is asked again. G is the gate before good cloth.")},
        {tr("Print"), tr("Full-size sheets to tape, practice sheets to rehearse, a work card for the table. "
                         "Measure the test square before taping.")},
        {tr("Anywhere"), keys_anywhere()},
        {tr("Care"), tr("Blades closed when put down, pins along the body and not at it, mind the hot iron. Local "
                        "rules and trained people come first.")}};
    // All of it is more than a small screen holds.
    auto* scroll = new QScrollArea{this};
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setAccessibleName(tr("What each station is for"));
    auto* inside = new QWidget;
    auto* texts = new QVBoxLayout{inside};
    texts->setContentsMargins(0, 0, 12, 0);
    for (const auto& [name, text] : lines) {
        texts->addWidget(heading(look, name, 16, inside));
        texts->addWidget(label(look, text, 14, false, inside));
    }
    texts->addStretch();
    scroll->setWidget(inside);
    scroll->setMinimumHeight(420);
    column->addWidget(scroll, 1);
    auto* close = new Button{look, tr("Close"), ButtonKind::Primary, this};
    close->setDefault(true);
    connect(close, &Button::clicked, this, &QDialog::accept);
    auto* report = new Button{look, tr("Report…"), ButtonKind::Plain, this};
    report->setObjectName("guide_report");
    connect(report, &Button::clicked, this, &GuideDialog::report_wanted);
    auto* row = new QHBoxLayout;
    row->addWidget(close);
    row->addWidget(report);
    row->addStretch();
    column->addLayout(row);
    setMinimumWidth(760);
}

}  // namespace sartorum::desk
