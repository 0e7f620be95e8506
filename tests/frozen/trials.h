// trials.h: what is frozen: the demo garments with plans for every adjustment, and plans drawn at random.
//
// The draws go by names and by numbers written down in trials.cpp, never by what the catalogue holds today: an
// adjustment added or a limit changed leaves every trial as it was.
#pragma once
#include <vector>

#include "core/plan/compute.h"

namespace sartorum::test {

struct Trial {
    std::string name;  // "17 heron-tee.svg"
    Pattern pattern;
    SizeChart chart;
    BodySet body;
    Plan plan;
};

// Each demo garment: as bought, for each demo body with all proposals taken, and each adjustment alone.
[[nodiscard]] std::vector<Trial> demo_trials();
// Garments of several parts and of gores: the demo's, each as proposed and with plans at random.
[[nodiscard]] std::vector<Trial> joined_trials();
// Trousers and all-in-ones, with plans at random.
[[nodiscard]] std::vector<Trial> leg_trials();
// The i-th plan at random, on a demo garment or on a block drawn at random.
[[nodiscard]] Trial random_trial(std::size_t i);

}  // namespace sartorum::test
