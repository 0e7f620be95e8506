#include "desk/plan/pad/change_pad.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <utility>

#include "core/alter/kit/shared.h"
#include "core/pattern/gore.h"
#include "desk/plan/beside/chain_boxes.h"
#include "desk/plan/pad/place_fields.h"
#include "words/lines.h"
#include "words/sewn.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {

// The mark of the change at the head of its pad.
class MarkView : public QWidget {
public:
    MarkView(Look& look, QWidget* parent) : QWidget{parent}, look_{look} {}
    void show_mark(Shows standing, const QString& number)
    {
        standing_ = standing;
        number_ = number;
        const int side = static_cast<int>(28 * look_.scale());
        setFixedSize(side, side);
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        draw_mark(p, look_, QRectF{rect()}.center(), width() - 2.0, standing_, number_, false);
    }

private:
    Look& look_;
    Shows standing_{};
    QString number_;
};

ChangePad::ChangePad(Look& look, Room& room, OtherWay& other, QWidget* parent)
    : Panel{look, parent}, room_{room}, picture_{new ChangePicture{look, room, other}}
{
    build(scrolled(this));
}

void ChangePad::build(QWidget* inside)
{
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(14, 10, 12, 10);
    column->setSpacing(5);
    auto* head = new QHBoxLayout;
    head->setSpacing(8);
    mark_ = new MarkView{look_, inside};
    name_ = heading(look_, {}, 18, inside);
    name_->setWordWrap(true);
    toggle_ = new Toggle{look_, {}, inside};
    head->addWidget(mark_);
    head->addWidget(name_, 1);
    head->addWidget(toggle_);
    column->addLayout(head);
    const auto wrapped = [&](double px, bool strong) {
        auto* l = label(look_, {}, px, strong, inside);
        l->setWordWrap(true);
        column->addWidget(l);
        return l;
    };
    why_ = wrapped(14, false);
    state_ = wrapped(13.5, true);
    stale_ = wrapped(13.5, true);
    column->addWidget(picture_);
    meaning_ = caption(look_, {}, inside);
    meaning_->setWordWrap(true);
    column->addWidget(meaning_);
    fold_ = new FoldPicture{look_, FoldAsked::Whole, inside};
    column->addWidget(fold_);
    for (const auto side : both_sides) {
        for (const auto face : {Face::Front, Face::Back}) row(side, face) = amount_row(side, face, column);
    }
    places_said_ = wrapped(16, true);
    place_fields_ = new PlaceFields{look_, room_, inside};
    column->addWidget(place_fields_);
    auto* at_places = new QHBoxLayout;
    places_ = new Button{look_, tr("Its stations…"), ButtonKind::Small, inside};
    places_->setObjectName("places");
    at_places->addWidget(places_);
    at_places->addStretch();
    column->addLayout(at_places);
    connect(places_, &Button::clicked, this, &ChangePad::places_wanted);
    sides_said_ = wrapped(13.5, false);
    QStringList names;
    for (const auto w : {SidesWay::Usual, SidesWay::Apart, SidesWay::Larger}) names << words::sides_way_name(w);
    sides_way_ = new Choices{look_, names, tr("Right and left"), inside};
    sides_way_->wrap();
    column->addWidget(sides_way_);
    // One below the other: side by side they are wider than the pad.
    parting_ = new Button{look_, {}, ButtonKind::Small, inside};
    parting_faces_ = new Button{look_, {}, ButtonKind::Small, inside};
    for (auto* b : {parting_, parting_faces_}) column->addWidget(b, 0, Qt::AlignLeft);
    connect(sides_way_, &Choices::picked, this, &ChangePad::take_sides);
    connect(parting_, &Button::clicked, this, [this] { parted() ? join_sides() : part_sides(); });
    connect(parting_faces_, &Button::clicked, this, [this] { faces_parted() ? join_faces() : part_faces(); });
    ways_place_ = new QVBoxLayout;
    ways_place_->setContentsMargins(0, 2, 0, 0);
    column->addLayout(ways_place_);
    cost_ = caption(look_, {}, inside);
    cost_->setWordWrap(true);
    column->addWidget(cost_);
    refused_ = wrapped(13.5, true);
    warning_ = wrapped(13.5, false);
    chain_ = new ChainBoxes{look_, room_, inside};
    column->addWidget(chain_);
    auto* row = new QHBoxLayout;
    looked_ = new Button{look_, tr("Looked at: it stays"), ButtonKind::Small, inside};
    follow_ = new Button{look_, tr("As proposed"), ButtonKind::Small, inside};
    row->addWidget(looked_);
    row->addWidget(follow_);
    row->addStretch();
    column->addLayout(row);
    column->addStretch();
    connect(looked_, &Button::clicked, this, [this] { room_.looked_again(kind_); });
    // In the way that was chosen, and every amount as it is proposed.
    connect(follow_, &Button::clicked, this, [this] {
        Decision d = room_.plan().accepting(kind_, line()->part);
        d.amounts.clear();
        room_.decide(d);
    });
    connect(toggle_, &Toggle::clicked, this, &ChangePad::flip);
}

