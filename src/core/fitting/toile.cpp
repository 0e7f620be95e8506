#include "core/fitting/toile.h"

#include <algorithm>
#include <array>

#include "core/alter/kit/catalogue.h"

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 6> put_on_keys{"whole",  "shoulders",   "skirt",
                                                      "sleeve", "half_tissue", "garment"};
constexpr std::array<std::string_view, moment_count> moment_keys{"standing", "sitting", "reaching", "walking"};
constexpr std::array<std::string_view, 5> since_keys{"new", "less", "same", "more", "gone"};
constexpr std::array<std::string_view, by_hand_count> by_hand_keys{"offcut",  "waist_mark", "bust_dot",
                                                                   "let_out", "bust_dart",  "waist_dart"};

constexpr std::array<std::string_view, 2> offcut_places{"neck_end", "tip"};
constexpr std::array<std::string_view, 5> mark_places{"centre_front", "mid_front", "side", "mid_back",
                                                      "centre_back"};
constexpr std::array<std::string_view, 2> dot_places{"down", "out"};
constexpr std::array<std::string_view, 3> dart_places{"place", "depth", "length"};
constexpr std::array<std::string_view, 4> let_out_places{"waist", "hip", "upper_arm", "thigh"};

template <class E, std::size_t N>
std::optional<E> of_key(const std::array<std::string_view, N>& keys, std::string_view text)
{
    const auto it = std::find(keys.begin(), keys.end(), text);
    return it == keys.end() ? std::nullopt : std::optional{static_cast<E>(it - keys.begin())};
}

}  // namespace

std::string_view key(PutOn p)
{
    return put_on_keys[static_cast<std::size_t>(p)];
}
std::string_view key(Moment m)
{
    return moment_keys[static_cast<std::size_t>(m)];
}
std::string_view key(Since s)
{
    return since_keys[static_cast<std::size_t>(s)];
}
std::string_view key(ByHand h)
{
    return by_hand_keys[static_cast<std::size_t>(h)];
}
std::optional<PutOn> put_on_of_key(std::string_view text)
{
    return of_key<PutOn>(put_on_keys, text);
}
std::optional<Moment> moment_of_key(std::string_view text)
{
    return of_key<Moment>(moment_keys, text);
}
std::optional<Since> since_of_key(std::string_view text)
{
    return of_key<Since>(since_keys, text);
}
std::optional<ByHand> by_hand_of_key(std::string_view text)
{
    return of_key<ByHand>(by_hand_keys, text);
}

std::span<const std::string_view> places_of(ByHand h)
{
    switch (h) {
        case ByHand::Offcut: return offcut_places;
        case ByHand::WaistMark: return mark_places;
        case ByHand::BustDot: return dot_places;
        case ByHand::LetOut: return let_out_places;
        case ByHand::BustDart:
        case ByHand::WaistDart: return dart_places;
    }
    return {};
}

bool of_faces(ByHand h)
{
    return h == ByHand::Offcut || h == ByHand::WaistDart;
}

CanBe within(PutOn what, CanBe can_be)
{
    return [what, can_be = std::move(can_be)](const CauseFacts& f) {
        if (can_be && !can_be(f)) return false;
        const auto& row = adjustment(f.cause.kind);
        const bool sleeve = row.zone == Zone::Sleeve;
        const bool upper =
            std::any_of(row.needs.begin(), row.needs.end(), [](Level l) { return l < Level::Waist; });
        switch (what) {
            case PutOn::Shoulders: return upper || sleeve;
            case PutOn::Sleeve: return sleeve || row.zone == Zone::Frame;
            case PutOn::Skirt: return !upper && !sleeve;
            case PutOn::Whole:
            case PutOn::HalfTissue:
            case PutOn::Garment: break;
        }
        return true;
    };
}

Observed observed(const TryOn& t, std::vector<KnownOf> known)
{
    Observed out{{}, t.answers, std::move(known)};
    for (const auto& n : t.notes) {
        if (n.here()) out.seen.push_back(n.seen);
    }
    return out;
}

void note_answer(TryOn& t, const Answered& a)
{
    std::erase_if(t.answers, [&](const Answered& old) { return old.test == a.test; });
    t.answers.push_back(a);
}

void note_found(TryOn& t, const Found& f)
{
    std::erase_if(t.found, [&](const Found& old) {
        return old.what == f.what && old.at == f.at && old.face == f.face && (!f.side || old.side == f.side);
    });
    t.found.push_back(f);
}

std::optional<Length> found_at(const TryOn& t, ByHand what, std::string_view at, Face face,
                               std::optional<Side> side)
{
    std::optional<Length> out;
    int best = -1;
    for (const auto& f : t.found) {
        const bool fits = f.what == what && f.at == at && (f.face == face || f.face == Face::Both) &&
                          (!f.side || f.side == side);
        const int how = (f.face == face ? 2 : 0) + (f.side ? 1 : 0);
        if (!fits || how <= best) continue;
        best = how;
        out = f.by;
    }
    return out;
}

}  // namespace sartorum
