// record.h: everything that came out of a plan, as lines of text that can be compared.
//
// A record begins with "== name"; each further line is "label: values". In full every sentence and every control
// point stands there. In short a sentence is a hash, and of an edge stand its length and a weighted sum of its
// control points: it moves about as far as they do.
#pragma once
#include <string>
#include <vector>

#include "frozen/trials.h"

namespace sartorum::test {

enum class Detail { Full, Short };
[[nodiscard]] std::string record(const Trial&, Detail);
[[nodiscard]] std::string record(const std::string& name, const Computed&, Detail);

// Where two texts of records differ by more than a nanometre, one line each: which record, which label, by how
// much; or what a line said and says. At most `most` of them, and then how many more.
[[nodiscard]] std::vector<std::string> differences(const std::string& frozen, const std::string& fresh,
                                                   std::size_t most = 20);

}  // namespace sartorum::test
