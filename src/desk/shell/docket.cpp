#include "desk/shell/docket.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QPainterPath>
#include <algorithm>
#include <utility>

#include "words/words.h"

namespace sartorum::desk {

// Two lines that open a menu.
class DocketItem : public QAbstractButton {
public:
    DocketItem(Look& look, const QString& name, QWidget* parent)
        : QAbstractButton{parent}, look_{look}, name_{name}
    {
        setFocusPolicy(Qt::StrongFocus);
        setFixedHeight(54);
        setCursor(Qt::PointingHandCursor);
    }
    void show(const QString& first, const QString& second)
    {
        if (first == first_ && second == second_ && !look_changed()) return;
        first_ = first;
        second_ = second;
        setAccessibleName(name_ + ": " + first);
        setAccessibleDescription(second);
        const double w = std::max(QFontMetricsF{look_.cabin(17)}.horizontalAdvance(first),
                                  QFontMetricsF{look_.lato(12.5)}.horizontalAdvance(second));
        setFixedWidth(std::clamp(static_cast<int>(w) + 36, 110, most_));
        update();
    }

protected:
    void keyPressEvent(QKeyEvent* e) override
    {
        if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) return click();
        QAbstractButton::keyPressEvent(e);
    }
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        if (underMouse()) {
            p.setPen(Qt::NoPen);
            p.setBrush(d.woad_wash);
            p.drawRoundedRect(QRectF{rect()}.adjusted(3, 3, -3, -3), 4, 4);
        }
        p.setPen(d.ink);
        // A long name goes on in the second line, in place of what stands there.
        const double room = width() - 32.0;
        const QFont small = fitting(look_.cabin(17), first_, room, 0.8);
        if (QFontMetricsF{small}.horizontalAdvance(first_) > room) {
            p.setFont(fitting(look_.cabin(14), first_, room * 1.8, 0.7));
            p.drawText(QRectF{10, 3, room, 48},
                       Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap | Qt::TextDontClip, first_);
            return draw_rest(p);
        }
        p.setFont(small);
        p.drawText(QRectF{10, 4, room, 24}, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextDontClip, first_);
        p.setPen(d.faded);
        p.setFont(fitting(look_.lato(12.5), second_, width() - 14.0, 0.7));
        p.drawText(QRectF{10, 30, width() - 14.0, 18}, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextDontClip,
                   second_);
        draw_rest(p);
    }

private:
    // The mark that a list opens, and the focus.
    void draw_rest(QPainter& p)
    {
        const auto& d = look_.dyes();
        p.setPen(QPen{d.faded, 1.5});
        const QPointF c{width() - 14.0, 19};
        p.drawPolyline(QPolygonF{{c + QPointF{-4, -2}, c + QPointF{0, 2}, c + QPointF{4, -2}}});
        if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 6);
    }
    [[nodiscard]] bool look_changed() { return look_.scale() != std::exchange(scale_, look_.scale()); }
    static constexpr int most_ = 236;
    Look& look_;
    QString name_;
    QString first_;
    QString second_;
    double scale_ = 0;
};

