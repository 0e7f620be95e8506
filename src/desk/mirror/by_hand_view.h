// by_hand_view.h: what hands found on a toile, as amounts at named places: offcuts, the marked waist, the dot of
// the bust point, what was let out; and the adjustments they make.
#pragma once
#include "desk/mirror/mirror_state.h"
#include "desk/shared/parts.h"

class QVBoxLayout;

namespace sartorum::desk {

class ByHandView : public QWidget {
    Q_OBJECT
public:
    ByHandView(Look&, MirrorState&, QWidget* parent = nullptr);

private:
    struct Field {
        ByHand what{};
        std::string at;
        Face face{};
        QLabel* name = nullptr;
        LengthField* field = nullptr;
    };
    void build(QVBoxLayout*, QWidget* inside);
    void refresh();
    [[nodiscard]] bool serves(const Field&) const;
    [[nodiscard]] std::optional<Length> found(const Field&) const;
    void entered(const Field&, std::optional<Length>);
    void take();
    [[nodiscard]] std::optional<Side> side() const;
    Look& look_;
    MirrorState& state_;
    Choices* side_;
    std::vector<Field> fields_;
    std::map<ByHand, QWidget*> groups_;
    std::vector<std::pair<ByHand, QLabel*>> hows_;
    QLabel* makes_;
    Button* take_;
    QLabel* said_;
    QString last_said_;
};

}  // namespace sartorum::desk
