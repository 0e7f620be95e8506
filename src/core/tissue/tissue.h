// tissue.h: a pattern's tissue as it is measured flat, size by size: what was measured, what is not there, and
// what is written on it. A value; nothing is drawn or reckoned here.
//
// All on stitching lines, as the paper lies: half widths, darts open. Girths are reckoned (reckoned.h).
#pragma once
#include <array>
#include <map>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include "core/body/measure.h"
#include "core/pattern/part.h"
#include "core/units/refusal.h"

namespace sartorum {

// Dress, AllInOne: a bodice that ends at its waist and the skirt or the trousers sewn to it there. Girth: one
// girth of any garment, from the widths of its pieces at that level.
enum class TissueKind { Skirt, Bodice, Dress, Trousers, AllInOne, Girth };

enum class TissuePiece { Front, Back, Side, Sleeve, Band, Writing };  // Writing: allowances, as printed

// In the order hands move: round the edge of a piece from the centre, then what lies inside it.
enum class TissueLine {
    // a skirt's
    FrontWaist,
    SideRise,
    WaistToHip,
    FrontHem,
    CentreLength,
    FrontHip,
    FrontDart,
    FrontDartLength,
    BackWaist,
    BackHip,
    BackDart,
    BackDartLength,
    BandDepth,
    // a bodice's
    NeckWidth,
    FrontNeckDepth,
    FrontShoulder,
    FrontDrop,
    AcrossFront,
    FrontBust,
    SideLength,
    SideDart,
    SeamAbove,
    BodiceFrontWaist,
    FrontWaistDart,
    FrontLength,
    BelowWaist,
    FrontHemWidth,
    BustDepth,
    BustHalfSpan,
    BackNeckDepth,
    BackShoulder,
    BackShoulderDart,
    BackDrop,
    AcrossBack,
    BackBust,
    BodiceBackWaist,
    BackWaistDart,
    BackLength,
    BackHemWidth,
    SleeveLength,
    CapHeight,
    CapLength,
    SleeveBicep,
    SleeveElbow,
    SleeveHem,
    // of trousers, one leg's
    LegFrontWaist,
    LegToHip,
    LegRise,
    LegFrontHem,
    LegFrontKnee,
    InsideLeg,
    LegToKnee,
    LegFrontCrotch,
    LegFly,
    LegFrontLean,
    LegFrontHip,
    LegFrontThigh,
    LegFrontDart,
    LegFrontDartLength,
    LegBackWaist,
    LegBackHem,
    LegBackKnee,
    LegBackInside,
    LegBackCrotch,
    LegBackLean,
    LegBackHip,
    LegBackThigh,
    LegBackDart,
    LegBackDartLength,
    LegBandDepth,
    // of one girth
    GirthFront,
    GirthFrontDarts,
    GirthFrontFold,
    GirthBack,
    GirthBackDarts,
    GirthBackFold,
    GirthSide,
    // written
    Allowance,
    FrontAllowance,
    HemAllowance,
};
inline constexpr std::size_t tissue_line_count = 80;

struct TissueLineFacts {
    TissueLine line;
    std::string_view key;  // in the notebook
    TissuePiece on;
    bool may_lack;  // a piece may be without it
    Length low;     // what it can be
    Length high;
};

// What is written on the tissue, or seen at a glance; each one of a few words.
enum class TissueNote {
    CentreFront,  // on the fold, opens
    CentreBack,   // on the fold, seam
    FrontSeam,    // none over the bust, from the armhole, from the shoulder
    WaistFold,    // darts, tucks, pleats
    Ends,         // at the waist seam, at a hem
    Sleeve,       // none, set in
    GirthAt,      // as girths_laid_flat
    GirthFolds,   // tucks, knife pleats, box pleats
    FrontFolds,   // how many; of a box pleat's two folds, one pleat
    BackFolds,
    FrontCut,  // how often the piece is cut: once, twice or on the fold, three times, four
    BackCut,
    SideCut,
    OpensAt,  // of trousers: centre front, the side
};
inline constexpr std::size_t tissue_note_count = 14;

struct TissueNoteFacts {
    TissueNote note;
    std::string_view key;
    TissueKind kind;
    std::vector<std::string_view> words;
    int usual;  // of the words
};

[[nodiscard]] const TissueLineFacts& facts(TissueLine);
[[nodiscard]] const TissueNoteFacts& facts(TissueNote);
[[nodiscard]] std::optional<TissueLine> tissue_line_of(std::string_view key);
[[nodiscard]] std::optional<TissueNote> tissue_note_of(std::string_view key);
// The kinds it is made of, from the top down: a dress of a bodice and a skirt; any other of itself.
[[nodiscard]] std::vector<TissueKind> made_of(TissueKind);
[[nodiscard]] bool is_of(TissueKind whole, TissueKind part);
[[nodiscard]] bool joined_at_waist(TissueKind);
[[nodiscard]] std::string_view key(TissueKind);
[[nodiscard]] std::optional<TissueKind> tissue_kind_of(std::string_view);
inline constexpr std::array girths_laid_flat{Measure::Bust, Measure::Waist, Measure::Hip, Measure::UpperArm,
                                             Measure::Thigh};

// Measured; not there; or left as it is assumed.
enum class TissueState { Measured, Lacking, Assumed };

struct TissueValue {
    TissueState state = TissueState::Measured;
    Length value{};
    friend bool operator==(const TissueValue&, const TissueValue&) = default;
};

struct TissueSize {
    std::string name;  // as in the chart
    std::map<TissueLine, TissueValue> lines{};
    friend bool operator==(const TissueSize&, const TissueSize&) = default;
};

inline constexpr std::size_t most_tissue_sizes = 20;

struct Tissue {
    std::string name;
    std::string maker;
    TissueKind kind = TissueKind::Skirt;
    std::vector<TissueSize> sizes{};  // in the order they were measured; at least one once begun
    std::string size{};               // the one in hand
    std::map<TissueNote, int> notes{};

