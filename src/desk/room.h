// room.h: what lies on the table, and the acts that change it. Every act is kept in the notebook before it shows.
//
// Everything the stations draw comes from here: pattern + chart + body + plan, and what compute() makes of them.
#pragma once
#include <QDate>
#include <QObject>
#include <functional>

#include "core/body/rounds.h"
#include "core/body/staleness.h"
#include "core/chart/size_choice.h"
#include "core/fitting/gate.h"
#include "core/plan/step_telling.h"
#include "core/tissue/reckoned_girths.h"
#include "formats/pages.h"
#include "notebook/notebook.h"

namespace sartorum::desk {

class Room : public QObject {
    Q_OBJECT
public:
    Room(std::unique_ptr<notebook::Notebook>, std::function<QDate()> today, QObject* parent = nullptr);

    [[nodiscard]] const notebook::Notebook& book() const { return *book_; }
    [[nodiscard]] const notebook::Table& table() const { return table_; }
    [[nodiscard]] QString wearer_name() const { return wearer_name_; }
    [[nodiscard]] const BodySet& body() const { return *body_; }
    // Every set of this wearer, oldest first; the one on the table among them.
    [[nodiscard]] const std::vector<BodySet>& history() const { return history_; }
    [[nodiscard]] std::vector<Stale> stale() const;  // of the set on the table
    // The adjustments of the plan that are proposed from a stale measure.
    [[nodiscard]] std::optional<Stale> stale_under(AdjustmentKind) const;
    [[nodiscard]] QDate today() const { return today_(); }
    // The round that is walked; none: what this pattern and chart need.
    [[nodiscard]] std::optional<Round> round() const;
    [[nodiscard]] std::vector<Measure> measures() const;
    // The sizes of the chosen body type; printed_chart() has them all.
    [[nodiscard]] const std::optional<SizeChart>& chart() const { return chart_; }
    [[nodiscard]] const std::shared_ptr<const SizeChart>& printed_chart() const { return printed_chart_; }
    [[nodiscard]] const std::shared_ptr<const Pattern>& pattern() const { return pattern_; }
    // Its name and maker, known before it is read.
    [[nodiscard]] std::optional<notebook::Named> pattern_on_table() const;
    [[nodiscard]] const std::optional<Advice>& advice() const { return advice_; }
    [[nodiscard]] bool sizes_chosen() const { return chosen_; }
    [[nodiscard]] const Plan& plan() const { return plan_; }  // with the advised sizes until she chooses
    // What could not be read and was left out, in words.
    [[nodiscard]] QStringList unreadable() const;
    // The notebook's file is no longer where it was, as it was looked at last.
    [[nodiscard]] std::optional<notebook::Trouble> lost() const { return lost_; }
    [[nodiscard]] bool looks_only() const { return book_->looks_only(); }
    [[nodiscard]] const std::optional<Computed>& computed() const { return computed_; }
    [[nodiscard]] const std::optional<Refusal>& trouble() const { return trouble_; }  // why nothing is computed
    // The steps as they are told: what both sides have in common once. They point into computed().
    [[nodiscard]] const std::vector<ToldStep>& steps() const { return steps_; }
    [[nodiscard]] const ToldStep& step_here() const { return steps_[static_cast<std::size_t>(step_)]; }
    [[nodiscard]] int step() const { return step_; }
    [[nodiscard]] QString kept_at() const { return kept_at_; }
    [[nodiscard]] formats::PrintLabel print_label() const;

    // The tissue that is measured flat; none: none lies there.
    [[nodiscard]] const std::optional<Tissue>& tissue() const { return tissue_; }
    // The chart its sizes are assumed from; null without one.
    [[nodiscard]] const SizeChart* tissue_chart() const { return chart_ ? &*chart_ : nullptr; }
    void begin_tissue(TissueKind);
    void choose_tissue(notebook::Id);
    void keep_line(TissueLine, std::optional<TissueValue>);  // none: it waits again
    void keep_tissue(const Tissue&, const QString& act);
    void write_on_tissue(TissueNote, int word);
    void take_size(const QString& name);  // in hand; one that is not there is begun
    // The pattern it draws, on the table.
    [[nodiscard]] Outcome<bool> draw_tissue();
    // Its girths, as finished measures of each size measured.
    [[nodiscard]] Outcome<bool> put_girths_on_chart();

