#include "desk/dialogs/flat_pattern.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>

#include "core/pattern/bodice_block.h"
#include "core/pattern/skirt_block.h"
#include "desk/dialogs/sheet.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// Every length of a block by the name a refusal gives it.
template <class Flat>
using Slots = std::vector<std::pair<const char*, Length Flat::*>>;

template <class Flat>
Flat filled(const Slots<Flat>& names, const std::map<std::string, Length>& values)
{
    Flat f;
    for (const auto& [key, slot] : names) f.*slot = values.at(key);
    return f;
}

}  // namespace

FlatPatternDialog::FlatPatternDialog(Look& look, Room& room, const QString& prefix, QWidget* parent)
    : QDialog{parent}, look_{look}, room_{room}, prefix_{prefix}
{
}

QComboBox* FlatPatternDialog::choice(const QString& name, const QStringList& words, const char* key)
{
    return combo(this, name, words, 0, (prefix_ + "_" + key).toUtf8().constData());
}

void FlatPatternDialog::lay_out(const QString& title, const QString& how, const std::vector<Field>& all, int rows,
                                const std::vector<QComboBox*>& choices)
{
    auto* column = sheet(*this, look_, title);
    column->addWidget(label(look_, how, 14, false, this));
    auto* top = new QHBoxLayout;
    name_ = line_edit(this, tr("Pattern name"), prefix_ + "_name");
    name_->setPlaceholderText(tr("pattern name"));
    maker_ = line_edit(this, tr("Maker"), prefix_ + "_maker");
    maker_->setPlaceholderText(tr("maker"));
    size_ = line_edit(this, tr("Size as in the chart"), prefix_ + "_size");
    size_->setPlaceholderText(tr("size"));
    if (room_.chart()) {
        maker_->setText(QString::fromStdString(room_.chart()->maker));
        size_->setText(QString::fromStdString(room_.plan().size_at(Level::Hip)));
    }
    top->addWidget(name_, 2);
    top->addWidget(maker_, 2);
    top->addWidget(size_, 1);
    for (auto* c : choices) top->addWidget(c, 1);
    column->addLayout(top);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    grid->setVerticalSpacing(4);
    for (std::size_t i = 0; i < all.size(); ++i) add(grid, all[i], static_cast<int>(i), rows);
    column->addLayout(grid);
    said_ = label(look_, {}, 14, true, this);
    said_->setObjectName(prefix_ + "_said");
    column->addWidget(said_);
    column->addLayout(
        keep_or_leave(*this, look_, tr("Draw it"), ("draw_" + prefix_).toUtf8().constData(), [this] { take(); }));
    setMinimumWidth(rows > 5 ? 1000 : 760);
}

void FlatPatternDialog::add(QGridLayout* grid, const Field& f, int n, int rows)
{
    auto* words = new QWidget{this};
    words->setMinimumWidth(rows > 5 ? 200 : 210);
    auto* stack = new QVBoxLayout{words};
    stack->setContentsMargins(0, 0, 0, 0);
    stack->setSpacing(0);
    stack->addWidget(label(look_, f.name, 14, true, words));
    stack->addWidget(caption(look_, f.hint, words));
    auto* field = new LengthField{look_, f.name, this};
    field->edit().setObjectName(prefix_ + "_" + f.key);
    field->show_value(f.start);
    field->edit().setFixedWidth(rows > 5 ? 92 : 110);
    grid->addWidget(words, n % rows, n / rows * 2);
    grid->addWidget(field, n % rows, n / rows * 2 + 1, Qt::AlignTop);
    fields_[f.key] = field;
}

void FlatPatternDialog::take()
{
    const auto text = [](const QLineEdit* e) { return e->text().trimmed().toStdString(); };
    if (text(name_).empty() || text(size_).empty()) {
        said_->setText(tr("Give the pattern a name, and the size it is in, as the chart calls it."));
        (text(name_).empty() ? name_ : size_)->setFocus();
        return;
    }
    std::map<std::string, Length> values;
    for (const auto& [key, field] : fields_) {
        const auto l = parse_length(field->edit().text().toStdString(), look_.unit());
        if (!l) {
            field->say(words::refusal(l.error(), look_.unit()), true);
            field->edit().setFocus();
            return;
        }
        values[key] = *l;
    }
    const auto ok = room_.take_drawn(drawn(text(name_), text(maker_), text(size_), values));
    if (ok) return accept();
    auto refused = ok.error();
    const auto it = fields_.find(refused.field);
    if (it != fields_.end()) {
        refused.field = it->second->edit().accessibleName().toStdString();
        it->second->edit().setFocus();
    }
    said_->setText(words::refusal(refused, look_.unit()));
}

