// crossed_skirt.h: the demo's skirt with every hem drawn up over the waist, which nobody can cut out.
#pragma once
#include <QFile>
#include <QRegularExpression>

namespace sartorum::test {

inline QByteArray crossed_skirt()
{
    QFile whole{QString{SARTORUM_SOURCE_DIR} + "/demo/lockside-skirt.svg"};
    if (!whole.open(QIODevice::ReadOnly)) qFatal("no demo");
    static const QRegularExpression hem{R"((data-edge="hem"[^>]* C)[^ ]+)"};
    return QString{whole.readAll()}.replace(hem, R"(\1140,-1000)").toUtf8();
}

}  // namespace sartorum::test
