// shifted_run.h: a run of edges drawn anew through places that were shifted.
//
// Between two places the shift goes over as a cubic, whose sum with a cubic Bézier is one again: nothing is
// approximated. Its slope at a place, where none is given, is the harmonic mean of the slopes on both sides,
// nothing at an extreme and at both ends: no overshoot, and directions kept at the ends (Fritsch and Butland 1984,
// the slopes of Boost.Math's pchip).
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

struct ShiftAt {
    Length at;  // along the run, dart mouths closed
    Point by;
    std::optional<Point> slope{};  // of the shift, for a millimetre along the run
};

// How far each place of a line is shifted, and how fast that changes along it.
class ShiftLine {
public:
    explicit ShiftLine(const std::vector<ShiftAt>& places);  // in order, at least two
    struct Value {
        Point by;
        Point slope;
    };
    // Past an end as at the end, without a slope.
    [[nodiscard]] Value at(Length along) const;
    [[nodiscard]] const std::vector<ShiftAt>& places() const { return places_; }  // every one with its slope

private:
    [[nodiscard]] Point natural(std::size_t) const;
    std::vector<ShiftAt> places_;
};
// One curve drawn anew; places along it.
[[nodiscard]] Curve curve_shifted(const Curve&, const std::vector<ShiftAt>&);

// The edges from `first` to `last` in travel, with their notches, tips of darts apart; places in order, at least
// two. Dart mouths ride as they are. What meets the run at its ends is left as it was.
[[nodiscard]] Piece run_shifted(const Piece&, std::size_t first, std::size_t last, const std::vector<ShiftAt>&);

// How long the run is up to its first place at a level; none where it does not come there.
[[nodiscard]] std::optional<Length> along_to_level(const Piece&, std::size_t first, std::size_t last,
                                                   double level);

}  // namespace sartorum
