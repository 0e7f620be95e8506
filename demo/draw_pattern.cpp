// Draws the demo patterns, and the charts that are theirs alone, into the folder given: every size from the same
// flat measurements' rule. The museum, its volunteers, the makers and every number here are invented.
#include <QString>

#include "core/paper/facing.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/all_in_one_block.h"
#include "core/pattern/dress_block.h"
#include "formats/chart_csv.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"
#include "gored_skirt.h"
#include "trousers.h"

using namespace sartorum;

namespace {

bool write(const QString& folder, const char* name, const Pattern& pattern)
{
    return formats::write_file(folder + "/" + name, formats::write_pattern_svg(pattern), formats::IfThere::Replace)
        .has_value();
}

bool write(const QString& folder, const char* name, const SizeChart& chart)
{
    const auto csv = QByteArray::fromStdString(formats::write_chart_csv(chart));
    return formats::write_file(folder + "/" + name, csv, formats::IfThere::Replace).has_value();
}

// What opens down the centre, from the upper end of that piece.
void open(SizedPieces& size, const std::string& piece, Length by)
{
    for (auto& p : size.pieces) {
        if (p.id == piece) p.opening = by;
    }
}

bool draw_skirts(const QString& folder)
{
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
        if (!drawn) return false;
        open(*drawn, "back", Length::mm(200));
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(std::move(size));
    }
    return write(folder, "lockside-skirt.svg", pattern) && write(folder, "towpath-paper.csv", chart);
}

// A button-front bodice for woven cloth, to its own waist seam; the chart is the dress's, windlass-dress.csv.
bool draw_shirt_dress(const QString& folder)
{
    const double busts[] = {840, 880, 920, 970, 1020, 1070, 1120};
    const double waists[] = {660, 700, 740, 790, 840, 890, 950};
    const double uppers[] = {321, 333, 346, 360, 375, 390, 405};  // finished
    Pattern pattern{
        "Windlass shirt-dress, bodice", "Towpath Paper", {}, bodice_seams(Length::mm(3), Length::mm(24))};
    for (int i = 0; i < 7; ++i) {
        const double more = busts[i] - 880;
        BodiceFlat f;
        f.size = std::to_string(10 + 2 * i);
        f.bust = Length::mm(busts[i] + 100);
        f.waist = Length::mm(waists[i] + 80);
        f.neck_width = Length::mm(71 + 0.025 * more);
        f.front_neck_depth = Length::mm(82 + 0.03 * more);
        f.back_neck_depth = Length::mm(22);
        f.shoulder = Length::mm(126 + 2.4 * i);
        f.front_drop = Length::mm(46 + 0.6 * i);
        f.back_drop = Length::mm(40 + 0.6 * i);
        f.across_front = Length::mm(164 + 0.1 * more);
        f.across_back = Length::mm(174 + 0.1 * more);
        f.back_length = Length::mm(406 + 4 * i);
        f.front_length = Length::mm(440 + 6 * i);
        f.side_length = Length::mm(208 + 1 * i);
        f.bust_depth = Length::mm(262 + 5.5 * i);
        f.bust_span = Length::mm(186 + 0.12 * more);
        f.side_dart = Length::mm(28 + 1.5 * i);
        f.front_dart = Length::mm(26);
        f.back_dart = Length::mm(26);
        f.shoulder_dart = Length::mm(12);
        f.shoulder_ease = Length::mm(3);
        f.front_more = Length::mm(16);
        f.front_fold = false;
        f.front_allowance = Length::mm(45);
        f.sleeve.bicep = Length::mm(uppers[i]);
        f.sleeve.length = Length::mm(570 + 5 * i);
        f.sleeve.elbow = Length::mm(345 + 3 * i);
        f.sleeve.hem = Length::mm(228 + 7 * i);
        f.sleeve.cap_ease = Length::mm(24);
        f.sleeve.hem_allowance = Length::mm(15);
        auto drawn = draw_bodice(f);
        if (!drawn) return false;
        open(*drawn, "front", piece_most);
        pattern.sizes.push_back(std::move(*drawn));
    }
    return write(folder, "windlass-bodice.svg", pattern);
}

struct DressSizes {
    double bust;
    double waist;
    double hip;
};
constexpr DressSizes dress_sizes[] = {{830, 650, 900},   {870, 690, 940},   {910, 730, 980},  {960, 780, 1030},
                                      {1010, 830, 1080}, {1060, 885, 1130}, {1120, 950, 1190}};

