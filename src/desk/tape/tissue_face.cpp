#include "desk/tape/tissue_face.h"

#include <QBoxLayout>
#include <QKeyEvent>
#include <algorithm>

#include "desk/shared/acts.h"
#include "desk/tape/paper_says.h"
#include "desk/tape/tissue_lens.h"
#include "desk/tape/tissue_picture.h"
#include "desk/tape/tissue_written.h"
#include "words/tissue.h"
#include "words/words.h"

namespace sartorum::desk {
std::vector<TissueLine> TissueFace::lines() const
{
    const auto& t = room_.tissue();
    return t && t->in_hand() ? lines_on_pieces(*t, *t->in_hand()) : std::vector<TissueLine>{};
}

void TissueFace::take_up(TissueKind kind)
{
    if (room_.tissue() && room_.tissue()->kind == kind) return resume();
    for (const auto& named : room_.book().tissues()) {
        const auto kept = room_.book().tissue(named.id);
        if (kept && kept->kind == kind && !room_.book().pattern_of_tissue(named.id)) {
            room_.choose_tissue(named.id);
            return resume();
        }
    }
    room_.begin_tissue(kind);
    show_page(1);
    if (kind != TissueKind::Girth) written_->focus_name();
}

void TissueFace::resume()
{
    if (!room_.tissue()) return setFocus();
    show_page(0);
    current_.reset();
    next_open();
}

void TissueFace::show_page(int page)
{
    pages_->choose(page);
    refresh();
    if (page == 0) field_->setFocus();
}

void TissueFace::go_to(TissueLine line)
{
    const auto& t = room_.tissue();
    if (!t) return;
    if (current_) {
        if (pending())
            drafts_[{t->size, *current_}] = field_->edit().text();
        else
            drafts_.erase({t->size, *current_});
    }
    current_ = line;
    objected_ = false;
    field_->show_value({});
    pages_->choose(0);
    refresh();
    if (const auto d = drafts_.find({t->size, line}); d != drafts_.end()) {
        field_->edit().setText(d->second);
        field_->edit().setModified(true);
        field_->say(tr("typed earlier, not kept yet"), true);
    }
    field_->setFocus();
    field_->edit().selectAll();
}

void TissueFace::step_by(int by)
{
    const auto all = lines();
    const auto here = std::find(all.begin(), all.end(), current_.value_or(TissueLine{}));
    if (here == all.end()) return;
    const auto at = (here - all.begin()) + by;
    if (at >= 0 && at < static_cast<std::ptrdiff_t>(all.size())) go_to(all[static_cast<std::size_t>(at)]);
}

// The next line that waits, from the one in hand on and round; at the last where none does.
void TissueFace::next_open()
{
    const auto all = lines();
    if (all.empty()) return;
    const auto& s = *room_.tissue()->in_hand();
    const auto here = current_ ? std::find(all.begin(), all.end(), *current_) : all.end();
    const auto open = [&](TissueLine l) { return waits(s, l); };
    auto next = here == all.end() ? all.end() : std::find_if(here + 1, all.end(), open);
    if (next == all.end()) next = std::find_if(all.begin(), all.end(), open);
    go_to(next != all.end() ? *next : all.back());
    // All is measured: what is left is to draw it.
    if (next == all.end() && draw_->isVisibleTo(this)) draw_->setFocus();
}

bool TissueFace::pending() const
{
    return field_->edit().isModified() && !field_->edit().text().trimmed().isEmpty();
}

std::optional<Length> TissueFace::typed() const
{
    if (!pending()) return std::nullopt;
    const auto parsed = parse_length(field_->edit().text().toStdString(), look_.unit());
    return parsed ? std::optional{*parsed} : std::nullopt;
}

// Kept unless it cannot be; then what was typed stays, and why is said.
bool TissueFace::keep(Length value)
{
    const auto& t = room_.tissue();
    if (!t || !current_) return false;
    const TissueLine line = *current_;
    if (value == Length{} && facts(line).may_lack) {
        field_->show_value({});
        room_.keep_line(line, TissueValue{TissueState::Lacking, {}});
        return true;
    }
    const auto against = objection(*t, *t->in_hand(), room_.tissue_chart(), line, value);
    objected_ = against.has_value();
    if (against) {
        field_->say(words::tissue_objection(*against, *t, look_.unit()), true);
        refresh_picture();
        settle();
        return false;
    }
    drafts_.erase({t->size, line});
    room_.keep_line(line, TissueValue{TissueState::Measured, value});
    if (measured(*room_.tissue()->in_hand(), line) != value)
        return false;  // the notebook took no more, and said so
    field_->show_value(value);
    refresh_picture();
    refresh_acts();
    return true;
}

void TissueFace::keep_and_go_on()
{
    const auto& t = room_.tissue();
    if (!t || !current_ || !pending()) return next_open();
    const auto parsed = parse_length(field_->edit().text().toStdString(), look_.unit());
    if (!parsed) return field_->say(words::refusal(parsed.error(), look_.unit()), true);
    if (keep(*parsed)) next_open();
}

void TissueFace::lacking()
{
    if (!room_.tissue() || !current_) return;
    if (!facts(*current_).may_lack) {
        field_->say(tr("Every paper of this kind has this line. A leaves it as it is assumed."), true);
        return;
    }
    field_->show_value({});
    room_.keep_line(*current_, TissueValue{TissueState::Lacking, {}});
    next_open();
}

void TissueFace::leave_assumed()
{
    if (!room_.tissue() || !current_) return;
    field_->show_value({});
    if (!measured(*room_.tissue()->in_hand(), *current_))
        room_.keep_line(*current_, TissueValue{TissueState::Assumed, {}});
    next_open();
}

// With what is typed, where that can be drawn; else as it stood.
std::vector<Piece> TissueFace::pieces_with(std::optional<Length> value) const
{
    const auto& t = *room_.tissue();
    TissueSize s = *t.in_hand();
    if (value && current_ && !out_of_range(*current_, *value)) {
        s.lines[*current_] = {TissueState::Measured, *value};
        if (s == *t.in_hand()) return as_kept_;
        if (auto drawn = draw_tissue(t, s, room_.tissue_chart())) return std::move(drawn->pieces);
    }
    return as_kept_;
}

void TissueFace::refresh()
{
    const bool there = room_.tissue().has_value();
    empty_->setVisible(!there);
    picture_->setVisible(there);
    work_->setVisible(there);
    said_of_it_->setVisible(there);
    if (!there) return;
    if (room_.table().tissue != shown_) {
        shown_ = room_.table().tissue;
        current_.reset();
        drafts_.clear();
        last_drawn_.clear();
    }
    const auto all = lines();
    if (!current_ || std::find(all.begin(), all.end(), *current_) == all.end())
        current_ = all.empty() ? std::nullopt : std::optional{all.front()};
    kinds_->choose(static_cast<int>(room_.tissue()->kind));
    line_page_->setVisible(pages_->chosen() == 0);
    written_->setVisible(pages_->chosen() == 1);
    trouble_->setVisible(false);
    auto kept = draw_tissue(*room_.tissue(), *room_.tissue()->in_hand(), room_.tissue_chart());
    as_kept_ = kept ? std::move(kept->pieces) : std::vector<Piece>{};
    written_->refresh();
    refresh_line();
    refresh_picture();
    refresh_says();
    refresh_acts();
    settle();
}

void TissueFace::settle()
{
    line_page_->layout()->activate();
    line_page_->updateGeometry();
}

void TissueFace::refresh_picture()
{
    const auto& t = room_.tissue();
    if (!t || !t->in_hand()) return;
    const auto stands = current_ ? measured(*t->in_hand(), *current_) : std::nullopt;
    const auto value = typed();
    auto pieces = pieces_with(value);
    if (!pieces.empty()) last_drawn_ = std::move(pieces);
    picture_->show(*t, last_drawn_, pages_->chosen() == 0 ? current_ : std::nullopt, value ? value : stands,
                   objected_);
}

void TissueFace::refresh_line()
{
    const auto& t = *room_.tissue();
    if (!current_) return;
    const auto all = lines();
    const auto at = std::find(all.begin(), all.end(), *current_) - all.begin();
    title_->setText(words::tissue_line(*current_, t));
    count_->setText(tr("%1 of %2").arg(at + 1).arg(all.size()));
    field_->edit().setAccessibleName(words::tissue_line(*current_, t));
    how_->setText(words::tissue_line_how(*current_, t));
    const auto known = resolved(t, *t.in_hand(), room_.tissue_chart());
    const auto stands = measured(*t.in_hand(), *current_);
    if (!pending()) field_->show_value(stands);
    const bool lack = lacks(*t.in_hand(), *current_);
    const Length assumed = known.contains(*current_) ? known.at(*current_) : Length{};
    field_->edit().setPlaceholderText(lack                 ? tr("not there")
                                      : assumed > Length{} ? tr("%1 ?").arg(words::number(assumed, look_.unit()))
                                                           : QString{});
    const auto laid = laid_line(*current_, last_drawn_);
    lens_->show(laid ? laid->read : ReadAt::StitchingLine, known.at(allowance_beyond(*current_)),
                stands ? stands : assumed);
}

void TissueFace::refresh_says()
{
    const auto& t = *room_.tissue();
    auto all = reckoned(t, *t.in_hand(), as_kept_);
    std::erase_if(all, [&](const Reckoned& r) {
        return current_ && !r.from.empty() && !lie_together(t, r.from.back(), *current_);
    });
    says_title_->setText(tr("Size %1 laid flat").arg(QString::fromStdString(t.size)));
    says_->show(t, all, room_.tissue_chart());
    // Of what is usual, the first that goes by the line in hand.
    const auto own = std::find_if(all.begin(), all.end(), [&](const Reckoned& r) {
        return r.usual && r.value && current_ &&
               std::find(r.from.begin(), r.from.end(), *current_) != r.from.end();
    });
    const QString sense = own == all.end() ? QString{} : words::reckoned_sense(*own, look_.unit());
    sense_->setText(sense);
    sense_->setVisible(!sense.isEmpty());
}

void TissueFace::refresh_acts()
{
    const auto& t = *room_.tissue();
    const auto& s = *t.in_hand();
    const int waiting = lines_waiting(t, s);
    int assumed = 0;
    for (const auto* drawn : sizes_drawn(t)) assumed += lines_assumed(t, *drawn);
    const auto value = typed();
    const bool line_page = pages_->chosen() == 0;
    keep_->setVisible(waiting > 0 || (line_page && pending()));
    keep_->setText(!line_page ? tr("Measure the lines")
                   : value    ? tr("Keep %1, go on").arg(words::number(*value, look_.unit()))
                              : tr("To the next that waits"));
    lacking_->setVisible(line_page && waiting > 0);
    lacking_->setEnabled(current_ && facts(*current_).may_lack);
    assumed_->setVisible(line_page && waiting > 0);
    ways_on_->setDirection(look_.scale() > roomy_text ? QBoxLayout::TopToBottom : QBoxLayout::LeftToRight);
    another_->setVisible(!line_page);
    const bool pattern = t.kind != TissueKind::Girth;
    draw_->setVisible(pattern);
    draw_->setText(assumed > 0 ? tr("Draw it, %1 assumed").arg(assumed) : tr("Draw it"));
    const auto girths = finished_of(t, s);
    chart_->setVisible(room_.chart() && girths && !girths->empty() && room_.chart()->index_of(t.size));
    QStringList said;
    for (const auto note : notes_of(t)) {
        if (note == TissueNote::GirthAt) continue;
        said << words::tissue_note(note) + ": " + words::tissue_note_words(note)[t.note(note)].toLower();
    }
    said_of_it_->setText(
        tr("Between stitching lines, darts open; solid is measured, dotted assumed%1.")
            .arg(room_.chart() ? tr(" from the chart's size %1").arg(QString::fromStdString(t.size)) : QString{}) +
        " " + said.join(" · "));
}

void TissueFace::draw_it()
{
    if (room_.tissue()->name.empty()) {
        show_page(1);
        written_->focus_name();
        trouble_->setText(tr("Give the pattern a name first."));
        trouble_->setVisible(true);
        return;
    }
    const auto ok = room_.draw_tissue();
    if (ok) return emit drawn();
    if (const auto line = tissue_line_of(ok.error().field)) go_to(*line);
    trouble_->setText(words::tissue_refusal(ok.error(), *room_.tissue(), look_.unit()));
    trouble_->setVisible(true);
}

void TissueFace::put_on_chart()
{
    const auto ok = room_.put_girths_on_chart();
    trouble_->setText(ok ? tr("It stands on the chart now, as a finished measure.")
                         : words::tissue_refusal(ok.error(), *room_.tissue(), look_.unit()));
    trouble_->setVisible(true);
}

bool TissueFace::eventFilter(QObject* watched, QEvent* e)
{
    if (e->type() != QEvent::KeyPress || watched != &field_->edit()) return false;
    const auto* key = static_cast<QKeyEvent*>(e);
    if (key->modifiers() & ~Qt::KeypadModifier) return false;
    // While a number is being typed a letter is a slip, or a unit.
    if (pending() && key->key() != Qt::Key_Down && key->key() != Qt::Key_Up) return false;
    const auto act = act_for(At::Tissue, *key);
    if (!act) return false;
    switch (*act) {
        case Act::LineAfter: step_by(1); return true;
        case Act::LineBefore: step_by(-1); return true;
        case Act::Assumed: leave_assumed(); return true;
        case Act::NoSuchLine: lacking(); return true;
        case Act::WhatIsWritten: show_page(1); return true;
        default: return false;
    }
}

void TissueFace::keyPressEvent(QKeyEvent* e)
{
    const bool digit = !e->text().isEmpty() && e->text().at(0).isDigit();
    if (room_.tissue() && pages_->chosen() == 0) {
        const auto act = act_for(At::Tissue, *e);
        if (act == Act::LineAfter) return step_by(1);
        if (act == Act::LineBefore) return step_by(-1);
        if (act == Act::WhatIsWritten) return show_page(1);
        if (digit) {
            field_->setFocus();
            field_->edit().selectAll();
            field_->edit().insert(e->text());
            return;
        }
    }
    QWidget::keyPressEvent(e);
}

}  // namespace sartorum::desk
