#include "desk/print/print_station.h"

#include <QDir>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QPushButton>
#include <QStandardPaths>
#include <QThread>
#include <QVBoxLayout>

#include "core/paper/area.h"
#include "core/plan/cut_out.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "formats/painter_paths.h"
#include "formats/text_file.h"
#include "formats/toile_card.h"
#include "formats/work_card.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {

// The laid-out sheet with its pages over it; blanks crossed out. For the work card, a page with its lines.
class TileMap : public Panel {
public:
    TileMap(Look& look, QWidget* parent) : Panel{look, parent}
    {
        setMinimumSize(420, 360);
        setAccessibleName(tr("How the pages lie"));
    }
    void show(formats::PrintJob job, formats::Layout layout, bool card)
    {
        job_ = std::move(job);
        card_ = card;
        layout_ = std::move(layout);
        setAccessibleDescription(card ? tr("one page")
                                      : tr("%1 pages in %2 rows").arg(layout_.printed()).arg(layout_.rows));
        update();
    }
    [[nodiscard]] int pages() const { return card_ ? 1 : layout_.printed(); }
    [[nodiscard]] int blanks() const { return static_cast<int>(layout_.tiles.size()) - layout_.printed(); }

protected:
    void paintEvent(QPaintEvent* e) override
    {
        Panel::paintEvent(e);
        if (job_.pieces.empty()) return;
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        if (card_) return draw_card(p);
        QRectF all;
        for (const auto& t : layout_.tiles) all |= t.part;
        const QRectF area = QRectF{rect()}.adjusted(48, 44, -24, -24);
        const double s = std::min(area.width() / all.width(), area.height() / all.height());
        p.translate(area.center().x() - all.center().x() * s, area.center().y() - all.center().y() * s);
        // White paper in both themes: this is what leaves the printer.
        for (const auto& t : layout_.tiles) {
            const QRectF r{t.part.topLeft() * s, t.part.size() * s};
            p.fillRect(r, t.blank ? d.linen2 : QColor{"#FFFDF9"});
        }
        // The same laid-out pieces that are printed, in lines that can be seen at this size.
        const QTransform to_screen = QTransform::fromScale(s, s);
        auto taken = tile_names(p, s);
        const QRectF square = to_screen.mapRect(layout_.test_square);
        p.setFont(look_.lato(12.5));
        taken.push_back(square.adjusted(0, 0, 12.0 + p.fontMetrics().horizontalAdvance(tr("test square")), 0));
        for (std::size_t i = 0; i < layout_.pieces.size(); ++i) {
            const auto& at = layout_.places[i];
            const auto shape = [&](const QPainterPath& path) { return to_screen.map(path.translated(at)); };
            p.setPen(QPen{QColor{"#234E7A"}, 1.8});
            p.setBrush(QColor{"#DCE6F0"});
            p.drawPath(shape(formats::painter_path(cutting_outline(layout_.pieces[i]))));
            p.setBrush(Qt::NoBrush);
            p.setPen(QPen{QColor{"#234E7A"}, 0.9, Qt::DashLine});
            p.drawPath(shape(formats::painter_path(layout_.pieces[i])));
            if (const auto& left = layout_.left[i]) {
                p.setPen(QPen{QColor{"#234E7A"}, 1.2, Qt::DashDotLine});
                p.drawPath(shape(formats::painter_path(cutting_outline(*left))));
                p.setPen(QPen{QColor{"#234E7A"}, 0.9, Qt::DashLine});
            }
            p.drawPath(shape(formats::darts_path(layout_.pieces[i])));
            p.setPen(QColor{"#26262B"});
            // Its longest word decides how large it can be.
            const auto words_of = words::piece_name(layout_.pieces[i]).split(' ');
            const QString longest =
                *std::max_element(words_of.begin(), words_of.end(),
                                  [](const QString& a, const QString& b) { return a.size() < b.size(); });
            const QLineF room = to_screen.map(formats::widest_across(layout_.pieces[i], 0.5).translated(at));
            const QPointF c = room.center();
            const double wide = std::max(room.length() - 8, 60.0);
            p.setFont(fitting(look_.cabin(14), longest, wide - 4, 0.5));
            const double high = 72 * look_.scale();
            const QRectF room_for_it{c.x() - wide / 2, c.y() - high / 2, wide, high};
            const QString name = words::piece_name(layout_.pieces[i]);
            // Of one side's, where there is no more room, at least which.
            const auto side = name.lastIndexOf(", ");
            if (!write_where_free(p, room_for_it, name, taken) && side > 0)
                write_where_free(p, room_for_it, name.mid(side + 2), taken);
        }
        p.setPen(QPen{QColor{"#26262B"}, 1.4});
        p.drawRect(square);
        p.setFont(look_.lato(12.5));
        p.drawText(square.adjusted(8, 0, 200, 0).translated(square.width(), 0),
                   Qt::AlignVCenter | Qt::TextDontClip, tr("test square"));
        for (const auto& t : layout_.tiles) {
            const QRectF r = on_screen(t, s);
            p.setBrush(Qt::NoBrush);
            p.setPen(QPen{QColor{"#8F8576"}, 1});
            p.drawRect(r);
            if (t.blank) {
                p.setPen(QPen{d.edge, 1, Qt::DashLine});
                p.drawLine(r.topLeft(), r.bottomRight());
                p.drawLine(r.topRight(), r.bottomLeft());
            } else {
                p.setPen(QColor{"#234E7A"});
                p.setFont(tile_font(t, s));
                p.drawText(r.adjusted(5, 3, -3, -3), Qt::AlignLeft | Qt::AlignBottom, t.name());
            }
        }
    }

private:
    static QRectF on_screen(const formats::Tile& t, double s)
    {
        const double half = formats::tile_overlap_mm / 2;
        return {QPointF{(t.part.left() + half) * s, (t.part.top() + half) * s},
                QSizeF{(t.part.width() - 2 * half) * s, (t.part.height() - 2 * half) * s}};
    }