ChartSize dress_size(int i)
{
    const auto& s = dress_sizes[i];
    return {std::to_string(34 + 2 * i),
            {{Measure::Bust, Length::mm(s.bust)},
             {Measure::Waist, Length::mm(s.waist)},
             {Measure::Hip, Length::mm(s.hip)},
             {Measure::WaistToHip, Length::mm(202 + 2 * i)},
             {Measure::BackWaistLength, Length::mm(402 + 4 * i)},
             {Measure::FrontWaistLength, Length::mm(430 + 7 * i)}},
            0};
}

// What both dresses have: darts in the side and the waist, a fold in front, a seam behind for the zip.
BodiceFlat dress_bodice(int i)
{
    const double more = dress_sizes[i].bust - 870;
    BodiceFlat f;
    f.size = std::to_string(34 + 2 * i);
    f.bust = Length::mm(dress_sizes[i].bust + 80);
    f.waist = Length::mm(dress_sizes[i].waist + 40);
    f.neck_width = Length::mm(80 + 0.025 * more);
    f.front_neck_depth = Length::mm(96 + 0.03 * more);
    f.back_neck_depth = Length::mm(26);
    f.shoulder = Length::mm(106 + 2.2 * i);
    f.front_drop = Length::mm(42 + 0.6 * i);
    f.back_drop = Length::mm(37 + 0.6 * i);
    f.across_front = Length::mm(156 + 0.1 * more);
    f.across_back = Length::mm(166 + 0.1 * more);
    f.back_length = Length::mm(404 + 4 * i);
    f.front_length = Length::mm(438 + 6 * i);
    f.side_length = Length::mm(204 + i);
    f.bust_depth = Length::mm(260 + 5.5 * i);
    f.bust_span = Length::mm(184 + 0.12 * more);
    f.side_dart = Length::mm(28 + 1.5 * i);
    f.front_dart = Length::mm(26);
    f.back_dart = Length::mm(26);
    f.shoulder_ease = Length::mm(2);
    f.front_more = Length::mm(16);
    f.back_seam = true;
    return f;
}

// Close to the body down to the hip: a dart below each dart.
DressFlat fitted_dress(int i)
{
    DressFlat d{dress_bodice(i), {}};
    d.skirt.hip = Length::mm(dress_sizes[i].hip + 50);
    d.skirt.waist_to_hip = Length::mm(202 + 2 * i);
    d.skirt.length = Length::mm(590 + 5 * i);
    d.skirt.front_dart = Length::mm(18);
    d.skirt.back_dart = Length::mm(28);
    d.skirt.flare = Length::mm(25);
    return d;
}

// Its back skirt without a dart, to be gathered.
DressFlat full_back_dress(int i)
{
    DressFlat d = fitted_dress(i);
    d.skirt.back_dart = {};
    return d;
}

// A short sleeve, and a skirt gathered to the bodice.
DressFlat gathered_dress(int i)
{
    DressFlat d{dress_bodice(i), {}, 1.8};
    d.bodice.sleeve.bicep = Length::mm(322 + 15 * i);
    d.bodice.sleeve.length = Length::mm(215 + 4 * i);
    d.bodice.sleeve.hem = Length::mm(302 + 14 * i);
    d.bodice.sleeve.cap_ease = Length::mm(22);
    d.bodice.shoulder = Length::mm(122 + 2.4 * i);
    d.bodice.across_front += Length::mm(6);
    d.bodice.across_back += Length::mm(6);
    d.skirt.waist_to_hip = Length::mm(202 + 2 * i);
    d.skirt.length = Length::mm(620 + 5 * i);
    d.skirt.flare = Length::mm(15);
    return d;
}

// A facing under the neckline of front and back, and what each is sewn to.
constexpr std::array faced{"front", "back"};

bool add_neck_facings(SizedPieces& size)
{
    for (const std::string on : faced) {
        auto facing = facing_drawn(*find_piece(size.pieces, on), EdgeRole::Neck, Length::mm(55));
        if (!facing) return false;
        facing->id = "neck-facing-" + on;
        facing->name = "Neck facing, " + on;
        size.pieces.push_back(std::move(*facing));
    }
    return true;
}

std::vector<Seam> neck_facing_seams()
{
    std::vector<Seam> out;
    for (const std::string on : faced) {
        const std::string id = "neck-facing-" + on;
        out.push_back({id, {{on, EdgeRole::Neck}}, {{id, EdgeRole::Neck}}, {}, Follow::Shape});
    }
    return out;
}

// Gathered to the sleeve's hem, twice as long.
constexpr double frill_fullness = 2;

