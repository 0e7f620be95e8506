#include "desk/tape/tape_station.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QVBoxLayout>

#include "desk/shared/empty_state.h"
#include "desk/tape/figure.h"
#include "words/words.h"

namespace sartorum::desk {

// The number in hand, large enough to read from the cutting table, and the same in the other unit.
class Hero : public QWidget {
public:
    Hero(Look& look, QWidget* parent) : QWidget{parent}, look_{look} { setFixedHeight(82); }
    void show(std::optional<Taken> taken)
    {
        taken_ = taken;
        setFixedHeight(static_cast<int>(82 * look_.scale()));
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const auto& d = look_.dyes();
        const double base = 66 * look_.scale();
        // Both units stand beside each other; the large one gives way when they would meet.
        const Unit beside = look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch;
        double large = 70;
        while (taken_ && large > 30 &&
               number_width(look_, taken_->value, look_.unit(), large, QFont::Medium, false) +
                       number_width(look_, taken_->value, beside, 24, QFont::Normal, false) + 76 * look_.scale() >
                   width()) {
            large -= 4;
        }
        if (!taken_) {
            p.setPen(d.edge);
            p.setFont(look_.lato(50, QFont::Medium));
            p.drawText(QPointF{0, base}, "–");
            return;
        }
        p.setPen(d.woad);
        const double w =
            draw_number(p, look_, {0, base}, taken_->value, look_.unit(), large, QFont::Medium, false);
        p.setFont(look_.lato(22));
        p.drawText(QPointF{w + 8, base}, QString::fromStdString(std::string{unit_text(look_.unit())}));
        const Unit other = look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch;
        p.setPen(d.ink);
        const double ow = number_width(look_, taken_->value, other, 24, QFont::Normal, false);
        const QString unit = " " + QString::fromStdString(std::string{unit_text(other)});
        p.setFont(look_.lato(14));
        const double uw = p.fontMetrics().horizontalAdvance(unit);
        draw_number(p, look_, {width() - ow - uw - 2, base}, taken_->value, other, 24, QFont::Normal, false);
        p.drawText(QPointF{width() - uw, base}, unit);
    }

private:
    Look& look_;
    std::optional<Taken> taken_;
};

// The readings as pins on a line, the lichen band as wide as they may lie apart.
class ReadingStrip : public QWidget {
public:
    ReadingStrip(Look& look, QWidget* parent) : QWidget{parent}, look_{look} { setFixedHeight(44); }
    void show(Measure m, std::vector<Length> readings)
    {
        measure_ = m;
        readings_ = std::move(readings);
        setVisible(!readings_.empty());
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto taken = take(measure_, readings_);
        if (!taken) return;
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        const Length allowed = facts(measure_).disagree();
        const Length span = std::max(allowed * 1.4, taken->apart * 1.3);
        const Length middle = taken->value;
        const auto x = [&](Length l) { return width() / 2.0 + (l - middle) / span * (width() - 24.0); };
        p.fillRect(QRectF{x(middle - allowed / 2.0), 6, x(middle + allowed / 2.0) - x(middle - allowed / 2.0), 24},
                   d.lichen_wash);
        p.setPen(QPen{d.edge, 1});
        p.drawLine(QPointF(6, 32.5), QPointF(width() - 6, 32.5));
        for (const auto r : readings_) {
            const bool far = abs(r - middle) > allowed;
            p.setPen(QPen{far ? d.madder : d.woad, 2});
            p.drawLine(QPointF(x(r), 32), QPointF(x(r), 12));
            p.setBrush(far ? d.madder : d.woad);
            if (far)
                p.drawPolygon(QPolygonF{{{x(r), 4}, {x(r) + 5, 13}, {x(r) - 5, 13}}});
            else
                p.drawEllipse(QPointF(x(r), 11), 3.4, 3.4);
        }
    }

private:
    Look& look_;
    Measure measure_{};
    std::vector<Length> readings_;
};

TapeStation::TapeStation(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(14);
    empty_ = new EmptyState{
        look,
        tr("Nobody has been measured yet."),
        tr("A skirt starts with four numbers: waist, hip, how far apart they lie, and how long it should be. "
           "Who is it for?"),
        {{tr("Write a name"), [this] { emit wearer_wanted(); }}},
        this};
    work_ = new QWidget{this};
    auto* inner = new QHBoxLayout{work_};
    inner->setContentsMargins(0, 0, 0, 0);
    inner->setSpacing(14);
    figure_ = new Figure{look, room, work_};
    inner->addWidget(figure_, 1);
    inner->addWidget(build_pad());
    row->addWidget(empty_);
    row->addWidget(work_);
    connect(figure_, &Figure::picked, this, [this](Measure m) { go_to(m); });
    connect(&room, &Room::changed, this, &TapeStation::refresh);
    connect(&look, &Look::changed, this, &TapeStation::refresh);
    refresh();
}

QWidget* TapeStation::build_pad()
{
    auto* frame = new Panel{look_, work_};
    frame->setFixedWidth(368);
    auto* pad = scrolled(frame);
    auto* column = new QVBoxLayout{pad};
    column->setContentsMargins(20, 16, 20, 12);
    column->setSpacing(8);
    auto* top = new QHBoxLayout;
    title_ = heading(look_, {}, 21, pad);
    term_ = caption(look_, {}, pad);
    term_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    top->addWidget(title_);
    top->addWidget(term_, 1);
    column->addLayout(top);
    hero_ = new Hero{look_, pad};
    column->addWidget(hero_);
    sure_ = caption(look_, {}, pad);
    column->addWidget(sure_);
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
        cells_[i]->check = [this](Length l) -> std::optional<Refusal> {
            const auto ok = check_reading(current_, l);
            return ok ? std::nullopt : std::optional{ok.error()};
        };
        connect(cells_[i], &LengthField::entered, this, [this, i](Length l) { keep(i, l); });
        connect(cells_[i], &LengthField::cleared, this, [this, i] { remove(i); });
        connect(cells_[i], &LengthField::enter_pressed, this, [this, i] {
            if (!cells_[i]->value()) return;
            // On to the next reading this measure still wants, else to the next measure.
            const auto taken = room_.body().taken(current_);
            const bool wants =
                taken && (taken->state == ReadingState::OneMore || taken->state == ReadingState::ThirdAsked);
            if (wants && i + 1 < cells_.size() && cells_[i + 1]->edit().text().isEmpty())
                cells_[i + 1]->edit().setFocus();
            else
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
    column->addSpacing(6);
    column->addWidget(heading(look_, tr("How to hold it"), 16, pad));
    how_ = label(look_, {}, 14, false, pad);
    column->addWidget(how_);
    column->addSpacing(6);
    column->addWidget(heading(look_, tr("Over time"), 16, pad));
    history_ = label(look_, {}, 14, false, pad);
    column->addWidget(history_);
    column->addStretch();
    next_button_ = new Button{look_, tr("Next measure"), ButtonKind::Primary, pad};
    next_button_->setObjectName("next_measure");
    connect(next_button_, &Button::clicked, this, &TapeStation::next);
    column->addWidget(next_button_);
    return frame;
}

void TapeStation::go_to(Measure m)
{
    for (std::size_t i = 0; i < 3; ++i) {
        const QString typed = cells_[i]->edit().text();
        if (!typed.trimmed().isEmpty() && !cells_[i]->value())
            drafts_[{current_, i}] = typed;
        else
            drafts_.erase({current_, i});
    }
    current_ = m;
    refresh();
    for (std::size_t i = 0; i < 3; ++i) {
        if (const auto d = drafts_.find({m, i}); d != drafts_.end()) {
            cells_[i]->edit().setText(d->second);
            cells_[i]->say(tr("typed earlier, not kept yet"), true);
        }
    }
    cells_[0]->edit().setFocus();
    cells_[0]->edit().selectAll();
}

void TapeStation::refresh()
{
    const bool someone = room_.table().wearer.has_value();
    empty_->setVisible(!someone);
    work_->setVisible(someone);
    if (!someone) return;
    const auto it = room_.body().readings.find(current_);
    const std::vector<Length> readings = it == room_.body().readings.end() ? std::vector<Length>{} : it->second;
    const auto taken = take(current_, readings);
    title_->setText(words::measure_name(current_));
    term_->setText(words::measure_term(current_));
    static_cast<Hero*>(hero_)->show(taken);
    sure_->setText(taken ? tr("sure to ±%1").arg(words::number(taken->spread, look_.unit())) : tr("not yet read"));
    const bool wish = facts(current_).kind == MeasureKind::Wish;
    for (std::size_t i = 0; i < 3; ++i) {
        auto& field = *cells_[i];
        const bool busy = field.edit().hasFocus() && !field.edit().text().isEmpty() && !field.value();
        if (!busy) field.show_value(i < readings.size() ? std::optional{readings[i]} : std::nullopt);
    }
    cell_boxes_[1]->setVisible(!wish);
    cell_boxes_[2]->setVisible(!wish &&
                               (readings.size() > 2 || (taken && taken->state == ReadingState::ThirdAsked)));
    strip_->show(current_, readings);
    state_->setText(taken ? words::reading_state(*taken, current_, look_.unit())
                          : tr("Read once, let go, read again."));
    how_->setText(words::measure_how(current_));
    QStringList past;
    for (const auto& set : room_.book().sets(*room_.table().wearer)) {
        const auto body = room_.book().body(set.id);
        const auto then = body ? body->taken(current_) : std::nullopt;
        const QDate day = QDate::fromString(set.name, Qt::ISODate);
        if (then)
            past << QLocale{QLocale::English}.toString(day, "d MMMM yyyy") + ": " +
                        words::amount(then->value, look_.unit());
        if (past.size() == 4) break;
    }
    history_->setText(past.isEmpty() ? tr("This is the first set.") : past.join("\n"));
    const bool last = current_ == all_measures.back().measure;
    next_button_->setText(last ? tr("On to the chart") : tr("Next measure"));
    figure_->set_current(current_);
}

void TapeStation::keep(std::size_t cell, Length l)
{
    auto readings = std::vector<Length>{};
    if (const auto it = room_.body().readings.find(current_); it != room_.body().readings.end())
        readings = it->second;
    if (cell < readings.size())
        readings[cell] = l;
    else
        readings.push_back(l);
    drafts_.erase({current_, cell});
    room_.keep_readings(current_, readings);
}

void TapeStation::remove(std::size_t cell)
{
    const auto it = room_.body().readings.find(current_);
    if (it == room_.body().readings.end() || cell >= it->second.size()) return;
    auto readings = it->second;
    readings.erase(readings.begin() + static_cast<std::ptrdiff_t>(cell));
    room_.keep_readings(current_, readings);
}

void TapeStation::next()
{
    const auto i = static_cast<std::size_t>(current_) + 1;
    if (i < all_measures.size())
        go_to(all_measures[i].measure);
    else
        emit finished();
}

void TapeStation::keyPressEvent(QKeyEvent* e)
{
    const int step = e->key() == Qt::Key_Down ? 1 : e->key() == Qt::Key_Up ? -1 : 0;
    const int i = static_cast<int>(current_) + step;
    if (step != 0 && i >= 0 && i < static_cast<int>(all_measures.size())) return go_to(static_cast<Measure>(i));
    QWidget::keyPressEvent(e);
}

}  // namespace sartorum::desk
