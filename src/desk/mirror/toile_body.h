// toile_body.h: the wearer and the toile, drawn from the front, the back and one side, and a sleeve by itself from
// its outside: abstract, with her own proportions. A place to put sights at; no number is taken from it.
#pragma once
#include <QPainter>
#include <functional>

#include "core/fitting/sight.h"
#include "core/plan/compute.h"
#include "desk/shared/body_drawing.h"

namespace sartorum::desk {

// What of the garment is on the body.
struct Wears {
    bool upper = false;
    bool below_waist = false;  // an upper part that ends below it
    bool sleeve = false;
    double sleeve_long = 0;  // of the arm's length
    bool skirt = false;
    bool legs = false;
};
[[nodiscard]] Wears wears_of(const Garment&);

class ToileBody {
public:
    ToileBody() = default;
    ToileBody(Proportions, Wears);
    // From figure units to the screen; x out to the wearer's left, from the side forwards.
    using ToScreen = FigureToScreen;
    void draw(QPainter&, const Look&, SeenFrom, const ToScreen&) const;
    // A plain place as it lies on this wearer.
    [[nodiscard]] QPointF placed(QPointF plain) const;
    [[nodiscard]] double hem() const;  // of the cloth
    // What of the height is worth seeing, and how far out from the middle.
    struct Part {
        double top = 0;
        double bottom = 100;
        double half_width = 17;
    };
    [[nodiscard]] Part part(SeenFrom) const;
    [[nodiscard]] const Wears& wears() const { return wears_; }

private:
    void draw_side(QPainter&, const Look&, const ToScreen&) const;
    void draw_sleeve(QPainter&, const Look&, const ToScreen&) const;
    [[nodiscard]] double sleeve_end() const;
    void draw_cloth(QPainter&, const Look&, SeenFrom, const ToScreen&) const;
    void draw_balance(QPainter&, const Look&, SeenFrom, const ToScreen&) const;
    [[nodiscard]] std::vector<QPainterPath> cloth(SeenFrom, const ToScreen&) const;
    [[nodiscard]] QPolygonF along(std::initializer_list<QPointF> plain, double out = 0) const;
    Proportions body_;
    Wears wears_;
};

}  // namespace sartorum::desk
