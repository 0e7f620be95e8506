// bodice_block.h: a bodice front and back drawn from flat measurements taken on the tissue.
//
// All on stitching lines; girths all round with darts closed, widths on the half piece. Drawn from the waist up:
// back side seam straight; front side seam straight when its dart is closed, leaning as the back's does, so that
// both walk exactly; the one lean that gives the waist asked for. Neck and armhole leave the shoulder square to
// it, and the armhole and the waist meet the side seam square to it, so that sewn edges run on. Common practice.
// Where the front's own waist is given, each piece leans, or is shaped, as its own asks; the side seams stay
// equally long. A sleeve, if asked for, is drawn to the armhole that results (sleeve_block.h). With `below_waist`
// the side seam is shaped to the waist and on to the hem, without darts: a knit tee.
#pragma once
#include "core/pattern/princess.h"
#include "core/pattern/sleeve_block.h"

namespace sartorum {

struct BodiceFlat {
    std::string name;
    std::string maker;
    std::string size;
    Length bust;   // all round at the underarm
    Length waist;  // all round
    Length neck_width;
    Length front_neck_depth;  // neck point straight down to the centre front neck
    Length back_neck_depth;
    Length shoulder;    // front seam
    Length front_drop;  // shoulder tip below neck point
    Length back_drop;
    Length across_front;  // centre to armhole, half-way down it
    Length across_back;
    Length front_length;  // neck point straight down to the waist
    Length back_length;   // centre back, neck to waist
    Length side_length;   // underarm to waist
    Length bust_depth;    // neck point to bust point; with a side or waist dart
    Length bust_span;     // bust point to bust point
    Length side_dart{};   // widths of mouths; 0 for none
    Length front_dart{};
    Length back_dart{};
    Length shoulder_dart{};
    Length shoulder_ease{};          // the back shoulder longer than the front by this
    Length front_more{};             // the front wider than the back, all round
    Length front_waist{};            // of the half front, darts closed; 0: front and back lean alike
    Length front_hip{};              // of the half front at the hem; with front_waist and below_waist
    DartKind fold = DartKind::Dart;  // what shapes the waist
    Length below_waist{};            // 0: ends at a waist seam; else waist to hem at the centre
    Length hip{};                    // all round at the hem, with below_waist
    Length allowance = Length::mm(15);
    Length front_allowance = Length::mm(15);  // at the centre front, where it is not a fold
    Length hem_allowance = Length::mm(20);
    bool front_fold = true;
    bool back_seam = false;
    // A front of two panels (princess.h) that part by `seam_above` at the armhole or shoulder, and by `front_dart`
    // at the waist, when they touch at the bust point with their grain lines parallel. No side dart then.
    std::optional<PrincessFrom> princess{};
    Length seam_above{};
    SleeveFlat sleeve{};  // none while its length is 0
};

// One size. Refuses what cannot be drawn and names the measure.
[[nodiscard]] Outcome<SizedPieces> draw_bodice(const BodiceFlat&);
// A pattern of one size.
[[nodiscard]] Outcome<Pattern> bodice_pattern(const BodiceFlat&);
[[nodiscard]] std::vector<Seam> bodice_seams(Length shoulder_ease, std::optional<Length> cap_ease = {});

}  // namespace sartorum
