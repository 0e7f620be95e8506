#include "desk/shared/look.h"

#include <QFontDatabase>
#include <QFontMetricsF>
#include <QGuiApplication>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

// The resources lie in a static library; Qt asks for them by this macro, outside any namespace.
static void register_resources()
{
    Q_INIT_RESOURCE(fonts);
}

namespace sartorum::desk {
namespace {

QColor mixed(const QColor& c, double alpha)
{
    QColor out = c;
    out.setAlphaF(static_cast<float>(alpha));
    return out;
}

Dyes day()
{
    Dyes d;
    d.linen = "#F5F1EA";
    d.linen2 = "#EDE6DA";
    d.sheet = "#FFFDF9";
    d.paper = "#FBF6EC";
    d.rule = "#D9D1C4";
    d.edge = "#8F8576";
    d.ink = "#26262B";
    d.faded = "#6B655C";
    d.woad = "#234E7A";
    d.woad_wash = "#DCE6F0";
    d.woad_pressed = "#1A3C60";
    d.on_woad = "#FFFDF9";
    d.madder = "#A63D40";
    d.madder_wash = "#F4DFDD";
    d.madder_ink = "#8E2F33";
    d.weld = "#C79A1B";
    d.weld_wash = "#F6E7B8";
    d.weld_ink = "#6E5200";
    d.lichen = "#4F7A4A";
    d.lichen_wash = "#E1ECDC";
    d.lichen_ink = "#3A6136";
    d.walnut = "#7A5C43";
    d.walnut_wash = "#EFE6D9";
    d.walnut_line = "#9A7E66";
    d.figure = "#EADFCF";
    d.weave = mixed(d.walnut, 0.045);
    return d;
}

Dyes indigo_night()
{
    Dyes d;
    d.linen = "#131829";
    d.linen2 = "#0E1220";
    d.sheet = "#1B2238";
    d.paper = "#252E4A";
    d.rule = "#363F5C";
    d.edge = "#7682A2";
    d.ink = "#ECE7DC";
    d.faded = "#A9A79F";
    d.woad = "#8DB8E6";
    d.woad_wash = "#23395C";
    d.woad_pressed = "#B4D2F2";
    d.on_woad = "#101622";
    d.madder = "#EE8F8A";
    d.madder_wash = "#472A34";
    d.madder_ink = "#F3A8A4";
    d.weld = "#E2B93F";
    d.weld_wash = "#40381E";
    d.weld_ink = "#EBCB6B";
    d.lichen = "#94C48A";
    d.lichen_wash = "#263A2C";
    d.lichen_ink = "#A9D3A0";
    d.walnut = "#C9A283";
    d.walnut_wash = "#2B2A36";
    d.walnut_line = "#A98567";
    d.figure = "#323954";
    d.weave = mixed(d.walnut, 0.035);
    return d;
}

// Fractions from 20 px up are drawn: numerator raised, denominator below, overlapping the slash.
struct FractionMetrics {
    double numerator = 0, slash = 0, denominator = 0;
};

QString whole_text(const Fraction& f, bool change)
{
    QString s;
    if (f.negative)
        s = QString{QChar{0x2212}};
    else if (change && (f.whole != 0 || f.numerator != 0))
        s = "+";
    if (f.whole != 0 || f.numerator == 0) s += QString::number(f.whole);
    return s;
}

}  // namespace

// The palette is still the desktop's then: later it is ours.
Look::Look(QObject* parent)
    : QObject{parent},
      dyes_{day()},
      desktop_is_dark_{QGuiApplication::palette().window().color().lightness() < 128}
{
}

void Look::set_theme(Theme theme)
{
    theme_ = theme;
    night_ = theme == Theme::Night || (theme == Theme::Desktop && desktop_is_dark_);
    weave_.reset();
    dyes_ = night_ ? indigo_night() : day();
    emit changed();
}

void Look::set_scale(double scale)
{
    scale_ = std::clamp(scale, 0.9, 1.5);
    emit changed();
}

void Look::set_unit(Unit unit)
{
    unit_ = unit;
    emit changed();
}

QFont Look::lato(double px, QFont::Weight weight) const
{
    QFont f{"Lato"};
    f.setPixelSize(static_cast<int>(std::lround(px * scale_)));
    f.setWeight(weight);
    return f;
}

QFont Look::cabin(double px) const
{
    QFont f{"Cabin"};
    f.setPixelSize(static_cast<int>(std::lround(px * scale_)));
    f.setWeight(QFont::DemiBold);
    return f;
}

QBrush Look::dots() const
{
    QPixmap tile{12, 12};
    tile.fill(dyes_.weld_wash);
    QPainter p{&tile};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    p.setBrush(dyes_.weld);
    for (const auto& at : {QPointF{3, 3}, QPointF{9, 9}}) p.drawEllipse(at, 1.25, 1.25);
    return QBrush{tile};
}

QBrush Look::hatch() const
{
    QPixmap tile{7, 7};
    tile.fill(dyes_.madder_wash);
    QPainter p{&tile};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{dyes_.madder, 1.6});
    for (int i = -7; i <= 7; i += 7) p.drawLine(QPointF(i - 1, 8), QPointF(i + 8, -1));
    return QBrush{tile};
}

