#include "desk/tape/paper_says.h"

#include <QPainter>

#include "words/tissue.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double row_height = 22;

}  // namespace

PaperSays::PaperSays(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setObjectName("paper_says");
    QObject::connect(&look, &Look::changed, this, [this] { fit(); });
}

void PaperSays::fit()
{
    setFixedHeight(static_cast<int>(row_height * look_.scale() * static_cast<double>(rows_.size())) + 2);
    update();
}

void PaperSays::show(const Tissue& t, std::vector<Reckoned> all, const SizeChart* chart)
{
    rows_.clear();
    const auto lines = t.in_hand() ? lines_on_pieces(t, *t.in_hand()) : std::vector<TissueLine>{};
    const auto size = chart ? chart->index_of(t.size) : std::nullopt;
    for (const auto& r : all) {
        Row row{words::reckoning(r.what, t), r.value, {}, {}};
        if (r.value && r.body && size) row.ease = designed_ease(*chart, *size, *r.body, *r.value);
        if (!r.value && r.waits_for) {
            const auto at = std::find(lines.begin(), lines.end(), *r.waits_for);
            row.waits = at == lines.end() ? tr("not known") : tr("waits for %1").arg(at - lines.begin() + 1);
        } else if (!r.value) {
            row.waits = tr("cannot be drawn");
        }
        rows_.push_back(row);
    }
    setAccessibleName(rows().join("; "));
    fit();
}

QStringList PaperSays::rows() const
{
    QStringList out;
    for (const auto& r : rows_) {
        QString said = r.name + ": " + (r.value ? words::amount(*r.value, look_.unit()) : r.waits);
        if (r.ease) said += tr(", ease %1").arg(words::amount(*r.ease, look_.unit(), true));
        out << said;
    }
    return out;
}

void PaperSays::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const double w = width();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    double y = 0;
    for (const auto& r : rows_) {
        const double base = y + row_height * k * 0.7;
        p.setPen(QPen{d.rule, 1});
        p.drawLine(QPointF{0, y + 0.5}, QPointF{w, y + 0.5});
        p.setPen(d.ink);
        p.setFont(look_.lato(14));
        p.drawText(QPointF{0, base}, r.name);
        if (!r.value) {
            p.setPen(d.faded);
            p.setFont(look_.lato(12.5));
            p.drawText(QRectF{0, y, w, row_height * k}, Qt::AlignRight | Qt::AlignVCenter, r.waits);
        } else {
            const double nw = number_width(look_, *r.value, look_.unit(), 16, QFont::Medium, false);
            draw_number(p, look_, {w - nw, base}, *r.value, look_.unit(), 16, QFont::Medium, false);
        }
        if (r.ease) {
            p.setPen(d.faded);
            p.setFont(look_.lato(12.5));
            const double ew = number_width(look_, *r.ease, look_.unit(), 14, QFont::Normal, true);
            const double right = w - 74 * k;
            draw_number(p, look_, {right - ew, base}, *r.ease, look_.unit(), 14, QFont::Normal, true);
            p.setFont(look_.lato(12.5));
            p.drawText(QRectF{right - ew - 60 * k, y, 54 * k, row_height * k}, Qt::AlignRight | Qt::AlignVCenter,
                       tr("ease"));
        }
        y += row_height * k;
    }
}

}  // namespace sartorum::desk
