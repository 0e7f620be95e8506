#include "desk/shared/parts.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QScrollArea>
#include <QStyle>
#include <QVBoxLayout>
#include <cmath>

#include "words/words.h"

namespace sartorum::desk {
namespace {

QLabel* styled(Look& look, const QString& text, QWidget* parent, std::function<QFont()> font,
               std::function<QColor()> colour)
{
    auto* l = new QLabel{text, parent};
    l->setWordWrap(true);
    l->setTextFormat(Qt::PlainText);
    const auto apply = [l, font, colour] {
        l->setFont(font());
        QPalette p = l->palette();
        p.setColor(QPalette::WindowText, colour());
        l->setPalette(p);
    };
    QObject::connect(&look, &Look::changed, l, apply);
    apply();
    return l;
}

}  // namespace

QWidget* scrolled(Panel* frame)
{
    auto* outer = new QVBoxLayout{frame};
    outer->setContentsMargins(2, 2, 2, 2);
    auto* area = new QScrollArea{frame};
    area->setWidgetResizable(true);
    area->setFocusPolicy(Qt::NoFocus);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget;
    area->setWidget(inside);
    outer->addWidget(area);
    return inside;
}

Pad pad_beside(Look& look, int width, QWidget* parent)
{
    auto* frame = new Panel{look, parent};
    frame->setFixedWidth(width);
    auto* inside = scrolled(frame);
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(18, 10, 18, 4);
    column->setSpacing(6);
    auto* foot = new QVBoxLayout;
    foot->setContentsMargins(16, 2, 16, 8);
    foot->setSpacing(6);
    static_cast<QVBoxLayout*>(frame->layout())->addLayout(foot);
    return {frame, inside, column, foot};
}

QLabel* label(Look& look, const QString& text, double px, bool strong, QWidget* parent)
{
    return styled(
        look, text, parent,
        [&look, px, strong] { return look.lato(px, strong ? QFont::DemiBold : QFont::Normal); },
        [&look] { return look.dyes().ink; });
}

QLabel* heading(Look& look, const QString& text, double px, QWidget* parent)
{
    return styled(
        look, text, parent, [&look, px] { return look.cabin(px); }, [&look] { return look.dyes().ink; });
}

QLabel* caption(Look& look, const QString& text, QWidget* parent)
{
    return styled(
        look, text, parent, [&look] { return look.lato(12.5); }, [&look] { return look.dyes().faded; });
}

Panel::Panel(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void Panel::paintEvent(QPaintEvent*)
{
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{look_.dyes().rule, 1});
    p.setBrush(look_.dyes().sheet);
    p.drawRoundedRect(QRectF{rect()}.adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
}

Button::Button(Look& look, const QString& text, ButtonKind kind, QWidget* parent)
    : QPushButton{parent}, look_{look}, kind_{kind}
{
    setAutoDefault(false);  // a sheet says itself which of its buttons Enter presses
    setText(text);
    setAccessibleName(text);
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    connect(&look, &Look::changed, this, [this] {
        updateGeometry();
        update();
    });
}

QSize Button::sizeHint() const
{
    const bool small = kind_ == ButtonKind::Small;
    const QFontMetrics m{look_.lato(small ? 13.5 : 15, QFont::DemiBold)};
    return {m.horizontalAdvance(text()) + (small ? 32 : 40),
            static_cast<int>(std::lround((small ? 28 : 36) * look_.scale())) + 8};
}

bool Button::event(QEvent* e)
{
    if (e->type() == QEvent::HoverEnter || e->type() == QEvent::HoverLeave) update();
    return QPushButton::event(e);
}

void Button::keyPressEvent(QKeyEvent* e)
{
    if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) {
        click();
        return;
    }
    QPushButton::keyPressEvent(e);
}

void Button::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF r = QRectF{rect()}.adjusted(4.5, 4.5, -4.5, -4.5);
    const bool primary = kind_ == ButtonKind::Primary;
    QColor fill = primary                    ? (isDown() ? d.woad_pressed : d.woad)
                  : isDown() || underMouse() ? d.woad_wash
                                             : d.sheet;
    QColor ink = primary ? d.on_woad : d.ink;
    QPen pen{primary ? d.woad : d.edge, 1};
    if (!isEnabled()) {
        fill = d.sheet;
        ink = d.faded;
        pen = QPen{d.edge, 1, Qt::DashLine};
    }
    p.setPen(pen);
    p.setBrush(fill);
    p.drawRoundedRect(r, 5, 5);
    p.setPen(ink);
    p.setFont(look_.lato(kind_ == ButtonKind::Small ? 13.5 : 15, QFont::DemiBold));
    p.drawText(r, Qt::AlignCenter, text());
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 7);
}

