#include "core/plan/finished.h"

#include <algorithm>
#include <cmath>

#include "core/check/seam_run.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr int profile_steps = 40;
constexpr Length usual_hip = Length::mm(-205);  // where the level was not measured

struct Source {
    FinishedMeasure what;
    Length FlatMeasures::*flat;
    std::optional<Measure> body;
};

std::vector<Source> sources(const Garment& g)
{
    using enum FinishedMeasure;
    if (!is_bodice(g)) {
        return {{Waist, &FlatMeasures::waist, Measure::Waist},
                {Hip, &FlatMeasures::hip, Measure::Hip},
                {Hem, &FlatMeasures::hem, {}},
                {Side, &FlatMeasures::side, {}}};
    }
    const bool hem = bottom_role(*find_piece(g.pieces, PieceRole::Front)) == EdgeRole::Hem;
    std::vector<Source> out{{Bust, &FlatMeasures::bust, Measure::Bust},
                            {Waist, &FlatMeasures::waist, Measure::Waist}};
    if (hem) out.push_back({Hem, &FlatMeasures::hem, Measure::Hip});
    out.insert(out.end(), {{Shoulder, &FlatMeasures::shoulder, {}},
                           {Neck, &FlatMeasures::neck, {}},
                           {FrontLength, &FlatMeasures::front_length, {}},
                           {CentreBack, &FlatMeasures::centre_back, {}},
                           {Side, &FlatMeasures::side, {}},
                           {Armhole, &FlatMeasures::armhole, {}}});
    if (!find_piece(g.pieces, PieceRole::Sleeve)) return out;
    out.insert(out.end(), {{Cap, &FlatMeasures::cap, {}},
                           {UpperArm, &FlatMeasures::upper_arm, Measure::UpperArm},
                           {SleeveHem, &FlatMeasures::wrist, {}},
                           {Sleeve, &FlatMeasures::sleeve, {}}});
    return out;
}

// The size traced at the level of a measure.
std::optional<std::size_t> size_of(Measure m, const SizeChart& chart, const Plan& plan)
{
    if (m == Measure::Waist) return chart.index_of(plan.waist_size);
    if (m == Measure::Hip) return chart.index_of(plan.hip_size);
    return chart.index_of(plan.bust_size.empty() ? plan.hip_size : plan.bust_size);
}

// One piece's width from its centre to the side seam, `along` the sewn side from its upper end, less darts.
struct SideAt {
    Length width;
    double level = 0;
};

SideAt side_at(const Piece& p, Length along)
{
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Side) continue;
        const Length here = length(e.curve);
        if (along > here + Length::mm(1e-6)) {
            along = along - here;
            continue;
        }
        const Point at = e.curve.pointAt(time_at(e.curve, along));
        Length taken;
        for (std::size_t i = 1; i < p.edges.size(); ++i) {
            if (p.edges[i].role != EdgeRole::DartMouth || p.edges[i - 1].role == EdgeRole::Side) continue;
            // The side may end lower than a mouth on a curved edge: the whole mouth counts there.
            const Dart& d = p.darts[dart_at(p, i)];
            const double mouth = (d.leg_a[Geom::Y] + d.leg_b[Geom::Y]) / 2;
            const double level =
                mouth < d.tip[Geom::Y] ? std::max(at[Geom::Y], mouth) : std::min(at[Geom::Y], mouth);
            taken += taken_at(d, level);
        }
        const double centre = edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::X];
        return {Length::mm(at[Geom::X] - centre) - taken, at[Geom::Y]};
    }
    return {};
}

double waist_level(const Piece& p)
{
    const auto waist = guide(p, GuideKind::Waist);
    if (waist) return waist->b[Geom::Y];
    const std::size_t side = *edge_index(p, EdgeRole::Side, is_bodice(p));
    return is_bodice(p) ? p.edges[side].curve.finalPoint()[Geom::Y] : p.edges[side].curve.initialPoint()[Geom::Y];
}

std::vector<GirthAt> girths(const Garment& g)
{
    const Piece& front = *find_piece(g.pieces, PieceRole::Front);
    const Piece& back = *find_piece(g.pieces, PieceRole::Back);
    const Length whole = std::min(sewn_length(front, EdgeRole::Side), sewn_length(back, EdgeRole::Side));
    const double waist = waist_level(back);
    std::vector<GirthAt> out;
    for (int i = 0; i <= profile_steps; ++i) {
        const Length along = whole * (double(i) / profile_steps);
        const SideAt f = side_at(front, along);
        const SideAt b = side_at(back, along);
        out.push_back({Length::mm(b.level - waist), (f.width + b.width) * 2.0});
    }
    return out;
}

