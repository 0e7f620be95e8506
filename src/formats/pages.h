// pages.h: printing: full-size tiles, practice sheets at half and quarter scale.
//
// A4 is 210 × 297 mm (ISO 216); US Letter 8½ × 11 in. Margins 10 mm, tiles overlap 10 mm, so that any home
// printer's unprintable rim is left alone. The first tile carries a test square: 5 cm, or 2 in when inches are
// used.
#pragma once
#include <QRectF>
#include <QString>
#include <QStringList>
#include <functional>
#include <vector>

#include "core/plan/compute.h"
#include "core/units/length_text.h"
#include "formats/text_file.h"

class QPainter;

namespace sartorum::formats {

enum class PaperSize { A4, Letter };

struct PrintLabel {
    QString wearer;
    QString pattern;
    QString sizes;
    QString version;
    QString date;
};

struct PrintJob {
    std::vector<Piece> pieces;
    PaperSize paper = PaperSize::A4;
    int divide = 1;  // 1 full size, 2 half, 4 quarter
    Unit unit = Unit::Centimetre;
    PrintLabel label;
    QStringList not_done{};  // sentences that stand at the head of the first sheet
    // For each piece the left side's line, where it is drawn on the right side's; else empty.
    std::vector<std::optional<Piece>> left{};
    bool for_toile = false;  // the lines drawn on it are named
};

// Of unlike sides: each its own pieces, or both lines on one.
enum class SidesPrinted { Apart, OnOnePiece };

struct Tile {
    int row = 0;
    int column = 0;
    QRectF part;  // of the laid-out sheet, mm
    bool blank = false;
    [[nodiscard]] QString name() const;  // "A1"
};

// Where the pieces lie on one large sheet, and how it is parted into pages. All mm, y down, at printed scale.
struct Layout {
    std::vector<Piece> pieces;
    std::vector<std::optional<Piece>> left;  // as in the job
    std::vector<QPointF> places;
    QRectF test_square;
    QSizeF sheet;
    QSizeF page;
    int rows = 0;
    int columns = 0;
    std::vector<Tile> tiles;  // row by row, blanks included
    [[nodiscard]] int printed() const;
};

inline constexpr double page_margin_mm = 10;
inline constexpr double tile_overlap_mm = 10;

[[nodiscard]] QSizeF page_mm(PaperSize);
[[nodiscard]] Layout lay_out(const PrintJob&);
// Paints the whole laid-out sheet in millimetres; the pages and the preview on screen are the same drawing.
void paint_sheet(QPainter&, const PrintJob&, const Layout&);

// The altered pieces; at half and quarter scale each as traced too.
[[nodiscard]] PrintJob print_job(const Computed&, PaperSize, int divide, Unit, const PrintLabel&,
                                 SidesPrinted = SidesPrinted::Apart);

// Called after each page with done and all; returning false stops. The file is left unwritten then.
using Progress = std::function<bool(int, int)>;
[[nodiscard]] Outcome<int> write_pages(const QString& path, const PrintJob&, IfThere, const Progress& = {});
// For half and quarter scale: each piece as traced, to cut and tape by the steps, and as it should come out.
[[nodiscard]] std::vector<Piece> practice_pieces(const Computed&);
// The altered pieces as a pattern of one size, at true scale; of two, right and left, where they are not alike.
[[nodiscard]] QByteArray altered_svg(const Computed&, const PrintLabel&);

}  // namespace sartorum::formats
