// The yardstick for starting: the smallest Qt window of the same size, ended once it is painted. Says its peak
// memory.
#include <QApplication>
#include <QPaintEvent>
#include <QTimer>
#include <QWidget>
#include <cstdio>

#include "peak_memory.h"

class Bare : public QWidget {
protected:
    void paintEvent(QPaintEvent*) override { QTimer::singleShot(0, qApp, &QApplication::quit); }
};

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    Bare window;
    window.resize(1280, 800);
    window.show();
    const int code = QApplication::exec();
    std::printf("memory-kb %ld\n", peak_memory_kb());
    return code;
}
