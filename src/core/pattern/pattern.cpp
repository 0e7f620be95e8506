#include "core/pattern/pattern.h"

#include <algorithm>
#include <set>

#include "core/pattern/dart.h"

namespace sartorum {
namespace {

bool same_skeleton(const Piece& a, const Piece& b)
{
    const auto same = [](const auto& x, const auto& y, auto kind) {
        return std::equal(x.begin(), x.end(), y.begin(), y.end(),
                          [&](const auto& p, const auto& q) { return p.*kind == q.*kind; });
    };
    const auto same_edge = [](const Edge& x, const Edge& y) {
        return x.role == y.role && x.curve.size_default() == y.curve.size_default() && x.on_fold == y.on_fold;
    };
    return a.id == b.id && a.role == b.role && a.princess == b.princess &&
           a.bust_point.has_value() == b.bust_point.has_value() && same(a.darts, b.darts, &Dart::kind) &&
           same(a.notches, b.notches, &Notch::on) && same(a.guides, b.guides, &Guide::kind) &&
           std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(), same_edge);
}

std::optional<std::string> id_twice(const std::vector<Piece>& pieces)
{
    std::set<std::string> seen;
    for (const auto& p : pieces) {
        if (!seen.insert(p.id).second) return p.id;
    }
    return std::nullopt;
}

FlatMeasures measure_skirt(const Piece& front, const Piece& back)
{
    FlatMeasures out;
    for (const auto* piece : {&front, &back}) {
        out.waist += sewn_length(*piece, EdgeRole::Waist) * 2.0;
        out.hem += sewn_length(*piece, EdgeRole::Hem) * 2.0;
        const double level = guide(*piece, GuideKind::Hip)->a[Geom::Y];
        out.hip += width_at(*piece, level).value_or(Length{}) * 2.0;
    }
    out.side = sewn_length(front, EdgeRole::Side);
    const double hip = guide(front, GuideKind::Hip)->a[Geom::Y];
    out.waist_to_hip = Length::mm(edge(front, EdgeRole::Side).curve.initialPoint()[Geom::Y] - hip);
    return out;
}

// What darts, tucks and pleats take of a bodice's width at a level.
Length taken_of(const Piece& piece, double level)
{
    Length sum;
    for (std::size_t i = 1; i < piece.edges.size(); ++i) {
        // A dart in the side seam takes length, not width.
        if (piece.edges[i].role == EdgeRole::DartMouth && piece.edges[i - 1].role != EdgeRole::Side)
            sum += taken_at(piece.darts[dart_at(piece, i)], level);
    }
    return sum;
}

// From the centre to the side. Where the bust line is marked it is measured along it, bent at the bust point: what
// a dart at the bust point takes lies off that line, wherever the dart is. Else at the underarm, darts closed.
Length bust_width(const Piece& piece)
{
    const auto line = guide(piece, GuideKind::Bust);
    if (line && piece.bust_point) {
        const Point bp = *piece.bust_point;
        return Length::mm(bp[Geom::X] - line->a[Geom::X] + Geom::distance(bp, line->b));
    }
    const Point under = piece.edges[*edge_index(piece, EdgeRole::Armhole, true)].curve.finalPoint();
    const double centre = edge(piece, EdgeRole::Centre).curve.initialPoint()[Geom::X];
    return Length::mm(under[Geom::X] - centre) - taken_of(piece, under[Geom::Y]);
}

FlatMeasures measure_bodice(const Piece& front, const Piece& back)
{
    FlatMeasures out;
    for (const auto* piece : {&front, &back}) {
        out.bust += bust_width(*piece) * 2.0;
        out.hem += edge_index(*piece, EdgeRole::Hem) ? sewn_length(*piece, EdgeRole::Hem) * 2.0 : Length{};
        out.neck += sewn_length(*piece, EdgeRole::Neck);
        out.armhole += sewn_length(*piece, EdgeRole::Armhole);
        if (const auto waist = guide(*piece, GuideKind::Waist)) {
            out.waist += Length::mm(Geom::distance(waist->a, waist->b)) * 2.0;
        } else {
            out.waist += sewn_length(*piece, EdgeRole::Waist) * 2.0;
        }
    }
    out.side = sewn_length(front, EdgeRole::Side);
    out.shoulder = sewn_length(front, EdgeRole::Shoulder);
    out.centre_front = sewn_length(front, EdgeRole::Centre);
    out.centre_back = sewn_length(back, EdgeRole::Centre);
    const Point neck = edge(front, EdgeRole::Shoulder).curve.initialPoint();
    out.front_length = Length::mm(neck[Geom::Y] - edge(front, EdgeRole::Centre).curve.initialPoint()[Geom::Y]);
    return out;
}

void measure_sleeve(FlatMeasures& out, const Piece& sleeve)
{
    const Curve& front = edge(sleeve, EdgeRole::UnderarmFront).curve;
    const Curve& back = edge(sleeve, EdgeRole::UnderarmBack).curve;
    const Point top = edge(sleeve, EdgeRole::CapBack).curve.finalPoint();
    const Curve& hem = edge(sleeve, EdgeRole::Hem).curve;
    out.cap = sewn_length(sleeve, EdgeRole::CapFront) + sewn_length(sleeve, EdgeRole::CapBack);
    out.upper_arm = Length::mm(Geom::distance(front.initialPoint(), back.finalPoint()));
    out.wrist = sewn_length(sleeve, EdgeRole::Hem);
    double low = hem.pointAt(0.5)[Geom::Y];
    for (std::size_t i = 0; i < hem.size_default(); ++i) {
        const auto under = hem[i].roots(top[Geom::X], Geom::X);
        if (!under.empty()) low = hem[i].valueAt(under.front(), Geom::Y);
    }
    out.sleeve = Length::mm(top[Geom::Y] - low);
}

}  // namespace

