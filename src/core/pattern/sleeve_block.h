// sleeve_block.h: a set-in sleeve drawn from flat measurements, to fit the armhole of a front and a back.
//
// All on stitching lines. The cap's halves are as long as the armhole's, each and half of the cap ease; each is
// one cubic, level at the top notch and square to the underarm seam, as full as its length asks. Underarm seams
// are straight and equally long; the hem is square to both. The side notches lie as far from the underarm as the
// armhole's, so that all the ease lies above them. Common practice.
#pragma once
#include "core/pattern/pattern.h"

namespace sartorum {

struct SleeveFlat {
    Length bicep;         // width at the bicep line
    Length cap_height{};  // top notch down to the bicep line; 0: as high as the armhole asks for
    Length length;        // top notch down to the hem
    Length hem;           // width
    Length elbow{};       // top notch down to the elbow line; 0 for a short sleeve
    Length cap_ease{};    // cap longer than the armhole by this
    Length allowance = Length::mm(15);
    Length hem_allowance = Length::mm(30);
};

// Refuses what cannot be drawn and names the measure.
[[nodiscard]] Outcome<Piece> draw_sleeve(const SleeveFlat&, const Piece& front, const Piece& back);
// Cap front to front armhole, cap back to back armhole, underarm to underarm.
[[nodiscard]] std::vector<Seam> sleeve_seams(Length cap_ease);

}  // namespace sartorum
