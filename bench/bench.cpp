// The benchmarks named in docs/benchmarks.md. Each is a ratio to a yardstick taken in the same run: a plain pass
// over the same outlines, a bare Qt window. A ratio 1.3 times worse than the one kept there fails.
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QFile>
#include <QMap>
#include <QProcess>
#include <QRegularExpression>
#include <QTemporaryDir>
#include <QTextStream>
#include <algorithm>
#include <array>

#include "core/chart/size_choice.h"
#include "core/plan/compute.h"
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

constexpr double worse = 1.3;

struct Kept {
    QMap<QString, double> ratios;
    bool failed = false;
};

// Rows "| `key` | 12.3 |" of the document.
Kept kept_in(const QString& path)
{
    Kept kept;
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly)) qFatal("%s cannot be read", qPrintable(path));
    static const QRegularExpression row{R"(^\| `([a-z-]+)` \| ([0-9.]+) \|)", QRegularExpression::MultilineOption};
    auto it = row.globalMatch(QString::fromUtf8(file.readAll()));
    while (it.hasNext()) {
        const auto m = it.next();
        kept.ratios[m.captured(1)] = m.captured(2).toDouble();
    }
    return kept;
}

void tell(Kept& kept, const char* key, double ratio, const QString& what)
{
    const auto was = kept.ratios.value(QLatin1String{key});
    const bool bad = was > 0 && ratio > was * worse;
    kept.failed = kept.failed || bad;
    out << what << "\n    `" << key << "` " << QString::number(ratio, 'f', 2) << ", kept "
        << QString::number(was, 'f', 2) << (bad ? "  WORSE\n" : "\n");
    out.flush();
}

// One plain pass of length and area over the outlines: each segment of each edge in sixteen chords.
double plain_pass(const std::vector<Piece>& pieces)
{
    constexpr int chords = 16;
    double length = 0;
    double area = 0;
    for (const auto& piece : pieces) {
        for (const auto& e : piece.edges) {
            for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
                Point last = e.curve[i].initialPoint();
                for (int k = 1; k <= chords; ++k) {
                    const Point next = e.curve[i].pointAt(static_cast<double>(k) / chords);
                    length += Geom::distance(last, next);
                    area += Geom::cross(last, next) / 2;
                    last = next;
                }
            }
        }
    }
    return length + area;
}

template <class F>
double timed_ms(F&& f)
{
    QElapsedTimer t;
    t.start();
    f();
    return static_cast<double>(t.nsecsElapsed()) / 1e6;
}

double plain_ms(const std::vector<Piece>& pieces);

void recompute_skirt(const QString& demo, Kept& kept)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/towpath-paper.csv"));
    const auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/lockside-skirt.svg"));
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan = plan_in_sizes("18", "16");
    for (const auto& a : catalogue()) plan.decide({a.kind, Answer::Accepted, {}});
    std::vector<double> times;
    for (int i = 0; i < 1000; ++i) {
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(5 + i % 30)});
        plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(8 + i % 12)});
        times.push_back(timed_ms([&] {
            if (!compute(pattern, chart, body.set, plan)) qFatal("not computed");
        }));
    }
    tell(kept, "skirt", median(times) / plain_ms(pattern.find("16")->pieces),
         QString{"recompute a skirt of three pieces, five adjustments: %1 ms"}.arg(median(times)));
}

// One amount after another, as a hand drags it: each worked out from what stood before.
struct Dragged {
    double ms = 0;
    std::size_t steps = 0;
};

// Several garments in turn, so that what the machine does meanwhile falls on all alike.
template <class Next>
std::vector<Dragged> dragged_in_turn(std::vector<Work> works, Next next)
{
    std::vector<Outcome<Computed>> now;
    for (const auto& w : works) now.push_back(compute(w));
    std::vector<std::vector<double>> times(works.size());
    for (int i = 0; i < 1000; ++i) {
        for (std::size_t k = 0; k < works.size(); ++k) {
            next(works[k].plan, i);
            times[k].push_back(timed_ms([&] { now[k] = recompute(std::move(*now[k]), works[k]); }));
            if (!now[k]) qFatal("not computed");
        }
    }
    std::vector<Dragged> each;
    for (std::size_t k = 0; k < works.size(); ++k) each.push_back({median(times[k]), now[k]->steps.size()});
    return each;
}

