// Endurance: kills at random moments, and random plans on every pattern. Figures in docs/reliability.md.
#include <csignal>

#include <QCoreApplication>
#include <QProcess>
#include <QTemporaryDir>
#include <QTextStream>
#include <QThread>
#include <cmath>
#include <cstdio>
#include <map>
#include <random>

#include "bodices.h"
#include "core/pattern/sleeve_block.h"
#include "core/plan/pattern_trial.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "notebook/notebook.h"
#include "skirts.h"
#include "tops.h"

using namespace sartorum;

namespace {

QTextStream out{stdout};

// The editor edits readings, and says each once it is shown as kept; killed at no particular moment of one.
bool kills(const QString& editor, int times)
{
    QTemporaryDir dir;
    const QString path = dir.filePath("k.sartorum");
    std::mt19937 rng{2026};
    int confirmed = 0;
    for (int i = 0; i < times; ++i) {
        QProcess p;
        p.start(editor, {path});
        if (!p.waitForStarted() || !p.waitForReadyRead(20000)) return false;
        QThread::msleep(std::uniform_int_distribution<unsigned>{0, 25}(rng));
        ::kill(static_cast<pid_t>(p.processId()), SIGKILL);
        p.waitForFinished();
        const auto lines = p.readAllStandardOutput().split('\n');
        for (const auto& l : lines.first(lines.size() - 1)) confirmed = std::max(confirmed, l.toInt());
        const auto book = notebook::Notebook::open(path);
        if (!book || (*book)->looks_only()) return false;
        const auto body = (*book)->body(*(*book)->table().set);
        const int found =
            static_cast<int>(std::lround(body->readings.at(Measure::Waist)[0].in_mm() * 1000)) - 800000;
        if (found < confirmed || found > confirmed + 1) return false;
        confirmed = found;
    }
    out << times << " kills, " << confirmed << " changes shown as kept, none of them lost\n";
    return true;
}

struct Found {
    int plans = 0;
    int refused = 0;   // no paper at all
    int not_done = 0;  // of the accepted adjustments
    int not_a_number = 0;
    std::map<std::string, int> crossing;   // by piece
    std::map<std::string, int> no_length;  // by piece and edge
    std::string example;                   // the first plan of which anything of that came
};

bool crosses(const std::vector<Point>& p)
{
    const auto side = [](Point a, Point b, Point c) { return Geom::cross(b - a, c - a); };
    const std::size_t n = p.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Point a = p[i];
        const Point b = p[(i + 1) % n];
        for (std::size_t k = i + 2; k < n; ++k) {
            if (i == 0 && k + 1 == n) continue;
            const Point c = p[k];
            const Point d = p[(k + 1) % n];
            if (std::max(a[0], b[0]) < std::min(c[0], d[0]) || std::max(c[0], d[0]) < std::min(a[0], b[0]))
                continue;
            if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
        }
    }
    return false;
}

bool is_sound(const Found& f)
{
    return f.not_a_number == 0 && f.crossing.empty() && f.no_length.empty();
}

void look_at(const Computed& c, Found& found)
{
    for (const auto& piece : c.altered.pieces) {
        bool finite = true;
        for (const auto& e : piece.edges) {
            for (const auto& p : all_controls(e.curve)) finite = finite && p.isFinite();
            if (finite && length(e.curve) < Length::mm(1e-6)) {
                const auto role = key(e.role);
                ++found.no_length[piece.id + " " + std::string{role}];
            }
        }
        found.not_a_number += !finite;
        // What seems to cross in coarse steps is looked at in fine ones.
        if (finite && crosses(outline_points(piece, Length::mm(0.5))) &&
            crosses(outline_points(piece, Length::mm(0.02))))
            ++found.crossing[piece.id];
    }
    if (found.example.empty() && !is_sound(found)) found.example = formats::plan_json(c.work.plan).dump();
}

Pattern at_scale(Pattern pattern, double k)
{
    for (auto& sized : pattern.sizes) {
        for (auto& piece : sized.pieces) piece = moved(piece, Geom::Scale(k));
    }
    for (auto& seam : pattern.seams) seam.ease = seam.ease * k;
    return pattern;
}

Plan random_plan(const Pattern& pattern, std::mt19937& rng)
{
    const auto size = [&] { return pattern.sizes[rng() % pattern.sizes.size()].size; };
    Plan plan = plan_in_sizes(size(), size());
    plan.sizes[Level::Bust] = size();
    for (const auto& a : catalogue()) {
        if (rng() % 4 != 0) continue;
        const double far = rng() % 4 == 0 ? 4 : 1;  // now and then more than is usual
        std::uniform_real_distribution<double> amount{a.least.in_mm() * far, a.most.in_mm() * far};
        Decision d{a.kind, Answer::Accepted, Length::mm(amount(rng))};
        if (a.acts_on == ActsOn::Apart && rng() % 2) d.set_back(Length::mm(amount(rng)));
        if (!a.methods.empty() && rng() % 2) d.method = rng() % a.methods.size();
        plan.decide(d);
    }
    return plan;
}

