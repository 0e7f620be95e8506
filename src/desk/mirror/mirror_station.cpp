#include "desk/mirror/mirror_station.h"

#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/mirror/by_hand_view.h"
#include "desk/mirror/causes_view.h"
#include "desk/mirror/gate_view.h"
#include "desk/mirror/mirror_dialogs.h"
#include "desk/mirror/notes_view.h"
#include "desk/mirror/photo_face.h"
#include "desk/mirror/sight_place.h"
#include "desk/mirror/toile_figure.h"
#include "desk/shared/empty_state.h"
#include "desk/shared/when_shown.h"
#include "formats/text_file.h"
#include "formats/try_on_json.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr std::size_t most_near = 8;
enum { seen_view, by_hand_view, measured_view, versions_view };  // beside the figure

}  // namespace

MirrorStation::MirrorStation(Look& look, Room& room, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, state_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Mirror"));
    auto* outer = new QVBoxLayout{this};
    outer->setContentsMargins(0, 0, 0, 0);
    empty_ = new EmptyState{look,
                            tr("There is no plan to sew a toile of yet."),
                            tr("A pattern, a chart and a wearer make a plan; a toile shows what the tape cannot."),
                            {{tr("To Plan"), [this] { emit plan_wanted(); }}},
                            this};
    none_yet_ = new EmptyState{
        look,
        tr("Nobody has worn this yet."),
        tr("Sew a toile that can be read: what to sew, which lines to draw on it, where to leave more allowance. "
           "Then put "
           "it on, and say what you see."),
        {{tr("The toile sheet"), [this] { emit sheet_wanted(); }}, {tr("Note a try-on"), [this] { begin(); }}},
        this};
    work_ = new QWidget{this};
    auto* row = new QHBoxLayout{work_};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(12);
    row->addWidget(build_picture(), 1);
    row->addWidget(build_beside());
    row->addWidget(build_causes());
    outer->addWidget(empty_);
    outer->addWidget(none_yet_);
    outer->addWidget(work_);
    connect(&state_, &MirrorState::changed, this, [this] { refresh(); });
    refresh_when_shown(
        this, [this] { state_.refresh(); }, room, look);
    state_.refresh();
}

QWidget* MirrorStation::build_picture()
{
    auto* panel = new Panel{look_, work_};
    auto* column = new QVBoxLayout{panel};
    column->setContentsMargins(16, 10, 16, 10);
    column->setSpacing(5);
    auto* head = new QHBoxLayout;
    title_ = heading(look_, {}, 20, panel);
    title_->setObjectName("toile_title");
    earlier_ = new Button{look_, "\u2039", ButtonKind::Small, panel};
    earlier_->setAccessibleName(tr("The toile before"));
    earlier_->setObjectName("toile_before");
    later_ = new Button{look_, "\u203A", ButtonKind::Small, panel};
    later_->setAccessibleName(tr("The toile after"));
    later_->setObjectName("toile_after");
    new_ = new Button{look_, tr("New try-on"), ButtonKind::Small, panel};
    new_->setObjectName("new_try_on");
    head->addWidget(title_, 1);
    head->addWidget(earlier_);
    head->addWidget(later_);
    column->addLayout(head);
    detail_ = caption(look_, {}, panel);
    detail_->setWordWrap(true);
    detail_->setObjectName("toile_detail");
    column->addWidget(detail_);
    auto* which = new QHBoxLayout;
    faces_ = new Choices{look_,
                         {tr("Front and back"), tr("Both sides"), tr("Sleeves"), tr("Photographs")},
                         tr("How she is seen"),
                         panel};
    faces_->setObjectName("mirror_faces");
    faces_->wrap();
    which->addWidget(faces_);
    which->addStretch();
    column->addLayout(which);
    figure_ = new ToileFigure{look_, state_, panel};
    photo_ = new PhotoFace{look_, state_, panel};
    photo_->hide();
    column->addWidget(figure_, 1);
    column->addWidget(photo_, 1);
    foot_ = new QBoxLayout{QBoxLayout::LeftToRight};
    auto* of_this = new QHBoxLayout;
    entry_ = new Button{look_, tr("About it"), ButtonKind::Small, panel};
    entry_->setObjectName("change_try_on");
    forget_ = new Button{look_, tr("Forget it"), ButtonKind::Small, panel};
    forget_->setObjectName("forget_try_on");
    foot_->addWidget(new_, 0, Qt::AlignLeft);
    of_this->addWidget(entry_);
    of_this->addWidget(forget_);
    save_ = new Button{look_, tr("Save it"), ButtonKind::Small, panel};
    save_->setObjectName("save_try_on");
    of_this->addWidget(save_);
    of_this->addStretch();
    foot_->addLayout(of_this);
    column->addLayout(foot_);
    saved_ = label(look_, {}, 14, true, panel);
    saved_->setWordWrap(true);
    saved_->setObjectName("try_on_saved");
    saved_->hide();
    column->addWidget(saved_);
    connect(save_, &Button::clicked, this, &MirrorStation::save_entry);
    connect(faces_, &Choices::picked, this, [this](int i) { show_face(static_cast<MirrorFace>(i)); });
    connect(figure_, &ToileFigure::pointed, this, &MirrorStation::point_at);
    connect(new_, &Button::clicked, this, &MirrorStation::begin);
    connect(entry_, &Button::clicked, this, &MirrorStation::change_entry);
    connect(forget_, &Button::clicked, this, &MirrorStation::forget_entry);
    connect(earlier_, &Button::clicked, this, [this] { state_.go_to(state_.number() - 1); });
    connect(later_, &Button::clicked, this, [this] { state_.go_to(state_.number() + 1); });
    return panel;
}

