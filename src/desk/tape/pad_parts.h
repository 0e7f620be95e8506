// pad_parts.h: what the Tape's pad is made of: the number in hand, the readings as pins, the measure over time.
#pragma once
#include <QDate>
#include <QWidget>

#include "core/body/body_set.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

// The number large enough to read from the cutting table, and the same in the other unit.
class Hero : public QWidget {
public:
    Hero(Look&, QWidget* parent);
    void show(std::optional<Taken>);
    void show_live(std::optional<Length>);  // what a digital tape shows now, in place of a kept number

protected:
    void paintEvent(QPaintEvent*) override;

private:
    [[nodiscard]] std::optional<Length> value() const;
    Look& look_;
    std::optional<Taken> taken_;
    std::optional<Length> live_;
};

// The readings as pins on a line, the lichen band as wide as they may lie apart.
class ReadingStrip : public QWidget {
public:
    ReadingStrip(Look&, QWidget* parent);
    void show(Measure, std::vector<Length> readings);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    Measure measure_{};
    std::vector<Length> readings_;
};

// One measure through all dated sets.
class Trend : public QWidget {
public:
    struct Point {
        QDate date;
        Length value;
        Length spread;
        bool here = false;
    };
    Trend(Look&, QWidget* parent);
    void show(std::vector<Point>);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    std::vector<Point> points_;
};

}  // namespace sartorum::desk
