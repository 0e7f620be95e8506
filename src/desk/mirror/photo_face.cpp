#include "desk/mirror/photo_face.h"

#include <QDragEnterEvent>
#include <QFileDialog>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "formats/photo_file.h"
#include "words/mirror.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double handle = 6;
constexpr double hold_within = 14;

// Where a new line is laid first: across the middle, or upright, as it will lie.
PhotoLine fresh_line(Guideline what, QSize size)
{
    const double w = size.width();
    const double h = size.height();
    switch (what) {
        case Guideline::KnownLength:
        case Guideline::Upright: return {what, {w * 0.12, h * 0.3}, {w * 0.12, h * 0.8}, {}};
        case Guideline::EarLine: return {what, {w * 0.5, h * 0.12}, {w * 0.5, h * 0.36}, {}};
        case Guideline::Seam: return {what, {w * 0.47, h * 0.18}, {w * 0.46, h * 0.21}, {}};
        case Guideline::Bust: return {what, {w * 0.35, h * 0.3}, {w * 0.65, h * 0.3}, {}};
        case Guideline::Waist: return {what, {w * 0.38, h * 0.42}, {w * 0.62, h * 0.42}, {}};
        case Guideline::Hip: return {what, {w * 0.35, h * 0.54}, {w * 0.65, h * 0.54}, {}};
        case Guideline::Hem: return {what, {w * 0.32, h * 0.72}, {w * 0.68, h * 0.72}, {}};
        case Guideline::Distance: return {what, {w * 0.4, h * 0.5}, {w * 0.6, h * 0.5}, {}};
    }
    return {};
}

}  // namespace

PhotoPicture::PhotoPicture(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFocusPolicy(Qt::StrongFocus);
    setObjectName("photo_picture");
    setMinimumSize(300, 260);
}

void PhotoPicture::show(const QImage& picture, const Photo& photo, std::optional<Guideline> hand)
{
    picture_ = picture;
    if (!dragging_) photo_ = photo;
    hand_ = hand;
    setAccessibleName(tr("The photograph"));
    QStringList said;
    for (const auto& l : photo_.lines) said << words::guideline_name(l.what);
    setAccessibleDescription(said.isEmpty() ? tr("no line is laid on it") : said.join(", "));
    update();
}

void PhotoPicture::take_hold(Guideline what, bool second)
{
    hand_ = what;
    second_ = second;
    setFocus();
    update();
}

QRectF PhotoPicture::frame() const
{
    if (picture_.isNull()) return rect();
    const QSizeF fit = QSizeF{picture_.size()}.scaled(QSizeF{size()} - QSizeF{16, 16}, Qt::KeepAspectRatio);
    return {QPointF{(width() - fit.width()) / 2, (height() - fit.height()) / 2}, fit};
}

QPointF PhotoPicture::on_screen(FigurePoint q) const
{
    const QRectF f = frame();
    return {f.left() + q.x * f.width() / std::max(1, picture_.width()),
            f.top() + q.y * f.height() / std::max(1, picture_.height())};
}

FigurePoint PhotoPicture::on_picture(QPointF q) const
{
    const QRectF f = frame();
    const double x = (q.x() - f.left()) * picture_.width() / f.width();
    const double y = (q.y() - f.top()) * picture_.height() / f.height();
    return {std::clamp(x, 0.0, double(picture_.width())), std::clamp(y, 0.0, double(picture_.height()))};
}

void PhotoPicture::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    if (picture_.isNull()) return;
    const QRectF f = frame();
    p.drawImage(f, picture_);
    p.setPen(QPen{d.rule, 1});
    p.setBrush(Qt::NoBrush);
    p.drawRect(f);
    // Corners, as a print is held in a book.
    p.setBrush(d.walnut_wash);
    p.setPen(QPen{d.walnut_line, 1});
    for (const auto& [corner, sx, sy] : {std::tuple{f.topLeft(), 1, 1}, std::tuple{f.topRight(), -1, 1},
                                         std::tuple{f.bottomLeft(), 1, -1}, std::tuple{f.bottomRight(), -1, -1}}) {
        const QPointF c = corner - QPointF{6.0 * sx, 6.0 * sy};
        p.drawPolygon(QPolygonF{{c, c + QPointF{22.0 * sx, 0}, c + QPointF{0, 22.0 * sy}}});
    }
    for (const auto& l : photo_.lines) {
        const bool here = hand_ == l.what;
        const QPointF a = on_screen(l.a);
        const QPointF b = on_screen(l.b);
        p.setPen(QPen{QColor{255, 255, 255, 210}, here ? 5.0 : 3.6, Qt::SolidLine, Qt::RoundCap});
        p.drawLine(a, b);
        p.setPen(QPen{QColor{"#234E7A"}, here ? 2.4 : 1.6, here ? Qt::SolidLine : Qt::DashLine, Qt::RoundCap});
        p.drawLine(a, b);
        for (const bool second : {false, true}) {
            const QPointF c = second ? b : a;
            const bool held = here && second == second_ && hasFocus();
            p.setPen(QPen{QColor{"#234E7A"}, held ? 3.0 : 1.8});
            p.setBrush(QColor{"#FFFDF9"});
            p.drawEllipse(c, held ? handle + 2 : handle, held ? handle + 2 : handle);
        }
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(1, 1, -1, -1), 4);
}

