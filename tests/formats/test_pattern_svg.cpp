#include <QElapsedTimer>
#include <QImage>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include "core/paper/facing.h"
#include "core/pattern/joint.h"
#include "dresses.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"

namespace test_pattern_svg {

using namespace sartorum;
using namespace sartorum::test;
using formats::read_pattern_svg;
using formats::write_pattern_svg;

namespace {

std::string good()
{
    return write_pattern_svg(graded_skirt(3)).toStdString();
}

std::string replaced(std::string s, const std::string& a, const std::string& b)
{
    const auto at = s.find(a);
    if (at == std::string::npos) qFatal("nothing to replace: %s", a.c_str());
    return s.replace(at, a.size(), b);
}

}  // namespace

class TestPatternSvg : public QObject {
    Q_OBJECT
private slots:
    void one_piece_comes_back_alone_with_how_it_closes()
    {
        Piece p = graded_skirt(1).sizes[0].pieces[0];
        p.opening = Length::mm(220);
        p.overlap = Length::mm(15);
        p.button_gap = Length::mm(70);
        const auto again = formats::read_piece_svg(formats::write_piece_svg(p, "12").toStdString());
        QVERIFY(again.has_value());
        QVERIFY(largest_gap(p, *again) < 1e-5);
        QVERIFY(again->opening == p.opening && again->overlap == p.overlap && again->button_gap == p.button_gap);
        QVERIFY(!formats::read_piece_svg(good()).has_value());  // several
        QVERIFY(!formats::read_piece_svg("").has_value());
        QByteArray wide = formats::write_piece_svg(p, "12");
        wide.replace("data-overlap=\"15\"", "data-overlap=\"1500\"");
        QCOMPARE(formats::read_piece_svg(wide.toStdString()).error().field, std::string{"data-overlap"});
    }
    void a_pattern_comes_back_as_it_was_written()
    {
        const auto p = graded_skirt(3);
        const auto again = read_pattern_svg(good());
        QVERIFY(again.has_value());
        QCOMPARE(again->name, p.name);
        QCOMPARE(again->seams.size(), p.seams.size());
        for (std::size_t s = 0; s < p.sizes.size(); ++s) {
            for (std::size_t i = 0; i < p.sizes[s].pieces.size(); ++i) {
                const Piece& a = p.sizes[s].pieces[i];
                const Piece& b = again->sizes[s].pieces[i];
                QVERIFY(largest_gap(a, b) < 1e-5);  // six decimals are written
                QCOMPARE(b.darts.size(), a.darts.size());
                QCOMPARE(b.notches.size(), a.notches.size());
                for (std::size_t e = 0; e < a.edges.size(); ++e)
                    QCOMPARE(b.edges[e].allowance.in_mm(), a.edges[e].allowance.in_mm());
            }
        }
    }
    void parts_and_followers_come_back_and_old_files_have_them_told()
    {
        SkirtFlat f = plain_skirt();
        auto p = *skirt_pattern(f);
        const auto text = write_pattern_svg(p).toStdString();
        QVERIFY(text.find("data-part=\"skirt\"") != std::string::npos);
        QVERIFY(text.find("data-follow=\"length\"") != std::string::npos);
        const auto without = [&](std::string what) {
            std::string out = text;
            for (auto at = out.find(what); at != std::string::npos; at = out.find(what))
                out.erase(at, what.size());
            return out;
        };
        // As files were written before: the edges tell the part, a waistband follows its waist.
        for (const auto& written : {text, without(" data-part=\"skirt\""), without(" data-follow=\"length\"")}) {
            const auto read = read_pattern_svg(written);
            QVERIFY(read.has_value());
            const auto& pieces = read->sizes[0].pieces;
            QCOMPARE(*find_piece(pieces, PieceRole::Front)->part, PartKind::Skirt);
            QVERIFY(!find_piece(pieces, PieceRole::Waistband)->part);
            QCOMPARE(followers(read->seams, pieces).size(), std::size_t{1});
        }
        const auto with = [&](const std::string& what, const std::string& by) {
            std::string out = text;
            out.replace(out.find(what), what.size(), by);
            return read_pattern_svg(out);
        };
        QVERIFY(followers(with("data-follow=\"length\"", "data-follow=\"no\"")->seams, p.sizes[0].pieces).empty());
        QCOMPARE(with("data-follow=\"length\"", "data-follow=\"far\"").error().field, std::string{"data-follow"});
        QCOMPARE(with("data-part=\"skirt\"", "data-part=\"roof\"").error().field, std::string{"data-part"});
        // A sleeve belongs to what has a shoulder, and a band to no part.
        const auto top = write_pattern_svg(*bodice_pattern(with_sleeve(plain_bodice()))).toStdString();
        std::string strange = top;
        const auto sleeve = strange.find("data-part", strange.find("data-role=\"sleeve\""));
        strange.replace(sleeve, std::string{"data-part=\"upper\""}.size(), "data-part=\"skirt\"");
        QVERIFY(read_pattern_svg(top).has_value());
        QCOMPARE(read_pattern_svg(strange).error().field, std::string{"data-part"});
        QCOMPARE(with("data-role=\"waistband\"", "data-role=\"waistband\" data-part=\"skirt\"").error().field,
                 std::string{"data-part"});
        // A front that says it is another kind has not that kind's edges.
        QCOMPARE(with("data-part=\"skirt\"", "data-part=\"upper\"").error().why, Why::EdgeMissing);
    }
    void a_dress_comes_back_with_its_join_its_openings_and_its_facings()
    {
        Pattern p = graded(gathered_dress(), 2);
        for (auto& sized : p.sizes) {
            Piece facing = need(facing_drawn(sized.pieces[0], EdgeRole::Neck, Length::mm(55)));
            facing.id = facing.name = "neck-facing-front";
            sized.pieces[1].opening = piece_most;
            for (auto& piece : sized.pieces) {
                if (piece.id == "skirt-back") piece.opening = Length::mm(180);
            }
            sized.pieces.push_back(facing);
        }
        p.seams.push_back(
            {"facing", {{"front", EdgeRole::Neck}}, {{"neck-facing-front", EdgeRole::Neck}}, {}, Follow::Shape});
        p = *check_pattern(p);
        const auto text = write_pattern_svg(p).toStdString();
        const auto read = need(read_pattern_svg(text));
        const Seam* join = join_between(read.seams, read.sizes[0].pieces, PartKind::Upper, PartKind::Skirt);
        QVERIFY(join);
        QCOMPARE(join->fullness, 1.8);
        QVERIFY(read.seams.back().follow == Follow::Shape);
        QVERIFY(find_piece(read.sizes[1].pieces, std::string{"back"})->opening == piece_most);
        QCOMPARE(find_piece(read.sizes[1].pieces, std::string{"skirt-back"})->opening, Length::mm(180));
        QCOMPARE(find_piece(read.sizes[1].pieces, std::string{"front"})->opening, Length{});
        for (std::size_t i = 0; i < p.sizes[1].pieces.size(); ++i)
            QVERIFY(largest_gap(read.sizes[1].pieces[i], p.sizes[1].pieces[i]) < 1e-3);
        const auto with = [&](const std::string& what, const std::string& by) {
            return read_pattern_svg(replaced(text, what, by));
        };
        for (const char* full : {"nan", "0", "-1", "1e9", "9", "1 2", "much"}) {
            const auto refused = with("data-fullness=\"1.8\"", std::string{"data-fullness=\""} + full + "\"");
            QVERIFY2(!refused, full);
            QCOMPARE(refused.error().field, std::string{"data-fullness"});
        }
        for (const char* opening : {"-5", "wide", "nan", "9000"}) {
            const auto refused = with("data-opening=\"180\"", std::string{"data-opening=\""} + opening + "\"");
            QVERIFY2(!refused, opening);
            QCOMPARE(refused.error().field, std::string{"data-opening"});
        }
    }
    void a_bodice_comes_back_with_darts_bust_point_and_guides()
    {
        BodiceFlat f = plain_bodice();
        f.shoulder_dart = Length::mm(12);
        auto p = *bodice_pattern(f);
        p.sizes[0].pieces[1].darts[0].kind = DartKind::Tuck;
        Piece facing = p.sizes[0].pieces[1];
        facing.id = "facing";
        facing.role = PieceRole::Other;
        facing.part.reset();
        p.sizes[0].pieces.push_back(facing);
        const auto again = read_pattern_svg(write_pattern_svg(p).toStdString());
        QVERIFY(again.has_value());
        const auto& pieces = again->sizes[0].pieces;
        for (std::size_t i = 0; i < 2; ++i) {
            const Piece& was = p.sizes[0].pieces[i];
            QVERIFY(largest_gap(pieces[i], was) < 1e-5);
            QCOMPARE(pieces[i].darts.size(), was.darts.size());
            for (std::size_t d = 0; d < was.darts.size(); ++d) {
                QCOMPARE(pieces[i].darts[d].kind, was.darts[d].kind);
                QVERIFY(Geom::distance(pieces[i].darts[d].tip, was.darts[d].tip) < 1e-5);
            }
            for (const auto& g : was.guides) QVERIFY(guide(pieces[i], g.kind).has_value());
        }
        QVERIFY(Geom::distance(*pieces[0].bust_point, *p.sizes[0].pieces[0].bust_point) < 1e-5);
        QVERIFY(!pieces[1].bust_point);
        QCOMPARE(pieces[2].role, PieceRole::Other);
    }
    // Six gores on a yoke: written and read again they are the same, however the skirt's part is called.
    void gores_on_a_yoke_come_back_as_they_were()
    {
        const auto text = formats::read_file(QString{SARTORUM_SOURCE_DIR} + "/demo/ropewalk-skirt.svg");
        const Pattern p = need(formats::read_pattern_svg(*text));
        const Pattern again = need(formats::read_pattern_svg(formats::write_pattern_svg(p).toStdString()));
        QCOMPARE(again.seams.size(), p.seams.size());
        for (std::size_t i = 0; i < p.sizes.size(); ++i) {
            QCOMPARE(again.sizes[i].pieces.size(), p.sizes[i].pieces.size());
            for (std::size_t k = 0; k < p.sizes[i].pieces.size(); ++k) {
                const Piece& a = p.sizes[i].pieces[k];
                const Piece& b = again.sizes[i].pieces[k];
                QVERIFY(a.part == b.part && a.role == b.role && a.id == b.id);
                QVERIFY(test::largest_gap(a, b) < 1e-4);
                QVERIFY(a.opening == b.opening);
            }
        }
        QCOMPARE(parts_of(p.sizes.front().pieces), (std::vector{PartKind::Yoke, PartKind::BelowYoke}));
        std::string plain = *text;
        const std::string below = "skirt-below-yoke";
        for (auto at = plain.find(below); at != std::string::npos; at = plain.find(below))
            plain.replace(at, below.size(), "skirt");
        QCOMPARE(parts_of(need(formats::read_pattern_svg(plain)).sizes.front().pieces),
                 (std::vector{PartKind::Yoke, PartKind::BelowYoke}));
        // The two pieces of a face in the other order are refused by name.
        std::string swapped = *text;
        const auto first = swapped.find("data-piece=\"front\"");
        swapped.replace(swapped.find("data-edge=\"outer\"", first), 17, "data-edge=\"side\"");
        const auto refused = formats::read_pattern_svg(swapped);
        QVERIFY(!refused);
    }
    void a_front_of_two_panels_comes_back_as_one()
    {
        for (const auto from : {PrincessFrom::Armhole, PrincessFrom::Shoulder}) {
            const auto pattern = *bodice_pattern(princess(plain_bodice(), from));
            const auto text = write_pattern_svg(pattern).toStdString();
            const auto back = read_pattern_svg(text);
            QVERIFY(back.has_value());
            const Piece& was = pattern.sizes[0].pieces[0];
            const Piece& is = back->sizes[0].pieces[0];
            QVERIFY(is.princess);
            QVERIFY(!back->sizes[0].pieces[1].princess);
            QVERIFY(largest_gap(was, is) < 1e-4);
            const auto a = princess_panels(was);
            const auto b = princess_panels(is);
            QVERIFY(largest_gap(a.centre, b.centre) < 1e-3);
            QVERIFY(largest_gap(a.side, b.side) < 1e-3);
            // Said of a front that has no such seam it is refused, naming what is not there.
            auto plain = write_pattern_svg(*bodice_pattern(plain_bodice())).toStdString();
            plain.insert(plain.find("data-role=\"front\""), "data-princess=\"true\" ");
            const auto refused = read_pattern_svg(plain);
            QVERIFY(!refused);
            QVERIFY(refused.error().field.find("princess") != std::string::npos);
        }
    }
    void a_broken_bust_point_or_dart_kind_is_refused()
    {
        const auto svg = write_pattern_svg(*bodice_pattern(plain_bodice())).toStdString();
        QCOMPARE(read_pattern_svg(replaced(svg, "data-dart=\"dart\"", "data-dart=\"gore\"")).error().why,
                 Why::PathNotUnderstood);
        const auto at = svg.find("data-mark=\"bust-point\"");
        QVERIFY(at != std::string::npos);
        auto broken = svg;
        broken.replace(broken.find("cx=\"", at), 4, "cx=\"a");
        QCOMPARE(read_pattern_svg(broken).error().why, Why::PathNotUnderstood);
    }
    void a_drawing_in_inches_turned_and_mirrored_is_the_same_pattern()
    {
        auto svg = good();
        const auto was = *read_pattern_svg(svg);
        // The same sheet declared in inches, its contents turned by a group.
        const auto root = svg.find("width=\"");
        const auto end = svg.find("mm\"", root);
        const double mm = std::stod(svg.substr(root + 7, end - root - 7));
        svg = replaced(svg, svg.substr(root, end + 3 - root), "width=\"" + std::to_string(mm / 25.4) + "in\"");
        svg = replaced(svg, "<g data-size=\"8\">",
                       "<g data-size=\"8\" transform=\"translate(1200 0) scale(-1 1)\">");
        const auto is = read_pattern_svg(svg);
        QVERIFY(is.has_value());
        for (std::size_t i = 0; i < was.sizes[0].pieces.size(); ++i) {
            QVERIFY(near(area_mm2(was.sizes[0].pieces[i]), area_mm2(is->sizes[0].pieces[i]), 0.5));
        }
        QVERIFY(largest_gap(was.sizes[0].pieces[0], is->sizes[0].pieces[0]) < 1e-2);
    }
    void the_drawing_is_at_true_size_for_another_reader()
    {
        QTemporaryDir dir;
        Pattern square{"Square", "Nobody", {}, {}};
        auto pieces = draw_skirt(plain_skirt())->pieces;
        square.sizes.push_back({"1", pieces});
        const QString svg = dir.filePath("p.svg");
        const QString png = dir.filePath("p.png");
        QVERIFY(formats::write_file(svg, write_pattern_svg(square), formats::IfThere::Refuse).has_value());
        // librsvg at 25.4 dpi: one pixel a millimetre.
        QCOMPARE(QProcess::execute("rsvg-convert",
                                   {"--dpi-x", "25.4", "--dpi-y", "25.4", "-b", "white", "-o", png, svg}),
                 0);
        const QImage image{png};
        QVERIFY(!image.isNull());
        int left = image.width();
        int top = image.height();
        int bottom = 0;
        for (int r = 0; r < image.height(); ++r) {
            for (int c = 0; c < image.width(); ++c) {
                if (qGray(image.pixel(c, r)) > 200) continue;
                left = std::min(left, c);
                top = std::min(top, r);
                bottom = std::max(bottom, r);
            }
        }
        const auto box = bounds(pieces[0]);
        // First piece starts 60 mm in; the tallest piece is the front or back: their heights are equal.
        QVERIFY(near(left, 60, 1));
        QVERIFY2(std::abs((bottom - top) - box.height()) <= 2,
                 qPrintable(QString("%1 %2").arg(bottom - top).arg(box.height())));
    }
    void what_is_not_a_usable_pattern_says_why_data()
    {
        QTest::addColumn<QByteArray>("svg");
        QTest::addColumn<int>("why");
        const auto row = [](const char* name, const std::string& svg, Why why) {
            QTest::newRow(name) << QByteArray::fromStdString(svg) << int(why);
        };
        const auto s = good();
        row("empty", "", Why::FileBroken);
        row("text", "Dear sir", Why::FileBroken);
        row("html", "<html></html>", Why::FileNotAPattern);
        row("plain drawing", "<svg width='10mm' height='10mm' viewBox='0 0 10 10'/>", Why::FileNotAPattern);
        row("no scale", replaced(s, "viewBox=", "data-box="), Why::FileNoScale);
        row("pixels", replaced(s, "mm\" height", "px\" height"), Why::FileNoScale);
        row("truncated", s.substr(0, s.size() / 2), Why::FileBroken);
        row("script", replaced(s, "<g data-size", "<script>alert(1)</script><g data-size"),
            Why::FileActiveContent);
        row("external reference", replaced(s, "<g data-size", "<a href=\"file:///etc/passwd\"/><g data-size"),
            Why::FileActiveContent);
        row("use", replaced(s, "<g data-size", "<use href=\"#x\"/><g data-size"), Why::FileActiveContent);
        row("event", replaced(s, "<g data-size", "<g onload=\"x()\"/><g data-size"), Why::FileActiveContent);
        row("entities",
            "<!DOCTYPE svg [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]>" + s.substr(s.find("<svg")),
            Why::FileActiveContent);
        row("open outline", replaced(s, "data-edge=\"hem\"", "data-edg=\"hem\""), Why::OutlineNotClosed);
        row("unknown edge", replaced(s, "data-edge=\"hem\"", "data-edge=\"ruffle\""), Why::EdgeMissing);
        row("unknown role", replaced(s, "data-role=\"front\"", "data-role=\"cape\""), Why::FileNotAPattern);
        row("broken path", replaced(s, "d=\"M", "d=\"Q"), Why::PathNotUnderstood);
        row("infinite path", replaced(s, "d=\"M", "d=\"M1e400,0 L"), Why::PathNotUnderstood);
        row("no hip line", replaced(s, "data-guide=\"hip\"", "data-guide=\"grain\""), Why::MarkMissing);
        row("one size twice", replaced(s, "data-size=\"10\"", "data-size=\"8\""), Why::ChartSizeTwice);
        row("seam of nothing", replaced(s, "data-a=\"front:side\"", "data-a=\"sleeve:side\""),
            Why::SeamUnknownPiece);
    }
    void what_is_not_a_usable_pattern_says_why()
    {
        QFETCH(QByteArray, svg);
        QFETCH(int, why);
        const auto p = read_pattern_svg(svg.toStdString());
        QVERIFY(!p.has_value());
        QCOMPARE(int(p.error().why), why);
    }
    void fifty_megabytes_of_nested_groups_end_quickly()
    {
        std::string bomb = "<svg width='10mm' height='10mm' viewBox='0 0 10 10' data-sartorum='pattern 1'>";
        while (bomb.size() < 50u * 1024 * 1024) bomb += "<g>";
        QElapsedTimer timer;
        timer.start();
        QCOMPARE(read_pattern_svg(bomb).error().why, Why::FileTooLarge);
        bomb.resize(15u * 1024 * 1024);
        QCOMPARE(read_pattern_svg(bomb).error().why, Why::FileTooDeep);
        std::string flat = "<svg width='10mm' height='10mm' viewBox='0 0 10 10' data-sartorum='pattern 1'>";
        for (int i = 0; i < 60000; ++i) flat += "<g/>";
        QCOMPARE(read_pattern_svg(flat).error().why, Why::FileTooDeep);
        // Room for the sanitizers on a busy machine: quadratic time would take minutes.
        QVERIFY(timer.elapsed() < 20000);
    }
    void damaged_bytes_never_crash()
    {
        const auto s = good();
        std::mt19937 rng{5};
        for (int i = 0; i < 400; ++i) {
            auto broken = s;
            for (int k = 0; k < 6; ++k) broken[rng() % broken.size()] = static_cast<char>(32 + rng() % 95);
            const auto p = read_pattern_svg(broken);
            if (p) QVERIFY(!p->sizes.empty());
        }
    }
    void damaged_panels_never_crash()
    {
        const auto whole = write_pattern_svg(*bodice_pattern(princess(plain_bodice()))).toStdString();
        std::mt19937 rng{6};
        int taken = 0;
        for (int i = 0; i < 300; ++i) {
            // Digits for digits: most of these are still drawings, of panels nobody would draw.
            auto broken = whole;
            for (int k = 0; k < 5; ++k) {
                const auto at = rng() % broken.size();
                if (std::isdigit(static_cast<unsigned char>(broken[at])))
                    broken[at] = static_cast<char>('0' + rng() % 10);
            }
            const auto p = read_pattern_svg(broken);
            if (!p) continue;
            ++taken;
            for (const auto& piece : as_cut(p->sizes[0].pieces)) {
                QVERIFY(!piece.edges.empty());
                QVERIFY(std::isfinite(area_mm2(piece)));
            }
        }
        QVERIFY2(taken > 20, qPrintable(QString::number(taken)));
    }
    void a_seam_without_a_length_is_refused()
    {
        auto pattern = *bodice_pattern(princess(plain_bodice()));
        Piece& front = pattern.sizes[0].pieces[0];
        const auto mouths = *princess_mouths(front);
        front.bust_point = front.darts[dart_at(front, mouths.upper)].leg_a;
        QVERIFY(!check_pattern(pattern));
        // Nor is a pleat a part of such a seam.
        auto pleated = *bodice_pattern(princess(plain_bodice()));
        Piece& other = pleated.sizes[0].pieces[0];
        other.darts[dart_at(other, mouths.lower)].kind = DartKind::Pleat;
        QVERIFY(!check_pattern(pleated));
    }
};

SARTORUM_TEST(TestPatternSvg)

}  // namespace test_pattern_svg

#include "test_pattern_svg.moc"
