#include "core/alter/widths/rows.h"

#include <algorithm>
#include <array>
#include <iterator>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/shared.h"
#include "core/paper/fold_spread.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 3> ways{"moved", "spaced", "fuller"};

// The mouths of what is folded and no dart, from the centre.
std::vector<std::size_t> tucks_of(const Piece& p)
{
    std::vector<std::size_t> out;
    for (const auto mouth : waist_mouths(p)) {
        if (p.darts[dart_at(p, mouth)].kind != DartKind::Dart) out.push_back(mouth);
    }
    return out;
}

struct Shift {
    std::size_t mouth;
    Length by;  // + to the side
};

// In an order in which none runs into the next: who goes to the side from the side on, who goes to the centre from
// the centre on.
std::vector<Shift> shifts(const Piece& p, Length amount, TucksWay way)
{
    const auto mouths = tucks_of(p);
    const double middle = (double(mouths.size()) - 1) / 2;
    std::vector<Shift> outwards;
    std::vector<Shift> inwards;
    for (std::size_t i = 0; i < mouths.size(); ++i) {
        const Length by = way == TucksWay::Moved ? amount : amount * (double(i) - middle);
        if (by > Length{}) outwards.push_back({mouths[i], by});
        if (by < Length{}) inwards.push_back({mouths[i], by});
    }
    std::reverse(outwards.begin(), outwards.end());
    outwards.insert(outwards.end(), inwards.begin(), inwards.end());
    return outwards;
}

// Between two tucks, and between a tuck and the waist's end or a dart; what is less already stays as it is.
constexpr Length between_least = Length::mm(2);

// How far all of them can be moved together: what lies between two tucks that go alike stays as it is.
Outcome<bool> room_for(const Piece& p, const std::vector<Shift>& all, Length amount)
{
    const auto share = [&](std::size_t mouth) -> std::optional<double> {
        for (const auto& s : all) {
            if (s.mouth == mouth) return s.by / amount;
        }
        return std::nullopt;
    };
    double least = -paper_most.in_mm();
    double most = paper_most.in_mm();
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        const auto near = i > 0 ? share(i - 1) : std::nullopt;
        const auto far = i + 1 < p.edges.size() ? share(i + 1) : std::nullopt;
        if (!near && !far) continue;
        const std::size_t mouth = far ? i + 1 : i - 1;
        const Dart& d = p.darts[dart_at(p, mouth)];
        const double way = d.leg_b[Geom::X] > d.leg_a[Geom::X] ? 1 : -1;  // of travel: to the side, or from it
        const double grows = (far.value_or(0) - near.value_or(0)) * way;
        const Length floor = near && far ? between_least : kept_beside_dart;
        const Length here = length(p.edges[i].curve);
        const double room = (here - std::min(here, floor)).in_mm();
        if (grows < 0) most = std::min(most, room / -grows);
        if (grows > 0) least = std::max(least, -room / grows);
    }
    if (amount.in_mm() >= least && amount.in_mm() <= most) return true;
    return refuse_amount(Why::AmountTooLarge, "tucks", amount, Length::mm(least), Length::mm(most));
}

Outcome<bool> shift_tucks(Applied& out, PieceRole role, Length amount, TucksWay way)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    const auto all = shifts(piece, amount, way);
    if (all.empty()) return true;
    if (auto room = room_for(piece, all, amount); !room) return room;
    for (const auto& s : all) {
        if (const auto ok = slide_fold(out.steps, piece, s.mouth, s.by, StepKind::SlideTuck, Length{}); !ok)
            return ok;
    }
    return true;
}

// From the side on, so that those that still wait lie where they lay.
Outcome<bool> fill_tucks(Applied& out, PieceRole role, Length amount)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    auto mouths = tucks_of(piece);
    std::reverse(mouths.begin(), mouths.end());
    for (const auto mouth : mouths) {
        auto spread = fold_spread(piece, mouth, amount);
        if (!spread) {
            auto why = spread.error();
            why.field = "tucks";
            return tl::make_unexpected(std::move(why));
        }
        const bool more = amount > Length{};
        Step step = step_on(piece, more ? StepKind::SpreadInFold : StepKind::TakeOutInFold, abs(amount),
                            mouth_width(spread->whole.darts[dart_at(spread->whole, mouth)]));
        step.picture.panels = {spread->first, spread->second};
        step.picture.lines = {spread->cut};
        (more ? step.picture.added : step.picture.removed) = {spread->strip};
        const Point along{amount.in_mm(), 0};
        step.picture.dimensions = {{spread->cut.b, spread->cut.b + along, abs(amount)}};
        step.picture.motions = {{1, {}, 0, along}};
        out.steps.push_back(std::move(step));
        piece = std::move(spread->whole);
    }
    return true;
}

