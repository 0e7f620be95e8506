// geos_lines.h: lines as GEOS, an independent geometry library, has them, and how far places lie from them.
#pragma once
#include <geos_c.h>

#include <cstdarg>
#include <memory>
#include <vector>

#include "core/pattern/curve.h"

namespace sartorum::test {

using Shape = std::unique_ptr<GEOSGeometry, void (*)(GEOSGeometry*)>;

inline void no_message(const char*, ...) {}

inline Shape shape(GEOSGeometry* g)
{
    return {g, GEOSGeom_destroy};
}

// By the Bernstein formula, not by the core's own flattening.
inline std::vector<Point> bernstein(const Curve& c, int steps)
{
    std::vector<Point> out;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto p = controls(c, i);
        for (int k = i == 0 ? 0 : 1; k <= steps; ++k) {
            const double t = double(k) / steps;
            const double s = 1 - t;
            out.push_back(p[0] * (s * s * s) + p[1] * (3 * s * s * t) + p[2] * (3 * s * t * t) +
                          p[3] * (t * t * t));
        }
    }
    return out;
}

inline Shape line_through(const std::vector<Point>& points)
{
    auto* seq = GEOSCoordSeq_create(static_cast<unsigned>(points.size()), 2);
    for (unsigned i = 0; i < points.size(); ++i)
        GEOSCoordSeq_setXY(seq, i, points[i][Geom::X], points[i][Geom::Y]);
    return shape(GEOSGeom_createLineString(seq));
}

inline double apart(const Shape& a, Point p)
{
    auto* seq = GEOSCoordSeq_create(1, 2);
    GEOSCoordSeq_setXY(seq, 0, p[Geom::X], p[Geom::Y]);
    const auto point = shape(GEOSGeom_createPoint(seq));
    double out = 0;
    GEOSDistance(a.get(), point.get(), &out);
    return out;
}

}  // namespace sartorum::test
