// Lengths, areas and offsets against GEOS, an independent geometry library, through its C interface.
#include <geos_c.h>

#include <QTest>
#include <cstdarg>
#include <memory>

#include "core/alter/kit/catalogue.h"
#include "core/paper/area.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/princess.h"
#include "core/pattern/shoulder.h"
#include "core/tissue/draw.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"

namespace test_against_geos {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Geometry = std::unique_ptr<GEOSGeometry, void (*)(GEOSGeometry*)>;
Geometry own(GEOSGeometry* g)
{
    return {g, GEOSGeom_destroy};
}
void quiet(const char*, ...) {}

GEOSCoordSequence* sequence(const std::vector<Point>& points, bool close)
{
    const auto n = static_cast<unsigned>(points.size());
    auto* seq = GEOSCoordSeq_create(n + (close ? 1 : 0), 2);
    for (unsigned i = 0; i < n; ++i) GEOSCoordSeq_setXY(seq, i, points[i][Geom::X], points[i][Geom::Y]);
    if (close) GEOSCoordSeq_setXY(seq, n, points[0][Geom::X], points[0][Geom::Y]);
    return seq;
}
Geometry polygon(const std::vector<Point>& p)
{
    return own(GEOSGeom_createPolygon(GEOSGeom_createLinearRing(sequence(p, true)), nullptr, 0));
}
Geometry line(const std::vector<Point>& p)
{
    return own(GEOSGeom_createLineString(sequence(p, false)));
}
double area_of(const Geometry& g)
{
    double a = 0;
    GEOSArea(g.get(), &a);
    return a;
}
double length_of(const Geometry& g)
{
    double l = 0;
    GEOSLength(g.get(), &l);
    return l;
}

// The curve sampled by its Bernstein formula, not by the core's own flattening.
std::vector<Point> sampled(const Curve& c)
{
    std::vector<Point> out;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto p = controls(c, i);
        for (int k = i == 0 ? 0 : 1; k <= 2000; ++k) {
            const double t = k / 2000.0;
            const double s = 1 - t;
            out.push_back(p[0] * (s * s * s) + p[1] * (3 * s * s * t) + p[2] * (3 * s * t * t) +
                          p[3] * (t * t * t));
        }
    }
    return out;
}
std::vector<Point> sampled(const Piece& piece)
{
    std::vector<Point> out;
    for (const auto& e : piece.edges) {
        const auto p = sampled(e.curve);
        out.insert(out.end(), p.begin(), p.end() - 1);
    }
    return out;
}

}  // namespace

