#include "core/plan/bust_ways.h"

#include "core/alter/widths/rows.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

// The plan computed with the bust accepted in this way; what came out of it.
std::optional<BustWay> tried_way(Work work, std::size_t method, std::optional<Length> own)
{
    const std::string size = work.plan.size_at(Level::Bust);
    work.plan.decide({AdjustmentKind::Bust, Answer::Accepted, own, {}, method});
    const auto c = compute(std::move(work));
    if (!c) return std::nullopt;
    const PlanLine* bust = c->line(AdjustmentKind::Bust);
    if (!bust) return std::nullopt;
    BustWay out{size, method, bust->amount, {}, {}, bust->state != LineState::Refused};
    const Garment part = part_view(c->altered, bust->part);
    const auto bust_at = front_and_back_at(part, Level::Bust);
    const auto mouth = bust_at && out.carried ? mouth_in(bust_at->front, EdgeRole::Side) : std::nullopt;
    if (mouth) out.dart = mouth_width(bust_at->front.darts[dart_at(bust_at->front, *mouth)]);
    const PlanLine* shoulder = c->line(AdjustmentKind::ShoulderLength);
    if (shoulder && shoulder->proposal) out.shoulder_length = shoulder->proposal->amount;
    return out;
}

}  // namespace

std::vector<BustWay> bust_ways(const Computed& now)
{
    const Plan& plan = now.work.plan;
    std::vector<BustWay> out;
    const PlanLine* bust = now.line(AdjustmentKind::Bust);
    if (!bust || bust->amount <= bust_limit || plan.size_at(Level::Bust).empty()) return out;
    const Decision* decided = plan.decision(AdjustmentKind::Bust);
    const auto own = decided ? decided->amount() : std::nullopt;
    const auto two = static_cast<std::size_t>(BustMethod::TwoSlashes);
    if (const auto way = tried_way(now.work, two, own)) out.push_back(*way);
    if (own) return out;  // her own amount is of this size
    const SizeChart chart = now.work.sizes();
    const Garment part = part_view(now.traced, bust->part);
    const std::size_t usual = usual_method(adjustment(AdjustmentKind::Bust), part);
    const auto size = chart.index_of(plan.size_at(Level::Bust));
    for (std::size_t i = size ? *size + 1 : chart.sizes.size(); i < chart.sizes.size(); ++i) {
        if (!now.work.pattern->find(chart.sizes[i].name)) continue;
        Work larger = now.work;
        larger.plan.sizes[Level::Bust] = chart.sizes[i].name;
        const auto way = tried_way(std::move(larger), usual, {});
        if (!way || way->bust > bust_limit) continue;
        out.push_back(*way);
        break;
    }
    return out;
}

}  // namespace sartorum
