// notice.h: what must be said once about the notebook, above the work, until it is put away. One at a time.
#pragma once
#include <functional>

#include "desk/shared/parts.h"

namespace sartorum::desk {

class Notice : public QWidget {
    Q_OBJECT
public:
    struct Action {
        QString text;
        std::function<void()> run;
    };
    explicit Notice(Look&, QWidget* parent = nullptr);
    // A notice of the same key takes the place of the earlier one; an empty text takes it away.
    void say(const QString& key, const QString& text, std::optional<Action> = {});
    [[nodiscard]] QString text() const;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    struct Said {
        QString key;
        QString text;
        std::optional<Action> action;
    };
    void show_first();
    Look& look_;
    std::vector<Said> said_;
    QLabel* label_;
    Button* act_;
    Button* close_;
};

}  // namespace sartorum::desk
