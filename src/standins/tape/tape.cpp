#include "standins/tape/tape.h"

#include <QLocalSocket>

#include "formats/tape_protocol.h"

namespace sartorum::standins {

Tape::Tape(const TapeWays& ways, QObject* parent) : QObject{parent}, ways_{ways}, random_{ways.seed}
{
    server_.setSocketOptions(QLocalServer::UserAccessOption);
    server_.setMaxPendingConnections(1);
    connect(&server_, &QLocalServer::newConnection, this, [this] {
        auto* came = server_.nextPendingConnection();
        if (desk_) {
            came->abort();
            came->deleteLater();
            return;
        }
        desk_ = came;
        connect(desk_, &QLocalSocket::disconnected, this, [this] {
            live_.stop();
            desk_->deleteLater();
            desk_ = nullptr;
            emit desk_went();
        });
        send(formats::tape_greeting);
        if (ways_.live_every_ms > 0) live_.start(ways_.live_every_ms);
        emit desk_came();
    });
    connect(&live_, &QTimer::timeout, this,
            [this] { send("LIVE " + QByteArray::number(shown().in_mm(), 'f', 1)); });
}

bool Tape::listen(const QString& socket)
{
    QLocalServer::removeServer(socket);
    return server_.listen(socket);
}

Length Tape::shown()
{
    std::normal_distribution<double> tremble{0, ways_.noise.in_mm()};
    return ways_.around / ways_.stretch + Length::mm(tremble(random_));
}

void Tape::press()
{
    send("READ " + QByteArray::number(shown().in_mm(), 'f', 1));
}

void Tape::send(const QByteArray& line)
{
    if (!desk_) return;
    desk_->write(line + "\n");
    desk_->flush();
}

void Tape::drop()
{
    if (desk_) desk_->abort();
}

}  // namespace sartorum::standins
