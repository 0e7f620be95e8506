#include "core/fitting/photo.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 4> view_keys{"front", "back", "left_side", "right_side"};
constexpr std::array<std::string_view, guideline_count> guideline_keys{
    "known_length", "upright", "ear_line", "seam", "bust", "waist", "hip", "hem", "distance"};

constexpr double laid_within = 2;  // pixels
constexpr double depth_doubt = 0.03;
constexpr double held_level_within = 1.5;  // degrees
constexpr double set_level_within = 0.5;
constexpr double shortest = 40;  // pixels
constexpr double to_radians = std::numbers::pi / 180;

double span(const PhotoLine& l)
{
    return std::hypot(l.b.x - l.a.x, l.b.y - l.a.y);
}

bool is_side(PhotoView v)
{
    return v == PhotoView::LeftSide || v == PhotoView::RightSide;
}

// The wearer seen from her left faces left in the picture.
double to_front(PhotoView v)
{
    return v == PhotoView::LeftSide ? -1 : 1;
}

// Across two laid points.
double across_doubt()
{
    return laid_within * std::numbers::sqrt2;
}

WithDoubt measured(double pixels, const PhotoScale& s)
{
    const double mm = pixels * s.mm_per_pixel;
    return {Length::mm(mm), Length::mm(std::hypot(mm * s.doubt, across_doubt() * s.mm_per_pixel))};
}

}  // namespace

Length WithDoubt::take() const
{
    const Length sure = std::max(abs(value) - doubt, Length{});
    return value < Length{} ? -sure : sure;
}

std::string_view key(PhotoView v)
{
    return view_keys[static_cast<std::size_t>(v)];
}
std::string_view key(Guideline g)
{
    return guideline_keys[static_cast<std::size_t>(g)];
}
std::optional<PhotoView> photo_view_of_key(std::string_view text)
{
    const auto it = std::find(view_keys.begin(), view_keys.end(), text);
    return it == view_keys.end() ? std::nullopt : std::optional{static_cast<PhotoView>(it - view_keys.begin())};
}
std::optional<Guideline> guideline_of_key(std::string_view text)
{
    const auto it = std::find(guideline_keys.begin(), guideline_keys.end(), text);
    return it == guideline_keys.end() ? std::nullopt
                                      : std::optional{static_cast<Guideline>(it - guideline_keys.begin())};
}

bool can_be_laid(Guideline what, const std::vector<Piece>& pieces)
{
    const auto some = [&](Level level) {
        return std::any_of(pieces.begin(), pieces.end(),
                           [&](const Piece& p) { return goes_round(p) && has_level(p, level); });
    };
    switch (what) {
        case Guideline::EarLine:
        case Guideline::Seam: return some(Level::Shoulder);
        case Guideline::Bust: return some(Level::Bust) || some(Level::Underarm);
        case Guideline::KnownLength:
        case Guideline::Upright:
        case Guideline::Waist:
        case Guideline::Hip:
        case Guideline::Hem:
        case Guideline::Distance: return true;
    }
    return true;
}

const PhotoLine* line(const Photo& p, Guideline what)
{
    const auto it =
        std::find_if(p.lines.begin(), p.lines.end(), [&](const PhotoLine& l) { return l.what == what; });
    return it == p.lines.end() ? nullptr : &*it;
}

void lay(Photo& p, const PhotoLine& l)
{
    const auto it =
        std::find_if(p.lines.begin(), p.lines.end(), [&](const PhotoLine& old) { return old.what == l.what; });
    if (it == p.lines.end())
        p.lines.push_back(l);
    else
        *it = l;
}

std::optional<PhotoScale> scale_of(const Photo& p)
{
    const auto* l = line(p, Guideline::KnownLength);
    if (!l || !l->known || *l->known <= Length{} || span(*l) < shortest) return std::nullopt;
    return PhotoScale{l->known->in_mm() / span(*l), std::hypot(depth_doubt, across_doubt() / span(*l))};
}

Turned turned(const Photo& p)
{
    const auto* l = line(p, Guideline::Upright);
    if (!l || span(*l) < shortest) return {0, held_level_within};
    // What stands upright leans to the left where the camera was turned clockwise.
    const double degrees = std::atan2(l->b.x - l->a.x, l->b.y - l->a.y) / to_radians;
    return {degrees, std::hypot(set_level_within, across_doubt() / span(*l) / to_radians)};
}

std::optional<WithDoubt> distance(const Photo& p)
{
    const auto* l = line(p, Guideline::Distance);
    const auto scale = scale_of(p);
    if (!l || !scale) return std::nullopt;
    return measured(span(*l), *scale);
}

std::optional<Rise> rise_of(const Photo& p, Guideline what)
{
    const auto* l = line(p, what);
    if (!l || span(*l) < shortest) return std::nullopt;
    const auto level = turned(p);
    // Up to the right in the picture; a level line rises there by as much as the camera was turned.
    const double up =
        std::atan2(l->a.y - l->b.y, std::abs(l->b.x - l->a.x)) / to_radians * (l->b.x >= l->a.x ? 1 : -1) -
        level.degrees;
    const double way = is_side(p.view) ? to_front(p.view) : 1;
    Rise out{up * way, std::hypot(level.doubt, across_doubt() / span(*l) / to_radians), {}};
    if (const auto scale = scale_of(p)) {
        const double run = span(*l) * scale->mm_per_pixel;
        out.by = WithDoubt{Length::mm(run * std::sin(out.degrees * to_radians)),
                           Length::mm(run * out.doubt * to_radians)};
    }
    return out;
}

std::optional<BehindEar> behind_ear_line(const Photo& p)
{
    const auto* ear = line(p, Guideline::EarLine);
    const auto* seam = line(p, Guideline::Seam);
    const auto scale = scale_of(p);
    if (!ear || !seam || !scale || !is_side(p.view) || span(*ear) < shortest) return std::nullopt;
    const double dx = (ear->b.x - ear->a.x) / span(*ear);
    const double dy = (ear->b.y - ear->a.y) / span(*ear);
    // To the right of the line in the picture, the line running down.
    const auto right_of = [&](const FigurePoint& q) {
        return ((q.x - ear->a.x) * dy - (q.y - ear->a.y) * dx) * (dy >= 0 ? 1 : -1);
    };
    const auto behind = [&](const FigurePoint& q) { return measured(right_of(q) * -to_front(p.view), *scale); };
    return BehindEar{behind(seam->a), behind(seam->b)};
}

}  // namespace sartorum
