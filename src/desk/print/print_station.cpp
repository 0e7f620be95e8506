#include "desk/print/print_station.h"

#include <QDir>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QPushButton>
#include <QStandardPaths>
#include <QVBoxLayout>

#include "core/plan/cut_out.h"
#include "desk/print/tile_map.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "formats/text_file.h"
#include "formats/toile_card.h"
#include "formats/work_card.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {

PrintStation::PrintStation(Look& look, Room& room, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, writer_{new Worker{this}}, layer_{new Worker{this}}
{
    auto* outer = new QHBoxLayout{this};
    outer->setContentsMargins(0, 0, 0, 0);
    empty_ = new EmptyState{look,
                            tr("Nothing to print yet."),
                            tr("Pages are made from the plan: wearer, size chart and pattern first."),
                            {{tr("To the plan"), [this] { emit plan_wanted(); }}},
                            this};
    work_ = new QWidget{this};
    auto* row = new QHBoxLayout{work_};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    map_ =
        new TileMap{look, [this](QPainter& q, const formats::PrintJob& j) { (void)paint_card(q, j, 0); }, work_};
    row->addWidget(map_, 1);
    const auto [frame, pad, column, foot] = pad_beside(look, 420, work_);
    column->setSpacing(10);
    column->addWidget(heading(look, tr("Print"), 21, pad));
    kind_ = new Choices{
        look,
        {tr("Full size"), tr("Half"), tr("Quarter"), tr("Work card"), tr("Toile, full size"), tr("Toile sheet")},
        tr("What to print"),
        pad};
    kind_->setObjectName("print_kind");
    kind_->wrap();
    paper_ = new Choices{look, {tr("A4"), tr("US Letter")}, tr("Paper"), pad};
    paper_->setObjectName("print_paper");
    sides_ = new Choices{look, {tr("Each side its pieces"), tr("Both lines on one")}, tr("Right and left"), pad};
    sides_->setObjectName("print_sides");
    sides_->wrap();
    parts_ = new Choices{look,
                         {words::sew_first(NextLook::Shoulders), words::sew_first(NextLook::LowerPart),
                          words::sew_first(NextLook::OneSleeve), words::sew_first(NextLook::Whole)},
                         tr("What of the toile is sewn"),
                         pad};
    parts_->setObjectName("print_parts");
    parts_->wrap();
    column->addWidget(kind_);
    column->addWidget(parts_);
    column->addWidget(paper_);
    column->addWidget(sides_);
    count_ = label(look, {}, 34, false, pad);
    column->addWidget(count_);
    note_ = label(look, {}, 14, false, pad);
    column->addWidget(note_);
    column->addSpacing(8);
    column->addWidget(heading(look, tr("Where to"), 16, pad));
    auto* where = new QHBoxLayout;
    const QString documents = QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation);
    folder_ = new QLineEdit{QDir{documents}.exists() ? documents : QDir::homePath(), pad};
    folder_->setObjectName("print_folder");
    folder_->setAccessibleName(tr("Folder for the files"));
    auto* browse = new Button{look, tr("Choose"), ButtonKind::Plain, pad};
    where->addWidget(folder_, 1);
    where->addWidget(browse);
    column->addLayout(where);
    said_ = label(look, {}, 14, true, pad);
    said_->setObjectName("print_said");
    column->addWidget(said_);
    column->addStretch();
    cancel_ = new Button{look, tr("Stop"), ButtonKind::Plain, pad};
    svg_ = new Button{look, tr("Save the pieces as SVG"), ButtonKind::Plain, pad};
    svg_->setObjectName("save_svg");
    save_ = new Button{look, tr("Save the sheets as PDF"), ButtonKind::Primary, pad};
    save_->setObjectName("save_pages");
    foot->addWidget(cancel_);
    foot->addWidget(svg_);
    foot->addWidget(save_);
    row->addWidget(frame);
    outer->addWidget(empty_);
    outer->addWidget(work_);
    cancel_->hide();
    connect(kind_, &Choices::picked, this, &PrintStation::refresh);
    connect(paper_, &Choices::picked, this, &PrintStation::refresh);
    connect(sides_, &Choices::picked, this, &PrintStation::refresh);
    connect(parts_, &Choices::picked, this, &PrintStation::refresh);
    connect(browse, &Button::clicked, this, [this] {
        const QString dir = QFileDialog::getExistingDirectory(this, tr("Folder for the files"), folder_->text());
        if (!dir.isEmpty()) folder_->setText(dir);
    });
    connect(save_, &Button::clicked, this, &PrintStation::save_pages);
    connect(svg_, &Button::clicked, this, &PrintStation::save_svg);
    connect(cancel_, &Button::clicked, this, [this] { writer_->stop(); });
    connect(writer_, &Worker::progressed, this,
            [this](int done, int all) { said_->setText(tr("Page %1 of %2").arg(done).arg(all)); });
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

formats::PrintJob PrintStation::job() const
{
    const int divide[] = {1, 2, 4, 1, 1, 1};
    const auto paper = paper_->chosen() == 0 ? formats::PaperSize::A4 : formats::PaperSize::Letter;
    if (kind_->chosen() == ToilePieces)
        return formats::toile_job(*room_.computed(), sewn(), paper, look_.unit(), room_.print_label());
    return formats::print_job(
        *room_.computed(), paper, divide[kind_->chosen()], look_.unit(), room_.print_label(),
        sides_->chosen() == 1 ? formats::SidesPrinted::OnOnePiece : formats::SidesPrinted::Apart);
}

int PrintStation::card_pages() const
{
    QImage nowhere{8, 8, QImage::Format_ARGB32};
    QPainter p{&nowhere};
    const auto j = job();
    return paint_card(p, j, -1);
}

int PrintStation::paint_card(QPainter& p, const formats::PrintJob& j, int page) const
{
    if (kind_->chosen() == ToileSheet)
        return formats::paint_toile_card(p, *room_.computed(), sewn(), j.label, j.paper, j.unit, page);
    return formats::paint_work_card(p, *room_.computed(), j.label, j.paper, j.unit, page);
}

namespace {

constexpr std::array toile_parts{NextLook::Shoulders, NextLook::LowerPart, NextLook::OneSleeve, NextLook::Whole};

}  // namespace

NextLook PrintStation::sewn() const
{
    return toile_parts[static_cast<std::size_t>(parts_->chosen())];
}

void PrintStation::begin_in(const QString& folder)
{
    if (!folder.isEmpty()) folder_->setText(folder);
}

void PrintStation::show_toile()
{
    kind_->choose(ToileSheet);
    if (room_.computed()) {
        const auto first = worth_sewing(*room_.computed(), room_.gate()).front();
        parts_->choose(
            static_cast<int>(std::find(toile_parts.begin(), toile_parts.end(), first) - toile_parts.begin()));
    }
    refresh();
}

QString PrintStation::file(const QString& ending) const
{
    QString name = room_.wearer_name() + "-" + QString::fromStdString(room_.pattern()->name) + ending;
    // A wearer's name is free text: nothing in it may point outside the chosen folder.
    for (auto& c : name) {
        if (!c.isLetterOrNumber() && c != '.' && c != '-') c = '-';
    }
    return QDir{folder_->text()}.filePath(name);
}

void PrintStation::refresh()
{
    empty_->setVisible(!room_.computed());
    work_->setVisible(room_.computed().has_value());
    if (!room_.computed()) return map_->clear();
    parts_->setVisible(for_toile());
    if (for_toile()) {
        const auto worth = worth_sewing(*room_.computed(), {{}, true, false, {}});
        std::vector<bool> offered;
        for (const auto part : toile_parts)
            offered.push_back(std::find(worth.begin(), worth.end(), part) != worth.end());
        parts_->offer(offered);
        if (!offered[static_cast<std::size_t>(parts_->chosen())])
            parts_->choose(static_cast<int>(std::find(offered.begin(), offered.end(), true) - offered.begin()));
    }
    // Only of sides so near each other that two lines can be followed.
    sides_->setVisible(kind_->chosen() == Tiles && cut_with_two_lines(*room_.computed()).has_value());
    ++generation_;
    if (is_card()) {  // one page after the other: there is nothing to lay out
        formats::Layout page;
        page.page = formats::page_mm(job().paper);
        map_->show(job(), page, true);
        return tell_pages();
    }
    count_->setText(tr("Laying the pages out…"));
    save_->setText(tr("Save the sheets as PDF"));
    save_->setAccessibleName(save_->text());
    lay_out();
}

// Off the interface's thread, one at a time; a change meanwhile has it done once more.
void PrintStation::lay_out()
{
    if (layer_->busy()) return;
    layer_->start<formats::Layout>([job = job()](const Worker::Going&) { return formats::lay_out(job); },
                                   [this, job = job(), generation = generation_](Outcome<formats::Layout> layout) {
                                       if (!layout)
                                           return said_->setText(words::refusal(layout.error(), look_.unit()));
                                       laid_out(job, std::move(*layout), generation);
                                   });
}

void PrintStation::laid_out(formats::PrintJob job, formats::Layout layout, int generation)
{
    if (!room_.computed() || is_card()) return;
    if (generation != generation_) return lay_out();
    map_->show(std::move(job), std::move(layout), false);
    tell_pages();
}

void PrintStation::tell_pages()
{
    const bool card = is_card();
    const int n = map_->pages();
    const int cards = card ? card_pages() : 0;
    count_->setText(!card ? tr("%1 sheets").arg(n) : cards == 1 ? tr("1 page") : tr("%1 pages").arg(cards));
    const QString square = look_.unit() == Unit::Inch ? tr("2 in") : tr("5 cm");
    note_->setText(
        kind_->chosen() == ToileSheet ? tr("What to sew first, which lines to draw on the cloth and where, where "
                                           "to leave more allowance, what to pin "
                                           "and wear, and room for what hands find.")
        : card
            ? tr("The plan, every step with a small picture and a box to tick, and the walked seams.")
            : tr("The first sheet carries a test square of %1. Measure it before you tape the rest; print at 100 "
                 "%.\nSolid: cutting line, allowances included. Dashed: stitching line. Sheets overlap by 1 cm; "
                 "diamonds with the same mark meet.%2%3")
                  .arg(square, map_->blanks() ? tr("\n%1 blank left out.").arg(map_->blanks()) : QString{},
                       job().divide > 1 ? tr("\nEach piece twice: as traced, to cut and tape by the steps, and "
                                             "finished, to compare.")
                                        : QString{}));
    save_->setText(kind_->chosen() == ToileSheet ? tr("Save the toile sheet")
                   : card                        ? tr("Save the work card")
                                                 : tr("Save %1 sheets as PDF").arg(n));
    save_->setAccessibleName(save_->text());
    save_->updateGeometry();
    save_->update();
}

void PrintStation::save_pages()
{
    if (writer_->busy() || !room_.computed()) return;
    const auto kind = static_cast<Kind>(kind_->chosen());
    const QString endings[] = {"-full-size.pdf", "-half.pdf",         "-quarter.pdf",
                               "-work-card.pdf", "-toile-pieces.pdf", "-toile-sheet.pdf"};
    const QString path = file(endings[kind_->chosen()]);
    if (!QFileInfo{QFileInfo{path}.absolutePath()}.isDir()) {
        said_->setText(tr("The folder “%1” is not there. Choose another.").arg(folder_->text()));
        return;
    }
    const auto if_there = ask_to_replace(path);
    if (!if_there) return;
    // What is kept is what is printed, whatever is changed while it is drawn.
    room_.keep_trial();
    printing_ = is_card() ? QByteArray{} : room_.work_now();
    cancel_->show();
    said_->setText(tr("Drawing the pages…"));
    writer_->start<int>(
        [path, kind, sewn = sewn(), if_there = *if_there, job = job(), computed = *room_.computed(),
         unit = look_.unit()](const Worker::Going& going) {
            const auto progress = [&going](int done, int all) { return going.progress(done, all); };
            return kind == WorkCard
                       ? formats::write_work_card(path, computed, job.label, job.paper, unit, if_there)
                   : kind == ToileSheet
                       ? formats::write_toile_card(path, computed, sewn, job.label, job.paper, unit, if_there)
                       : formats::write_pages(path, job, if_there, progress);
        },
        [this, path](const Outcome<int>& result) { finish(result, path); });
}

void PrintStation::finish(const Outcome<int>& result, const QString& path)
{
    cancel_->hide();
    if (!result) {
        said_->setText(words::refusal(result.error(), look_.unit()));
    } else if (*result == 0) {
        said_->setText(tr("Stopped. Nothing was written."));
    } else {
        said_->setText(tr("Saved %1").arg(QFileInfo{path}.fileName()));
        // What leaves the printer is kept as it was.
        if (!printing_.isEmpty()) room_.keep_printed(printing_);
        emit written(path);
    }
}

std::optional<formats::IfThere> PrintStation::ask_to_replace(const QString& path)
{
    if (!QFileInfo::exists(path)) return formats::IfThere::Refuse;
    QMessageBox question{QMessageBox::Question, tr("Replace the file?"),
                         tr("%1 is there already. Replace it?").arg(QFileInfo{path}.fileName()),
                         QMessageBox::NoButton, this};
    auto* replace = question.addButton(tr("Replace it"), QMessageBox::AcceptRole);
    auto* leave = question.addButton(tr("Leave it"), QMessageBox::RejectRole);
    question.setDefaultButton(leave);
    question.exec();
    if (question.clickedButton() == replace) return formats::IfThere::Replace;
    said_->setText(tr("%1 was left as it is. Nothing was written.").arg(QFileInfo{path}.fileName()));
    return std::nullopt;
}

void PrintStation::save_svg()
{
    if (!room_.computed()) return;
    const QString path = file(".svg");
    const auto if_there = ask_to_replace(path);
    if (!if_there) return;
    const auto ok =
        formats::write_file(path, formats::altered_svg(*room_.computed(), room_.print_label()), *if_there);
    said_->setText(ok ? tr("Saved %1").arg(QFileInfo{path}.fileName()) : words::refusal(ok.error(), look_.unit()));
    if (ok) emit written(path);
}

}  // namespace sartorum::desk