QBrush Look::weave() const
{
    if (weave_) return *weave_;
    constexpr int side = 256;  // far larger than the weave's 4 px: wide spans fill several times faster
    QPixmap tile{side, side};
    tile.fill(dyes_.linen);
    QPainter p{&tile};
    for (int i = 0; i < side; i += 4) {
        p.fillRect(i, 0, 1, side, dyes_.weave);
        p.fillRect(0, i, side, 1, dyes_.weave);
    }
    p.end();
    weave_ = QBrush{tile};
    return *weave_;
}

QString Look::style_sheet() const
{
    const auto& d = dyes_;
    const auto px = [&](double v) { return QString::number(std::lround(v * scale_)) + "px"; };
    return QString{R"(
QToolTip { background: %3; color: %2; border: 1px solid %4; }
QLineEdit, QPlainTextEdit, QTableWidget, QComboBox { background: %3; border: 1px solid %4; border-radius: 5px; padding: 5px 8px; color: %2; font-size: %1; selection-background-color: %5; selection-color: %6; }
QLineEdit:focus, QPlainTextEdit:focus, QTableWidget:focus, QComboBox:focus { border: 2px solid %5; padding: 4px 7px; }
QLineEdit:disabled { background: transparent; border: 1px dashed %4; color: %4; }
QLineEdit[large="true"] { font-size: %13; padding: 6px 8px; }
QLineEdit[large="true"]:focus { padding: 5px 7px; }
QLineEdit[hero="true"] { font-size: %14; padding: 4px 10px; }
QLineEdit[hero="true"]:focus { padding: 3px 9px; }
QLineEdit[wrong="true"] { background: %7; border: 1px solid %8; }
QLineEdit[wrong="true"]:focus { border: 2px solid %8; }
QPushButton { background: %3; border: 1px solid %4; border-radius: 5px; padding: 7px 20px; color: %2; font-size: %1; }
QPushButton:default { background: %5; border: 1px solid %5; color: %6; }
QPushButton:focus { border: 2px solid %2; padding: 6px 19px; }
QRadioButton { color: %2; spacing: 8px; padding: 3px 6px; border: 2px solid transparent; border-radius: 5px; }
QRadioButton:focus { border: 2px solid %5; }
QRadioButton::indicator { width: 12px; height: 12px; border: 2px solid %4; border-radius: 8px; background: %3; }
QRadioButton::indicator:checked { width: 6px; height: 6px; border: 5px solid %5; }
QMenu { background: %3; color: %2; font-size: %1; border: 1px solid %4; padding: 6px; }
QMenu::item { padding: 7px 18px; border-radius: 4px; }
QMenu::item:selected { background: %9; }
QMenu::separator { height: 1px; background: %10; margin: 5px 8px; }
QDialog { background: %11; }
QScrollArea, QScrollArea > QWidget > QWidget { background: transparent; border: none; }
QScrollBar:vertical { background: transparent; width: 8px; }
QScrollBar::handle:vertical { background: %4; border-radius: 4px; min-height: 30px; }
QScrollBar:horizontal { background: transparent; height: 8px; }
QScrollBar::handle:horizontal { background: %4; border-radius: 4px; min-width: 30px; }
QSlider::groove:horizontal { height: 4px; background: %10; border-radius: 2px; }
QSlider::sub-page:horizontal { background: %5; border-radius: 2px; }
QSlider::handle:horizontal { background: %5; border: 2px solid %3; width: 18px; margin: -9px 0; border-radius: 11px; }
QSlider:focus { border: 2px solid %5; border-radius: 6px; }
QScrollBar::add-line, QScrollBar::sub-line { height: 0; width: 0; }
QHeaderView::section { background: %11; border: none; padding: 4px; color: %12; }
QTableWidget { gridline-color: %10; padding: 0; }
QComboBox::drop-down { border: none; background: transparent; width: 24px; }
QComboBox::down-arrow { image: url(:/chevron.svg); width: 12px; height: 8px; }
QComboBox QAbstractItemView { background: %3; border: 1px solid %4; selection-background-color: %9; selection-color: %2; }
)"}
        .arg(px(14), d.ink.name(), d.sheet.name(), d.edge.name(), d.woad.name(), d.on_woad.name(),
             d.madder_wash.name(), d.madder.name(), d.woad_wash.name())
        .arg(d.rule.name(), d.linen.name(), d.faded.name(), px(20), px(44));
}

