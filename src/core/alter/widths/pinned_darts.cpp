#include "core/alter/widths/rows.h"

#include <algorithm>
#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/waist_dart.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

constexpr auto bust_dart_key = "pinned_bust_dart";
constexpr auto waist_dart_key = "pinned_waist_darts";
constexpr std::array<AmountPlace, 3> of_one_dart{{{"place", false, false}, {"depth"}, {"length", false, false}}};
constexpr std::array<AmountPlace, 6> of_both_faces{{{"front_place", false, false},
                                                    {"front_depth"},
                                                    {"front_length", false, false},
                                                    {"back_place", false, false},
                                                    {"back_depth"},
                                                    {"back_length", false, false}}};
constexpr Length shortest_dart = Length::mm(20);

struct Pinned {
    Length place;
    Length depth;
    Length length;
    [[nodiscard]] bool nothing() const
    {
        return std::max({abs(place), abs(depth), abs(length)}) < nothing_on_paper;
    }
};

Pinned pinned_at(const Dose& dose, std::size_t from, std::size_t of)
{
    if (dose.at.size() != of) return {{}, dose.front, {}};
    return {dose.at[from], dose.at[from + 1], dose.at[from + 2]};
}

Point inwards(const Dart& d)
{
    return Geom::unit_vector(d.tip - mouth_middle(d));
}

// From its tip on, along its middle line.
Length room_beyond(const Piece& p, const Dart& d)
{
    const Point way = inwards(d);
    if (p.bust_point) return std::max(Length::mm(Geom::dot(*p.bust_point - d.tip, way)), Length{});
    const auto hip = guide(p, GuideKind::Hip);
    if (!hip || !begins_with(p, EdgeRole::Waist) || way[Geom::Y] > -0.1) return pinned_dart_limit;
    return std::max(Length::mm((hip->a[Geom::Y] - d.tip[Geom::Y]) / way[Geom::Y]), Length{});
}

using Steps = std::vector<Step>;

Outcome<bool> pin_depth(Steps& steps, Piece& piece, std::size_t mouth, Length by)
{
    if (abs(by) < nothing_on_paper) return true;
    auto after = dart_deepened(piece, mouth, by);
    if (!after) return tl::make_unexpected(after.error());
    const Dart& now = dart_of(*after, mouth);
    const Length grew = mouth_width(now) - mouth_width(dart_of(piece, mouth));
    Step step = redrawn_step(piece, *after, StepKind::RedrawDartLegs, grew, mouth_width(now));
    step.picture.lines = {{now.leg_a, now.tip}, {now.tip, now.leg_b}};
    step.picture.dimensions = {{now.leg_a, now.leg_b, mouth_width(now)}};
    steps.push_back(std::move(step));
    piece = std::move(*after);
    return true;
}

Outcome<bool> pin_length(Steps& steps, Piece& piece, std::size_t mouth, Length by)
{
    if (abs(by) < nothing_on_paper) return true;
    const Dart was = dart_of(piece, mouth);
    const Length least = shortest_dart - mouth_to_tip(was);
    const Length most = room_beyond(piece, was);
    if (by < least || by > most)
        return refuse_amount(Why::AmountTooLarge, piece.id, by, std::min(least, Length{}), most);
    const Point tip = was.tip + inwards(was) * by.in_mm();
    Piece after = piece;
    redraw_dart(after, mouth, tip);
    Step mark = step_on(piece, StepKind::MarkTipAlong, by);
    mark.picture.lines = {{was.tip, tip}};
    mark.picture.dimensions = {{was.tip, tip, abs(by)}};
    const Dart& now = dart_of(after, mouth);
    Step draw = redrawn_step(piece, after, StepKind::RedrawDart, by, Length::mm(Geom::distance(now.leg_a, tip)));
    draw.picture.lines = {{now.leg_a, tip}, {now.leg_b, tip}};
    steps.insert(steps.end(), {std::move(mark), std::move(draw)});
    piece = std::move(after);
    return true;
}

using Slide = Outcome<bool> (*)(Steps&, Piece&, std::size_t mouth, Length by);

// Down the seam it is in.
Outcome<bool> slide_down(Steps& steps, Piece& piece, std::size_t mouth, Length by)
{
    const Dart was = dart_of(piece, mouth);
    const bool travels_down = was.leg_b[Geom::Y] < was.leg_a[Geom::Y];
    auto slid = dart_slid(piece, mouth, travels_down ? by : -by);
    if (!slid) return tl::make_unexpected(slid.error());
    Step step = redrawn_step(piece, *slid, StepKind::SlideBustDart, by);
    step.picture.dimensions = {{was.tip, dart_of(*slid, mouth).tip, abs(by)}};
    steps.push_back(std::move(step));
    piece = std::move(*slid);
    return true;
}

Outcome<bool> slide_at_waist(Steps& steps, Piece& piece, std::size_t mouth, Length by)
{
    return slide_fold(steps, piece, mouth, by, StepKind::SlideDart);
}

Outcome<bool> pinned_once(Steps& steps, Piece& piece, std::size_t mouth, const Pinned& by, Slide slide)
{
    if (abs(by.place) >= nothing_on_paper) {
        if (const auto ok = slide(steps, piece, mouth, by.place); !ok) return ok;
    }
    if (const auto ok = pin_depth(steps, piece, mouth, by.depth); !ok) return ok;
    return pin_length(steps, piece, mouth, by.length);
}

