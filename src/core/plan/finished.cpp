#include "core/plan/finished.h"

#include <algorithm>
#include <cmath>

#include "core/check/seam_run.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/dart.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/plan/both_sides.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr int profile_steps = 40;

// A measure that a part of this garment has.
struct Source {
    GarmentMeasure what;
    std::optional<Measure> body;
};

// Over one shoulder and between the legs: of a garment that has both.
Length trunk_of(const FlatMeasures& flat)
{
    const bool whole = flat.has(GarmentMeasure::FrontLength) && flat.has(GarmentMeasure::CrotchFront);
    if (!whole) return {};
    return flat.of(GarmentMeasure::FrontLength) + flat.of(GarmentMeasure::CentreBack) +
           flat.of(GarmentMeasure::CrotchFront) + flat.of(GarmentMeasure::CrotchBack);
}

std::vector<Source> sources(const Computed& c)
{
    std::vector<Source> out;
    for (const auto part : parts_of(c.altered.pieces)) {
        const auto flat = measure_flat(part_view(c.altered, part).pieces);
        for (const auto& row : all_garment_measures()) {
            const bool there =
                std::any_of(out.begin(), out.end(), [&](const Source& s) { return s.what == row.measure; });
            if (row.place > 0 && flat.has(row.measure) && !there)
                out.push_back({row.measure, body_beside(row.measure, part)});
        }
    }
    if (trunk_of(c.altered_flat) > Length{}) out.push_back({GarmentMeasure::Trunk, Measure::TrunkGirth});
    std::sort(out.begin(), out.end(),
              [](const Source& a, const Source& b) { return facts(a.what).place < facts(b.what).place; });
    return out;
}

// The size traced at the level of a measure.
std::optional<std::size_t> size_of(Measure m, const SizeChart& chart, const Plan& plan)
{
    if (m == Measure::Waist) return chart.index_of(plan.size_at(Level::Waist));
    if (m == Measure::Hip) return chart.index_of(plan.size_at(Level::Hip));
    return chart.index_of(plan.frame_size());
}

// One piece's width from its centre to the side seam, `along` the sewn side from its upper end, less darts.
struct SideAt {
    Length width;
    double level = 0;
    Length in_darts{};
};

SideAt plain_side_at(const Piece& p, Length along)
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
        const Curve& centre = edge(p, EdgeRole::Centre).curve;
        return {Length::mm(at[Geom::X] - centre.initialPoint()[Geom::X]) - taken, at[Geom::Y], taken};
    }
    return {};
}

// A level that the waist dips under does not go all the way across.
bool waist_dips_under(const Piece& p, double level)
{
    return std::any_of(p.edges.begin(), p.edges.end(), [&](const Edge& e) {
        return e.role == EdgeRole::Waist && e.curve.boundsFast()->min()[Geom::Y] < level;
    });
}

// Of a leg from seam to seam; where the waist begins it is as wide as that is sewn.
SideAt leg_at(const Piece& p, Length along)
{
    const Curve& side = edge(p, EdgeRole::Side).curve;
    const double level = side.pointAt(time_at(side, along))[Geom::Y];
    if (waist_dips_under(p, level)) return {sewn_length(p, EdgeRole::Waist), level, {}};
    Length taken;
    for (const auto& d : p.darts) taken += taken_at(d, std::min(level, (d.leg_a + d.leg_b)[Geom::Y] / 2));
    return {width_at(p, level).value_or(Length{}) - taken, level, taken};
}

// A gore leans: as wide as it is between its two seams at that level.
SideAt side_at(const Piece& p, Length along)
{
    if (edge_index(p, EdgeRole::InnerLeg)) return leg_at(p, along);
    SideAt out = plain_side_at(as_plain(p, Flank::Outer), along);
    const bool gore = edge_index(p, EdgeRole::Inner).has_value();
    if (const auto between = gore ? width_at(p, out.level) : std::nullopt) out.width = *between - out.in_darts;
    return out;
}

