// acts.h: what can be done by a key, one row each, by the place where the key acts. The keys themselves, the menu,
// the foot's hints, the guide and the tooltips are read from here.
#pragma once
#include <QKeySequence>
#include <QList>
#include <QPair>
#include <QString>
#include <optional>
#include <vector>

#include "desk/shared/station.h"

class QKeyEvent;

namespace sartorum::desk {

// Tissue: the Tape's second face, a pattern measured flat.
enum class At { Anywhere, Tape, Tissue, Chart, Plan, Paper, Mirror, Print };

enum class Act {
    // Anywhere
    ToTape,
    ToChart,
    ToPlan,
    ToPaper,
    ToMirror,
    ToPrint,
    OpenPattern,
    ImportChart,
    NewWearer,
    Undo,
    Redo,
    SwitchUnit,
    SwitchNight,
    LargerText,
    SmallerText,
    UsualText,
    NextPart,
    Menu,
    Settings,
    Guide,
    Report,
    Quit,
    // Tape, and the paper measured flat
    KeepReading,
    MeasureBefore,
    MeasureAfter,
    OtherFace,
    TypeReading,
    KeepLine,
    LineBefore,
    LineAfter,
    NoSuchLine,
    Assumed,
    WhatIsWritten,
    // Chart
    StripBefore,
    StripAfter,
    SmallerSize,
    LargerSize,
    Blend,
    Ease,
    ChartToPlan,
    // Plan
    ChangeBefore,
    ChangeAfter,
    Accept,
    More,
    Less,
    SlightlyLess,
    SlightlyMore,
    TypeAmount,
    LeftAlone,
    SidesApart,
    SidesAlike,
    PlanBefore,
    Follows,
    Finished,
    RoomToMove,
    GoesOn,
    Pieces,
    Crotch,
    Waist,
    BackToChange,
    PlanToPaper,
    // Paper
    StepBefore,
    StepAfter,
    StepDone,
    AsBought,
    FinishedPaper,
    ZoomToCut,
    ZoomToWhole,
    Lengths,
    BreakLegs,
    Seams,
    RollSeam,
    Large,
    PlayStep,
    ZoomIn,
    ZoomOut,
    PanLeft,
    PanRight,
    PanUp,
    PanDown,
    // Mirror
    NewNote,
    ToNote,
    Causes,
    TakeTest,
    NextFace,
    ByHand,
    Versions,
    NextLine,
    LineBack,
    NewTryOn,
    Gate,
    ToileBefore,
    ToileAfter,
    // Print
    NextField,
    OtherKind,
    SavePages,
};

struct ActRow {
    Act act{};
    At at{};
    QList<QKeySequence> keys{};  // all of them do it; the first is the one that is shown
    QString words{};             // as the menu and the guide say it
    QString foot{};              // as the foot says it, where it does; rows that say the same there share a hint
    QString shown{};             // in place of the first key: "1–9"
    bool in_menu = true;         // else it needs what is under the hand: a field, a note
};

[[nodiscard]] const std::vector<ActRow>& all_acts();
[[nodiscard]] const ActRow& row_of(Act);
// The first key as people read it: "Ctrl U", "←".
[[nodiscard]] QString key_text(const ActRow&);
// "Undo (Ctrl Z)"
[[nodiscard]] QString with_key(Act);
// What a key means there; Shift counts only where a row names it.
[[nodiscard]] std::optional<Act> act_for(At, const QKeyEvent&);
// Keys and words for the foot of a place, in the order of the rows.
[[nodiscard]] QList<QPair<QString, QString>> hints_at(At);
[[nodiscard]] At at_station(Station);

}  // namespace sartorum::desk
