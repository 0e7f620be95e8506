#include "desk/mirror/mirror_state.h"

#include <algorithm>

#include "words/lines.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {

MirrorState::MirrorState(Room& room, QObject* parent) : QObject{parent}, room_{room} {}

const notebook::KeptTryOn* MirrorState::here() const
{
    return number_ > 0 && number_ <= count() ? &room_.try_ons()[static_cast<std::size_t>(number_ - 1)] : nullptr;
}

const notebook::KeptTryOn* MirrorState::before() const
{
    return number_ > 1 && number_ <= count() ? &room_.try_ons()[static_cast<std::size_t>(number_ - 2)] : nullptr;
}

const TryOn& MirrorState::entry() const
{
    static const TryOn none;
    const auto* k = here();
    return k ? k->entry : none;
}

// A new one is looked at once it is there; one that is gone is left.
void MirrorState::refresh()
{
    const int n = count();
    const auto newest = n > 0 ? room_.try_ons().back().id : -1;
    if (newest != shown_ || number_ > n) {
        number_ = n;
        chosen_ = -1;
        cause_ = 0;
    }
    shown_ = newest;
    notes_ = entry().notes;
    if (const auto* last = before()) {
        for (auto& note : asked_again(last->entry, entry())) notes_.push_back(std::move(note));
    }
    chosen_ = std::min(chosen_, static_cast<int>(notes_.size()) - 1);
    reason();
    emit changed();
}

const Computed& MirrorState::worn() const
{
    return worn_ ? *worn_ : *room_.computed();
}

void MirrorState::reason()
{
    worn_ = here() ? room_.version(here()->version) : nullptr;
    causes_.clear();
    next_.reset();
    sights_.clear();
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    const auto can_be = within(entry().what, can_be_on(c));
    for (std::size_t i = 0; i < sight_count; ++i) {
        const auto s = static_cast<Sight>(i);
        const auto shows = [&](const CauseFacts& f) { return can_be(f) && how_often(f, s) != HowOften::Never; };
        if (std::any_of(all_causes().begin(), all_causes().end(), shows)) sights_.push_back(s);
    }
    if (!here()) return;
    // Told by what the toile was: what the plan took up since says nothing of it.
    const auto last = before() ? room_.version(before()->version) : nullptr;
    const Observed seen = observed(entry(), known_of(worn(), last.get(), entry()));
    if (seen.seen.empty()) return;
    for (auto& r : ranked(seen, can_be)) {
        ToldCause told;
        for (std::size_t i = 0; i < entry().notes.size(); ++i) {
            const auto& n = entry().notes[i];
            const bool explained =
                n.here() && std::find(r.explains.begin(), r.explains.end(), n.seen.sight) != r.explains.end();
            if (explained) told.notes.push_back(static_cast<int>(i));
        }
        if (r.cause) {
            told.put = for_plan(*r.cause, seen, worn(), c, entry().date);
            told.waits = waits_for_next(*r.cause, seen, c.work.plan, entry().date);
            told.taken = told.put.not_put == NotPut::Since;
        }
        told.ranked = std::move(r);
        causes_.push_back(std::move(told));
    }
    cause_ = std::clamp(cause_, 0, std::max(0, static_cast<int>(causes_.size()) - 1));
    next_ = next_test(seen, can_be);
}

void MirrorState::go_to(int number)
{
    number_ = std::clamp(number, 1, std::max(1, count()));
    chosen_ = -1;
    cause_ = 0;
    refresh();
}

void MirrorState::choose(int note)
{
    chosen_ = std::clamp(note, -1, static_cast<int>(notes_.size()) - 1);
    emit changed();
}

void MirrorState::choose_cause(int cause)
{
    cause_ = std::clamp(cause, 0, std::max(0, static_cast<int>(causes_.size()) - 1));
    emit changed();
}

void MirrorState::keep(const TryOn& entry, const QString& act)
{
    if (const auto* k = here()) room_.keep_try_on(k->id, entry, act);
}

// The same on the same side is the note that is there already.
void MirrorState::add(const Note& note)
{
    for (std::size_t i = 0; i < notes_.size(); ++i) {
        if (notes_[i].seen.sight != note.seen.sight || notes_[i].seen.side != note.seen.side) continue;
        if (waits(static_cast<int>(i))) return ask_again(static_cast<int>(i), Since::Same);
        choose(static_cast<int>(i));
        return;
    }
    TryOn next = entry();
    if (next.notes.size() >= most_notes) return;
    next.notes.push_back(note);
    const int at = static_cast<int>(next.notes.size()) - 1;
    keep(next, words::sight_name(note.seen.sight));
    choose(at);
}

void MirrorState::change(int note, const Note& to)
{
    if (note < 0 || waits(note)) return;
    TryOn next = entry();
    next.notes[static_cast<std::size_t>(note)] = to;
    keep(next, words::sight_name(to.seen.sight));
}

void MirrorState::ask_again(int note, Since since)
{
    if (note < 0 || note >= static_cast<int>(notes_.size()) || !before()) return;
    const Note& now = notes_[static_cast<std::size_t>(note)];
    // From how it was on the toile before, whatever was said of it since.
    const auto& last = before()->entry.notes;
    const auto was = std::find_if(last.begin(), last.end(), [&](const Note& old) {
        return old.seen.sight == now.seen.sight && old.seen.side == now.seen.side;
    });
    const Note& n = was == last.end() ? now : *was;
    TryOn next = entry();
    if (waits(note)) {
        next.notes.push_back(seen_again(n, since));
        note = static_cast<int>(next.notes.size()) - 1;
    } else {
        next.notes[static_cast<std::size_t>(note)] = seen_again(n, since);
        next.notes[static_cast<std::size_t>(note)].words = now.words;
    }
    keep(next, words::sight_name(n.seen.sight));
    choose(note);
}

void MirrorState::forget(int note)
{
    if (note < 0 || waits(note)) return;
    TryOn next = entry();
    const QString act = words::sight_name(next.notes[static_cast<std::size_t>(note)].seen.sight);
    next.notes.erase(next.notes.begin() + note);
    keep(next, act);
}

void MirrorState::answer_test(const Answered& a)
{
    TryOn next = entry();
    note_answer(next, a);
    keep(next, tr("small test"));
}

void MirrorState::take_back_test(SmallTest t)
{
    TryOn next = entry();
    std::erase_if(next.answers, [&](const Answered& a) { return a.test == t; });
    keep(next, tr("small test"));
}

std::optional<QString> MirrorState::put_in_plan(const Decision& d, Unit u)
{
    room_.decide(d);
    if (!room_.computed()) return std::nullopt;
    for (const auto& n : room_.computed()->not_done) {
        if (n.kind == d.kind) return words::not_done(n, u);
    }
    return std::nullopt;
}

}  // namespace sartorum::desk
