// card.h: one adjustment on the Plan: what, how much, why, which pieces, in which way, what follows; accept,
// change or leave. Hidden on a garment it does not serve.
#pragma once
#include "desk/plan/glyph.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Card : public QWidget {
    Q_OBJECT
public:
    Card(Look&, Room&, AdjustmentKind, QWidget* parent = nullptr);
    void refresh();
    void set_open(bool);
    [[nodiscard]] AdjustmentKind kind() const { return kind_; }
    [[nodiscard]] LengthField& amount_field() { return *amount_; }
    [[nodiscard]] Toggle& toggle() { return *toggle_; }
    // Tries the amount changed by tenths of a centimetre, or eighths of an inch; Room::keep_trial() writes it.
    void nudge(double tenths);
    void flip();  // accept or leave

signals:
    void opened(AdjustmentKind);

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;

private:
    [[nodiscard]] const PlanLine* line() const;
    [[nodiscard]] int wanted_height() const;
    [[nodiscard]] int button_row() const;  // a row of their own where two fields leave the buttons no room
    struct Drag {
        double from = 0;  // where the hand took hold, in pixels
        Length front;
        Length back;
        bool apart = false;
        double tenths = 0;
    };
    [[nodiscard]] Length tenth() const;
    [[nodiscard]] QRectF amount_place() const;
    void try_amount(Length front, Length back, bool apart);
    void decide(std::optional<Length> amount, std::optional<Length> back);
    void refresh_glyph(const PlanLine&);
    void draw_chain(QPainter&, const PlanLine&);
    Look& look_;
    Room& room_;
    AdjustmentKind kind_;
    bool open_ = false;
    bool was_open_ = false;
    std::optional<AdjustmentKind> shown_after_;  // what came after it, as it was painted last
    std::optional<Drag> drag_;
    Toggle* toggle_;
    LengthField* amount_;
    LengthField* back_ = nullptr;  // where front and back go by amounts of their own
    Choices* methods_ = nullptr;
    Button* follow_;
    Button* looked_;
    Glyph glyph_;
    std::string glyph_of_;  // what it was drawn for
};

}  // namespace sartorum::desk