void PhotoPicture::mousePressEvent(QMouseEvent* e)
{
    setFocus();
    double best = hold_within;
    std::optional<Guideline> found;
    for (const auto& l : photo_.lines) {
        for (const bool second : {false, true}) {
            const double off = QLineF{on_screen(second ? l.b : l.a), e->position()}.length();
            if (off >= best && !(found && off == best)) continue;
            best = off;
            found = l.what;
            second_ = second;
        }
    }
    if (!found) return;
    hand_ = found;
    dragging_ = true;
    emit held(*found);
    update();
}

void PhotoPicture::move_to(FigurePoint q)
{
    const auto* l = hand_ ? line(photo_, *hand_) : nullptr;
    if (!l) return;
    PhotoLine now = *l;
    (second_ ? now.b : now.a) = q;
    lay(photo_, now);
    update();
}

void PhotoPicture::mouseMoveEvent(QMouseEvent* e)
{
    if (dragging_) move_to(on_picture(e->position()));
}

void PhotoPicture::mouseReleaseEvent(QMouseEvent*)
{
    if (!std::exchange(dragging_, false) || !hand_) return;
    if (const auto* l = line(photo_, *hand_)) emit laid(*l);
}

void PhotoPicture::keyPressEvent(QKeyEvent* e)
{
    const auto* l = hand_ ? line(photo_, *hand_) : nullptr;
    const double step = e->modifiers() & Qt::ShiftModifier ? 10 : 1;
    const auto nudge = [&](double x, double y) {
        if (!l) return;
        FigurePoint q = second_ ? l->b : l->a;
        q = {std::clamp(q.x + x * step, 0.0, double(picture_.width())),
             std::clamp(q.y + y * step, 0.0, double(picture_.height()))};
        move_to(q);
        emit laid(*line(photo_, *hand_));
    };
    switch (e->key()) {
        case Qt::Key_Left: nudge(-1, 0); break;
        case Qt::Key_Right: nudge(1, 0); break;
        case Qt::Key_Up: nudge(0, -1); break;
        case Qt::Key_Down: nudge(0, 1); break;
        case Qt::Key_Space:
            second_ = !second_;
            update();
            break;
        case Qt::Key_L: emit next_wanted(e->modifiers() & Qt::ShiftModifier ? -1 : 1); break;
        default: QWidget::keyPressEvent(e);
    }
}

PhotoFace::PhotoFace(Look& look, MirrorState& state, QWidget* parent)
    : QWidget{parent}, look_{look}, state_{state}, reader_{new Worker{this}}
{
    setAcceptDrops(true);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(5);
    auto* top = new QHBoxLayout;
    add_ = new Button{look, tr("Add one"), ButtonKind::Small, this};
    add_->setAccessibleName(tr("Add a photograph"));
    add_->setObjectName("add_photo");
    next_ = new Button{look, tr("Next"), ButtonKind::Small, this};
    next_->setAccessibleName(tr("Next photograph"));
    next_->setObjectName("next_photo");
    top->addWidget(add_);
    top->addWidget(next_);
    top->addStretch();
    column->addLayout(top);
    tools_ = new QScrollArea{this};
    nothing_ = label(
        look,
        tr("A photograph stays in this notebook, turned upright and made smaller, without its place, day and "
           "camera. Drop one here, or add it. Stand something of a known length beside the wearer."),
        14, false, this);
    nothing_->setWordWrap(true);
    column->addWidget(nothing_);
    canvas_ = new PhotoPicture{look, this};
    column->addWidget(canvas_, 1);
    build_tools();
    trouble_ = label(look, {}, 14, true, this);
    trouble_->setWordWrap(true);
    trouble_->setObjectName("photo_trouble");
    trouble_->hide();
    column->addWidget(trouble_);
    connect(add_, &Button::clicked, this, [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("A photograph of the try-on"), {},
                                                          tr("Photographs (*.jpg *.jpeg *.png)"));
        if (!path.isEmpty()) open(path);
    });
    connect(next_, &Button::clicked, this, [this] {
        at_ = photos_.empty() ? 0 : (at_ + 1) % static_cast<int>(photos_.size());
        refresh();
    });
    connect(forget_, &Button::clicked, this, [this] {
        if (here()) state_.room().forget_photo(here()->id);
    });
    connect(view_, &Choices::picked, this, [this](int i) {
        if (!here()) return;
        Photo p = here()->photo;
        p.view = static_cast<PhotoView>(i);
        state_.room().change_photo(here()->id, p);
    });
    connect(canvas_, &PhotoPicture::held, this, [this](Guideline g) {
        hand_ = g;
        refresh();
    });
    connect(canvas_, &PhotoPicture::laid, this, [this](const PhotoLine& l) {
        if (!here()) return;
        Photo p = here()->photo;
        lay(p, l);
        state_.room().change_photo(here()->id, p);
    });
    connect(canvas_, &PhotoPicture::next_wanted, this, &PhotoFace::next_line);
    connect(&state, &MirrorState::changed, this, [this] { refresh(); });
    connect(&look, &Look::changed, this, [this] { refresh(); });
    refresh();
}

