#include "formats/text_file.h"

#include <QFile>
#include <QFileInfo>
#include <QSaveFile>

namespace sartorum::formats {

Outcome<std::string> read_file(const QString& path, qint64 most)
{
    QFile file{path};
    const QString name = QFileInfo{path}.fileName();
    if (!QFileInfo{path}.isFile() || !file.open(QIODevice::ReadOnly))
        return refuse(Why::FileUnreadable, name.toStdString());
    if (file.size() > most) return refuse(Why::FileTooLarge, name.toStdString());
    return file.read(most).toStdString();
}

Outcome<bool> write_file(const QString& path, const QByteArray& bytes)
{
    QSaveFile file{path};
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit()) {
        return refuse(Why::FileNotWritable, QFileInfo{path}.fileName().toStdString());
    }
    return true;
}

}  // namespace sartorum::formats
