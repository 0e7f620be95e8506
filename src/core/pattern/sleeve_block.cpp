#include "core/pattern/sleeve_block.h"

#include <cmath>

#include "core/pattern/flat_range.h"

namespace sartorum {
namespace {

constexpr double usual_fullness = 0.62;
constexpr double least_fullness = 0.05;
constexpr double most_fullness = 1.3;

// Widths and lengths of a sleeve: front to the right of the top notch.
struct Frame {
    double height;
    double front;  // from the top notch's upright to the underarm
    double back;
    double lean;  // of the underarm seams inwards, radians
    Point hem_front;
    Point hem_back;
};

Frame frame_of(const SleeveFlat& f, double height, double front_share)
{
    const double bicep = f.bicep.in_mm();
    const double in = (bicep - f.hem.in_mm()) / 2;  // the same on both, so that the seams are equally long
    const double down = f.length.in_mm() - height;
    Frame out{height, bicep * front_share, bicep * (1 - front_share), std::atan2(in, down), {}, {}};
    out.hem_front = {out.front - in, -f.length.in_mm()};
    out.hem_back = {in - out.back, -f.length.in_mm()};
    return out;
}

// One half of the cap from the top notch, drawn towards +x.
Curve half_cap(double width, double height, double lean, double fullness, bool front)
{
    const Point end{width, -height};
    const Point arriving{std::cos(lean), -std::sin(lean)};
    const double top = (front ? 0.86 : 0.94) * fullness * width;
    const double low = (front ? 0.80 : 0.66) * fullness * width;
    return cubic({0, 0}, {top, 0}, end - arriving * low, end);
}

double cap_length(const Frame& f, double fullness)
{
    return (length(half_cap(f.front, f.height, f.lean, fullness, true)) +
            length(half_cap(f.back, f.height, f.lean, fullness, false)))
        .in_mm();
}

// The value between low and high at which a growing function is `wanted`; both ends must lie about it.
template <class Grows>
double reached(double low, double high, double wanted, const Grows& grows)
{
    for (int i = 0; i < 60 && high - low > 1e-9; ++i) {
        const double middle = (low + high) / 2;
        (grows(middle) < wanted ? low : high) = middle;
    }
    return (low + high) / 2;
}

// Fits one half to its length by its fullness.
Outcome<Curve> fitted(double width, double height, double lean, Length wanted, bool front)
{
    const auto at = [&](double fullness) { return length(half_cap(width, height, lean, fullness, front)); };
    const Length least = at(least_fullness);
    const Length most = at(most_fullness);
    if (wanted < least || wanted > most)
        return refuse_amount(Why::BlockCapImpossible, "cap_height", wanted, least, most);
    const double fullness =
        reached(least_fullness, most_fullness, wanted.in_mm(), [&](double x) { return at(x).in_mm(); });
    return half_cap(width, height, lean, fullness, front);
}

// Each armhole notch's distance from the underarm.
std::vector<Notch> notches_from(const Piece& bodice, const Curve& from_underarm, EdgeRole role)
{
    std::vector<Notch> out;
    const Curve hole = reversed(bodice.edges[*edge_index(bodice, EdgeRole::Armhole, true)].curve);
    for (const auto& n : bodice.notches) {
        if (n.on != EdgeRole::Armhole) continue;
        const Length along = length_to(hole, nearest(hole, n.at).time);
        if (along == Length{}) continue;
        out.push_back({from_underarm.pointAt(time_at(from_underarm, along)), role, n.count});
    }
    return out;
}

Outcome<bool> drawable(const SleeveFlat& f)
{
    return check_ranges({{"sleeve_bicep", f.bicep, Length::mm(160), Length::mm(1000)},
                         {"cap_height", f.cap_height, Length{}, Length::mm(260)},
                         {"sleeve_length", f.length, f.cap_height + Length::mm(40), Length::mm(1000)},
                         {"sleeve_hem", f.hem, Length::mm(120), f.bicep + Length::mm(120)},
                         {"elbow", f.elbow, Length{}, f.length - Length::mm(60)},
                         {"cap_ease", f.cap_ease, Length::mm(-10), Length::mm(60)}});
}

}  // namespace

Outcome<Piece> draw_sleeve(const SleeveFlat& f, const Piece& front, const Piece& back)
{
    if (const auto ok = drawable(f); !ok) return tl::make_unexpected(ok.error());
    const Length front_length = sewn_length(front, EdgeRole::Armhole) + f.cap_ease / 2.0;
    const Length back_length = sewn_length(back, EdgeRole::Armhole) + f.cap_ease / 2.0;
    const Length whole = front_length + back_length;
    const double share = front_length / whole;
    double height = f.cap_height.in_mm();
    if (height <= 0) {
        const auto long_at = [&](double h) { return cap_length(frame_of(f, h, share), usual_fullness); };
        const double most = std::min(260.0, f.length.in_mm() - 20);
        if (long_at(20) > whole.in_mm() || long_at(most) < whole.in_mm()) {
            return refuse_amount(Why::BlockCapImpossible, "sleeve_bicep", whole, Length::mm(long_at(20)),
                                 Length::mm(long_at(most)));
        }
        height = reached(20, most, whole.in_mm(), long_at);
    }
    const Frame at = frame_of(f, height, share);
    const auto cap_front = fitted(at.front, at.height, at.lean, front_length, true);
    if (!cap_front) return tl::make_unexpected(cap_front.error());
    const auto cap_back = fitted(at.back, at.height, at.lean, back_length, false);
    if (!cap_back) return tl::make_unexpected(cap_back.error());

    Piece p;
    p.role = PieceRole::Sleeve;
    p.part = PartKind::Upper;
    p.id = std::string{key(p.role)};
    p.name = "Sleeve";
    p.cut = 2;
    const Curve mirrored = *cap_back * Geom::Scale(-1, 1);
    const Point under_front = cap_front->finalPoint();
    const Point under_back = mirrored.finalPoint();
    const double third = Geom::distance(at.hem_front, at.hem_back) / 3;
    const Point in_front{-std::cos(at.lean), std::sin(at.lean)};
    const Point in_back{std::cos(at.lean), std::sin(at.lean)};
    p.edges = {{EdgeRole::CapBack, reversed(mirrored), f.allowance},
               {EdgeRole::CapFront, *cap_front, f.allowance},
               {EdgeRole::UnderarmFront, straight(under_front, at.hem_front), f.allowance},
               {EdgeRole::Hem,
                cubic(at.hem_front, at.hem_front + in_front * third, at.hem_back + in_back * third, at.hem_back),
                f.hem_allowance},
               {EdgeRole::UnderarmBack, straight(at.hem_back, under_back), f.allowance}};
    p.guides = {{GuideKind::Grain, {0, -30}, {0, 30 - f.length.in_mm()}},
                {GuideKind::Bicep, under_back, under_front}};
    if (f.elbow > f.cap_height) {
        const double level = -f.elbow.in_mm();
        const double in = (f.elbow.in_mm() - height) * std::tan(at.lean);
        p.guides.push_back({GuideKind::Elbow, {in - at.back, level}, {at.front - in, level}});
    }
    p.notches = notches_from(front, reversed(*cap_front), EdgeRole::CapFront);
    for (const auto& n : notches_from(back, reversed(mirrored), EdgeRole::CapBack)) p.notches.push_back(n);
    p.notches.push_back({{0, 0}, EdgeRole::CapFront, 1});
    return p;
}

std::vector<Seam> sleeve_seams(Length cap_ease)
{
    return {{"armhole-front", {{"front", EdgeRole::Armhole}}, {{"sleeve", EdgeRole::CapFront}}, cap_ease / 2.0},
            {"armhole-back", {{"back", EdgeRole::Armhole}}, {{"sleeve", EdgeRole::CapBack}}, cap_ease / 2.0},
            {"underarm", {{"sleeve", EdgeRole::UnderarmFront}}, {{"sleeve", EdgeRole::UnderarmBack}}, {}}};
}

}  // namespace sartorum
