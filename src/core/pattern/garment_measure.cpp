#include "core/pattern/garment_measure.h"

#include "core/pattern/dart.h"
#include "core/pattern/garment.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

using Value = std::optional<Length>;

template <EdgeRole role>
Value along(const Piece& p)
{
    return edge_index(p, role) ? Value{sewn_length(p, role)} : std::nullopt;
}

// What darts, tucks and pleats take of a width at a level.
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
Value bust_width(const Piece& piece)
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

// Along the waist line where one is drawn across, else the edge.
Value waist_width(const Piece& piece)
{
    const auto line = guide(piece, GuideKind::Waist);
    return line ? Value{Length::mm(Geom::distance(line->a, line->b))} : along<EdgeRole::Waist>(piece);
}

// A tuck stitched down past the hip takes its width there too.
Value hip_width(const Piece& piece)
{
    const double level = guide(piece, GuideKind::Hip)->a[Geom::Y];
    return width_at(piece, level).value_or(Length{}) - taken_of(piece, level);
}

Value waist_to_hip(const Piece& piece)
{
    if (!edge_index(piece, EdgeRole::Side)) return std::nullopt;  // a gore that is not at the side
    const double hip = guide(piece, GuideKind::Hip)->a[Geom::Y];
    return Length::mm(edge(piece, EdgeRole::Side).curve.initialPoint()[Geom::Y] - hip);
}

// Darts closed.
Value high_hip_width(const Piece& piece)
{
    const auto level = high_hip_level(piece);
    return level ? Value{width_at(piece, *level).value_or(Length{}) - taken_of(piece, *level)} : std::nullopt;
}

Point inner_leg_point(const Piece& leg)
{
    return edge(leg, EdgeRole::InnerLeg).curve.finalPoint();
}

Value rise(const Piece& leg)
{
    return Length::mm((edge(leg, EdgeRole::Side).curve.initialPoint() - inner_leg_point(leg))[Geom::Y]);
}

Value thigh_width(const Piece& leg)
{
    return width_at(leg, inner_leg_point(leg)[Geom::Y] - thigh_below.in_mm());
}

Value knee_width(const Piece& leg)
{
    const auto line = guide(leg, GuideKind::Knee);
    return line ? width_at(leg, line->a[Geom::Y]) : std::nullopt;
}

Value calf_width(const Piece& leg)
{
    const auto level = calf_level(leg);
    return level ? width_at(leg, *level) : std::nullopt;
}

Value front_length(const Piece& piece)
{
    const Point neck = edge(piece, EdgeRole::Shoulder).curve.initialPoint();
    return Length::mm(neck[Geom::Y] - edge(piece, EdgeRole::Centre).curve.initialPoint()[Geom::Y]);
}

Value cap(const Piece& sleeve)
{
    return sewn_length(sleeve, EdgeRole::CapFront) + sewn_length(sleeve, EdgeRole::CapBack);
}

Value bicep_width(const Piece& sleeve)
{
    const Point front = edge(sleeve, EdgeRole::UnderarmFront).curve.initialPoint();
    return Length::mm(Geom::distance(front, edge(sleeve, EdgeRole::UnderarmBack).curve.finalPoint()));
}

Value sleeve_length(const Piece& sleeve)
{
    const Point top = edge(sleeve, EdgeRole::CapBack).curve.finalPoint();
    const Curve& hem = edge(sleeve, EdgeRole::Hem).curve;
    double low = hem.pointAt(0.5)[Geom::Y];
    for (std::size_t i = 0; i < hem.size_default(); ++i) {
        const auto under = hem[i].roots(top[Geom::X], Geom::X);
        if (!under.empty()) low = hem[i].valueAt(under.front(), Geom::Y);
    }
    return Length::mm(top[Geom::Y] - low);
}

constexpr auto upper = PartKind::Upper;
constexpr auto yoke = PartKind::Yoke;
constexpr auto trousers = PartKind::Trousers;
constexpr auto skirt = PartKind::Skirt;
constexpr auto below_yoke = PartKind::BelowYoke;

