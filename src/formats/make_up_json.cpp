#include "formats/make_up_json.h"

#include "formats/json_parts.h"
#include "formats/pattern_svg.h"

namespace sartorum::formats {
namespace {

constexpr std::size_t most_drawing = 400'000;  // bytes
constexpr std::size_t most_left_out = 40;

Outcome<SeamSide> side_of(const json& j, const std::string& field)
{
    const auto piece = text_at(j, "piece");
    const auto edge = text_at(j, "edge");
    if (!piece) return refuse(piece.error().why, field + ": piece");
    if (!edge) return refuse(edge.error().why, field + ": edge");
    const auto role = edge_role_of(*edge);
    if (!role) return refuse(Why::WordUnknown, field + ": edge");
    return SeamSide{*piece, *role};
}

bool is_list(const json& j, std::size_t most)
{
    return j.is_array() && j.size() <= most;
}

Outcome<bool> read_left_out(const json& list, MakeUp& into)
{
    if (!is_list(list, most_left_out)) return refuse(Why::ValueIllTyped, "left_out");
    for (const auto& id : list) {
        if (!id.is_string() || id.get<std::string>().size() > 80) return refuse(Why::ValueIllTyped, "left_out");
        into.left_out.push_back(id.get<std::string>());
    }
    return true;
}

Outcome<bool> read_facings(const json& list, MakeUp& into)
{
    if (!is_list(list, most_made_up)) return refuse(Why::ValueIllTyped, "facings");
    for (const auto& one : list) {
        if (!one.is_object()) return refuse(Why::ValueIllTyped, "facings");
        constexpr std::array<std::string_view, 3> known{"piece", "edge", "width_mm"};
        if (auto ok = only(one, known, "facings"); !ok) return ok;
        const auto from = side_of(one, "facings");
        if (!from) return tl::make_unexpected(from.error());
        if (!one.contains("width_mm")) return refuse(Why::KeyMissing, "facings: width_mm");
        const auto width = length_of(one["width_mm"], "facings: width_mm");
        if (!width) return tl::make_unexpected(width.error());
        into.facings.push_back({*from, *width});
    }
    return true;
}

Outcome<BroughtPiece> read_brought(const json& j)
{
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "brought");
    constexpr std::array<std::string_view, 5> known{"pattern", "size", "drawing", "ratio", "to"};
    if (auto ok = only(j, known, "brought"); !ok) return tl::make_unexpected(ok.error());
    BroughtPiece out;
    const auto pattern = text_or_empty(j, "pattern");
    const auto size = text_or_empty(j, "size");
    if (!pattern || !size) return refuse(Why::ValueIllTyped, "brought");
    out.pattern = *pattern;
    out.size = *size;
    const bool drawn = j.contains("drawing") && j["drawing"].is_string();
    if (!drawn) return refuse(Why::KeyMissing, "brought: drawing");
    out.drawing = j["drawing"].get<std::string>();
    if (out.drawing.size() > most_drawing) return refuse(Why::FileTooLarge, "brought: drawing");
    if (j.contains("ratio")) {
        const bool sound = j["ratio"].is_number() && j["ratio"].get<double>() >= fullness_least &&
                           j["ratio"].get<double>() <= fullness_most;
        if (!sound) return refuse(Why::ValueIllTyped, "brought: ratio");
        out.ratio = j["ratio"].get<double>();
    }
    if (!j.contains("to") || !is_list(j["to"], 8) || j["to"].empty())
        return refuse(Why::KeyMissing, "brought: to");
    for (const auto& to : j["to"]) {
        if (!to.is_object()) return refuse(Why::ValueIllTyped, "brought: to");
        constexpr std::array<std::string_view, 2> of_side{"piece", "edge"};
        if (auto ok = only(to, of_side, "brought: to"); !ok) return tl::make_unexpected(ok.error());
        const auto side = side_of(to, "brought: to");
        if (!side) return tl::make_unexpected(side.error());
        out.to.push_back(*side);
    }
    return out;
}

Outcome<Length> opens_by(const json& value)
{
    if (value.is_string() && value.get<std::string>() == "all") return piece_most;
    return length_of(value, "opening: length_mm");
}

Outcome<bool> read_opening(const json& j, MakeUp& into)
{
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "opening");
    constexpr std::array<std::string_view, 4> known{"centre", "length_mm", "overlap_mm", "button_gap_mm"};
    if (auto ok = only(j, known, "opening"); !ok) return ok;
    MovedOpening out;
    const auto centre = text_at(j, "centre");
    const auto role = centre ? piece_role_of(*centre) : std::nullopt;
    if (role != PieceRole::Front && role != PieceRole::Back) return refuse(Why::WordUnknown, "opening: centre");
    out.to = *role;
    if (!j.contains("length_mm")) return refuse(Why::KeyMissing, "opening: length_mm");
    const auto length = opens_by(j["length_mm"]);
    if (!length) return tl::make_unexpected(length.error());
    if (*length <= Length{} || *length > piece_most) return refuse(Why::OutOfRange, "opening: length_mm");
    out.length = *length;
    for (const auto& [name, into_length, least, most] :
         {std::tuple{"overlap_mm", &out.overlap, Length{}, centre_extent_most},
          std::tuple{"button_gap_mm", &out.button_gap, button_gap_least, piece_most}}) {
        if (!j.contains(name)) continue;
        const auto read = length_of(j[name], std::string{"opening: "} + name);
        if (!read) return tl::make_unexpected(read.error());
        if (*read < least || *read > most)
            return refuse_amount(Why::OutOfRange, std::string{"opening: "} + name, *read, least, most);
        *into_length = *read;
    }
    into.opening = out;
    return true;
}

