// Skirts of gores and skirts that hang from a yoke: read, measured, altered and checked as any skirt is.
#include <QtTest>

#include <array>
#include <numeric>

#include "core/alter/kit/catalogue.h"
#include "core/check/walk.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/plan/compute.h"
#include "core/plan/donning.h"
#include "core/plan/finished.h"
#include "gored_skirts.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"

namespace test_gores {

using namespace sartorum;
using demo::GoredFlat;
using test::between;
using test::six_gores;

namespace {

GoredFlat with_yoke(GoredFlat g)
{
    g.yoke = Length::mm(85);
    return g;
}

Pattern in_sizes(GoredFlat g, int sizes = 4)
{
    Pattern p{"Gored", "Nobody", {}, demo::gored_seams(g)};
    for (int i = 0; i < sizes; ++i) {
        g.size = std::to_string(12 + 2 * i);
        p.sizes.push_back(demo::draw_gored(g));
        g.waist += Length::mm(40);
        g.hip += Length::mm(40);
        g.waist_to_hip += Length::mm(2);
        g.length += Length::mm(5);
    }
    auto checked = check_pattern(std::move(p));
    if (!checked) qFatal("a pattern that is none: %s", checked.error().field.c_str());
    return *checked;
}

SizeChart chart_of(const GoredFlat& g, int sizes = 4)
{
    SizeChart c{"Chart", "Nobody", {}};
    for (int i = 0; i < sizes; ++i) {
        c.sizes.push_back({std::to_string(12 + 2 * i),
                           {{Measure::Waist, g.waist - Length::mm(25) + Length::mm(40) * i},
                            {Measure::Hip, g.hip - Length::mm(60) + Length::mm(40) * i},
                            {Measure::WaistToHip, g.waist_to_hip + Length::mm(2) * i}},
                           0});
    }
    return c;
}

BodySet body_of(const SizeChart& c, std::size_t size)
{
    BodySet b;
    b.date = "2026-11-29";
    for (const auto& [m, value] : c.sizes[size].body) b.readings[m] = {value, value};
    return b;
}

Plan accepting(AdjustmentKind kind, Length amount, const std::string& waist = "14", const std::string& hip = "14")
{
    Plan p = plan_in_sizes(waist, hip);
    p.put({kind, Answer::Accepted, amount});
    return p;
}

Computed need(Outcome<Computed> c)
{
    if (!c) qFatal("not computed: %s", c.error().field.c_str());
    return std::move(*c);
}

double girth(const Garment& g, double (*of)(const Piece&))
{
    return std::accumulate(g.pieces.begin(), g.pieces.end(), 0.0, [&](double sum, const Piece& p) {
        return sum + (p.role == PieceRole::Front || p.role == PieceRole::Back ? 2 * of(p) : 0);
    });
}

// Measured here on a dense polyline, with nothing of the program's own but its points.
double width_on_polyline(const Piece& p, double level)
{
    const auto points = outline_points(p, Length::mm(0.005));
    double least = 1e9;
    double most = -1e9;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const Point a = points[i];
        const Point b = points[(i + 1) % points.size()];
        if ((a[Geom::Y] - level) * (b[Geom::Y] - level) > 0 || a[Geom::Y] == b[Geom::Y]) continue;
        const double x = a[Geom::X] + (b[Geom::X] - a[Geom::X]) * (level - a[Geom::Y]) / (b[Geom::Y] - a[Geom::Y]);
        least = std::min(least, x);
        most = std::max(most, x);
    }
    return most - least;
}

double hip_of(const Piece& p)
{
    const auto line = guide(p, GuideKind::Hip);
    return line ? width_on_polyline(p, line->a[Geom::Y]) : 0;
}

double waist_of(const Piece& p)
{
    return p.part == PartKind::BelowYoke ? 0 : sewn_length(p, EdgeRole::Waist).in_mm();
}

bool walks(const Computed& c)
{
    const auto& k = c.checks;
    for (const auto& w : k.walks) {
        if (abs(w.difference) < Length::mm(0.5)) continue;
        qWarning("%s: %f", w.seam.c_str(), w.difference.in_mm());
        return false;
    }
    for (const auto& j : k.joins) {
        if (j.holds) continue;
        qWarning("corner %d: %f degrees", static_cast<int>(j.place), j.degrees);
        return false;
    }
    for (const auto& o : k.outlines) {
        if (o.found) return false;
    }
    return k.unwalked.empty();
}

}  // namespace

