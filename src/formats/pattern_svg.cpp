#include "formats/pattern_svg.h"

#include <2geom/pathvector.h>
#include <2geom/svg-path-parser.h>

#include <QRegularExpression>
#include <QXmlStreamReader>
#include <algorithm>
#include <array>
#include <cmath>
#include <new>
#include <numbers>

#include "core/chart/size_chart.h"
#include "core/pattern/part_rules.h"
#include "core/units/length_text.h"
#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

constexpr int most_depth = 24;
constexpr int most_elements = 50000;
constexpr int most_attributes = 60;  // of one element
constexpr std::size_t most_pieces = 60;
constexpr std::size_t most_edges = 120;     // of one piece
constexpr std::size_t most_marks = 200;     // darts, lines and notches of one piece
constexpr std::size_t most_segments = 400;  // of one line
constexpr std::size_t most_seams = 200;
constexpr qsizetype most_sides = 40;
constexpr qsizetype most_path_data = 100'000;
constexpr qsizetype longest_attribute = 4000;  // of those that are read, but for a path's data
constexpr Length allowance_most = Length::mm(200);

tl::unexpected<Refusal> too_many(std::string of, double most, int line)
{
    return tl::make_unexpected(
        Refusal{.why = Why::FileTooMany, .field = std::move(of), .high = Length::mm(most), .line = line});
}

// The library compares every attribute of an element with every other. Counted before it sees them: how many
// an element has, by the = signs outside of quotes. The line of the first that has too many.
std::optional<int> crowded_element(std::string_view bytes)
{
    int line = 1;
    for (std::size_t at = 0; at < bytes.size(); ++at) {
        line += bytes[at] == '\n';
        if (bytes[at] != '<') continue;
        if (bytes.substr(at).starts_with("<!--")) {
            const auto end = std::min(bytes.find("-->", at), bytes.size());
            line += static_cast<int>(std::count(bytes.begin() + at, bytes.begin() + end, '\n'));
            at = end;
            continue;
        }
        int count = 0;
        char quote = 0;
        for (++at; at < bytes.size() && (quote || bytes[at] != '>'); ++at) {
            const char c = bytes[at];
            line += c == '\n';
            if (quote) {
                if (c == quote) quote = 0;
            } else if (c == '"' || c == '\'') {
                quote = c;
            } else if (c == '=' && ++count > most_attributes) {
                return line;
            }
        }
    }
    return std::nullopt;
}

// "210mm" in millimetres; nothing for px, % or no unit at all: those say nothing about the paper.
std::optional<double> size_mm(const QString& text)
{
    static const QRegularExpression form{R"(^\s*([0-9]*\.?[0-9]+)\s*(mm|cm|in)\s*$)"};
    const auto m = form.match(text);
    if (!m.hasMatch()) return std::nullopt;
    const double v = m.captured(1).toDouble();
    return m.captured(2) == "mm" ? v : m.captured(2) == "cm" ? v * 10 : v * 25.4;
}

std::optional<std::vector<double>> numbers(const QString& text)
{
    std::vector<double> out;
    for (const auto& part : text.split(QRegularExpression{R"([\s,]+)"}, Qt::SkipEmptyParts)) {
        bool ok = false;
        out.push_back(part.toDouble(&ok));
        if (!ok || !std::isfinite(out.back())) return std::nullopt;
    }
    return out;
}

