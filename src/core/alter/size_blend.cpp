#include "core/alter/size_blend.h"

#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"
#include "core/pattern/blend.h"

namespace sartorum {
namespace {

Step trace_step(const Piece& piece, const std::string& size)
{
    return {StepKind::TraceSize, piece.id, {}, {}, size, size, {{piece}, {}, {}, {}, {}}};
}

}  // namespace

Outcome<Applied> trace_sizes(const Pattern& pattern, const std::string& waist_size, const std::string& hip_size)
{
    const auto* waist = pattern.find(waist_size);
    const auto* hip = pattern.find(hip_size);
    if (!waist) return refuse(Why::SizeUnknown, waist_size);
    if (!hip) return refuse(Why::SizeUnknown, hip_size);
    Applied out{{hip->pieces, pattern.seams}, {}};
    if (waist == hip) {
        for (const auto& piece : hip->pieces) out.steps.push_back(trace_step(piece, hip_size));
        return out;
    }
    for (std::size_t i = 0; i < hip->pieces.size(); ++i) {
        auto blend = blended(waist->pieces[i], hip->pieces[i]);
        if (!blend) return tl::make_unexpected(blend.error());
        const bool band = !guide(hip->pieces[i], GuideKind::Hip);
        out.steps.push_back(trace_step(band ? *blend : hip->pieces[i], band ? waist_size : hip_size));
        if (!band) {
            Step step{StepKind::DrawBlend, blend->id, {}, {}, waist_size, hip_size, {{*blend}, {}, {}, {}, {}}};
            const Point onto = edge(*blend, EdgeRole::Centre).curve.finalPoint() -
                               edge(hip->pieces[i], EdgeRole::Centre).curve.finalPoint();
            step.picture.redrawn_from = {moved(hip->pieces[i], Geom::Translate(onto))};
            out.steps.push_back(std::move(step));
        }
        out.garment.pieces[i] = std::move(*blend);
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

// From one size's frame to the other's lower edge; then both side seams as long as their mean, at the lower end.
std::vector<Piece> blended_bodice(const SizedPieces& frame, const SizedPieces& lower)
{
    std::vector<Piece> out = frame.pieces;
    const auto width = [](const Piece& p) {
        return edge(p, bottom_role(p)).curve.initialPoint()[Geom::X] -
               edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::X];
    };
    for (std::size_t i = 0; i < out.size(); ++i) {
        if (is_bodice(out[i]))
            out[i] = bottom_redrawn(out[i], {width(lower.pieces[i]) - width(out[i]), 0}, {0, 0});
    }
    Piece& front = *find_piece(out, PieceRole::Front);
    Piece& back = *find_piece(out, PieceRole::Back);
    auto even = sides_evened(front, back);
    front = std::move(even.front);
    back = std::move(even.back);
    return out;
}

}  // namespace

Outcome<Applied> trace_bodice(const Pattern& pattern, const std::string& frame_size, const std::string& lower_size)
{
    const auto* frame = pattern.find(frame_size);
    const auto* lower = pattern.find(lower_size);
    if (!frame) return refuse(Why::SizeUnknown, frame_size);
    if (!lower) return refuse(Why::SizeUnknown, lower_size);
    const auto pieces = frame == lower ? frame->pieces : blended_bodice(*frame, *lower);
    Applied out{{pieces, pattern.seams}, {}};
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        out.steps.push_back(trace_step(frame->pieces[i], frame_size));
        if (frame == lower || !is_bodice(pieces[i])) continue;
        Step step = redrawn_step(frame->pieces[i], pieces[i], StepKind::DrawBlend);
        step.from_size = frame_size;
        step.to_size = lower_size;
        out.steps.push_back(std::move(step));
    }
    return out;
}

}  // namespace sartorum
