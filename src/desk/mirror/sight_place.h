// sight_place.h: where on the figure each sight is usually seen, and how it is drawn there: our own drawings.
//
// Plain figure (desk/shared/proportions.h), seen from where the sight is seen: x towards the wearer's left, from
// the side forwards.
#pragma once
#include <QPointF>

#include "core/fitting/toile.h"

namespace sartorum::desk {

//   Folds  tapered, along `angle`     Loose  a soft wave across     Pull  short lines away from each other
//   Gap    cloth that stands away     Up, Down  where an edge goes  Off   a line beside the one it is meant to be
enum class DrawnAs { Folds, Loose, Pull, Gap, Up, Down, Off };

struct SightPlace {
    QPointF at;  // of a sight that can be on one side, on the wearer's left
    DrawnAs as{};
    double angle = 0;   // of folds, degrees, from across down to the outside
    double length = 5;  // figure units
    int count = 2;
};
[[nodiscard]] SightPlace place_of(Sight);

}  // namespace sartorum::desk
