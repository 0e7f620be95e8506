#include "desk/tape/tape_station.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QVBoxLayout>

#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "desk/tape/dialogs.h"
#include "desk/tape/figure.h"
#include "desk/tape/pad_parts.h"
#include "desk/tape/tape_link.h"
#include "formats/tape_protocol.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// A heading with a small button at its right.
Button* section(QVBoxLayout* column, Look& look, QWidget* pad, const QString& title, const QString& act,
                const char* object)
{
    auto* row = new QHBoxLayout;
    row->addWidget(heading(look, title, 16, pad), 1);
    auto* button = new Button{look, act, ButtonKind::Small, pad};
    button->setObjectName(object);
    row->addWidget(button);
    column->addLayout(row);
    return button;
}

}  // namespace

TapeStation::TapeStation(Look& look, Room& room, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, link_{new TapeLink{this}}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    empty_ = new EmptyState{look,
                            tr("Nobody has been measured yet."),
                            tr("A skirt starts with four numbers: waist, hip, how far apart they lie, and how "
                               "long it should be. A dress "
                               "asks for twenty, and leads you through them. Who is it for?"),
                            {{tr("Write a name"), [this] { emit wearer_wanted(); }}},
                            this};
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(14);
    figure_ = new Figure{look, room, work_};
    QStringList rounds{tr("This pattern")};
    for (const auto r : all_rounds) rounds << words::round_name(r);
    rounds_ = new Choices{look, rounds, tr("Round of measures"), figure_};
    rounds_->setObjectName("rounds");
    auto* over = new QVBoxLayout{figure_};
    over->setContentsMargins(14, 12, 14, 0);
    over->addWidget(rounds_, 0, Qt::AlignRight | Qt::AlignTop);
    over->addStretch();
    inner->addWidget(figure_, 1);
    inner->addWidget(build_pad());
    row->addWidget(empty_);
    row->addWidget(work_);
    connect(rounds_, &Choices::picked, this, [this](int i) {
        room_.walk_round(i == 0 ? std::nullopt : std::optional{all_rounds[static_cast<std::size_t>(i - 1)]});
        resume();
    });
    connect(figure_, &Figure::picked, this, [this](Measure m) { go_to(m); });
    connect(link_, &TapeLink::live, this, [this](Length l) { hero_->show_live(l); });
    connect(link_, &TapeLink::pressed, this, &TapeStation::take_pressed);
    connect(link_, &TapeLink::changed, this, [this] {
        hero_->show_live({});
        refresh_sections();
    });
    connect(link_, &TapeLink::trouble, this, [this](const QString& why) { live_->setText(why); });
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

QWidget* TapeStation::build_pad()
{
    auto* frame = new Panel{look_, work_};
    frame->setFixedWidth(368);
    auto* pad = scrolled(frame);
    auto* column = new QVBoxLayout{pad};
    column->setContentsMargins(20, 16, 20, 12);
    column->setSpacing(6);
    auto* top = new QHBoxLayout;
    title_ = heading(look_, {}, 21, pad);
    top->addWidget(title_, 1);
    sides_ = new Choices{look_, {tr("right"), tr("left")}, tr("Side of the body"), pad};
    sides_->setObjectName("side");
    connect(sides_, &Choices::picked, this, [this](int i) { go_to(current_, i == 1 ? Side::Left : Side::Right); });
    top->addWidget(sides_);
    column->addLayout(top);
    term_ = caption(look_, {}, pad);
    column->addWidget(term_);
    hero_ = new Hero{look_, pad};
    column->addWidget(hero_);
    sure_ = caption(look_, {}, pad);
    column->addWidget(sure_);
    build_readings(column, pad);
    build_sections(column, pad);
    column->addStretch();
    // Below what scrolls, so that it is always in sight.
    next_button_ = new Button{look_, tr("Next measure"), ButtonKind::Primary, frame};
    next_button_->setObjectName("next_measure");
    connect(next_button_, &Button::clicked, this, &TapeStation::next);
    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(16, 2, 16, 8);
    foot->addWidget(next_button_);
    static_cast<QVBoxLayout*>(frame->layout())->addLayout(foot);
    return frame;
}

void TapeStation::build_readings(QVBoxLayout* column, QWidget* pad)
{
    auto* cells = new QHBoxLayout;
    cells->setSpacing(8);
    const QString names[] = {tr("1st reading"), tr("2nd reading"), tr("3rd reading")};
    for (std::size_t i = 0; i < 3; ++i) {
        auto* box = new QWidget{pad};
        auto* stack = new QVBoxLayout{box};
        stack->setContentsMargins(0, 0, 0, 0);
        stack->setSpacing(2);
        stack->addWidget(caption(look_, names[i], box));
        cells_[i] = new LengthField{look_, names[i], box};
        cells_[i]->edit().setObjectName(QString{"reading%1"}.arg(i + 1));
        cells_[i]->edit().setProperty("large", true);
        cells_[i]->check = [this](Length l) -> std::optional<Refusal> {
            const auto ok = check_reading(current_, l);
            return ok ? std::nullopt : std::optional{ok.error()};
        };
        connect(cells_[i], &LengthField::entered, this, [this, i](Length l) { keep(i, l); });
        connect(cells_[i], &LengthField::cleared, this, [this, i] { remove(i); });
        connect(cells_[i], &LengthField::enter_pressed, this, [this, i] {
            if (!cells_[i]->value()) return;
            // On to the next reading this measure still wants, else to the next measure.
            const auto taken = room_.body().taken(current_, side_);
            const bool wants =
                taken && (taken->state == ReadingState::OneMore || taken->state == ReadingState::ThirdAsked);
            if (wants && i + 1 < cells_.size() && cells_[i + 1]->edit().text().isEmpty())
                cells_[i + 1]->edit().setFocus();
            else
                next();
        });
        stack->addWidget(cells_[i]);
        box->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Maximum);
        cell_boxes_[i] = box;
        cells->addWidget(box, 1, Qt::AlignTop);
    }
    column->addLayout(cells);
    strip_ = new ReadingStrip{look_, pad};
    column->addWidget(strip_);
    state_ = label(look_, {}, 14, true, pad);
    column->addWidget(state_);
    sense_ = label(look_, {}, 14, false, pad);
    sense_->setObjectName("sense");
    sense_->setAutoFillBackground(true);
    sense_->setMargin(8);
    column->addWidget(sense_);
}

