#include "desk/window.h"

#include <QApplication>
#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>
#include <QShortcut>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <utility>

#include "desk/chart/chart_dialog.h"
#include "desk/chart/chart_station.h"
#include "desk/dialogs/dialogs.h"
#include "desk/dialogs/flat_pattern.h"
#include "desk/paper/paper_station.h"
#include "desk/plan/plan_station.h"
#include "desk/print/print_station.h"
#include "desk/shell/docket.h"
#include "desk/shell/foot.h"
#include "desk/tape/tape_station.h"
#include "formats/chart_csv.h"
#include "formats/text_file.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

Foot::Keys keys_of(Station s)
{
    const auto t = [](const char* text) { return QObject::tr(text); };
    switch (s) {
        case Station::Tape:
            return {{"Enter", t("keep and go on")},
                    {"↑ ↓", t("measure")},
                    {"Ctrl 1–5", t("stations")},
                    {"Ctrl U", t("cm or in")}};
        case Station::Chart:
            return {{"↑ ↓", t("measure")},
                    {"← →", t("size at this measure")},
                    {"B", t("blend or one size")},
                    {"E", t("how it is worn")},
                    {"Enter", t("to Plan")}};
        case Station::Plan:
            return {{"↑ ↓", t("card")},
                    {"Space", t("accept or leave")},
                    {"+ −", t("amount")},
                    {"A", t("type an amount")},
                    {"Enter", t("to Paper")}};
        case Station::Paper:
            return {{"← →", t("step")},           {"Space", t("done on paper")},        {"O", t("as bought")},
                    {"F", t("finished")},         {"Z W", t("zoom to the cut, whole")}, {"M", t("lengths")},
                    {"K R", t("seams, roll one")}};
        case Station::Print: return {{"Tab", t("next")}, {"← →", t("kind, paper")}, {"Enter", t("save")}};
    }
    return {};
}

}  // namespace