Found plans(const Pattern& whole, int times, unsigned seed)
{
    std::mt19937 rng{seed};
    Found found;
    const auto chart = trial_chart(whole);
    const auto body = trial_body();
    constexpr int plans_a_scale = 50;
    Pattern pattern = whole;
    for (int i = 0; i < times; ++i) {
        if (i % plans_a_scale == 0)
            pattern = at_scale(whole, std::uniform_real_distribution<double>{0.5, 1.5}(rng));
        ++found.plans;
        const auto c = compute(pattern, chart, body, random_plan(pattern, rng));
        if (!c) {
            ++found.refused;
            continue;
        }
        found.not_done += static_cast<int>(c->not_done.size());
        look_at(*c, found);
    }
    return found;
}

// Every two adjustments accepted together, each with an amount that is usual: done, or said why not.
struct Pairs {
    int tried = 0;
    int passed_over = 0;  // neither done nor said
    Found found;
};

bool is_done_or_said(const Computed& c, const Decision& d)
{
    const bool said =
        std::any_of(c.not_done.begin(), c.not_done.end(), [&](const NotDone& n) { return n.kind == d.kind; });
    const PlanLine* line = c.line(d.kind);
    // Facings are drawn anew where something under them changed: with nothing to draw they are done.
    if (line && !adjustment(d.kind).apply && line->state == LineState::NothingKnown) return true;
    return said || (line && line->state == LineState::Accepted);
}

Pairs pairs(const Pattern& pattern)
{
    Pairs seen;
    const auto chart = trial_chart(pattern);
    const auto body = trial_body();
    const std::string size = pattern.sizes[pattern.sizes.size() / 2].size;
    Plan plain = plan_in_sizes(size, size);
    plain.sizes[Level::Bust] = size;
    const auto& all = catalogue();
    for (auto a = all.begin(); a != all.end(); ++a) {
        for (auto b = std::next(a); b != all.end(); ++b) {
            for (const bool more : {true, false}) {
                Plan plan = plain;
                const auto half = [&](const Adjustment& of) {
                    return Decision{of.kind, Answer::Accepted, (more ? of.most : of.least) / 2.0};
                };
                const std::array both{half(*a), half(*b)};
                for (const auto& d : both) plan.decide(d);
                ++seen.tried;
                const auto c = compute(pattern, chart, body, plan);
                if (!c) {
                    ++seen.found.refused;
                    continue;
                }
                for (const auto& d : both) {
                    if (is_done_or_said(*c, d)) continue;
                    ++seen.passed_over;
                    std::fprintf(stderr, "    neither done nor said: %s of %s and %s\n",
                                 adjustment(d.kind).key.data(), a->key.data(), b->key.data());
                }
                look_at(*c, seen.found);
            }
        }
    }
    return seen;
}

void tell_what_is_wrong(const Found& f)
{
    if (f.not_a_number) out << "    pieces with what is no number: " << f.not_a_number << "\n";
    for (const auto& [piece, n] : f.crossing)
        out << "    outline crosses: " << QString::fromStdString(piece) << ", " << n << "\n";
    for (const auto& [edge, n] : f.no_length)
        out << "    edge without length: " << QString::fromStdString(edge) << ", " << n << "\n";
    if (!f.example.empty()) out << "    first by: " << QString::fromStdString(f.example) << "\n";
    out.flush();
}

void tell(const QString& name, const Found& f)
{
    out << name << ": " << f.plans << " plans, " << f.refused << " refused whole, " << f.not_done
        << " adjustments said not to be done\n";
    tell_what_is_wrong(f);
}

}  // namespace

int main(int argc, char** argv)
{
    QCoreApplication app{argc, argv};
    if (argc != 4) return 2;
    const QString demo = QString::fromLocal8Bit(argv[1]);
    const double share = QString::fromLocal8Bit(argv[3]).toDouble();
    if (!(share > 0 && share <= 1)) return 2;
    std::vector<std::pair<QString, Pattern>> patterns;
    for (const char* name :
         {"lockside-skirt", "windlass-bodice", "heron-tee", "sluice-waistcoat", "aqueduct-dress", "reedbed-dress",
          "bulrush-dress", "ropewalk-skirt", "lockgate-trousers", "barge-trousers", "slipway-all-in-one"}) {
        const auto bytes = formats::read_file(demo + "/" + name + ".svg");
        if (!bytes) return 2;
        patterns.emplace_back(name, *formats::read_pattern_svg(*bytes));
    }
    patterns.emplace_back("skirt block", test::graded_skirt());
    patterns.emplace_back("bodice block with sleeve", test::graded(test::with_sleeve(test::plain_bodice())));
    patterns.emplace_back("tee block with sleeve", test::graded(test::with_sleeve(test::plain_tee())));
    bool sound = kills(QString::fromLocal8Bit(argv[2]), std::max(1, static_cast<int>(1000 * share)));
    if (!sound) out << "A change that was shown as kept was lost.\n";
    out.flush();
    unsigned seed = 1;
    for (const auto& [name, pattern] : patterns) {
        const auto found = plans(pattern, static_cast<int>(100'000 * share), seed++);
        tell(name, found);
        sound = sound && is_sound(found);
        const auto two = pairs(pattern);
        out << "    " << two.tried << " pairs, " << two.passed_over << " neither done nor said\n";
        tell_what_is_wrong(two.found);
        sound = sound && two.passed_over == 0 && is_sound(two.found);
    }
    return sound ? 0 : 1;
}
