// lines_laid.h: where each line lies on the drawn pieces, and what it measures there.
//
// In the frame of its piece (piece.h). Where the tape is laid along an edge, `along` runs over its darts as they
// lie open. Works on any front, back, sleeve or band of that kind, drawn here or not.
#pragma once
#include "core/pattern/pattern.h"
#include "core/tissue/tissue.h"

namespace sartorum {

// Where the tape is read.
enum class ReadAt { StitchingLine, Fold, Mark, DartLeg };

struct LaidLine {
    TissueLine line{};
    std::string piece;
    Curve along;    // zero first, read last
    Length length;  // along it
    ReadAt read = ReadAt::StitchingLine;
    // A unit vector square to it: the way it may be drawn beside the piece, clear of what lies there; none: on it.
    std::optional<Point> aside{};
};

// None where the pieces have no such place.
[[nodiscard]] std::optional<LaidLine> laid_line(TissueLine, const std::vector<Piece>&);

}  // namespace sartorum