// A part that begins at the waist has it at the upper end of its side seam.
double waist_level(const Piece& p)
{
    const auto waist = guide(p, GuideKind::Waist);
    if (waist) return waist->b[Geom::Y];
    const bool above = begins_with(p, EdgeRole::Waist);
    const EdgeRole role = *flank_role(p, Flank::Outer);
    const Curve& side = p.edges[*edge_index(p, role, !above)].curve;
    return (above ? side.initialPoint() : side.finalPoint())[Geom::Y];
}

// Of a whole face: its pieces side by side, as far down each of their seams; the level is the last one's. A yoke
// is a ring that lies on the body: as wide as its two edges, the nearer the more.
SideAt face_at(const std::vector<Piece>& pieces, PieceRole face, Length along)
{
    SideAt out;
    for (const std::size_t i : face_of(pieces, face)) {
        const Piece& ring = pieces[i];
        if (edge_index(ring, EdgeRole::Lower)) {
            const double down = along / sewn_length(ring, EdgeRole::Side);
            out.width +=
                sewn_length(ring, EdgeRole::Waist) * (1 - down) + sewn_length(ring, EdgeRole::Lower) * down;
            out.level = waist_level(ring) - along.in_mm();
            continue;
        }
        const SideAt here = side_at(pieces[i], along);
        out.width += here.width;
        out.level = here.level;
    }
    return out;
}

// Down every part's side seam.
std::vector<GirthAt> girths(const Garment& g)
{
    std::vector<GirthAt> out;
    Length below_waist;  // where the part begins, under a yoke
    for (const auto part : parts_of(g.pieces)) {
        const Garment view = part_view(g, part);
        const Piece& front = view.pieces[face_of(view.pieces, PieceRole::Front).back()];
        const Piece& back = view.pieces[face_of(view.pieces, PieceRole::Back).back()];
        const Length whole = std::min(sewn_length(front, EdgeRole::Side), sewn_length(back, EdgeRole::Side));
        const double waist = waist_level(back);
        for (int i = 0; i <= profile_steps; ++i) {
            const Length along = whole * (double(i) / profile_steps);
            const SideAt f = face_at(view.pieces, PieceRole::Front, along);
            const SideAt b = face_at(view.pieces, PieceRole::Back, along);
            const bool leg = edge_index(front, EdgeRole::InnerLeg) && f.level < inner_leg_point(front)[Geom::Y];
            out.push_back(
                {Length::mm(b.level - waist) - below_waist, (f.width + b.width) * (leg ? 1.0 : 2.0), leg});
        }
        if (begins_with(back, EdgeRole::Waist)) below_waist = -out.back().height;
    }
    return out;
}

// What the garment measures where the tape lay: its own measure at that level where it has one, else read off its
// girths.
Length garment_at(const std::vector<GirthAt>& girths, const FlatMeasures& flat, const BodyGirthAt& body)
{
    for (const auto& row : all_garment_measures()) {
        const bool beside =
            std::any_of(row.lies.begin(), row.lies.end(), [&](const LiesOn& l) { return l.body == body.measure; });
        // A hem's level is its own, wherever the hip is.
        if (beside && row.level != Level::Hem && flat.has(row.measure)) return flat.of(row.measure);
    }
    const auto off = [&](const GirthAt& g) {
        return g.leg == body.at.leg ? abs(g.height - body.at.height) : piece_most;
    };
    const auto nearest = std::min_element(girths.begin(), girths.end(),
                                          [&](const GirthAt& a, const GirthAt& b) { return off(a) < off(b); });
    return nearest->girth;
}

void add_body(EaseProfile& out, const BodySet& body, Measure m, Length height, bool level_measured)
{
    const auto taken = body.taken(m);
    if (taken) out.body.push_back({m, {height, taken->value}, level_measured, {}, {}});
}