class TestGores : public QObject {
    Q_OBJECT
private slots:
    // Shown as a plain piece and back again it is the same paper.
    void a_gore_mirrored_twice_is_the_same()
    {
        const Pattern pattern = in_sizes(six_gores(), 1);
        for (const auto& p : pattern.sizes.front().pieces) {
            for (const auto f : {Flank::Outer, Flank::Inner}) {
                if (!flank_role(p, f)) continue;
                const Piece plain = as_plain(p, f);
                QVERIFY(edge_index(plain, EdgeRole::Side) && edge_index(plain, EdgeRole::Centre));
                QVERIFY(signed_area_mm2(plain) < 0);
                QVERIFY(near(area_mm2(plain), area_mm2(p), 1e-6));
                const Piece back = as_gore(plain, f, p);
                QVERIFY(same_paper(back, p));
            }
        }
    }

    void pieces_out_of_order_are_refused_by_name()
    {
        Pattern p{"Gored", "Nobody", {demo::draw_gored(six_gores())}, demo::gored_seams(six_gores())};
        std::swap(p.sizes.front().pieces[0], p.sizes.front().pieces[1]);
        const auto refused = check_pattern(std::move(p));
        QVERIFY(!refused);
        QCOMPARE(refused.error().why, Why::GoresOutOfRow);
        QVERIFY(refused.error().field.find("skirt") != std::string::npos);
    }

    void it_measures_what_it_was_drawn_to()
    {
        for (const int pieces : {1, 2, 3}) {
            GoredFlat g = six_gores();
            g.pieces = pieces;
            const Pattern p = in_sizes(g, 2);
            const auto flat = measure_flat(p.sizes.front().pieces);
            QVERIFY(near(flat.of(GarmentMeasure::Waist), g.waist, Length::mm(0.1)));
            QVERIFY(near(flat.of(GarmentMeasure::Hip), g.hip, Length::mm(0.1)));
            const double hip = girth({p.sizes.front().pieces, {}}, hip_of);
            QVERIFY(near(hip, g.hip.in_mm(), 0.1));
        }
    }

    void a_body_that_is_the_chart_needs_nothing()
    {
        for (const auto& g : {six_gores(), with_yoke(six_gores())}) {
            const auto chart = chart_of(g);
            for (std::size_t size = 0; size < chart.sizes.size(); ++size) {
                const std::string name = chart.sizes[size].name;
                const auto c =
                    need(compute(work_of(in_sizes(g), chart, body_of(chart, size), plan_in_sizes(name, name))));
                QVERIFY(c.doubts.empty());
                for (const auto& line : c.lines)
                    QVERIFY2(line.state != LineState::Proposed && line.state != LineState::Accepted,
                             adjustment(line.kind).key.data());
                QVERIFY(walks(c));
            }
        }
    }

