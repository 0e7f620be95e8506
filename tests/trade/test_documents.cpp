// The papers for contributors say what is: sources are numbered and name files that exist, the glossary has every
// trade word that stands in a key.
#include <QFile>
#include <QFileInfo>
#include <QRegularExpression>
#include <QTest>

#include "core/plan/compute.h"
#include "tests.h"

namespace test_documents {

using namespace sartorum;

namespace {

QString page(const char* name)
{
    QFile f{QString{SARTORUM_SOURCE_DIR} + "/" + QLatin1String{name}};
    return f.open(QIODevice::ReadOnly) ? QString::fromUtf8(f.readAll()) : QString{};
}

bool there(const QString& path)
{
    for (const char* root : {"/src/core/", "/src/", "/", "/tests/core/"}) {
        if (QFileInfo::exists(QString{SARTORUM_SOURCE_DIR} + QLatin1String{root} + path)) return true;
    }
    return false;
}

QStringList missing_paths(const QString& text)
{
    QStringList out;
    auto it = QRegularExpression{"`([a-z_]+/[a-z_/]+\\.(?:h|cpp))`"}.globalMatch(text);
    while (it.hasNext()) {
        const QString path = it.next().captured(1);
        if (!there(path)) out << path;
    }
    return out;
}

}  // namespace

class TestDocuments : public QObject {
    Q_OBJECT
private slots:
    void sources_are_numbered_and_name_files_that_exist()
    {
        const QString text = page("docs/sources.md");
        int n = 0;
        for (const auto& line : text.split('\n')) {
            if (line.startsWith("| S-"))
                QVERIFY2(line.startsWith(QString{"| S-%1 |"}.arg(++n, 2, 10, QChar{'0'})), qPrintable(line));
        }
        QVERIFY(n > 40);
        QCOMPARE(missing_paths(text), QStringList{});
    }
    void pages_for_contributors_name_files_that_exist()
    {
        for (const char* name : {"docs/adding-an-adjustment.md", "docs/architecture.md", "docs/notebook-format.md",
                                 "src/core/pattern/README.md", "src/core/paper/README.md",
                                 "src/core/alter/README.md", "src/core/plan/README.md", "src/desk/README.md"})
            QVERIFY2(missing_paths(page(name)).isEmpty(), qPrintable(missing_paths(page(name)).join(' ')));
        QVERIFY(!page("CONTRIBUTING.md").isEmpty());
        QVERIFY(page("docs/architecture.md").count('\n') <= 100);
    }
    void every_trade_word_in_a_key_stands_in_the_glossary()
    {
        const QString text = page("docs/glossary.md");
        const auto known = [&](std::string_view key) {
            const auto word = QString::fromUtf8(key.data(), qsizetype(key.size()));
            return text.contains("`" + word + "`") || text.contains("| " + word + " |");
        };
        QStringList unknown;
        const auto look = [&](std::string_view key) {
            if (!known(key)) unknown << QString::fromUtf8(key.data(), qsizetype(key.size()));
        };
        for (const auto& a : catalogue()) look(a.key);
        for (const auto& m : all_garment_measures()) look(m.key);
        for (const auto part : every_part) look(key(part));
        for (const auto level : every_level) look(key(level));
        for (int r = 0; r <= static_cast<int>(PieceRole::Other); ++r) look(key(static_cast<PieceRole>(r)));
        for (int r = 0; r <= static_cast<int>(EdgeRole::Cut); ++r) look(key(static_cast<EdgeRole>(r)));
        for (int g = 0; g <= static_cast<int>(GuideKind::Knee); ++g) look(key(static_cast<GuideKind>(g)));
        for (int d = 0; d <= static_cast<int>(DartKind::Pleat); ++d) look(key(static_cast<DartKind>(d)));
        for (const auto f : {Follow::No, Follow::Length}) look(key(f));
        QCOMPARE(unknown, QStringList{});
    }
};
SARTORUM_TEST(TestDocuments)

}  // namespace test_documents

#include "test_documents.moc"
