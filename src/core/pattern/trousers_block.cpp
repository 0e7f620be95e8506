#include "core/pattern/trousers_block.h"

#include <cmath>

#include "core/pattern/flat_range.h"
#include "core/pattern/waist_edge.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

// What differs between front and back. The crease is x = 0, the front's inner leg point lies at y = 0.
struct Leg {
    PieceRole role{};
    double hip = 0;
    double side_hip = 0;  // how far the side stands from the crease there
    double extension = 0;
    double curve_from = 1;  // where the crotch curve leaves the straight centre, of the hip's height
    double lean = 0;
    double centre_top = 0;
    double knee = 0;
    double hem = 0;
    WaistFold fold;
    // Settled until seams and waist are as long as they are meant to be.
    double side_waist = 0;
    double side_top = 0;
    double drop = 0;  // of the inner leg point
};

struct Levels {
    double rise;
    double hip;
    double knee;
    double hem;
};

struct LegCorners {
    Point centre_waist;
    Point side_waist;
    Point centre_hip;
    Point side_hip;
    Point side_knee;
    Point side_hem;
    Point inner_hem;
    Point inner_knee;
    Point inner_leg;
};

LegCorners leg_corners(const Leg& leg, const Levels& at)
{
    const Point centre_hip{leg.side_hip - leg.hip, at.hip};
    return {{centre_hip[Geom::X] + leg.lean, leg.centre_top},
            {leg.side_waist, leg.side_top},
            centre_hip,
            {leg.side_hip, at.hip},
            {leg.knee / 2, at.knee},
            {leg.hem / 2, at.hem},
            {-leg.hem / 2, at.hem},
            {-leg.knee / 2, at.knee},
            {centre_hip[Geom::X] - leg.extension, -leg.drop}};
}

// The way the side seam leaves the waist: more outwards than straight to the hip.
Point side_leaves(const LegCorners& c)
{
    const Point chord = c.side_hip - c.side_waist;
    return Geom::unit_vector(Point{chord[Geom::X] * 1.4, chord[Geom::Y]});
}

Curve between(Point from, Point leaves, Point arrives, Point to)
{
    const double third = Geom::distance(from, to) / 3;
    return cubic(from, from + Geom::unit_vector(leaves) * third, to - Geom::unit_vector(arrives) * third, to);
}

Curve outer_leg(const LegCorners& c)
{
    const Point down{0, -1};
    return joined(joined(between(c.side_waist, side_leaves(c), down, c.side_hip),
                         between(c.side_hip, down, c.side_hem - c.side_knee, c.side_knee)),
                  straight(c.side_knee, c.side_hem));
}

Curve inner_seam(const LegCorners& c)
{
    const Point chord = c.inner_leg - c.inner_knee;
    return joined(straight(c.inner_hem, c.inner_knee),
                  between(c.inner_knee, c.inner_knee - c.inner_hem, chord, c.inner_leg));
}

// Square to both seams.
Curve leg_hem(const LegCorners& c)
{
    const Point down_side = Geom::unit_vector(c.side_hem - c.side_knee);
    const Point up_inner = Geom::unit_vector(c.inner_knee - c.inner_hem);
    return between(c.side_hem, Geom::rot90(down_side) * -1, Geom::rot90(up_inner), c.inner_hem);
}

// Squarely off the inner leg, round, and up the straight centre. How full the round is: of an ellipse's quarter.
Curve crotch_seam(const LegCorners& c, const Leg& leg)
{
    const Point up = Geom::unit_vector(c.centre_waist - c.centre_hip);
    const double low = c.centre_hip[Geom::Y] * (1 - leg.curve_from);
    const Point leaves = c.centre_hip - up * (low / up[Geom::Y]);
    const Point chord = c.inner_leg - c.inner_knee;
    const Point square = -Geom::rot90(Geom::unit_vector(chord));
    const double across = leaves[Geom::X] - c.inner_leg[Geom::X];
    const double high = leaves[Geom::Y] - c.inner_leg[Geom::Y];
    constexpr double round = 0.62;
    return joined(
        cubic(c.inner_leg, c.inner_leg + square * (across * round), leaves - up * (high * round), leaves),
        straight(leaves, c.centre_waist));
}

// As drawn before darts: square to the centre, and to the side.
Curve leg_waist(const LegCorners& c)
{
    const Point up = Geom::unit_vector(c.centre_waist - c.centre_hip);
    const Point from_centre = -Geom::rot90(up);
    const Point side = side_leaves(c);
    const Point to_side = Geom::rot90(side)[Geom::X] > 0 ? Geom::rot90(side) : -Geom::rot90(side);
    return between(c.centre_waist, from_centre, to_side, c.side_waist);
}

