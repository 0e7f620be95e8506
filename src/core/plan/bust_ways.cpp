#include "core/plan/bust_ways.h"

#include "core/alter/bust.h"
#include "core/paper/dart_redraw.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

// The plan computed with the bust accepted in this way; what came out of it.
std::optional<BustWay> tried(const Pattern& pattern, const SizeChart& chart, const BodySet& body, Plan plan,
                             std::size_t method, std::optional<Length> own)
{
    plan.decide({AdjustmentKind::Bust, Answer::Accepted, own, {}, method});
    const auto c = compute(pattern, chart, body, plan);
    if (!c) return std::nullopt;
    const PlanLine* bust = c->line(AdjustmentKind::Bust);
    if (!bust) return std::nullopt;
    BustWay out{plan.bust_size, method, bust->amount, {}, {}, bust->state != LineState::Refused};
    const Piece& front = *find_piece(c->altered.pieces, PieceRole::Front);
    if (const auto mouth = mouth_in(front, EdgeRole::Side); mouth && out.carried)
        out.dart = mouth_width(front.darts[dart_at(front, *mouth)]);
    const PlanLine* shoulder = c->line(AdjustmentKind::ShoulderLength);
    if (shoulder && shoulder->proposal) out.shoulder_length = shoulder->proposal->amount;
    return out;
}

}  // namespace

std::vector<BustWay> bust_ways(const Computed& now, const Pattern& pattern, const SizeChart& printed,
                               const BodySet& body, const Plan& plan)
{
    std::vector<BustWay> out;
    const PlanLine* bust = now.line(AdjustmentKind::Bust);
    if (!bust || bust->amount <= bust_limit || plan.bust_size.empty()) return out;
    const Decision* decided = plan.decision(AdjustmentKind::Bust);
    const auto own = decided ? decided->amount : std::nullopt;
    const auto two = static_cast<std::size_t>(BustMethod::TwoSlashes);
    if (const auto way = tried(pattern, printed, body, plan, two, own)) out.push_back(*way);
    if (own) return out;  // her own amount is of this size
    const SizeChart chart = printed.of_group(plan.chart_group);
    const auto size = chart.index_of(plan.bust_size);
    for (std::size_t i = size ? *size + 1 : chart.sizes.size(); i < chart.sizes.size(); ++i) {
        if (!pattern.find(chart.sizes[i].name)) continue;
        Plan larger = plan;
        larger.bust_size = chart.sizes[i].name;
        const std::size_t usual = usual_method(adjustment(AdjustmentKind::Bust), now.traced);
        const auto way = tried(pattern, printed, body, larger, usual, {});
        if (!way || way->bust > bust_limit) continue;
        out.push_back(*way);
        break;
    }
    return out;
}

}  // namespace sartorum
