#include "desk/chart/chart_station.h"

#include <QHBoxLayout>
#include <QShortcut>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/chart/ease_table.h"
#include "desk/chart/sizes_dialog.h"
#include "desk/chart/strips.h"
#include "desk/chart/wear_dialog.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr std::size_t ranked_shown = 4;

// Choices are built anew when their words change.
Choices* replaced(QWidget* place, Look& look, const QStringList& words, const QString& name, const char* object)
{
    delete place->findChild<Choices*>(QString{}, Qt::FindDirectChildrenOnly);
    if (words.size() < 2) {
        place->hide();
        return nullptr;
    }
    auto* out = new Choices{look, words, name, place};
    out->setObjectName(object);
    out->wrap();
    place->layout()->addWidget(out);
    place->show();
    out->show();  // at once, so that the pad is laid out with it
    place->layout()->activate();
    return out;
}

QWidget* place_for_choices(QWidget* pad)
{
    auto* out = new QWidget{pad};
    auto* row = new QHBoxLayout{out};
    row->setContentsMargins(0, 0, 0, 0);
    row->setAlignment(Qt::AlignLeft);
    return out;
}

}  // namespace

ChartStation::ChartStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    no_chart_ = new EmptyState{look,
                               tr("No size chart yet."),
                               tr("The maker's chart stands on the envelope or the instruction sheet: for each "
                                  "size, the body it is drafted "
                                  "for. Type or paste it (Ctrl V), or bring it as a CSV file."),
                               {{tr("Type or paste a chart"), [this] { emit chart_typing_wanted(); }},
                                {tr("Import a CSV file"), [this] { emit chart_import_wanted(); }}},
                               this};
    auto* paste = new QShortcut{QKeySequence::Paste, this};
    paste->setContext(Qt::WidgetWithChildrenShortcut);
    connect(paste, &QShortcut::activated, this, [this] {
        if (!room_.chart()) emit chart_pasting_wanted();
    });
    no_body_ =
        new EmptyState{look,
                       tr("What a size is chosen by is not read yet."),
                       tr("A skirt goes by waist and hip, a top by high bust or bust. Two readings each are "
                          "enough; or this chart does not print what the garment goes by."),
                       {{tr("To the tape"), [this] { emit tape_wanted(); }},
                        {tr("Another garment"),
                         [this] {
                             WearDialog{look_, room_, this}.exec();
                         }}},
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
    connect(strips_, &Strips::ease_wanted, wear_, &Button::click);
    connect(strips_, &Strips::blend_wanted, this, &ChartStation::toggle_blend);
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

QWidget* ChartStation::build_pad(QWidget* parent)
{
    const auto [frame, pad, column, foot] = pad_beside(look_, 352, parent);
    column->setSpacing(7);
    build_choice(column, pad);
    column->addSpacing(4);
    column->addWidget(heading(look_, tr("Room to move"), 16, pad));
    ease_ = new EaseTable{look_, room_, pad};
    column->addWidget(ease_);
    ease_note_ = caption(look_, {}, pad);
    ease_note_->setObjectName("ease_note");
    column->addWidget(ease_note_);
    auto* row = new QHBoxLayout;
    wear_ = new Button{look_, tr("How it is worn"), ButtonKind::Small, pad};
    wear_->setObjectName("wear");
    flat_ = new Button{look_, tr("Measure its tissue flat"), ButtonKind::Small, pad};
    flat_->setObjectName("measure_flat");
    row->addWidget(wear_);
    row->addWidget(flat_);
    row->addStretch();
    column->addLayout(row);
    notes_ = caption(look_, {}, pad);
    column->addWidget(notes_);
    column->addStretch();
    take_ = new Button{look_, tr("Take this to Plan"), ButtonKind::Primary, frame};
    take_->setObjectName("take_to_plan");
    advised_ = new Button{look_, tr("Back to the advised size"), ButtonKind::Plain, frame};
    advised_->setObjectName("advised_size");
    foot->addWidget(advised_);
    foot->addWidget(take_);
    connect(wear_, &Button::clicked, this, [this] { WearDialog{look_, room_, this}.exec(); });
    connect(flat_, &Button::clicked, this, &ChartStation::flat_wanted);
    connect(take_, &Button::clicked, this, [this] {
        if (room_.chart() && !room_.sizes_chosen()) room_.choose(room_.choice());
        if (room_.pattern()) emit plan_wanted();
    });
    connect(advised_, &Button::clicked, this, [this] {
        if (room_.advice()) room_.choose(room_.advice()->choice);
    });
    return frame;
}

void ChartStation::build_choice(QVBoxLayout* column, QWidget* pad)
{
    title_ = heading(look_, {}, 19, pad);
    title_->setWordWrap(true);
    reason_ = label(look_, {}, 14, false, pad);
    firm_ = label(look_, {}, 14, true, pad);
    group_place_ = place_for_choices(pad);
    school_place_ = place_for_choices(pad);
    school_reason_ = caption(look_, {}, pad);
    cup_ = label(look_, {}, 14, false, pad);
    costs_ = label(look_, {}, 14, false, pad);
    costs_->setObjectName("ranking");
    column->addWidget(title_);
    column->addWidget(group_place_);
    column->addWidget(reason_);
    column->addWidget(firm_);
    column->addWidget(school_place_);
    column->addWidget(school_reason_);
    column->addWidget(cup_);
    column->addSpacing(4);
    auto* row = new QHBoxLayout;
    row->addWidget(heading(look_, tr("Least to do first"), 16, pad), 1);
    auto* every = new Button{look_, tr("Every size"), ButtonKind::Small, pad};
    every->setObjectName("every_size");
    row->addWidget(every);
    column->addLayout(row);
    column->addWidget(costs_);
    connect(every, &Button::clicked, this, [this] { SizesDialog{look_, room_, this}.exec(); });
}

void ChartStation::pick(Measure m, std::size_t size)
{
    room_.choose(with_size_at(room_.choice(), m, size, room_.advice()->levels));
}

void ChartStation::step(Measure m, int by)
{
    const auto here = static_cast<int>(size_at(room_.choice(), m));
    const int next = std::clamp(here + by, 0, static_cast<int>(room_.chart()->sizes.size()) - 1);
    if (next != here) pick(m, static_cast<std::size_t>(next));
}

void ChartStation::toggle_blend()
{
    if (!room_.advice()) return;
    const auto c = room_.choice();
    const std::size_t anchor = size_at(c, anchor_of(room_.advice()->school.school));
    room_.choose(c.is_blend() ? SizeChoice{anchor, anchor, anchor} : room_.advice()->choice);
}

void ChartStation::pick_school(int i)
{
    const auto& plan = room_.plan();
    ChoiceWish wish = plan.choosing;
    wish.school = room_.advice()->school.possible[static_cast<std::size_t>(i)];
    room_.wear(wish, plan.cloth, plan.ease, plan.sides);
}

void ChartStation::refresh()
{
    const bool chart = room_.chart().has_value();
    const bool body = room_.advice().has_value();
    no_chart_->setVisible(!chart);
    no_body_->setVisible(chart && !body);
    work_->setVisible(chart && body);
    if (!chart || !body) return;
    refresh_choice();
    refresh_ease();
    take_->setText(room_.pattern() ? tr("Take this to Plan") : tr("Keep this size"));
}

void ChartStation::refresh_choice()
{
    const auto& c = *room_.chart();
    const auto& advice = *room_.advice();
    const auto choice = room_.choice();
    const bool as_advised = choice == advice.choice;
    const Unit u = look_.unit();
    title_->setText(words::advice_title(c, choice, advice.levels));
    const BodySet body = as_worn(room_.body(), room_.plan().choosing.seated);
    reason_->setText(as_advised ? words::advice_reason(c, advice, body, u)
                                : tr("Your choice. Advised from the tape: %1.")
                                      .arg(words::advice_title(c, advice.choice, advice.levels)));
    QStringList firm;
    if (c.bodies_assumed) firm << words::bodies_assumed();
    if (room_.plan().cloth.stretch_asked()) firm << words::stretch_asked();
    for (const auto& b : advice.between) {
        firm << tr("%1 stands between %2 and %3 within measuring: either will do.")
                    .arg(words::measure_name(b.measure), QString::fromStdString(c.sizes[b.lower].name),
                         QString::fromStdString(c.sizes[b.lower + 1].name));
    }
    firm_->setText(firm.join("\n"));
    firm_->setVisible(!firm.isEmpty());

    QStringList groups;
    for (const auto& g : room_.printed_chart()->groups()) groups << QString::fromStdString(g);
    if (auto* pick = replaced(group_place_, look_, groups, tr("Body type"), "chart_group")) {
        pick->choose(std::max(0, static_cast<int>(groups.indexOf(QString::fromStdString(c.sizes.front().group)))));
        connect(pick, &Choices::picked, this, [this, groups](int i) {
            QMetaObject::invokeMethod(
                this, [this, group = groups[i].toStdString()] { room_.choose_group(group); },
                Qt::QueuedConnection);
        });
    }
    QStringList schools;
    for (const auto s : advice.school.possible) schools << words::school_name(s);
    if (auto* pick = replaced(school_place_, look_, schools, tr("What the size is chosen by"), "school")) {
        const auto at =
            std::find(advice.school.possible.begin(), advice.school.possible.end(), advice.school.school);
        pick->choose(static_cast<int>(at - advice.school.possible.begin()));
        connect(pick, &Choices::picked, this, [this](int i) {
            QMetaObject::invokeMethod(
                this, [this, i] { pick_school(i); }, Qt::QueuedConnection);
        });
    }
    const auto recommended = advise_school(c, body, room_.plan().choosing);
    school_reason_->setText(
        advice.school.school == recommended.school
            ? words::school_reason(recommended)
            : tr("Recommended: %1. %2")
                  .arg(words::school_name(recommended.school), words::school_reason(recommended)));
    const auto cup = cup_of(body, c);
    const bool bust = std::any_of(advice.levels.begin(), advice.levels.end(),
                                  [](Measure m) { return m == Measure::HighBust || m == Measure::Bust; });
    cup_->setVisible(cup && bust);
    const auto full = body.taken(Measure::Bust);
    const auto under = body.taken(Measure::Underbust);
    const auto above = full && under ? std::optional{full->value - under->value} : std::nullopt;
    if (cup) cup_->setText(words::cup_text(*cup, c, above));

    QStringList costs;
    for (std::size_t i = 0; i < std::min(ranked_shown, advice.ranking.size()); ++i)
        costs << words::cost_text(c, advice.ranking[i], advice.levels, u);
    costs_->setText(costs.join("\n"));
    advised_->setVisible(!as_advised);
}

// What the tissue that lies there came to, size by size, beside the chart's body.
QStringList ChartStation::laid_flat() const
{
    QStringList out;
    if (!room_.tissue()) return out;
    for (const auto& s : room_.tissue()->sizes) {
        const auto girths = finished_of(*room_.tissue(), s);
        const auto size = room_.chart()->index_of(s.name);
        if (!girths || girths->empty() || !size) continue;
        QStringList said;
        for (const auto& [m, girth] : *girths) {
            const auto ease = designed_ease(*room_.chart(), *size, m, girth);
            const QString name = words::measure_name(m).toLower() + " " + words::number(girth, look_.unit());
            said << (ease ? tr("%1 (ease %2)").arg(name, words::number(*ease, look_.unit(), true)) : name);
        }
        out << tr("Size %1 laid flat: %2.").arg(QString::fromStdString(s.name), said.join(", "));
    }
    return out;
}

void ChartStation::refresh_ease()
{
    ease_->refresh();
    const auto rows = ease_rows(room_);
    QStringList note;
    for (const auto& r : rows) {
        const auto taken = room_.body().taken(r.measure);
        if (!r.holds(taken ? taken->spread : Length{})) note << words::ease_below(r, look_.unit());
    }
    if (!rows.empty()) {
        QStringList wanted;
        for (const auto& r : rows)
            wanted << words::measure_name(r.measure).toLower() + " " +
                          words::number(r.finished_wanted(), look_.unit());
        note << tr("Finished as planned: %1.").arg(wanted.join(", "));
        note << tr("Ease all round, %1. Bar: planned; dashed: as designed; short tick: least to move in.")
                    .arg(QString::fromStdString(std::string{unit_text(look_.unit())}));
    } else if (room_.trouble()) {
        note << words::refusal(*room_.trouble(), look_.unit());
    } else {
        note << tr("No finished girths are printed. Lay a pattern on the table, or measure its pieces flat.");
    }
    note << laid_flat();
    ease_note_->setText(note.join("\n"));
    flat_->setVisible(!room_.pattern());
    const auto& c = *room_.chart();
    QStringList notes;
    const auto height = room_.body().taken(Measure::Height);
    if (c.height_from && c.height_to) {
        QString text =
            tr("Drafted for heights %1 to %2.")
                .arg(words::number(*c.height_from, look_.unit()), words::number(*c.height_to, look_.unit()));
        if (height && (height->value < *c.height_from || height->value > *c.height_to))
            text += " " + tr("%1 differs: look at every length.").arg(words::amount(height->value, look_.unit()));
        notes << text;
    }
    if (c.allowance) notes << tr("Seam allowance %1.").arg(words::amount(*c.allowance, look_.unit()));
    for (const auto& v : c.views) notes << words::view_text(v);
    notes_->setText(notes.join(" "));
    notes_->setVisible(!notes.isEmpty());
}

}  // namespace sartorum::desk
