// photo_face.h: a photograph of a try-on with the lines laid on it, and what they say. Two handles a line; the
// arrows move the one in hand by a pixel of the picture.
#pragma once
#include <QImage>

#include "desk/mirror/mirror_state.h"
#include "desk/shared/parts.h"
#include "desk/shared/worker.h"

class QBoxLayout;

namespace sartorum::desk {

class PhotoPicture : public QWidget {
    Q_OBJECT
public:
    PhotoPicture(Look&, QWidget* parent = nullptr);
    void show(const QImage&, const Photo&, std::optional<Guideline> in_hand);
    void take_hold(Guideline, bool second);
    [[nodiscard]] QPointF on_screen(FigurePoint) const;
    [[nodiscard]] const Photo& photo() const { return photo_; }

signals:
    void laid(PhotoLine);  // a handle was let go
    void held(Guideline);
    void next_wanted(int way);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] QRectF frame() const;
    [[nodiscard]] FigurePoint on_picture(QPointF) const;
    void move_to(FigurePoint);
    Look& look_;
    QImage picture_;
    Photo photo_;
    std::optional<Guideline> hand_;
    bool second_ = false;
    bool dragging_ = false;
};

class PhotoFace : public QWidget {
    Q_OBJECT
public:
    PhotoFace(Look&, MirrorState&, QWidget* parent = nullptr);
    // Read on a thread of its own, then kept.
    void open(const QString& path);
    [[nodiscard]] bool reading() const { return reader_->busy(); }
    void next_line(int way);
    // What is measured on it, and by which lines; it stands where the station puts it.
    [[nodiscard]] QWidget* tools() { return tools_; }

protected:
    void showEvent(QShowEvent*) override;
    void dragEnterEvent(QDragEnterEvent*) override;
    void dropEvent(QDropEvent*) override;

private:
    void build_tools();
    void refresh();
    void take_line(int);
    void say(const QString&);
    [[nodiscard]] const notebook::KeptPhoto* here() const;
    Look& look_;
    MirrorState& state_;
    std::vector<notebook::KeptPhoto> photos_;
    int at_ = 0;
    QString shown_blob_;
    QImage picture_;
    std::optional<Guideline> hand_;
    Worker* reader_;
    QWidget* tools_;
    QLabel* no_tools_;
    PhotoPicture* canvas_;
    QLabel* nothing_;
    QLabel* says_;
    QLabel* how_;
    QLabel* trouble_;
    Choices* view_;
    Choices* lines_;
    LengthField* known_;
    QLabel* known_name_;
    Button* add_;
    Button* next_;
    Button* forget_;
    Button* lift_;
};

}  // namespace sartorum::desk
