// Where on the pieces each adjustment is done, and what of a plan stands out.
#include <QTest>

#include "core/alter/kit/catalogue.h"
#include "core/paper/redraw/bodice.h"
#include "core/plan/overview.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_places {

using namespace sartorum;
using namespace sartorum::test;

namespace {

// On the paper or on its edge, within a hand's breadth of it: a bust point may lie outside of a narrow panel.
bool near_the_paper(const Piece& p, Point at)
{
    auto box = bounds(p);
    box.expandBy(1);
    return box.contains(at);
}

}  // namespace

class TestPlaces : public QObject {
    Q_OBJECT
private slots:
    void every_adjustment_that_serves_has_a_place_on_a_piece_it_changes()
    {
        const Pattern skirt = *skirt_pattern(plain_skirt());
        std::mt19937 rng{61};
        std::vector<Garment> all{bodice(with_sleeve(plain_bodice())), bodice(with_sleeve(plain_tee())),
                                 Garment{skirt.sizes[0].pieces, skirt.seams}};
        for (int i = 0; i < tries(20); ++i) {
            if (const auto p = bodice_pattern(random_princess(rng))) all.push_back({p->sizes[0].pieces, p->seams});
        }
        int seen = 0;
        for (const auto& g : all) {
            for (const auto& entry : catalogue()) {
                if (!serves(entry, g)) continue;
                const auto places = places_of(entry, g);
                QVERIFY2(!places.empty(), entry.key.data());
                for (const auto& place : places) {
                    const Piece* piece = find_piece(g.pieces, place.piece);
                    QVERIFY2(piece && near_the_paper(*piece, place.at), entry.key.data());
                    ++seen;
                }
            }
        }
        QVERIFY(seen > tries(300));
    }
    // So that they can be taken hold of: the place goes with the amount.
    void places_at_the_ends_of_lines_go_with_the_amount()
    {
        const auto g = bodice(with_sleeve(plain_bodice()));
        const auto moved = [&](AdjustmentKind kind, double mm) {
            const auto& entry = adjustment(kind);
            const auto after = need(entry.apply(g, {Length::mm(mm), usual_method(entry, g)}));
            return places_of(entry, after.garment)[0].at - places_of(entry, g)[0].at;
        };
        using enum AdjustmentKind;
        // Out along the seam; square to it; out at the side by a quarter.
        QVERIFY(near(Geom::L2(moved(ShoulderLength, 8)), 8, 0.1));
        QVERIFY(moved(ShoulderSlope, 6)[Geom::Y] > 5.0);
        QVERIFY(near(moved(UnderarmWidth, 20)[Geom::X], 5, 0.1));
        QVERIFY(near(moved(WidthAtWaist, 20)[Geom::X], 5, 0.2));
        QVERIFY(near(moved(AcrossBack, 8)[Geom::X], 8, 0.5));
    }
    void what_stands_out_and_what_is_left_alone_are_all_there_is()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const double drafted = b.chart.body(*b.chart.index_of("12"), Measure::Bust)->in_mm();
        const auto body = body_of({{Measure::Bust, drafted + 40}, {Measure::HighBust, drafted - 60}});
        Plan plan = plan_at("12");
        plan.decide({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6)});
        plan.decide({AdjustmentKind::NeckForward, Answer::Accepted, Length::mm(500)});
        plan.decide({AdjustmentKind::BodiceLength, Answer::Declined, {}});
        const auto c = b(plan, body);
        const auto out = standing_out(c);
        std::size_t quiet = 0;
        int declined = 0;
        for (const auto zone : zones_of(c)) {
            const auto left = left_alone(c, zone);
            const auto n = count_quiet(left);
            QCOMPARE(static_cast<std::size_t>(n.in_order + n.unknown + n.declined), left.size());
            quiet += left.size();
            declined += n.declined;
        }
        QCOMPARE(out.size() + quiet, c.lines.size());
        QCOMPARE(declined, 1);
        const auto shows = [&](AdjustmentKind kind) { return shows_as(*c.line(kind)); };
        QVERIFY(shows(AdjustmentKind::ShoulderSlope) == Shows::Accepted);
        QVERIFY(shows(AdjustmentKind::NeckForward) == Shows::NotDone);
        QVERIFY(shows(AdjustmentKind::Bust) == Shows::Proposed);
        QVERIFY(shows(AdjustmentKind::BodiceLength) == Shows::Quiet);
        // In fitting order.
        for (std::size_t i = 1; i < out.size(); ++i) QVERIFY(comes_before(out[i - 1]->kind, out[i]->kind));
    }
};
SARTORUM_TEST(TestPlaces)

}  // namespace test_places

#include "test_places.moc"
