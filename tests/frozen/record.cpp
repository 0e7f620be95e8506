#include "frozen/record.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <map>
#include <sstream>

#include "formats/json.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::test {
namespace {

using json = nlohmann::ordered_json;

std::string mm(double v)
{
    char out[40];
    std::snprintf(out, sizeof out, "%.7f", std::abs(v) < 5e-8 ? 0.0 : v);
    return out;
}

// A sum that no two movements cancel in but by chance; no weight is far from one.
class Digest {
public:
    void add(double v) { sum_ += v * (0.75 + 0.5 * std::fmod(0.6180339887 * ++n_, 1.0)); }
    void add(Point p)
    {
        add(p[Geom::X]);
        add(p[Geom::Y]);
    }
    [[nodiscard]] std::string text() const { return mm(sum_); }

private:
    double sum_ = 0;
    int n_ = 0;
};

class Writer {
public:
    explicit Writer(Detail detail) : full_{detail == Detail::Full} {}
    void line(const std::string& label, const std::string& values) { out_ += label + ": " + values + "\n"; }
    [[nodiscard]] std::string said(const QString& sentence) const { return said(sentence.toStdString()); }
    [[nodiscard]] std::string said(const std::string& sentence) const
    {
        if (full_) return "“" + sentence + "”";
        unsigned h = 2166136261u;
        for (const char c : sentence) h = (h ^ static_cast<unsigned char>(c)) * 16777619u;
        char out[12];
        std::snprintf(out, sizeof out, "~%06x", h & 0xffffffu);
        return out;
    }
    // Numbers and words of a JSON value, in order; in short the words hashed and the numbers summed.
    [[nodiscard]] std::string flat(const json& j) const
    {
        std::string words;
        std::string numbers;
        Digest sum;
        flatten(j, "", words, numbers, sum);
        return full_ ? words + numbers : said(words) + " " + sum.text();
    }
    [[nodiscard]] bool full() const { return full_; }
    [[nodiscard]] std::string take() { return std::move(out_); }

private:
    static void flatten(const json& j, const std::string& name, std::string& words, std::string& numbers,
                        Digest& sum)
    {
        if (j.is_structured()) {
            for (const auto& [key, value] : j.items()) flatten(value, key, words, numbers, sum);
        } else if (j.is_number()) {
            words += name + " ";
            numbers += name + " " + mm(j.get<double>()) + " ";
            sum.add(j.get<double>());
        } else {
            words += name + "=" + j.dump() + " ";
        }
    }
    bool full_;
    std::string out_;
};

std::string edge_values(const Edge& e, bool full)
{
    const auto points = all_controls(e.curve);
    if (full) {
        std::string out;
        for (const auto& p : points) out += mm(p[Geom::X]) + " " + mm(p[Geom::Y]) + " ";
        return out;
    }
    Digest d;
    for (const auto& p : points) d.add(p);
    return mm(length(e.curve).in_mm()) + " " + d.text();
}

void add_piece(Writer& w, const std::string& which, const Piece& piece)
{
    std::map<std::string, int> seen;
    std::string all;
    for (const auto& e : piece.edges) {
        std::string role{key(e.role)};
        if (const int n = ++seen[role]; n > 1) role += " " + std::to_string(n);
        if (w.full())
            w.line(which + " " + piece.id + " " + role, edge_values(e, true));
        else
            w.line("  " + piece.id + " " + role, edge_values(e, false));
    }
    Digest marks;
    for (const auto& d : piece.darts) {
        marks.add(d.leg_a);
        marks.add(d.leg_b);
        marks.add(d.tip);
    }
    for (const auto& n : piece.notches) marks.add(n.at);
    for (const auto& g : piece.guides) {
        marks.add(g.a);
        marks.add(g.b);
    }
    if (piece.bust_point) marks.add(*piece.bust_point);
    w.line(which + " " + piece.id + " marks", marks.text());
}

std::string picture_values(const StepPicture& p)
{
    Digest d;
    for (const auto* list : {&p.panels, &p.redrawn_from}) {
        for (const auto& piece : *list) {
            for (const auto& e : piece.edges) {
                for (const auto& at : all_controls(e.curve)) d.add(at);
            }
        }
    }
    for (const auto& s : p.lines) {
        d.add(s.a);
        d.add(s.b);
    }
    for (const auto* list : {&p.added, &p.removed}) {
        for (const auto& polygon : *list) {
            for (const auto& at : polygon) d.add(at);
        }
    }
    for (const auto& m : p.dimensions) {
        d.add(m.a);
        d.add(m.b);
        d.add(m.amount.in_mm());
    }
    for (const auto& m : p.motions) {
        d.add(m.about);
        d.add(m.by);
        d.add(m.radians);
    }
    return d.text();
}

void add_step_list(Writer& w, const std::vector<Step>& steps, const std::string& which)
{
    int n = 0;
    for (const auto& s : steps) {
        QString told;
        for (const auto unit : {Unit::Centimetre, Unit::Inch})
            told += words::step_title(s, unit) + " | " + words::step_detail(s, unit) + " | ";
        w.line(which + "step " + std::to_string(++n) + " on " + s.piece,
               w.said(told + words::before_going_on(s)) + " " + picture_values(s.picture));
    }
}

void add_steps(Writer& w, const Computed& c)
{
    add_step_list(w, c.steps, "");
    if (c.left) add_step_list(w, c.left->steps, "left ");
}

void add_lines(Writer& w, const Computed& c)
{
    const auto entries = formats::lines_json(c);
    for (std::size_t i = 0; i < c.lines.size(); ++i) {
        const auto& line = c.lines[i];
        if (line.state == LineState::NothingKnown && !line.noted) continue;
        QString told = words::adjustment_name(line.kind) + " | " + words::piece_names(line.kind, c.altered);
        for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
            told += " | " + words::amounts(c, line, unit) + " | " + words::why(c, line, unit);
            if (line.refusal) told += " | " + words::refusal(*line.refusal, unit);
        }
        w.line("line " + std::string{adjustment(line.kind).key},
               w.said(told) + " steps " + std::to_string(line.first_step) + "+" + std::to_string(line.steps) +
                   (line.noted ? " noted " : " ") + w.flat(entries[i]));
    }
    for (const auto& n : c.not_done)
        w.line("not done " + std::string{adjustment(n.kind).key}, w.said(words::not_done(n, Unit::Centimetre)));
}

