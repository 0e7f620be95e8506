// walk.h: do the altered pieces still sew together, and do they fit the body.
//
// Walked pairs: equal within 1.5 mm with darts closed, or different by the ease meant. Joins: the two corner
// angles that meet at a seam add up to 180° within 5°, so that the edge runs on without a corner. Common practice.
// Least wearing ease: core/chart/ease.h.
#pragma once
#include "core/alter/garment.h"
#include "core/body/body_set.h"
#include "core/chart/ease.h"

namespace sartorum {

inline constexpr Length walk_tolerance = Length::mm(1.5);
inline constexpr double join_tolerance_degrees = 5.0;

struct Walk {
    std::string seam;
    Length a;
    Length b;
    Length difference;  // b − a − ease meant
    bool holds = false;
    std::vector<Length> notches_a;  // from the start of the seam
    std::vector<Length> notches_b;
};

enum class JoinPlace { Waist, Hem };

struct Join {
    JoinPlace place{};
    double degrees = 180;
    bool holds = false;
};

struct EaseCheck {
    Measure measure{};
    Length finished;
    Length body;
    Length ease;
    Length least;
    bool holds = false;  // not below the least by more than the body's spread
};

struct Checks {
    std::vector<Walk> walks;
    std::vector<Join> joins;
    std::vector<EaseCheck> ease;
    Length front_hem;
    Length back_hem;
    [[nodiscard]] bool seams_hold() const;  // walks and joins
    [[nodiscard]] bool all_hold() const;
};

[[nodiscard]] Checks check(const Garment&, const BodySet&, const Cloth& = {});

}  // namespace sartorum