void TapeStation::build_sections(QVBoxLayout* column, QWidget* pad)
{
    column->addSpacing(4);
    column->addWidget(heading(look_, tr("How to hold it"), 16, pad));
    how_ = label(look_, {}, 14, false, pad);
    column->addWidget(how_);
    auto* check = section(column, look_, pad, tr("Tape check"), tr("By a ruler"), "tape_check");
    connect(check, &Button::clicked, this, [this] { TapeCheckDialog{look_, room_, this}.exec(); });
    check_ = caption(look_, {}, pad);
    column->addWidget(check_);
    dates_button_ = section(column, look_, pad, tr("Over time"), tr("Two dates"), "two_dates");
    connect(dates_button_, &Button::clicked, this, [this] { DatesDialog{look_, room_, this}.exec(); });
    trend_ = new Trend{look_, pad};
    column->addWidget(trend_);
    history_ = caption(look_, {}, pad);
    column->addWidget(history_);
    auto* day = section(column, look_, pad, tr("The day and the body"), tr("Write down"), "the_day");
    connect(day, &Button::clicked, this, [this] { DayDialog{look_, room_, this}.exec(); });
    day_ = caption(look_, {}, pad);
    column->addWidget(day_);
    link_button_ = section(column, look_, pad, tr("Digital tape"), tr("Connect"), "connect_tape");
    connect(link_button_, &Button::clicked, this, [this] {
        if (link_->state() == TapeLink::State::Away)
            connect_tape(formats::usual_tape_socket());
        else
            link_->put_down();
    });
    live_ = caption(look_, {}, pad);
    live_->setObjectName("tape_live");
    column->addWidget(live_);
}

void TapeStation::connect_tape(const QString& socket)
{
    link_->connect_to(socket);
}

void TapeStation::resume()
{
    const auto round = room_.measures();
    const auto open = std::find_if(round.begin(), round.end(), [&](Measure m) { return !settled(m); });
    go_to(open != round.end() ? *open : round.front());
}

bool TapeStation::settled(Measure m) const
{
    const auto taken = room_.body().taken(m);
    return taken && taken->settled();
}

