// The causes of what a toile shows, asked for on the command line.
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <nlohmann/json.hpp>

#include "core/fitting/small_test.h"
#include "tests.h"

namespace test_cli_causes {

using json = nlohmann::json;

namespace {

struct Answer {
    int code;
    QByteArray out;
    QByteArray err;
};

Answer ask(const QStringList& arguments)
{
    QProcess p;
    p.start(SARTORUM_CLI, arguments);
    p.waitForFinished(60000);
    return {p.exitCode(), p.readAllStandardOutput(), p.readAllStandardError()};
}

}  // namespace

class TestCliCauses : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    Answer of(const QByteArray& toile, QStringList more = {})
    {
        const QString demo = QString{SARTORUM_SOURCE_DIR} + "/demo/";
        QFile f{dir_.filePath("toile.json")};
        if (!f.open(QIODevice::WriteOnly)) qFatal("no file");
        f.write(toile);
        f.close();
        return ask(QStringList{"causes", "--garment", "top", "--pattern", demo + "windlass-bodice.svg", "--chart",
                               demo + "windlass-dress.csv", "--body", demo + "ottilie.json", "--toile",
                               f.fileName()} +
                   more);
    }
private slots:
    // The folds may be of two causes: the body speaks for one, and the test goes on from there.
    void what_is_seen_is_answered_with_causes_and_a_test()
    {
        const auto r = of(R"({"seen": [{"sight": "folds_across_above_seat"}]})", {"--json"});
        QCOMPARE(r.code, 0);
        const auto j = json::parse(r.out.toStdString());
        QCOMPARE(j["causes"][0]["cause"].get<std::string>(), std::string{"sway_back:-"});
        QCOMPARE(j["causes"][0]["from"].get<std::string>(), std::string{"body"});
        QVERIFY(j["causes"][0]["amount_mm"].get<double>() < 0);
        const auto test = sartorum::small_test_of(j["next"]["test"].get<std::string>());
        QVERIFY(test.has_value());
        const QByteArray told = R"({"seen": [{"sight": "folds_across_above_seat"}],
            "answers": [{"test": "pinch_across_above_seat", "yes": false},
                        {"test": "pinch_across_bodice", "yes": true, "pinched": "8 mm"}]})";
        const auto long_bodice = json::parse(of(told, {"--json"}).out.toStdString());
        QCOMPARE(long_bodice["causes"][0]["cause"].get<std::string>(), std::string{"bodice_length:-"});
        QCOMPARE(long_bodice["causes"][0]["amount_mm"].get<double>(), -8.0);
        QCOMPARE(long_bodice["causes"][0]["from"].get<std::string>(), std::string{"pinch"});
        const auto words = of(told);
        QVERIFY(words.out.startsWith("Bodice length: "));
        QVERIFY(words.out.contains("Something else: "));
        QVERIFY(!words.out.contains("Try next: ") || words.out.contains("Pins with glass heads"));
    }
    void a_toile_that_cannot_be_read_is_a_sentence()
    {
        const auto r = of(R"({"seen": [{"sight": "wrinkles"}]})");
        QCOMPARE(r.code, 2);
        QVERIFY2(r.err.contains("wrinkles"), r.err);
        QVERIFY(r.out.isEmpty());
        QCOMPARE(of("{").code, 2);
        QCOMPARE(ask({"check", "--toile", "x.json"}).code, 2);
    }
    void all_words_are_listed()
    {
        const auto j = json::parse(ask({"sights", "--json"}).out.toStdString());
        QCOMPARE(j["sights"].size(), sartorum::sight_count);
        QCOMPARE(j["tests"].size(), sartorum::small_test_count);
        for (const auto& s : j["sights"]) {
            const std::string from = s["from"];
            QVERIFY(from == "front" || from == "back" || from == "side" || from == "sleeve");
            QVERIFY(s["sight"] != "tight_upper_arm" || from == "sleeve");
        }
        QVERIFY(ask({"sights"}).out.contains("tip_stands_off: "));
    }
};
SARTORUM_TEST(TestCliCauses)

}  // namespace test_cli_causes

#include "test_cli_causes.moc"