void add_sleeve_frill(SizedPieces& size)
{
    const double wide =
        frill_fullness * sewn_length(*find_piece(size.pieces, PieceRole::Sleeve), EdgeRole::Hem).in_mm();
    constexpr double deep = 70;
    const Point corners[] = {{0, 0}, {wide, 0}, {wide, -deep}, {0, -deep}};
    Piece p;
    p.id = "sleeve-frill";
    p.name = "Sleeve frill";
    p.role = PieceRole::Other;
    p.cut = 2;
    for (int i = 0; i < 4; ++i)
        p.edges.push_back({i == 0 ? EdgeRole::Hem : EdgeRole::Plain, straight(corners[i], corners[(i + 1) % 4]),
                           Length::mm(i == 2 ? 10 : 15)});
    p.guides = {{GuideKind::Grain, {wide / 2, -10}, {wide / 2, -deep + 10}}};
    size.pieces.push_back(std::move(p));
}

Seam sleeve_frill_seam()
{
    Seam out{"sleeve-frill", {{"sleeve", EdgeRole::Hem}}, {{"sleeve-frill", EdgeRole::Hem}}, {}, Follow::Length};
    out.fullness = frill_fullness;
    return out;
}

// Six gores hung from a yoke, faced at the waist, a zip behind.
bool draw_gored_skirt(const QString& folder)
{
    SizeChart chart{"Ropewalk skirt", "Towpath Paper", {}};
    Pattern pattern{"Ropewalk skirt", "Towpath Paper", {}, {}};
    for (int i = 0; i < 7; ++i) {
        demo::GoredFlat g;
        g.size = std::to_string(34 + 2 * i);
        g.waist = Length::mm(dress_sizes[i].waist + 25);
        g.hip = Length::mm(dress_sizes[i].hip + 60);
        g.waist_to_hip = Length::mm(202 + 2 * i);
        g.yoke = Length::mm(80);
        g.length = Length::mm(640 + 5 * i);
        g.flare = Length::mm(38);
        if (i == 0) pattern.seams = demo::gored_seams(g);
        auto drawn = demo::draw_gored(g);
        for (const std::string on : {"yoke-front", "yoke-back"}) {
            auto facing = facing_drawn(*find_piece(drawn.pieces, on), EdgeRole::Waist, Length::mm(45));
            if (!facing) return false;
            facing->id = on == "yoke-front" ? "yoke-facing-front" : "yoke-facing-back";
            facing->name = on == "yoke-front" ? "Yoke facing, front" : "Yoke facing, back";
            if (i == 0)
                pattern.seams.push_back(
                    {facing->id, {{on, EdgeRole::Waist}}, {{facing->id, EdgeRole::Waist}}, {}, Follow::Shape});
            drawn.pieces.push_back(std::move(*facing));
        }
        open(drawn, "yoke-back", piece_most);
        open(drawn, "back", Length::mm(130));
        pattern.sizes.push_back(std::move(drawn));
        chart.sizes.push_back({g.size,
                               {{Measure::Waist, Length::mm(dress_sizes[i].waist)},
                                {Measure::Hip, Length::mm(dress_sizes[i].hip)},
                                {Measure::WaistToHip, g.waist_to_hip}},
                               0});
    }
    return write(folder, "ropewalk-skirt.svg", pattern) && write(folder, "ropewalk-skirt.csv", chart);
}

// The back wider from the waist to the hem, gathered in at the waist.
bool gather_back(SizedPieces& size, Length by)
{
    for (auto& p : size.pieces) {
        if (p.id != "skirt-back") continue;
        const Length sewn = sewn_length(p, EdgeRole::Waist);
        auto wide = side_moved(p, by, by);
        if (!wide) return false;
        p = std::move(*wide);
        p.edges.front().gathered = sewn_length(p, EdgeRole::Waist) - sewn;
    }
    return true;
}

bool draw_dress_in_sizes(const QString& folder, const char* file, const char* chart_file, const std::string& name,
                         DressFlat (*flat)(int), Length back_gathered = {})
{
    SizeChart chart{name, "Towpath Paper", {}};
    const DressFlat first = flat(0);
    const bool sleeved = first.bodice.sleeve.length > Length{};
    Pattern pattern{name,
                    "Towpath Paper",
                    {},
                    dress_seams(bodice_seams(first.bodice.shoulder_ease,
                                             sleeved ? std::optional{first.bodice.sleeve.cap_ease} : std::nullopt),
                                first.fullness)};
    const auto facings = neck_facing_seams();
    pattern.seams.insert(pattern.seams.end(), facings.begin(), facings.end());
    if (sleeved) pattern.seams.push_back(sleeve_frill_seam());
    for (int i = 0; i < 7; ++i) {
        auto drawn = draw_dress(flat(i));
        if (!drawn || !gather_back(*drawn, back_gathered)) return false;
        if (!add_neck_facings(*drawn)) return false;
        if (sleeved) add_sleeve_frill(*drawn);
        open(*drawn, "back", piece_most);  // a zip from the neck into the skirt
        open(*drawn, "skirt-back", Length::mm(180));
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(dress_size(i));
    }
    return write(folder, file, pattern) && write(folder, chart_file, chart);
}

