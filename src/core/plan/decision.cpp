#include "core/plan/decision.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 3> face_keys{"both", "front", "back"};
constexpr std::array<std::string_view, 3> sides_keys{"usual", "apart", "larger"};

// What is said at one place, of each side's front and back.
struct Said {
    std::optional<Length> of[2][2];  // right and left, front and back
    [[nodiscard]] bool sides_alike() const { return of[0][0] == of[1][0] && of[0][1] == of[1][1]; }
};

bool plain(const Amount& a)
{
    return a.at.empty() && !a.side;
}

Said said_at(const Decision& d, const std::string& place)
{
    Said out;
    for (const auto side : both_sides) {
        for (const auto face : each_face) {
            auto& here = out.of[side == Side::Left][face == Face::Back];
            here = place.empty() ? d.on(side, face) : d.at(side, place, false);
        }
    }
    return out;
}

// In as few amounts as say it.
void add(std::vector<Amount>& to, const std::string& place, std::optional<Side> side,
         const std::optional<Length> (&faces)[2])
{
    const auto& [front, back] = faces;
    if (front && back) {
        to.push_back({place, Face::Both, side, *front});
        if (*back != *front) to.push_back({place, Face::Back, side, *back});
    } else if (front) {
        to.push_back({place, Face::Front, side, *front});
    } else if (back) {
        to.push_back({place, Face::Back, side, *back});
    }
}

void write(Decision& d, const std::string& place, const Said& said)
{
    std::erase_if(d.amounts, [&](const Amount& a) { return a.at == place; });
    std::vector<Amount> now;
    if (said.sides_alike()) {
        add(now, place, {}, said.of[0]);
    } else {
        add(now, place, Side::Right, said.of[0]);
        add(now, place, Side::Left, said.of[1]);
    }
    // What is said without a place stands first.
    d.amounts.insert(place.empty() ? d.amounts.begin() : d.amounts.end(), now.begin(), now.end());
}

}  // namespace

std::string_view key(Face f)
{
    return face_keys[static_cast<std::size_t>(f)];
}

std::optional<Face> face_of_key(std::string_view text)
{
    const auto it = std::find(face_keys.begin(), face_keys.end(), text);
    return it == face_keys.end() ? std::nullopt : std::optional{static_cast<Face>(it - face_keys.begin())};
}

std::string_view key(SidesWay s)
{
    return sides_keys[static_cast<std::size_t>(s)];
}

std::optional<SidesWay> sides_of_key(std::string_view text)
{
    const auto it = std::find(sides_keys.begin(), sides_keys.end(), text);
    return it == sides_keys.end() ? std::nullopt : std::optional{static_cast<SidesWay>(it - sides_keys.begin())};
}

Decision::Decision(AdjustmentKind what, Answer said, std::optional<Length> amount, std::optional<Length> back,
                   std::optional<std::size_t> way)
    : kind{what}, answer{said}, method{way}
{
    set_amount(amount);
    set_back(back);
}

std::optional<Length> Decision::of(Face face) const
{
    const auto it =
        std::find_if(amounts.begin(), amounts.end(), [&](const Amount& a) { return plain(a) && a.face == face; });
    return it == amounts.end() ? std::nullopt : std::optional{it->by};
}

std::optional<Length> Decision::on(Side side, Face face) const
{
    const auto said = [&](std::optional<Side> s, Face f) -> std::optional<Length> {
        const auto it = std::find_if(amounts.begin(), amounts.end(),
                                     [&](const Amount& a) { return a.at.empty() && a.side == s && a.face == f; });
        return it == amounts.end() ? std::nullopt : std::optional{it->by};
    };
    for (const std::optional<Side> s : {std::optional{side}, std::optional<Side>{}}) {
        for (const auto f : {face, Face::Both}) {
            if (const auto by = said(s, f)) return by;
        }
    }
    return std::nullopt;
}

std::optional<Length> Decision::at(std::optional<Side> side, std::string_view place, bool or_plain) const
{
    for (const auto s : {side, std::optional<Side>{}}) {
        const auto it = std::find_if(amounts.begin(), amounts.end(),
                                     [&](const Amount& a) { return a.at == place && a.side == s; });
        if (it != amounts.end()) return it->by;
    }
    if (!or_plain) return std::nullopt;
    return side ? on(*side, Face::Both) : of(Face::Both);
}

bool Decision::has_places() const
{
    return std::any_of(amounts.begin(), amounts.end(), [](const Amount& a) { return !a.at.empty(); });
}

bool Decision::has_sides() const
{
    return std::any_of(amounts.begin(), amounts.end(), [](const Amount& a) { return a.side.has_value(); });
}

void Decision::set(const Which& which, std::optional<Length> by)
{
    Said said = said_at(*this, which.at);
    for (const auto side : both_sides) {
        if (which.side && *which.side != side) continue;
        for (const auto face : each_face) {
            if (which.face == Face::Both || which.face == face)
                said.of[side == Side::Left][face == Face::Back] = by;
        }
    }
    write(*this, which.at, said);
}

void Decision::set_places(std::string_view place, Length right, Length left)
{
    set({Face::Both, Side::Right, std::string{place}}, right);
    set({Face::Both, Side::Left, std::string{place}}, left);
}

void Decision::one_amount()
{
    std::vector<std::string> places{""};
    for (const auto& a : amounts) {
        if (std::find(places.begin(), places.end(), a.at) == places.end()) places.push_back(a.at);
    }
    for (const auto& place : places) {
        Said said = said_at(*this, place);
        std::copy(std::begin(said.of[0]), std::end(said.of[0]), std::begin(said.of[1]));
        write(*this, place, said);
    }
}

void Decision::set_amount(std::optional<Length> by)
{
    std::erase_if(amounts, [](const Amount& a) { return plain(a) && a.face != Face::Back; });
    if (by) amounts.insert(amounts.begin(), Amount{{}, Face::Both, {}, *by});
}

void Decision::set_back(std::optional<Length> by)
{
    std::erase_if(amounts, [](const Amount& a) { return plain(a) && a.face == Face::Back; });
    if (by) amounts.push_back({{}, Face::Back, {}, *by});
}

}  // namespace sartorum
