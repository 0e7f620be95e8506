// A skirt's front or back longer at the centre by a wedge, against turned paper and the trade's own figure.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/lengths/rows.h"
#include "core/paper/outline_validity.h"
#include "core/plan/compute.h"
#include "faces.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"

namespace test_centre_wedge {

using namespace sartorum;
using test::between;
using test::face;
using test::mm;
using test::skirt_part;

namespace {

Applied done(const Garment& g, double front, double back)
{
    auto out = alter_centre_wedge(g, {Length::mm(front), Length::mm(back), 0});
    if (!out) qFatal("refused: %s", out.error().field.c_str());
    return std::move(*out);
}

double along(const Piece& p, EdgeRole role)
{
    return mm(sewn_length(p, role));
}

}  // namespace

class TestCentreWedge : public QObject {
    Q_OBJECT
private slots:
    void the_centre_gains_it_and_side_and_hem_nothing()
    {
        std::mt19937 rng{51};
        int drawn = 0;
        for (int i = 0; i < 20; ++i) {
            SkirtFlat f = test::random_skirt(rng);
            f.back_seam = i % 2;
            if (!draw_skirt(f)) continue;
            const Garment g = skirt_part(f);
            const double front = between(rng, -20, 25);
            const double back = between(rng, -15, 25);
            const auto out = done(g, front, back);
            for (const auto& [role, by] : {std::pair{PieceRole::Front, front}, std::pair{PieceRole::Back, back}}) {
                const Piece& was = face(g, role);
                const Piece& now = face(out.garment, role);
                QVERIFY(!unsound(now));
                QVERIFY(check_piece(now).has_value());
                QVERIFY(near(along(now, EdgeRole::Centre) - along(was, EdgeRole::Centre), by, 0.01));
                QVERIFY(near(along(now, EdgeRole::Side), along(was, EdgeRole::Side), 0.5));
                QVERIFY(near(along(now, EdgeRole::Hem), along(was, EdgeRole::Hem), 1e-6));
                const double hip = guide(was, GuideKind::Hip)->a[Geom::Y];
                QVERIFY(near(mm(*width_at(now, hip) - *width_at(was, hip)), 0, 0.05));
                // A fold is straight, a seam behind leans.
                const Curve& centre = edge(now, EdgeRole::Centre).curve;
                const double lean = (centre.finalPoint() - centre.initialPoint())[Geom::X];
                const bool leans = role == PieceRole::Back && f.back_seam;
                QVERIFY(leans ? lean * by > 0 : std::abs(lean) < 1e-6);
            }
            QVERIFY(near(along(face(out.garment, PieceRole::Front), EdgeRole::Side) -
                             along(face(out.garment, PieceRole::Back), EdgeRole::Side),
                         0, 0.05));
            ++drawn;
        }
        QVERIFY(drawn > 14);
    }
    // Common practice: 19 mm, 12 cm below the waist, 24 cm to the side, half waist + 9.5 mm; and for any wedge
    // a·h/B.
    void the_half_waist_gains_by_how_deep_the_cut_lies()
    {
        std::mt19937 rng{52};
        for (int i = 0; i < 16; ++i) {
            SkirtFlat f = test::random_skirt(rng);
            f.front_dart = {};
            if (!draw_skirt(f)) continue;
            const Garment g = skirt_part(f);
            const Piece& was = face(g, PieceRole::Front);
            const auto line = *guide(was, GuideKind::LengthenShorten);
            const double h = edge(was, EdgeRole::Centre).curve.finalPoint()[Geom::Y] - line.a[Geom::Y];
            const double b = mm(*width_at(was, line.a[Geom::Y]));
            const double a = between(rng, 8, 22);
            const auto out = done(g, a, 0);
            const double gained =
                along(face(out.garment, PieceRole::Front), EdgeRole::Waist) - along(was, EdgeRole::Waist);
            if (std::abs(gained - a * h / b) >= 0.8) qWarning("%f for %f", gained, a * h / b);
            QVERIFY(near(gained, a * h / b, 0.8));
        }
        QVERIFY(near(19.0 * 120 / 240, 9.5, 1e-12));
    }
    // The turned paper: waist points of the piece turned about the hinge by hand.
    void the_upper_paper_is_turned_about_the_side()
    {
        SkirtFlat f = test::plain_skirt();
        f.back_seam = true;
        const Garment g = skirt_part(f);
        const Piece& was = face(g, PieceRole::Back);
        const auto out = done(g, 0, 15);
        const Piece& now = face(out.garment, PieceRole::Back);
        const double level = guide(was, GuideKind::LengthenShorten)->a[Geom::Y];
        const Point hinge{mm(*width_at(was, level)), level};
        const Point dart = was.darts[0].tip - hinge;
        const Point turned = now.darts[0].tip - hinge;
        const double angle = std::atan2(Geom::cross(dart, turned), Geom::dot(dart, turned));
        // Its distance from the hinge stays, and it turned by what opens 15 mm there, about.
        QVERIFY(near(dart.length(), turned.length(), 0.3));
        QVERIFY(near(std::abs(angle), 2 * std::asin(15 / 2.0 / hinge[Geom::X]), 0.002));
    }
    void there_and_back_restores()
    {
        for (const bool seam : {false, true}) {
            SkirtFlat f = test::plain_skirt();
            f.back_seam = seam;
            const Garment g = skirt_part(f);
            const auto there = done(g, 14, 14);
            const auto back = done(there.garment, -14, -14);
            for (std::size_t i = 0; i < g.pieces.size(); ++i)
                QVERIFY(test::largest_gap(g.pieces[i], back.garment.pieces[i]) < 0.9);
        }
    }
    // Two schools of one thing: what the wedge gave at the centre the hem level no longer asks for.
    void the_waist_drawn_anew_counts_what_the_wedge_gave()
    {
        using enum Measure;
        const Pattern p = test::graded_skirt();
        SizeChart chart;
        for (int i = 0; i < 8; ++i) {
            ChartSize size{std::to_string(8 + 2 * i), {}};
            size.body = {{Waist, Length::mm(640 + 40 * i)}, {Hip, Length::mm(880 + 40 * i)}};
            for (const auto m : {WaistToFloorFront, WaistToFloorSide, WaistToFloorBack})
                size.body[m] = Length::mm(1040);
            chart.sizes.push_back(size);
        }
        Plan plan;
        plan.choosing.kind = GarmentKind::Skirt;
        plan.take_sizes("14", "14", "14");
        BodySet body{"2026-11-30", {}};
        for (const auto& [m, value] : chart.sizes[3].body) body.readings[m] = {value, value};
        body.readings[WaistToFloorFront] = {Length::mm(1058), Length::mm(1058)};
        const auto asked = [&] {
            const auto c = compute(p, chart, body, plan);
            for (const auto& l : c->lines)
                if (l.kind == AdjustmentKind::WaistLine) return l;
            return PlanLine{};
        };
        const auto before = asked();
        QCOMPARE(before.state, LineState::Proposed);
        QVERIFY(near(mm(before.at.at(0)), 18, 0.01));
        plan.decisions = {{AdjustmentKind::CentreWedge, Answer::Accepted, Length::mm(18), Length{}}};
        // Longer over the tummy it hangs level.
        const auto c = compute(p, chart, body, plan);
        QVERIFY(c->checks.hem && c->checks.hem->holds && c->checks.seams_hold());
        const auto after = asked();
        QVERIFY(after.state != LineState::Proposed);
        for (const auto by : after.at) QVERIFY(near(mm(by), 0, 0.8));
    }
    void it_is_asked_of_skirts_alone()
    {
        const auto& row = adjustment(AdjustmentKind::CentreWedge);
        QVERIFY(row.serves(skirt_part(test::plain_skirt())));
        QVERIFY(!row.propose);  // the hem tells, no tape
    }
};
SARTORUM_TEST(TestCentreWedge)

}  // namespace test_centre_wedge

#include "test_centre_wedge.moc"