// A waistcoat without sleeves: its front in two panels, sewn from the armhole over the bust to the waist.
bool draw_waistcoat(const QString& folder)
{
    const double busts[] = {830, 870, 910, 960, 1010, 1060, 1120};
    const double waists[] = {650, 690, 730, 780, 830, 885, 950};
    SizeChart chart{"Sluice waistcoat", "Towpath Paper", {}};
    Pattern pattern{"Sluice waistcoat", "Towpath Paper", {}, bodice_seams(Length::mm(2))};
    for (int i = 0; i < 7; ++i) {
        const double more = busts[i] - 870;
        ChartSize size{std::to_string(34 + 2 * i),
                       {{Measure::Bust, Length::mm(busts[i])},
                        {Measure::Waist, Length::mm(waists[i])},
                        {Measure::BackWaistLength, Length::mm(404 + 4 * i)},
                        {Measure::FrontWaistLength, Length::mm(432 + 7 * i)},
                        {Measure::CrossShoulder, Length::mm(386 + 6 * i)}},
                       0};
        BodiceFlat f;
        f.size = size.name;
        f.bust = Length::mm(busts[i] + 80);
        f.waist = Length::mm(waists[i] + 70);
        f.neck_width = Length::mm(74 + 0.025 * more);
        f.front_neck_depth = Length::mm(150 + 0.05 * more);
        f.back_neck_depth = Length::mm(24);
        f.shoulder = Length::mm(112 + 2.2 * i);
        f.front_drop = Length::mm(42 + 0.6 * i);
        f.back_drop = Length::mm(37 + 0.6 * i);
        f.across_front = Length::mm(158 + 0.1 * more);
        f.across_back = Length::mm(168 + 0.1 * more);
        f.back_length = Length::mm(406 + 4 * i);
        f.front_length = Length::mm(440 + 6 * i);
        f.side_length = Length::mm(200 + 1 * i);
        f.bust_depth = Length::mm(262 + 5.5 * i);
        f.bust_span = Length::mm(184 + 0.12 * more);
        f.princess = PrincessFrom::Armhole;
        f.seam_above = Length::mm(17 + 1.2 * i);
        f.front_dart = Length::mm(30);
        f.back_dart = Length::mm(28);
        f.shoulder_ease = Length::mm(2);
        f.front_more = Length::mm(16);
        f.front_fold = false;
        f.front_allowance = Length::mm(30);
        f.back_seam = true;
        auto drawn = draw_bodice(f);
        if (!drawn) return false;
        open(*drawn, "front", piece_most);
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(std::move(size));
    }
    return write(folder, "sluice-waistcoat.svg", pattern) && write(folder, "sluice-waistcoat.csv", chart);
}

