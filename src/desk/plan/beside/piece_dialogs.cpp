#include "desk/plan/beside/piece_dialogs.h"

#include <QGridLayout>
#include <algorithm>

#include "core/alter/kit/opening.h"
#include "core/paper/facing.h"
#include "core/pattern/part_rules.h"
#include "desk/dialogs/sheet.h"
#include "formats/make_up_json.h"
#include "formats/pattern_svg.h"
#include "words/pieces.h"

namespace sartorum::desk {
namespace {

constexpr Length usual_facing = Length::mm(60);
constexpr Length usual_button = Length::mm(18);
constexpr Length usual_gap = Length::mm(80);

// A field under its name.
void put(QGridLayout& grid, Look& look, int row, int column, const QString& name, QWidget* field)
{
    grid.addWidget(label(look, name, 14, true, field->parentWidget()), row * 2, column);
    grid.addWidget(field, row * 2 + 1, column, Qt::AlignTop);
}

LengthField* length_field(Look& look, QDialog* parent, const QString& name, const char* object, Length stands)
{
    auto* f = new LengthField{look, name, parent};
    f->edit().setObjectName(object);
    f->show_value(stands);
    return f;
}

// What stands there; none, and why is said, where it is no length within these.
std::optional<Length> read(LengthField& f, Look& look, Length low, Length high)
{
    const auto typed = parse_length(f.edit().text().toStdString(), look.unit());
    if (typed && *typed >= low && *typed <= high) return *typed;
    f.say(
        typed
            ? QDialog::tr("From %1 to %2.").arg(words::amount(low, look.unit()), words::amount(high, look.unit()))
            : words::refusal(typed.error(), look.unit()),
        true);
    f.edit().setFocus();
    return std::nullopt;
}

QString with_length(const QString& name, Length l, Unit u)
{
    return name + ", " + words::amount(l, u);
}

}  // namespace

FacingDialog::FacingDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("Make a facing"));
    column->addWidget(label(look,
                            tr("Drawn last of all, from the edge as it is then: the same edge, the lines at its "
                               "ends, and an outer edge as far from it all along."),
                            14, false, this));
    const auto& pieces = room.computed()->altered.pieces;
    QStringList names;
    for (const auto& side : edges_to_sew_to(pieces)) {
        if (find_piece(pieces, facing_id(side))) continue;
        edges_.push_back(side);
        const QString name = words::edges_of({side}, pieces);
        names << with_length(name, sewn_length(*find_piece(pieces, side.piece), side.role), look.unit());
    }
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    edge_ = combo(this, tr("Edge"), names, 0, "facing_edge");
    width_ = length_field(look, this, tr("Width"), "facing_width", usual_facing);
    put(*grid, look, 0, 0, tr("From which edge"), edge_);
    put(*grid, look, 0, 1, tr("How wide"), width_);
    grid->setColumnStretch(0, 2);
    grid->setColumnStretch(1, 1);
    column->addLayout(grid);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("facing_said");
    column->addWidget(said_);
    column->addWidget(keep_or_leave(*this, look, tr("Make it"), "keep_facing", [this] { take(); }));
    setMinimumWidth(560);
}

void FacingDialog::take()
{
    const auto width = read(*width_, look_, line_least, facing_width_most);
    if (!width || edges_.empty()) return;
    const SeamSide from = edges_[static_cast<std::size_t>(edge_->currentIndex())];
    MakeUp next = room_.plan().make_up;
    next.facings.push_back({from, *width});
    if (const auto why = room_.not_made(next, facing_id(from))) {
        said_->setText(words::refusal(*why, look_.unit()));
        return;
    }
    room_.make_up(next, tr("a facing made"));
    accept();
}

