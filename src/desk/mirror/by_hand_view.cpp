#include "desk/mirror/by_hand_view.h"

#include <QGridLayout>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

#include "core/fitting/from_hands.h"
#include "words/mirror.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::desk {
ByHandView::ByHandView(Look& look, MirrorState& state, QWidget* parent)
    : QWidget{parent}, look_{look}, state_{state}
{
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    side_ = new Choices{look, {tr("both"), tr("left"), tr("right")}, tr("Found on which side"), this};
    side_->setObjectName("found_side");
    connect(side_, &Choices::picked, this, [this](int i) {
        side_->choose(i);
        refresh();
    });
    column->addWidget(side_);
    auto* scroll = new QScrollArea{this};
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget;
    auto* rows = new QVBoxLayout{inside};
    rows->setContentsMargins(0, 0, 8, 0);
    rows->setSpacing(4);
    build(rows, inside);
    rows->addStretch();
    scroll->setWidget(inside);
    column->addWidget(scroll, 1);
    makes_ = label(look, {}, 14, true, this);
    makes_->setWordWrap(true);
    makes_->setObjectName("found_makes");
    column->addWidget(makes_);
    take_ = new Button{look, tr("Into the plan"), ButtonKind::Primary, this};
    take_->setObjectName("found_into_plan");
    column->addWidget(take_, 0, Qt::AlignLeft);
    said_ = label(look, {}, 14, true, this);
    said_->setWordWrap(true);
    said_->setObjectName("found_said");
    column->addWidget(said_);
    connect(take_, &Button::clicked, this, &ByHandView::take);
    connect(&state, &MirrorState::changed, this, [this] { refresh(); });
    connect(&look, &Look::changed, this, [this] { refresh(); });
    refresh();
}

void ByHandView::build(QVBoxLayout* rows, QWidget* inside)
{
    for (const auto what : {ByHand::Offcut, ByHand::BustDot, ByHand::BustDart, ByHand::WaistMark,
                            ByHand::WaistDart, ByHand::LetOut}) {
        auto* group = new QWidget{inside};
        auto* column = new QVBoxLayout{group};
        column->setContentsMargins(0, 4, 0, 4);
        column->setSpacing(3);
        column->addWidget(heading(look_, words::by_hand_name(what), 15, group));
        auto* how = caption(look_, words::by_hand_how(what, look_.unit()), group);
        how->setWordWrap(true);
        hows_.emplace_back(what, how);
        column->addWidget(how);
        auto* grid = new QGridLayout;
        grid->setHorizontalSpacing(8);
        grid->setVerticalSpacing(3);
        int i = 0;
        for (const auto face : of_faces(what) ? std::vector{Face::Front, Face::Back} : std::vector{Face::Both}) {
            for (const auto& at : places_of(what)) {
                const QString name = words::of_face(face, words::found_place(what, at));
                Field f{what, std::string{at}, face, label(look_, name, 14, false, group),
                        new LengthField{look_, name, group}};
                f.field->edit().setObjectName("found_" +
                                              QString::fromStdString(std::string{key(what)} + "_" + f.at +
                                                                     (face == Face::Back ? "_back" : "")));
                f.field->edit().setFixedWidth(100);
                f.field->check = [](Length l) -> std::optional<Refusal> {
                    if (abs(l) <= found_most) return std::nullopt;
                    return Refusal{Why::OutOfRange, "found", l, -found_most, found_most, 0};
                };
                grid->addWidget(f.name, i, 0);
                grid->addWidget(f.field, i, 1);
                ++i;
                const auto index = fields_.size();
                connect(f.field, &LengthField::entered, this,
                        [this, index](Length l) { entered(fields_[index], l); });
                connect(f.field, &LengthField::cleared, this, [this, index] { entered(fields_[index], {}); });
                fields_.push_back(f);
            }
        }
        grid->setColumnStretch(0, 1);
        column->addLayout(grid);
        rows->addWidget(group);
        groups_[what] = group;
    }
}

std::optional<Side> ByHandView::side() const
{
    if (side_->chosen() == 0) return std::nullopt;
    return side_->chosen() == 1 ? Side::Left : Side::Right;
}

bool ByHandView::serves(const Field& f) const
{
    return can_be_found(f.what, f.at, f.face, *state_.room().computed());
}

std::optional<Length> ByHandView::found(const Field& f) const
{
    return found_at(state_.entry(), f.what, f.at, f.face, side());
}

void ByHandView::entered(const Field& f, std::optional<Length> by)
{
    TryOn next = state_.entry();
    const Found now{f.what, f.at, f.face, f.what == ByHand::LetOut ? std::nullopt : side(), by.value_or(Length{})};
    if (by) {
        note_found(next, now);
    } else {
        std::erase_if(next.found, [&](const Found& x) {
            return x.what == now.what && x.at == now.at && x.face == now.face && (!now.side || x.side == now.side);
        });
    }
    state_.keep(next, words::by_hand_name(f.what));
}

void ByHandView::take()
{
    if (!state_.room().computed()) return;
    QStringList refused;
    // One after the other: the next is worked out on what the one before made.
    const auto all = from_hands(state_.entry(), state_.worn(), *state_.room().computed());
    QStringList names;
    for (const auto& f : all) {
        if (f.not_put != NotPut::No) continue;
        if (const auto why = state_.put_in_plan(f.decision, look_.unit())) refused << *why;
        names << words::adjustment_name(f.decision.kind);
    }
    last_said_ = refused.isEmpty() ? tr("In the plan, as found on this toile: %1.").arg(names.join(", "))
                                   : refused.join(" ");
    refresh();
}

void ByHandView::refresh()
{
    if (!state_.room().computed()) return;
    for (const auto& [what, how] : hows_) how->setText(words::by_hand_how(what, look_.unit()));
    std::map<ByHand, bool> seen;
    for (auto& f : fields_) {
        const bool here = serves(f);
        f.name->setVisible(here);
        f.field->setVisible(here);
        seen[f.what] = seen[f.what] || here;
        f.field->offer_value(found(f));
        f.field->edit().setFixedWidth(static_cast<int>(100 * look_.scale()));
    }
    for (const auto& [what, group] : groups_) group->setVisible(seen[what]);
    QStringList makes;
    QStringList left;
    bool some = false;
    const auto& c = *state_.room().computed();
    for (const auto& f : from_hands(state_.entry(), state_.worn(), c)) {
        if (f.not_put != NotPut::No) continue;
        const auto* d = c.work.plan.decision(f.decision.kind);
        const bool taken = d && d->answer == Answer::Accepted && d->amounts == f.decision.amounts;
        some = some || !taken;
        if (f.part_left) left << words::adjustment_name(f.decision.kind);
        makes << (taken ? tr("%1 (in the plan)") : QString{"%1"}).arg(words::adjustment_name(f.decision.kind));
    }
    makes_->setVisible(!makes.isEmpty());
    QStringList text{tr("This makes: %1.").arg(makes.join(", "))};
    if (!left.isEmpty())
        text << tr("Not all of it can be done with a garment that is sewn: %1. Keep the rest for the next one.")
                    .arg(left.join(", "));
    makes_->setText(text.join(" "));
    take_->setVisible(some && state_.is_newest());
    said_->setText(last_said_);
    said_->setVisible(!last_said_.isEmpty());
    last_said_.clear();
}

}  // namespace sartorum::desk
