// waist.h: the waist of what hangs from it drawn anew, through marks above and below it.
//
// Line      one smooth line round half the body, from centre front over the side to centre back: between two marks
//           a monotone cubic, level with the old waist at both centres, because it is mirrored there; no overshoot
//           (shifted_run.h)
// Measured  along the centre and along the seams where a piece ends, between them parallel to the centre with the
//           darts closed
// Keeps     side seams and dart legs: lowered, the line cuts them off; raised, they run on as they were going.
//           Both legs of a dart stay alike, and the closed line runs smoothly over it
#pragma once
#include "core/paper/shifted_run.h"
#include "core/units/refusal.h"

namespace sartorum {

// Where it is marked on each half of the body.
enum class WaistStation { CentreFront, MidFront, Side, MidBack, CentreBack };
inline constexpr std::size_t station_count = 5;
using AtStations = std::array<Length, station_count>;

class WaistHeights {
public:
    // Front and back: half the waist of each face, darts closed; the middle stations lie in their middles.
    WaistHeights(Length front, Length back, const AtStations& by);

    struct Value {
        Length by;
        double slope = 0;  // of a millimetre away from the centre of that face
    };
    [[nodiscard]] Value at(PieceRole face, Length from_centre) const;
    [[nodiscard]] Length middle(PieceRole face) const { return (face == PieceRole::Back ? back_ : front_) / 2.0; }

private:
    Length front_;
    Length back_;
    ShiftLine line_;
};

// One piece of a face; its waist begins `from` away from the centre. Refuses a line that leaves no paper: under a
// dart's tip, or under the line the piece is cut across at.
[[nodiscard]] Outcome<Piece> waist_redrawn(const Piece&, const WaistHeights&, Length from);

// The upper edge of what hangs from the waist, darts closed.
[[nodiscard]] Length top_length(const Piece&);
// That edge higher: by `amount` at the centre, level there, less and less to nothing at the side, even with the
// grain. Of a gore the stretch of the whole edge from `from` to `to`, fractions from the centre; its flanks run
// on.
[[nodiscard]] Piece top_raised(const Piece&, Length amount, double from = 0, double to = 1);

}  // namespace sartorum
