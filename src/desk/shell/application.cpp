#include "desk/shell/application.h"

#include <exception>
#include <new>

namespace sartorum::desk {

bool Application::notify(QObject* receiver, QEvent* e)
{
    try {
        return QApplication::notify(receiver, e);
    } catch (const std::bad_alloc&) {
        emit failed(
            tr("There is not enough memory for this. What was kept is safe; close something and do it again."));
    } catch (const std::exception&) {
        emit failed(tr("That could not be worked out. Nothing was changed by it; please send the report (F1)."));
    }
    return true;
}

}  // namespace sartorum::desk