template <class Next>
Dragged dragged(Work work, Next next)
{
    return dragged_in_turn({std::move(work)}, next).front();
}

// Facings, collar, cuffs: as many lines as a back has.
void add_others(Pattern& pattern, int n)
{
    for (auto& size : pattern.sizes) {
        for (int i = 0; i < n; ++i) {
            Piece other = size.pieces[1];
            other.id = "other " + std::to_string(i);
            other.role = PieceRole::Other;
            other.part.reset();
            size.pieces.push_back(std::move(other));
        }
    }
}

constexpr std::array nine{
    AdjustmentKind::ShoulderLength, AdjustmentKind::ShoulderSlope, AdjustmentKind::BallOfShoulder,
    AdjustmentKind::NeckForward,    AdjustmentKind::RoundBack,     AdjustmentKind::ArmholeDepth,
    AdjustmentKind::BodiceLength,   AdjustmentKind::SwayBack,      AdjustmentKind::BustDepth};

void accept_nine(Plan& plan)
{
    for (const auto kind : nine)
        plan.decide({kind, Answer::Accepted, Length::mm(adjustment(kind).most > Length{} ? 6 : -9)});
}

// A dress of ten pieces, two of them facings that are drawn anew; its skirt goes with the bodice.
Work dress_to_drag(const QString& demo, const BodySet& body)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/aqueduct-dress.csv"));
    auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/aqueduct-dress.svg"));
    add_others(pattern, 10 - static_cast<int>(pattern.sizes.front().pieces.size()));
    Plan plan = plan_in_sizes("42", "42");
    plan.sizes[Level::Bust] = "40";
    accept_nine(plan);
    for (const auto kind : {AdjustmentKind::WidthAtWaist, AdjustmentKind::WaistToHip, AdjustmentKind::WidthAtHip})
        plan.decide({kind, Answer::Accepted, Length::mm(16)});
    return work_of(pattern, chart, body, plan);
}

// A bodice sewn to trousers, ten pieces, twelve adjustments on both.
Work all_in_one_to_drag(const QString& demo, const BodySet& body)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/slipway-all-in-one.csv"));
    auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/slipway-all-in-one.svg"));
    add_others(pattern, 10 - static_cast<int>(pattern.sizes.front().pieces.size()));
    Plan plan = plan_in_sizes("42", "42");
    plan.choosing.kind = GarmentKind::AllInOne;
    plan.sizes[Level::Bust] = "40";
    for (const auto kind :
         {AdjustmentKind::ShoulderLength, AdjustmentKind::ShoulderSlope, AdjustmentKind::BallOfShoulder,
          AdjustmentKind::BodiceLength, AdjustmentKind::BustDepth, AdjustmentKind::WaistToHip,
          AdjustmentKind::BodyRise, AdjustmentKind::CrotchWedge, AdjustmentKind::LegLength,
          AdjustmentKind::WidthAtWaist, AdjustmentKind::WidthAtThigh, AdjustmentKind::WidthAtKnee})
        plan.decide({kind, Answer::Accepted, Length::mm(6)});
    return work_of(pattern, chart, body, plan);
}

