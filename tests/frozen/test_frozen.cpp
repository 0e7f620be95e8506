// What must not change unless it is meant to: every demo garment and a thousand random plans, against what is
// frozen in this folder. `./run freeze` shows what became different and freezes it anew.
#include <QFile>
#include <QTest>

#include "frozen/draws.h"
#include "frozen/record.h"
#include "tests.h"

namespace test_frozen {

using namespace sartorum;
using namespace sartorum::test;

namespace {

constexpr std::size_t random_plans = 1000;
// Each tenth under the sanitizers: all of them run optimised.
#ifdef SARTORUM_SAMPLE
constexpr std::size_t stride = 10;
#else
constexpr std::size_t stride = 1;
#endif

QString frozen_file(const char* name)
{
    return QString{SARTORUM_SOURCE_DIR} + "/tests/frozen/" + name;
}

std::string read(const QString& path)
{
    QFile f{path};
    return f.open(QIODevice::ReadOnly) ? f.readAll().toStdString() : std::string{};
}

void hold(const char* name, const std::string& fresh, const std::string& frozen)
{
    const auto found = differences(frozen, fresh, 40);
    for (const auto& line : found) qWarning("%s", line.c_str());
    if (qEnvironmentVariableIsSet("SARTORUM_FREEZE")) {
        QFile f{frozen_file(name)};
        QVERIFY(f.open(QIODevice::WriteOnly));
        QCOMPARE(f.write(fresh.data(), qint64(fresh.size())), qint64(fresh.size()));
        return;
    }
    QVERIFY2(!frozen.empty(), "nothing is frozen");
    QVERIFY2(found.empty(), "the plans come out differently; if that is meant: ./run freeze");
}

}  // namespace

class TestFrozen : public QObject {
    Q_OBJECT
private slots:
    void a_difference_is_told_by_garment_edge_and_how_far()
    {
        const std::string was = "== 3 tee\nfront side: 10.0000000 4.0000000\nstep 1: “Cut it”\nstep 2: “Tape”\n";
        QVERIFY(differences(was, was).empty());
        QVERIFY(differences(was, "== 3 tee\nfront side: 10.0000009 4.0000000\nstep 1: “Cut it”\nstep 2: “Tape”\n")
                    .empty());
        const auto moved =
            differences(was, "== 3 tee\nfront side: 10.0000000 4.0300000\nstep 1: “Cut it”\nstep 2: “Tape”\n");
        QVERIFY(moved == std::vector<std::string>{"3 tee · front side: by 0.0300000 mm"});
        const auto said = differences(was, "== 3 tee\nfront side: 10.0000000 4.0000000\nstep 1: “Cut here”\n");
        QCOMPARE(said.size(), std::size_t{2});
        QVERIFY(said[0].find("was “Cut it”") != std::string::npos && said[1].find("is gone") != std::string::npos);
        QCOMPARE(differences(was, was + "== 4 tee\n").size(), std::size_t{1});
    }
    void every_demo_garment()
    {
        std::string fresh;
        for (const auto& t : demo_trials()) fresh += record(t, Detail::Full);
        hold("demo.txt", fresh, read(frozen_file("demo.txt")));
    }
    void garments_of_several_parts() { hold_all("joined.txt", joined_trials()); }
    void garments_with_legs() { hold_all("legs.txt", leg_trials()); }
    void a_thousand_random_plans()
    {
        std::string fresh;
        for (std::size_t i = 0; i < random_plans; i += stride) fresh += record(random_trial(i), Detail::Short);
        std::string frozen = read(frozen_file("random.txt"));
        if (stride > 1) frozen = every(frozen, stride);
        hold("random.txt", fresh, frozen);
    }
    void what_is_computed_from_before_is_what_is_computed_anew()
    {
        const auto joined = joined_trials();
        const auto legs = leg_trials();
        for (std::size_t i = 0; i < 150; i += stride) {
            const auto t = i % 5 == 2   ? joined[i % joined.size()]
                           : i % 5 == 4 ? legs[i % legs.size()]
                                        : random_trial(i);
            const Draws d{i + 5000};
            Work work = work_of(t.pattern, t.chart, t.body, t.plan);
            auto c = compute(work);
            QVERIFY(c.has_value());
            for (int turn = 0; turn < 4; ++turn) {
                const std::string n = std::to_string(turn);
                const auto& a = catalogue()[d.one_of("kind" + n, catalogue().size())];
                const double share = d.between("amount" + n, 0.05, 0.5);
                if (turn == 3 && !work.plan.decisions.empty())
                    work.plan.forget(work.plan.decisions.front().kind);
                else
                    work.plan.decide({a.kind, Answer::Accepted, a.least * share + a.most * (1 - share)});
                c = recompute(std::move(*c), work);
                const auto anew = compute(work);
                QVERIFY(c.has_value() && anew.has_value());
                const auto apart =
                    differences(record(t.name, *anew, Detail::Short), record(t.name, *c, Detail::Short));
                for (const auto& line : apart) qWarning("turn %d: %s", turn, line.c_str());
                QVERIFY(apart.empty());
            }
        }
    }

private:
    static void hold_all(const char* name, const std::vector<Trial>& trials)
    {
        std::string fresh;
        for (std::size_t i = 0; i < trials.size(); i += stride) fresh += record(trials[i], Detail::Short);
        std::string frozen = read(frozen_file(name));
        if (stride > 1) frozen = every(frozen, stride);
        hold(name, fresh, frozen);
    }
    // The records whose number is a multiple of `n`.
    static std::string every(const std::string& all, std::size_t n)
    {
        std::string out;
        bool taken = false;
        std::size_t at = 0;
        while (at < all.size()) {
            const auto end = std::min(all.find('\n', at), all.size() - 1) + 1;
            if (all.compare(at, 3, "== ") == 0) taken = std::stoul(all.substr(at + 3)) % n == 0;
            if (taken) out.append(all, at, end - at);
            at = end;
        }
        return out;
    }
};
SARTORUM_TEST(TestFrozen)

}  // namespace test_frozen

#include "test_frozen.moc"
