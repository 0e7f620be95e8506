#include <algorithm>
#include <cmath>
#include <limits>
#include <span>
#include <utility>

#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/piece.h"
#include "core/pattern/princess.h"

// Whether a piece is one, and brought into the frame every piece lies in.
namespace sartorum {
namespace {

constexpr std::array sleeve_runs{EdgeRun{EdgeRole::CapBack}, EdgeRun{EdgeRole::CapFront},
                                 EdgeRun{EdgeRole::UnderarmFront}, EdgeRun{EdgeRole::Hem},
                                 EdgeRun{EdgeRole::UnderarmBack}};
constexpr std::array band_runs{EdgeRun{EdgeRole::Waist}};
constexpr std::array sleeve_guides{GuideKind::Bicep};

// What a piece must have: its runs in travel, darts may part every one but the last; and its lines.
struct Skeleton {
    std::span<const EdgeRun> runs;
    std::span<const GuideKind> guides;
};

Skeleton skeleton_of(const Piece& piece)
{
    if (piece.role == PieceRole::Sleeve) return {sleeve_runs, sleeve_guides};
    if (piece.role == PieceRole::Waistband) return {band_runs, {}};
    return {rules(*piece.part).runs, rules(*piece.part).guides};
}

// Turned to start after the last run; then each run in its place, dart mouths only inside a run.
bool in_order(Piece& piece)
{
    const auto runs = skeleton_of(piece).runs;
    const auto last = std::find_if(piece.edges.begin(), piece.edges.end(), [&](const Edge& e) {
        return e.role == runs.back().role || e.role == runs.back().or_else;
    });
    if (last == piece.edges.end()) return false;
    std::rotate(piece.edges.begin(), last + 1, piece.edges.end());
    std::size_t i = 0;
    const std::size_t n = piece.edges.size();
    for (const auto& run : runs) {
        if (i >= n) return false;
        const EdgeRole role = piece.edges[i].role;
        if (role != run.role && role != run.or_else) return false;
        ++i;
        while (i + 1 < n && piece.edges[i].role == EdgeRole::DartMouth && piece.edges[i + 1].role == role) i += 2;
    }
    return i == n;
}

// However it was drawn on its sheet: clockwise, the centre line to the left of the side seam, and the centre waist
// (for a band, its lower left corner) at the origin, so that sizes lie over each other and widths grow towards +x.
Piece into_frame(Piece piece)
{
    const bool sleeve = piece.role == PieceRole::Sleeve;
    const auto either = [&](EdgeRole role, EdgeRole of_gore) {
        const auto at = edge_index(piece, role);
        return at ? at : edge_index(piece, of_gore);
    };
    const auto centre = sleeve ? edge_index(piece, EdgeRole::CapBack) : either(EdgeRole::Centre, EdgeRole::Inner);
    const auto side = sleeve ? edge_index(piece, EdgeRole::CapFront) : either(EdgeRole::Side, EdgeRole::Outer);
    const auto far = side ? side : edge_index(piece, EdgeRole::BandEnd);
    if (centre && far) {
        const double at = piece.edges[*centre].curve.boundsFast()->midpoint()[Geom::X];
        if (piece.edges[*far].curve.boundsFast()->midpoint()[Geom::X] < at)
            piece = moved(piece, Geom::Scale(-1, 1));
    }
    if (signed_area_mm2(piece) > 0) {
        std::reverse(piece.edges.begin(), piece.edges.end());
        for (auto& e : piece.edges) e.curve = reversed(e.curve);
        std::reverse(piece.darts.begin(), piece.darts.end());
        for (auto& d : piece.darts) std::swap(d.leg_a, d.leg_b);
    }
    const Point origin = side && centre ? piece.edges[*centre].curve.finalPoint() : bounds(piece).min();
    return moved(piece, Geom::Translate(-origin));
}

// As many darts as mouths, each put in its mouth's place in travel; its legs end where the mouth does.
bool darts_at_mouths(Piece& piece)
{
    std::vector<Dart> left = std::exchange(piece.darts, {});
    for (const auto& e : piece.edges) {
        if (e.role != EdgeRole::DartMouth) continue;
        if (left.empty()) return false;
        const auto off = [&](const Dart& d) {
            return Geom::distance(d.leg_a, e.curve.initialPoint()) + Geom::distance(d.leg_b, e.curve.finalPoint());
        };
        const auto nearest = std::min_element(left.begin(), left.end(),
                                              [&](const Dart& a, const Dart& b) { return off(a) < off(b); });
        if (off(*nearest) > 2 * mark_within.in_mm()) return false;
        piece.darts.push_back(*nearest);
        left.erase(nearest);
    }
    settle_darts(piece);
    return left.empty();
}

// Two openings meet at the bust point (princess.h).
bool seam_in_place(const Piece& piece)
{
    const auto mouths = piece.role == PieceRole::Front ? princess_mouths(piece) : std::nullopt;
    if (!mouths) return false;
    const auto meets = [&](std::size_t mouth) {
        constexpr double at_point = 1;
        constexpr double least_leg = 20;  // a seam has a length
        const Dart& d = piece.darts[dart_at(piece, mouth)];
        return Geom::distance(d.tip, *piece.bust_point) < at_point &&
               std::min(Geom::distance(d.leg_a, d.tip), Geom::distance(d.leg_b, d.tip)) > least_leg;
    };
    return meets(mouths->upper) && meets(mouths->lower);
}

bool finite(const Piece& piece)
{
    return std::all_of(piece.edges.begin(), piece.edges.end(), [](const Edge& e) {
        const auto p = all_controls(e.curve);
        return std::all_of(p.begin(), p.end(), [](Point at) { return at.isFinite(); });
    });
}

// Neither larger than any sheet nor too small to cut out, and no edge shorter than a hand can draw.
Outcome<bool> of_a_size(const Piece& piece)
{
    if (!finite(piece)) return refuse_amount(Why::PieceTooLarge, piece.id, {}, {}, piece_most);
    const auto box = bounds(piece);
    const Length large = Length::mm(std::max(box.width(), box.height()));
    const Length small = Length::mm(std::min(box.width(), box.height()));
    if (large > piece_most) return refuse_amount(Why::PieceTooLarge, piece.id, large, {}, piece_most);
    if (small < piece_least) return refuse_amount(Why::PieceTooSmall, piece.id, small, piece_least, {});
    for (const auto& e : piece.edges) {
        if (length(e.curve) < edge_least)
            return refuse(Why::OutlineEmpty, piece.id + ": " + std::string{key(e.role)});
    }
    return true;
}

double off_edges(const Piece& piece, const Notch& notch)
{
    double best = std::numeric_limits<double>::max();
    for (const auto& e : piece.edges) {
        if (e.role == notch.on && notch.at.isFinite()) best = std::min(best, nearest(e.curve, notch.at).off);
    }
    return best;
}

// Notches on their edges; darts, lines and the bust point on the paper.
Outcome<bool> marks_in_place(const Piece& piece)
{
    for (const auto& n : piece.notches) {
        if (off_edges(piece, n) > mark_within.in_mm()) {
            return refuse_amount(Why::MarkOffEdge, piece.id + ": " + std::string{key(n.on)}, {}, {}, mark_within);
        }
    }
    auto paper = bounds(piece);
    paper.expandBy(mark_within.in_mm());
    const auto on_paper = [&](Point at) { return at.isFinite() && paper.contains(at); };
    if (piece.bust_point && !on_paper(*piece.bust_point))
        return refuse(Why::MarkMissing, piece.id + ": bust-point");
    for (const auto& d : piece.darts) {
        const double deep = Geom::distance(d.tip, (d.leg_a + d.leg_b) / 2);
        if (!on_paper(d.tip) || deep < 1 || Geom::distance(d.leg_a, d.leg_b) < edge_least.in_mm())
            return refuse(Why::MarkMissing, piece.id + ": " + std::string{key(d.kind)});
    }
    // A line may be drawn on over the edges.
    paper.expandBy(0.25 * std::max(paper.width(), paper.height()));
    for (const auto& g : piece.guides) {
        if (!on_paper(g.a) || !on_paper(g.b) || Geom::distance(g.a, g.b) < line_least.in_mm())
            return refuse(Why::MarkMissing, piece.id + ": " + std::string{key(g.kind)});
    }
    return true;
}

// What every piece of this kind must have: edges and guides.
Outcome<bool> complete(const Piece& piece)
{
    const auto skeleton = skeleton_of(piece);
    for (const auto& run : skeleton.runs) {
        if (!edge_index(piece, run.role) && !(run.or_else && edge_index(piece, *run.or_else)))
            return refuse(Why::EdgeMissing, piece.id + ": " + std::string{key(run.role)});
    }
    for (const auto kind : skeleton.guides) {
        if (!guide(piece, kind)) return refuse(Why::MarkMissing, piece.id + ": " + std::string{key(kind)});
    }
    return true;
}

// Of trousers the hip line lies above the inner leg point, with room to cut between, and the knee below it.
Outcome<bool> levels_in_order(const Piece& piece)
{
    const auto inner = edge_index(piece, EdgeRole::InnerLeg);
    if (!inner) return true;
    constexpr double room = 15;
    const double crotch = piece.edges[*inner].curve.finalPoint()[Geom::Y];
    const auto off = [&](GuideKind kind) {
        return refuse(Why::MarkMissing, piece.id + ": " + std::string{key(kind)});
    };
    if (guide(piece, GuideKind::Hip)->a[Geom::Y] < crotch + room) return off(GuideKind::Hip);
    const auto knee = guide(piece, GuideKind::Knee);
    if (knee && knee->a[Geom::Y] > crotch - room) return off(GuideKind::Knee);
    return true;
}

}  // namespace

Outcome<Piece> check_piece(Piece piece)
{
    if (piece.edges.size() < 3) return refuse(Why::OutlineEmpty, piece.id);
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        const auto& here = piece.edges[i];
        auto& next = piece.edges[(i + 1) % piece.edges.size()];
        if (here.curve.size_default() == 0) return refuse(Why::OutlineEmpty, piece.id);
        // Only a waist is gathered, and never to less than a fifth.
        const bool drawn_in = here.gathered > Length{};
        if (drawn_in && (here.role != EdgeRole::Waist || here.gathered > length(here.curve) * most_gathered))
            return refuse(Why::NumberBroken, piece.id + ": data-gathered");
        const double gap = Geom::distance(here.curve.finalPoint(), next.curve.initialPoint());
        if (gap > closed_within.in_mm()) return refuse(Why::OutlineNotClosed, piece.id);
        if (gap > 0) {  // a drawing program's rounding: the next edge starts where this one ends
            auto p = all_controls(next.curve);
            p[0] = here.curve.finalPoint();
            next.curve = from_controls(p);
        }
    }
    if (const auto ok = of_a_size(piece); !ok) return tl::make_unexpected(ok.error());
    if (area_mm2(piece) < 1.0) return refuse(Why::OutlineEmpty, piece.id);
    if (piece.princess && piece.role != PieceRole::Front) return refuse(Why::PanelsNotOfAFront, piece.id);
    if (!piece.part) piece.part = part_told(piece);
    piece = into_frame(std::move(piece));
    if (piece.role != PieceRole::Other) {
        if (const auto ok = complete(piece); !ok) return tl::make_unexpected(ok.error());
        if (piece.role != PieceRole::Waistband && !in_order(piece))
            return refuse(Why::EdgeMissing, piece.id + ": order");
        if (const auto ok = levels_in_order(piece); !ok) return tl::make_unexpected(ok.error());
    }
    if (const auto ok = marks_in_place(piece); !ok) return tl::make_unexpected(ok.error());
    if (piece.role == PieceRole::Other) return piece;
    if (!darts_at_mouths(piece)) return refuse(Why::MarkMissing, piece.id + ": dart");
    if (piece.princess && !seam_in_place(piece)) return refuse(Why::MarkMissing, piece.id + ": princess seam");
    return piece;
}

}  // namespace sartorum