// A top of ten pieces, ten adjustments accepted, one amount dragged: the recompute a hand sees while it pulls.
void drag(const QString& demo, Kept& kept)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/windlass-dress.csv"));
    auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/windlass-bodice.svg"));
    add_others(pattern, 8);
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan = plan_in_sizes("16", "16");
    plan.sizes[Level::Bust] = "16";
    accept_nine(plan);
    plan.sizes[Level::Waist] = "18";  // the tenth: a blend between sizes
    const Work work = work_of(pattern, chart, body.set, plan);
    const double pass = plain_ms(pattern.find("16")->pieces);
    Work unlike = work;
    unlike.plan.decisions[1].set({Face::Both, Side::Left}, Length::mm(-3));
    const auto both = dragged_in_turn(
        {work, dress_to_drag(demo, body.set), unlike, all_in_one_to_drag(demo, body.set)}, [](Plan& p, int i) {
            const Length amount = Length::mm(-6.0 + i % 12);
            if (p.decisions[1].has_sides())
                p.decisions[1].set({Face::Both, Side::Right}, amount);
            else
                p.decisions[1].set_amount(amount);
        });
    const auto& slope = both[0];
    tell(kept, "ten-pieces", slope.ms / pass,
         QString{"dragging the slope, ten pieces, nine adjustments and a blend (%1 steps): %2 ms"}
             .arg(slope.steps)
             .arg(slope.ms));
    const double dress = both[1].ms;
    tell(kept, "dress-to-top", dress / slope.ms,
         QString{"dragging the slope of a dress of ten pieces, twelve adjustments: %1 ms"}.arg(dress));
    const double all_in_one = both[3].ms;
    tell(kept, "all-in-one-to-top", all_in_one / slope.ms,
         QString{"dragging the slope of an all-in-one of ten pieces, twelve adjustments (%1 steps): %2 ms"}
             .arg(both[3].steps)
             .arg(all_in_one));
    const double sides = both[2].ms;
    tell(kept, "sides-to-alike", sides / slope.ms,
         QString{"the same top, its slope dragged on the right alone: %1 ms"}.arg(sides));
    // The last of all, on the sleeve: what stands above it stays.
    const auto hem = dragged(work, [](Plan& p, int i) {
        p.decide({AdjustmentKind::SleeveHem, Answer::Accepted, Length::mm(3 + i % 20)});
    });
    tell(kept, "one-of-ten", hem.ms / pass,
         QString{"dragging the sleeve's hem, one piece of ten (%1 steps): %2 ms"}.arg(hem.steps).arg(hem.ms));
}

// Front, back and sleeve; the bust's amount dragged, with what follows it in the cap accepted, and all checks.
void drag_bust(const QString& demo, Kept& kept)
{
    const auto chart = *formats::read_chart_csv(*formats::read_file(demo + "/windlass-dress.csv"));
    const auto pattern = *formats::read_pattern_svg(*formats::read_file(demo + "/windlass-bodice.svg"));
    const auto body = *formats::read_body(*formats::read_file(demo + "/ottilie.json"));
    Plan plan = plan_in_sizes("16", "16");
    plan.sizes[Level::Bust] = "16";
    plan.decide({AdjustmentKind::Bust, Answer::Accepted, Length::mm(1)});
    for (const auto kind : {AdjustmentKind::ShoulderSlope, AdjustmentKind::UnderarmWidth})
        plan.decide({kind, Answer::Accepted, Length::mm(-6)});
    for (const auto kind : {AdjustmentKind::UpperArm, AdjustmentKind::CapHeight, AdjustmentKind::TopNotch,
                            AdjustmentKind::WidthAtWaist})
        plan.decide({kind, Answer::Accepted, {}});
    const auto bust = dragged(work_of(pattern, chart, body.set, plan),
                              [](Plan& p, int i) { p.decisions[0].set_amount(Length::mm(1 + i % 24)); });
    tell(kept, "bust", bust.ms / plain_ms(pattern.find("16")->pieces),
         QString{"dragging the bust, front, back and sleeve, seven adjustments (%1 steps): %2 ms"}
             .arg(bust.steps)
             .arg(bust.ms));
}

double plain_ms(const std::vector<Piece>& pieces)
{
    std::vector<double> times;
    volatile double kept = 0;
    for (int i = 0; i < 400; ++i) times.push_back(timed_ms([&] { kept = kept + plain_pass(pieces); }));
    return median(times);
}

