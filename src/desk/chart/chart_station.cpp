#include "desk/chart/chart_station.h"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/chart/strips.h"
#include "desk/shared/empty_state.h"
#include "words/words.h"

namespace sartorum::desk {

// Garment, designed, now and planned, for waist and hip.
class EaseTable : public QWidget {
public:
    EaseTable(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
    {
        setFixedHeight(118);
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto& c = room_.computed();
        if (!c || !room_.chart()) return;
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        p.setFont(look_.lato(12.5));
        p.setPen(d.faded);
        const double w = width();
        const double x[] = {w * 0.43, w * 0.64, w * 0.80, w};
        const QString heads[] = {tr("garment"), tr("designed"), tr("now"), tr("planned")};
        for (int i = 0; i < 4; ++i) p.drawText(QRectF{x[i] - 90, 0, 90, 18}, Qt::AlignRight, heads[i]);
        p.setPen(QPen{d.rule, 1});
        p.drawLine(QPointF(0, 21.5), QPointF(w, 21.5));
        int row = 0;
        for (const auto m : {Measure::Waist, Measure::Hip}) {
            const bool waist = m == Measure::Waist;
            const auto size =
                room_.chart()->index_of(waist ? room_.plan().waist_size : room_.plan().hip_size).value_or(0);
            const Length garment = waist ? c->traced_flat.waist : c->traced_flat.hip;
            const Length planned = waist ? c->altered_flat.waist : c->altered_flat.hip;
            const Length chart = *room_.chart()->body(size, m);
            const auto body = room_.body().taken(m);
            const double y = 44 + row * 44;
            p.setPen(d.ink);
            p.setFont(look_.lato(14, QFont::DemiBold));
            p.drawText(QPointF{0, y}, words::measure_name(m));
            const auto cell = [&](int i, Length l, const QColor& colour, bool strong) {
                p.setPen(colour);
                const double px = strong ? 21 : 16;
                const double nw = number_width(look_, l, look_.unit(), px, QFont::Normal, false);
                draw_number(p, look_, {x[i] - nw, y}, l, look_.unit(), px, QFont::Normal, false);
            };
            cell(0, garment, d.walnut, false);
            cell(1, garment - chart, d.ink, false);
            if (body) {
                cell(2, garment - body->value, d.ink, false);
                cell(3, planned - body->value, d.woad, true);
                const double most = Length::mm(140).in_mm();
                const auto at = [&](Length l) { return std::clamp(l.in_mm() / most, 0.0, 1.0) * w; };
                const QRectF bar{0, y + 8, w, 9};
                p.fillRect(bar, d.linen);
                const double now = at(garment - body->value);
                const double then = at(planned - body->value);
                p.fillRect(QRectF{0, y + 8, std::min(now, then), 9}, d.woad_wash);
                if (then > now + 0.5) p.fillRect(QRectF{now, y + 8, then - now, 9}, look_.dots());
                p.setPen(QPen{d.woad, 2.4});
                p.drawLine(QPointF(then, y + 6), QPointF(then, y + 19));
                p.setPen(QPen{d.walnut, 1.4, Qt::DashLine});
                p.drawLine(QPointF(at(garment - chart), y + 6), QPointF(at(garment - chart), y + 19));
                p.setPen(QPen{d.madder, 1.6});
                const double least = at(waist ? least_waist_ease : least_hip_ease);
                p.drawLine(QPointF(least, y + 8), QPointF(least, y + 17));
            }
            ++row;
        }
    }

private:
    Look& look_;
    Room& room_;
};

ChartStation::ChartStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    no_chart_ = new EmptyState{look,
                               tr("No size chart yet."),
                               tr("The maker's chart stands on the envelope or the instruction sheet: for each "
                                  "size, the body it is drafted "
                                  "for. Type it in, or bring it as a CSV file."),
                               {{tr("Type a chart"), [this] { emit chart_typing_wanted(); }},
                                {tr("Import a CSV file"), [this] { emit chart_import_wanted(); }}},
                               this};
    no_body_ = new EmptyState{look,
                              tr("Waist and hip are not read yet."),
                              tr("A skirt size is chosen by these two. Two readings each are enough."),
                              {{tr("To the tape"), [this] { emit tape_wanted(); }}},
                              this};
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(14);
    strips_ = new Strips{look, room, work_};
    inner->addWidget(strips_, 1);
    inner->addWidget(build_pad(work_));
    for (auto* w : {no_chart_, no_body_, work_}) row->addWidget(w);
    connect(strips_, &Strips::size_picked, this, &ChartStation::pick);
    connect(strips_, &Strips::size_wanted, this, &ChartStation::step);
    connect(strips_, &Strips::onwards, take_, &Button::click);
    connect(strips_, &Strips::blend_wanted, this, [this] {
        const auto hip = room_.chart()->index_of(room_.plan().hip_size).value_or(0);
        const bool blended = room_.plan().waist_size != room_.plan().hip_size;
        if (blended)
            room_.choose_sizes(hip, hip);
        else if (room_.advice())
            room_.choose_sizes(room_.advice()->choice.waist_size, room_.advice()->choice.hip_size);
    });
    connect(&room, &Room::changed, this, &ChartStation::refresh);
    connect(&look, &Look::changed, this, &ChartStation::refresh);
    refresh();
}

QWidget* ChartStation::build_pad(QWidget* parent)
{
    auto* frame = new Panel{look_, parent};
    frame->setFixedWidth(352);
    auto* pad = scrolled(frame);
    auto* column = new QVBoxLayout{pad};
    column->setContentsMargins(20, 16, 20, 12);
    column->setSpacing(8);
    title_ = heading(look_, {}, 21, pad);
    reason_ = label(look_, {}, 14, false, pad);
    firm_ = label(look_, {}, 14, true, pad);
    costs_ = label(look_, {}, 14, false, pad);
    ease_ = new EaseTable{look_, room_, pad};
    ease_note_ = caption(
        look_, tr("Ease in %1 all round. Bar: planned; dashed: as designed; short tick: least to move in."), pad);
    take_ = new Button{look_, tr("Take this to Plan"), ButtonKind::Primary, pad};
    take_->setObjectName("take_to_plan");
    advised_ = new Button{look_, tr("Back to the advised size"), ButtonKind::Plain, pad};
    advised_->setObjectName("advised_size");
    column->addWidget(title_);
    column->addWidget(reason_);
    column->addWidget(firm_);
    column->addSpacing(6);
    column->addWidget(heading(look_, tr("What one size throughout would leave"), 16, pad));
    column->addWidget(costs_);
    column->addSpacing(6);
    column->addWidget(heading(look_, tr("Room to move"), 16, pad));
    column->addWidget(ease_);
    column->addWidget(ease_note_);
    column->addStretch();
    column->addWidget(advised_);
    column->addWidget(take_);
    connect(take_, &Button::clicked, this, [this] {
        const auto w = room_.chart()->index_of(room_.plan().waist_size);
        const auto h = room_.chart()->index_of(room_.plan().hip_size);
        if (w && h && !room_.sizes_chosen()) room_.choose_sizes(*w, *h);
        emit plan_wanted();
    });
    connect(advised_, &Button::clicked, this, [this] {
        if (room_.advice()) room_.choose_sizes(room_.advice()->choice.waist_size, room_.advice()->choice.hip_size);
    });
    return frame;
}

void ChartStation::pick(Measure m, std::size_t size)
{
    auto waist = room_.chart()->index_of(room_.plan().waist_size).value_or(0);
    auto hip = room_.chart()->index_of(room_.plan().hip_size).value_or(0);
    (m == Measure::Waist ? waist : hip) = size;
    room_.choose_sizes(waist, hip);
}

void ChartStation::step(Measure m, int by)
{
    const auto& name = m == Measure::Waist ? room_.plan().waist_size : room_.plan().hip_size;
    const auto here = static_cast<int>(room_.chart()->index_of(name).value_or(0));
    const int next = std::clamp(here + by, 0, static_cast<int>(room_.chart()->sizes.size()) - 1);
    if (next != here) pick(m, static_cast<std::size_t>(next));
}

void ChartStation::refresh()
{
    const bool chart = room_.chart().has_value();
    const bool body = room_.advice().has_value();
    no_chart_->setVisible(!chart);
    no_body_->setVisible(chart && !body);
    work_->setVisible(chart && body);
    if (!chart || !body) return;
    const auto& c = *room_.chart();
    const auto& advice = *room_.advice();
    const SizeChoice choice{c.index_of(room_.plan().waist_size).value_or(0),
                            c.index_of(room_.plan().hip_size).value_or(0)};
    const bool as_advised = choice == advice.choice;
    title_->setText(words::advice_title(c, choice));
    reason_->setText(
        as_advised ? words::advice_reason(c, advice, room_.body(), look_.unit())
                   : tr("Your choice. Advised from the tape: %1.").arg(words::advice_title(c, advice.choice)));
    QString firm;
    if (advice.waist_between || advice.hip_between) {
        firm =
            tr("%1 stands between two sizes within measuring: either will do.")
                .arg(advice.hip_between ? words::measure_name(Measure::Hip) : words::measure_name(Measure::Waist));
    }
    firm_->setText(firm);
    firm_->setVisible(!firm.isEmpty());
    QStringList costs;
    const auto low = std::min(choice.waist_size, choice.hip_size);
    const auto high = std::max(choice.waist_size, choice.hip_size);
    for (std::size_t i = low > 0 ? low - 1 : 0; i <= std::min(high + 1, c.sizes.size() - 1); ++i) {
        costs << words::cost_text(c, advice.costs[i], look_.unit());
    }
    costs_->setText(costs.join("\n"));
    ease_note_->setText(
        room_.computed()
            ? tr("Ease all round, in %1. Bar: planned; dashed: as designed; short tick: least to move in.")
                  .arg(QString::fromStdString(std::string{unit_text(look_.unit())}))
        : room_.trouble() ? words::refusal(*room_.trouble(), look_.unit())
                          : tr("Lay a pattern on the table to see its ease."));
    ease_->setVisible(room_.computed().has_value());
    ease_->update();
    advised_->setVisible(!as_advised);
}

}  // namespace sartorum::desk
