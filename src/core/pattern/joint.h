// joint.h: two parts sewn together, along the lower edge of the one above and the waist of the one below.
//
// Each face (front, back) from the centre to the side, as it is sewn: darts, tucks and pleats closed. The one
// below is `fullness` times as long as the one above (gathered in; 1 where it is sewn plain) and by what was drawn
// longer still, which is eased in. Darts that met when the pattern was drawn are meant to meet. Common practice.
#pragma once
#include "core/pattern/garment.h"

namespace sartorum {

struct WaistRun {
    Length length;
    std::vector<Length> darts;  // how far from the centre each closed dart lies, in that order
};
[[nodiscard]] WaistRun waist_run(const Piece&, EdgeRole = EdgeRole::Waist);
// Which edges those darts' mouths are.
[[nodiscard]] std::vector<std::size_t> waist_mouths(const Piece&, EdgeRole = EdgeRole::Waist);
// Of those the darts: no tucks, no pleats.
[[nodiscard]] std::vector<std::size_t> waist_dart_mouths(const Piece&);
// What a part above is sewn by, and what one below; no darts where the face is of gores.
[[nodiscard]] WaistRun lower_run(const Garment& above, PieceRole face);
[[nodiscard]] WaistRun upper_run(const Garment& below, PieceRole face);

// Darts nearer to one another than this when they were drawn are meant to meet.
inline constexpr Length drawn_to_meet = Length::mm(4);

struct DartPair {
    std::size_t above = 0;  // from the centre
    std::size_t below = 0;
    Length apart;  // the lower one further out by this, as drawn
};

struct JointFace {
    Length longer;  // of the one below, beyond the fullness, as drawn
    std::vector<DartPair> pairs{};
};

struct Joint {
    double fullness = 1;
    JointFace front;
    JointFace back;
};

// From here on what is longer counts as gathered.
inline constexpr double gathered_from = 1.15;

// The seam that joins two kinds of part; null where none does.
[[nodiscard]] const Seam* join_between(const std::vector<Seam>&, const std::vector<Piece>&, PartKind above,
                                       PartKind below);
// As it was drawn in one size.
[[nodiscard]] Joint joint_drawn(const Seam&, const Garment& above, const Garment& below);

// What a part meets above it: the other part as it stands, and how the two were drawn.
struct Across {
    const Garment& above;
    const Joint& joint;
};

}  // namespace sartorum
