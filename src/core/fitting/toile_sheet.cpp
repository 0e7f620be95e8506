#include "core/fitting/toile_sheet.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"
#include "core/pattern/part_rules.h"
#include "core/plan/cut_out.h"

namespace sartorum {
namespace {

constexpr double hardly_a_line = 10;  // mm: shorter is drawn by nobody
constexpr double just_under = 1;

bool is_sleeve(const Piece& p)
{
    return p.role == PieceRole::Sleeve;
}

// Where the lines are measured from: the upper end of the centre line, or a sleeve's top notch.
double upper_end(const Piece& p)
{
    if (is_sleeve(p)) return bounds(p)[Geom::Y].max();
    double out = -1e9;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Centre) continue;
        out = std::max({out, e.curve.initialPoint()[Geom::Y], e.curve.finalPoint()[Geom::Y]});
    }
    if (const auto whole = guide(p, GuideKind::Centre))
        out = std::max({out, whole->a[Geom::Y], whole->b[Geom::Y]});
    return out > -1e8 ? out : bounds(p)[Geom::Y].max();
}

// From edge to edge, whichever they are.
std::optional<LineToDraw> level(const Piece& p, ToileLine what, double y)
{
    double from = 1e9;
    double to = -1e9;
    for (const auto& e : p.edges) {
        for (const double t : times_where(e.curve, Geom::Y, y)) {
            const double x = e.curve.pointAt(t)[Geom::X];
            from = std::min(from, x);
            to = std::max(to, x);
        }
    }
    if (to - from < hardly_a_line) return std::nullopt;
    return LineToDraw{what, {from, y}, {to, y}, Length::mm(upper_end(p) - y)};
}

std::optional<double> at_guide(const Piece& p, GuideKind kind)
{
    const auto g = guide(p, kind);
    return g ? std::optional{(g->a[Geom::Y] + g->b[Geom::Y]) / 2} : std::nullopt;
}

std::optional<double> level_of(const Piece& p, ToileLine what)
{
    switch (what) {
        case ToileLine::Across: {
            if (const auto drawn = at_guide(p, GuideKind::Across)) return drawn;
            if (!edge_index(p, EdgeRole::Armhole) || !edge_index(p, EdgeRole::Shoulder)) return std::nullopt;
            const Edge& armhole = edge(p, EdgeRole::Armhole);
            return (armhole.curve.initialPoint()[Geom::Y] + armhole.curve.finalPoint()[Geom::Y]) / 2;
        }
        case ToileLine::Bust: {
            if (const auto drawn = at_guide(p, GuideKind::Bust)) return drawn;
            return p.bust_point ? std::optional{(*p.bust_point)[Geom::Y]} : std::nullopt;
        }
        case ToileLine::Waist: return at_guide(p, GuideKind::Waist);
        case ToileLine::Hip: return at_guide(p, GuideKind::Hip);
        case ToileLine::Crotch: return at_guide(p, GuideKind::Crotch);
        case ToileLine::Knee: return at_guide(p, GuideKind::Knee);
        case ToileLine::Bicep: {
            if (const auto drawn = at_guide(p, GuideKind::Bicep)) return drawn;
            if (!edge_index(p, EdgeRole::CapFront)) return std::nullopt;
            const Curve& cap = edge(p, EdgeRole::CapFront).curve;
            return std::min(cap.initialPoint()[Geom::Y], cap.finalPoint()[Geom::Y]) - just_under;
        }
        case ToileLine::Elbow: return at_guide(p, GuideKind::Elbow);
        case ToileLine::Centre:
        case ToileLine::SleeveCentre: break;
    }
    return std::nullopt;
}

std::optional<LineToDraw> centre_of(const Piece& p)
{
    if (const auto whole = guide(p, GuideKind::Centre))
        return LineToDraw{ToileLine::Centre, whole->a, whole->b, {}};
    const auto i = edge_index(p, EdgeRole::Centre);
    if (!i || edge_index(p, EdgeRole::InnerLeg)) return std::nullopt;  // of legs it is the crotch seam
    const Curve& c = p.edges[*i].curve;
    return LineToDraw{ToileLine::Centre, c.initialPoint(), c.finalPoint(), {}};
}

// From the crown straight down the grain.
LineToDraw centre_of_sleeve(const Piece& p)
{
    const auto box = bounds(p);
    double x = 0;
    double top = -1e9;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::CapBack) continue;
        for (const Point end :
             {e.curve.initialPoint(), e.curve.finalPoint()}) {  // turned over it runs the other way
            if (end[Geom::Y] <= top) continue;
            top = end[Geom::Y];
            x = end[Geom::X];
        }
    }
    return {ToileLine::SleeveCentre, {x, box[Geom::Y].max()}, {x, box[Geom::Y].min()}, {}};
}

GuideKind as_guide(ToileLine what)
{
    switch (what) {
        case ToileLine::Across: return GuideKind::Across;
        case ToileLine::Bust: return GuideKind::Bust;
        case ToileLine::Waist: return GuideKind::Waist;
        case ToileLine::Hip: return GuideKind::Hip;
        case ToileLine::Crotch: return GuideKind::Crotch;
        case ToileLine::Knee: return GuideKind::Knee;
        case ToileLine::Bicep: return GuideKind::Bicep;
        case ToileLine::Elbow: return GuideKind::Elbow;
        case ToileLine::SleeveCentre: return GuideKind::Crease;
        case ToileLine::Centre: break;
    }
    return GuideKind::Centre;
}

