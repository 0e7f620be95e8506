#include "desk/room.h"

#include <QLocale>
#include <QTime>
#include <algorithm>
#include <utility>

#include "core/chart/finished_only.h"
#include "core/plan/first_plan.h"
#include "core/plan/pattern_trial.h"
#include "formats/make_up_json.h"
#include "formats/pattern_svg.h"
#include "words/words.h"

namespace sartorum::desk {

QString trouble_text(const notebook::Failure& f)
{
    switch (f.trouble) {
        case notebook::Trouble::NotFound:
            return Room::tr("The notebook cannot be opened. Is it still there, and may you read it?");
        case notebook::Trouble::NotANotebook:
            return Room::tr("This file is not a Sartorum notebook. It was left as it is.");
        case notebook::Trouble::Foreign:
            return Room::tr("This file holds a table (%1) that is not a notebook's. It was left as it is.")
                .arg(f.detail);
        case notebook::Trouble::OtherWindow:
            return Room::tr(
                "Another window writes in this notebook; this one only looks. Close the other one first.");
        case notebook::Trouble::NothingThere: return Room::tr("There is nothing more to take back or do again.");
        case notebook::Trouble::Newer:
            return Room::tr(
                "This notebook was written by a newer Sartorum. It was left as it is; update the program to open "
                "it.");
        case notebook::Trouble::ReadOnly:
            return Room::tr(
                "This place cannot be written. Copy the notebook to your own folder, or ask for permission to "
                "write.");
        case notebook::Trouble::InUse:
            return Room::tr(
                "Another program is writing in the notebook just now. Close it there and do this again.");
        case notebook::Trouble::DiskFull:
            return Room::tr(
                "The disk is full or took no more. Nothing kept before was lost; make some room and do this "
                "again.");
        case notebook::Trouble::Lacks:
            return Room::tr("This file lacks a table of a notebook (%1). It was left as it is.").arg(f.detail);
        case notebook::Trouble::OtherShape:
            return Room::tr(
                       "A table of this file (%1) is not made as a notebook's is. It was left as it is; open a "
                       "copy of it.")
                .arg(f.detail);
        case notebook::Trouble::Gone:
            return Room::tr(
                "The notebook's file was taken away while it was open. Nothing more is kept until it is kept "
                "elsewhere.");
        case notebook::Trouble::Replaced:
            return Room::tr(
                "Another file was put in the notebook's place while it was open. Nothing more is kept until it is "
                "kept elsewhere.");
        case notebook::Trouble::Failed:
            return Room::tr("The notebook could not be read or written just now. Do this again (%1).")
                .arg(f.detail);
        case notebook::Trouble::Damaged:
            return Room::tr("The notebook is damaged (%1). Open your last copy of it.").arg(f.detail);
    }
    return {};
}

Room::Room(std::unique_ptr<notebook::Notebook> book, std::function<QDate()> today, QObject* parent)
    : QObject{parent}, book_{std::move(book)}, today_{std::move(today)}
{
    reload();
}

void Room::say_refused(const notebook::Failure& f)
{
    emit refused(trouble_text(f), trouble_text({f.trouble, "…"}));
}

template <class T>
bool Room::kept(const notebook::Result<T>& result)
{
    if (!result) {
        say_refused(result.error());
        look_round();  // it may be lost: said above the work at once
        if (book_->unread()) reload();
        return false;
    }
    before_trial_.reset();
    trial_.reset();
    kept_at_ = tr("Kept %1").arg(QTime::currentTime().toString("HH:mm"));
    reload();
    emit changed();
    return true;
}

std::optional<notebook::Named> Room::pattern_on_table() const
{
    return table_.pattern ? book_->pattern(*table_.pattern) : std::nullopt;
}

void Room::read_pattern()
{
    if (table_.pattern != parsed_pattern_) {
        pattern_.reset();
        pattern_trouble_.reset();
        parsed_pattern_ = table_.pattern;
        if (table_.pattern) {
            const auto svg = book_->pattern_svg(*table_.pattern);
            auto read = formats::read_pattern_svg(svg.value_or(QByteArray{}).toStdString());
            pattern_trouble_ = read ? std::nullopt : std::optional{read.error()};
            if (read) pattern_ = std::make_shared<const Pattern>(std::move(*read));
        }
    }
}

void Room::reload()
{
    (void)book_->take_unread();  // all of it is read again
    try_ons_.reset();
    versions_.reset();
    table_ = book_->table();
    const auto wearer = table_.wearer ? book_->wearer(*table_.wearer) : std::nullopt;
    wearer_name_ = wearer ? wearer->name : QString{};
    history_.clear();
    std::optional<std::size_t> here;
    if (table_.wearer) {
        auto sets = book_->sets(*table_.wearer);
        std::reverse(sets.begin(), sets.end());
        for (const auto& set : sets) {
            auto body = book_->body(set.id);
            if (!body) continue;
            if (table_.set == set.id) here = history_.size();
            history_.push_back(std::move(*body));
        }
    }
    const auto hand = pooled_repeatability(history_);
    for (auto& set : history_) set.hand = hand;
    body_ = std::make_shared<const BodySet>(here ? history_[*here] : BodySet{});
    auto chart = table_.chart ? book_->chart(*table_.chart) : std::nullopt;
    printed_chart_ = chart ? std::make_shared<const SizeChart>(std::move(*chart)) : nullptr;
    tissue_ = table_.tissue ? book_->tissue(*table_.tissue) : std::nullopt;
    read_pattern();
    plan_ = {};
    step_ = 0;
    if (auto what = plan_for()) {
        // A pattern that is laid first goes by the sizes that were kept for its chart.
        const auto by_chart = table_.chart ? std::optional{notebook::PlanFor::chart(*table_.chart)} : std::nullopt;
        const bool first = by_chart && !book_->has_plan(*table_.wearer, *what);
        plan_ = book_->plan(*table_.wearer, first ? *by_chart : *what);
        formats::read_drawings(plan_.make_up);  // what cannot be read is not made, and says so
    }
    if (table_.wearer && table_.pattern) step_ = book_->step(*table_.wearer, *table_.pattern);
    settle_kind();
    if (printed_chart_ && plan_.chart_group.empty())
        plan_.chart_group = nearest_group(with_bodies_served(*printed_chart_, plan_.cloth, plan_.ease), *body_);
    settle_chart();
    recompute();
    if (book_->unread()) say_refused(*book_->unread());
}

// The sizes of the body type she belongs to.
void Room::settle_chart()
{
    chart_.reset();
    if (printed_chart_)
        chart_ = with_bodies_served(printed_chart_->of_group(plan_.chart_group), plan_.cloth, plan_.ease);
}

void Room::settle_kind()
{
    if (pattern_) plan_.choosing.kind = garment_drawn(*pattern_, plan_.choosing.kind);
}

std::optional<notebook::PlanFor> Room::plan_for() const
{
    if (!table_.wearer) return std::nullopt;
    if (table_.pattern) return notebook::PlanFor::pattern(*table_.pattern);
    if (table_.chart) return notebook::PlanFor::chart(*table_.chart);
    return std::nullopt;
}

std::vector<Stale> Room::stale() const
{
    const BodySet* newest = history_.empty() || history_.back().date == body_->date ? nullptr : &history_.back();
    return stale_measures(*body_, today_().toString(Qt::ISODate).toStdString(), newest);
}

std::optional<Stale> Room::stale_under(AdjustmentKind kind) const
{
    const auto from = adjustment(kind).from;
    for (const auto& s : stale()) {
        if (from == s.measure) return s;
    }
    return std::nullopt;
}

std::optional<Round> Room::round() const
{
    return round_of_key(table_.round.toStdString());
}

std::vector<Measure> Room::measures() const
{
    if (const auto r = round()) return measures_of(*r, plan_.choosing.seated);
    const auto garment = [&] {
        switch (plan_.choosing.kind) {
            case GarmentKind::Top: return Round::Top;
            case GarmentKind::Dress: return Round::Dress;
            case GarmentKind::Skirt: return Round::Skirt;
            case GarmentKind::Trousers: return Round::Trousers;
            case GarmentKind::Bra: return Round::Bra;
            case GarmentKind::AllInOne: return Round::AllInOne;
        }
        return Round::Skirt;
    }();
    return measures_of(garment, plan_.choosing.seated);
}

void Room::recompute()
{
    advice_.reset();
    trouble_.reset();
    if (chart_ && !chart_->sizes.empty()) {
        if (auto a = advise(*chart_, *body_, plan_.choosing)) advice_ = std::move(*a);
    }
    if (pattern_trouble_) trouble_ = pattern_trouble_;
    chosen_ =
        chart_ && chart_->index_of(plan_.size_at(Level::Waist)) && chart_->index_of(plan_.size_at(Level::Hip));
    if (!chosen_ && advice_) {
        if (auto first = with_first_sizes(plan_, *chart_, *body_, pattern_.get())) plan_ = std::move(*first);
    }
    rework();
}

// What a decision can change; nothing above the first one that changed is worked out again.
void Room::rework()
{
    std::optional<Computed> before = std::move(computed_);
    computed_.reset();
    steps_.clear();
    if (!chart_ || !pattern_ || (!chosen_ && !advice_)) return;
    Work work{pattern_, printed_chart_, body_, plan_};
    auto c = before ? sartorum::recompute(std::move(*before), std::move(work)) : compute(std::move(work));
    trouble_.reset();
    if (c) {
        computed_ = std::move(*c);
        steps_ = told_steps(*computed_);
        step_ = std::clamp(step_, 0, std::max(0, static_cast<int>(steps_.size()) - 1));
    } else {
        trouble_ = c.error();
    }
}

formats::PrintLabel Room::print_label() const
{
    const QDate day = QDate::fromString(QString::fromStdString(body_->date), Qt::ISODate);
    return {wearer_name_, pattern_ ? QString::fromStdString(pattern_->name) : QString{},
            words::sizes_text(plan_, pattern_.get(), chart_ && chart_->prints(Measure::Hip)),
            tr("measured %1").arg(QLocale{QLocale::English}.toString(day, "d MMMM yyyy")),
            today_().toString(Qt::ISODate)};
}

void Room::add_wearer(const QString& name)
{
    kept(book_->add_wearer(name.trimmed(), today_()));
}

void Room::measure_anew()
{
    if (table_.wearer) kept(book_->add_set(*table_.wearer, today_()));
}

void Room::choose_wearer(notebook::Id wearer, std::optional<notebook::Id> set)
{
    auto t = table_;
    t.wearer = wearer;
    const auto sets = book_->sets(wearer);
    t.set = set ? set : sets.empty() ? std::nullopt : std::optional{sets.front().id};
    kept(book_->lay_on_table(t));
}

void Room::choose_pattern(notebook::Id pattern)
{
    auto t = table_;
    t.pattern = pattern;
    if (const auto chart = book_->chart_of_pattern(pattern)) t.chart = chart;
    kept(book_->lay_on_table(t));
}

void Room::choose_chart(notebook::Id chart)
{
    auto t = table_;
    t.chart = chart;
    kept(book_->lay_on_table(t));
}

void Room::put_pattern_away()
{
    auto t = table_;
    t.pattern.reset();
    kept(book_->lay_on_table(t));
}

void Room::walk_round(std::optional<Round> round)
{
    auto t = table_;
    const auto key = round ? key_of(*round) : std::string_view{};
    t.round = QString::fromUtf8(key.data() ? key.data() : "", static_cast<qsizetype>(key.size()));
    kept(book_->lay_on_table(t));
}

void Room::keep_readings(Measure m, const std::vector<Length>& readings, Side side)
{
    if (table_.set) kept(book_->set_readings(*table_.set, m, readings, side));
}

void Room::keep_circumstances(const BodySet& body)
{
    if (table_.set) kept(book_->set_circumstances(*table_.set, body));
}

void Room::keep_tape_check(const TapeCheck& tape)
{
    if (table_.set) kept(book_->set_tape_check(*table_.set, tape));
}

Outcome<bool> Room::take_chart(const SizeChart& chart)
{
    auto checked = check_chart(chart);
    if (!checked) return tl::make_unexpected(checked.error());
    kept(book_->add_chart(*checked));
    return true;
}

Outcome<bool> Room::take_pattern_svg(const std::string& svg)
{
    auto read = formats::read_pattern_svg(svg);
    if (!read) return tl::make_unexpected(read.error());
    return keep_pattern(*read, QByteArray::fromStdString(svg));
}

// Worked out once before it is kept: what cannot be, would be in the way at every opening.
Outcome<bool> Room::keep_pattern(const Pattern& pattern, const QByteArray& svg)
{
    if (auto ok = try_pattern(pattern); !ok) return ok;
    kept(book_->add_pattern(QString::fromStdString(pattern.name), QString::fromStdString(pattern.maker), svg,
                            table_.chart));
    return true;
}

Outcome<bool> Room::change_chart(const SizeChart& chart)
{
    auto checked = check_chart(chart);
    if (!checked) return tl::make_unexpected(checked.error());
    if (table_.chart) kept(book_->replace_chart(*table_.chart, *checked));
    return true;
}

QStringList Room::unreadable() const
{
    QStringList out;
    for (const auto& u : book_->unreadable()) out << u.what + ": " + u.value;
    if (pattern_trouble_) out << words::refusal(*pattern_trouble_, Unit::Centimetre);
    return out;
}

void Room::look_round()
{
    if (const auto lost = book_->lost(); lost != lost_) {
        lost_ = lost;
        if (lost) kept_at_ = tr("Not kept");
        emit changed();
    }
    if (!looks_only() || lost_) return;
    const bool written = book_->changed_elsewhere();
    const auto mine = book_->try_to_write();
    if (!mine) say_refused(mine.error());
    if (!written && !(mine && *mine)) return;
    worked_out_.clear();
    reload();
    emit changed();
}

void Room::go_to_step(int step)
{
    if (!computed_ || step < 0 || step >= static_cast<int>(steps_.size())) return;
    step_ = step;
    if (table_.wearer && table_.pattern && !looks_only())
        (void)book_->save_step(*table_.wearer, *table_.pattern, step);
    emit stepped();
}

void Room::undo()
{
    turned(book_->undo());
}
void Room::redo()
{
    turned(book_->redo());
}

void Room::turned(const notebook::Result<bool>& result)
{
    worked_out_.clear();  // a version's number may be another's now
    if (result && !*result)
        say_refused({notebook::Trouble::NothingThere, {}});
    else
        kept(result);
}

}  // namespace sartorum::desk
