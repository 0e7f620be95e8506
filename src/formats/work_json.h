// work_json.h: all that goes in, as one text: what a kept version is made of. Members of the files it holds are
// theirs: the pattern's drawing (docs/pattern-svg.md), the chart's lines (docs/cli.md), body and plan.
#pragma once
#include <string>

#include "core/plan/compute.h"

namespace sartorum::formats {

// {"sartorum": "work 1", "pattern": "<svg …", "chart": "name, …", "body": {…}, "plan": {…}}
[[nodiscard]] std::string work_json(const Work&, const std::string& wearer);

struct NamedWork {
    std::string wearer;
    Work work;
};
// Untrusted: up to 24 MB, and what each part of it allows.
[[nodiscard]] Outcome<NamedWork> read_work(const std::string& text);

}  // namespace sartorum::formats
