// A waistband that follows the waist: drawn anew from it; one of another shape keeps it and is cut.
#include <QtTest>

#include "../demo/shaped_band.h"
#include "core/alter/kit/follower_drawing.h"
#include "core/alter/kit/opening.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "faces.h"
#include "geos_lines.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_shaped_band {

using namespace sartorum;
using test::face;
using test::mm;

namespace {

constexpr double deep = 45;

Pattern shaped(const Pattern& p)
{
    auto out = demo::with_shaped_band(p, Length::mm(deep), Length::mm(15));
    if (!out) qFatal("no band: %d %s", static_cast<int>(out.error().why), out.error().field.c_str());
    return std::move(*out);
}

test::TrousersBench bench()
{
    auto out = test::lockgate_bench();
    out.pattern = shaped(out.pattern);
    return out;
}

const Piece& band_of(const std::vector<Piece>& pieces)
{
    return *find_piece(pieces, PieceRole::Waistband);
}

double waists(const std::vector<Piece>& pieces)
{
    return mm(sewn_length(*find_piece(pieces, PieceRole::Front), EdgeRole::Waist) +
              sewn_length(*find_piece(pieces, PieceRole::Back), EdgeRole::Waist));
}

Decision waist_line(std::vector<Amount> at)
{
    Decision d{AdjustmentKind::WaistLine, Answer::Accepted};
    d.amounts = std::move(at);
    return d;
}

bool has_step(const Computed& c, StepKind kind)
{
    return std::any_of(c.steps.begin(), c.steps.end(), [&](const Step& s) { return s.kind == kind; });
}

// How far the points of one line lie from another, least and most.
std::pair<double, double> between(const Curve& one, const Curve& other)
{
    const auto to = test::line_through(flattened(other, Length::mm(0.002)));
    std::pair<double, double> out{1e9, 0};
    for (const auto& p : flattened(one, Length::mm(0.05))) {
        const double d = test::apart(to, p);
        out = {std::min(out.first, d), std::max(out.second, d)};
    }
    return out;
}

double angle_at(const Piece& p, EdgeRole before, EdgeRole after)
{
    return std::abs(
               Geom::angle_between(end_direction(edge(p, before).curve), start_direction(edge(p, after).curve))) *
           180 / M_PI;
}

}  // namespace

class TestShapedBand : public QObject {
    Q_OBJECT
private slots:
    void initTestCase() { initGEOS(test::no_message, test::no_message); }
    void cleanupTestCase() { finishGEOS(); }

    void it_lies_on_the_waist_and_is_as_wide_all_along()
    {
        std::mt19937 rng{77};
        int drawn = 0;
        for (int i = 0; i < 40; ++i) {
            const auto p = trousers_pattern(test::random_trousers(rng));
            if (!p) continue;
            const auto with = demo::with_shaped_band(*p, Length::mm(deep), Length::mm(15));
            if (!with) QFAIL(with.error().field.c_str());
            const auto& pieces = with->sizes.front().pieces;
            const Piece& band = band_of(pieces);
            QVERIFY(!unsound(band));
            const Curve& low = edge(band, EdgeRole::Waist).curve;
            QVERIFY(near(mm(length(low)), waists(pieces), 0.01));
            const auto [least, most] = between(edge(band, EdgeRole::BandTop).curve, [&] {
                return joined(edge(band, EdgeRole::Underlap).curve, low);
            }());
            QVERIFY2(least > deep - 0.02 && most < deep + 0.02, qPrintable(QString("%1 %2").arg(least).arg(most)));
            QVERIFY(near(angle_at(band, EdgeRole::BandTop, EdgeRole::BandEnd), 90, 0.05));
            QVERIFY(near(angle_at(band, EdgeRole::Waist, EdgeRole::Centre), 90, 0.05));
            QVERIFY(near(mm(length(edge(band, EdgeRole::Underlap).curve)), 30, 1e-6));
            QVERIFY(edge(band, EdgeRole::Centre).on_fold);
            QVERIFY(near(mm(band_above_seam(pieces)), deep, 0.02));
            // Its side notch is where both waists meet.
            const Length at = length_to(low, nearest(low, band.notches.front().at).time);
            QVERIFY(near(mm(length(low) - at - sewn_length(*find_piece(pieces, PieceRole::Back), EdgeRole::Waist)),
                         0, 0.01));
            ++drawn;
        }
        QVERIFY(drawn > 30);
    }

    void a_body_that_is_the_chart_leaves_it()
    {
        const auto c = bench()();
        QVERIFY(!has_step(c, StepKind::DrawShapedBand));
        QVERIFY(test::largest_gap(band_of(c.traced.pieces), band_of(c.altered.pieces)) < 1e-9);
        QVERIFY(c.checks.all_hold());
    }

