#include "core/tissue/tissue.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr Length mm(double v)
{
    return Length::mm(v);
}

using P = TissuePiece;
using L = TissueLine;

// Ranges wide enough for a child's and the largest printed sizes; half widths. From memory.
constexpr std::array<TissueLineFacts, tissue_line_count> line_rows{{
    {L::FrontWaist, "front_waist", P::Front, false, mm(75), mm(640)},
    {L::SideRise, "side_rise", P::Front, true, mm(0), mm(60)},
    {L::WaistToHip, "waist_to_hip", P::Front, false, mm(100), mm(450)},
    {L::FrontHem, "front_hem", P::Front, false, mm(100), mm(1100)},
    {L::CentreLength, "centre_length", P::Front, false, mm(200), mm(1600)},
    {L::FrontHip, "front_hip", P::Front, false, mm(100), mm(700)},
    {L::FrontDart, "front_dart", P::Front, true, mm(0), mm(60)},
    {L::FrontDartLength, "front_dart_length", P::Front, false, mm(30), mm(300)},
    {L::BackWaist, "back_waist", P::Back, false, mm(75), mm(640)},
    {L::BackHip, "back_hip", P::Back, false, mm(100), mm(700)},
    {L::BackDart, "back_dart", P::Back, true, mm(0), mm(60)},
    {L::BackDartLength, "back_dart_length", P::Back, false, mm(30), mm(300)},
    {L::BandDepth, "band_depth", P::Band, true, mm(0), mm(150)},
    {L::NeckWidth, "neck_width", P::Front, false, mm(40), mm(150)},
    {L::FrontNeckDepth, "front_neck_depth", P::Front, false, mm(20), mm(250)},
    {L::FrontShoulder, "front_shoulder", P::Front, false, mm(40), mm(220)},
    {L::FrontDrop, "front_drop", P::Front, true, mm(0), mm(120)},
    {L::AcrossFront, "across_front", P::Front, false, mm(60), mm(500)},
    {L::FrontBust, "front_bust", P::Front, false, mm(100), mm(600)},
    {L::SideLength, "side_length", P::Front, false, mm(60), mm(400)},
    {L::SideDart, "side_dart", P::Front, true, mm(0), mm(90)},
    {L::SeamAbove, "seam_above", P::Front, false, mm(1), mm(60)},
    {L::BodiceFrontWaist, "bodice_front_waist", P::Front, false, mm(80), mm(640)},
    {L::FrontWaistDart, "front_waist_dart", P::Front, true, mm(0), mm(70)},
    {L::FrontLength, "front_length", P::Front, false, mm(180), mm(700)},
    {L::BelowWaist, "below_waist", P::Front, false, mm(30), mm(900)},
    {L::FrontHemWidth, "front_hem_width", P::Front, false, mm(100), mm(700)},
    {L::BustDepth, "bust_depth", P::Front, false, mm(120), mm(500)},
    {L::BustHalfSpan, "bust_half_span", P::Front, false, mm(50), mm(220)},
    {L::BackNeckDepth, "back_neck_depth", P::Back, false, mm(8), mm(200)},
    {L::BackShoulder, "back_shoulder", P::Back, false, mm(40), mm(260)},
    {L::BackShoulderDart, "back_shoulder_dart", P::Back, true, mm(0), mm(30)},
    {L::BackDrop, "back_drop", P::Back, true, mm(0), mm(120)},
    {L::AcrossBack, "across_back", P::Back, false, mm(60), mm(500)},
    {L::BackBust, "back_bust", P::Back, false, mm(100), mm(600)},
    {L::BodiceBackWaist, "bodice_back_waist", P::Back, false, mm(80), mm(640)},
    {L::BackWaistDart, "back_waist_dart", P::Back, true, mm(0), mm(70)},
    {L::BackLength, "back_length", P::Back, false, mm(160), mm(650)},
    {L::BackHemWidth, "back_hem_width", P::Back, false, mm(100), mm(700)},
    {L::SleeveLength, "sleeve_length", P::Sleeve, true, mm(0), mm(1000)},
    {L::CapHeight, "cap_height", P::Sleeve, false, mm(20), mm(260)},
    {L::CapLength, "cap_length", P::Sleeve, false, mm(200), mm(900)},
    {L::SleeveBicep, "sleeve_bicep", P::Sleeve, false, mm(160), mm(1000)},
    {L::SleeveElbow, "sleeve_elbow", P::Sleeve, true, mm(0), mm(700)},
    {L::SleeveHem, "sleeve_hem", P::Sleeve, false, mm(120), mm(1100)},
    {L::LegFrontWaist, "leg_front_waist", P::Front, false, mm(75), mm(700)},
    {L::LegToHip, "leg_to_hip", P::Front, false, mm(60), mm(450)},
    {L::LegRise, "leg_rise", P::Front, false, mm(90), mm(600)},
    {L::LegFrontHem, "leg_front_hem", P::Front, false, mm(50), mm(900)},
    {L::LegFrontKnee, "leg_front_knee", P::Front, false, mm(50), mm(800)},
    {L::InsideLeg, "inside_leg", P::Front, false, mm(120), mm(1200)},
    {L::LegToKnee, "leg_to_knee", P::Front, true, mm(0), mm(700)},
    {L::LegFrontCrotch, "leg_front_crotch", P::Front, false, mm(100), mm(700)},
    {L::LegFly, "leg_fly", P::Front, true, mm(0), mm(350)},
    {L::LegFrontLean, "leg_front_lean", P::Front, true, mm(0), mm(60)},
    {L::LegFrontHip, "leg_front_hip", P::Front, false, mm(100), mm(750)},
    {L::LegFrontThigh, "leg_front_thigh", P::Front, false, mm(110), mm(950)},
    {L::LegFrontDart, "leg_front_dart", P::Front, true, mm(0), mm(80)},
    {L::LegFrontDartLength, "leg_front_dart_length", P::Front, false, mm(30), mm(300)},
    {L::LegBackWaist, "leg_back_waist", P::Back, false, mm(75), mm(700)},
    {L::LegBackHem, "leg_back_hem", P::Back, false, mm(50), mm(900)},
    {L::LegBackKnee, "leg_back_knee", P::Back, false, mm(50), mm(800)},
    {L::LegBackInside, "leg_back_inside", P::Back, false, mm(120), mm(1200)},
    {L::LegBackCrotch, "leg_back_crotch", P::Back, false, mm(120), mm(800)},
    {L::LegBackLean, "leg_back_lean", P::Back, true, mm(0), mm(120)},
    {L::LegBackHip, "leg_back_hip", P::Back, false, mm(100), mm(750)},
    {L::LegBackThigh, "leg_back_thigh", P::Back, false, mm(120), mm(1100)},
    {L::LegBackDart, "leg_back_dart", P::Back, true, mm(0), mm(80)},
    {L::LegBackDartLength, "leg_back_dart_length", P::Back, false, mm(30), mm(300)},
    {L::LegBandDepth, "leg_band_depth", P::Band, true, mm(0), mm(150)},
    {L::GirthFront, "girth_front", P::Front, true, mm(0), mm(3000)},
    {L::GirthFrontDarts, "girth_front_darts", P::Front, true, mm(0), mm(600)},
    {L::GirthFrontFold, "girth_front_fold", P::Front, true, mm(0), mm(300)},
    {L::GirthBack, "girth_back", P::Back, true, mm(0), mm(3000)},
    {L::GirthBackDarts, "girth_back_darts", P::Back, true, mm(0), mm(600)},
    {L::GirthBackFold, "girth_back_fold", P::Back, true, mm(0), mm(300)},
    {L::GirthSide, "girth_side", P::Side, true, mm(0), mm(3000)},
    {L::Allowance, "allowance", P::Writing, true, mm(0), mm(50)},
    {L::FrontAllowance, "front_allowance", P::Writing, true, mm(0), mm(120)},
    {L::HemAllowance, "hem_allowance", P::Writing, true, mm(0), mm(120)},
}};