// The waist where the piece ends in it: hangs from it, or stops there.
bool gets_more(const Piece& p, EdgeRole role)
{
    return goes_round(p) && (role == EdgeRole::Shoulder || role == EdgeRole::Side || role == EdgeRole::Waist);
}

bool above_waist(const Piece& p)
{
    return is_sleeve(p) || (goes_round(p) && has_level(p, Level::Shoulder));
}

bool sewn_for(const Piece& p, NextLook look)
{
    if (!is_sleeve(p) && !goes_round(p)) return false;  // bands, facings and pockets wait for good cloth
    switch (look) {
        case NextLook::OneSleeve: return is_sleeve(p);
        case NextLook::Shoulders: return above_waist(p);
        case NextLook::UpperPart: return above_waist(p) && !is_sleeve(p);
        case NextLook::LowerPart: return !above_waist(p);
        case NextLook::Nothing:
        case NextLook::Whole: break;
    }
    return true;
}

}  // namespace

std::vector<LineToDraw> lines_to_draw(const Piece& p)
{
    std::vector<LineToDraw> out;
    if (!is_sleeve(p) && !goes_round(p)) return out;
    if (is_sleeve(p)) out.push_back(centre_of_sleeve(p));
    if (const auto centre = is_sleeve(p) ? std::nullopt : centre_of(p)) out.push_back(*centre);
    for (const auto what : {ToileLine::Across, ToileLine::Bust, ToileLine::Waist, ToileLine::Hip,
                            ToileLine::Crotch, ToileLine::Knee, ToileLine::Bicep, ToileLine::Elbow}) {
        const auto y = level_of(p, what);
        if (!y) continue;
        if (const auto l = level(p, what, *y)) out.push_back(*l);
    }
    return out;
}

std::vector<MoreAllowance> more_allowance(const Piece& p)
{
    std::vector<MoreAllowance> out;
    for (const auto& e : p.edges) {
        const bool told =
            std::any_of(out.begin(), out.end(), [&](const MoreAllowance& m) { return m.at == e.role; });
        if (gets_more(p, e.role) && !told) out.push_back({e.role, e.allowance + toile_allowance_more});
    }
    return out;
}

Piece prepared_for_toile(const Piece& piece)
{
    Piece out = piece;
    const auto more = more_allowance(piece);
    const auto widened = [&](EdgeRole role) {
        return std::any_of(more.begin(), more.end(), [&](const MoreAllowance& m) { return m.at == role; });
    };
    for (std::size_t i = 0; i < out.edges.size(); ++i) {
        Edge& e = out.edges[i];
        // A dart's mouth lies in the edge it interrupts, and is as wide there.
        const EdgeRole role = e.role == EdgeRole::DartMouth && i > 0 ? out.edges[i - 1].role : e.role;
        if (widened(role)) e.allowance += toile_allowance_more;
    }
    for (const auto& l : lines_to_draw(piece)) {
        const auto kind = as_guide(l.what);
        if (l.what == ToileLine::Centre) continue;  // an edge, or drawn already
        std::erase_if(out.guides, [&](const Guide& g) { return g.kind == kind; });
        out.guides.push_back({kind, l.a, l.b});
    }
    return out;
}

std::vector<Piece> toile_pieces(const Computed& c, NextLook look)
{
    std::vector<Piece> out;
    for (const auto& cut : cut_out(c)) {
        if (!sewn_for(cut.piece, look)) continue;
        // One sleeve tells; of two unlike ones each is its own.
        out.push_back(prepared_for_toile(cut.piece));
        if (is_sleeve(cut.piece)) out.back().cut = 1;
    }
    return out;
}

std::vector<NextLook> worth_sewing(const Computed& c, const Gate& gate)
{
    const auto has = [&](auto what) {
        return std::any_of(c.altered.pieces.begin(), c.altered.pieces.end(), what);
    };
    const bool sleeve = has(is_sleeve);
    const bool upper = has([](const Piece& p) { return goes_round(p) && above_waist(p); });
    const bool lower = has([](const Piece& p) { return goes_round(p) && !above_waist(p); });
    std::vector<NextLook> out;
    if (upper) out.push_back(NextLook::Shoulders);
    if (lower) out.push_back(upper ? NextLook::LowerPart : NextLook::Whole);
    if (sleeve) out.push_back(NextLook::OneSleeve);
    if (upper && lower) out.push_back(NextLook::Whole);
    // What changed since the last one comes first.
    NextLook first = gate.never_seen ? out.front() : gate.look;
    if (first == NextLook::UpperPart) first = NextLook::Shoulders;
    if (first == NextLook::LowerPart && !upper) first = NextLook::Whole;
    const auto it = std::find(out.begin(), out.end(), first);
    if (it != out.end()) std::rotate(out.begin(), it, it + 1);
    return out;
}

}  // namespace sartorum