// One of SVG's transforms by its name and numbers.
std::optional<Geom::Affine> one_transform(const QString& kind, const std::vector<double>& v)
{
    const auto count = v.size();
    const auto tangent = [](double degrees) { return std::tan(degrees * std::numbers::pi / 180); };
    if (kind == "matrix" && count == 6) return Geom::Affine{v[0], v[1], v[2], v[3], v[4], v[5]};
    if (kind == "translate" && (count == 1 || count == 2)) return Geom::Translate(v[0], count > 1 ? v[1] : 0);
    if (kind == "scale" && (count == 1 || count == 2)) return Geom::Scale(v[0], count > 1 ? v[1] : v[0]);
    if (kind == "rotate" && count == 1) return Geom::Rotate::from_degrees(v[0]);
    if (kind == "rotate" && count == 3)
        return Geom::Translate(-v[1], -v[2]) * Geom::Rotate::from_degrees(v[0]) * Geom::Translate(v[1], v[2]);
    if (kind == "skewX" && count == 1) return Geom::Affine{1, 0, tangent(v[0]), 1, 0, 0};
    if (kind == "skewY" && count == 1) return Geom::Affine{1, tangent(v[0]), 0, 1, 0, 0};
    return std::nullopt;
}

// The whole text, or nothing of it.
std::optional<Geom::Affine> transform_of(const QString& text)
{
    static const QRegularExpression form{R"(\G[\s,]*([A-Za-z]+)\s*\(([^)]*)\)[\s,]*)"};
    Geom::Affine all = Geom::identity();
    const QString whole = text.trimmed();
    qsizetype at = 0;
    while (at < whole.size()) {
        const auto m = form.match(whole, at);
        const auto v = m.hasMatch() ? numbers(m.captured(2)) : std::nullopt;
        const auto one = v ? one_transform(m.captured(1), *v) : std::nullopt;
        if (!one) return std::nullopt;
        all = *one * all;
        at = m.capturedEnd();
    }
    return all;
}

bool possible(const Geom::Affine& a)
{
    for (int i = 0; i < 6; ++i) {
        if (!std::isfinite(a[i])) return false;
    }
    return std::abs(a.det()) > 1e-9 && std::abs(a.det()) < 1e9;
}

class Reader {
public:
    explicit Reader(const std::string& bytes)
        : bytes_{bytes}, xml_{QByteArray::fromRawData(bytes.data(), static_cast<int>(bytes.size()))}
    {
    }

    // As it is drawn; not checked yet.
    Outcome<Pattern> read()
    {
        if (const auto crowded = crowded_element(bytes_)) return too_many("attributes", most_attributes, *crowded);
        bool root_seen = false;
        while (!xml_.atEnd()) {
            const auto token = xml_.readNext();
            if (token == QXmlStreamReader::DTD) {
                // Drawing programs write a bare DOCTYPE; anything declared inside one is refused.
                if (xml_.text().contains('[')) return refuse(Why::FileActiveContent, "DOCTYPE […]", line());
            } else if (token == QXmlStreamReader::StartElement) {
                if (++elements_ > most_elements || stack_.size() >= most_depth)
                    return refuse(Why::FileTooDeep, {}, line());
                auto ok = root_seen ? start() : start_root();
                root_seen = true;
                if (!ok) return tl::make_unexpected(ok.error());
            } else if (token == QXmlStreamReader::EndElement) {
                stack_.pop_back();
                if (piece_depth_ > static_cast<int>(stack_.size())) finish_piece();
            }
        }
        if (xml_.hasError()) return refuse(Why::FileBroken, {}, line());
        if (!root_seen || pattern_.sizes.empty()) return refuse(Why::FileNotAPattern, "data-size");
        let_bands_follow();
        return std::move(pattern_);
    }

private:
    int line() const { return static_cast<int>(xml_.lineNumber()); }
    QString attribute(const char* name) const { return xml_.attributes().value(QLatin1String{name}).toString(); }

    // What is long is slow to take apart: nothing that is read here ever is.
    Outcome<bool> lengths() const
    {
        constexpr std::array read{"transform", "viewBox", "width", "height", "cx", "cy"};
        for (const auto& a : xml_.attributes()) {
            const auto name = a.name();
            const bool ours =
                name.startsWith(QLatin1String{"data-"}) ||
                std::any_of(read.begin(), read.end(), [&](const char* r) { return name == QLatin1String{r}; });
            if (ours && a.value().size() > longest_attribute)
                return too_many(name.toString().toStdString(), double{longest_attribute}, line());
        }
        return true;
    }

