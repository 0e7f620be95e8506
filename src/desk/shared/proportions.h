// proportions.h: the wearer's own proportions for the figure, from whatever is read so far. A drawing aid: calm
// and abstract, held within narrow limits, and no number is taken from it.
//
// Figure units: the height is 100, y runs down from the crown, x out from the middle.
#pragma once
#include <QPointF>
#include <QPolygonF>

#include "core/body/body_set.h"

namespace sartorum::desk {

class Proportions {
public:
    Proportions() = default;
    explicit Proportions(const BodySet&);

    [[nodiscard]] double y(double level) const;           // where a level of the plain figure lies
    [[nodiscard]] double half_width(double level) const;  // of the trunk or the leg's outside, at a plain level
    [[nodiscard]] QPointF trunk(QPointF plain, bool outside) const;
    [[nodiscard]] QPointF arm(QPointF plain) const;
    [[nodiscard]] double hem() const { return hem_; }  // already in place
    [[nodiscard]] double trouser_hem() const { return trouser_hem_; }

    static constexpr double bust = 26.5;
    static constexpr double waist = 39.0;
    static constexpr double hip = 52.0;
    static constexpr double crotch = 53.5;

    // Right half of the plain outline, from the neck down the outside and up the inside of the leg.
    [[nodiscard]] static const QPolygonF& plain_trunk();
    [[nodiscard]] static const QPolygonF& plain_arm();
    static constexpr int outside_points = 22;

private:
    [[nodiscard]] double factor(double level) const;
    double waist_ = waist;
    double hip_ = hip;
    double hem_ = 73.0;
    double trouser_hem_ = 95.0;
    std::map<double, double> widths_;  // by plain level; empty: the plain figure
};

}  // namespace sartorum::desk