void add_checks(Writer& w, const Computed& c)
{
    const auto checks = formats::checks_json(c.checks);
    for (const auto& walk : c.checks.walks) {
        std::string values = mm(walk.a.in_mm()) + " " + mm(walk.b.in_mm()) + " " + mm(walk.difference.in_mm()) +
                             (walk.holds ? " holds" : " apart");
        for (const auto* notches : {&walk.notches_a, &walk.notches_b}) {
            for (const auto n : *notches) values += " " + mm(n.in_mm());
        }
        const char* side = !walk.side ? "" : *walk.side == Side::Right ? " right" : " left";
        w.line("walk " + walk.seam + side, values);
    }
    for (const auto& [key, value] : checks.items()) {
        if (key != "walks") w.line("check " + key, w.flat(value));
    }
    w.line("check hems", mm(c.checks.front_hem.in_mm()) + " " + mm(c.checks.back_hem.in_mm()));
    w.line("check unwalked", w.said(words::unwalked(c.checks)));
    for (const auto& e : c.checks.ease) w.line("ease", w.said(words::ease_warning(e, Unit::Centimetre)));
}

void add_whole(Writer& w, const Computed& c)
{
    for (const auto& row : formats::finished_json(finished_table(c)))
        w.line("finished " + row["measure"].get<std::string>(), w.flat(row));
    QString told;
    for (const auto& k : knock_ons(c)) told += words::chain(k, Unit::Centimetre).join(" → ") + " | ";
    w.line("follows", w.said(told) + " " + w.flat(formats::knock_ons_json(c)));
    const auto profile = ease_profile(c);
    Digest d;
    for (const auto* girths : {&profile.before, &profile.after}) {
        for (const auto& g : *girths) {
            d.add(g.height.in_mm());
            d.add(g.girth.in_mm());
        }
    }
    std::string values = d.text();
    for (const auto& b : profile.body) {
        values += " " + std::string{facts(b.measure).key} + " " + mm(b.at.height.in_mm()) + " " +
                  mm(b.at.girth.in_mm()) + " " + mm(b.ease_before.in_mm()) + " " + mm(b.ease_after.in_mm());
    }
    w.line("profile", values);
}

// Parted into words and numbers.
std::vector<std::string> tokens(const std::string& line)
{
    std::istringstream in{line};
    std::vector<std::string> out;
    for (std::string t; in >> t;) out.push_back(t);
    return out;
}