// Of each side, where nobody would take them for one.
void tell_sides(FinishedRow& row, const Computed& c, const BodySet& body, std::optional<Measure> beside)
{
    if (!c.left || !c.left->flat.has(row.what)) return;
    const bool round = facts(row.what).round == GoesRound::Body;
    const auto of = [&](const FlatMeasures& flat, Side side) {
        SideMeasures out{flat.of(row.what) / (round ? 2.0 : 1.0), {}};
        const auto taken = beside ? body.taken(*beside, side) : std::nullopt;
        if (!taken || !facts(*beside).sided) return out;
        out.body = taken->value;
        out.holds = out.after >= taken->value + row.least - taken->spread;
        return out;
    };
    const SideMeasures right = of(c.left->right_flat, Side::Right);
    const SideMeasures left = of(c.left->flat, Side::Left);
    if (abs(right.after - left.after) < least_by_hand) return;
    row.right = right;
    row.left = left;
    // A sleeve is worn on its own arm.
    if (right.body && left.body) row.holds = right.holds && left.holds;
}

// Round one leg, where the garment reaches.
void add_legs(EaseProfile& out, const Garment& altered, const BodySet& body)
{
    for (const auto& front : altered.pieces) {
        if (front.role != PieceRole::Front || !edge_index(front, EdgeRole::InnerLeg)) continue;
        const double waist = waist_level(front);
        const double crotch = inner_leg_point(front)[Geom::Y];
        const auto rise = body.taken(Measure::BodyRise);
        const Length above = rise ? rise->value : Length::mm(waist - crotch);
        const auto at = [&](Measure m, Length height, bool measured) {
            const auto taken = body.taken(m);
            const bool reached = out.after.back().height <= height;
            if (taken && reached) out.body.push_back({m, {height, taken->value, true}, measured, {}, {}});
        };
        at(Measure::Thigh, -(above + thigh_below), rise.has_value());
        const auto knee = guide(front, GuideKind::Knee);
        if (!knee) continue;
        const Length knee_height = Length::mm(knee->a[Geom::Y] - waist);
        at(Measure::Knee, knee_height, false);
        at(Measure::Calf, knee_height - calf_below, false);
    }
}

EaseProfile body_levels(const Computed& c, const BodySet& body)
{
    EaseProfile out{.before = girths(c.traced), .after = girths(c.altered)};
    if (c.left) {
        out.after_right = out.after;
        out.after_left = girths(c.left->altered);
        for (std::size_t i = 0; i < out.after.size(); ++i)
            out.after[i].girth = (out.after_right[i].girth + out.after_left[i].girth) / 2.0;
    }
    const Garment uppermost = part_view(c.altered, parts_of(c.altered.pieces).front());
    if (const auto bodice = front_and_back_at(uppermost, Level::Bust)) {
        const Piece& front = bodice->front;
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
    const Length hip = -(depth ? depth->value : usual_waist_to_hip);
    add_body(out, body, Measure::HighHip, hip / 2.0, false);
    add_body(out, body, Measure::Hip, hip, depth.has_value());
    add_legs(out, c.altered, body);
    return out;
}

}  // namespace

std::vector<FinishedRow> finished_table(const Computed& c)
{
    const Plan& plan = c.work.plan;
    const SizeChart chart = c.work.sizes();
    const BodySet body = c.work.worn_by();
    std::vector<FinishedRow> out;
    for (const auto& s : sources(c)) {
        FinishedRow row{s.what, c.traced_flat.of(s.what), {}, {}, c.altered_flat.of(s.what), {}, true};
        if (s.what == GarmentMeasure::Trunk) {
            row.bought = trunk_of(c.traced_flat);
            row.after = trunk_of(c.altered_flat);
        }
        const auto taken = s.body ? body.taken(*s.body) : std::nullopt;
        if (facts(s.what).between_levels && !taken) continue;
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
        if (s.what == GarmentMeasure::Cap && c.checks.cap) {
            row.needed = c.checks.cap->armhole + c.checks.cap->wanted;
            row.holds = c.checks.cap->holds && (!c.checks.cap_left || c.checks.cap_left->holds);
        }
        tell_sides(row, c, body, s.body);
        out.push_back(row);
    }
    return out;
}

EaseProfile ease_profile(const Computed& c)
{
    EaseProfile out = body_levels(c, *c.work.body);
    for (auto& b : out.body) {
        b.ease_before = garment_at(out.before, c.traced_flat, b) - b.at.girth;
        b.ease_after = garment_at(out.after, c.altered_flat, b) - b.at.girth;
    }
    return out;
}

}  // namespace sartorum
