#include "desk/paper/paper_station.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include "core/alter/kit/catalogue.h"
#include "core/pattern/gore.h"
#include "desk/paper/canvas.h"
#include "desk/paper/large_step.h"
#include "desk/paper/seam_walk.h"
#include "desk/paper/step_list.h"
#include "desk/paper/walk_view.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {
constexpr int walk_shown = 3;  // among the views
}

// What the lines and fills on the paper mean.
class Legend : public QWidget {
public:
    Legend(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
    {
        setFixedHeight(28);
        QObject::connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        p.setFont(look_.lato(12.5));
        double x = 16;
        const double y = height() / 2.0;
        const auto words = [&](const QString& s) {
            p.setPen(d.faded);
            p.drawText(QPointF{x, y + 4}, s);
            x += p.fontMetrics().horizontalAdvance(s) + 22;
        };
        p.setPen(QPen{d.walnut, 1.2, Qt::DashLine});
        p.drawLine(QPointF(x, y), QPointF(x + 26, y));
        x += 32;
        words(QObject::tr("as bought"));
        p.setPen(QPen{d.woad, 2});
        p.drawLine(QPointF(x, y), QPointF(x + 26, y));
        x += 32;
        words(QObject::tr("new line"));
        for (const bool more : {true, false}) {
            const QString said = more ? QObject::tr("paper added") : QObject::tr("paper removed or folded away");
            if (x + 32 + p.fontMetrics().horizontalAdvance(said) > width() - 8) continue;
            p.setPen(QPen{more ? d.weld_ink : d.madder, 1});
            p.setBrush(more ? look_.dots() : look_.hatch());
            p.drawRect(QRectF{x, y - 7, 26, 14});
            x += 32;
            words(said);
        }
        p.setPen(d.faded);
        const QString squares = QObject::tr("squares of 1 and 5 cm");
        if (x + p.fontMetrics().horizontalAdvance(squares) > width() - 14) return;
        p.drawText(QRectF{0, 0, width() - 14.0, double(height())}, Qt::AlignRight | Qt::AlignVCenter, squares);
    }

private:
    Look& look_;
};

PaperStation::PaperStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* outer = new QVBoxLayout{this};
    outer->setContentsMargins(0, 0, 0, 0);
    empty_ = new EmptyState{look,
                            tr("There is no paper to work on yet."),
                            tr("A wearer's waist and hip, a size chart and a pattern make the paper."),
                            {{tr("To the plan"), [this] { emit plan_wanted(); }}},
                            this};
    work_ = new QWidget{this};
    auto* column = new QVBoxLayout{work_};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(12);
    auto* row = new QHBoxLayout;
    row->setSpacing(12);
    auto* sheet = new Panel{look, work_};
    auto* sheet_column = new QVBoxLayout{sheet};
    sheet_column->setContentsMargins(1, 6, 1, 4);
    sheet_column->setSpacing(2);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(16, 0, 10, 0);
    title_ = heading(look, {}, 19, sheet);
    title_->setWordWrap(false);
    sub_ = caption(look, {}, sheet);
    views_ =
        new Choices{look, {tr("As bought"), tr("Step"), tr("Finished"), tr("Walk")}, tr("Which paper"), sheet};
    views_->setObjectName("paper_view");
    views_->wrap();
    views_->choose(1);
    head->addWidget(title_);
    head->addSpacing(10);
    head->addWidget(sub_, 1);
    head->addWidget(views_);
    sheet_column->addLayout(head);
    canvas_ = new Canvas{look, room, sheet};
    sheet_column->addWidget(canvas_, 1);
    legend_ = new Legend{look, sheet};
    sheet_column->addWidget(legend_);
    rolling_ = new WalkView{look, room, sheet};
    rolling_->hide();
    sheet_column->addWidget(rolling_, 1);
    row->addWidget(sheet, 1);
    auto* steps = new StepList{look, room, work_};
    row->addWidget(steps);
    column->addLayout(row, 1);
    walk_ = new SeamWalk{look, room, work_};
    column->addWidget(walk_);
    outer->addWidget(empty_);
    outer->addWidget(work_);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Paper: the pieces and the steps"));
    connect(views_, &Choices::picked, this, &PaperStation::show_view);
    connect(walk_, &SeamWalk::picked, this, [this](int seam) {
        rolling_->show_seam(static_cast<std::size_t>(seam));
        show_view(walk_shown);
    });
    connect(steps, &StepList::picked, this, &PaperStation::go);
    connect(steps, &StepList::play_wanted, this, &PaperStation::play);
    connect(steps, &StepList::amount_wanted, this, &PaperStation::plan_wanted);
    auto* shown = refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    connect(&room, &Room::stepped, shown, &WhenShown::changed);
    refresh();
}

