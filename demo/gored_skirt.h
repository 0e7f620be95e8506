// gored_skirt.h: a skirt of gores, hung from a band or from a yoke, drawn for the demo and for tests.
//
// Every upright seam is the same line, leaning and flared alike, so all of them walk exactly; upper edges and hems
// are square to them. The yoke is a ring of paper: its waist and its lower edge are arcs about one centre.
#pragma once
#include <cmath>

#include "core/pattern/skirt_block.h"

namespace sartorum::demo {

struct GoredFlat {
    std::string size;
    int pieces = 2;  // to the half front, and to the half back
    Length waist;
    Length hip;
    Length waist_to_hip;
    Length yoke{};        // how deep it is; 0 for none
    Length length;        // from the waist down the seams
    Length flare;         // each seam, at the hem
    double fullness = 1;  // of the skirt to the yoke
    Length allowance = Length::mm(15);
    Length hem_allowance = Length::mm(30);
};

namespace gored {

// From the upper edge down: how wide half a gore is at its top, and how each seam runs.
struct Flank {
    double top;
    double hip;
    double hem;
    double rise;   // of its upper end above the middle of the gore
    double depth;  // upper edge to hip
    double below;  // hip to hem
};

inline Curve quadratic(Point a, Point b, Point c)
{
    return from_controls({a, a + (b - a) * 2.0 / 3.0, c + (b - c) * 2.0 / 3.0, c});
}

inline double lean(const Flank& f)
{
    return 1.2 * (f.hip - f.top) / f.depth;
}

// The right half of the upper edge, the seam down, the right half of the hem; the middle at x = 0.
inline Curve top_half(const Flank& f)
{
    return quadratic({0, 0}, {f.top / 2, 0}, {f.top, f.rise});
}

inline Curve seam(const Flank& f)
{
    const Point a{f.top, f.rise};
    const Point hip{f.hip, -f.depth};
    const Point hem{f.hem, -f.depth - f.below};
    const Point along = Geom::unit_vector(hem - hip);
    const double third = (f.depth + f.rise) / 3;
    const Point down = Geom::unit_vector(Point{lean(f), -1.0});
    return joined(from_controls({a, a + down * third, hip - along * third, hip}), straight(hip, hem));
}

inline Curve hem_half(const Flank& f)
{
    const Point end{f.hem, -f.depth - f.below};
    const double sag = f.hem / 2 * (f.hem - f.hip) / f.below;
    const Point middle{0, end[Geom::Y] - sag};
    return quadratic(end, {f.hem / 2, middle[Geom::Y]}, middle);
}

inline Curve mirrored(const Curve& c)
{
    return reversed(c * Geom::Affine{Geom::Scale(-1, 1)});
}

inline void mark(Piece& p, const Flank& f)
{
    const bool at_centre = p.edges.back().role == EdgeRole::Centre;
    const auto across = [&](GuideKind kind, double level) {
        const double width = width_at(p, level)->in_mm();
        const double left = at_centre ? 0 : -width / 2;
        p.guides.push_back({kind, {left, level}, {left + width, level}});
    };
    p.guides = {{GuideKind::Grain, {f.top * 0.3, -f.depth - 40}, {f.top * 0.3, -f.depth - f.below * 0.7}}};
    across(GuideKind::LengthenShorten, -f.depth / 2);
    across(GuideKind::Hip, -f.depth);
}

inline Piece gore(const GoredFlat& g, const Flank& f, PieceRole role, int nth)
{
    const bool front = role == PieceRole::Front;
    const bool last = nth + 1 == g.pieces;
    Piece p;
    p.id = std::string{key(role)} + (nth == 0 ? "" : "-" + std::to_string(nth + 1));
    p.name = nth == 0 ? front ? "Skirt front" : "Skirt back" : front ? "Side front gore" : "Side back gore";
    p.role = role;
    p.part = PartKind::Skirt;
    const EdgeRole outer = last ? EdgeRole::Side : EdgeRole::Outer;
    const bool fold = nth == 0 && front;
    p.cut = fold ? 1 : 2;
    const Point hip{f.hip, -f.depth};
    if (nth == 0) {
        const Curve hem = hem_half(f);
        p.edges = {{EdgeRole::Waist, top_half(f), g.allowance},
                   {outer, seam(f), g.allowance},
                   {EdgeRole::Hem, hem, g.hem_allowance},
                   {EdgeRole::Centre, straight(hem.finalPoint(), {0, 0}), fold ? Length{} : g.allowance, fold}};
    } else {
        p.edges = {{EdgeRole::Waist, joined(mirrored(top_half(f)), top_half(f)), g.allowance},
                   {outer, seam(f), g.allowance},
                   {EdgeRole::Hem, joined(hem_half(f), mirrored(hem_half(f))), g.hem_allowance},
                   {EdgeRole::Inner, mirrored(seam(f)), g.allowance}};
        p.notches.push_back({{-f.hip, -f.depth}, EdgeRole::Inner, front ? 1 : 2});
    }
    p.notches.push_back({hip, outer, front ? 1 : 2});
    mark(p, f);
    return p;
}

// A quarter ring: `inner` and `outer` are the lengths of its arcs.
inline Piece yoke(const GoredFlat& g, PieceRole role, double inner, double outer)
{
    const bool front = role == PieceRole::Front;
    const double deep = g.yoke.in_mm();
    const double angle = (outer - inner) / deep;
    const double radius = inner / angle;
    const auto arc = [&](double r) {
        const auto at = [&](double t) { return Point{r * std::sin(t), radius - r * std::cos(t)}; };
        const auto along = [](double t) { return Point{std::cos(t), std::sin(t)}; };
        const double handle = 4.0 / 3 * std::tan(angle / 4) * r;
        return from_controls({at(0), at(0) + along(0) * handle, at(angle) - along(angle) * handle, at(angle)});
    };
    const Curve top = arc(radius);
    const Curve low = reversed(arc(radius + deep));
    Piece p;
    p.id = front ? "yoke-front" : "yoke-back";
    p.name = front ? "Yoke front" : "Yoke back";
    p.role = role;
    p.part = PartKind::Yoke;
    p.cut = front ? 1 : 2;
    p.edges = {
        {EdgeRole::Waist, top, g.allowance},
        {EdgeRole::Side, straight(top.finalPoint(), low.initialPoint()), g.allowance},
        {EdgeRole::Lower, low, g.allowance},
        {EdgeRole::Centre, straight(low.finalPoint(), top.initialPoint()), front ? Length{} : g.allowance, front}};
    p.guides = {{GuideKind::Grain, {inner * 0.3, -deep * 0.1}, {inner * 0.3, -deep * 0.8}}};
    return p;
}

}  // namespace gored

// How wide half a quarter of it is where the yoke ends: the hip's curve, as a body has it.
inline double girth_at_yoke(const GoredFlat& g)
{
    const double down = 1 - g.yoke / g.waist_to_hip;
    return g.hip.in_mm() - (g.hip - g.waist).in_mm() * down * down;
}

inline SizedPieces draw_gored(const GoredFlat& g)
{
    SizedPieces out{g.size, {}};
    const double units = 2 * g.pieces - 1;
    const double at_yoke = girth_at_yoke(g) / 4;
    if (g.yoke > Length{}) {
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            out.pieces.push_back(gored::yoke(g, role, g.waist.in_mm() / 4, at_yoke));
    }
    gored::Flank f;
    f.top = at_yoke * g.fullness / units;
    f.hip = std::max(g.hip.in_mm() / 4 * g.fullness, at_yoke * g.fullness) / units;
    f.depth = (g.waist_to_hip - g.yoke).in_mm();
    f.below = (g.length - g.waist_to_hip).in_mm();
    f.hem = f.hip + g.flare.in_mm();
    f.rise = f.top / 2 * gored::lean(f);
    // The upper edge is curved: as long as what it is sewn to, by the width it is drawn at.
    const double wanted = f.top;
    for (int i = 0; i < 8; ++i) {
        f.top += wanted - length(gored::top_half(f)).in_mm();
        f.rise = f.top / 2 * gored::lean(f);
    }
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        for (int i = 0; i < g.pieces; ++i) out.pieces.push_back(gored::gore(g, f, role, i));
    }
    return out;
}