    Outcome<bool> start_root()
    {
        if (auto ok = lengths(); !ok) return ok;
        if (xml_.name() != QLatin1String{"svg"}) return refuse(Why::FileNotAPattern, "svg");
        const auto width = size_mm(attribute("width"));
        const auto height = size_mm(attribute("height"));
        const auto box = numbers(attribute("viewBox"));
        if (!width || !height || !box || box->size() != 4 || (*box)[2] <= 0 || (*box)[3] <= 0)
            return refuse(Why::FileNoScale);
        const double sx = *width / (*box)[2];
        const double sy = *height / (*box)[3];
        if (sx <= 0 || std::abs(sx - sy) > 1e-3 * sx) return refuse(Why::FileNoScale);
        if (attribute("data-sartorum") != "pattern 1")
            return refuse(Why::FileNotAPattern, "data-sartorum=\"pattern 1\"");
        pattern_.name = attribute("data-name").left(120).toStdString();
        pattern_.maker = attribute("data-maker").left(120).toStdString();
        stack_.push_back(Geom::Translate(-(*box)[0], -(*box)[1]) * Geom::Scale(sx, -sx));  // y up from here
        if (!possible(stack_.back())) return refuse(Why::ScaleImpossible, "viewBox", line());
        return true;
    }

    Outcome<bool> start()
    {
        const auto name = xml_.name();
        constexpr std::array active{"script", "foreignObject", "image",    "use",    "iframe",
                                    "set",    "audio",         "video",    "canvas", "embed",
                                    "object", "handler",       "listener", "discard"};
        const bool moves =
            name.startsWith(QLatin1String{"animate"}) ||
            std::any_of(active.begin(), active.end(), [&](const char* a) { return name == QLatin1String{a}; });
        if (moves) return refuse(Why::FileActiveContent, name.left(40).toString().toStdString(), line());
        if (auto ok = lengths(); !ok) return ok;
        for (const auto& a : xml_.attributes()) {
            if (a.name() == QLatin1String{"href"} && !a.value().startsWith('#'))
                return refuse(Why::FileActiveContent, "href", line());
            if (a.name().startsWith(QLatin1String{"on"}))
                return refuse(Why::FileActiveContent, a.name().toString().toStdString(), line());
        }
        const auto transform = transform_of(attribute("transform"));
        if (!transform) return refuse(Why::PathNotUnderstood, "transform", line());
        stack_.push_back(*transform * stack_.back());
        if (!possible(stack_.back())) return refuse(Why::ScaleImpossible, "transform", line());
        for (const char* outside : {"data-size", "data-piece", "data-seam"}) {
            if (in_piece() && !attribute(outside).isEmpty()) return refuse(Why::NestedInPiece, outside, line());
        }
        if (!attribute("data-size").isEmpty()) {
            if (pattern_.sizes.size() >= most_sizes) return too_many("data-size", most_sizes, line());
            pattern_.sizes.push_back({attribute("data-size").left(40).toStdString(), {}});
        }
        if (!attribute("data-piece").isEmpty()) return start_piece();
        if (!attribute("data-seam").isEmpty()) return add_seam();
        if (in_piece()) return add_mark();
        return true;
    }

    bool in_piece() const { return piece_depth_ > 0; }
    Piece& piece() { return pattern_.sizes.back().pieces.back(); }

