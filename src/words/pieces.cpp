#include "words/pieces.h"

#include <QLocale>
#include <algorithm>

#include "core/paper/facing.h"
#include "words/say.h"

namespace sartorum::words {
namespace {

// The seam by which a piece hangs on another; null where none is named.
const Seam* hangs_by(const Piece& p, const Garment& g)
{
    const auto it = std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& s) {
        return std::any_of(s.b.begin(), s.b.end(), [&](const SeamSide& b) { return b.piece == p.id; }) &&
               std::none_of(s.a.begin(), s.a.end(), [&](const SeamSide& a) { return a.piece == p.id; });
    });
    return it == g.seams.end() ? nullptr : &*it;
}

QString how_long(const Seam& s)
{
    if (s.fullness > 1.005) return t("gathered in, %1").arg(ratio(s.fullness));
    if (s.fullness < 0.995) return t("stretched to it, %1").arg(ratio(s.fullness));
    return s.follow == Follow::Length ? t("as long as it") : t("stays as it is");
}

// An opening that goes all the way down goes on in the part below, as far as that opens.
QString goes_on_in(const Garment& g, const Piece& above, Unit u)
{
    bool below = false;
    for (const auto& p : g.pieces) {
        if (below && p.role == above.role && p.part && p.part != above.part && p.opening > Length{})
            return t(", and %1 on in the %2")
                .arg(amount(std::min(p.opening, sewn_length(p, EdgeRole::Centre)), u), piece_name(p).toLower());
        below = below || &p == &above;
    }
    return {};
}

QString piece_called(const SeamSide& s, const std::vector<Piece>& pieces)
{
    const Piece* p = find_piece(pieces, s.piece);
    return p ? piece_name(*p).toLower() : text(s.piece);
}

}  // namespace

QString ratio(double r)
{
    return t("%1 to 1").arg(QLocale::c().toString(r, 'g', 3));
}

QString edges_of(const std::vector<SeamSide>& sides, const std::vector<Piece>& pieces)
{
    QStringList names;
    for (const auto& s : sides) {
        const QString name = piece_called(s, pieces);
        if (!names.contains(name)) names << name;
    }
    const QString edge = sides.empty() ? QString{} : edge_name(sides.front().role);
    return t("the %1 of the %2").arg(edge, names.join(t(" and ")));
}

QString piece_use(const Piece& p, const Garment& g, Unit u)
{
    const Seam* s = hangs_by(p, g);
    if (!s) return t("Stays as it is: nothing says where it is sewn.");
    const QString where = edges_of(s->a, g.pieces);
    if (s->follow == Follow::Shape) {
        const auto width = facing_width(p, s->b.front().role);
        return width ? t("Lies under %1, %2 wide; drawn from it.").arg(where, amount(*width, u))
                     : t("Lies under %1; drawn from it.").arg(where);
    }
    if (s->follow == Follow::Above) {
        const auto width = facing_width(p, s->b.front().role);
        return width ? t("Stands on %1, %2 wide; drawn from it.").arg(where, amount(*width, u))
                     : t("Stands on %1; drawn from it.").arg(where);
    }
    if (s->follow == Follow::Whole)
        return t("Lines the %1; drawn from it.")
            .arg(s->a.empty() ? QString{} : piece_called(s->a.front(), g.pieces));
    return t("Sewn to %1: %2.").arg(where, how_long(*s));
}

QString opening_use(const Garment& g, Unit u)
{
    for (const auto& p : g.pieces) {
        if (p.side_opening <= Length{} || !edge_index(p, EdgeRole::Side)) continue;
        const bool all = p.side_opening >= sewn_length(p, EdgeRole::Side);
        return t("At one side of the %1, %2.")
            .arg(piece_name(p).toLower(),
                 all ? t("all the way down") : t("%1 down").arg(amount(p.side_opening, u)));
    }
    for (const auto& p : g.pieces) {
        if (p.opening <= Length{} || !edge_index(p, EdgeRole::Centre)) continue;
        const Length whole = sewn_length(p, EdgeRole::Centre);
        const QString how = p.button_gap > Length{}
                                ? t(", %1 buttons on the centre line").arg(button_places(p).size())
                            : p.overlap > Length{} ? t(", %1 past the centre").arg(amount(p.overlap, u))
                                                   : QString{};
        const QString far = p.opening >= whole ? t("all the way down") : t("%1 down").arg(amount(p.opening, u));
        const QString on = p.opening >= whole ? goes_on_in(g, p, u) : QString{};
        return t("At the centre of the %1, %2%3%4.").arg(piece_name(p).toLower(), far, how, on);
    }
    return t("Nothing says where it opens.");
}

}  // namespace sartorum::words