// A knit tee without darts, front and back on the fold.
bool draw_tee(const QString& folder)
{
    const double busts[] = {820, 880, 940, 1000, 1070, 1140, 1220};
    const double waists[] = {640, 700, 760, 830, 900, 980, 1070};
    const double hips[] = {890, 950, 1010, 1070, 1130, 1200, 1280};
    SizeChart chart{"Heron tee", "Towpath Paper", {}};
    Pattern pattern{"Heron tee", "Towpath Paper", {}, bodice_seams({}, Length::mm(6))};
    for (int i = 0; i < 7; ++i) {
        const double more = busts[i] - 880;
        ChartSize size{std::string{static_cast<char>('A' + i)},
                       {{Measure::Bust, Length::mm(busts[i])},
                        {Measure::Waist, Length::mm(waists[i])},
                        {Measure::Hip, Length::mm(hips[i])},
                        {Measure::UpperArm, Length::mm(268 + 16 * i)},
                        {Measure::BackWaistLength, Length::mm(402 + 5 * i)},
                        {Measure::FrontWaistLength, Length::mm(428 + 8 * i)}},
                       0};
        BodiceFlat f;
        f.size = size.name;
        f.bust = Length::mm(busts[i] + 20);
        f.waist = Length::mm(waists[i] + 120);
        f.hip = Length::mm(hips[i] + 20);
        f.neck_width = Length::mm(84 + 0.025 * more);
        f.front_neck_depth = Length::mm(96 + 0.03 * more);
        f.back_neck_depth = Length::mm(24);
        f.shoulder = Length::mm(112 + 3 * i);
        f.front_drop = Length::mm(40 + 0.6 * i);
        f.back_drop = Length::mm(38 + 0.6 * i);
        f.across_front = Length::mm(164 + 0.1 * more);
        f.across_back = Length::mm(170 + 0.1 * more);
        f.back_length = Length::mm(404 + 4 * i);
        f.front_length = Length::mm(424 + 4 * i);
        f.side_length = Length::mm(214 + 1 * i);
        f.below_waist = Length::mm(200 + 4 * i);
        f.allowance = Length::mm(10);
        f.bust_depth = Length::mm(258 + 6 * i);
        f.bust_span = Length::mm(184 + 0.12 * more);
        f.sleeve.bicep = Length::mm(290 + 16 * i);
        f.sleeve.length = Length::mm(220 + 4 * i);
        f.sleeve.hem = Length::mm(282 + 15 * i);
        f.sleeve.cap_ease = Length::mm(6);
        f.sleeve.allowance = Length::mm(10);
        f.sleeve.hem_allowance = Length::mm(20);
        auto drawn = draw_bodice(f);
        if (!drawn) return false;
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(std::move(size));
    }
    return write(folder, "heron-tee.svg", pattern) && write(folder, "heron-tee.csv", chart);
}

// A sleeveless bodice sewn to tapered legs; it opens down the back.
bool draw_all_in_one_in_sizes(const QString& folder)
{
    SizeChart chart{"Slipway all-in-one", "Towpath Paper", {}};
    Pattern pattern{"Slipway all-in-one", "Towpath Paper", {}, {}};
    for (int i = 0; i < 7; ++i) {
        AllInOneFlat flat{dress_bodice(i), demo::lockgate_flat(i)};
        TrousersFlat& legs = flat.trousers;
        legs.hip = Length::mm(dress_sizes[i].hip + 60);
        legs.waist_to_hip = Length::mm(202 + 2 * i);
        legs.fly = {};
        // A little longer over the body than trousers: it hangs from the shoulders.
        legs.rise += Length::mm(12);
        if (i == 0)
            pattern.seams =
                all_in_one_seams(bodice_seams(flat.bodice.shoulder_ease, std::nullopt), legs.back_stretch);
        auto drawn = draw_all_in_one(flat);
        if (!drawn) return false;
        open(*drawn, "back", piece_most);
        open(*drawn, "trousers-back", Length::mm(190));
        ChartSize size = dress_size(i);
        const auto body = demo::trouser_body(i).body;
        for (const auto m : {Measure::BodyRise, Measure::Thigh, Measure::Knee, Measure::InsideLeg})
            size.body[m] = body.at(m);
        demo::say_crotch(size, *drawn, {}, Length::mm(16));
        pattern.sizes.push_back(std::move(*drawn));
        chart.sizes.push_back(std::move(size));
    }
    return write(folder, "slipway-all-in-one.svg", pattern) && write(folder, "slipway-all-in-one.csv", chart);
}

bool draw_trousers_of(const QString& folder, const std::optional<demo::DrawnTrousers>& drawn, const char* svg,
                      const char* csv)
{
    return drawn && write(folder, svg, drawn->pattern) && write(folder, csv, drawn->chart);
}

}  // namespace

int main(int argc, char** argv)
{
    if (argc != 2) return 2;
    const QString folder = QString::fromLocal8Bit(argv[1]);
    return draw_skirts(folder) && draw_shirt_dress(folder) && draw_tee(folder) && draw_waistcoat(folder) &&
                   draw_dress_in_sizes(folder, "aqueduct-dress.svg", "aqueduct-dress.csv", "Aqueduct dress",
                                       fitted_dress) &&
                   draw_dress_in_sizes(folder, "reedbed-dress.svg", "reedbed-dress.csv", "Reedbed dress",
                                       gathered_dress) &&
                   draw_dress_in_sizes(folder, "bulrush-dress.svg", "bulrush-dress.csv", "Bulrush dress",
                                       full_back_dress, Length::mm(90)) &&
                   draw_gored_skirt(folder) &&
                   draw_trousers_of(folder, demo::lockgate_trousers(), "lockgate-trousers.svg",
                                    "lockgate-trousers.csv") &&
                   draw_all_in_one_in_sizes(folder) &&
                   draw_trousers_of(folder, demo::barge_trousers(), "barge-trousers.svg", "barge-trousers.csv")
               ? 0
               : 1;
}