BringDialog::BringDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("Bring in a piece"));
    QStringList names;
    for (const auto& p : room.book().patterns()) {
        patterns_.push_back(p.id);
        names << (p.second.isEmpty() ? p.name : p.name + ", " + p.second);
    }
    pattern_ = combo(this, tr("Pattern"), names, 0, "bring_pattern");
    size_ = combo(this, tr("Size"), {}, 0, "bring_size");
    piece_ = combo(this, tr("Piece"), {}, 0, "bring_which");
    edge_ = combo(this, tr("Its edge"), {}, 0, "bring_edge");
    ratio_ = line_edit(this, tr("How many times as long"), "bring_ratio");
    ratio_->setText("1");
    const auto& pieces = room.computed()->altered.pieces;
    QStringList places;
    const auto offer = [&](std::vector<SeamSide> sides) {
        Choice c{std::move(sides), {}, {}};
        c.length = side_length(pieces, c.sides);
        c.name = words::edges_of(c.sides, pieces);
        places << with_length(c.name, c.length, look.unit());
        to_.push_back(std::move(c));
    };
    const auto sides = edges_to_sew_to(pieces);
    for (const auto part : parts_of(pieces)) {
        for (const auto role : {EdgeRole::Neck, EdgeRole::Armhole, EdgeRole::Waist, EdgeRole::Hem}) {
            std::vector<SeamSide> all_round;
            for (const auto& s : sides) {
                const Piece& p = *find_piece(pieces, s.piece);
                if (p.part == part && goes_round(p) && s.role == role) all_round.push_back(s);
            }
            if (all_round.size() > 1) offer(std::move(all_round));
        }
    }
    for (const auto& s : sides) offer({s});
    sewn_to_ = combo(this, tr("Sewn to"), places, 0, "bring_to");
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    put(*grid, look, 0, 0, tr("From which pattern"), pattern_);
    put(*grid, look, 0, 1, tr("In which size"), size_);
    put(*grid, look, 1, 0, tr("Which piece"), piece_);
    put(*grid, look, 1, 1, tr("By which of its edges"), edge_);
    put(*grid, look, 2, 0, tr("Sewn to"), sewn_to_);
    put(*grid, look, 2, 1, tr("How many times as long as that"), ratio_);
    grid->setColumnStretch(0, 3);
    grid->setColumnStretch(1, 2);
    column->addLayout(grid);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("bring_said");
    said_->setWordWrap(true);
    column->addWidget(said_);
    column->addWidget(keep_or_leave(*this, look, tr("Bring it in"), "keep_brought", [this] { take(); }));
    connect(pattern_, &QComboBox::currentIndexChanged, this, [this] { read_pattern(); });
    connect(size_, &QComboBox::currentIndexChanged, this, [this] { read_size(); });
    connect(piece_, &QComboBox::currentIndexChanged, this, [this] { read_piece(); });
    connect(edge_, &QComboBox::currentIndexChanged, this, [this] { tell(); });
    connect(sewn_to_, &QComboBox::currentIndexChanged, this, [this] { tell(); });
    connect(ratio_, &QLineEdit::textChanged, this, [this] { tell(); });
    read_pattern();
    setMinimumWidth(640);
}

void BringDialog::read_pattern()
{
    from_.reset();
    const auto at = pattern_->currentIndex();
    const auto svg = at < 0 ? std::nullopt : room_.book().pattern_svg(patterns_[static_cast<std::size_t>(at)]);
    if (svg) {
        if (auto read = formats::read_pattern_svg(svg->toStdString())) from_ = std::move(*read);
    }
    const QSignalBlocker quiet{size_};
    size_->clear();
    if (from_) {
        for (const auto& s : from_->sizes) size_->addItem(QString::fromStdString(s.size));
        size_->setCurrentText(QString::fromStdString(room_.plan().frame_size()));
    }
    read_size();
}

// What hangs on an edge: neither a front, nor a back, nor a sleeve.
void BringDialog::read_size()
{
    const QSignalBlocker quiet{piece_};
    piece_->clear();
    ids_.clear();
    const auto* sized = from_ ? from_->find(size_->currentText().toStdString()) : nullptr;
    if (sized) {
        for (const auto& p : sized->pieces) {
            if (!may_be_left_out(p) || p.role == PieceRole::Sleeve || !p.darts.empty()) continue;
            ids_.push_back(p.id);
            piece_->addItem(words::piece_name(p));
        }
    }
    read_piece();
}

