// Every view at several text sizes, window sizes and in both units: no text is cut, and none lies on another.
#include <QScrollBar>
#include <QSlider>
#include <QTest>

#include "desk/chart/wear_dialog.h"
#include "desk/dialogs/bought_dialog.h"
#include "desk/mirror/mirror_dialogs.h"
#include "desk/mirror/mirror_station.h"
#include "desk/painted_text.h"
#include "desk/plan/beside/piece_dialogs.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "desk/tape/dialogs.h"
#include "desk/tissue_hands.h"
#include "formats/photo_file.h"
#include "tests.h"

namespace test_every_view {

using namespace sartorum;
using namespace sartorum::test;

namespace {

// Letters may stand this far over what they were given: hinting, and the foot of a g.
constexpr double slack = 3;

struct CutOff {
    QStringList what;
    void cut(const QString& view, const PaintedText& t)
    {
        what << view + ": cut: \"" + t.text + "\" " + rect(t.at) + " in " + rect(t.room);
    }
    void lies_on(const QString& view, const PaintedText& a, const PaintedText& b)
    {
        what << view + ": \"" + a.text + "\" " + rect(a.at) + " lies on \"" + b.text + "\" " + rect(b.at);
    }
    static QString rect(const QRectF& r)
    {
        return QString{"%1,%2 %3x%4"}
            .arg(r.x(), 0, 'f', 0)
            .arg(r.y(), 0, 'f', 0)
            .arg(r.width(), 0, 'f', 0)
            .arg(r.height(), 0, 'f', 0);
    }
};

bool sticks_out(const PaintedText& t, const QRectF& of)
{
    return !of.adjusted(-slack, -slack, slack, slack).contains(t.at);
}

// What scrolls is looked at by itself, whole.
void look_at(QWidget& w, const QString& view, CutOff& found)
{
    std::vector<QRectF> scrolled;
    for (auto* area : w.findChildren<QScrollArea*>()) {
        if (!area->isVisible() || !area->widget()) continue;
        scrolled.push_back(QRectF{area->viewport()->rect()}.translated(area->viewport()->mapTo(&w, QPoint{})));
        look_at(*area->widget(), view + " (pad)", found);
    }
    const auto in_scrolled = [&](const PaintedText& t) {
        return std::any_of(scrolled.begin(), scrolled.end(), [&](const QRectF& s) {
            return s.intersects(t.at) || s.adjusted(-1, -1, 1, 1).contains(t.room);
        });
    };
    std::vector<PaintedText> all;
    for (const auto& t : painted_texts(w)) {
        constexpr double legible = 6;  // smaller is a page seen from afar
        if (in_scrolled(t) || t.room.isEmpty() || t.at.height() < legible) continue;
        all.push_back(t);
        const bool elided = t.text.endsWith(QChar{0x2026}) && !t.text.endsWith("out" + QString{QChar{0x2026}}) &&
                            !t.text.startsWith("Report");
        if (elided || sticks_out(t, t.room) || sticks_out(t, QRectF{w.rect()})) found.cut(view, t);
    }
    for (std::size_t i = 0; i < all.size(); ++i) {
        for (std::size_t k = i + 1; k < all.size(); ++k) {
            const QRectF both = all[i].at & all[k].at;
            // Drawn fractions stand close; readings alike stand on each other.
            const QString bar{QChar{0x2044}};
            if (all[i].text == bar || all[k].text == bar || (all[i].text == all[k].text && all[i].at == all[k].at))
                continue;
            if (both.isValid() && both.width() > slack && both.height() > slack)
                found.lies_on(view, all[i], all[k]);
        }
    }
}

struct Showing {
    const char* name;
    std::function<void(Desk&)> go;
};

void pick(Desk& d, const char* choices, int i)
{
    auto* c = d.find<Choices>(choices);
    c->choose(i);
    emit c->picked(i);
}

// What one garment shows, from the Tape to the printed page.
std::vector<Showing> views_of_a_garment()
{
    std::vector<Showing> out{{"tape", [](Desk& d) { d.window->go_to(Station::Tape); }},
                             {"tape back",
                              [](Desk& d) {
                                  d.window->go_to(Station::Tape);
                                  d.window->findChild<TapeStation*>()->go_to(Measure::WaistToHip);
                              }},
                             {"chart", [](Desk& d) { d.window->go_to(Station::Chart); }}};
    for (const auto& [name, page] : {std::pair{"plan", change_shown},
                                     {"plan, follows", follows_shown},
                                     {"plan, finished", finished_shown},
                                     {"plan, room", room_shown},
                                     {"plan, goes on", goes_on_shown},
                                     {"plan, pieces", pieces_shown}}) {
        out.push_back({name, [page](Desk& d) {
                           d.window->go_to(Station::Plan);
                           beside(d, page);
                       }});
    }
    for (const auto& [name, view] : {std::pair{"as bought", 0}, {"a step", 1}, {"finished", 2}, {"a walk", 3}}) {
        out.push_back({name, [view](Desk& d) {
                           d.window->go_to(Station::Paper);
                           pick(d, "paper_view", view);
                       }});
    }
    for (const auto& [name, kind] : {std::pair{"sheets", 0}, {"work card", 3}}) {
        out.push_back({name, [kind](Desk& d) {
                           d.window->go_to(Station::Print);
                           pick(d, "print_kind", kind);
                           while (d.window->findChild<PrintStation*>()->laying_out()) QTest::qWait(5);
                       }});
    }
    return out;
}

// What the Mirror shows of one toile, and of the next.
std::vector<Showing> views_of_a_mirror()
{
    const auto toile = [](Desk& d, const std::string& day) {
        TryOn t;
        t.date = day;
        t.cloth = "unbleached calico, of the same weight";
        t.worn = "the vest and flat shoes";
        t.moments = {Moment::Standing, Moment::Sitting, Moment::Reaching, Moment::Walking};
        if (d.room->try_ons().empty()) {
            for (const auto s : {Sight::FoldsNeckToUnderarm, Sight::NecklineStandsOff, Sight::FoldsAcrossAboveSeat,
                                 Sight::FoldsBustToSide, Sight::CapPulls})
                t.notes.push_back(
                    {{s, Strength::Clear, {}}, Moment::Reaching, Since::New, {}, "more on the left"});
            t.answers = {{SmallTest::PinchTips, true, Length::mm(9)}};
            t.found = {{ByHand::Offcut, "tip", Face::Front, {}, Length::mm(34)}};
        }
        d.room->begin_try_on(t);
    };
    const auto show = [](Desk& d) -> MirrorStation& {
        d.window->go_to(Station::Mirror);
        return *d.window->findChild<MirrorStation*>();
    };
    return {{"no toile yet", [show](Desk& d) { show(d); }},
            {"a toile",
             [=](Desk& d) {
                 if (d.room->try_ons().empty()) toile(d, "2026-11-14");
                 show(d).state().choose(0);
                 show(d).show_beside(0);
                 show(d).show_face(MirrorFace::FrontAndBack);
             }},
            {"its sides", [show](Desk& d) { show(d).show_face(MirrorFace::Sides); }},
            {"its sleeves", [show](Desk& d) { show(d).show_face(MirrorFace::Sleeves); }},
            {"by hand", [show](Desk& d) { show(d).show_beside(1); }},
            {"versions", [show](Desk& d) { show(d).show_beside(3); }},
            {"a photograph",
             [show](Desk& d) {
                 auto& m = show(d);
                 m.show_face(MirrorFace::Photographs);
                 QImage picture{600, 900, QImage::Format_RGB32};
                 picture.fill(Qt::lightGray);
                 const auto id = m.state().here()->id;
                 if (d.room->book().photos(id).empty())
                     d.room->keep_photo(id, formats::photo_kept(picture),
                                        {PhotoView::LeftSide,
                                         {{Guideline::KnownLength, {60, 100}, {60, 800}, Length::mm(1000)},
                                          {Guideline::EarLine, {300, 100}, {310, 300}, {}},
                                          {Guideline::Seam, {290, 150}, {285, 170}, {}},
                                          {Guideline::Hem, {200, 700}, {400, 690}, {}}}});
             }},
            {"the next toile",
             [=](Desk& d) {
                 if (d.room->try_ons().size() < 2) {
                     d.room->decide(AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-9));
                     toile(d, "2026-11-21");
                 }
                 show(d).show_face(MirrorFace::FrontAndBack);
                 show(d).state().choose(1);
             }},
            {"toile sheet",
             [](Desk& d) {
                 d.window->go_to(Station::Print);
                 pick(d, "print_kind", 5);
             }},
            {"toile pieces", [](Desk& d) {
                 d.window->go_to(Station::Print);
                 pick(d, "print_kind", 4);
                 while (d.window->findChild<PrintStation*>()->laying_out()) QTest::qWait(5);
             }}};
}

std::vector<Showing> views_of_a_tissue()
{
    std::vector<Showing> out;
    for (const auto& [name, kind] : {std::pair{"a skirt's tissue", TissueKind::Skirt},
                                     {"a bodice's tissue", TissueKind::Bodice},
                                     {"a dress's tissue", TissueKind::Dress},
                                     {"trousers' tissue", TissueKind::Trousers},
                                     {"an all-in-one's tissue", TissueKind::AllInOne},
                                     {"one girth", TissueKind::Girth}}) {
        for (const int page : {0, 1})
            out.push_back({name, [kind, page](Desk& d) {
                               d.window->measure_flat(kind);
                               pick(d, "tissue_pages", page);
                           }});
    }
    out.push_back({"an objection", [](Desk& d) {
                       d.window->measure_flat(TissueKind::Bodice);
                       d.window->measure_flat({});
                       auto* value = d.find<QLineEdit>("tissue_value");
                       value->selectAll();
                       QTest::keyClicks(value, "99");
                       QTest::keyClick(value, Qt::Key_Return);
                   }});
    return out;
}

}  // namespace

