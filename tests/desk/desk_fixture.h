// desk_fixture.h: a real window on a notebook in a temporary folder, and the little hands that press and type.
#pragma once
#include <QApplication>
#include <QLineEdit>
#include <QMenu>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

#include "demo_notebook.h"
#include "desk/window.h"

namespace sartorum::test {

using namespace sartorum::desk;

struct Desk {
    Look look;
    std::unique_ptr<Room> room;
    std::unique_ptr<Window> window;

    Desk(const QString& path, bool demo, QDate today = {2026, 11, 23})
    {
        if (demo) lay_demo_notebook(path);
        auto book = notebook::Notebook::open(path);
        if (!book) qFatal("the notebook does not open");
        room = std::make_unique<Room>(std::move(*book), [today] { return today; });
        window = std::make_unique<Window>(look, *room);
        window->show();
        if (!QTest::qWaitForWindowActive(window.get())) qWarning("the window is not active");
    }
    template <class T = QWidget>
    T* find(const char* name) const
    {
        for (auto* w : window->findChildren<T*>(QString::fromUtf8(name))) {
            if (w->isVisible()) return w;
        }
        qFatal("no visible %s", name);
    }
    // After a dialog: the window is the active one again.
    void settle() const
    {
        window->activateWindow();
        if (!QTest::qWaitForWindowActive(window.get())) qFatal("the window does not come back");
        QTest::qWait(20);
    }
    void click(const char* name) const { QTest::mouseClick(find(name), Qt::LeftButton); }
    // What is proposed, and then what comes up through it, until only what is unusual waits.
    void accept_all() const
    {
        for (int i = 0; i < 12; ++i) {
            const auto* all = window->findChild<QWidget*>("accept_all");
            if (!all || !all->isVisible()) return;
            click("accept_all");
        }
    }
    void key(int k, Qt::KeyboardModifiers m = {}) const
    {
        QWidget* w = QApplication::focusWidget();
        QTest::keyClick(w ? w : window.get(), static_cast<Qt::Key>(k), m);
    }
    void type(const QString& s) const { QTest::keyClicks(QApplication::focusWidget(), s); }
    const PlanLine& line(AdjustmentKind k) const { return *room->computed()->line(k); }
};

// Runs inside the next modal dialog, and gives up on it if it is still there afterwards.
inline void in_dialog(const std::function<void(QWidget*)>& act)
{
    QTimer::singleShot(0, [act] {
        for (int i = 0; i < 100 && !QApplication::activeModalWidget(); ++i) QTest::qWait(10);
        QWidget* dialog = QApplication::activeModalWidget();
        if (!dialog) qFatal("no dialog came");
        QPointer<QWidget> kept{dialog};
        act(dialog);
        if (kept && kept->isVisible()) kept->close();
    });
}

}  // namespace sartorum::test