Window::Window(Look& look) : look_{look}
{
    setWindowTitle("Sartorum");
    setMinimumSize(1180, 720);
    resize(1280, 800);
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
    column->addWidget(docket_);
    column->addWidget(stack_, 1);
    column->addWidget(foot_);
    row->addWidget(rail_);
    row->addLayout(column, 1);
    setCentralWidget(middle);
    connect(rail_, &Rail::picked, this, &Window::go_to);
    connect(rail_, &Rail::guide_wanted, this, [this] { GuideDialog{look_, this}.exec(); });
    connect(docket_, &Docket::wearers_wanted, this, &Window::show_wearers);
    connect(docket_, &Docket::patterns_wanted, this, &Window::show_patterns);
    connect(&room, &Room::changed, this, &Window::refresh);
    connect(&room, &Room::stepped, this, &Window::refresh);
    connect(&room, &Room::refused, foot_, &Foot::show_trouble);
    connect(&look, &Look::changed, this, [this] {
        dress();
        update();
    });
    dress();
    shortcuts();
    go_to(Station::Tape);
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
            place = tape;
            break;
        }
        case Station::Chart: {
            auto* chart = new ChartStation{look_, *room_, stack_};
            connect(chart, &ChartStation::chart_typing_wanted, this, &Window::type_chart);
            connect(chart, &ChartStation::chart_import_wanted, this, [this] { import_chart(); });
            connect(chart, &ChartStation::chart_correcting_wanted, this, &Window::correct_chart);
            connect(chart, &ChartStation::tape_wanted, this, [this] { go_to(Station::Tape); });
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
        case Station::Print: {
            auto* print = new PrintStation{look_, *room_, stack_};
            connect(print, &PrintStation::plan_wanted, this, [this] { go_to(Station::Plan); });
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
    foot_->show_keys(keys_of(s));
    // Straight to work: the first reading on the Tape, else the station itself, so that its keys act.
    if (s == Station::Tape && room_->table().wearer) {
        static_cast<TapeStation*>(w)->resume();
        return;
    }
    for (auto* child : w->findChildren<QWidget*>()) {
        const bool picture =
            s == Station::Chart && child->inherits("sartorum::desk::Strips") && child->isVisibleTo(w);
        if (picture) return child->setFocus();
    }
    w->setFocus();
}

void Window::shortcuts()
{
    const auto on = [this](const QKeySequence& keys, auto act) {
        auto* s = new QShortcut{keys, this};
        connect(s, &QShortcut::activated, this, act);
    };
    for (int i = 0; i < station_count; ++i) {
        on(QKeySequence{static_cast<int>(Qt::CTRL) + Qt::Key_1 + i},
           [this, i] { go_to(static_cast<Station>(i)); });
    }
    on(QKeySequence{"Ctrl+Z"}, [this] { room_->undo(); });
    on(QKeySequence{"Ctrl+Shift+Z"}, [this] { room_->redo(); });
    on(QKeySequence{"Ctrl+U"},
       [this] { look_.set_unit(look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch); });
    on(QKeySequence{"F8"}, [this] { look_.set_night(!look_.night()); });
    on(QKeySequence{"F1"}, [this] { GuideDialog{look_, this}.exec(); });
    on(QKeySequence{"F6"}, [this] { next_part(); });
    on(QKeySequence{"Ctrl++"}, [this] { look_.set_scale(look_.scale() + 0.1); });
    on(QKeySequence{"Ctrl+="}, [this] { look_.set_scale(look_.scale() + 0.1); });
    on(QKeySequence{"Ctrl+-"}, [this] { look_.set_scale(look_.scale() - 0.1); });
    on(QKeySequence{"Ctrl+0"}, [this] { look_.set_scale(1.0); });
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
    bool answered = c && room_->sizes_chosen();
    if (c) {
        for (const auto& l : c->lines)
            answered = answered && l.state != LineState::Proposed && l.state != LineState::Refused;
    }
    const bool cut = answered && room_->step() + 1 == static_cast<int>(c->steps.size());
    return {measured, room_->sizes_chosen(), answered, cut, false};
}

void Window::refresh()
{
    rail_->show(current_, finished());
    docket_->show(current_, finished());
    if (!room_->kept_at().isEmpty()) foot_->show_kept(room_->kept_at());
}

void Window::new_wearer()
{
    NameDialog dialog{look_, *room_, this};
    if (dialog.exec() == QDialog::Accepted) go_to(Station::Tape);
}

void Window::type_chart()
{
    ChartDialog{look_, *room_, this}.exec();
}
void Window::correct_chart()
{
    ChartDialog dialog{look_, *room_, this};
    dialog.correct();
    dialog.exec();
}
void Window::draw_bodice()
{
    BodiceDialog{look_, *room_, this}.exec();
}

void Window::draw_skirt()
{
    SkirtDialog{look_, *room_, this}.exec();
}
void Window::tell(const QString& text)
{
    foot_->show_trouble(text);
}

void Window::import_chart(const QString& given)
{
    const QString path = given.isEmpty() ? QFileDialog::getOpenFileName(this, tr("Import a size chart"), {},
                                                                        tr("CSV (*.csv *.txt)"))
                                         : given;
    if (path.isEmpty()) return;
    const QString name = QFileInfo{path}.fileName();
    const auto bytes = formats::read_file(path);
    if (!bytes) return tell(words::refusal(bytes.error(), look_.unit()));
    auto lines = formats::chart_lines(*bytes);
    if (!lines) return tell(name + ": " + words::refusal(lines.error(), look_.unit()));
    ChartDialog dialog{look_, *room_, this};
    dialog.fill(*lines, QFileInfo{path}.completeBaseName());
    dialog.exec();
}

void Window::open_pattern(const QString& given)
{
    const QString path = given.isEmpty() ? QFileDialog::getOpenFileName(this, tr("Open a pattern"), {},
                                                                        tr("Pattern drawing (*.svg)"))
                                         : given;
    if (path.isEmpty()) return;
    const auto bytes = formats::read_file(path);
    if (!bytes) return tell(words::refusal(bytes.error(), look_.unit()));
    const auto ok = room_->take_pattern_svg(*bytes);
    if (!ok) tell(QFileInfo{path}.fileName() + ": " + words::refusal(ok.error(), look_.unit()));
}

void Window::show_wearers()
{
    auto* menu = new QMenu{this};
    menu->setObjectName("wearer_menu");
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& w : room_->book().wearers()) {
        auto* a = menu->addAction(w.name, this, [this, id = w.id] { room_->choose_wearer(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().wearer == w.id);
    }
    menu->addAction(tr("New wearer…"), this, &Window::new_wearer);
    if (room_->table().wearer) {
        menu->addSeparator();
        for (const auto& set : room_->book().sets(*room_->table().wearer)) {
            auto* a = menu->addAction(tr("measured %1").arg(set.name), this,
                                      [this, id = set.id] { room_->choose_wearer(*room_->table().wearer, id); });
            a->setCheckable(true);
            a->setChecked(room_->table().set == set.id);
        }
        menu->addAction(tr("Measure anew today"), this, [this] {
            room_->measure_anew();
            go_to(Station::Tape);
        });
    }
    menu->popup(docket_->wearer_button().mapToGlobal(QPoint{0, docket_->wearer_button().height()}));
}

void Window::show_patterns()
{
    auto* menu = new QMenu{this};
    menu->setObjectName("pattern_menu");
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& p : room_->book().patterns()) {
        auto* a =
            menu->addAction(p.name + ", " + p.second, this, [this, id = p.id] { room_->choose_pattern(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().pattern == p.id);
    }
    menu->addAction(tr("Open a pattern drawing (SVG)…"), this, [this] { open_pattern(); });
    menu->addAction(tr("Draw a skirt from flat measurements…"), this, &Window::draw_skirt);
    menu->addAction(tr("Draw a bodice from flat measurements…"), this, &Window::draw_bodice);
    menu->addSeparator();
    for (const auto& c : room_->book().charts()) {
        auto* a = menu->addAction(tr("chart: %1").arg(c.second.isEmpty() ? c.name : c.second), this,
                                  [this, id = c.id] { room_->choose_chart(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().chart == c.id);
    }
    if (room_->table().pattern && room_->table().chart)
        menu->addAction(tr("Work by the chart alone"), this, [this] { room_->put_pattern_away(); });
    if (room_->table().chart) menu->addAction(tr("Correct this size chart…"), this, &Window::correct_chart);
    menu->addAction(tr("Type a size chart…"), this, &Window::type_chart);
    menu->addAction(tr("Import a size chart (CSV)…"), this, [this] { import_chart(); });
    menu->popup(docket_->pattern_button().mapToGlobal(QPoint{0, docket_->pattern_button().height()}));
}

void Window::paintEvent(QPaintEvent*)
{
    QPainter p{this};
    p.fillRect(rect(), room_ ? look_.weave() : QBrush{look_.dyes().linen});
    if (!std::exchange(painted_, true)) emit first_painted();
}

}  // namespace sartorum::desk