class TestEveryView : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;

private slots:
    void a_skirt()
    {
        Desk d{dir_.filePath("skirt.sartorum"), true};
        d.room->accept_all();
        walk(d, views_of_a_garment());
    }
    void a_top()
    {
        Desk d{dir_.filePath("top.sartorum"), true};
        lay_bodice(d);
        d.room->accept_all();
        d.room->decide({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), {}});
        walk(d, views_of_a_garment());
    }
    void a_dress()
    {
        Desk d{dir_.filePath("dress.sartorum"), true};
        lay_pattern(d, "Aqueduct");
        d.room->accept_all();
        d.room->decide(AdjustmentKind::NeckSize, Answer::Accepted, Length::mm(20));
        MakeUp made;
        made.left_out = {"neck-facing-back"};
        made.facings = {{{"front", EdgeRole::Armhole}, Length::mm(40)}};
        made.opening = MovedOpening{PieceRole::Front, piece_most, Length::mm(15), Length::mm(80)};
        d.room->make_up(made, "pieces");
        walk(d, views_of_a_garment());
    }
    void a_skirt_of_gores()
    {
        Desk d{dir_.filePath("gores.sartorum"), true};
        lay_pattern(d, "Ropewalk");
        d.room->accept_all();
        MakeUp made;
        made.facings = {{{"front", EdgeRole::Hem}, Length::mm(40)}};
        d.room->make_up(made, "pieces");
        walk(d, views_of_a_garment());
    }
    void trousers()
    {
        Desk d{dir_.filePath("trousers.sartorum"), true};
        seat(d, "Benno");
        lay_pattern(d, "Lockgate");
        for (int i = 0; i < 4; ++i) d.room->accept_all();
        auto views = views_of_a_garment();
        views.push_back({"plan, crotch", [](Desk& desk) {
                             desk.window->go_to(Station::Plan);
                             beside(desk, crotch_shown);
                         }});
        views.push_back({"a wedge", [](Desk& desk) {
                             desk.window->go_to(Station::Plan);
                             beside(desk, change_shown);
                             open_card(desk, AdjustmentKind::CrotchWedge);
                         }});
        Decision waist{AdjustmentKind::WaistLine, Answer::Accepted};
        waist.set({Face::Both, {}, "centre_front"}, Length::mm(-20));
        waist.set({Face::Both, {}, "side"}, Length::mm(9.5));
        d.room->decide(waist);
        views.push_back({"plan, waist", [](Desk& desk) {
                             desk.window->go_to(Station::Plan);
                             beside(desk, waist_shown);
                         }});
        walk(d, views);
    }
    void sewn_trousers()
    {
        Desk d{dir_.filePath("sewn.sartorum"), true};
        seat(d, "Benno");
        lay_pattern(d, "Lockgate");
        d.room->say_sewn(true);
        d.room->decide(AdjustmentKind::SewnCrotch, Answer::Accepted, Length::mm(14));
        d.room->decide(AdjustmentKind::SewnHipWidth, Answer::Accepted, Length::mm(-16));
        auto views = views_of_a_garment();
        views.push_back({"a crotch lowered", [](Desk& desk) {
                             desk.window->go_to(Station::Plan);
                             beside(desk, change_shown);
                             open_card(desk, AdjustmentKind::SewnCrotch);
                         }});
        views.push_back({"plan, waist", [](Desk& desk) {
                             desk.window->go_to(Station::Plan);
                             beside(desk, waist_shown);
                         }});
        walk(d, views);
    }
    void an_all_in_one()
    {
        Desk d{dir_.filePath("all-in-one.sartorum"), true};
        seat(d, "Benno");
        lay_pattern(d, "Slipway");
        for (int i = 0; i < 4; ++i) d.room->accept_all();
        walk(d, views_of_a_garment());
    }
    // Shoulders, arms and hips that are not alike.
    void unlike_sides()
    {
        Desk d{dir_.filePath("sides.sartorum"), true};
        seat(d, "Hedda");
        for (const char* pattern : {"Windlass", "Lockside"}) {
            lay_pattern(d, pattern);
            d.room->accept_all();
            walk(d, views_of_a_garment());
        }
    }
    void a_tissue()
    {
        Desk d{dir_.filePath("tissue.sartorum"), true};
        walk(d, views_of_a_tissue());
    }
    // What is measured most is seen whole.
    void the_pads_of_the_tape_need_no_scroll_bar()
    {
        Desk d{dir_.filePath("pads.sartorum"), true};
        d.window->resize(1280, 800);
        const auto holds = [&](const char* what) {
            QTest::qWait(20);
            for (auto* area : d.window->findChildren<QScrollArea*>()) {
                if (area->isVisible())
                    QVERIFY2(area->verticalScrollBar()->maximum() == 0,
                             qPrintable(QString{"%1: %2"}.arg(what).arg(area->verticalScrollBar()->maximum())));
            }
        };
        for (const auto round : {Round::Skirt, Round::Dress, Round::AllInOne}) {
            d.room->walk_round(round);
            for (const auto m : d.room->measures()) {
                d.window->findChild<TapeStation*>()->go_to(m);
                holds(facts(m).key.data());
            }
        }
        pick(d, "tape_pages", 1);
        holds("the day");
        for (const auto kind :
             {TissueKind::Skirt, TissueKind::Bodice, TissueKind::Dress, TissueKind::Trousers, TissueKind::Girth}) {
            d.window->measure_flat(kind);
            d.window->measure_flat({});
            d.room->write_on_tissue(TissueNote::Sleeve, 1);
            for (const auto line : lines_on_pieces(*d.room->tissue(), *d.room->tissue()->in_hand())) {
                face_of(d).go_to(line);
                holds(facts(line).key.data());
            }
        }
    }
    void toiles_and_the_gate()
    {
        Desk d{dir_.filePath("mirror.sartorum"), true};
        lay_bodice(d);
        walk(d, views_of_a_mirror());
    }
    void an_empty_notebook()
    {
        Desk d{dir_.filePath("empty.sartorum"), false};
        std::vector<Showing> all;
        for (const auto& [name, s] : {std::pair{"no wearer", Station::Tape},
                                      {"no chart", Station::Chart},
                                      {"no plan", Station::Plan},
                                      {"no paper", Station::Paper},
                                      {"no mirror", Station::Mirror},
                                      {"no pages", Station::Print}})
            all.push_back({name, [s](Desk& desk) { desk.window->go_to(s); }});
        all.push_back({"no tissue", [](Desk& desk) { desk.window->measure_flat({}); }});
        walk(d, all);
    }
    void the_sheets_over_the_table()
    {
        Desk d{dir_.filePath("sheets.sartorum"), true};
        CutOff found;
        for (const double scale : {1.0, 1.25, 1.5}) {
            d.look.set_scale(scale);
            const auto opened = [&](const char* name, const std::function<void()>& open) {
                in_dialog([&](QWidget* w) {
                    QTest::qWait(10);
                    look_at(*w, QString{"%1 at %2"}.arg(name).arg(scale), found);
                });
                open();
            };
            opened("guide", [&] { d.key(Qt::Key_F1); });
            opened("settings", [&] { d.window->perform(Act::Settings); });
            opened("name", [&] { d.window->new_wearer(); });
            opened("chart", [&] { d.window->type_chart(); });
            opened("ruler", [&] { TapeCheckDialog{d.look, *d.room, d.window.get()}.exec(); });
            opened("day", [&] { DayDialog{d.look, *d.room, d.window.get()}.exec(); });
            opened("wear", [&] { WearDialog{d.look, *d.room, d.window.get()}.exec(); });
            opened("facing", [&] { FacingDialog{d.look, *d.room, d.window.get()}.exec(); });
            opened("bring", [&] { BringDialog{d.look, *d.room, d.window.get()}.exec(); });
            opened("bought", [&] { BoughtDialog{d.look, *d.room, d.window.get()}.exec(); });
            MirrorState mirror{*d.room};
            opened("try-on", [&] { TryOnDialog{d.look, mirror, {}, d.window.get()}.exec(); });
            opened("sights", [&] {
                SightDialog{d.look, {Sight::TipStandsOff, Sight::NecklineStandsOff}, {}, d.window.get()}.exec();
            });
            opened("opening", [&] { OpeningDialog{d.look, *d.room, d.window.get()}.exec(); });
        }
        for (const auto& w : found.what) qWarning("%s", qPrintable(w));
        QVERIFY(found.what.isEmpty());
    }

