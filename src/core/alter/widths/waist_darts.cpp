#include "core/alter/widths/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/gathers.h"
#include "core/paper/redraw/side.h"
#include "core/paper/redraw/waist_dart.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"
#include "core/pattern/part_rules.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

constexpr auto waist_darts_key = "waist_darts";
constexpr std::array<std::string_view, 5> waist_dart_ways{"at_waist", "at_side", "into_ease", "added", "moved"};
// Cloth eases about a twelfth of a waist, well pressed; more is gathers.
constexpr double eased_well = 1.0 / 12;
// What is left of a dart when nearly all of it is given up: given up too.
constexpr Length rest_given_up = Length::mm(1.5);

Length taken_at_waist(const Piece& p)
{
    Length out;
    for (const auto mouth : waist_dart_mouths(p)) out += mouth_width(dart_of(p, mouth));
    return out;
}

Outcome<bool> leave_all(Applied& out, Piece& piece)
{
    for (auto all = waist_dart_mouths(piece); !all.empty(); all = waist_dart_mouths(piece)) {
        const Dart was = dart_of(piece, all.back());
        Piece after = dart_left(piece, all.back());
        Step step = redrawn_step(piece, after, StepKind::LeaveDart, {});
        step.place = mouth_width(was);
        out.steps.push_back(std::move(step));
        piece = std::move(after);
    }
    return true;
}

// All of a piece by the same share; as much of the closed waist as is asked, which a leg's evening changes by a
// hair.
Outcome<bool> deepen_all(Applied& out, Piece& piece, Length amount)
{
    const auto darts = waist_dart_mouths(piece);
    const Piece was = piece;
    const Length waist = waist_run(was).length;
    const auto n = static_cast<double>(darts.size());
    const auto settled =
        settle(amount / n, Length::mm(0.005) / n, waist_darts_key, [&](Length share) -> Outcome<Length> {
            piece = was;
            for (const auto mouth : darts) {
                auto after = dart_deepened(piece, mouth, share);
                if (!after) return tl::make_unexpected(after.error());
                piece = std::move(*after);
            }
            return (amount - (waist - waist_run(piece).length)) / n;
        });
    if (!settled) return tl::make_unexpected(settled.error());
    for (const auto mouth : darts) {
        const Dart& before = dart_of(was, mouth);
        const Dart& now = dart_of(piece, mouth);
        Step step = redrawn_step(was, piece, StepKind::RedrawDartLegs, mouth_width(now) - mouth_width(before));
        step.place = mouth_width(now);
        step.picture.lines = {{now.leg_a, now.tip}, {now.tip, now.leg_b}};
        step.picture.dimensions = {{now.leg_a, now.leg_b, mouth_width(now)}};
        out.steps.push_back(std::move(step));
    }
    return true;
}

// In the middle of the widest stretch of the closed waist that has no dart.
struct Room {
    Length at;
    std::size_t beside;  // which dart stands next to it, where there is one
};
Room widest_room(const Piece& p)
{
    const WaistRun run = waist_run(p);
    std::vector<Length> stops{Length{}};
    stops.insert(stops.end(), run.darts.begin(), run.darts.end());
    stops.push_back(run.length);
    Room best;
    Length widest;
    for (std::size_t i = 0; i + 1 < stops.size(); ++i) {
        const Length wide = stops[i + 1] - stops[i];
        if (wide <= widest) continue;
        widest = wide;
        best = {(stops[i] + stops[i + 1]) / 2.0, i > 0 ? i - 1 : 0};
    }
    return best;
}

Length new_length(const Piece& p, std::size_t beside)
{
    const double waist = edge(p, EdgeRole::Side).curve.initialPoint()[Geom::Y];
    const Length most = Length::mm((waist - guide(p, GuideKind::Hip)->a[Geom::Y]) * 0.8);
    const auto all = waist_mouths(p);
    const Length plain = Length::mm(p.role == PieceRole::Front ? 90 : 115);
    return std::min(most, beside < all.size() ? mouth_to_tip(dart_of(p, all[beside])) : plain);
}

Outcome<bool> add_one(Applied& out, Piece& piece, Length amount)
{
    if (amount < Length{})
        return refuse_amount(Why::AmountTooLarge, waist_darts_key, amount, dart_least, waist_darts_limit);
    const Room room = widest_room(piece);
    const NewDart dart{amount, room.at, new_length(piece, room.beside)};
    auto after = dart_added(piece, dart);
    if (!after) return tl::make_unexpected(after.error());
    Step step = redrawn_step(piece, *after, StepKind::AddDart, amount);
    step.place = dart.length;
    step.second = dart.at;
    out.steps.push_back(std::move(step));
    piece = std::move(*after);
    return true;
}

Outcome<bool> move_all(Applied& out, Piece& piece, Length amount)
{
    auto darts = waist_dart_mouths(piece);
    if (amount > Length{}) std::reverse(darts.begin(), darts.end());
    for (const auto mouth : darts) {
        if (const auto ok = slide_fold(out.steps, piece, mouth, amount, StepKind::SlideDart); !ok) return ok;
    }
    return true;
}