// A bent arrow, back or forth.
class TurnButton : public QAbstractButton {
public:
    TurnButton(Look& look, bool back, QWidget* parent) : QAbstractButton{parent}, look_{look}, back_{back}
    {
        setFixedSize(38, 38);
        setFocusPolicy(Qt::StrongFocus);
    }

protected:
    void paintEvent(QPaintEvent*) override
    {
        const auto& d = look_.dyes();
        QPainter p{this};
        p.setRenderHint(QPainter::Antialiasing);
        if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(2, 2, -2, -2), 6);
        p.translate(19, 19);
        if (!back_) p.scale(-1, 1);
        p.setPen(QPen{isEnabled() ? d.ink : d.rule, 1.8, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
        QPainterPath path{{-6, -3}};
        path.lineTo(2, -3);
        path.cubicTo({9, -3}, {9, 7}, {2, 7});
        path.lineTo(-3, 7);
        p.drawPath(path);
        p.drawPolyline(QPolygonF{{{-2, -7}, {-6, -3}, {-2, 1}}});
    }

private:
    Look& look_;
    bool back_;
};

Docket::Docket(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setFixedHeight(68);
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(10, 4, 16, 10);
    row->setSpacing(6);
    wearer_ = new DocketItem{look, tr("Wearer"), this};
    wearer_->setObjectName("docket_wearer");
    pattern_ = new DocketItem{look, tr("Pattern"), this};
    pattern_->setObjectName("docket_pattern");
    row->addWidget(wearer_);
    row->addWidget(pattern_);
    row->addStretch();
    undo_ = new TurnButton{look, true, this};
    redo_ = new TurnButton{look, false, this};
    undo_->setObjectName("undo");
    redo_->setObjectName("redo");
    unit_ = new Choices{look, {"cm", "in"}, tr("Unit"), this};
    unit_->setObjectName("unit");
    row->addWidget(undo_);
    row->addWidget(redo_);
    row->addWidget(unit_);
    connect(wearer_, &QAbstractButton::clicked, this, &Docket::wearers_wanted);
    connect(pattern_, &QAbstractButton::clicked, this, &Docket::patterns_wanted);
    connect(undo_, &QAbstractButton::clicked, &room, &Room::undo);
    connect(redo_, &QAbstractButton::clicked, &room, &Room::redo);
    connect(unit_, &Choices::picked, this,
            [this](int i) { look_.set_unit(i == 0 ? Unit::Centimetre : Unit::Inch); });
    connect(&room, &Room::changed, this, &Docket::refresh);
    connect(&look, &Look::changed, this, &Docket::refresh);
    refresh();
}

QWidget& Docket::wearer_button()
{
    return *wearer_;
}
QWidget& Docket::pattern_button()
{
    return *pattern_;
}

void Docket::show(Station current, const std::vector<bool>& finished, bool paper)
{
    paper_ = paper;
    current_ = current;
    finished_ = finished;
    update_if_new();
}

QString Docket::painted() const
{
    QString out = progress() + (room_.sizes_chosen() ? "+" : "-") + QString::number(static_cast<int>(current_)) +
                  (look_.night() ? "n" : "d") + QString::number(look_.scale()) + wearer_->accessibleName() +
                  pattern_->accessibleName();
    for (const auto& size :
         {room_.plan().size_at(Level::Waist), room_.plan().size_at(Level::Hip), room_.plan().size_at(Level::Bust)})
        out += "|" + QString::fromStdString(size);
    for (const bool f : finished_) out += f ? "1" : "0";
    if (room_.advice()) {
        for (const auto m : room_.advice()->levels) out += QString::number(static_cast<int>(m)) + ",";
    }
    return out;
}

void Docket::update_if_new()
{
    const QString now = painted();
    if (now != std::exchange(painted_, now)) update();
}

void Docket::refresh()
{
    const QDate day = QDate::fromString(QString::fromStdString(room_.body().date), Qt::ISODate);
    if (room_.table().wearer)
        wearer_->show(room_.wearer_name(),
                      tr("measured %1").arg(QLocale{QLocale::English}.toString(day, "d MMM yyyy")));
    else
        wearer_->show(tr("Nobody yet"), tr("choose a wearer"));
    if (room_.pattern())
        pattern_->show(QString::fromStdString(room_.pattern()->name),
                       QString::fromStdString(room_.pattern()->maker));
    else if (const auto known = room_.pattern_on_table())
        pattern_->show(known->name, known->second);
    else
        pattern_->show(room_.chart() ? words::chart_name(*room_.chart()) : tr("No pattern"),
                       !room_.chart() ? tr("choose one")
                       : room_.chart()->maker.empty()
                           ? tr("by the chart")
                           : tr("by the chart, %1").arg(QString::fromStdString(room_.chart()->maker)));
    const auto u = room_.book().undo_name();
    const auto r = room_.book().redo_name();
    undo_->setEnabled(u.has_value());
    redo_->setEnabled(r.has_value());
    undo_->setAccessibleName(u ? tr("Undo: %1").arg(*u) : tr("Nothing to undo"));
    redo_->setAccessibleName(r ? tr("Redo: %1").arg(*r) : tr("Nothing to redo"));
    undo_->setToolTip(tr("%1 (%2)").arg(undo_->accessibleName(), key_text(row_of(Act::Undo))));
    redo_->setToolTip(tr("%1 (%2)").arg(redo_->accessibleName(), key_text(row_of(Act::Redo))));
    unit_->choose(look_.unit() == Unit::Inch ? 1 : 0);
    update_if_new();
}

QString Docket::progress() const
{
    const bool chosen = room_.sizes_chosen();
    QString say;
    switch (current_) {
        case Station::Tape: {
            if (const auto& t = room_.tissue(); paper_ && t && t->in_hand()) {
                const auto all = static_cast<int>(lines_on_pieces(*t, *t->in_hand()).size());
                say = tr("the paper: %1 of %2 lines").arg(all - lines_waiting(*t, *t->in_hand())).arg(all);
                break;
            }
            int kept = 0;
            const auto round = room_.measures();
            for (const auto m : round) kept += room_.body().taken(m).has_value();
            say = tr("%1 of %2 measures kept").arg(kept).arg(round.size());
            break;
        }
        case Station::Chart: say = chosen ? tr("size chosen") : tr("size to choose"); break;
        case Station::Plan: {
            int n = 0;
            if (room_.computed())
                for (const auto& l : room_.computed()->lines) n += l.state == LineState::Accepted;
            say = tr("%1 accepted").arg(n);
            break;
        }
        case Station::Paper:
            say =
                room_.computed() ? tr("step %1 of %2").arg(room_.step() + 1).arg(room_.steps().size()) : QString{};
            break;
        case Station::Mirror: {
            const auto n = room_.computed() ? room_.try_ons().size() : 0;
            say = n == 0 ? tr("no toile yet") : tr("toile %1").arg(n);
            break;
        }
        case Station::Print: say = tr("pages to keep"); break;
    }
    return say;
}

void Docket::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    // Pinked along the lower edge.
    QPolygonF cloth;
    cloth << QPointF{0, 0} << QPointF{double(width()), 0} << QPointF{double(width()), 60};
    for (double x = width(); x > 0; x -= 7) cloth << QPointF{x - 3.5, 64.5} << QPointF{x - 7, 60};
    p.setPen(QPen{d.rule, 1});
    p.setBrush(d.sheet);
    p.drawPolygon(cloth);

