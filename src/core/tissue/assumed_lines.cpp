#include "core/tissue/assumed_lines.h"

#include <algorithm>

namespace sartorum {
namespace {

using L = TissueLine;

Length at_least(Length value, Length low)
{
    return std::max(value, low);
}

// Takes the lines in an order in which each can go by those before it.
class Assuming {
public:
    Assuming(const Tissue& t, const TissueSize& s, const SizeChart* chart) : tissue_{t}, size_{s}, chart_{chart}
    {
        if (chart_) index_ = chart_->index_of(s.name);
    }
    // What another size says to one line, before this size's own rule.
    void go_by(TissueLengths neighbour) { neighbour_ = std::move(neighbour); }

    TissueLengths all()
    {
        if (is_of(tissue_.kind, TissueKind::Bodice)) bodice();
        if (is_of(tissue_.kind, TissueKind::Skirt)) skirt();
        if (is_of(tissue_.kind, TissueKind::Trousers)) trousers();
        if (tissue_.kind == TissueKind::Girth) girth();
        take(L::Allowance, Length::mm(15));
        take(L::FrontAllowance, Length::mm(15));
        take(L::HemAllowance, Length::mm(tissue_.kind == TissueKind::Bodice ? 20 : 30));
        return std::move(out_);
    }

private:
    [[nodiscard]] Length of(TissueLine line) const { return out_.at(line); }

    Length take(TissueLine line, Length assumed) { return take(line, assumed, facts(line).low, facts(line).high); }
    // Assumed within what the lines taken before leave.
    Length take(TissueLine line, Length assumed, Length low, Length high)
    {
        if (lacks(size_, line)) return out_[line] = {};
        if (const auto m = measured(size_, line)) return out_[line] = *m;
        if (const auto it = neighbour_.find(line); it != neighbour_.end()) assumed = it->second;
        return out_[line] = low > high ? assumed : std::clamp(assumed, low, high);
    }

    [[nodiscard]] std::optional<Length> body(Measure m) const
    {
        return index_ ? chart_->body(*index_, m) : std::nullopt;
    }
    // All round.
    [[nodiscard]] Length garment(Measure m, double ease_mm, double else_mm) const
    {
        if (index_) {
            if (const auto f = chart_->finished(*index_, m)) return *f;
            if (const auto b = body(m)) return *b + Length::mm(ease_mm);
        }
        return Length::mm(else_mm);
    }

    void skirt()
    {
        const Length quarter = garment(Measure::Hip, 50, 1070) / 4.0;
        // Gathered, it is no narrower below.
        const auto room = [&](TissueLine waist) { return measured(size_, waist).value_or(Length{}); };
        take(L::FrontHip, std::max(measured(size_, L::BackHip).value_or(quarter), room(L::FrontWaist)));
        take(L::BackHip, std::max(of(L::FrontHip), room(L::BackWaist)));
        const Length to_hip = take(L::WaistToHip, body(Measure::WaistToHip).value_or(Length::mm(206)));
        take(L::CentreLength, body(Measure::SkirtLength).value_or(Length::mm(580)), to_hip + Length::mm(100),
             facts(L::CentreLength).high);
        take(L::SideRise, Length::mm(10));
        take(L::BandDepth, Length::mm(35));
        skirt_half(L::FrontHip, L::FrontWaist, L::FrontDart, 18, above_front);
        skirt_half(L::BackHip, L::BackWaist, L::BackDart, 28, above_back);
        take(L::FrontDartLength, Length::mm(90), facts(L::FrontDartLength).low, to_hip);
        take(L::BackDartLength, Length::mm(120), facts(L::BackDartLength).low, to_hip);
        out_[L::FrontHem] = measured(size_, L::FrontHem).value_or(Length{});
    }
    // Of the bodice, what the waist below is sewn to.
    struct Sewn {
        TissueLine waist;
        TissueLine dart;
    };
    static constexpr Sewn above_front{L::BodiceFrontWaist, L::FrontWaistDart};
    static constexpr Sewn above_back{L::BodiceBackWaist, L::BackWaistDart};
    // Half of a face's waist, darts shut.
    [[nodiscard]] Length closed_waist(Sewn above) const
    {
        return joined_at_waist(tissue_.kind) ? of(above.waist) - of(above.dart)
                                             : garment(Measure::Waist, 25, 785) / 4.0;
    }
    // The side seam takes what is left; never more than it can.
    void skirt_half(TissueLine hip, TissueLine waist, TissueLine dart, double dart_mm, Sewn above)
    {
        const Length most = of(hip) - Length::mm(1);
        const Length least = of(hip) - of(L::WaistToHip) * 0.55;
        const Length closed = closed_waist(above);
        if (answered(size_, waist)) {
            take(dart, Length::mm(dart_mm));
            take(waist, {});
            return;
        }
        take(dart, Length::mm(dart_mm));
        take(waist, closed + of(dart), least, most);
    }

