#include "core/pattern/piece.h"

#include <2geom/sbasis-geometric.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <utility>

#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

template <class Role, std::size_t N>
using Keys = std::array<std::pair<Role, std::string_view>, N>;

constexpr Keys<PieceRole, 5> piece_keys{{{PieceRole::Front, "front"},
                                         {PieceRole::Back, "back"},
                                         {PieceRole::Waistband, "waistband"},
                                         {PieceRole::Sleeve, "sleeve"},
                                         {PieceRole::Other, "other"}}};
constexpr Keys<EdgeRole, 18> edge_keys{{{EdgeRole::Centre, "centre"},
                                        {EdgeRole::Neck, "neck"},
                                        {EdgeRole::Shoulder, "shoulder"},
                                        {EdgeRole::Armhole, "armhole"},
                                        {EdgeRole::Waist, "waist"},
                                        {EdgeRole::DartMouth, "dart-mouth"},
                                        {EdgeRole::Side, "side"},
                                        {EdgeRole::Hem, "hem"},
                                        {EdgeRole::BandTop, "band-top"},
                                        {EdgeRole::BandEnd, "band-end"},
                                        {EdgeRole::Underlap, "underlap"},
                                        {EdgeRole::CapBack, "cap-back"},
                                        {EdgeRole::CapFront, "cap-front"},
                                        {EdgeRole::UnderarmFront, "underarm-front"},
                                        {EdgeRole::UnderarmBack, "underarm-back"},
                                        {EdgeRole::Princess, "princess"},
                                        {EdgeRole::Plain, "plain"},
                                        {EdgeRole::Cut, "cut"}}};
constexpr Keys<GuideKind, 8> guide_keys{{{GuideKind::Grain, "grain"},
                                         {GuideKind::LengthenShorten, "lengthen-shorten"},
                                         {GuideKind::Hip, "hip"},
                                         {GuideKind::Bust, "bust"},
                                         {GuideKind::Waist, "waist"},
                                         {GuideKind::Across, "across"},
                                         {GuideKind::Bicep, "bicep"},
                                         {GuideKind::Elbow, "elbow"}}};
constexpr Keys<DartKind, 3> dart_keys{
    {{DartKind::Dart, "dart"}, {DartKind::Tuck, "tuck"}, {DartKind::Pleat, "pleat"}}};
constexpr Keys<ShoulderStyle, 4> shoulder_keys{{{ShoulderStyle::SetIn, "set-in"},
                                                {ShoulderStyle::CutIn, "cut-in"},
                                                {ShoulderStyle::Dropped, "dropped"},
                                                {ShoulderStyle::Raglan, "raglan"}}};

template <class K, std::size_t N>
std::string_view find_key(const Keys<K, N>& keys, K wanted)
{
    return std::find_if(keys.begin(), keys.end(), [&](const auto& k) { return k.first == wanted; })->second;
}

template <class K, std::size_t N>
std::optional<K> find_role(const Keys<K, N>& keys, std::string_view text)
{
    const auto it = std::find_if(keys.begin(), keys.end(), [&](const auto& k) { return k.second == text; });
    return it == keys.end() ? std::nullopt : std::optional{it->first};
}

// ∫ x dy − y dx over one cubic, halved: the signed area it sweeps from the origin.
double swept_area(const std::vector<Point>& p)
{
    const auto cross = [](Point a, Point b) { return Geom::cross(a, b); };
    return (6 * cross(p[0], p[1]) + 3 * cross(p[0], p[2]) + cross(p[0], p[3]) + 3 * cross(p[1], p[2]) +
            3 * cross(p[1], p[3]) + 6 * cross(p[2], p[3])) /
           20.0;
}

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
    const auto last = std::find_if(piece.edges.begin(), piece.edges.end(),
                                   [&](const Edge& e) { return e.role == runs.back().role; });
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

// Signed area, positive when the edges run counter-clockwise (y up).
double signed_area(const Piece& piece)
{
    double sum = 0;
    for (const auto& e : piece.edges) {
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) sum += swept_area(controls(e.curve, i));
    }
    return sum;
}

