#include "core/tissue/draw.h"

#include <algorithm>

#include "core/pattern/bodice_block.h"
#include "core/pattern/dart.h"
#include "core/pattern/dress_block.h"
#include "core/pattern/joint.h"
#include "core/pattern/trousers_block.h"
#include "core/tissue/draw_legs.h"
#include "core/tissue/lines_laid.h"
#include "core/tissue/refused_lines.h"
#include "core/units/root.h"

namespace sartorum {
namespace {

using L = TissueLine;
using N = TissueNote;

// In the lines' own terms; the block speaks of girths where a line is half a width.
Refusal in_lines(Refusal r, TissueKind kind)
{
    if (const auto* b = blamed_in(kind, r.field)) r.field = std::string{facts(b->line).key};
    return r;
}

DartKind fold_of(const Tissue& t)
{
    return static_cast<DartKind>(t.note(N::WaistFold));
}

// What a cap is longer than its armhole by, while it is not measured.
constexpr Length usual_cap_ease = Length::mm(24);

class TissueDrawing {
public:
    TissueDrawing(const Tissue& t, const TissueSize& s, const SizeChart* chart)
        : tissue_{t}, size_{s}, lines_{resolved(t, s, chart)}
    {
    }

    [[nodiscard]] Outcome<SizedPieces> drawn(TissueKind as) const
    {
        if (as == TissueKind::Skirt) return skirt();
        if (as == TissueKind::Trousers) return draw_legs(tissue_, size_, lines_, above());
        return as == TissueKind::Bodice ? bodice() : strips();
    }

private:
    [[nodiscard]] Length of(TissueLine line) const { return lines_.at(line); }

    [[nodiscard]] Outcome<SizedPieces> skirt() const
    {
        SkirtFlat f;
        f.name = tissue_.name;
        f.size = size_.name;
        f.hip = (of(L::FrontHip) + of(L::BackHip)) * 2.0;
        f.front_more = (of(L::FrontHip) - of(L::BackHip)) * 2.0;
        f.front_dart = of(L::FrontDart);
        f.back_dart = of(L::BackDart);
        f.front_waist = of(L::FrontWaist) - f.front_dart;
        f.waist = (f.front_waist + of(L::BackWaist) - f.back_dart) * 2.0;
        f.waist_to_hip = of(L::WaistToHip);
        f.length = of(L::CentreLength);
        f.front_dart_length = of(L::FrontDartLength);
        f.back_dart_length = of(L::BackDartLength);
        f.side_rise = of(L::SideRise);
        f.band_depth = of(L::BandDepth);
        f.allowance = of(L::Allowance);
        f.hem_allowance = of(L::HemAllowance);
        f.back_seam = tissue_.note(N::CentreBack) == 1;
        f.fold = fold_of(tissue_);
        f.flare = Length::mm(55);
        if (tissue_.kind == TissueKind::Dress) {
            f.band_depth = {};
            const auto darts = above();
            f.front_dart_at = darts.front;
            f.back_dart_at = darts.back;
        }
        if (of(L::FrontHem) <= Length{}) return draw_skirt(f);
        return with_hem(std::move(f), of(L::FrontHem));
    }

    // Where both have a dart, the one below stands beneath the bodice's.
    [[nodiscard]] DartsAbove above() const
    {
        if (!joined_at_waist(tissue_.kind)) return {};
        const auto bodice = draw_bodice(flat());
        if (!bodice) return {};
        return {first_dart_at_waist(bodice->pieces[0]), first_dart_at_waist(bodice->pieces[1])};
    }

    // The flare at which the front's hem is as wide as it was measured along its line.
    static Outcome<SizedPieces> with_hem(SkirtFlat f, Length wanted)
    {
        const auto wide = [&](double flare) -> Outcome<Length> {
            f.flare = Length::mm(flare);
            const auto d = draw_skirt(f);
            if (!d) return tl::make_unexpected(d.error());
            return sewn_length(d->pieces[0], EdgeRole::Hem);
        };
        constexpr double most_flare = 400;
        const auto least = wide(0);
        if (!least) return tl::make_unexpected(least.error());
        const auto most = wide(most_flare);
        if (!most) return tl::make_unexpected(most.error());
        if (wanted < *least || wanted > *most)
            return refuse_amount(Why::OutOfRange, "flare", wanted, *least, *most);
        const double at =
            zero_between(0, most_flare, (*least - wanted).in_mm(), (*most - wanted).in_mm(), 1e-6,
                         [&](double flare) { return (wide(flare).value_or(wanted) - wanted).in_mm(); });
        f.flare = Length::mm(at);
        return draw_skirt(f);
    }

