#include "desk/tape/tape_link.h"

#include <QTimer>

#include "formats/tape_protocol.h"

namespace sartorum::desk {
namespace {

constexpr qint64 most_bytes_a_line = 64;
constexpr int most_lines_a_second = 200;
constexpr int most_not_understood = 20;
constexpr int patience_ms = 3000;

}  // namespace

TapeLink::TapeLink(QObject* parent) : QObject{parent}, socket_{this}
{
    connect(&socket_, &QLocalSocket::readyRead, this, &TapeLink::read);
    connect(&socket_, &QLocalSocket::disconnected, this, [this] {
        if (state_ == State::Away) return;
        state_ = State::Away;
        emit changed();
        emit trouble(tr("The tape has gone. What was kept stays; type on, or connect it again."));
    });
    connect(&socket_, &QLocalSocket::errorOccurred, this, [this](QLocalSocket::LocalSocketError e) {
        if (e == QLocalSocket::PeerClosedError || state_ != State::Connecting) return;
        give_up(tr("No tape answers. Switch it on, then connect again."));
    });
}

void TapeLink::connect_to(const QString& socket)
{
    put_down();
    not_understood_ = 0;
    lines_this_second_ = 0;
    second_.start();
    state_ = State::Connecting;
    emit changed();
    socket_.connectToServer(socket, QIODevice::ReadOnly);
    // The patience of this attempt, whatever became of the one before.
    QTimer::singleShot(patience_ms, this, [this, attempt = ++attempt_] {
        if (attempt == attempt_ && state_ == State::Connecting) give_up(tr("What answers there is not a tape."));
    });
}

void TapeLink::put_down()
{
    if (state_ == State::Away) return;
    state_ = State::Away;
    socket_.abort();
    emit changed();
}

void TapeLink::give_up(const QString& why)
{
    put_down();
    emit trouble(why);
}

void TapeLink::read()
{
    while (state_ != State::Away && socket_.canReadLine()) {
        if (second_.elapsed() > 1000) {
            second_.restart();
            lines_this_second_ = 0;
        }
        if (++lines_this_second_ > most_lines_a_second)
            return give_up(tr("The tape sends more than anyone could read. It was put down."));
        const QByteArray line = socket_.readLine(most_bytes_a_line + 1);
        if (!line.endsWith('\n')) return give_up(tr("What answers there is not a tape."));
        take_line(line.trimmed());
    }
    if (state_ != State::Away && socket_.bytesAvailable() > most_bytes_a_line)
        give_up(tr("What answers there is not a tape."));
}

void TapeLink::take_line(const QByteArray& line)
{
    const auto read = formats::read_tape_line(line);
    if (state_ == State::Connecting) {
        if (read.word != formats::TapeWord::Greeting)
            return give_up(tr("What answers there is not a tape, or a newer one."));
        state_ = State::Ready;
        emit changed();
        return;
    }
    switch (read.word) {
        case formats::TapeWord::Live: emit live(read.length); break;
        case formats::TapeWord::Read: emit pressed(read.length); break;
        case formats::TapeWord::Bye: put_down(); break;
        case formats::TapeWord::Greeting:
        case formats::TapeWord::NotUnderstood:
            if (++not_understood_ > most_not_understood)
                give_up(tr("The tape speaks nonsense. It was put down; nothing of it was kept."));
    }
}

}  // namespace sartorum::desk
