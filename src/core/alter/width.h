// width.h: width at the waist or at the hip, at the side seams, a quarter of the girth each, or half at each of
// the back's.
//
// Changes  side seam of front and back: out (+) or in (−) by a quarter of the girth change at its level, nothing
// at
//          the other level; below the hip line as much as there. Of gores every flank, by an equal share
//          a bodice's at the waist (with a hem: at the waist level) or at its hem, quarters or back only
// Keeps    darts, centre lines, the direction of every edge where it meets the next
// Also     width at the waist: the waistband is cut at its side notch and made longer by what the waist gained
// Limits   120 mm of girth (30 mm a seam): beyond, take another size. Common practice: a quarter each.
#pragma once
#include <functional>

#include "core/alter/underarm_width.h"
#include "core/pattern/garment_measure.h"

namespace sartorum {

inline constexpr Length width_limit = Length::mm(120);

[[nodiscard]] Outcome<Applied> alter_width_at_waist(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_hip(const Garment&, const Dose& girth);
// What either comes to on each kind of part: an upper part's lower edge is its waist, or it is widened at the
// waist level or the hem; a skirt's at the waist or from the hip line down.
[[nodiscard]] Outcome<Applied> widen_upper(const Garment&, const Dose& girth, Level);
[[nodiscard]] Outcome<Applied> widen_skirt(const Garment&, const Dose& girth, Level);
// Each face moved by a share of the girth until the garment measures as much more there: a seam that leans, or is
// evened afterwards, gives a little more or less than it is moved by. `seams`: how many shares there are all round
// with front and back.
[[nodiscard]] Outcome<Applied> widened_until(
    const Garment&, const Dose& girth, GarmentMeasure, double seams,
    const std::function<Outcome<bool>(Applied&, PieceRole, Length share)>& move);
// Front and back, or the back alone.
[[nodiscard]] std::vector<PieceRole> widened_faces(const Dose&);
// How much more each flank must go, when all of them by `share` gained so much and that much is lacking.
[[nodiscard]] Length next_share(Length lacks, Length share, Length gained, double flanks);

[[nodiscard]] Adjustment width_at_waist_row();
[[nodiscard]] Adjustment width_at_hip_row();

}  // namespace sartorum
