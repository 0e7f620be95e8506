#include "core/pattern/part_rules.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr std::array front_and_back{PieceRole::Front, PieceRole::Back};

constexpr std::array upper_runs{EdgeRun{EdgeRole::Neck},
                                EdgeRun{EdgeRole::Shoulder},
                                EdgeRun{EdgeRole::Armhole},
                                EdgeRun{EdgeRole::Side},
                                EdgeRun{EdgeRole::Waist, EdgeRole::Hem},
                                EdgeRun{EdgeRole::Centre}};
constexpr std::array upper_guides{GuideKind::LengthenShorten, GuideKind::Across};
constexpr std::array upper_levels{Level::Shoulder, Level::Underarm, Level::Bust, Level::Waist, Level::Hem};

constexpr std::array yoke_runs{EdgeRun{EdgeRole::Waist}, EdgeRun{EdgeRole::Side}, EdgeRun{EdgeRole::Lower},
                               EdgeRun{EdgeRole::Centre}};
constexpr std::array yoke_levels{Level::Waist};

// The crotch seam is the centre: from the inner leg along the curve and up to the waist.
constexpr std::array trouser_runs{EdgeRun{EdgeRole::Waist}, EdgeRun{EdgeRole::Side}, EdgeRun{EdgeRole::Hem},
                                  EdgeRun{EdgeRole::InnerLeg}, EdgeRun{EdgeRole::Centre}};
constexpr std::array trouser_guides{GuideKind::LengthenShorten, GuideKind::Hip, GuideKind::Crease};
constexpr std::array trouser_levels{Level::Waist,  Level::HighHip, Level::Hip,
                                    Level::Crotch, Level::Knee,    Level::Hem};

constexpr std::array skirt_runs{EdgeRun{EdgeRole::Waist}, EdgeRun{EdgeRole::Side, EdgeRole::Outer},
                                EdgeRun{EdgeRole::Hem}, EdgeRun{EdgeRole::Centre, EdgeRole::Inner}};
constexpr std::array skirt_guides{GuideKind::LengthenShorten, GuideKind::Hip};
constexpr std::array skirt_levels{Level::Waist, Level::HighHip, Level::Hip, Level::Hem};
constexpr std::array below_yoke_levels{Level::Hip, Level::Hem};

constexpr std::array part_rows{
    PartRules{PartKind::Upper, "upper", EdgeRole::Shoulder, front_and_back, upper_runs, upper_guides, upper_levels,
              GuideKind::Waist},
    PartRules{PartKind::Yoke, "yoke", EdgeRole::Lower, front_and_back, yoke_runs, {}, yoke_levels, GuideKind::Hip},
    PartRules{PartKind::Trousers, "trousers", EdgeRole::InnerLeg, front_and_back, trouser_runs, trouser_guides,
              trouser_levels, GuideKind::Hip},
    PartRules{PartKind::Skirt, "skirt", std::nullopt, front_and_back, skirt_runs, skirt_guides, skirt_levels,
              GuideKind::Hip},
    PartRules{PartKind::BelowYoke, "skirt-below-yoke", std::nullopt, front_and_back, skirt_runs, skirt_guides,
              below_yoke_levels, GuideKind::Hip}};
static_assert(part_rows.size() == part_kinds);

constexpr std::array<std::string_view, 9> level_keys{"shoulder", "underarm", "bust", "waist", "high_hip",
                                                     "hip",      "crotch",   "knee", "hem"};
static_assert(level_keys.size() == every_level.size());

}  // namespace

std::string_view key(PartKind kind)
{
    return rules(kind).key;
}
std::string_view key(Level level)
{
    return level_keys[static_cast<std::size_t>(level)];
}

std::optional<PartKind> part_of_key(std::string_view text)
{
    const auto it =
        std::find_if(part_rows.begin(), part_rows.end(), [&](const PartRules& r) { return r.key == text; });
    return it == part_rows.end() ? std::nullopt : std::optional{it->kind};
}

std::optional<Level> level_of_key(std::string_view text)
{
    const auto it = std::find(level_keys.begin(), level_keys.end(), text);
    return it == level_keys.end() ? std::nullopt : std::optional{static_cast<Level>(it - level_keys.begin())};
}

const PartRules& rules(PartKind kind)
{
    return part_rows[static_cast<std::size_t>(kind)];
}

bool goes_round(const Piece& piece)
{
    const auto made_of = [&](const PartRules& row) {
        return std::find(row.made_of.begin(), row.made_of.end(), piece.role) != row.made_of.end();
    };
    return piece.part ? made_of(rules(*piece.part)) : std::any_of(part_rows.begin(), part_rows.end(), made_of);
}

std::optional<PartKind> part_told(const Piece& piece)
{
    const bool sleeve = piece.role == PieceRole::Sleeve;
    if (!sleeve && !goes_round(piece)) return std::nullopt;
    for (const auto& row : part_rows) {
        // A sleeve hangs from a shoulder.
        if (!row.told_by || (sleeve && *row.told_by == EdgeRole::Shoulder) || edge_index(piece, *row.told_by))
            return row.kind;
    }
    return std::nullopt;
}

void hang_from_yoke(std::vector<Piece>& pieces)
{
    const bool yoked =
        std::any_of(pieces.begin(), pieces.end(), [](const Piece& p) { return p.part == PartKind::Yoke; });
    for (auto& p : pieces) {
        if (p.part == PartKind::Skirt && yoked) p.part = PartKind::BelowYoke;
        if (p.part == PartKind::BelowYoke && !yoked) p.part = PartKind::Skirt;
    }
}

EdgeRole bottom_role(const Piece& piece)
{
    if (!piece.part) return EdgeRole::Hem;
    const auto& runs = rules(*piece.part).runs;
    const auto side =
        std::find_if(runs.begin(), runs.end(), [](const EdgeRun& r) { return r.role == EdgeRole::Side; });
    const EdgeRun& bottom = *(side + 1);
    return bottom.or_else && !edge_index(piece, bottom.role) ? *bottom.or_else : bottom.role;
}

bool begins_with(const Piece& piece, EdgeRole role)
{
    return piece.part && rules(*piece.part).runs.front().role == role;
}

bool has_level(const Piece& piece, Level level)
{
    if (!piece.part || !goes_round(piece)) return false;
    if (level == Level::Hem && !edge_index(piece, EdgeRole::Hem)) return false;
    if (level == Level::Knee && !guide(piece, GuideKind::Knee)) return false;  // shorts end above it
    const auto& levels = rules(*piece.part).levels;
    return std::find(levels.begin(), levels.end(), level) != levels.end();
}

}  // namespace sartorum
