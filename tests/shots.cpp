// Takes the pictures for docs/screenshots from the demo notebook, through the real window.
#include <QApplication>
#include <QDir>
#include <QLineEdit>
#include <QSlider>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

#include "core/plan/other_answer.h"
#include "desk/chart/wear_dialog.h"
#include "desk/demo.h"
#include "desk/mirror/mirror_station.h"
#include "desk/plan/plan_station.h"
#include "desk/print/print_station.h"
#include "desk/window.h"

using namespace sartorum;
using namespace sartorum::desk;

// A bodice's tissue, measured as far as its back.
void measure_half(Room& room)
{
    Tissue t = *room.tissue();
    t.name = "Windlass shirt-dress, bodice";
    t.notes = {{TissueNote::CentreFront, 1}, {TissueNote::Sleeve, 1}};
    const std::pair<TissueLine, double> lines[] = {
        {TissueLine::NeckWidth, 73},      {TissueLine::FrontNeckDepth, 85}, {TissueLine::FrontShoulder, 130},
        {TissueLine::FrontDrop, 48},      {TissueLine::AcrossFront, 173},   {TissueLine::FrontBust, 272},
        {TissueLine::SideLength, 211},    {TissueLine::SideDart, 33},       {TissueLine::BodiceFrontWaist, 234},
        {TissueLine::FrontWaistDart, 26}, {TissueLine::FrontLength, 458},   {TissueLine::BustDepth, 279},
        {TissueLine::BustHalfSpan, 99},   {TissueLine::BackNeckDepth, 22},  {TissueLine::BackShoulder, 133},
        {TissueLine::BackDrop, 42}};
    for (const auto& [line, mm] : lines) t.in_hand()->lines[line] = {TissueState::Measured, Length::mm(mm)};
    t.in_hand()->lines[TissueLine::BackShoulderDart] = {TissueState::Lacking, {}};
    room.keep_tissue(t, "a bodice");
}

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    if (argc < 3) return 2;
    QApplication::setStyle("Fusion");
    load_fonts();
    const QDir out{argv[1]};
    QTemporaryDir dir;
    auto book = notebook::Notebook::open(dir.filePath("demo.sartorum"));
    if (!book || !fill_with_demo(**book, argv[2])) return 1;
    Look look;
    Room room{std::move(*book), [] { return QDate{2026, 11, 23}; }};
    Window window{look, room};
    window.show();
    const auto shot = [&](const char* name) {
        QTest::qWait(60);
        window.grab().save(out.filePath(QString{name} + ".png"));
    };
    shot("tape");
    const auto dress = room.book().charts().front().id;
    const auto skirt_table = room.table();
    room.choose_chart(dress);
    room.put_pattern_away();
    room.wear({GarmentKind::Dress}, {}, {});
    window.go_to(Station::Chart);
    shot("chart-dress");
    window.go_to(Station::Tape);
    room.choose_pattern(*skirt_table.pattern);
    room.choose_chart(*skirt_table.chart);
    window.go_to(Station::Chart);
    shot("chart");
    room.choose_sizes(room.advice()->choice.waist_size, room.advice()->choice.hip_size);
    for (const auto kind :
         {AdjustmentKind::WaistToHip, AdjustmentKind::HemGivenBack, AdjustmentKind::FinishedLength})
        room.decide(kind, Answer::Accepted, {});
    window.go_to(Station::Plan);
    shot("plan");
    room.decide(AdjustmentKind::WidthAtHip, Answer::Accepted, {});
    room.go_to_step(7);
    window.go_to(Station::Paper);
    shot("paper");
    window.go_to(Station::Print);
    window.findChild<QLineEdit*>("print_folder")->setText("Patterns");
    auto* print = window.findChild<PrintStation*>();
    while (print->laying_out()) QTest::qWait(10);
    shot("print");
    // A dress: the waist decided above, the skirt with it.
    for (const auto& p : room.book().patterns()) {
        if (p.name.startsWith("Aqueduct")) room.choose_pattern(p.id);
    }
    window.go_to(Station::Plan);
    room.choose(room.advice()->choice);
    for (const auto kind : {AdjustmentKind::BodiceLength, AdjustmentKind::WaistToHip, AdjustmentKind::Bust,
                            AdjustmentKind::WidthAtWaist})
        room.decide(kind, Answer::Accepted, {});
    room.decide(AdjustmentKind::NeckSize, Answer::Accepted, Length::mm(20));
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::JoinedWaist);
    auto* besides = window.findChild<Choices*>("beside_plan");
    besides->choose(5);
    emit besides->picked(5);
    shot("plan-dress");
    besides->choose(0);
    emit besides->picked(0);
    // A top: the shirt-dress bodice.
    const auto bodice = room.book().patterns().front().id;
    room.choose_pattern(bodice);
    window.go_to(Station::Plan);
    room.choose(room.advice()->choice);
    room.decide({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), {}});
    room.decide(AdjustmentKind::BallOfShoulder, Answer::Accepted, Length::mm(9));
    BodySet seen = room.body();
    seen.posture.hollow = Hollow::Seen;
    room.keep_circumstances(seen);
    room.decide(AdjustmentKind::SwayBack, Answer::Accepted, {});
    room.decide(AdjustmentKind::BodiceLength, Answer::Accepted, {});
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::ShoulderSlope);
    shot("plan-top");
    // The bust, what follows it and what comes out.
    const auto beside = [&](int view) {
        auto* views = window.findChild<Choices*>("beside_plan");
        views->choose(view);
        emit views->picked(view);
    };
    room.decide(AdjustmentKind::Bust, Answer::Accepted, {});
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::Bust);
    beside(2);
    shot("plan-follows");
    for (const auto kind : {AdjustmentKind::UpperArm, AdjustmentKind::CapHeight, AdjustmentKind::CapForward,
                            AdjustmentKind::TopNotch})
        room.decide(kind, Answer::Accepted, {});
    window.go_to(Station::Paper);
    emit window.findChild<Choices*>("paper_view")->picked(3);
    emit window.findChild<Choices*>("walk_seam")->picked(2);
    window.findChild<QSlider*>("roll_seam")->setValue(420);
    shot("walk");
    window.go_to(Station::Print);
    auto* kinds = window.findChild<Choices*>("print_kind");
    kinds->choose(3);
    emit kinds->picked(3);
    shot("work-card");
    // Trousers: the crotch beside the string, and the wedge that lengthens it.
    for (const auto& w : room.book().wearers()) {
        if (w.name == "Benno") room.choose_wearer(w.id);
    }
    for (const auto& p : room.book().patterns()) {
        if (p.name.startsWith("Lockgate")) room.choose_pattern(p.id);
    }
    room.choose(room.advice()->choice);
    for (const auto kind : {AdjustmentKind::WaistToHip, AdjustmentKind::WaistLine, AdjustmentKind::BodyRise,
                            AdjustmentKind::CrotchWedge})
        room.decide(kind, Answer::Accepted, {});
    window.go_to(Station::Plan);
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::CrotchWedge);
    beside(7);
    shot("plan-trousers");
    // The wedge opens, in the night theme.
    for (int i = 0; i < static_cast<int>(room.steps().size()); ++i) {
        const auto& told = room.steps()[static_cast<std::size_t>(i)];
        if (told.line && told.line->kind == AdjustmentKind::CrotchWedge && !told.step->picture.added.empty())
            room.go_to_step(i);
    }
    window.go_to(Station::Paper);
    emit window.findChild<Choices*>("paper_view")->picked(1);
    look.set_night(true);
    shot("paper-night");
    look.set_night(false);
    window.go_to(Station::Plan);
    // A waist that stands high in front as it was measured, and the left side higher by hand.
    const PlanLine& waist = *room.computed()->line(AdjustmentKind::WaistLine);
    room.decide(room.plan().accepting(waist.kind, waist.part, {Face::Both, Side::Left, "side"}, Length::mm(8)));
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::WaistLine);
    beside(8);
    shot("plan-waist");
    beside(0);
    // Right and left not alike.
    for (const auto& w : room.book().wearers()) {
        if (w.name == "Hedda") room.choose_wearer(w.id);
    }
    room.choose_pattern(bodice);
    room.choose(room.advice()->choice);
    for (int i = 0; i < 6; ++i) room.accept_all();  // what comes up through the first, too
    beside(0);
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::ShoulderSlope);
    shot("plan-sides");
    window.go_to(Station::Paper);
    emit window.findChild<Choices*>("paper_view")->picked(2);
    shot("paper-sides");
    for (const auto& w : room.book().wearers()) {
        if (w.name == "Ottilie") room.choose_wearer(w.id);
    }
    // The second toile of the tee, and its photograph.
    for (const auto& w : room.book().wearers()) {
        if (w.name == "Hedda") room.choose_wearer(w.id);
    }
    for (const auto& p : room.book().patterns()) {
        if (p.name.startsWith("Heron")) room.choose_pattern(p.id);
    }
    window.go_to(Station::Mirror);
    auto* mirror = window.findChild<MirrorStation*>();
    mirror->state().choose(3);
    shot("mirror");
    mirror->show_face(MirrorFace::Photographs);
    shot("mirror-photo");
    for (const auto& w : room.book().wearers()) {
        if (w.name == "Ottilie") room.choose_wearer(w.id);
    }
    window.measure_flat(TissueKind::Bodice);
    measure_half(room);
    window.measure_flat({});
    shot("flat");
    return 0;
}
