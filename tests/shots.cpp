// Takes the pictures for docs/screenshots from the demo notebook, through the real window.
#include <QApplication>
#include <QDir>
#include <QLineEdit>
#include <QTemporaryDir>
#include <QSlider>
#include <QTest>
#include <QTimer>

#include "desk/chart/wear_dialog.h"
#include "desk/demo.h"
#include "desk/dialogs/flat_pattern.h"
#include "desk/plan/plan_station.h"
#include "desk/tape/dialogs.h"
#include "desk/tape/tape_station.h"
#include "desk/window.h"

using namespace sartorum;
using namespace sartorum::desk;

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
    const auto tape = [&](Round round, Measure m, const char* name) {
        room.walk_round(round);
        window.findChild<TapeStation*>()->go_to(m);
        shot(name);
    };
    tape(Round::Dress, Measure::UpperArm, "tape-back");
    room.walk_round({});
    const auto dialog = [&](const char* name, auto open) {
        QTimer::singleShot(150, [&, name] {
            if (auto* w = QApplication::activeModalWidget()) {
                w->grab().save(out.filePath(QString{name} + ".png"));
                w->close();
            }
        });
        open();
    };
    const auto dress = room.book().charts().front().id;
    const auto skirt_table = room.table();
    room.choose_chart(dress);
    room.put_pattern_away();
    room.wear({GarmentKind::Dress}, {}, {});
    window.go_to(Station::Chart);
    shot("chart-dress");
    dialog("chart-typing", [&] { window.correct_chart(); });

    const auto bodice = room.book().patterns().front().id;
    room.choose_pattern(bodice);
    window.go_to(Station::Plan);
    room.choose(room.advice()->choice);
    room.decide({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), {}});
    room.decide(AdjustmentKind::BallOfShoulder, Answer::Accepted, Length::mm(9));
    auto* beside=window.findChild<Choices*>("beside_plan");
    auto* st=window.findChild<PlanStation*>();
    const auto see=[&](int i){ beside->choose(i); emit beside->picked(i); };
    room.decide(AdjustmentKind::Bust, Answer::Accepted, {});
    see(3);
    st->show_adjustment(AdjustmentKind::UpperArm);
    shot("a3");
    window.go_to(Station::Paper);
    for (std::size_t i = 0; i < room.computed()->steps.size(); ++i) {
        if (room.computed()->steps[i].kind == StepKind::SwingBust) room.go_to_step(static_cast<int>(i));
    }
    shot("a4");
    auto* pv=window.findChild<Choices*>("paper_view");
    emit pv->picked(3);
    auto* ws=window.findChild<Choices*>("walk_seam");
    emit ws->picked(2);
    window.findChild<QSlider*>("roll_seam")->setValue(420);
    shot("a5");
    dialog("a6", [&] { BodiceDialog{look, room, &window}.exec(); });
    return 0;
}
