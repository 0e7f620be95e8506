#include "core/tissue/lines_laid.h"

#include <algorithm>

#include "core/paper/redraw/bodice.h"
#include "core/pattern/dart.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

using L = TissueLine;

const Point to_left{-1, 0};
const Point to_right{1, 0};
const Point up{0, 1};
const Point down{0, -1};

struct Ends {
    Point from;
    Point to;
    ReadAt read = ReadAt::StitchingLine;
    std::optional<Point> aside{};
};

std::optional<Ends> none()
{
    return std::nullopt;
}

Point first_of(const Piece& p, EdgeRole role)
{
    return p.edges[*edge_index(p, role)].curve.initialPoint();
}

Point last_of(const Piece& p, EdgeRole role)
{
    return p.edges[*edge_index(p, role, true)].curve.finalPoint();
}

bool has(const Piece& p, EdgeRole role)
{
    return edge_index(p, role).has_value();
}

// The edge role of which this mouth is part.
EdgeRole beside(const Piece& p, std::size_t mouth)
{
    return p.edges[(mouth + p.edges.size() - 1) % p.edges.size()].role;
}

std::optional<Dart> dart_on(const Piece& p, EdgeRole role)
{
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth && beside(p, i) == role) return p.darts[dart_at(p, i)];
    }
    return std::nullopt;
}

// All edges of one role with the darts between them as they lie, mouths straight.
Curve open_run(const Piece& p, EdgeRole role)
{
    const std::size_t from = *edge_index(p, role);
    const std::size_t to = *edge_index(p, role, true);
    Curve out = p.edges[from].curve;
    for (std::size_t i = from + 1; i <= to; ++i) {
        const auto& e = p.edges[i];
        if (e.role == role)
            out = joined(out, e.curve);
        else
            out = joined(out, straight(e.curve.initialPoint(), e.curve.finalPoint()));
    }
    return out;
}

Point middle_of(const Dart& d)
{
    return (d.leg_a + d.leg_b) / 2;
}

// Legs of a dart, read at the second.
std::optional<Ends> mouth_of(const std::optional<Dart>& d)
{
    if (!d || mouth_width(*d) <= Length{}) return none();
    return Ends{d->leg_a, d->leg_b, ReadAt::DartLeg, {}};
}

std::optional<Ends> across_at(const Piece& p, double level)
{
    const auto wide = width_at(p, level);
    if (!wide) return none();
    return Ends{{0, level}, {wide->in_mm(), level}};
}

// Where the waist or the hem meets the centre line.
Point low_centre(const Piece& p)
{
    return p.edges[*edge_index(p, EdgeRole::Centre)].curve.initialPoint();
}

std::optional<Ends> of_front(TissueLine line, const Piece& p)
{
    const Point np = neck_point(p);
    const auto waist = guide(p, GuideKind::Waist);
    switch (line) {
        case L::NeckWidth: return Ends{{0, np[Geom::Y]}, np, ReadAt::StitchingLine, up};
        case L::FrontNeckDepth:
            return Ends{{0, np[Geom::Y]}, first_of(p, EdgeRole::Neck), ReadAt::StitchingLine, to_left};
        case L::FrontDrop: {
            const Point tip = shoulder_tip(p);
            return Ends{{tip[Geom::X], np[Geom::Y]}, tip, ReadAt::StitchingLine, to_right};
        }
        case L::AcrossFront: {
            const auto g = guide(p, GuideKind::Across);
            return g ? std::optional{Ends{g->a, g->b}} : none();
        }
        case L::FrontBust: {
            if (p.princess && p.bust_point) return across_at(p, (*p.bust_point)[Geom::Y]);
            const Point under = last_of(p, EdgeRole::Armhole);
            return Ends{{0, under[Geom::Y]}, under};
        }
        case L::SideLength:
            if (waist) return Ends{first_of(p, EdgeRole::Side), waist->b, ReadAt::StitchingLine, to_right};
            return Ends{first_of(p, EdgeRole::Side), last_of(p, EdgeRole::Side), ReadAt::StitchingLine, to_right};
        case L::SideDart: return mouth_of(dart_on(p, EdgeRole::Side));
        case L::SeamAbove: {
            const auto m = princess_mouths(p);
            return m ? mouth_of(p.darts[dart_at(p, m->upper)]) : none();
        }
        case L::FrontWaistDart: return mouth_of(dart_on(p, EdgeRole::Waist));
        case L::BodiceFrontWaist: return waist ? std::optional{Ends{waist->a, waist->b}} : none();
        case L::FrontLength: {
            const double low = waist ? waist->a[Geom::Y] : low_centre(p)[Geom::Y];
            return Ends{{np[Geom::X], np[Geom::Y]}, {np[Geom::X], low}, ReadAt::StitchingLine, to_left};
        }
        case L::BelowWaist:
            return waist ? std::optional{Ends{waist->a, low_centre(p), ReadAt::StitchingLine, to_left}} : none();
        case L::FrontHemWidth: {
            if (!has(p, EdgeRole::Hem)) return none();
            const Point side = first_of(p, EdgeRole::Hem);
            return Ends{{0, side[Geom::Y]}, side, ReadAt::StitchingLine, down};
        }
        case L::BustDepth: return p.bust_point ? std::optional{Ends{np, *p.bust_point, ReadAt::Mark, {}}} : none();
        case L::BustHalfSpan:
            if (!p.bust_point) return none();
            return Ends{{0, (*p.bust_point)[Geom::Y]}, *p.bust_point, ReadAt::Mark, {}};
        default: return none();
    }
}