    Outcome<bool> start_piece()
    {
        const auto role = piece_role_of(attribute("data-role").toStdString());
        if (pattern_.sizes.empty()) return refuse(Why::FileNotAPattern, "data-size", line());
        if (!role) return refuse(Why::FileNotAPattern, "data-role", line());
        Piece p;
        p.id = attribute("data-piece").left(40).toStdString();
        p.name = attribute("data-name").left(80).toStdString();
        p.role = *role;
        if (const QString said = attribute("data-part"); !said.isEmpty()) {
            p.part = part_of_key(said.toStdString());
            // A sleeve hangs from a shoulder; a band or another piece follows an edge, or is traced as it is.
            const bool open = goes_round(p) || (p.role == PieceRole::Sleeve && p.part == part_told(p));
            if (!p.part || !open) return refuse(Why::WordUnknown, "data-part", line());
        }
        const auto cut = count_of("data-cut", 20);
        const auto panels = flag("data-princess");
        const auto at_base = flag("data-neck-at-base");
        if (!cut) return tl::make_unexpected(cut.error());
        if (!panels) return tl::make_unexpected(panels.error());
        if (!at_base) return tl::make_unexpected(at_base.error());
        if (const QString said = attribute("data-shoulder"); !said.isEmpty()) {
            p.shoulder_style = shoulder_style_of(said.toStdString());
            if (!p.shoulder_style || p.role != PieceRole::Front)
                return refuse(Why::WordUnknown, "data-shoulder", line());
        }
        if (*at_base && p.role != PieceRole::Front) return refuse(Why::WordUnknown, "data-neck-at-base", line());
        if (attribute("data-opening") == "all") {
            p.opening = piece_most;
        } else {
            const auto opening = length_of("data-opening", Length{}, piece_most);
            if (!opening) return tl::make_unexpected(opening.error());
            p.opening = *opening;
        }
        const auto beside = length_of("data-side-opening", Length{}, piece_most);
        if (!beside) return tl::make_unexpected(beside.error());
        p.side_opening = *beside;
        const auto overlap = length_of("data-overlap", Length{}, centre_extent_most);
        const auto gap = length_of("data-buttons", Length{}, piece_most);
        if (!overlap) return tl::make_unexpected(overlap.error());
        if (!gap) return tl::make_unexpected(gap.error());
        p.overlap = *overlap;
        p.button_gap = *gap;
        p.cut = *cut;
        p.princess = *panels;
        p.neck_at_base = *at_base;
        if (pattern_.sizes.back().pieces.size() >= most_pieces) return too_many("data-piece", most_pieces, line());
        pattern_.sizes.back().pieces.push_back(std::move(p));
        piece_depth_ = static_cast<int>(stack_.size());
        return true;
    }

    void finish_piece() { piece_depth_ = 0; }

    Outcome<bool> flag(const char* name) const
    {
        const QString said = attribute(name).trimmed();
        if (said.isEmpty() || said == "false") return false;
        if (said == "true") return true;
        return refuse(Why::WordUnknown, name, line());
    }
    // A whole number from 1 on; 1 where there is none.
    Outcome<int> count_of(const char* name, int most) const
    {
        const QString said = attribute(name).trimmed();
        if (said.isEmpty()) return 1;
        bool ok = false;
        const int n = said.toInt(&ok);
        if (!ok || n < 1 || n > most) return refuse(Why::NumberBroken, name, line());
        return n;
    }
    // Millimetres unless the text says otherwise; zero where there is none.
    Outcome<Length> length_of(const char* name, Length least, Length most) const
    {
        const QString said = attribute(name).trimmed();
        if (said.isEmpty()) return Length{};
        const auto read = parse_length(said.toStdString(), Unit::Millimetre);
        if (!read || *read < least || *read > most) return refuse(Why::NumberBroken, name, line());
        return *read;
    }

