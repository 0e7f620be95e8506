#include "core/body/likely.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <vector>

#include "core/body/likely_table.h"

namespace sartorum {
namespace {

constexpr double deviations = 3.0;

template <std::size_t N>
std::optional<LikelyBand> band(const Sample<N>& sample, Measure m, const std::map<Measure, Length>& others)
{
    const auto place = std::find(sample.measures.begin(), sample.measures.end(), m);
    if (place == sample.measures.end()) return std::nullopt;
    const auto target = static_cast<std::size_t>(place - sample.measures.begin());
    std::vector<std::size_t> known;
    for (std::size_t i = 0; i < N; ++i) {
        if (i != target && others.contains(sample.measures[i])) known.push_back(i);
    }
    if (known.empty()) return std::nullopt;
    const auto k = static_cast<Eigen::Index>(known.size());
    Eigen::MatrixXd inner(k, k);
    Eigen::VectorXd cross(k);
    Eigen::VectorXd off(k);
    for (Eigen::Index i = 0; i < k; ++i) {
        const std::size_t a = known[static_cast<std::size_t>(i)];
        cross(i) = sample.covariance[a][target];
        off(i) = others.at(sample.measures[a]).in_mm() - sample.mean[a];
        for (Eigen::Index j = 0; j < k; ++j)
            inner(i, j) = sample.covariance[a][known[static_cast<std::size_t>(j)]];
    }
    const Eigen::LDLT<Eigen::MatrixXd> solved{inner};
    const double expected = sample.mean[target] + cross.dot(solved.solve(off));
    const double n = sample.people;
    // Residual variance with its degrees of freedom: n − 1 − k in place of n − 1.
    const double residual = (sample.covariance[target][target] - cross.dot(solved.solve(cross))) * (n - 1) /
                            (n - 1 - static_cast<double>(k));
    const double distance = off.dot(solved.solve(off));
    const double wide = deviations * std::sqrt(std::max(0.0, residual) * (1.0 + 1.0 / n + distance / (n - 1)));
    return LikelyBand{Length::mm(expected), Length::mm(expected - wide), Length::mm(expected + wide)};
}

}  // namespace

std::optional<LikelyBand> likely(Measure m, const std::map<Measure, Length>& others)
{
    return m == Measure::HighBust ? band(women, m, others) : band(everyone, m, others);
}

}  // namespace sartorum