constexpr bool in_order()
{
    for (std::size_t i = 0; i < line_rows.size(); ++i) {
        if (static_cast<std::size_t>(line_rows[i].line) != i) return false;
    }
    return true;
}
static_assert(in_order());

using N = TissueNote;
const std::vector<std::string_view> times{"once", "twice", "three", "four"};
const std::vector<std::string_view> counts{"0", "1", "2", "3", "4", "5", "6", "7", "8"};

const std::vector<TissueNoteFacts>& note_rows()
{
    static const std::vector<TissueNoteFacts> rows{
        {N::CentreFront, "centre_front", TissueKind::Bodice, {"fold", "opens"}, 0},
        {N::CentreBack, "centre_back", TissueKind::Bodice, {"fold", "seam"}, 0},
        {N::FrontSeam, "front_seam", TissueKind::Bodice, {"none", "armhole", "shoulder"}, 0},
        {N::WaistFold, "waist_fold", TissueKind::Bodice, {"darts", "tucks", "pleats"}, 0},
        {N::Ends, "ends", TissueKind::Bodice, {"waist", "hem"}, 0},
        {N::Sleeve, "sleeve", TissueKind::Bodice, {"none", "set_in"}, 0},
        {N::GirthAt, "girth_at", TissueKind::Girth, {"bust", "waist", "hip", "upper_arm", "thigh"}, 0},
        {N::GirthFolds, "girth_folds", TissueKind::Girth, {"tucks", "knife_pleats", "box_pleats"}, 0},
        {N::FrontFolds, "front_folds", TissueKind::Girth, counts, 0},
        {N::BackFolds, "back_folds", TissueKind::Girth, counts, 0},
        {N::FrontCut, "front_cut", TissueKind::Girth, times, 1},
        {N::BackCut, "back_cut", TissueKind::Girth, times, 1},
        {N::SideCut, "side_cut", TissueKind::Girth, times, 1},
        {N::OpensAt, "opens_at", TissueKind::Trousers, {"centre", "side"}, 0}};
    return rows;
}

