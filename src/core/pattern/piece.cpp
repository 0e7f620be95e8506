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
constexpr Keys<EdgeRole, 22> edge_keys{{{EdgeRole::Centre, "centre"},
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
                                        {EdgeRole::Inner, "inner"},
                                        {EdgeRole::Outer, "outer"},
                                        {EdgeRole::Lower, "lower"},
                                        {EdgeRole::InnerLeg, "inner-leg"},
                                        {EdgeRole::Plain, "plain"},
                                        {EdgeRole::Cut, "cut"}}};
constexpr Keys<GuideKind, 12> guide_keys{{{GuideKind::Grain, "grain"},
                                          {GuideKind::LengthenShorten, "lengthen-shorten"},
                                          {GuideKind::Hip, "hip"},
                                          {GuideKind::Bust, "bust"},
                                          {GuideKind::Waist, "waist"},
                                          {GuideKind::Across, "across"},
                                          {GuideKind::Bicep, "bicep"},
                                          {GuideKind::Elbow, "elbow"},
                                          {GuideKind::Centre, "centre"},
                                          {GuideKind::Crease, "crease"},
                                          {GuideKind::Crotch, "crotch"},
                                          {GuideKind::Knee, "knee"}}};
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

std::vector<Point> button_places(const Piece& p)
{
    const auto at = edge_index(p, EdgeRole::Centre);
    if (!at || p.button_gap <= Length{} || p.opening <= Length{}) return {};
    // The centre runs from its lower end up.
    const Curve down = reversed(p.edges[*at].curve);
    const Length end = std::max(p.overlap, Length::mm(10));
    const Length first = end;
    const Length last = std::min(p.opening, length(down)) - end;
    if (last < first) return {};
    const double gaps = std::max(1.0, std::round((last - first) / p.button_gap));
    std::vector<Point> out;
    for (int i = 0; i <= static_cast<int>(gaps); ++i)
        out.push_back(down.pointAt(time_at(down, first + (last - first) * (i / gaps))));
    return out;
}

bool on_fold(const Piece& piece)
{
    return std::any_of(piece.edges.begin(), piece.edges.end(), [](const Edge& e) { return e.on_fold; });
}

Length sewn_length(const Piece& piece, EdgeRole role)
{
    return flat_length(piece, role) - gathered_in(piece, role);
}

Length flat_length(const Piece& piece, EdgeRole role)
{
    Length sum;
    for (const auto& e : piece.edges) {
        if (e.role == role) sum += length(e.curve);
    }
    return sum;
}

Length gathered_in(const Piece& piece, EdgeRole role)
{
    Length sum;
    for (const auto& e : piece.edges) {
        if (e.role == role) sum += e.gathered;
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

double signed_area_mm2(const Piece& piece)
{
    double sum = 0;
    for (const auto& e : piece.edges) {
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) sum += swept_area(controls(e.curve, i));
    }
    return sum;
}

double area_mm2(const Piece& piece)
{
    return std::abs(signed_area_mm2(piece));
}

Geom::Rect bounds(const Piece& piece)
{
    Geom::OptRect box;
    for (const auto& e : piece.edges) box.unionWith(e.curve.boundsExact());
    return *box;
}

std::optional<LevelSpan> lies_across(const Piece& piece, double level)
{
    double least = std::numeric_limits<double>::max();
    double most = std::numeric_limits<double>::lowest();
    for (const auto& e : piece.edges) {
        const bool upright = e.role == EdgeRole::Side || e.role == EdgeRole::Centre || e.role == EdgeRole::Inner ||
                             e.role == EdgeRole::Outer || e.role == EdgeRole::InnerLeg;
        if (!upright) continue;
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            for (const double t : e.curve[i].roots(level, Geom::Y)) {
                const double x = e.curve[i].valueAt(t, Geom::X);
                least = std::min(least, x);
                most = std::max(most, x);
            }
        }
    }
    return most > least ? std::optional{LevelSpan{least, most}} : std::nullopt;
}

std::optional<Length> width_at(const Piece& piece, double level)
{
    const auto span = lies_across(piece, level);
    return span ? std::optional{Length::mm(span->to - span->from)} : std::nullopt;
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
                 [](const Edge& x, const Edge& y) {
                     return x.role == y.role && x.gathered == y.gathered && same_line(x.curve, y.curve);
                 }) &&
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
                          return x.role == y.role &&
                                 (x.role != role || (x.gathered == y.gathered && same_line(x.curve, y.curve)));
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

}  // namespace sartorum