double start_ms(const QString& program, const QStringList& arguments)
{
    return timed_ms([&] {
        QProcess p;
        p.setStandardOutputFile(QProcess::nullDevice());
        p.setStandardErrorFile(QProcess::nullDevice());
        p.start(program, arguments);
        if (!p.waitForFinished(60'000) || p.exitCode() != 0) qFatal("%s did not run", qPrintable(program));
    });
}

void start(const QString& demo, const QString& app, const QString& bare, Kept& kept)
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
    tell(kept, "start-painted", median(ours) / median(theirs),
         QString{"start to the first painted window: %1 ms, bare Qt window %2"}
             .arg(median(ours))
             .arg(median(theirs)));
    tell(kept, "start-furnished", median(furnished) / median(theirs),
         QString{"start to the work laid out in it: %1 ms"}.arg(median(furnished)));
}

// As large as a phone's photograph is once it is kept; no two alike.
QByteArray some_picture(int n)
{
    return QByteArray(180'000, static_cast<char>(n)) + QByteArray::number(n);
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

void open_large(const QString& demo, Kept& kept)
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
    // The same with 300 try-ons, each on a version of its own and with a photograph.
    fill(dir.filePath("tried"), 1, 1, 8);
    {
        auto book = std::move(*notebook::Notebook::open(dir.filePath("tried")));
        for (int i = 0; i < 300; ++i) {
            TryOn t;
            t.date = "2026-11-14";
            for (const auto s : {Sight::TipStandsOff, Sight::FoldsBustToSide, Sight::HemUpFront, Sight::CapPulls})
                t.notes.push_back({{s, Strength::Clear, {}}, Moment::Standing, Since::New, {}, ""});
            const QByteArray work = QByteArray::number(i) + QByteArray::fromStdString(svg);
            const auto id = *book->add_try_on(*book->table().wearer, 1, "toile", work, t);
            (void)*book->add_photo(id, some_picture(i), {});
        }
    }
    fill(dir.filePath("large"), 20, 200, 5000);
    std::vector<double> smalls;
    std::vector<double> larges;
    std::vector<double> tried;
    for (int i = 0; i < 101; ++i) {
        smalls.push_back(open_ms(dir.filePath("small")));
        larges.push_back(open_ms(dir.filePath("large")));
        tried.push_back(open_ms(dir.filePath("tried")));
    }
    const double small = median(smalls);
    const double large = median(larges);
    tell(kept, "opening", large / small,
         QString{"opening 20 wearers, 200 patterns, about 5,000 readings: %1 ms, nearly empty %2"}.arg(large).arg(
             small));
    tell(kept, "opening-tried", median(tried) / small,
         QString{"opening 300 try-ons with photographs: %1 ms (asked: 1.2 times)"}.arg(median(tried)));
}

// What a program says of itself: "key value" lines.
QMap<QString, double> said_by(const QString& program, const QStringList& arguments)
{
    QProcess p;
    p.start(program, arguments);
    if (!p.waitForFinished(120'000) || p.exitCode() != 0) qFatal("%s did not run", qPrintable(program));
    QMap<QString, double> said;
    for (const auto& line : QString::fromUtf8(p.readAllStandardOutput()).split('\n', Qt::SkipEmptyParts))
        said[line.section(' ', 0, 0)] = line.section(' ', 1).toDouble();
    return said;
}

// Against the first painted bare window, which moves with the machine as frames do.
void frames(const QString& demo, const QString& bare, Kept& kept)
{
    std::vector<double> yard;
    for (int i = 0; i < 15; ++i) yard.push_back(start_ms(bare, {}));
    const auto said = said_by(SARTORUM_FRAMES, {demo});
    const double plan = said["frame-plan-ms"];
    const double paper = said["frame-paper-ms"];
    tell(kept, "frame-plan", plan / median(yard),
         QString{"a move of the hand to the painted frame, Plan: %1 ms (asked 16)"}.arg(plan));
    tell(kept, "frame-paper", paper / median(yard), QString{"the same, Paper: %1 ms (asked 20)"}.arg(paper));
    const double ours = said["memory-kb"];
    const double theirs = said_by(bare, {})["memory-kb"];
    tell(kept, "memory", ours / theirs,
         QString{"peak memory, every station opened: %1 MB, bare Qt window %2 (asked: 4 times)"}
             .arg(ours / 1024, 0, 'f', 0)
             .arg(theirs / 1024, 0, 'f', 0));
}

}  // namespace

int main(int argc, char** argv)
{
    QCoreApplication app{argc, argv};
    if (argc != 5) return 2;
    const QString demo = QString::fromLocal8Bit(argv[1]);
    const QString bare = QString::fromLocal8Bit(argv[3]);
    Kept kept = kept_in(QString::fromLocal8Bit(argv[4]));
    recompute_skirt(demo, kept);
    drag(demo, kept);
    drag_bust(demo, kept);
    open_large(demo, kept);
    frames(demo, bare, kept);
    start(demo, QString::fromLocal8Bit(argv[2]), bare, kept);
    return kept.failed ? 1 : 0;
}