void add_lines(Piece& p, const LegCorners& c, const Levels& at, const Leg& leg)
{
    const double length = at.rise - at.hip;
    // Beneath the darts, so that cutting there leaves them whole.
    const double down = std::clamp(leg.fold.length.in_mm() + 8, length * 0.68, length * 0.9);
    const double level = at.rise - down;
    const double crotch_level = c.inner_leg[Geom::Y];
    const Point from = edge(p, EdgeRole::Centre).curve.finalPoint();
    const auto across = [&](GuideKind kind, double y) {
        double least = 0;
        double most = 0;
        for (const auto& e : p.edges) {
            for (const double t : times_where(e.curve, Geom::Y, y)) {
                least = std::min(least, e.curve.valueAt(t, Geom::X));
                most = std::max(most, e.curve.valueAt(t, Geom::X));
            }
        }
        p.guides.push_back({kind, {least, y}, {most, y}});
    };
    constexpr double beside_crease = 40;
    // Where the leg is short it begins above the crotch line.
    const bool short_leg = crotch_level - at.knee < 180;
    const double grain_from = crotch_level + (short_leg ? 60 : -40);
    const double grain_to = at.knee + (short_leg ? 0 : 40);
    p.guides = {{GuideKind::Grain, {beside_crease, grain_from}, {beside_crease, grain_to}},
                {GuideKind::Crease, {0, std::min(from[Geom::Y], at.rise) - 30}, {0, at.hem}}};
    across(GuideKind::LengthenShorten, level);
    across(GuideKind::Hip, at.hip);
    across(GuideKind::Crotch, crotch_level);
    across(GuideKind::Knee, at.knee);
}

Piece leg_panel(const TrousersFlat& f, const Leg& leg, const Levels& at)
{
    const LegCorners c = leg_corners(leg, at);
    const bool front = leg.role == PieceRole::Front;
    Piece p;
    p.id = std::string{key(leg.role)};
    p.role = leg.role;
    p.part = PartKind::Trousers;
    p.name = front ? "Trouser front" : "Trouser back";
    p.cut = 2;
    add_waist_edge(p, leg_waist(c), leg.fold, f.allowance);
    p.edges.push_back({EdgeRole::Side, outer_leg(c), f.allowance});
    p.edges.push_back({EdgeRole::Hem, leg_hem(c), f.hem_allowance});
    p.edges.push_back({EdgeRole::InnerLeg, inner_seam(c), f.allowance});
    p.edges.push_back({EdgeRole::Centre, crotch_seam(c, leg), f.allowance});
    add_lines(p, c, at, leg);
    p.notches = {{c.side_hip, EdgeRole::Side, front ? 1 : 2},
                 {c.side_knee, EdgeRole::Side, 1},
                 {c.inner_knee, EdgeRole::InnerLeg, 1}};
    if (front) p.opening = f.fly;
    return p;
}

struct BothLegs {
    Leg front;
    Leg back;
    Levels at;
};

BothLegs both_of(const TrousersFlat& f)
{
    const double quarter = f.hip.in_mm() / 4;
    const double more = f.back_more.in_mm() / 4;
    const double leg_more = f.back_leg_more.in_mm() / 2;
    const double hem_more = f.back_hem_more.value_or(f.back_leg_more).in_mm() / 2;
    const double rise = f.rise.in_mm();
    const double inside = f.inside_leg.in_mm();
    const double extension = f.front_extension > Length{} ? f.front_extension.in_mm() : f.hip.in_mm() / 16 + 5;
    const double extension_back = f.back_extension > Length{} ? f.back_extension.in_mm() : extension * 1.5 + 10;
    const double knee_below = f.knee_below > Length{} ? f.knee_below.in_mm() : inside / 2 - 50;
    BothLegs out;
    out.at = {rise, rise - f.waist_to_hip.in_mm(), -knee_below, -inside};
    const auto at = [](Length along) { return along > Length{} ? std::optional{along} : std::nullopt; };
    out.front.role = PieceRole::Front;
    out.front.hip = quarter - more;
    out.front.extension = extension;
    out.front.side_hip = (out.front.hip + extension) / 2;
    out.front.lean = f.front_lean.in_mm();
    out.front.centre_top = rise - f.side_rise.in_mm();
    out.front.knee = f.knee.in_mm() / 2 - leg_more;
    out.front.hem = f.hem.in_mm() / 2 - hem_more;
    out.front.fold = {f.front_dart, at(f.front_dart_at), f.front_dart_length, f.front_fold};
    out.back = out.front;
    out.back.role = PieceRole::Back;
    out.back.hip = quarter + more;
    out.back.extension = extension_back;
    out.back.knee += 2 * leg_more;
    out.back.hem += 2 * hem_more;
    // The side seam leans as the front's does.
    out.back.side_hip = out.front.side_hip + leg_more;
    out.back.curve_from = 0.95;
    out.back.lean = f.back_lean.in_mm();
    out.back.centre_top = rise + f.back_rise.in_mm();
    out.back.fold = {f.back_dart, at(f.back_dart_at), f.back_dart_length, DartKind::Dart};
    for (Leg* leg : {&out.front, &out.back}) {
        leg->side_top = rise;
        const Length waist = leg == &out.front ? f.waist - f.back_waist_more : f.waist + f.back_waist_more;
        leg->side_waist = leg->side_hip - leg->hip + leg->lean + (waist / 4.0 + leg->fold.mouth).in_mm();
    }
    return out;
}