void PhotoFace::build_tools()
{
    auto* scroll = static_cast<QScrollArea*>(tools_);
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget;
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(0, 0, 8, 0);
    column->setSpacing(6);
    no_tools_ = label(look_, tr("A photograph is needed to measure on."), 14, false, inside);
    no_tools_->setWordWrap(true);
    column->addWidget(no_tools_);
    QStringList views;
    for (const auto v : {PhotoView::Front, PhotoView::Back, PhotoView::LeftSide, PhotoView::RightSide})
        views << words::photo_view_name(v);
    view_ = new Choices{look_, views, tr("Taken from"), inside};
    view_->setObjectName("photo_from");
    view_->wrap();
    column->addWidget(view_);
    QStringList names;
    for (std::size_t i = 0; i < guideline_count; ++i) names << words::guideline_name(static_cast<Guideline>(i));
    lines_ = new Choices{look_, names, tr("Lines to measure by"), inside};
    lines_->setObjectName("photo_lines");
    lines_->wrap();
    connect(lines_, &Choices::picked, this, &PhotoFace::take_line);
    column->addWidget(lines_);
    auto* known = new QHBoxLayout;
    known_name_ = label(look_, tr("It is long"), 14, true, inside);
    known_ = new LengthField{look_, tr("The known length"), inside};
    known_->edit().setObjectName("known_length");
    known_->edit().setFixedWidth(110);
    known_->check = [](Length l) -> std::optional<Refusal> {
        constexpr Length least = Length::mm(50);
        constexpr Length most = Length::mm(3000);
        if (l >= least && l <= most) return std::nullopt;
        return Refusal{Why::OutOfRange, "known length", l, least, most, 0};
    };
    known->addWidget(known_name_);
    known->addWidget(known_);
    known->addStretch();
    column->addLayout(known);
    lift_ = new Button{look_, tr("Take the line off"), ButtonKind::Small, inside};
    lift_->setObjectName("lift_line");
    column->addWidget(lift_, 0, Qt::AlignLeft);
    how_ = caption(look_, {}, inside);
    how_->setWordWrap(true);
    column->addWidget(how_);
    says_ = label(look_, {}, 14, true, inside);
    says_->setWordWrap(true);
    says_->setObjectName("photo_says");
    column->addWidget(says_);
    forget_ = new Button{look_, tr("Take the photograph away"), ButtonKind::Small, inside};
    forget_->setObjectName("forget_photo");
    column->addWidget(forget_, 0, Qt::AlignLeft);
    column->addStretch();
    scroll->setWidget(inside);
    connect(known_, &LengthField::entered, this, [this](Length l) {
        if (!here()) return;
        Photo p = here()->photo;
        const auto* was = line(p, Guideline::KnownLength);
        PhotoLine now = was ? *was : fresh_line(Guideline::KnownLength, picture_.size());
        now.known = l;
        lay(p, now);
        state_.room().change_photo(here()->id, p);
    });
    connect(lift_, &Button::clicked, this, [this] {
        if (!here() || !hand_) return;
        Photo p = here()->photo;
        std::erase_if(p.lines, [&](const PhotoLine& l) { return l.what == *hand_; });
        hand_.reset();
        state_.room().change_photo(here()->id, p);
    });
}

