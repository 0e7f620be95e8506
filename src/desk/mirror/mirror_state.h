// mirror_state.h: which try-on and which note the Mirror is at, and what follows from them; its views share it.
#pragma once
#include <QObject>
#include <optional>

#include "core/fitting/into_plan.h"
#include "core/fitting/next_toile.h"
#include "desk/room.h"

namespace sartorum::desk {

// A cause as it is told: what it explains, by the numbers of the notes.
struct ToldCause {
    Ranked ranked;
    std::vector<int> notes;
    ForPlan put;         // what it would be in the plan
    bool waits = false;  // for the next toile
    bool taken = false;  // in the plan since
};

class MirrorState : public QObject {
    Q_OBJECT
public:
    explicit MirrorState(Room&, QObject* parent = nullptr);

    // Reads the room anew; the station says when.
    void refresh();
    [[nodiscard]] Room& room() const { return room_; }
    // The try-on that is looked at; null: there is none.
    [[nodiscard]] const notebook::KeptTryOn* here() const;
    [[nodiscard]] const notebook::KeptTryOn* before() const;  // the one before it
    [[nodiscard]] int number() const { return number_; }      // 1 is the oldest
    [[nodiscard]] int count() const { return static_cast<int>(room_.try_ons().size()); }
    void go_to(int number);
    [[nodiscard]] const TryOn& entry() const;
    // What was on the body, worked out; what is on the table where that cannot be read any more.
    [[nodiscard]] const Computed& worn() const;
    // The newest: what it shows can go into the plan.
    [[nodiscard]] bool is_newest() const { return number_ == count(); }

    // Its notes, then those of the toile before that wait to be asked again.
    [[nodiscard]] const std::vector<Note>& notes() const { return notes_; }
    [[nodiscard]] bool waits(int note) const { return note >= static_cast<int>(entry().notes.size()); }
    [[nodiscard]] int chosen() const { return chosen_; }  // -1: none
    void choose(int note);
    void add(const Note&);
    void change(int note, const Note&);
    void ask_again(int note, Since);
    void forget(int note);
    void answer_test(const Answered&);
    void take_back_test(SmallTest);
    void keep(const TryOn&, const QString& act);

    [[nodiscard]] const std::vector<ToldCause>& causes() const { return causes_; }
    [[nodiscard]] const std::optional<Asked>& next() const { return next_; }
    [[nodiscard]] int cause() const { return cause_; }
    void choose_cause(int);
    // What can be seen on this garment at all.
    [[nodiscard]] const std::vector<Sight>& sights() const { return sights_; }
    // Into the plan, as seen on this toile; why not, where the paper does not carry it.
    [[nodiscard]] std::optional<QString> put_in_plan(const Decision&, Unit);

signals:
    void changed();

private:
    void reason();
    Room& room_;
    int number_ = 0;
    qint64 shown_ = -1;
    int chosen_ = -1;
    int cause_ = 0;
    std::shared_ptr<const Computed> worn_;
    std::vector<Note> notes_;
    std::vector<ToldCause> causes_;
    std::optional<Asked> next_;
    std::vector<Sight> sights_;
};

}  // namespace sartorum::desk