json side_json(const SeamSide& s)
{
    return {{"piece", s.piece}, {"edge", key(s.role)}};
}

}  // namespace

BroughtPiece brought_piece(const Piece& piece, std::size_t edge, std::vector<SeamSide> to, double ratio,
                           std::string pattern, std::string size)
{
    Piece own = sewn_by(piece, edge, to.front().role);
    own.role = PieceRole::Other;
    own.part.reset();
    BroughtPiece out{std::move(pattern), size, write_piece_svg(own, size).toStdString(), std::move(to), ratio};
    if (auto read = read_piece_svg(out.drawing)) out.piece = std::move(*read);
    return out;
}

Outcome<bool> read_drawings(MakeUp& made)
{
    Outcome<bool> out = true;
    for (auto& b : made.brought) {
        if (!b.piece.edges.empty()) continue;
        auto piece = read_piece_svg(b.drawing);
        if (piece)
            b.piece = std::move(*piece);
        else if (out)
            out = tl::make_unexpected(piece.error());
    }
    return out;
}

Outcome<MakeUp> read_make_up(const json& j)
{
    if (!j.is_object()) return refuse(Why::ValueIllTyped, "make_up");
    constexpr std::array<std::string_view, 4> known{"left_out", "facings", "brought", "opening"};
    if (auto ok = only(j, known, "make_up"); !ok) return tl::make_unexpected(ok.error());
    MakeUp out;
    for (const auto& [name, read] : {std::pair{"left_out", &read_left_out}, std::pair{"facings", &read_facings},
                                     std::pair{"opening", &read_opening}}) {
        if (!j.contains(name)) continue;
        if (const auto ok = read(j[name], out); !ok) return tl::make_unexpected(ok.error());
    }
    if (j.contains("brought")) {
        if (!is_list(j["brought"], most_made_up)) return refuse(Why::ValueIllTyped, "brought");
        for (const auto& one : j["brought"]) {
            auto b = read_brought(one);
            if (!b) return tl::make_unexpected(b.error());
            out.brought.push_back(std::move(*b));
        }
    }
    if (const auto ok = read_drawings(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

json make_up_json(const MakeUp& made)
{
    json out = json::object();
    if (!made.left_out.empty()) out["left_out"] = made.left_out;
    for (const auto& f : made.facings) {
        json one = side_json(f.from);
        one["width_mm"] = f.width.in_mm();
        out["facings"].push_back(std::move(one));
    }
    for (const auto& b : made.brought) {
        json to = json::array();
        for (const auto& s : b.to) to.push_back(side_json(s));
        out["brought"].push_back({{"pattern", b.pattern},
                                  {"size", b.size},
                                  {"ratio", b.ratio},
                                  {"to", std::move(to)},
                                  {"drawing", b.drawing}});
    }
    if (made.opening) {
        const auto& o = *made.opening;
        json one{{"centre", key(o.to)}};
        if (o.length >= piece_most)
            one["length_mm"] = "all";
        else
            one["length_mm"] = o.length.in_mm();
        if (o.overlap > Length{}) one["overlap_mm"] = o.overlap.in_mm();
        if (o.button_gap > Length{}) one["button_gap_mm"] = o.button_gap.in_mm();
        out["opening"] = std::move(one);
    }
    return out;
}

}  // namespace sartorum::formats
