// tag_layout.h: where tags stand round a picture, each tied by one straight leader to its place inside, so that no
// leader crosses another or a tag.
//
// Tags lie outside of an inner rectangle and leaders inside it, from the middle of the tag's side to the place;
// with the sum of their lengths least no two cross (two that cross are longer than the same two exchanged).
// Pixels.
#pragma once
#include <QLineF>
#include <QRectF>
#include <vector>

namespace sartorum::desk {

struct Seat {
    QRectF tag;
    QPointF tie;       // where the leader begins, on the edge of the inner rectangle
    bool tied = true;  // further out there is no way in: numbers alone tie it
};

struct TagRoom {
    QRectF inner;  // for the picture
    std::vector<Seat> seats;
    bool small = false;
};

struct TagSizes {
    QSizeF large;
    QSizeF small;
    double gap = 8;
};

// Round `area`: above and below first, then right, then left; small tags where large ones find no room. At least
// `count` seats, however small the picture becomes.
[[nodiscard]] TagRoom room_for_tags(const QRectF& area, std::size_t count, const TagSizes&);

// The seat of each place.
[[nodiscard]] std::vector<std::size_t> seats_for(const std::vector<QPointF>& places, const std::vector<Seat>&);

// Marks that would lie on one another, pushed apart to `apart` or as far as it goes, each near its own place.
[[nodiscard]] std::vector<QPointF> pushed_apart(std::vector<QPointF> marks, double apart, const QRectF& within);

}  // namespace sartorum::desk
