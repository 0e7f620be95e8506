#include "core/paper/step.h"

#include <cstdlib>

namespace sartorum {

HandMark hand_mark(StepKind kind)
{
    switch (kind) {
        case StepKind::TraceSize:
        case StepKind::DrawLine:
        case StepKind::DrawFoldLines:
        case StepKind::ExtendBelow:
        case StepKind::DrawHem:
        case StepKind::MarkWaist:
        case StepKind::MarkHip: return HandMark::Draw;
        case StepKind::CutAcross:
        case StepKind::CutBand: return HandMark::Cut;
        case StepKind::Spread:
        case StepKind::SpreadBand:
        case StepKind::AddHem: return HandMark::Spread;
        case StepKind::FoldOut:
        case StepKind::OverlapBand: return HandMark::Overlap;
        case StepKind::DrawBlend:
        case StepKind::RedrawWaist:
        case StepKind::RedrawHip: return HandMark::Redraw;
        case StepKind::TrueSide:
        case StepKind::MatchSides: return HandMark::True;
        case StepKind::TrimHem: return HandMark::Trim;
    }
    std::abort();
}

}  // namespace sartorum