// However it was drawn on its sheet: clockwise, the centre line to the left of the side seam, and the centre waist
// (for a band, its lower left corner) at the origin, so that sizes lie over each other and widths grow towards +x.
Piece into_frame(Piece piece)
{
    const bool sleeve = piece.role == PieceRole::Sleeve;
    const auto centre = edge_index(piece, sleeve ? EdgeRole::CapBack : EdgeRole::Centre);
    const auto side = edge_index(piece, sleeve ? EdgeRole::CapFront : EdgeRole::Side);
    const auto far = side ? side : edge_index(piece, EdgeRole::BandEnd);
    if (centre && far) {
        const double at = piece.edges[*centre].curve.boundsFast()->midpoint()[Geom::X];
        if (piece.edges[*far].curve.boundsFast()->midpoint()[Geom::X] < at)
            piece = moved(piece, Geom::Scale(-1, 1));
    }
    if (signed_area(piece) > 0) {
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
        if (!edge_index(piece, run.role) && !run.or_else)
            return refuse(Why::EdgeMissing, piece.id + ": " + std::string{key(run.role)});
    }
    for (const auto kind : skeleton.guides) {
        if (!guide(piece, kind)) return refuse(Why::MarkMissing, piece.id + ": " + std::string{key(kind)});
    }
    return true;
}

}  // namespace

std::string_view key(PieceRole r)
{
    return find_key(piece_keys, r);
}
std::string_view key(EdgeRole r)
{
    return find_key(edge_keys, r);
}
std::string_view key(GuideKind k)
{
    return find_key(guide_keys, k);
}
std::string_view key(DartKind k)
{
    return find_key(dart_keys, k);
}
std::string_view key(ShoulderStyle s)
{
    return find_key(shoulder_keys, s);
}
std::optional<ShoulderStyle> shoulder_style_of(std::string_view text)
{
    return find_role(shoulder_keys, text);
}
std::optional<DartKind> dart_kind_of(std::string_view text)
{
    return find_role(dart_keys, text);
}
std::optional<PieceRole> piece_role_of(std::string_view text)
{
    return find_role(piece_keys, text);
}
std::optional<EdgeRole> edge_role_of(std::string_view text)
{
    return find_role(edge_keys, text);
}
std::optional<GuideKind> guide_kind_of(std::string_view text)
{
    return find_role(guide_keys, text);
}

std::optional<Guide> guide(const Piece& piece, GuideKind kind)
{
    for (const auto& g : piece.guides) {
        if (g.kind == kind) return g;
    }
    return std::nullopt;
}

std::optional<std::size_t> edge_index(const Piece& piece, EdgeRole role, bool last)
{
    std::optional<std::size_t> found;
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        if (piece.edges[i].role != role) continue;
        found = i;
        if (!last) break;
    }
    return found;
}

const Edge& edge(const Piece& piece, EdgeRole role)
{
    return piece.edges[edge_index(piece, role).value()];
}

bool on_fold(const Piece& piece)
{
    return std::any_of(piece.edges.begin(), piece.edges.end(), [](const Edge& e) { return e.on_fold; });
}

Length sewn_length(const Piece& piece, EdgeRole role)
{
    Length sum;
    for (const auto& e : piece.edges) {
        if (e.role == role) sum += length(e.curve);
    }
    return sum;
}

Geom::Path outline(const Piece& piece)
{
    Geom::Path path{piece.edges.front().curve.initialPoint()};
    path.setStitching(true);
    for (const auto& e : piece.edges) path.append(e.curve);
    path.close();
    return path;
}

std::vector<Point> outline_points(const Piece& piece, Length tolerance)
{
    std::vector<Point> out;
    for (const auto& e : piece.edges) {
        const auto points = flattened(e.curve, tolerance);
        out.insert(out.end(), points.begin(), points.end() - 1);
    }
    return out;
}

double area_mm2(const Piece& piece)
{
    return std::abs(signed_area(piece));
}

Geom::Rect bounds(const Piece& piece)
{
    Geom::OptRect box;
    for (const auto& e : piece.edges) box.unionWith(e.curve.boundsExact());
    return *box;
}

