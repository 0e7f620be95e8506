// refusal.h: why something a user gave cannot be taken, with the numbers a sentence needs.
//
// The core gives reasons; src/words turns each into a sentence that names the field and the remedy.
#pragma once
#include <string>
#include <tl/expected.hpp>

#include "core/units/length.h"

namespace sartorum {

enum class Why {
    // text
    TextEmpty,
    TextNotALength,
    TextUnitUnknown,
    TextCommaAmbiguous,
    TextTooLong,
    FractionBroken,
    TextSignBehind,
    // values
    OutOfRange,
    NotPositive,
    // charts
    ChartEmpty,
    ChartRagged,
    ChartTooLarge,
    ChartNoMeasure,
    ChartColumnUnknown,
    ChartColumnTwice,
    ChartCellNotALength,
    ChartUnitUnknown,
    ChartSizesUnnamed,
    ChartSizeTwice,
    ChartSizesOutOfOrder,
    ChartTooFewSizes,
    ChartMixedUnits,
    ChartRangeBackwards,
    ChartRangeHalfUnit,  // a unit on one side of a range only
    ChartMetaBroken,
    FlatNothingMeasured,
    FlatMoreTakenThanThere,
    SizeUnknown,
    // patterns
    FileUnreadable,
    FileTooLarge,
    FileBroken,
    FileTooDeep,
    FileNotAPattern,
    FileNoScale,
    FileActiveContent,
    FileNotUtf8,
    FileTooMany,      // of something, named in the field: high says how many may be
    NestedInPiece,    // a mark that belongs outside of every piece
    NumberBroken,     // an attribute that is no number, not finite, or past its limit
    WordUnknown,      // an attribute or member that is none of the words it may be
    ScaleImpossible,  // a transform or a viewBox that is not finite, or flattens the drawing
    OutlineNotClosed,
    OutlineEmpty,
    PathNotUnderstood,
    MarkMissing,
    PieceMissing,
    PieceNeeded,       // a front or a back cannot be left out
    PieceThere,        // what is to be made is there already
    NothingToSewTo,    // the piece or its edge that something is sewn to
    NothingThatOpens,  // no centre of these pieces can
    EdgeMissing,
    SkeletonDiffers,
    SeamUnknownPiece,
    LineMissesPiece,
    NoRoomForCut,   // on this piece, for the lines an adjustment is cut along
    MarkOffEdge,    // farther from its edge than high
    PieceTooLarge,  // in either direction; high is the most
    PieceTooSmall,
    KindsDiffer,        // a front and a back of different kinds in one part
    PartTwice,          // two fronts or two backs of one kind
    GoresOutOfRow,      // a front or back of several pieces that do not run from the centre to the side
    PanelsNotOfAFront,  // two panels are a front's
    NotSettled,         // what has to come out alike does not, however often it is asked again
    NotComputable,      // the paper cannot be worked out from this drawing
    BlockImpossible,
    BlockWaistImpossible,
    BlockCapImpossible,  // the cap cannot be drawn as long as the armhole asks
    // amounts
    AmountZero,
    AmountMissing,  // accepted without one, and nothing was measured to propose it from
    AmountTooLarge,
    FoldWouldBend,  // this way needs a centre seam; the centre is on the fold
    NeedsFold,      // this way straightens a fold; the centre is a seam
    NeedsWaistSeam,
    NeedsSideDart,
    NeedsBustPoint,
    NeedsBustDart,  // there is no dart to put it into, or to move
    DartTooSmall,   // the dart there is would close before the amount is reached
    DartAlreadyThere,
    NeedsPanels,     // this way is for a front of two panels
    LiningDiffers,   // a lining is not the piece it lines, less its hem
    FacingParted,    // its edges do not lie in one row, a dart mouth between each two
    FacingNoRoom,    // it is wider than the piece it lies on
    NothingToSpace,  // no tuck of these pieces goes anywhere by that amount
    WayNotHere,      // one of the ways of an adjustment, where the garment has nothing for it
    NoDartToMeet,    // no dart of this piece met one across the seam when it was drawn
    NeedsElbow,      // the sleeve ends above the elbow line, or has none
    NotOnThisGarment,
    PlaceUnknown,  // an amount at a place the adjustment has not got
    SidesAlike,    // an amount for one side of what is done on both alike
    PaperCrosses,  // the outline would cross itself, or an edge come to nothing; high, or low: the most that does
                   // not
    PatternDoubted,  // paper and chart can hardly belong together: to be answered first
    FacesAlike,      // an amount of the back's own where front and back go together
    // bodies
    BodyIncomplete,
    TapeCheckTooMany,
    TapeChecksTooClose,
    KeyMissing,
    KeyUnknown,
    KeyTwice,
    ValueIllTyped,  // a member of the wrong kind
    DateBroken,
    // writing
    FileNotWritable,
    FileExists,      // and nobody asked to replace it
    FileNotRegular,  // a folder or a device
    FileNoRoom,
    FileFolderMissing,
    PictureUnknown,      // a file that is no photograph this program reads
    PictureTooLarge,     // more pixels than high, in millions
    PictureTooInvolved,  // packed in more layers than high
    NoMemory,
    NotWorkedOut,  // a library gave up
    Stopped,       // by the user
};

struct Refusal {
    Why why{};
    std::string field{};  // what it is about: a column, a piece, a key, or the text as typed
    Length given{};
    Length low{};
    Length high{};
    int line = 0;  // 1-based line of a file, 0 where there is none
};

template <class T>
using Outcome = tl::expected<T, Refusal>;

[[nodiscard]] inline tl::unexpected<Refusal> refuse(Why why, std::string field = {}, int line = 0)
{
    return tl::make_unexpected(Refusal{.why = why, .field = std::move(field), .line = line});
}

// With what would be taken instead. Of an adjustment's amount none where that holds what is refused: it would then
// be no reason.
[[nodiscard]] inline tl::unexpected<Refusal> refuse_amount(Why why, std::string field, Length given, Length low,
                                                           Length high)
{
    if (why == Why::AmountTooLarge && given >= low && given <= high) low = high = Length{};
    return tl::make_unexpected(
        Refusal{.why = why, .field = std::move(field), .given = given, .low = low, .high = high});
}

}  // namespace sartorum