const SizedPieces* Pattern::find(const std::string& size) const
{
    const auto it = std::find_if(sizes.begin(), sizes.end(), [&](const auto& s) { return s.size == size; });
    return it == sizes.end() ? nullptr : &*it;
}

const Piece* find_piece(const std::vector<Piece>& pieces, PieceRole role)
{
    const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.role == role; });
    return it == pieces.end() ? nullptr : &*it;
}

Piece* find_piece(std::vector<Piece>& pieces, PieceRole role)
{
    return const_cast<Piece*>(find_piece(static_cast<const std::vector<Piece>&>(pieces), role));
}

const Piece* find_piece(const std::vector<Piece>& pieces, const std::string& id)
{
    const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.id == id; });
    return it == pieces.end() ? nullptr : &*it;
}

Outcome<Pattern> check_pattern(Pattern pattern)
{
    if (pattern.sizes.empty()) return refuse(Why::PieceMissing, "front");
    for (auto& sized : pattern.sizes) {
        for (auto& piece : sized.pieces) {
            auto checked = check_piece(std::move(piece));
            if (!checked) {
                checked.error().field = sized.size + ", " + checked.error().field;
                return tl::make_unexpected(checked.error());
            }
            piece = std::move(*checked);
        }
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            if (!find_piece(sized.pieces, role)) {
                return refuse(Why::PieceMissing, sized.size + ", " + std::string{key(role)});
            }
        }
        const bool bodice = is_bodice(*find_piece(sized.pieces, PieceRole::Front));
        if (bodice != is_bodice(*find_piece(sized.pieces, PieceRole::Back)))
            return refuse(Why::KindsDiffer, sized.size);
        if (const auto twice = id_twice(sized.pieces)) return refuse(Why::KeyTwice, sized.size + ", " + *twice);
        const auto& first = pattern.sizes.front().pieces;
        if (!std::equal(first.begin(), first.end(), sized.pieces.begin(), sized.pieces.end(), same_skeleton)) {
            return refuse(Why::SkeletonDiffers, sized.size);
        }
    }
    for (std::size_t i = 0; i < pattern.sizes.size(); ++i) {
        for (std::size_t j = 0; j < i; ++j) {
            if (pattern.sizes[i].size == pattern.sizes[j].size) {
                return refuse(Why::ChartSizeTwice, pattern.sizes[i].size);
            }
        }
    }
    for (const auto& seam : pattern.seams) {
        if (abs(seam.ease) > seam_ease_most)
            return refuse_amount(Why::NumberBroken, "data-ease", seam.ease, {}, seam_ease_most);
        if (seam.a.empty() || seam.b.empty()) return refuse(Why::SeamUnknownPiece, seam.id);
        for (const auto* side : {&seam.a, &seam.b}) {
            for (const auto& s : *side) {
                const Piece* piece = find_piece(pattern.sizes.front().pieces, s.piece);
                if (!piece || !edge_index(*piece, s.role)) return refuse(Why::SeamUnknownPiece, seam.id);
            }
        }
    }
    return pattern;
}

FlatMeasures measure_flat(const std::vector<Piece>& pieces)
{
    const Piece& front = *find_piece(pieces, PieceRole::Front);
    const Piece& back = *find_piece(pieces, PieceRole::Back);
    FlatMeasures out = is_bodice(front) ? measure_bodice(front, back) : measure_skirt(front, back);
    if (const Piece* sleeve = find_piece(pieces, PieceRole::Sleeve)) measure_sleeve(out, *sleeve);
    return out;
}

}  // namespace sartorum