QWidget* MirrorStation::build_beside()
{
    auto* panel = new Panel{look_, work_};
    panel->setFixedWidth(338);
    auto* column = new QVBoxLayout{panel};
    column->setContentsMargins(14, 10, 14, 10);
    column->setSpacing(6);
    beside_ = new Choices{
        look_, {tr("Seen"), tr("By hand"), tr("Measured"), tr("Versions")}, tr("What is shown here"), panel};
    beside_->setObjectName("mirror_beside");
    beside_->wrap();
    auto* head = new QHBoxLayout;
    head->addWidget(beside_);
    head->addStretch();
    column->addLayout(head);
    notes_ = new NotesView{look_, state_, panel};
    by_hand_ = new ByHandView{look_, state_, panel};
    versions_ = new VersionsView{look_, room_, panel};
    column->addWidget(notes_, 1);
    column->addWidget(by_hand_, 1);
    column->addWidget(photo_->tools(), 1);
    column->addWidget(versions_, 1);
    photo_->tools()->setParent(panel);
    by_hand_->hide();
    photo_->tools()->hide();
    versions_->hide();
    connect(beside_, &Choices::picked, this, &MirrorStation::show_beside);
    connect(notes_, &NotesView::add_wanted, this, &MirrorStation::add_note);
    return panel;
}

QWidget* MirrorStation::build_causes()
{
    auto* side = new QWidget{work_};
    side->setFixedWidth(366);
    auto* column = new QVBoxLayout{side};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(12);
    const auto [frame, inside, rows, foot] = pad_beside(look_, 366, side);
    causes_ = new CausesView{look_, state_, inside};
    rows->addWidget(causes_);
    column->addWidget(frame, 1);
    gate_ = new GateView{look_, room_, side};
    column->addWidget(gate_);
    connect(causes_, &CausesView::plan_wanted, this, &MirrorStation::plan_wanted);
    connect(gate_, &GateView::sheet_wanted, this, &MirrorStation::sheet_wanted);
    return side;
}

MirrorFace MirrorStation::face() const
{
    return static_cast<MirrorFace>(faces_->chosen());
}

void MirrorStation::show_face(MirrorFace face)
{
    using enum MirrorFace;
    const bool was_photo = this->face() == Photographs;
    const bool photo = face == Photographs;
    faces_->choose(static_cast<int>(face));
    if (photo) show_beside(measured_view);
    if (was_photo && !photo && beside_->chosen() == measured_view) show_beside(seen_view);
    figure_->setVisible(!photo);
    photo_->setVisible(photo);
    if (!photo)
        figure_->see(face == Sleeves ? FigureView::Sleeves
                     : face == Sides ? FigureView::Sides
                                     : FigureView::FrontAndBack);
}

void MirrorStation::next_face()
{
    const auto next = static_cast<MirrorFace>((faces_->chosen() + 1) % 4);
    show_face(next == MirrorFace::Sleeves && !has_sleeve() ? MirrorFace::Photographs : next);
}

bool MirrorStation::has_sleeve() const
{
    return room_.computed() && wears_of(room_.computed()->altered).sleeve;
}

// Where that is seen.
MirrorFace MirrorStation::face_of(Sight s) const
{
    switch (facts(s).from) {
        case SeenFrom::Side: return MirrorFace::Sides;
        case SeenFrom::Sleeve: return has_sleeve() ? MirrorFace::Sleeves : MirrorFace::FrontAndBack;
        case SeenFrom::Front:
        case SeenFrom::Back: break;
    }
    return MirrorFace::FrontAndBack;
}

void MirrorStation::show_beside(int view)
{
    beside_->choose(view);
    notes_->setVisible(view == seen_view);
    by_hand_->setVisible(view == by_hand_view);
    photo_->tools()->setVisible(view == measured_view);
    versions_->setVisible(view == versions_view);
    if (view == versions_view) versions_->refresh();
    if (view == measured_view && face() != MirrorFace::Photographs) show_face(MirrorFace::Photographs);
}

