#include "core/alter/kit/part_questions.h"

#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

namespace sartorum {

bool sleeved(const Garment& part)
{
    return find_piece(part.pieces, PieceRole::Sleeve) != nullptr;
}

bool shoulder_at_tip(const Garment& part)
{
    const auto& said = front_of(part).shoulder_style;
    return said ? *said == ShoulderStyle::SetIn : sleeved(part);
}

bool has_side_dart(const Garment& part)
{
    const Piece& front = front_of(part);
    return edge_index(front, EdgeRole::Side) != edge_index(front, EdgeRole::Side, true);
}

bool without_bust_dart(const Garment& part)
{
    return !has_side_dart(part) && !front_of(part).princess;
}

bool has_dart(const Garment& part)
{
    return !front_of(part).darts.empty();
}

bool has_movable_dart(const Garment& part)
{
    return has_dart(part) && !front_of(part).princess;
}

bool one_piece_a_face(const Garment& part)
{
    return face_of(part.pieces, PieceRole::Front).size() == 1 && face_of(part.pieces, PieceRole::Back).size() == 1;
}

bool hangs_from_waist(const Garment& part)
{
    return begins_with(part, EdgeRole::Waist) && !has_level(part, Level::Shoulder);
}

std::size_t way_by_centre_back(const Garment& part)
{
    return on_fold(back_of(part)) ? 1 : 0;
}

}  // namespace sartorum
