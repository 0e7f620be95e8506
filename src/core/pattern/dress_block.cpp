#include "core/pattern/dress_block.h"

#include "core/pattern/joint.h"

namespace sartorum {
namespace {

const std::string in_skirt = "skirt-";

}  // namespace

Length first_dart_at_waist(const Piece& p)
{
    const auto run = waist_run(p);
    return run.darts.empty() ? Length{} : run.darts.front();
}

Outcome<SizedPieces> draw_dress(const DressFlat& dress)
{
    auto bodice = draw_bodice(dress.bodice);
    if (!bodice) return bodice;
    const Piece& front = *find_piece(bodice->pieces, PieceRole::Front);
    const Piece& back = *find_piece(bodice->pieces, PieceRole::Back);
    if (!edge_index(front, EdgeRole::Waist)) return refuse(Why::NeedsWaistSeam, "below_waist");
    SkirtFlat f = dress.skirt;
    f.size = dress.bodice.size;
    f.front_waist = sewn_length(front, EdgeRole::Waist) * dress.fullness;
    const Length back_waist = sewn_length(back, EdgeRole::Waist) * dress.fullness;
    f.waist = (f.front_waist + back_waist) * 2.0;
    f.front_dart_at = first_dart_at_waist(front);
    f.back_dart_at = first_dart_at_waist(back);
    f.band_depth = {};
    if (dress.fullness >= gathered_from) {
        f.front_dart = f.back_dart = {};
        f.hip = f.waist;
        f.front_more = (f.front_waist - back_waist) * 2.0;
    }
    const auto skirt = draw_skirt(f);
    if (!skirt) return skirt;
    return sewn_together(std::move(*bodice), *skirt);
}

SizedPieces sewn_together(SizedPieces bodice, const SizedPieces& below, const std::string& called)
{
    for (auto piece : below.pieces) {
        piece.id = called + piece.id;
        bodice.pieces.push_back(std::move(piece));
    }
    return bodice;
}

std::vector<Seam> joined_seams(std::vector<Seam> out, const std::vector<Seam>& below, const std::string& called,
                               double fullness, Length ease)
{
    for (Seam seam : below) {
        for (auto* side : {&seam.a, &seam.b}) {
            for (auto& s : *side) s.piece = called + s.piece;
        }
        seam.id = called + seam.id;
        out.push_back(std::move(seam));
    }
    Seam join{"waist",
              {{"front", EdgeRole::Waist}, {"back", EdgeRole::Waist}},
              {{called + "front", EdgeRole::Waist}, {called + "back", EdgeRole::Waist}},
              ease};
    join.fullness = fullness;
    out.push_back(std::move(join));
    return out;
}

std::vector<Seam> dress_seams(std::vector<Seam> bodice, double fullness, Length ease)
{
    return joined_seams(std::move(bodice), skirt_seams(false), in_skirt, fullness, ease);
}

}  // namespace sartorum