const notebook::KeptPhoto* PhotoFace::here() const
{
    return at_ < static_cast<int>(photos_.size()) ? &photos_[static_cast<std::size_t>(at_)] : nullptr;
}

// Taken in hand; laid first where there was none.
void PhotoFace::take_line(int i)
{
    if (!here()) return;
    const auto what = static_cast<Guideline>(i);
    hand_ = what;
    if (!line(here()->photo, what)) {
        Photo p = here()->photo;
        lay(p, fresh_line(what, picture_.size()));
        state_.room().change_photo(here()->id, p);
    } else {
        refresh();
    }
    canvas_->take_hold(what, false);
}

void PhotoFace::next_line(int way)
{
    const int n = static_cast<int>(guideline_count);
    int next = hand_ ? static_cast<int>(*hand_) : way > 0 ? -1 : 0;
    do {
        next = (next + way + n) % n;
    } while (!can_be_laid(static_cast<Guideline>(next), state_.worn().altered.pieces));
    take_line(next);
}

void PhotoFace::say(const QString& text)
{
    trouble_->setText(text);
    trouble_->setVisible(!text.isEmpty());
}

void PhotoFace::open(const QString& path)
{
    if (reader_->busy() || !state_.here()) return;
    say(tr("Reading the photograph…"));
    reader_->start<QByteArray>(
        [path](const Worker::Going& going) { return formats::read_photo(path, &going.stop()); },
        [this, try_on = state_.here()->id](const Outcome<QByteArray>& picture) {
            if (!picture) return say(words::refusal(picture.error(), look_.unit()));
            say({});
            const auto before = photos_.size();
            state_.room().keep_photo(try_on, *picture, {PhotoView::Front, {}});
            if (photos_.size() > before) {
                at_ = static_cast<int>(photos_.size()) - 1;
                refresh();
            }
        });
}

void PhotoFace::showEvent(QShowEvent*)
{
    refresh();
}

void PhotoFace::dragEnterEvent(QDragEnterEvent* e)
{
    if (e->mimeData()->hasUrls() && state_.here()) e->acceptProposedAction();
}

void PhotoFace::dropEvent(QDropEvent* e)
{
    for (const auto& url : e->mimeData()->urls()) {
        if (url.isLocalFile()) return open(url.toLocalFile());
    }
}

void PhotoFace::refresh()
{
    photos_ = state_.here() && isVisible() ? state_.room().book().photos(state_.here()->id)
              : state_.here()              ? photos_
                                           : std::vector<notebook::KeptPhoto>{};
    at_ = std::clamp(at_, 0, std::max(0, static_cast<int>(photos_.size()) - 1));
    const auto* p = here();
    if (p && p->blob != shown_blob_) {
        picture_ = formats::photo_shown(state_.room().book().picture(p->blob).value_or(QByteArray{}));
        shown_blob_ = p->blob;
        hand_.reset();
    }
    for (QWidget* w : std::initializer_list<QWidget*>{canvas_, view_, lines_, forget_, says_, how_})
        w->setVisible(p);
    nothing_->setVisible(!p);
    no_tools_->setVisible(!p);
    next_->setVisible(photos_.size() > 1);
    next_->setText(tr("%1 of %2").arg(at_ + 1).arg(photos_.size()));
    next_->updateGeometry();
    const bool known = p && hand_ == Guideline::KnownLength;
    known_->setVisible(known);
    known_name_->setVisible(known);
    lift_->setVisible(p && hand_ && line(p->photo, *hand_));
    if (!p) return;
    view_->choose(static_cast<int>(p->photo.view));
    std::vector<bool> fit;
    for (std::size_t i = 0; i < guideline_count; ++i)
        fit.push_back(can_be_laid(static_cast<Guideline>(i), state_.worn().altered.pieces));
    lines_->offer(fit);
    lines_->choose(hand_ ? static_cast<int>(*hand_) : -1);
    canvas_->show(picture_, p->photo, hand_);
    how_->setText(hand_ ? words::guideline_how(*hand_) : words::camera_deceives());
    QStringList all;
    for (const auto& l : p->photo.lines) {
        const QString said = words::guideline_says(p->photo, l.what, look_.unit());
        if (said.isEmpty() || (hand_ && l.what != *hand_)) continue;
        all << tr("%1: %2").arg(words::guideline_name(l.what), said);
    }
    says_->setText(all.join("\n"));
    if (known && (!known_->edit().hasFocus() || known_->value())) {
        const auto* l = line(p->photo, Guideline::KnownLength);
        known_->show_value(l ? l->known : std::nullopt);
    }
}

}  // namespace sartorum::desk
