#include "desk/demo_toiles.h"

#include <QDir>
#include <QImage>
#include <QPainter>
#include <algorithm>

#include "desk/mirror/toile_body.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/photo_file.h"
#include "formats/text_file.h"
#include "formats/try_on_json.h"
#include "formats/work_json.h"

namespace sartorum::desk {
namespace {

std::optional<notebook::Id> id_of(const std::vector<notebook::Named>& all, const QString& name)
{
    const auto it = std::find_if(all.begin(), all.end(), [&](const auto& n) { return n.name == name; });
    return it == all.end() ? std::nullopt : std::optional{it->id};
}

struct OfOne {
    notebook::Id wearer = 0;
    notebook::Id pattern = 0;
    Work work;
    QString name;
};

// What lies behind a wearer's work on a pattern; nothing is worked out.
std::optional<OfOne> work_on(const notebook::Notebook& book, const QString& wearer, const QString& pattern)
{
    OfOne out;
    out.name = wearer;
    const auto who = id_of(book.wearers(), wearer);
    const auto what = id_of(book.patterns(), pattern);
    if (!who || !what) return std::nullopt;
    out.wearer = *who;
    out.pattern = *what;
    const auto svg = book.pattern_svg(*what);
    const auto chart_id = book.chart_of_pattern(*what);
    const auto chart = chart_id ? book.chart(*chart_id) : std::nullopt;
    const auto body = book.body(book.sets(*who).front().id);
    auto read = svg ? formats::read_pattern_svg(svg->toStdString()) : Outcome<Pattern>{refuse(Why::FileBroken)};
    if (!read || !chart || !body) return std::nullopt;
    out.work = work_of(std::move(*read), *chart, *body, {});
    return out;
}

std::optional<Plan> plan_in(const QDir& dir, const QString& file)
{
    const auto text = formats::read_file(dir.filePath(file));
    auto plan = text ? formats::read_plan(*text) : Outcome<Plan>{refuse(Why::FileBroken)};
    return plan ? std::optional{std::move(*plan)} : std::nullopt;
}

std::optional<notebook::Id> add_toile(notebook::Notebook& book, const QDir& dir, const OfOne& of,
                                      const QString& plan, const QString& toile, const QString& version)
{
    const auto text = formats::read_file(dir.filePath(toile));
    const auto entry = text ? formats::read_try_on(*text) : Outcome<TryOn>{refuse(Why::FileBroken)};
    auto decided = plan_in(dir, plan);
    if (!entry || !decided) return std::nullopt;
    Work work = of.work;
    work.plan = std::move(*decided);
    const auto kept =
        book.add_try_on(of.wearer, of.pattern, version,
                        QByteArray::fromStdString(formats::work_json(work, of.name.toStdString())), *entry);
    return kept ? std::optional{*kept} : std::nullopt;
}

// In place of a photograph: the wearer in a door, a metre marked on its frame.
QImage drawn_from_the_side(const BodySet& body, const Wears& wears)
{
    const Look look;
    QImage out{760, 1100, QImage::Format_RGB32};
    out.fill(QColor{"#E4DCCF"});
    QPainter p{&out};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor{"#C7B497"});
    p.drawRect(60, 0, 44, 1060);
    p.drawRect(656, 0, 44, 1060);
    p.setBrush(QColor{"#D5C9B6"});
    p.drawRect(0, 1060, 760, 40);
    const double k = 10;
    ToileBody{Proportions{body}, wears}.draw(p, look, SeenFrom::Side, [&](QPointF q) {
        return QPointF{380 - q.x() * k, 62 + q.y() * k};
    });
    p.setPen(QPen{QColor{"#4A3B2C"}, 3});
    for (const int y : {300, 895}) p.drawLine(88, y, 104, y);
    return out;
}

}  // namespace

bool add_demo_toiles(notebook::Notebook& book, const QDir& demo)
{
    const QDir dir{demo.filePath("toiles")};
    const auto top = work_on(book, "Hedda", "Heron tee");
    const auto legs = work_on(book, "Hedda", "Barge trousers");
    if (!top || !legs) return false;
    const auto first = add_toile(book, dir, *top, "heron-hedda-plan-1.json", "heron-hedda-1.json", "toile 1");
    const auto second = add_toile(book, dir, *top, "heron-hedda-plan-2.json", "heron-hedda-2.json", "toile 2");
    const auto third = add_toile(book, dir, *legs, "barge-hedda-plan-1.json", "barge-hedda-1.json", "toile 1");
    const auto now = plan_in(dir, "heron-hedda-plan-now.json");
    const auto of_legs = plan_in(dir, "barge-hedda-plan-1.json");
    if (!first || !second || !third || !now || !of_legs) return false;
    // A metre of the door, a camera held level; the seam a little behind, the hem a little up in front.
    const Photo laid{PhotoView::LeftSide,
                     {{Guideline::KnownLength, {104, 300}, {104, 895}, Length::mm(1000)},
                      {Guideline::Upright, {104, 40}, {104, 1040}, {}},
                      {Guideline::EarLine, {380, 130}, {383, 350}, {}},
                      {Guideline::Seam, {389, 236}, {386, 258}, {}},
                      {Guideline::Hem, {322, 598}, {447, 602}, {}}}};
    const auto picture =
        formats::photo_kept(drawn_from_the_side(*top->work.body, {true, true, true, false, false}));
    return book.add_photo(*second, picture, laid) &&
           book.save_plan(top->wearer, notebook::PlanFor::pattern(top->pattern), *now, "plan") &&
           book.save_plan(legs->wearer, notebook::PlanFor::pattern(legs->pattern), *of_legs, "plan");
}

}  // namespace sartorum::desk
