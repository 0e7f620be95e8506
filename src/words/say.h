// say.h: how the files of this room reach the translator; one context for all sentences.
#pragma once
#include <QCoreApplication>
#include <QString>
#include <string>

namespace sartorum::words {

[[nodiscard]] inline QString t(const char* text)
{
    return QCoreApplication::translate("words", text);
}
[[nodiscard]] inline QString text(const std::string& s)
{
    return QString::fromStdString(s);
}

}  // namespace sartorum::words
