#include "desk/tape/tape_station.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QVBoxLayout>

#include "desk/shared/acts.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "desk/tape/dialogs.h"
#include "desk/tape/figure.h"
#include "desk/tape/pad_parts.h"
#include "desk/tape/tape_link.h"
#include "desk/tape/tissue_face.h"
#include "formats/tape_protocol.h"
#include "words/words.h"

namespace sartorum::desk {

void TapeStation::connect_tape(const QString& socket)
{
    link_->connect_to(socket);
}

void TapeStation::lay_paper(std::optional<TissueKind> kind)
{
    turn(true);
    if (kind)
        paper().take_up(*kind);
    else
        paper().resume();
}

void TapeStation::turn(bool to_paper)
{
    if (on_paper_ == to_paper) return;
    on_paper_ = to_paper;
    refresh();
    emit face_changed();
}

void TapeStation::resume()
{
    if (on_paper_) return paper().resume();
    if (!room_.table().wearer) return setFocus();
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
        if (cells_[i]->pending()) cells_[i]->enter();  // of the measure that is left
        const QString typed = cells_[i]->edit().text();
        if (!typed.trimmed().isEmpty() && !cells_[i]->value())
            drafts_[{current_, side_, i}] = typed;
        else
            drafts_.erase({current_, side_, i});
    }
    show_page(0);
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
    empty_->setVisible(!someone && !on_paper_);
    work_->setVisible(someone && !on_paper_);
    if (paper_ || on_paper_) paper().setVisible(on_paper_);
    if (!someone || on_paper_) return;
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
    // At once: what was said is taller or lower now, and its page stands in another.
    measure_page_->layout()->activate();
    measure_page_->updateGeometry();
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
        field.offer_value(i < values.size() ? std::optional{values[i]} : std::nullopt);
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
        case TapeLink::State::Away: link_button_->setText(tr("Connect")); break;
        case TapeLink::State::Connecting:
            link_button_->setText(tr("Put down"));
            say_live(tr("Looking for a tape…"));
            break;
        case TapeLink::State::Ready:
            link_button_->setText(tr("Put down"));
            say_live(tr("The tape is here. Its button takes the reading."));
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

// The keyboard to the reading that is still wanted: the first empty one, or the one that is furthest off.
void TapeStation::ask_reading()
{
    const auto values = readings();
    if (values.size() < cells_.size()) return cells_[values.size()]->edit().setFocus();
    const Length middle = room_.body().taken(current_, side_)->as_read;
    const auto off = std::max_element(values.begin(), values.begin() + static_cast<std::ptrdiff_t>(cells_.size()),
                                      [&](Length a, Length b) { return abs(a - middle) < abs(b - middle); });
    auto& edit = cells_[static_cast<std::size_t>(off - values.begin())]->edit();
    edit.setFocus();
    edit.selectAll();
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
        say_live(words::refusal(ok.error(), look_.unit()));
        return;
    }
    const auto values = readings();
    const auto before = room_.body().taken(current_, side_);
    const bool wants = !before || before->state == ReadingState::OneMore ||
                       before->state == ReadingState::ThirdAsked || before->state == ReadingState::NoneAgree;
    if (!wants) {
        say_live(tr("This measure has its readings. Go on, or empty a field to read again."));
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

// Whether there was a measure that way.
bool TapeStation::step_by(int way)
{
    const auto round = room_.measures();
    const auto here = std::find(round.begin(), round.end(), current_);
    if (here == round.end()) return false;
    const auto to = here - round.begin() + way;
    if (to < 0 || to >= static_cast<std::ptrdiff_t>(round.size())) return false;
    go_to(round[static_cast<std::size_t>(to)]);
    return true;
}

void TapeStation::turn_over()
{
    if (!on_paper_) return lay_paper();
    turn(false);
    resume();
}

namespace {

int way_of(const QKeyEvent& e)
{
    const auto act = act_for(At::Tape, e);
    return act == Act::MeasureAfter ? 1 : act == Act::MeasureBefore ? -1 : 0;
}

}  // namespace

void TapeStation::keyPressEvent(QKeyEvent* e)
{
    const int way = way_of(*e);
    if (way == 0 || !step_by(way)) QWidget::keyPressEvent(e);
}

// The keyboard is in a reading's field: there the arrows would be the column's, which scrolls by them.
bool TapeStation::eventFilter(QObject* watched, QEvent* e)
{
    if (e->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(e);
        const int way = way_of(*key);
        if (way != 0 && !(key->modifiers() & ~Qt::KeypadModifier)) {
            (void)step_by(way);
            return true;
        }
    }
    return QWidget::eventFilter(watched, e);
}

}  // namespace sartorum::desk
