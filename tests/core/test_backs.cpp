// A broad and a narrow back: the width where it is measured, and what stays as it was (trade, 7.4).
#include <QTest>

#include "core/alter/kit/shared.h"
#include "core/alter/widths/rows.h"
#include "core/check/walk.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_backs {

using namespace sartorum;
using namespace sartorum::test;

namespace {

BodiceFlat with_shoulder_dart()
{
    BodiceFlat f = plain_bodice();
    f.shoulder_dart = Length::mm(12);
    return f;
}

// Where the armhole stands at the level it had its across line: the curve's own roots.
double across_at(const Piece& back, double y)
{
    const Curve& armhole = edge(back, EdgeRole::Armhole).curve;
    for (std::size_t i = 0; i < armhole.size_default(); ++i) {
        const auto t = armhole[i].roots(y, Geom::Y);
        if (!t.empty()) return armhole[i].valueAt(t.front(), Geom::X);
    }
    return std::nan("");
}

double shoulder_of(const Garment& g)
{
    return sewn_length(back_of(g), EdgeRole::Shoulder).in_mm();
}

}  // namespace

class TestBacks : public QObject {
    Q_OBJECT
private slots:
    void a_broad_back_is_wider_across_by_the_amount()
    {
        for (const auto& flat : {plain_bodice(), with_shoulder_dart()}) {
            const auto g = bodice(flat);
            const double level = guide(back_of(g), GuideKind::Across)->b[Geom::Y];
            for (const double mm : {3.0, 6.0, 12.0, 20.0}) {
                const auto done = need(alter_across_back(g, Dose{Length::mm(mm)}));
                const Piece& is = back_of(done.garment);
                const Piece& was = back_of(g);
                QVERIFY(near(across_at(is, level) - across_at(was, level), mm, 0.3));
                QVERIFY(Geom::distance(neck_point(is), neck_point(was)) < 1e-9);
                QVERIFY(Geom::distance(shoulder_tip(is), shoulder_tip(was) + Point{mm, 0}) < 1e-6);
                // The underarm and the seams there are as they were, and the shoulder's surplus is eased.
                QVERIFY(
                    near(sewn_length(is, EdgeRole::Side).in_mm(), sewn_length(was, EdgeRole::Side).in_mm(), 1e-6));
                const double grew = shoulder_of(done.garment) - shoulder_of(g);
                QVERIFY(grew > 0.7 * mm && grew < mm + 0.5);
                QVERIFY(check(done.garment, {}, {}).walks.front().holds);
                QVERIFY(near(seam_ease(done.garment, "shoulder").in_mm() - seam_ease(g, "shoulder").in_mm(), grew,
                             1e-6));
            }
        }
    }
    void a_dart_takes_the_surplus_where_there_is_none_yet()
    {
        const auto way = static_cast<std::size_t>(AcrossBackMethod::Darted);
        const auto g = bodice(plain_bodice());
        const auto done = need(alter_across_back(g, {Length::mm(10), way}));
        QVERIFY(near(shoulder_of(done.garment), shoulder_of(g), 0.3));
        QVERIFY(check(done.garment, {}, {}).walks.front().holds);
        const auto refused = alter_across_back(bodice(with_shoulder_dart()), {Length::mm(10), way});
        QVERIFY(refused.error().why == Why::DartAlreadyThere);
    }
    void a_narrow_back_keeps_its_shoulder()
    {
        for (const auto& flat : {plain_bodice(), with_shoulder_dart()}) {
            const auto g = bodice(flat);
            const double level = guide(back_of(g), GuideKind::Across)->b[Geom::Y];
            for (const double mm : {3.0, 6.0, 10.0}) {
                const auto done = need(alter_across_back(g, Dose{Length::mm(-mm)}));
                QVERIFY(near(across_at(back_of(done.garment), level) - across_at(back_of(g), level), -mm, 0.3));
                QVERIFY(near(shoulder_of(done.garment), shoulder_of(g), 0.02));
                QVERIFY(check(done.garment, {}, {}).walks.front().holds);
            }
        }
    }
    // The cut goes up beside the shoulder dart, never through it, and leaves a strip that can be held.
    void the_cut_finds_room_beside_a_shoulder_dart()
    {
        std::mt19937 rng{41};
        int seen = 0;
        int wide = 0;  // as wide as is liked
        for (int i = 0; i < tries(60); ++i) {
            BodiceFlat f = random_bodice(rng);
            f.shoulder_dart = Length::mm(between(rng, 8, 16));
            const auto pattern = bodice_pattern(f);
            if (!pattern) continue;
            const Garment g{pattern->sizes[0].pieces, pattern->seams};
            const auto done = alter_across_back(g, Dose{Length::mm(6)});
            if (!done) continue;
            const auto& lines = done->steps.front().picture.lines;
            const Dart& dart = back_of(g).darts[dart_at(back_of(g), *mouth_in(back_of(g), EdgeRole::Shoulder))];
            const Point up = lines.back().b;
            QVERIFY(up[Geom::X] > std::max(dart.leg_b[Geom::X], dart.tip[Geom::X]));
            const double strip = lines.front().a[Geom::X] - up[Geom::X];
            QVERIFY(strip >= 8 - 1e-9);
            wide += strip >= 20 - 1e-9;
            ++seen;
        }
        QVERIFY2(seen > tries(40) && wide > seen / 2, qPrintable(QString::number(wide)));
    }
};
SARTORUM_TEST(TestBacks)

}  // namespace test_backs

#include "test_backs.moc"