Choices::Choices(Look& look, QStringList words, const QString& name, QWidget* parent)
    : QWidget{parent}, look_{look}, words_{std::move(words)}
{
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(name);
    setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    connect(&look, &Look::changed, this, [this] {
        updateGeometry();
        update();
    });
    choose(0);
}

namespace {
constexpr double unlimited = 1e9;
}

std::vector<double> Choices::widths(double within) const
{
    const QFontMetricsF m{look_.lato(14, QFont::DemiBold)};
    std::vector<double> out;
    for (qsizetype i = 0; i < words_.size(); ++i)
        out.push_back(offered(i) ? m.horizontalAdvance(words_[i]) + (look_.scale() > roomy_text ? 14 : 26) : 0);
    // Closer together before they go on in another row.
    double sum = 9;
    for (const double w : out) sum += w;
    if (!wraps_ || sum <= within || look_.scale() > roomy_text) return out;
    for (auto& w : out) w = std::max(0.0, w - 12);
    return out;
}

QSize Choices::sizeHint() const
{
    double sum = 0;
    for (const double w : widths(unlimited)) sum += w;
    return {static_cast<int>(std::ceil(sum)) + 9, static_cast<int>(std::lround(30 * look_.scale())) + 8};
}

void Choices::offer(const std::vector<bool>& which)
{
    if (which == offered_) return;
    offered_ = which;
    updateGeometry();
    update();
}

void Choices::choose(int index)
{
    chosen_ = index;
    setAccessibleDescription(words_.value(index));
    update();
}

void Choices::wrap()
{
    wraps_ = true;
    QSizePolicy policy{QSizePolicy::Preferred, QSizePolicy::Minimum};
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

double Choices::row_height() const
{
    return std::lround(30 * look_.scale());
}

std::vector<Choices::Cell> Choices::cells(double width) const
{
    std::vector<Cell> out;
    const auto w = widths(width);
    const auto lay = [&](int most_a_row) {
        out.clear();
        double x = 4.5;
        double y = 4.5;
        int rows = 1;
        int here = 0;
        for (int i = 0; i < words_.size(); ++i) {
            if (!offered(i)) continue;
            const double wide = w[std::size_t(i)];
            if (wraps_ && here > 0 && (here == most_a_row || x + wide > width - 3)) {
                x = 4.5;
                y += row_height() + 4;
                ++rows;
                here = 0;
            }
            out.push_back({i, {x, y, wide, row_height() - 1}});
            x += wide;
            ++here;
        }
        return rows;
    };
    // In several rows each holds about as many: nothing stands alone in the last.
    const int rows = lay(static_cast<int>(words_.size()));
    if (rows > 1) (void)lay((static_cast<int>(out.size()) + rows - 1) / rows);
    return out;
}

QSize Choices::minimumSizeHint() const
{
    if (!wraps_) return sizeHint();
    const auto w = widths(unlimited);
    return {static_cast<int>(*std::max_element(w.begin(), w.end())) + 9, static_cast<int>(row_height()) + 8};
}

int Choices::heightForWidth(int width) const
{
    if (!wraps_) return sizeHint().height();
    const auto all = cells(width);
    return all.empty() ? sizeHint().height() : static_cast<int>(std::lround(all.back().at.bottom() + 4.5));
}

void Choices::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setFont(look_.lato(14, QFont::DemiBold));
    const auto all = cells(width());
    for (std::size_t i = 0; i < all.size();) {
        // One box a row.
        std::size_t end = i;
        QRectF row = all[i].at;
        while (end < all.size() && all[end].at.top() == all[i].at.top()) row |= all[end++].at;
        QPainterPath inside;
        inside.addRoundedRect(row, 5, 5);
        p.fillPath(inside, d.sheet);
        for (; i < end; ++i) {
            const bool here = all[i].index == chosen_;
            p.save();
            p.setClipPath(inside);
            if (here) p.fillRect(all[i].at, d.woad);
            p.restore();
            p.setPen(here ? d.on_woad : d.faded);
            p.drawText(all[i].at, Qt::AlignCenter, words_[all[i].index]);
        }
        p.setPen(QPen{d.edge, 1});
        p.setBrush(Qt::NoBrush);
        p.drawPath(inside);
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 7);
}

void Choices::mousePressEvent(QMouseEvent* e)
{
    for (const auto& cell : cells(width())) {
        if (!cell.at.contains(e->position())) continue;
        choose(cell.index);
        emit picked(cell.index);
        return;
    }
}

