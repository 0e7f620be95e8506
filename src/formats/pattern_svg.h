// pattern_svg.h: a pattern as an SVG drawing that any viewer opens at true size. Defined in docs/pattern-svg.md.
//
// Untrusted input: at most 20 MB, 24 levels, 50,000 elements of 60 attributes, and limits on every count below
// that (docs/pattern-svg.md); no entities, script, foreign objects or references. Reads in linear time.
#pragma once
#include <QString>
#include <string>

#include "core/pattern/pattern.h"

namespace sartorum::formats {

[[nodiscard]] Outcome<Pattern> read_pattern_svg(const std::string& bytes);
[[nodiscard]] QByteArray write_pattern_svg(const Pattern&);
// One piece alone, in the same drawing.
[[nodiscard]] Outcome<Piece> read_piece_svg(const std::string& bytes);
[[nodiscard]] QByteArray write_piece_svg(const Piece&, const std::string& size);
// SVG path data of a curve, y down, with 6 decimals; straight segments as L.
[[nodiscard]] std::string path_data(const Curve&, bool with_move = true);
[[nodiscard]] std::string outline_data(const Piece&);

}  // namespace sartorum::formats
