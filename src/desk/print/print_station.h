// print_station.h: full-size tiles, practice sheets, the work card, and the altered pieces as SVG.
#pragma once

#include "desk/room.h"
#include "desk/shared/parts.h"
#include "desk/shared/worker.h"

namespace sartorum::desk {

class TileMap;

class PrintStation : public QWidget {
    Q_OBJECT
public:
    PrintStation(Look&, Room&, QWidget* parent = nullptr);
    [[nodiscard]] bool working() const { return writer_->busy(); }
    [[nodiscard]] bool laying_out() const { return layer_->busy(); }
    void show_toile();  // the toile sheet
    // The folder that stands there to begin with; an empty one changes nothing.
    void begin_in(const QString& folder);

signals:
    void plan_wanted();
    void written(const QString& path);

private:
    enum Kind { Tiles, Half, Quarter, WorkCard, ToilePieces, ToileSheet };
    void refresh();
    void lay_out();
    void laid_out(formats::PrintJob, formats::Layout, int generation);
    void tell_pages();
    void save_pages();
    void save_svg();
    // Nothing is replaced unasked: none when it is to be left alone.
    [[nodiscard]] std::optional<formats::IfThere> ask_to_replace(const QString& path);
    void finish(const Outcome<int>&, const QString& path);
    [[nodiscard]] formats::PrintJob job() const;
    [[nodiscard]] QString file(const QString& ending) const;
    [[nodiscard]] int card_pages() const;
    [[nodiscard]] bool is_card() const { return kind_->chosen() == WorkCard || kind_->chosen() == ToileSheet; }
    [[nodiscard]] bool for_toile() const { return kind_->chosen() >= ToilePieces; }
    [[nodiscard]] NextLook sewn() const;  // of the toile
    [[nodiscard]] int paint_card(QPainter&, const formats::PrintJob&, int page) const;
    Look& look_;
    Room& room_;
    QWidget* empty_;
    QWidget* work_;
    Choices* kind_;
    Choices* paper_;
    Choices* sides_;
    Choices* parts_;  // of the toile
    TileMap* map_;
    QLabel* count_;
    QLabel* note_;
    QLineEdit* folder_;
    QLabel* said_;
    Button* save_;
    Button* svg_;
    Button* cancel_;
    Worker* writer_;
    QByteArray printing_;  // the work that is being printed, to be kept; empty: nothing is
    Worker* layer_;        // works out how the pages lie
    int generation_ = 0;   // of what is to be shown; what was laid out for an earlier one is not
};

}  // namespace sartorum::desk
