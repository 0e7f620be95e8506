// The chooser and the likely bands against the open body data (data/README.md names the source).
#include <QFile>
#include <QTest>
#include <algorithm>
#include <cmath>

#include "core/body/likely.h"
#include "core/chart/size_choice.h"
#include "near.h"
#include "published_chart.h"
#include "tests.h"

namespace test_open_data {

using namespace sartorum;
using test::misses;

namespace {

// The other route: boundaries half-way between sizes, and where the body falls among them.
std::size_t by_boundaries(const double (&inches)[10], double less_inches, double mm)
{
    std::vector<double> edges;
    for (int i = 0; i + 1 < 10; ++i) edges.push_back(((inches[i] + inches[i + 1]) / 2 - less_inches) * 25.4);
    return static_cast<std::size_t>(std::lower_bound(edges.begin(), edges.end(), mm) - edges.begin());
}

using Row = QMap<QString, double>;

QList<Row> people()
{
    QFile f{QString{SARTORUM_SOURCE_DIR} + "/tests/trade/data/body-dimensions.csv"};
    if (!f.open(QIODevice::ReadOnly)) qFatal("no data");
    const auto heads = QString::fromUtf8(f.readLine()).trimmed().remove('"').split(',');
    QList<Row> out;
    while (!f.atEnd()) {
        const auto cells = QString::fromUtf8(f.readLine()).trimmed().split(',');
        Row row;
        for (int i = 0; i < heads.size(); ++i) row[heads[i]] = cells[i].toDouble();
        out << row;
    }
    return out;
}

// Least squares on the raw rows by the normal equations with Gauss-Jordan: not the route of the core.
std::vector<double> regression(const QList<Row>& rows, const QString& y, const QStringList& xs)
{
    const std::size_t n = static_cast<std::size_t>(xs.size()) + 1;
    std::vector<std::vector<double>> a(n, std::vector<double>(n + 1));
    for (const auto& row : rows) {
        std::vector<double> x{1};
        for (const auto& name : xs) x.push_back(10 * row[name]);
        for (std::size_t i = 0; i < n; ++i) {
            for (std::size_t j = 0; j < n; ++j) a[i][j] += x[i] * x[j];
            a[i][n] += x[i] * 10 * row[y];
        }
    }
    for (std::size_t p = 0; p < n; ++p) {
        std::size_t best = p;
        for (std::size_t r = p + 1; r < n; ++r) best = std::abs(a[r][p]) > std::abs(a[best][p]) ? r : best;
        std::swap(a[p], a[best]);
        for (std::size_t r = 0; r < n; ++r) {
            if (r == p) continue;
            const double k = a[r][p] / a[p][p];
            for (std::size_t c = p; c <= n; ++c) a[r][c] -= k * a[p][c];
        }
    }
    std::vector<double> out;
    for (std::size_t i = 0; i < n; ++i) out.push_back(a[i][n] / a[i][i]);
    return out;
}

}  // namespace

class TestOpenData : public QObject {
    Q_OBJECT
private slots:
    void every_woman_gets_the_sizes_an_independent_count_gives()
    {
        const auto chart = misses();
        int women = 0;
        int blends = 0;
        int beyond = 0;
        for (const auto& p : people()) {
            if (p["Gender"] != 0) continue;
            ++women;
            const double hb = 10 * p["ChestG"];
            const double w = 10 * p["WaistG"];
            const double h = 10 * p["HipG"];
            BodySet set{"2003-07-01", {}};
            set.readings[Measure::HighBust] = {Length::mm(hb), Length::mm(hb)};
            set.readings[Measure::Waist] = {Length::mm(w), Length::mm(w)};
            set.readings[Measure::Hip] = {Length::mm(h), Length::mm(h)};
            QCOMPARE(nearest_size(chart, Measure::HighBust, Length::mm(hb)),
                     by_boundaries(test::misses_bust, 2, hb));
            QCOMPARE(nearest_size(chart, Measure::Waist, Length::mm(w)), by_boundaries(test::misses_waist, 0, w));
            QCOMPARE(nearest_size(chart, Measure::Hip, Length::mm(h)), by_boundaries(test::misses_hip, 0, h));
            const auto a = advise(chart, set, {GarmentKind::Dress});
            QVERIFY(a.has_value());
            // Where nothing lies between two sizes, the choice is the nearest at every level.
            if (a->between.empty()) {
                QCOMPARE(a->choice.bust_size, by_boundaries(test::misses_bust, 2, hb));
                QCOMPARE(a->choice.waist_size, by_boundaries(test::misses_waist, 0, w));
                QCOMPARE(a->choice.hip_size, by_boundaries(test::misses_hip, 0, h));
            }
            blends += a->choice.is_blend();
            beyond += a->reason == ChoiceReason::BeyondChart;
        }
        QCOMPARE(women, 260);
        qInfo("blends: %d of %d, beyond the chart: %d", blends, women, beyond);
        QVERIFY(blends > women / 2);  // most bodies are no single size
    }
    void centimetres_and_inches_choose_the_same_sizes()
    {
        const auto chart = misses();
        SizeChart metric = chart;  // the same chart as a metric maker would print it, to the hundredth
        for (auto& s : metric.sizes) {
            for (auto& [m, l] : s.body) l = Length::cm(std::round(l.in_cm() * 100) / 100);
        }
        int women = 0;
        for (const auto& p : people()) {
            if (p["Gender"] != 0) continue;
            BodySet in_cm{"2003-07-01", {}};
            BodySet in_inches{"2003-07-01", {}};
            for (const auto& [m, column] :
                 {std::pair{Measure::HighBust, "ChestG"}, std::pair{Measure::Waist, "WaistG"},
                  std::pair{Measure::Hip, "HipG"}}) {
                const double cm = p[QLatin1String{column}];
                in_cm.readings[m] = {Length::cm(cm), Length::cm(cm)};
                in_inches.readings[m] = {Length::inches(cm / 2.54), Length::inches(cm / 2.54)};
            }
            const auto a = advise(chart, in_cm, {GarmentKind::Dress});
            const auto b = advise(chart, in_inches, {GarmentKind::Dress});
            QVERIFY(a->choice == b->choice);
            const auto c = advise(metric, in_cm, {GarmentKind::Dress});
            if (a->between.empty() && c->between.empty()) QVERIFY(a->choice == c->choice);
            ++women;
        }
        QCOMPARE(women, 260);
    }
    void the_likely_value_is_the_regression_on_the_raw_rows()
    {
        auto all = people();
        const std::map<Measure, Length> known{{Measure::Waist, Length::mm(820)},
                                              {Measure::Hip, Length::mm(1020)},
                                              {Measure::Height, Length::mm(1700)}};
        const auto expect = [&](const QList<Row>& rows, const QString& y) {
            const auto b = regression(rows, y, {"WaistG", "HipG", "Height"});
            return b[0] + b[1] * 820 + b[2] * 1020 + b[3] * 1700;
        };
        QVERIFY(near(likely(Measure::Thigh, known)->expected.in_mm(), expect(all, "ThighG"), 0.05));
        QVERIFY(near(likely(Measure::UpperArm, known)->expected.in_mm(), expect(all, "BicepG"), 0.05));
        QList<Row> women;
        for (const auto& p : all) {
            if (p["Gender"] == 0) women << p;
        }
        QVERIFY(near(likely(Measure::HighBust, known)->expected.in_mm(), expect(women, "ChestG"), 0.05));
    }
    void hardly_anyone_of_the_sample_is_asked_to_measure_again()
    {
        const std::pair<Measure, const char*> columns[] = {
            {Measure::Waist, "WaistG"}, {Measure::Hip, "HipG"},     {Measure::Thigh, "ThighG"},
            {Measure::Knee, "KneeG"},   {Measure::Calf, "CalfG"},   {Measure::UpperArm, "BicepG"},
            {Measure::Wrist, "WristG"}, {Measure::Height, "Height"}};
        int asked = 0;
        int of = 0;
        for (const auto& p : people()) {
            for (const auto& [m, column] : columns) {
                std::map<Measure, Length> others;
                for (const auto& [k, c] : columns) {
                    if (k != m) others[k] = Length::mm(10 * p[QLatin1String{c}]);
                }
                asked += !likely(m, others)->holds(Length::mm(10 * p[QLatin1String{column}]));
                ++of;
            }
        }
        qInfo("asked again: %d of %d", asked, of);
        QVERIFY(asked * 100 < of);  // three standard deviations: well under one in a hundred
    }
    void nothing_is_likely_from_nothing()
    {
        QVERIFY(!likely(Measure::Hip, {}));
        QVERIFY(!likely(Measure::Underbust, {{Measure::Hip, Length::mm(1000)}}));
        // Fewer known measures, a wider band.
        const auto few = *likely(Measure::Thigh, {{Measure::Height, Length::mm(1700)}});
        const auto more =
            *likely(Measure::Thigh, {{Measure::Height, Length::mm(1700)}, {Measure::Hip, Length::mm(970)}});
        QVERIFY(few.high - few.low > more.high - more.low);
    }
};
SARTORUM_TEST(TestOpenData)

}  // namespace test_open_data

#include "test_open_data.moc"
