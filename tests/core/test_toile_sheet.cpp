// A toile that can be read: where its lines lie, what more allowance there is, what is sewn first; lines and their
// ends against GEOS's outline of the piece.
#include <QTest>
#include <cmath>
#include <random>

#include "core/alter/kit/catalogue.h"
#include "core/fitting/photo.h"
#include "core/fitting/toile_sheet.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/whole_piece.h"
#include "dresses.h"
#include "geos_lines.h"
#include "near.h"
#include "tests.h"
#include "tops.h"
#include "trousers_bench.h"

namespace test_toile_sheet {

using namespace sartorum;
using namespace sartorum::test;

namespace {

double y_of(const LineToDraw& l)
{
    return (l.a[Geom::Y] + l.b[Geom::Y]) / 2;
}

const LineToDraw* find(const std::vector<LineToDraw>& all, ToileLine what)
{
    for (const auto& l : all) {
        if (l.what == what) return &l;
    }
    return nullptr;
}

Length allowance(const Piece& p, EdgeRole role)
{
    return edge(p, role).allowance;
}

std::vector<Piece> of(const Computed& c, NextLook look)
{
    return toile_pieces(c, look);
}

bool any(const std::vector<Piece>& all, PieceRole role)
{
    return std::any_of(all.begin(), all.end(), [&](const Piece& p) { return p.role == role; });
}

}  // namespace

class TestToileSheet : public QObject {
    Q_OBJECT
private slots:
    void initTestCase() { initGEOS(no_message, no_message); }
    void cleanupTestCase() { finishGEOS(); }
    void lines_lie_level_from_edge_to_edge()
    {
        std::mt19937 rng{31};
        int seen = 0;
        for (int i = 0; i < 30; ++i) {
            const auto pattern = draw_bodice(with_sleeve(random_bodice(rng)));
            if (!pattern) continue;
            for (const auto& p : pattern->pieces) {
                const auto lines = lines_to_draw(p);
                auto points = outline_points(p, Length::mm(0.01));
                points.push_back(points.front());
                const auto outline = line_through(points);
                for (const auto& l : lines) {
                    if (l.what == ToileLine::Centre || l.what == ToileLine::SleeveCentre) continue;
                    QVERIFY(near(l.a[Geom::Y], l.b[Geom::Y], 1e-9));
                    // Both ends on the outline, and nothing of it further out at that level.
                    for (const auto& end : {l.a, l.b}) QVERIFY(apart(outline, end) < 0.05);
                    const auto span = lies_across(p, y_of(l));
                    if (span) QVERIFY(l.b[Geom::X] >= span->to - 0.05 && l.a[Geom::X] <= span->from + 0.05);
                    ++seen;
                }
                if (p.role == PieceRole::Front) {
                    QVERIFY(find(lines, ToileLine::Bust) && find(lines, ToileLine::Across));
                    // Across lies half-way down the armhole, the bust at its point.
                    const Edge& armhole = edge(p, EdgeRole::Armhole);
                    const double middle =
                        (armhole.curve.initialPoint()[Geom::Y] + armhole.curve.finalPoint()[Geom::Y]) / 2;
                    if (!guide(p, GuideKind::Across))
                        QVERIFY(near(y_of(*find(lines, ToileLine::Across)), middle, 1e-6));
                    // Measured from the neckline at the centre: where the neck edge meets it.
                    const Edge& neck = edge(p, EdgeRole::Neck);
                    const double low =
                        std::min(neck.curve.initialPoint()[Geom::Y], neck.curve.finalPoint()[Geom::Y]);
                    const auto* bust = find(lines, ToileLine::Bust);
                    QVERIFY(near(bust->down.in_mm(), (low - y_of(*bust)), 0.01));
                }
                if (p.role == PieceRole::Sleeve) {
                    const auto* middle = find(lines, ToileLine::SleeveCentre);
                    const auto* bicep = find(lines, ToileLine::Bicep);
                    QVERIFY(middle && bicep && std::abs(middle->a[Geom::X] - middle->b[Geom::X]) < 1e-9);
                    QVERIFY(bicep->down > Length::mm(60));
                    // Turned over it is the same line.
                    const auto other = lines_to_draw(mirror_image(p));
                    QVERIFY(near(find(other, ToileLine::SleeveCentre)->a[Geom::X] + middle->a[Geom::X], 0, 1e-6));
                    QVERIFY(near(find(other, ToileLine::Bicep)->down, bicep->down, Length::mm(0.01)));
                }
            }
        }
        QVERIFY(seen > 60);
    }
    void more_allowance_where_it_is_let_out_and_nowhere_else()
    {
        const auto c = bench(with_sleeve(plain_bodice()))(plan_at("14"));
        const auto before = c.altered.pieces;
        for (const auto& p : of(c, NextLook::Whole)) {
            const Piece* was = find_piece(before, p.id);
            QVERIFY(was);
            for (const auto role : {EdgeRole::Shoulder, EdgeRole::Side, EdgeRole::Waist}) {
                if (!edge_index(p, role) || p.role == PieceRole::Sleeve) continue;
                QCOMPARE(allowance(p, role), allowance(*was, role) + Length::inches(1));
            }
            for (const auto role : {EdgeRole::Neck, EdgeRole::Armhole, EdgeRole::CapFront, EdgeRole::Hem}) {
                if (edge_index(p, role)) QCOMPARE(allowance(p, role), allowance(*was, role));
            }
            QVERIFY(near(area_mm2(p), area_mm2(*was), 1e-6));  // the stitching lines stay
            if (p.role == PieceRole::Sleeve) QCOMPARE(p.cut, 1);
        }
    }
    // Trousers have no shoulder to lay a line along.
    void lines_of_a_photograph_fit_the_garments_parts()
    {
        const auto top = bench(with_sleeve(plain_bodice()))(plan_at("14"));
        const auto legs = lockgate_bench()();
        for (const auto g : {Guideline::EarLine, Guideline::Seam, Guideline::Bust}) {
            QVERIFY(can_be_laid(g, top.altered.pieces));
            QVERIFY(!can_be_laid(g, legs.altered.pieces));
        }
        for (const auto g : {Guideline::Hip, Guideline::Hem, Guideline::Distance})
            QVERIFY(can_be_laid(g, legs.altered.pieces));
    }
    void what_is_sewn_first_is_what_shows_most()
    {
        const auto top = bench(with_sleeve(plain_bodice()))(plan_at("14"));
        const Gate never = gate_before_cloth(nullptr, top);
        QCOMPARE(worth_sewing(top, never).front(), NextLook::Shoulders);
        QVERIFY(any(of(top, NextLook::Shoulders), PieceRole::Sleeve));
        const auto sleeve = of(top, NextLook::OneSleeve);
        QVERIFY(sleeve.size() == 1 && sleeve[0].role == PieceRole::Sleeve);
        QVERIFY(of(top, NextLook::LowerPart).empty());
        Plan p = top.work.plan;
        p.decide({AdjustmentKind::UpperArm, Answer::Accepted, Length::mm(24)});
        const auto wider = bench(with_sleeve(plain_bodice()))(p);
        QCOMPARE(worth_sewing(wider, gate_before_cloth(&top, wider)).front(), NextLook::OneSleeve);
        const auto legs = lockgate_bench()();
        QCOMPARE(worth_sewing(legs, gate_before_cloth(nullptr, legs)).front(), NextLook::Whole);
        const auto pieces = of(legs, NextLook::Whole);
        QVERIFY(any(pieces, PieceRole::Front) && !any(pieces, PieceRole::Waistband));
        for (const auto& piece : pieces) {
            const auto lines = lines_to_draw(piece);
            QVERIFY(find(lines, ToileLine::Hip) && !find(lines, ToileLine::Centre));
        }
    }
};
SARTORUM_TEST(TestToileSheet)

}  // namespace test_toile_sheet

#include "test_toile_sheet.moc"