void TapeStation::go_to(Measure m, Side side)
{
    for (std::size_t i = 0; i < 3; ++i) {
        const QString typed = cells_[i]->edit().text();
        if (!typed.trimmed().isEmpty() && !cells_[i]->value())
            drafts_[{current_, side_, i}] = typed;
        else
            drafts_.erase({current_, side_, i});
    }
    current_ = m;
    side_ = facts(m).sided ? side : Side::Right;
    for (auto* cell : cells_) cell->show_value({});  // what stood there belongs to the measure left behind
    refresh();
    for (std::size_t i = 0; i < 3; ++i) {
        if (const auto d = drafts_.find({m, side_, i}); d != drafts_.end()) {
            cells_[i]->edit().setText(d->second);
            cells_[i]->say(tr("typed earlier, not kept yet"), true);
        }
    }
    cells_[0]->edit().setFocus();
    cells_[0]->edit().selectAll();
}

std::vector<Length> TapeStation::readings() const
{
    const auto& all = room_.body().side(side_);
    const auto it = all.find(current_);
    return it == all.end() ? std::vector<Length>{} : it->second;
}

void TapeStation::refresh()
{
    const bool someone = room_.table().wearer.has_value();
    empty_->setVisible(!someone);
    work_->setVisible(someone);
    if (!someone) return;
    const auto round = room_.measures();
    if (std::find(round.begin(), round.end(), current_) == round.end()) {
        current_ = round.front();
        side_ = Side::Right;
    }
    const auto walked = room_.round();
    rounds_->choose(walked ? 1 + static_cast<int>(std::find(all_rounds.begin(), all_rounds.end(), *walked) -
                                                  all_rounds.begin())
                           : 0);
    refresh_readings();
    refresh_sections();
    const bool last = current_ == round.back();
    next_button_->setText(last                                  ? tr("On to the chart")
                          : room_.body().taken(current_, side_) ? tr("Next measure")
                                                                : tr("Skip for now"));
    figure_->set_current(current_);
}

void TapeStation::refresh_readings()
{
    const auto values = readings();
    const auto taken = room_.body().taken(current_, side_);
    const Unit u = look_.unit();
    title_->setText(words::measure_name(current_));
    term_->setText(words::measure_term(current_));
    sides_->setVisible(facts(current_).sided);
    sides_->choose(side_ == Side::Left ? 1 : 0);
    hero_->show(taken);
    QStringList sure;
    if (taken) {
        sure << tr("sure to ±%1").arg(words::number(taken->spread, u));
        if (const auto both = words::corrected(*taken, u); !both.isEmpty()) sure.prepend(both);
        const auto other = room_.body().taken(current_, side_ == Side::Left ? Side::Right : Side::Left);
        if (other)
            sure << tr("%1 %2").arg(words::side_name(side_ == Side::Left ? Side::Right : Side::Left),
                                    words::number(other->value, u));
    }
    sure_->setText(taken ? sure.join(" · ") : tr("not yet read"));
    const bool wish = facts(current_).kind == MeasureKind::Wish;
    for (std::size_t i = 0; i < 3; ++i) {
        auto& field = *cells_[i];
        const bool busy = field.edit().hasFocus() && !field.edit().text().isEmpty() && !field.value();
        if (!busy) field.show_value(i < values.size() ? std::optional{values[i]} : std::nullopt);
    }
    cell_boxes_[1]->setVisible(!wish);
    cell_boxes_[2]->setVisible(!wish &&
                               (values.size() > 2 || (taken && taken->state == ReadingState::ThirdAsked)));
    strip_->show(current_, values);
    state_->setText(taken ? words::reading_state(*taken, current_, u) : tr("Read once, let go, read again."));
    QStringList asks;
    for (const auto& s : sense_of(current_, room_.body())) asks << words::sense(s, u);
    sense_->setVisible(!asks.isEmpty());
    sense_->setText(asks.join("\n"));
    auto washed = sense_->palette();
    washed.setColor(QPalette::Window, look_.dyes().weld_wash);
    washed.setColor(QPalette::WindowText, look_.dyes().weld_ink);
    sense_->setPalette(washed);
    how_->setText(words::measure_how(current_) + " " + words::what_to_wear(facts(current_).view));
}