void MirrorStation::begin()
{
    if (!room_.computed()) return;
    TryOnDialog{look_, state_, {}, this}.exec();
}

void MirrorStation::change_entry()
{
    if (state_.here()) TryOnDialog{look_, state_, state_.entry(), this}.exec();
}

void MirrorStation::forget_entry()
{
    if (!state_.here()) return;
    QMessageBox question{
        QMessageBox::Question, tr("Forget this try-on?"),
        tr("Its notes and photographs go with it; the version of the plan stays. Undo brings it back."),
        QMessageBox::NoButton, this};
    auto* forget = question.addButton(tr("Forget it"), QMessageBox::AcceptRole);
    auto* leave = question.addButton(tr("Leave it"), QMessageBox::RejectRole);
    question.setDefaultButton(leave);
    question.exec();
    if (question.clickedButton() == forget) room_.forget_try_on(state_.here()->id);
}

void MirrorStation::save_entry()
{
    if (!state_.here()) return;
    const QString path = QFileDialog::getSaveFileName(
        this, tr("Save the try-on"), QString{"toile-%1.json"}.arg(state_.number()), tr("Try-on (*.json)"));
    if (path.isEmpty()) return;
    bool photographs = false;
    if (!room_.book().photos(state_.here()->id).empty()) {
        QMessageBox question{QMessageBox::Question, tr("Its photographs too?"),
                             tr("A photograph shows somebody. It is left out unless you ask for it."),
                             QMessageBox::NoButton, this};
        auto* without = question.addButton(tr("Without them"), QMessageBox::RejectRole);
        auto* with = question.addButton(tr("With them"), QMessageBox::AcceptRole);
        question.setDefaultButton(without);
        question.exec();
        photographs = question.clickedButton() == with;
    }
    write_entry(path, photographs);
}

void MirrorStation::write_entry(const QString& path, bool photographs)
{
    if (!state_.here()) return;
    const auto say = [&](const QString& text) {
        saved_->setText(text);
        saved_->show();
    };
    // The file dialog has asked whether what is there may go.
    const auto text = QByteArray::fromStdString(formats::try_on_json(state_.entry()).dump(2) + "\n");
    if (const auto ok = formats::write_file(path, text, formats::IfThere::Replace); !ok)
        return say(words::refusal(ok.error(), look_.unit()));
    int n = 0;
    const QFileInfo file{path};
    for (const auto& p :
         photographs ? room_.book().photos(state_.here()->id) : std::vector<notebook::KeptPhoto>{}) {
        const auto picture = room_.book().picture(p.blob);
        if (!picture) continue;
        const QString name = file.dir().filePath(QString{"%1-%2.jpg"}.arg(file.completeBaseName()).arg(++n));
        // Nobody was asked about these: one that is there stays.
        if (const auto ok = formats::write_file(name, *picture, formats::IfThere::Refuse); !ok)
            return say(words::refusal(ok.error(), look_.unit()));
    }
    say(n == 0 ? tr("Saved %1, without photographs.").arg(file.fileName())
               : tr("Saved %1 and its photographs.").arg(file.fileName()));
}

void MirrorStation::add_note()
{
    if (!state_.here()) return begin();
    const auto first = figure_->view() == FigureView::Sides     ? std::optional{SeenFrom::Side}
                       : figure_->view() == FigureView::Sleeves ? std::optional{SeenFrom::Sleeve}
                                                                : std::nullopt;
    SightDialog dialog{look_, state_.sights(), first, this};
    if (dialog.exec() == QDialog::Accepted && dialog.chosen()) add_sight(*dialog.chosen(), {}, {});
}

// What is usual near the place somebody points at, nearest first; the list has the rest.
void MirrorStation::point_at(SeenFrom from, FigurePoint at, std::optional<Side> side, QPoint on_screen)
{
    if (!state_.here()) return;
    const auto off = [&](Sight s) {
        const QPointF usual = place_of(s).at;
        const double x = facts(s).sided && !from_a_side(from) ? std::abs(at.x) : at.x;
        return std::hypot(usual.x() - x, usual.y() - at.y);
    };
    std::vector<Sight> near;
    for (const auto s : state_.sights()) {
        if (facts(s).from == from) near.push_back(s);
    }
    std::sort(near.begin(), near.end(), [&](Sight a, Sight b) { return off(a) < off(b); });
    if (near.size() > most_near) near.resize(most_near);
    QMenu menu{this};
    menu.setObjectName("sights_near");
    menu.setAccessibleName(tr("What is seen there?"));
    for (const auto s : near) {
        auto* act = menu.addAction(words::sight_name(s));
        connect(act, &QAction::triggered, this, [this, s, at, side, from] {
            const bool sided = facts(s).sided;
            const FigurePoint where = sided && !from_a_side(from) ? FigurePoint{std::abs(at.x), at.y} : at;
            add_sight(s, where, sided ? side : std::nullopt);
        });
    }
    menu.addSeparator();
    connect(menu.addAction(tr("Something else…")), &QAction::triggered, this, &MirrorStation::add_note);
    menu.exec(on_screen);
}