constexpr std::array neck_lies{LiesOn{upper, On::FrontAndBack, 1, along<EdgeRole::Neck>}};
constexpr std::array shoulder_lies{LiesOn{upper, On::Front, 1, along<EdgeRole::Shoulder>}};
constexpr std::array armhole_lies{LiesOn{upper, On::FrontAndBack, 1, along<EdgeRole::Armhole>}};
constexpr std::array bust_lies{LiesOn{upper, On::FrontAndBack, 2, bust_width, Measure::Bust}};
constexpr std::array waist_lies{LiesOn{upper, On::FrontAndBack, 2, waist_width, Measure::Waist},
                                LiesOn{yoke, On::FrontAndBack, 2, along<EdgeRole::Waist>, Measure::Waist},
                                LiesOn{trousers, On::FrontAndBack, 2, along<EdgeRole::Waist>, Measure::Waist},
                                LiesOn{skirt, On::FrontAndBack, 2, along<EdgeRole::Waist>, Measure::Waist}};
constexpr std::array hip_lies{LiesOn{trousers, On::FrontAndBack, 2, hip_width, Measure::Hip},
                              LiesOn{skirt, On::FrontAndBack, 2, hip_width, Measure::Hip},
                              LiesOn{below_yoke, On::FrontAndBack, 2, hip_width, Measure::Hip}};
constexpr std::array side_lies{
    LiesOn{upper, On::Front, 1, along<EdgeRole::Side>}, LiesOn{trousers, On::Front, 1, along<EdgeRole::Side>},
    LiesOn{skirt, On::Front, 1, along<EdgeRole::Side>}, LiesOn{below_yoke, On::Front, 1, along<EdgeRole::Side>}};
constexpr std::array centre_front_lies{LiesOn{upper, On::Front, 1, along<EdgeRole::Centre>}};
constexpr std::array centre_back_lies{LiesOn{upper, On::Back, 1, along<EdgeRole::Centre>}};
// A top's hem is at its hip.
constexpr std::array hem_lies{LiesOn{upper, On::FrontAndBack, 2, along<EdgeRole::Hem>, Measure::Hip},
                              LiesOn{skirt, On::FrontAndBack, 2, along<EdgeRole::Hem>},
                              LiesOn{below_yoke, On::FrontAndBack, 2, along<EdgeRole::Hem>}};
constexpr std::array band_lies{LiesOn{std::nullopt, On::Band, 2, along<EdgeRole::Waist>}};
constexpr std::array cap_lies{LiesOn{upper, On::Sleeve, 1, cap}};
constexpr std::array upper_arm_lies{LiesOn{upper, On::Sleeve, 1, bicep_width, Measure::UpperArm}};
constexpr std::array sleeve_hem_lies{LiesOn{upper, On::Sleeve, 1, along<EdgeRole::Hem>}};
constexpr std::array sleeve_lies{LiesOn{upper, On::Sleeve, 1, sleeve_length}};
constexpr std::array front_length_lies{LiesOn{upper, On::Front, 1, front_length}};
constexpr std::array waist_to_hip_lies{LiesOn{trousers, On::Front, 1, waist_to_hip},
                                       LiesOn{skirt, On::Front, 1, waist_to_hip}};
constexpr std::array high_hip_lies{LiesOn{trousers, On::FrontAndBack, 2, high_hip_width, Measure::HighHip},
                                   LiesOn{skirt, On::FrontAndBack, 2, high_hip_width, Measure::HighHip}};
constexpr std::array crotch_front_lies{
    LiesOn{trousers, On::Front, 1, along<EdgeRole::Centre>, Measure::FrontRise}};
constexpr std::array crotch_back_lies{LiesOn{trousers, On::Back, 1, along<EdgeRole::Centre>, Measure::BackRise}};
constexpr std::array rise_lies{LiesOn{trousers, On::Front, 1, rise, Measure::BodyRise}};
constexpr std::array thigh_lies{LiesOn{trousers, On::FrontAndBack, 1, thigh_width, Measure::Thigh}};
constexpr std::array knee_lies{LiesOn{trousers, On::FrontAndBack, 1, knee_width, Measure::Knee}};
constexpr std::array calf_lies{LiesOn{trousers, On::FrontAndBack, 1, calf_width, Measure::Calf}};
constexpr std::array leg_hem_lies{LiesOn{trousers, On::FrontAndBack, 1, along<EdgeRole::Hem>}};
constexpr std::array inside_leg_lies{LiesOn{trousers, On::Front, 1, along<EdgeRole::InnerLeg>}};

