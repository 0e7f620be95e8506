#include "core/pattern/skirt_block.h"

#include <cmath>

#include "core/pattern/flat_range.h"
#include "core/pattern/waist_edge.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

Point along(Point from, Point direction, double distance)
{
    return from + Geom::unit_vector(direction) * distance;
}

struct Corners {
    Point centre_waist;
    Point side_waist;
    Point side_hip;
    Point side_hem;
    Point centre_hem;
};

// What differs between front and back.
struct SkirtHalf {
    PieceRole role;
    double hip;
    double waist;  // across, as drawn before darts
    double top;    // of the side seam, above the centre
    Length mouth;
    Length dart_at;  // closed, from the centre; 0: a little past the middle
    Length dart_length;
    bool fold;
};

Corners corners(const SkirtFlat& f, const SkirtHalf& h)
{
    const double rise = f.side_rise.in_mm();
    const double hip = f.hip.in_mm() / 4;
    const double hip_level = rise - f.waist_to_hip.in_mm();
    const Point side_hip{h.hip, hip_level};
    // An arc square to the centre and to the side seam rises by width · tan(lean / 2): the side is cut that much
    // shorter.
    const double below = f.length.in_mm() + hip_level;
    const Point lean{f.flare.in_mm(), -below};
    const double side_below = below - hip * std::tan(std::atan2(f.flare.in_mm(), below) / 2);
    return {{0, 0}, {h.waist, h.top}, side_hip, along(side_hip, lean, side_below), {0, -f.length.in_mm()}};
}

// The way the side seam leaves the waist: more outwards than straight to the hip.
Point leaving(const Corners& c)
{
    const Point chord = c.side_hip - c.side_waist;
    return Geom::unit_vector(Point{chord[Geom::X] * 1.4, chord[Geom::Y]});
}

Curve side_seam(const Corners& c)
{
    const Point down = Geom::unit_vector(c.side_hem - c.side_hip);
    const double third = Geom::distance(c.side_waist, c.side_hip) / 3;
    const Point out = along(c.side_waist, leaving(c), third);
    return joined(cubic(c.side_waist, out, c.side_hip - down * third, c.side_hip),
                  straight(c.side_hip, c.side_hem));
}

// Square to the centre at one end and to the side seam at the other.
Curve hem(const Corners& c)
{
    const Point down = Geom::unit_vector(c.side_hem - c.side_hip);
    const double third = Geom::distance(c.side_hem, c.centre_hem) / 3;
    const Point square_in = Geom::rot90(down);  // towards the centre
    const double sign = square_in[Geom::X] < 0 ? 1 : -1;
    return cubic(c.side_hem, c.side_hem + square_in * (sign * third), c.centre_hem + Point{third, 0},
                 c.centre_hem);
}

// The waist as drawn before darts: square to the centre, rising to the side.
Curve waist_line(const Corners& c)
{
    const double third = c.side_waist[Geom::X] / 3;
    const Point in = leaving(c);
    const Point square = Geom::rot90(in)[Geom::X] < 0 ? Geom::rot90(in) : -Geom::rot90(in);
    // As long a handle as the rise allows: a longer one would let the waist sag before it rises.
    const double handle = std::clamp(c.side_waist[Geom::Y] / std::max(0.05, -square[Geom::Y]), 15.0, third);
    return cubic(c.centre_waist, {third, 0}, c.side_waist + square * handle, c.side_waist);
}

