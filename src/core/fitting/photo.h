// photo.h: what can be measured on a photograph of a try-on, with its doubt. Nothing is recognised: every point
// was laid by hand.
//
// Points   pixels of the kept picture, y down
// Scale    from a known length in the picture, laid end to end
// Level    from a line that hangs or stands upright (a door frame, a plumb line); without one the camera is taken
// to
//          have been held level, and every angle is surer by less
// Doubt    a hand lays a point within 2 pixels; what stands 10 cm nearer than the known length, seen from 3 m,
// looks
//          3 in a hundred larger; a camera in the hand is off level by up to 1.5 degrees, one set by an upright
//          line by half a degree. From memory
// Take     less than it says, by its doubt: common practice is to look in a mirror before taking it all
#pragma once
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/fitting/toile.h"
#include "core/pattern/piece.h"

namespace sartorum {

enum class PhotoView { Front, Back, LeftSide, RightSide };

//   KnownLength  a and b, `known` apart
//   Upright      a above b
//   EarLine      a the ear lobe, b the middle of the upper arm
//   Seam         the shoulder seam, a its neck end, b its tip
//   Bust, Waist, Hip, Hem  a line drawn level on the cloth: a its end to the left in the picture, b to the right
//   Distance     any two points
enum class Guideline { KnownLength, Upright, EarLine, Seam, Bust, Waist, Hip, Hem, Distance };
inline constexpr std::size_t guideline_count = 9;

struct PhotoLine {
    Guideline what{};
    FigurePoint a;
    FigurePoint b;
    std::optional<Length> known{};  // of the known length
    friend bool operator==(const PhotoLine&, const PhotoLine&) = default;
};

struct Photo {
    PhotoView view{};
    std::vector<PhotoLine> lines{};  // at most one of each
    friend bool operator==(const Photo&, const Photo&) = default;
};

struct WithDoubt {
    Length value;
    Length doubt;
    // Never more than nothing, and never beyond what it says.
    [[nodiscard]] Length take() const;
};

[[nodiscard]] std::string_view key(PhotoView);
[[nodiscard]] std::string_view key(Guideline);
[[nodiscard]] std::optional<PhotoView> photo_view_of_key(std::string_view);
[[nodiscard]] std::optional<Guideline> guideline_of_key(std::string_view);
// There is something on a garment of these pieces to lay it along.
[[nodiscard]] bool can_be_laid(Guideline, const std::vector<Piece>&);

[[nodiscard]] const PhotoLine* line(const Photo&, Guideline);
// In place of one that was laid before.
void lay(Photo&, const PhotoLine&);

struct PhotoScale {
    double mm_per_pixel = 0;
    double doubt = 0;  // of it, as a share
};
// None without a known length of at least 40 pixels.
[[nodiscard]] std::optional<PhotoScale> scale_of(const Photo&);
// By how much the camera was turned, clockwise, in degrees; and how surely.
struct Turned {
    double degrees = 0;
    double doubt = 0;
};
[[nodiscard]] Turned turned(const Photo&);

[[nodiscard]] std::optional<WithDoubt> distance(const Photo&);
// How far a level line rises over its length, to the wearer's front in a side view, to its right in the picture in
// front and back views; and in degrees.
struct Rise {
    double degrees = 0;
    double doubt = 0;
    std::optional<WithDoubt> by{};  // where there is a scale
};
[[nodiscard]] std::optional<Rise> rise_of(const Photo&, Guideline);
// Of the shoulder seam's two ends, how far each lies behind the line from ear lobe to upper arm; − before it. Side
// views only.
struct BehindEar {
    WithDoubt neck;
    WithDoubt tip;
};
[[nodiscard]] std::optional<BehindEar> behind_ear_line(const Photo&);

}  // namespace sartorum
