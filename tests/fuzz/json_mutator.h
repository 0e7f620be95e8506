// json_mutator.h: changes a file as a hand would, so that what is fed mostly still reads and gets as far as being
// worked out: one value, name or branch of the tree at a time. Every sixth change is one of bytes as before.
#pragma once
#include <algorithm>
#include <iterator>
#include <random>

#include "common.h"
#include "core/alter/kit/catalogue.h"
#include "formats/json.h"

extern "C" std::size_t LLVMFuzzerMutate(std::uint8_t* data, std::size_t size, std::size_t most);

namespace sartorum::fuzz {

using json = nlohmann::json;

// Words the readers know: what is put for another word or beside another name.
inline const std::vector<std::string>& known_words()
{
    static const std::vector<std::string> all = [] {
        std::vector<std::string> out{
            "left",       "right",   "both",      "front",   "back",    "accepted", "declined",          "amounts",
            "at",         "mm",      "face",      "side",    "sides",   "method",   "subject",           "answer",
            "tip",        "neck",    "amount_mm", "back_mm", "make_up", "readings", "seated_front_rise", "notes",
            "2026-12-02", "12.5 cm", "1 in",      ""};
        for (const auto& a : catalogue()) {
            out.emplace_back(a.key);
            for (const auto& m : a.methods) out.emplace_back(m);
        }
        for (const auto& m : all_measures) out.emplace_back(m.key);
        return out;
    }();
    return all;
}

inline void gather(json& node, std::vector<json*>& into)
{
    into.push_back(&node);
    if (node.is_structured()) {
        for (auto& child : node) gather(child, into);
    }
}

inline double other_number(double was, std::mt19937& rng)
{
    constexpr std::array<double, 8> by{-1, 0, 0.5, 2, 10, 1e3, 1e-3, 1e300};
    return rng() % 2 == 0 ? was * by[rng() % by.size()] : was + static_cast<double>(rng() % 401) / 2 - 100;
}

// One change; of most kinds the file keeps the shape it had: what is strange then is a number, not the text.
inline void change_tree(json& root, std::mt19937& rng)
{
    std::vector<json*> nodes;
    gather(root, nodes);
    const auto below = [&](std::size_t n) { return static_cast<std::size_t>(rng() % n); };
    const auto any = [&](auto holds) -> json* {
        std::vector<json*> some;
        std::copy_if(nodes.begin(), nodes.end(), std::back_inserter(some), [&](json* n) { return holds(*n); });
        return some.empty() ? nullptr : some[below(some.size())];
    };
    const auto word = [&] { return known_words()[below(known_words().size())]; };
    json& node = *nodes[below(nodes.size())];
    switch (below(12)) {
        case 0: node = json(*nodes[below(nodes.size())]); return;
        case 1: node = below(2) == 0 ? json(word()) : json(nullptr); return;
        case 2: node = below(2) == 0 ? json::array() : json(below(2) == 0); return;
        case 3:
        case 4:
            if (json* of = any([](const json& n) { return n.is_structured() && !n.empty(); })) {
                auto at = of->begin();
                std::advance(at, static_cast<std::ptrdiff_t>(below(of->size())));
                of->erase(at);
            }
            return;
        case 5:
            if (json* of = any([](const json& n) { return n.is_string(); })) *of = word();
            return;
        case 6:
        case 7:
        case 8:
            // Another of the same kind beside it.
            if (json* of = any([](const json& n) { return n.is_structured() && !n.empty(); })) {
                auto like = of->begin();
                std::advance(like, static_cast<std::ptrdiff_t>(below(of->size())));
                const json value = *like;
                if (of->is_object())
                    (*of)[word()] = value;
                else
                    of->push_back(value);
            }
            return;
        default:
            if (json* of = any([](const json& n) { return n.is_number(); }))
                *of = other_number(of->get<double>(), rng);
    }
}

}  // namespace sartorum::fuzz

extern "C" std::size_t LLVMFuzzerCustomMutator(std::uint8_t* data, std::size_t size, std::size_t most,
                                               unsigned seed)
{
    std::mt19937 rng{seed};
    if (rng() % 6 == 0) return LLVMFuzzerMutate(data, size, most);
    auto tree = sartorum::fuzz::json::parse(data, data + size, nullptr, false);
    if (tree.is_discarded()) return LLVMFuzzerMutate(data, size, most);
    sartorum::fuzz::change_tree(tree, rng);
    const std::string text = tree.dump(-1, ' ', false, sartorum::fuzz::json::error_handler_t::replace);
    if (text.size() > most) return LLVMFuzzerMutate(data, size, most);
    std::copy(text.begin(), text.end(), data);
    return text.size();
}
