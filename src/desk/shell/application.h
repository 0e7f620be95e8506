// application.h: the gate of the window: what a library throws while an event is handled ends there, is said in a
// sentence, and the program goes on.
#pragma once
#include <QApplication>

namespace sartorum::desk {

class Application : public QApplication {
    Q_OBJECT
public:
    using QApplication::QApplication;
    bool notify(QObject*, QEvent*) override;

signals:
    void failed(const QString& sentence);
};

}  // namespace sartorum::desk