QPalette Look::palette() const
{
    QPalette p;
    p.setColor(QPalette::Window, dyes_.linen);
    p.setColor(QPalette::WindowText, dyes_.ink);
    p.setColor(QPalette::Base, dyes_.sheet);
    p.setColor(QPalette::Text, dyes_.ink);
    p.setColor(QPalette::PlaceholderText, dyes_.faded);
    p.setColor(QPalette::Button, dyes_.sheet);
    p.setColor(QPalette::ButtonText, dyes_.ink);
    p.setColor(QPalette::Highlight, dyes_.woad);
    p.setColor(QPalette::HighlightedText, dyes_.on_woad);
    return p;
}

void load_fonts()
{
    register_resources();
    for (const char* name : {"Lato-Regular.ttf", "Lato-Medium.ttf", "Lato-Semibold.ttf", "Cabin-SemiBold.otf"}) {
        QFontDatabase::addApplicationFont(QString{":/fonts/"} + QLatin1String{name});
    }
}

QPolygonF pinked(const QRectF& r, double tooth)
{
    QPolygonF out;
    const auto side = [&](QPointF a, QPointF b, QPointF in) {
        const double len = std::hypot(b.x() - a.x(), b.y() - a.y());
        const int n = std::max(2, static_cast<int>(std::lround(len / tooth)));
        for (int i = 0; i < n; ++i) {
            const QPointF at = a + (b - a) * (double(i) / n);
            out << at << a + (b - a) * ((i + 0.5) / n) + in * (tooth / 2);
        }
    };
    side(r.topLeft(), r.topRight(), {0, 1});
    side(r.topRight(), r.bottomRight(), {-1, 0});
    side(r.bottomRight(), r.bottomLeft(), {0, -1});
    side(r.bottomLeft(), r.topLeft(), {1, 0});
    return out;
}

