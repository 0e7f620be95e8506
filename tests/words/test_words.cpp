// Every reason and every step has its sentence; the sentences keep to how the trade and the program speak.
#include <QRegularExpression>
#include <QTest>
#include <set>

#include "core/alter/frame/rows.h"
#include "princess_fronts.h"
#include "tests.h"
#include "words/lines.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/step_rows.h"
#include "words/words.h"

namespace test_words {

using namespace sartorum;
using namespace sartorum::test;

namespace {

Computed everything_done(double amount_mm)
{
    const auto p = graded_skirt();
    SizeChart chart{"c", "m", {}};
    for (std::size_t i = 0; i < p.sizes.size(); ++i) {
        const double step = 40.0 * double(i);
        chart.sizes.push_back({p.sizes[i].size,
                               {{Measure::Waist, Length::mm(640 + step)}, {Measure::Hip, Length::mm(880 + step)}},
                               0});
    }
    Plan plan = plan_in_sizes("12", "14");
    for (const auto& a : catalogue()) plan.decide({a.kind, Answer::Accepted, Length::mm(amount_mm)});
    return *compute(p, chart, {}, plan);
}

// Words that never stand in a sentence about a body or to a sewist.
const QStringList never{"problem", "flaw",    "fault",     "sorry",   "oops",
                        "ideal",   "too big", "too small", "slimmer", "!"};

void check_voice(const QString& sentence)
{
    QVERIFY(!sentence.trimmed().isEmpty());
    QVERIFY2(!sentence.contains("%1") && !sentence.contains("%2"), qPrintable(sentence));
    for (const auto& word : never) QVERIFY2(!sentence.contains(word, Qt::CaseInsensitive), qPrintable(sentence));
}

}  // namespace

class TestWords : public QObject {
    Q_OBJECT
private slots:
    void every_kind_of_step_has_one_row()
    {
        std::vector<int> rows(step_kind_count);
        for (const auto zone :
             {words::general_steps(), words::shoulder_steps(), words::lengths_steps(), words::widths_steps(),
              words::sleeve_steps(), words::legs_steps(), words::sewn_steps(), words::joins_steps()}) {
            for (const auto& row : zone) {
                ++rows[static_cast<std::size_t>(row.kind)];
                QVERIFY(row.title && row.detail && row.check);
            }
        }
        for (std::size_t k = 0; k < rows.size(); ++k)
            QVERIFY2(rows[k] == 1, qPrintable(QString{"step kind %1: %2 rows"}.arg(k).arg(rows[k])));
    }
    void every_refusal_has_a_sentence_with_a_remedy()
    {
        for (int w = 0; w <= static_cast<int>(Why::FileNotWritable); ++w) {
            const Refusal r{static_cast<Why>(w), "hip", Length::mm(12), Length::mm(1), Length::mm(9), 3};
            for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                const QString s = words::refusal(r, unit);
                check_voice(s);
                QVERIFY2(s.endsWith('.') || s.endsWith('?'), qPrintable(s));
            }
        }
    }
    // A toile of trousers hears nothing of necks, sleeves and bust points; nothing is cut or unpicked on the body.
    void a_toile_is_told_of_what_it_has()
    {
        const auto said = [](const std::vector<Piece>& pieces) {
            return words::toile_hints(NextLook::Whole, pieces).join(" ");
        };
        Piece front;
        front.part = PartKind::Trousers;
        front.role = PieceRole::Front;
        const QString legs = said({front});
        for (const char* word : {"neck", "armhole", "sleeve", "bust"}) QVERIFY2(!legs.contains(word), word);
        QVERIFY(legs.contains("lastic"));
        Piece upper = front;
        upper.part = PartKind::Upper;
        QVERIFY(said({upper}).contains("bust point"));
        QVERIFY(legs.contains("Take the toile off before"));
        for (const auto& f : all_small_tests()) {
            const QString test = words::small_test(f.test);
            check_voice(test);
            const bool blade =
                test.contains("slit") || test.contains("clip") || test.contains("Unpick", Qt::CaseInsensitive);
            QVERIFY2(!blade || test.contains("Take it off"), qPrintable(test));
        }
    }
    void a_row_of_the_plan_reads_the_same_wherever_it_stands()
    {
        for (const double mm : {0.0, 6.0, 900.0}) {
            const auto c = everything_done(mm);
            for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                for (const auto& line : c.lines) {
                    const auto said = words::plan_text(line, c, unit);
                    for (const auto& part : {said.name, said.amounts, said.meaning, said.why, said.state})
                        check_voice(part);
                    // One part: its name is not said.
                    QCOMPARE(said.name, words::adjustment_name(line.kind));
                    QCOMPARE(words::plan_sentence(line, c, unit),
                             said.name + ": " + said.amounts + ", " + said.why + ", " + said.state);
                }
                for (const auto& w : c.checks.walks) {
                    const auto s = words::walk_sentence(w, unit);
                    check_voice(s);
                    QVERIFY(s.contains(words::amount(w.a, unit)) && s.contains(words::amount(w.b, unit)));
                }
                for (std::size_t i = 0; i < c.steps.size(); ++i)
                    QVERIFY(words::step_sentence(ToldStep{.step = &c.steps[i]}, i, unit)
                                .startsWith(QString::number(i + 1) + ". "));
            }
        }
        for (const auto part : every_part) check_voice(words::part_name(part));
    }
    void every_step_of_a_top_can_be_found_on_paper()
    {
        BodiceFlat seam = plain_bodice();
        seam.back_seam = true;
        std::set<StepKind> seen;
        for (const auto& g : {bodice(plain_bodice()), bodice(seam), bodice(plain_tee())}) {
            for (const auto& entry : catalogue()) {
                if (!serves(entry, g)) continue;
                for (std::size_t m = 0; m < std::max<std::size_t>(1, entry.methods.size()); ++m) {
                    check_voice(words::adjustment_name(entry.kind));
                    check_voice(words::amount_meaning(entry.kind));
                    check_voice(words::limit_advice(entry.kind));
                    if (!entry.methods.empty()) {
                        check_voice(words::method_name(entry.kind, m));
                        check_voice(words::method_cost(entry.kind, m));
                    }
                    std::vector<Dose> doses{Length::mm(8), Length::mm(-8), Dose{Length::mm(6), Length::mm(2), 0}};
                    doses.push_back(Length{});
                    for (auto dose : doses) {
                        dose.method = m;
                        const auto done = entry.apply(g, dose);
                        if (!done) continue;
                        for (const auto& s : done->steps) {
                            seen.insert(s.kind);
                            for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                                check_voice(words::step_title(s, unit));
                                check_voice(words::step_detail(s, unit));
                            }
                        }
                    }
                }
            }
        }
        // Every kind of step a bodice knows was said; two only come with larger differences.
        for (int k = static_cast<int>(StepKind::DrawCorner); k <= static_cast<int>(StepKind::MarkDartTip); ++k) {
            const auto kind = static_cast<StepKind>(k);
            if (kind == StepKind::MatchShoulders) continue;
            QVERIFY2(seen.count(kind), qPrintable(QString{"step kind %1 never came"}.arg(k)));
        }
    }
    void the_lines_for_a_bust_lie_where_the_words_say()
    {
        // Measured here along the drawn edges in short chords.
        const auto along = [](const Curve& c, Point to) {
            double sum = 0;
            double best = 1e9;
            double at = 0;
            Point last = c.initialPoint();
            for (std::size_t k = 0; k < c.size_default(); ++k) {
                for (int i = 1; i <= 3000; ++i) {
                    const Point p = c[k].pointAt(i / 3000.0);
                    sum += Geom::distance(last, p);
                    last = p;
                    if (Geom::distance(p, to) < best) {
                        best = Geom::distance(p, to);
                        at = sum;
                    }
                }
            }
            return std::pair{at, sum};
        };
        const auto g = bodice(plain_bodice());
        for (const std::size_t way : {0u, 4u}) {
            const auto done = *adjustment(AdjustmentKind::Bust).apply(g, {Length::mm(30), way});
            int seen = 0;
            for (const auto& s : done.steps) {
                if (s.kind != StepKind::DrawBustLines || seen++ > 0) continue;
                const Piece& front = s.picture.panels.front();
                const auto [to, whole] = along(edge(front, EdgeRole::Armhole).curve, s.picture.lines[1].b);
                QVERIFY(is_near(s.place, Length::mm(whole - to), Length::mm(0.1)));
                const auto [down, all] = along(edge(front, EdgeRole::Side).curve, s.picture.lines[2].a);
                QVERIFY(is_near(s.second, Length::mm(down), Length::mm(0.1)));
                QVERIFY(
                    words::step_detail(s, Unit::Centimetre).contains(words::amount(s.place, Unit::Millimetre)));
            }
            QCOMPARE(seen, way == 4 ? 2 : 1);
        }
    }
    void a_dart_in_an_edge_that_is_drawn_anew_is_folded_first()
    {
        BodiceFlat flat = plain_bodice();
        flat.shoulder_dart = Length::mm(12);
        const auto g = bodice(flat);
        const auto done = *adjustment(AdjustmentKind::ShoulderSlope).apply(g, same(-6));
        for (const auto& s : done.steps) {
            if (s.kind != StepKind::RedrawShoulder) continue;
            const bool back = s.piece == find_piece(g.pieces, PieceRole::Back)->id;
            QCOMPARE(words::step_detail(s, Unit::Centimetre).startsWith("Fold the dart"), back);
        }
        const auto armhole = *adjustment(AdjustmentKind::AcrossFront).apply(g, same(-4));
        for (const auto& s : armhole.steps) QVERIFY(!runs_over_a_dart(s));
    }
    void every_step_of_sleeves_widths_and_panels_can_be_found_on_paper()
    {
        std::set<StepKind> seen;
        const auto say_all = [&](const std::vector<Step>& steps) {
            for (const auto& s : steps) {
                seen.insert(s.kind);
                for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                    check_voice(words::step_title(s, unit));
                    check_voice(words::step_detail(s, unit));
                    const QString look = words::before_going_on(s);
                    if (!look.isEmpty()) check_voice(look);
                }
                // What is drawn is measured from something that can be found, or runs between what is marked.
                const bool between_marks =
                    s.kind == StepKind::DrawSleeveCross || s.kind == StepKind::DrawSleeveMiddle;
                if (words::hand_mark(s.kind) == words::HandMark::Draw && !between_marks) {
                    const QString said =
                        words::step_title(s, Unit::Centimetre) + words::step_detail(s, Unit::Centimetre);
                    QVERIFY2(said.contains(QRegularExpression{"\\d"}), qPrintable(said));
                }
                // Whatever is done by hand has a mark of its own kind.
                QVERIFY(static_cast<int>(words::hand_mark(s.kind)) <= static_cast<int>(words::HandMark::Trim));
            }
        };
        for (const auto& g : {bodice(with_sleeve(plain_bodice())), bodice(with_sleeve(plain_tee())),
                              bodice(princess(plain_bodice())), bodice(plain_bodice())}) {
            for (const auto& entry : catalogue()) {
                if (!serves(entry, g)) continue;
                for (std::size_t m = 0; m < std::max<std::size_t>(1, entry.methods.size()); ++m) {
                    for (const double mm : {10.0, 4.0, -6.0, 0.0}) {
                        const auto done = entry.apply(g, {Length::mm(mm), m});
                        if (done) say_all(done->steps);
                    }
                }
            }
        }
        for (int k = static_cast<int>(StepKind::LayTogether); k <= static_cast<int>(StepKind::RedrawUnderarms);
             ++k)
            QVERIFY2(seen.count(static_cast<StepKind>(k)), qPrintable(QString{"step kind %1 never came"}.arg(k)));
    }
    void seams_and_panels_have_names_long_and_short()
    {
        for (const char* id :
             {"side", "shoulder", "waist", "armhole-front", "armhole-back", "underarm", "princess"}) {
            check_voice(words::seam_name(id));
            check_voice(words::seam_short(id));
            QVERIFY(words::seam_short(id).size() <= words::seam_name(id).size());
            QVERIFY(words::seam_sides(id, false) != words::seam_sides(id, true));
        }
        const auto [centre, side] = princess_panels(front_of(bodice(princess(plain_bodice()))));
        QCOMPARE(words::piece_name(centre), "Bodice front, centre panel");
        QCOMPARE(words::piece_name(side), "Bodice front, side panel");
        Piece unnamed = side;
        unnamed.name.clear();
        check_voice(words::piece_name(unnamed));
    }
    void limits_say_what_to_do_instead()
    {
        const auto g = bodice(plain_bodice());
        const Caution much{CautionKind::Amount, Length::mm(20), shoulder_forward_limit};
        const QString text = words::caution(much, AdjustmentKind::BallOfShoulder, Unit::Inch);
        QVERIFY2(text.contains("show from the front"), qPrintable(text));
        QVERIFY2(text.contains("½ in"), qPrintable(text));
        QVERIFY(words::refusal(adjustment(AdjustmentKind::RoundBack).apply(g, Dose{Length::mm(9), 0}).error(),
                               Unit::Centimetre)
                    .contains("on the fold"));
    }
    void a_refusal_names_the_field_and_the_range_in_the_unit_shown()
    {
        const auto r = check_reading(Measure::Waist, Length::mm(99.6)).error();
        QVERIFY(words::refusal(r, Unit::Centimetre).contains("Waist"));
        QVERIFY(words::refusal(r, Unit::Centimetre).contains("30.0 cm to 250.0 cm"));
        QVERIFY(words::refusal(r, Unit::Inch).contains("in"));
        const auto amount =
            adjustment(AdjustmentKind::WaistToHip).apply({graded_skirt().sizes[0].pieces, {}}, Length::mm(700));
        QVERIFY(words::refusal(amount.error(), Unit::Centimetre).contains("+70.0 cm"));
        QVERIFY(words::refusal(amount.error(), Unit::Centimetre).contains("+60.0 cm"));
    }
    void every_step_says_what_to_do_and_how()
    {
        for (const double mm : {14.0, -14.0}) {
            const auto c = everything_done(mm);
            QVERIFY(c.steps.size() > 20);
            for (const auto& s : c.steps) {
                check_voice(words::step_title(s, Unit::Centimetre));
                check_voice(words::step_detail(s, Unit::Inch));
            }
        }
    }
    void the_fold_is_named_half_as_deep_as_what_it_takes_out()  // common practice
    {
        const auto c = everything_done(-12);
        const auto fold = std::find_if(c.steps.begin(), c.steps.end(),
                                       [](const Step& s) { return s.kind == StepKind::FoldOut; });
        QCOMPARE(words::step_title(*fold, Unit::Centimetre), "Fold 6 mm deep to take out 12 mm");
        // 1¼ in deep removes 2½ in: beyond what the method carries here, but the sentence must say so.
        Step step = *fold;
        step.amount = Length::inches(2.5);
        QCOMPARE(words::step_title(step, Unit::Inch), "Fold 1¼ in deep to take out 2½ in");
    }
    void longer_and_shorter_wider_and_narrower_are_told_apart()
    {
        const auto titles = [](double mm) {
            QStringList out;
            const auto c = everything_done(mm);
            for (const auto& s : c.steps) out << words::step_title(s, Unit::Centimetre);
            return out.join("\n");
        };
        QVERIFY(titles(16).contains("Spread") && titles(16).contains("outside") && titles(16).contains("lower"));
        QVERIFY(titles(-16).contains("Fold") && titles(-16).contains("inside") && titles(-16).contains("higher"));
        QVERIFY(titles(16).contains("Spread the waistband") && titles(-16).contains("Overlap the waistband"));
    }
    void what_only_a_toile_tells_names_its_sign()
    {
        for (const auto& entry : catalogue()) {
            const QString sign = words::toile_sign(entry.kind);
            // Where a dart is wanted, and how wide a forearm, is a wish.
            const bool wish = entry.kind == AdjustmentKind::DartMoved || entry.kind == AdjustmentKind::Forearm;
            const bool follows = entry.at_join == AtJoin::WholeGarment;
            if (!entry.propose && !wish && !follows) check_voice(sign);
            PlanLine line;
            line.kind = entry.kind;
            QCOMPARE(words::why(line, Unit::Centimetre).contains("its sign"), !sign.isEmpty());
        }
        PlanLine sway;
        sway.kind = AdjustmentKind::SwayBack;
        sway.proposal = Proposal{Length::mm(-12), {}, Length::mm(400), Length::mm(412)};
        QVERIFY(!words::why(sway, Unit::Centimetre).contains("its sign"));
        sway.proposal->sign_first = true;
        QVERIFY(words::why(sway, Unit::Centimetre).contains("folds across the back"));
    }
    void every_line_of_a_plan_can_be_explained()
    {
        const auto c = everything_done(10);
        for (const auto& l : c.lines) {
            check_voice(words::adjustment_name(l.kind));
            check_voice(words::amount_meaning(l.kind));
            check_voice(words::piece_names(l.kind, c.traced));
            check_voice(words::why(l, Unit::Centimetre));
        }
    }
    void what_the_paper_does_not_carry_is_said_with_the_rest()
    {
        PlanLine l;
        l.kind = AdjustmentKind::Bust;
        l.state = LineState::Proposed;
        l.proposal = Proposal{Length::mm(-30), {}, {}, {}};
        l.amount = Length::mm(-11);
        QVERIFY(words::hindrance(l, Unit::Centimetre).isEmpty());
        l.short_of = Refusal{Why::DartTooSmall, "bust", Length::mm(-30), Length::mm(-11.2), {}, 0};
        const auto most = words::hindrance(l, Unit::Centimetre);
        check_voice(most);
        QVERIFY2(most.contains("−3.0 cm") && most.contains("−1.1 cm"), qPrintable(most));
        QVERIFY(words::state_text(l, Unit::Centimetre).contains("the most this paper carries"));
        l.state = LineState::NotOnPaper;
        l.short_of.reset();
        l.refusal = Refusal{Why::DartTooSmall, "bust", Length::mm(-30), {}, {}, 0};
        const auto none = words::hindrance(l, Unit::Inch);
        check_voice(none);
        QVERIFY(none.contains("no dart to close"));
        check_voice(words::state_text(l, Unit::Inch));
    }
    void a_seam_is_counted_from_what_is_meant()
    {
        const auto said = [](double a, double b, double off, bool holds) {
            return words::walk_verdict(
                {"armhole-front", Length::mm(a), Length::mm(b), Length::mm(off), holds, {}, {}}, Unit::Centimetre);
        };
        QCOMPARE(said(209, 209, 0, true), QString{"holds"});
        QCOMPARE(said(237, 249, 0, true), QString{"12 mm longer, as meant"});
        QCOMPARE(said(249, 237, 0, true), QString{"12 mm shorter, as meant"});
        QCOMPARE(said(235, 251, 4, false), QString{"4 mm more than meant: true again"});
        QCOMPARE(said(235, 243, -4, false), QString{"4 mm less than meant: true again"});
        QCOMPARE(said(200, 203, 3, false), QString{"3 mm longer: true again"});
        const Walk eased{"armhole-front", Length::mm(237), Length::mm(249), {}, true, {}, {}};
        QCOMPARE(words::walk_brief(eased, Unit::Centimetre), QString{"12 longer, as meant"});
        QVERIFY(
            words::walk_brief({"side", Length::mm(200), Length::mm(200), {}, true, {}, {}}, Unit::Inch).isEmpty());
    }
    void no_step_asks_for_nothing_at_all()
    {
        Step s;
        s.kind = StepKind::MarkTip;
        const auto said = [&](double mm, Unit u) {
            s.amount = Length::mm(mm);
            return words::step_title(s, u);
        };
        QVERIFY(said(0.4, Unit::Centimetre).contains("0.4 mm"));
        QVERIFY(said(0.6, Unit::Centimetre).contains(" 1 mm"));
        QVERIFY(said(1.2, Unit::Inch).contains("¹⁄₁₆ in"));
        QVERIFY(said(20, Unit::Inch).contains("¹³⁄₁₆ in"));
        QVERIFY(said(0.79, Unit::Inch).contains("0.8 mm"));
        QVERIFY(said(0.4, Unit::Inch).contains("0.4 mm"));
        QVERIFY(said(3.175, Unit::Inch).contains("⅛ in"));
        QVERIFY(said(12.7, Unit::Inch).contains("½ in"));
    }
    void what_changed_never_reads_as_what_it_was()
    {
        const auto said = [](double was, double now, Unit u) {
            return words::from_to(Length::mm(was), Length::mm(now), u);
        };
        QCOMPARE(said(10, 14, Unit::Centimetre), "+1.0 → +1.4 cm");
        QCOMPARE(said(-9.2, -9.8, Unit::Inch), "\u22129.2 → \u22129.8 mm");
        QCOMPARE(said(0, 0.4, Unit::Centimetre), "0.0 → +0.4 mm");
        QCOMPARE(said(0, 12.7, Unit::Inch), "0 → +½ in");
    }
    void what_has_to_be_made_true_is_named_and_what_holds_is_not()
    {
        Checks c;
        c.joins = {{JoinPlace::Underarm, 171.04, false}, {JoinPlace::NeckPoint, 180, true}};
        c.folds = {{"back", Length::mm(3), false}, {"front", {}, true}};
        c.darts = {{"front", Length::mm(-4), false}, {"back", {}, true}};
        c.outlines = {{"front", Unsound::Crossing, false},
                      {"back", Unsound::LineOfNoLength, false},
                      {"sleeve", Unsound::MouthTooWide, false},
                      {"facing", {}, true}};
        const auto said = words::to_true(c, Unit::Millimetre);
        for (const auto& s : said) check_voice(s);
        QCOMPARE(
            said,
            (QStringList{"the outline of front crosses itself: draw it anew",
                         "back has a line of no length: join its ends", "a dart of sleeve is wider than its edge",
                         words::join_name(JoinPlace::Underarm) + " has a corner, 171.0°: true it",
                         "the fold of the back bends by 3 mm", "the legs of a dart of front differ by 4 mm"}));
        QVERIFY(words::to_true({}, Unit::Inch).isEmpty());
    }
    void low_ease_is_told_and_enough_is_not()
    {
        QVERIFY(words::ease_warning({Measure::Hip, {}, {}, Length::mm(60), Length::mm(40), true}, Unit::Centimetre)
                    .isEmpty());
        const auto s =
            words::ease_warning({Measure::Hip, {}, {}, Length::mm(12), Length::mm(40), false}, Unit::Centimetre);
        check_voice(s);
        QVERIFY(s.contains("1.2 cm") && s.contains("4.0 cm"));
    }
    void on_paper_centimetres_become_millimetres_and_inches_stay()
    {
        QVERIFY(words::paper_unit(Unit::Centimetre) == Unit::Millimetre);
        QVERIFY(words::paper_unit(Unit::Inch) == Unit::Inch);
    }
    void readings_are_described_without_blame()
    {
        for (const auto& f : all_measures) {
            check_voice(words::measure_name(f.measure));
            check_voice(words::measure_term(f.measure));
            check_voice(words::measure_how(f.measure));
            for (const auto& readings :
                 {std::vector{f.least}, std::vector{f.least, f.least + Length::mm(2)},
                  std::vector{f.least, f.least + Length::mm(40)},
                  std::vector{f.least, f.least + Length::mm(40), f.least + Length::mm(3)}}) {
                check_voice(words::reading_state(*take(f.measure, readings), f.measure, Unit::Centimetre));
            }
        }
    }
    // The crotch seam beside the string, too long and too short; rises that are hardly the body's are asked about.
    void a_crotch_seam_off_the_string_is_said_both_ways()
    {
        EaseCheck e{Measure::CrotchLength, Length::mm(994), Length::mm(840), Length::mm(154), Length{}};
        e.most = Length::mm(55);
        const QString longer = words::ease_warning(e, Unit::Centimetre);
        QVERIFY(longer.contains("15.4 cm longer than the string") && longer.contains("5.5 cm"));
        e.ease = Length::mm(-30);
        const QString shorter = words::ease_warning(e, Unit::Centimetre);
        QVERIFY(shorter.contains("3.0 cm shorter than the string"));
        const QString asked = words::doubt(
            {DoubtKind::LengthFarOff, Measure::FrontRise, Length::mm(360), Length::mm(280)}, Unit::Centimetre);
        QVERIFY(asked.contains("36.0 cm") && asked.contains("28.0 cm") && asked.contains("garment's own"));
        for (const auto& said : {longer, shorter, asked}) check_voice(said);
    }
    void what_is_asked_again_gives_the_expected_range_and_no_verdict()
    {
        for (int k = 0; k <= static_cast<int>(SenseKind::HighBustAboveBust); ++k) {
            for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                const QString s =
                    words::sense({static_cast<SenseKind>(k), Measure::Hip, Measure::Waist, Length::mm(2697),
                                  Length::mm(1062), Length::mm(950), Length::mm(1180)},
                                 unit);
                check_voice(s);
                QVERIFY2(s.startsWith("Please measure again"), qPrintable(s));
            }
        }
        const QString s = words::sense({SenseKind::OutsideLikely, Measure::Hip, Measure::Hip, Length::mm(1400),
                                        Length::mm(1060), Length::mm(950), Length::mm(1180)},
                                       Unit::Centimetre);
        QVERIFY(s.contains("95.0 cm") && s.contains("118.0 cm"));
    }
    void the_tape_check_is_told_with_both_numbers()
    {
        const auto one = *TapeCheck::from({{Length::cm(60), Length::cm(59.6)}});
        const QString s = words::tape_check(one, Unit::Centimetre);
        QVERIFY2(s.contains("59.6") && s.contains("60.0") && s.contains("1.0067"), qPrintable(s));
        QVERIFY(words::tape_check(*TapeCheck::from({{Length::cm(30), Length::cm(30)}}), Unit::Centimetre)
                    .contains("short ruler"));
        const auto two =
            *TapeCheck::from({{Length::cm(30), Length::cm(30.5)}, {Length::cm(100), Length::cm(100.5)}});
        QVERIFY(words::tape_check(two, Unit::Centimetre).contains("off by"));
        check_voice(words::tape_check({}, Unit::Inch));
        const auto taken = *take(Measure::Hip, {Length::cm(98.9), Length::cm(98.9)}, one);
        QVERIFY(words::corrected(taken, Unit::Centimetre).contains("98.9"));
        QVERIFY(words::corrected(*take(Measure::Hip, {Length::cm(98.9)}), Unit::Centimetre).isEmpty());
    }
    void schools_garments_rounds_and_views_have_names()
    {
        for (const auto r : all_rounds) check_voice(words::round_name(r));
        for (const auto v : {View::Front, View::Legs, View::Back, View::Door, View::Seated}) {
            check_voice(words::view_name(v));
            check_voice(words::what_to_wear(v));
        }
        for (const auto s : {School::HighBust, School::FullBust, School::Waist, School::Hip})
            check_voice(words::school_name(s));
        for (int r = 0; r <= static_cast<int>(SchoolReason::OnlyOne); ++r)
            check_voice(words::school_reason({School::Hip, static_cast<SchoolReason>(r), {}}));
        for (int k = 0; k <= static_cast<int>(GarmentKind::Bra); ++k)
            check_voice(words::kind_name(static_cast<GarmentKind>(k)));
        for (int w = 0; w <= static_cast<int>(StaleWhy::GirthMoved); ++w)
            check_voice(words::stale({Measure::Bust, static_cast<StaleWhy>(w), 40}));
    }
    void a_dress_is_advised_in_words_with_its_cup()
    {
        SizeChart c{"Dress", "Nobody", {}};
        for (int i = 0; i < 3; ++i) {
            c.sizes.push_back({QString::number(10 + 2 * i).toStdString(),
                               {{Measure::Bust, Length::mm(920 + 40 * i)},
                                {Measure::Waist, Length::mm(720 + 40 * i)},
                                {Measure::Hip, Length::mm(960 + 40 * i)}},
                               0});
        }
        c.drafted_cup[""] = "B";
        BodySet set{"2026-01-01", {}};
        const auto read = [&](Measure m, double mm) { set.readings[m] = {Length::mm(mm), Length::mm(mm)}; };
        read(Measure::HighBust, 870);
        read(Measure::Bust, 972);
        read(Measure::Waist, 801);
        read(Measure::Hip, 1000);
        const auto a = *advise(c, set, {GarmentKind::Dress});
        QCOMPARE(words::advice_title(c, a.choice, a.levels), "10 above, 14 at the waist, 12 below");
        check_voice(words::advice_reason(c, a, set, Unit::Inch));
        const QString cup = words::cup_text(*cup_of(set, c), c, Length::cm(17));
        QVERIFY2(cup.contains("Sewing cup D") && cup.contains("drafted for B") && cup.contains("shops count: C"),
                 qPrintable(cup));
        for (const auto& cost : a.costs) check_voice(words::cost_text(c, cost, a.levels, Unit::Centimetre));
        c.views = {{"A", "10", "12"}};
        QCOMPARE(words::view_text(c.views[0]), "View A comes in 10 to 12.");
        EaseRow row{Measure::Bust, {}, {}, {}, {}, Length::mm(20), true, Length::mm(50)};
        QVERIFY(words::ease_below(row, Unit::Centimetre).contains("2.0 cm"));
    }
};
SARTORUM_TEST(TestWords)

}  // namespace test_words

#include "test_words.moc"