void Choices::keyPressEvent(QKeyEvent* e)
{
    const int step = e->key() == Qt::Key_Right ? 1 : e->key() == Qt::Key_Left ? -1 : 0;
    if (step == 0) return QWidget::keyPressEvent(e);
    int next = chosen_ + step;
    while (next >= 0 && next < words_.size() && !offered(next)) next += step;
    if (next >= 0 && next < words_.size()) {
        choose(next);
        emit picked(next);
    }
}

Toggle::Toggle(Look& look, const QString& name, QWidget* parent) : QAbstractButton{parent}, look_{look}
{
    setCheckable(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(name);
}

void Toggle::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF r{5, (height() - 20) / 2.0, 38, 20};
    p.setPen(QPen{isChecked() ? d.woad : d.edge, 1.2});
    p.setBrush(isChecked() ? d.woad : d.sheet);
    p.drawRoundedRect(r, 10, 10);
    const QPointF knob{isChecked() ? r.right() - 10 : r.left() + 10, r.center().y()};
    p.setPen(Qt::NoPen);
    p.setBrush(isChecked() ? d.on_woad : d.edge);
    p.drawEllipse(knob, 7, 7);
    if (isChecked()) {
        p.setPen(QPen{d.woad, 2, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
        p.drawPolyline(QPolygonF{{knob + QPointF{-3, 0}, knob + QPointF{-0.8, 2.6}, knob + QPointF{3.2, -2.6}}});
    }
    if (hasFocus()) draw_focus(p, look_, r.adjusted(-4, -4, 4, 4), 13);
}

LengthField::LengthField(Look& look, const QString& name, QWidget* parent)
    : QWidget{parent},
      look_{look},
      edit_{new QLineEdit{this}},
      said_{caption(look, {}, this)},
      typed_in_{look.unit()}
{
    auto* box = new QVBoxLayout{this};
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(3);
    box->addWidget(edit_);
    box->addWidget(said_);
    edit_->setAccessibleName(name);
    edit_->setMaxLength(64);
    setFocusProxy(edit_);
    said_->hide();
    connect(edit_, &QLineEdit::textEdited, this, &LengthField::describe);
    connect(edit_, &QLineEdit::returnPressed, this, [this] {
        finish();
        emit enter_pressed();
    });
    connect(edit_, &QLineEdit::editingFinished, this, [this] {
        if (!edit_->hasFocus()) finish();
    });
}

std::optional<Length> LengthField::value() const
{
    const auto parsed = parse_length(edit_->text().toStdString(), look_.unit());
    if (!parsed || (check && check(*parsed))) return std::nullopt;
    return *parsed;
}

void LengthField::show_value(std::optional<Length> v)
{
    shown_ = v ? words::number(*v, look_.unit()) : QString{};
    edit_->setText(shown_);
    typed_in_ = look_.unit();
    say({}, false);
}

void LengthField::offer_value(std::optional<Length> v)
{
    if (!edit_->hasFocus() || !pending()) return show_value(v);
    const Unit before = std::exchange(typed_in_, look_.unit());
    if (before == typed_in_) return;
    // A number was meant in the unit it was typed in.
    if (const auto meant = parse_length(edit_->text().toStdString(), before))
        edit_->setText(words::number(*meant, typed_in_));
    describe();
}

void LengthField::enter()
{
    finish();
}

void LengthField::say(const QString& message, bool wrong)
{
    said_->setText(message);
    said_->setVisible(!message.isEmpty());
    if (edit_->property("wrong").toBool() != wrong) {
        edit_->setProperty("wrong", wrong);
        edit_->style()->unpolish(edit_);
        edit_->style()->polish(edit_);
    }
    edit_->setAccessibleDescription(message);
}

void LengthField::describe()
{
    typed_in_ = look_.unit();
    const auto parsed = parse_length(edit_->text().toStdString(), look_.unit());
    if (!parsed) return say({}, false);  // still typing
    const Unit other = look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch;
    say(words::amount(*parsed, look_.unit()) + " = " + words::amount(*parsed, other), false);
}

void LengthField::finish()
{
    if (edit_->text() == shown_) return;
    if (edit_->text().trimmed().isEmpty()) {
        shown_.clear();
        say({}, false);
        emit cleared();
        return;
    }
    const auto parsed = parse_length(edit_->text().toStdString(), look_.unit());
    if (!parsed) {
        say(words::refusal(parsed.error(), look_.unit()), true);
        return;
    }
    if (check) {
        if (const auto why = check(*parsed)) return say(words::refusal(*why, look_.unit()), true);
    }
    shown_ = edit_->text();
    emit entered(*parsed);
}

}  // namespace sartorum::desk