void MirrorStation::add_sight(Sight s, std::optional<FigurePoint> at, std::optional<Side> side)
{
    show_face(face_of(s));
    show_beside(seen_view);
    state_.add({{s, Strength::Clear, side}, Moment::Standing, Since::New, at, {}});
    notes_->list().setFocus();
}

// In a narrow window, or with large text, in two rows.
void MirrorStation::fit_foot()
{
    constexpr int roomy = 1120;
    const bool narrow = look_.scale() > roomy_text || width() < roomy;
    foot_->setDirection(narrow ? QBoxLayout::TopToBottom : QBoxLayout::LeftToRight);
}

void MirrorStation::resizeEvent(QResizeEvent*)
{
    fit_foot();
}

void MirrorStation::refresh()
{
    const bool can = room_.computed().has_value();
    const auto* k = state_.here();
    empty_->setVisible(!can);
    none_yet_->setVisible(can && !k);
    work_->setVisible(can && k);
    if (!can || !k) return;
    fit_foot();
    title_->setText(tr("Toile %1 on %2").arg(state_.number()).arg(room_.wearer_name()));
    QStringList detail{words::day_in_words(k->entry.date), words::put_on_name(k->entry.what)};
    if (!k->entry.cloth.empty()) detail << tr("in %1").arg(QString::fromStdString(k->entry.cloth));
    QStringList moments;
    for (const auto m : k->entry.moments) moments << words::moment_name(m);
    detail << moments;
    if (!k->entry.worn.empty()) detail << tr("over %1").arg(QString::fromStdString(k->entry.worn));
    if (!k->entry.words.empty()) detail << QString::fromStdString(k->entry.words);
    detail_->setText(detail.join(", "));
    earlier_->setVisible(state_.count() > 1);
    later_->setVisible(state_.count() > 1);
    earlier_->setEnabled(state_.number() > 1);
    later_->setEnabled(!state_.is_newest());
    faces_->offer({true, true, has_sleeve(), true});
    if (face() == MirrorFace::Sleeves && !has_sleeve()) show_face(MirrorFace::FrontAndBack);
    if (shown_entry_ != k->id) {
        saved_->hide();
        if (k->entry.what == PutOn::Sleeve && has_sleeve()) show_face(MirrorFace::Sleeves);
    }
    shown_entry_ = k->id;
    // The note in hand is seen.
    if (const int i = state_.chosen(); i >= 0 && i != shown_note_ && face() != MirrorFace::Photographs)
        show_face(face_of(state_.notes()[static_cast<std::size_t>(i)].seen.sight));
    shown_note_ = state_.chosen();
    gate_->refresh();
    if (versions_->isVisible()) versions_->refresh();
}

void MirrorStation::keyPressEvent(QKeyEvent* e)
{
    const auto act = act_for(At::Mirror, *e);
    if (!room_.computed() || !act || !take_key(*act, e->key() - Qt::Key_1)) QWidget::keyPressEvent(e);
}

bool MirrorStation::take_key(Act act, int digit)
{
    switch (act) {
        case Act::NewNote: add_note(); return true;
        case Act::NewTryOn: begin(); return true;
        case Act::NextLine:
        case Act::LineBack:
            if (photo_->isVisible()) photo_->next_line(act == Act::LineBack ? -1 : 1);
            return true;
        case Act::ToileBefore: state_.go_to(state_.number() - 1); return true;
        case Act::ToileAfter: state_.go_to(state_.number() + 1); return true;
        default: break;
    }
    // The rest is about a toile.
    const bool some = state_.here() != nullptr;
    const auto turn_beside = [&](int view) { show_beside(beside_->chosen() == view ? int{seen_view} : view); };
    switch (act) {
        case Act::ToNote:
            if (some) state_.choose(digit);
            return some;
        case Act::TakeTest:
            if (some) causes_->take_test();
            return true;
        case Act::Causes:
            if (some) causes_->list().setFocus();
            return true;
        case Act::Gate:
            if (some) gate_->take_focus();
            return true;
        case Act::NextFace:
            if (some) next_face();
            return true;
        case Act::ByHand:
            if (some) turn_beside(by_hand_view);
            return true;
        case Act::Versions:
            if (some) turn_beside(versions_view);
            return true;
        default: return false;
    }
}

}  // namespace sartorum::desk
