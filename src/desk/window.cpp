#include "desk/window.h"

#include <QApplication>
#include <QCloseEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

#include "desk/chart/chart_station.h"
#include "desk/dialogs/dialogs.h"
#include "desk/mirror/mirror_station.h"
#include "desk/paper/paper_station.h"
#include "desk/plan/plan_station.h"
#include "desk/print/print_station.h"
#include "desk/shell/docket.h"
#include "desk/shell/foot.h"
#include "desk/shell/notice.h"
#include "desk/shell/settings.h"
#include "desk/tape/tape_station.h"
#include "notebook/copies.h"

namespace sartorum::desk {
namespace {

constexpr QSize wished_size{1280, 800};
constexpr QSize wished_least{1180, 720};
constexpr int look_round_ms = 1000;

}  // namespace

Window::Window(Look& look) : look_{look}, caring_{new Worker{this}}
{
    setWindowTitle("Sartorum");
    setMinimumSize(wished_least);
    resize(wished_size);
}

void Window::fit(const QRect& available)
{
    // The frame is known once it stands; before that a usual one is supposed.
    const QSize frame = isVisible() ? frameGeometry().size() - size() : QSize{8, 40};
    const QSize room = available.size() - frame;
    setMinimumSize(wished_least.boundedTo(room));
    resize(size().boundedTo(room));
    if (!isVisible()) return;
    const QPoint corner = frameGeometry().topLeft();
    const QPoint most =
        available.bottomRight() - QPoint{frameGeometry().width() - 1, frameGeometry().height() - 1};
    const QPoint inside{std::max(available.left(), std::min(corner.x(), most.x())),
                        std::max(available.top(), std::min(corner.y(), most.y()))};
    if (inside != corner) move(inside);
}

Window::Window(Look& look, Room& room) : Window{look}
{
    furnish(room);
}

void Window::furnish(Room& room)
{
    room_ = &room;
    auto& look = look_;
    auto* middle = new QWidget{this};
    auto* row = new QHBoxLayout{middle};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    rail_ = new Rail{look, middle};
    auto* column = new QVBoxLayout;
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    docket_ = new Docket{look, room, middle};
    stack_ = new QStackedWidget{middle};
    stack_->setContentsMargins(16, 10, 16, 10);
    foot_ = new Foot{look, middle};
    notice_ = new Notice{look, middle};
    column->addWidget(docket_);
    column->addWidget(notice_);
    column->addWidget(stack_, 1);
    column->addWidget(foot_);
    row->addWidget(rail_);
    row->addLayout(column, 1);
    setCentralWidget(middle);
    connect(rail_, &Rail::picked, this, &Window::go_to);
    connect(rail_, &Rail::guide_wanted, this, [this] { show_guide(); });
    connect(rail_, &Rail::menu_wanted, this, &Window::show_menu);
    connect(docket_, &Docket::wearers_wanted, this, &Window::show_wearers);
    connect(docket_, &Docket::patterns_wanted, this, &Window::show_patterns);
    connect(&room, &Room::changed, this, &Window::refresh);
    connect(&room, &Room::stepped, this, &Window::refresh);
    connect(&room, &Room::refused, this, &Window::tell);
    connect(&room, &Room::changed, this, &Window::say_of_the_notebook);
    connect(&look_round_, &QTimer::timeout, &room, &Room::look_round);
    look_round_.start(look_round_ms);
    connect(&look, &Look::changed, this, [this] {
        dress();
        update();
    });
    dress();
    make_actions();
    go_to(settings_ ? settings_->station().value_or(Station::Tape) : Station::Tape);
    say_of_the_notebook();
}

// What the notebook cannot or must not do is said above the work as long as it is so.
void Window::say_of_the_notebook()
{
    const bool looks = room_->looks_only();
    notice_->say("looks", looks
                              ? tr("Another window writes in this notebook. This one only looks until that one is "
                                   "closed.")
                              : QString{});
    const auto lost = room_->lost();
    notice_->say("lost", lost ? trouble_text({*lost, {}}) : QString{},
                 lost ? std::optional{Notice::Action{tr("Keep it elsewhere…"), [this] { keep_elsewhere(); }}}
                      : std::nullopt);
    if (const auto& aside = room_->book().set_aside(); !aside.isEmpty() && !std::exchange(told_aside_, true))
        notice_->say("aside", tr("Beside the notebook lay a log of another file. It was renamed (%1), and nothing "
                                 "was taken from it.")
                                  .arg(QFileInfo{aside.front()}.fileName()));
    const auto unreadable = room_->unreadable();
    if (unreadable != unreadable_) {
        unreadable_ = unreadable;
        constexpr qsizetype most = 4;
        QString list = unreadable.mid(0, most).join(", ");
        if (unreadable.size() > most) list += tr(" and %1 more").arg(unreadable.size() - most);
        notice_->say("unreadable",
                     unreadable.isEmpty()
                         ? QString{}
                         : tr("Left out, because it could not be read (the file keeps it): %1.").arg(list));
        if (!unreadable.isEmpty())
            report_.refused(tr("%1 values of the notebook were left out.").arg(unreadable.size()));
    }
    if (room_->book().undo_forgotten() && !std::exchange(told_forgotten_, true))
        notice_->say("forgotten", tr("This notebook was brought to a new version. What could be undone before is "
                                     "forgotten; a copy of the old one lies beside it."));
}

// In a new file, with which the program starts anew.
void Window::keep_elsewhere(const QString& given)
{
    const QFileInfo was{room_->book().path()};
    const QString path = given.isEmpty()
                             ? QFileDialog::getSaveFileName(
                                   this, tr("Keep the notebook elsewhere"),
                                   was.absolutePath() + "/" + was.completeBaseName() + "-2." + was.suffix(),
                                   tr("Notebook (*.sartorum)"), nullptr, QFileDialog::DontConfirmOverwrite)
                             : given;
    if (path.isEmpty()) return;
    if (QFileInfo::exists(path))
        return tell(tr("%1 is there already. Choose another name.").arg(path),
                    tr("That file is there already. Choose another name."));
    const auto ok = room_->book().keep_elsewhere(path);
    if (!ok) return tell(trouble_text(ok.error()), plain(ok.error()));
    emit elsewhere_wanted(path);
}

void Window::look_after_the_notebook()
{
    if (room_->looks_only()) return;
    const QString path = room_->book().path();
    const QDate today = room_->today();
    struct Looked {
        std::optional<QString> damage;
        notebook::Result<bool> copied;
    };
    caring_->start<Looked>(
        [path, today](const Worker::Going&) {
            Looked out{notebook::found_damaged(path), false};
            if (!out.damage) out.copied = notebook::keep_daily_copy(path, today);
            return out;
        },
        [this](const Outcome<Looked>& looked) {
            if (!looked)
                say_of_the_copy(words::refusal(looked.error(), look_.unit()));
            else if (looked->damage)
                say_it_is_damaged();
            else if (!looked->copied)
                say_of_the_copy(trouble_text(looked->copied.error()));
            room_->sweep_pictures();
            emit looked_after();
        });
}

void Window::say_of_the_copy(const QString& why)
{
    notice_->say("copy", tr("Today's copy of the notebook could not be kept: %1").arg(why));
}

void Window::say_it_is_damaged()
{
    const auto copies = notebook::daily_copies(room_->book().path(), room_->today());
    const QString text =
        tr("The notebook is damaged. What can still be read is shown; keep a copy of it somewhere else.");
    report_.refused(text);
    const auto go_back = [&] {
        return Notice::Action{tr("Go back to the copy of %1").arg(copies.front().day.toString(Qt::ISODate)),
                              [this] { emit going_back_wanted(); }};
    };
    notice_->say("damaged",
                 copies.empty() ? text : text + " " + tr("Going back to a copy starts the program anew."),
                 copies.empty() ? std::nullopt : std::optional{go_back()});
}

void Window::closeEvent(QCloseEvent* e)
{
    // What is being typed is entered while all that keeps it still stands.
    if (auto* typing = focusWidget()) typing->clearFocus();
    if (room_) room_->keep_trial();
    if (settings_ && room_) {
        settings_->keep_window(saveGeometry());
        settings_->keep_station(current_);
    }
    QMainWindow::closeEvent(e);
}

Window::~Window()
{
    // What is being typed is kept while all that keeps it still stands.
    if (auto* typing = focusWidget()) typing->clearFocus();
}

void Window::show_guide()
{
    GuideDialog guide{look_, this};
    connect(&guide, &GuideDialog::report_wanted, this, [this, &guide] {
        ReportDialog{look_, report_, &guide}.exec();
    });
    guide.exec();
}

void Window::dress()
{
    QApplication::setPalette(look_.palette());
    QApplication::setFont(look_.lato(14));
    setStyleSheet(look_.style_sheet());
}

// A station is built when it is first wanted: the first window stands sooner.
QWidget* Window::station(Station s)
{
    auto& place = stations_[static_cast<std::size_t>(s)];
    if (place) return place;
    switch (s) {
        case Station::Tape: {
            auto* tape = new TapeStation{look_, *room_, stack_};
            connect(tape, &TapeStation::wearer_wanted, this, &Window::new_wearer);
            connect(tape, &TapeStation::finished, this, [this] { go_to(Station::Chart); });
            connect(tape, &TapeStation::drawn, this,
                    [this] { go_to(room_->computed() ? Station::Plan : Station::Chart); });
            connect(tape, &TapeStation::face_changed, this, [this, tape] {
                foot_->show_keys(hints_at(tape->on_paper() ? At::Tissue : At::Tape));
                refresh();
            });
            place = tape;
            break;
        }
        case Station::Chart: {
            auto* chart = new ChartStation{look_, *room_, stack_};
            connect(chart, &ChartStation::chart_typing_wanted, this, &Window::type_chart);
            connect(chart, &ChartStation::chart_pasting_wanted, this, &Window::paste_chart);
            connect(chart, &ChartStation::chart_import_wanted, this, [this] { import_chart(); });
            connect(chart, &ChartStation::chart_correcting_wanted, this, &Window::correct_chart);
            connect(chart, &ChartStation::tape_wanted, this, [this] { go_to(Station::Tape); });
            connect(chart, &ChartStation::flat_wanted, this, [this] {
                const auto kind = room_->plan().choosing.kind;
                measure_flat(kind == GarmentKind::Skirt      ? TissueKind::Skirt
                             : kind == GarmentKind::Top      ? TissueKind::Bodice
                             : kind == GarmentKind::Dress    ? TissueKind::Dress
                             : kind == GarmentKind::Trousers ? TissueKind::Trousers
                             : kind == GarmentKind::AllInOne ? TissueKind::AllInOne
                                                             : TissueKind::Girth);
            });
            connect(chart, &ChartStation::plan_wanted, this, [this] { go_to(Station::Plan); });
            place = chart;
            break;
        }
        case Station::Plan: {
            auto* plan = new PlanStation{look_, *room_, stack_};
            connect(plan, &PlanStation::pattern_wanted, this, &Window::show_patterns);
            connect(plan, &PlanStation::chart_wanted, this, [this] { go_to(Station::Chart); });
            connect(plan, &PlanStation::paper_wanted, this, [this] { go_to(Station::Paper); });
            place = plan;
            break;
        }
        case Station::Paper: {
            auto* paper = new PaperStation{look_, *room_, stack_};
            connect(paper, &PaperStation::plan_wanted, this, [this] { go_to(Station::Plan); });
            place = paper;
            break;
        }
        case Station::Mirror: {
            auto* mirror = new MirrorStation{look_, *room_, stack_};
            connect(mirror, &MirrorStation::plan_wanted, this, [this] { go_to(Station::Plan); });
            connect(mirror, &MirrorStation::sheet_wanted, this, [this] {
                go_to(Station::Print);
                static_cast<PrintStation*>(station(Station::Print))->show_toile();
            });
            place = mirror;
            break;
        }
        case Station::Print: {
            auto* print = new PrintStation{look_, *room_, stack_};
            connect(print, &PrintStation::plan_wanted, this, [this] { go_to(Station::Plan); });
            if (settings_) {
                print->begin_in(settings_->folder(Settings::Folder::Pages));
                connect(print, &PrintStation::written, this,
                        [this](const QString& path) { settings_->keep_folder(Settings::Folder::Pages, path); });
            }
            place = print;
            break;
        }
    }
    stack_->addWidget(place);
    return place;
}

void Window::go_to(Station s)
{
    current_ = s;
    auto* w = station(s);
    stack_->setCurrentWidget(w);
    refresh();
    auto* tape = qobject_cast<TapeStation*>(w);
    foot_->show_keys(hints_at(tape && tape->on_paper() ? At::Tissue : at_station(s)));
    // Straight to work: the first reading on the Tape, else the station itself, so that its keys act.
    if (tape) return tape->resume();
    takes_keys(s)->setFocus();
}

// The chart's picture, where it shows; else the station itself.
QWidget* Window::takes_keys(Station s)
{
    auto* w = station(s);
    for (auto* child : w->findChildren<QWidget*>()) {
        const bool picture =
            s == Station::Chart && child->inherits("sartorum::desk::Strips") && child->isVisibleTo(w);
        if (picture) return child;
    }
    return w;
}

// Station, docket, rail, and round again.
void Window::next_part()
{
    QWidget* here = QApplication::focusWidget();
    if (here && docket_->isAncestorOf(here)) {
        rail_->findChild<QWidget*>("station_" + QString::number(static_cast<int>(current_) + 1))->setFocus();
    } else if (here && rail_->isAncestorOf(here)) {
        go_to(current_);
    } else {
        docket_->wearer_button().setFocus();
    }
}

std::vector<bool> Window::finished() const
{
    const auto& c = room_->computed();
    const auto settled = [&](Measure m) {
        const auto taken = room_->body().taken(m);
        return taken && taken->settled();
    };
    bool measured = room_->table().wearer.has_value();
    for (const auto m : room_->measures())
        measured = measured && (facts(m).kind == MeasureKind::Wish || settled(m));
    bool answered = c && room_->sizes_chosen() && c->doubts.empty();
    if (c) {
        for (const auto& l : c->lines)
            answered = answered && l.state != LineState::Proposed && l.state != LineState::Refused;
    }
    const bool cut = answered && room_->step() + 1 == static_cast<int>(room_->steps().size());
    const bool seen = c && room_->seen_as_it_is();
    return {measured, room_->sizes_chosen(), answered, cut, seen, false};
}

void Window::refresh()
{
    rail_->show(current_, finished());
    const auto* tape = static_cast<TapeStation*>(stations_[static_cast<std::size_t>(Station::Tape)]);
    docket_->show(current_, finished(), tape && tape->on_paper());
    if (!room_->kept_at().isEmpty()) foot_->show_kept(room_->kept_at());
}

void Window::paintEvent(QPaintEvent*)
{
    QPainter p{this};
    p.fillRect(rect(), room_ ? look_.weave() : QBrush{look_.dyes().linen});
    if (!std::exchange(painted_, true)) emit first_painted();
}

}  // namespace sartorum::desk
