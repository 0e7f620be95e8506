#include "desk/plan/pad/place_fields.h"

#include <QGridLayout>
#include <QVBoxLayout>

#include "core/plan/waist.h"
#include "words/waist.h"

namespace sartorum::desk {

bool has_place_fields(AdjustmentKind kind)
{
    return !adjustment(kind).places.empty() && !adjustment(kind).at_waist_stations;
}

PlaceFields::PlaceFields(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    side_ = new Choices{look, {tr("both"), tr("left"), tr("right")}, tr("Of which side"), this};
    side_->setObjectName("place_side");
    connect(side_, &Choices::picked, this, [this](int i) {
        side_->choose(i);
        if (kind_ && room_.computed()) show_line(room_.computed()->line(*kind_));
    });
    column->addWidget(side_);
    grid_ = new QGridLayout;
    grid_->setColumnStretch(0, 1);
    column->addLayout(grid_);
    hide();
}

std::optional<Side> PlaceFields::side() const
{
    if (side_->chosen() == 0) return std::nullopt;
    return side_->chosen() == 1 ? Side::Left : Side::Right;
}

void PlaceFields::build()
{
    // Never under the hands: one that is being typed in says first what it was, of the change it was typed for,
    // and goes when nobody is in it any more.
    const auto put_away = [](QWidget* w) {
        w->disconnect();
        w->hide();
        w->deleteLater();
    };
    for (auto* w : names_) put_away(w);
    for (auto* w : fields_) put_away(w);
    names_.clear();
    fields_.clear();
    const auto& places = adjustment(*kind_).places;
    for (std::size_t i = 0; i < places.size(); ++i) {
        const QString name = words::place_name(places[i].key);
        names_.push_back(label(look_, name, 14, false, this));
        fields_.push_back(new LengthField{look_, name, this});
        fields_.back()->edit().setObjectName("place_" + QString::fromStdString(std::string{places[i].key}));
        connect(fields_.back(), &LengthField::entered, this,
                [this, i, kind = *kind_](Length l) { typed(kind, i, l); });
        grid_->addWidget(names_.back(), static_cast<int>(i), 0);
        grid_->addWidget(fields_.back(), static_cast<int>(i), 1);
    }
}

void PlaceFields::enter()
{
    for (auto* f : fields_) {
        if (f->pending()) f->enter();
    }
}

void PlaceFields::typed(AdjustmentKind kind, std::size_t place, Length by)
{
    const auto* l = room_.computed() ? room_.computed()->line(kind) : nullptr;
    if (!l) return;
    const std::string at{adjustment(kind).places[place].key};
    room_.decide(room_.plan().accepting(kind, l->part, {Face::Both, side(), at}, by));
}

void PlaceFields::show_line(const PlanLine* line)
{
    const bool here = line && has_place_fields(line->kind);
    setVisible(here);
    if (!here) return;
    if (kind_ != line->kind) {
        kind_ = line->kind;
        side_->choose(0);
        build();
    }
    const PlanLine* left = room_.computed()->left_of(*line);
    const PlanLine& of = side() == Side::Left && left ? *left : *line;
    for (std::size_t i = 0; i < fields_.size() && i < of.at.size(); ++i) {
        fields_[i]->edit().setFixedWidth(static_cast<int>(92 * look_.scale()));
        fields_[i]->offer_value(of.at[i]);
    }
}

void PlaceFields::take_focus()
{
    if (!fields_.empty()) fields_.front()->edit().setFocus();
}

}  // namespace sartorum::desk