constexpr auto girth = MeasureKind::Girth;
constexpr auto length_along = MeasureKind::Along;

constexpr std::array<GarmentMeasureFacts, garment_measure_count> measure_rows{{
    {GarmentMeasure::Neck, "neck", Level::Shoulder, length_along, true, 15, neck_lies, GoesRound::Neck},
    {GarmentMeasure::Shoulder, "shoulder", Level::Shoulder, length_along, true, 14, shoulder_lies},
    {GarmentMeasure::Armhole, "armhole", Level::Underarm, length_along, true, 19, armhole_lies},
    {GarmentMeasure::Bust, "bust", Level::Bust, girth, true, 1, bust_lies, GoesRound::Body},
    {GarmentMeasure::Waist, "waist", Level::Waist, girth, true, 2, waist_lies, GoesRound::Body},
    {GarmentMeasure::Hip, "hip", Level::Hip, girth, true, 4, hip_lies, GoesRound::Body},
    {GarmentMeasure::Side, "side", Level::Waist, length_along, true, 18, side_lies},
    {GarmentMeasure::CentreFront, "centre_front", Level::Waist, length_along, true, 0, centre_front_lies},
    {GarmentMeasure::CentreBack, "centre_back", Level::Waist, length_along, true, 17, centre_back_lies},
    {GarmentMeasure::Hem, "hem", Level::Hem, girth, true, 8, hem_lies, GoesRound::Body},
    {GarmentMeasure::Band, "band", Level::Waist, girth, true, 0, band_lies, GoesRound::Body},
    {GarmentMeasure::Cap, "cap", Level::Underarm, length_along, true, 20, cap_lies},
    {GarmentMeasure::UpperArm, "upper_arm", Level::Underarm, girth, true, 21, upper_arm_lies, GoesRound::Limb},
    {GarmentMeasure::SleeveHem, "sleeve_hem", Level::Underarm, girth, true, 22, sleeve_hem_lies, GoesRound::Limb},
    {GarmentMeasure::Sleeve, "sleeve", Level::Shoulder, length_along, true, 23, sleeve_lies},
    {GarmentMeasure::FrontLength, "front_length", Level::Waist, length_along, false, 16, front_length_lies},
    {GarmentMeasure::WaistToHip, "waist_to_hip", Level::Hip, length_along, false, 0, waist_to_hip_lies},
    {GarmentMeasure::HighHip, "high_hip", Level::HighHip, girth, true, 3, high_hip_lies, GoesRound::Body, true},
    {GarmentMeasure::CrotchFront, "crotch_front", Level::Crotch, length_along, true, 10, crotch_front_lies},
    {GarmentMeasure::CrotchBack, "crotch_back", Level::Crotch, length_along, true, 11, crotch_back_lies},
    {GarmentMeasure::Rise, "rise", Level::Crotch, length_along, true, 12, rise_lies},
    {GarmentMeasure::Thigh, "thigh", Level::Crotch, girth, true, 5, thigh_lies, GoesRound::Limb},
    {GarmentMeasure::Knee, "knee", Level::Knee, girth, true, 6, knee_lies, GoesRound::Limb},
    {GarmentMeasure::LegHem, "leg_hem", Level::Hem, girth, true, 9, leg_hem_lies, GoesRound::Limb},
    {GarmentMeasure::InsideLeg, "inside_leg", Level::Crotch, length_along, true, 24, inside_leg_lies},
    {GarmentMeasure::Calf, "calf", Level::Knee, girth, true, 7, calf_lies, GoesRound::Limb, true},
    {GarmentMeasure::Trunk, "trunk", Level::Crotch, length_along, false, 13, {}},
}};