    // The whole amount is found again in the girth, an equal share on every flank.
    void a_width_is_shared_by_every_seam()
    {
        for (const int pieces : {1, 2, 3}) {
            GoredFlat g = six_gores();
            g.pieces = pieces;
            const Pattern pattern = in_sizes(g);
            const auto chart = chart_of(g);
            for (const double by : {24.0, -18.0, 60.0}) {
                const auto hip = need(compute(work_of(pattern, chart, body_of(chart, 1),
                                                      accepting(AdjustmentKind::WidthAtHip, Length::mm(by)))));
                QVERIFY(near(girth(hip.altered, hip_of) - girth(hip.traced, hip_of), by, 0.05));
                const double flanks = 2.0 * (2 * pieces - 1);
                for (const auto& p : hip.altered.pieces) {
                    const double own = hip_of(p) - hip_of(*find_piece(hip.traced.pieces, p.id));
                    const double sides = (edge_index(p, EdgeRole::Inner) ? 2 : 1);
                    QVERIFY(near(own, by / 2 / flanks * sides, 0.05));
                }
                QVERIFY(walks(hip));
                const auto waist = need(compute(work_of(pattern, chart, body_of(chart, 1),
                                                        accepting(AdjustmentKind::WidthAtWaist, Length::mm(by)))));
                QVERIFY(near(girth(waist.altered, waist_of) - girth(waist.traced, waist_of), by, 0.05));
                QVERIFY(near(girth(waist.altered, hip_of), girth(waist.traced, hip_of), 0.05));
                QVERIFY(walks(waist));
            }
        }
    }

    // Waist to hip and the hem: every seam by the same.
    void lengths_are_given_to_every_gore()
    {
        for (const auto& g : {six_gores(), with_yoke(six_gores())}) {
            const Pattern pattern = in_sizes(g);
            const auto chart = chart_of(g);
            for (const double by : {22.0, -15.0}) {
                const auto deep = need(compute(work_of(pattern, chart, body_of(chart, 1),
                                                       accepting(AdjustmentKind::WaistToHip, Length::mm(by)))));
                const auto longer =
                    need(compute(work_of(pattern, chart, body_of(chart, 1),
                                         accepting(AdjustmentKind::FinishedLength, Length::mm(by)))));
                for (const auto& p : deep.altered.pieces) {
                    if (!has_level(p, Level::Hip)) continue;
                    const Piece& was = *find_piece(deep.traced.pieces, p.id);
                    const auto drop = [](const Piece& x) {
                        return outer_line(x).initialPoint()[Geom::Y] - guide(x, GuideKind::Hip)->b[Geom::Y];
                    };
                    QVERIFY(near(drop(p) - drop(was), by, 0.3));
                    const Piece& hemmed = *find_piece(longer.altered.pieces, p.id);
                    QVERIFY(near((length(outer_line(hemmed)) - length(outer_line(was))).in_mm(), by, 0.05));
                }
                QVERIFY(walks(deep));
                QVERIFY(walks(longer));
                QVERIFY(near(girth(deep.altered, hip_of), girth(deep.traced, hip_of), 0.3));
            }
        }
    }

    // The waist of one size, the hip of another: each has its own girth, and every seam walks.
    void sizes_are_blended_gore_by_gore()
    {
        for (const auto& g : {six_gores(), with_yoke(six_gores())}) {
            const auto chart = chart_of(g);
            const Pattern pattern = in_sizes(g);
            const auto c = need(compute(work_of(pattern, chart, body_of(chart, 1), plan_in_sizes("12", "16"))));
            QVERIFY(walks(c));
            const auto of = [&](const char* size, GarmentMeasure m) {
                return measure_flat(pattern.find(size)->pieces).of(m);
            };
            QVERIFY(
                near(c.traced_flat.of(GarmentMeasure::Waist), of("12", GarmentMeasure::Waist), Length::mm(0.5)));
            QVERIFY(near(c.traced_flat.of(GarmentMeasure::Hip), of("16", GarmentMeasure::Hip), Length::mm(0.5)));
        }
    }

