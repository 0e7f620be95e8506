// neck_size.h: the whole neckline longer (+) or shorter (−), closed, where it is meant to lie at the neck's base.
//
// Methods  lower: cut lower (or filled) by the same all round, at the centres and along the shoulders;
//          wider: further out (in) along the shoulders alone, which shortens them
// So       lower by x makes the neckline about 5x longer: solved on the curve, to 0.02 mm
// Limits   60 mm of girth (our choice): beyond, another size for the frame
// Then     collar, stand or facing to the new length; the shoulder is shorter by as much at the neck
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length neck_size_limit = Length::mm(60);

enum class NeckMethod { Lower, Wider };

[[nodiscard]] Outcome<Applied> alter_neck_size(const Garment&, const Dose&);
[[nodiscard]] Adjustment neck_size_row();

}  // namespace sartorum