constexpr std::string_view kind_keys[] = {"skirt", "bodice", "dress", "trousers", "all_in_one", "girth"};

struct Span {
    TissueLine first;
    TissueLine last;
};

// From the first to the last line of each of its parts; the writing is every kind's but the girth's.
std::vector<Span> spans_of(TissueKind kind)
{
    switch (kind) {
        case TissueKind::Skirt: return {{L::FrontWaist, L::BandDepth}};
        case TissueKind::Bodice: return {{L::NeckWidth, L::SleeveHem}};
        case TissueKind::Dress: return {{L::NeckWidth, L::SleeveHem}, {L::FrontWaist, L::BackDartLength}};
        case TissueKind::Trousers: return {{L::LegFrontWaist, L::LegBandDepth}};
        case TissueKind::AllInOne: return {{L::NeckWidth, L::SleeveHem}, {L::LegFrontWaist, L::LegBackDartLength}};
        case TissueKind::Girth: break;
    }
    return {{L::GirthFront, L::GirthSide}};
}

// Lines that are only there because another one is.
bool asked(const Tissue& t, const TissueSize& s, TissueLine line)
{
    const bool hem = t.note(N::Ends) == 1;
    const bool panels = t.note(N::FrontSeam) > 0 && !hem;
    const bool darted = !hem && (panels || !lacks(s, L::SideDart) || !lacks(s, L::FrontWaistDart));
    switch (line) {
        case L::FrontDartLength: return !lacks(s, L::FrontDart);
        case L::BackDartLength: return !lacks(s, L::BackDart);
        case L::SideDart: return !panels && !hem;
        case L::SeamAbove: return panels;
        case L::FrontWaistDart:
        case L::BackWaistDart: return !hem;
        case L::BelowWaist:
        case L::FrontHemWidth:
        case L::BackHemWidth: return hem;
        case L::BustDepth:
        case L::BustHalfSpan: return darted;
        case L::SleeveLength:
        case L::CapHeight:
        case L::CapLength:
        case L::SleeveBicep:
        case L::SleeveElbow:
        case L::SleeveHem: return t.note(N::Sleeve) == 1;
        case L::LegFrontKnee:
        case L::LegBackKnee: return !lacks(s, L::LegToKnee);
        case L::LegFrontDartLength: return !lacks(s, L::LegFrontDart);
        case L::LegBackDartLength: return !lacks(s, L::LegBackDart);
        case L::GirthFrontDarts: return !lacks(s, L::GirthFront);
        case L::GirthBackDarts: return !lacks(s, L::GirthBack);
        case L::GirthFrontFold: return !lacks(s, L::GirthFront) && t.note(N::FrontFolds) > 0;
        case L::GirthBackFold: return !lacks(s, L::GirthBack) && t.note(N::BackFolds) > 0;
        case L::FrontAllowance:
            return t.note(N::CentreFront) == 1 && t.kind != TissueKind::Skirt && t.kind != TissueKind::Trousers;
        case L::HemAllowance: return t.kind != TissueKind::Bodice || hem || t.note(N::Sleeve) == 1;
        default: return true;
    }
}

}  // namespace

const TissueLineFacts& facts(TissueLine line)
{
    return line_rows[static_cast<std::size_t>(line)];
}

const TissueNoteFacts& facts(TissueNote note)
{
    return note_rows()[static_cast<std::size_t>(note)];
}

std::optional<TissueLine> tissue_line_of(std::string_view key)
{
    const auto it = std::find_if(line_rows.begin(), line_rows.end(), [&](const auto& r) { return r.key == key; });
    return it == line_rows.end() ? std::nullopt : std::optional{it->line};
}

std::optional<TissueNote> tissue_note_of(std::string_view key)
{
    for (const auto& r : note_rows()) {
        if (r.key == key) return r.note;
    }
    return std::nullopt;
}

std::vector<TissueKind> made_of(TissueKind kind)
{
    if (kind == TissueKind::Dress) return {TissueKind::Bodice, TissueKind::Skirt};
    if (kind == TissueKind::AllInOne) return {TissueKind::Bodice, TissueKind::Trousers};
    return {kind};
}

