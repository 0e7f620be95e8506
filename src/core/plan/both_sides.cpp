#include "core/plan/both_sides.h"

#include <algorithm>
#include <cmath>

#include "core/check/part_check.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr double same_degrees = 0.05;

bool same(Length a, Length b)
{
    return abs(a - b) <= equal_on_paper;
}

bool same(const Walk& a, const Walk& b)
{
    return same(a.a, b.a) && same(a.b, b.b) && same(a.difference, b.difference) && a.holds == b.holds;
}

bool same(const Join& a, const Join& b)
{
    return std::abs(a.degrees - b.degrees) <= same_degrees && a.holds == b.holds;
}

bool same(const FoldCheck& a, const FoldCheck& b)
{
    return same(a.off, b.off) && a.holds == b.holds;
}

bool same(const DartCheck& a, const DartCheck& b)
{
    return same(a.apart, b.apart) && a.holds == b.holds;
}

bool same(const EaseCheck& a, const EaseCheck& b)
{
    return same(a.body, b.body) && same(a.finished, b.finished) && a.holds == b.holds;
}

bool same(const OutlineCheck& a, const OutlineCheck& b)
{
    return a.found == b.found;
}

// Row by row: the same seams, corners and pieces stand in both.
template <class Row>
std::vector<Row> told(const std::vector<Row>& right, const std::vector<Row>& left)
{
    std::vector<Row> out;
    for (std::size_t i = 0; i < right.size(); ++i) {
        const bool alone = i >= left.size();
        out.push_back(right[i]);
        if (alone || same(right[i], left[i])) continue;
        out.back().side = Side::Right;
        out.push_back(left[i]);
        out.back().side = Side::Left;
    }
    return out;
}

bool read_all_round(const EaseCheck& e)
{
    const auto on_paper = garment_round(e.measure);
    return on_paper && goes_all_round(*on_paper);
}

// A girth is both halves; what each side has of its own (an arm), or is read on each, is told on each.
std::vector<EaseCheck> ease_of_both(const std::vector<EaseCheck>& right, const std::vector<EaseCheck>& left)
{
    std::vector<EaseCheck> out;
    for (std::size_t i = 0; i < right.size() && i < left.size(); ++i) {
        EaseCheck all = right[i];
        if (read_all_round(all) && same(all.body, left[i].body)) {
            all.finished = (right[i].finished + left[i].finished) / 2.0;
            all.ease = all.finished - all.body;
            all.holds = all.ease >= all.least || (right[i].holds && left[i].holds);
            out.push_back(all);
            continue;
        }
        out.push_back(right[i]);
        if (same(right[i], left[i])) continue;
        out.push_back(left[i]);
        out[out.size() - 2].side = Side::Right;
        out.back().side = Side::Left;
    }
    return out;
}

// One face of one part, at its centre.
struct AtTheCentre {
    JoinPlace upper;
    JoinPlace lower;
    const Piece& right;
    const Piece& left;
    const Piece& traced;
};

// Inside the paper, where an edge meets the upper or the lower end of the centre.
double corner(const Piece& p, bool upper)
{
    const std::size_t centre = *edge_index(p, EdgeRole::Centre);
    const std::size_t n = p.edges.size();
    return upper ? corner_between(p, centre, (centre + 1) % n) : corner_between(p, (centre + n - 1) % n, centre);
}

// An edge runs over the centre as it was drawn to: straight on, or in the point that was meant.
void add_corner(Checks& out, const AtTheCentre& at, bool upper)
{
    const double off = corner(at.right, upper) + corner(at.left, upper) - 2 * corner(at.traced, upper);
    out.joins.push_back({upper ? at.upper : at.lower, 180 + off, std::abs(off) <= join_tolerance_degrees});
    out.joins.back().over_centre = true;
}

void add_centre(Checks& out, const std::string& name, const AtTheCentre& at)
{
    Walk w;
    w.seam = name;
    w.a = sewn_length(at.right, EdgeRole::Centre);
    w.b = sewn_length(at.left, EdgeRole::Centre);
    w.difference = w.b - w.a;
    w.holds = abs(w.difference) <= walk_tolerance;
    w.part_a = w.part_b = at.right.part;
    w.over_centre = true;
    out.walks.push_back(std::move(w));
    add_corner(out, at, true);
    add_corner(out, at, false);
}

void add_centres(Checks& out, const Garment& right, const Garment& left, const Garment& traced)
{
    for (const auto part : parts_of(right.pieces)) {
        for (const auto face : {PieceRole::Front, PieceRole::Back}) {
            const auto piece_of = [&](const Garment& g) -> const Piece& {
                const Garment view = part_view(g, part);
                return *find_piece(g.pieces, view.pieces[face_of(view.pieces, face).front()].id);
            };
            const Piece& r = piece_of(right);
            if (!edge_index(r, EdgeRole::Centre)) continue;
            const bool top = has_level(r, Level::Shoulder);
            const bool hem = bottom_role(r) == EdgeRole::Hem;
            add_centre(out, face == PieceRole::Front ? "centre_front" : "centre_back",
                       {top ? JoinPlace::NeckPoint : JoinPlace::Waist, hem ? JoinPlace::Hem : JoinPlace::Waist, r,
                        piece_of(left), piece_of(traced)});
        }
    }
}

}  // namespace

FlatMeasures of_both(const FlatMeasures& right, const FlatMeasures& left)
{
    FlatMeasures out;
    for (const auto& row : all_garment_measures()) {
        const auto m = row.measure;
        if (!right.has(m)) continue;
        const Length whole = goes_all_round(m)              ? (right.of(m) + left.of(m)) / 2.0
                             : row.round == GoesRound::Limb ? std::min(right.of(m), left.of(m))
                                                            : right.of(m);
        out.add(m, whole);
    }
    return out;
}

Length changed_by(const Computed& c, const PlanLine& line, GarmentMeasure m)
{
    const PlanLine* left = c.left_of(line);
    if (!left || !goes_all_round(m)) return line.changed.of(m);
    return (line.changed.of(m) + left->changed.of(m)) / 2.0;
}

Checks checks_of_both(const Garment& right, const Checks& of_right, const Garment& left, const Checks& of_left,
                      const Garment& traced)
{
    Checks out = of_right;
    out.walks = told(of_right.walks, of_left.walks);
    out.joins = told(of_right.joins, of_left.joins);
    out.folds = told(of_right.folds, of_left.folds);
    out.darts = told(of_right.darts, of_left.darts);
    out.outlines = told(of_right.outlines, of_left.outlines);
    out.ease = ease_of_both(of_right.ease, of_left.ease);
    out.front_hem = (of_right.front_hem + of_left.front_hem) / 2.0;
    out.back_hem = (of_right.back_hem + of_left.back_hem) / 2.0;
    out.shoulder_left = of_left.shoulder;
    out.cap_left = of_left.cap;
    out.hem = hem_level(traced, right, left);
    add_centres(out, right, left, traced);
    return out;
}

}  // namespace sartorum