bool lies_here(const LiesOn& l, const Piece& p)
{
    if (l.part != p.part) return false;
    switch (l.on) {
        case On::FrontAndBack: return goes_round(p);
        case On::Front: return p.role == PieceRole::Front;
        case On::Back: return p.role == PieceRole::Back;
        case On::Sleeve: return p.role == PieceRole::Sleeve;
        case On::Band: return p.role == PieceRole::Waistband;
    }
    return false;
}

}  // namespace

bool goes_all_round(GarmentMeasure m)
{
    const auto round = facts(m).round;
    return round == GoesRound::Body || round == GoesRound::Neck;
}

std::optional<double> high_hip_level(const Piece& piece)
{
    const auto side = edge_index(piece, EdgeRole::Side);
    const auto hip = guide(piece, GuideKind::Hip);
    if (!side || !hip || edge_index(piece, EdgeRole::Inner) || edge_index(piece, EdgeRole::Outer))
        return std::nullopt;
    return (piece.edges[*side].curve.initialPoint()[Geom::Y] + hip->a[Geom::Y]) / 2;
}

std::optional<double> calf_level(const Piece& leg)
{
    const auto knee = guide(leg, GuideKind::Knee);
    if (!knee) return std::nullopt;
    const double level = knee->a[Geom::Y] - calf_below.in_mm();
    constexpr double past_it = 40;
    return level > edge(leg, EdgeRole::Hem).curve.initialPoint()[Geom::Y] + past_it ? std::optional{level}
                                                                                    : std::nullopt;
}

std::span<const GarmentMeasureFacts, garment_measure_count> all_garment_measures()
{
    return measure_rows;
}

const GarmentMeasureFacts& facts(GarmentMeasure m)
{
    return measure_rows[static_cast<std::size_t>(m)];
}

std::optional<GarmentMeasure> garment_round(Measure body)
{
    for (const auto& row : all_garment_measures()) {
        const bool beside =
            std::any_of(row.lies.begin(), row.lies.end(), [&](const LiesOn& l) { return l.body == body; });
        if (row.kind == MeasureKind::Girth && beside) return row.measure;
    }
    return std::nullopt;
}

std::optional<Measure> body_beside(GarmentMeasure m, PartKind part)
{
    for (const auto& l : facts(m).lies) {
        if (l.part == part) return l.body;
    }
    return std::nullopt;
}

void FlatMeasures::add(GarmentMeasure m, Length by)
{
    auto& value = values_[static_cast<std::size_t>(m)];
    value = value.value_or(Length{}) + by;
}

void FlatMeasures::add(const FlatMeasures& other)
{
    for (const auto& row : measure_rows) {
        if (other.has(row.measure)) add(row.measure, other.of(row.measure));
    }
}

void FlatMeasures::overlay(const FlatMeasures& other)
{
    for (std::size_t i = 0; i < values_.size(); ++i) {
        if (other.values_[i]) values_[i] = other.values_[i];
    }
}

FlatMeasures measure_piece(const Piece& piece)
{
    FlatMeasures out;
    for (const auto& row : measure_rows) {
        for (const auto& l : row.lies) {
            if (!lies_here(l, piece)) continue;
            if (const auto value = l.of(piece)) out.add(row.measure, *value * l.times);
        }
    }
    return out;
}

Length measured_alone(const std::vector<Piece>& pieces, GarmentMeasure m)
{
    Length out;
    for (const auto& p : pieces) {
        for (const auto& l : facts(m).lies) {
            const auto value = lies_here(l, p) ? l.of(p) : std::nullopt;
            if (value) out += *value * l.times;
        }
    }
    return out;
}

FlatMeasures measure_flat(const std::vector<Piece>& pieces)
{
    FlatMeasures out;
    const auto parts = parts_of(pieces);
    for (auto part = parts.rbegin(); part != parts.rend(); ++part) {
        FlatMeasures of_part;
        for (const auto& p : pieces) {
            if (p.part == *part) of_part.add(measure_piece(p));
        }
        out.overlay(of_part);
    }
    for (const auto& p : pieces) {
        if (!p.part) out.add(measure_piece(p));
    }
    return out;
}

}  // namespace sartorum
