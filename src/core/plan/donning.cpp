#include "core/plan/donning.h"

#include <algorithm>
#include <cmath>

#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/plan/finished.h"

namespace sartorum {
namespace {

constexpr Length shoulders_beyond_bust = Length::mm(140);
constexpr Length shoulders_spread = Length::mm(80);
constexpr Length usual_head = Length::mm(570);
constexpr Length head_spread = Length::mm(30);
constexpr Length usual_hand = Length::mm(215);
constexpr Length hand_spread = Length::mm(25);
constexpr Length usual_heel = Length::mm(320);
constexpr Length heel_spread = Length::mm(30);
// Openings are cut in steps nobody has to measure finer.
constexpr Length opening_step = Length::mm(5);

struct Girth {
    Measure of{};
    Length value;
    bool guessed = false;
    Length spread;
};

std::optional<Girth> measured(const BodySet& body, Measure m)
{
    const auto taken = body.taken(m);
    return taken ? std::optional{Girth{m, taken->value, false, {}}} : std::nullopt;
}

Girth measured_or(const BodySet& body, Measure m, Length usual, Length spread)
{
    return measured(body, m).value_or(Girth{m, usual, true, spread});
}

std::optional<Girth> shoulders(const BodySet& body)
{
    if (const auto read = measured(body, Measure::ShouldersRound)) return read;
    const auto high_bust = measured(body, Measure::HighBust);
    if (!high_bust) return std::nullopt;
    return Girth{Measure::ShouldersRound, high_bust->value + shoulders_beyond_bust, true, shoulders_spread};
}

// What everything passes over that is put on over the head.
std::optional<Girth> above(const BodySet& body)
{
    const auto round = shoulders(body);
    const auto bust = measured(body, Measure::Bust);
    if (!round || !bust) return round ? round : bust;
    return bust->value > round->value ? bust : round;
}

Length up_to_step(Length l)
{
    return opening_step * std::ceil((l - Length::mm(1e-6)) / opening_step);
}

// From the upper edge of the garment down one centre, over a join where the part above opens all along; none where
// it is a seam of which nothing is said.
std::optional<Length> opens_along(const Garment& g, PieceRole role)
{
    Length sum;
    for (const auto part : parts_of(g.pieces)) {
        const Garment view = part_view(g, part);
        const Piece* p = find_piece(view.pieces, role);
        if (!p) continue;
        const Length whole = sewn_length(*p, EdgeRole::Centre);
        if (p->opening == Length{} && !on_fold(*p) && sum == Length{}) return std::nullopt;
        sum += std::min(p->opening, whole);
        if (p->opening < whole) return sum;
    }
    return piece_most;
}

// Down one side seam, over a join where the part above opens all along it.
Length opens_at_side(const Garment& g)
{
    Length sum;
    for (const auto part : parts_of(g.pieces)) {
        const Garment view = part_view(g, part);
        // Of pieces that are sewn together there the first has the whole of it.
        const auto side =
            std::find_if(view.pieces.begin(), view.pieces.end(), [](const Piece& p) { return goes_round(p); });
        const Length whole = sewn_length(*side, EdgeRole::Side);
        Length here;
        for (const auto& p : view.pieces) here = std::max(here, p.side_opening);
        sum += std::min(here, whole);
        if (here < whole) break;
    }
    return sum;
}

std::optional<Length> opens_from_top(const Garment& g)
{
    if (const Length side = opens_at_side(g); side > Length{}) return side;
    const auto front = opens_along(g, PieceRole::Front);
    const auto back = opens_along(g, PieceRole::Back);
    const Length said = std::max(front.value_or(Length{}), back.value_or(Length{}));
    return said == Length{} && (!front || !back) ? std::nullopt : std::optional{said};
}

// What is slit by half of what is missing opens by all of it.
GoesOn slit(PassesThrough through, Length has, const Girth& over, std::optional<Length> there)
{
    GoesOn out{through, has, over.of, over.value, over.guessed, over.spread, {}, there};
    if (has < over.value) out.opening = up_to_step((over.value - has) / 2.0);
    return out;
}

std::vector<GirthAt> round_the_body(std::vector<GirthAt> girths)
{
    std::erase_if(girths, [](const GirthAt& g) { return g.leg; });
    return girths;
}

// How far down from the upper edge the lowest level lies that is narrower than what has to pass it; levels below
// `until` have not got to.
Length narrow_down_to(const std::vector<GirthAt>& girths, double stretched, Length must, Length top, Length until)
{
    Length down;
    for (const auto& g : girths) {
        if (g.height >= until && g.girth * stretched < must) down = std::max(down, top - g.height);
    }
    return down;
}

class GoingOn {
public:
    explicit GoingOn(const Computed& c)
        : garment_{c.altered},
          flat_{c.altered_flat},
          body_{c.work.worn_by()},
          stretched_{c.work.plan.cloth.knit ? 1 + c.work.plan.cloth.stretch : 1},
          asks_stretch_{c.work.plan.cloth.stretch_asked()},
          girths_{round_the_body(ease_profile(c).after)}
    {
        // A band is closed where the skirt beneath it may be gathered.
        if (flat_.has(GarmentMeasure::Band)) girths_.push_back({Length{}, flat_.of(GarmentMeasure::Band)});
    }