    // Rules of the hand as the block's; a crotch seam that is not measured is as the block draws it.
    void trousers()
    {
        const Length quarter = garment(Measure::Hip, 50, 1070) / 4.0;
        const Length extension = quarter / 4.0 + Length::mm(5);
        const auto room = [&](TissueLine thigh, Length out) {
            const auto m = measured(size_, thigh);
            return m ? *m - out : facts(L::LegFrontHip).high;
        };
        const Length back_extension = extension * 1.5 + Length::mm(10);
        // On elastic it is as wide at the waist.
        const auto wide = [&](TissueLine waist) { return measured(size_, waist).value_or(Length{}); };
        take(L::LegFrontHip, std::max(measured(size_, L::LegBackHip).value_or(quarter), wide(L::LegFrontWaist)),
             facts(L::LegFrontHip).low, room(L::LegFrontThigh, extension / 2.0));
        take(L::LegBackHip, std::max(of(L::LegFrontHip), wide(L::LegBackWaist)), facts(L::LegBackHip).low,
             room(L::LegBackThigh, back_extension / 2.0));
        take(L::LegFrontThigh, of(L::LegFrontHip) + extension, of(L::LegFrontHip) + Length::mm(5),
             facts(L::LegFrontThigh).high);
        take(L::LegBackThigh, of(L::LegBackHip) + back_extension, of(L::LegBackHip) + Length::mm(5),
             facts(L::LegBackThigh).high);
        take(L::LegToHip, body(Measure::WaistToHip).value_or(Length::mm(206)), facts(L::LegToHip).low,
             measured(size_, L::LegRise).value_or(facts(L::LegRise).high) - Length::mm(30));
        const auto rise = body(Measure::BodyRise);
        take(L::LegRise, rise ? *rise + Length::mm(10) : Length::mm(285), of(L::LegToHip) + Length::mm(30),
             facts(L::LegRise).high);
        take(L::InsideLeg,
             measured(size_, L::LegBackInside).value_or(body(Measure::InsideLeg).value_or(Length::mm(740))));
        take(L::LegBackInside, of(L::InsideLeg), of(L::InsideLeg) - Length::mm(15),
             of(L::InsideLeg) + Length::mm(5));
        take(L::LegToKnee, of(L::InsideLeg) / 2.0 - Length::mm(50), Length::mm(10),
             of(L::InsideLeg) - Length::mm(20));
        leg_widths();
        take(L::LegBandDepth, Length::mm(40));
        trousers_half(L::LegFrontHip, L::LegFrontWaist, L::LegFrontDart, L::LegFrontLean, {8, 16, above_front});
        trousers_half(L::LegBackHip, L::LegBackWaist, L::LegBackDart, L::LegBackLean, {38, 24, above_back});
        take(L::LegFrontDartLength, Length::mm(90), facts(L::LegFrontDartLength).low, of(L::LegToHip));
        take(L::LegBackDartLength, Length::mm(115), facts(L::LegBackDartLength).low, of(L::LegToHip));
        take(L::LegFly, Length::mm(180), Length{}, of(L::LegRise) - Length::mm(30));
        for (const auto line : {L::LegFrontCrotch, L::LegBackCrotch})
            out_[line] = measured(size_, line).value_or(Length{});
    }
    // A tapered leg's; the back a little wider than the front.
    void leg_widths()
    {
        const Length hips = (of(L::LegFrontHip) + of(L::LegBackHip)) * 2.0;
        const auto knee_back = measured(size_, L::LegBackKnee);
        const auto hem_back = measured(size_, L::LegBackHem);
        const Length more = Length::mm(20);
        if (lacks(size_, L::LegToKnee)) {
            const Length hem = of(L::LegFrontThigh) - Length::mm(20);
            take(L::LegFrontHem, hem_back ? *hem_back - more : hem);
            take(L::LegBackHem, of(L::LegFrontHem) + more);
            out_[L::LegFrontKnee] = (of(L::LegFrontThigh) + of(L::LegFrontHem)) / 2.0;
            out_[L::LegBackKnee] = (of(L::LegBackThigh) + of(L::LegBackHem)) / 2.0;
            return;
        }
        take(L::LegFrontKnee, knee_back ? *knee_back - more : hips * 0.21 - more / 2.0);
        take(L::LegBackKnee, of(L::LegFrontKnee) + more);
        take(L::LegFrontHem, hem_back ? *hem_back - more : of(L::LegFrontKnee) * 0.9);
        take(L::LegBackHem, of(L::LegFrontHem) + more);
    }
    struct UsualTop {
        double lean_mm;
        double dart_mm;
        Sewn above;
    };
    void trousers_half(TissueLine hip, TissueLine waist, TissueLine dart, TissueLine lean, UsualTop usual)
    {
        const Length closed = closed_waist(usual.above);
        take(dart, Length::mm(usual.dart_mm));
        const auto open = measured(size_, waist);
        const Length most = open ? of(hip) - *open + of(L::LegToHip) * 0.15 : facts(lean).high;
        take(lean, Length::mm(usual.lean_mm), Length{}, std::max(most, Length{}));
        const Length across = of(hip) - of(lean);
        take(waist, closed + of(dart), across - of(L::LegToHip) * 0.4, across + of(L::LegToHip) * 0.15);
    }

