#include "core/alter/lengths/rows.h"

#include <algorithm>
#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/waist.h"
#include "core/pattern/dart.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr auto line_key = "waist_line";
constexpr std::array<AmountPlace, station_count> stations{
    {{"centre_front", true}, {"mid_front"}, {"side"}, {"mid_back"}, {"centre_back", true}}};
constexpr Length least_from_chart = Length::mm(6);
constexpr Length least_between_sides = Length::mm(5);

AtStations stations_of(const Dose& dose)
{
    AtStations out;
    out.fill(dose.front);
    if (dose.at.size() == station_count) std::copy(dose.at.begin(), dose.at.end(), out.begin());
    return out;
}

// What lies where the old waist stood, at the end nearer the centre, in the middle of its length and at the other.
struct Marked {
    Length near;
    Length middle;
    Length far;
    [[nodiscard]] bool none() const { return std::max({abs(near), abs(middle), abs(far)}) < nothing_on_paper; }
};

Dimension dimension(Point at, Length by)
{
    return {at, at + Point{0, by.in_mm()}, abs(by)};
}

void record(std::vector<Step>& steps, const Piece& before, const Piece& after, const Marked& m)
{
    Step mark = step_on(before, StepKind::MarkWaistLine, m.near, m.middle, m.far);
    const Curve& first = before.edges.front().curve;
    const Curve& last = before.edges[*edge_index(before, EdgeRole::Waist, true)].curve;
    const auto on = point_at(before, place_along(before, EdgeRole::Waist, top_length(before) / 2.0));
    for (const auto& [at, by] :
         {std::pair{first.initialPoint(), m.near}, std::pair{on, m.middle}, std::pair{last.finalPoint(), m.far}}) {
        if (abs(by) < Length::mm(0.5)) continue;
        // One is written beside its mark, or they would stand on one another; all are told.
        if (mark.picture.dimensions.empty()) mark.picture.dimensions.push_back(dimension(at, by));
        mark.picture.lines.push_back({at, at + Point{0, by.in_mm()}});
    }
    steps.push_back(std::move(mark));
    steps.push_back(redrawn_step(before, after, StepKind::RedrawWaistLine, m.near, m.middle, m.far));
}

Outcome<bool> redraw_face(Applied& out, PieceRole face, const WaistHeights& heights)
{
    Length from;
    for (const auto i : face_of(out.garment.pieces, face)) {
        Piece& piece = out.garment.pieces[i];
        const Length whole = top_length(piece);
        const auto at = [&](double share) { return heights.at(face, from + whole * share).by; };
        const Marked marked{at(0), at(0.5), at(1)};
        if (!marked.none()) {
            auto after = waist_redrawn(piece, heights, from);
            if (!after) return tl::make_unexpected(after.error());
            record(out.steps, piece, *after, marked);
            piece = std::move(*after);
        }
        from += whole;
    }
    return true;
}

// From the waist along the paper down to the hip line, which hangs level.
std::optional<Length> above_hip(const Piece& p, const Curve& along)
{
    const auto hip = guide(p, GuideKind::Hip);
    if (!hip) return std::nullopt;
    const auto times = times_where(along, Geom::Y, hip->a[Geom::Y]);
    if (times.empty()) return std::nullopt;
    const Length to = length_to(along, times.front());
    const bool from_waist = along.initialPoint()[Geom::Y] > along.finalPoint()[Geom::Y];
    return from_waist ? to : length(along) - length_to(along, times.back());
}

}  // namespace

Length half_waist(const Garment& g, PieceRole face)
{
    Length out;
    for (const auto i : face_of(g.pieces, face)) out += top_length(g.pieces[i]);
    return out;
}

std::optional<WaistDepths> waist_depths(const Garment& g)
{
    const auto piece = [&](PieceRole face, bool at_side) -> const Piece& {
        const auto all = face_of(g.pieces, face);
        return g.pieces[at_side ? all.back() : all.front()];
    };
    const Piece& side = piece(PieceRole::Front, true);
    const auto centre = [](const Piece& p) { return above_hip(p, p.edges.back().curve); };
    const auto front = centre(piece(PieceRole::Front, false));
    const auto back = centre(piece(PieceRole::Back, false));
    const auto at_side = above_hip(side, outer_line(side));
    if (!front || !back || !at_side) return std::nullopt;
    return WaistDepths{*front, *at_side, *back};
}

Length furthest(const std::vector<Length>& amounts)
{
    const auto it =
        std::max_element(amounts.begin(), amounts.end(), [](Length a, Length b) { return abs(a) < abs(b); });
    return it == amounts.end() ? Length{} : *it;
}

Length waist_moved_whole(const std::vector<Length>& at)
{
    if (at.empty()) return {};
    auto sorted = at;
    std::nth_element(sorted.begin(), sorted.begin() + 2, sorted.end());
    return sorted[2];
}

Length waist_moved_at_side(const std::vector<Length>& at)
{
    return at.empty() ? Length{} : at[static_cast<std::size_t>(WaistStation::Side)];
}

