// look.h: dyes, letters and strokes: the only place that knows a colour or a type size.
#pragma once
#include <QBrush>
#include <QColor>
#include <QFont>
#include <QObject>
#include <QPainter>
#include <QPalette>
#include <optional>

#include "core/units/length_text.h"

namespace sartorum::desk {

struct Dyes {
    QColor linen, linen2, sheet, paper, rule, edge, ink, faded;
    QColor woad, woad_wash, woad_pressed, on_woad;
    QColor madder, madder_wash, madder_ink;
    QColor weld, weld_wash, weld_ink;
    QColor lichen, lichen_wash, lichen_ink;
    QColor walnut, walnut_wash, walnut_line;
    QColor figure, weave;
};

// Up to this text scale there is room for everything; beyond it views that hold much leave something out, or keep
// to this scale.
inline constexpr double roomy_text = 1.2;

// Desktop: light or dark as the desktop's own windows were when the program started.
enum class Theme { Day, Night, Desktop };

// Shared by every widget of a window; changed() when the theme, the text scale or the unit changes.
class Look : public QObject {
    Q_OBJECT
public:
    explicit Look(QObject* parent = nullptr);

    [[nodiscard]] const Dyes& dyes() const { return dyes_; }
    [[nodiscard]] bool night() const { return night_; }
    [[nodiscard]] double scale() const { return scale_; }
    [[nodiscard]] Unit unit() const { return unit_; }
    [[nodiscard]] Theme theme() const { return theme_; }
    void set_theme(Theme);
    void set_night(bool night) { set_theme(night ? Theme::Night : Theme::Day); }
    void set_scale(double);  // 0.9 to 1.5
    void set_unit(Unit);

    // Lato for everything with a figure in it, Cabin for words that name things. Pixels, before the text scale.
    [[nodiscard]] QFont lato(double px, QFont::Weight = QFont::Normal) const;
    [[nodiscard]] QFont cabin(double px) const;

    [[nodiscard]] QBrush dots() const;   // paper added: on weld wash
    [[nodiscard]] QBrush hatch() const;  // paper removed: on madder wash
    [[nodiscard]] QBrush weave() const;
    [[nodiscard]] QString style_sheet() const;
    [[nodiscard]] QPalette palette() const;

signals:
    void changed();

private:
    Dyes dyes_;
    Theme theme_ = Theme::Day;
    bool desktop_is_dark_ = false;
    bool night_ = false;
    double scale_ = 1.0;
    Unit unit_ = Unit::Centimetre;
    mutable std::optional<QBrush> weave_;  // made at first use, anew for each theme
};

void load_fonts();

// A rectangle whose four sides zigzag inwards.
[[nodiscard]] QPolygonF pinked(const QRectF&, double tooth = 4.5);
enum class Knot { Done, Here, Later };
void draw_knot(QPainter&, const Look&, QPointF, Knot);
void draw_tick(QPainter&, const Look&, QPointF centre, double radius);      // lichen disc with a tick
void draw_triangle(QPainter&, const Look&, QPointF centre, double radius);  // madder, with an exclamation mark
void draw_thread(QPainter&, const Look&, QPointF from, QPointF to, bool sewn);
// A number in drawn fractions where the unit is inches; returns its width. `at` is the left end of the baseline.
double draw_number(QPainter&, const Look&, QPointF at, Length, Unit, double px, QFont::Weight, bool change);
double number_width(const Look&, Length, Unit, double px, QFont::Weight, bool change);
// That font, smaller where the words have not got room: never below `least` of its size.
[[nodiscard]] QFont fitting(QFont, const QString& words, double width, double least = 0.75);
// A triangle-topped focus ring, 2 px wide and 2 px clear of the shape.
void draw_focus(QPainter&, const Look&, const QRectF&, double radius);

}  // namespace sartorum::desk
