// tissue_hands.h: the little hands that measure a tissue flat on the Tape's second face.
#pragma once
#include <QComboBox>

#include "desk/tape/paper_says.h"
#include "desk/tape/tape_station.h"
#include "desk/tape/tissue_face.h"
#include "desk/tape/tissue_picture.h"
#include "desk_fixture.h"

namespace sartorum::test {

inline TissueFace& face_of(const Desk& d)
{
    return d.window->findChild<TapeStation*>()->paper();
}

// Types what stands on each line, in the order hands move; "" leaves it assumed, "x" says there is no such line.
// Counts what is typed or pressed.
inline int measure_lines(const Desk& d, const QStringList& values)
{
    int inputs = 0;
    for (const auto& v : values) {
        ++inputs;
        if (v.isEmpty()) {
            d.key(Qt::Key_A);
        } else if (v == "x") {
            d.key(Qt::Key_X);
        } else {
            d.type(v);
            d.key(Qt::Key_Return);
            auto* field = d.find<QLineEdit>("tissue_value");
            if (field->property("wrong").toBool())
                qWarning("%s: %s", qPrintable(v), qPrintable(field->accessibleDescription()));
        }
    }
    return inputs;
}

inline void note(const Desk& d, const char* object, int at)
{
    auto* c = d.find<QComboBox>(object);
    c->setCurrentIndex(at);
    emit c->activated(at);
}

}  // namespace sartorum::test