Piece panel(const SkirtFlat& f, const SkirtHalf& h)
{
    const Corners c = corners(f, h);
    const auto [role, fold] = std::pair{h.role, h.fold};
    Piece p;
    p.id = std::string{key(role)};
    p.role = role;
    p.part = PartKind::Skirt;
    p.name = role == PieceRole::Front ? "Skirt front" : "Skirt back";
    p.cut = fold ? 1 : 2;
    const WaistFold dart{h.mouth, h.dart_at > Length{} ? std::optional{h.dart_at} : std::nullopt, h.dart_length,
                         f.fold};
    add_waist_edge(p, waist_line(c), dart, f.allowance);
    p.edges.push_back({EdgeRole::Side, side_seam(c), f.allowance});
    p.edges.push_back({EdgeRole::Hem, hem(c), f.hem_allowance});
    p.edges.push_back(
        {EdgeRole::Centre, straight(c.centre_hem, c.centre_waist), fold ? Length{} : f.allowance, fold});
    const double hip_level = c.side_hip[Geom::Y];
    // The printed line lies beneath the darts, so that cutting there leaves them whole.
    const double line = std::max(std::min(hip_level * 0.68, -h.dart_length.in_mm() - 8), hip_level * 0.9);
    const double grain = c.side_hip[Geom::X] * 0.22;
    p.guides = {{GuideKind::Grain, {grain, hip_level - 60}, {grain, c.centre_hem[Geom::Y] + 105}},
                {GuideKind::LengthenShorten, {0, line}, {width_at(p, line)->in_mm(), line}},
                {GuideKind::Hip, {0, hip_level}, c.side_hip}};
    p.notches = {{c.side_hip, EdgeRole::Side, role == PieceRole::Front ? 1 : 2}};
    if (!fold) p.notches.push_back({{0, hip_level}, EdgeRole::Centre, 2});
    return p;
}

// A dart lies at least this far from either end of its waist.
constexpr Length beside_dart = Length::mm(15);

Outcome<bool> drawable(const SkirtFlat& f)
{
    const Length front = f.front_waist > Length{} ? f.front_waist : f.waist / 4.0;
    const Length back = f.waist / 2.0 - front;
    const auto at = [](Length asked) { return asked > Length{} ? asked : beside_dart; };
    return check_ranges({{"waist", f.waist, Length::mm(300), Length::mm(2500)},
                         {"hip", f.hip, Length::mm(400), Length::mm(2800)},
                         {"front_more", f.front_more, f.hip * -0.2, f.hip * 0.2},
                         {"waist_to_hip", f.waist_to_hip, Length::mm(100), Length::mm(450)},
                         {"length", f.length, f.waist_to_hip + Length::mm(100), Length::mm(1600)},
                         {"front_dart", f.front_dart, Length{}, Length::mm(60)},
                         {"front_dart_length", f.front_dart_length, Length::mm(30), f.waist_to_hip},
                         {"front_dart_at", at(f.front_dart_at), beside_dart, front - beside_dart},
                         {"back_dart_at", at(f.back_dart_at), beside_dart, back - beside_dart},
                         {"back_dart", f.back_dart, Length{}, Length::mm(60)},
                         {"back_dart_length", f.back_dart_length, Length::mm(30), f.waist_to_hip},
                         {"flare", f.flare, Length{}, Length::mm(400)},
                         {"allowance", f.allowance, Length{}, Length::mm(50)},
                         {"hem_allowance", f.hem_allowance, Length{}, Length::mm(120)},
                         {"band_depth", f.band_depth, Length{}, Length::mm(150)}});
}

}  // namespace

std::vector<Seam> skirt_seams(bool with_band)
{
    std::vector<Seam> out{{"side", {{"front", EdgeRole::Side}}, {{"back", EdgeRole::Side}}, {}}};
    if (with_band) {
        out.push_back({"waist",
                       {{"front", EdgeRole::Waist}, {"back", EdgeRole::Waist}},
                       {{"waistband", EdgeRole::Waist}},
                       {},
                       Follow::Length});
    }
    return out;
}

