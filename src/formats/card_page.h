// card_page.h: how the printed cards of this room fill their pages, from the top down. Not for other rooms.
//
// Points, y down. Everything is gone through for every page, and painted on its own alone.
#pragma once
#include <QFont>
#include <QPainter>

#include "formats/pages.h"

namespace sartorum::formats {

[[nodiscard]] inline QFont card_font(double size, bool strong = false)
{
    QFont f{"Lato"};
    f.setPixelSize(static_cast<int>(size));
    f.setWeight(strong ? QFont::DemiBold : QFont::Normal);
    return f;
}

class CardPage {
public:
    static constexpr double margin = 14 * 72.0 / 25.4;
    // `page`: the one that is painted; -1: none, they are only counted.
    CardPage(QPainter& p, PaperSize paper, int page) : p_{p}, wanted_{page}
    {
        const bool letter = paper == PaperSize::Letter;
        width_ = (letter ? 612 : 595) - 2 * margin;
        height_ = (letter ? 792 : 842) - 2 * margin;
    }

protected:
    [[nodiscard]] bool here() const { return page_ == wanted_; }
    [[nodiscard]] int pages() const { return page_ + 1; }

    void need(double height)
    {
        if (y_ + height <= height_) return;
        ++page_;
        y_ = 0;
    }

    [[nodiscard]] double text_height(double width, const QFont& f, const QString& s) const
    {
        p_.setFont(f);
        return p_.fontMetrics()
            .boundingRect(QRect{0, 0, static_cast<int>(width), 2000}, Qt::TextWordWrap, s)
            .height();
    }

    // Text wrapped in a width; gives its height, painted on its own page only.
    double text(double x, double width, const QFont& f, const QString& s)
    {
        const double tall = text_height(width, f, s);
        if (here()) p_.drawText(QRectF{margin + x, margin + y_, width, tall + 4}, Qt::TextWordWrap, s);
        return tall;
    }

    QPainter& p_;
    double y_ = 0;
    double width_ = 0;

private:
    int wanted_;
    int page_ = 0;
    double height_ = 0;
};

}  // namespace sartorum::formats
