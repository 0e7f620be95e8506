#include "core/paper/shaped_band.h"

#include <algorithm>

#include "core/paper/facing.h"
#include "core/paper/facing_parts.h"
#include "core/paper/pieces_alike.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

using Faces = std::vector<const Piece*>;

Faces faces_of(const std::vector<StandsOn>& on, const Piece* StandsOn::*when)
{
    Faces out;
    for (const auto& o : on) out.push_back(o.*when);
    return out;
}

EdgeRole role_of(const std::vector<StandsOn>& on)
{
    return on.empty() ? EdgeRole::Waist : on.front().role;
}

// From the first face's centre to its side, and on to the other's centre.
Curve line_along(const Faces& faces, EdgeRole role)
{
    constexpr auto past = facing::OverDart::Past;
    Curve out = facing::shut_along(*faces.front(), role, past).sewn.curve;
    if (faces.size() == 1) return out;
    Curve next = reversed(facing::shut_along(*faces.back(), role, past).sewn.curve * Geom::Scale(-1, 1));
    const Point from = next.initialPoint();
    const Point to = out.finalPoint();
    next *= rigid(from, from + start_direction(next), to, to + end_direction(out));
    next.setInitial(out.finalPoint());
    return joined(out, next);
}

// How the band lies round its sewn edge: in the way of the paper, the neighbours of it.
struct Ends {
    std::size_t sewn;
    std::size_t before;  // at its start
    std::size_t after;
    bool first_after;  // the first face's centre lies at the end of the edge, as a straight band's fold does
    std::size_t count;
};

Ends ends_of(const Piece& band, EdgeRole role, std::size_t faces)
{
    const std::size_t n = band.edges.size();
    const std::size_t at = *edge_index(band, role);
    Ends out{at, (at + n - 1) % n, (at + 1) % n, true, n};
    const auto at_centre = [&](std::size_t i) {
        return band.edges[i].on_fold || band.edges[i].role == EdgeRole::Underlap ||
               band.edges[i].role == EdgeRole::Centre;
    };
    out.first_after = faces > 1 || at_centre(out.after) || !at_centre(out.before);
    return out;
}

Length past(const Piece& band, std::size_t end)
{
    return band.edges[end].role == EdgeRole::Underlap ? length(band.edges[end].curve) : Length{};
}

// In the way of the paper: the sewn edge from its start, at which the line may end or begin.
Curve as_it_travels(const Curve& line, const Ends& ends)
{
    return ends.first_after ? reversed(line) : line * Geom::Scale(-1, 1);
}

Curve with_what_is_past(const Curve& sewn, Length before, Length after)
{
    Curve out = sewn;
    if (before > Length{}) {
        const Point from = out.initialPoint();
        out = joined(straight(from - start_direction(out) * before.in_mm(), from), out);
    }
    if (after > Length{}) {
        const Point from = out.finalPoint();
        out = joined(out, straight(from, from + end_direction(out) * after.in_mm()));
    }
    return out;
}

// A strip with square ends.
Outcome<Piece> strip(const Curve& sewn, Length width, const Piece& like)
{
    const double far = 2 * width.in_mm();
    const Point from = sewn.initialPoint();
    const Point to = sewn.finalPoint();
    const Point in_before = -Geom::rot90(start_direction(sewn)) * far;
    const Point in_after = -Geom::rot90(end_direction(sewn)) * far;
    return facing::drawn_inside({{EdgeRole::Plain, sewn, {}},
                                 {EdgeRole::Plain, straight(from + in_before, from), {}},
                                 {EdgeRole::Plain, straight(to, to + in_after), {}},
                                 {}},
                                width, like);
}

// Its four edges take the names the band's have, what lies past the centre apart from what is sewn.
void name_edges(Piece& drawn, const Piece& band, const Ends& ends, const Curve& sewn)
{
    const auto as = [&](std::size_t from, const Curve& curve) {
        Edge e = band.edges[from % ends.count];
        e.curve = curve;
        e.gathered = {};
        return e;
    };
    const bool before = past(band, ends.before) > Length{};
    const bool after = past(band, ends.after) > Length{};
    const std::size_t end_after = ends.after + (after ? 1 : 0);
    const std::size_t end_before = ends.before + ends.count - (before ? 1 : 0);
    std::vector<Edge> out;
    const Curve& whole = drawn.edges[0].curve;
    out.push_back(as(ends.sewn, sewn));
    if (after) out.push_back(as(ends.after, straight(sewn.finalPoint(), whole.finalPoint())));
    out.push_back(as(end_after, drawn.edges[1].curve));
    out.push_back(as(end_after + 1, drawn.edges[2].curve));
    out.push_back(as(end_before, drawn.edges[3].curve));
    if (before) out.push_back(as(ends.before, straight(whole.initialPoint(), sewn.initialPoint())));
    drawn.edges = std::move(out);
}