std::optional<double> number_of(const std::string& token)
{
    char* end = nullptr;
    const double v = std::strtod(token.c_str(), &end);
    const bool whole = end == token.c_str() + token.size() && token.find('.') != std::string::npos;
    return whole ? std::optional{v} : std::nullopt;
}

// What stands after the label differs by; nothing where it does not.
std::optional<std::string> apart(const std::string& frozen, const std::string& fresh)
{
    if (frozen == fresh) return std::nullopt;
    const auto was = tokens(frozen);
    const auto is = tokens(fresh);
    const std::string both = "was " + frozen + "\n      now " + fresh;
    if (was.size() != is.size()) return both;
    double most = 0;
    for (std::size_t i = 0; i < was.size(); ++i) {
        const auto a = number_of(was[i]);
        const auto b = number_of(is[i]);
        if (a.has_value() != b.has_value() || (!a && was[i] != is[i])) return both;
        if (a) most = std::max(most, std::abs(*a - *b));
    }
    // A nanometre, and the last printed digit.
    constexpr double nanometre = 1e-6 + 1.01e-7;
    if (most <= nanometre) return std::nullopt;
    return "by " + mm(most) + " mm";
}

struct Record {
    std::vector<std::pair<std::string, std::string>> lines;  // label (the n-th of its name) and values
};

std::vector<std::pair<std::string, Record>> records_of(const std::string& text)
{
    std::vector<std::pair<std::string, Record>> out;
    std::map<std::string, int> seen;
    std::istringstream in{text};
    for (std::string line; std::getline(in, line);) {
        if (line.rfind("== ", 0) == 0) {
            out.push_back({line.substr(3), {}});
            seen.clear();
            continue;
        }
        const auto colon = line.find(": ");
        if (out.empty() || colon == std::string::npos) continue;
        std::string label = line.substr(0, colon);
        if (const int n = ++seen[label]; n > 1) label += " #" + std::to_string(n);
        out.back().second.lines.push_back({label, line.substr(colon + 2)});
    }
    return out;
}

void compare(const Record& frozen, const Record& fresh, std::vector<std::string>& out)
{
    const std::map<std::string, std::string> now(fresh.lines.begin(), fresh.lines.end());
    const std::map<std::string, std::string> was(frozen.lines.begin(), frozen.lines.end());
    for (const auto& [label, values] : frozen.lines) {
        const auto it = now.find(label);
        if (it == now.end()) {
            out.push_back(label + ": is gone; was " + values);
        } else if (const auto by = apart(values, it->second)) {
            out.push_back(label + ": " + *by);
        }
    }
    for (const auto& [label, values] : fresh.lines) {
        if (!was.count(label)) out.push_back(label + ": is new: " + values);
    }
}

}  // namespace

std::string record(const Trial& t, Detail detail)
{
    const auto c = compute(t.pattern, t.chart, t.body, t.plan);
    if (c) return record(t.name, *c, detail);
    Writer w{detail};
    w.line("refused", words::refusal(c.error(), Unit::Centimetre).toStdString());
    return "== " + t.name + "\n" + w.take();
}

std::string record(const std::string& name, const Computed& c, Detail detail)
{
    Writer w{detail};
    add_lines(w, c);
    add_steps(w, c);
    if (w.full()) {
        for (const auto& p : c.traced.pieces) add_piece(w, "traced", p);
    }
    for (const auto& p : c.altered.pieces) add_piece(w, "altered", p);
    if (c.left) {
        for (const auto& p : c.left->altered.pieces) add_piece(w, "left", p);
    }
    add_checks(w, c);
    add_whole(w, c);
    return "== " + name + "\n" + w.take();
}

std::vector<std::string> differences(const std::string& frozen, const std::string& fresh, std::size_t most)
{
    const auto was = records_of(frozen);
    const auto is = records_of(fresh);
    const std::map<std::string, Record> now(is.begin(), is.end());
    std::vector<std::string> out;
    for (const auto& [name, old] : was) {
        std::vector<std::string> lines;
        const auto it = now.find(name);
        if (it == now.end())
            lines.push_back("is not made any more");
        else
            compare(old, it->second, lines);
        for (const auto& l : lines) out.push_back(name + " · " + l);
    }
    const std::map<std::string, Record> before(was.begin(), was.end());
    for (const auto& [name, fresh_one] : is) {
        if (!before.count(name)) out.push_back(name + " · is not frozen");
    }
    if (out.size() > most) {
        const auto more = out.size() - most;
        out.resize(most);
        out.push_back("and " + std::to_string(more) + " more");
    }
    return out;
}

}  // namespace sartorum::test
