#include "formats/pages.h"

#include <QBuffer>
#include <QPageLayout>
#include <QPainter>
#include <QPdfWriter>
#include <cmath>

#include "core/fitting/toile_sheet.h"
#include "core/paper/area.h"
#include "core/pattern/princess.h"
#include "core/plan/cut_out.h"
#include "formats/painter_paths.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::formats {
namespace {

constexpr double points_per_mm = 72.0 / 25.4;
constexpr int resolution = 1200;

QString tr_(const char* text)
{
    return QCoreApplication::translate("pages", text);
}

QPageSize page_size(PaperSize p)
{
    return QPageSize{p == PaperSize::A4 ? QPageSize::A4 : QPageSize::Letter};
}

QPen pen(double mm, Qt::PenStyle style = Qt::SolidLine)
{
    QPen p{Qt::black, mm, style};
    p.setJoinStyle(Qt::RoundJoin);
    return p;
}

QFont font(bool bold)
{
    QFont f{"Lato"};
    f.setPixelSize(100);  // drawn through a scale, so that millimetres need no rounding
    f.setBold(bold);
    return f;
}

void text_at(QPainter& p, QPointF at, double height_mm, const QString& text, bool bold = false,
             bool centred = false)
{
    p.save();
    p.translate(at);
    p.scale(height_mm / 100.0, height_mm / 100.0);
    p.setFont(font(bold));
    const double w = p.fontMetrics().horizontalAdvance(text);
    p.drawText(QPointF{centred ? -w / 2 : 0, 0}, text);
    p.restore();
}

QRectF bounds_of(const Piece& piece)
{
    QRectF box;
    for (const auto& polygon : cutting_outline(piece)) {
        for (const auto& q : polygon) box |= QRectF{on_paper(q) - QPointF{0.01, 0.01}, QSizeF{0.02, 0.02}};
    }
    return box;
}

// Of a piece drawn whole: which half is whose, along its centre line.
void paint_halves(QPainter& p, const PrintJob& job, const Guide& centre)
{
    const QPointF a = on_paper(centre.a);
    const QPointF b = on_paper(centre.b);
    const QPointF along = (b - a) / std::hypot((b - a).x(), (b - a).y());
    const QPointF right{-along.y(), along.x()};  // y runs down: the right hand of the way
    const double u = 1.0 / job.divide;
    const auto beside = [&](QPointF at, const QString& text) {
        p.save();
        p.translate(at);
        p.rotate(std::abs(along.y()) > std::abs(along.x()) ? -90 : 0);
        text_at(p, {0, 0}, 5 * u, text, false, true);
        p.restore();
    };
    const QPointF middle = a + (b - a) * 0.75;
    beside(middle + right * 9 * u, tr_("right half"));
    beside(middle - right * 6 * u, tr_("left half"));
    beside(a + (b - a) * 0.25 - right * 2 * u, tr_("centre"));
}

// A line to be drawn on a toile says what it is, near its outer end.
void name_line(QPainter& p, const Piece& piece, const Guide& g)
{
    for (const auto& l : lines_to_draw(piece)) {
        const bool it = Geom::distance(l.a, g.a) < 0.01 && Geom::distance(l.b, g.b) < 0.01;
        if (!it || l.what == ToileLine::Centre) continue;
        const QPointF a = on_paper(l.a);
        const QPointF b = on_paper(l.b);
        p.save();
        p.translate(a + (b - a) * 0.8);
        if (l.what == ToileLine::SleeveCentre) p.rotate(-90);
        text_at(p, {0, -2}, 4.5, words::toile_line_name(l.what).toLower(), false, true);
        p.restore();
    }
}

void paint_piece(QPainter& p, const PrintJob& job, const Piece& piece)
{
    p.setBrush(Qt::NoBrush);
    p.setPen(pen(0.6));
    p.drawPath(painter_path(cutting_outline(piece)));
    p.setPen(pen(0.35, Qt::DashLine));
    p.drawPath(painter_path(piece));
    p.setPen(pen(0.35));
    p.drawPath(darts_path(piece));
    for (const auto& g : piece.guides) {
        if (g.kind == GuideKind::Grain) {
            p.drawPath(grain_path(g, 8.0 / job.divide));
        } else {
            p.setPen(job.for_toile ? pen(0.5, Qt::DashDotLine) : pen(0.25, Qt::DotLine));
            p.drawLine(on_paper(g.a), on_paper(g.b));
            p.setPen(pen(0.35));
            if (job.for_toile) name_line(p, piece, g);
            if (g.kind == GuideKind::Centre) paint_halves(p, job, g);
        }
    }
    p.setBrush(Qt::black);
    for (const auto& n : piece.notches) p.drawPath(notch_path(piece, n, 5.0 / job.divide));
    p.setBrush(Qt::NoBrush);
    p.setPen(pen(0.5));
    p.drawPath(buttons_path(piece, 8.0 / job.divide));
    p.setPen(pen(0.35));
    for (const auto& e : piece.edges) {
        const bool buttoned = e.role == EdgeRole::Centre && piece.button_gap > Length{};
        if (!e.on_fold && !buttoned) continue;
        const QPointF middle = painter_path(e.curve).pointAtPercent(0.5);
        p.save();
        p.translate(middle + QPointF{(e.on_fold ? 5.0 : 9.0) / job.divide, 0});
        p.rotate(-90);
        text_at(p, {0, 0}, 5.0 / job.divide,
                e.on_fold ? tr_("place on fold") : tr_("centre line: buttons and holes here"), false, true);
        p.restore();
    }
}

// The left side's line on the right side's piece.
void paint_left_line(QPainter& p, const Piece& left)
{
    p.setBrush(Qt::NoBrush);
    p.setPen(pen(0.5, Qt::DashDotLine));
    p.drawPath(painter_path(cutting_outline(left)));
    p.setPen(pen(0.35, Qt::DashDotDotLine));
    p.drawPath(painter_path(left));
    p.drawPath(darts_path(left));
}

void paint_piece_label(QPainter& p, const PrintJob& job, const Piece& piece, bool two_lines)
{
    const auto box = bounds(piece);
    const bool band = piece.role == PieceRole::Waistband;
    const double u = 1.0 / job.divide;
    const auto centre = guide(piece, GuideKind::Centre);
    const QPointF to_a_half = centre && !band ? QPointF{widest_across(piece, 0.42).length() / 4, 0} : QPointF{};
    const QPointF at =
        to_a_half + (band ? QPointF{box.left() + box.width() * 0.25, -box.bottom() + box.height() * 0.3}
                          : widest_across(piece, 0.42).center());
    const auto& label = job.label;
    const double line = (band ? 4.5 : 8.0) * u;
    QStringList rows{words::piece_name(piece), label.wearer + " · " + label.pattern,
                     label.sizes + " · " + label.version + " · " + label.date,
                     tr_("cut %1%2, seam allowances included")
                         .arg(piece.cut)
                         .arg(on_fold(piece) ? tr_(" on the fold") : QString{})};
    if (gathered_in(piece, EdgeRole::Waist) > Length{})
        rows << tr_("waist gathered to %1 on this piece")
                    .arg(words::amount(sewn_length(piece, EdgeRole::Waist), words::paper_unit(job.unit)));
    if (job.for_toile) rows << tr_("for a toile: more allowance at shoulders, sides and waist");
    if (job.divide > 1) rows << tr_("practice sheet, 1 : %1").arg(job.divide);
    if (two_lines)
        rows << tr_("solid and dashed: right side") << tr_("dash and dot: left side; trim it after cutting");
    for (int i = 0; i < rows.size(); ++i)
        text_at(p, at + QPointF{0, line * 1.35 * i}, i == 0 ? line : line * 0.72, rows[i], i == 0, true);
}

constexpr double head_line_mm = 5;

// What is said of the plan beside the test square, in lines short enough for the narrower paper.
QStringList head_lines(const PrintJob& job)
{
    constexpr qsizetype longest = 62;
    QStringList out;
    for (const auto& sentence : job.not_done) {
        QString line;
        for (const auto& word : sentence.split(' ')) {
            if (!line.isEmpty() && line.size() + word.size() >= longest) out << std::exchange(line, {});
            line += (line.isEmpty() ? "" : " ") + word;
        }
        out << line;
    }
    return out;
}

void paint_test_square(QPainter& p, const PrintJob& job, const Layout& layout)
{
    p.setPen(pen(0.3));
    p.setBrush(Qt::NoBrush);
    p.drawRect(layout.test_square);
    const QString size = job.unit == Unit::Inch ? tr_("2 in") : tr_("5 cm");
    const QPointF c = layout.test_square.center();
    text_at(p, c + QPointF{0, -4}, 4.2, tr_("test square"), true, true);
    text_at(p, c + QPointF{0, 2}, 4.2, size + " × " + size, false, true);
    text_at(p, c + QPointF{0, 8}, 3, tr_("measure before taping"), false, true);
    text_at(p, layout.test_square.topRight() + QPointF{6, 8}, 6, job.label.wearer + " · " + job.label.pattern,
            true);
    text_at(p, layout.test_square.topRight() + QPointF{6, 16}, 4,
            job.label.sizes + " · " + job.label.version + " · " + job.label.date);
    text_at(p, layout.test_square.topRight() + QPointF{6, 23}, 4,
            tr_("solid: cutting line; dashed: stitching line; print at 100 %"));
    const auto lines = head_lines(job);
    for (int i = 0; i < lines.size(); ++i)
        text_at(p, layout.test_square.topRight() + QPointF{6, 30 + head_line_mm * i}, 3.6, lines[i], true);
}

// Border where the next page is laid, half diamonds that meet, and the page's name.
void paint_tile_marks(QPainter& p, const Layout& layout, const Tile& tile, const QRectF& area)
{
    p.setPen(pen(0.15, Qt::DotLine));
    p.setBrush(Qt::NoBrush);
    const double o = tile_overlap_mm;
    p.drawRect(area.adjusted(o / 2, o / 2, -o / 2, -o / 2));
    p.setPen(pen(0.3));
    const auto diamond = [&](QPointF c, const QString& name) {
        QPolygonF d;
        d << c + QPointF{0, -4} << c + QPointF{4, 0} << c + QPointF{0, 4} << c + QPointF{-4, 0};
        p.drawPolygon(d);
        text_at(p, c + QPointF{0, 1.2}, 3, name, false, true);
    };
    const QRectF inner = area.adjusted(o / 2, o / 2, -o / 2, -o / 2);
    if (tile.column + 1 < layout.columns)
        diamond({inner.right(), inner.center().y()}, QString::number(tile.row * layout.columns + tile.column + 1));
    if (tile.column > 0)
        diamond({inner.left(), inner.center().y()}, QString::number(tile.row * layout.columns + tile.column));
    const QString letter{QChar('a' + tile.column % 26)};
    if (tile.row + 1 < layout.rows)
        diamond({inner.center().x(), inner.bottom()}, letter + QString::number(tile.row + 1));
    if (tile.row > 0) diamond({inner.center().x(), inner.top()}, letter + QString::number(tile.row));
    text_at(p, inner.bottomLeft() + QPointF{3, -3}, 7, tile.name(), true);
}

}  // namespace

