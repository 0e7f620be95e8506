#include <QTest>

#include "formats/chart_csv.h"

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
        row("unknown column", "size,waist,hip,chest\n8,64,88,80\n", Why::ChartColumnUnknown, 1);
        row("column twice", "size,waist,waist\n8,64,64\n", Why::ChartColumnTwice, 1);
        row("no sizes column", "waist,hip\n64,88\n", Why::ChartSizesUnnamed, 1);
        row("no hip", "size,waist\n8,64\n10,68\n", Why::ChartNoMeasure, 2);
        row("inches typed as cm", "size,waist,hip\n8,25,35\n10,26,36\n", Why::OutOfRange, 2);
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
    void very_long_charts_are_refused_early()
    {
        std::string csv = "size,waist,hip\n";
        for (int i = 0; i < 300; ++i)
            csv += std::to_string(i) + "," + std::to_string(40 + i) + "," + std::to_string(60 + i) + "\n";
        QCOMPARE(read_chart_csv(csv).error().why, Why::ChartTooLarge);
        QCOMPARE(read_chart_csv(std::string(2 * 1024 * 1024, 'x')).error().why, Why::ChartTooLarge);
    }
};
QTEST_APPLESS_MAIN(TestChartCsv)
#include "test_chart_csv.moc"