    void it_is_drawn_from_the_waist_as_it_is_then()
    {
        auto b = bench();
        b.plan.decide(waist_line({{"centre_front", Face::Both, {}, Length::mm(-18)},
                                  {"mid_front", Face::Both, {}, Length::mm(-11)},
                                  {"side", Face::Both, {}, Length::mm(3)}}));
        const auto c = b();
        QVERIFY(has_step(c, StepKind::DrawShapedBand));
        QVERIFY(!has_step(c, StepKind::CutBand));
        const Piece& band = band_of(c.altered.pieces);
        QVERIFY(near(mm(length(edge(band, EdgeRole::Waist).curve)), waists(c.altered.pieces), 0.05));
        QVERIFY(near(mm(band_above_seam(c.altered.pieces)), deep, 0.02));
        QVERIFY(c.checks.seams_hold());
        QVERIFY(!unsound(band));
        // It stays where it lay, and is another shape than one made longer at its notch.
        const Piece& was = band_of(c.traced.pieces);
        QVERIFY(Geom::distance(edge(was, EdgeRole::Waist).curve.finalPoint(),
                               edge(band, EdgeRole::Waist).curve.finalPoint()) < 1e-6);
        QCOMPARE(band.edges.size(), was.edges.size());
        QCOMPARE(band.notches.size(), was.notches.size());
        QCOMPARE(edge(band, EdgeRole::Waist).allowance, edge(was, EdgeRole::Waist).allowance);
    }

