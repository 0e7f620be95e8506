// tag.h: one change at the edge of the map: its mark, name, amounts, where they come from, what follows.
#pragma once
#include <QAbstractButton>

#include "desk/plan/map/mark.h"
#include "desk/room.h"

namespace sartorum::desk {

struct TagText {
    AdjustmentKind kind{};
    Shows standing{};
    QString number;
    QString name;
    Length amount;
    Length back;
    std::optional<Length> left{};  // where it is another than the right, which is told above
    Length left_back{};
    bool has_amount = false;
    bool look_again = false;
    QStringList why;  // the same in more and in fewer words: the first that fits is shown
    QString place;    // where the amount is, of one with places
    QString follows;  // the number of what follows
    friend bool operator==(const TagText&, const TagText&) = default;
};
// Of a line of this plan; what follows it is told by the caller.
[[nodiscard]] TagText tag_text(const Computed&, const PlanLine&, const QString& number, Unit);

class Tag : public QAbstractButton {
    Q_OBJECT
public:
    Tag(Look&, QWidget* parent);
    void show_text(const TagText&, const QString& spoken, bool small, bool chosen);
    [[nodiscard]] const TagText& text() const { return text_; }
    [[nodiscard]] static QSizeF large(const Look&);
    [[nodiscard]] static QSizeF small(const Look&);

signals:
    void pointed(bool here);  // the hand is over it, or the keys are

protected:
    void paintEvent(QPaintEvent*) override;
    bool event(QEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    void draw_amounts(QPainter&, double left);
    void draw_sides(QPainter&, double left);
    void draw_sides_low(QPainter&, double left, double right);
    Look& look_;
    TagText text_;
    bool small_ = false;
    bool chosen_ = false;
};

}  // namespace sartorum::desk