void TapeStation::refresh_sections()
{
    const auto& body = room_.body();
    check_->setText(words::tape_check(body.tape, look_.unit()));
    std::vector<Trend::Point> points;
    for (const auto& set : room_.history()) {
        if (const auto then = set.taken(current_))
            points.push_back({QDate::fromString(QString::fromStdString(set.date), Qt::ISODate), then->value,
                              then->spread, set.date == body.date});
    }
    QString moved = tr("This is the first set.");
    if (points.size() > 1) {
        const auto& a = points[points.size() - 2];
        const auto& b = points.back();
        const Length by = b.value - a.value;
        const QString since = QLocale{QLocale::English}.toString(a.date, "d MMMM yyyy");
        moved = abs(by) <= a.spread + b.spread
                    ? tr("%1 since %2, within measuring").arg(words::amount(by, look_.unit(), true), since)
                    : tr("%1 since %2").arg(words::amount(by, look_.unit(), true), since);
    }
    QStringList old;
    for (const auto& s : room_.stale()) {
        if (s.measure == current_) old << words::stale(s);
    }
    if (!old.isEmpty()) {
        moved += "\n" + tr("Please measure again: %1.").arg(old.join(", "));
        QStringList touched;
        for (const auto& a : catalogue()) {
            const auto* decision = room_.plan().decision(a.kind);
            if (a.from == current_ && decision && decision->answer == Answer::Accepted)
                touched << words::adjustment_name(a.kind);
        }
        if (!touched.isEmpty()) moved += " " + tr("It touches the plan: %1.").arg(touched.join(", "));
    }
    history_->setText(moved);
    trend_->show(std::move(points));
    dates_button_->setVisible(room_.history().size() > 1);
    QStringList day;
    if (!body.worn.empty()) day << QString::fromStdString(body.worn);
    if (body.weight_kg) day << tr("%1 kg").arg(*body.weight_kg);
    if (!body.note.empty()) day << QString::fromStdString(body.note);
    if (const auto slope = shoulder_slope_degrees(body, Side::Right))
        day << tr("shoulders slope %1°").arg(*slope, 0, 'f', 0);
    day_->setText(day.isEmpty() ? tr("What was worn, weight, posture: nothing written yet.") : day.join(" · "));
    switch (link_->state()) {
        case TapeLink::State::Away:
            link_button_->setText(tr("Connect"));
            if (live_->text().isEmpty())
                live_->setText(tr("Typing comes first; a digital tape can send readings too."));
            break;
        case TapeLink::State::Connecting:
            link_button_->setText(tr("Put down"));
            live_->setText(tr("Looking for a tape…"));
            break;
        case TapeLink::State::Ready:
            link_button_->setText(tr("Put down"));
            live_->setText(tr("The tape is here. Its button takes the reading."));
            break;
    }
}

void TapeStation::keep(std::size_t cell, Length l)
{
    auto values = readings();
    if (cell < values.size())
        values[cell] = l;
    else
        values.push_back(l);
    drafts_.erase({current_, side_, cell});
    room_.keep_readings(current_, values, side_);
}

void TapeStation::remove(std::size_t cell)
{
    auto values = readings();
    if (cell >= values.size()) return;
    values.erase(values.begin() + static_cast<std::ptrdiff_t>(cell));
    room_.keep_readings(current_, values, side_);
}

// The button on the tape: into the first reading that is free; on to the next measure when this one is settled.
void TapeStation::take_pressed(Length l)
{
    if (!room_.table().wearer) return;
    hero_->show_live({});
    const auto ok = check_reading(current_, l);
    if (!ok) {
        live_->setText(words::refusal(ok.error(), look_.unit()));
        return;
    }
    const auto values = readings();
    const auto before = room_.body().taken(current_, side_);
    const bool wants =
        !before || before->state == ReadingState::OneMore || before->state == ReadingState::ThirdAsked;
    if (!wants) {
        live_->setText(tr("This measure has its readings. Go on, or empty a field to read again."));
        return;
    }
    keep(values.size(), l);
    const auto after = room_.body().taken(current_, side_);
    if (after && after->settled()) next();
}

void TapeStation::next()
{
    const auto round = room_.measures();
    const auto here = std::find(round.begin(), round.end(), current_);
    if (here != round.end() && here + 1 != round.end())
        go_to(*(here + 1));
    else
        emit finished();
}

void TapeStation::keyPressEvent(QKeyEvent* e)
{
    const auto round = room_.measures();
    const auto here = std::find(round.begin(), round.end(), current_);
    if (e->key() == Qt::Key_Down && here != round.end() && here + 1 != round.end()) return go_to(*(here + 1));
    if (e->key() == Qt::Key_Up && here != round.begin() && here != round.end()) return go_to(*(here - 1));
    QWidget::keyPressEvent(e);
}

}  // namespace sartorum::desk