    void wider_and_back_again()
    {
        auto b = bench();
        b.plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(36)});
        const auto c = b();
        const Piece& band = band_of(c.altered.pieces);
        const Piece& was = band_of(c.traced.pieces);
        QVERIFY(near(mm(length(edge(band, EdgeRole::Waist).curve) - length(edge(was, EdgeRole::Waist).curve)) - 18,
                     0, 0.1));
        QVERIFY(c.checks.seams_hold());
        const auto faces = [](const Garment& from, const Garment& to) {
            std::vector<StandsOn> out;
            for (const auto role : {PieceRole::Back, PieceRole::Front})
                out.push_back({&face(from, role), &face(to, role), EdgeRole::Waist});
            return out;
        };
        const auto again = shaped_band_drawn(band, EdgeRole::Waist, faces(c.altered, c.traced));
        QVERIFY(again.has_value());
        QVERIFY(!unsound(*again));
        QVERIFY(near(mm(length(edge(*again, EdgeRole::Waist).curve) - length(edge(was, EdgeRole::Waist).curve)), 0,
                     1e-3));
        QVERIFY(is_shaped_from(*again, EdgeRole::Waist, faces(c.traced, c.traced)));
        const auto [least, most] =
            between(edge(*again, EdgeRole::BandTop).curve, edge(was, EdgeRole::BandTop).curve);
        QVERIFY2(most < 0.05 && least >= 0, qPrintable(QString::number(most)));
    }

    // One that is shaped otherwise than the waist keeps its shape: cut square to its edge, and made longer there.
    void another_shape_is_kept()
    {
        auto b = bench();
        for (auto& size : b.pattern.sizes) {
            for (auto& p : size.pieces) {
                if (p.role != PieceRole::Waistband) continue;
                for (auto& e : p.edges) {  // half as bent
                    auto points = all_controls(e.curve);
                    for (auto& at : points) at[Geom::Y] += at[Geom::X] * at[Geom::X] * 0.00018;
                    e.curve = from_controls(points);
                }
                for (auto& n : p.notches) n.at[Geom::Y] += n.at[Geom::X] * n.at[Geom::X] * 0.00018;
            }
        }
        for (const double more : {30.0, -30.0}) {
            b.plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(more)});
            const auto c = b();
            QVERIFY(has_step(c, StepKind::CutBand));
            QVERIFY(!has_step(c, StepKind::DrawShapedBand));
            const Curve& was = edge(band_of(c.traced.pieces), EdgeRole::Waist).curve;
            const Curve& now = edge(band_of(c.altered.pieces), EdgeRole::Waist).curve;
            const double gained = waists(c.altered.pieces) - waists(c.traced.pieces);
            QVERIFY2(std::abs(mm(length(now) - length(was)) - gained) < 0.15,
                     qPrintable(QString("%1 %2").arg(mm(length(now) - length(was))).arg(gained)));
            QVERIFY(!unsound(band_of(c.altered.pieces)));
            // It bends from end to end as it did, less what was cut out of it.
            QVERIFY(near(Geom::angle_between(start_direction(was), end_direction(was)) -
                             Geom::angle_between(start_direction(now), end_direction(now)),
                         0, 0.05));
        }
    }

    // A curved band that follows by its length is not drawn straight.
    void a_curved_band_stays_curved()
    {
        auto b = bench();
        for (auto& s : b.pattern.seams)
            if (s.follow == Follow::Above) s.follow = Follow::Length;
        b.plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(24)});
        const auto c = b();
        const Curve& was = edge(band_of(c.traced.pieces), EdgeRole::Waist).curve;
        const Curve& now = edge(band_of(c.altered.pieces), EdgeRole::Waist).curve;
        QVERIFY(near(mm(length(now) - length(was)), 12, 0.1));
        QVERIFY(Geom::distance(now.initialPoint(), now.finalPoint()) < mm(length(now)) - 1);
        QVERIFY(c.checks.seams_hold());
    }

    // A band of each face, sewn together at the side.
    void each_face_may_have_its_own()
    {
        auto b = test::lockgate_bench();
        for (auto& size : b.pattern.sizes) {
            std::erase_if(size.pieces, [](const Piece& p) { return p.role == PieceRole::Waistband; });
            for (const std::string on : {"front", "back"}) {
                const Piece& p = *find_piece(size.pieces, on);
                Piece band = waistband(sewn_length(p, EdgeRole::Waist), {}, Length::mm(deep / 2), Length::mm(15));
                std::erase_if(band.edges, [](const Edge& e) { return e.role == EdgeRole::Underlap; });
                band.notches.clear();
                band.role = PieceRole::Other;
                band.id = band.name = on + "-band";
                auto drawn = shaped_band_drawn(band, EdgeRole::Waist, {{&p, &p, EdgeRole::Waist}});
                QVERIFY(drawn.has_value());
                size.pieces.push_back(std::move(*drawn));
            }
        }
        std::erase_if(b.pattern.seams, [](const Seam& s) { return s.b.front().piece == "waistband"; });
        for (const std::string on : {"front", "back"})
            b.pattern.seams.push_back(
                {on + "-band", {{on, EdgeRole::Waist}}, {{on + "-band", EdgeRole::Waist}}, {}, Follow::Above});
        b.pattern = *check_pattern(std::move(b.pattern));
        b.plan.decide(waist_line(
            {{"centre_front", Face::Both, {}, Length::mm(-16)}, {"mid_front", Face::Both, {}, Length::mm(-9)}}));
        const auto c = b();
        QVERIFY(c.checks.seams_hold());
        const auto band = [](const Garment& g, const std::string& id) { return *find_piece(g.pieces, id); };
        QVERIFY(test::largest_gap(band(c.traced, "back-band"), band(c.altered, "back-band")) < 1e-9);
        QVERIFY(test::largest_gap(band(c.traced, "front-band"), band(c.altered, "front-band")) > 0.5);
        QVERIFY(near(mm(length(edge(band(c.altered, "front-band"), EdgeRole::Waist).curve) -
                        sewn_length(face(c.altered, PieceRole::Front), EdgeRole::Waist)),
                     0, 0.01));
    }

    void the_fold_goes_to_the_centre_that_is_closed()
    {
        auto b = bench();
        b.plan.make_up.opening = MovedOpening{PieceRole::Back, Length::mm(180), Length::mm(20), {}};
        const auto c = b();
        for (const auto& n : c.not_made) QFAIL(n.piece.c_str());
        const auto as_cut = bench()();
        const Piece& was = band_of(as_cut.traced.pieces);
        const Piece& now = band_of(c.altered.pieces);
        const Curve& low = edge(now, EdgeRole::Waist).curve;
        QVERIFY(near(mm(length(low) - length(edge(was, EdgeRole::Waist).curve)), 0, 0.01));
        // The underlap lies beyond the back's end now: the end the travel comes to.
        const std::size_t at = *edge_index(now, EdgeRole::Waist);
        QCOMPARE(now.edges[(at + 1) % now.edges.size()].role, EdgeRole::Underlap);
        QVERIFY(now.edges[(at + now.edges.size() - 1) % now.edges.size()].on_fold);
        QVERIFY(!unsound(now));
        QVERIFY(c.checks.seams_hold());
    }

    void without_room_for_it_nothing_is_drawn()
    {
        const auto legs = test::plain_legs();
        const Piece& back = face(legs, PieceRole::Back);
        Piece band = waistband(sewn_length(back, EdgeRole::Waist), {}, Length::mm(150), Length::mm(15));
        const auto drawn = shaped_band_drawn(band, EdgeRole::Waist, {{&back, &back, EdgeRole::Waist}});
        QVERIFY(!drawn.has_value());
        QCOMPARE(drawn.error().why, Why::FacingNoRoom);
        QVERIFY(!shaped_band_drawn(band, EdgeRole::Hem, {{&back, &back, EdgeRole::Waist}}).has_value());
        QVERIFY(!shaped_band_drawn(band, EdgeRole::Waist, {}).has_value());
    }
};

SARTORUM_TEST(TestShapedBand)

}  // namespace test_shaped_band

#include "test_shaped_band.moc"
