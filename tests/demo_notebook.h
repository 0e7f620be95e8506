// demo_notebook.h: the demo notebook, made once when the tests are built, and copied by whoever needs one.
#pragma once
#include <QFile>

namespace sartorum::test {

// To a path where nothing is yet; a notebook that is there already stays as it is.
inline void lay_demo_notebook(const QString& path)
{
    if (QFile::exists(path)) return;
    if (!QFile::copy(SARTORUM_DEMO_NOTEBOOK, path)) qFatal("the demo notebook cannot be copied");
    QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner);
}

}  // namespace sartorum::test
