// The command line on the demo's plain files, as a script would use it.
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <nlohmann/json.hpp>

#include "tests.h"

using nlohmann::json;

namespace {

struct Ran {
    int code;
    QByteArray out;
    QByteArray err;
};

Ran run(QStringList arguments)
{
    QProcess p;
    p.start(SARTORUM_CLI, arguments);
    p.waitForFinished(60000);
    return {p.exitCode(), p.readAllStandardOutput(), p.readAllStandardError()};
}

QString demo(const char* name)
{
    return QString{SARTORUM_SOURCE_DIR} + "/demo/" + name;
}
QStringList files(const char* body = "ottilie.json")
{
    return {"--chart", demo("towpath-paper.csv"), "--pattern", demo("lockside-skirt.svg"), "--body", demo(body),
            "--json"};
}

}  // namespace

class TestCli : public QObject {
    Q_OBJECT
private slots:
    void compare_advises_the_blend()
    {
        const auto r = run(QStringList{"compare"} + files());
        QCOMPARE(r.code, 0);
        const auto j = json::parse(r.out.toStdString());
        QCOMPARE(j["waist_size"].get<std::string>(), std::string{"18"});
        QCOMPARE(j["hip_size"].get<std::string>(), std::string{"16"});
        QCOMPARE(j["reason"].get<std::string>(), std::string{"blend"});
        QCOMPARE(j["measures"]["waist"]["value_mm"].get<double>(), 846.5);
        QCOMPARE(j["sizes"].size(), std::size_t{9});
    }
    void a_dress_is_compared_by_the_frame_and_otherwise_when_asked()
    {
        const QStringList dress{
            "compare", "--chart", demo("windlass-dress.csv"), "--body", demo("ottilie.json"), "--garment",
            "dress",   "--json"};
        auto j = json::parse(run(dress).out.toStdString());
        QCOMPARE(j["school"].get<std::string>(), std::string{"high_bust"});
        QCOMPARE(j["bust_size"].get<std::string>(), std::string{"16"});
        QCOMPARE(j["waist_size"].get<std::string>(), std::string{"18"});
        QCOMPARE(j["ranking"][0].get<std::string>(), std::string{"16"});
        j = json::parse(run(dress + QStringList{"--school", "full_bust"}).out.toStdString());
        QCOMPARE(j["bust_size"].get<std::string>(), std::string{"18"});  // 99.6 is past the middle of 97 and 102
        QCOMPARE(run(dress + QStringList{"--school", "by_feeling"}).code, 2);
        const auto bra = run(
            {"compare", "--chart", demo("towpath-paper.csv"), "--body", demo("ottilie.json"), "--garment", "bra"});
        QCOMPARE(bra.code, 2);  // that chart prints no bust
        QVERIFY(bra.err.contains("bust"));
    }
    void a_bodice_is_planned_applied_and_checked_with_amounts_and_ways_of_its_own()
    {
        QTemporaryDir dir;
        const QStringList top{"--chart", demo("windlass-dress.csv"), "--pattern", demo("windlass-bodice.svg"),
                              "--body",  demo("ottilie.json"),       "--garment", "dress",
                              "--json"};
        auto j = json::parse(run(QStringList{"plan"} + top).out.toStdString());
        QCOMPARE(j["plan"]["bust_size"].get<std::string>(), std::string{"16"});
        QStringList kinds;
        for (const auto& l : j["lines"]) kinds << QString::fromStdString(l["adjustment"].get<std::string>());
        QCOMPARE(kinds.first(), "shoulder_length");
        QVERIFY(kinds.contains("sway_back") && !kinds.contains("waist_to_hip"));
        QFile f{dir.filePath("plan.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(R"({"waist_size": "18", "hip_size": "16", "bust_size": "16", "garment": "dress", "adjustments": {
            "shoulder_slope": {"answer": "accepted", "amount_mm": -6, "back_mm": -4},
            "cap_height": {"answer": "accepted"}, "top_notch": {"answer": "accepted"},
            "sway_back": {"answer": "accepted", "amount_mm": -12, "method": "fold_tuck"}}})");
        f.close();
        const auto r = run(QStringList{"apply"} + top + QStringList{"--plan", f.fileName()});
        QCOMPARE(r.code, 0);
        j = json::parse(r.out.toStdString());
        QCOMPARE(j["plan"]["adjustments"]["shoulder_slope"]["back_mm"].get<double>(), -4.0);
        QCOMPARE(j["plan"]["adjustments"]["sway_back"]["method"].get<std::string>(), std::string{"fold_tuck"});
        QVERIFY(j["checks"]["all_hold"].get<bool>());
        QVERIFY(j["checks"]["shoulder"]["slope_degrees"].get<double>() > 20);
        QVERIFY(j["checks"]["folds"][0]["holds"].get<bool>());
        QVERIFY(j["checks"]["cap"]["holds"].get<bool>());
        bool followed = false;
        for (const auto& k : j["knock_ons"])
            followed =
                followed || (k.contains("effect") && k["effect"] == "cap_height" && k["state"] == "accepted");
        QVERIFY(followed);
        bool bust_row = false;
        for (const auto& row : j["finished"])
            bust_row = bust_row || (row["measure"] == "bust" && row["needed_mm"].get<double>() > 900);
        QVERIFY(bust_row);
        bool said = false;
        for (const auto& l : j["lines"]) {
            if (l["adjustment"] != "sway_back") continue;
            said = true;
            QVERIFY(std::abs(l["changed"]["centre_back_mm"].get<double>() + 12) < 0.1);
        }
        QVERIFY(said);
        QFile bad{dir.filePath("bad.json")};
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write(R"({"waist_size": "18", "hip_size": "16", "adjustments": {"sway_back": {"answer": "accepted",
            "method": "by_magic"}}})");
        bad.close();
        const auto refused = run(QStringList{"apply"} + top + QStringList{"--plan", bad.fileName()});
        QCOMPARE(refused.code, 2);
        QVERIFY(refused.err.contains("method"));
    }
    void a_front_of_two_panels_is_altered_checked_and_printed()
    {
        QTemporaryDir dir;
        const QStringList top{"--chart", demo("sluice-waistcoat.csv"), "--pattern", demo("sluice-waistcoat.svg"),
                              "--body",  demo("ottilie.json"),         "--garment", "top"};
        QFile f{dir.filePath("plan.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(R"({"waist_size": "42", "hip_size": "42", "bust_size": "42", "garment": "top", "adjustments": {
            "bust": {"answer": "accepted", "amount_mm": 16, "method": "princess"}}})");
        f.close();
        const auto r = run(QStringList{"apply", "--json"} + top + QStringList{"--plan", f.fileName()});
        QCOMPARE(r.code, 0);
        const auto j = json::parse(r.out.toStdString());
        for (const auto& l : j["lines"]) {
            if (l["adjustment"] != "bust") continue;
            QVERIFY(std::abs(l["changed"]["bust_mm"].get<double>() - 32) < 0.1);
        }
        QCOMPARE(j["pieces"][0]["panels"].size(), std::size_t{2});
        bool walked = false;
        for (const auto& w : j["checks"]["walks"]) {
            if (w["seam"] != "princess") continue;
            walked = true;
            QVERIFY(w["holds"].get<bool>() && std::abs(w["a_mm"].get<double>() - w["b_mm"].get<double>()) < 0.1);
        }
        QVERIFY(walked);
        const QString pdf = dir.filePath("panels.pdf");
        QCOMPARE(run(QStringList{"print"} + top + QStringList{"--plan", f.fileName(), "--out", pdf}).code, 0);
        QProcess text;
        text.start("pdftotext", {pdf, "-"});
        text.waitForFinished();
        const QByteArray printed = text.readAllStandardOutput();
        QVERIFY(printed.contains("centre panel") && printed.contains("side panel"));
    }
    void the_body_file_carries_sides_and_the_tape_check()
    {
        QTemporaryDir dir;
        const auto with = [&](const char* text) {
            QFile f{dir.filePath("b.json")};
            if (!f.open(QIODevice::WriteOnly)) qFatal("not written");
            f.write(text);
            f.close();
            return run({"compare", "--chart", demo("windlass-dress.csv"), "--body", f.fileName(), "--garment",
                        "dress", "--json"});
        };
        auto r =
            with(R"({"name": "A", "date": "2026-01-01", "readings": {"bust": [970], "waist": [790], "hip": [1050],
                          "upper_arm": [300]}, "left": {"upper_arm": [310]},
                          "tape_check": [{"ruler": 600, "tape": 594}]})");
        QCOMPARE(r.code, 0);
        const auto j = json::parse(r.out.toStdString());
        QVERIFY(std::abs(j["measures"]["bust"]["value_mm"].get<double>() - 970 * 600.0 / 594) < 1e-9);
        QVERIFY(std::abs(j["measures"]["upper_arm"]["value_mm"].get<double>() - 310 * 600.0 / 594) < 1e-9);
        for (
            const char* bad :
            {R"({"name": "A", "date": "2026-01-01", "readings": {}, "tape_check": [{"ruler": 600, "tape": 300}]})",
             R"({"name": "A", "date": "2026-01-01", "readings": {}, "tape_check": "yes"})",
             R"({"name": "A", "date": "2026-01-01", "readings": {}, "left": [1]})",
             R"({"name": "A", "date": "2026-01-01", "readings": {"bust": [9.7]}})",
             R"({"name": "A", "date": "2026-01-01", "readings": {}, "weight_kg": -3})"}) {
            r = with(bad);
            QVERIFY2(r.code == 2 && !r.err.isEmpty(), bad);
        }
    }
    void a_plan_file_carries_cloth_and_her_own_ease()
    {
        QTemporaryDir dir;
        QFile f{dir.filePath("p.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(R"({"waist_size": "18", "hip_size": "16", "knit": true, "stretch": 0.3, "ease_mm": {"waist": 0},
                    "adjustments": {"width_at_waist": {"answer": "accepted"}}})");
        f.close();
        auto r = run(QStringList{"apply"} + files() + QStringList{"--plan", f.fileName()});
        QVERIFY2(r.code == 0, r.err);
        const auto j = json::parse(r.out.toStdString());
        for (const auto& e : j["checks"]["ease"]) {
            if (e["measure"].get<std::string>() != "waist") continue;
            QVERIFY(std::abs(e["finished_mm"].get<double>() - 846.5) < 0.5);  // as wide as the body
            QVERIFY(e["holds"].get<bool>());                                  // a knit may
        }
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(R"({"waist_size": "18", "hip_size": "16", "stretch": 9})");
        f.close();
        r = run(QStringList{"plan"} + files() + QStringList{"--plan", f.fileName()});
        QCOMPARE(r.code, 2);
        QVERIFY(r.err.contains("stretch"));
    }
    void apply_gives_amounts_outlines_and_walked_seams()
    {
        QTemporaryDir dir;
        const auto r = run(QStringList{"apply"} + files() + QStringList{"--out", dir.filePath("a.svg")});
        QCOMPARE(r.code, 0);
        const auto j = json::parse(r.out.toStdString());
        QCOMPARE(j["pieces"].size(), std::size_t{3});
        QVERIFY(j["pieces"][0]["outline"].get<std::string>().starts_with("M"));
        for (const auto& w : j["checks"]["walks"]) {
            QVERIFY(w["holds"].get<bool>());
            QVERIFY(std::abs(w["a_mm"].get<double>() - w["b_mm"].get<double>()) < 0.1);
        }
        // Wished 620 mm at the side: what she gets.
        QVERIFY(std::abs(j["checks"]["walks"][0]["a_mm"].get<double>() - 620) < 0.05);
        // Measured 228, drafted 208.
        QCOMPARE(j["lines"][0]["amount_mm"].get<double>(), 20.0);
        // The pieces written are a pattern again.
        QFile chart{dir.filePath("c.csv")};
        QVERIFY(chart.open(QIODevice::WriteOnly));
        chart.write("size,waist,hip\nOttilie,84,106\nlarger,90,112\n");
        chart.close();
        const auto again = run({"check", "--chart", chart.fileName(), "--pattern", dir.filePath("a.svg"), "--body",
                                demo("ottilie.json"), "--size", "Ottilie", "--json"});
        QVERIFY2(!again.out.isEmpty(), again.err.constData());
        QVERIFY(json::parse(again.out.toStdString())["walks"][0]["holds"].get<bool>());
    }
    void one_size_and_a_plan_file_are_obeyed()
    {
        QTemporaryDir dir;
        QFile f{dir.filePath("plan.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(
            R"({"waist_size": "14", "hip_size": "14", "adjustments": {"width_at_hip": {"answer": "accepted", "amount_mm": 22}}})");
        f.close();
        const auto r = run(QStringList{"apply"} + files("bram.json") + QStringList{"--plan", f.fileName()});
        const auto j = json::parse(r.out.toStdString());
        QCOMPARE(j["plan"]["hip_size"].get<std::string>(), std::string{"14"});
        QVERIFY(std::abs(j["lines"][2]["changed"]["hip_mm"].get<double>() - 22) < 0.01);
        const auto one =
            json::parse(run(QStringList{"plan"} + files() + QStringList{"--size", "20"}).out.toStdString());
        QCOMPARE(one["plan"]["waist_size"].get<std::string>(), std::string{"20"});
    }
    void pages_are_printed()
    {
        QTemporaryDir dir;
        const auto r =
            run(QStringList{"print"} + files() + QStringList{"--out", dir.filePath("p.pdf"), "--paper", "letter"});
        QCOMPARE(r.code, 0);
        QVERIFY(json::parse(r.out.toStdString())["pages"].get<int>() > 4);
        QVERIFY(QFileInfo{dir.filePath("p.pdf")}.size() > 5000);
    }
    void what_is_wrong_is_said_in_a_sentence_with_the_file()
    {
        auto r = run({"compare", "--chart", "missing.csv", "--body", demo("bram.json")});
        QCOMPARE(r.code, 2);
        QVERIFY(r.err.contains("missing.csv"));
        QTemporaryDir dir;
        QFile f{dir.filePath("body.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(R"({"name": "x", "date": "2026-01-01", "readings": {"waist": [-4]}})");
        f.close();
        r = run({"compare", "--chart", demo("towpath-paper.csv"), "--body", f.fileName()});
        QCOMPARE(r.code, 2);
        QVERIFY(r.err.contains("Waist"));
        r = run(QStringList{"plan"} + files() + QStringList{"--size", "99"});
        QCOMPARE(r.code, 2);
        QVERIFY(r.err.contains("99"));
        QCOMPARE(run({"dance"}).code, 2);
    }
    void deep_or_broken_json_is_refused()
    {
        QTemporaryDir dir;
        QFile f{dir.filePath("deep.json")};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(QByteArray(200000, '['));
        f.close();
        const auto r = run({"compare", "--chart", demo("towpath-paper.csv"), "--body", f.fileName()});
        QCOMPARE(r.code, 2);
        QVERIFY(!r.err.isEmpty());
    }
};
SARTORUM_TEST(TestCli)
#include "test_cli.moc"