QString Tile::name() const
{
    QString letters;
    for (int r = row;; r = r / 26 - 1) {
        letters.prepend(QChar('A' + r % 26));
        if (r < 26) break;
    }
    return letters + QString::number(column + 1);
}

int Layout::printed() const
{
    int n = 0;
    for (const auto& t : tiles) n += t.blank ? 0 : 1;
    return n;
}

namespace {

Layout lay_out_within(const PrintJob& job, double widest)
{
    Layout out;
    const double scale = 1.0 / job.divide;
    out.page = page_size(job.paper).size(QPageSize::Millimeter);
    const QSizeF area = out.page - QSizeF{2 * page_margin_mm, 2 * page_margin_mm};
    const QSizeF pitch = area - QSizeF{tile_overlap_mm, tile_overlap_mm};
    const double side = job.unit == Unit::Inch ? 50.8 : 50.0;
    out.test_square = {12, 12, side, side};
    double x = 12;
    double y = 12 + std::max(side, 30 + head_line_mm * static_cast<double>(head_lines(job).size())) + 14;
    double row_height = 0;
    double right = area.width();
    const auto scaled = [&](const Piece& piece) {
        Piece p = moved(piece, Geom::Scale(scale));
        for (auto& e : p.edges) e.allowance = e.allowance * scale;
        return p;
    };
    const auto all = as_cut(job.pieces);
    for (std::size_t i = 0; i < all.size(); ++i) {
        const Piece p = scaled(all[i]);
        QRectF box = bounds_of(p);
        out.left.emplace_back();
        if (i < job.left.size() && job.left[i]) {
            out.left.back() = scaled(*job.left[i]);
            box |= bounds_of(*out.left.back());
        }
        if (x > 12 && x + box.width() > widest) {
            x = 12;
            y += row_height + 10;
            row_height = 0;
        }
        out.pieces.push_back(p);
        out.places.push_back(QPointF{x, y} - box.topLeft());
        x += box.width() + 10;
        row_height = std::max(row_height, box.height());
        right = std::max(right, x);
    }
    out.sheet = {right + 2, y + row_height + 12};
    out.columns = std::max(1, static_cast<int>(std::ceil((out.sheet.width() - tile_overlap_mm) / pitch.width())));
    out.rows = std::max(1, static_cast<int>(std::ceil((out.sheet.height() - tile_overlap_mm) / pitch.height())));
    std::vector<QPainterPath> shapes;
    for (std::size_t i = 0; i < out.pieces.size(); ++i) {
        shapes.push_back(painter_path(cutting_outline(out.pieces[i])).translated(out.places[i]));
        if (out.left[i]) shapes.push_back(painter_path(cutting_outline(*out.left[i])).translated(out.places[i]));
    }
    for (int r = 0; r < out.rows; ++r) {
        for (int c = 0; c < out.columns; ++c) {
            Tile t{r, c, QRectF{QPointF{c * pitch.width(), r * pitch.height()}, area}, true};
            if (r == 0 && c == 0) t.blank = false;
            for (const auto& s : shapes) t.blank = t.blank && !s.intersects(t.part);
            out.tiles.push_back(t);
        }
    }
    return out;
}

}  // namespace