    void bodice()
    {
        const Length quarter = garment(Measure::Bust, 80, 980) / 4.0;
        const auto more = Length::mm(4);
        const auto back = measured(size_, L::BackBust);
        take(L::FrontBust, back ? *back + more * 2.0 : quarter + more);
        take(L::BackBust, of(L::FrontBust) - more * 2.0);
        grown_ = (of(L::FrontBust) + of(L::BackBust)) / Length::mm(490) - 1;
        shoulders();
        lengths();
        widths();
        darts();
        waists();
        if (tissue_.note(TissueNote::Sleeve) == 1) sleeve();
    }
    // A length that grows with the bust, by a share of how much it does.
    [[nodiscard]] Length soft(double plain_mm, double share) const
    {
        return Length::mm(plain_mm * (1 + share * grown_));
    }
    void shoulders()
    {
        take(L::NeckWidth, soft(71, 0.4));
        take(L::FrontNeckDepth, soft(82, 0.4));
        take(L::BackNeckDepth, soft(22, 0.2));
        const auto before = measured(size_, L::FrontShoulder);
        const auto behind = measured(size_, L::BackShoulder);
        // Much longer than the front it has a dart, and a little of it is eased.
        const Length longer = before && behind ? *behind - *before : Length{};
        take(L::BackShoulderDart, longer > Length::mm(10) ? longer - Length::mm(3) : Length{});
        take(L::FrontShoulder, behind ? *behind - of(L::BackShoulderDart) : soft(122, 0.3));
        take(L::BackShoulder, of(L::FrontShoulder) + of(L::BackShoulderDart));
        const auto drop_behind = measured(size_, L::BackDrop);
        take(L::FrontDrop, drop_behind ? *drop_behind + Length::mm(6) : of(L::FrontShoulder) * 0.377, Length{},
             of(L::FrontShoulder) * 0.6);
        take(L::BackDrop, of(L::FrontDrop) * 0.87, Length{}, of(L::FrontShoulder) * 0.6);
    }
    // An armhole has room between the tip and the underarm.
    void lengths()
    {
        const Length front_room = of(L::FrontDrop) + Length::mm(110);
        const Length back_room = of(L::BackDrop) + Length::mm(90);
        Length most = facts(L::SideLength).high;
        if (const auto f = measured(size_, L::FrontLength)) most = std::min(most, *f - front_room);
        if (const auto b = measured(size_, L::BackLength)) most = std::min(most, *b - back_room);
        take(L::SideLength, soft(209, 0.1), facts(L::SideLength).low, at_least(most, facts(L::SideLength).low));
        take(L::FrontLength, body(Measure::FrontWaistLength).value_or(soft(446, 0.25)),
             of(L::SideLength) + front_room, facts(L::FrontLength).high);
        take(L::BackLength, body(Measure::BackWaistLength).value_or(soft(410, 0.2)), of(L::SideLength) + back_room,
             facts(L::BackLength).high);
    }
    void widths()
    {
        const Length least = of(L::NeckWidth) + Length::mm(25);
        const auto behind = measured(size_, L::AcrossBack);
        take(L::AcrossFront, behind ? *behind - Length::mm(10) : soft(164, 0.6), least,
             of(L::FrontBust) - Length::mm(10));
        take(L::AcrossBack, of(L::AcrossFront) + Length::mm(10), least, of(L::BackBust) - Length::mm(10));
        take(L::BustDepth, body(Measure::BustDepth).value_or(of(L::FrontLength) * 0.6), facts(L::BustDepth).low,
             of(L::FrontLength) - Length::mm(60));
        const auto span = body(Measure::BustSpan);
        take(L::BustHalfSpan, span ? *span / 2.0 : soft(93, 0.6), facts(L::BustHalfSpan).low,
             of(L::FrontBust) - Length::mm(40));
    }
    void darts()
    {
        const bool hem = tissue_.note(TissueNote::Ends) == 1;
        const bool panels = tissue_.note(TissueNote::FrontSeam) > 0;
        take(L::SideDart, hem || panels ? Length{} : Length::mm(29), Length{}, facts(L::SideDart).high);
        take(L::SeamAbove, Length::mm(18));
        take(L::FrontWaistDart, hem ? Length{} : Length::mm(26), Length{}, facts(L::FrontWaistDart).high);
        take(L::BackWaistDart, hem ? Length{} : Length::mm(26), Length{}, facts(L::BackWaistDart).high);
    }
    void waists()
    {
        const Length quarter = garment(Measure::Waist, 40, 780) / 4.0;
        const Length lean = of(L::SideLength) * 0.36;
        const Length more = (of(L::FrontBust) - of(L::BackBust)) / 2.0;
        take(L::BodiceFrontWaist, quarter + more + of(L::FrontWaistDart), of(L::FrontBust) - lean,
             of(L::FrontBust) + lean);
        take(L::BodiceBackWaist, quarter - more + of(L::BackWaistDart), of(L::BackBust) - lean,
             of(L::BackBust) + lean);
        take(L::BelowWaist, Length::mm(200));
        const Length hem = garment(Measure::Hip, 50, 1070) / 4.0;
        take(L::FrontHemWidth, hem + more);
        take(L::BackHemWidth, of(L::FrontHemWidth) - more * 2.0);
    }
    void sleeve()
    {
        const Length bust = (of(L::FrontBust) + of(L::BackBust)) * 2.0;
        const auto arm = body(Measure::UpperArm);
        take(L::SleeveBicep, arm ? *arm + Length::mm(60) : bust * 0.36);
        const Length cap = measured(size_, L::CapHeight).value_or(Length::mm(150));
        take(L::SleeveLength, body(Measure::ArmLength).value_or(Length::mm(580)), cap + Length::mm(60),
             facts(L::SleeveLength).high);
        out_[L::CapHeight] = measured(size_, L::CapHeight).value_or(Length{});
        out_[L::CapLength] = measured(size_, L::CapLength).value_or(Length{});
        const bool to_the_elbow = of(L::SleeveLength) > Length::mm(430);
        take(L::SleeveElbow, to_the_elbow ? of(L::SleeveLength) * 0.6 : Length{}, Length{},
             of(L::SleeveLength) - Length::mm(60));
        take(L::SleeveHem, to_the_elbow ? bust * 0.25 : of(L::SleeveBicep) - Length::mm(20),
             facts(L::SleeveHem).low, of(L::SleeveBicep) + Length::mm(110));
    }