    // A yoke takes the waist, the skirt the hip; between them their seam stays one line.
    void a_yoke_takes_the_waist_and_the_skirt_the_hip()
    {
        const GoredFlat g = with_yoke(six_gores());
        const Pattern pattern = in_sizes(g);
        const auto chart = chart_of(g);
        QCOMPARE(parts_of(pattern.sizes.front().pieces), (std::vector{PartKind::Yoke, PartKind::BelowYoke}));
        const auto waist = need(compute(
            work_of(pattern, chart, body_of(chart, 1), accepting(AdjustmentKind::WidthAtWaist, Length::mm(30)))));
        QVERIFY(near(girth(waist.altered, waist_of) - girth(waist.traced, waist_of), 30, 0.05));
        for (const auto& p : waist.altered.pieces) {
            if (p.part == PartKind::BelowYoke) QVERIFY(same_paper(p, *find_piece(waist.traced.pieces, p.id)));
        }
        const auto hip = need(compute(
            work_of(pattern, chart, body_of(chart, 1), accepting(AdjustmentKind::WidthAtHip, Length::mm(30)))));
        QVERIFY(near(girth(hip.altered, hip_of) - girth(hip.traced, hip_of), 30, 0.05));
        for (const auto& p : hip.altered.pieces) {
            if (p.part == PartKind::Yoke) QVERIFY(same_paper(p, *find_piece(hip.traced.pieces, p.id)));
        }
        QVERIFY(walks(waist));
        QVERIFY(walks(hip));
    }

    // A wished length is the waist's: the yoke has its part of it.
    void a_wished_length_counts_the_yoke()
    {
        const GoredFlat g = with_yoke(six_gores());
        const auto chart = chart_of(g);
        auto body = body_of(chart, 1);
        const Length wish = Length::mm(700);
        body.readings[Measure::SkirtLength] = {wish, wish};
        Plan plan = plan_in_sizes("14", "14");
        plan.put({AdjustmentKind::FinishedLength, Answer::Accepted});
        const auto c = need(compute(work_of(in_sizes(g), chart, body, plan)));
        const Piece& yoke = *find_piece(c.altered.pieces, "yoke-front");
        const Piece& side = *find_piece(c.altered.pieces, "front-2");
        const Length whole = sewn_length(yoke, EdgeRole::Side) + sewn_length(side, EdgeRole::Side);
        QVERIFY(near(whole, wish, Length::mm(0.1)));
    }

    // From the waist down, over the seam between yoke and skirt, girths run on.
    void the_profile_runs_on_below_the_yoke()
    {
        const GoredFlat g = with_yoke(six_gores());
        const auto chart = chart_of(g);
        const auto c = need(compute(work_of(in_sizes(g), chart, body_of(chart, 1), plan_in_sizes("14", "14"))));
        const auto profile = ease_profile(c).after;
        QVERIFY(near(profile.front().height, Length{}, Length::mm(0.1)));
        for (std::size_t i = 1; i < profile.size(); ++i) {
            QVERIFY(profile[i].height <= profile[i - 1].height + Length::mm(8));
            QVERIFY(near(profile[i].girth, profile[i - 1].girth, Length::mm(20)));
        }
        QVERIFY(std::any_of(profile.begin(), profile.end(), [&](const GirthAt& at) {
            return abs(at.girth - g.hip - Length::mm(40)) < Length::mm(6) &&
                   abs(at.height + g.waist_to_hip) < Length::mm(20);
        }));
        QVERIFY(!goes_on(c).empty());
    }

    // Darts of 10 in the waists of both side gores take 40 of the girth there, and nothing below their tips.
    void a_dart_in_a_gore_takes_its_width_in_the_profile()
    {
        const GoredFlat g = six_gores();
        const auto chart = chart_of(g);
        Pattern p = in_sizes(g, 2);
        for (auto& sized : p.sizes) {
            for (auto& piece : sized.pieces) {
                if (!edge_index(piece, EdgeRole::Inner)) continue;
                const Edge waist = piece.edges[0];
                const Length half = length(waist.curve) / 2.0;
                const Curve a = split(waist.curve, time_at(waist.curve, half - Length::mm(5))).before;
                const Curve b = split(waist.curve, time_at(waist.curve, half + Length::mm(5))).after;
                const Point tip = (a.finalPoint() + b.initialPoint()) / 2 + Point{0, -70};
                piece.edges[0].curve = a;
                piece.edges.insert(piece.edges.begin() + 1,
                                   {Edge{EdgeRole::DartMouth, straight(a.finalPoint(), b.initialPoint()), {}},
                                    Edge{EdgeRole::Waist, b, {}}});
                piece.darts = {{a.finalPoint(), b.initialPoint(), tip, DartKind::Dart}};
            }
        }
        p = *check_pattern(p);
        Plan plan = plan_in_sizes("12", "12");
        plan.as_drawn = true;
        const auto plain = ease_profile(need(compute(work_of(in_sizes(g, 2), chart, {}, plan)))).after;
        const auto darted = ease_profile(need(compute(work_of(p, chart, {}, plan)))).after;
        QCOMPARE(darted.size(), plain.size());
        const auto off = [&](std::size_t i) { return (plain[i].girth - darted[i].girth).in_mm(); };
        QVERIFY(near(off(0), 40, 1));
        for (std::size_t i = 0; i < plain.size(); ++i) {
            if (plain[i].height < Length::mm(-90)) QVERIFY(near(off(i), 0, 0.01));
        }
    }