const Piece* BringDialog::piece() const
{
    const auto* sized = from_ ? from_->find(size_->currentText().toStdString()) : nullptr;
    const auto at = piece_->currentIndex();
    return sized && at >= 0 ? find_piece(sized->pieces, ids_[static_cast<std::size_t>(at)]) : nullptr;
}

// The longest edges first: it is mostly sewn by one of them.
void BringDialog::read_piece()
{
    const QSignalBlocker quiet{edge_};
    edge_->clear();
    own_edges_.clear();
    if (const auto* p = piece()) {
        for (std::size_t i = 0; i < p->edges.size(); ++i) own_edges_.push_back(i);
        std::stable_sort(own_edges_.begin(), own_edges_.end(), [&](std::size_t a, std::size_t b) {
            return length(p->edges[a].curve) > length(p->edges[b].curve) + Length::mm(0.5);
        });
        for (const auto i : own_edges_)
            edge_->addItem(
                with_length(words::edge_name(p->edges[i].role), length(p->edges[i].curve), look_.unit()));
    }
    tell();
}

std::optional<double> BringDialog::ratio() const
{
    bool number = false;
    const double r = ratio_->text().trimmed().replace(',', '.').toDouble(&number);
    return number && r >= fullness_least && r <= fullness_most ? std::optional{r} : std::nullopt;
}

void BringDialog::tell()
{
    const auto* p = piece();
    if (!p) {
        said_->setText(from_ ? tr("This pattern has no piece that hangs on an edge.")
                             : tr("This pattern cannot be read."));
        return;
    }
    const auto r = ratio();
    if (!r) {
        said_->setText(tr("How many times as long: from 0.5 to 5; gathers are 1.5 to 2.5, lace about 2."));
        return;
    }
    const auto at = edge_->currentIndex();
    const auto to = sewn_to_->currentIndex();
    if (at < 0 || to < 0) return;
    const Length own = length(p->edges[own_edges_[static_cast<std::size_t>(at)]].curve);
    const Length wanted = to_[static_cast<std::size_t>(to)].length * *r;
    const Length off = wanted - own;
    said_->setText(abs(off) < Length::mm(0.5)
                       ? tr("It is as long as it has to be.")
                       : tr("It has to be %1 there and is %2: a straight one is made so, a curved one stays as it "
                            "is, and the walk says by how much they differ.")
                             .arg(words::amount(wanted, look_.unit()), words::amount(own, look_.unit())));
}

void BringDialog::take()
{
    const auto* p = piece();
    const auto r = ratio();
    if (!p || !r) return p ? ratio_->setFocus() : pattern_->setFocus();
    Piece own = *p;
    // Brought in beside pieces that may be called the same.
    const auto& there = room_.computed()->altered.pieces;
    MakeUp next = room_.plan().make_up;
    const auto taken = [&](const std::string& id) {
        return find_piece(there, id) ||
               std::find(next.left_out.begin(), next.left_out.end(), id) != next.left_out.end();
    };
    const std::string plain = own.id;
    for (int n = 2; taken(own.id); ++n) own.id = plain + "-" + std::to_string(n);
    next.brought.push_back(formats::brought_piece(own, own_edges_[static_cast<std::size_t>(edge_->currentIndex())],
                                                  to_[static_cast<std::size_t>(sewn_to_->currentIndex())].sides,
                                                  *r, from_->name, size_->currentText().toStdString()));
    if (const auto why = room_.not_made(next, own.id)) {
        said_->setText(words::refusal(*why, look_.unit()));
        return;
    }
    room_.make_up(next, tr("a piece brought in"));
    accept();
}