    QFont tile_font(const formats::Tile& t, double s) const
    {
        return fitting(look_.lato(14, QFont::DemiBold), t.name(), on_screen(t, s).width() - 10, 0.5);
    }

    // Where the sheets' own names will stand.
    std::vector<QRectF> tile_names(QPainter& p, double s) const
    {
        std::vector<QRectF> out;
        for (const auto& t : layout_.tiles) {
            p.setFont(tile_font(t, s));
            if (!t.blank)
                out.push_back(p.boundingRect(on_screen(t, s).adjusted(5, 3, -3, -3),
                                             Qt::AlignLeft | Qt::AlignBottom, t.name()));
        }
        return out;
    }

    // As near its place as nothing else stands; left out where there is no such place.
    static bool write_where_free(QPainter& p, const QRectF& at, const QString& text, std::vector<QRectF>& taken)
    {
        constexpr int flags = Qt::AlignCenter | Qt::TextWordWrap;
        for (const double down : {0.0, -14.0, 14.0, -26.0, 26.0}) {
            const QRectF box = at.translated(0, down);
            const QRectF written = p.boundingRect(box, flags, text);
            const auto lies_on = [&](const QRectF& other) { return other.intersects(written); };
            if (std::any_of(taken.begin(), taken.end(), lies_on)) continue;
            p.drawText(box, flags, text);
            taken.push_back(written);
            return true;
        }
        return false;
    }

    void draw_card(QPainter& p)
    {
        if (!computed) return;
        const QSizeF page = layout_.page;
        const double s = (height() - 80) / page.height();
        const QRectF r{QPointF{width() / 2.0 - page.width() * s / 2, 40}, page * s};
        p.setPen(QPen{look_.dyes().edge, 1});
        p.setBrush(QColor{"#FFFDF9"});
        p.drawRect(r);
        p.save();
        p.setClipRect(r);
        p.translate(r.topLeft());
        const double points = 72.0 / 25.4;
        p.scale(s / points, s / points);
        p.setPen(Qt::black);
        card_pages = paint_card ? paint_card(p, job_) : 1;
        p.restore();
    }

public:
    const Computed* computed = nullptr;
    std::function<int(QPainter&, const formats::PrintJob&)> paint_card;  // its first page
    int card_pages = 1;

private:
    formats::PrintJob job_;
    formats::Layout layout_;
    bool card_ = false;
};

PrintStation::PrintStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
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
    map_ = new TileMap{look, work_};
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
    map_->paint_card = [this](QPainter& p, const formats::PrintJob& j) { return paint_card(p, j, 0); };
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
    connect(cancel_, &Button::clicked, this, [this] { stop_ = true; });
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

PrintStation::~PrintStation()
{
    stop_ = true;
    if (worker_) worker_->wait();
    if (layer_) layer_->wait();
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
    map_->computed = room_.computed() ? &*room_.computed() : nullptr;
    if (!room_.computed()) return;
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
    if (layer_) return;
    layer_ = QThread::create([this, job = job(), generation = generation_] {
        auto layout = formats::lay_out(job);
        QMetaObject::invokeMethod(
            this, [this, job, layout = std::move(layout), generation] { laid_out(job, layout, generation); });
    });
    layer_->start();
}

void PrintStation::laid_out(formats::PrintJob job, formats::Layout layout, int generation)
{
    layer_->wait();
    layer_->deleteLater();
    layer_ = nullptr;
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
    if (worker_ || !room_.computed()) return;
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
    stop_ = false;
    cancel_->show();
    said_->setText(tr("Drawing the pages…"));
    worker_ = QThread::create([this, path, kind, sewn = sewn(), if_there = *if_there, job = job(),
                               computed = *room_.computed(), unit = look_.unit()] {
        const auto progress = [this](int done, int all) {
            QMetaObject::invokeMethod(
                this, [this, done, all] { said_->setText(tr("Page %1 of %2").arg(done).arg(all)); });
            return !stop_;
        };
        const auto result =
            kind == WorkCard ? formats::write_work_card(path, computed, job.label, job.paper, unit, if_there)
            : kind == ToileSheet
                ? formats::write_toile_card(path, computed, sewn, job.label, job.paper, unit, if_there)
                : formats::write_pages(path, job, if_there, progress);
        QMetaObject::invokeMethod(this, [this, result, path] { finish(result, path); });
    });
    worker_->start();
}

void PrintStation::finish(const Outcome<int>& result, const QString& path)
{
    worker_->wait();
    worker_->deleteLater();
    worker_ = nullptr;
    cancel_->hide();
    if (!result) {
        said_->setText(words::refusal(result.error(), look_.unit()));
    } else if (*result == 0) {
        said_->setText(tr("Stopped. Nothing was written."));
    } else {
        said_->setText(tr("Saved %1").arg(QFileInfo{path}.fileName()));
        // What leaves the printer is kept as it was.
        if (!is_card()) room_.keep_printed();
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
