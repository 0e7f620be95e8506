// trousers_block.h: trousers drawn from flat measurements taken on the tissue, one leg's front and back.
//
// All on stitching lines. Girths are all round with darts closed, a leg's round one leg. The crease stands upright
// in the middle of knee and hem. The crotch seam meets the inner leg squarely, so that front and back run on into
// each other where they are sewn together; the back's inner leg point lies as much lower as makes both inner legs
// as long as they are meant to be, and its side waist as high as makes both side seams equal. Common practice.
#pragma once
#include "core/pattern/pattern.h"

namespace sartorum {

struct TrousersFlat {
    std::string name;
    std::string maker;
    std::string size;
    Length waist;
    Length hip;
    Length waist_to_hip;  // at the side, straight down
    Length rise;          // from the side waist straight down to the front's inner leg point
    Length inside_leg;    // along the front's seam
    Length knee;          // one leg
    Length hem;           // one leg
    Length knee_below{};  // the inner leg point straight down to the knee line; 0: half the leg less 50 mm
    Length
        front_extension{};  // the inner leg point beyond the centre at the hip; 0: a sixteenth of the hip and 5 mm
    Length back_extension{};                // 0: one and a half times the front's and 10 mm
    Length back_more{};                     // the back wider than the front at the hip, all round
    Length back_waist_more{};               // and at the waist
    Length back_leg_more = Length::mm(20);  // the back wider than the front at knee and hem, on one leg
    std::optional<Length> back_hem_more{};  // at the hem, where it is another
    Length front_lean = Length::mm(8);      // how far the centre stands in at the waist
    Length back_lean = Length::mm(38);
    Length side_rise = Length::mm(10);  // how far the side waist stands above centre front
    Length back_rise = Length::mm(22);  // and centre back above the side waist
    Length back_stretch{};              // the back's inner leg is as much shorter, and stretched
    Length front_dart;                  // width of the mouth; 0 for none
    Length front_dart_length = Length::mm(90);
    Length back_dart;
    Length back_dart_length = Length::mm(115);
    // Where the darts lie once they are closed, along the waist from the centre; 0: a little past the middle.
    Length front_dart_at{};
    Length back_dart_at{};
    DartKind front_fold = DartKind::Dart;
    Length allowance = Length::mm(15);
    Length hem_allowance = Length::mm(40);
    Length band_depth = Length::mm(40);  // 0 for no waistband
    Length fly = Length::mm(180);        // how far centre front opens; 0: it does not
};

// One size. Refuses what cannot be drawn and names the measure.
[[nodiscard]] Outcome<SizedPieces> draw_trousers(const TrousersFlat&);
// A pattern of one size.
[[nodiscard]] Outcome<Pattern> trousers_pattern(const TrousersFlat&);
// The seams all trousers of this kind have.
[[nodiscard]] std::vector<Seam> trousers_seams(bool with_band, Length back_stretch);

}  // namespace sartorum
