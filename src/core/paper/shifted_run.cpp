#include "core/paper/shifted_run.h"
#include "core/units/nearness.h"

#include <algorithm>
#include <cmath>

namespace sartorum {
namespace {

double slope_between(double before, double after, double from, double to)
{
    if (before * after <= 0) return 0;
    const double w1 = 2 * to + from;
    const double w2 = to + 2 * from;
    return (w1 + w2) / (w1 / before + w2 / after);
}

ShiftLine::Value between(const ShiftAt& a, const ShiftAt& b, Length along)
{
    const double whole = (b.at - a.at).in_mm();
    const double t = (along - a.at).in_mm() / whole;
    const double u = 1 - t;
    const Point p1 = a.by + *a.slope * (whole / 3);
    const Point p2 = b.by - *b.slope * (whole / 3);
    const Point by = a.by * (u * u * u) + p1 * (3 * u * u * t) + p2 * (3 * u * t * t) + b.by * (t * t * t);
    const Point slope = ((p1 - a.by) * (u * u) + (p2 - p1) * (2 * u * t) + (b.by - p2) * (t * t)) * (3 / whole);
    return {by, slope};
}

// Where a curve bends, one stretch of the shift is one short piece of it, so that it does not matter how fast the
// curve runs between its nodes.
constexpr Length longest_bent = Length::mm(40);

// Cut at every place that lies inside it, and what bends into short pieces.
Curve cut_for(const Curve& c, Length from, const ShiftLine& shift)
{
    Curve out = c;
    const Length whole = length(c);
    const auto cut_at = [&](Length along) {
        constexpr Length off_ends = Length::mm(0.05);
        if (along < off_ends || along > whole - off_ends) return;
        const double time = at_node(out, time_at(out, along));
        if (time == std::floor(time)) return;
        const auto [before, after] = split(out, time);
        out = joined(before, after);
    };
    for (const auto& place : shift.places()) cut_at(place.at - from);
    Length along;
    for (std::size_t i = 0; i < out.size_default(); ++i) {
        const Length here = length(from_controls(controls(out, i)));
        const bool same = shift.at(from + along).by == shift.at(from + along + here).by;
        const auto pieces = is_straight(out, i) || same ? 1 : static_cast<int>(std::ceil(here / longest_bent));
        const std::size_t before = out.size_default();
        for (int k = 1; k < pieces; ++k) cut_at(along + here * (double(k) / pieces));
        i += out.size_default() - before;
        along += here;
    }
    return out;
}

Curve shifted(const Curve& c, Length from, const ShiftLine& shift)
{
    const Curve cut = cut_for(c, from, shift);
    std::optional<Curve> out;
    Length along = from;
    for (std::size_t i = 0; i < cut.size_default(); ++i) {
        auto p = controls(cut, i);
        const Length to = along + length(from_controls(p));
        const auto a = shift.at(along);
        const auto b = shift.at(to);
        // By the speed the curve has there, so that it does not matter where its nodes lie.
        const double leaves = Geom::distance(p[0], p[1]);
        const double arrives = Geom::distance(p[2], p[3]);
        p[0] += a.by;
        p[1] += a.by + a.slope * leaves;
        p[2] += b.by - b.slope * arrives;
        p[3] += b.by;
        const Curve part = from_controls(p);
        out = out ? joined(*out, part) : part;
        along = to;
    }
    return *out;
}

}  // namespace

ShiftLine::ShiftLine(const std::vector<ShiftAt>& places)
{
    for (const auto& p : places) {
        if (places_.empty() || p.at > places_.back().at + nothing_on_paper) places_.push_back(p);
    }
    for (std::size_t i = 0; i < places_.size(); ++i) {
        if (!places_[i].slope) places_[i].slope = natural(i);
    }
}

ShiftLine::Value ShiftLine::at(Length along) const
{
    const auto end = [&](const ShiftAt& p) {
        return Value{p.by, abs(along - p.at) < Length::mm(0.01) ? *p.slope : no_shift};
    };
    if (along <= places_.front().at) return end(places_.front());
    if (along >= places_.back().at) return end(places_.back());
    const auto after = std::upper_bound(places_.begin(), places_.end(), along,
                                        [](Length a, const ShiftAt& s) { return a < s.at; });
    return between(*(after - 1), *after, along);
}

Point ShiftLine::natural(std::size_t i) const
{
    if (i == 0 || i + 1 == places_.size()) return no_shift;
    const double from = (places_[i].at - places_[i - 1].at).in_mm();
    const double to = (places_[i + 1].at - places_[i].at).in_mm();
    const Point before = (places_[i].by - places_[i - 1].by) / from;
    const Point after = (places_[i + 1].by - places_[i].by) / to;
    return {slope_between(before[Geom::X], after[Geom::X], from, to),
            slope_between(before[Geom::Y], after[Geom::Y], from, to)};
}

Curve curve_shifted(const Curve& c, const std::vector<ShiftAt>& places)
{
    return shifted(c, Length{}, ShiftLine{places});
}

Piece run_shifted(const Piece& piece, std::size_t first, std::size_t last, const std::vector<ShiftAt>& places)
{
    const ShiftLine shift{places};
    Piece out = piece;
    Length along;
    for (std::size_t i = first; i <= last; ++i) {
        const Edge& was = piece.edges[i];
        Edge& e = out.edges[i];
        if (was.role == EdgeRole::DartMouth) {
            e.curve = moved(was.curve, shift.at(along).by);
            continue;
        }
        e.curve = shifted(was.curve, along, shift);
        for (auto& n : out.notches) {
            if (n.on != was.role) continue;
            const auto near = nearest(was.curve, n.at);
            if (near.off < 0.1) n.at += shift.at(along + length_to(was.curve, near.time)).by;
        }
        along += length(was.curve);
    }
    settle_notches(out);
    settle_darts(out);
    return out;
}

std::optional<Length> along_to_level(const Piece& piece, std::size_t first, std::size_t last, double level)
{
    Length along;
    for (std::size_t i = first; i <= last; ++i) {
        const Edge& e = piece.edges[i];
        if (e.role == EdgeRole::DartMouth) continue;
        const auto times = times_where(e.curve, Geom::Y, level);
        if (!times.empty()) return along + length_to(e.curve, times.front());
        along += length(e.curve);
    }
    return std::nullopt;
}

}  // namespace sartorum
