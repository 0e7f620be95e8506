// What a garment is made of, where that is not what its pattern holds.
#include <QTest>
#include <algorithm>

#include "core/alter/kit/opening.h"
#include "core/paper/facing.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/plan/donning.h"
#include "dresses.h"
#include "near.h"
#include "tests.h"

namespace test_make_up {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

Pattern faced(Pattern p)
{
    for (const std::string on : {"front", "back"}) {
        for (auto& sized : p.sizes) {
            Piece facing = need(facing_drawn(*find_piece(sized.pieces, on), EdgeRole::Neck, Length::mm(55)));
            facing.id = facing.name = "lining-" + on;
            sized.pieces.push_back(std::move(facing));
        }
        p.seams.push_back(
            {"lining-" + on, {{on, EdgeRole::Neck}}, {{"lining-" + on, EdgeRole::Neck}}, {}, Follow::Shape});
    }
    return *check_pattern(std::move(p));
}

Computed made(const Pattern& p, const Plan& plan, const BodySet& body = {})
{
    return need(compute(p, chart_for(p), body, plan));
}

const Piece& piece(const Computed& c, const std::string& id)
{
    const Piece* p = find_piece(c.altered.pieces, id);
    if (!p) qFatal("no piece %s", id.c_str());
    return *p;
}

bool walks(const Computed& c)
{
    for (const auto& n : c.not_made)
        qWarning("%s %d %f %f", n.piece.c_str(), int(n.why.why), n.why.given.in_mm(), n.why.high.in_mm());
    for (const auto& w : c.checks.walks)
        if (!w.holds) qWarning("%s %f %f %f", w.seam.c_str(), w.a.in_mm(), w.b.in_mm(), w.difference.in_mm());
    return std::all_of(c.checks.walks.begin(), c.checks.walks.end(), [](const auto& w) { return w.holds; });
}

// A strip, sewn by its upper edge.
Piece strip(double wide, double tall, EdgeRole role)
{
    Piece p;
    p.id = "frill";
    p.name = "Frill";
    p.role = PieceRole::Other;
    const Point c[] = {{0, 0}, {wide, 0}, {wide, -tall}, {0, -tall}};
    for (int i = 0; i < 4; ++i)
        p.edges.push_back({i == 0 ? role : EdgeRole::Plain, straight(c[i], c[(i + 1) % 4]), Length::mm(10)});
    p.guides = {{GuideKind::Grain, {wide / 2, -10}, {wide / 2, -tall + 10}}};
    return need(check_piece(p));
}

BroughtPiece brought(Piece p, std::vector<SeamSide> to, double ratio)
{
    return {"Lock-keeper's apron", "M", "", std::move(to), ratio, std::move(p)};
}

double straight_across(const Curve& c)
{
    return Geom::distance(c.initialPoint(), c.finalPoint());
}

std::vector<StepKind> kinds(const Computed& c, const std::string& id)
{
    std::vector<StepKind> out;
    for (const auto& s : c.steps) {
        if (s.piece == id) out.push_back(s.kind);
    }
    return out;
}

}  // namespace

