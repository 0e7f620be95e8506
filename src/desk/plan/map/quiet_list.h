// quiet_list.h: over the map: what a zone leaves alone, a line each with its reason; one chosen is opened.
#pragma once
#include "core/plan/overview.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class QuietList : public Panel {
    Q_OBJECT
public:
    QuietList(Look&, Room&, QWidget* parent = nullptr);
    void show_zones(const std::vector<Zone>&);
    [[nodiscard]] const std::vector<Zone>& zones() const { return zones_; }
    void refresh();
    void take_focus();  // the first of its lines

signals:
    void opened(AdjustmentKind);
    void left();  // closed without choosing

protected:
    void keyPressEvent(QKeyEvent*) override;

private:
    Room& room_;
    std::vector<Zone> zones_;
    QVBoxLayout* rows_;
    Button* close_;
    std::vector<Button*> opens_;
    QWidget* inside_ = nullptr;
    QWidget* frame_;
    QString shown_;
};

}  // namespace sartorum::desk