    // By polylines: front, side and back as much lower as was asked, and what tilts the hem is said.
    void the_hem_is_level_or_said_not_to_be()
    {
        const GoredFlat g = with_yoke(six_gores());
        const auto chart = chart_of(g);
        const auto c = need(compute(work_of(in_sizes(g), chart, body_of(chart, 1),
                                            accepting(AdjustmentKind::FinishedLength, Length::mm(40)))));
        QVERIFY(c.checks.hem && c.checks.hem->holds);
        for (const Length by : {c.checks.hem->front, c.checks.hem->side, c.checks.hem->back})
            QVERIFY(near(by, Length::mm(40), Length::mm(0.05)));
        Garment tilted = c.altered;
        Piece& back = tilted.pieces[face_of(tilted.pieces, PieceRole::Back)[1]];
        QCOMPARE(back.id, std::string{"back"});
        const std::size_t centre = *edge_index(back, EdgeRole::Centre);
        const Curve& line = back.edges[centre].curve;
        back.edges[centre].curve = straight(line.initialPoint() - Point{0, 9}, line.finalPoint());
        const auto said = hem_level(c.traced, tilted);
        QVERIFY(said && !said->holds);
        QVERIFY(near(said->back - said->front, Length::mm(9), Length::mm(0.01)));
        QVERIFY(!hem_level(part_view(c.traced, PartKind::Upper), part_view(c.altered, PartKind::Upper)));
    }

    // Random gores, random chains: every seam walks, nothing crosses.
    void random_chains_walk()
    {
        std::mt19937 rng{20261129};
        constexpr std::array kinds{AdjustmentKind::WidthAtWaist, AdjustmentKind::WidthAtHip,
                                   AdjustmentKind::WaistToHip, AdjustmentKind::FinishedLength};
        for (int i = 0; i < 60; ++i) {
            GoredFlat g = six_gores();
            g.pieces = 1 + i % 4;
            g.hip = Length::mm(between(rng, 900, 1300));
            g.waist = g.hip - Length::mm(between(rng, 200, 320));
            g.waist_to_hip = Length::mm(between(rng, 180, 230));
            g.flare = Length::mm(between(rng, 0, 90));
            g.yoke = i % 2 == 0 ? Length{} : Length::mm(between(rng, 60, 100));
            g.fullness = g.yoke > Length{} && i % 4 == 3 ? 1.7 : 1;
            const auto chart = chart_of(g);
            Plan plan = plan_in_sizes("14", i % 3 == 0 ? "16" : "14");
            for (const auto kind : kinds) plan.put({kind, Answer::Accepted, Length::mm(between(rng, -15, 30))});
            const auto c = need(compute(work_of(in_sizes(g), chart, body_of(chart, 1), plan)));
            QVERIFY2(walks(c), qPrintable(QString::number(i)));
            QVERIFY(c.not_done.empty());
        }
    }
};

SARTORUM_TEST(TestGores)

}  // namespace test_gores

#include "test_gores.moc"