class TestAgainstGeos : public QObject {
    Q_OBJECT
private slots:
    void initTestCase() { initGEOS(quiet, quiet); }
    void cleanupTestCase() { finishGEOS(); }
    // A tissue whose halves are unlike: what a ruler laid on the drawn piece reads is what was measured.
    void a_ruler_on_a_drawn_tissue_reads_what_was_measured()
    {
        using L = TissueLine;
        std::mt19937 rng{28};
        const auto across = [](const Piece& p, double level) {
            // From the centre to the farthest place it meets the paper: a hollowed armhole may dip below it on the
            // way.
            const auto ruler = line({{-50, level}, {1500, level}});
            const auto met = own(GEOSIntersection(polygon(sampled(p)).get(), ruler.get()));
            double far = 0;
            GEOSGeom_getXMax(met.get(), &far);
            return far;
        };
        int read = 0;
        for (int i = 0; i < tries(24); ++i) {
            Tissue t;
            t.kind = i % 2 ? TissueKind::Skirt : TissueKind::Bodice;
            t.size = "12";
            t.sizes = {{"12", {}}};
            const auto put = [&](L l, double mm) {
                t.in_hand()->lines[l] = {TissueState::Measured, Length::mm(mm)};
            };
            const double half = between(rng, 230, 320);
            const double more = between(rng, -9, 14);
            if (i % 2) {
                put(L::FrontHip, half + more);
                put(L::BackHip, half);
                put(L::FrontWaist, half + more - between(rng, 20, 60));
                put(L::BackWaist, half - between(rng, 20, 60));
                put(L::CentreLength, between(rng, 450, 800));
            } else {
                put(L::FrontBust, half + more);
                put(L::BackBust, half);
                put(L::NeckWidth, between(rng, 66, 84));
                put(L::FrontDrop, between(rng, 36, 56));
                put(L::FrontLength, between(rng, 430, 480));
            }
            const auto drawn = draw_tissue(t, *t.in_hand(), nullptr);
            if (!drawn) continue;
            const Piece& front = drawn->pieces[0];
            const Piece& back = drawn->pieces[1];
            if (i % 2) {
                QVERIFY(near(across(front, guide(front, GuideKind::Hip)->a[Geom::Y]), half + more, 0.01));
                QVERIFY(near(across(back, guide(back, GuideKind::Hip)->a[Geom::Y]), half, 0.01));
                // Sewn, the waist is what lies there less the darts.
                double sewn = 0;
                for (const auto& e : front.edges)
                    sewn += e.role == EdgeRole::Waist ? length_of(line(sampled(e.curve))) : 0;
                const auto all = resolved(t, *t.in_hand(), nullptr);
                QVERIFY(near(sewn, (all.at(L::FrontWaist) - all.at(L::FrontDart)).in_mm(), 0.01));
            } else {
                // Just below the underarm, above the side dart.
                const double level = edge(front, EdgeRole::Side).curve.initialPoint()[Geom::Y] - 1e-3;
                QVERIFY(near(across(front, level), half + more, 0.02));
                const double behind = edge(back, EdgeRole::Side).curve.initialPoint()[Geom::Y] - 1e-3;
                QVERIFY(near(across(back, behind), half, 0.02));
            }
            ++read;
        }
        QVERIFY(read > tries(16));
    }
    // A leg drawn from what was measured flat: a ruler across it, and a string along its crotch.
    void a_tissue_of_trousers_measures_what_was_measured()
    {
        std::mt19937 rng{93};
        using L = TissueLine;
        int read = 0;
        for (int i = 0; i < tries(20); ++i) {
            Tissue t;
            t.kind = TissueKind::Trousers;
            t.size = "12";
            t.sizes = {{"12", {}}};
            const auto put = [&](L l, double mm) {
                t.in_hand()->lines[l] = {TissueState::Measured, Length::mm(mm)};
                return mm;
            };
            const double hip = put(L::LegFrontHip, between(rng, 240, 330));
            const double back_hip = put(L::LegBackHip, hip + between(rng, -5, 20));
            const double thigh = put(L::LegFrontThigh, hip + between(rng, 45, 80));
            const double back_thigh = put(L::LegBackThigh, back_hip + between(rng, 90, 130));
            const double knee = put(L::LegFrontKnee, between(rng, 200, 260));
            const double crotch = put(L::LegFrontCrotch, between(rng, 305, 325));
            const double back_crotch = put(L::LegBackCrotch, between(rng, 385, 420));
            const double inner = put(L::InsideLeg, between(rng, 650, 800));
            const auto drawn = draw_tissue(t, *t.in_hand(), nullptr);
            if (!drawn) continue;
            const auto ruler = [](const Piece& p, double level) {
                const auto met =
                    own(GEOSIntersection(polygon(sampled(p)).get(), line({{-1500, level}, {1500, level}}).get()));
                return length_of(met);
            };
            const auto along = [](const Piece& p, EdgeRole role) {
                return length_of(line(sampled(edge(p, role).curve)));
            };
            for (const auto& [p, wide, deep, round] : {std::tuple{&drawn->pieces[0], hip, thigh, crotch},
                                                       {&drawn->pieces[1], back_hip, back_thigh, back_crotch}}) {
                QVERIFY(near(ruler(*p, guide(*p, GuideKind::Hip)->a[Geom::Y]), wide, 0.01));
                const double point = edge(*p, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
                QVERIFY(near(ruler(*p, point - 0.01), deep, 0.05));
                QVERIFY(near(along(*p, EdgeRole::Centre), round, 0.01));
            }
            QVERIFY(
                near(ruler(drawn->pieces[0], guide(drawn->pieces[0], GuideKind::Knee)->a[Geom::Y]), knee, 0.01));
            QVERIFY(near(along(drawn->pieces[0], EdgeRole::InnerLeg), inner, 0.01));
            ++read;
        }
        QVERIFY(read > tries(14));
    }
    void seam_lengths_agree()
    {
        std::mt19937 rng{21};
        for (int i = 0; i < 30; ++i) {
            const auto drawn = draw_skirt(random_skirt(rng));
            for (const auto& piece : drawn->pieces) {
                for (const auto& e : piece.edges) {
                    QVERIFY(near(length(e.curve).in_mm(), length_of(line(sampled(e.curve))), 1e-3));
                }
            }
        }
    }
    void piece_areas_agree()
    {
        std::mt19937 rng{22};
        for (int i = 0; i < 30; ++i) {
            const auto drawn = draw_skirt(random_skirt(rng));
            for (const auto& piece : drawn->pieces) {
                const double theirs = area_of(polygon(sampled(piece)));
                QVERIFY(std::abs(area_mm2(piece) - theirs) / theirs < 1e-7);
            }
        }
    }
    void a_bodices_lengths_and_areas_agree()
    {
        std::mt19937 rng{23};
        for (int i = 0; i < 20; ++i) {
            const auto drawn = draw_bodice(random_bodice(rng));
            if (!drawn) continue;
            for (const auto& piece : drawn->pieces) {
                const double theirs = area_of(polygon(sampled(piece)));
                QVERIFY(std::abs(area_mm2(piece) - theirs) / theirs < 1e-7);
                for (const auto& e : piece.edges)
                    QVERIFY(near(length(e.curve).in_mm(), length_of(line(sampled(e.curve))), 1e-3));
            }
        }
    }
    // No outline crosses itself, whatever is done within the limits; GEOS calls such a polygon valid.
    void altered_bodices_never_cross_themselves()
    {
        std::mt19937 rng{24};
        int seen = 0;
        for (int i = 0; i < tries(300); ++i) {
            const auto pattern = bodice_pattern(random_bodice(rng));
            if (!pattern) continue;
            Garment g{pattern->sizes[0].pieces, pattern->seams};
            for (const auto& entry : catalogue()) {
                if (!serves(entry, g) || rng() % 2) continue;
                const Length amount =
                    Length::mm(between(rng, entry.least.in_mm() * 0.7, entry.most.in_mm() * 0.7));
                const std::size_t method = entry.methods.empty() ? 0 : rng() % entry.methods.size();
                if (const auto done = entry.apply(g, {amount, method})) g = done->garment;
            }
            for (const auto& piece : g.pieces) {
                const auto theirs = polygon(outline_points(piece, Length::mm(0.05)));
                QVERIFY2(GEOSisValid(theirs.get()) == 1,
                         qPrintable(QString{"%1 %2"}.arg(i).arg(piece.id.c_str())));
                ++seen;
            }
        }
        QVERIFY(seen > tries(500));
    }
    // One handle pulled out of place: what crosses and what does not is told as GEOS tells it.
    void an_outline_that_crosses_is_told_from_one_that_does_not()
    {
        std::mt19937 rng{25};
        int crossing = 0;
        int off = 0;
        for (int i = 0; i < tries(300); ++i) {
            Piece piece = bodice(plain_bodice()).pieces[rng() % 2];
            auto& curve = piece.edges[rng() % piece.edges.size()].curve;
            auto points = all_controls(curve);
            points[1 + rng() % (points.size() - 2)] += {between(rng, -500, 500), between(rng, -500, 500)};
            curve = from_controls(points);
            const bool theirs = GEOSisValid(polygon(sampled(piece)).get()) != 1;
            const auto found = unsound(piece);
            off += (found == Unsound::Crossing) == theirs ? 0 : 1;
            crossing += theirs ? 1 : 0;
        }
        QVERIFY(crossing > tries(30) && crossing < tries(270));
        // Drawn within 0.1 mm of the curves, a crossing of less may be missed.
        QVERIFY2(off <= std::max(1, tries(300) / 100), qPrintable(QString::number(off)));
    }
    // A front of two panels, altered at random: neither panel crosses itself, they lie apart but for the bust
    // point, and with the openings between them they are the front's paper.
    void the_panels_of_an_altered_front_are_its_paper()
    {
        std::mt19937 rng{77};
        int seen = 0;
        for (int i = 0; i < tries(90); ++i) {
            const auto pattern = bodice_pattern(random_princess(rng));
            if (!pattern) continue;
            Garment g{pattern->sizes[0].pieces, pattern->seams};
            for (const auto& entry : catalogue()) {
                if (!serves(entry, g) || rng() % 2) continue;
                const Length amount =
                    Length::mm(between(rng, entry.least.in_mm() * 0.5, entry.most.in_mm() * 0.5));
                if (const auto done = entry.apply(g, {amount, usual_method(entry, g)})) g = done->garment;
                settle_princess(g.pieces);
                QVERIFY2(princess_mouths(front_of(g)).has_value(), entry.key.data());
            }
            const Piece& front = front_of(g);
            const auto [centre, side] = princess_panels(front);
            const auto a = polygon(outline_points(centre, Length::mm(0.02)));
            const auto b = polygon(outline_points(side, Length::mm(0.02)));
            QVERIFY2(GEOSisValid(a.get()) == 1 && GEOSisValid(b.get()) == 1, qPrintable(QString::number(i)));
            // Rounded over an apex a little outside, each reaches over the bust point by a sliver.
            const double shared = area_of(own(GEOSIntersection(a.get(), b.get())));
            QVERIFY2(shared < 250, qPrintable(QString{"%1: %2 mm²"}.arg(i).arg(shared)));
            const auto m = *princess_mouths(front);
            double open = 0;
            for (const auto mouth : {m.upper, m.lower}) {
                const Dart& d = front.darts[dart_at(front, mouth)];
                open += area_of(polygon({d.leg_a, d.tip, d.leg_b}));
            }
            const double whole = area_of(polygon(outline_points(front, Length::mm(0.02))));
            const double off = whole - open - area_of(a) - area_of(b);
            QVERIFY2(std::abs(off) < 0.01 * whole, qPrintable(QString{"%1: %2 mm²"}.arg(i).arg(off)));
            ++seen;
        }
        QVERIFY(seen > tries(60));
    }
    // A strip spread in is its amount times the width at the line (trade, section 16).
    void a_spread_bodice_gains_the_strip()
    {
        const Garment g = bodice(plain_bodice());
        const double amount = 20;
        const auto done = adjustment(AdjustmentKind::ArmholeDepth).apply(g, Length::mm(amount));
        for (const auto& s : done->steps) {
            if (s.kind != StepKind::Spread) continue;
            const Piece& piece = *find_piece(g.pieces, s.piece);
            const auto across = *guide(piece, GuideKind::Across);
            const double wide = Geom::distance(across.a, across.b);
            const double strip = area_of(polygon(s.picture.added.at(0)));
            QVERIFY(near(strip, wide * amount, 1e-6));
        }
    }
    // The slope by the folded polygons themselves: front and back lie on each other along the fold.
    void the_joined_pieces_do_not_overlap_but_share_the_seam()
    {
        const Garment g = bodice(plain_bodice());
        const auto how = back_joined(front_of(g), back_of(g));
        const auto front = polygon(sampled(front_of(g)));
        const auto back = polygon(sampled(moved(back_of(g), how)));
        const double shared = area_of(own(GEOSIntersection(front.get(), back.get())));
        QVERIFY2(shared < 1.0, qPrintable(QString::number(shared)));
        double apart = 1;
        GEOSDistance(front.get(), back.get(), &apart);
        QVERIFY(apart < 1e-6);
    }
    void paper_added_and_removed_agrees()
    {
        const auto p = *skirt_pattern(plain_skirt());
        const Garment before{p.sizes[0].pieces, p.seams};
        for (const double mm : {22.0, -22.0}) {
            const auto after = adjustment(AdjustmentKind::WidthAtHip).apply(before, Length::mm(mm));
            const Piece& was = before.pieces[0];
            const Piece& is = after->garment.pieces[0];
            const auto a = polygon(sampled(was));
            const auto b = polygon(sampled(is));
            double more = 0;
            double less = 0;
            for (const auto& shape : difference(is, was)) more += area_mm2(shape);
            for (const auto& shape : difference(was, is)) less += area_mm2(shape);
            // Slivers under 0.05 mm wide are left out of the picture: at most that along the outline.
            const double slack = 0.05 * outline(was).boundsFast()->height();
            QVERIFY(near(more, area_of(own(GEOSDifference(b.get(), a.get()))), slack));
            QVERIFY(near(less, area_of(own(GEOSDifference(a.get(), b.get()))), slack));
        }
    }
    void the_cutting_line_agrees_with_a_mitred_buffer()
    {
        // A piece with one allowance all round and no fold can be compared whole.
        auto f = plain_skirt();
        f.hem_allowance = f.allowance;
        Piece back = draw_skirt(f)->pieces[1];
        const auto ours = cutting_outline(back);
        QCOMPARE(ours.size(), std::size_t{1});
        auto* params = GEOSBufferParams_create();
        GEOSBufferParams_setJoinStyle(params, GEOSBUF_JOIN_MITRE);
        GEOSBufferParams_setMitreLimit(params, 5.0);
        const auto theirs = own(GEOSBufferWithParams(polygon(sampled(back)).get(), params, 15.0));
        GEOSBufferParams_destroy(params);
        const auto mine = polygon(ours[0]);
        const double apart = area_of(own(GEOSSymDifference(mine.get(), theirs.get())));
        QVERIFY2(apart < 60.0, qPrintable(QString::number(apart)));  // mm², on a piece of over 150,000
    }
};
SARTORUM_TEST(TestAgainstGeos)

}  // namespace test_against_geos

#include "test_against_geos.moc"
