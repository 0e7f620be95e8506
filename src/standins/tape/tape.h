// tape.h: a simulated digital tape: a soft tape that has stretched, in a hand that trembles.
// docs/tape-protocol.md.
#pragma once
#include <QLocalServer>
#include <QObject>
#include <QTimer>
#include <random>

#include "core/units/length.h"

class QLocalSocket;

namespace sartorum::standins {

struct TapeWays {
    Length around = Length::mm(846);  // what it is laid round
    Length noise = Length::mm(2);     // standard deviation of one reading
    double stretch = 1.0;             // true length per shown length
    unsigned seed = 1;
    int live_every_ms = 200;
};

class Tape : public QObject {
    Q_OBJECT
public:
    explicit Tape(const TapeWays&, QObject* parent = nullptr);
    // Waits for one desk at a time on this local socket.
    [[nodiscard]] bool listen(const QString& socket);
    void lay_round(Length l) { ways_.around = l; }
    void press();  // the button: one reading
    void send(const QByteArray& line);
    void drop();  // out of reach in the middle of it

signals:
    void desk_came();
    void desk_went();

private:
    [[nodiscard]] Length shown();
    TapeWays ways_;
    std::mt19937 random_;
    QLocalServer server_;
    QLocalSocket* desk_ = nullptr;
    QTimer live_;
};

}  // namespace sartorum::standins
