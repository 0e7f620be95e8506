// Draws the demo pattern and its chart into the folder given: every size from the same flat measurements' rule.
// The museum, its volunteers, the maker and every number here are invented.
#include <QTextStream>

#include "core/pattern/skirt_block.h"
#include "formats/chart_csv.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"

using namespace sartorum;

int main(int argc, char** argv)
{
    if (argc != 2) return 2;
    const QString folder = QString::fromLocal8Bit(argv[1]);
    SizeChart chart{"Towpath Paper, skirts", "Towpath Paper", {}};
    Pattern pattern{"Lockside skirt", "Towpath Paper", {}, skirt_seams(true)};
    const double waists[] = {640, 680, 720, 760, 800, 850, 900, 950, 1000};
    const double hips[] = {890, 930, 970, 1010, 1050, 1100, 1150, 1200, 1250};
    for (int i = 0; i < 9; ++i) {
        ChartSize size{std::to_string(8 + 2 * i),
                       {{Measure::Waist, Length::mm(waists[i])},
                        {Measure::Hip, Length::mm(hips[i])},
                        {Measure::WaistToHip, Length::mm(200 + 2 * i)}},
                       0};
        SkirtFlat f;
        f.size = size.name;
        f.waist = Length::mm(waists[i] + 25);
        f.hip = Length::mm(hips[i] + 60);
        f.waist_to_hip = Length::mm(200 + 2 * i);
        f.length = Length::mm(560 + 5 * i);
        f.front_dart = Length::mm(18);
        f.back_dart = Length::mm(28);
        f.flare = Length::mm(55);
        auto drawn = draw_skirt(f);
        if (!drawn) return 1;
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(std::move(size));
    }
    const auto a = formats::write_file(folder + "/lockside-skirt.svg", formats::write_pattern_svg(pattern));
    const auto b = formats::write_file(folder + "/towpath-paper.csv",
                                       QByteArray::fromStdString(formats::write_chart_csv(chart)));
    return a && b ? 0 : 1;
}