// Legs drawn equally long move a mouth by a little: asked again for what it lacks, so that the dart is as wide and
// as long as it was pinned.
Outcome<bool> pin_dart(Steps& steps, Piece& piece, std::size_t mouth, const Pinned& by, Slide slide)
{
    const Dart was = dart_of(piece, mouth);
    Pinned ask = by;
    constexpr int most_rounds = 40;
    constexpr Length near = Length::mm(1e-7);
    for (int i = 0; i < most_rounds; ++i) {
        Steps trial;
        Piece after = piece;
        if (const auto ok = pinned_once(trial, after, mouth, ask, slide); !ok) return ok;
        const Dart& now = dart_of(after, mouth);
        const Length wide = by.depth - (mouth_width(now) - mouth_width(was));
        const Length deep = by.length - (mouth_to_tip(now) - mouth_to_tip(was));
        const bool widens = abs(by.depth) >= nothing_on_paper && abs(wide) >= near;
        const bool deepens = abs(by.length) >= nothing_on_paper && abs(deep) >= near;
        if (!widens && !deepens) return pinned_once(steps, piece, mouth, ask, slide);
        if (widens) ask.depth += wide;
        if (deepens) ask.length += deep;
    }
    return refuse(Why::NotSettled, piece.id);
}

std::optional<std::size_t> bust_dart(const Piece& front)
{
    const auto side = mouth_in(front, EdgeRole::Side);
    return side ? side : mouth_in(front, EdgeRole::Armhole);
}

// The sewn side as long as it was, at its lower end.
Outcome<bool> keep_side(Applied& out, Piece& front, Length was)
{
    const Length lacking = was - sewn_length(front, EdgeRole::Side);
    if (abs(lacking) < nothing_on_paper) return true;
    const auto by = settle(lacking, Length::mm(0.002), "pinned_bust_dart", [&](Length down) -> Outcome<Length> {
        Applied trial{out.garment, {}};
        return was - sewn_length(bottom_moved_at_side(trial, front, down), EdgeRole::Side);
    });
    if (!by) return tl::make_unexpected(by.error());
    front = bottom_moved_at_side(out, front, *by);
    return true;
}

}  // namespace

Outcome<Applied> alter_pinned_bust_dart(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, bust_dart_key); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    const auto mouth = bust_dart(front);
    if (!mouth) return refuse(Why::NeedsBustDart, bust_dart_key);
    const Piece was = front;
    const Pinned by = pinned_at(dose, 0, of_one_dart.size());
    if (const auto ok = pin_dart(out.steps, front, *mouth, by, slide_down); !ok)
        return tl::make_unexpected(ok.error());
    keep_underarm_corner(front, was);
    if (dart_role(front, *mouth) == EdgeRole::Side) {
        if (const auto ok = keep_side(out, front, sewn_length(was, EdgeRole::Side)); !ok)
            return tl::make_unexpected(ok.error());
    }
    settle_bodice_guides(front);
    settle_darts(front);
    settle_notches(front);
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

Outcome<bool> pin_all(Applied& out, PieceRole role, const Pinned& by)
{
    if (by.nothing()) return true;
    Piece& piece = *find_piece(out.garment.pieces, role);
    auto mouths = waist_dart_mouths(piece);
    if (mouths.empty()) return refuse(Why::WayNotHere, waist_dart_key);
    // None runs into the next.
    if (by.place > Length{}) std::reverse(mouths.begin(), mouths.end());
    for (const auto mouth : mouths) {
        if (const auto ok = pin_dart(out.steps, piece, mouth, by, slide_at_waist); !ok) return ok;
    }
    settle_darts(piece);
    settle_notches(piece);
    return true;
}

bool has_pinned_waist(const Garment& part)
{
    return one_piece_a_face(part) && (has_waist_dart(front_of(part)) || has_waist_dart(back_of(part)));
}

}  // namespace

Outcome<Applied> alter_pinned_waist_darts(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, waist_dart_key); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    const std::size_t all = of_both_faces.size();
    if (const auto ok = pin_all(out, PieceRole::Front, pinned_at(dose, 0, all)); !ok)
        return tl::make_unexpected(ok.error());
    if (const auto ok = pin_all(out, PieceRole::Back, pinned_at(dose, all / 2, all)); !ok)
        return tl::make_unexpected(ok.error());
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

std::optional<Point> bust_dart_way(const Piece& front)
{
    const auto mouth = bust_dart(front);
    return mouth ? std::optional{inwards(dart_of(front, *mouth))} : std::nullopt;
}

bool has_waist_dart(const Piece& piece)
{
    return !waist_dart_mouths(piece).empty();
}

Adjustment pinned_bust_dart_row()
{
    return {
        .kind = AdjustmentKind::PinnedBustDart,
        .key = bust_dart_key,
        .zone = Zone::Widths,
        .rank = 110,
        .acts_on = ActsOn::Front,
        .least = -pinned_dart_limit,
        .most = pinned_dart_limit,
        .needs = {Level::Bust},
        .apply = alter_pinned_bust_dart,
        .place = at_bust_dart,
        .serves = [](const Garment& part) { return bust_dart(front_of(part)).has_value(); },
        .places = of_one_dart,
    };
}

Adjustment pinned_waist_darts_row()
{
    return {
        .kind = AdjustmentKind::PinnedWaistDarts,
        .key = waist_dart_key,
        .zone = Zone::Widths,
        .rank = 111,
        .acts_on = ActsOn::Both,
        .least = -pinned_dart_limit,
        .most = pinned_dart_limit,
        .needs = {Level::Waist},
        .apply = alter_pinned_waist_darts,
        .place = at_waist_dart,
        .serves = has_pinned_waist,
        .places = of_both_faces,
    };
}

}  // namespace sartorum
