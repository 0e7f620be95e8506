#include "core/paper/step.h"

#include "core/pattern/whole_piece.h"

#include <cmath>

#include <cstdlib>

#include "core/pattern/gore.h"

namespace sartorum {

Geom::Affine whole_motion(const Motion& m, double part)
{
    return Geom::Translate(-m.about) * Geom::Rotate{m.radians * part} * Geom::Translate(m.about + m.by * part);
}

Motion motion_of(std::size_t panel, const Geom::Affine& how, Point about)
{
    return {panel, about, std::atan2(how[1], how[0]), about * how - about};
}

namespace {

Curve between_curves(const Curve& from, const Curve& to, double part)
{
    const auto a = all_controls(from);
    auto b = all_controls(to);
    if (a.size() != b.size()) return to;
    for (std::size_t i = 0; i < a.size(); ++i) b[i] = a[i] * (1 - part) + b[i] * part;
    return from_controls(b);
}

}  // namespace

std::vector<Piece> panels_at(const StepPicture& picture, double part)
{
    auto out = picture.panels;
    if (part >= 1.0) return out;
    for (const auto& m : picture.motions)
        out[m.panel] = moved(out[m.panel], whole_motion(m).inverse() * whole_motion(m, part));
    if (picture.redrawn_from.empty()) return out;
    const Piece& from = picture.redrawn_from.front();
    Piece& to = out.front();
    if (from.edges.size() != to.edges.size()) return out;
    for (std::size_t i = 0; i < to.edges.size(); ++i)
        to.edges[i].curve = between_curves(from.edges[i].curve, to.edges[i].curve, part);
    return out;
}

bool of_waistband(const Step& s)
{
    return !s.picture.panels.empty() && s.picture.panels.front().role == PieceRole::Waistband;
}

bool of_a_gore(const Step& s)
{
    return !s.picture.panels.empty() && is_gore(s.picture.panels.front());
}

bool of_a_leg(const Step& s)
{
    return !s.picture.panels.empty() && guide(s.picture.panels.front(), GuideKind::Crease).has_value();
}

Step step_on(const Piece& piece, StepKind kind, Length amount, Length place, Length second)
{
    Step out{.kind = kind, .piece = piece.id, .amount = amount, .place = place, .second = second};
    out.picture.panels = {piece};
    return out;
}

bool runs_over_a_dart(const Step& s)
{
    if (s.kind == StepKind::DrawBlend) return false;  // traced from line to line, as it lies
    // The dart itself is drawn anew: it is folded afterwards.
    if (s.kind == StepKind::RedrawDartLegs || s.kind == StepKind::SlideBustDart) return false;
    if (s.picture.panels.empty() || s.picture.redrawn_from.empty()) return false;
    const Piece& is = s.picture.panels.front();
    const Piece& was = s.picture.redrawn_from.front();
    if (is.edges.size() != was.edges.size()) return false;
    // An edge that is only cut short at its other end runs into the dart as it did.
    const auto turned = [](Point a, Point b) { return std::abs(Geom::angle_between(a, b)) > 1e-6; };
    for (std::size_t i = 1; i + 1 < is.edges.size(); ++i) {
        if (is.edges[i].role != EdgeRole::DartMouth) continue;
        if (turned(end_direction(was.edges[i - 1].curve), end_direction(is.edges[i - 1].curve)) ||
            turned(start_direction(was.edges[i + 1].curve), start_direction(is.edges[i + 1].curve)))
            return true;
    }
    return false;
}

Step redrawn_step(const Piece& before, const Piece& after, StepKind kind, Length amount, Length place,
                  Length second)
{
    Step out = step_on(after, kind, amount, place, second);
    out.picture.redrawn_from = {before};
    return out;
}

std::vector<Stroke> strokes(const Polygon& line)
{
    std::vector<Stroke> out;
    for (std::size_t i = 1; i < line.size(); ++i) out.push_back({line[i - 1], line[i]});
    return out;
}

Step turned_over(const Step& step)
{
    const auto over = [](Point p) { return Point{-p[Geom::X], p[Geom::Y]}; };
    Step out = step;
    StepPicture& picture = out.picture;
    for (auto* pieces : {&picture.panels, &picture.redrawn_from}) {
        for (auto& p : *pieces) p = mirror_image(p);
    }
    for (auto& l : picture.lines) l = {over(l.a), over(l.b)};
    for (auto* polygons : {&picture.added, &picture.removed}) {
        for (auto& polygon : *polygons) {
            for (auto& p : polygon) p = over(p);
        }
    }
    for (auto& d : picture.dimensions) d = {over(d.a), over(d.b), d.amount};
    for (auto& m : picture.motions) m = {m.panel, over(m.about), -m.radians, over(m.by)};
    return out;
}

}  // namespace sartorum