std::optional<Ends> of_back(TissueLine line, const Piece& p)
{
    const Point np = neck_point(p);
    const Point centre = first_of(p, EdgeRole::Neck);
    switch (line) {
        case L::BackNeckDepth: return Ends{{0, np[Geom::Y]}, centre, ReadAt::StitchingLine, to_left};
        case L::BackShoulderDart: return mouth_of(dart_on(p, EdgeRole::Shoulder));
        case L::BackDrop: return of_front(L::FrontDrop, p);
        case L::AcrossBack: return of_front(L::AcrossFront, p);
        case L::BackBust: return of_front(L::FrontBust, p);
        case L::BodiceBackWaist: return of_front(L::BodiceFrontWaist, p);
        case L::BackWaistDart: return of_front(L::FrontWaistDart, p);
        case L::BackHemWidth: return of_front(L::FrontHemWidth, p);
        case L::BackLength: {
            const auto waist = guide(p, GuideKind::Waist);
            return Ends{centre, waist ? waist->a : low_centre(p), ReadAt::StitchingLine, to_left};
        }
        default: return none();
    }
}

std::optional<Ends> of_skirt(TissueLine line, const Piece& p)
{
    const auto hip = guide(p, GuideKind::Hip);
    const auto dart = dart_on(p, EdgeRole::Waist);
    const Point side = first_of(p, EdgeRole::Side);
    switch (line) {
        case L::SideRise: return Ends{{side[Geom::X], 0}, side, ReadAt::StitchingLine, to_right};
        case L::WaistToHip:
            if (!hip) return none();
            return Ends{{hip->b[Geom::X], side[Geom::Y]}, hip->b, ReadAt::StitchingLine, to_right};
        case L::CentreLength: {
            const auto& centre = edge(p, EdgeRole::Centre).curve;
            return Ends{centre.finalPoint(), centre.initialPoint(), ReadAt::StitchingLine, to_left};
        }
        case L::FrontHip:
        case L::BackHip: return hip ? std::optional{Ends{hip->a, hip->b}} : none();
        case L::FrontDart:
        case L::BackDart: return mouth_of(dart);
        case L::FrontDartLength:
        case L::BackDartLength:
            return dart ? std::optional{Ends{middle_of(*dart), dart->tip, ReadAt::Mark, {}}} : none();
        default: return none();
    }
}

Point inner_point(const Piece& p)
{
    return first_of(p, EdgeRole::Centre);
}

// Where the upright through the centre at the hip meets the waist's level.
Ends lean_of(const Piece& p, const Guide& hip)
{
    const Point top = last_of(p, EdgeRole::Centre);
    return {{hip.a[Geom::X], top[Geom::Y]}, top, ReadAt::StitchingLine, up};
}

// From the inner leg to the side.
std::optional<Ends> leg_across(const Piece& p, std::optional<double> level)
{
    const auto span = level ? lies_across(p, *level) : std::nullopt;
    if (!span) return none();
    return Ends{{span->from, *level}, {span->to, *level}};
}

std::optional<double> level_of(const Piece& p, GuideKind kind)
{
    const auto g = guide(p, kind);
    return g ? std::optional{g->a[Geom::Y]} : std::nullopt;
}