Outcome<Applied> alter_waist_line(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, line_key); !ok) return tl::make_unexpected(ok.error());
    const Length front = half_waist(garment, PieceRole::Front);
    const Length back = half_waist(garment, PieceRole::Back);
    const WaistHeights heights{front, back, stations_of(dose)};
    Applied out{garment, {}};
    for (const auto face : {PieceRole::Front, PieceRole::Back}) {
        if (const auto ok = redraw_face(out, face, heights); !ok) return tl::make_unexpected(ok.error());
    }
    const Length gained =
        half_waist(out.garment, PieceRole::Front) + half_waist(out.garment, PieceRole::Back) - front - back;
    if (gained > waist_edge_minds) out.cautions.push_back({CautionKind::WaistLonger, gained, waist_edge_minds});
    return out;
}

namespace {

// What is asked for at one station: how high the body's waist stands over the floor there beyond the mean of its
// sides, the chart's beyond its side, and what was done to the paper.
struct Asked {
    Length wanted{};
    Length given{};
    Length done{};
    double spread = 0;
    [[nodiscard]] Length by() const { return wanted - given - done; }
};

class Heights {
public:
    explicit Heights(const FittingState& s) : s_{s}, printed_side_{printed(Measure::WaistToFloorSide)}
    {
        const BodySet& both = s.both_sides ? *s.both_sides : s.body;
        side_ = both.taken(Measure::WaistToFloorSide, Side::Right);
        const auto left = both.taken(Measure::WaistToFloorSide, Side::Left);
        if (side_ && left) side_->value = (side_->value + left->value) / 2.0;
        if (!side_) side_ = left;
    }
    [[nodiscard]] bool charted(Measure m) const { return printed_side_ && printed(m) && s_.body.taken(m); }
    // None where it was not read, or what it is to be compared with is not known. A tape that hangs straight down
    // says nothing about paper that goes over tummy and seat: only a chart does, and one side about the other.
    [[nodiscard]] std::optional<Asked> at(Measure m, Length done = {}) const
    {
        const auto taken = s_.body.taken(m);
        if (!taken || !side_) return std::nullopt;
        const bool at_side = m == Measure::WaistToFloorSide;
        if (!at_side && !charted(m)) return std::nullopt;
        return Asked{taken->value - side_->value, at_side ? Length{} : *printed(m) - *printed_side_, done,
                     std::hypot(taken->spread.in_mm(), side_->spread.in_mm())};
    }

private:
    [[nodiscard]] std::optional<Length> printed(Measure m) const { return s_.chart.body(s_.sizes.hip, m); }
    const FittingState& s_;
    std::optional<Length> printed_side_;
    std::optional<Taken> side_;
};

// What both sides got alike counts by the centre.
std::optional<Proposal> propose_waist_line(const FittingState& s)
{
    using enum Measure;
    const Heights body{s};
    const auto traced = waist_depths(s.traced);
    const auto now = waist_depths(s.now);
    if (!traced || !now) return std::nullopt;
    const Length wedge = s.of(AdjustmentKind::CentreWedge);  // which raised the centre alone
    const Length common = now->front - traced->front - wedge;
    const auto side = body.at(WaistToFloorSide, now->side - traced->side - common);
    if (!side) return std::nullopt;
    const bool charted = body.charted(WaistToFloorFront) && body.charted(WaistToFloorBack);
    const Asked front = charted ? *body.at(WaistToFloorFront, wedge) : Asked{};
    const Asked back = charted ? *body.at(WaistToFloorBack, now->back - traced->back - common) : Asked{};
    // Those between: as they were read, else on the smooth line through the three.
    const Length f = half_waist(s.now, PieceRole::Front);
    const Length b = half_waist(s.now, PieceRole::Back);
    const ShiftLine smooth{
        {{Length{}, {0, front.by().in_mm()}}, {f, {0, side->by().in_mm()}}, {f + b, {0, back.by().in_mm()}}}};
    const auto between = [&](Measure m, Length along, const Asked& centre) {
        const auto read = body.at(m, (centre.done + side->done) / 2.0);
        return read.value_or(Asked{Length::mm(smooth.at(along).by[Geom::Y])});
    };
    const std::array<Asked, station_count> all{front, between(WaistToFloorMidFront, f / 2.0, front), *side,
                                               between(WaistToFloorMidBack, f + b / 2.0, back), back};
    const auto most = std::max_element(all.begin(), all.end(),
                                       [](const Asked& x, const Asked& y) { return abs(x.by()) < abs(y.by()); });
    Proposal out{most->by(),
                 Length::mm(most->spread),
                 most->wanted,
                 most->given,
                 charted ? Against::Chart : Against::Pattern,
                 most->done};
    out.least = charted ? least_from_chart : least_between_sides;
    // A side that is longer down to the hip stands higher too: that is answered first, and counts.
    if (s.waits_for(AdjustmentKind::WaistToHip)) out.after = AdjustmentKind::WaistToHip;
    for (const auto& a : all) out.at.push_back(abs(a.by()) < Length::mm(0.5) ? Length{} : a.by());
    return out;
}

}  // namespace

Adjustment waist_line_row()
{
    return {
        .kind = AdjustmentKind::WaistLine,
        .key = line_key,
        .zone = Zone::Lengths,
        .rank = 51,
        .acts_on = ActsOn::Both,
        .least = -waist_line_limit,
        .most = waist_line_limit,
        .needs = {Level::Waist},
        .edges = {EdgeRole::Waist},
        .apply = alter_waist_line,
        .place = high_on_centre,
        .propose = propose_waist_line,
        .serves = hangs_from_waist,
        .from = Measure::WaistToFloorSide,
        .at_join = AtJoin::NotBelow,
        .places = stations,
        .at_waist_stations = true,
    };
}

}  // namespace sartorum