    [[nodiscard]] int note(TissueNote) const;  // as usual where nothing was written, or it cannot be otherwise
    [[nodiscard]] const TissueSize* in_hand() const;
    [[nodiscard]] TissueSize* in_hand();
    [[nodiscard]] const TissueSize* size_named(const std::string&) const;
    friend bool operator==(const Tissue&, const Tissue&) = default;
};

// What this tissue can be asked, in the order hands move, written ones last: what its notes, and the lines that
// are not there, leave.
[[nodiscard]] std::vector<TissueLine> lines_of(const Tissue&, const TissueSize&);
[[nodiscard]] std::vector<TissueLine> lines_on_pieces(const Tissue&, const TissueSize&);  // without the written
[[nodiscard]] std::vector<TissueNote> notes_of(const Tissue&);
// Every line of the kind that can lack can be said so; a sleeve's first line says so of all of it.
[[nodiscard]] Tissue without_line(Tissue, TissueLine);
[[nodiscard]] std::optional<Length> measured(const TissueSize&, TissueLine);
[[nodiscard]] bool lacks(const TissueSize&, TissueLine);
// Measured, or said not to be there.
[[nodiscard]] bool answered(const TissueSize&, TissueLine);
// Nothing was said of it: neither measured, nor not there, nor left as it is assumed.
[[nodiscard]] bool waits(const TissueSize&, TissueLine);
[[nodiscard]] int lines_waiting(const Tissue&, const TissueSize&);  // on the pieces
// On whose pieces a line is measured; a girth's are of no part, and say nothing.
[[nodiscard]] PartKind part_of(TissueLine);
// On the table at once: of what is joined at the waist, what is above it or what is below.
[[nodiscard]] bool lie_together(const Tissue&, TissueLine, TissueLine);
// Which allowance lies beyond where that line is read.
[[nodiscard]] TissueLine allowance_beyond(TissueLine);

}  // namespace sartorum