std::optional<Length> width_at(const Piece& piece, double level)
{
    double least = std::numeric_limits<double>::max();
    double most = std::numeric_limits<double>::lowest();
    for (const auto& e : piece.edges) {
        if (e.role != EdgeRole::Side && e.role != EdgeRole::Centre) continue;
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            for (const double t : e.curve[i].roots(level, Geom::Y)) {
                const double x = e.curve[i].valueAt(t, Geom::X);
                least = std::min(least, x);
                most = std::max(most, x);
            }
        }
    }
    return most > least ? std::optional{Length::mm(most - least)} : std::nullopt;
}

namespace {

// Copies share their curves until one is changed.
bool same_line(const Curve& a, const Curve& b)
{
    return a.size_default() == b.size_default() && (&a.front() == &b.front() || a == b);
}

}  // namespace

bool same_paper(const Piece& a, const Piece& b)
{
    const auto alike = [](const auto& x, const auto& y, auto same) {
        return std::equal(x.begin(), x.end(), y.begin(), y.end(), same);
    };
    return a.bust_point == b.bust_point &&
           alike(a.edges, b.edges,
                 [](const Edge& x, const Edge& y) { return x.role == y.role && same_line(x.curve, y.curve); }) &&
           alike(a.darts, b.darts,
                 [](const Dart& x, const Dart& y) {
                     return x.leg_a == y.leg_a && x.leg_b == y.leg_b && x.tip == y.tip && x.kind == y.kind;
                 }) &&
           alike(a.notches, b.notches,
                 [](const Notch& x, const Notch& y) { return x.at == y.at && x.on == y.on; }) &&
           alike(a.guides, b.guides,
                 [](const Guide& x, const Guide& y) { return x.kind == y.kind && x.a == y.a && x.b == y.b; });
}

bool same_edges(const Piece& a, const Piece& b, EdgeRole role)
{
    return std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(),
                      [&](const Edge& x, const Edge& y) {
                          return x.role == y.role && (x.role != role || same_line(x.curve, y.curve));
                      });
}

bool same_allowances(const Piece& a, const Piece& b)
{
    return std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(),
                      [](const Edge& x, const Edge& y) { return x.allowance == y.allowance; });
}

Piece moved(const Piece& piece, const Geom::Affine& by)
{
    Piece out = piece;
    for (auto& e : out.edges) e.curve *= by;
    for (auto& d : out.darts) {
        d.leg_a *= by;
        d.leg_b *= by;
        d.tip *= by;
    }
    for (auto& n : out.notches) n.at *= by;
    for (auto& g : out.guides) {
        g.a *= by;
        g.b *= by;
    }
    if (out.bust_point) *out.bust_point *= by;
    return out;
}

void settle_notches(Piece& piece)
{
    for (auto& notch : piece.notches) {
        double best = std::numeric_limits<double>::max();
        Point at = notch.at;
        for (const auto& e : piece.edges) {
            if (e.role != notch.on) continue;
            const auto near = nearest(e.curve, notch.at);
            if (near.off < best) {
                best = near.off;
                at = e.curve.pointAt(near.time);
            }
        }
        notch.at = at;
    }
}

void settle_darts(Piece& piece)
{
    std::size_t dart = 0;
    for (const auto& e : piece.edges) {
        if (e.role != EdgeRole::DartMouth || dart >= piece.darts.size()) continue;
        piece.darts[dart].leg_a = e.curve.initialPoint();
        piece.darts[dart].leg_b = e.curve.finalPoint();
        ++dart;
    }
}

Outcome<Piece> check_piece(Piece piece)
{
    if (piece.edges.size() < 3) return refuse(Why::OutlineEmpty, piece.id);
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        const auto& here = piece.edges[i];
        auto& next = piece.edges[(i + 1) % piece.edges.size()];
        if (here.curve.size_default() == 0) return refuse(Why::OutlineEmpty, piece.id);
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
    }
    if (const auto ok = marks_in_place(piece); !ok) return tl::make_unexpected(ok.error());
    if (piece.role == PieceRole::Other) return piece;
    if (!darts_at_mouths(piece)) return refuse(Why::MarkMissing, piece.id + ": dart");
    if (piece.princess && !seam_in_place(piece)) return refuse(Why::MarkMissing, piece.id + ": princess seam");
    return piece;
}

}  // namespace sartorum
