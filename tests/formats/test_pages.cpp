// The printed pages as poppler, an independent reader, sees them.
#include <QDir>
#include <QFileInfo>
#include <QGuiApplication>
#include <QImage>
#include <QPainter>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

#include "bodices.h"
#include "core/paper/area.h"
#include "formats/work_card.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"
#include "words/words.h"

namespace test_pages {

using namespace sartorum;
using namespace sartorum::test;
using namespace sartorum::formats;

namespace {

QString output(const QString& program, const QStringList& arguments)
{
    QProcess p;
    p.start(program, arguments);
    p.waitForFinished();
    return QString::fromUtf8(p.readAllStandardOutput());
}

PrintJob job(PaperSize paper, int divide, Unit unit)
{
    return {skirt_pattern(plain_skirt())->sizes[0].pieces,
            paper,
            divide,
            unit,
            {"Bram", "Test skirt", "size 14", "version 1", "2026-11-23"}};
}

}  // namespace

class TestPages : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString write(const PrintJob& j)
    {
        const QString path = dir_.filePath("p.pdf");
        pages_ = *write_pages(path, j, IfThere::Replace);
        return path;
    }
    int pages_ = 0;

    // Outer size of the test square on the first page, in pixels at 254 dpi (10 a millimetre).
    QSize square(const QString& pdf, double low_mm)
    {
        QProcess::execute("pdftoppm", {"-r", "254", "-f", "1", "-l", "1", "-gray", "-png", "-singlefile", pdf,
                                       dir_.filePath("one")});
        const QImage image{dir_.filePath("one.png")};
        // The square starts 10 mm margin + 12 mm in; look along the line through its middle.
        const int middle = static_cast<int>((10 + 12 + low_mm / 4) * 10);
        const auto span = [&](bool across) {
            const auto dark = [&](int i) {
                return qGray(across ? image.pixel(i, middle) : image.pixel(middle, i)) < 128;
            };
            int first = 165;
            while (first < 400 && !dark(first)) ++first;
            int last = first + static_cast<int>(low_mm * 10) + 30;
            while (last > first && !dark(last)) --last;
            return last - first;
        };
        return {span(true), span(false)};
    }

    static SizeChart chart_of(const Pattern& p)
    {
        SizeChart chart{"c", "m", {}};
        for (const auto& size : p.sizes) {
            const double i = static_cast<double>(chart.sizes.size());
            chart.sizes.push_back(
                {size.size,
                 {{Measure::Waist, Length::mm(640 + 40 * i)}, {Measure::Hip, Length::mm(880 + 40 * i)}},
                 0});
        }
        return chart;
    }

    // Waist to hip and hip not alike.
    static Computed unlike_skirt()
    {
        const auto p = graded_skirt();
        const SizeChart chart = chart_of(p);
        Plan plan = plan_in_sizes("14", "14");
        Decision hip{AdjustmentKind::WidthAtHip, Answer::Accepted};
        hip.set({Face::Both, Side::Right}, Length::mm(36));
        hip.set({Face::Both, Side::Left}, Length::mm(12));
        plan.decide(hip);
        Decision depth{AdjustmentKind::WaistToHip, Answer::Accepted};
        depth.set({Face::Both, Side::Right}, Length::mm(8));
        depth.set({Face::Both, Side::Left}, Length::mm(16));
        plan.decide(depth);
        return *compute(p, chart, {}, plan);
    }

    static constexpr int px = 4;  // a millimetre

    // The pages, as poppler draws them, taped where they lie.
    QImage rejoined(const QString& path, const Layout& l)
    {
        const QString stem = path + "-page";
        output("pdftoppm", {"-r", QString::number(25.4 * px), "-gray", "-png", path, stem});
        QDir dir{QFileInfo{path}.path()};
        const auto pages = dir.entryInfoList({QFileInfo{stem}.fileName() + "*.png"}, QDir::Files, QDir::Name);
        QImage sheet{(l.sheet * px).toSize() + QSize{400 * px, 400 * px}, QImage::Format_Grayscale8};
        sheet.fill(255);
        QPainter p{&sheet};
        p.setCompositionMode(QPainter::CompositionMode_Darken);
        qsizetype next = 0;
        for (const auto& t : l.tiles) {
            if (t.blank || next >= pages.size()) continue;
            const QImage page{pages[next++].filePath()};
            const double margin = page_margin_mm * px;
            p.drawImage(t.part.topLeft() * px, page, QRectF{QPointF{margin, margin}, t.part.size() * px});
        }
        return sheet;
    }