    [[nodiscard]] BodiceFlat flat() const
    {
        BodiceFlat f;
        f.name = tissue_.name;
        f.size = size_.name;
        const bool hem = tissue_.note(N::Ends) == 1;
        const int seam = hem ? 0 : tissue_.note(N::FrontSeam);
        if (seam > 0) f.princess = seam == 1 ? PrincessFrom::Armhole : PrincessFrom::Shoulder;
        f.bust = (of(L::FrontBust) + of(L::BackBust)) * 2.0;
        f.front_more = (of(L::FrontBust) - of(L::BackBust)) * 2.0;
        f.front_dart = of(L::FrontWaistDart);
        f.back_dart = of(L::BackWaistDart);
        f.front_waist = of(L::BodiceFrontWaist) - (hem ? Length{} : f.front_dart);
        f.waist = (f.front_waist + of(L::BodiceBackWaist) - (hem ? Length{} : f.back_dart)) * 2.0;
        f.neck_width = of(L::NeckWidth);
        f.front_neck_depth = of(L::FrontNeckDepth);
        f.back_neck_depth = of(L::BackNeckDepth);
        f.shoulder = of(L::FrontShoulder);
        f.front_drop = of(L::FrontDrop);
        f.back_drop = of(L::BackDrop);
        f.across_front = of(L::AcrossFront);
        f.across_back = of(L::AcrossBack);
        f.front_length = of(L::FrontLength);
        f.back_length = of(L::BackLength);
        f.side_length = of(L::SideLength);
        f.side_dart = f.princess ? Length{} : of(L::SideDart);
        f.seam_above = f.princess ? of(L::SeamAbove) : Length{};
        if (!hem && (f.princess || f.side_dart > Length{} || f.front_dart > Length{})) {
            f.bust_depth = of(L::BustDepth);
            f.bust_span = of(L::BustHalfSpan) * 2.0;
        }
        f.shoulder_dart = of(L::BackShoulderDart);
        f.shoulder_ease = of(L::BackShoulder) - f.shoulder_dart - f.shoulder;
        if (hem) {
            f.below_waist = of(L::BelowWaist);
            f.front_hip = of(L::FrontHemWidth);
            f.hip = (f.front_hip + of(L::BackHemWidth)) * 2.0;
        }
        f.allowance = of(L::Allowance);
        f.front_allowance = tissue_.note(N::CentreFront) == 1 ? of(L::FrontAllowance) : Length{};
        f.hem_allowance = of(L::HemAllowance);
        f.front_fold = tissue_.note(N::CentreFront) == 0;
        f.back_seam = tissue_.note(N::CentreBack) == 1;
        f.fold = f.princess ? DartKind::Dart : fold_of(tissue_);
        return f;
    }

    [[nodiscard]] Outcome<SizedPieces> bodice() const
    {
        const BodiceFlat f = flat();
        auto out = f.princess || f.shoulder_dart > Length{} ? as_it_lies(f) : draw_bodice(f);
        if (!out || tissue_.note(N::Sleeve) == 0) return out;
        auto sleeve = sleeve_for(*out, f);
        if (!sleeve) return tl::make_unexpected(sleeve.error());
        out->pieces.push_back(std::move(*sleeve));
        return out;
    }

