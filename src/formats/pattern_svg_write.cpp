// The drawing written: what pattern_svg.cpp reads.
#include <QXmlStreamWriter>
#include <algorithm>
#include <cmath>

#include "formats/pattern_svg.h"

namespace sartorum::formats {
namespace {

std::string decimal(double v)
{
    std::string s = QString::number(v, 'f', 6).toStdString();
    while (s.ends_with('0')) s.pop_back();
    if (s.ends_with('.')) s.pop_back();
    return s == "-0" ? "0" : s;
}

std::string xy(Point p)
{
    return decimal(p[Geom::X]) + "," + decimal(-p[Geom::Y]);
}

QString role_text(std::string_view v)
{
    return QString::fromLatin1(v.data(), static_cast<int>(v.size()));
}

void write_piece(QXmlStreamWriter& xml, const Piece& p, Point at)
{
    xml.writeStartElement("g");
    xml.writeAttribute("data-piece", QString::fromStdString(p.id));
    xml.writeAttribute("data-name", QString::fromStdString(p.name));
    xml.writeAttribute("data-role", role_text(key(p.role)));
    if (p.part) xml.writeAttribute("data-part", role_text(key(*p.part)));
    xml.writeAttribute("data-cut", QString::number(p.cut));
    if (p.princess) xml.writeAttribute("data-princess", "true");
    if (p.shoulder_style)
        xml.writeAttribute("data-shoulder", QLatin1String{key(*p.shoulder_style).data(),
                                                          static_cast<qsizetype>(key(*p.shoulder_style).size())});
    if (p.side_opening > Length{})
        xml.writeAttribute("data-side-opening", QString::fromStdString(decimal(p.side_opening.in_mm())));
    if (p.opening > Length{})
        xml.writeAttribute("data-opening", p.opening >= piece_most
                                               ? QString{"all"}
                                               : QString::fromStdString(decimal(p.opening.in_mm())));
    for (const auto& [name, l] : {std::pair{"data-overlap", p.overlap}, std::pair{"data-buttons", p.button_gap}}) {
        if (l > Length{}) xml.writeAttribute(QLatin1String{name}, QString::fromStdString(decimal(l.in_mm())));
    }
    if (p.neck_at_base) xml.writeAttribute("data-neck-at-base", "true");
    xml.writeAttribute("transform", QString::fromStdString("translate(" + decimal(at[Geom::X]) + " " +
                                                           decimal(at[Geom::Y]) + ")"));
    for (const auto& e : p.edges) {
        xml.writeEmptyElement("path");
        xml.writeAttribute("data-edge", role_text(key(e.role)));
        if (e.on_fold) xml.writeAttribute("data-fold", "true");
        xml.writeAttribute("data-allowance", QString::fromStdString(decimal(e.allowance.in_mm())));
        if (e.gathered > Length{})
            xml.writeAttribute("data-gathered", QString::fromStdString(decimal(e.gathered.in_mm())));
        xml.writeAttribute("d", QString::fromStdString(path_data(e.curve)));
    }
    for (const auto& d : p.darts) {
        xml.writeEmptyElement("path");
        xml.writeAttribute("data-dart", role_text(key(d.kind)));
        xml.writeAttribute("d", QString::fromStdString("M" + xy(d.leg_a) + " L" + xy(d.tip) + " L" + xy(d.leg_b)));
    }
    for (const auto& g : p.guides) {
        xml.writeEmptyElement("path");
        xml.writeAttribute("data-guide", role_text(key(g.kind)));
        xml.writeAttribute("d", QString::fromStdString("M" + xy(g.a) + " L" + xy(g.b)));
    }
    for (const auto& n : p.notches) {
        xml.writeEmptyElement("circle");
        xml.writeAttribute("data-notch", role_text(key(n.on)));
        xml.writeAttribute("data-count", QString::number(n.count));
        xml.writeAttribute("cx", QString::fromStdString(decimal(n.at[Geom::X])));
        xml.writeAttribute("cy", QString::fromStdString(decimal(-n.at[Geom::Y])));
        xml.writeAttribute("r", "2");
    }
    if (p.bust_point) {
        xml.writeEmptyElement("circle");
        xml.writeAttribute("data-mark", "bust-point");
        xml.writeAttribute("cx", QString::fromStdString(decimal((*p.bust_point)[Geom::X])));
        xml.writeAttribute("cy", QString::fromStdString(decimal(-(*p.bust_point)[Geom::Y])));
        xml.writeAttribute("r", "3");
    }
    xml.writeEndElement();
}

QString sides_text(const std::vector<SeamSide>& sides)
{
    QStringList out;
    for (const auto& s : sides) out << QString::fromStdString(s.piece) + ":" + role_text(key(s.role));
    return out.join(' ');
}

}  // namespace

std::string path_data(const Curve& c, bool with_move)
{
    std::string out = with_move ? "M" + xy(c.initialPoint()) : "";
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto p = controls(c, i);
        out += is_straight(c, i) ? " L" + xy(p[3]) : " C" + xy(p[1]) + " " + xy(p[2]) + " " + xy(p[3]);
    }
    return out;
}