    static bool inked(const QImage& sheet, QPointF mm)
    {
        const QPoint c = (mm * px).toPoint();
        for (int dx = -px; dx <= px; ++dx) {
            for (int dy = -px; dy <= px; ++dy) {
                if (sheet.valid(c + QPoint{dx, dy}) && qGray(sheet.pixel(c + QPoint{dx, dy})) < 120) return true;
            }
        }
        return false;
    }

private slots:
    void a4_pages_are_iso_216_and_as_many_as_laid_out()
    {
        const auto j = job(PaperSize::A4, 1, Unit::Centimetre);
        const QString info = output("pdfinfo", {write(j)});
        QCOMPARE(pages_, lay_out(j).printed());
        QVERIFY(info.contains(QRegularExpression{QString{"Pages:\\s+%1\\b"}.arg(pages_)}));
        // ISO 216: A4 is 210 × 297 mm, 595.28 × 841.89 pt.
        const auto m = QRegularExpression{R"(Page size:\s+([\d.]+) x ([\d.]+))"}.match(info);
        QVERIFY(near(m.captured(1).toDouble(), 210 * 72 / 25.4, 0.5));
        QVERIFY(near(m.captured(2).toDouble(), 297 * 72 / 25.4, 0.5));
    }
    void letter_pages_are_8_and_a_half_by_11_inches()
    {
        const QString info = output("pdfinfo", {write(job(PaperSize::Letter, 1, Unit::Inch))});
        const auto m = QRegularExpression{R"(Page size:\s+([\d.]+) x ([\d.]+))"}.match(info);
        QCOMPARE(m.captured(1).toDouble(), 612.0);
        QCOMPARE(m.captured(2).toDouble(), 792.0);
    }
    void the_test_square_measures_5_cm_or_2_in_at_every_scale()
    {
        for (const int divide : {1, 2, 4}) {
            const QSize cm = square(write(job(PaperSize::A4, divide, Unit::Centimetre)), 50);
            QVERIFY2(std::abs(cm.width() - 500) <= 4 && std::abs(cm.height() - 500) <= 4,
                     qPrintable(QString("%1 %2").arg(cm.width()).arg(cm.height())));
        }
        const QSize in = square(write(job(PaperSize::Letter, 1, Unit::Inch)), 50.8);
        QVERIFY2(std::abs(in.width() - 508) <= 4 && std::abs(in.height() - 508) <= 4,
                 qPrintable(QString("%1").arg(in.width())));
    }
    void every_part_of_every_piece_is_on_some_page()
    {
        for (const auto paper : {PaperSize::A4, PaperSize::Letter}) {
            const auto l = lay_out(job(paper, 1, Unit::Centimetre));
            for (std::size_t i = 0; i < l.pieces.size(); ++i) {
                for (const auto& q : outline_points(l.pieces[i], Length::mm(1))) {
                    const QPointF at = QPointF{q[Geom::X], -q[Geom::Y]} + l.places[i];
                    const bool there = std::any_of(l.tiles.begin(), l.tiles.end(),
                                                   [&](const Tile& t) { return !t.blank && t.part.contains(at); });
                    QVERIFY(there);
                }
            }
        }
    }
    void pieces_do_not_lie_over_each_other()
    {
        const auto l = lay_out(job(PaperSize::A4, 1, Unit::Centimetre));
        std::vector<QRectF> boxes{l.test_square};
        for (std::size_t i = 0; i < l.pieces.size(); ++i) {
            const auto b = bounds(l.pieces[i]);
            boxes.push_back(QRectF{b.left(), -b.bottom(), b.width(), b.height()}.translated(l.places[i]));
        }
        for (std::size_t i = 0; i < boxes.size(); ++i) {
            for (std::size_t k = 0; k < i; ++k) QVERIFY(!boxes[i].intersects(boxes[k]));
        }
    }
    void labels_are_text_that_can_be_read()
    {
        const QString text = output("pdftotext", {write(job(PaperSize::A4, 1, Unit::Centimetre)), "-"});
        for (const char* word : {"Bram", "Test skirt", "size 14", "test square", "Skirt front", "2026-11-23"})
            QVERIFY2(text.contains(QLatin1String{word}), word);
    }
    void stopping_writes_no_file()
    {
        const QString path = dir_.filePath("stopped.pdf");
        QCOMPARE(*write_pages(path, job(PaperSize::A4, 1, Unit::Centimetre), IfThere::Replace,
                              [](int done, int) { return done < 2; }),
                 0);
        QVERIFY(!QFile::exists(path));
        QCOMPARE(write_pages("/nowhere/at/all.pdf", job(PaperSize::A4, 4, Unit::Centimetre), IfThere::Refuse)
                     .error()
                     .why,
                 Why::FileFolderMissing);
    }
    void a_tops_work_card_runs_over_pages_and_names_every_step()
    {
        const auto pattern = *bodice_pattern(plain_bodice());
        SizeChart chart{"c", "m", {}};
        chart.sizes.push_back({"12", {{Measure::Bust, Length::mm(880)}}, 0});
        Plan plan = plan_in_sizes("12", "12");
        for (const auto& a : catalogue()) plan.decide({a.kind, Answer::Accepted, Length::mm(-9)});
        const auto c = *compute(pattern, chart, {}, plan);
        QVERIFY(c.steps.size() > 25);
        const QString path = dir_.filePath("top.pdf");
        const PrintLabel label{"Ottilie", "Test bodice", "12", "v", "d"};
        const int pages = *write_work_card(path, c, label, PaperSize::A4, Unit::Inch, IfThere::Replace);
        QVERIFY(pages >= 2);
        QVERIFY(output("pdfinfo", {path}).contains(QRegularExpression{QString{"Pages:\\s+%1\\b"}.arg(pages)}));
        // Ligatures come back as single characters.
        const QString text =
            output("pdftotext", {"-raw", path, "-"}).normalized(QString::NormalizationForm_KC).simplified();
        for (const auto& s : c.steps) {
            const QString title = words::step_title(s, Unit::Inch);
            QVERIFY2(text.contains(title.normalized(QString::NormalizationForm_KC).left(20)), qPrintable(title));
        }
        QVERIFY(text.contains("Walk the seams") && text.contains("sewn, the tip"));
        // Fractions, not decimals, in inches.
        QVERIFY(text.contains(QString{"⅜ in"}.normalized(QString::NormalizationForm_KC)));
        // Letter is another page, as many or a little more.
        QVERIFY(*write_work_card(path, c, label, PaperSize::Letter, Unit::Centimetre, IfThere::Replace) >= pages);
        QVERIFY(output("pdfinfo", {path}).contains("612 x 792"));
    }
    void practice_sheets_hold_each_piece_to_work_on_and_as_it_should_come_out()
    {
        const auto pattern = *bodice_pattern(plain_bodice());
        SizeChart chart{"c", "m", {}};
        chart.sizes.push_back({"12", {{Measure::Bust, Length::mm(880)}}, 0});
        Plan plan = plan_in_sizes("12", "12");
        plan.decide({AdjustmentKind::BodiceLength, Answer::Accepted, Length::mm(20)});
        const auto c = *compute(pattern, chart, {}, plan);
        const auto pieces = practice_pieces(c);
        QCOMPARE(pieces.size(), std::size_t{4});
        QVERIFY(largest_gap(pieces[0], c.traced.pieces[0]) < 1e-9);
        QVERIFY(largest_gap(pieces[2], c.altered.pieces[0]) < 1e-9);
        QVERIFY(QString::fromStdString(pieces[0].name) != QString::fromStdString(pieces[2].name));
        const auto l = lay_out({pieces, PaperSize::A4, 4, Unit::Centimetre, {"O", "P", "12", "v", "d"}});
        // A quarter of the true size.
        QVERIFY(near(bounds(l.pieces[0]).width() * 4, bounds(pieces[0]).width(), 1e-6));
    }
    void a_skirts_work_card_has_every_step()
    {
        const auto p = graded_skirt();
        SizeChart chart{"c", "m", {}};
        for (std::size_t i = 0; i < p.sizes.size(); ++i) {
            chart.sizes.push_back({p.sizes[i].size,
                                   {{Measure::Waist, Length::mm(640 + 40.0 * double(i))},
                                    {Measure::Hip, Length::mm(880 + 40.0 * double(i))}},
                                   0});
        }
        Plan plan = plan_in_sizes("12", "14");
        for (const auto& a : catalogue()) {
            if (!a.when_sewn && serves(a, Garment{p.sizes[0].pieces, {}}))
                plan.decide({a.kind, Answer::Accepted, Length::mm(14)});
        }
        const auto c = *compute(p, chart, {}, plan);
        QVERIFY(c.not_done.empty());
        const QString path = dir_.filePath("card.pdf");
        QVERIFY(write_work_card(path, c, {"Ottilie", "Graded", "12 to 14", "v", "d"}, PaperSize::A4, Unit::Inch,
                                IfThere::Replace)
                    .has_value());
        QVERIFY(output("pdfinfo", {path}).contains(QRegularExpression{"Pages:\\s+[1234]\\b"}));
        const QString text = output("pdftotext", {"-layout", path, "-"});
        QVERIFY(text.contains(QString::number(c.steps.size())));
        QVERIFY(text.contains("Walk the seams"));
        QVERIFY(!text.contains("NOT DONE"));
    }
    void what_could_not_be_done_stands_at_the_head_of_card_and_sheets()
    {
        const auto p = graded_skirt();
        const SizeChart chart = chart_of(p);
        Plan plan = plan_in_sizes("12", "14");
        plan.decide({AdjustmentKind::Bust, Answer::Accepted, Length::mm(20)});
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(9000)});
        const auto c = *compute(p, chart, {}, plan);
        QCOMPARE(c.not_done.size(), std::size_t{2});
        const PrintLabel label{"Ottilie", "Graded", "12 to 14", "v", "d"};
        for (const bool card : {true, false}) {
            const QString path = dir_.filePath(card ? "undone-card.pdf" : "undone.pdf");
            const auto written =
                card ? write_work_card(path, c, label, PaperSize::A4, Unit::Centimetre, IfThere::Refuse)
                     : write_pages(path, print_job(c, PaperSize::A4, 1, Unit::Centimetre, label), IfThere::Refuse);
            QVERIFY(written.has_value());
            const QString text = output("pdftotext", {"-f", "1", "-l", "1", path, "-"}).simplified();
            QVERIFY2(text.contains("NOT DONE: Bust."), qPrintable(text));
            QVERIFY(text.contains("NOT DONE: Waist to hip.") && text.contains("Take it out of the plan."));
        }
    }
    // The skirt's front, on the fold, with two unlike halves: rejoined from its sheets as another program draws
    // them, the cutting line of each half lies where that half's own outline has it, the right one turned over.
    void a_piece_on_the_fold_is_printed_whole_and_rejoins_from_its_sheets()
    {
        const auto c = unlike_skirt();
        const PrintLabel label{"Hedda", "Graded", "14", "v", "d"};
        const auto printed = print_job(c, PaperSize::A4, 1, Unit::Centimetre, label);
        const Layout l = lay_out(printed);
        const QString path = dir_.filePath("whole.pdf");
        QVERIFY(write_pages(path, printed, IfThere::Refuse).has_value());
        const QImage sheet = rejoined(path, l);
        const auto front = std::find_if(l.pieces.begin(), l.pieces.end(),
                                        [](const Piece& p) { return guide(p, GuideKind::Centre).has_value(); });
        QVERIFY(front != l.pieces.end());
        const QPointF at = l.places[static_cast<std::size_t>(front - l.pieces.begin())];
        const auto top_of = [](const Piece& p) { return edge(p, EdgeRole::Centre).curve.finalPoint(); };
        const Piece& left = front_of(c.left->altered);
        const Piece& right = front_of(c.altered);
        int looked = 0;
        for (const auto* half : {&left, &right}) {
            for (const auto& polygon : cutting_outline(*half)) {
                for (const auto& q : polygon) {
                    const Point off = q - top_of(*half);
                    if (off[Geom::X] < 3) continue;  // the fold is no edge any more
                    const double x = half == &left ? off[Geom::X] : -off[Geom::X];
                    const QPointF there =
                        at + QPointF{top_of(left)[Geom::X] + x, -(top_of(left)[Geom::Y] + off[Geom::Y])};
                    QVERIFY2(inked(sheet, there),
                             qPrintable(
                                 QString("%1 %2 %3").arg(half == &left ? "left" : "right").arg(x).arg(there.y())));
                    ++looked;
                }
            }
        }
        QVERIFY2(looked > 60, qPrintable(QString::number(looked)));
        const QString text = output("pdftotext", {path, "-"});
        for (const char* said : {"right half", "left half", "back, right", "back, left"})
            QVERIFY2(text.contains(QLatin1String{said}, Qt::CaseInsensitive), said);
    }

    // Where they differ little, both lines on one piece, if she likes that better.
    void two_lines_on_one_piece()
    {
        const auto c = unlike_skirt();
        const PrintLabel label{"Hedda", "Graded", "14", "v", "d"};
        const auto one = print_job(c, PaperSize::A4, 1, Unit::Centimetre, label, SidesPrinted::OnOnePiece);
        QCOMPARE(one.pieces.size(), c.altered.pieces.size());
        QCOMPARE(one.left.size(), one.pieces.size());
        QVERIFY(std::any_of(one.left.begin(), one.left.end(), [](const auto& p) { return p.has_value(); }));
        const QString path = dir_.filePath("two-lines.pdf");
        QVERIFY(write_pages(path, one, IfThere::Refuse).has_value());
        const QString text = output("pdftotext", {path, "-"}).simplified();
        QVERIFY(text.contains("dash and dot: left side") && text.contains("on the fold"));
        QVERIFY(lay_out(one).printed() <
                lay_out(print_job(c, PaperSize::A4, 1, Unit::Centimetre, label)).printed());
    }
};
SARTORUM_TEST(TestPages)

}  // namespace test_pages

#include "test_pages.moc"