    // The block thinks of a shoulder dart, and of the seam of two panels, as shut; on the table they lie open, and
    // what lies beyond is turned. What is drawn is put right by what it is off, until it lies as it was measured.
    [[nodiscard]] Outcome<SizedPieces> as_it_lies(BodiceFlat f) const
    {
        constexpr int most_rounds = 20;
        Length front = of(L::FrontBust);
        Outcome<SizedPieces> out = draw_bodice(f);
        for (int i = 0; out && i < most_rounds; ++i) {
            Length worst;
            const auto put_right = [&](TissueLine line, Length& value) {
                const auto laid = laid_line(line, out->pieces);
                const Length off = laid ? of(line) - laid->length : Length{};
                worst = std::max(worst, abs(off));
                value += off;
            };
            put_right(L::FrontDrop, f.front_drop);
            put_right(L::BackDrop, f.back_drop);
            put_right(L::AcrossFront, f.across_front);
            put_right(L::FrontBust, front);
            if (worst < Length::mm(3e-4)) break;
            f.bust = (front + of(L::BackBust)) * 2.0;
            f.front_more = (front - of(L::BackBust)) * 2.0;
            out = draw_bodice(f);
        }
        return out;
    }

    [[nodiscard]] Outcome<Piece> sleeve_for(const SizedPieces& body, const BodiceFlat& f) const
    {
        const Piece& front = body.pieces[0];
        const Piece& back = body.pieces[1];
        const Length hole = sewn_length(front, EdgeRole::Armhole) + sewn_length(back, EdgeRole::Armhole);
        SleeveFlat s;
        s.bicep = of(L::SleeveBicep);
        s.cap_height = of(L::CapHeight);
        s.length = of(L::SleeveLength);
        s.hem = of(L::SleeveHem);
        s.elbow = of(L::SleeveElbow);
        s.allowance = f.allowance;
        s.hem_allowance = f.hem_allowance;
        s.cap_ease = usual_cap_ease;
        if (of(L::CapLength) > Length{}) s.cap_ease = of(L::CapLength) - hole;
        auto out = draw_sleeve(s, front, back);
        if (out || out.error().field != "cap_ease") return out;
        auto refusal = out.error();
        refusal.given += hole;
        refusal.low += hole;
        refusal.high += hole;
        return tl::make_unexpected(refusal);
    }

    // Of a girth: what lies on the table at that level.
    [[nodiscard]] Outcome<SizedPieces> strips() const
    {
        SizedPieces out{size_.name, {}};
        const std::pair<TissueLine, const char*> strips[] = {
            {L::GirthFront, "Front"}, {L::GirthBack, "Back"}, {L::GirthSide, "Side"}};
        constexpr double tall = 150;
        for (const auto& [line, name] : strips) {
            if (lacks(size_, line)) continue;
            Piece p;
            p.name = name;
            p.id = std::string{facts(line).key};
            p.role = PieceRole::Other;
            const double w = of(line).in_mm();
            const Point c[] = {{0, 0}, {w, 0}, {w, -tall}, {0, -tall}};
            for (int i = 0; i < 4; ++i)
                p.edges.push_back({EdgeRole::Plain, straight(c[i], c[(i + 1) % 4]), Length{}});
            out.pieces.push_back(std::move(p));
        }
        return out;
    }