std::optional<Ends> of_leg(TissueLine line, const Piece& p)
{
    const auto hip = guide(p, GuideKind::Hip);
    const auto dart = dart_on(p, EdgeRole::Waist);
    const Point side = first_of(p, EdgeRole::Side);
    const Point inner = inner_point(p);
    switch (line) {
        case L::LegToHip:
            if (!hip) return none();
            return Ends{{hip->b[Geom::X], side[Geom::Y]}, hip->b, ReadAt::StitchingLine, to_right};
        case L::LegRise:
            if (!hip) return none();
            return Ends{{hip->b[Geom::X], side[Geom::Y]},
                        {hip->b[Geom::X], inner[Geom::Y]},
                        ReadAt::StitchingLine,
                        to_right};
        case L::LegFrontHem:
        case L::LegBackHem:
            return Ends{last_of(p, EdgeRole::Hem), first_of(p, EdgeRole::Hem), ReadAt::StitchingLine, down};
        case L::LegFrontKnee:
        case L::LegBackKnee: return leg_across(p, level_of(p, GuideKind::Knee));
        case L::LegToKnee: {
            const auto knee = level_of(p, GuideKind::Knee);
            return knee ? std::optional{Ends{inner, {inner[Geom::X], *knee}, ReadAt::Mark, to_left}} : none();
        }
        case L::LegFrontLean:
        case L::LegBackLean: return hip ? std::optional{lean_of(p, *hip)} : none();
        case L::LegFrontHip:
        case L::LegBackHip: return hip ? leg_across(p, hip->a[Geom::Y]) : none();
        case L::LegFrontThigh:
        case L::LegBackThigh: {
            // A hair under the point, where the level still meets both seams.
            auto out = leg_across(p, inner[Geom::Y] - 1e-6);
            if (out) out->from = inner;
            return out;
        }
        case L::LegFrontDart:
        case L::LegBackDart: return mouth_of(dart);
        case L::LegFrontDartLength:
        case L::LegBackDartLength:
            return dart ? std::optional{Ends{middle_of(*dart), dart->tip, ReadAt::Mark, {}}} : none();
        default: return none();
    }
}

// From the waist down, as far as it opens.
std::optional<LaidLine> fly_of(TissueLine line, const Piece& p)
{
    if (p.side_opening > Length{}) {
        const Curve& side = edge(p, EdgeRole::Side).curve;
        const Curve part = split(side, time_at(side, p.side_opening)).before;
        return LaidLine{line, p.id, part, length(part), ReadAt::Mark, to_right};
    }
    if (p.opening <= Length{}) return std::nullopt;
    const Curve down_centre = reversed(edge(p, EdgeRole::Centre).curve);
    const Length open = std::min(p.opening, length(down_centre) - Length::mm(1));
    const Curve part = split(down_centre, time_at(down_centre, open)).before;
    return LaidLine{line, p.id, part, length(part), ReadAt::Mark, to_left};
}

std::optional<Ends> of_sleeve(TissueLine line, const Piece& p)
{
    const auto bicep = guide(p, GuideKind::Bicep);
    const auto elbow = guide(p, GuideKind::Elbow);
    const Point top = first_of(p, EdgeRole::CapFront);
    const Point hem_front = first_of(p, EdgeRole::Hem);
    const Point hem_back = last_of(p, EdgeRole::Hem);
    const auto straight_down = [&](double level, std::optional<Point> aside = {}) {
        return Ends{top, {top[Geom::X], level}, ReadAt::StitchingLine, aside};
    };
    switch (line) {
        case L::SleeveLength: return straight_down(hem_front[Geom::Y]);
        case L::CapHeight: return bicep ? std::optional{straight_down(bicep->a[Geom::Y])} : none();
        case L::SleeveBicep: return bicep ? std::optional{Ends{bicep->a, bicep->b}} : none();
        case L::SleeveElbow: return elbow ? std::optional{straight_down(elbow->a[Geom::Y])} : none();
        case L::SleeveHem: return Ends{hem_back, hem_front, ReadAt::StitchingLine, down};
        default: return none();
    }
}

std::optional<Ends> of_strip(TissueLine line, const Piece& p)
{
    const auto box = bounds(p);
    const double wide = box.width();
    switch (line) {
        case L::GirthFront:
        case L::GirthBack:
        case L::GirthSide: return Ends{{0, -40}, {wide, -40}};
        case L::GirthFrontDarts:
        case L::GirthBackDarts: return Ends{{wide * 0.5, -84}, {wide, -84}, ReadAt::DartLeg, {}};
        case L::GirthFrontFold:
        case L::GirthBackFold: return Ends{{wide * 0.2, -124}, {wide * 0.4, -124}, ReadAt::Fold, {}};
        default: return none();
    }
}

LaidLine laid(TissueLine line, const Piece& p, const Ends& e)
{
    return {line, p.id, straight(e.from, e.to), Length::mm(Geom::distance(e.from, e.to)), e.read, e.aside};
}

// Along an edge, its darts lying open.
LaidLine along_edge(TissueLine line, const Piece& p, EdgeRole role, bool from_centre, std::optional<Point> aside)
{
    Curve run = open_run(p, role);
    const bool turn = from_centre == (run.initialPoint()[Geom::X] > run.finalPoint()[Geom::X]);
    if (turn) run = reversed(run);
    const Length long_ = length(run);
    return {line, p.id, std::move(run), long_, ReadAt::StitchingLine, aside};
}

