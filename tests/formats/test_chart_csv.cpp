#include <QTest>
#include <random>

#include "core/chart/cup.h"
#include "formats/chart_csv.h"
#include "tests.h"

namespace test_chart_csv {

using namespace sartorum;
using formats::read_chart_csv;

class TestChartCsv : public QObject {
    Q_OBJECT
private slots:
    void a_plain_chart_in_centimetres_is_read()
    {
        const auto c = read_chart_csv("size,waist,hip\n8,64,88\n10,68,92\n");
        QVERIFY(c.has_value());
        QCOMPARE(c->sizes[1].body.at(Measure::Hip).in_mm(), 920.0);
    }
    void a_column_may_be_named_as_makers_name_it()  // common practice
    {
        struct Named {
            const char* word;
            Measure means;
            int cm;
        };
        for (const auto& n : {Named{"inseam", Measure::InsideLeg, 78},
                              {"rise", Measure::BodyRise, 27},
                              {"seat", Measure::Hip, 90},
                              {"biceps", Measure::UpperArm, 28}}) {
            const std::string next = std::to_string(n.cm + 1);
            const auto c = read_chart_csv("size,waist cm," + std::string{n.word} + " cm\n8,64," +
                                          std::to_string(n.cm) + "\n10,68," + next + "\n");
            QVERIFY2(c.has_value(), n.word);
            QVERIFY2(c->sizes[1].body.contains(n.means), n.word);
            QCOMPARE(c->sizes[1].body.at(n.means).in_mm(), 10.0 * (n.cm + 1));
        }
    }
    void inches_with_fractions_and_quoted_cells_are_read()
    {
        const auto c = read_chart_csv("\"size\",\"waist in\",hip (in)\n8,25 1/4,\"35 ½\"\n10,26 1/4,36½\n");
        QVERIFY(c.has_value());
        QVERIFY(is_near(c->sizes[0].body.at(Measure::Waist), Length::inches(25.25), Length::mm(1e-9)));
        QVERIFY(is_near(c->sizes[1].body.at(Measure::Hip), Length::inches(36.5), Length::mm(1e-9)));
    }
    void semicolons_leave_the_comma_to_decimals()
    {
        const auto c = read_chart_csv(
            "\xef\xbb\xbfsize;waist;hip;waist to hip\r\nS;64,5;88,5;20\r\nM;68,5;92,5;20,2\r\n\r\n");
        QVERIFY(c.has_value());
        QCOMPARE(c->sizes[0].body.at(Measure::Waist).in_mm(), 645.0);
        QCOMPARE(c->sizes[1].body.at(Measure::WaistToHip).in_mm(), 202.0);
    }
    void what_is_written_is_read_back_the_same()
    {
        auto c = *read_chart_csv("size,waist,hip,waist_to_hip\n\"8, petite\",64.03,88,20\n10,68,92.125,20.5\n");
        const auto again = read_chart_csv(formats::write_chart_csv(c));
        QVERIFY(again.has_value());
        for (std::size_t i = 0; i < 2; ++i) {
            QCOMPARE(again->sizes[i].name, c.sizes[i].name);
            QVERIFY(again->sizes[i].body == c.sizes[i].body);
        }
    }
    void sizes_may_stand_across()
    {
        const auto lines =
            formats::chart_lines(",XS,S,M,L\nBust,80,84,88,92\nWaist,62,66,70,74\nHips,86,90,94,98\n");
        const auto read = formats::read_chart(*lines);
        QVERIFY(read.has_value());
        QVERIFY(read->understood.sizes_across);
        QCOMPARE(read->chart.sizes.size(), std::size_t{4});
        QCOMPARE(read->chart.sizes[2].name, std::string{"M"});
        QCOMPARE(read->chart.sizes[3].body.at(Measure::Hip).in_cm(), 98.0);
    }
    void inches_are_seen_by_the_numbers_and_said()
    {
        const auto inches =
            formats::read_chart(*formats::chart_lines("size,bust,hip\n10,36,38\n12,37 1/2,39.5\n"));
        QVERIFY(inches->understood.unit_guessed);
        QCOMPARE(inches->understood.unit, Unit::Inch);
        QVERIFY(is_near(inches->chart.sizes[1].body.at(Measure::Bust), Length::inches(37.5), Length::mm(1e-9)));
        const auto cm = formats::read_chart(*formats::chart_lines("size,bust,hip\n10,92,98\n12,96,102\n"));
        QCOMPARE(cm->understood.unit, Unit::Centimetre);
        // Her word wins over the guess.
        const auto told = formats::read_chart(*formats::chart_lines("size,bust\n2,50\n4,54\n"), Unit::Centimetre);
        QCOMPARE(told->chart.sizes[0].body.at(Measure::Bust).in_cm(), 50.0);
        QVERIFY(!told->understood.unit_guessed);
    }
    void printed_ranges_are_kept_as_their_middle()
    {
        const auto read = formats::read_chart(
            *formats::chart_lines("size,bust,hip\nS,84-88,90 \xe2\x80\x93 94\nM,88-92,94 to 98\n"));
        QVERIFY(read.has_value());
        QCOMPARE(read->understood.ranges, 4);
        QCOMPARE(read->chart.sizes[0].body.at(Measure::Bust).in_cm(), 86.0);
        QCOMPARE(read->chart.half_range(1, Measure::Hip).in_cm(), 2.0);
        // A hyphen inside a number of inches is no range.
        const auto inches = formats::read_chart(*formats::chart_lines("size,waist in\n8,26-1/2\n10,27-1/2\n"));
        QCOMPARE(inches->understood.ranges, 0);
        QVERIFY(is_near(inches->chart.sizes[0].body.at(Measure::Waist), Length::inches(26.5), Length::mm(1e-9)));
        const auto both = formats::read_chart(*formats::chart_lines("size,waist in\n8,26 1/2-27\n10,28-28 1/2\n"));
        QVERIFY(is_near(both->chart.sizes[0].body.at(Measure::Waist), Length::inches(26.75), Length::mm(1e-9)));
    }
    void what_stands_beside_the_sizes_is_taken()
    {
        const auto read = formats::read_chart(*formats::chart_lines(
            "maker,Nobody\nname,Any dress\ndrafted cup,C\ncups,A,2.5,C,7.5\ncups by,underbust\nallowance,1.5\n"
            "height,160-170\nview A,8,10\nsize,bust,finished bust\n8,80,90\n10,84,94\n"));
        QVERIFY(read.has_value());
        const auto& c = read->chart;
        QCOMPARE(c.maker, std::string{"Nobody"});
        QCOMPARE(c.drafted_cup.at(""), std::string{"C"});
        QCOMPARE(c.cups.size(), std::size_t{2});
        QCOMPARE(c.cups_by, CupBy::Underbust);
        QCOMPARE(c.allowance->in_mm(), 15.0);
        QCOMPARE(c.height_to->in_cm(), 170.0);
        QCOMPARE(c.views[0], (ChartView{"A", "8", "10"}));
        QCOMPARE(c.finished(1, Measure::Bust)->in_cm(), 94.0);
    }
    void cup_ranges_become_body_types()
    {
        const auto c = read_chart_csv("size,cup,bust,waist\n10,B,90,70\n12,B,94,74\n10,D,95,70\n12,D,99,74\n");
        QVERIFY(c.has_value());
        QCOMPARE(c->groups(), (std::vector<std::string>{"B", "D"}));
        QCOMPARE(c->drafted_cup.at("D"), std::string{"D"});
    }
    void everything_a_chart_knows_comes_back()
    {
        const auto c = *read_chart_csv(
            "maker,\"Nobody, of course\"\nname,X\ncups,A,2.5,C,7.5\nallowance,1.5\nheight,160-170\nview A,8,10\n"
            "size,cup,bust,waist,finished bust\n8,B,80-82,60,90\n10,B,84-86,64,94\n8,D,84,60,94\n10,D,89,64,99\n");
        const auto again = *read_chart_csv(formats::write_chart_csv(c));
        QCOMPARE(again.maker, c.maker);
        QCOMPARE(again.cups, c.cups);
        QCOMPARE(again.views, c.views);
        // A name with a comma survives its own file.
        SizeChart loose = c;
        loose.views[0].name = "A, loose";
        loose.views[0].first = "10";
        const auto back = read_chart_csv(formats::write_chart_csv(loose));
        QVERIFY(back.has_value());
        QCOMPARE(back->views, loose.views);
        // A girth that was measured flat on some sizes only.
        SizeChart some = c;
        some.sizes[1].finished[Measure::Hip] = Length::mm(977);
        const auto partly = read_chart_csv(formats::write_chart_csv(some));
        QVERIFY(partly.has_value());
        QVERIFY(!partly->sizes[0].finished.contains(Measure::Hip));
        QVERIFY(is_near(partly->sizes[1].finished.at(Measure::Hip), Length::mm(977), Length::mm(1e-9)));
        QCOMPARE(again.drafted_cup, c.drafted_cup);
        QVERIFY(is_near(*again.allowance, *c.allowance, Length::mm(1e-9)));
        for (std::size_t i = 0; i < c.sizes.size(); ++i) {
            QVERIFY(is_near(again.sizes[i].body.at(Measure::Bust), c.sizes[i].body.at(Measure::Bust),
                            Length::mm(1e-9)));
            QVERIFY(is_near(again.half_range(i, Measure::Bust), c.half_range(i, Measure::Bust), Length::mm(1e-9)));
            QCOMPARE(again.sizes[i].group, c.sizes[i].group);
            QVERIFY(again.sizes[i].finished == c.sizes[i].finished);
        }
    }
    void makers_words_are_understood()
    {
        QCOMPARE(formats::measure_of_word("Full Bust"), std::optional{Measure::Bust});
        QCOMPARE(formats::measure_of_word("HIPS"), std::optional{Measure::Hip});
        QCOMPARE(formats::measure_of_word("Nape-to-waist"), std::optional{Measure::BackWaistLength});
        QVERIFY(!formats::measure_of_word("price"));
    }
    void a_chart_that_cannot_be_used_says_where_and_why_data()
    {
        QTest::addColumn<QByteArray>("csv");
        QTest::addColumn<int>("why");
        QTest::addColumn<int>("line");
        const auto row = [](const char* name, const char* csv, Why why, int line) {
            QTest::newRow(name) << QByteArray{csv} << int(why) << line;
        };
        row("empty", "", Why::ChartEmpty, 0);
        row("only a head", "size,waist,hip\n", Why::ChartEmpty, 0);
        row("ragged", "size,waist,hip\n8,64,88\n10,68\n", Why::ChartRagged, 3);
        row("empty cell", "size,waist,hip\n8,64,88\n10,,92\n", Why::ChartRagged, 3);
        row("nonsense cell", "size,waist,hip\n8,64,88\n10,abc,92\n", Why::ChartCellNotALength, 3);
        row("out of order", "size,waist,hip\n10,68,92\n8,64,88\n", Why::ChartSizesOutOfOrder, 3);
        row("one name twice", "size,waist,hip\n8,64,88\n8,68,92\n", Why::ChartSizeTwice, 3);
        row("unknown column", "size,waist,hip,colour\n8,64,88,80\n", Why::ChartColumnUnknown, 1);
        row("one unit named, the others not", "size,waist,hip\n8,64,35 in\n10,68,92\n", Why::ChartMixedUnits, 1);
        row("range backwards", "size,waist,hip\n8,64,96-92\n10,68,100\n", Why::ChartRangeBackwards, 2);
        row("unit unknown", "unit,ells\nsize,waist,hip\n8,64,88\n", Why::ChartUnitUnknown, 1);
        row("cup table without rows", "cups\nsize,waist\n8,64\n10,68\n", Why::ChartMetaBroken, 1);
        row("view without sizes", "view A,8\nsize,waist\n8,64\n10,68\n", Why::ChartMetaBroken, 1);
        row("across, one short", "size,8,10,12\nwaist,64,68,72\nhip,88,92\n", Why::ChartRagged, 3);
        row("across, decreasing", "size,8,10\nwaist,68,64\nhip,88,92\n", Why::ChartSizesOutOfOrder, 1);
        row("column twice", "size,waist,waist\n8,64,64\n", Why::ChartColumnTwice, 1);
        row("no sizes column", "waist,hip\n64,88\n", Why::ChartSizesUnnamed, 1);
        row("no girth", "size,waist_to_hip\n8,20\n10,21\n", Why::ChartNoMeasure, 2);
        row("inches said to be cm", "size,waist cm,hip cm\n8,25,35\n10,26,36\n", Why::OutOfRange, 2);
        row("one size", "size,waist,hip\n8,64,88\n", Why::ChartTooFewSizes, 0);
        row("negative", "size,waist,hip\n8,-64,88\n10,68,92\n", Why::OutOfRange, 2);
        row("binary", "\x01\x02\x03\n\x04", Why::ChartColumnUnknown, 1);
    }
    void a_chart_that_cannot_be_used_says_where_and_why()
    {
        QFETCH(QByteArray, csv);
        QFETCH(int, why);
        QFETCH(int, line);
        const auto c = read_chart_csv(csv.toStdString());
        QVERIFY(!c.has_value());
        QCOMPARE(int(c.error().why), why);
        QCOMPARE(c.error().line, line);
    }
    void any_chart_written_is_read_back_the_same_in_every_unit()
    {
        std::mt19937 rng{31};
        std::uniform_real_distribution<double> at{0, 1};
        for (int n = 0; n < 200; ++n) {
            SizeChart c{"N", "M", {}};
            const bool ranges = n % 3 == 0;
            const bool finished = n % 2 == 0;
            double bust = 700 + 200 * at(rng);
            double hip = 760 + 200 * at(rng);
            for (int i = 0; i < 2 + n % 12; ++i) {
                ChartSize s{QString{"S%1"}.arg(i).toStdString(), {}, 0};
                s.body = {{Measure::Bust, Length::mm(bust)}, {Measure::Hip, Length::mm(hip)}};
                if (ranges) s.half_range[Measure::Bust] = Length::mm(1 + 20 * at(rng));
                if (finished) s.finished[Measure::Hip] = Length::mm(hip + 100 * at(rng));
                c.sizes.push_back(s);
                bust += 10 + 50 * at(rng);
                hip += 10 + 50 * at(rng);
            }
            for (const auto unit : {Unit::Millimetre, Unit::Centimetre, Unit::Inch}) {
                const auto again = read_chart_csv(formats::write_chart_csv(c, unit));
                QVERIFY(again.has_value());
                QCOMPARE(again->sizes.size(), c.sizes.size());
                for (std::size_t i = 0; i < c.sizes.size(); ++i) {
                    for (const auto m : {Measure::Bust, Measure::Hip})
                        QVERIFY(is_near(again->sizes[i].body.at(m), c.sizes[i].body.at(m), Length::mm(1e-6)));
                    QVERIFY(is_near(again->half_range(i, Measure::Bust), c.half_range(i, Measure::Bust),
                                    Length::mm(1e-6)));
                    QCOMPARE(again->sizes[i].finished.size(), c.sizes[i].finished.size());
                }
            }
        }
    }
    void whatever_comes_in_a_file_is_a_chart_or_a_reason()
    {
        std::mt19937 rng{77};
        const std::string good =
            "maker,X\ncups,A,2.5,B,5\nheight,160-170\nsize,cup,bust,waist in\n8,B,84-88,26 1/2\n10,B,90,28\n";
        const std::string alphabet = ",;\t\n\"-/ .0189abcinsize\xe2\x80\x93\x01";
        std::uniform_int_distribution<std::size_t> place{0, good.size() - 1};
        std::uniform_int_distribution<std::size_t> letter{0, alphabet.size() - 1};
        int taken = 0;
        for (int n = 0; n < 5000; ++n) {
            std::string text = good;
            for (int k = 0; k <= n % 6; ++k) text[place(rng) % text.size()] = alphabet[letter(rng)];
            if (n % 7 == 0) text.resize(place(rng));
            const auto c = read_chart_csv(text);
            taken += c.has_value();
            if (c) QVERIFY(check_chart(*c).has_value());
        }
        QVERIFY(taken > 100);  // some changes do no harm
    }
    void very_long_charts_are_refused_early()
    {
        std::string csv = "size,waist,hip\n";
        for (int i = 0; i < 300; ++i)
            csv += std::to_string(i) + "," + std::to_string(40 + i) + "," + std::to_string(60 + i) + "\n";
        QCOMPARE(read_chart_csv(csv).error().why, Why::ChartTooLarge);
        QCOMPARE(read_chart_csv(std::string(2 * 1024 * 1024, 'x')).error().why, Why::ChartTooLarge);
    }
    void groups_told_apart_by_height_go_by_height_first()
    {
        const auto c = formats::read_chart_csv(
            "unit,cm\nheight short,152-160\nheight "
            "tall,168-178\nsize,type,bust,waist\n12,short,88,70\n14,short,92,74\n"
            "12,tall,88,70\n14,tall,92,74\n");
        QVERIFY(c.has_value());
        QCOMPARE(c->heights.size(), std::size_t{2});
        QVERIFY(is_near(c->heights.at("tall").to, Length::mm(1780), Length::mm(1e-6)));
        BodySet body{"2026-11-28", {}};
        QCOMPARE(nearest_group(*c, body), std::string{"short"});  // nothing tells: the first
        for (const auto& [mm, group] :
             {std::pair{1570.0, "short"}, {1630.0, "short"}, {1650.0, "tall"}, {1850.0, "tall"}}) {
            body.readings[Measure::Height] = {Length::mm(mm)};
            QCOMPARE(nearest_group(*c, body), std::string{group});
        }
        const auto again = formats::read_chart_csv(formats::write_chart_csv(*c, Unit::Centimetre));
        QVERIFY(again && again->heights == c->heights);
    }
};
SARTORUM_TEST(TestChartCsv)

}  // namespace test_chart_csv

#include "test_chart_csv.moc"