ChangePad::Row ChangePad::amount_row(Side side, Face face, QVBoxLayout* column)
{
    QWidget* inside = column->parentWidget();
    Row out;
    auto* row = new QHBoxLayout;
    row->setSpacing(4);
    out.name = label(look_, {}, 14, true, inside);
    out.less = new Button{look_, "−", ButtonKind::Small, inside};
    out.field = new LengthField{look_, {}, inside};
    out.field->layout()->setContentsMargins(0, 4, 0, 0);  // level with the buttons
    out.more = new Button{look_, "+", ButtonKind::Small, inside};
    row->addWidget(out.name);
    row->addStretch();
    row->addWidget(out.less, 0, Qt::AlignTop);
    row->addWidget(out.field, 0, Qt::AlignTop);
    row->addWidget(out.more, 0, Qt::AlignTop);
    column->addLayout(row);
    out.field->check = [this](Length l) -> std::optional<Refusal> {
        const std::string name{adjustment(kind_).key};
        // On one side or one face alone nothing is an amount.
        if (l == Length{} && !parted() && !faces_parted())
            return Refusal{.why = Why::AmountZero, .field = name, .given = l};
        if (abs(l) > paper_most) return Refusal{Why::AmountTooLarge, name, l, -paper_most, paper_most, 0};
        return std::nullopt;
    };
    connect(out.field, &LengthField::entered, this, [this, side, face](Length l) { type_amount(side, face, l); });
    const auto click = [this, side, face](double steps) {
        hand_ = side;
        nudge(steps, false, face);
        room_.keep_trial();  // a click is one act
    };
    connect(out.less, &Button::clicked, this, [click] { click(-1); });
    connect(out.more, &Button::clicked, this, [click] { click(1); });
    return out;
}

const PlanLine* ChangePad::line() const
{
    return room_.computed() ? room_.computed()->line(kind_) : nullptr;
}

Length ChangePad::grain() const
{
    return look_.unit() == Unit::Inch ? Length::inches(0.125) : Length::mm(1);
}

// What is typed and not finished belongs to the change it was typed for.
void ChangePad::show_change(AdjustmentKind kind, const QString& number)
{
    if (kind != kind_) {
        // What is being typed belongs to the change that is left: entered there, and gone from here.
        for (auto& side : rows_) {
            for (auto& of : side) of.field->edit().clearFocus();
        }
        place_fields_->enter();
        parted_by_hand_.reset();
        faces_by_hand_.reset();
        hand_ = Side::Right;
    }
    const bool other = kind != std::exchange(kind_, kind) || name_->text().isEmpty();
    number_ = number;
    if (other) {
        name_all();
        rebuild_ways();
    }
    refresh();
}

void ChangePad::name_all()
{
    const QString name = words::adjustment_name(kind_);
    const auto key = QString::fromStdString(std::string{adjustment(kind_).key});
    setAccessibleName(name);
    name_->setText(name);
    toggle_->setAccessibleName(tr("Accept %1").arg(name));
    toggle_->setObjectName("accept_" + key);
    looked_->setObjectName("looked_" + key);
    follow_->setObjectName("as_proposed_" + key);
    for (const auto side : both_sides) {
        const bool left = side == Side::Left;
        for (const auto face : {Face::Front, Face::Back}) {
            const bool back = face == Face::Back;
            Row& of = row(side, face);
            const QString what = left   ? back ? tr("Amount of %1 on the back, left") : tr("Amount of %1, left")
                                   : back ? tr("Amount of %1 on the back")
                                        : tr("Amount of %1");
            const QString id = QString{left ? "left_" : ""} + (back ? "back_" : "amount_");
            of.field->edit().setAccessibleName(what.arg(name));
            of.field->edit().setObjectName(id + key);
            of.field->say({}, false);
            of.less->setAccessibleName(tr("Less: %1").arg(what.arg(name)));
            of.more->setAccessibleName(tr("More: %1").arg(what.arg(name)));
            of.less->setObjectName("less_" + id + key);
            of.more->setObjectName("more_" + id + key);
        }
    }
    sides_way_->setObjectName("sides_" + key);
    parting_->setObjectName("part_" + key);
    parting_faces_->setObjectName("faces_" + key);
}

