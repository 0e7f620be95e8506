// A hand drags an amount in the real window, every station opened once: from each move of the mouse to the painted
// frame, with Plan shown and with Paper shown. Says medians in ms and the peak memory.
#include <QApplication>
#include <QElapsedTimer>
#include <QMouseEvent>
#include <QTemporaryDir>
#include <algorithm>
#include <cstdio>

#include "desk/demo.h"
#include "desk/plan/map/plan_map.h"
#include "desk/plan/plan_station.h"
#include "desk/window.h"
#include "peak_memory.h"

using namespace sartorum;
using namespace sartorum::desk;

namespace {

void settle()
{
    for (int i = 0; i < 5; ++i) QCoreApplication::processEvents(QEventLoop::AllEvents, 50);
}

double median(std::vector<double> v)
{
    std::sort(v.begin(), v.end());
    return v[v.size() / 2];
}

template <class Move>
double frame_ms(Move&& move)
{
    constexpr int frames = 200;
    std::vector<double> times;
    for (int i = 0; i < frames; ++i) {
        QElapsedTimer t;
        t.start();
        move(i);
        QCoreApplication::sendPostedEvents();
        QCoreApplication::processEvents(QEventLoop::AllEvents);
        times.push_back(static_cast<double>(t.nsecsElapsed()) / 1e6);
    }
    return median(times);
}

void mouse(QWidget* w, QEvent::Type type, QPointF at)
{
    QMouseEvent e{type, at, w->mapToGlobal(at), Qt::LeftButton, Qt::LeftButton, Qt::NoModifier};
    QCoreApplication::sendEvent(w, &e);
}

}  // namespace

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    QApplication::setStyle("Fusion");
    if (argc != 2) return 2;
    load_fonts();
    QTemporaryDir dir;
    auto book = notebook::Notebook::open(dir.filePath("n.sartorum"));
    if (!book || !fill_with_demo(**book, QString::fromLocal8Bit(argv[1]))) return 2;
    Room room{std::move(*book), [] { return QDate{2026, 11, 28}; }};
    for (const auto& p : room.book().patterns()) {
        if (p.name.startsWith("Windlass")) room.choose_pattern(p.id);
    }
    Look look;
    Window window{look, room};
    window.show();
    for (const auto s : {Station::Tape, Station::Chart, Station::Print, Station::Paper, Station::Plan}) {
        window.go_to(s);
        settle();
    }
    window.findChild<PlanStation*>()->show_adjustment(AdjustmentKind::ShoulderSlope);
    settle();
    auto* map = window.findChild<PlanMap*>();
    room.decide(AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6));
    settle();
    const QPointF hold = *map->mark_of(AdjustmentKind::ShoulderSlope);
    mouse(map, QEvent::MouseButtonPress, hold);
    const double plan = frame_ms([&](int i) { mouse(map, QEvent::MouseMove, hold + QPointF{0, 1.0 + i % 5}); });
    mouse(map, QEvent::MouseButtonRelease, hold);
    settle();
    window.go_to(Station::Paper);
    settle();
    const double paper = frame_ms([&](int i) {
        room.try_out({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6 + i % 5)});
    });
    room.keep_trial();
    std::printf("frame-plan-ms %.3f\nframe-paper-ms %.3f\nmemory-kb %ld\n", plan, paper, peak_memory_kb());
    return 0;
}
