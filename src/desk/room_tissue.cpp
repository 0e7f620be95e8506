// The acts on a tissue that is measured flat.
#include <algorithm>

#include "core/chart/flat_measuring.h"
#include "core/plan/pattern_trial.h"
#include "desk/room.h"
#include "formats/pattern_svg.h"
#include "words/tissue.h"

namespace sartorum::desk {
namespace {

// The first girth the chart has a body for and no garment.
int first_without_garment(const SizeChart& chart)
{
    const auto it = std::find_if(girths_laid_flat.begin(), girths_laid_flat.end(),
                                 [&](Measure m) { return chart.prints(m) && !chart.finished(0, m); });
    return it == girths_laid_flat.end() ? 0 : static_cast<int>(it - girths_laid_flat.begin());
}

}  // namespace

void Room::begin_tissue(TissueKind kind)
{
    Tissue t;
    t.kind = kind;
    if (chart_) {
        t.maker = chart_->maker;
        if (kind == TissueKind::Girth) t.notes[TissueNote::GirthAt] = first_without_garment(*chart_);
        t.size = size_for(t);
    }
    if (t.size.empty()) t.size = "1";
    const bool seam_behind =
        kind == TissueKind::Skirt || kind == TissueKind::Dress || kind == TissueKind::AllInOne;
    if (seam_behind) t.notes[TissueNote::CentreBack] = 1;  // as most have it
    t.sizes = {{t.size, {}}};
    kept(book_->add_tissue(t));
}

// The size chosen at the girth that says most of it.
std::string Room::size_for(const Tissue& t) const
{
    const auto at = t.kind == TissueKind::Girth
                        ? girths_laid_flat[static_cast<std::size_t>(t.note(TissueNote::GirthAt))]
                    : t.kind == TissueKind::Skirt || t.kind == TissueKind::Trousers ? Measure::Hip
                                                                                    : Measure::Bust;
    const auto index = size_at(choice(), at);
    return index < chart_->sizes.size() ? chart_->sizes[index].name : chart_->sizes.front().name;
}

void Room::write_on_tissue(TissueNote note, int word)
{
    if (!tissue_) return;
    Tissue t = *tissue_;
    t.notes[note] = word;
    // Another girth is another size's, while nothing was measured.
    auto* s = t.in_hand();
    if (note == TissueNote::GirthAt && chart_ && t.sizes.size() == 1 && s && s->lines.empty()) {
        s->name = size_for(t);
        t.size = s->name;
    }
    keep_tissue(t, words::tissue_note(note).toLower());
}

void Room::choose_tissue(notebook::Id id)
{
    auto t = table_;
    t.tissue = id;
    kept(book_->lay_on_table(t));
}

void Room::keep_tissue(const Tissue& t, const QString& act)
{
    if (!table_.tissue || t == tissue_) return;
    kept(book_->save_tissue(*table_.tissue, t, act));
}

void Room::keep_line(TissueLine line, std::optional<TissueValue> value)
{
    if (!tissue_ || !tissue_->in_hand()) return;
    Tissue t = *tissue_;
    if (value && value->state == TissueState::Lacking)
        t = without_line(std::move(t), line);
    else if (value)
        t.in_hand()->lines[line] = *value;
    else
        t.in_hand()->lines.erase(line);
    keep_tissue(t, words::tissue_line(line, t).toLower());
}

// A size of which nothing was measured, or that the chart does not know, is called anew.
void Room::take_size(const QString& name)
{
    const auto wanted = name.trimmed().toStdString();
    if (!tissue_ || wanted.empty() || wanted == tissue_->size) return;
    Tissue t = *tissue_;
    if (!t.size_named(wanted)) {
        const bool stray = chart_ && !chart_->index_of(t.size);
        if (t.in_hand() && (stray || t.in_hand()->lines.empty()))
            t.in_hand()->name = wanted;
        else if (t.sizes.size() < most_tissue_sizes)
            t.sizes.push_back({wanted, {}});
        else {
            const QString full = tr("A tissue of %1 sizes is full. Begin another one.").arg(most_tissue_sizes);
            return emit refused(full, full);
        }
    }
    t.size = wanted;
    keep_tissue(t, tr("size %1").arg(name.trimmed()));
}

Outcome<bool> Room::draw_tissue()
{
    if (!tissue_ || !table_.tissue) return refuse(Why::FileNotAPattern);
    const auto drawn = tissue_pattern(*tissue_, tissue_chart());
    if (!drawn) return tl::make_unexpected(drawn.error());
    const auto svg = formats::write_pattern_svg(*drawn).toStdString();
    auto read = formats::read_pattern_svg(svg);
    if (!read) return tl::make_unexpected(read.error());
    if (auto ok = try_pattern(*read); !ok) return ok;
    kept(book_->add_drawn(*table_.tissue, QString::fromStdString(read->name), QString::fromStdString(read->maker),
                          QByteArray::fromStdString(svg), table_.chart));
    return true;
}

Outcome<bool> Room::put_girths_on_chart()
{
    if (!tissue_ || !printed_chart_) return refuse(Why::SizeUnknown);
    SizeChart chart = *printed_chart_;
    bool any = false;
    for (const auto& s : tissue_->sizes) {
        const auto girths = finished_of(*tissue_, s);
        if (!girths) return tl::make_unexpected(girths.error());
        const auto of = chart_ ? chart_->index_of(s.name) : std::nullopt;
        if (!of) return refuse(Why::SizeUnknown, s.name);
        for (const auto& [m, girth] : *girths) {
            chart = with_finished(std::move(chart), chart_->sizes[*of], m, girth);
            any = true;
        }
    }
    if (!any) return refuse(Why::FlatNothingMeasured);
    return change_chart(chart);
}

}  // namespace sartorum::desk