inline std::vector<Seam> gored_seams(const GoredFlat& g)
{
    const auto id = [](const std::string& face, int nth) {
        return face + (nth == 0 ? "" : "-" + std::to_string(nth + 1));
    };
    std::vector<Seam> out;
    std::vector<SeamSide> waists;
    for (const std::string face : {"front", "back"}) {
        for (int i = 0; i < g.pieces; ++i) {
            waists.push_back({id(face, i), EdgeRole::Waist});
            if (i > 0)
                out.push_back({face + "-gore-" + std::to_string(i),
                               {{id(face, i - 1), EdgeRole::Outer}},
                               {{id(face, i), EdgeRole::Inner}},
                               {}});
        }
    }
    out.push_back(
        {"side", {{id("front", g.pieces - 1), EdgeRole::Side}}, {{id("back", g.pieces - 1), EdgeRole::Side}}, {}});
    if (g.yoke <= Length{}) return out;
    out.push_back({"yoke-side", {{"yoke-front", EdgeRole::Side}}, {{"yoke-back", EdgeRole::Side}}, {}});
    Seam yoke{"yoke", {{"yoke-front", EdgeRole::Lower}, {"yoke-back", EdgeRole::Lower}}, waists, {}};
    yoke.fullness = g.fullness;
    out.push_back(std::move(yoke));
    return out;
}

}  // namespace sartorum::demo