    Outcome<Geom::Path> path_here()
    {
        const auto where = piece().id;
        const QByteArray data = attribute("d").toUtf8();
        if (data.size() > most_path_data) return too_many("d", most_path_data, line());
        try {
            const auto parsed = Geom::parse_svg_path(data.constData());
            if (parsed.size() != 1 || parsed[0].empty()) return refuse(Why::PathNotUnderstood, where, line());
            if (parsed[0].size() > most_segments) return too_many("d", most_segments, line());
            for (const auto& curve : parsed[0]) {
                const auto* b = dynamic_cast<const Geom::BezierCurve*>(&curve);
                if (!b || b->order() > 3) return refuse(Why::PathNotUnderstood, where, line());
                for (const auto& p : b->controlPoints()) {
                    if (!p.isFinite() || Geom::L2(p) > 1e5) return refuse(Why::PathNotUnderstood, where, line());
                }
            }
            return parsed[0] * stack_.back();
        } catch (const std::exception&) {
            return refuse(Why::PathNotUnderstood, where, line());
        }
    }

    Outcome<bool> add_mark()
    {
        const QString edge_name = attribute("data-edge");
        const QString guide_name = attribute("data-guide");
        const QString notch_on = attribute("data-notch");
        const bool is_dart = !attribute("data-dart").isEmpty();
        const bool is_bust_point = attribute("data-mark") == "bust-point";
        if (edge_name.isEmpty() && guide_name.isEmpty() && notch_on.isEmpty() && !is_dart && !is_bust_point)
            return true;
        if (piece().darts.size() + piece().guides.size() + piece().notches.size() > most_marks)
            return too_many("data-notch", most_marks, line());
        if (!notch_on.isEmpty()) return add_notch(notch_on);
        if (is_bust_point) return add_bust_point();
        const auto path = path_here();
        if (!path) return tl::make_unexpected(path.error());
        const Curve curve = as_cubics(*path);
        if (curve.size_default() == 0) return refuse(Why::OutlineEmpty, piece().id, line());
        if (!edge_name.isEmpty()) {
            const auto role = edge_role_of(edge_name.toStdString());
            if (!role || *role == EdgeRole::Cut) return refuse(Why::EdgeMissing, edge_name.toStdString(), line());
            const auto fold = flag("data-fold");
            const auto allowance = length_of("data-allowance", Length{}, allowance_most);
            if (!fold) return tl::make_unexpected(fold.error());
            if (!allowance) return tl::make_unexpected(allowance.error());
            if (piece().edges.size() >= most_edges) return too_many("data-edge", most_edges, line());
            const auto gathered = length_of("data-gathered", Length{}, piece_most);
            if (!gathered) return tl::make_unexpected(gathered.error());
            piece().edges.push_back({*role, curve, *fold ? Length{} : *allowance, *fold});
            piece().edges.back().gathered = *gathered;
        } else if (!guide_name.isEmpty()) {
            const auto kind = guide_kind_of(guide_name.toStdString());
            if (!kind) return refuse(Why::FileNotAPattern, "data-guide", line());
            piece().guides.push_back({*kind, curve.initialPoint(), curve.finalPoint()});
        } else {
            if (curve.size_default() != 2) return refuse(Why::PathNotUnderstood, "data-dart", line());
            // "1" was written before there were kinds.
            const QString name = attribute("data-dart");
            const auto kind = name == "1" ? DartKind::Dart : dart_kind_of(name.toStdString());
            if (!kind) return refuse(Why::PathNotUnderstood, "data-dart", line());
            piece().darts.push_back({curve.initialPoint(), curve.finalPoint(), curve[0].finalPoint(), *kind});
        }
        return true;
    }

    std::optional<std::vector<double>> centre_of_circle() const
    {
        const auto at = numbers(attribute("cx") + " " + attribute("cy"));
        return at && at->size() == 2 ? at : std::nullopt;
    }

    Outcome<bool> add_bust_point()
    {
        const auto at = centre_of_circle();
        if (!at) return refuse(Why::PathNotUnderstood, "data-mark", line());
        piece().bust_point = Point{(*at)[0], (*at)[1]} * stack_.back();
        return true;
    }

