// painted_text.h: every text a widget and its children paint, and where: for tests that nothing is cut and that
// nothing lies on something else. Painted onto a device that keeps the words and no picture.
#pragma once
#include <QPaintDevice>
#include <QPaintEngine>
#include <QPainter>
#include <QScrollArea>
#include <QWidget>

namespace sartorum::test {

struct PaintedText {
    QString text;
    QRectF at;    // what the letters cover, on the widget
    QRectF room;  // what it was clipped to
};

class TextKeepingEngine : public QPaintEngine {
public:
    TextKeepingEngine() : QPaintEngine{QPaintEngine::AllFeatures} {}
    bool begin(QPaintDevice*) override { return true; }
    bool end() override { return true; }
    void updateState(const QPaintEngineState&) override {}
    void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
    void drawImage(const QRectF&, const QImage&, const QRectF&, Qt::ImageConversionFlags) override {}
    void drawTiledPixmap(const QRectF&, const QPixmap&, const QPointF&) override {}
    void drawPath(const QPainterPath&) override {}
    void drawPolygon(const QPointF*, int, PolygonDrawMode) override {}
    void drawPolygon(const QPoint*, int, PolygonDrawMode) override {}
    void drawLines(const QLineF*, int) override {}
    void drawLines(const QLine*, int) override {}
    void drawRects(const QRectF*, int) override {}
    void drawRects(const QRect*, int) override {}
    void drawEllipse(const QRectF&) override {}
    void drawEllipse(const QRect&) override {}
    void drawPoints(const QPointF*, int) override {}
    void drawPoints(const QPoint*, int) override {}
    void drawTextItem(const QPointF& p, const QTextItem& item) override
    {
        if (item.text().trimmed().isEmpty() || painter()->pen().style() == Qt::NoPen) return;
        const QRectF letters = QFontMetricsF{item.font()}.tightBoundingRect(item.text()).translated(p);
        const QTransform t = state->transform();
        PaintedText out{item.text(), t.mapRect(letters), QRectF{-1e6, -1e6, 2e6, 2e6}};
        if (painter()->hasClipping()) out.room &= t.mapRect(painter()->clipBoundingRect());
        const QRegion system = systemClip();
        if (!system.isEmpty()) out.room &= QRectF{system.boundingRect()};
        texts.push_back(out);
    }
    Type type() const override { return User; }
    std::vector<PaintedText> texts;
};

class TextKeepingDevice : public QPaintDevice {
public:
    explicit TextKeepingDevice(QSize size) : size_{size} {}
    QPaintEngine* paintEngine() const override { return &engine_; }
    [[nodiscard]] const std::vector<PaintedText>& texts() const { return engine_.texts; }

protected:
    int metric(PaintDeviceMetric m) const override
    {
        switch (m) {
            case PdmWidth: return size_.width();
            case PdmHeight: return size_.height();
            case PdmDepth: return 32;
            case PdmNumColors: return 1 << 24;
            case PdmDpiX:
            case PdmDpiY:
            case PdmPhysicalDpiX:
            case PdmPhysicalDpiY: return 96;
            case PdmDevicePixelRatio: return 1;
            case PdmDevicePixelRatioScaled: return static_cast<int>(devicePixelRatioFScale());
            default: return 0;
        }
    }

private:
    QSize size_;
    mutable TextKeepingEngine engine_;
};

inline std::vector<PaintedText> painted_texts(QWidget& w)
{
    TextKeepingDevice device{w.size()};
    w.render(&device, {}, {}, QWidget::DrawChildren);
    return device.texts();
}

}  // namespace sartorum::test
