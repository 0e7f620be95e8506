// paper_says.h: what a tissue says so far: girths and lengths that meet, with their ease over the chart's body;
// what still waits, and for which line.
#pragma once
#include <QWidget>

#include "core/tissue/reckoned_girths.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

class PaperSays : public QWidget {
public:
    PaperSays(Look&, QWidget* parent);
    void show(const Tissue&, std::vector<Reckoned>, const SizeChart*);
    [[nodiscard]] QStringList rows() const;  // as they are said

protected:
    void paintEvent(QPaintEvent*) override;

private:
    struct Row {
        QString name;
        std::optional<Length> value;
        std::optional<Length> ease;
        QString waits;
    };
    void fit();
    Look& look_;
    std::vector<Row> rows_;
};

}  // namespace sartorum::desk
