#include "core/alter/kit/make_up.h"

#include <algorithm>
#include <cmath>

#include "core/alter/kit/follower_drawing.h"
#include "core/alter/kit/size_blend.h"
#include "core/paper/facing.h"

namespace sartorum {
namespace {

constexpr double straight_within = 0.3;  // mm

bool is_straight(const Curve& c)
{
    const Point a = c.initialPoint();
    const Point b = c.finalPoint();
    const Curve line = straight(a, b);
    const auto points = flattened(c, Length::mm(0.05));
    return std::all_of(points.begin(), points.end(),
                       [&](Point p) { return nearest(line, p).off < straight_within; });
}

// Of one edge with that role, and straight: a band.
bool is_band(const Piece& p, EdgeRole role)
{
    const auto at = edge_index(p, role);
    return at && at == edge_index(p, role, true) && is_straight(p.edges[*at].curve);
}

class MakingUp {
public:
    explicit MakingUp(Applied traced) : out_{std::move(traced), {}} {}

    MadeUp with(const MakeUp& wanted)
    {
        for (const auto& id : wanted.left_out) leave_out(id);
        if (wanted.opening) open(*wanted.opening);
        for (const auto& b : wanted.brought) bring(b);
        for (const auto& f : wanted.facings) face(f);
        return std::move(out_);
    }

private:
    std::vector<Piece>& pieces() { return out_.applied.garment.pieces; }
    std::vector<Seam>& seams() { return out_.applied.garment.seams; }
    std::vector<Step>& steps() { return out_.applied.steps; }

    void refused(const std::string& piece, Refusal why) { out_.not_made.push_back({piece, std::move(why)}); }

    void leave_out(const std::string& id)
    {
        const Piece* p = find_piece(pieces(), id);
        if (!p) return;  // it is not there
        if (!may_be_left_out(*p)) return refused(id, {.why = Why::PieceNeeded, .field = id});
        std::erase_if(pieces(), [&](const Piece& x) { return x.id == id; });
        std::erase_if(steps(), [&](const Step& s) { return s.piece == id; });
        for (auto& seam : seams()) {
            for (auto* side : {&seam.a, &seam.b})
                std::erase_if(*side, [&](const SeamSide& s) { return s.piece == id; });
        }
        std::erase_if(seams(), [](const Seam& s) { return s.a.empty() || s.b.empty(); });
    }

    // One edge of a piece that is there; refused where there is none.
    const Piece* sewn_to(const SeamSide& to, const std::string& about)
    {
        const Piece* p = find_piece(pieces(), to.piece);
        if (p && edge_index(*p, to.role)) return p;
        refused(about, {.why = Why::NothingToSewTo, .field = to.piece});
        return nullptr;
    }

    void face(const MadeFacing& f)
    {
        const std::string id = facing_id(f.from);
        const Piece* on = sewn_to(f.from, id);
        if (!on) return;
        if (find_piece(pieces(), id)) return refused(id, {.why = Why::PieceThere, .field = id});
        auto drawn = facing_drawn(*on, f.from.role, f.width);
        if (!drawn) return refused(id, drawn.error());
        drawn->id = id;
        pieces().push_back(std::move(*drawn));
        seams().push_back({id, {f.from}, {{id, f.from.role}}, {}, Follow::Shape});
    }

    void bring(const BroughtPiece& b)
    {
        Piece piece = b.piece;
        if (find_piece(pieces(), piece.id)) return refused(piece.id, {.why = Why::PieceThere, .field = piece.id});
        if (piece.edges.empty()) return refused(b.pattern, {.why = Why::FileUnreadable, .field = b.pattern});
        piece.role = PieceRole::Other;
        piece.part.reset();
        for (const auto& to : b.to) {
            if (!sewn_to(to, piece.id)) return;
        }
        if (b.to.empty() || !edge_index(piece, b.to.front().role))
            return refused(piece.id, {.why = Why::NothingToSewTo, .field = piece.id});
        const EdgeRole role = b.to.front().role;
        Step traced = trace_step(piece, b.size);
        traced.kind = StepKind::TraceBrought;
        traced.from_size = b.pattern;
        steps().push_back(std::move(traced));
        Seam seam{piece.id, b.to, {{piece.id, role}}, {}};
        seam.fullness = b.ratio;
        if (is_band(piece, role)) {
            seam.follow = Follow::Length;
            const Length wanted = side_length(pieces(), b.to) * b.ratio;
            if (const auto ok = follow_length(steps(), piece, role, wanted - sewn_length(piece, role)); !ok)
                refused(piece.id, ok.error());
        }
        pieces().push_back(std::move(piece));
        seams().push_back(std::move(seam));
    }

