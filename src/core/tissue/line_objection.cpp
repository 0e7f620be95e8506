#include "core/tissue/line_objection.h"

#include <algorithm>

#include "core/tissue/reckoned_girths.h"
#include "core/tissue/refused_lines.h"

namespace sartorum {
namespace {

// More is folded away than there is.
std::optional<TissueObjection> too_much_folded(const Tissue& t, const TissueSize& s, TissueLine line)
{
    const auto girth = finished_of(t, s);
    if (girth || girth.error().why != Why::FlatMoreTakenThanThere) return std::nullopt;
    const auto width = tissue_line_of(girth.error().field);
    Refusal r{girth.error().why, std::string{facts(line).key}, *measured(s, line), {}, {}, 0};
    return TissueObjection{r, line, width && *width != line ? std::vector{*width} : std::vector<TissueLine>{}};
}

}  // namespace

std::optional<Refusal> out_of_range(TissueLine line, Length value)
{
    const auto& row = facts(line);
    if (value >= row.low && value <= row.high) return std::nullopt;
    return Refusal{Why::OutOfRange, std::string{row.key}, value, row.low, row.high, 0};
}

std::optional<TissueObjection> objection(const Tissue& t, const TissueSize& s, const SizeChart* chart,
                                         TissueLine line, Length value)
{
    if (auto never = out_of_range(line, value)) return TissueObjection{*never, line, {}};
    TissueSize with = s;
    with.lines[line] = {TissueState::Measured, value};
    if (t.kind == TissueKind::Girth) return too_much_folded(t, with, line);
    const auto kinds = made_of(t.kind);  // of two the one that this line is measured on
    const auto kind = part_of(line) == part_of(TissueLine::FrontBust) ? kinds.front() : kinds.back();
    const auto drawn = drawn_by_block(t, with, chart, kind);
    if (drawn) return std::nullopt;
    const auto* blamed = blamed_in(kind, drawn.error().field);
    if (!blamed) return std::nullopt;
    std::vector<TissueLine> all{blamed->line};
    all.insert(all.end(), blamed->with.begin(), blamed->with.end());
    const bool sure = std::find(all.begin(), all.end(), line) != all.end() &&
                      std::all_of(all.begin(), all.end(), [&](TissueLine l) { return answered(with, l); });
    if (!sure) return std::nullopt;
    std::erase(all, line);
    Refusal r = drawn.error();
    const bool own_terms = blamed->line == line && r.field != "waist" && r.field != "hip" && r.field != "bust";
    r.field = std::string{facts(line).key};
    if (!own_terms) r.low = r.high = {};
    r.given = value;
    return TissueObjection{r, line, all};
}

}  // namespace sartorum