    const Tissue& tissue_;
    const TissueSize& size_;
    TissueLengths lines_;
};

}  // namespace

Outcome<SizedPieces> drawn_by_block(const Tissue& t, const TissueSize& s, const SizeChart* chart, TissueKind as)
{
    return TissueDrawing{t, s, chart}.drawn(as);
}

namespace {

std::string called_below(TissueKind kind)
{
    return kind == TissueKind::AllInOne ? "trousers-" : "skirt-";
}

}  // namespace

Outcome<SizedPieces> draw_tissue(const Tissue& t, const TissueSize& s, const SizeChart* chart)
{
    std::optional<SizedPieces> whole;
    for (const auto kind : made_of(t.kind)) {
        auto part = drawn_by_block(t, s, chart, kind);
        if (!part) return tl::make_unexpected(in_lines(part.error(), kind));
        whole = whole ? sewn_together(std::move(*whole), *part, called_below(t.kind)) : std::move(*part);
    }
    return std::move(*whole);
}

namespace {

// What the seams of a pattern mean, alike in all its sizes: the mean of what each was measured at.
struct Meant {
    Length shoulder_ease;
    std::optional<Length> cap_ease{};
    double fullness = 1;
    Length waist_ease{};
};

// Gathered in from as much more as nobody eases.
void add_waist(Meant& meant, Length above, Length below)
{
    if (below / above >= gathered_from)
        meant.fullness = below / above;
    else
        meant.waist_ease = below - above;
}

Length stretch_meant(const Tissue& t, const SizeChart* chart)
{
    Length all;
    for (const auto* s : sizes_drawn(t)) all += inner_stretch(resolved(t, *s, chart));
    return all / static_cast<double>(sizes_drawn(t).size());
}

Meant meant_by(const std::vector<SizedPieces>& sizes, TissueKind kind)
{
    Length shoulder;
    Length cap;
    Length above;
    Length below;
    bool sleeved = false;
    for (const auto& s : sizes) {
        const auto sewn = [&](PieceRole role, PartKind part, EdgeRole edge) {
            for (const auto& p : s.pieces) {
                if (p.role == role && p.part == part) return sewn_length(p, edge);
            }
            return Length{};
        };
        const auto of_bodice = [&](PieceRole role, EdgeRole edge) {
            return sewn(role, part_of(L::FrontBust), edge);
        };
        shoulder +=
            of_bodice(PieceRole::Back, EdgeRole::Shoulder) - of_bodice(PieceRole::Front, EdgeRole::Shoulder);
        sleeved = find_piece(s.pieces, PieceRole::Sleeve) != nullptr;
        cap += of_bodice(PieceRole::Sleeve, EdgeRole::CapFront) + of_bodice(PieceRole::Sleeve, EdgeRole::CapBack) -
               of_bodice(PieceRole::Front, EdgeRole::Armhole) - of_bodice(PieceRole::Back, EdgeRole::Armhole);
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            above += of_bodice(role, EdgeRole::Waist);
            below +=
                sewn(role, part_of(kind == TissueKind::AllInOne ? L::LegFrontHip : L::FrontHip), EdgeRole::Waist);
        }
    }
    const double n = static_cast<double>(sizes.size());
    Meant out{shoulder / n};
    if (sleeved) out.cap_ease = cap / n;
    if (joined_at_waist(kind)) add_waist(out, above / n, below / n);
    return out;
}

}  // namespace

Outcome<Pattern> tissue_pattern(const Tissue& t, const SizeChart* chart)
{
    if (t.name.empty() || sizes_drawn(t).empty()) return refuse(Why::KeyMissing, t.name.empty() ? "name" : "size");
    if (t.kind == TissueKind::Girth) return refuse(Why::FileNotAPattern, t.name);
    Pattern p{t.name, t.maker, {}, {}};
    for (const auto* s : sizes_drawn(t)) {
        auto sized = draw_tissue(t, *s, chart);
        if (!sized) return tl::make_unexpected(sized.error());
        p.sizes.push_back(std::move(*sized));
    }
    if (t.kind == TissueKind::Skirt) {
        p.seams = skirt_seams(p.sizes.front().pieces.size() > 2);
        return check_pattern(std::move(p));
    }
    if (t.kind == TissueKind::Trousers) {
        p.seams = trousers_seams(p.sizes.front().pieces.size() > 2, stretch_meant(t, chart));
        return check_pattern(std::move(p));
    }
    const Meant meant = meant_by(p.sizes, t.kind);
    p.seams = bodice_seams(meant.shoulder_ease, meant.cap_ease);
    if (t.kind == TissueKind::Dress) p.seams = dress_seams(std::move(p.seams), meant.fullness, meant.waist_ease);
    if (t.kind == TissueKind::AllInOne)
        p.seams = joined_seams(std::move(p.seams), trousers_seams(false, stretch_meant(t, chart)),
                               called_below(t.kind), meant.fullness, meant.waist_ease);
    return check_pattern(std::move(p));
}

std::vector<const TissueSize*> sizes_drawn(const Tissue& t)
{
    std::vector<const TissueSize*> out;
    for (const auto& s : t.sizes) {
        const bool begun = std::any_of(s.lines.begin(), s.lines.end(),
                                       [](const auto& l) { return l.second.state == TissueState::Measured; });
        if (begun) out.push_back(&s);
    }
    if (out.empty() && t.in_hand()) out.push_back(t.in_hand());
    return out;
}

int lines_assumed(const Tissue& t, const TissueSize& s)
{
    const auto lines = lines_on_pieces(t, s);
    return static_cast<int>(
        std::count_if(lines.begin(), lines.end(), [&](TissueLine l) { return !answered(s, l); }));
}

}  // namespace sartorum
