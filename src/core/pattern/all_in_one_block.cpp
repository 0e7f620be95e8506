#include "core/pattern/all_in_one_block.h"

#include "core/pattern/dress_block.h"

namespace sartorum {
namespace {

const std::string in_trousers = "trousers-";

}  // namespace

Outcome<SizedPieces> draw_all_in_one(const AllInOneFlat& flat)
{
    auto bodice = draw_bodice(flat.bodice);
    if (!bodice) return bodice;
    const Piece& front = *find_piece(bodice->pieces, PieceRole::Front);
    const Piece& back = *find_piece(bodice->pieces, PieceRole::Back);
    if (!edge_index(front, EdgeRole::Waist)) return refuse(Why::NeedsWaistSeam, "below_waist");
    const Length front_waist = sewn_length(front, EdgeRole::Waist);
    const Length back_waist = sewn_length(back, EdgeRole::Waist);
    TrousersFlat f = flat.trousers;
    f.size = flat.bodice.size;
    f.waist = (front_waist + back_waist) * 2.0;
    f.back_waist_more = (back_waist - front_waist) * 2.0;
    f.front_dart_at = first_dart_at_waist(front);
    f.back_dart_at = first_dart_at_waist(back);
    f.band_depth = {};
    const auto trousers = draw_trousers(f);
    if (!trousers) return trousers;
    return sewn_together(std::move(*bodice), *trousers, in_trousers);
}

std::vector<Seam> all_in_one_seams(std::vector<Seam> bodice, Length back_stretch)
{
    return joined_seams(std::move(bodice), trousers_seams(false, back_stretch), in_trousers);
}

}  // namespace sartorum
