#include "core/body/rounds.h"

#include <algorithm>

namespace sartorum {
namespace {

using enum Measure;

const std::vector<Measure> top{NeckBase,
                               Head,
                               HighBust,
                               Bust,
                               Underbust,
                               Waist,
                               Hip,
                               BustDepth,
                               BustSpan,
                               FrontWaistLength,
                               AcrossFront,
                               ShoulderLength,
                               CrossShoulder,
                               AcrossBack,
                               ArmholeDepth,
                               BackWaistLength,
                               ArmLength,
                               UpperArm,
                               Wrist,
                               HandRound,
                               ShouldersRound,
                               NeckPointHeight,
                               ShoulderTipHeight};
const std::vector<Measure> skirt{Waist, Hip, WaistToHip, SkirtLength};
const std::vector<Measure> trousers{Waist,
                                    HighHip,
                                    Hip,
                                    WaistToHip,
                                    TrouserLength,
                                    Thigh,
                                    Knee,
                                    Calf,
                                    HeelRound,
                                    InsideLeg,
                                    CrotchLength,
                                    FrontRise,
                                    BackRise,
                                    WaistToFloorSide,
                                    WaistToFloorFront,
                                    WaistToFloorBack,
                                    WaistToFloorMidFront,
                                    WaistToFloorMidBack,
                                    BodyRise};
const std::vector<Measure> bra{HighBust, Bust, Underbust, BustDepth, BustSpan};
const std::vector<Measure> seated_girths{SeatedWaist, SeatedHip, SeatedThigh};
const std::vector<Measure> seated_rises{SeatedFrontRise, SeatedBackRise};

}  // namespace

std::string_view key_of(Round r)
{
    switch (r) {
        case Round::Top: return "top";
        case Round::Dress: return "dress";
        case Round::Skirt: return "skirt";
        case Round::Trousers: return "trousers";
        case Round::AllInOne: return "all_in_one";
        case Round::Bra: return "bra";
        case Round::Everything: return "everything";
    }
    return {};
}

std::optional<Round> round_of_key(std::string_view key)
{
    for (const auto r : all_rounds) {
        if (key_of(r) == key) return r;
    }
    return std::nullopt;
}

std::vector<Measure> measures_of(Round round, bool seated)
{
    std::vector<Measure> out;
    const auto add = [&](const std::vector<Measure>& more) { out.insert(out.end(), more.begin(), more.end()); };
    switch (round) {
        case Round::Top: add(top); break;
        case Round::Dress:
            add(top);
            add(skirt);
            break;
        case Round::Skirt: add(skirt); break;
        case Round::Trousers: add(trousers); break;
        case Round::AllInOne:
            add(top);
            add(trousers);
            out.push_back(TrunkGirth);
            break;
        case Round::Bra: add(bra); break;
        case Round::Everything:
            for (const auto& f : all_measures) out.push_back(f.measure);
            break;
    }
    if (seated && round != Round::Top && round != Round::Bra) add(seated_girths);
    if (seated && (round == Round::Trousers || round == Round::AllInOne)) add(seated_rises);
    std::sort(out.begin(), out.end());
    out.erase(std::unique(out.begin(), out.end()), out.end());
    return out;
}

}  // namespace sartorum
