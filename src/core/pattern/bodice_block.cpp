#include "core/pattern/bodice_block.h"

#include <cmath>

#include "core/pattern/dart.h"
#include "core/pattern/flat_range.h"
#include "core/units/root.h"

namespace sartorum {
namespace {

constexpr Length shoulder_dart_length = Length::mm(75);
constexpr Length drawn_back = Length::mm(22);  // dart tip to bust point
constexpr Length back_dart_length = Length::mm(140);
constexpr double line_at = 0.22;      // of the side seam, above the waist
constexpr double notch_at = 0.52;     // of the side seam, along it from the waist
constexpr double side_dart_at = 0.3;  // of the side seam, from the underarm

Point turned(Point p, Point about, double radians)
{
    return (p - about) * Geom::Rotate{radians} + about;
}

// Widths of one piece.
struct Half {
    bool front = true;
    double bust = 0;
    double across = 0;
    double length = 0;  // waist to neck point
    double depth = 0;
    double drop = 0;
    double shoulder = 0;
    double side_dart = 0;
    double waist_dart = 0;
    double shoulder_dart = 0;
    double waist = 0;  // darts closed
    double hem = 0;
};

Half half_of(const BodiceFlat& f, bool front)
{
    const double more = f.front_more.in_mm() / 4;
    const double quarter = f.bust.in_mm() / 4;
    const double sign = front ? 1 : -1;
    const bool own = f.front_waist > Length{};
    const auto half = [&](Length whole, Length of_front) {
        const double even = whole.in_mm() / 4 + sign * more;
        if (!own) return even;
        return front ? of_front.in_mm() : whole.in_mm() / 2 - of_front.in_mm();
    };
    const double waist = half(f.waist, f.front_waist);
    const double hem = half(f.hip, f.front_hip);
    if (front) {
        return {true,
                quarter + more,
                f.across_front.in_mm(),
                f.front_length.in_mm(),
                f.front_neck_depth.in_mm(),
                f.front_drop.in_mm(),
                f.shoulder.in_mm(),
                f.side_dart.in_mm(),
                f.front_dart.in_mm(),
                0,
                waist,
                hem};
    }
    return {false,
            quarter - more,
            f.across_back.in_mm(),
            f.back_length.in_mm() + f.back_neck_depth.in_mm(),
            f.back_neck_depth.in_mm(),
            f.back_drop.in_mm(),
            (f.shoulder + f.shoulder_ease).in_mm(),
            0,
            f.back_dart.in_mm(),
            f.shoulder_dart.in_mm(),
            waist,
            hem};
}

Point bust_point(const BodiceFlat& f)
{
    const double across = (f.bust_span / 2.0 - f.neck_width).in_mm();
    const double depth = f.bust_depth.in_mm();
    return {f.bust_span.in_mm() / 2, f.front_length.in_mm() - std::sqrt(depth * depth - across * across)};
}

// The side seam from the underarm down to the waist, with its dart.
struct SideSeam {
    std::vector<Edge> edges;  // side, or side, mouth, side
    std::optional<Dart> dart;
    Point waist;
    Point underarm;
    Point up_at_underarm;
};

// Starts at `waist` and leans out by `lean`.
SideSeam side_from(const BodiceFlat& f, const Half& h, Point waist, double lean)
{
    const Point up{std::sin(lean), std::cos(lean)};
    const double whole = f.side_length.in_mm();
    if (h.side_dart <= 0) {
        const Point underarm = waist + up * whole;
        return {{{EdgeRole::Side, straight(underarm, waist), f.allowance}}, {}, waist, underarm, up};
    }
    const double below = whole * (1 - side_dart_at);
    const Point leg_b = waist + up * below;
    Point leg_a = leg_b + Point{0, h.side_dart};
    const Point bp = bust_point(f);
    Point tip;
    double turn = 0;
    for (int i = 0; i < 12; ++i) {  // the tip lies on the way from the bust point to the mouth's middle
        tip = bp + Geom::unit_vector((leg_a + leg_b) / 2 - bp) * drawn_back.in_mm();
        turn = 2 * std::asin(std::min(1.0, h.side_dart / 2 / Geom::distance(leg_b, tip)));
        leg_a = turned(leg_b, tip, turn);
    }
    const Point up_above = up * Geom::Rotate{turn};
    const Point underarm = leg_a + up_above * (whole - below);
    const Dart dart{leg_a, leg_b, tip};
    // Folded downwards.
    const Curve mouth = reversed(dart_mouth({leg_b, leg_a, tip}, up));
    return {{{EdgeRole::Side, straight(underarm, leg_a), f.allowance},
             {EdgeRole::DartMouth, mouth, f.allowance},
             {EdgeRole::Side, straight(leg_b, waist), f.allowance}},
            dart,
            waist,
            underarm,
            up_above};
}

// As side_from, the waist end placed so that the underarm is as wide as asked and the waist line, square to the
// side seam and to the centre, ends at the waist level there.
SideSeam leaning_side(const BodiceFlat& f, const Half& h, double lean)
{
    Point waist{h.bust - f.side_length.in_mm() * std::sin(lean), 0};
    for (int i = 0; i < 40; ++i) {
        waist[Geom::Y] = -waist[Geom::X] * std::tan(lean / 2);
        const double off = h.bust - side_from(f, h, waist, lean).underarm[Geom::X];
        waist[Geom::X] += off;
        if (std::abs(off) < 1e-9) break;
    }
    waist[Geom::Y] = -waist[Geom::X] * std::tan(lean / 2);
    return side_from(f, h, waist, lean);
}

// Shaped to the waist and out to the hem; `side` straight from the underarm to the waist.
SideSeam shaped_side(const BodiceFlat& f, const Half& h, double side)
{
    const Point waist{h.waist, 0};
    const double in = h.bust - waist[Geom::X];
    const Point underarm{h.bust, std::sqrt(side * side - in * in)};
    // The hem, square to the centre and to the flared side, rises to the side.
    const double wide = h.hem;
    const double flare = std::atan2(wide - waist[Geom::X], f.below_waist.in_mm());
    const Point hem{wide, wide * std::tan(flare / 2) - f.below_waist.in_mm()};
    const Point up = Geom::unit_vector(underarm - waist);
    const Point down = Geom::unit_vector(hem - waist);
    const double above = side / 3;
    const double below = f.below_waist.in_mm() / 3;
    const Curve curve = joined(cubic(underarm, underarm - up * above, waist + Point{0, above}, waist),
                               cubic(waist, waist - Point{0, below}, hem - down * below, hem));
    return {{{EdgeRole::Side, curve, f.allowance}}, {}, waist, underarm, up};
}

void add_neck(Piece& p, const BodiceFlat& f, const Half& h, Point neck_point, Point square)
{
    const Point centre{0, neck_point[Geom::Y] - h.depth};
    const double across = f.neck_width.in_mm();
    const double first = h.front ? across * 0.58 : across * 0.5;
    const double last = h.front ? h.depth * 0.5 : h.depth * 0.8;
    p.edges.push_back({EdgeRole::Neck,
                       cubic(centre, centre + Point{first, 0}, neck_point - square * last, neck_point),
                       f.allowance});
}

// The shoulder from the neck point; its dart, if any, half-way. Gives the direction it ends in.
Point add_shoulder(Piece& p, const BodiceFlat& f, const Half& h, Point neck_point, Point along)
{
    if (h.shoulder_dart <= 0) {
        p.edges.push_back(
            {EdgeRole::Shoulder, straight(neck_point, neck_point + along * h.shoulder), f.allowance});
        return along;
    }
    const Point leg_a = neck_point + along * (h.shoulder / 2);
    const Point leg_b = leg_a + along * h.shoulder_dart;
    const Point down = Geom::rot90(along) * -1.0;  // y up: to the right of travel
    const Point tip = (leg_a + leg_b) / 2 + down * shoulder_dart_length.in_mm();
    const Dart dart{leg_a, leg_b, tip};
    const Point after = along * Geom::Rotate{-dart_radians(dart)};
    p.edges.push_back({EdgeRole::Shoulder, straight(neck_point, leg_a), f.allowance});
    p.edges.push_back({EdgeRole::DartMouth, dart_mouth(dart, along), f.allowance});
    p.edges.push_back({EdgeRole::Shoulder, straight(leg_b, leg_b + after * (h.shoulder / 2)), f.allowance});
    p.darts.push_back(dart);
    return after;
}

// Square to the shoulder, upright across the front or back, square to the side seam at the underarm.
double add_armhole(Piece& p, const BodiceFlat& f, const Half& h, Point leaving, const SideSeam& side)
{
    const Point tip = p.edges.back().curve.finalPoint();
    const Point end = side.underarm;
    const double level = end[Geom::Y] + (tip[Geom::Y] - end[Geom::Y]) * 0.48;
    const Point middle{h.across, level};
    const double upper = (tip[Geom::Y] - level) / 3;
    const double lower = (level - end[Geom::Y]) * 0.62;
    const double out = (end[Geom::X] - h.across) * (h.front ? 0.62 : 0.55);
    const Point arriving{side.up_at_underarm[Geom::Y], -side.up_at_underarm[Geom::X]};
    p.edges.push_back({EdgeRole::Armhole,
                       joined(cubic(tip, tip + leaving * upper, middle + Point{0, upper}, middle),
                              cubic(middle, middle - Point{0, lower}, end - arriving * out, end)),
                       f.allowance});
    return level;
}

// The waist or hem, from the side back to the centre, square to both, with its dart.
void add_bottom(Piece& p, const BodiceFlat& f, const Half& h)
{
    const Curve side = p.edges.back().curve;
    const Point from = side.finalPoint();
    const Point down = end_direction(side);
    const Point inwards{down[Geom::Y], -down[Geom::X]};
    const Point centre{0, f.below_waist > Length{} ? -f.below_waist.in_mm() : 0};
    const double third = Geom::distance(from, centre) / 3;
    const Curve line = cubic(from, from + inwards * third, centre + Point{third, 0}, centre);
    const bool hem = f.below_waist > Length{};
    const EdgeRole role = hem ? EdgeRole::Hem : EdgeRole::Waist;
    const Length allowance = hem ? f.hem_allowance : f.allowance;
    if (hem || h.waist_dart <= 0) {
        p.edges.push_back({role, line, allowance});
        return;
    }
    // The dart stands on the waist line, its tip under the bust point (in the back, just inside the middle).
    const double want = h.front ? f.bust_span.in_mm() / 2 : from[Geom::X] * 0.47;
    const auto crossing = [&](double x) { return line[0].roots(x, Geom::X).front(); };
    double at = want;
    Curve before = line;
    Curve after = line;
    Point tip;
    for (int i = 0; i < 8; ++i) {
        before = split(line, crossing(at + h.waist_dart / 2)).before;
        after = split(line, crossing(at - h.waist_dart / 2)).after;
        const Point middle = (before.finalPoint() + after.initialPoint()) / 2;
        const double top = h.front ? bust_point(f)[Geom::Y] - (f.princess ? 0 : drawn_back.in_mm())
                                   : middle[Geom::Y] + back_dart_length.in_mm();
        // On the middle line of the mouth, so that both legs are as long.
        const Point square = Geom::unit_vector(Geom::rot90(before.finalPoint() - after.initialPoint()));
        tip = middle + square * ((top - middle[Geom::Y]) / square[Geom::Y]);
        at += want - tip[Geom::X];
    }
    const Point a = before.finalPoint();
    const Point b = after.initialPoint();
    const Dart dart{a, b, tip, f.fold};
    p.edges.push_back({role, before, allowance});
    p.edges.push_back(
        {EdgeRole::DartMouth, reversed(dart_mouth({b, a, tip}, -start_direction(after))), allowance});
    p.edges.push_back({role, after, allowance});
    p.darts.push_back(dart);
}

// The point on the side seam this far up from its waist end (or hem), along it.
Point on_side(const Piece& p, double up)
{
    const Curve side = reversed(p.edges[*edge_index(p, EdgeRole::Side, true)].curve);
    return side.pointAt(time_at(side, Length::mm(up)));
}

void add_marks(Piece& p, const BodiceFlat& f, const Half& h, double across, const SideSeam& side)
{
    const double bottom = p.edges.back().curve.initialPoint()[Geom::Y];
    const double top = p.edges.back().curve.finalPoint()[Geom::Y];
    // The same on front and back, beneath the side notch and the darts' tips, so that what is cut there goes
    // alike.
    const double line = f.side_length.in_mm() * line_at;
    const double wide = width_at(p, line).value_or(Length::mm(side.waist[Geom::X])).in_mm();
    const double grain = h.across * 0.3;
    const double bust = h.front && f.bust_depth > Length{} ? bust_point(f)[Geom::Y] : side.underarm[Geom::Y] - 1;
    p.guides = {{GuideKind::Grain, {grain, bottom + 40}, {grain, top - 40}},
                {GuideKind::Across, {0, across}, {h.across, across}},
                {GuideKind::Bust, {0, bust}, {h.bust, bust}},
                {GuideKind::LengthenShorten, {0, line}, {wide, line}}};
    if (f.below_waist > Length{}) p.guides.push_back({GuideKind::Waist, {0, 0}, side.waist});
    const Curve& armhole = edge(p, EdgeRole::Armhole).curve;
    p.notches = {{armhole.pointAt(1.45), EdgeRole::Armhole, h.front ? 1 : 2},
                 {on_side(p, f.side_length.in_mm() * notch_at + f.below_waist.in_mm()), EdgeRole::Side, 1}};
    if (h.front && f.bust_depth > Length{}) p.bust_point = bust_point(f);
}

Piece panel(const BodiceFlat& f, const Half& h, const SideSeam& side)
{
    Piece p;
    p.role = h.front ? PieceRole::Front : PieceRole::Back;
    p.part = PartKind::Upper;
    p.id = std::string{key(p.role)};
    p.name = h.front ? "Bodice front" : "Bodice back";
    if (f.below_waist > Length{}) p.name = h.front ? "Tee front" : "Tee back";
    const bool fold = h.front ? f.front_fold : !f.back_seam;
    p.cut = fold ? 1 : 2;
    const Point neck_point{f.neck_width.in_mm(), h.length};
    const double flat = std::sqrt(std::max(0.0, h.shoulder * h.shoulder - h.drop * h.drop));
    const Point along = Geom::unit_vector(Point{flat, -h.drop});
    add_neck(p, f, h, neck_point, Geom::rot90(along));
    const Point last = add_shoulder(p, f, h, neck_point, along);
    const double across = add_armhole(p, f, h, -Geom::rot90(last), side);
    p.edges.insert(p.edges.end(), side.edges.begin(), side.edges.end());
    if (side.dart) p.darts.push_back(*side.dart);
    add_bottom(p, f, h);
    const Point low = p.edges.back().curve.finalPoint();
    const Length centre = h.front ? f.front_allowance : f.allowance;
    p.edges.push_back(
        {EdgeRole::Centre, straight(low, p.edges.front().curve.initialPoint()), fold ? Length{} : centre, fold});
    add_marks(p, f, h, across, side);
    return p;
}

Outcome<bool> drawable(const BodiceFlat& f)
{
    const bool darted = f.side_dart > Length{} || f.front_dart > Length{} || f.princess;
    const bool below = f.below_waist > Length{};
    const Length quarter = f.bust / 4.0;
    return check_ranges(
        {{"bust", f.bust, Length::mm(400), Length::mm(2200)},
         {"waist", f.waist, Length::mm(350), Length::mm(2200)},
         {"neck_width", f.neck_width, Length::mm(40), Length::mm(150)},
         {"front_neck_depth", f.front_neck_depth, Length::mm(20), Length::mm(250)},
         {"back_neck_depth", f.back_neck_depth, Length::mm(8), Length::mm(200)},
         {"shoulder", f.shoulder, Length::mm(40), Length::mm(220)},
         {"front_drop", f.front_drop, Length{}, f.shoulder * 0.7},
         {"back_drop", f.back_drop, Length{}, f.shoulder * 0.7},
         {"across_front", f.across_front, f.neck_width + Length::mm(20), quarter + f.front_more / 4.0},
         {"across_back", f.across_back, f.neck_width + Length::mm(20), quarter - f.front_more / 4.0},
         {"front_length", f.front_length, f.side_length + f.front_drop + Length::mm(80), Length::mm(700)},
         {"back_length", f.back_length, f.side_length + f.back_drop + Length::mm(60), Length::mm(650)},
         {"side_length", f.side_length, Length::mm(60), Length::mm(400)},
         {"bust_depth", f.bust_depth, darted ? Length::mm(120) : Length{}, f.front_length - Length::mm(40)},
         {"bust_span", f.bust_span, darted ? Length::mm(100) : Length{}, f.bust / 2.0},
         {"side_dart", f.side_dart, Length{}, f.princess ? Length{} : Length::mm(90)},
         {"seam_above", f.seam_above, f.princess ? Length::mm(1) : Length{}, Length::mm(60)},
         {"front_dart", f.front_dart, f.princess ? Length::mm(3) : Length{}, Length::mm(70)},
         {"back_dart", f.back_dart, Length{}, Length::mm(70)},
         {"shoulder_dart", f.shoulder_dart, Length{}, Length::mm(30)},
         {"shoulder_ease", f.shoulder_ease, Length::mm(-5), Length::mm(15)},
         {"front_more", f.front_more, Length::mm(-80), Length::mm(160)},
         {"below_waist", f.below_waist, Length{}, f.princess ? Length{} : Length::mm(900)},
         {"hip", f.hip, below ? Length::mm(400) : Length{}, Length::mm(2800)},
         {"allowance", f.allowance, Length{}, Length::mm(50)},
         {"front_allowance", f.front_allowance, Length{}, Length::mm(120)},
         {"hem_allowance", f.hem_allowance, Length{}, Length::mm(120)}});
}

// Of the sewn armhole or shoulder, in travel.
double seam_share(PrincessFrom from)
{
    return from == PrincessFrom::Armhole ? 0.45 : 0.5;
}

// The front drawn with the side dart that, closed into the seam, parts the panels there as asked: the two grow
// together, so that a few rounds of the rule of three settle it. Begun at `dart`, which is what it came to then.
Piece princess_front(const BodiceFlat& f, double lean, Length& dart)
{
    constexpr int most_rounds = 8;
    BodiceFlat darted = f;
    darted.side_dart = dart;
    for (int i = 0;; ++i) {
        const Half half = half_of(darted, true);
        const Piece front = with_princess_seam(panel(darted, half, leaning_side(darted, half, lean)), *f.princess,
                                               seam_share(*f.princess));
        const Length parts = mouth_width(front.darts[dart_at(front, princess_mouths(front)->upper)]);
        if (i == most_rounds || abs(parts - f.seam_above) < Length::mm(1e-5)) return front;
        darted.side_dart = dart = darted.side_dart * (f.seam_above / parts);
    }
}

struct Drawn {
    Piece front;
    Piece back;
    [[nodiscard]] Length waist() const
    {
        return (sewn_length(front, EdgeRole::Waist) + sewn_length(back, EdgeRole::Waist)) * 2.0;
    }
};

Drawn drawn(const BodiceFlat& f, double lean)
{
    const Half front = half_of(f, true);
    const Half back = half_of(f, false);
    Length dart = f.seam_above;
    return {f.princess ? princess_front(f, lean, dart) : panel(f, front, leaning_side(f, front, lean)),
            panel(f, back, leaning_side(f, back, lean))};
}

constexpr double most_lean = 0.45;  // 26 degrees

// The lean of the side seams at which the sewn waist is as asked.
Outcome<Drawn> settled(const BodiceFlat& f)
{
    const double low = -most_lean;  // wider waists lean inwards
    const double high = most_lean;
    const Length widest = drawn(f, low).waist();
    const Length least = drawn(f, high).waist();
    if (f.waist > widest || f.waist < least) {
        return refuse_amount(Why::BlockWaistImpossible, "waist", f.waist, least, widest);
    }
    const double lean = zero_between(low, high, (f.waist - widest).in_mm(), (f.waist - least).in_mm(), 1e-4,
                                     [&](double at) { return (f.waist - drawn(f, at).waist()).in_mm(); });
    return drawn(f, lean);
}

// The lean of one side seam at which the half waist of its piece is `wanted`; refused as it lies, its dart open.
template <class Draw>
Outcome<Piece> leaning_to(Length wanted, const char* field, Length dart, const Draw& draw)
{
    const auto waist = [&](double lean) { return sewn_length(draw(lean), EdgeRole::Waist); };
    const Length widest = waist(-most_lean);
    const Length least = waist(most_lean);
    if (wanted > widest || wanted < least) {
        return refuse_amount(Why::BlockWaistImpossible, field, wanted + dart, least + dart, widest + dart);
    }
    return draw(zero_between(-most_lean, most_lean, (wanted - widest).in_mm(), (wanted - least).in_mm(), 1e-4,
                             [&](double at) { return (wanted - waist(at)).in_mm(); }));
}

Outcome<Drawn> each_its_own(const BodiceFlat& f)
{
    const Half front = half_of(f, true);
    const Half back = half_of(f, false);
    Length dart = f.seam_above;
    auto as_front = leaning_to(Length::mm(front.waist), "front_waist", f.front_dart, [&](double lean) {
        return f.princess ? princess_front(f, lean, dart) : panel(f, front, leaning_side(f, front, lean));
    });
    if (!as_front) return tl::make_unexpected(as_front.error());
    auto as_back = leaning_to(Length::mm(back.waist), "back_waist", f.back_dart,
                              [&](double lean) { return panel(f, back, leaning_side(f, back, lean)); });
    if (!as_back) return tl::make_unexpected(as_back.error());
    return Drawn{std::move(*as_front), std::move(*as_back)};
}

// With a hem: the back's side seam made as long as the front's.
std::vector<Piece> shaped(const BodiceFlat& f)
{
    const Half front = half_of(f, true);
    const Half back = half_of(f, false);
    const double side = f.side_length.in_mm();
    std::vector<Piece> out{panel(f, front, shaped_side(f, front, side)),
                           panel(f, back, shaped_side(f, back, side))};
    double of_back = side;
    for (int i = 0; f.front_waist > Length{} && i < 20; ++i) {
        const Length off = sewn_length(out[1], EdgeRole::Side) - sewn_length(out[0], EdgeRole::Side);
        if (abs(off) < Length::mm(1e-6)) break;
        of_back -= off.in_mm();
        out[1] = panel(f, back, shaped_side(f, back, of_back));
    }
    return out;
}

}  // namespace

std::vector<Seam> bodice_seams(Length shoulder_ease, std::optional<Length> cap_ease)
{
    std::vector<Seam> out{
        {"shoulder", {{"front", EdgeRole::Shoulder}}, {{"back", EdgeRole::Shoulder}}, shoulder_ease},
        {"side", {{"front", EdgeRole::Side}}, {{"back", EdgeRole::Side}}, {}}};
    if (!cap_ease) return out;
    for (auto& s : sleeve_seams(*cap_ease)) out.push_back(std::move(s));
    return out;
}

namespace {

Outcome<SizedPieces> with_sleeve(const BodiceFlat& f, SizedPieces drawn)
{
    if (f.sleeve.length <= Length{}) return drawn;
    auto sleeve = draw_sleeve(f.sleeve, drawn.pieces[0], drawn.pieces[1]);
    if (!sleeve) return tl::make_unexpected(sleeve.error());
    drawn.pieces.push_back(std::move(*sleeve));
    return drawn;
}

}  // namespace

Outcome<SizedPieces> draw_bodice(const BodiceFlat& f)
{
    if (const auto ok = drawable(f); !ok) return tl::make_unexpected(ok.error());
    if (f.below_waist > Length{}) {
        BodiceFlat plain = f;
        plain.side_dart = plain.front_dart = plain.back_dart = {};
        return with_sleeve(f, {f.size, shaped(plain)});
    }
    auto settled_at = f.front_waist > Length{} ? each_its_own(f) : settled(f);
    if (!settled_at) return tl::make_unexpected(settled_at.error());
    return with_sleeve(f, {f.size, {std::move(settled_at->front), std::move(settled_at->back)}});
}

Outcome<Pattern> bodice_pattern(const BodiceFlat& f)
{
    auto sized = draw_bodice(f);
    if (!sized) return tl::make_unexpected(sized.error());
    const bool sleeved = f.sleeve.length > Length{};
    Pattern p{f.name,
              f.maker,
              {},
              bodice_seams(f.shoulder_ease, sleeved ? std::optional{f.sleeve.cap_ease} : std::nullopt)};
    p.sizes.push_back(std::move(*sized));
    return check_pattern(std::move(p));
}

}  // namespace sartorum