    void open(const MovedOpening& o)
    {
        std::vector<std::string> changed;
        Length left = o.length;
        for (const auto part : parts_of(pieces())) {
            for (auto& p : pieces()) {
                if (p.part != part || !edge_index(p, EdgeRole::Centre)) continue;
                if (p.role == o.to) {
                    if (left <= Length{} && p.opening <= Length{}) continue;
                    if (left > Length{})
                        open_centre(p, o, left);
                    else  // it ends above this part: what opened there is sewn
                        p.opening = p.overlap = p.button_gap = {};
                    changed.push_back(p.id);
                } else if ((p.role == PieceRole::Front || p.role == PieceRole::Back) && p.opening > Length{}) {
                    close_centre(p);
                    changed.push_back(p.id);
                }
            }
        }
        if (changed.empty())
            return refused(the_opening, {.why = Why::NothingThatOpens, .field = std::string{key(o.to)}});
        for (const auto& seam : seams()) redraw_facing(seam, changed);
        for (auto& seam : seams()) {
            part_band(seam, changed, o.overlap);
            part_shaped_band(seam, changed, o.overlap);
        }
    }

    void open_centre(Piece& p, const MovedOpening& o, Length& left)
    {
        const Piece before = p;
        const std::size_t at = *edge_index(p, EdgeRole::Centre);
        const std::size_t n = p.edges.size();
        const Length sewn = std::max(
            {p.edges[at].allowance, p.edges[(at + 1) % n].allowance, p.edges[(at + n - 1) % n].allowance});
        const Length whole = length(p.edges[at].curve);
        p.edges[at].on_fold = false;
        // What it had past the centre before is no allowance for sewing.
        p.edges[at].allowance =
            o.overlap + (before.edges[at].on_fold ? sewn : before.edges[at].allowance - before.overlap);
        p.cut = std::max(2, p.cut);
        p.opening = left >= whole ? piece_most : left;
        p.overlap = o.overlap;
        p.button_gap = o.button_gap;
        left = left >= piece_most ? left : left - std::min(left, whole);
        steps().push_back(redrawn_step(before, p, StepKind::OpenCentre, o.overlap, std::min(p.opening, whole)));
    }

    // On the fold where it is straight along the grain.
    void close_centre(Piece& p)
    {
        const Piece before = p;
        Edge& centre = p.edges[*edge_index(p, EdgeRole::Centre)];
        const Point a = centre.curve.initialPoint();
        const Point b = centre.curve.finalPoint();
        const bool folds = is_straight(centre.curve) && std::abs(a[Geom::X] - b[Geom::X]) < straight_within;
        p.opening = p.overlap = p.button_gap = {};
        if (folds) {
            centre.on_fold = true;
            centre.allowance = {};
            p.cut = 1;
        }
        steps().push_back(redrawn_step(before, p, folds ? StepKind::FoldCentre : StepKind::SewCentre));
    }

    // A band along edges of these, on the fold at one end: its fold lies at the other centre, its ends where it
    // opens.
    void part_band(Seam& seam, const std::vector<std::string>& changed, Length overlap)
    {
        if (seam.follow != Follow::Length || seam.a.size() < 2 || seam.b.size() != 1) return;
        const auto is_changed = [&](const SeamSide& s) {
            return std::find(changed.begin(), changed.end(), s.piece) != changed.end();
        };
        const auto band = std::find_if(pieces().begin(), pieces().end(),
                                       [&](const Piece& p) { return p.id == seam.b.front().piece; });
        if (band == pieces().end() || !std::all_of(seam.a.begin(), seam.a.end(), is_changed)) return;
        const auto at = edge_index(*band, seam.b.front().role);
        const std::size_t n = band->edges.size();
        Edge& one = band->edges[(*at + n - 1) % n];
        Edge& other = band->edges[(*at + 1) % n];
        if (one.on_fold == other.on_fold) return;
        const Piece before = *band;
        const Curve& sewn = band->edges[*at].curve;
        for (auto& notch : band->notches) {
            if (notch.on != seam.b.front().role) continue;
            const Length along = length_to(sewn, nearest(sewn, notch.at).time);
            notch.at = sewn.pointAt(time_at(sewn, length(sewn) - along));
        }
        (one.on_fold ? other : one).allowance += overlap;
        std::reverse(seam.a.begin(), seam.a.end());
        steps().push_back(redrawn_step(before, *band, StepKind::PartBand, overlap));
    }

    // The same where it is shaped: each end is its own face's, so fold and what lies past the centre change ends.
    void part_shaped_band(const Seam& seam, const std::vector<std::string>& changed, Length overlap)
    {
        if (seam.follow != Follow::Above || seam.a.size() != 2) return;
        const auto band = std::find_if(pieces().begin(), pieces().end(),
                                       [&](const Piece& p) { return p.id == seam.b.front().piece; });
        std::vector<StandsOn> edges;
        for (const auto& s : seam.a) {
            const Piece* on = find_piece(pieces(), s.piece);
            if (on && std::find(changed.begin(), changed.end(), s.piece) != changed.end())
                edges.push_back({on, on, s.role});
        }
        const EdgeRole role = seam.b.front().role;
        const auto folds = [](const Edge& e) { return e.on_fold; };
        if (band == pieces().end() || edges.size() != 2 || !is_shaped_from(*band, role, edges) ||
            std::count_if(band->edges.begin(), band->edges.end(), folds) != 1)
            return;
        auto drawn = shaped_band_drawn(ends_changed(*band, role, overlap), role, edges);
        if (!drawn) return refused(band->id, drawn.error());
        steps().push_back(
            redrawn_step(*band, *drawn, StepKind::DrawShapedBand, facing_width(*drawn, role).value_or(Length{})));
        *band = std::move(*drawn);
    }

