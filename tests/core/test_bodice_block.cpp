// The bodice block: what is asked for is what comes out, seams walk, joins run on.
#include <QTest>

#include "bodices.h"
#include "core/check/walk.h"
#include "core/pattern/dart.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/part_rules.h"
#include "near.h"
#include "tests.h"

namespace test_bodice_block {

using namespace sartorum;
using namespace sartorum::test;

namespace {

void holds(const Garment& g, const QString& what)
{
    const auto c = check(g, {}, {});
    for (const auto& w : c.walks) {
        QVERIFY2(abs(w.difference) < Length::mm(0.01),
                 qPrintable(QString("%1 %2 %3").arg(what).arg(w.seam.c_str()).arg(w.difference.in_mm())));
    }
    for (const auto& j : c.joins) {
        QVERIFY2(j.holds, qPrintable(QString("%1 join %2: %3").arg(what).arg(int(j.place)).arg(j.degrees)));
    }
    for (const auto& f : c.folds) QVERIFY2(f.holds, qPrintable(what));
    for (const auto& d : c.darts) QVERIFY2(abs(d.apart) < Length::mm(0.01), qPrintable(what));
}

}  // namespace

class TestBodiceBlock : public QObject {
    Q_OBJECT
private slots:
    void what_was_measured_flat_is_what_is_drawn()
    {
        BodiceFlat f = plain_bodice();
        f.shoulder_dart = Length::mm(12);
        f.shoulder_ease = Length::mm(4);
        const auto g = bodice(f);
        const auto flat = measure_flat(g.pieces);
        QVERIFY(is_near(flat.of(GarmentMeasure::Bust), f.bust, Length::mm(0.01)));
        QVERIFY(is_near(flat.of(GarmentMeasure::Waist), f.waist, Length::mm(0.01)));
        QVERIFY(is_near(flat.of(GarmentMeasure::Shoulder), f.shoulder, Length::mm(1e-6)));
        QVERIFY(is_near(flat.of(GarmentMeasure::Side), f.side_length, Length::mm(0.01)));
        QVERIFY(is_near(flat.of(GarmentMeasure::FrontLength), f.front_length, Length::mm(1e-6)));
        QVERIFY(is_near(flat.of(GarmentMeasure::CentreBack), f.back_length, Length::mm(1e-6)));
        QVERIFY(
            is_near(sewn_length(back_of(g), EdgeRole::Shoulder), f.shoulder + f.shoulder_ease, Length::mm(1e-6)));
        const Piece& front = front_of(g);
        const Point np = edge(front, EdgeRole::Shoulder).curve.initialPoint();
        QVERIFY(is_near(Length::mm(Geom::distance(np, *front.bust_point)), f.bust_depth, Length::mm(1e-6)));
        QVERIFY(is_near(Length::mm((*front.bust_point)[Geom::X]) * 2.0, f.bust_span, Length::mm(1e-6)));
        QVERIFY(is_near(mouth_width(front.darts[0]), f.side_dart, Length::mm(1e-6)));
        QVERIFY(
            is_near(Length::mm(guide(front, GuideKind::Across)->b[Geom::X]), f.across_front, Length::mm(1e-6)));
        holds(g, "plain");
    }
    void the_front_waist_dart_points_at_the_bust()
    {
        const auto g = bodice(plain_bodice());
        const Piece& front = front_of(g);
        QCOMPARE(front.darts.size(), std::size_t{2});
        const Point tip = front.darts[1].tip;
        QVERIFY(near(tip[Geom::X], (*front.bust_point)[Geom::X], 0.5));
        QVERIFY(near((*front.bust_point)[Geom::Y] - tip[Geom::Y], 22, 0.5));
        QVERIFY(near(Geom::distance(front.darts[0].tip, *front.bust_point), 22, 0.5));
    }
    void any_drawable_bodice_sews_together()
    {
        std::mt19937 rng{4};
        int drawn = 0;
        for (int i = 0; i < 200; ++i) {
            const auto f = random_bodice(rng);
            const auto pattern = bodice_pattern(f);
            if (!pattern) continue;
            ++drawn;
            holds({pattern->sizes[0].pieces, pattern->seams}, QString::number(i));
            QVERIFY(is_near(measure_flat(pattern->sizes[0].pieces).of(GarmentMeasure::Waist), f.waist,
                            Length::mm(0.01)));
        }
        QVERIFY2(drawn > 180, qPrintable(QString::number(drawn)));
    }
    void a_tee_has_a_hem_and_the_waist_as_a_line()
    {
        const auto f = plain_tee();
        const auto g = bodice(f);
        const auto flat = measure_flat(g.pieces);
        QVERIFY(is_near(flat.of(GarmentMeasure::Waist), f.waist, Length::mm(0.01)));
        QVERIFY(is_near(flat.of(GarmentMeasure::Bust), f.bust, Length::mm(0.01)));
        QVERIFY(is_near(flat.of(GarmentMeasure::Hem), f.hip, Length::mm(8)));  // curved: a little longer than wide
        QCOMPARE(bottom_role(front_of(g)), EdgeRole::Hem);
        QVERIFY(on_fold(front_of(g)) && on_fold(back_of(g)));
        holds(g, "tee");
    }
    void a_closed_dart_makes_one_straight_side_seam()
    {
        const auto g = bodice(plain_bodice());
        const Curve side = closed_run(front_of(g), EdgeRole::Side);
        const Point along = Geom::unit_vector(side.finalPoint() - side.initialPoint());
        for (const auto& p : all_controls(side))
            QVERIFY(near(Geom::cross(along, p - side.initialPoint()), 0, 1e-6));
        QVERIFY(is_near(length(side), sewn_length(front_of(g), EdgeRole::Side), Length::mm(1e-6)));
    }
    void a_folded_dart_ends_at_the_seam()
    {
        // Folded, the peak of the mouth lies on the seam it is folded under.
        const auto g = bodice(plain_bodice());
        const Piece& front = front_of(g);
        std::size_t mouth = 0;
        while (front.edges[mouth].role != EdgeRole::DartMouth) ++mouth;
        const Dart& d = front.darts[0];
        const Point peak = front.edges[mouth].curve[0].finalPoint();
        // Folded downwards the cloth at leg_a turns with it onto leg_b's side.
        const Geom::Affine fold = closing({d.leg_b, d.leg_a, d.tip});
        const Curve& below = front.edges[mouth + 1].curve;
        const Point lies = peak * fold;
        const Point along = start_direction(below);
        QVERIFY(near(Geom::cross(along, lies - below.initialPoint()), 0, 1e-6));
        QVERIFY(Geom::dot(along, lies - below.initialPoint()) > 0);
    }
    void tucks_and_pleats_use_width_as_they_are_sewn()
    {
        // A tuck of visible depth w takes 2 w (trade, section 16): its mouth is that 2 w.
        const Dart tuck{{10, 0}, {-2, 0}, {4, 30}, DartKind::Tuck};
        QCOMPARE(dart_radians(tuck), 0.0);
        QVERIFY(is_near(taken_at(tuck, 15), Length::mm(12), Length::mm(1e-9)));
        QVERIFY(is_near(taken_at(tuck, 31), {}, Length::mm(1e-9)));
        const Dart pleat{{10, 0}, {-2, 0}, {4, 30}, DartKind::Pleat};
        QVERIFY(is_near(taken_at(pleat, 15), {}, Length::mm(1e-9)));
        const Dart dart{{10, 0}, {-2, 0}, {4, 30}};
        QVERIFY(is_near(taken_at(dart, 15), Length::mm(6), Length::mm(1e-9)));
        // Closing slides what lies after it by the mouth.
        const Point after = Point{-20, 0} * closing(tuck);
        QVERIFY(Geom::distance(after, Point{-8, 0}) < 1e-12);
        QVERIFY(Geom::distance(dart.leg_b * closing(dart), dart.leg_a) < 1e-9);
    }
    void what_cannot_be_drawn_names_the_measure()
    {
        BodiceFlat f = plain_bodice();
        f.waist = Length::mm(400);
        QVERIFY(draw_bodice(f).error().why == Why::BlockWaistImpossible);
        f = plain_bodice();
        f.across_front = Length::mm(300);
        const auto r = draw_bodice(f).error();
        QVERIFY(r.why == Why::OutOfRange);
        QCOMPARE(r.field, std::string{"across_front"});
        f = plain_bodice();
        f.bust_depth = {};
        QCOMPARE(draw_bodice(f).error().field, std::string{"bust_depth"});
    }
    void pieces_come_into_the_frame_however_they_were_drawn()
    {
        const auto g = bodice(plain_bodice());
        for (const auto& piece : g.pieces) {
            for (const auto& how : {Geom::Affine{Geom::Translate(30, -12)}, Geom::Affine{Geom::Scale(-1, 1)}}) {
                Piece turned = moved(piece, how);
                std::rotate(turned.edges.begin(), turned.edges.begin() + 2, turned.edges.end());
                std::reverse(turned.darts.begin(), turned.darts.end());
                const auto back = check_piece(turned);
                QVERIFY(back.has_value());
                QVERIFY(largest_gap(*back, piece) < 1e-6);
                QCOMPARE(back->edges[0].role, EdgeRole::Neck);
                for (std::size_t i = 0; i < piece.darts.size(); ++i)
                    QVERIFY(Geom::distance(back->darts[i].tip, piece.darts[i].tip) < 1e-6);
            }
        }
    }
    void an_edge_out_of_order_is_refused()
    {
        Piece p = front_of(bodice(plain_bodice()));
        for (auto& e : p.edges) {
            if (e.role == EdgeRole::Armhole) e.role = EdgeRole::Neck;
        }
        QVERIFY(check_piece(p).error().why == Why::EdgeMissing);
        Piece q = front_of(bodice(plain_bodice()));
        std::erase_if(q.guides, [](const Guide& x) { return x.kind == GuideKind::Across; });
        QVERIFY(check_piece(q).error().why == Why::MarkMissing);
    }
};
SARTORUM_TEST(TestBodiceBlock)

}  // namespace test_bodice_block

#include "test_bodice_block.moc"
