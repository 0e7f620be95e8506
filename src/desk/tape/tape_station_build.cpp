// How the station is laid out.
#include "desk/tape/tape_station.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QShortcut>
#include <QVBoxLayout>

#include "desk/shared/acts.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "desk/tape/dialogs.h"
#include "desk/tape/figure.h"
#include "desk/tape/pad_parts.h"
#include "desk/tape/tape_link.h"
#include "desk/tape/tissue_face.h"
#include "formats/tape_protocol.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// A heading with a small button at its right.
Button* section(QVBoxLayout* column, Look& look, QWidget* pad, const QString& title, const QString& act,
                const char* object)
{
    auto* row = new QHBoxLayout;
    row->addWidget(heading(look, title, 16, pad), 1);
    auto* button = new Button{look, act, ButtonKind::Small, pad};
    button->setObjectName(object);
    row->addWidget(button);
    column->addLayout(row);
    return button;
}

}  // namespace

TapeStation::TapeStation(Look& look, Room& room, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, link_{new TapeLink{this}}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    empty_ = new EmptyState{look,
                            tr("Nobody has been measured yet."),
                            tr("A skirt starts with four numbers: waist, hip, how far apart they lie, and how "
                               "long it should be. A dress "
                               "asks for twenty, and leads you through them. Who is it for?"),
                            {{tr("Write a name"), [this] { emit wearer_wanted(); }},
                             {tr("Measure a tissue flat"), [this] { lay_paper(); }}},
                            this};
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(14);
    figure_ = new Figure{look, room, work_};
    QStringList rounds{tr("This pattern")};
    for (const auto r : all_rounds) rounds << words::round_name(r);
    rounds_ = new Choices{look, rounds, tr("Round of measures"), figure_};
    rounds_->setObjectName("rounds");
    rounds_->wrap();
    auto* over = new QVBoxLayout{figure_};
    over->setContentsMargins(14, 12, 14, 0);
    auto* top = new QHBoxLayout;
    auto* face = new Choices{look, {tr("The wearer"), tr("The paper")}, tr("Who or what is measured"), figure_};
    face->setObjectName("face_of_wearer");
    connect(face, &Choices::picked, this, [this, face](int i) {
        face->choose(0);
        if (i == 1) lay_paper();
    });
    face->wrap();
    top->addWidget(face, 0, Qt::AlignTop);
    top->addStretch();
    top->addWidget(rounds_, 0, Qt::AlignTop);
    over->addLayout(top);
    over->addStretch();
    inner->addWidget(figure_, 1);
    inner->addWidget(build_pad());
    row->addWidget(empty_);
    row->addWidget(work_);
    connect(rounds_, &Choices::picked, this, [this](int i) {
        room_.walk_round(i == 0 ? std::nullopt : std::optional{all_rounds[static_cast<std::size_t>(i - 1)]});
        resume();
    });
    connect(figure_, &Figure::picked, this, [this](Measure m) { go_to(m); });
    connect(link_, &TapeLink::live, this, [this](Length l) { hero_->show_live(l); });
    connect(link_, &TapeLink::pressed, this, &TapeStation::take_pressed);
    connect(link_, &TapeLink::changed, this, [this] {
        hero_->show_live({});
        refresh_sections();
    });
    connect(link_, &TapeLink::trouble, this, [this](const QString& why) { say_live(why); });
    auto* face_key = new QShortcut{this};
    face_key->setKeys(row_of(Act::OtherFace).keys);
    face_key->setContext(Qt::WidgetWithChildrenShortcut);
    connect(face_key, &QShortcut::activated, this, &TapeStation::turn_over);
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

QWidget* TapeStation::build_pad()
{
    const auto [frame, inside, outer, foot] = pad_beside(look_, 368, work_);
    outer->setSpacing(5);
    pages_ = new Choices{look_, {tr("This measure"), tr("The day, the tape")}, tr("What is shown here"), inside};
    pages_->setObjectName("tape_pages");
    pages_->wrap();
    connect(pages_, &Choices::picked, this, &TapeStation::show_page);
    outer->addWidget(pages_);
    measure_page_ = new QWidget{inside};
    day_page_ = new QWidget{inside};
    outer->addWidget(measure_page_);
    outer->addWidget(day_page_);
    outer->addStretch();
    auto* pad = measure_page_;
    auto* column = new QVBoxLayout{pad};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    auto* top = new QHBoxLayout;
    title_ = heading(look_, {}, 21, pad);
    top->addWidget(title_, 1);
    sides_ = new Choices{look_, {tr("right"), tr("left")}, tr("Side of the body"), pad};
    sides_->setObjectName("side");
    connect(sides_, &Choices::picked, this, [this](int i) { go_to(current_, i == 1 ? Side::Left : Side::Right); });
    top->addWidget(sides_);
    column->addLayout(top);
    term_ = caption(look_, {}, pad);
    column->addWidget(term_);
    hero_ = new Hero{look_, pad};
    column->addWidget(hero_);
    sure_ = caption(look_, {}, pad);
    column->addWidget(sure_);
    build_readings(column, pad);
    build_sections(column, pad);
    auto* day = new QVBoxLayout{day_page_};
    day->setContentsMargins(0, 4, 0, 0);
    build_day(day, day_page_);
    show_page(0);
    next_button_ = new Button{look_, tr("Next measure"), ButtonKind::Primary, frame};
    next_button_->setObjectName("next_measure");
    connect(next_button_, &Button::clicked, this, &TapeStation::next);
    foot->addWidget(next_button_);
    return frame;
}

void TapeStation::build_readings(QVBoxLayout* column, QWidget* pad)
{
    auto* cells = new QHBoxLayout;
    cells->setSpacing(8);
    const QString names[] = {tr("1st reading"), tr("2nd reading"), tr("3rd reading")};
    for (std::size_t i = 0; i < 3; ++i) {
        auto* box = new QWidget{pad};
        auto* stack = new QVBoxLayout{box};
        stack->setContentsMargins(0, 0, 0, 0);
        stack->setSpacing(2);
        stack->addWidget(caption(look_, names[i], box));
        cells_[i] = new LengthField{look_, names[i], box};
        cells_[i]->edit().setObjectName(QString{"reading%1"}.arg(i + 1));
        cells_[i]->edit().setProperty("large", true);
        cells_[i]->edit().installEventFilter(this);
        cells_[i]->check = [this](Length l) -> std::optional<Refusal> {
            const auto ok = check_reading(current_, l);
            return ok ? std::nullopt : std::optional{ok.error()};
        };
        connect(cells_[i], &LengthField::entered, this, [this, i](Length l) { keep(i, l); });
        connect(cells_[i], &LengthField::cleared, this, [this, i] { remove(i); });
        connect(cells_[i], &LengthField::enter_pressed, this, [this, i] {
            const auto taken = room_.body().taken(current_, side_);
            if (!cells_[i]->value()) {
                if (taken && !taken->settled() && cells_[i]->edit().text().isEmpty())
                    cells_[i]->say(tr("Read it once more, and type it here."), false);
                return;
            }
            // On to the reading this measure still wants, else to the next measure.
            if (taken && !taken->settled()) return ask_reading();
            next();
        });
        stack->addWidget(cells_[i]);
        box->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Maximum);
        cell_boxes_[i] = box;
        cells->addWidget(box, 1, Qt::AlignTop);
    }
    column->addLayout(cells);
    strip_ = new ReadingStrip{look_, pad};
    column->addWidget(strip_);
    state_ = label(look_, {}, 14, true, pad);
    column->addWidget(state_);
    live_ = caption(look_, {}, pad);
    live_->setObjectName("tape_live");
    live_->hide();
    column->addWidget(live_);
    sense_ = label(look_, {}, 14, false, pad);
    sense_->setObjectName("sense");
    sense_->setAutoFillBackground(true);
    sense_->setMargin(8);
    column->addWidget(sense_);
}