    // As it is named round its sewn edge, not as it lies: to be drawn by.
    static Piece ends_changed(Piece band, EdgeRole role, Length overlap)
    {
        std::rotate(band.edges.begin(), band.edges.begin() + static_cast<std::ptrdiff_t>(*edge_index(band, role)),
                    band.edges.end());
        std::reverse(band.edges.begin() + 1, band.edges.end());
        const std::size_t n = band.edges.size();
        Edge& one = band.edges[band.edges[1].role == EdgeRole::Underlap ? 2 : 1];
        Edge& other = band.edges[band.edges[n - 1].role == EdgeRole::Underlap ? n - 2 : n - 1];
        (one.on_fold ? other : one).allowance += overlap;
        return band;
    }

    // What lies under an edge of these opens and folds as they do.
    void redraw_facing(const Seam& seam, const std::vector<std::string>& changed)
    {
        if (seam.follow != Follow::Shape || seam.a.size() != 1 || seam.b.size() != 1) return;
        if (std::find(changed.begin(), changed.end(), seam.a.front().piece) == changed.end()) return;
        const auto facing = std::find_if(pieces().begin(), pieces().end(),
                                         [&](const Piece& p) { return p.id == seam.b.front().piece; });
        const Piece* on = find_piece(pieces(), seam.a.front().piece);
        const auto width = facing == pieces().end() ? std::nullopt : facing_width(*facing, seam.b.front().role);
        if (!width) return;
        const auto drawn = facing_drawn(*on, seam.a.front().role, *width);
        if (!drawn) return;
        // Round it from the edge it is sewn by; its ends stand on both sides of that.
        const std::size_t n = facing->edges.size();
        const std::size_t first = *edge_index(*facing, seam.b.front().role);
        for (const std::size_t i : {std::size_t{1}, n - 1}) {
            const Edge& end = drawn->edges[i == 1 ? 1 : drawn->edges.size() - 1];
            facing->edges[(first + i) % n].on_fold = end.on_fold;
            facing->edges[(first + i) % n].allowance = end.allowance;
        }
        facing->cut = on->cut;
        for (auto& s : steps()) {
            if (s.piece == facing->id && !s.picture.panels.empty()) s.picture.panels = {*facing};
        }
    }

    MadeUp out_;
};

}  // namespace

std::string facing_id(const SeamSide& from)
{
    return std::string{key(from.role)} + "-facing-" + from.piece;
}

std::optional<SeamSide> facing_made_from(const std::string& id)
{
    const std::string between = "-facing-";
    const auto at = id.find(between);
    const auto role = at == std::string::npos ? std::nullopt : edge_role_of(id.substr(0, at));
    return role ? std::optional{SeamSide{id.substr(at + between.size()), *role}} : std::nullopt;
}

Piece sewn_by(Piece p, std::size_t at, EdgeRole role)
{
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        const EdgeRole was = p.edges[i].role;
        if (i == at)
            p.edges[i].role = role;
        else if (was != EdgeRole::DartMouth)
            p.edges[i].role = EdgeRole::Plain;
    }
    for (auto& n : p.notches) {
        const bool there = nearest(p.edges[at].curve, n.at).off < mark_within.in_mm();
        n.on = there ? role : EdgeRole::Plain;
    }
    return p;
}

bool MakeUp::empty() const
{
    return left_out.empty() && facings.empty() && brought.empty() && !opening;
}

bool may_be_left_out(const Piece& p)
{
    return p.role != PieceRole::Front && p.role != PieceRole::Back;
}

std::vector<SeamSide> edges_to_sew_to(const std::vector<Piece>& pieces)
{
    std::vector<SeamSide> out;
    for (const auto& p : pieces) {
        for (const auto& e : p.edges) {
            const bool named =
                e.role != EdgeRole::DartMouth && e.role != EdgeRole::Cut && e.role != EdgeRole::Plain;
            const SeamSide side{p.id, e.role};
            if (named && std::find(out.begin(), out.end(), side) == out.end()) out.push_back(side);
        }
    }
    return out;
}

MakeUp taken_out(MakeUp made, const std::string& piece)
{
    std::erase(made.left_out, piece);
    std::erase_if(made.facings, [&](const MadeFacing& f) { return facing_id(f.from) == piece; });
    std::erase_if(made.brought, [&](const BroughtPiece& b) { return b.piece.id == piece; });
    if (piece == the_opening) made.opening.reset();
    return made;
}

MadeUp made_up(Applied traced, const MakeUp& wanted)
{
    return MakingUp{std::move(traced)}.with(wanted);
}

}  // namespace sartorum