void draw_tick(QPainter& p, const Look& look, QPointF c, double r)
{
    p.save();
    p.setPen(Qt::NoPen);
    p.setBrush(look.dyes().lichen);
    p.drawEllipse(c, r, r);
    p.setPen(QPen{look.dyes().sheet, std::max(1.4, r / 4), Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(QPolygonF{
        {c + QPointF{-0.42 * r, 0.02 * r}, c + QPointF{-0.1 * r, 0.36 * r}, c + QPointF{0.45 * r, -0.34 * r}}});
    p.restore();
}

void draw_triangle(QPainter& p, const Look& look, QPointF c, double r)
{
    p.save();
    p.setPen(Qt::NoPen);
    p.setBrush(look.dyes().madder);
    p.drawPolygon(QPolygonF{{c + QPointF{0, -r}, c + QPointF{r, 0.85 * r}, c + QPointF{-r, 0.85 * r}}});
    p.setPen(QPen{look.dyes().sheet, 1.6, Qt::SolidLine, Qt::RoundCap});
    p.drawLine(c + QPointF{0, -0.35 * r}, c + QPointF{0, 0.2 * r});
    p.drawPoint(c + QPointF{0, 0.58 * r});
    p.restore();
}

void draw_knot(QPainter& p, const Look& look, QPointF c, Knot knot)
{
    const auto& d = look.dyes();
    p.save();
    switch (knot) {
        case Knot::Done: draw_tick(p, look, c, 6.5); break;
        case Knot::Here:
            p.setBrush(d.sheet);
            p.setPen(QPen{d.woad, 2});
            p.drawEllipse(c, 7, 7);
            p.setBrush(d.woad);
            p.setPen(Qt::NoPen);
            p.drawEllipse(c, 3.6, 3.6);
            break;
        case Knot::Later:
            p.setBrush(d.sheet);
            p.setPen(QPen{d.edge, 1.4});
            p.drawEllipse(c, 5, 5);
            break;
    }
    p.restore();
}

void draw_thread(QPainter& p, const Look& look, QPointF from, QPointF to, bool sewn)
{
    p.save();
    QPen pen{sewn ? look.dyes().woad : look.dyes().rule, sewn ? 2.4 : 1.6, Qt::CustomDashLine, Qt::FlatCap};
    pen.setDashPattern(sewn ? QList<qreal>{8 / 2.4, 5 / 2.4} : QList<qreal>{100, 0.01});
    p.setPen(pen);
    p.drawLine(from, to);
    p.restore();
}

double draw_number(QPainter& p, const Look& look, QPointF at, Length l, Unit unit, double px, QFont::Weight weight,
                   bool change)
{
    p.save();
    p.setFont(look.lato(px, weight));
    double width = 0;
    if (unit != Unit::Inch || px < 20) {
        const QString s = QString::fromStdString(number_text(l, unit, change));
        width = QFontMetricsF{p.font()}.horizontalAdvance(s);
        p.drawText(at, s);
    } else {
        const auto f = nearest_fraction(l);
        const QString whole = whole_text(f, change);
        p.drawText(at, whole);
        width = QFontMetricsF{p.font()}.horizontalAdvance(whole);
        if (f.numerator != 0) {
            const double em = px * look.scale();
            double x = at.x() + width + (whole.isEmpty() ? 0 : 0.08 * em);
            const auto part = [&](const QString& s, double size, double raise) {
                p.setFont(look.lato(px * size, weight));
                p.drawText(QPointF{x, at.y() - raise * em}, s);
                x += QFontMetricsF{p.font()}.horizontalAdvance(s);
            };
            part(QString::number(f.numerator), 0.60, 0.32);
            x -= 0.06 * em;
            part("⁄", 0.82, 0.0);
            x -= 0.06 * em;
            part(QString::number(f.denominator), 0.60, -0.06);
            width = x - at.x();
        }
    }
    p.restore();
    return width;
}

double number_width(const Look& look, Length l, Unit unit, double px, QFont::Weight weight, bool change)
{
    QPixmap none{1, 1};
    QPainter p{&none};
    return draw_number(p, look, {0, 0}, l, unit, px, weight, change);
}

QFont fitting(QFont font, const QString& words, double width, double least)
{
    const double wanted = QFontMetricsF{font}.horizontalAdvance(words);
    if (wanted > width && wanted > 0)
        font.setPixelSize(
            std::max(1, static_cast<int>(std::floor(font.pixelSize() * std::max(least, width / wanted)))));
    return font;
}

void draw_focus(QPainter& p, const Look& look, const QRectF& r, double radius)
{
    p.save();
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{look.dyes().woad, 2});
    p.drawRoundedRect(r, radius, radius);
    p.restore();
}

}  // namespace sartorum::desk
