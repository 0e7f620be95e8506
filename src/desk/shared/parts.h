// parts.h: the controls every station shares.
#pragma once
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>
#include <functional>

#include "desk/shared/look.h"

class QVBoxLayout;

namespace sartorum::desk {

// A sheet with a hairline round it.
class Panel : public QWidget {
    Q_OBJECT
public:
    explicit Panel(Look&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;
    Look& look_;
};

enum class ButtonKind { Primary, Plain, Small };

class Button : public QPushButton {
    Q_OBJECT
public:
    Button(Look&, const QString& text, ButtonKind = ButtonKind::Plain, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;

private:
    Look& look_;
    ButtonKind kind_;
};

// A few words side by side, one of them chosen. Arrow keys move between them.
class Choices : public QWidget {
    Q_OBJECT
public:
    Choices(Look&, QStringList words, const QString& name, QWidget* parent = nullptr);
    void choose(int index);
    [[nodiscard]] int chosen() const { return chosen_; }
    // Which of them can be chosen now, all those not named; the others are not there. Indices stay.
    void offer(const std::vector<bool>&);
    // In a narrow place they go on in further rows.
    void wrap();
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;
    [[nodiscard]] int heightForWidth(int width) const override;

signals:
    void picked(int index);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] std::vector<double> widths(double within) const;
    struct Cell {
        int index;
        QRectF at;
    };
    [[nodiscard]] std::vector<Cell> cells(double width) const;
    [[nodiscard]] double row_height() const;
    Look& look_;
    bool wraps_ = false;
    [[nodiscard]] bool offered(qsizetype i) const
    {
        return std::size_t(i) >= offered_.size() || offered_[std::size_t(i)];
    }
    QStringList words_;
    std::vector<bool> offered_;
    int chosen_ = 0;
};

// The switch of a plan card.
class Toggle : public QAbstractButton {
    Q_OBJECT
public:
    Toggle(Look&, const QString& name, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {48, 30}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
};

// A field for a length: says under itself what it understood, keeps what was typed when it did not.
class LengthField : public QWidget {
    Q_OBJECT
public:
    LengthField(Look&, const QString& name, QWidget* parent = nullptr);
    [[nodiscard]] QLineEdit& edit() { return *edit_; }
    void show_value(std::optional<Length>);  // replaces what stands there
    // What is kept now: shown, unless something else is being typed over it. That stays, said in the unit of now.
    void offer_value(std::optional<Length>);
    // Typed, and not yet entered.
    [[nodiscard]] bool pending() const { return edit_->text() != shown_; }
    void enter();  // as by leaving it
    [[nodiscard]] std::optional<Length> value() const;
    void say(const QString& message, bool wrong);
    // Says why a value cannot be taken; none accepts it.
    std::function<std::optional<Refusal>(Length)> check;

signals:
    void entered(Length);  // valid and finished with Enter or by leaving
    void enter_pressed();
    void cleared();  // emptied where a value stood

private:
    void finish();
    void describe();
    Look& look_;
    QLineEdit* edit_;
    QLabel* said_;
    QString shown_;  // text put there by show_value: leaving it untouched enters nothing
    Unit typed_in_;
};

// What is put into the widget given back scrolls when the text grows: pads scroll, pictures do not.
[[nodiscard]] QWidget* scrolled(Panel*);
// A pad at the side of a picture: its column scrolls when the text grows, its foot is always in sight.
struct Pad {
    Panel* frame;
    QWidget* inside;  // what stands in the column is its child
    QVBoxLayout* column;
    QVBoxLayout* foot;
};
[[nodiscard]] Pad pad_beside(Look&, int width, QWidget* parent);
[[nodiscard]] QLabel* label(Look&, const QString& text, double px, bool strong = false, QWidget* parent = nullptr);
[[nodiscard]] QLabel* heading(Look&, const QString& text, double px, QWidget* parent = nullptr);
[[nodiscard]] QLabel* caption(Look&, const QString& text, QWidget* parent = nullptr);

}  // namespace sartorum::desk