    // Sizes as two swatches joined by stitches; hollow until chosen.
    double x = pattern_->geometry().right() + 24;
    const bool chosen = room_.sizes_chosen();
    const auto& plan = room_.plan();
    std::vector<std::pair<QString, std::string>> sizes{{tr("waist"), plan.size_at(Level::Waist)},
                                                       {tr("hip"), plan.size_at(Level::Hip)}};
    if (room_.advice()) {
        sizes.clear();
        for (const auto m : room_.advice()->levels) {
            if (m == Measure::Waist)
                sizes.emplace_back(tr("waist"), plan.size_at(Level::Waist));
            else if (m == Measure::Hip)
                sizes.emplace_back(tr("hip"), plan.size_at(Level::Hip));
            else
                sizes.emplace_back(
                    m == Measure::Underbust ? tr("band") : tr("bust"),
                    m == Measure::Underbust ? plan.size_at(Level::Waist) : plan.size_at(Level::Bust));
        }
    }
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF(x - 12, 12), QPointF(x - 12, 48));
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        const QRectF r{x, 9, 38, 22};
        p.setPen(chosen ? QPen{Qt::NoPen} : QPen{d.edge, 1});
        p.setBrush(chosen ? d.woad_wash : d.sheet);
        p.drawPolygon(pinked(r, 4));
        p.setPen(chosen ? d.woad : d.faded);
        p.setFont(look_.lato(14, QFont::DemiBold));
        p.drawText(r, Qt::AlignCenter, chosen ? QString::fromStdString(sizes[i].second) : "–");
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5));
        p.drawText(QRectF{x - 10, 34, 58, 18}, Qt::AlignHCenter | Qt::TextDontClip, sizes[i].first);
        if (i + 1 < sizes.size()) {
            QPen stitch{d.woad, 2, Qt::CustomDashLine};
            stitch.setDashPattern({3, 2});
            p.setPen(chosen ? stitch : QPen{d.rule, 1.6});
            p.drawLine(QPointF(x + 43, 20), QPointF(x + 59, 20));
        }
        x += 64;
    }
    // Progress: one knot a station.
    const double right = undo_->geometry().left() - 20;
    constexpr double thread = 170;
    constexpr double pitch = thread / (desk_station_count - 1);
    const double left = right - thread;
    if (left < x + 10) return;
    for (int i = 0; i + 1 < desk_station_count; ++i) {
        draw_thread(p, look_, {left + pitch * i + 8, 20}, {left + pitch * (i + 1) - 8, 20},
                    finished_[std::size_t(i)]);
    }
    for (int i = 0; i < desk_station_count; ++i) {
        const bool here = i == static_cast<int>(current_);
        draw_knot(p, look_, {left + pitch * i, 20},
                  here                        ? Knot::Here
                  : finished_[std::size_t(i)] ? Knot::Done
                                              : Knot::Later);
    }
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    p.setFont(fitting(look_.lato(12.5), progress(), std::min(250.0, 2 * (left + 85 - x)), 0.7));
    p.drawText(QRectF{left - 40, 34, 250, 18}, Qt::AlignHCenter | Qt::TextDontClip, progress());
}

}  // namespace sartorum::desk