private:
    static void walk(Desk& d, const std::vector<Showing>& views)
    {
        CutOff found;
        int looked = 0;
        // The window paints for what keeps its words only: nobody looks at its pixels.
        d.window->setUpdatesEnabled(false);
        for (const double scale : {1.0, 1.25, 1.5}) {
            for (const QSize size : {QSize{1180, 720}, QSize{1280, 800}, QSize{2560, 1440}}) {
                for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                    d.look.set_scale(scale);
                    d.look.set_unit(unit);
                    d.look.set_night(looked % 2 == 1);
                    d.window->resize(size);
                    for (const auto& v : views) {
                        v.go(d);
                        QTest::qWait(5);
                        d.window->setUpdatesEnabled(true);
                        look_at(*d.window,
                                QString{"%1 at %2, %3x%4, %5"}
                                    .arg(v.name)
                                    .arg(scale)
                                    .arg(size.width())
                                    .arg(size.height())
                                    .arg(unit == Unit::Inch ? "in" : "cm"),
                                found);
                        d.window->setUpdatesEnabled(false);
                        ++looked;
                    }
                }
            }
        }
        d.window->setUpdatesEnabled(true);
        qInfo("%d views", looked);
        for (const auto& w : found.what) qWarning("%s", qPrintable(w));
        QVERIFY(found.what.isEmpty());
    }
};
SARTORUM_TEST(TestEveryView)

}  // namespace test_every_view

#include "test_every_view.moc"
