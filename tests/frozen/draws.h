// draws.h: numbers drawn by name, so that a draw does not depend on what else is drawn, or in which order.
#pragma once
#include <cstdint>
#include <string_view>

namespace sartorum::test {

class Draws {
public:
    explicit Draws(std::uint64_t seed) : seed_{seed} {}

    // From `low` to `high`, evenly.
    [[nodiscard]] double between(std::string_view name, double low, double high) const
    {
        return low + (high - low) * (static_cast<double>(bits(name) >> 11) / 9007199254740992.0);
    }
    [[nodiscard]] bool chance(std::string_view name, double of) const { return between(name, 0, 1) < of; }
    [[nodiscard]] std::size_t one_of(std::string_view name, std::size_t count) const
    {
        return static_cast<std::size_t>(bits(name) % count);
    }

private:
    // FNV-1a over seed and name, stirred once more.
    [[nodiscard]] std::uint64_t bits(std::string_view name) const
    {
        std::uint64_t h = 14695981039346656037ULL ^ (seed_ * 0x9E3779B97F4A7C15ULL);
        for (const char c : name) h = (h ^ static_cast<unsigned char>(c)) * 1099511628211ULL;
        h = (h ^ (h >> 30)) * 0xBF58476D1CE4E5B9ULL;
        h = (h ^ (h >> 27)) * 0x94D049BB133111EBULL;
        return h ^ (h >> 31);
    }
    std::uint64_t seed_;
};

}  // namespace sartorum::test