// What the garment measures where the tape lay: its own measure where it has one, else read off its girths.
Length garment_at(const std::vector<GirthAt>& girths, const FlatMeasures& flat, const BodyGirthAt& body, bool top)
{
    if (body.measure == Measure::Waist) return flat.waist;
    if (body.measure == Measure::Hip && !top) return flat.hip;
    if (body.measure == Measure::Bust) return flat.bust;
    const auto nearest = std::min_element(girths.begin(), girths.end(), [&](const GirthAt& a, const GirthAt& b) {
        return abs(a.height - body.at.height) < abs(b.height - body.at.height);
    });
    return nearest->girth;
}

void add_body(EaseProfile& out, const BodySet& body, Measure m, Length height, bool level_measured)
{
    const auto taken = body.taken(m);
    if (taken) out.body.push_back({m, {height, taken->value}, level_measured, {}, {}});
}

EaseProfile body_levels(const Computed& c, const BodySet& body)
{
    EaseProfile out{girths(c.traced), girths(c.altered), {}};
    const Piece& front = *find_piece(c.altered.pieces, PieceRole::Front);
    if (is_bodice(front)) {
        const Length under = out.after.front().height;
        add_body(out, body, Measure::HighBust, under, false);
        const auto waist_length = body.taken(Measure::FrontWaistLength);
        const auto depth = body.taken(Measure::BustDepth);
        const bool known = waist_length && depth;
        Length level = under * 0.8;
        if (front.bust_point) level = Length::mm((*front.bust_point)[Geom::Y] - waist_level(front));
        if (known) level = waist_length->value - depth->value;
        add_body(out, body, Measure::Bust, level, known);
    }
    add_body(out, body, Measure::Waist, {}, true);
    const bool below = out.after.back().height < Length::mm(-60);
    if (!below) return out;
    const auto depth = body.taken(Measure::WaistToHip);
    const Length hip = depth ? depth->value * -1.0 : usual_hip;
    add_body(out, body, Measure::HighHip, hip / 2.0, false);
    add_body(out, body, Measure::Hip, hip, depth.has_value());
    return out;
}

}  // namespace

std::vector<FinishedRow> finished_table(const Computed& c, const SizeChart& printed, const BodySet& standing,
                                        const Plan& plan)
{
    const SizeChart chart = printed.of_group(plan.chart_group);
    const BodySet body = as_worn(standing, plan.choosing.seated);
    std::vector<FinishedRow> out;
    for (const auto& s : sources(c.altered)) {
        FinishedRow row{s.what, c.traced_flat.*s.flat, {}, {}, c.altered_flat.*s.flat, {}, true};
        const auto taken = s.body ? body.taken(*s.body) : std::nullopt;
        if (taken) {
            row.body = taken->value;
            row.least = least_ease(*s.body, plan.cloth, taken->value);
            row.holds = row.after >= taken->value + row.least - taken->spread;
            const auto wish = plan.ease.find(*s.body);
            const auto size = size_of(*s.body, chart, plan);
            const auto drafted = size ? chart.body(*size, *s.body) : std::nullopt;
            if (wish != plan.ease.end()) {
                row.needed = taken->value + wish->second;
            } else if (drafted) {
                row.needed = taken->value + (row.bought - *drafted);
            }
        }
        if (s.what == FinishedMeasure::Cap && c.checks.cap) {
            row.needed = c.checks.cap->armhole + c.checks.cap->wanted;
            row.holds = c.checks.cap->holds;
        }
        out.push_back(row);
    }
    return out;
}

EaseProfile ease_profile(const Computed& c, const BodySet& body)
{
    EaseProfile out = body_levels(c, body);
    const bool top = c.checks.shoulder.has_value();
    for (auto& b : out.body) {
        b.ease_before = garment_at(out.before, c.traced_flat, b, top) - b.at.girth;
        b.ease_after = garment_at(out.after, c.altered_flat, b, top) - b.at.girth;
    }
    return out;
}

}  // namespace sartorum
