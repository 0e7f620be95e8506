#include "desk/shared/acts.h"

#include <QKeyEvent>
#include <QObject>
#include <algorithm>
#include <utility>

namespace sartorum::desk {
namespace {

QString t(const char* text)
{
    return QObject::tr(text);
}

// Ours first, which is the one shown; then what the platform uses for it.
QList<QKeySequence> keys(std::initializer_list<const char*> ours,
                         QKeySequence::StandardKey platform = QKeySequence::UnknownKey)
{
    QList<QKeySequence> out;
    for (const char* k : ours) out << QKeySequence::fromString(QLatin1String{k}, QKeySequence::PortableText);
    for (const auto& k : QKeySequence::keyBindings(platform)) {
        if (!out.contains(k) && k.count() == 1) out << k;
    }
    return out;
}

std::vector<ActRow> anywhere()
{
    using enum Act;
    const auto at = At::Anywhere;
    return {
        {ToTape, at, keys({"Ctrl+1"}), t("To the Tape"), t("stations"), t("Ctrl 1–6")},
        {ToChart, at, keys({"Ctrl+2"}), t("To the Chart")},
        {ToPlan, at, keys({"Ctrl+3"}), t("To the Plan")},
        {ToPaper, at, keys({"Ctrl+4"}), t("To the Paper")},
        {ToMirror, at, keys({"Ctrl+5"}), t("To the Mirror")},
        {ToPrint, at, keys({"Ctrl+6"}, QKeySequence::Print), t("To Print")},
        {SwitchUnit, at, keys({"Ctrl+U"}), t("cm or inches"), t("cm or in")},
        {OpenPattern, at, keys({}, QKeySequence::Open), t("Open a pattern…")},
        {ImportChart, at, {}, t("Import a size chart…")},
        {NewWearer, at, {}, t("New wearer…")},
        {Undo, at, keys({"Ctrl+Z"}, QKeySequence::Undo), t("Undo")},
        {Redo, at, keys({"Ctrl+Shift+Z", "Ctrl+Y"}, QKeySequence::Redo), t("Redo")},
        {SwitchNight, at, keys({"F8"}), t("Night or day")},
        {LargerText, at, keys({"Ctrl++", "Ctrl+="}, QKeySequence::ZoomIn), t("Larger text")},
        {SmallerText, at, keys({"Ctrl+-"}, QKeySequence::ZoomOut), t("Smaller text")},
        {UsualText, at, keys({"Ctrl+0"}), t("Text as usual")},
        {NextPart, at, keys({"F6"}), t("Next part of the window")},
        {Menu, at, keys({"F10"}), t("This menu"), {}, {}, false},
        {Act::Settings, at, keys({"Ctrl+,"}, QKeySequence::Preferences), t("Settings…")},
        {Guide, at, keys({"F1"}, QKeySequence::HelpContents), t("Guide")},
        {Report, at, {}, t("Report…")},
        {Quit, at, keys({"Ctrl+Q"}, QKeySequence::Quit), t("Quit")},
    };
}

std::vector<ActRow> of_the_tape()
{
    using enum Act;
    return {
        {KeepReading,
         At::Tape,
         keys({"Return", "Enter"}),
         t("Keep the reading and go on"),
         t("keep and go on"),
         {},
         false},
        {MeasureBefore, At::Tape, keys({"Up"}), t("Measure before"), t("measure")},
        {MeasureAfter, At::Tape, keys({"Down"}), t("Next measure"), t("measure")},
    };
}

std::vector<ActRow> of_the_tissue()
{
    using enum Act;
    return {
        {OtherFace, At::Tape, keys({"F4"}), t("A pattern measured flat, or the wearer"), t("the paper")},
        {TypeReading, At::Tissue, {}, t("Type the length"), t("type"), t("0–9"), false},
        {KeepLine,
         At::Tissue,
         keys({"Return", "Enter"}),
         t("Keep it, next line"),
         t("keep, next line"),
         {},
         false},
        {LineBefore, At::Tissue, keys({"Up"}), t("Line before"), t("line"), {}, false},
        {LineAfter, At::Tissue, keys({"Down"}), t("Next line"), t("line"), {}, false},
        {NoSuchLine, At::Tissue, keys({"X"}), t("There is no such line"), t("no such line"), {}, false},
        {Assumed, At::Tissue, keys({"A"}), t("Go on with what is assumed"), t("go on, assumed"), {}, false},
        {WhatIsWritten, At::Tissue, keys({"W"}), t("What is written on it"), t("what is written"), {}, false},
        {OtherFace, At::Tissue, keys({"F4"}), t("Back to the wearer"), t("the wearer"), {}, false},
    };
}

std::vector<ActRow> of_the_chart()
{
    using enum Act;
    const auto at = At::Chart;
    return {
        {StripBefore, at, keys({"Up"}), t("Measure before"), t("measure")},
        {StripAfter, at, keys({"Down"}), t("Next measure"), t("measure")},
        {SmallerSize, at, keys({"Left"}), t("A size smaller at this measure"), t("size at this measure")},
        {LargerSize, at, keys({"Right"}), t("A size larger at this measure"), t("size at this measure")},
        {Blend, at, keys({"B"}), t("Blend, or one size"), t("blend or one size")},
        {Ease, at, keys({"E"}), t("What it is and how it is worn"), t("how it is worn")},
        {ChartToPlan, at, keys({"Return", "Enter"}), t("On to the Plan"), t("to Plan")},
    };
}

std::vector<ActRow> of_the_plan()
{
    using enum Act;
    const auto at = At::Plan;
    return {
        {ChangeBefore, at, keys({"Up"}), t("Change before"), t("next")},
        {ChangeAfter, at, keys({"Down"}), t("Next change"), t("next")},
        {Accept, at, keys({"Space"}), t("Accept it, or leave it"), t("accept or leave")},
        {More, at, keys({"+", "="}), t("More of it"), t("amount")},
        {Less, at, keys({"-", "_"}), t("Less of it"), t("amount")},
        {SlightlyLess, at, keys({"Left"}), t("A little less"), t("amount")},
        {SlightlyMore, at, keys({"Right"}), t("A little more"), t("amount")},
        {TypeAmount, at, keys({"A"}), t("Type the amount"), t("type it")},
        {LeftAlone, at, keys({"Z"}), t("What is left alone"), t("what is left alone")},
        {SidesApart, at, keys({"L"}), t("Left and right apart"), t("left and right apart")},
        {SidesAlike, at, keys({"Shift+L"}), t("Left and right alike")},
        {PlanBefore, at, keys({"C"}), t("The plan before"), t("the plan before")},
        {Follows, at, keys({"F"}), t("What follows"), t("beside the plan")},
        {Finished, at, keys({"M"}), t("Finished measures"), t("beside the plan")},
        {RoomToMove, at, keys({"R"}), t("Room to move"), t("beside the plan")},
        {GoesOn, at, keys({"G"}), t("How it goes on"), t("beside the plan")},
        {Pieces, at, keys({"P"}), t("Its pieces"), t("beside the plan")},
        {Crotch, at, keys({"J"}), t("The crotch"), t("beside the plan")},
        {Waist, at, keys({"W"}), t("The waist"), t("beside the plan")},
        {BackToChange, at, keys({"Esc"}), t("Back to the change")},
        {PlanToPaper, at, keys({"Return", "Enter"}), t("On to the Paper"), t("to Paper")},
    };
}

std::vector<ActRow> of_the_paper()
{
    using enum Act;
    const auto at = At::Paper;
    return {
        {StepBefore, at, keys({"Left"}), t("Step before"), t("step")},
        {StepAfter, at, keys({"Right"}), t("Next step"), t("step")},
        {StepDone, at, keys({"Space"}), t("Done on paper"), t("done on paper")},
        {AsBought, at, keys({"O"}), t("As bought"), t("as bought")},
        {FinishedPaper, at, keys({"F"}), t("The finished paper"), t("finished")},
        {ZoomToCut, at, keys({"Z"}), t("Zoom to the cut"), t("zoom to the cut, whole")},
        {ZoomToWhole, at, keys({"W"}), t("The whole piece"), t("zoom to the cut, whole")},
        {Lengths, at, keys({"M"}), t("Lengths"), t("lengths")},
        {BreakLegs, at, keys({"B"}), t("Legs broken or whole"), t("legs broken or whole")},
        {Seams, at, keys({"K"}), t("Seams"), t("seams, roll one")},
        {RollSeam, at, keys({"R"}), t("Roll a seam along the other"), t("seams, roll one")},
        {Large, at, keys({"F11"}), t("One step, large"), t("large")},
        {PlayStep, at, keys({"P"}), t("Play the step")},
        {ZoomIn, at, keys({"+", "="}), t("Closer")},
        {ZoomOut, at, keys({"-"}), t("Further away")},
        {PanLeft, at, keys({"Shift+Left"}), t("Look further left")},
        {PanRight, at, keys({"Shift+Right"}), t("Look further right")},
        {PanUp, at, keys({"Up"}), t("Look further up")},
        {PanDown, at, keys({"Down"}), t("Look further down")},
    };
}

std::vector<ActRow> of_the_mirror()
{
    using enum Act;
    const auto at = At::Mirror;
    return {
        {NewNote, at, keys({"N"}), t("New note"), t("new note")},
        {ToNote, at, keys({"1", "2", "3", "4", "5", "6", "7", "8", "9"}), t("Go to a note"), t("go to note"),
         t("1–9"), false},
        {Causes, at, keys({"C"}), t("Causes"), t("causes"), t("C ↑ ↓")},
        {TakeTest, at, keys({"T"}), t("The test asked next"), t("test")},
        {NextFace, at, keys({"F"}), t("How she is seen"), t("how she is seen")},
        {ByHand, at, keys({"H"}), t("Found by hand"), t("by hand, versions")},
        {Versions, at, keys({"V"}), t("Versions"), t("by hand, versions")},
        {NextLine, at, keys({"L"}), t("Next line on the photograph"), t("next line")},
        {LineBack, at, keys({"Shift+L"}), t("Line before on the photograph")},
        {NewTryOn, at, keys({"B"}), t("New try-on"), t("new try-on")},
        {Gate, at, keys({"G"}), t("The gate before good cloth"), t("gate")},
        {ToileBefore, at, keys({"PgUp"}), t("Toile before")},
        {ToileAfter, at, keys({"PgDown"}), t("Next toile")},
    };
}

std::vector<ActRow> of_print()
{
    using enum Act;
    return {
        {NextField, At::Print, {}, t("Next field"), t("next"), t("Tab"), false},
        {OtherKind, At::Print, {}, t("Another kind, another paper"), t("kind, paper"), t("← →"), false},
        {SavePages, At::Print, {}, t("Save"), t("save"), t("Enter"), false},
    };
}

}  // namespace

const std::vector<ActRow>& all_acts()
{
    static const auto all = [] {
        std::vector<ActRow> out;
        for (auto part : {of_the_tape(), anywhere(), of_the_tissue(), of_the_chart(), of_the_plan(),
                          of_the_paper(), of_the_mirror(), of_print()})
            out.insert(out.end(), std::make_move_iterator(part.begin()), std::make_move_iterator(part.end()));
        return out;
    }();
    return all;
}

const ActRow& row_of(Act act)
{
    const auto& all = all_acts();
    const auto it = std::find_if(all.begin(), all.end(), [&](const ActRow& r) { return r.act == act; });
    if (it == all.end()) qFatal("no row for an act");
    return *it;
}

QString key_text(const ActRow& row)
{
    if (row.keys.isEmpty()) return row.shown;
    QString out = row.keys.front().toString(QKeySequence::PortableText);
    for (const auto& [name, sign] :
         {std::pair{"Left", "←"}, std::pair{"Right", "→"}, std::pair{"Up", "↑"}, std::pair{"Down", "↓"},
          std::pair{"Return", "Enter"}, std::pair{"PgUp", "Page up"}, std::pair{"PgDown", "Page down"}}) {
        if (out.endsWith(QLatin1String{name}))
            out = out.chopped(QLatin1String{name}.size()) + QString::fromUtf8(sign);
    }
    if (out.endsWith('-')) out = out.chopped(1) + "−";
    // "Ctrl+U" is read as two keys; the plus of "Ctrl++" is one of them.
    const bool plus = out.endsWith('+');
    out = out.chopped(plus ? 1 : 0).replace('+', ' ');
    return plus ? out + "+" : out;
}

QString with_key(Act act)
{
    const auto& row = row_of(act);
    const QString key = key_text(row);
    return key.isEmpty() ? row.words : QString{"%1 (%2)"}.arg(row.words, key);
}

std::optional<Act> act_for(At at, const QKeyEvent& e)
{
    const auto modifiers = e.modifiers() & ~Qt::KeypadModifier;
    for (const auto with : {modifiers, modifiers & ~Qt::ShiftModifier}) {
        const QKeySequence pressed{QKeyCombination{with, static_cast<Qt::Key>(e.key())}};
        for (const auto& row : all_acts()) {
            if (row.at == at && row.keys.contains(pressed)) return row.act;
        }
    }
    return std::nullopt;
}

QList<QPair<QString, QString>> hints_at(At at)
{
    QList<QPair<QString, QString>> out;
    for (const auto& row : all_acts()) {
        const bool here = row.at == at || (at == At::Tape && row.at == At::Anywhere);
        if (!here || row.foot.isEmpty()) continue;
        const QString key = row.shown.isEmpty() ? key_text(row) : row.shown;
        if (!out.isEmpty() && out.last().second == row.foot)
            out.last().first += " " + key;
        else
            out << QPair{key, row.foot};
    }
    return out;
}

QString station_name(Station s)
{
    switch (s) {
        case Station::Tape: return QObject::tr("Tape");
        case Station::Chart: return QObject::tr("Chart");
        case Station::Plan: return QObject::tr("Plan");
        case Station::Paper: return QObject::tr("Paper");
        case Station::Mirror: return QObject::tr("Mirror");
        case Station::Print: return QObject::tr("Print");
    }
    return {};
}

At at_station(Station s)
{
    switch (s) {
        case Station::Tape: return At::Tape;
        case Station::Chart: return At::Chart;
        case Station::Plan: return At::Plan;
        case Station::Paper: return At::Paper;
        case Station::Mirror: return At::Mirror;
        case Station::Print: return At::Print;
    }
    return At::Anywhere;
}

}  // namespace sartorum::desk