    void add_wearer(const QString& name);
    void measure_anew();
    void choose_wearer(notebook::Id wearer, std::optional<notebook::Id> set = {});
    void choose_pattern(notebook::Id);
    void choose_chart(notebook::Id);
    void put_pattern_away();
    void walk_round(std::optional<Round>);
    void keep_readings(Measure, const std::vector<Length>&, Side = Side::Right);
    void keep_circumstances(const BodySet&);
    void keep_tape_check(const TapeCheck&);
    [[nodiscard]] Outcome<bool> take_chart(const SizeChart&);
    [[nodiscard]] Outcome<bool> take_pattern_svg(const std::string& svg);
    [[nodiscard]] Outcome<bool> change_chart(const SizeChart&);  // the one on the table, corrected
    [[nodiscard]] SizeChoice choice() const;
    void choose(const SizeChoice&);
    void choose_sizes(std::size_t waist, std::size_t hip);
    void choose_group(const std::string&);
    // How the size is chosen, in what cloth, with which ease of her own: one step of undo.
    void wear(const ChoiceWish&, const Cloth&, const EaseWishes&, SidesWay = SidesWay::Usual);
    void decide(const Decision&);
    void decide(AdjustmentKind, Answer, std::optional<Length> amount);
    void looked_again(AdjustmentKind);  // it stays as it is, after what changed above it
    void forget(AdjustmentKind);
    void make_up(const MakeUp&, const QString& act);
    // Why that piece cannot be made so; none where it can.
    [[nodiscard]] std::optional<Refusal> not_made(const MakeUp&, const std::string& piece) const;
    // The garment is sewn: the plan it was cut by is kept, and what can still be done with it is offered. Or on
    // paper again.
    void say_sewn(bool);
    void say_as_drawn();  // what looks as if it could not be is meant so
    void go_to_step(int);
    // While a hand drags: computed and shown, not written. keep_trial() writes it, as one act; any other act drops
    // it.
    void try_out(const Decision&);
    void keep_trial();
    void drop_trial();  // as it stood before the hand took hold
    [[nodiscard]] bool trying() const { return trial_.has_value(); }
    [[nodiscard]] std::optional<AdjustmentKind> tried() const { return trial_; }
    // The proposals as they stand, but those that are more than is usual; what comes up through them waits. One
    // act.
    void accept_all();
    void leave_zone(Zone);  // every proposal there, as bought; one act
    // Try-ons of this wearer and pattern, oldest first, and the versions they hang on, newest first.
    [[nodiscard]] const std::vector<notebook::KeptTryOn>& try_ons() const;
    [[nodiscard]] const std::vector<notebook::KeptVersion>& versions() const;
    // A version worked out; null where it cannot be read any more.
    [[nodiscard]] std::shared_ptr<const Computed> version(notebook::Id) const;
    // A body wore it as it is now, as far as that is worked out already: nothing is read for it.
    [[nodiscard]] bool seen_as_it_is() const;
    // What changed since a body saw it last.
    [[nodiscard]] Gate gate() const;
    [[nodiscard]] Looked looked_last() const;  // at the last toile
    // Keeps the version as it is now, and hangs the try-on on it.
    void begin_try_on(const TryOn&);
    void keep_try_on(notebook::Id, const TryOn&, const QString& act);
    void forget_try_on(notebook::Id);
    void keep_photo(notebook::Id try_on, const QByteArray& picture, const Photo&);
    void change_photo(notebook::Id, const Photo&);
    void forget_photo(notebook::Id);
    // The version as it is now is printed, or goes on to good cloth: kept, and what was said of it.
    // What was printed, as it was when its pages were begun (work_now).
    void keep_printed(const QByteArray& work);
    [[nodiscard]] QByteArray work_now() const;
    void pass_gate(const QString& over);
    void sweep_pictures();
    void undo();
    void redo();
    // Takes over from a window that has closed, and reads anew what another one wrote.
    void look_round();

signals:
    void changed();
    void stepped();
    // The notebook could not keep something. `plain` has nothing of the user's in it (shell/report.h).
    void refused(const QString& said, const QString& plain);

private:
    void reload();
    void read_pattern();
    void recompute();
    void rework();
    [[nodiscard]] std::string size_for(const Tissue&) const;
    void settle_kind();
    void settle_chart();
    [[nodiscard]] QString next_version_name(notebook::KeptFor) const;
    bool save_plan(const Plan&, const QString& act);
    void take_plan(const Plan&);
    [[nodiscard]] Outcome<bool> keep_pattern(const Pattern&, const QByteArray& svg);
    [[nodiscard]] std::optional<notebook::PlanFor> plan_for() const;
    void turned(const notebook::Result<bool>&);
    void say_refused(const notebook::Failure&);
    template <class T>
    bool kept(const notebook::Result<T>&);

    std::unique_ptr<notebook::Notebook> book_;
    std::function<QDate()> today_;
    notebook::Table table_;
    QString wearer_name_;
    std::shared_ptr<const BodySet> body_ = std::make_shared<const BodySet>();
    std::vector<BodySet> history_;
    std::optional<SizeChart> chart_;
    std::shared_ptr<const SizeChart> printed_chart_;
    std::shared_ptr<const Pattern> pattern_;
    std::optional<notebook::Id> parsed_pattern_;
    std::optional<Tissue> tissue_;
    std::optional<Advice> advice_;
    bool chosen_ = false;
    Plan plan_;
    std::optional<Plan> before_trial_;
    std::optional<AdjustmentKind> trial_;
    std::optional<Refusal> pattern_trouble_;  // why the pattern on the table could not be read
    std::optional<Computed> computed_;
    std::vector<ToldStep> steps_;
    std::optional<Refusal> trouble_;
    int step_ = 0;
    QString kept_at_;
    std::optional<notebook::Trouble> lost_;
    // Asked of the notebook when they are first wanted.
    mutable std::optional<std::vector<notebook::KeptTryOn>> try_ons_;
    mutable std::optional<std::vector<notebook::KeptVersion>> versions_;
    mutable std::map<notebook::Id, std::shared_ptr<const Computed>> worked_out_;
};

[[nodiscard]] QString trouble_text(const notebook::Failure&);

}  // namespace sartorum::desk
