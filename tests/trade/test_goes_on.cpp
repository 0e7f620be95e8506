// Whether it goes on, by cases worked by hand.
#include <QFile>
#include <QTest>
#include <algorithm>
#include <cmath>

#include "core/plan/donning.h"
#include "dresses.h"
#include "tests.h"

namespace test_goes_on {

using namespace sartorum;
using namespace sartorum::test;

namespace {

// A skirt that is straight lines: 76 at the waist, 100 at the hip 20 below, 100 to its hem, nothing taken in
// darts. The waist is level, so that what is worked out by hand is what the paper has.
SizedPieces straight_skirt()
{
    SizedPieces out{"12", {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece p;
        p.id = std::string{key(role)};
        p.name = p.id;
        p.role = role;
        p.part = PartKind::Skirt;
        p.edges = {
            {EdgeRole::Waist, straight({0, 0}, {190, 0}), {}},
            {EdgeRole::Side, joined(straight({190, 0}, {250, -200}), straight({250, -200}, {250, -600})), {}},
            {EdgeRole::Hem, straight({250, -600}, {0, -600}), {}},
            {EdgeRole::Centre, straight({0, -600}, {0, 0}), {}, role == PieceRole::Front}};
        p.guides = {{GuideKind::LengthenShorten, {0, -120}, {226, -120}},
                    {GuideKind::Hip, {0, -200}, {250, -200}}};
        out.pieces.push_back(std::move(p));
    }
    return out;
}

struct Worn {
    Pattern pattern;
    BodySet body;
    Plan plan;
    std::vector<GoesOn> operator()() const
    {
        return goes_on(need(compute(pattern, chart_for(pattern), body, plan)));
    }
    GoesOn at(PassesThrough through) const
    {
        const auto all = (*this)();
        const auto it =
            std::find_if(all.begin(), all.end(), [&](const GoesOn& g) { return g.through == through; });
        if (it == all.end()) qFatal("nothing said of it");
        return *it;
    }
};

Worn skirt_on(std::initializer_list<std::pair<Measure, double>> body)
{
    Pattern p{"Skirt",
              "Nobody",
              {straight_skirt()},
              {{"side", {{"front", EdgeRole::Side}}, {{"back", EdgeRole::Side}}, {}}}};
    Worn w{*check_pattern(p), body_of(body), plan_in_sizes("12", "12")};
    w.plan.as_drawn = true;
    return w;
}

Worn dress_on(const DressFlat& flat, std::initializer_list<std::pair<Measure, double>> body)
{
    Worn w{graded(flat, 2), body_of(body), dress_plan("12", "12", "12")};
    w.plan.as_drawn = true;
    return w;
}

bool near_mm(Length a, double mm, double within)
{
    if (std::abs(a.in_mm() - mm) <= within) return true;
    qWarning("%.2f is not %.2f", a.in_mm(), mm);
    return false;
}

}  // namespace

class TestGoesOn : public QObject {
    Q_OBJECT
private slots:
    // The girth h mm below the waist is 760 + 1.2 h down to the hip. Over a hip of 940 it passes from h = 150 on.
    void a_skirt_opens_down_to_where_the_hip_passes()
    {
        auto on = skirt_on({{Measure::Hip, 940}, {Measure::HighBust, 1000}, {Measure::WaistToHip, 210}});
        const auto g = on.at(PassesThrough::Body);
        QVERIFY(near_mm(g.has, 760, 0.5));
        QVERIFY(g.from_below && g.over == Measure::Hip && !g.guessed && near_mm(g.needs, 940, 0.01));
        QVERIFY(near_mm(g.opening, 150, 10.01));  // read off every few millimetres, and cut in steps of 5
        QVERIFY(g.opening <= Length::mm(150) && !g.there && g.holds());
        // The pattern's own opening is held against it.
        for (auto& piece : on.pattern.sizes.front().pieces) {
            if (piece.role == PieceRole::Back) piece.opening = Length::mm(180);
        }
        QVERIFY(on.at(PassesThrough::Body).holds());
        for (auto& piece : on.pattern.sizes.front().pieces) {
            if (piece.role == PieceRole::Back) piece.opening = Length::mm(100);
        }
        const auto short_one = on.at(PassesThrough::Body);
        QVERIFY(!short_one.holds() && *short_one.there == Length::mm(100));
        // Cut to a smaller hip it goes on as it is.
        QCOMPARE(skirt_on({{Measure::Hip, 750}}).at(PassesThrough::Body).opening, Length{});
    }
    // A zip in the side seam counts as one at the centre.
    void a_side_that_opens_counts()
    {
        auto on = skirt_on({{Measure::Hip, 940}, {Measure::WaistToHip, 210}});
        QVERIFY(!on.at(PassesThrough::Body).there);
        for (const double open : {60.0, 200.0}) {
            on.pattern.sizes.front().pieces[0].side_opening = Length::mm(open);
            const auto g = on.at(PassesThrough::Body);
            QVERIFY(g.there && near_mm(*g.there, open, 1e-9));
            QCOMPARE(g.holds(), open >= g.opening.in_mm());
        }
    }
    // Drawn in by elastic, what passes is the casing: 1000 over a hip of 940.
    void an_elastic_waist_passes_as_wide_as_its_casing()
    {
        auto on = skirt_on({{Measure::Hip, 940}, {Measure::Waist, 700}});
        for (auto& piece : on.pattern.sizes.front().pieces) {
            piece.edges[0].curve = straight({0, 0}, {250, 0});
            piece.edges[1].curve = joined(straight({250, 0}, {250, -200}), straight({250, -200}, {250, -600}));
        }
        const auto g = on.at(PassesThrough::Body);
        QVERIFY(near_mm(g.has, 1000, 0.5));
        QVERIFY(g.opening == Length{} && g.holds());
    }
    // Over the head a skirt may be easier: shoulders of 800 pass 33 mm below the waist.
    void the_shorter_way_is_taken()
    {
        auto on = skirt_on({{Measure::Hip, 990}, {Measure::ShouldersRound, 800}, {Measure::WaistToHip, 200}});
        const auto g = on.at(PassesThrough::Body);
        QVERIFY(!g.from_below && g.over == Measure::ShouldersRound && !g.guessed);
        QVERIFY(g.opening <= Length::mm(35) && g.opening >= Length::mm(20));
    }
    void a_dress_of_cloth_needs_its_zip_and_one_of_a_knit_its_stretch()
    {
        auto on = dress_on(fitted_dress(), {{Measure::HighBust, 860},
                                            {Measure::Bust, 900},
                                            {Measure::Hip, 960},
                                            {Measure::WaistToHip, 205},
                                            {Measure::Head, 560}});
        const auto body = on.at(PassesThrough::Body);
        // From the neck at the back past the waist: the back is 38 cm long at its centre and more.
        QVERIFY(body.opening > Length::mm(400) && body.opening < Length::mm(620));
        const auto neck = on.at(PassesThrough::Neck);
        QVERIFY(near_mm(neck.opening, std::ceil((560 - neck.has.in_mm()) / 2 / 5) * 5, 0.01));
        QVERIFY(!neck.guessed);
        // All in one fold at centre front and back, nothing opens.
        for (auto& sized : on.pattern.sizes) {
            for (auto& piece : sized.pieces) {
                for (auto& e : piece.edges) {
                    if (e.role == EdgeRole::Centre) e.on_fold = true;
                }
            }
        }
        QVERIFY(!on.at(PassesThrough::Body).holds());
        // A knit that stretches enough passes; one of which nobody said how far, asks.
        on.plan.cloth = {true, 0};
        const auto asked = on.at(PassesThrough::Body);
        QVERIFY(asked.stretch && asked.holds());
        on.plan.cloth = {true, *asked.stretch + 0.01};
        QVERIFY(on.at(PassesThrough::Body).opening == Length{});
        on.plan.cloth = {true, *asked.stretch - 0.02};
        QVERIFY(!on.at(PassesThrough::Body).holds());
    }
    void an_opening_goes_on_over_the_seam_where_the_bodice_opens_all_the_way()
    {
        auto on =
            dress_on(fitted_dress(), {{Measure::HighBust, 860}, {Measure::Hip, 960}, {Measure::WaistToHip, 205}});
        const auto opening = [&](Length bodice, Length skirt) {
            for (auto& sized : on.pattern.sizes) {
                for (auto& piece : sized.pieces) {
                    if (piece.id == "back") piece.opening = bodice;
                    if (piece.id == "skirt-back") piece.opening = skirt;
                }
            }
            return on.at(PassesThrough::Body).there;
        };
        const Length back =
            sewn_length(*find_piece(on.pattern.sizes.front().pieces, std::string{"back"}), EdgeRole::Centre);
        QVERIFY(near_mm(*opening(piece_most, Length::mm(180)), back.in_mm() + 180, 0.01));
        QVERIFY(near_mm(*opening(Length::mm(300), Length::mm(180)), 300, 0.01));
        QVERIFY(*opening(piece_most, piece_most) == piece_most);
        QVERIFY(!opening({}, {}));
    }
    void what_was_not_measured_is_guessed_and_says_so()
    {
        const auto on = dress_on(fitted_dress(), {{Measure::HighBust, 860}});
        const auto body = on.at(PassesThrough::Body);
        QVERIFY(body.guessed && near_mm(body.needs, 1000, 0.01) && body.spread == Length::mm(80));
        QVERIFY(on.at(PassesThrough::Neck).guessed);
        // Of a body of which nothing is known, nothing is said but of head and hand.
        const auto unknown = dress_on(fitted_dress(), {})();
        QCOMPARE(unknown.size(), std::size_t{1});
    }
    // G. Heinz and others, Journal of Statistics Education 11(2), 2003: 260 women, shoulder girth against the
    // chest girth above the breast.
    void the_guess_of_the_shoulders_is_what_the_open_data_say()
    {
        QFile file{QString{SARTORUM_SOURCE_DIR} + "/tests/trade/data/body-dimensions.csv"};
        QVERIFY2(file.open(QIODevice::ReadOnly), qPrintable(file.fileName()));
        const auto columns = file.readLine().trimmed().split(',');
        const auto at = [&](const char* name) {
            const auto i = std::find_if(columns.begin(), columns.end(),
                                        [&](const QByteArray& c) { return c.contains(name); });
            return i - columns.begin();
        };
        const auto shoulder = at("ShoulderG");
        const auto chest = at("ChestG");
        const auto gender = at("Gender");
        double sum = 0;
        int women = 0;
        int within = 0;
        while (!file.atEnd()) {
            const auto row = file.readLine().trimmed().split(',');
            if (row.size() != columns.size() || row[gender].toDouble() != 0) continue;
            const double more = 10 * (row[shoulder].toDouble() - row[chest].toDouble());
            sum += more;
            ++women;
            within += std::abs(more - 140) <= 80;
        }
        QCOMPARE(women, 260);
        QVERIFY2(std::abs(sum / women - 140) < 5, qPrintable(QString::number(sum / women)));
        QVERIFY2(within >= 0.95 * women, qPrintable(QString::number(within)));
    }
};
SARTORUM_TEST(TestGoesOn)

}  // namespace test_goes_on

#include "test_goes_on.moc"
