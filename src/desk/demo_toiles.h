// demo_toiles.h: the demo's try-ons: two toiles of one top, one of trousers, with drawings in place of
// photographs.
#pragma once
#include "notebook/notebook.h"

class QDir;

namespace sartorum::desk {

// The wearers and patterns are there already. Keeps what lies on the table.
[[nodiscard]] bool add_demo_toiles(notebook::Notebook&, const QDir&);

}  // namespace sartorum::desk