// What a girth's strip does not show to scale: its darts and a fold, of any width.
constexpr bool to_no_scale(TissueLine line)
{
    return line == L::GirthFrontDarts || line == L::GirthBackDarts || line == L::GirthFrontFold ||
           line == L::GirthBackFold;
}

const Piece* piece_for(TissueLine line, const std::vector<Piece>& pieces)
{
    const auto by_role = [&](PieceRole role) -> const Piece* {
        const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return p.role == role && p.part.value_or(part_of(line)) == part_of(line);
        });
        return it == pieces.end() ? nullptr : &*it;
    };
    const auto strip_of = [&](TissueLine width) -> const Piece* {
        const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
            return p.role == PieceRole::Other && p.id == facts(width).key;
        });
        return it == pieces.end() ? nullptr : &*it;
    };
    const bool strip = line >= L::GirthFront && line <= L::GirthSide;
    switch (facts(line).on) {
        case TissuePiece::Front: return strip ? strip_of(L::GirthFront) : by_role(PieceRole::Front);
        case TissuePiece::Back: return strip ? strip_of(L::GirthBack) : by_role(PieceRole::Back);
        case TissuePiece::Side: return strip_of(L::GirthSide);
        case TissuePiece::Sleeve: return by_role(PieceRole::Sleeve);
        case TissuePiece::Band: return by_role(PieceRole::Waistband);
        case TissuePiece::Writing: break;
    }
    return nullptr;
}

}  // namespace

std::optional<LaidLine> laid_line(TissueLine line, const std::vector<Piece>& pieces)
{
    const Piece* p = piece_for(line, pieces);
    if (!p) return std::nullopt;
    switch (line) {
        case L::FrontWaist:
        case L::BackWaist: return along_edge(line, *p, EdgeRole::Waist, true, up);
        case L::FrontHem: return along_edge(line, *p, EdgeRole::Hem, true, down);
        case L::FrontShoulder: {
            auto out = along_edge(line, *p, EdgeRole::Shoulder, true, up);
            out.length = sewn_length(*p, EdgeRole::Shoulder);  // of each panel, where there are two
            return out;
        }
        case L::BackShoulder: return along_edge(line, *p, EdgeRole::Shoulder, true, up);
        case L::BodiceFrontWaist:
        case L::BodiceBackWaist:
            if (has(*p, EdgeRole::Waist)) return along_edge(line, *p, EdgeRole::Waist, true, down);
            break;
        case L::SideLength:
            if (has(*p, EdgeRole::Waist)) {
                // The dart shut: as it is sewn.
                auto out = along_edge(line, *p, EdgeRole::Side, true, to_right);
                out.length = sewn_length(*p, EdgeRole::Side);
                return out;
            }
            break;
        case L::LegFrontWaist:
        case L::LegBackWaist: return along_edge(line, *p, EdgeRole::Waist, true, up);
        case L::InsideLeg:
        case L::LegBackInside: {
            const Curve& seam = edge(*p, EdgeRole::InnerLeg).curve;
            return LaidLine{line, p->id, reversed(seam), length(seam), ReadAt::StitchingLine, to_left};
        }
        case L::LegFrontCrotch:
        case L::LegBackCrotch: {
            const Curve& seam = edge(*p, EdgeRole::Centre).curve;
            return LaidLine{line, p->id, reversed(seam), length(seam), ReadAt::StitchingLine, to_left};
        }
        case L::LegFly: return fly_of(line, *p);
        case L::CapLength: {
            const Curve cap = joined(edge(*p, EdgeRole::CapBack).curve, edge(*p, EdgeRole::CapFront).curve);
            return LaidLine{line, p->id, cap, length(cap), ReadAt::StitchingLine, up};
        }
        case L::BandDepth:
        case L::LegBandDepth: {
            const auto box = bounds(*p);
            return laid(line, *p,
                        {{box.min()[Geom::X], box.min()[Geom::Y]},
                         {box.min()[Geom::X], (box.min()[Geom::Y] + box.max()[Geom::Y]) / 2},
                         ReadAt::Fold,
                         to_left});
        }
        default: break;
    }
    const auto ends = part_of(line) == part_of(L::FrontHip)   ? of_skirt(line, *p)
                      : part_of(line) == part_of(L::LegToHip) ? of_leg(line, *p)
                      : p->role == PieceRole::Other           ? of_strip(line, *p)
                      : facts(line).on == TissuePiece::Sleeve ? of_sleeve(line, *p)
                      : facts(line).on == TissuePiece::Back   ? of_back(line, *p)
                                                              : of_front(line, *p);
    if (!ends) return std::nullopt;
    auto out = laid(line, *p, *ends);
    if (to_no_scale(line)) out.length = {};
    return out;
}

}  // namespace sartorum