QSizeF page_mm(PaperSize paper)
{
    return page_size(paper).size(QPageSize::Millimeter);
}

Layout lay_out(const PrintJob& job)
{
    // Rows of pieces as wide as two to seven pages: the one that needs the fewest.
    const double page = page_size(job.paper).size(QPageSize::Millimeter).width();
    Layout best = lay_out_within(job, 2 * page);
    for (int pages = 3; pages <= 7; ++pages) {
        auto next = lay_out_within(job, pages * page);
        if (next.printed() < best.printed()) best = std::move(next);
    }
    return best;
}

void paint_sheet(QPainter& p, const PrintJob& job, const Layout& layout)
{
    paint_test_square(p, job, layout);
    for (std::size_t i = 0; i < layout.pieces.size(); ++i) {
        p.save();
        p.translate(layout.places[i]);
        p.setPen(pen(0.35));
        if (layout.left[i]) paint_left_line(p, *layout.left[i]);
        paint_piece(p, job, layout.pieces[i]);
        p.setPen(pen(0.35));
        paint_piece_label(p, job, layout.pieces[i], layout.left[i].has_value());
        p.restore();
    }
}

namespace {

// Each says whose it is.
std::vector<Piece> named_pieces(const std::vector<PieceToCut>& pieces, const QString& what = {})
{
    std::vector<Piece> out;
    for (const auto& p : pieces) {
        out.push_back(p.piece);
        const QString name = words::of_side(words::piece_name(p.piece), p.side);
        if (p.side || !what.isEmpty())
            out.back().name = (what.isEmpty() ? name : name + ", " + what).toStdString();
    }
    return out;
}

}  // namespace