class TestMakeUp : public QObject {
    Q_OBJECT
    const Pattern dress_ = faced(graded(fitted_dress()));
    const Plan plan_ = dress_plan("14", "14", "14");

private slots:
    void a_piece_left_out_takes_its_seam_and_its_steps_with_it()
    {
        Plan plan = plan_;
        plan.make_up.left_out = {"lining-front", "never-there"};
        const auto c = made(dress_, plan);
        QVERIFY(c.not_made.empty());
        QVERIFY(!find_piece(c.altered.pieces, std::string{"lining-front"}));
        QVERIFY(kinds(c, "lining-front").empty());
        for (const auto& s : c.altered.seams) QVERIFY(s.id != "lining-front");
        QCOMPARE(c.altered.pieces.size() + 1, made(dress_, plan_).altered.pieces.size());
        // What is left goes on as before.
        plan.decide({Kind::NeckSize, Answer::Accepted, Length::mm(20)});
        const auto wider = made(dress_, plan);
        QVERIFY(walks(wider));
        QVERIFY(kinds(wider, "lining-back").back() == StepKind::DrawFacing);
        // A front is no piece to leave out; that is said, and nothing else is lost.
        plan.make_up.left_out = {"front"};
        const auto kept = made(dress_, plan);
        QCOMPARE(kept.not_made.size(), std::size_t{1});
        QVERIFY(kept.not_made[0].piece == "front" && kept.not_made[0].why.why == Why::PieceNeeded);
        QVERIFY(find_piece(kept.altered.pieces, std::string{"front"}));
    }
    void a_top_without_its_sleeve_has_no_sleeve_to_alter()
    {
        const auto top = bench(with_sleeve(plain_bodice()));
        Plan plan = plan_at("14");
        QVERIFY(top(plan).line(Kind::CapHeight));
        plan.make_up.left_out = {"sleeve"};
        const auto c = top(plan);
        QVERIFY(!c.line(Kind::CapHeight) && !c.line(Kind::UpperArm));
        QVERIFY(walks(c));
        for (const auto& w : c.checks.walks) QVERIFY2(w.seam.find("armhole") == std::string::npos, w.seam.c_str());
    }
    // By hand: every place of the outer edge as far from the final armhole as the facing is wide.
    void a_facing_can_be_made_from_any_edge_and_follows_it()
    {
        Plan plan = plan_;
        plan.make_up.facings = {{{"front", EdgeRole::Armhole}, Length::mm(40)},
                                {{"skirt-back", EdgeRole::Hem}, Length::mm(40)}};
        const std::string id = facing_id({"front", EdgeRole::Armhole});
        QCOMPARE(id, std::string{"armhole-facing-front"});
        QVERIFY(*facing_made_from(id) == (SeamSide{"front", EdgeRole::Armhole}));
        QVERIFY(!facing_made_from("lining-front") && !facing_made_from(""));
        for (const double out : {0.0, 8.0, -6.0}) {
            if (out != 0) plan.decide({Kind::UnderarmWidth, Answer::Accepted, Length::mm(4 * out)});
            const auto c = made(dress_, plan);
            QVERIFY(walks(c) && c.not_made.empty());
            // Drawn once, at the end, also where nothing was altered.
            QVERIFY((kinds(c, id) == std::vector{StepKind::MakeFacing}));
            QVERIFY(c.steps.back().kind == StepKind::MakeFacing);
            const Curve armhole = edge(piece(c, "front"), EdgeRole::Armhole).curve;
            const Piece& facing = piece(c, id);
            QVERIFY(is_near(sewn_length(facing, EdgeRole::Armhole), length(armhole), Length::mm(0.05)));
            const auto& outer = facing.edges[2].curve;
            int looked = 0;
            for (const auto& p : flattened(outer, Length::mm(0.01))) {
                const auto near = nearest(edge(facing, EdgeRole::Armhole).curve, p);
                if (!near.inside) continue;
                QVERIFY(sartorum::near(near.off, 40, 0.2));
                ++looked;
            }
            QVERIFY(looked > 20);
        }
        // Declining the facings the pattern has leaves what was made on purpose.
        plan.decide({Kind::Facings, Answer::Declined, {}});
        QVERIFY((kinds(made(dress_, plan), id) == std::vector{StepKind::MakeFacing}));
        // One that finds no room once all is altered is what she takes out, by its name; the rest is drawn.
        Plan tight = plan_;
        tight.make_up.facings = {{{"front", EdgeRole::Armhole}, Length::mm(60)}};
        QVERIFY(made(dress_, tight).not_made.empty());
        tight.decide({Kind::ShoulderLength, Answer::Accepted, -Length::mm(60)});
        tight.decide({Kind::NeckSize, Answer::Accepted, Length::mm(15)});
        const auto late = made(dress_, tight);
        QVERIFY(late.not_made.size() == 1 && late.not_made[0].piece == id && late.not_done.empty());
        QCOMPARE(kinds(late, "lining-front").back(), StepKind::DrawFacing);
        // Worked out again from before, it is said once.
        Work again = late.work;
        again.plan.decide({Kind::NeckSize, Answer::Accepted, Length::mm(18)});
        QCOMPARE(need(recompute(need(recompute(late, late.work)), again)).not_made.size(), std::size_t{1});
        // An edge that is not there, one made twice: said, the rest is done.
        plan.make_up.facings = {{{"front", EdgeRole::Waist}, Length::mm(50)},
                                {{"cape", EdgeRole::Neck}, Length::mm(50)},
                                {{"back", EdgeRole::Hem}, Length::mm(50)},
                                {{"back", EdgeRole::Armhole}, Length::mm(50)},
                                {{"back", EdgeRole::Armhole}, Length::mm(60)}};
        const auto c = made(dress_, plan);
        QCOMPARE(c.not_made.size(), std::size_t{3});
        QVERIFY(c.not_made[0].why.why == Why::NothingToSewTo);
        QVERIFY(c.not_made[1].why.why == Why::NothingToSewTo);
        QVERIFY(c.not_made[2].why.why == Why::PieceThere);
        QVERIFY(find_piece(c.altered.pieces, std::string{"waist-facing-front"}));
        QVERIFY(find_piece(c.altered.pieces, std::string{"armhole-facing-back"}));
    }
    // Lace gathered: twice the edge. Common practice.
    void a_frill_brought_in_is_twice_the_edge_whatever_becomes_of_it()
    {
        Plan plan = plan_;
        const std::vector<SeamSide> hem{{"skirt-front", EdgeRole::Hem}, {"skirt-back", EdgeRole::Hem}};
        plan.make_up.brought = {brought(strip(700, 90, EdgeRole::Hem), hem, 2)};
        const auto twice_the_hem = [&](const Computed& c) {
            const double around = side_length(c.altered.pieces, hem).in_mm();
            return std::abs(straight_across(edge(piece(c, "frill"), EdgeRole::Hem).curve) - 2 * around);
        };
        const auto as_drawn = made(dress_, plan);
        QVERIFY(walks(as_drawn) && as_drawn.not_made.empty());
        QVERIFY(twice_the_hem(as_drawn) < 0.1);
        const auto done = kinds(as_drawn, "frill");
        QVERIFY(done.size() == 3 && done[0] == StepKind::TraceBrought && done[1] == StepKind::CutBand);
        QVERIFY(std::count(done.begin(), done.end(), StepKind::SpreadBand) == 1);
        plan.decide({Kind::WidthAtHip, Answer::Accepted, Length::mm(32)});
        const auto wider = made(dress_, plan);
        QVERIFY(walks(wider) && twice_the_hem(wider) < 0.1);
        QVERIFY(kinds(wider, "frill").size() == 5);
        // Too long is overlapped; a shaped one stays, and the walk says by how much it differs.
        plan.make_up.brought = {brought(strip(3000, 90, EdgeRole::Hem), hem, 1)};
        QVERIFY(walks(made(dress_, plan)));
        Piece curved = strip(300, 90, EdgeRole::Neck);
        curved.edges[0].curve = cubic({0, 0}, {100, -30}, {200, -30}, {300, 0});
        plan.make_up.brought = {brought(curved, {{"front", EdgeRole::Neck}, {"back", EdgeRole::Neck}}, 1)};
        const auto collar = made(dress_, plan);
        QVERIFY(collar.not_made.empty());
        QVERIFY(is_near(sewn_length(piece(collar, "frill"), EdgeRole::Neck), length(curved.edges[0].curve),
                        Length::mm(1e-6)));
        const auto walk = std::find_if(collar.checks.walks.begin(), collar.checks.walks.end(),
                                       [](const auto& w) { return w.seam == "frill"; });
        QVERIFY(walk != collar.checks.walks.end() && !walk->holds);
        // Sewn to nothing, called like another, or not read: said.
        plan.make_up.brought = {brought(strip(300, 90, EdgeRole::Hem), {{"front", EdgeRole::Hem}}, 1)};
        QVERIFY(made(dress_, plan).not_made.at(0).why.why == Why::NothingToSewTo);
        plan.make_up.brought = {brought(strip(700, 90, EdgeRole::Hem), hem, 1),
                                brought(strip(700, 90, EdgeRole::Hem), hem, 1)};
        QVERIFY(made(dress_, plan).not_made.at(0).why.why == Why::PieceThere);
        plan.make_up.brought = {brought({}, hem, 1)};
        QVERIFY(made(dress_, plan).not_made.at(0).why.why == Why::FileUnreadable);
    }
    // Worked by hand: a button of 18 lies 15 past the centre (half of it and 6); from the neckline 15 down to 15
    // above the waist, about 80 apart.
    void the_opening_goes_from_the_back_to_the_front()
    {
        QVERIFY(is_near(overlap_for(Length::mm(18)), Length::mm(15), Length::mm(1e-9)));
        Plan plan = plan_;
        const auto before = made(dress_, plan);
        for (const char* id : {"front", "skirt-front"}) QVERIFY(on_fold(piece(before, id)));
        plan.make_up.opening = MovedOpening{PieceRole::Front, piece_most, Length::mm(15), Length::mm(80)};
        Pattern zipped = dress_;
        for (auto& s : zipped.sizes) {
            for (auto& p : s.pieces) {
                if (p.role == PieceRole::Back) p.opening = piece_most;
            }
        }
        const auto c = made(zipped, plan);
        QVERIFY(walks(c) && c.not_made.empty());
        for (const char* id : {"front", "skirt-front"}) {
            const Piece& p = piece(c, id);
            const Edge& centre = edge(p, EdgeRole::Centre);
            QVERIFY(!centre.on_fold && p.cut == 2 && p.opening == piece_most);
            const Length sewn =
                std::max(edge(p, EdgeRole::Waist).allowance,
                         edge(p, std::string{id} == "front" ? EdgeRole::Neck : EdgeRole::Hem).allowance);
            QVERIFY(is_near(centre.allowance, Length::mm(15) + sewn, Length::mm(1e-9)));
            // The centre stays where it was: buttons stand on it.
            QVERIFY(same_edges(p, piece(before, id), EdgeRole::Centre));
            const auto buttons = button_places(p);
            const double tall = length(centre.curve).in_mm();
            QCOMPARE(buttons.size(), std::size_t(std::round((tall - 30) / 80)) + 1);
            const Point top = centre.curve.finalPoint();
            for (std::size_t i = 0; i < buttons.size(); ++i) {
                const double down = 15 + (tall - 30) * double(i) / double(buttons.size() - 1);
                QVERIFY(Geom::distance(buttons[i], top + Point{0, -down}) < 0.05);
            }
        }
        // The back's centre is straight along the grain: it goes on the fold, and its facing with it.
        for (const char* id : {"back", "skirt-back"}) {
            QVERIFY(on_fold(piece(c, id)) && piece(c, id).cut == 1 && piece(c, id).opening == Length{});
            QVERIFY(edge(piece(c, id), EdgeRole::Centre).allowance == Length{});
        }
        QVERIFY(on_fold(piece(c, "lining-back")) && piece(c, "lining-back").cut == 1);
        QVERIFY(!on_fold(piece(c, "lining-front")) && piece(c, "lining-front").cut == 2);
        QCOMPARE(kinds(c, "skirt-back").back(), StepKind::FoldCentre);
        QCOMPARE(kinds(c, "front").back(), StepKind::OpenCentre);
        for (const auto& g :
             goes_on(made(zipped, plan, body_of({{Measure::HighBust, 860}, {Measure::Bust, 900}}))))
            if (g.there) QVERIFY(*g.there >= piece_most);
        // So far down and no farther: the skirt stays on its fold.
        plan.make_up.opening->length = Length::mm(250);
        const auto part = made(zipped, plan);
        QVERIFY(piece(part, "front").opening == Length::mm(250) && on_fold(piece(part, "skirt-front")));
        const auto buttons = button_places(piece(part, "front"));
        const Point top = edge(piece(part, "front"), EdgeRole::Centre).curve.finalPoint();
        QVERIFY(Geom::distance(buttons.back(), top + Point{0, -235}) < 0.05);
        // What opened farther down is sewn, where it is made shorter on the same side.
        for (auto& s : zipped.sizes) {
            Piece& p = *find_piece(s.pieces, PieceRole::Back);
            p.overlap = Length::mm(10);
            p.edges[*edge_index(p, EdgeRole::Centre)].allowance = Length::mm(25);
        }
        plan.make_up.opening = MovedOpening{PieceRole::Back, Length::mm(250), Length::mm(15), Length::mm(80)};
        const auto shorter = made(zipped, plan);
        QVERIFY(piece(shorter, "skirt-back").opening == Length{} && !on_fold(piece(shorter, "skirt-back")));
        // 10 of the 25 lay past the centre already: 15 of overlap and 15 to sew with.
        QVERIFY(
            is_near(edge(piece(shorter, "back"), EdgeRole::Centre).allowance, Length::mm(30), Length::mm(1e-9)));
        // Edge to edge: nothing past the centre but the allowance, and no buttons.
        plan.make_up.opening = MovedOpening{PieceRole::Front, piece_most};
        const auto edge_to_edge = made(zipped, plan);
        QVERIFY(edge(piece(edge_to_edge, "front"), EdgeRole::Centre).allowance ==
                edge(piece(edge_to_edge, "front"), EdgeRole::Neck).allowance);
        QVERIFY(button_places(piece(edge_to_edge, "front")).empty());
    }
    void its_facings_come_and_go_with_it()
    {
        QVERIFY(button_for(overlap_for(Length::mm(18))) == Length::mm(18) && button_for({}) == Length{});
        const auto pieces = made(dress_, plan_).altered.pieces;
        MakeUp other;
        other.facings = {{{"front", EdgeRole::Armhole}, Length::mm(40)}};
        const MovedOpening all{PieceRole::Front, piece_most, Length::mm(15), Length::mm(80)};
        const auto faced_all = with_opening(other, all, pieces, Length::mm(60));
        QCOMPARE(faced_all.facings.size(), std::size_t{3});
        const auto so_far = with_opening(faced_all, {PieceRole::Front, Length::mm(250)}, pieces, Length::mm(60));
        QVERIFY(so_far.facings.size() == 2 && so_far.facings.back().from == (SeamSide{"front", EdgeRole::Centre}));
        QVERIFY(with_opening(faced_all, all, pieces, {}).facings == other.facings);
        QVERIFY(without_opening(faced_all) == other);
    }
    void a_centre_that_leans_stays_a_seam()
    {
        Pattern p = dress_;
        for (auto& s : p.sizes) {
            Piece& back = *find_piece(s.pieces, PieceRole::Back);
            back.opening = piece_most;
            auto& centre = back.edges[*edge_index(back, EdgeRole::Centre)].curve;
            const Point a = centre.initialPoint();
            const Point b = centre.finalPoint();
            centre = cubic(a, a + (b - a) / 3 + Point{-4, 0}, a + (b - a) * (2.0 / 3) + Point{-4, 0}, b);
        }
        Plan plan = plan_;
        plan.make_up.opening = MovedOpening{PieceRole::Front, piece_most, Length::mm(15), Length::mm(80)};
        const auto c = made(*check_pattern(p), plan);
        QVERIFY(!on_fold(piece(c, "back")) && piece(c, "back").opening == Length{});
        QCOMPARE(kinds(c, "back").back(), StepKind::SewCentre);
    }
    // A collar stand on the fold behind, its ends in front: with the opening behind it is the other way about.
    void a_neckband_parts_at_the_new_centre()
    {
        Pattern p = dress_;
        for (auto& s : p.sizes) {
            const auto neck = [&](const char* id) {
                return sewn_length(*find_piece(s.pieces, std::string{id}), EdgeRole::Neck).in_mm();
            };
            const double whole = neck("back") + neck("front");
            Piece band = strip(whole, 35, EdgeRole::Neck);
            band.id = band.name = "neckband";
            band.edges.back().on_fold = true;  // at x = 0
            band.edges.back().allowance = {};
            band.notches = {{{neck("back"), 35}, EdgeRole::Neck, 1}};
            s.pieces.push_back(band);
            find_piece(s.pieces, PieceRole::Front)->opening = piece_most;
        }
        p.seams.push_back({"neckband",
                           {{"back", EdgeRole::Neck}, {"front", EdgeRole::Neck}},
                           {{"neckband", EdgeRole::Neck}},
                           {},
                           Follow::Length});
        p = need(check_pattern(p));
        Plan plan = plan_;
        const auto notch = [](const Computed& c) {  // from the fold
            const Piece& band = piece(c, "neckband");
            return Geom::distance(band.notches.front().at, edge(band, EdgeRole::Neck).curve.initialPoint());
        };
        const auto neck = [](const Computed& c, const char* id) {
            return sewn_length(piece(c, id), EdgeRole::Neck).in_mm();
        };
        const auto before = made(p, plan);
        QVERIFY(near(notch(before), neck(before, "back"), 0.01));
        plan.make_up.opening = MovedOpening{PieceRole::Back, piece_most, Length::mm(15)};
        const auto after = made(p, plan);
        QVERIFY(walks(after) && after.not_made.empty());
        QVERIFY(near(notch(after), neck(after, "front"), 0.01));
        QCOMPARE(kinds(after, "neckband").back(), StepKind::PartBand);
        QVERIFY(edge(piece(after, "neckband"), EdgeRole::Neck).on_fold == false);
        // The notch goes with the shoulder, whatever is done to front and back apart.
        plan.decide({Kind::NeckForward, Answer::Accepted, Length::mm(8)});
        const auto forward = made(p, plan);
        QVERIFY(walks(forward));
        QVERIFY(neck(forward, "front") < neck(after, "front") - 2 &&
                neck(forward, "back") > neck(after, "back") + 2);
        QVERIFY(near(notch(forward), neck(forward, "front"), 0.05));
        plan.decide({Kind::NeckSize, Answer::Accepted, Length::mm(24)});
        const auto wider = made(p, plan);
        QVERIFY(walks(wider));
        QVERIFY(near(notch(wider), neck(wider, "front"), 0.05));
    }
    // A lining cut as the skirt, its hem 25 shorter: drawn anew from the altered piece, and as much shorter.
    void a_lining_is_drawn_anew_from_the_whole_piece()
    {
        Pattern p = dress_;
        for (auto& s : p.sizes) {
            for (const std::string id : {"skirt-front", "skirt-back"}) {
                Piece lining = need(hem_moved(*find_piece(s.pieces, id), -Length::mm(25)));
                lining.id = lining.name = "lined-" + id;
                lining.role = PieceRole::Other;
                lining.part.reset();
                s.pieces.push_back(std::move(lining));
            }
        }
        for (const std::string id : {"skirt-front", "skirt-back"})
            p.seams.push_back(
                {"lined-" + id, {{id, EdgeRole::Waist}}, {{"lined-" + id, EdgeRole::Waist}}, {}, Follow::Whole});
        p = need(check_pattern(p));
        Plan plan = plan_;
        QVERIFY(kinds(made(p, plan), "lined-skirt-front").size() == 1);  // traced, and no more
        plan.decide({Kind::WidthAtHip, Answer::Accepted, Length::mm(40)});
        plan.decide({Kind::WaistToHip, Answer::Accepted, Length::mm(18)});
        plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(24)});
        const auto c = made(p, plan);
        QVERIFY(walks(c) && c.not_done.empty());
        for (const std::string id : {"skirt-front", "skirt-back"}) {
            const Piece& on = piece(c, id);
            const Piece& lining = piece(c, "lined-" + id);
            QCOMPARE(kinds(c, "lined-" + id).back(), StepKind::DrawLining);
            const Curve shorter = edge(lining, EdgeRole::Side).curve;
            QVERIFY(is_near(length(edge(on, EdgeRole::Side).curve) - length(shorter), Length::mm(25),
                            Length::mm(0.1)));
            for (const auto& q : flattened(shorter, Length::mm(0.5)))
                QVERIFY(nearest(edge(on, EdgeRole::Side).curve, q).off < 0.05);
            QVERIFY(lining.role == PieceRole::Other && !lining.part);
        }
        // One that was cut otherwise is not guessed at.
        for (auto& s : p.sizes) {
            for (auto& x : s.pieces) {
                if (x.id == "lined-skirt-front") x = moved(x, Geom::Scale(1.02, 1));
            }
        }
        const auto other = made(p, plan);
        QVERIFY(other.line(Kind::Facings)->state == LineState::Refused);
        QVERIFY(other.line(Kind::Facings)->refusal->why == Why::LiningDiffers);
    }
    // The same whether it is worked out from nothing or from what was computed before.
    void it_is_worked_out_anew_where_it_changes()
    {
        const auto chart = chart_for(dress_);
        Plan plan = plan_;
        plan.decide({Kind::NeckSize, Answer::Accepted, Length::mm(15)});
        auto was = need(recompute(need(compute(dress_, chart, {}, plan)), work_of(dress_, chart, {}, plan)));
        plan.make_up.facings = {{{"back", EdgeRole::Armhole}, Length::mm(45)}};
        plan.make_up.left_out = {"lining-back"};
        Work work = was.work;
        work.plan = plan;
        const auto now = need(recompute(was, work));
        const auto fresh = made(dress_, plan);
        QCOMPARE(now.altered.pieces.size(), fresh.altered.pieces.size());
        for (std::size_t i = 0; i < fresh.altered.pieces.size(); ++i)
            QVERIFY(same_paper(now.altered.pieces[i], fresh.altered.pieces[i]));
        QCOMPARE(now.steps.size(), fresh.steps.size());
        // Taken out again it is as bought.
        plan.make_up = taken_out(taken_out(plan.make_up, "armhole-facing-back"), "lining-back");
        QVERIFY(plan.make_up.empty());
    }
};
SARTORUM_TEST(TestMakeUp)

}  // namespace test_make_up

#include "test_make_up.moc"
