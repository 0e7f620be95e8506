// A try-on as it is kept, from one toile to the next, into the plan, and the gate before good cloth.
#include <QTest>
#include <cmath>

#include "core/alter/frame/rows.h"
#include "core/fitting/amounts.h"
#include "core/fitting/from_hands.h"
#include "core/fitting/gate.h"
#include "core/fitting/into_plan.h"
#include "core/fitting/next_toile.h"
#include "core/fitting/photo.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/plan/sewn_plan.h"
#include "near.h"
#include "tests.h"
#include "tops.h"
#include "trousers_bench.h"

namespace test_toile {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;
using S = Sight;

const std::string today = "2026-11-14";

Note note(S s, std::optional<Side> side = {}, Strength strength = Strength::Clear)
{
    return {{s, strength, side}, Moment::Standing, Since::New, {}, {}};
}

TryOn toile(std::initializer_list<Note> notes)
{
    TryOn t;
    t.date = today;
    t.notes = notes;
    return t;
}

const CauseFacts& cause(Kind kind, int sign, Face face = Face::Both, std::size_t method = 0)
{
    const auto* f = facts(Cause{kind, sign, face, method});
    if (!f) qFatal("no such cause");
    return *f;
}

// Of a plan as it was worn.
ForPlan put(const CauseFacts& f, const TryOn& t, const Computed& c)
{
    return for_plan(f, observed(t, known_of(c)), c, c, t.date);
}

std::vector<FromHands> by_hand(const TryOn& t, const Computed& c)
{
    return from_hands(t, c, c);
}

double mm(std::optional<Length> l)
{
    return l ? l->in_mm() : 999;
}

struct Legs {
    TrousersBench b = lockgate_bench();
    Plan plan() const { return b.plan; }
    Computed operator()(const Plan& p) const
    {
        TrousersBench other = b;
        other.plan = p;
        return other();
    }
};

Computed again(const Bench& b, const Computed& before, const Decision& d)
{
    Plan p = before.work.plan;
    p.decide(d);
    return b(p);
}

}  // namespace

class TestToile : public QObject {
    Q_OBJECT
private slots:
    void words_are_kept_forever()
    {
        for (int i = 0; i < 6; ++i) QCOMPARE(put_on_of_key(key(static_cast<PutOn>(i))), static_cast<PutOn>(i));
        for (int i = 0; i < 4; ++i) {
            QCOMPARE(moment_of_key(key(static_cast<Moment>(i))), static_cast<Moment>(i));
            QCOMPARE(photo_view_of_key(key(static_cast<PhotoView>(i))), static_cast<PhotoView>(i));
        }
        for (int i = 0; i < 5; ++i) QCOMPARE(since_of_key(key(static_cast<Since>(i))), static_cast<Since>(i));
        for (std::size_t i = 0; i < guideline_count; ++i)
            QCOMPARE(guideline_of_key(key(static_cast<Guideline>(i))), static_cast<Guideline>(i));
        for (std::size_t i = 0; i < by_hand_count; ++i)
            QCOMPARE(by_hand_of_key(key(static_cast<ByHand>(i))), static_cast<ByHand>(i));
        QVERIFY(!put_on_of_key("hat") && !since_of_key(""));
    }
    void what_is_gone_speaks_for_nothing()
    {
        TryOn t = toile({note(S::TipStandsOff), note(S::FoldsNeckToUnderarm)});
        t.notes[0].since = Since::Gone;
        const auto o = observed(t, {});
        QCOMPARE(o.seen.size(), std::size_t{1});
        QCOMPARE(o.seen[0].sight, S::FoldsNeckToUnderarm);
    }
    void the_last_toile_s_sights_are_asked_again_once_each()
    {
        const TryOn first = toile(
            {note(S::TipStandsOff, Side::Left), note(S::WaistHigh), note(S::TightHip, {}, Strength::Slight)});
        TryOn second;
        QCOMPARE(asked_again(first, second).size(), std::size_t{3});
        second.notes = {seen_again(first.notes[0], Since::Less), seen_again(first.notes[1], Since::Gone)};
        QCOMPARE(second.notes[0].seen.strength, Strength::Slight);
        const auto left = asked_again(first, second);
        QCOMPARE(left.size(), std::size_t{1});
        QCOMPARE(left[0].seen.sight, S::TightHip);
        // On the other side it is another sight; what was gone is not asked for a third time.
        TryOn third;
        third.notes = {note(S::TipStandsOff, Side::Right)};
        const auto of_second = asked_again(second, third);
        QCOMPARE(of_second.size(), std::size_t{1});
        QCOMPARE(of_second[0].seen.side, std::optional{Side::Left});
        second.notes.push_back(note(S::LooseHip));
        const auto t = tally(second);
        QVERIFY(t.fresh == 1 && t.less == 1 && t.same == 0 && t.gone == 1 && t.here() == 2);
    }
    void what_was_not_put_on_says_nothing()
    {
        const auto c = bench(with_sleeve(plain_bodice()))(plan_at("14"));
        const auto can = [&](PutOn what, Kind kind, int sign) {
            return within(what, can_be_on(c))(cause(kind, sign));
        };
        QVERIFY(can(PutOn::Whole, Kind::WidthAtWaist, 1) && !can(PutOn::Shoulders, Kind::WidthAtWaist, 1));
        QVERIFY(can(PutOn::Shoulders, Kind::ShoulderSlope, -1) && can(PutOn::Shoulders, Kind::UpperArm, 1));
        QVERIFY(can(PutOn::Sleeve, Kind::CapHeight, 1) && !can(PutOn::Sleeve, Kind::Bust, 1));
        QVERIFY(can(PutOn::Skirt, Kind::WidthAtWaist, 1) && !can(PutOn::Skirt, Kind::Bust, 1));
        QVERIFY(!can(PutOn::Whole, Kind::BodyRise, 1));  // not on this garment
    }
    void an_answer_and_a_finding_stand_in_place_of_the_one_before()
    {
        TryOn t;
        note_answer(t, {SmallTest::PinchTips, false, {}});
        note_answer(t, {SmallTest::PinchTips, true, Length::mm(9)});
        QCOMPARE(t.answers.size(), std::size_t{1});
        QVERIFY(t.answers[0].yes);
        note_found(t, {ByHand::Offcut, "tip", Face::Front, {}, Length::mm(30)});
        note_found(t, {ByHand::Offcut, "tip", Face::Front, Side::Left, Length::mm(33)});
        QCOMPARE(t.found.size(), std::size_t{2});
        note_found(t, {ByHand::Offcut, "tip", Face::Front, {}, Length::mm(31)});
        QCOMPARE(t.found.size(), std::size_t{1});  // said of both again
    }

