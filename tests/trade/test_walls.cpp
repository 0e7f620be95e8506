// The walls between the rooms (docs/architecture.md), held by reading the sources.
#include <QDirIterator>
#include <QFile>
#include <QRegularExpression>
#include <QTest>
#include <algorithm>

#include "tests.h"

namespace test_walls {

namespace {

QStringList offenders(const QString& folder, const QRegularExpression& forbidden)
{
    QStringList out;
    int read = 0;
    QDirIterator it{
        QString{SARTORUM_SOURCE_DIR} + "/" + folder, {"*.h", "*.cpp"}, QDir::Files, QDirIterator::Subdirectories};
    while (it.hasNext()) {
        QFile f{it.next()};
        if (!f.open(QIODevice::ReadOnly)) continue;
        ++read;
        const auto m = forbidden.match(QString::fromUtf8(f.readAll()));
        if (m.hasMatch()) out << f.fileName() + ": " + m.captured();
    }
    if (read == 0) out << "nothing read in " + folder;
    return out;
}

}  // namespace

class TestWalls : public QObject {
    Q_OBJECT
private slots:
    void the_core_knows_no_qt_no_database_no_sentence_no_locale()
    {
        const auto bad =
            offenders("src/core",
                      QRegularExpression{
                          "#include\\s*[<\"](Q[A-Z]|Qt|sqlite)|\\btr\\(|setlocale|std::locale|_clock|\\btime\\("});
        QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
    }
    void the_notebook_and_the_formats_know_no_widget()
    {
        for (const char* room : {"src/notebook", "src/formats", "src/words", "src/cli"}) {
            const auto bad =
                offenders(room, QRegularExpression{"#include\\s*[\"<](desk/|QWidget|QMainWindow|QApplication)"});
            QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
        }
    }
    void no_condition_names_a_kind_of_part_outside_the_rows()
    {
        // What differs from kind to kind stands in these; the blocks say what they draw.
        const QStringList rows{
            "core/pattern/part.h",           "core/pattern/part_rules.cpp", "core/pattern/garment_measure.cpp",
            "core/alter/kit/part_alter.cpp", "core/check/part_check.cpp",   "core/tissue/tissue.cpp"};
        static const QRegularExpression named{"PartKind::[A-Z]"};
        static const QRegularExpression drawn{"\\.part = PartKind::[A-Z]\\w*;"};
        static const QRegularExpression asked{"\\bis_(bodice|upper|skirt|trousers|dress|top)\\b"};
        QStringList bad;
        int seen = 0;
        QDirIterator it{
            QString{SARTORUM_SOURCE_DIR} + "/src", {"*.h", "*.cpp"}, QDir::Files, QDirIterator::Subdirectories};
        while (it.hasNext()) {
            QFile f{it.next()};
            QVERIFY(f.open(QIODevice::ReadOnly));
            const bool row =
                std::any_of(rows.begin(), rows.end(), [&](const QString& r) { return f.fileName().endsWith(r); });
            seen += row;
            for (const auto& line : QString::fromUtf8(f.readAll()).split('\n')) {
                const bool kind = named.match(line).hasMatch() && !row && !drawn.match(line).hasMatch();
                if (kind || asked.match(line).hasMatch()) bad << f.fileName() + ": " + line.trimmed();
            }
        }
        QCOMPARE(seen, int(rows.size()));
        QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
    }
    // What differs from adjustment to adjustment, and from measure to measure, is a column of its row: no
    // condition names one elsewhere. The rows' own files, and the words about each, may.
    void no_condition_names_an_adjustment_or_a_garment_measure_outside_the_rows()
    {
        struct Rule {
            const char* type;
            QStringList rows;
        };
        const Rule rules[] = {{"AdjustmentKind", {"/core/alter/", "/words/"}},
                              {"GarmentMeasure",
                               {"/core/pattern/garment_measure.cpp", "/words/", "/core/plan/finished.cpp",
                                "/core/plan/knock_ons.cpp"}}};
        for (const auto& rule : rules) {
            const QString value = QString{"(sartorum::)?%1::[A-Z]\\w*"}.arg(rule.type);
            const QRegularExpression asked{"(==|!=)\\s*" + value + "|" + value + "\\s*(==|!=)|case\\s+" + value};
            QStringList bad;
            int in_rows = 0;
            QDirIterator it{QString{SARTORUM_SOURCE_DIR} + "/src",
                            {"*.h", "*.cpp"},
                            QDir::Files,
                            QDirIterator::Subdirectories};
            while (it.hasNext()) {
                QFile f{it.next()};
                QVERIFY(f.open(QIODevice::ReadOnly));
                const bool row = std::any_of(rule.rows.begin(), rule.rows.end(),
                                             [&](const QString& r) { return f.fileName().contains(r); });
                const QString text = QString::fromUtf8(f.readAll());
                in_rows += row && text.contains(rule.type);
                if (const auto found = asked.match(text); found.hasMatch() && !row)
                    bad << f.fileName() + ": " + found.captured();
            }
            QVERIFY(in_rows > 0);
            QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
        }
    }
    // A part may be made of other pieces. Only an adjustment asks for the front or the back, where its row says
    // that it acts on them; what stands outside asks the part, or for both at a level.
    void only_an_adjustment_asks_for_the_front_or_the_back()
    {
        static const QRegularExpression asked{
            "\\b(front_of|back_of)\\(\\w*\\b(part|g|garment|view|legs|now|traced)\\b"};
        QStringList bad;
        int in_adjustments = 0;
        QDirIterator it{
            QString{SARTORUM_SOURCE_DIR} + "/src", {"*.h", "*.cpp"}, QDir::Files, QDirIterator::Subdirectories};
        while (it.hasNext()) {
            QFile f{it.next()};
            QVERIFY(f.open(QIODevice::ReadOnly));
            const auto found = asked.match(QString::fromUtf8(f.readAll()));
            if (!found.hasMatch()) continue;
            const bool adjustment = f.fileName().contains("/core/alter/");
            in_adjustments += adjustment;
            if (!adjustment) bad << f.fileName() + ": " + found.captured();
        }
        QVERIFY(in_adjustments > 10);
        QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
    }
    // So the sanitizers need not ask at each access whether it is aligned (CMakeLists.txt).
    void nothing_is_cast_to_what_lies_otherwise_in_memory()
    {
        for (const char* room : {"src/core", "src/words", "src/formats"}) {
            const auto bad = offenders(
                room, QRegularExpression{"\\breinterpret_cast\\b|\\bmem(cpy|move)\\b|\\bunion\\s+\\w*\\s*\\{"});
            QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
        }
    }
    // So that each header is once met first: what it lacks shows there (`./run headers` compiles each alone).
    void a_source_includes_its_own_header_first()
    {
        static const QRegularExpression include{"^#include [<\"]([^>\"]+)[>\"]",
                                                QRegularExpression::MultilineOption};
        const QString src = QString{SARTORUM_SOURCE_DIR} + "/src/";
        QStringList bad;
        int seen = 0;
        QDirIterator it{src, {"*.cpp"}, QDir::Files, QDirIterator::Subdirectories};
        while (it.hasNext()) {
            QFile f{it.next()};
            // What the adjustments of a zone do is declared in one header.
            QString header = f.fileName().chopped(3) + "h";
            if (!QFile::exists(header) && header.contains("/core/alter/"))
                header = QFileInfo{f.fileName()}.path() + "/rows.h";
            if (!QFile::exists(header)) continue;
            QVERIFY(f.open(QIODevice::ReadOnly));
            ++seen;
            if (include.match(QString::fromUtf8(f.readAll())).captured(1) != header.mid(src.size()))
                bad << f.fileName();
        }
        QVERIFY(seen > 200);
        QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
    }
    // The kit of the adjustments knows none of them, but for the catalogue and what is done on each kind of part.
    void the_kit_of_the_adjustments_does_not_know_them()
    {
        const QStringList may{"catalogue.cpp", "part_alter.cpp", "part_alter.h"};
        const auto bad = offenders("src/core/alter/kit", QRegularExpression{"#include \"core/alter/(?!kit/)"});
        QStringList others;
        for (const auto& b : bad) {
            if (std::none_of(may.begin(), may.end(), [&](const QString& m) { return b.contains("/" + m); }))
                others << b;
        }
        QVERIFY(!bad.isEmpty());
        QVERIFY2(others.isEmpty(), qPrintable(others.join("\n")));
    }
    void lower_rooms_of_the_core_do_not_reach_up()
    {
        const QStringList order{"units",  "body",  "chart", "pattern", "paper",
                                "tissue", "alter", "check", "plan",    "fitting"};
        for (int i = 0; i < order.size(); ++i) {
            for (int k = i + 1; k < order.size(); ++k) {
                const auto bad =
                    offenders("src/core/" + order[i], QRegularExpression{"#include \"core/" + order[k] + "/"});
                QVERIFY2(bad.isEmpty(), qPrintable(bad.join("\n")));
            }
        }
    }
};
SARTORUM_TEST(TestWalls)

}  // namespace test_walls

#include "test_walls.moc"
