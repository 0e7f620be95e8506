// What the room keeps of try-ons: each hangs on the version that was on the body.
#include <algorithm>

#include "core/fitting/next_toile.h"
#include "desk/room.h"
#include "formats/make_up_json.h"
#include "formats/work_json.h"

namespace sartorum::desk {
namespace {

constexpr std::size_t versions_held = 24;  // worked out, at once

}  // namespace

const std::vector<notebook::KeptTryOn>& Room::try_ons() const
{
    if (!try_ons_)
        try_ons_ = table_.wearer && table_.pattern ? book_->try_ons(*table_.wearer, *table_.pattern)
                                                   : std::vector<notebook::KeptTryOn>{};
    return *try_ons_;
}

const std::vector<notebook::KeptVersion>& Room::versions() const
{
    if (!versions_)
        versions_ = table_.wearer && table_.pattern ? book_->versions(*table_.wearer, *table_.pattern)
                                                    : std::vector<notebook::KeptVersion>{};
    return *versions_;
}

std::shared_ptr<const Computed> Room::version(notebook::Id id) const
{
    if (const auto known = worked_out_.find(id); known != worked_out_.end()) return known->second;
    if (worked_out_.size() >= versions_held) worked_out_.erase(worked_out_.begin());
    const auto text = book_->version(id);
    const auto nothing = [] { return Outcome<formats::NamedWork>{refuse(Why::FileBroken)}; };
    auto work = text ? formats::read_work(text->toStdString()) : nothing();
    std::shared_ptr<const Computed> out;
    if (work) {
        if (auto c = compute(std::move(work->work))) out = std::make_shared<const Computed>(std::move(*c));
    }
    return worked_out_[id] = out;
}

Gate Room::gate() const
{
    if (!computed_) return {};
    const auto& all = try_ons();
    const auto seen = all.empty() ? nullptr : version(all.back().version);
    return gate_before_cloth(seen.get(), *computed_, looked_last());
}

Looked Room::looked_last() const
{
    const auto& all = try_ons();
    if (all.empty()) return {};
    return looked(all.back().entry, all.size() > 1 ? &all[all.size() - 2].entry : nullptr);
}

bool Room::seen_as_it_is() const
{
    if (!computed_ || !try_ons_ || try_ons_->empty()) return false;
    const auto known = worked_out_.find(try_ons_->back().version);
    return known != worked_out_.end() && known->second &&
           gate_before_cloth(known->second.get(), *computed_, looked_last()).open();
}

QByteArray Room::work_now() const
{
    return QByteArray::fromStdString(formats::work_json(computed_->work, wearer_name().toStdString()));
}

QString Room::next_version_name(notebook::KeptFor what) const
{
    const auto n = std::count_if(versions().begin(), versions().end(),
                                 [&](const notebook::KeptVersion& v) { return v.what == what; });
    return (what == notebook::KeptFor::Printed ? tr("print %1") : tr("toile %1")).arg(n + 1);
}

void Room::begin_try_on(const TryOn& entry)
{
    if (!computed_ || !table_.wearer || !table_.pattern) return;
    keep_trial();
    kept(book_->add_try_on(*table_.wearer, *table_.pattern, next_version_name(notebook::KeptFor::TriedOn),
                           work_now(), entry));
}

void Room::keep_try_on(notebook::Id id, const TryOn& entry, const QString& act)
{
    kept(book_->save_try_on(id, entry, act));
}

void Room::forget_try_on(notebook::Id id)
{
    worked_out_.clear();  // its version goes too, and its number may be given again
    kept(book_->forget_try_on(id));
}

void Room::keep_photo(notebook::Id try_on, const QByteArray& picture, const Photo& photo)
{
    kept(book_->add_photo(try_on, picture, photo));
}

void Room::change_photo(notebook::Id id, const Photo& photo)
{
    kept(book_->save_photo(id, photo, tr("a line on the photograph")));
}

void Room::forget_photo(notebook::Id id)
{
    kept(book_->forget_photo(id));
}

void Room::keep_printed(const QByteArray& work)
{
    if (!computed_ || !table_.wearer || !table_.pattern || looks_only()) return;
    kept(book_->keep_version(*table_.wearer, *table_.pattern, next_version_name(notebook::KeptFor::Printed),
                             today_(), notebook::KeptFor::Printed, work));
}

void Room::pass_gate(const QString& over)
{
    if (!computed_ || !table_.wearer || !table_.pattern) return;
    keep_trial();
    const auto id =
        book_->keep_version(*table_.wearer, *table_.pattern, next_version_name(notebook::KeptFor::Printed),
                            today_(), notebook::KeptFor::Printed, work_now());
    if (!id) return void(kept(id));
    kept(book_->pass_gate(*id, today_(), over));
}

void Room::sweep_pictures()
{
    if (!looks_only()) (void)book_->sweep_pictures();
}

}  // namespace sartorum::desk
