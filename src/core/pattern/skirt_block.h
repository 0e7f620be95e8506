// skirt_block.h: an A-line skirt drawn from flat measurements taken on the tissue.
//
// All on stitching lines. Girths are all round with darts closed. The intake between hip and waist that the darts
// do not take goes to the four side-seam halves alike, so front and back side seams are the same curve and walk
// exactly. Side seam: one cubic from waist to hip, running without a kink into the straight flared line below.
// Hem: square to the centre and to the side seam. Common practice.
// Where the front's own waist is given, each piece takes its own intake, and the back's side waist stands as high
// as its side seam needs to be as long as the front's.
#pragma once
#include "core/pattern/pattern.h"

namespace sartorum {

struct SkirtFlat {
    std::string name;
    std::string maker;
    std::string size;
    Length waist;
    Length hip;
    Length front_more{};   // the front wider than the back, all round
    Length front_waist{};  // of the half front, darts closed; 0: front and back lean alike
    Length waist_to_hip;   // at the side, straight down
    Length length;         // along centre front, waist to hem
    Length front_dart;     // width of the mouth; 0 for none
    Length front_dart_length = Length::mm(90);
    Length back_dart;
    Length back_dart_length = Length::mm(120);
    // Where the darts lie once they are closed, along the waist from the centre; 0: a little past the middle.
    Length front_dart_at{};
    Length back_dart_at{};
    Length flare;  // added at the hem of each side-seam half
    Length allowance = Length::mm(15);
    Length hem_allowance = Length::mm(30);
    Length band_depth = Length::mm(35);  // 0 for no waistband
    Length side_rise = Length::mm(10);   // how far the side waist stands above the centre
    bool back_seam = true;               // centre back: a seam, else on the fold
    DartKind fold = DartKind::Dart;      // what shapes the waist
};

// One size. Refuses what cannot be drawn and names the measure.
[[nodiscard]] Outcome<SizedPieces> draw_skirt(const SkirtFlat&);
// A pattern of one size.
[[nodiscard]] Outcome<Pattern> skirt_pattern(const SkirtFlat&);
// The seams every skirt of this kind has.
[[nodiscard]] std::vector<Seam> skirt_seams(bool with_band);

}  // namespace sartorum