namespace {

struct SkirtHalves {
    SkirtHalf front;
    SkirtHalf back;
};

SkirtHalves halves_of(const SkirtFlat& f)
{
    const double quarter = f.hip.in_mm() / 4;
    const double more = f.front_more.in_mm() / 4;
    const double top = f.side_rise.in_mm();
    return {
        {PieceRole::Front, quarter + more, 0, top, f.front_dart, f.front_dart_at, f.front_dart_length, true},
        {PieceRole::Back, quarter - more, 0, top, f.back_dart, f.back_dart_at, f.back_dart_length, !f.back_seam}};
}

// What the side seam takes of one half between hip and waist, its dart open: neither nothing nor too much.
Outcome<bool> taken_at_side(const char* field, Length waist, double hip, const SkirtFlat& f)
{
    const Length most = Length::mm(hip);
    const Length least = most - f.waist_to_hip * 0.6;
    // Of a straight one, read off the paper, the waist may come out the wider.
    constexpr Length straight_within = Length::mm(10);
    if (waist >= least && waist <= most + straight_within) return true;
    return refuse_amount(Why::OutOfRange, field, waist, least, most);
}

constexpr Length settled_within = Length::mm(1e-5);

// Front and back lean alike: settle both widths until the sewn waist is right. The drawn waist is curved, so a
// little longer than it is wide.
Outcome<std::vector<Piece>> alike(const SkirtFlat& f, SkirtHalves h, Length intake)
{
    const double both = (h.front.hip + h.back.hip) / 2;
    h.front.waist = h.back.waist = (Length::mm(both) - intake).in_mm();
    h.front.waist += h.front.hip - both;
    h.back.waist += h.back.hip - both;
    std::vector<Piece> out;
    const auto settled = settle_all(settled_within, "waist", [&]() -> Outcome<Length> {
        out = {panel(f, h.front), panel(f, h.back)};
        const Length off =
            sewn_length(out[0], EdgeRole::Waist) + sewn_length(out[1], EdgeRole::Waist) - f.waist / 2.0;
        h.front.waist -= off.in_mm() / 2;
        h.back.waist -= off.in_mm() / 2;
        return abs(off);
    });
    if (!settled) return tl::make_unexpected(settled.error());
    return out;
}

// Each as wide as its own waist; the back's side seam as long as the front's.
Outcome<std::vector<Piece>> each_its_own(const SkirtFlat& f, SkirtHalves h)
{
    const Length front = f.front_waist;
    const Length back = f.waist / 2.0 - f.front_waist;
    h.front.waist = (front + f.front_dart).in_mm();
    h.back.waist = (back + f.back_dart).in_mm();
    std::vector<Piece> out;
    const auto settled = settle_all(settled_within, "waist", [&]() -> Outcome<Length> {
        out = {panel(f, h.front), panel(f, h.back)};
        const Length off_front = sewn_length(out[0], EdgeRole::Waist) - front;
        const Length off_back = sewn_length(out[1], EdgeRole::Waist) - back;
        const Length off_side = sewn_length(out[1], EdgeRole::Side) - sewn_length(out[0], EdgeRole::Side);
        h.front.waist -= off_front.in_mm();
        h.back.waist -= off_back.in_mm();
        h.back.top -= off_side.in_mm();
        return std::max({abs(off_front), abs(off_back), abs(off_side)});
    });
    if (!settled) return tl::make_unexpected(settled.error());
    return out;
}

Outcome<std::vector<Piece>> panels_of(const SkirtFlat& f)
{
    const SkirtHalves h = halves_of(f);
    if (f.front_waist <= Length{}) {
        const Length intake = (f.hip - f.waist) / 4.0 - (f.front_dart + f.back_dart) / 2.0;
        if (intake < Length{} || intake > f.waist_to_hip * 0.6) {
            return refuse_amount(Why::BlockImpossible, "front_dart", f.front_dart + f.back_dart,
                                 (f.hip - f.waist) / 2.0 - f.waist_to_hip * 1.2, (f.hip - f.waist) / 2.0);
        }
        return alike(f, h, intake);
    }
    const Length front = f.front_waist + f.front_dart;
    const Length back = f.waist / 2.0 - f.front_waist + f.back_dart;
    if (auto ok = taken_at_side("front_waist", front, h.front.hip, f); !ok) return tl::make_unexpected(ok.error());
    if (auto ok = taken_at_side("back_waist", back, h.back.hip, f); !ok) return tl::make_unexpected(ok.error());
    return each_its_own(f, h);
}

}  // namespace

Outcome<SizedPieces> draw_skirt(const SkirtFlat& f)
{
    if (const auto ok = drawable(f); !ok) return tl::make_unexpected(ok.error());
    auto panels = panels_of(f);
    if (!panels) return tl::make_unexpected(panels.error());
    SizedPieces out{f.size, std::move(*panels)};
    if (f.band_depth > Length{}) {
        out.pieces.push_back(waistband(sewn_length(out.pieces[0], EdgeRole::Waist),
                                       sewn_length(out.pieces[1], EdgeRole::Waist), f.band_depth, f.allowance));
    }
    return out;
}

Outcome<Pattern> skirt_pattern(const SkirtFlat& f)
{
    auto sized = draw_skirt(f);
    if (!sized) return tl::make_unexpected(sized.error());
    Pattern p{f.name, f.maker, {}, skirt_seams(f.band_depth > Length{})};
    p.sizes.push_back(std::move(*sized));
    return check_pattern(std::move(p));
}

}  // namespace sartorum