PrintJob print_job(const Computed& c, PaperSize paper, int divide, Unit unit, const PrintLabel& label,
                   SidesPrinted sides)
{
    QStringList not_done;
    for (const auto& n : c.not_done) not_done << words::not_done(n, unit);
    PrintJob job{{}, paper, divide, unit, label, not_done, {}};
    const auto lines = divide == 1 && sides == SidesPrinted::OnOnePiece ? cut_with_two_lines(c) : std::nullopt;
    if (!lines) {
        job.pieces = divide > 1 ? practice_pieces(c) : named_pieces(cut_out(c));
        return job;
    }
    for (const auto& l : *lines) {
        job.pieces.push_back(l.right);
        job.left.push_back(l.left);
    }
    return job;
}

Outcome<int> write_pages(const QString& path, const PrintJob& job, IfThere if_there, const Progress& progress)
{
    if (auto ok = may_write(path, if_there); !ok) return tl::make_unexpected(ok.error());
    const Layout layout = lay_out(job);
    const int all = layout.printed();
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    int done = 0;
    {
        QPdfWriter pdf{&buffer};
        pdf.setTitle(job.label.pattern);  // nobody's name: a file is shown by its title
        pdf.setCreator("Sartorum");
        pdf.setResolution(resolution);
        pdf.setPageSize(page_size(job.paper));
        pdf.setPageMargins({0, 0, 0, 0});
        QPainter p{&pdf};
        const double per_mm = resolution / 25.4;
        for (const auto& tile : layout.tiles) {
            if (tile.blank) continue;
            if (done > 0) pdf.newPage();
            p.save();
            p.scale(per_mm, per_mm);
            p.translate(page_margin_mm, page_margin_mm);
            const QRectF area{QPointF{0, 0}, tile.part.size()};
            p.save();
            p.setClipRect(area);
            p.translate(-tile.part.topLeft());
            paint_sheet(p, job, layout);
            p.restore();
            paint_tile_marks(p, layout, tile, area);
            p.restore();
            ++done;
            if (progress && !progress(done, all)) return 0;
        }
    }
    if (auto ok = write_file(path, buffer.data(), if_there); !ok) return tl::make_unexpected(ok.error());
    return done;
}

std::vector<Piece> practice_pieces(const Computed& c)
{
    auto out = named_pieces(cut_out_of(c, c.traced), tr_("practice"));
    auto finished = named_pieces(cut_out(c), tr_("finished"));
    std::move(finished.begin(), finished.end(), std::back_inserter(out));
    return out;
}

QByteArray altered_svg(const Computed& computed, const PrintLabel& label)
{
    Pattern p;
    p.name = (label.pattern + ", " + label.wearer).toStdString();
    p.maker = "";
    const auto sized = [&](const QString& name, const Garment& g) {
        p.sizes.push_back({name.toStdString(), g.pieces});
    };
    if (!computed.left) {
        sized(label.wearer, computed.altered);
    } else {
        sized(words::of_side(label.wearer, Side::Right), computed.altered);
        sized(words::of_side(label.wearer, Side::Left), computed.left->altered);
    }
    p.seams = computed.altered.seams;
    return write_pattern_svg(p);
}

}  // namespace sartorum::formats