std::string outline_data(const Piece& piece)
{
    std::string out;
    for (const auto& e : piece.edges) out += path_data(e.curve, out.empty());
    return out + " Z";
}

QByteArray write_pattern_svg(const Pattern& pattern)
{
    // Pieces of a size lie side by side; sizes lie over each other, as on a printed sheet.
    constexpr double gap = 60;
    double width = 100;
    double height = 100;
    std::vector<std::vector<Point>> places;
    for (const auto& sized : pattern.sizes) {
        double x = gap;
        places.emplace_back();
        for (const auto& p : sized.pieces) {
            const auto box = bounds(p);
            const Point at{x - box.left(), gap + box.bottom()};  // y down in the drawing
            places.back().push_back(at);
            x += box.width() + gap;
            width = std::max(width, x);
            height = std::max(height, 2 * gap + box.height());
        }
    }
    QByteArray bytes;
    QXmlStreamWriter xml{&bytes};
    xml.setAutoFormatting(true);
    xml.writeStartDocument();
    xml.writeStartElement("svg");
    xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
    const QString w = QString::number(std::ceil(width));
    const QString h = QString::number(std::ceil(height));
    xml.writeAttribute("width", w + "mm");
    xml.writeAttribute("height", h + "mm");
    xml.writeAttribute("viewBox", "0 0 " + w + " " + h);
    xml.writeAttribute("data-sartorum", "pattern 1");
    xml.writeAttribute("data-name", QString::fromStdString(pattern.name));
    xml.writeAttribute("data-maker", QString::fromStdString(pattern.maker));
    xml.writeAttribute("fill", "none");
    xml.writeAttribute("stroke", "#26262b");
    xml.writeAttribute("stroke-width", "0.5");
    for (std::size_t s = 0; s < pattern.sizes.size(); ++s) {
        xml.writeStartElement("g");
        xml.writeAttribute("data-size", QString::fromStdString(pattern.sizes[s].size));
        for (std::size_t i = 0; i < pattern.sizes[s].pieces.size(); ++i)
            write_piece(xml, pattern.sizes[s].pieces[i], places[s][i]);
        xml.writeEndElement();
    }
    for (const auto& seam : pattern.seams) {
        xml.writeEmptyElement("g");
        xml.writeAttribute("data-seam", QString::fromStdString(seam.id));
        xml.writeAttribute("data-a", sides_text(seam.a));
        xml.writeAttribute("data-b", sides_text(seam.b));
        const Length ease = seam.ease + seam.gathered;
        if (ease != Length{}) xml.writeAttribute("data-ease", QString::fromStdString(decimal(ease.in_mm())));
        if (seam.fullness != 1)
            xml.writeAttribute("data-fullness", QString::fromStdString(decimal(seam.fullness)));
        xml.writeAttribute("data-follow", role_text(key(seam.follow)));
    }
    xml.writeEndElement();
    xml.writeEndDocument();
    return bytes;
}

QByteArray write_piece_svg(const Piece& piece, const std::string& size)
{
    return write_pattern_svg({piece.name, {}, {{size, {piece}}}, {}});
}

}  // namespace sartorum::formats