void ChangePad::rebuild_ways()
{
    delete std::exchange(ways_, nullptr);
    const auto& entry = adjustment(kind_);
    if (entry.methods.empty()) return;
    QStringList names;
    for (std::size_t i = 0; i < entry.methods.size(); ++i) names << words::method_name(kind_, i);
    ways_ = new Choices{look_, names, tr("How: %1").arg(words::adjustment_name(kind_)), name_->parentWidget()};
    ways_->wrap();
    ways_->setObjectName("method_" + QString::fromStdString(std::string{entry.key}));
    connect(ways_, &Choices::picked, this, &ChangePad::take_way);
    ways_place_->addWidget(ways_);
}

// An answer given stays; choosing a way before answering accepts.
void ChangePad::take_way(int way)
{
    if (!line()) return;
    const Decision* was = room_.plan().decision(kind_);
    Decision d = was ? *was : Decision{kind_, Answer::Accepted, {}};
    d.method = static_cast<std::size_t>(way);
    room_.decide(d);
}

void ChangePad::flip()
{
    const auto* l = line();
    if (!l) return;
    // What was said of amounts stays said.
    const auto answer = [&](Answer said) {
        Decision d = room_.plan().accepting(kind_, l->part);
        if (const Decision* was = room_.plan().decision(kind_, l->part)) d.seen_on = was->seen_on;
        d.answer = said;
        room_.decide(d);
    };
    const bool asks = l->amount != Length{} || line_on(Side::Left).amount != Length{};
    if (l->state == LineState::Accepted || l->state == LineState::Refused) {
        answer(Answer::Declined);
    } else if (asks || zero_works(adjustment(kind_), l->method)) {
        answer(Answer::Accepted);
    } else if (!l->at.empty()) {
        emit places_wanted();
    } else {
        amount_field().edit().setFocus();  // nothing to propose: an amount of her own is needed first
        amount_field().say(tr("Type the amount first: nothing was measured to propose it from."), false);
    }
    refresh();
}

// One face alone where they are told apart and one is meant. Nothing would be no adjustment: it is stepped over.
void ChangePad::nudge(double steps, bool fine, Face face)
{
    if (!line() || !line()->at.empty()) return;
    const auto side = side_in_hand();
    const PlanLine& now = line_on(hand_);
    const Length by = grain() * (fine ? steps / 2 : steps);
    const auto stepped = [&](Length amount, Face of) {
        if (face != Face::Both && face != of && faces_parted()) return amount;
        const bool stands_over = abs(amount + by) < to_the_eye && !side && !faces_parted();
        return stands_over ? amount + by * 2.0 : amount + by;
    };
    try_amount(stepped(now.amount, Face::Front), stepped(now.back, Face::Back));
}

void ChangePad::try_amount(Length front, Length back)
{
    const auto side = side_in_hand();
    const PlanLine& now = line_on(hand_);
    if (front == Length{} && back == Length{} && !side) return;
    stay_parted();
    const auto further = [&](Length from, Length to) {
        const auto bound = usual_passed(adjustment(kind_), now.method, to);
        return bound && (to > *bound ? to > from : to < from);
    };
    if (further(now.amount, front) || (has_faces() && further(now.back, back))) {
        const bool of_back = !further(now.amount, front);
        row(side.value_or(Side::Right), of_back && faces_parted() ? Face::Back : Face::Front)
            .field->say(tr("More than is usual here. If it is meant, type it."), true);
        return;
    }
    Decision next = room_.plan().accepting(kind_, now.part);
    if (!has_faces())
        next.set({Face::Both, side}, front);
    else if (front != now.amount)
        next.set({Face::Front, side}, front);
    if (has_faces() && back != now.back) next.set({Face::Back, side}, back);
    room_.try_out(next);
}

void ChangePad::take_places()
{
    place_fields_->take_focus();
}

void ChangePad::say(QLabel* l, const QString& text)
{
    if (l->text() != text) l->setText(text);
    if (l->isHidden() != text.isEmpty()) l->setVisible(!text.isEmpty());
}