    // Into the plan.
    void a_cause_takes_what_the_plan_has_and_more()
    {
        const auto b = bench();
        const auto c = b(plan_at("14"));
        const TryOn t = toile({note(S::FoldsNeckToUnderarm), note(S::TipStandsOff)});
        const auto one = put(cause(Kind::ShoulderSlope, -1), t, c);
        QCOMPARE(one.not_put, NotPut::No);
        QCOMPARE(one.from, AmountFrom::FirstStep);
        QCOMPARE(one.after.in_mm(), -6.0);
        QCOMPARE(one.decision.seen_on, today);
        const auto then = again(b, c, one.decision);
        QCOMPARE(then.line(Kind::ShoulderSlope)->amount.in_mm(), -6.0);
        QCOMPARE(then.line(Kind::ShoulderSlope)->seen_on, today);
        TryOn pinched = t;
        note_answer(pinched, {SmallTest::PinchTips, true, Length::mm(4)});
        const auto two = put(cause(Kind::ShoulderSlope, -1), pinched, then);
        QCOMPARE(two.before.in_mm(), -6.0);
        QVERIFY(two.after < two.before);
        QCOMPARE(two.from, AmountFrom::Pinch);
        // At the neck ends it would be the other way of the same adjustment.
        QCOMPARE(
            put(cause(Kind::ShoulderSlope, -1, Face::Both, std::size_t(SlopeMethod::NeckEnds)), t, then).not_put,
            NotPut::OtherWay);
        // More than the adjustment can be given: nothing is put.
        const auto most = again(b, c, {Kind::ShoulderSlope, Answer::Accepted, -shoulder_slope_limit});
        QCOMPARE(put(cause(Kind::ShoulderSlope, -1), t, most).not_put, NotPut::AtMost);
    }
    // What is shown is what goes in: of the face and the side it is about; all that was decided before stays, and
    // what was not on the paper does not come onto it.
    void what_is_put_in_is_what_is_shown_and_nothing_else()
    {
        const auto b = bench();
        int put_in = 0;
        for (const int begun : {0, 1, 2}) {
            Plan plan = plan_at("14");
            if (begun == 1) {
                Decision length{Kind::BodiceLength, Answer::Accepted};
                length.set({Face::Back}, Length::mm(-1));
                plan.decide(length);
                plan.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(-4), Length::mm(-2)});
            }
            BodySet body;
            if (begun == 2)
                body = body_of({{Measure::Bust, 1010}, {Measure::Waist, 800}, {Measure::CrossShoulder, 380}});
            const auto c = b(plan, body);
            for (const auto& f : all_causes()) {
                for (const auto& t :
                     {toile({note(S::FoldsNeckToUnderarm)}), toile({note(S::FoldsNeckToUnderarm, Side::Left)})}) {
                    const auto into = put(f, t, c);
                    if (into.not_put != NotPut::No) continue;
                    ++put_in;
                    const auto kind = into.decision.kind;
                    Work work = c.work;
                    work.plan.decide(into.decision);
                    const auto then = compute(work);
                    QVERIFY(then.has_value());
                    const auto& was = *c.line(kind);
                    const auto& is = *then->line(kind);
                    if (is.state != LineState::Accepted) continue;  // refused, and said
                    const char* name = adjustment(kind).key.data();
                    const bool apart = adjustment(kind).acts_on == ActsOn::Apart;
                    if (adjustment(kind).places.empty()) {
                        const bool left = into.side == Side::Left && then->left_of(is);
                        const auto& of = left ? *then->left_of(is) : is;
                        const bool back = apart && f.cause.face == Face::Back;
                        QVERIFY2(is_near(back ? of.back : of.amount, into.after, Length::mm(0.05)), name);
                    }
                    const auto before = [&](Face face) { return done_on(&was, face); };
                    if (apart && f.cause.face == Face::Front && !into.side)
                        QVERIFY2(is_near(is.back, before(Face::Back), Length::mm(1e-6)), name);
                    if (apart && f.cause.face == Face::Back && !into.side)
                        QVERIFY2(is_near(is.amount, before(Face::Front), Length::mm(1e-6)), name);
                    for (const auto& d : c.work.plan.decisions) {
                        if (d.kind != kind) QVERIFY2(*then->work.plan.decision(d.kind) == d, name);
                    }
                }
            }
        }
        QVERIFY2(put_in > 60, qPrintable(QString::number(put_in)));
    }
    // Seen before the plan took it up: nothing more of it until a body has worn that.
    void what_the_plan_took_up_since_waits_for_the_next_toile()
    {
        const auto b = bench();
        const auto worn = b(plan_at("14"));
        const TryOn t = toile({note(S::FoldsNeckToUnderarm), note(S::TipStandsOff)});
        const auto o = observed(t, known_of(worn));
        const auto first = for_plan(cause(Kind::ShoulderSlope, -1), o, worn, worn, today);
        const auto now = again(b, worn, first.decision);
        const auto second = for_plan(cause(Kind::ShoulderSlope, -1), o, worn, now, today);
        QCOMPARE(second.not_put, NotPut::Since);
        QCOMPARE(second.after, now.line(Kind::ShoulderSlope)->amount);
        // What hands found is counted from what was worn, however often it is put.
        TryOn dots = t;
        note_found(dots, {ByHand::BustDot, "down", Face::Both, {}, Length::mm(18)});
        const auto once = from_hands(dots, worn, worn)[0].decision;
        const auto then = again(b, worn, once);
        QCOMPARE(mm(from_hands(dots, worn, then)[0].decision.amount()), 18.0);
    }
    // What was done since the toile before and helped is likelier to be wanted again; what did not help, less.
    void what_changed_since_the_toile_before_is_known()
    {
        const auto b = bench();
        const auto before = b(plan_at("14"));
        const auto worn = again(b, before, {Kind::ShoulderSlope, Answer::Accepted, Length::mm(-6)});
        const Cause slope{Kind::ShoulderSlope, -1};
        const auto known = [&](Since since) {
            TryOn t = toile({note(S::TipStandsOff)});
            t.notes[0].since = since;
            for (const auto& k : known_of(worn, &before, t)) {
                if (k.cause == slope) return k.what;
            }
            return Known::Proposed;
        };
        QCOMPARE(known(Since::Less), Known::Helped);
        QCOMPARE(known(Since::Same), Known::HelpedNot);
        QCOMPARE(known(Since::New), Known::TakenUp);
        const auto likely_with = [&](Known what) {
            Observed o = observed(toile({note(S::FoldsNeckToUnderarm)}), {{slope, what}});
            for (const auto& r : ranked(o, can_be_on(worn))) {
                if (r.cause && r.cause->cause == slope) return r.probability;
            }
            return 0.0;
        };
        QVERIFY(likely_with(Known::Helped) > likely_with(Known::TakenUp));
        QVERIFY(likely_with(Known::HelpedNot) < likely_with(Known::TakenUp));
    }
    void what_was_seen_on_one_side_is_put_on_that_side()
    {
        const auto b = bench();
        const auto c = b(plan_at("14"));
        const TryOn left = toile({note(S::FoldsNeckToUnderarm, Side::Left), note(S::WaistHigh)});
        const auto f = put(cause(Kind::ShoulderSlope, -1), left, c);
        QCOMPARE(f.side, std::optional{Side::Left});
        const auto then = again(b, c, f.decision);
        const auto& l = *then.line(Kind::ShoulderSlope);
        QCOMPARE(l.amount.in_mm(), 0.0);
        QCOMPARE(then.left_of(l)->amount.in_mm(), -6.0);
        // On the right too: then on both; and what moves a centre is done on both by its nature.
        const TryOn both = toile({note(S::FoldsNeckToUnderarm, Side::Left), note(S::TipStandsOff, Side::Right)});
        QVERIFY(!put(cause(Kind::ShoulderSlope, -1), both, c).side);
        const TryOn back = toile({note(S::FoldsAcrossAboveSeat, Side::Left)});
        QVERIFY(!put(cause(Kind::SwayBack, -1), back, c).side);
    }
    void only_the_face_it_is_about_is_changed()
    {
        const Legs b;
        const auto c = b(b.plan());
        const TryOn t = toile({note(S::WaistPulledDown), note(S::FoldsToCrotchBehind)});
        const auto f = put(cause(Kind::CrotchWedge, 1, Face::Back), t, c);
        QCOMPARE(f.not_put, NotPut::No);
        QCOMPARE(mm(f.decision.of(Face::Both)), 0.0);
        QCOMPARE(mm(f.decision.back()), 10.0);
        // A waist that drops in front: all of it at the centre, half beside it, nothing from the side on.
        const auto w = put(cause(Kind::WaistLine, -1, Face::Front), toile({note(S::HemDownFront)}), c);
        QCOMPARE(mm(w.decision.at({}, "centre_front")), -10.0);
        QCOMPARE(mm(w.decision.at({}, "mid_front")), -5.0);
        QCOMPARE(mm(w.decision.at({}, "side")), 0.0);
        QCOMPARE(mm(w.decision.at({}, "centre_back")), 0.0);
    }
    void with_a_sewn_garment_only_what_can_be_done_is_offered()
    {
        const Legs b;
        const auto c = b(plan_as_sewn(b(b.plan())));
        const TryOn t = toile({note(S::FoldsToCrotchBehind), note(S::TightHip)});
        const auto can = can_be_on(c);
        QVERIFY(can(cause(Kind::CrotchWedge, 1, Face::Back)));  // it may be why, though paper is past
        const auto lowered = put(cause(Kind::CrotchWedge, 1, Face::Back), t, c);
        QCOMPARE(lowered.not_put, NotPut::No);
        QCOMPARE(lowered.decision.kind, Kind::SewnCrotch);
        QVERIFY(near(lowered.after.in_mm(), 10 / 1.4, 1e-6));
        QCOMPARE(put(cause(Kind::WidthAtHip, 1), t, c).decision.kind, Kind::SewnHipWidth);
        QCOMPARE(put(cause(Kind::BodyRise, -1), t, c).not_put, NotPut::WithThisGarment);
        for (const auto& f : all_causes()) {
            const auto out = put(f, t, c);
            QVERIFY(out.not_put != NotPut::No || adjustment(out.decision.kind).when_sewn);
        }
    }
    void every_cause_can_be_put_and_goes_its_way()
    {
        const auto top = bench(with_sleeve(plain_bodice()));
        const Legs legs;
        int put_in = 0;
        for (const auto& f : all_causes()) {
            for (const bool trousers : {false, true}) {
                const auto c = trousers ? legs(legs.plan()) : top(plan_at("14"));
                if (!can_be_on(c)(f)) continue;
                TryOn t = toile({});
                for (const auto s : f.often) t.notes.push_back(note(s));
                const auto out = put(f, t, c);
                QCOMPARE(out.not_put, NotPut::No);
                QVERIFY((out.after > out.before) == (f.cause.sign > 0));
                Plan p = c.work.plan;
                p.decide(out.decision);
                const auto then = trousers ? legs(p) : top(p);
                const auto* l = then.line(f.cause.kind);
                // Less bust than there is dart is more than this front carries, and says so.
                const bool carried = f.cause.kind != Kind::Bust || f.cause.sign > 0;
                QVERIFY2(l->state == (carried ? LineState::Accepted : LineState::Refused), key(f.cause).c_str());
                ++put_in;
            }
        }
        QVERIFY(put_in > 50);
    }
    void what_hides_another_waits_for_the_next_look()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        Plan p = plan_at("14");
        const TryOn t = toile({note(S::FoldsAcrossAboveSeat), note(S::TightHip), note(S::TightUpperArm)});
        const auto o = observed(t, {});
        const auto& hip = cause(Kind::BodiceLength, -1);
        QVERIFY(!waits_for_next(hip, o, p, today));
        Decision sway{Kind::SwayBack, Answer::Accepted, Length::mm(-8)};
        sway.seen_on = today;
        p.decide(sway);
        QVERIFY(waits_for_next(hip, o, p, today));                         // it explains the same folds
        QVERIFY(waits_for_next(cause(Kind::UpperArm, 1), o, p, today));    // and the sleeve is judged after
        QVERIFY(!waits_for_next(cause(Kind::SwayBack, -1), o, p, today));  // itself can be changed again
        QVERIFY(!waits_for_next(hip, o, p, "2026-12-01"));                 // on the next toile it no longer waits
        QVERIFY(!waits_for_next(hip, o, p, ""));
    }

    // What hands found.
    void offcuts_are_taken_less_the_extra_allowance()
    {
        const auto b = bench();
        const auto c = b(plan_at("14"));
        TryOn t = toile({});
        const auto strip = [&](const char* at, Face face, std::optional<Side> side, double beyond) {
            note_found(t, {ByHand::Offcut, at, face, side, toile_extra + Length::mm(beyond)});
        };
        for (const auto face : {Face::Front, Face::Back}) {
            strip("neck_end", face, {}, 0);
            strip("tip", face, {}, 1);
        }
        QVERIFY(by_hand(t, c).empty());  // as deep as the extra allowance: nothing changed
        strip("neck_end", Face::Front, {}, 5);
        strip("tip", Face::Back, Side::Right, 7);
        strip("tip", Face::Back, Side::Left, -4);
        const auto out = by_hand(t, c);
        QCOMPARE(out.size(), std::size_t{1});
        const auto& d = out[0].decision;
        QCOMPARE(d.kind, Kind::PinnedShoulder);
        QCOMPARE(d.seen_on, today);
        QVERIFY(near(mm(d.at(Side::Right, "front_neck_end")) + 5, 0, 1e-6));
        QVERIFY(near(mm(d.at(Side::Right, "back_tip")) + 7, 0, 1e-6));
        QVERIFY(near(mm(d.at(Side::Left, "back_tip")), 4, 1e-6));  // let out
        const auto then = again(b, c, d);
        QVERIFY(then.line(Kind::PinnedShoulder)->state == LineState::Accepted);
        // Once more on the next toile: from where it is now.
        const auto more = by_hand(t, then);
        QVERIFY(near(mm(more[0].decision.at(Side::Right, "back_tip")) + 14, 0, 1e-6));
    }
    void a_marked_waist_becomes_the_stations()
    {
        const Legs b;
        const auto c = b(b.plan());
        TryOn t = toile({});
        note_found(t, {ByHand::WaistMark, "centre_front", Face::Both, {}, Length::mm(-20)});
        note_found(t, {ByHand::WaistMark, "mid_front", Face::Both, {}, Length::mm(-12)});
        note_found(t, {ByHand::WaistMark, "side", Face::Both, Side::Left, Length::mm(6)});
        const auto out = by_hand(t, c);
        QCOMPARE(out.size(), std::size_t{1});
        const auto& d = out[0].decision;
        QCOMPARE(d.kind, Kind::WaistLine);
        QCOMPARE(mm(d.at({}, "centre_front")), -20.0);
        QCOMPARE(mm(d.at(Side::Right, "mid_front")), -12.0);
        QCOMPARE(mm(d.at(Side::Right, "side")), 0.0);
        QCOMPARE(mm(d.at(Side::Left, "side")), 6.0);
        // At a centre both sides meet: told of one side alone it is of both, and not lost.
        TryOn one;
        note_found(one, {ByHand::WaistMark, "centre_back", Face::Both, Side::Left, Length::mm(9)});
        QCOMPARE(mm(by_hand(one, c)[0].decision.at({}, "centre_back")), 9.0);
        // Sewn already: what was marked above it cannot be done with it, what was marked under it can.
        const auto sewn = b(plan_as_sewn(c));
        const auto with = by_hand(t, sewn);
        QCOMPARE(with[0].decision.kind, Kind::SewnWaist);
        QVERIFY(with[0].part_left && !out[0].part_left);
        QCOMPARE(mm(with[0].decision.at(Side::Left, "side")), 0.0);
    }
    void a_dot_and_a_seam_let_out_are_the_adjustments_own_amounts()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto c = b(plan_at("14"));
        TryOn t = toile({});
        note_found(t, {ByHand::BustDot, "down", Face::Both, {}, Length::mm(18)});
        note_found(t, {ByHand::BustDot, "out", Face::Both, {}, Length::mm(1)});
        note_found(t, {ByHand::LetOut, "upper_arm", Face::Both, {}, Length::mm(22)});
        note_found(t, {ByHand::LetOut, "thigh", Face::Both, {}, Length::mm(22)});
        const auto out = by_hand(t, c);
        QCOMPARE(out.size(), std::size_t{3});
        QCOMPARE(out[0].decision.kind, Kind::BustDepth);
        QCOMPARE(mm(out[0].decision.amount()), 18.0);
        QCOMPARE(out[1].decision.kind, Kind::UpperArm);
        QCOMPARE(out[2].not_put, NotPut::WithThisGarment);  // a top has no thigh
        // Each side by its own dot, in one decision.
        note_found(t, {ByHand::BustDot, "down", Face::Both, Side::Left, Length::mm(12)});
        const auto apart = again(b, c, by_hand(t, c)[0].decision);
        const auto* l = apart.line(Kind::BustDepth);
        QVERIFY(l->state == LineState::Accepted && apart.left_of(*l));
        QCOMPARE(mm(l->amount), 18.0);
        QCOMPARE(mm(apart.left_of(*l)->amount), 12.0);
    }

    // A tissue's dart, pinned where it wants to lie; the dot takes some of the way with it.
    void a_pinned_dart_becomes_an_adjustment_of_its_own()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto c = b(plan_at("14"));
        TryOn t = toile({});
        note_found(t, {ByHand::BustDart, "place", Face::Both, {}, Length::mm(12)});
        note_found(t, {ByHand::BustDart, "depth", Face::Both, Side::Left, Length::mm(7)});
        note_found(t, {ByHand::BustDart, "length", Face::Both, {}, Length::mm(-15)});
        const auto out = by_hand(t, c);
        QCOMPARE(out.size(), std::size_t{1});
        const Decision& d = out[0].decision;
        QCOMPARE(d.kind, Kind::PinnedBustDart);
        QCOMPARE(mm(d.at(Side::Right, "place")), 12.0);
        QCOMPARE(mm(d.at(Side::Left, "depth")), 7.0);
        QCOMPARE(mm(d.at(Side::Right, "depth")), 0.0);
        QCOMPARE(mm(d.at(Side::Left, "length")), -15.0);

        note_found(t, {ByHand::BustDot, "down", Face::Both, {}, Length::mm(9)});
        note_found(t, {ByHand::BustDot, "out", Face::Both, {}, Length::mm(6)});
        const auto both = by_hand(t, c);
        QCOMPARE(both.size(), std::size_t{3});
        QCOMPARE(both[2].decision.kind, Kind::PinnedBustDart);
        Plan plan = c.work.plan;
        for (const auto& f : both) plan.decide(f.decision);
        const auto then = b(plan);
        for (const auto kind : {Kind::BustDepth, Kind::BustSpan, Kind::PinnedBustDart})
            QCOMPARE(then.line(kind)->state, LineState::Accepted);
        // On the paper it lies where it was pinned, counted from the toile.
        const auto dart_of = [](const Garment& g) {
            const Piece front = front_of(part_view(g, PartKind::Upper));
            return front.darts[dart_at(front, *mouth_in(front, EdgeRole::Side))];
        };
        const Dart was = dart_of(c.altered);
        const Dart is = dart_of(then.altered);
        const auto middle = [](const Dart& x) { return (x.leg_a + x.leg_b) / 2; };
        const double down = Geom::distance(middle(was), middle(is));
        const double longer = Geom::distance(middle(is), is.tip) - Geom::distance(middle(was), was.tip);
        QVERIFY2(std::abs(down - 12) < 0.5, qPrintable(QString::number(down)));
        QVERIFY2(std::abs(longer + 15) < 0.5, qPrintable(QString::number(longer)));
    }
    void waist_darts_are_said_of_the_faces_that_have_some()
    {
        const Legs b;
        const auto c = b(b.plan());
        TryOn t = toile({});
        note_found(t, {ByHand::WaistDart, "depth", Face::Back, {}, Length::mm(6)});
        note_found(t, {ByHand::BustDart, "depth", Face::Both, {}, Length::mm(6)});
        const auto out = by_hand(t, c);
        QCOMPARE(out.size(), std::size_t{2});
        QCOMPARE(out[0].not_put, NotPut::WithThisGarment);  // trousers have no bust
        QCOMPARE(out[1].decision.kind, Kind::PinnedWaistDarts);
        QCOMPARE(mm(out[1].decision.at({}, "back_depth")), 6.0);
        QCOMPARE(mm(out[1].decision.at({}, "front_depth")), 0.0);
        QVERIFY(can_be_found(ByHand::WaistDart, "depth", Face::Back, c));
        QVERIFY(!can_be_found(ByHand::BustDart, "depth", Face::Both, c));
        const auto sewn = b(plan_as_sewn(c));
        QVERIFY(!can_be_found(ByHand::WaistDart, "depth", Face::Back, sewn));
        QCOMPARE(by_hand(t, sewn)[1].not_put, NotPut::WithThisGarment);
    }

    // The gate.
    void the_gate_says_what_moved_and_the_least_that_shows_it()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto c = b(plan_at("14"));
        // Looked at: green only when something was noted, or that there is nothing to see, and all of it is gone.
        TryOn bare = toile({});
        QVERIFY(!gate_before_cloth(&c, c, looked(bare, nullptr)).open());
        bare.nothing_to_see = true;
        QVERIFY(gate_before_cloth(&c, c, looked(bare, nullptr)).open());
        const TryOn seen = toile({note(S::FoldsNeckToUnderarm)});
        QCOMPARE(looked(toile({}), &seen).asked, std::size_t{1});
        QVERIFY(!gate_before_cloth(&c, c, looked(seen, nullptr)).open());
        QVERIFY(!gate_before_cloth(&c, c, looked(toile({note(S::TipStandsOff)}), &seen)).open());
        TryOn gone = toile({note(S::FoldsNeckToUnderarm)});
        gone.notes[0].since = Since::Gone;
        QVERIFY(gate_before_cloth(&c, c, looked(gone, &seen)).open());
        // Another way with the same amount, and other pieces, have not been on a body.
        {
            Plan tips = c.work.plan;
            tips.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(-6), {}, 0});
            Plan ends = tips;
            ends.decide({Kind::ShoulderSlope, Answer::Accepted, Length::mm(-6), {}, 1});
            const auto by_tips = b(tips);
            const auto other = gate_before_cloth(&by_tips, b(ends));
            QVERIFY(!other.open() && other.moved.size() == 1 && other.moved[0].other_way);
            Plan without = tips;
            without.make_up.left_out = {"sleeve"};
            const auto pieces = gate_before_cloth(&by_tips, b(without));
            QVERIFY(pieces.made_otherwise && pieces.moved.empty() && !pieces.same() && !pieces.open());
            QVERIFY(gate_before_cloth(&by_tips, b(tips)).same());
        }
        QVERIFY(gate_before_cloth(nullptr, c).never_seen);
        QVERIFY(gate_before_cloth(&c, c).open());
        const auto look = [&](std::initializer_list<Decision> ds) {
            Plan p = c.work.plan;
            for (const auto& d : ds) p.decide(d);
            return gate_before_cloth(&c, b(p));
        };
        const auto accepted = [](Kind k, double by) { return Decision{k, Answer::Accepted, Length::mm(by)}; };
        QCOMPARE(look({accepted(Kind::UpperArm, 20)}).look, NextLook::OneSleeve);
        QCOMPARE(look({accepted(Kind::ShoulderSlope, -8)}).look, NextLook::Shoulders);
        QCOMPARE(look({accepted(Kind::ShoulderSlope, -8), accepted(Kind::UpperArm, 20)}).look,
                 NextLook::Shoulders);
        QCOMPARE(look({accepted(Kind::BodiceLength, 12)}).look, NextLook::UpperPart);
        const auto small = look({accepted(Kind::ShoulderSlope, -3)});
        QVERIFY(small.open() && small.moved.size() >= 1 && small.moved[0].small);
        QCOMPARE(small.moved[0].kind, Kind::ShoulderSlope);
        QCOMPARE(small.moved[0].now.in_mm(), -3.0);
        QVERIFY(look({accepted(Kind::FinishedLength, 60)}).open());
        // What a body measured anew asks for and is proposed only is not on the paper.
        QVERIFY(gate_before_cloth(&c, b(c.work.plan, body_of({{Measure::Bust, 1010}}))).open());
        QCOMPARE(gate_before_cloth(&c, b(plan_at("16"))).look, NextLook::Whole);
        const Legs legs;
        const auto t = legs(legs.plan());
        Plan p = t.work.plan;
        p.decide(accepted(Kind::BodyRise, 10));
        const auto then = legs(p);
        QCOMPARE(gate_before_cloth(&t, then).look, NextLook::LowerPart);
        // Taken back it moved too.
        const auto back = gate_before_cloth(&then, t);
        QCOMPARE(back.moved.front().by().in_mm(), -10.0);
    }

    // On a photograph: a wearer drawn to scale, the camera turned by a known angle.
    void a_photograph_is_measured_as_it_was_drawn()
    {
        for (const double lean : {0.0, 1.7, -2.4}) {
            for (const auto view : {PhotoView::RightSide, PhotoView::LeftSide}) {
                const double front = view == PhotoView::LeftSide ? -1 : 1;
                constexpr double px_per_mm = 0.8;
                const double a = lean * M_PI / 180;
                // Millimetres, forwards and up, to the picture of a camera turned clockwise: all in it turns the
                // other way.
                const auto shot = [&](double forwards, double up) {
                    const double x = forwards * front * px_per_mm;
                    const double y = -up * px_per_mm;
                    return FigurePoint{700 + x * std::cos(a) + y * std::sin(a),
                                       1200 - x * std::sin(a) + y * std::cos(a)};
                };
                Photo p{view, {}};
                lay(p, {Guideline::KnownLength, shot(-300, 0), shot(-300, 1000), Length::mm(1000)});
                lay(p, {Guideline::Upright, shot(-300, 1300), shot(-300, 0), {}});
                lay(p, {Guideline::EarLine, shot(0, 1200), shot(0, 900), {}});
                lay(p, {Guideline::Seam, shot(-5, 1120), shot(-12, 1100), {}});
                const bool left_is_front = front < 0;
                const auto level = [&](Guideline g, double up_at_front, double up_at_back) {
                    const auto f = shot(150, up_at_front);
                    const auto k = shot(-150, up_at_back);
                    lay(p, {g, left_is_front ? f : k, left_is_front ? k : f, {}});
                };
                level(Guideline::Hem, 214, 200);
                level(Guideline::Hip, 500, 515);
                lay(p, {Guideline::Distance, shot(0, 0), shot(30, 40), {}});
                QVERIFY(near(turned(p).degrees, lean, 1e-6));
                const auto ear = behind_ear_line(p);
                QVERIFY(ear.has_value());
                QVERIFY(std::abs(ear->tip.value.in_mm() - 12) < 1e-6 &&
                        std::abs(ear->neck.value.in_mm() - 5) < 1e-6);
                QVERIFY(ear->tip.doubt > Length::mm(2) && ear->tip.doubt < Length::mm(6));
                QVERIFY(ear->tip.take() < ear->tip.value && ear->tip.take() > Length{});
                const auto hem = rise_of(p, Guideline::Hem);
                QVERIFY(near(hem->by->value.in_mm(), 14, 1e-6));
                QVERIFY(near(hem->degrees, std::atan2(14, 300) * 180 / M_PI, 1e-6));
                QVERIFY(rise_of(p, Guideline::Hip)->degrees < 0);
                QVERIFY(near(distance(p)->value.in_mm(), 50, 1e-6));
            }
        }
    }
    void nothing_is_said_without_a_scale_and_less_surely_without_an_upright_line()
    {
        Photo p{PhotoView::Front, {}};
        lay(p, {Guideline::Hem, {100, 500}, {400, 495}, {}});
        lay(p, {Guideline::Distance, {0, 0}, {30, 40}, {}});
        QVERIFY(!distance(p) && !scale_of(p) && !behind_ear_line(p));
        const auto hem = rise_of(p, Guideline::Hem);
        QVERIFY(hem && !hem->by && hem->degrees > 0);
        lay(p, {Guideline::Upright, {50, 0}, {50, 800}, {}});
        QVERIFY(rise_of(p, Guideline::Hem)->doubt < hem->doubt);
        lay(p, {Guideline::KnownLength, {0, 0}, {10, 0}, Length::mm(100)});
        QVERIFY(!scale_of(p));  // too short to trust
        QCOMPARE(WithDoubt({Length::mm(3), Length::mm(4)}).take().in_mm(), 0.0);
        QCOMPARE(WithDoubt({Length::mm(-12), Length::mm(4)}).take().in_mm(), -8.0);
    }
};
SARTORUM_TEST(TestToile)

}  // namespace test_toile

#include "test_toile.moc"
