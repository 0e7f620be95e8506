#include "core/paper/step.h"

#include "core/pattern/whole_piece.h"

#include <cmath>

#include <cstdlib>

#include "core/pattern/gore.h"

namespace sartorum {

HandMark hand_mark(StepKind kind)
{
    switch (kind) {
        case StepKind::TraceSize:
        case StepKind::TraceBrought:
        case StepKind::MakeFacing:
        case StepKind::OpenCentre:
        case StepKind::FoldCentre:
        case StepKind::SewCentre:
        case StepKind::PartBand:
        case StepKind::MarkBand:
        case StepKind::DrawLine:
        case StepKind::DrawFoldLines:
        case StepKind::DrawRiseLine:
        case StepKind::DrawRiseFold:
        case StepKind::DrawLegLine:
        case StepKind::DrawLegFold:
        case StepKind::DrawKneeLine:
        case StepKind::DrawKneeFold:
        case StepKind::DrawCentreWedge:
        case StepKind::MarkInnerPoint:
        case StepKind::MarkKnee:
        case StepKind::MarkLegHem:
        case StepKind::ExtendBelow:
        case StepKind::DrawHem:
        case StepKind::MarkWaist:
        case StepKind::MarkHighHip:
        case StepKind::MarkCalf:
        case StepKind::MarkHip: return HandMark::Draw;
        case StepKind::CutAcross:
        case StepKind::CutBand: return HandMark::Cut;
        case StepKind::Spread:
        case StepKind::SpreadBand:
        case StepKind::AddTurnUp:
        case StepKind::SpreadInFold:
        case StepKind::AddHem: return HandMark::Spread;
        case StepKind::FoldOut:
        case StepKind::TakeOutInFold:
        case StepKind::OverlapBand: return HandMark::Overlap;
        case StepKind::DrawBlend:
        case StepKind::RedrawWaist:
        case StepKind::RedrawWholeSide:
        case StepKind::SlideDart:
        case StepKind::SlideTuck:
        case StepKind::DrawFacing:
        case StepKind::DrawShapedBand:
        case StepKind::DrawLining:
        case StepKind::ShiftSide:
        case StepKind::RedrawHighHip:
        case StepKind::RedrawCalf:
        case StepKind::RedrawDartLegs:
        case StepKind::LeaveDart:
        case StepKind::AddDart:
        case StepKind::RedrawHip: return HandMark::Redraw;
        case StepKind::TrueSide:
        case StepKind::GatherWaist:
        case StepKind::EaseWaist:
        case StepKind::MatchSides: return HandMark::True;
        case StepKind::TraceWhole:
        case StepKind::TraceTwice:
        case StepKind::MarkTopCentre: return HandMark::Draw;
        case StepKind::RedrawTop: return HandMark::Redraw;
        case StepKind::LayLegs:
        case StepKind::MarkLowered:
        case StepKind::MarkSewnSide:
        case StepKind::MarkSewnWaist:
        case StepKind::MarkSewnHem: return HandMark::Draw;
        case StepKind::TackAndTry: return HandMark::True;
        case StepKind::StitchAndTrim: return HandMark::Trim;
        case StepKind::MarkWaistLine: return HandMark::Draw;
        case StepKind::RedrawWaistLine: return HandMark::Redraw;
        case StepKind::TrimHem: return HandMark::Trim;
        case StepKind::DrawCorner:
        case StepKind::MarkTip:
        case StepKind::MarkNeckPoint:
        case StepKind::DrawStrip:
        case StepKind::DrawAcrossBack:
        case StepKind::DrawNeckDart:
        case StepKind::DrawAcross:
        case StepKind::DrawLengthLine:
        case StepKind::MarkBottomCentre:
        case StepKind::MarkBottomSide:
        case StepKind::DrawWedge:
        case StepKind::DrawBox:
        case StepKind::MarkDartTip:
        case StepKind::MarkNeckRound:
        case StepKind::MarkNeckAlong:
        case StepKind::DrawShoulderDart:
        case StepKind::DrawBustLevel:
        case StepKind::MarkTipAlong:
        case StepKind::MarkTipAcross: return HandMark::Draw;
        case StepKind::CutCorner:
        case StepKind::CutToNeckPoint:
        case StepKind::CutToShoulder:
        case StepKind::CutToArmhole:
        case StepKind::CutToSide:
        case StepKind::CutBox: return HandMark::Cut;
        case StepKind::SlideCorner:
        case StepKind::SlideBox:
        case StepKind::SwingStrip:
        case StepKind::AllowShoulder:
        case StepKind::OpenCentreBack: return HandMark::Spread;
        case StepKind::SwingCorner:
        case StepKind::CloseWedge: return HandMark::Overlap;
        case StepKind::RedrawShoulder:
        case StepKind::RedrawNeckEnd:
        case StepKind::RedrawNeckline:
        case StepKind::RedrawAimed:
        case StepKind::SlideBustDart:
        case StepKind::RedrawBottom:
        case StepKind::RedrawBottomSide:
        case StepKind::RedrawDart:
        case StepKind::GiveBackAtSide: return HandMark::Redraw;
        case StepKind::TrueLeg:
        case StepKind::MatchInnerLegs:
        case StepKind::TrueArmhole:
        case StepKind::MatchShoulders:
        case StepKind::TrueBodiceSide:
        case StepKind::CurveCentreBack:
        case StepKind::StraightenFold:
        case StepKind::EaseNeck: return HandMark::True;
        case StepKind::TrimFold: return HandMark::Trim;
        case StepKind::DrawBustLines:
        case StepKind::DrawKnitDart:
        case StepKind::DrawGape:
        case StepKind::DrawDartLine:
        case StepKind::MarkUnderarm:
        case StepKind::MarkUnderarmLower:
        case StepKind::GatherCap:
        case StepKind::MarkAcross:
        case StepKind::DrawBackCorner:
        case StepKind::DrawSleeveCross:
        case StepKind::DrawSleeveMiddle:
        case StepKind::DrawCapLine:
        case StepKind::DrawCapTop:
        case StepKind::MarkTopNotch:
        case StepKind::DrawSleeveLine:
        case StepKind::MarkSleeveHem:
        case StepKind::MarkForearm: return HandMark::Draw;
        case StepKind::CutBustLines:
        case StepKind::CutSleeveCross:
        case StepKind::CutSleeveMiddle:
        case StepKind::CutCap: return HandMark::Cut;
        case StepKind::OpenAtCentre:
        case StepKind::SwingBust:
        case StepKind::DropCentre:
        case StepKind::LayTogether:
        case StepKind::CloseIntoSeam:
        case StepKind::SwingDart:
        case StepKind::SpreadBicep:
        case StepKind::SpreadSleeve:
        case StepKind::MoveCap:
        case StepKind::SlideCap: return HandMark::Spread;
        case StepKind::OverlapAtCentre:
        case StepKind::CloseGape:
        case StepKind::OverlapBackArmhole: return HandMark::Overlap;
        case StepKind::RedrawCentre:
        case StepKind::CarryCentreUp:
        case StepKind::RedrawInnerLeg:
        case StepKind::RedrawLeg:
        case StepKind::RedrawBustDart:
        case StepKind::RedrawSeam:
        case StepKind::TakeInSide:
        case StepKind::DrawWaistDart:
        case StepKind::RedrawUnderarm:
        case StepKind::RedrawLowerArmhole:
        case StepKind::RedrawAcross:
        case StepKind::RedrawBodiceSide:
        case StepKind::RedrawUnderarms: return HandMark::Redraw;
        case StepKind::EaseSide:
        case StepKind::EaseShoulder:
        case StepKind::TrueSleeve:
        case StepKind::TrueCap:
        case StepKind::TrueUnderarms: return HandMark::True;
    }
    std::abort();
}

Geom::Affine whole_motion(const Motion& m, double part)
{
    return Geom::Translate(-m.about) * Geom::Rotate{m.radians * part} * Geom::Translate(m.about + m.by * part);
}

Motion motion_of(std::size_t panel, const Geom::Affine& how, Point about)
{
    return {panel, about, std::atan2(how[1], how[0]), about * how - about};
}

namespace {

Curve between_curves(const Curve& from, const Curve& to, double part)
{
    const auto a = all_controls(from);
    auto b = all_controls(to);
    if (a.size() != b.size()) return to;
    for (std::size_t i = 0; i < a.size(); ++i) b[i] = a[i] * (1 - part) + b[i] * part;
    return from_controls(b);
}

}  // namespace

std::vector<Piece> panels_at(const StepPicture& picture, double part)
{
    auto out = picture.panels;
    if (part >= 1.0) return out;
    for (const auto& m : picture.motions)
        out[m.panel] = moved(out[m.panel], whole_motion(m).inverse() * whole_motion(m, part));
    if (picture.redrawn_from.empty()) return out;
    const Piece& from = picture.redrawn_from.front();
    Piece& to = out.front();
    if (from.edges.size() != to.edges.size()) return out;
    for (std::size_t i = 0; i < to.edges.size(); ++i)
        to.edges[i].curve = between_curves(from.edges[i].curve, to.edges[i].curve, part);
    return out;
}

bool of_waistband(const Step& s)
{
    return !s.picture.panels.empty() && s.picture.panels.front().role == PieceRole::Waistband;
}

bool of_a_gore(const Step& s)
{
    return !s.picture.panels.empty() && is_gore(s.picture.panels.front());
}

bool of_a_leg(const Step& s)
{
    return !s.picture.panels.empty() && guide(s.picture.panels.front(), GuideKind::Crease).has_value();
}

Step step_on(const Piece& piece, StepKind kind, Length amount, Length place, Length second)
{
    Step out{kind, piece.id, amount, place, {}, {}, {}, second};
    out.picture.panels = {piece};
    return out;
}

bool runs_over_a_dart(const Step& s)
{
    const HandMark mark = hand_mark(s.kind);
    if (mark != HandMark::Redraw && mark != HandMark::True) return false;
    if (s.kind == StepKind::DrawBlend) return false;  // traced from line to line, as it lies
    // The dart itself is drawn anew: it is folded afterwards.
    if (s.kind == StepKind::RedrawDartLegs || s.kind == StepKind::SlideBustDart) return false;
    if (s.picture.panels.empty() || s.picture.redrawn_from.empty()) return false;
    const Piece& is = s.picture.panels.front();
    const Piece& was = s.picture.redrawn_from.front();
    if (is.edges.size() != was.edges.size()) return false;
    // An edge that is only cut short at its other end runs into the dart as it did.
    const auto turned = [](Point a, Point b) { return std::abs(Geom::angle_between(a, b)) > 1e-6; };
    for (std::size_t i = 1; i + 1 < is.edges.size(); ++i) {
        if (is.edges[i].role != EdgeRole::DartMouth) continue;
        if (turned(end_direction(was.edges[i - 1].curve), end_direction(is.edges[i - 1].curve)) ||
            turned(start_direction(was.edges[i + 1].curve), start_direction(is.edges[i + 1].curve)))
            return true;
    }
    return false;
}

Step redrawn_step(const Piece& before, const Piece& after, StepKind kind, Length amount, Length place,
                  Length second)
{
    Step out = step_on(after, kind, amount, place, second);
    out.picture.redrawn_from = {before};
    return out;
}

std::vector<Stroke> strokes(const Polygon& line)
{
    std::vector<Stroke> out;
    for (std::size_t i = 1; i < line.size(); ++i) out.push_back({line[i - 1], line[i]});
    return out;
}

Step turned_over(const Step& step)
{
    const auto over = [](Point p) { return Point{-p[Geom::X], p[Geom::Y]}; };
    Step out = step;
    StepPicture& picture = out.picture;
    for (auto* pieces : {&picture.panels, &picture.redrawn_from}) {
        for (auto& p : *pieces) p = mirror_image(p);
    }
    for (auto& l : picture.lines) l = {over(l.a), over(l.b)};
    for (auto* polygons : {&picture.added, &picture.removed}) {
        for (auto& polygon : *polygons) {
            for (auto& p : polygon) p = over(p);
        }
    }
    for (auto& d : picture.dimensions) d = {over(d.a), over(d.b), d.amount};
    for (auto& m : picture.motions) m = {m.panel, over(m.about), -m.radians, over(m.by)};
    return out;
}

}  // namespace sartorum