void PaperStation::show_view(int i)
{
    views_->choose(i);
    const bool walk = i == walk_shown;
    canvas_->setVisible(!walk);
    legend_->setVisible(!walk);
    rolling_->setVisible(walk);
    if (!walk) canvas_->set_view(static_cast<PaperView>(i));
    refresh();
}

void PaperStation::go(int step)
{
    show_view(1);
    room_.go_to_step(step);
}

void PaperStation::enlarge()
{
    if (!large_) {
        large_ = new LargeStep{look_, room_, window()};
        connect(large_, &LargeStep::step_wanted, this, &PaperStation::go);
    }
    show_view(1);
    large_->open();
}

// It covers the window: another station would lie under it.
void PaperStation::hideEvent(QHideEvent*)
{
    if (large_) large_->hide();
}

void PaperStation::play()
{
    if (!room_.computed()) return;
    go(room_.step());
    canvas_->play();
}

void PaperStation::refresh()
{
    empty_->setVisible(!room_.computed());
    work_->setVisible(room_.computed().has_value());
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    // One seam rolled needs the height in large text; all of them side by side can wait.
    const bool walking = views_->chosen() == walk_shown;
    walk_->setVisible(!walking || look_.scale() <= roomy_text);
    // Large text needs the room: what it says stands in the steps too.
    sub_->setVisible(look_.scale() <= roomy_text);
    title_->setWordWrap(look_.scale() > roomy_text);
    if (walking) {
        title_->setText(tr("Walk a seam"));
        sub_->setText(tr("stitching line on stitching line, darts closed"));
        return;
    }
    if (views_->chosen() == 2) {
        title_->setText(tr("Finished"));
        sub_->setText(tr("everything that is accepted, over the pattern as bought"));
        return;
    }
    if (views_->chosen() == 0) {
        title_->setText(tr("As bought"));
        sub_->setText(room_.print_label().sizes);
        return;
    }
    title_->setText(tr("Tracing"));
    sub_->setText(room_.print_label().sizes);
    if (const PlanLine* l = room_.step_here().line) {
        const QString name = words::adjustment_name(l->kind);
        const QString amounts = words::amounts_brief(c, *l, look_.unit());
        // Amounts of several things say themselves what they are of.
        const bool listed = unlike_places(adjustment(l->kind));
        title_->setText(listed ? name : name + "  " + amounts);
        sub_->setText(listed ? amounts : words::way_or_meaning(l->kind, l->method, has_gores(c.altered.pieces)));
    }
}

void PaperStation::keyPressEvent(QKeyEvent* e)
{
    const auto act = act_for(At::Paper, *e);
    if (!act || !take_key(*act)) QWidget::keyPressEvent(e);
}

bool PaperStation::take_key(Act act)
{
    constexpr double pan = 40;
    const QPointF middle{canvas_->width() / 2.0, canvas_->height() / 2.0};
    switch (act) {
        case Act::StepBefore: go(room_.step() - 1); return true;
        case Act::StepAfter:
        case Act::StepDone: go(room_.step() + 1); return true;
        case Act::PanLeft: canvas_->pan({pan, 0}); return true;
        case Act::PanRight: canvas_->pan({-pan, 0}); return true;
        case Act::PanUp: canvas_->pan({0, pan}); return true;
        case Act::PanDown: canvas_->pan({0, -pan}); return true;
        case Act::AsBought: show_view(views_->chosen() == 0 ? 1 : 0); return true;
        case Act::FinishedPaper: show_view(2); return true;
        case Act::RollSeam:
            show_view(walk_shown);
            rolling_->play();
            return true;
        case Act::ZoomToCut: canvas_->zoom_to_step(); return true;
        case Act::ZoomToWhole: canvas_->whole(); return true;
        case Act::BreakLegs: canvas_->break_legs(!canvas_->breaks_legs()); return true;
        case Act::PlayStep: play(); return true;
        case Act::Large: enlarge(); return true;
        case Act::Lengths: canvas_->set_measures(!canvas_->measures()); return true;
        case Act::Seams:
            if (!walk_->isVisible()) show_view(1);
            walk_->setFocus();
            return true;
        case Act::ZoomIn: canvas_->zoom(1.25, middle); return true;
        case Act::ZoomOut: canvas_->zoom(0.8, middle); return true;
        default: return false;
    }
}

}  // namespace sartorum::desk
