// tape_link.h: a digital tape on a local socket. docs/tape-protocol.md defines the lines it speaks.
//
// Untrusted: lines up to 64 bytes, up to 200 a second, numbers inside what a tape can be. What is not understood
// is counted and said, never acted on; a tape that floods is put down.
#pragma once
#include <QElapsedTimer>
#include <QLocalSocket>
#include <QObject>

#include "core/units/length.h"

namespace sartorum::desk {

class TapeLink : public QObject {
    Q_OBJECT
public:
    enum class State { Away, Connecting, Ready };
    explicit TapeLink(QObject* parent = nullptr);
    void connect_to(const QString& socket);
    void put_down();
    [[nodiscard]] State state() const { return state_; }

signals:
    void changed();
    void live(sartorum::Length);     // what the tape shows now
    void pressed(sartorum::Length);  // the button on the tape: take this reading
    void trouble(const QString&);

private:
    void read();
    void take_line(const QByteArray&);
    void give_up(const QString& why);
    QLocalSocket socket_;
    QElapsedTimer second_;
    int lines_this_second_ = 0;
    int attempt_ = 0;  // to connect
    int not_understood_ = 0;
    State state_ = State::Away;
};

}  // namespace sartorum::desk
