// The benchmarks named in docs/benchmarks.md. Each compares with a baseline taken in the same run.
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QProcess>
#include <QTemporaryDir>
#include <QTextStream>
#include <algorithm>

#include "core/chart/size_choice.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "notebook/notebook.h"

using namespace sartorum;

namespace {

QTextStream out{stdout};

double median(std::vector<double> v)
{
    std::sort(v.begin(), v.end());
    return v[v.size() / 2];
}

template <class F>
double timed_ms(F&& f)
{
    QElapsedTimer t;
    t.start();
    f();
    return static_cast<double>(t.nsecsElapsed()) / 1e6;
}

void recompute(const QString& demo)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/towpath-paper.csv"));
    const auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/lockside-skirt.svg"));
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan{"18", "16", {}};
    for (const auto& a : catalogue()) plan.decide({a.kind, Answer::Accepted, {}});
    std::vector<double> times;
    for (int i = 0; i < 1000; ++i) {
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(5 + i % 30)});
        plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(8 + i % 12)});
        times.push_back(timed_ms([&] {
            if (!compute(pattern, chart, body.set, plan)) qFatal("not computed");
        }));
    }
    out << "recompute plan + paper + checks: median " << median(times) << " ms, worst "
        << *std::max_element(times.begin(), times.end()) << " ms (asked: under 1 ms median)\n";
}

// A top of ten pieces, ten adjustments accepted, one amount dragged: the recompute a hand sees while it pulls.
void drag(const QString& demo)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/windlass-dress.csv"));
    auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/windlass-bodice.svg"));
    for (auto& size : pattern.sizes) {
        for (int i = 0; i < 8; ++i) {  // facings, collar, cuffs: as many lines as a back has
            Piece other = size.pieces[1];
            other.id = "other " + std::to_string(i);
            other.role = PieceRole::Other;
            size.pieces.push_back(std::move(other));
        }
    }
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan{"16", "16", {}};
    plan.bust_size = "16";
    const auto start = *compute(pattern, chart, body.set, plan);
    for (const auto& l : start.lines) {
        const auto zone = adjustment(l.kind).zone;
        if (zone != Zone::Frame && zone != Zone::Lengths) continue;
        plan.decide({l.kind, Answer::Accepted, Length::mm(adjustment(l.kind).most > Length{} ? 6 : -9)});
    }
    plan.waist_size = "18";  // the tenth: a blend between sizes
    std::vector<double> times;
    std::size_t steps = 0;
    for (int i = 0; i < 1000; ++i) {
        plan.decisions[1].amount = Length::mm(-6.0 + i % 12);  // the shoulder slope under the hand
        times.push_back(timed_ms([&] {
            const auto c = compute(pattern, chart, body.set, plan);
            if (!c) qFatal("not computed");
            steps = c->steps.size();
        }));
    }
    out << "dragging an amount, ten pieces, nine adjustments and a blend (" << steps << " steps): median "
        << median(times) << " ms, worst " << *std::max_element(times.begin(), times.end())
        << " ms (asked: under 5 ms median)\n";
}

// Front, back and sleeve; the bust's amount dragged, with what follows it in the cap accepted, and all checks.
void drag_bust(const QString& demo)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/windlass-dress.csv"));
    const auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/windlass-bodice.svg"));
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan{"16", "16", {}};
    plan.bust_size = "16";
    plan.decide({AdjustmentKind::Bust, Answer::Accepted, Length::mm(1)});
    for (const auto kind : {AdjustmentKind::ShoulderSlope, AdjustmentKind::UnderarmWidth})
        plan.decide({kind, Answer::Accepted, Length::mm(-6)});
    for (const auto kind : {AdjustmentKind::UpperArm, AdjustmentKind::CapHeight, AdjustmentKind::TopNotch,
                            AdjustmentKind::WidthAtWaist})
        plan.decide({kind, Answer::Accepted, {}});
    std::vector<double> times;
    std::size_t steps = 0;
    for (int i = 0; i < 1000; ++i) {
        plan.decisions[0].amount = Length::mm(1 + i % 24);
        times.push_back(timed_ms([&] {
            const auto c = compute(pattern, chart, body.set, plan);
            if (!c) qFatal("not computed");
            steps = c->steps.size();
        }));
    }
    out << "dragging the bust, front, back and sleeve, seven adjustments (" << steps << " steps): median "
        << median(times) << " ms, worst " << *std::max_element(times.begin(), times.end())
        << " ms (asked: under 5 ms median)\n";
}