bool is_of(TissueKind whole, TissueKind part)
{
    const auto parts = made_of(whole);
    return std::find(parts.begin(), parts.end(), part) != parts.end();
}

bool joined_at_waist(TissueKind kind)
{
    return made_of(kind).size() > 1;
}

std::string_view key(TissueKind kind)
{
    return kind_keys[static_cast<std::size_t>(kind)];
}

std::optional<TissueKind> tissue_kind_of(std::string_view word)
{
    for (std::size_t i = 0; i < std::size(kind_keys); ++i) {
        if (kind_keys[i] == word) return static_cast<TissueKind>(i);
    }
    return std::nullopt;
}

int Tissue::note(TissueNote n) const
{
    if (n == N::Ends && joined_at_waist(kind)) return facts(n).usual;
    const auto it = notes.find(n);
    return it == notes.end() ? facts(n).usual : it->second;
}

const TissueSize* Tissue::size_named(const std::string& wanted) const
{
    const auto it = std::find_if(sizes.begin(), sizes.end(), [&](const auto& s) { return s.name == wanted; });
    return it == sizes.end() ? nullptr : &*it;
}

const TissueSize* Tissue::in_hand() const
{
    return size_named(size);
}

TissueSize* Tissue::in_hand()
{
    return const_cast<TissueSize*>(std::as_const(*this).in_hand());
}

std::optional<Length> measured(const TissueSize& s, TissueLine line)
{
    const auto it = s.lines.find(line);
    if (it == s.lines.end() || it->second.state != TissueState::Measured) return std::nullopt;
    return it->second.value;
}

bool lacks(const TissueSize& s, TissueLine line)
{
    const auto it = s.lines.find(line);
    return it != s.lines.end() && it->second.state == TissueState::Lacking;
}

bool answered(const TissueSize& s, TissueLine line)
{
    return measured(s, line) || lacks(s, line);
}

bool waits(const TissueSize& s, TissueLine line)
{
    return !s.lines.contains(line);
}

int lines_waiting(const Tissue& t, const TissueSize& s)
{
    const auto lines = lines_on_pieces(t, s);
    return static_cast<int>(std::count_if(lines.begin(), lines.end(), [&](TissueLine l) { return waits(s, l); }));
}

PartKind part_of(TissueLine line)
{
    if (line >= L::LegFrontWaist && line <= L::LegBandDepth) return PartKind::Trousers;
    return line <= L::BandDepth ? PartKind::Skirt : PartKind::Upper;
}

bool lie_together(const Tissue& t, TissueLine a, TissueLine b)
{
    return !joined_at_waist(t.kind) || part_of(a) == part_of(b);
}

TissueLine allowance_beyond(TissueLine line)
{
    const bool hem = line == L::CentreLength || line == L::BelowWaist || line == L::SleeveLength ||
                     line == L::InsideLeg || line == L::LegBackInside;
    return hem ? L::HemAllowance : L::Allowance;
}

std::vector<TissueLine> lines_on_pieces(const Tissue& t, const TissueSize& s)
{
    std::vector<TissueLine> out;
    for (const auto& [first, last] : spans_of(t.kind)) {
        for (int i = static_cast<int>(first); i <= static_cast<int>(last); ++i) {
            const auto line = static_cast<TissueLine>(i);
            if (asked(t, s, line)) out.push_back(line);
        }
    }
    return out;
}

std::vector<TissueLine> lines_of(const Tissue& t, const TissueSize& s)
{
    auto out = lines_on_pieces(t, s);
    if (t.kind == TissueKind::Girth) return out;
    for (const auto line : {L::Allowance, L::FrontAllowance, L::HemAllowance}) {
        if (asked(t, s, line)) out.push_back(line);
    }
    return out;
}

std::vector<TissueNote> notes_of(const Tissue& t)
{
    if (t.kind == TissueKind::Skirt) return {N::CentreBack, N::WaistFold};
    if (t.kind == TissueKind::Trousers) return {N::WaistFold, N::OpensAt};
    std::vector<TissueNote> out;
    for (const auto& r : note_rows()) {
        const bool hem = t.note(N::Ends) == 1;
        const bool of_part = joined_at_waist(t.kind) && is_of(t.kind, r.kind) && r.note != N::Ends;
        const bool none_at_waist = hem && (r.note == N::FrontSeam || r.note == N::WaistFold);
        if ((r.kind == t.kind || of_part) && !none_at_waist) out.push_back(r.note);
    }
    return out;
}

Tissue without_line(Tissue t, TissueLine line)
{
    if (line == L::SleeveLength) {
        t.notes[N::Sleeve] = 0;
        return t;
    }
    if (auto* s = t.in_hand()) s->lines[line] = {TissueState::Lacking, {}};
    return t;
}

}  // namespace sartorum