void ChangePad::refresh_amounts(const PlanLine& l)
{
    const bool faces = faces_parted();
    const bool whole = adjustment(kind_).at_join == AtJoin::WholeGarment;  // done, or not
    const bool sides = parted();
    for (const auto side : both_sides) {
        const PlanLine& now = side == Side::Right ? l : line_on(side);
        for (const auto face : {Face::Front, Face::Back}) {
            Row& of = row(side, face);
            const bool back = face == Face::Back;
            const QString alike = has_faces() ? tr("Front and back") : tr("Amount");
            const QString of_face = !faces ? alike : back ? tr("Back") : tr("Front");
            const QString of_side = side == Side::Right ? tr("Right") : tr("Left");
            of.name->setText(!sides ? of_face : faces ? tr("%1, %2").arg(of_side, of_face.toLower()) : of_side);
            const bool seen = !whole && l.at.empty() && (!back || faces) && (sides || side == Side::Right);
            for (auto* w : std::initializer_list<QWidget*>{of.name, of.less, of.field, of.more})
                w->setVisible(seen);
            const Length amount = back ? now.back : now.amount;
            of.field->edit().setFixedWidth(static_cast<int>(92 * look_.scale()));
            const bool nothing = amount == Length{} && !sides && !faces;
            of.field->offer_value(nothing ? std::nullopt : std::optional{amount});
            QFont font = of.name->font();
            font.setUnderline(sides && side == hand_);
            of.name->setFont(font);
        }
    }
    say(places_said_, l.at.empty() ? QString{} : words::amounts(*room_.computed(), l, look_.unit()));
    const bool by_fields = has_place_fields(kind_);
    places_->setVisible(!l.at.empty() && !by_fields);
    place_fields_->show_line(by_fields ? &l : nullptr);
    refresh_sides(l);
}

void ChangePad::refresh()
{
    const auto* l = line();
    if (!l) return;
    const auto& d = look_.dyes();
    const Unit u = look_.unit();
    const auto said = words::plan_text(*l, *room_.computed(), u);
    mark_->show_mark(shows_as(*l), number_);
    toggle_->setChecked(l->state == LineState::Accepted || l->state == LineState::Refused);
    say(why_, words::why(*room_.computed(), *l, u) + " · " + words::piece_names(kind_, room_.computed()->traced));
    const QString state =
        l->state == LineState::Refused ? tr("not done")
        : l->look_again ? tr("look again: %1 came after").arg(words::adjustment_name(*l->look_again).toLower())
                        : said.state;
    say(state_, state);
    const bool asks = l->state == LineState::Proposed || l->look_again || !l->cautions.empty() || l->short_of;
    // A style sheet set again is worked through again: only another colour.
    const auto ink = [](QLabel* on, const QColor& c) {
        const QString sheet = QString{"color: %1"}.arg(c.name());
        if (on->styleSheet() != sheet) on->setStyleSheet(sheet);
    };
    ink(state_, l->state == LineState::Refused ? d.madder_ink : asks ? d.weld_ink : d.lichen_ink);
    const auto old = room_.stale_under(kind_);
    say(stale_, old ? tr("measure again: ") + words::stale(*old) : QString{});
    ink(stale_, d.weld_ink);
    picture_->show_kind(kind_, side_in_hand().value_or(Side::Right));
    const bool whole = adjustment(kind_).at_join == AtJoin::WholeGarment;
    const QString unit = whole ? QString{} : QString::fromStdString(std::string{unit_text(u)}) + ", ";
    say(meaning_, unit + words::amount_meaning(kind_, has_gores(room_.computed()->altered.pieces)));
    const auto fold = words::pinched(kind_);
    fold_->setVisible(fold.has_value());
    if (fold) fold_->ask(*fold == words::Pinched::Depth ? FoldAsked::Depth : FoldAsked::Whole);
    refresh_amounts(*l);
    if (ways_) {
        ways_->choose(static_cast<int>(l->method));
        std::vector<bool> open;
        const auto& entry = adjustment(kind_);
        const Garment part = part_view(room_.computed()->traced, l->part);
        for (std::size_t i = 0; i < entry.methods.size(); ++i)
            open.push_back(i == l->method || method_serves(entry, part, i));
        ways_->offer(open);
        ways_->setVisible(std::count(open.begin(), open.end(), true) > 1);
        ways_->setAccessibleDescription(words::method_cost(kind_, l->method));
    }
    const bool gores = has_gores(room_.computed()->altered.pieces);
    say(cost_, ways_ ? words::method_cost(kind_, l->method, gores) : QString{});
    say(refused_, l->state == LineState::Refused ? words::state_text(*l, u) : QString{});
    ink(refused_, d.madder_ink);
    QStringList warn;
    if (const auto after = words::after_it(kind_, *room_.computed(), u); !after.isEmpty()) warn << after;
    if (const auto why = words::hindrance(*l, u); !why.isEmpty()) warn << why;
    for (const auto& c : l->cautions) warn << words::caution(c, kind_, u);
    say(warning_, warn.join(" "));
    ink(warning_, d.weld_ink);
    chain_->show_change(kind_);
    follow_->setVisible(l->own_amount && l->proposal);
    looked_->setVisible(l->look_again.has_value());
    setAccessibleDescription(
        (QStringList{said.amounts, said.why, l->state == LineState::Refused ? words::state_text(*l, u) : state} +
         warn)
            .join(", "));
}

}  // namespace sartorum::desk
