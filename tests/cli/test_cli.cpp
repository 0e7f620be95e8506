// The command line on the demo's plain files, as a script would use it.
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <nlohmann/json.hpp>

#include "crossed_skirt.h"
#include "near.h"
#include "tests.h"

namespace test_cli {

using namespace sartorum::test;
using nlohmann::json;

namespace {

using sartorum::near;

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
    void work_kept_in_one_file_comes_to_the_same()
    {
        QTemporaryDir dir;
        const QString kept = dir.filePath("work.json");
        auto given = files();
        given.removeAll("--json");
        QCOMPARE(run(QStringList{"work"} + given + QStringList{"--out", kept}).code, 0);
        const auto once = json::parse(run(QStringList{"apply"} + files()).out.toStdString());
        const auto again = run({"apply", "--work", kept, "--json"});
        QCOMPARE(again.code, 0);
        const auto same = json::parse(again.out.toStdString());
        QCOMPARE(same["plan"].dump(), once["plan"].dump());
        QCOMPARE(same["steps"].size(), once["steps"].size());
        for (std::size_t i = 0; i < once["finished"].size(); ++i) {
            const double apart =
                same["finished"][i]["after_mm"].get<double>() - once["finished"][i]["after_mm"].get<double>();
            QVERIFY(near(apart, 0, 1e-3));
        }
        // Kept again it is the same text; and it stands alone.
        QCOMPARE(run({"work", "--work", kept}).out.trimmed(), [&] {
            QFile f{kept};
            return f.open(QIODevice::ReadOnly) ? f.readAll().trimmed() : QByteArray{};
        }());
        QCOMPARE(run({"check", "--work", kept, "--size", "14"}).code, 2);
        QCOMPARE(run({"check", "--work", demo("ottilie.json")}).code, 2);
        QCOMPARE(run(QStringList{"work"} + given + QStringList{"--out", kept}).code, 2);  // it is there
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
        QCOMPARE(j["ranking"][0]["sizes"].dump(), std::string{R"(["16","18","16"])"});  // the blend, then a size
        QCOMPARE(j["ranking"][1]["sizes"].dump(), std::string{R"(["16"])"});
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
            QVERIFY(near(l["changed"]["centre_back_mm"].get<double>() + 12, 0, 0.1));
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
            QVERIFY(near(l["changed"]["bust_mm"].get<double>(), 32, 0.1));
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
        QVERIFY(near(j["measures"]["bust"]["value_mm"].get<double>(), 970 * 600.0 / 594, 1e-9));
        QVERIFY(near(j["measures"]["upper_arm"]["value_mm"].get<double>(), 310 * 600.0 / 594, 1e-9));
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
            QVERIFY(near(e["finished_mm"].get<double>(), 846.5, 0.5));  // as wide as the body
            QVERIFY(e["holds"].get<bool>());                            // a knit may
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
            QVERIFY(near(w["a_mm"].get<double>(), w["b_mm"].get<double>(), 0.1));
        }
        // Wished 620 mm at the side: what she gets.
        QVERIFY(near(j["checks"]["walks"][0]["a_mm"].get<double>(), 620, 0.05));
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
        for (const auto& line : j["lines"]) {
            if (line["adjustment"] == "width_at_hip")
                QVERIFY(near(line["changed"]["hip_mm"].get<double>(), 22, 0.01));
        }
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
    void what_is_not_done_is_said_first_and_nothing_is_written_unless_it_may_be()
    {
        QTemporaryDir dir;
        const QString plan = QString{SARTORUM_SOURCE_DIR} + "/tests/hostile/plan-refused-amount.json";
        const QStringList top{"--chart", demo("windlass-dress.csv"), "--pattern", demo("windlass-bodice.svg"),
                              "--body",  demo("ottilie.json"),       "--plan",    plan};
        for (const char* command : {"apply", "check", "print"}) {
            const QString out = dir.filePath(QString{command} + ".out");
            const bool writes = QLatin1String{command} != QLatin1String{"check"};
            const QStringList to = writes ? QStringList{"--out", out} : QStringList{};
            auto r = run(QStringList{command} + top + to);
            QCOMPARE(r.code, 1);
            QVERIFY2(r.err.startsWith("NOT DONE: Bust. "), r.err);
            QVERIFY(r.out.startsWith("NOT DONE: Bust. "));
            QVERIFY(!QFile::exists(out));
            r = run(QStringList{command} + top + to + QStringList{"--go-on"});
            QVERIFY(r.err.startsWith("NOT DONE: Bust. "));
            if (writes) QCOMPARE(r.code, 0);
            QCOMPARE(QFile::exists(out), writes);
        }
        const auto j = json::parse(run(QStringList{"plan", "--json"} + top).out.toStdString());
        QCOMPARE(j["not_done"].size(), std::size_t{1});
        QCOMPARE(j["not_done"][0]["adjustment"].get<std::string>(), std::string{"bust"});
        // An adjustment this garment has not got.
        const auto skirt = run(QStringList{"apply"} + files().mid(0, 6) + QStringList{"--plan", plan});
        QCOMPARE(skirt.code, 1);
        QVERIFY2(skirt.err.contains("nothing it could be done on"), skirt.err);
    }
    void a_pattern_without_seams_never_passes_the_check_in_silence()
    {
        QStringList with = files().mid(0, 6);
        with[3] = QString{SARTORUM_SOURCE_DIR} + "/tests/hostile/no-seams.svg";
        const auto r = run(QStringList{"check", "--size", "16"} + with);
        QCOMPARE(r.code, 1);
        QVERIFY(r.err.contains("front side, back side"));
    }
    void an_outline_that_crosses_as_drawn_is_named()
    {
        QTemporaryDir dir;
        QFile crossed{dir.filePath("crossed.svg")};
        QVERIFY(crossed.open(QIODevice::WriteOnly) && crossed.write(crossed_skirt()) > 0);
        crossed.close();
        QStringList with = files().mid(0, 6);
        with[3] = crossed.fileName();
        const QStringList check = QStringList{"check", "--size", "16", "--go-on"} + with;
        const auto said = run(check);
        QCOMPARE(said.code, 1);
        QVERIFY2(said.out.contains("the outline of front crosses itself: draw it anew"), said.out);
        QVERIFY2(said.err.contains("the outline of front crosses itself: draw it anew"), said.err);
        const auto j = json::parse(run(check + QStringList{"--json"}).out.toStdString());
        QCOMPARE(j["outlines"][0]["found"].get<std::string>(), std::string{"crossing"});
        QVERIFY(!j["all_hold"].get<bool>() && !j["outlines"][0]["holds"].get<bool>());
        QVERIFY(j["outlines"].back()["holds"].get<bool>() && !j["outlines"].back().contains("found"));
    }
    void an_old_file_is_left_unless_force_is_said_and_stays_whole_on_a_full_disk()
    {
        QTemporaryDir dir;
        const QString out = dir.filePath("x.svg");
        QFile f{out};
        QVERIFY(f.open(QIODevice::WriteOnly) && f.write("an old file") > 0);
        f.close();
        const auto bytes = [&] {
            QFile g{out};
            return g.open(QIODevice::ReadOnly) ? g.readAll() : QByteArray{};
        };
        const QStringList apply = QStringList{"apply"} + files().mid(0, 6) + QStringList{"--out", out};
        auto r = run(apply);
        QCOMPARE(r.code, 2);
        QVERIFY(r.err.contains("there already"));
        QCOMPARE(bytes(), QByteArray{"an old file"});
        for (const char* shell : {"ulimit -f 4; trap '' XFSZ; exec \"$0\" \"$@\""}) {
            QProcess p;
            p.start("sh", QStringList{"-c", shell, SARTORUM_CLI} + apply + QStringList{"--force"});
            p.waitForFinished();
            QCOMPARE(p.exitCode(), 1);
            QVERIFY(p.readAllStandardError().contains("took no more"));
            QCOMPARE(bytes(), QByteArray{"an old file"});
        }
        QCOMPARE(run(apply + QStringList{"--force"}).code, 0);
        QVERIFY(bytes().startsWith("<?xml"));
        for (const char* wrong : {"/dev/null", "/", "/no/such/folder/x.svg"}) {
            r = run(QStringList{"apply"} + files().mid(0, 6) + QStringList{"--force", "--out", wrong});
            QVERIFY(r.code != 0 && !r.err.isEmpty());
        }
        // Nobody reads, or what reads has no room.
        for (const char* shell : {"\"$0\" \"$@\" >/dev/full", "\"$0\" \"$@\" | true; exit ${PIPESTATUS[0]}"}) {
            QProcess p;
            p.start("bash", QStringList{"-c", shell, SARTORUM_CLI} + QStringList{"apply"} + files());
            p.waitForFinished();
            QCOMPARE(p.exitCode(), 1);
            QVERIFY(p.readAllStandardError().contains("could not be written out whole"));
        }
    }
    void unknown_and_ill_valued_options_are_named()
    {
        const auto refused = [](const QStringList& arguments, const char* named) {
            const auto r = run(arguments);
            const bool ok = r.code == 2 && r.err.contains(named) && r.out.isEmpty();
            if (!ok) qWarning("%s: %d %s", named, r.code, r.err.constData());
            return ok;
        };
        const QStringList compare{"compare", "--chart", demo("towpath-paper.csv"), "--body", demo("ottilie.json")};
        QVERIFY(refused(compare + QStringList{"--unit", "ell"}, "--unit ell"));
        QVERIFY(refused(compare + QStringList{"--garment", "cape"}, "--garment cape"));
        QVERIFY(refused(compare + QStringList{"--type", "tall"}, "--type tall"));
        QVERIFY(refused(compare + QStringList{"--colour", "red"}, "colour"));
        QVERIFY(refused(compare + QStringList{"--out", "x"}, "--out"));
        QVERIFY(refused(compare + QStringList{"--json", "--json"}, "said twice"));
        QVERIFY(refused(compare + QStringList{"more"}, "more"));
        QVERIFY(refused({"compare", "--body", demo("ottilie.json")}, "--chart"));
        QVERIFY(refused({"dance"}, "dance"));
        QVERIFY(refused({}, "compare, plan"));
        const QStringList print = QStringList{"print"} + files().mid(0, 6);
        QVERIFY(refused(print + QStringList{"--out", "x.pdf", "--paper", "a3"}, "--paper a3"));
        QVERIFY(refused(print + QStringList{"--out", "x.pdf", "--kind", "poster"}, "--kind poster"));
        QVERIFY(refused(print, "--out"));
        QVERIFY(refused(print + QStringList{"--size", "16", "--plan", "p.json"}, "--size"));
    }
    void whether_a_dress_goes_on_is_told_in_words_and_in_json()
    {
        const QStringList dress{
            "check",  "--chart",           demo("aqueduct-dress.csv"), "--pattern", demo("aqueduct-dress.svg"),
            "--body", demo("ottilie.json")};
        const auto said = json::parse(run(dress + QStringList{"--json"}).out.toStdString());
        const auto& on = said["goes_on"];
        QCOMPARE(on.size(), std::size_t{2});
        QVERIFY(on[0]["through"] == "neck");
        QVERIFY(on[0]["guessed"] && on[0]["holds"]);
        QVERIFY(on[1]["over"] == "hip");
        QVERIFY(on[1]["from_below"] && on[1]["holds"] && on[1]["opening_mm"] > 300 && on[1]["opens_mm"] > 500);
        QVERIFY(run(dress).out.contains("Stepped into it passes the hip"));
    }
    // Both sides told apart in words and in JSON, each with its own piece.
    void unlike_sides_are_planned_applied_checked_and_printed()
    {
        QTemporaryDir dir;
        auto given = files("hedda.json");
        const auto planned = json::parse(run(QStringList{"plan"} + given).out.toStdString());
        const auto& lines = planned["lines"];
        const auto depth = std::find_if(lines.begin(), lines.end(),
                                        [](const json& l) { return l["adjustment"] == "waist_to_hip"; });
        QCOMPARE((*depth)["sides"]["how"].get<std::string>(), std::string{"apart"});
        QCOMPARE((*depth)["amount_mm"].get<double>(), 0.0);
        QVERIFY((*depth)["left_mm"].get<double>() > 12);
        const auto applied = json::parse(run(QStringList{"apply"} + given).out.toStdString());
        int wholes = 0;
        int lefts = 0;
        for (const auto& p : applied["cut_out"]) {
            wholes += p.contains("whole");
            lefts += p.value("side", "") == "left";
        }
        QVERIFY(wholes == 1 && lefts == 1);  // the front on its fold, one of the two backs
        const auto& steps = applied["steps"];
        QVERIFY(
            std::any_of(steps.begin(), steps.end(), [](const json& s) { return s.value("side", "") == "left"; }));
        const auto checked = json::parse(run(QStringList{"check"} + given).out.toStdString());
        QVERIFY(checked["all_hold"].get<bool>());
        for (const char* centre : {"centre_front", "centre_back"}) {
            QVERIFY(std::any_of(checked["walks"].begin(), checked["walks"].end(),
                                [&](const json& w) { return w["seam"] == centre && w["holds"].get<bool>(); }));
        }
        // She may want one amount for both.
        QFile plan{dir.filePath("plan.json")};
        QVERIFY(plan.open(QIODevice::WriteOnly));
        plan.write(R"({"waist_size": "16", "hip_size": "16", "sides": "larger",
                       "adjustments": {"waist_to_hip": {"answer": "accepted"}}})");
        plan.close();
        const auto larger = json::parse(
            run(QStringList{"apply"} + given + QStringList{"--plan", plan.fileName()}).out.toStdString());
        for (const auto& p : larger["cut_out"]) QVERIFY(!p.contains("side") && !p.contains("whole"));
        given.removeAll("--json");
        const auto words = run(QStringList{"plan"} + given).out;
        QVERIFY2(words.contains("right 0.0 cm, left +") && words.contains("each side gets its own"), words);
        for (const char* sides : {"apart", "one-piece"}) {
            const auto r = run(QStringList{"print"} + given +
                               QStringList{"--sides", sides, "--out", dir.filePath(QString{sides} + ".pdf")});
            QCOMPARE(r.code, 0);
        }
        QVERIFY(run(QStringList{"print"} + given + QStringList{"--sides", "both", "--out", dir.filePath("x.pdf")})
                    .code != 0);
    }
    void the_document_lists_every_adjustment_as_the_catalogue_has_it()
    {
        QFile f{QString{SARTORUM_SOURCE_DIR} + "/docs/cli.md"};
        QVERIFY(f.open(QIODevice::ReadOnly));
        const auto r = run({"adjustments"});
        QCOMPARE(r.code, 0);
        QVERIFY2(f.readAll().contains(r.out), "sartorum-cli adjustments > the table in docs/cli.md");
        QCOMPARE(json::parse(run({"adjustments", "--json"}).out.toStdString()).size(), std::size_t{60});
    }
};
SARTORUM_TEST(TestCli)

}  // namespace test_cli

#include "test_cli.moc"
