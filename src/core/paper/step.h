// step.h: one thing done to the paper by hand, with everything needed to say and draw it.
#pragma once
#include <string>
#include <vector>

#include "core/pattern/piece.h"

namespace sartorum {

// What is done; the sentences stand in src/words.
enum class StepKind {
    TraceSize,      // trace one size; from_size
    DrawBlend,      // redraw the side seam from from_size at the waist to to_size at the hip
    DrawLine,       // draw over the lengthen/shorten line, `place` below the centre waist
    DrawFoldLines,  // and a second line `amount` below
    CutAcross,
    Spread,       // by amount
    FoldOut,      // fold `depth` deep, takes out `amount`
    TrueSide,     // waist to hip
    ExtendBelow,  // carry centre and side lines on by amount
    AddHem,
    DrawHem,  // a line `amount` above the hem
    TrimHem,
    MarkWaist,    // a dot `amount` out of (into) the side seam at the waist
    RedrawWaist,  // side seam and waist to the dot
    MarkHip,
    RedrawHip,
    CutBand,  // across at the side notch, `place` from the fold
    SpreadBand,
    OverlapBand,
    MatchSides,  // raise or lower the side waist by amount so that front and back seams are equal
};

// The hand operation, for its picture mark.
enum class HandMark { Draw, Cut, Spread, Overlap, Redraw, True, Trim };
[[nodiscard]] HandMark hand_mark(StepKind);

using Polygon = std::vector<Point>;

struct Stroke {
    Point a;
    Point b;
};

struct Dimension {
    Point a;
    Point b;
    Length amount;
};

// The paper when the step is done: its panels, what was drawn, what was added and taken.
struct StepPicture {
    std::vector<Piece> panels;
    std::vector<Stroke> lines;
    std::vector<Polygon> added;  // strips that opened or were folded away
    std::vector<Polygon> removed;
    std::vector<Dimension> dimensions;
    // The piece before an edge was redrawn; what came and went is computed for showing (area.h), never stored.
    std::vector<Piece> redrawn_from{};
};

struct Step {
    StepKind kind{};
    std::string piece;
    Length amount;
    Length place;
    std::string from_size;
    std::string to_size;
    StepPicture picture;
};

}  // namespace sartorum
