#include "core/plan/cut_out.h"

#include <algorithm>
#include <set>

#include "core/check/face_up.h"
#include "core/pattern/princess.h"
#include "core/pattern/whole_piece.h"

namespace sartorum {
namespace {

bool near(Point a, Point b)
{
    return Geom::distance(a, b) <= cut_alike.in_mm();
}

bool cut_as_one(const Piece& a, const Piece& b)
{
    if (!same_allowances(a, b) || a.edges.size() != b.edges.size() || a.darts.size() != b.darts.size())
        return false;
    for (std::size_t i = 0; i < a.edges.size(); ++i) {
        const auto p = all_controls(a.edges[i].curve);
        const auto q = all_controls(b.edges[i].curve);
        if (p.size() != q.size() || !std::equal(p.begin(), p.end(), q.begin(), near)) return false;
    }
    for (std::size_t i = 0; i < a.darts.size(); ++i) {
        if (!near(a.darts[i].tip, b.darts[i].tip)) return false;
    }
    return true;
}

// Pairs become one for each side; of an odd number each side gets as many.
int for_one_side(int cut)
{
    return cut > 1 ? cut / 2 : 1;
}

// The fold goes by: so many whole ones.
Piece whole_of(const Piece& right, const Piece& left, bool left_drawn)
{
    Piece out = left_drawn ? drawn_whole(left, right) : drawn_whole(right, left);
    Guide& centre = out.guides.back();
    if (left_drawn) std::swap(centre.a, centre.b);  // the right half on the right hand
    return out;
}

std::vector<PieceToCut> parted(const Garment& right, const Garment& left, const std::set<std::string>& left_drawn,
                               const std::set<std::string>& apart)
{
    std::vector<PieceToCut> out;
    for (const auto& r : right.pieces) {
        const Piece& l = *find_piece(left.pieces, r.id);
        const auto of_right = as_cut({r});
        if (!apart.contains(r.id)) {
            for (const auto& p : of_right) out.push_back({p});
            continue;
        }
        const auto of_left = as_cut({l});
        const bool drawn = left_drawn.contains(r.id);
        for (std::size_t i = 0; i < of_right.size(); ++i) {
            if (on_fold(of_right[i])) {
                out.push_back({whole_of(of_right[i], of_left[i], drawn), {}, true});
                continue;
            }
            // Beside each other as they are seen on the wearer: from the front the right one comes first.
            for (const auto side : {drawn ? Side::Right : Side::Left, drawn ? Side::Left : Side::Right}) {
                Piece p = side == Side::Right ? of_right[i] : of_left[i];
                if (drawn == (side == Side::Right)) p = mirror_image(p);
                p.cut = for_one_side(p.cut);
                out.push_back({std::move(p), side});
            }
        }
    }
    return out;
}

std::set<std::string> unlike_pieces(const Computed& c)
{
    std::set<std::string> out;
    if (!c.left) return out;
    for (const auto& r : c.altered.pieces) {
        if (!cut_as_one(r, *find_piece(c.left->altered.pieces, r.id))) out.insert(r.id);
    }
    return out;
}

}  // namespace

std::vector<PieceToCut> cut_out(const Computed& c)
{
    const auto apart = unlike_pieces(c);
    const auto drawn = apart.empty() ? std::set<std::string>{} : left_as_drawn(c.altered);
    return parted(c.altered, c.left ? c.left->altered : c.altered, drawn, apart);
}

std::vector<PieceToCut> cut_out_of(const Computed& c, const Garment& as)
{
    const auto apart = unlike_pieces(c);
    const auto drawn = apart.empty() ? std::set<std::string>{} : left_as_drawn(c.altered);
    return parted(as, as, drawn, apart);
}

namespace {

// No place of the one outline is farther from the other than two lines can be told apart.
bool close_enough(const Piece& a, const Piece& b)
{
    if (a.edges.size() != b.edges.size()) return false;
    for (std::size_t i = 0; i < a.edges.size(); ++i) {
        for (const Point p : flattened(a.edges[i].curve, Length::mm(1))) {
            if (nearest(b.edges[i].curve, p).off > two_lines_most.in_mm()) return false;
        }
    }
    return true;
}

}  // namespace

std::optional<std::vector<TwoLines>> cut_with_two_lines(const Computed& c)
{
    const auto apart = unlike_pieces(c);
    if (apart.empty()) return std::nullopt;
    std::vector<TwoLines> out;
    for (const auto& r : c.altered.pieces) {
        const auto right = as_cut({r});
        const auto left = as_cut({*find_piece(c.left->altered.pieces, r.id)});
        for (std::size_t i = 0; i < right.size(); ++i) {
            out.push_back({right[i]});
            if (!apart.contains(r.id) || cut_as_one(right[i], left[i])) continue;
            if (!close_enough(right[i], left[i]) || !close_enough(left[i], right[i])) return std::nullopt;
            out.back().left = left[i];
        }
    }
    return out;
}

std::vector<Step> traced_by_side(const Computed& c)
{
    std::vector<Step> out;
    const auto apart = unlike_pieces(c);
    for (const auto& p : c.traced.pieces) {
        if (apart.contains(p.id))
            out.push_back(step_on(p, on_fold(p) ? StepKind::TraceWhole : StepKind::TraceTwice));
    }
    return out;
}

bool cut_by_side(const Computed& c)
{
    return !unlike_pieces(c).empty();
}

}  // namespace sartorum