constexpr Length leg_settled = Length::mm(1e-5);
constexpr Length far_off = Length::mm(1000);  // nothing settles any more

// How far the corner of waist and side goes for the waist to lose what it is too long by, and the side too: both
// lengthen with it, the more the squarer the corner.
Point corner_step(const Piece& p, Length waist_off, Length side_off)
{
    const Point along = end_direction(p.edges[*edge_index(p, EdgeRole::Waist, true)].curve);
    const Point down = start_direction(edge(p, EdgeRole::Side).curve);
    const double turn = Geom::cross(along, down);
    if (std::abs(turn) < 0.2) return {-waist_off.in_mm(), -side_off.in_mm()};
    // along · step = −waist, −down · step = −side
    const double w = -waist_off.in_mm();
    const double s = side_off.in_mm();
    return {(w * down[Geom::Y] - s * along[Geom::Y]) / turn, (s * along[Geom::X] - w * down[Geom::X]) / turn};
}

// Waists as wide, legs and sides as long as they are meant to be; the pieces are as they came last.
Outcome<bool> settle_legs(const TrousersFlat& f, BothLegs b, std::vector<Piece>& out)
{
    const Length front_waist = (f.waist - f.back_waist_more) / 4.0;
    const Length back_waist = (f.waist + f.back_waist_more) / 4.0;
    return settle_all(leg_settled, "waist", [&]() -> Outcome<Length> {
        out = {leg_panel(f, b.front, b.at), leg_panel(f, b.back, b.at)};
        const auto off = [&](std::size_t piece, EdgeRole role, Length wanted) {
            return sewn_length(out[piece], role) - wanted;
        };
        const Length front_off = off(0, EdgeRole::Waist, front_waist);
        const Length back_off = off(1, EdgeRole::Waist, back_waist);
        const Length side_off = off(1, EdgeRole::Side, sewn_length(out[0], EdgeRole::Side));
        const Length leg_off = off(0, EdgeRole::InnerLeg, f.inside_leg);
        const Length back_leg_off =
            off(1, EdgeRole::InnerLeg, sewn_length(out[0], EdgeRole::InnerLeg) - f.back_stretch);
        if (std::max({abs(back_off), abs(side_off), abs(back_leg_off)}) > far_off)
            return refuse(Why::NotSettled, "waist");
        b.front.side_waist -= front_off.in_mm();
        const Point step = corner_step(out[1], back_off, side_off);
        b.back.side_waist += step[Geom::X];
        b.back.side_top += step[Geom::Y];
        b.at.hem += leg_off.in_mm();
        b.back.drop += back_leg_off.in_mm();
        return std::max({abs(front_off), abs(back_off), abs(side_off), abs(leg_off), abs(back_leg_off)});
    });
}