// The closed waist as long as it was, by the side seam.
Outcome<bool> side_makes_up(Applied& out, Piece& piece, Length waist)
{
    const Piece was = piece;
    const Length lacking = waist - waist_run(piece).length;
    const auto by = settle(lacking, Length::mm(0.005), waist_darts_key, [&](Length out_by) -> Outcome<Length> {
        auto after = side_moved(was, out_by, {});
        if (!after) return tl::make_unexpected(after.error());
        piece = std::move(*after);
        return waist - waist_run(piece).length;
    });
    if (!by) return tl::make_unexpected(by.error());
    record_side_waist(out.steps, was, piece, *by, StepKind::RedrawWaist);
    return true;
}

// What the waist is longer by now lies in the edge beside the dart, to be eased.
void ease_rest(Applied& out, Piece& piece, Length waist)
{
    const Length more = waist_run(piece).length - waist;
    gather_waist(piece, more);
    const Length in_all = gathered_in(piece, EdgeRole::Waist);
    out.steps.push_back(step_on(piece, StepKind::EaseWaist, more, sewn_length(piece, EdgeRole::Waist), in_all));
    const Length most = flat_length(piece, EdgeRole::Waist) * eased_well;
    if (in_all > most) out.cautions.push_back({CautionKind::WaistEased, in_all, most});
}

struct DartsWay {
    WaistDartsWay way;
    Length waist_more;  // of the closed waist, where the side seam makes up for it
};

Outcome<bool> alter_darts_of(Applied& out, PieceRole role, Length amount, DartsWay how)
{
    const WaistDartsWay way = how.way;
    Piece& piece = *find_piece(out.garment.pieces, role);
    if (way == WaistDartsWay::Added) return add_one(out, piece, amount);
    if (waist_dart_mouths(piece).empty()) return refuse(Why::WayNotHere, waist_darts_key);
    if (way == WaistDartsWay::Moved) return move_all(out, piece, amount);
    const Length waist = waist_run(piece).length;
    const Length all = taken_at_waist(piece);
    if (way == WaistDartsWay::Eased && amount > Length{})
        return refuse_amount(Why::AmountTooLarge, waist_darts_key, amount, -all, {});
    if (amount < -all - rest_given_up)
        return refuse_amount(Why::AmountTooLarge, piece.id, amount, -all, waist_darts_limit);
    const auto ok = amount < rest_given_up - all ? leave_all(out, piece) : deepen_all(out, piece, amount);
    if (!ok) return ok;
    if (way == WaistDartsWay::Eased) ease_rest(out, piece, waist);
    return way == WaistDartsWay::AtSide ? side_makes_up(out, piece, waist + how.waist_more) : ok;
}

bool has_waist_dart(const Garment& part)
{
    return !waist_dart_mouths(front_of(part)).empty() || !waist_dart_mouths(back_of(part)).empty();
}

Length half_closed(const Garment& g)
{
    return waist_run(front_of(g)).length + waist_run(back_of(g)).length;
}

// The side seams go out by a little more or less, so that evening them leaves the closed waist as it was.
Outcome<Applied> made_up_at_side(const Garment& part, const Dose& dose)
{
    Length more;
    for (int i = 0;; ++i) {
        auto out = alter_apart(part, dose, waist_darts_key, [&](Applied& applied, PieceRole role, Length amount) {
            return alter_darts_of(applied, role, amount, {WaistDartsWay::AtSide, more});
        });
        if (!out) return out;
        if (const auto ok = match_sides(*out); !ok) return tl::make_unexpected(ok.error());
        const Length off = half_closed(part) - half_closed(out->garment);
        if (abs(off) < Length::mm(0.005) || i == 6) return out;
        more += dose.front == Length{} || dose.back == Length{} ? off : off / 2.0;
    }
}

}  // namespace

Outcome<Applied> alter_waist_darts(const Garment& part, const Dose& dose)
{
    const auto way = static_cast<WaistDartsWay>(dose.method);
    if (way == WaistDartsWay::AtSide) return made_up_at_side(part, dose);
    return alter_apart(part, dose, waist_darts_key, [&](Applied& out, PieceRole role, Length amount) {
        return alter_darts_of(out, role, amount, {way, {}});
    });
}

Adjustment waist_darts_row()
{
    return {
        .kind = AdjustmentKind::WaistDarts,
        .key = waist_darts_key,
        .zone = Zone::Widths,
        .rank = 76,
        .acts_on = ActsOn::Apart,
        .least = -waist_darts_limit,
        .most = waist_darts_limit,
        .needs = {Level::Waist, Level::HighHip},
        .edges = {EdgeRole::Waist},
        .apply = alter_waist_darts,
        .place = at_top_of_waist_dart,
        .serves = [](const Garment& part) { return hangs_from_waist(part) && one_piece_a_face(part); },
        .methods = waist_dart_ways,
        .usual_method = [](const Garment& part) -> std::size_t {
            return has_waist_dart(part) ? 0 : static_cast<std::size_t>(WaistDartsWay::Added);
        },
        .method_serves =
            [](const Garment& part, std::size_t way) {
                return static_cast<WaistDartsWay>(way) == WaistDartsWay::Added || has_waist_dart(part);
            },
    };
}

}  // namespace sartorum
