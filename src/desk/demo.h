// demo.h: fills an empty notebook with the demo: the crew of an invented canal museum.
#pragma once
#include "notebook/notebook.h"

namespace sartorum::desk {

// `folder` holds the chart, the pattern and the wearers.
[[nodiscard]] bool fill_with_demo(notebook::Notebook&, const QString& folder);

}  // namespace sartorum::desk
