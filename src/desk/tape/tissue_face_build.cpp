// How the second face is laid out.
#include <QHBoxLayout>
#include <QVBoxLayout>

#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "desk/tape/paper_says.h"
#include "desk/tape/tissue_face.h"
#include "desk/tape/tissue_lens.h"
#include "desk/tape/tissue_picture.h"
#include "desk/tape/tissue_written.h"
#include "words/tissue.h"

namespace sartorum::desk {

TissueFace::TissueFace(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    row->addWidget(build_table(), 1);
    row->addWidget(build_pad());
    refresh_when_shown(
        this, [this] { refresh(); }, room, look);
    refresh();
}

QWidget* TissueFace::build_table()
{
    auto* table = new Panel{look_, this};
    auto* column = new QVBoxLayout{table};
    column->setContentsMargins(14, 12, 14, 10);
    column->setSpacing(6);
    auto* top = new QHBoxLayout;
    face_ = new Choices{look_, {tr("The wearer"), tr("The paper")}, tr("Who or what is measured"), table};
    face_->setObjectName("face_of_paper");
    face_->choose(1);
    face_->wrap();
    connect(face_, &Choices::picked, this, [this](int i) {
        face_->choose(1);
        if (i == 0) emit wearer_wanted();
    });
    top->addWidget(face_);
    top->addStretch();
    QStringList kinds;
    for (const auto k : {TissueKind::Skirt, TissueKind::Bodice, TissueKind::Dress, TissueKind::Trousers,
                         TissueKind::AllInOne, TissueKind::Girth})
        kinds << words::tissue_kind(k);
    kinds_ = new Choices{look_, kinds, tr("What is measured flat"), table};
    kinds_->setObjectName("tissue_kinds");
    kinds_->wrap();
    connect(kinds_, &Choices::picked, this, [this](int i) { take_up(static_cast<TissueKind>(i)); });
    top->addWidget(kinds_);
    column->addLayout(top);
    empty_ =
        new EmptyState{look_,
                       tr("No tissue lies here yet."),
                       tr("Measured flat, line by line, darts open, it becomes a drawing. What do you have?"),
                       {{tr("A skirt"), [this] { take_up(TissueKind::Skirt); }},
                        {tr("A bodice, with or without a sleeve"), [this] { take_up(TissueKind::Bodice); }},
                        {tr("A dress with a seam at the waist"), [this] { take_up(TissueKind::Dress); }},
                        {tr("Trousers"), [this] { take_up(TissueKind::Trousers); }},
                        {tr("An all-in-one with a seam at the waist"), [this] { take_up(TissueKind::AllInOne); }},
                        {tr("One girth of any garment"), [this] { take_up(TissueKind::Girth); }}},
                       table};
    column->addWidget(empty_, 1);
    picture_ = new TissuePicture{look_, table};
    picture_->setObjectName("tissue_picture");
    column->addWidget(picture_, 1);
    said_of_it_ = caption(look_, {}, table);
    column->addWidget(said_of_it_);
    connect(picture_, &TissuePicture::picked, this, &TissueFace::go_to);
    return table;
}

QWidget* TissueFace::build_pad()
{
    const auto [frame, pad, column, foot] = pad_beside(look_, 368, this);
    column->setSpacing(5);
    pages_ = new Choices{look_, {tr("Line by line"), tr("Written on it")}, tr("What is shown here"), pad};
    pages_->setObjectName("tissue_pages");
    pages_->wrap();
    connect(pages_, &Choices::picked, this, &TissueFace::show_page);
    auto* head = new QHBoxLayout;
    head->addWidget(pages_);
    head->addStretch();
    column->addLayout(head);
    line_page_ = build_line(pad);
    column->addWidget(line_page_);
    written_ = new TissueWritten{look_, room_, pad};
    column->addWidget(written_);
    connect(written_, &TissueWritten::done, this, &TissueFace::resume);
    auto* says = new QHBoxLayout;
    says_title_ = heading(look_, {}, 16, pad);
    says->addWidget(says_title_, 1);
    chart_ = new Button{look_, tr("Put on the chart"), ButtonKind::Small, pad};
    chart_->setObjectName("put_on_chart");
    connect(chart_, &Button::clicked, this, &TissueFace::put_on_chart);
    says->addWidget(chart_);
    column->addLayout(says);
    says_ = new PaperSays{look_, pad};
    column->addWidget(says_);
    column->addStretch();
    build_acts(foot, frame);
    work_ = frame;
    return frame;
}

QWidget* TissueFace::build_line(QWidget* parent)
{
    auto* page = new QWidget{parent};
    auto* column = new QVBoxLayout{page};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(5);
    auto* top = new QHBoxLayout;
    title_ = heading(look_, {}, 21, page);
    top->addWidget(title_, 1);
    count_ = caption(look_, {}, page);
    count_->setWordWrap(false);
    top->addWidget(count_, 0, Qt::AlignRight | Qt::AlignVCenter);
    column->addLayout(top);
    field_ = new LengthField{look_, tr("What it measures"), page};
    field_->edit().setObjectName("tissue_value");
    field_->edit().setProperty("hero", true);
    field_->edit().installEventFilter(this);
    connect(field_, &LengthField::entered, this, &TissueFace::keep);
    connect(field_, &LengthField::cleared, this, [this] {
        if (current_) room_.keep_line(*current_, {});
    });
    connect(field_, &LengthField::enter_pressed, this, &TissueFace::keep_and_go_on);
    connect(&field_->edit(), &QLineEdit::textEdited, this, [this] {
        objected_ = false;
        refresh_picture();
        refresh_acts();
        settle();
    });
    column->addWidget(field_);
    how_ = label(look_, {}, 14, false, page);
    how_->setObjectName("tissue_how");
    column->addWidget(how_);
    lens_ = new TissueLens{look_, page};
    column->addWidget(lens_);
    sense_ = label(look_, {}, 14, false, page);
    sense_->setObjectName("tissue_sense");
    column->addWidget(sense_);
    return page;
}

void TissueFace::build_acts(QVBoxLayout* foot, QWidget* frame)
{
    trouble_ = label(look_, {}, 14, true, frame);
    trouble_->setObjectName("tissue_trouble");
    foot->addWidget(trouble_);
    const auto button = [&](const QString& text, ButtonKind kind, const char* object, auto act) {
        auto* b = new Button{look_, text, kind, frame};
        b->setObjectName(object);
        connect(b, &Button::clicked, this, act);
        return b;
    };
    keep_ = button({}, ButtonKind::Primary, "keep_line", [this] {
        if (pages_->chosen() == 0) return keep_and_go_on();
        resume();
    });
    lacking_ = button(tr("No such line"), ButtonKind::Plain, "no_such_line", [this] { lacking(); });
    assumed_ = button(tr("Go on, assumed"), ButtonKind::Plain, "leave_assumed", [this] { leave_assumed(); });
    ways_on_ = new QHBoxLayout;
    ways_on_->addWidget(lacking_);
    ways_on_->addWidget(assumed_);
    foot->addWidget(keep_);
    foot->addLayout(ways_on_);
    draw_ = button({}, ButtonKind::Plain, "draw_tissue", [this] { draw_it(); });
    another_ = button(tr("Begin another"), ButtonKind::Small, "another_tissue", [this] {
        if (room_.tissue()) room_.begin_tissue(room_.tissue()->kind);
        show_page(1);
        written_->focus_name();
    });
    foot->addWidget(draw_);
    foot->addWidget(another_, 0, Qt::AlignLeft);
}

}  // namespace sartorum::desk