    Outcome<bool> add_notch(const QString& on)
    {
        const auto role = edge_role_of(on.toStdString());
        const auto at = centre_of_circle();
        if (!role || !at) return refuse(Why::PathNotUnderstood, "data-notch", line());
        const auto count = count_of("data-count", 3);
        if (!count) return tl::make_unexpected(count.error());
        piece().notches.push_back({Point{(*at)[0], (*at)[1]} * stack_.back(), *role, *count});
        return true;
    }

    Outcome<bool> add_seam()
    {
        const auto ease = length_of("data-ease", -seam_ease_most, seam_ease_most);
        if (!ease) return tl::make_unexpected(ease.error());
        if (pattern_.seams.size() >= most_seams) return too_many("data-seam", most_seams, line());
        Seam seam{attribute("data-seam").left(40).toStdString(), {}, {}, *ease};
        for (auto [name, sides] : {std::pair{"data-a", &seam.a}, std::pair{"data-b", &seam.b}}) {
            const auto parts = attribute(name).split(' ', Qt::SkipEmptyParts);
            if (parts.size() > most_sides) return too_many(name, most_sides, line());
            for (const auto& part : parts) {
                const auto halves = part.split(':');
                const auto role = halves.size() == 2 ? edge_role_of(halves[1].toStdString()) : std::nullopt;
                if (!role) return refuse(Why::SeamUnknownPiece, seam.id, line());
                sides->push_back({halves[0].toStdString(), *role});
            }
        }
        if (const QString full = attribute("data-fullness"); !full.isEmpty()) {
            const auto times = numbers(full);
            if (!times || times->size() != 1) return refuse(Why::NumberBroken, "data-fullness", line());
            seam.fullness = times->front();
        }
        const QString follow = attribute("data-follow");
        if (!follow.isEmpty()) {
            const auto how = follow_of(follow.toStdString());
            if (!how) return refuse(Why::WordUnknown, "data-follow", line());
            seam.follow = *how;
        }
        follow_said_.push_back(!follow.isEmpty());
        pattern_.seams.push_back(std::move(seam));
        return true;
    }

    // Before there was data-follow, a waistband went with the waist it is sewn to.
    void let_bands_follow()
    {
        if (pattern_.sizes.empty()) return;
        for (std::size_t i = 0; i < pattern_.seams.size(); ++i) {
            auto& seam = pattern_.seams[i];
            if (follow_said_[i] || seam.b.size() != 1) continue;
            const Piece* b = find_piece(pattern_.sizes.front().pieces, seam.b.front().piece);
            if (b && b->role == PieceRole::Waistband) seam.follow = Follow::Length;
        }
    }

    std::string_view bytes_;
    QXmlStreamReader xml_;
    Pattern pattern_;
    std::vector<bool> follow_said_;  // for each seam
    std::vector<Geom::Affine> stack_;
    int piece_depth_ = 0;
    int elements_ = 0;
};

}  // namespace

namespace {

template <class Checked>
auto read_checked(const std::string& bytes, Checked check) -> decltype(check(Pattern{}))
{
    if (static_cast<qint64>(bytes.size()) > most_file_bytes) return refuse(Why::FileTooLarge);
    try {
        auto drawn = Reader{bytes}.read();
        if (!drawn) return tl::make_unexpected(drawn.error());
        return check(std::move(*drawn));
    } catch (const std::bad_alloc&) {
        throw;
    } catch (const std::exception&) {  // a library that gives up on a wild drawing
        return refuse(Why::FileBroken);
    }
}

}  // namespace

Outcome<Pattern> read_pattern_svg(const std::string& bytes)
{
    return read_checked(bytes, [](Pattern p) { return check_pattern(std::move(p)); });
}

Outcome<Piece> read_piece_svg(const std::string& bytes)
{
    return read_checked(bytes, [](Pattern p) -> Outcome<Piece> {
        if (p.sizes.size() != 1 || p.sizes[0].pieces.size() != 1)
            return refuse(Why::FileNotAPattern, "data-piece");
        return check_piece(std::move(p.sizes[0].pieces[0]));
    });
}

}  // namespace sartorum::formats