Outcome<bool> leg_drawable(const TrousersFlat& f)
{
    const Length knee_least = f.back_leg_more + Length::mm(80);
    return check_ranges({{"waist", f.waist, Length::mm(300), Length::mm(2600)},
                         {"hip", f.hip, Length::mm(400), Length::mm(2900)},
                         {"waist_to_hip", f.waist_to_hip, Length::mm(60), Length::mm(450)},
                         {"rise", f.rise, f.waist_to_hip + Length::mm(25), Length::mm(600)},
                         {"inside_leg", f.inside_leg, Length::mm(120), Length::mm(1200)},
                         {"knee", f.knee, knee_least, Length::mm(1600)},
                         {"leg_hem", f.hem, knee_least, Length::mm(2000)},
                         {"front_extension", f.front_extension, Length{}, f.hip / 6.0},
                         {"back_extension", f.back_extension, Length{}, f.hip / 4.0},
                         {"back_more", f.back_more, f.hip * -0.2, f.hip * 0.3},
                         {"back_waist_more", f.back_waist_more, f.waist * -0.3, f.waist * 0.3},
                         {"front_lean", f.front_lean, Length::mm(-20), Length::mm(60)},
                         {"back_lean", f.back_lean, Length::mm(-20), Length::mm(120)},
                         {"front_dart", f.front_dart, Length{}, Length::mm(80)},
                         {"front_dart_length", f.front_dart_length, Length::mm(30), f.waist_to_hip},
                         {"back_dart", f.back_dart, Length{}, Length::mm(80)},
                         {"back_dart_length", f.back_dart_length, Length::mm(30), f.waist_to_hip},
                         {"allowance", f.allowance, Length{}, Length::mm(50)},
                         {"hem_allowance", f.hem_allowance, Length{}, Length::mm(120)},
                         {"band_depth", f.band_depth, Length{}, Length::mm(150)}});
}

// Where the knee lies so near the inner leg point that no back of that length reaches both.
Outcome<bool> inner_drawable(const TrousersFlat& f, const std::vector<Piece>& pieces)
{
    const Length off =
        sewn_length(pieces[0], EdgeRole::InnerLeg) - f.back_stretch - sewn_length(pieces[1], EdgeRole::InnerLeg);
    if (abs(off) < Length::mm(0.01)) return true;
    const Length below = f.knee_below > Length{} ? f.knee_below : f.inside_leg / 2.0 - Length::mm(50);
    return refuse_amount(Why::OutOfRange, "knee_below", below, {}, {});
}

// What the side seam takes between hip and waist: it may stand a little out of the straight, not far in.
Outcome<bool> waist_drawable(const TrousersFlat& f, const std::vector<Piece>& pieces)
{
    for (const auto& p : pieces) {
        const Point top = edge(p, EdgeRole::Side).curve.initialPoint();
        const Point hip = p.notches.front().at;
        const Length in = Length::mm((hip - top)[Geom::X]);
        if (!top.isFinite() || in > f.waist_to_hip * 0.6 || in < f.waist_to_hip * -0.2)
            return refuse_amount(Why::OutOfRange, p.role == PieceRole::Front ? "front_waist" : "back_waist",
                                 sewn_length(p, EdgeRole::Waist), {}, {});
    }
    return true;
}

}  // namespace

std::vector<Seam> trousers_seams(bool with_band, Length back_stretch)
{
    std::vector<Seam> out{
        {"side", {{"front", EdgeRole::Side}}, {{"back", EdgeRole::Side}}, {}},
        {"inner-leg", {{"front", EdgeRole::InnerLeg}}, {{"back", EdgeRole::InnerLeg}}, -back_stretch}};
    if (with_band) {
        out.push_back({"waist",
                       {{"back", EdgeRole::Waist}, {"front", EdgeRole::Waist}},
                       {{"waistband", EdgeRole::Waist}},
                       {},
                       Follow::Length});
    }
    return out;
}

Outcome<SizedPieces> draw_trousers(const TrousersFlat& f)
{
    if (const auto ok = leg_drawable(f); !ok) return tl::make_unexpected(ok.error());
    SizedPieces out{f.size, {}};
    const auto settled = settle_legs(f, both_of(f), out.pieces);
    if (const auto ok = inner_drawable(f, out.pieces); !ok) return tl::make_unexpected(ok.error());
    if (const auto ok = waist_drawable(f, out.pieces); !ok) return tl::make_unexpected(ok.error());
    if (!settled) return tl::make_unexpected(settled.error());
    if (f.band_depth > Length{}) {
        out.pieces.push_back(waistband(sewn_length(out.pieces[1], EdgeRole::Waist),
                                       sewn_length(out.pieces[0], EdgeRole::Waist), f.band_depth, f.allowance));
    }
    return out;
}

Outcome<Pattern> trousers_pattern(const TrousersFlat& f)
{
    auto sized = draw_trousers(f);
    if (!sized) return tl::make_unexpected(sized.error());
    Pattern p{f.name, f.maker, {}, trousers_seams(f.band_depth > Length{}, f.back_stretch)};
    p.sizes.push_back(std::move(*sized));
    return check_pattern(std::move(p));
}

}  // namespace sartorum