double start_ms(const QString& program, const QStringList& arguments)
{
    return timed_ms([&] {
        if (QProcess::execute(program, arguments) != 0) qFatal("%s did not run", qPrintable(program));
    });
}

void start(const QString& demo, const QString& app, const QString& bare)
{
    QTemporaryDir dir;
    qputenv("SARTORUM_QUIT_WHEN", "furnished");
    const QStringList arguments{dir.filePath("n.sartorum"), "--demo", demo};
    start_ms(app, arguments);  // makes the notebook
    start_ms(bare, {});
    std::vector<double> ours;
    std::vector<double> furnished;
    std::vector<double> theirs;
    for (int i = 0; i < 31; ++i) {
        qputenv("SARTORUM_QUIT_WHEN", "furnished");
        furnished.push_back(start_ms(app, {dir.filePath("n.sartorum")}));
        qputenv("SARTORUM_QUIT_WHEN", "painted");
        ours.push_back(start_ms(app, {dir.filePath("n.sartorum")}));
        theirs.push_back(start_ms(bare, {}));
    }
    out << "start to first painted window: " << median(ours) << " ms, bare Qt window " << median(theirs)
        << " ms, ratio " << median(ours) / median(theirs) << " (asked: 1.5)\n"
        << "start to the work laid out in it: " << median(furnished) << " ms, ratio "
        << median(furnished) / median(theirs) << "\n";
}

double open_ms(const QString& path)
{
    return timed_ms([&] {
        auto book = std::move(*notebook::Notebook::open(path));
        const auto table = book->table();
        if (table.wearer) (void)book->wearer(*table.wearer);
        if (table.set) (void)book->body(*table.set);
        if (table.pattern) (void)book->pattern_svg(*table.pattern);
    });
}

void open_large(const QString& demo)
{
    QTemporaryDir dir;
    const auto svg = *formats::read_file(demo + "/lockside-skirt.svg");
    // The empty one has one wearer and one pattern on the table, so that both open the same work.
    const auto fill = [&](const QString& path, int wearers, int patterns, int readings) {
        auto book = std::move(*notebook::Notebook::open(path));
        for (int p = 0; p < patterns; ++p)
            (void)*book->add_pattern(QString{"Pattern %1"}.arg(p), "Maker", QByteArray::fromStdString(svg), {});
        const int sets = readings / wearers / 8;
        for (int w = 0; w < wearers; ++w) {
            const auto id = *book->add_wearer(QString{"Wearer %1"}.arg(w), {2026, 1, 1});
            for (int s = 0; s < sets; ++s) {
                const auto set = *book->add_set(id, QDate{2026, 1, 2}.addDays(s));
                for (const auto& f : all_measures)
                    (void)*book->set_readings(set, f.measure,
                                              {f.least + Length::mm(s), f.least + Length::mm(s + 1)});
            }
        }
    };
    fill(dir.filePath("small"), 1, 1, 8);
    fill(dir.filePath("large"), 20, 200, 5000);
    std::vector<double> smalls;
    std::vector<double> larges;
    for (int i = 0; i < 101; ++i) {
        smalls.push_back(open_ms(dir.filePath("small")));
        larges.push_back(open_ms(dir.filePath("large")));
    }
    const double small = median(smalls);
    const double large = median(larges);
    out << "opening 20 wearers, 200 patterns, about 5,000 readings: " << large << " ms, nearly empty " << small
        << " ms, ratio " << large / small << " (asked: 1.2)\n";
}

}  // namespace

int main(int argc, char** argv)
{
    QCoreApplication app{argc, argv};
    if (argc != 4) return 2;
    const QString demo = QString::fromLocal8Bit(argv[1]);
    recompute(demo);
    drag(demo);
    drag_bust(demo);
    out.flush();
    open_large(demo);
    out.flush();
    start(demo, QString::fromLocal8Bit(argv[2]), QString::fromLocal8Bit(argv[3]));
    return 0;
}
