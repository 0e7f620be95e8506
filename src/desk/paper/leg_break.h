// leg_break.h: long legs drawn broken, so that what is worked on is large: the stretch between crotch and hem
// where nothing is done left out, a zigzag on either side of it.
#pragma once
#include <QPainterPath>
#include <array>
#include <optional>

#include "core/paper/step.h"
#include "desk/shared/laid_out.h"

namespace sartorum::desk {

struct LegBreak {
    double from;  // mm down the sheet, where nothing is left out
    double to;
    std::set<std::string> legs;
    // What is left out, less the gap between the zigzags.
    [[nodiscard]] double closes_by() const;
    [[nodiscard]] Length left_out() const { return Length::mm(to - from); }
    // Where a place of a leg, or of a piece beneath the legs, is shown on the sheet.
    [[nodiscard]] QPointF shown(QPointF) const;
    // Everything above the upper zigzag, and below the lower one where it is shown; on the sheet.
    [[nodiscard]] QPainterPath above() const;
    [[nodiscard]] QPainterPath below() const;
    [[nodiscard]] std::array<QPolygonF, 2> zigzags() const;
    // How a leg's two parts come to be shown.
    [[nodiscard]] QTransform lower(const QTransform& to_sheet) const;
};

// None where there are no legs, they are short, or one of the steps draws where they would be broken.
[[nodiscard]] std::optional<LegBreak> leg_break(const std::map<std::string, LaidPiece>&,
                                                const std::vector<Piece>& was, const std::vector<Piece>& is,
                                                const std::vector<const Step*>&);

}  // namespace sartorum::desk