    std::vector<GoesOn> all() const
    {
        std::vector<GoesOn> out;
        const bool shouldered = flat_.has(GarmentMeasure::Neck);
        const auto there = opens_from_top(garment_);
        if (shouldered) {
            out.push_back(slit(PassesThrough::Neck, flat_.of(GarmentMeasure::Neck) * 2.0 * stretched_,
                               measured_or(body_, Measure::Head, usual_head, head_spread), there));
        }
        if (flat_.has(GarmentMeasure::SleeveHem)) {
            out.push_back(slit(PassesThrough::SleeveHem, flat_.of(GarmentMeasure::SleeveHem) * stretched_,
                               measured_or(body_, Measure::HandRound, usual_hand, hand_spread), std::nullopt));
        }
        if (flat_.has(GarmentMeasure::LegHem)) {
            out.push_back(slit(PassesThrough::LegHem, flat_.of(GarmentMeasure::LegHem) * stretched_,
                               measured_or(body_, Measure::HeelRound, usual_heel, heel_spread), std::nullopt));
        }
        if (const auto round_body = round(there)) out.push_back(*round_body);
        for (auto& g : out) {
            if (asks_stretch_ && g.opening > Length{}) g.stretch = g.needs / g.has - 1;
        }
        return out;
    }

private:
    // The height of the upper edge at the centre back, above the waist.
    Length top() const
    {
        const Garment uppermost = part_view(garment_, parts_of(garment_.pieces).front());
        return girths_.front().height + centre_above_side(uppermost.pieces, PieceRole::Back);
    }

    std::optional<GoesOn> round(std::optional<Length> there) const
    {
        const auto narrowest = std::min_element(
            girths_.begin(), girths_.end(), [](const GirthAt& a, const GirthAt& b) { return a.girth < b.girth; });
        if (narrowest == girths_.end()) return std::nullopt;
        const auto over = above(body_);
        const auto hip = measured(body_, Measure::Hip);
        const auto depth = body_.taken(Measure::WaistToHip);
        if (!over && !hip) return std::nullopt;
        GoesOn out{PassesThrough::Body, narrowest->girth * stretched_, {}, {}, false, {}, {}, there};
        const auto take = [&](const Girth& g, Length opening, bool from_below) {
            out.over = g.of;
            out.needs = g.value;
            out.guessed = g.guessed;
            out.spread = g.spread;
            out.opening = up_to_step(opening);
            out.from_below = from_below;
        };
        const Length everything = -piece_most;
        if (over) take(*over, narrow_down_to(girths_, stretched_, over->value, top(), everything), false);
        if (over && out.opening == Length{}) return out;
        if (!hip) return out;
        const Length hip_level = -(depth ? depth->value : usual_waist_to_hip);
        const Length below = narrow_down_to(girths_, stretched_, hip->value, top(), hip_level);
        if (!over || below < out.opening) take(*hip, below, true);
        return out;
    }

    const Garment& garment_;
    const FlatMeasures& flat_;
    BodySet body_;
    double stretched_;
    bool asks_stretch_;
    std::vector<GirthAt> girths_;
};

}  // namespace

std::vector<GoesOn> goes_on(const Computed& c)
{
    return GoingOn{c}.all();
}

}  // namespace sartorum
