#include "core/check/seam_run.h"

#include <algorithm>

#include "core/pattern/dart.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

Point tangent_at(const Curve& c, double time)
{
    const double end = static_cast<double>(c.size_default());
    const double t = std::clamp(time, 0.0, end);
    if (t >= end - 1e-9) return end_direction(c);
    if (t <= 1e-9) return start_direction(c);
    const auto parts = split(c, t);
    return start_direction(parts.after);
}

// Takes the place and direction on one line to those on another.
Geom::Affine onto(Point from, Point from_direction, Point to, Point to_direction)
{
    return Geom::Translate(-from) * Geom::Rotate{Geom::angle_between(from_direction, to_direction)} *
           Geom::Translate(to);
}

}  // namespace

Garment with_panels(Garment g)
{
    const auto front = std::find_if(g.pieces.begin(), g.pieces.end(), [](const Piece& p) { return p.princess; });
    if (front == g.pieces.end()) return g;
    auto [centre, side] = princess_panels(*front);
    g.seams.push_back({"princess", {{centre.id, EdgeRole::Princess}}, {{side.id, EdgeRole::Princess}}, {}});
    g.pieces.push_back(std::move(centre));
    g.pieces.push_back(std::move(side));
    return g;
}

bool walked_backwards(const Piece& piece, EdgeRole role)
{
    return role == EdgeRole::Inner || role == EdgeRole::Armhole || role == EdgeRole::CapFront ||
           role == EdgeRole::UnderarmBack || (role == EdgeRole::Princess && edge_index(piece, EdgeRole::Centre)) ||
           (piece.role == PieceRole::Waistband && role == EdgeRole::Waist);
}

std::vector<RunNotch> run_notches(const Piece& piece, EdgeRole role)
{
    std::vector<RunNotch> out;
    const Length whole = sewn_length(piece, role);
    // Gathers lie evenly over their edge.
    const auto drawn_in = [](const Edge& e) { return 1 - e.gathered / length(e.curve); };
    const bool backwards = walked_backwards(piece, role);
    Length along;
    for (const auto& e : piece.edges) {
        if (e.role != role) continue;
        for (const auto& n : piece.notches) {
            if (n.on != role) continue;
            const auto near = nearest(e.curve, n.at);
            if (near.off > 0.1 || !near.inside) continue;
            const Length here = along + length_to(e.curve, near.time) * drawn_in(e);
            out.push_back({backwards ? whole - here : here, n.count});
        }
        along += length(e.curve) - e.gathered;
    }
    std::sort(out.begin(), out.end(), [](const RunNotch& x, const RunNotch& y) { return x.along < y.along; });
    return out;
}

SeamRun seam_run(const Garment& g, const std::vector<SeamSide>& sides)
{
    SeamRun out;
    Length before;
    for (const auto& s : sides) {
        const Piece* piece = find_piece(g.pieces, s.piece);
        if (!piece || !edge_index(*piece, s.role)) continue;
        const bool backwards = walked_backwards(*piece, s.role);
        const Curve sewn = closed_run(*piece, s.role);
        const Curve line = backwards ? reversed(sewn) : sewn;
        for (const auto& n : run_notches(*piece, s.role)) out.notches.push_back({before + n.along, n.count});
        Geom::Affine laid = Geom::identity();
        if (out.pieces.empty()) {
            out.line = line;
            out.paper_on_right = !backwards;
        } else {
            laid =
                onto(line.initialPoint(), start_direction(line), out.line.finalPoint(), end_direction(out.line));
            out.line = joined(out.line, line * laid);
        }
        out.pieces.push_back({s.piece, laid});
        before += length(line);
    }
    return out;
}

Geom::Affine rolled(const SeamRun& a, const SeamRun& b, Length along)
{
    // Edge against edge: the paper of b must lie on the other side of the line.
    const Geom::Affine turned =
        a.paper_on_right == b.paper_on_right ? Geom::Affine{Geom::Scale(-1, 1)} : Geom::identity();
    const Curve line = b.line * turned;
    const double ta = time_at(a.line, std::min(along, length(a.line)));
    const double tb = time_at(line, std::min(along, length(line)));
    return turned * onto(line.pointAt(tb), tangent_at(line, tb), a.line.pointAt(ta), tangent_at(a.line, ta));
}

std::vector<Stretch> stretches(const SeamRun& a, const SeamRun& b)
{
    std::vector<Stretch> out;
    Length a_from;
    Length b_from;
    const auto until = [&](Length a_to, Length b_to) {
        out.push_back({a_from, a_to, b_from, b_to});
        a_from = a_to;
        b_from = b_to;
    };
    if (a.notches.size() == b.notches.size()) {
        for (std::size_t i = 0; i < a.notches.size(); ++i) until(a.notches[i].along, b.notches[i].along);
    }
    until(length(a.line), length(b.line));
    return out;
}

}  // namespace sartorum