SkirtDialog::SkirtDialog(Look& look, Room& room, QWidget* parent) : FlatPatternDialog{look, room, "skirt", parent}
{
    lay_out(
        tr("A skirt from flat measurements"),
        tr("Lay the tissue flat and measure between the stitching lines, darts closed. Girths are all round: the "
           "widths of front and back, times two."),
        {{"waist", tr("Waist, finished"), tr("all round, darts closed"), Length::mm(785)},
         {"hip", tr("Hip, finished"), tr("all round at the hip line"), Length::mm(1070)},
         {"waist_to_hip", tr("Waist to hip"), tr("at the side, straight down"), Length::mm(206)},
         {"length", tr("Length"), tr("centre front, waist to hem"), Length::mm(580)},
         {"front_dart", tr("Front dart"), tr("width of the mouth, 0 for none"), Length::mm(18)},
         {"back_dart", tr("Back dart"), tr("width of the mouth, 0 for none"), Length::mm(28)},
         {"flare", tr("Flare"), tr("hem wider than hip, each side seam half"), Length::mm(55)},
         {"allowance", tr("Seam allowance"), tr("as printed"), Length::mm(15)},
         {"hem_allowance", tr("Hem allowance"), tr("as printed"), Length::mm(30)},
         {"band_depth", tr("Waistband"), tr("finished depth, 0 for none"), Length::mm(35)}},
        5);
}

Outcome<Pattern> SkirtDialog::drawn(const std::string& name, const std::string& maker, const std::string& size,
                                    const std::map<std::string, Length>& values) const
{
    auto f = filled<SkirtFlat>({{"waist", &SkirtFlat::waist},
                                {"hip", &SkirtFlat::hip},
                                {"waist_to_hip", &SkirtFlat::waist_to_hip},
                                {"length", &SkirtFlat::length},
                                {"front_dart", &SkirtFlat::front_dart},
                                {"back_dart", &SkirtFlat::back_dart},
                                {"flare", &SkirtFlat::flare},
                                {"allowance", &SkirtFlat::allowance},
                                {"hem_allowance", &SkirtFlat::hem_allowance},
                                {"band_depth", &SkirtFlat::band_depth}},
                               values);
    f.name = name;
    f.maker = maker;
    f.size = size;
    return skirt_pattern(f);
}

BodiceDialog::BodiceDialog(Look& look, Room& room, QWidget* parent)
    : FlatPatternDialog{look, room, "bodice", parent},
      front_{choice(tr("Centre front"), {tr("Front on the fold"), tr("Front opens")}, "front")},
      back_{choice(tr("Centre back"), {tr("Back on the fold"), tr("Back with a seam")}, "back")},
      seam_{choice(tr("Front seam"),
                   {tr("No seam over the bust"), tr("Seam from the armhole"), tr("Seam from the shoulder")},
                   "seam")}
{
    const auto mm = [](double v) { return Length::mm(v); };
    lay_out(tr("A bodice from flat measurements"),
            tr("Lay the tissue flat and measure between the stitching lines, darts closed. Girths are all round; "
               "widths "
               "and lengths are of one half. 0 where there is no dart, or where it ends at the waist."),
            {{"neck_width", tr("Neck width"), tr("centre to neck point"), mm(71)},
             {"front_neck_depth", tr("Front neck depth"), tr("neck point down to centre"), mm(82)},
             {"back_neck_depth", tr("Back neck depth"), tr("neck point down to centre"), mm(22)},
             {"shoulder", tr("Shoulder"), tr("front seam"), mm(122)},
             {"front_drop", tr("Front tip lower by"), tr("than the neck point"), mm(46)},
             {"back_drop", tr("Back tip lower by"), tr("than the neck point"), mm(40)},
             {"across_front", tr("Across front"), tr("centre to armhole"), mm(164)},
             {"across_back", tr("Across back"), tr("centre to armhole"), mm(174)},
             {"bust", tr("Bust, finished"), tr("all round at the underarm"), mm(980)},
             {"front_more", tr("Front wider by"), tr("than the back, all round"), mm(16)},
             {"waist", tr("Waist, finished"), tr("all round, darts closed"), mm(780)},
             {"front_length", tr("Front length"), tr("neck point to waist"), mm(446)},
             {"back_length", tr("Back length"), tr("centre back, neck to waist"), mm(410)},
             {"side_length", tr("Side length"), tr("underarm to waist"), mm(209)},
             {"bust_depth", tr("Bust depth"), tr("neck point to bust point"), mm(268)},
             {"bust_span", tr("Bust span"), tr("bust point to bust point"), mm(186)},
             {"side_dart", tr("Side dart"), tr("width of the mouth"), mm(29)},
             {"seam_above", tr("Seam, above"), tr("parts at its upper end by"), mm(18)},
             {"front_dart", tr("Front waist dart"), tr("mouth, or parts at the waist by"), mm(26)},
             {"back_dart", tr("Back waist dart"), tr("width of the mouth"), mm(26)},
             {"shoulder_dart", tr("Back shoulder dart"), tr("width of the mouth"), mm(0)},
             {"shoulder_ease", tr("Shoulder ease"), tr("back seam longer by"), mm(0)},
             {"below_waist", tr("Below the waist"), tr("waist to hem, 0 for none"), mm(0)},
             {"hip", tr("Hem, finished"), tr("all round, with a hem"), mm(0)},
             {"allowance", tr("Seam allowance"), tr("as printed"), mm(15)},
             {"front_allowance", tr("Front edge"), tr("allowance where it opens"), mm(45)},
             {"hem_allowance", tr("Hem allowance"), tr("as printed"), mm(20)},
             {"sleeve_length", tr("Sleeve length"), tr("top to hem, 0 for none"), mm(0)},
             {"sleeve_bicep", tr("Sleeve width"), tr("at the bicep line"), mm(346)},
             {"cap_height", tr("Cap height"), tr("0: as the armhole asks"), mm(0)},
             {"cap_ease", tr("Cap ease"), tr("cap longer than armhole by"), mm(24)},
             {"elbow", tr("Elbow"), tr("top to elbow, 0 if short"), mm(0)},
             {"sleeve_hem", tr("Sleeve hem"), tr("width of the hem"), mm(240)}},
            11, {front_, back_, seam_});
    connect(seam_, &QComboBox::currentIndexChanged, this, [this] { offer_for_seam(); });
    offer_for_seam();
}