// Along the line from the first face's centre: where each face ends.
std::vector<Length> stations(const Faces& faces, EdgeRole role)
{
    std::vector<Length> out{{}};
    for (const auto* p : faces) out.push_back(out.back() + sewn_length(*p, role));
    return out;
}

Length carried_over(Length at, const std::vector<Length>& was, const std::vector<Length>& now)
{
    std::size_t i = 1;
    while (i + 1 < was.size() && at > was[i]) ++i;
    const Length of = was[i] - was[i - 1];
    return of > Length{} ? now[i - 1] + (at - was[i - 1]) * ((now[i] - now[i - 1]) / of) : now[i - 1];
}

void keep_notches(Piece& drawn, const Piece& band, EdgeRole role, const Ends& ends,
                  const std::vector<StandsOn>& on)
{
    const Curve& was = band.edges[ends.sewn].curve;
    const Curve& now = edge(drawn, role).curve;
    const auto from = stations(faces_of(on, &StandsOn::was), role_of(on));
    const auto to = stations(faces_of(on, &StandsOn::now), role_of(on));
    drawn.notches.clear();
    for (auto notch : band.notches) {
        if (notch.on == role) {
            const Length along = length_to(was, nearest(was, notch.at).time);
            const Length moved = carried_over(ends.first_after ? length(was) - along : along, from, to);
            const Length place = ends.first_after ? length(now) - moved : moved;
            notch.at = now.pointAt(time_at(now, std::clamp(place, Length{}, length(now))));
        } else if (const auto there = edge_index(drawn, notch.on)) {
            const Curve& line = edge(band, notch.on).curve;
            const double share = length_to(line, nearest(line, notch.at).time) / length(line);
            const Curve& as_drawn = drawn.edges[*there].curve;
            notch.at = as_drawn.pointAt(time_at(as_drawn, length(as_drawn) * share));
        } else {
            continue;
        }
        drawn.notches.push_back(notch);
    }
}

// Laid where the band lies: the first face's end on its own, the other in its direction.
Geom::Affine laid_on(const Curve& sewn, const Curve& was, bool first_after)
{
    return first_after ? rigid(sewn.finalPoint(), sewn.initialPoint(), was.finalPoint(), was.initialPoint())
                       : rigid(sewn.initialPoint(), sewn.finalPoint(), was.initialPoint(), was.finalPoint());
}

Outcome<Piece> drawn_from(const Piece& band, EdgeRole role, const Faces& faces, EdgeRole on)
{
    const auto width = facing_width(band, role);
    const bool there =
        std::all_of(faces.begin(), faces.end(), [&](const Piece* p) { return edge_index(*p, on).has_value(); });
    if (!width || !there || faces.empty() || faces.size() > 2) return refuse(Why::EdgeMissing, band.id);
    const Ends ends = ends_of(band, role, faces.size());
    Curve sewn = as_it_travels(line_along(faces, on), ends);
    sewn *= laid_on(sewn, band.edges[ends.sewn].curve, ends.first_after);
    const Curve whole = with_what_is_past(sewn, past(band, ends.before), past(band, ends.after));
    auto drawn = strip(whole, *width, band);
    if (!drawn) return drawn;
    Piece out = band;
    out.edges = drawn->edges;
    name_edges(out, band, ends, sewn);
    return out;
}

}  // namespace

Outcome<Piece> shaped_band_drawn(const Piece& band, EdgeRole role, const std::vector<StandsOn>& on)
{
    auto out = drawn_from(band, role, faces_of(on, &StandsOn::now), role_of(on));
    if (!out) return out;
    const Ends ends = ends_of(band, role, on.size());
    keep_notches(*out, band, role, ends, on);
    const auto middle = [&](const Piece& p) { return bounds(p).midpoint(); };
    for (auto& g : out->guides) {
        g.a += middle(*out) - middle(band);
        g.b += middle(*out) - middle(band);
    }
    return out;
}

bool is_shaped_from(const Piece& band, EdgeRole role, const std::vector<StandsOn>& on)
{
    const auto drawn = drawn_from(band, role, faces_of(on, &StandsOn::was), role_of(on));
    return drawn && !outlines_differ(*drawn, band, band_strays_most);
}

}  // namespace sartorum
