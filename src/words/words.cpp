#include "words/words.h"

#include <QDate>
#include <QLocale>

#include "core/pattern/part_rules.h"
#include "words/say.h"
#include "words/sides.h"
#include "words/waist.h"

namespace sartorum::words {
Unit paper_unit(Unit u)
{
    return u == Unit::Centimetre ? Unit::Millimetre : u;
}
QString number(Length l, Unit u, bool change)
{
    return text(number_text(l, u, change));
}
QString amount(Length l, Unit u, bool change)
{
    return text(length_text(l, u, change));
}

QString from_to(Length was, Length now, Unit u)
{
    const QString before = number(was, u, true);
    if (before != number(now, u, true)) return t("%1 → %2").arg(before, amount(now, u, true));
    const auto tenths = [](Length l) {
        const QString digits = QString::number(std::abs(l.in_mm()), 'f', 1);
        return digits.toDouble() == 0 ? digits : (l < Length{} ? QString{"\u2212"} : QString{"+"}) + digits;
    };
    return t("%1 → %2 mm").arg(tenths(was), tenths(now));
}

QString day_in_words(const std::string& iso)
{
    const auto day = QDate::fromString(text(iso), Qt::ISODate);
    return day.isValid() ? QLocale{QLocale::English}.toString(day, "d MMMM") : text(iso);
}

QString amount_on_paper(Length l, Unit unit)
{
    const Unit u = paper_unit(unit);
    const Length least = u == Unit::Inch ? Length::inches(1.0 / 32) : Length::mm(0.5);
    if (l == Length{} || abs(l) > least) return amount(l, u);
    return QString::number(l.in_mm(), 'f', 1) + " mm";
}

namespace {

QString whole_name(const Piece& p)
{
    if (!p.name.empty()) return text(p.name);
    switch (p.role) {
        case PieceRole::Front: return t("Front");
        case PieceRole::Back: return t("Back");
        case PieceRole::Waistband: return t("Waistband");
        case PieceRole::Sleeve: return t("Sleeve");
        case PieceRole::Other: return t("Another piece");
    }
    return {};
}

}  // namespace

QString edge_name(EdgeRole role)
{
    switch (role) {
        case EdgeRole::Centre: return t("centre");
        case EdgeRole::Neck: return t("neckline");
        case EdgeRole::Shoulder: return t("shoulder");
        case EdgeRole::Armhole: return t("armhole");
        case EdgeRole::Waist: return t("waist");
        case EdgeRole::DartMouth: return t("dart");
        case EdgeRole::Side: return t("side seam");
        case EdgeRole::Hem: return t("hem");
        case EdgeRole::Inner: return t("seam nearer the centre");
        case EdgeRole::Outer: return t("seam nearer the side");
        case EdgeRole::Lower: return t("lower edge");
        case EdgeRole::InnerLeg: return t("inner leg");
        case EdgeRole::BandTop: return t("upper edge of the band");
        case EdgeRole::BandEnd: return t("end of the band");
        case EdgeRole::Underlap: return t("underlap");
        case EdgeRole::CapBack: return t("back of the cap");
        case EdgeRole::CapFront: return t("front of the cap");
        case EdgeRole::UnderarmFront: return t("front underarm seam");
        case EdgeRole::UnderarmBack: return t("back underarm seam");
        case EdgeRole::Princess: return t("seam over the bust");
        case EdgeRole::Plain:
        case EdgeRole::Cut: break;
    }
    return t("edge");
}

QString piece_name(const Piece& p)
{
    if (const auto from = p.name.empty() ? facing_made_from(p.id) : std::nullopt) {
        return t("Facing, %1 of the %2").arg(edge_name(from->role), text(from->piece).replace('-', ' '));
    }
    if (!edge_index(p, EdgeRole::Princess)) return whole_name(p);
    return (edge_index(p, EdgeRole::Centre) ? t("%1, centre panel") : t("%1, side panel")).arg(whole_name(p));
}

QString seam_name(const std::string& id)
{
    if (id == "side") return t("Side seam");
    if (id == "skirt-side") return t("Skirt side seam");
    if (id == "inner-leg") return t("Inner leg seam");
    if (id == "shoulder") return t("Shoulder seam");
    if (id == "waist") return t("Waist");
    if (id == "armhole-front") return t("Front armhole");
    if (id == "armhole-back") return t("Back armhole");
    if (id == "underarm") return t("Sleeve underarm");
    if (id == "neck-facing-front") return t("Front neck facing");
    if (id == "neck-facing-back") return t("Back neck facing");
    if (id == "princess") return t("Front panels");
    if (id == "centre_front") return t("Centre front");
    if (id == "centre_back") return t("Centre back");
    if (const auto from = facing_made_from(id))
        return t("Facing, %1 of the %2").arg(edge_name(from->role), text(from->piece).replace('-', ' '));
    QString plain = text(id).replace('-', ' ');
    if (!plain.isEmpty()) plain[0] = plain[0].toUpper();
    return plain;
}

QString seam_short(const std::string& id)
{
    if (id == "side") return t("Side");
    if (id == "skirt-side") return t("Skirt side");
    if (id == "inner-leg") return t("Inner leg");
    if (id == "shoulder") return t("Shoulder");
    if (id == "underarm") return t("Underarm");
    if (id == "princess") return t("Panels");
    if (id == "neck-facing-front" || id == "yoke-facing-front") return t("Facing, front");
    if (id == "neck-facing-back" || id == "yoke-facing-back") return t("Facing, back");
    if (const auto from = facing_made_from(id)) return t("Facing, %1").arg(edge_name(from->role));
    return seam_name(id);
}

QString seam_sides(const std::string& id, bool second)
{
    if (id == "waist") return second ? t("waistband") : t("waist, darts closed");
    if (id == "side" || id == "skirt-side" || id == "inner-leg" || id == "shoulder")
        return second ? t("back") : t("front");
    if (id == "armhole-front" || id == "armhole-back") return second ? t("cap") : t("armhole");
    if (id == "underarm") return second ? t("back edge") : t("front edge");
    if (id == "princess") return second ? t("side panel") : t("centre panel");
    if (id.starts_with("neck-facing-")) return second ? t("facing") : t("neckline");
    if (const auto from = facing_made_from(id)) return second ? t("facing") : edge_name(from->role);
    return {};
}

QString sizes_text(const Plan& plan, const Pattern* pattern, bool hip_printed)
{
    const auto shouldered = [](const Piece& p) { return has_level(p, Level::Shoulder); };
    const auto* pieces = pattern ? &pattern->sizes.front().pieces : nullptr;
    if (pieces && parts_of(*pieces).size() > 1 && std::any_of(pieces->begin(), pieces->end(), shouldered)) {
        const QString frame = text(plan.frame_size());
        const QString waist = text(plan.size_at(Level::Waist));
        const QString hip = text(hip_printed ? plan.size_at(Level::Hip) : plan.size_at(Level::Waist));
        if (frame == waist && waist == hip) return t("size %1").arg(frame);
        return t("size %1 bust, %2 waist, %3 hip").arg(frame, waist, hip);
    }
    const Piece* front = pattern ? find_piece(pattern->sizes.front().pieces, PieceRole::Front) : nullptr;
    if (front && has_level(*front, Level::Bust)) {
        const QString frame = text(plan.frame_size());
        const bool waist = bottom_role(*front) == EdgeRole::Waist;
        const QString lower = text(waist || !hip_printed ? plan.size_at(Level::Waist) : plan.size_at(Level::Hip));
        if (frame == lower) return t("size %1").arg(frame);
        return waist ? t("size %1, to %2 at the waist").arg(frame, lower)
                     : t("size %1, to %2 at the hem").arg(frame, lower);
    }
    if (plan.size_at(Level::Waist) == plan.size_at(Level::Hip))
        return t("size %1").arg(text(plan.size_at(Level::Hip)));
    return t("size %1 waist, %2 hip").arg(text(plan.size_at(Level::Waist)), text(plan.size_at(Level::Hip)));
}

QString chart_name(const SizeChart& chart)
{
    if (!chart.name.empty()) return text(chart.name);
    if (!chart.maker.empty()) return t("Chart of %1").arg(text(chart.maker));
    if (chart.sizes.empty()) return t("Chart without a name");
    return t("Chart of sizes %1 to %2").arg(text(chart.sizes.front().name), text(chart.sizes.back().name));
}

QString school_name(School s)
{
    switch (s) {
        case School::HighBust: return t("By high bust");
        case School::FullBust: return t("By full bust");
        case School::Waist: return t("By waist");
        case School::Hip: return t("By hip");
    }
    return {};
}

QString school_reason(const SchoolAdvice& a)
{
    switch (a.reason) {
        case SchoolReason::FrameByHighBust:
            return t("Shoulders and neck follow the high bust; the bust itself is opened on paper.");
        case SchoolReason::CupAsDrafted:
            return t(
                "The bust stands as far out as the pattern is drafted, so high bust and full bust say nearly the "
                "same.");
        case SchoolReason::HighBustUnknown:
            return t("By the full bust, since the high bust is not read, or the drafted cup is not known.");
        case SchoolReason::HangsFromHip: return t("It hangs from the hip, and the waist is easier to alter.");
        case SchoolReason::HangsFromWaist: return t("A full or gathered style hangs from the waist.");
        case SchoolReason::OnlyOne: return t("The one level that both the chart and the tape know.");
    }
    return {};
}

QString kind_name(GarmentKind k)
{
    switch (k) {
        case GarmentKind::Top: return t("Top");
        case GarmentKind::Dress: return t("Dress");
        case GarmentKind::Skirt: return t("Skirt");
        case GarmentKind::Trousers: return t("Trousers");
        case GarmentKind::Bra: return t("Bra");
        case GarmentKind::AllInOne: return t("All-in-one");
    }
    return {};
}

QString advice_title(const SizeChart& chart, const SizeChoice& c, const std::vector<Measure>& levels)
{
    QStringList parts;
    bool same = true;
    const bool all_three = levels.size() == 3 && levels[1] == Measure::Waist;
    const auto name = [&](std::size_t i) { return text(chart.sizes[size_at(c, levels[i])].name); };
    if (all_three && c.bust_size == c.waist_size && c.waist_size != c.hip_size)
        return t("%1 to the waist, %2 below").arg(name(0), name(2));
    if (all_three && c.waist_size == c.hip_size && c.bust_size != c.waist_size)
        return t("%1 above, %2 from the waist down").arg(name(0), name(1));
    for (const auto m : levels) {
        const QString size = text(chart.sizes[size_at(c, m)].name);
        same = same && size_at(c, m) == size_at(c, levels.front());
        parts << (m == Measure::Waist       ? t("%1 at the waist")
                  : m == Measure::Hip       ? (levels.size() > 2 ? t("%1 below") : t("%1 at the hip"))
                  : m == Measure::Underbust ? t("%1 under the bust")
                                            : t("%1 above"))
                     .arg(size);
    }
    if (levels.empty() || same) {
        return t("Size %1 throughout")
            .arg(text(chart.sizes[levels.empty() ? c.hip_size : size_at(c, levels.front())].name));
    }
    return parts.join(", ");
}

QString advice_reason(const SizeChart& chart, const Advice& a, const BodySet& body, Unit u)
{
    QStringList nearest;
    const auto of_size = [&](std::size_t size, Measure m) {
        return t("%1 for %2").arg(amount(*drafted(chart, size, m), u), text(chart.sizes[size].name));
    };
    for (const auto m : a.levels) {
        const auto taken = body.taken(m);
        const std::size_t size = size_at(a.choice, m);
        if (!taken) continue;
        const std::size_t near = nearest_size(chart, m, taken->value);
        const QString own = t("the %1, %2,").arg(measure_name(m).toLower(), amount(taken->value, u));
        nearest << (near == size
                        ? t("%1 is nearest to %2").arg(own, of_size(size, m))
                        : t("%1 stands between %2 and %3, within measuring of the middle")
                              .arg(own, of_size(std::min(near, size), m), of_size(std::max(near, size), m)));
    }
    QString out = nearest.join("; ") + ".";
    if (!out.isEmpty()) out[0] = out[0].toUpper();
    switch (a.reason) {
        case ChoiceReason::OneSize: return a.levels.size() > 1 ? out + " " + t("One size serves them all.") : out;
        case ChoiceReason::OneSizeByNoise:
            return out + " " +
                   t("One of them stands between two sizes within measuring noise, so one size serves.");
        case ChoiceReason::Blend: return out + " " + t("Trace from one line to the other between the levels.");
        case ChoiceReason::BeyondChart:
            return out + " " +
                   t("The body lies beyond this chart: more is left to adjust than one size step. Look for "
                     "another size range, or make a toile first.");
    }
    return {};
}

QString size_names(const SizeChart& chart, const SizeChoice& c, const std::vector<Measure>& levels)
{
    QStringList names;
    for (const auto i : sizes_from_above(c, levels)) names << text(chart.sizes[i].name);
    return names.join(t(", "));
}

QString cost_text(const SizeChart& chart, const SizeCost& cost, const std::vector<Measure>& levels, Unit u)
{
    const QString size = cost.choice.is_blend() ? t("%1 blended").arg(size_names(chart, cost.choice, levels))
                                                : size_names(chart, cost.choice, levels);
    if (cost.to_adjust == 0) return t("%1: nothing to adjust").arg(size);
    const QString most = t("%1 %2").arg(measure_name(cost.largest_at).toLower(), amount(cost.largest, u));
    if (cost.to_adjust == 1) return t("%1: one to adjust, %2").arg(size, most);
    return t("%1: %2 to adjust, most at the %3").arg(size).arg(cost.to_adjust).arg(most);
}

QString cup_text(const Cup& own, const SizeChart& chart, const std::optional<Length>& above_underbust)
{
    const QString by = own.makers                  ? t("by the maker's table")
                       : own.by == CupBy::HighBust ? t("by high bust")
                                                   : t("by underbust, EN 13402-3");
    QString out = t("Sewing cup %1, %2.").arg(text(own.letter), by);
    if (above_underbust && own.by == CupBy::HighBust && !own.makers)
        out += " " + t("By underbust, as shops count: %1.").arg(text(cup_by_underbust(*above_underbust)));
    if (const auto drafted = drafted_cup(chart)) {
        const QString cup = text(drafted->letter);
        if (drafted->assumed)
            out += " " + t("The chart states no cup: %1 is assumed, as most are drafted.").arg(cup);
        else if (drafted->letter == own.letter)
            out += " " + t("The pattern is drafted for %1 too.").arg(cup);
        else
            out += " " + t("The pattern is drafted for %1: the bust is adjusted on paper.").arg(cup);
    }
    return out;
}

QString view_text(const ChartView& view)
{
    return t("View %1 comes in %2 to %3.").arg(text(view.name), text(view.first), text(view.last));
}

QString bodies_assumed()
{
    return t(
        "This chart prints finished measures only: what ease was designed is not known. Each size is taken to "
        "serve the body that leaves your own ease, or else the least to move in.");
}

QString stretch_asked()
{
    return t(
        "How far does the knit stretch? Lay 10 cm along a ruler and pull: to 13 cm is 30 %. Until that is "
        "told, it is counted as woven.");
}

QString ease_below(const EaseRow& row, Unit u)
{
    return t("%1: %2 of ease planned, and one moves in %3 or more.")
        .arg(measure_name(row.measure), amount(row.planned, u), amount(row.least, u));
}

QString doubt(const Doubt& d, Unit u)
{
    const QString name = measure_name(d.measure);
    const bool rise = d.measure == Measure::FrontRise || d.measure == Measure::BackRise;
    if (rise)
        return t("%1: %2 on paper up to the top of the band, %3 in the chart. Is the chart's the garment's own, "
                 "or "
                 "from another waist?")
            .arg(name, amount(d.paper, u), amount(d.chart, u));
    return d.kind == DoubtKind::NarrowerThanBody
               ? t("%1: the paper is %2 all round, and the chart drafts this size for a body of %3. Woven cloth "
                   "does not go on.")
                     .arg(name, amount(d.paper, u), amount(d.chart, u))
               : t("%1: %2 on paper, %3 in the chart.").arg(name, amount(d.paper, u), amount(d.chart, u));
}

QString amounts(const PlanLine& line, Unit u)
{
    if (adjustment(line.kind).at_join == AtJoin::WholeGarment) return {};
    if (!line.at.empty()) return stations_text(line.kind, line.at, u);
    if (line.back == line.amount) return amount(line.amount, u, true);
    return t("%1 and %2").arg(amount(line.amount, u, true), amount(line.back, u, true));
}

QString why(const PlanLine& line, Unit u)
{
    const QString sign = toile_sign(line.kind);
    if (!line.seen_on.empty()) return t("seen on the toile of %1").arg(day_in_words(line.seen_on));
    if (adjustment(line.kind).at_join == AtJoin::WholeGarment)
        return t("an edge changed that a facing lies under");
    if (!line.proposal && adjustment(line.kind).apply_across) return t("it goes with the part above");
    if (!line.proposal) return sign.isEmpty() ? t("nothing measured asks for it") : t("its sign: %1").arg(sign);
    const auto& p = *line.proposal;
    // Taken out only where it is seen.
    if (p.leave() == Leave::SignFirst && p.amount < Length{}) return t("its sign: %1").arg(sign);
    const QString wanted = number(p.wanted, u);
    const QString given = number(p.given, u);
    const QString already =
        abs(p.already) < Length::mm(0.5) ? QString{} : t(", changed above %1").arg(number(p.already, u, true));
    if (line.kind == AdjustmentKind::ShoulderSlope)
        return t("the tip drops %1 by the body, pattern %2").arg(wanted, given);
    if (line.kind == AdjustmentKind::WaistLine) {
        const QString of = number(p.wanted, u, true);
        const QString by = number(p.given, u, true);
        if (p.against == Against::Chart)
            return t("waist to floor beyond the side: measured %1, chart %2").arg(of, by) + already;
        if (abs(p.amount) < to_the_eye) return t("both sides stand alike over the floor");
        return t("this side's waist stands %1 over the mean of both").arg(of) + already;
    }
    if (line.kind == AdjustmentKind::ShoulderLength && p.against != Against::Chart)
        return t("to the armhole: wanted %1, pattern %2").arg(wanted, given);
    switch (p.against) {
        case Against::Chart: return t("measured %1, chart %2").arg(wanted, given) + already;
        case Against::Pattern: return t("wanted %1, pattern %2").arg(wanted, given) + already;
        case Against::EaseWish: return t("garment wanted %1, traced %2, by your ease").arg(wanted, given);
        case Against::EarlierChange: return t("length now %1, traced %2").arg(given, wanted);
        case Against::Needed: return t("needed to move %1, pattern %2").arg(wanted, given) + already;
        case Against::Armhole:
            return line.kind == AdjustmentKind::TopNotch
                       ? t("front half of the cap: wanted %1, is %2").arg(wanted, given)
                       : t("cap: wanted %1 for this armhole, is %2").arg(wanted, given);
        case Against::SeamMoved: return t("the shoulder seam went %1").arg(number(p.wanted, u, true));
        case Against::PartAbove:
            return line.kind == AdjustmentKind::JoinedWaist ? t("for the waist above %1, is %2").arg(wanted, given)
                                                            : t("so that it meets the dart above");
    }
    return {};
}

QString ease_warning(const EaseCheck& e, Unit u)
{
    if (e.holds) return {};
    if (e.most && e.ease > *e.most)
        return t("The crotch seam is %1 longer than the string on the body. Up to %2 is usual for this pattern.")
            .arg(amount(e.ease, u), amount(*e.most, u));
    if (e.most)
        return t("The crotch seam is %1 shorter than the string on the body: it would cut in.")
            .arg(amount(-e.ease, u));
    return t("%1: %2 of ease planned, and one moves in %3 or more. Knits need less.")
        .arg(of_side(measure_name(e.measure), e.side), amount(e.ease, u), amount(e.least, u));
}

}  // namespace sartorum::words