// A front of two panels has no side dart: the panels, touching at the bust point, part above it instead.
void BodiceDialog::offer_for_seam()
{
    const bool seam = seam_->currentIndex() > 0;
    offer("side_dart", !seam);
    offer("seam_above", seam);
}

Outcome<Pattern> BodiceDialog::drawn(const std::string& name, const std::string& maker, const std::string& size,
                                     const std::map<std::string, Length>& values) const
{
    auto f = filled<BodiceFlat>({{"neck_width", &BodiceFlat::neck_width},
                                 {"front_neck_depth", &BodiceFlat::front_neck_depth},
                                 {"back_neck_depth", &BodiceFlat::back_neck_depth},
                                 {"shoulder", &BodiceFlat::shoulder},
                                 {"front_drop", &BodiceFlat::front_drop},
                                 {"back_drop", &BodiceFlat::back_drop},
                                 {"across_front", &BodiceFlat::across_front},
                                 {"across_back", &BodiceFlat::across_back},
                                 {"bust", &BodiceFlat::bust},
                                 {"front_more", &BodiceFlat::front_more},
                                 {"waist", &BodiceFlat::waist},
                                 {"front_length", &BodiceFlat::front_length},
                                 {"back_length", &BodiceFlat::back_length},
                                 {"side_length", &BodiceFlat::side_length},
                                 {"bust_depth", &BodiceFlat::bust_depth},
                                 {"bust_span", &BodiceFlat::bust_span},
                                 {"side_dart", &BodiceFlat::side_dart},
                                 {"seam_above", &BodiceFlat::seam_above},
                                 {"front_dart", &BodiceFlat::front_dart},
                                 {"back_dart", &BodiceFlat::back_dart},
                                 {"shoulder_dart", &BodiceFlat::shoulder_dart},
                                 {"shoulder_ease", &BodiceFlat::shoulder_ease},
                                 {"below_waist", &BodiceFlat::below_waist},
                                 {"hip", &BodiceFlat::hip},
                                 {"allowance", &BodiceFlat::allowance},
                                 {"front_allowance", &BodiceFlat::front_allowance},
                                 {"hem_allowance", &BodiceFlat::hem_allowance}},
                                values);
    f.name = name;
    f.maker = maker;
    f.size = size;
    f.front_fold = front_->currentIndex() == 0;
    f.back_seam = back_->currentIndex() == 1;
    if (const int seam = seam_->currentIndex(); seam > 0) {
        f.princess = seam == 1 ? PrincessFrom::Armhole : PrincessFrom::Shoulder;
        f.side_dart = {};
    }
    f.sleeve = filled<SleeveFlat>({{"sleeve_length", &SleeveFlat::length},
                                   {"sleeve_bicep", &SleeveFlat::bicep},
                                   {"cap_height", &SleeveFlat::cap_height},
                                   {"cap_ease", &SleeveFlat::cap_ease},
                                   {"elbow", &SleeveFlat::elbow},
                                   {"sleeve_hem", &SleeveFlat::hem}},
                                  values);
    f.sleeve.allowance = f.allowance;
    f.sleeve.hem_allowance = f.hem_allowance;
    return bodice_pattern(f);
}

}  // namespace sartorum::desk
