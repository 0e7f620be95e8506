// inputs.h: what the commands of the command line have in common: what was given, what that holds, what is
// answered.
#pragma once
#include <QString>
#include <QStringList>
#include <nlohmann/json.hpp>

#include "core/plan/compute.h"
#include "formats/json.h"
#include "formats/text_file.h"
#include "words/words.h"

namespace sartorum::cli {

// 0 done; 1 not all of it could be done or holds, or the machine failed; 2 what was given is wrong.
inline constexpr int exit_not_all = 1;
inline constexpr int exit_bad_input = 2;

struct Options {
    QString chart, pattern, body, plan, work, toile, size, out, paper = "a4", kind = "tiles", sides = "apart";
    // Decided already, by a plan or by kept work.
    [[nodiscard]] bool decided() const { return !plan.isEmpty() || !work.isEmpty(); }
    QString type;
    ChoiceWish wish;
    bool json = false;
    bool force = false;
    bool go_on = false;
    Unit unit = Unit::Centimetre;
    [[nodiscard]] formats::IfThere if_there() const
    {
        return force ? formats::IfThere::Replace : formats::IfThere::Refuse;
    }
};

struct Inputs {
    SizeChart chart;
    Pattern pattern;
    formats::NamedBody body;
    Plan plan;
};

// What a command has to say; written at the end, in one go, so that what is cut off is noticed.
struct Said {
    QString out;
    QStringList aside{};  // on standard error
    int code = 0;
};

// A sentence that ends the run.
struct Stop {
    int code;
    QString sentence;
};

[[nodiscard]] int exit_of(Why);
template <class T>
T need(Outcome<T> outcome, const QString& file)
{
    if (outcome) return std::move(*outcome);
    throw Stop{exit_of(outcome.error().why), file + ": " + words::refusal(outcome.error(), Unit::Centimetre)};
}
// An option that must be there.
[[nodiscard]] QString given(const QString& value, const char* option);

[[nodiscard]] Inputs load(const Options&, bool with_pattern);
// Without a plan file, every proposal outside the noise is taken, in fitting order.
[[nodiscard]] Computed applied(const Inputs&, const Options&);

[[nodiscard]] QString text_of(const nlohmann::ordered_json&);
// What was asked for and is not on the paper stands first, and ends the run unless it is to go on.
void tell_not_done(Said&, const Computed&, const Options&);
// Nothing is written of a plan that is not done whole, unless that is said to be right.
[[nodiscard]] bool stops_here(Said&, const Options&);

}  // namespace sartorum::cli
