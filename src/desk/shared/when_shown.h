// when_shown.h: a view is brought up to date only while it is seen. Hidden, it marks itself stale and catches up
// when it is shown again.
#pragma once
#include <QEvent>
#include <QWidget>
#include <functional>

namespace sartorum::desk {

class WhenShown : public QObject {
    Q_OBJECT
public:
    WhenShown(QWidget* view, std::function<void()> refresh)
        : QObject{view}, view_{view}, refresh_{std::move(refresh)}
    {
        view->installEventFilter(this);
    }

public slots:
    void changed()
    {
        stale_ = !view_->isVisible();
        if (!stale_) refresh_();
    }

protected:
    bool eventFilter(QObject* watched, QEvent* e) override
    {
        if (watched == view_ && e->type() == QEvent::Show && std::exchange(stale_, false)) refresh_();
        return false;
    }

private:
    QWidget* view_;
    std::function<void()> refresh_;
    bool stale_ = false;
};

// Follows what each source says with the signal `changed`.
template <class... Sources>
WhenShown* refresh_when_shown(QWidget* view, std::function<void()> refresh, Sources&... sources)
{
    auto* w = new WhenShown{view, std::move(refresh)};
    (QObject::connect(&sources, &Sources::changed, w, &WhenShown::changed), ...);
    return w;
}

}  // namespace sartorum::desk
