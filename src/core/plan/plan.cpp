#include "core/plan/plan.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 3> face_keys{"both", "front", "back"};
constexpr std::array<std::string_view, 3> sides_keys{"usual", "apart", "larger"};

// At the one place, of both sides.
bool plain(const Amount& a)
{
    return a.at.empty() && !a.side;
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

std::optional<Length> Decision::amount() const
{
    return of(Face::Both);
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

void Decision::set_at(std::string_view place, std::optional<Side> side, std::optional<Length> by)
{
    std::erase_if(amounts, [&](const Amount& a) { return a.at == place && (!side || a.side == side); });
    if (by) amounts.push_back({std::string{place}, Face::Both, side, *by});
}

void Decision::set_sides_at(std::string_view place, Length right, Length left)
{
    if (right == left) return set_at(place, {}, right);
    set_at(place, Side::Right, right);
    set_at(place, Side::Left, left);
}

bool Decision::has_sides() const
{
    return std::any_of(amounts.begin(), amounts.end(), [](const Amount& a) { return a.side.has_value(); });
}

void Decision::set_side(Side side, std::optional<Length> amount, std::optional<Length> of_back)
{
    std::erase_if(amounts, [&](const Amount& a) { return a.at.empty() && a.side == side; });
    if (amount) amounts.push_back({{}, Face::Both, side, *amount});
    if (of_back && of_back != amount) amounts.push_back({{}, Face::Back, side, *of_back});
}

void Decision::one_amount()
{
    const auto front = on(Side::Right, Face::Front);
    const auto of_back = on(Side::Right, Face::Back);
    std::map<std::string, std::optional<Length>> places;
    for (const auto& a : amounts) {
        if (!a.at.empty()) places[a.at] = at(Side::Right, a.at);
    }
    amounts.clear();
    set_amount(front);
    set_back(of_back == front ? std::nullopt : of_back);
    for (const auto& [place, by] : places) set_at(place, {}, by);
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

const std::string& Plan::size_at(Level level) const
{
    static const std::string none;
    const auto it = sizes.find(level);
    return it == sizes.end() ? none : it->second;
}

const std::string& Plan::frame_size() const
{
    const auto& bust = size_at(Level::Bust);
    return bust.empty() ? size_at(Level::Hip) : bust;
}

void Plan::take_sizes(const std::string& waist, const std::string& hip, const std::string& bust)
{
    sizes.clear();
    for (const auto& [level, size] :
         {std::pair{Level::Waist, &waist}, std::pair{Level::Hip, &hip}, std::pair{Level::Bust, &bust}}) {
        if (!size->empty()) sizes[level] = *size;
    }
}

Decision Plan::taken(AdjustmentKind kind, std::optional<Length> amount, std::optional<Length> back) const
{
    const Decision* was = decision(kind);
    Decision out = was ? *was : Decision{kind, Answer::Accepted};
    out.answer = Answer::Accepted;
    out.seen_on.clear();
    out.set_side(Side::Right, {});
    out.set_side(Side::Left, {});
    out.set_amount(amount);
    out.set_back(back == amount ? std::nullopt : back);
    return out;
}

const Decision* Plan::decision(AdjustmentKind kind, const std::string& subject) const
{
    const auto it = std::find_if(decisions.begin(), decisions.end(),
                                 [&](const Decision& d) { return d.kind == kind && d.subject == subject; });
    return it == decisions.end() ? nullptr : &*it;
}

const Decision* Plan::decision(AdjustmentKind kind, PartKind part) const
{
    const Decision* every = nullptr;
    for (const auto& d : decisions) {
        if (d.kind != kind) continue;
        if (d.subject == key(part)) return &d;
        if (d.subject.empty()) every = &d;
    }
    return every;
}

void Plan::put(Decision decision)
{
    std::erase_if(decisions,
                  [&](const Decision& d) { return d.kind == decision.kind && d.subject == decision.subject; });
    decisions.push_back(std::move(decision));
}

void Plan::decide(Decision decision)
{
    if (decision.subject.empty()) forget(decision.kind);
    put(std::move(decision));
}

void Plan::forget(AdjustmentKind kind)
{
    std::erase_if(decisions, [&](const Decision& d) { return d.kind == kind; });
}

Plan plan_in_sizes(const std::string& waist, const std::string& hip, const std::string& bust)
{
    Plan out;
    out.take_sizes(waist, hip, bust);
    return out;
}

}  // namespace sartorum
