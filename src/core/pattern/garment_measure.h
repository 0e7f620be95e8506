// garment_measure.h: what is measured on a garment's paper: one row a measure.
//
// All on stitching lines, darts closed. Girths are all round (front and back are half pieces: twice their sum),
// lengths are of one side. A measure lies differently on different kinds of part; where a part has not got it,
// there is none.
#pragma once
#include <array>
#include <optional>
#include <span>

#include "core/body/measure.h"
#include "core/pattern/piece.h"

namespace sartorum {

enum class GarmentMeasure {
    Neck,  // half: front and back
    Shoulder,
    Armhole,  // one: front and back
    Bust,     // along the bust line, or at the underarm
    Waist,
    Hip,
    Side,
    CentreFront,
    CentreBack,
    Hem,   // sweep
    Band,  // a waistband's seam, all round
    Cap,   // of a sleeve: front and back half
    UpperArm,
    SleeveHem,
    Sleeve,       // top notch straight down to the hem
    FrontLength,  // neck point straight down to the lower edge at the centre
    WaistToHip,   // side waist point down to the hip line
    HighHip,      // half-way from the waist to the hip
    CrotchFront,  // of trousers: along the crotch seam from the waist to the inner leg
    CrotchBack,
    Rise,   // side waist point straight down to the inner leg point
    Thigh,  // one leg, thigh_below the inner leg point of each piece
    Knee,   // one leg, on its line
    LegHem,
    InsideLeg,  // along the seam
    Calf,       // one leg, calf_below the knee line, where the leg reaches well past it
    Trunk,      // of an all-in-one: front and back length and the whole crotch seam; of both parts together
};
inline constexpr std::size_t garment_measure_count = 27;
// Where a thigh is measured below the inner leg point. Common practice.
inline constexpr Length thigh_below = Length::mm(25);
// Where a calf is fullest below the knee's middle. From memory.
inline constexpr Length calf_below = Length::mm(110);

// At which level these lie on a piece; none where it has not got them (of gores nothing is said of the high hip).
[[nodiscard]] std::optional<double> high_hip_level(const Piece&);  // half-way from the side waist to the hip line
[[nodiscard]] std::optional<double> calf_level(const Piece&);      // where the leg reaches well past it

enum class On { FrontAndBack, Front, Back, Sleeve, Band };

// How it lies on the paper of one kind of part.
struct LiesOn {
    std::optional<PartKind> part;  // none: on a piece of no part
    On on;
    double times;                               // girths of half pieces count twice
    std::optional<Length> (*of)(const Piece&);  // none where the piece has no such edge or line
    std::optional<Measure> body{};              // what it goes round or along
};

// What it goes round: the whole body (twice a half), an arm or a leg (of two that differ the smaller says whether
// it holds), a neck, or nothing.
enum class GoesRound { Nothing, Body, Limb, Neck };

struct GarmentMeasureFacts {
    GarmentMeasure measure;
    std::string_view key;  // in JSON
    Level level;
    MeasureKind kind;
    bool tells_change;  // named among what an adjustment changed
    int place;          // in the table of finished measures, from 1; 0: not in it
    std::span<const LiesOn> lies;
    GoesRound round = GoesRound::Nothing;
    bool between_levels = false;  // looked at only where the body was read there too
};

[[nodiscard]] std::span<const GarmentMeasureFacts, garment_measure_count> all_garment_measures();
[[nodiscard]] const GarmentMeasureFacts& facts(GarmentMeasure);
// Both halves make it: a girth of the body, and the neck.
[[nodiscard]] bool goes_all_round(GarmentMeasure);
// The girth of a garment that goes round there; none where none does.
[[nodiscard]] std::optional<GarmentMeasure> garment_round(Measure);
// The body's measure beside it, on that kind of part.
[[nodiscard]] std::optional<Measure> body_beside(GarmentMeasure, PartKind);

class FlatMeasures {
public:
    [[nodiscard]] bool has(GarmentMeasure m) const { return at(m).has_value(); }
    [[nodiscard]] Length of(GarmentMeasure m) const { return at(m).value_or(Length{}); }
    [[nodiscard]] const std::optional<Length>& at(GarmentMeasure m) const
    {
        return values_[static_cast<std::size_t>(m)];
    }
    void add(GarmentMeasure, Length);
    void add(const FlatMeasures&);
    // What the other has takes the place of what is here.
    void overlay(const FlatMeasures&);

private:
    std::array<std::optional<Length>, garment_measure_count> values_{};
};

// What one piece gives to each measure.
[[nodiscard]] FlatMeasures measure_piece(const Piece&);
// One measure of the pieces of one part; nothing where they have not got it.
[[nodiscard]] Length measured_alone(const std::vector<Piece>&, GarmentMeasure);
// Of all pieces; where two parts have the same measure, the upper one's.
[[nodiscard]] FlatMeasures measure_flat(const std::vector<Piece>&);

}  // namespace sartorum