    void girth()
    {
        const Measure m = girths_laid_flat[static_cast<std::size_t>(tissue_.note(TissueNote::GirthAt))];
        const Length quarter = garment(m, 50, 800) / 4.0;
        take(L::GirthFront, quarter);
        take(L::GirthBack, quarter);
        take(L::GirthSide, quarter / 2.0);
        for (const auto line : {L::GirthFrontDarts, L::GirthBackDarts}) take(line, {});
        for (const auto line : {L::GirthFrontFold, L::GirthBackFold}) take(line, Length::mm(10));
    }

    const Tissue& tissue_;
    const TissueSize& size_;
    const SizeChart* chart_;
    std::optional<std::size_t> index_;
    double grown_ = 0;
    TissueLengths neighbour_;
    TissueLengths out_;
};

// Only the lines that say a piece has not got something stay.
TissueSize bare(const TissueSize& s, const std::string& name)
{
    TissueSize out{name, {}};
    for (const auto& [line, value] : s.lines) {
        if (value.state == TissueState::Lacking) out.lines[line] = value;
    }
    return out;
}

}  // namespace

TissueLengths resolved(const Tissue& t, const TissueSize& size, const SizeChart* chart)
{
    Assuming here{t, size, chart};
    TissueLengths neighbour;
    for (const auto& other : t.sizes) {
        if (other.name == size.name) continue;
        const TissueSize plain_there = bare(other, other.name);
        const TissueSize plain_here = bare(other, size.name);
        auto there = Assuming{t, plain_there, chart}.all();
        auto then = Assuming{t, plain_here, chart}.all();
        for (const auto& [line, value] : other.lines) {
            if (value.state == TissueState::Measured && there.contains(line) && !neighbour.contains(line))
                neighbour[line] = value.value + then[line] - there[line];
        }
    }
    here.go_by(std::move(neighbour));
    return here.all();
}

}  // namespace sartorum