// Where tucks of a face take more cloth or less the paper goes on down to a hem.
bool can_be_fuller(const Garment& part)
{
    return hangs_from_waist(part) && !has_level(part, Level::Crotch) && has_level(part, Level::Hem);
}

}  // namespace

Outcome<bool> slide_fold(std::vector<Step>& steps, Piece& piece, std::size_t mouth, Length by, StepKind kind,
                         Length kept)
{
    const Dart was = piece.darts[dart_at(piece, mouth)];
    // A waist runs to the side in a skirt, from it in a bodice.
    const bool to_side = was.leg_b[Geom::X] > was.leg_a[Geom::X];
    auto slid = dart_slid(piece, mouth, to_side ? by : -by, kept);
    if (!slid) return tl::make_unexpected(slid.error());
    const Dart& now = slid->darts[dart_at(*slid, mouth)];
    const auto all = waist_mouths(*slid);
    const auto nth = std::find(all.begin(), all.end(), mouth) - all.begin();
    Step step = redrawn_step(piece, *slid, kind, by);
    step.place = waist_run(*slid).darts[static_cast<std::size_t>(nth)];
    step.picture.dimensions = {{was.tip, now.tip, abs(by)}};
    steps.push_back(std::move(step));
    piece = std::move(*slid);
    return true;
}

void between_tucks(Applied& out, const Garment& before)
{
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        const Length grew = waist_run(piece).length - waist_run(*find_piece(before.pieces, role)).length;
        auto mouths = tucks_of(piece);
        if (mouths.size() < 2 || abs(grew) < Length::mm(0.5)) continue;
        const double gaps = static_cast<double>(mouths.size()) - 1;
        std::vector<Shift> moves;
        for (std::size_t i = 1; i < mouths.size(); ++i) moves.push_back({mouths[i], grew * (double(i) / gaps)});
        if (grew > Length{}) std::reverse(moves.begin(), moves.end());
        // Where one finds no room they stay as they stood.
        std::vector<Step> steps;
        Piece spaced = piece;
        bool room = true;
        for (const auto& m : moves)
            room = room && slide_fold(steps, spaced, m.mouth, m.by, StepKind::SlideTuck).has_value();
        if (!room) continue;
        piece = std::move(spaced);
        std::move(steps.begin(), steps.end(), std::back_inserter(out.steps));
    }
}

namespace {

bool has_tucks(const Garment& part, std::size_t least)
{
    return tucks_of(front_of(part)).size() >= least || tucks_of(back_of(part)).size() >= least;
}

}  // namespace

Outcome<Applied> alter_tucks(const Garment& part, const Dose& dose)
{
    const auto way = static_cast<TucksWay>(dose.method);
    if (way == TucksWay::Fuller && !can_be_fuller(part)) return refuse(Why::WayNotHere, "tucks");
    auto out = alter_apart(part, dose, "tucks", [way](Applied& applied, PieceRole role, Length amount) {
        return way == TucksWay::Fuller ? fill_tucks(applied, role, amount)
                                       : shift_tucks(applied, role, amount, way);
    });
    if (out && out->steps.empty()) return refuse(Why::NothingToSpace, "tucks");
    return out;
}

Adjustment tucks_row()
{
    return {
        .kind = AdjustmentKind::Tucks,
        .key = "tucks",
        .zone = Zone::Widths,
        .rank = 290,
        .acts_on = ActsOn::Apart,
        .least = -tucks_limit,
        .most = tucks_limit,
        .needs = {Level::Waist},
        .edges = {EdgeRole::Waist},
        .apply = alter_tucks,
        .place = at_waist_dart,
        .serves = [](const Garment& part) { return has_tucks(part, 1); },
        .methods = ways,
        .method_serves =
            [](const Garment& part, std::size_t method) {
                const auto way = static_cast<TucksWay>(method);
                return way == TucksWay::Fuller ? can_be_fuller(part) : has_tucks(part, method + 1);
            },
    };
}

}  // namespace sartorum