OpeningDialog::OpeningDialog(Look& look, Room& room, QWidget* parent) : QDialog{parent}, look_{look}, room_{room}
{
    auto* column = sheet(*this, look, tr("Where it opens"));
    const auto& stands = room.plan().make_up.opening;
    where_ = combo(this, tr("Where"), {tr("centre front"), tr("centre back")},
                   stands && stands->to == PieceRole::Back ? 1 : 0, "opening_where");
    how_ =
        combo(this, tr("How"), {tr("overlapping, with buttons"), tr("edge to edge: hooks and eyes, loops, a zip")},
              stands && stands->overlap == Length{} ? 1 : 0, "opening_how");
    length_ = new LengthField{look, tr("From the top down"), this};
    length_->edit().setObjectName("opening_length");
    length_->edit().setPlaceholderText(tr("all the way"));
    if (stands && stands->length < piece_most) length_->show_value(stands->length);
    const Length button = stands ? button_for(stands->overlap) : Length{};
    button_ = length_field(look, this, tr("The button's width"), "opening_button",
                           button > Length{} ? button : usual_button);
    gap_ = length_field(look, this, tr("From button to button, about"), "opening_gap",
                        stands && stands->button_gap > Length{} ? stands->button_gap : usual_gap);
    facing_ = new LengthField{look, tr("A facing for it"), this};
    facing_->edit().setObjectName("opening_facing");
    facing_->edit().setPlaceholderText(tr("none"));
    if (!stands) facing_->show_value(usual_facing);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    put(*grid, look, 0, 0, tr("Where"), where_);
    put(*grid, look, 0, 1, tr("How"), how_);
    put(*grid, look, 1, 0, tr("From the top down (empty: all the way)"), length_);
    put(*grid, look, 1, 1, tr("With a facing, so wide (empty: none)"), facing_);
    put(*grid, look, 2, 0, tr("The button's width"), button_);
    put(*grid, look, 2, 1, tr("From button to button, about"), gap_);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    column->addLayout(grid);
    said_ = label(look, {}, 14, true, this);
    said_->setObjectName("opening_said");
    said_->setWordWrap(true);
    column->addWidget(said_);
    connect(how_, &QComboBox::currentIndexChanged, this, [this] { tell(); });
    connect(&button_->edit(), &QLineEdit::textChanged, this, [this] { tell(); });
    tell();
    column->addWidget(keep_or_leave(*this, look, tr("Open it there"), "keep_opening", [this] { take(); }));
    setMinimumWidth(640);
}

void OpeningDialog::tell()
{
    const bool buttons = how_->currentIndex() == 0;
    button_->setEnabled(buttons);
    gap_->setEnabled(buttons);
    const auto width = parse_length(button_->edit().text().toStdString(), look_.unit());
    if (!buttons)
        said_->setText(
            tr("Both edges meet at the centre. What opened before goes on the fold where it is straight, "
               "else it stays a seam."));
    else if (width)
        said_->setText(
            tr("Buttons and holes lie on the centre line; the edge lies %1 past it: half the button and a "
               "little more.")
                .arg(words::amount(overlap_for(*width), look_.unit())));
}

void OpeningDialog::take()
{
    MovedOpening o;
    o.to = where_->currentIndex() == 0 ? PieceRole::Front : PieceRole::Back;
    o.length = piece_most;
    if (!length_->edit().text().trimmed().isEmpty()) {
        const auto down = read(*length_, look_, Length::mm(20), Length::mm(2000));
        if (!down) return;
        o.length = *down;
    }
    if (how_->currentIndex() == 0) {
        const auto button = read(*button_, look_, Length::mm(5), Length::mm(80));
        if (!button) return;
        const auto gap = read(*gap_, look_, button_gap_least, Length::mm(400));
        if (!gap) return;
        o.overlap = overlap_for(*button);
        o.button_gap = *gap;
    }
    std::optional<Length> facing;
    if (!facing_->edit().text().trimmed().isEmpty()) {
        facing = read(*facing_, look_, line_least, facing_width_most);
        if (!facing) return;
    }
    const MakeUp next = with_opening(room_.plan().make_up, o, room_.computed()->altered.pieces, facing);
    if (const auto why = room_.not_made(next, the_opening)) {
        said_->setText(words::refusal(*why, look_.unit()));
        return;
    }
    room_.make_up(next, tr("the opening moved"));
    accept();
}

}  // namespace sartorum::desk
