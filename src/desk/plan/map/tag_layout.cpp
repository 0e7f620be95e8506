#include "desk/plan/map/tag_layout.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace sartorum::desk {
namespace {

int fitting(double room, double each, double gap)
{
    return std::max(0, static_cast<int>(std::floor((room + gap) / (each + gap))));
}

struct Sides {
    bool right = false;
    bool left = false;
    int columns = 1;  // at either side
};

// Rows above and below spread over the whole width, columns between them.
TagRoom arranged(const QRectF& area, const QSizeF& size, double gap, const Sides& sides)
{
    TagRoom out;
    const double across = (size.width() + gap) * sides.columns;
    const double down = size.height() + gap;
    out.inner = area.adjusted(sides.left ? across : 0, down, sides.right ? -across : 0, -down);
    const auto row = [&](double y, double tie) {
        const int n = fitting(area.width(), size.width(), gap);
        const double pitch = n > 1 ? (area.width() - size.width()) / (n - 1) : 0;
        for (int i = 0; i < n; ++i) {
            const QRectF tag{{area.left() + i * pitch, y}, size};
            const double x = std::clamp(tag.center().x(), out.inner.left(), out.inner.right());
            out.seats.push_back({tag, {x, tie}});
        }
    };
    const auto column = [&](double x, double tie, bool tied) {
        const int n = fitting(out.inner.height(), size.height(), gap);
        const double pitch = n > 1 ? (out.inner.height() - size.height()) / (n - 1) : 0;
        for (int i = 0; i < n; ++i) {
            const QRectF tag{{x, out.inner.top() + i * pitch}, size};
            out.seats.push_back({tag, {tie, tag.center().y()}, tied});
        }
    };
    row(area.top(), out.inner.top());
    row(area.bottom() - size.height(), out.inner.bottom());
    for (int c = 0; c < sides.columns; ++c) {
        const double out_by = (size.width() + gap) * c;
        const bool tied = c + 1 == sides.columns;
        if (sides.right) column(area.right() - size.width() - out_by, out.inner.right(), tied);
        if (sides.left) column(area.left() + out_by, out.inner.left(), tied);
    }
    return out;
}

double total(const std::vector<QPointF>& places, const std::vector<Seat>& seats, std::size_t place,
             std::size_t seat)
{
    // A tag that cannot be tied is taken last.
    const double untied = seats[seat].tied ? 0 : 1e4;
    return QLineF{places[place], seats[seat].tie}.length() + untied;
}

}  // namespace

TagRoom room_for_tags(const QRectF& area, std::size_t count, const TagSizes& sizes)
{
    for (const bool small : {false, true}) {
        const QSizeF size = small ? sizes.small : sizes.large;
        const int most = small ? 2 : 1;
        for (const auto& sides :
             {Sides{false, false, 1}, Sides{true, false, 1}, Sides{true, true, 1}, Sides{true, true, most}}) {
            auto room = arranged(area, size, sizes.gap, sides);
            room.small = small;
            const bool fits = room.inner.width() > area.width() / 4 && room.inner.height() > area.height() / 3;
            if (room.seats.size() >= count && fits) return room;
        }
    }
    // More than any plan holds: a list beside the picture, tied by numbers alone.
    constexpr double listed = 0.65;
    const int columns = std::max(1, fitting(area.width() * listed, sizes.small.width(), sizes.gap));
    const double across = sizes.small.width() + sizes.gap;
    const auto rows = std::ceil(static_cast<double>(count) / columns);
    const double pitch = std::min(area.height() / rows, sizes.small.height() + sizes.gap);
    TagRoom room{area.adjusted(columns * across, 0, 0, 0), {}, true};
    for (std::size_t i = 0; i < count; ++i) {
        const auto column = static_cast<double>(i % static_cast<std::size_t>(columns));
        const auto row = std::floor(static_cast<double>(i) / columns);
        const QPointF at = area.topLeft() + QPointF{column * across, row * pitch};
        const QRectF tag{at, QSizeF{sizes.small.width(), std::min(sizes.small.height(), pitch - 2)}};
        room.seats.push_back({tag, tag.center(), false});
    }
    return room;
}

// Greedy, then exchanged two by two, and moved to free seats, for as long as the leaders become shorter.
std::vector<std::size_t> seats_for(const std::vector<QPointF>& places, const std::vector<Seat>& seats)
{
    const std::size_t n = places.size();
    std::vector<std::size_t> at(n);
    std::vector<bool> taken(seats.size());
    const auto cost = [&](std::size_t place, std::size_t seat) { return total(places, seats, place, seat); };
    for (std::size_t i = 0; i < n; ++i) {
        std::size_t best = seats.size();
        for (std::size_t s = 0; s < seats.size(); ++s) {
            if (!taken[s] && (best == seats.size() || cost(i, s) < cost(i, best))) best = s;
        }
        at[i] = best;
        taken[best] = true;
    }
    constexpr double least_gain = 1e-6;
    for (bool better = true; better;) {
        better = false;
        for (std::size_t i = 0; i < n; ++i) {
            for (std::size_t s = 0; s < seats.size(); ++s) {
                if (taken[s] || cost(i, s) > cost(i, at[i]) - least_gain) continue;
                taken[at[i]] = false;
                taken[s] = true;
                at[i] = s;
                better = true;
            }
            for (std::size_t k = i + 1; k < n; ++k) {
                if (cost(i, at[k]) + cost(k, at[i]) > cost(i, at[i]) + cost(k, at[k]) - least_gain) continue;
                std::swap(at[i], at[k]);
                better = true;
            }
        }
    }
    return at;
}

std::vector<QPointF> pushed_apart(std::vector<QPointF> marks, double apart, const QRectF& within)
{
    constexpr int rounds = 60;
    for (int round = 0; round < rounds; ++round) {
        bool near = false;
        for (std::size_t i = 0; i < marks.size(); ++i) {
            for (std::size_t k = i + 1; k < marks.size(); ++k) {
                QLineF between{marks[i], marks[k]};
                const double length = between.length();
                if (length >= apart - 0.5) continue;
                near = true;
                // On the very same spot they part to left and right, each pair a little otherwise.
                const double angle = length > 0.1 ? std::atan2(between.dy(), between.dx()) : 0.3 * double(i + k);
                const QPointF by = QPointF{std::cos(angle), std::sin(angle)} * ((apart - length) / 2 + 0.3);
                marks[i] -= by;
                marks[k] += by;
            }
        }
        for (auto& m : marks) {
            m.setX(std::clamp(m.x(), within.left(), within.right()));
            m.setY(std::clamp(m.y(), within.top(), within.bottom()));
        }
        if (!near) break;
    }
    return marks;
}

}  // namespace sartorum::desk