void TapeStation::build_sections(QVBoxLayout* column, QWidget* pad)
{
    column->addWidget(heading(look_, tr("How to hold it"), 16, pad));
    how_ = label(look_, {}, 14, false, pad);
    column->addWidget(how_);
    dates_button_ = section(column, look_, pad, tr("Over time"), tr("Two dates"), "two_dates");
    connect(dates_button_, &Button::clicked, this, [this] { DatesDialog{look_, room_, this}.exec(); });
    trend_ = new Trend{look_, pad};
    column->addWidget(trend_);
    history_ = caption(look_, {}, pad);
    column->addWidget(history_);
}

// What is said once for the whole round.
void TapeStation::build_day(QVBoxLayout* column, QWidget* pad)
{
    column->setSpacing(6);
    auto* check = section(column, look_, pad, tr("Tape check"), tr("By a ruler"), "tape_check");
    connect(check, &Button::clicked, this, [this] { TapeCheckDialog{look_, room_, this}.exec(); });
    check_ = caption(look_, {}, pad);
    column->addWidget(check_);
    column->addSpacing(10);
    auto* day = section(column, look_, pad, tr("The day and the body"), tr("Write down"), "the_day");
    connect(day, &Button::clicked, this, [this] { DayDialog{look_, room_, this}.exec(); });
    day_ = caption(look_, {}, pad);
    column->addWidget(day_);
    column->addSpacing(10);
    link_button_ = section(column, look_, pad, tr("Digital tape"), tr("Connect"), "connect_tape");
    connect(link_button_, &Button::clicked, this, [this] {
        if (link_->state() == TapeLink::State::Away)
            connect_tape(formats::usual_tape_socket());
        else
            link_->put_down();
    });
    column->addWidget(caption(look_, tr("Typing comes first; a digital tape can send readings too."), pad));
}

TissueFace& TapeStation::paper()
{
    if (paper_) return *paper_;
    paper_ = new TissueFace{look_, room_, this};
    layout()->addWidget(paper_);
    connect(paper_, &TissueFace::wearer_wanted, this, [this] {
        turn(false);
        resume();
    });
    connect(paper_, &TissueFace::drawn, this, &TapeStation::drawn);
    return *paper_;
}

void TapeStation::say_live(const QString& text)
{
    live_->setText(text);
    live_->setVisible(!text.isEmpty());
}

void TapeStation::show_page(int page)
{
    pages_->choose(page);
    measure_page_->setVisible(page == 0);
    day_page_->setVisible(page == 1);
}

}  // namespace sartorum::desk
