#include "core/chart/flat_measuring.h"

namespace sartorum {

Length taken_by(const FlatFold& fold)
{
    const double times = fold.kind == FoldKind::BoxPleat ? 4.0 : 2.0;
    return fold.depth * (times * fold.count);
}

SizeChart with_finished(SizeChart chart, const ChartSize& measured, Measure m, Length finished)
{
    const bool printed = measured.body.contains(m);
    const Length ease = printed ? finished - measured.body.at(m) : Length{};
    for (auto& s : chart.sizes) {
        if (s.name == measured.name && s.group == measured.group)
            s.finished[m] = finished;
        else if (printed && s.body.contains(m) && !s.finished.contains(m))
            s.finished[m] = s.body.at(m) + ease;
    }
    return chart;
}

Outcome<Length> finished_girth(const std::vector<FlatWidth>& widths)
{
    if (widths.empty()) return refuse(Why::FlatNothingMeasured);
    Length sum;
    for (const auto& w : widths) {
        if (w.width <= Length{} || w.times < 1 || w.times > 40) {
            return refuse_amount(Why::NotPositive, w.piece, w.width, Length::mm(1), Length::mm(3000));
        }
        Length out = w.darts;
        for (const auto& fold : w.folds) {
            if (fold.count < 1 || fold.depth < Length{}) {
                return refuse_amount(Why::NotPositive, w.piece, fold.depth, Length::mm(1), w.width);
            }
            out += taken_by(fold);
        }
        if (w.darts < Length{} || out >= w.width) {
            return refuse_amount(Why::FlatMoreTakenThanThere, w.piece, out, {}, w.width);
        }
        sum += (w.width - out) * w.times;
    }
    return sum;
}

}  // namespace sartorum
