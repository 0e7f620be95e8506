#include "core/alter/kit/size_blend.h"

#include <algorithm>

#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/blend.h"
#include "core/pattern/part_rules.h"

namespace sartorum {

Step trace_step(const Piece& piece, const std::string& size)
{
    return {.kind = StepKind::TraceSize,
            .piece = piece.id,
            .from_size = size,
            .to_size = size,
            .picture = {.panels = {piece}}};
}

Outcome<Applied> trace_skirt(const Pattern& pattern, const SizeNames& sizes)
{
    const auto& waist_size = sizes.waist;
    const auto& hip_size = sizes.hip;
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
        out.steps.push_back(trace_step(hip->pieces[i], hip_size));
        Step step{.kind = StepKind::DrawBlend,
                  .piece = blend->id,
                  .from_size = waist_size,
                  .to_size = hip_size,
                  .picture = {.panels = {*blend}}};
        const Piece& printed = hip->pieces[i];
        step.picture.redrawn_from = {
            moved(printed, Geom::Translate(held_at(waist->pieces[i]) - held_at(printed)))};
        out.steps.push_back(std::move(step));
        out.garment.pieces[i] = std::move(*blend);
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

// The lower edge is at the waist, or at the hip.
const std::string& lower_size_of(const Pattern& pattern, const SizeNames& sizes)
{
    const Piece& front = *find_piece(pattern.sizes.front().pieces, PieceRole::Front);
    return bottom_role(front) == EdgeRole::Waist ? sizes.waist : sizes.hip;
}

// From one size's frame to the other's lower edge; then both side seams as long as their mean, at the lower end.
Outcome<std::vector<Piece>> blended_upper(const SizedPieces& frame, const SizedPieces& lower,
                                          const std::vector<Seam>& seams)
{
    std::vector<Piece> out = frame.pieces;
    const auto width = [](const Piece& p) {
        return edge(p, bottom_role(p)).curve.initialPoint()[Geom::X] -
               edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::X];
    };
    for (std::size_t i = 0; i < out.size(); ++i) {
        if (goes_round(out[i]))
            out[i] = bottom_redrawn(out[i], {width(lower.pieces[i]) - width(out[i]), 0}, {0, 0});
    }
    Piece& front = *find_piece(out, PieceRole::Front);
    Piece& back = *find_piece(out, PieceRole::Back);
    auto even = sides_evened_below(front, back, back_side_ease(out, seams));
    if (!even) return tl::make_unexpected(even.error());
    front = std::move(even->front);
    back = std::move(even->back);
    return out;
}

}  // namespace

Outcome<Applied> trace_upper(const Pattern& pattern, const SizeNames& sizes)
{
    const auto& frame_size = sizes.frame;
    const auto& lower_size = lower_size_of(pattern, sizes);
    const auto* frame = pattern.find(frame_size);
    const auto* lower = pattern.find(lower_size);
    if (!frame) return refuse(Why::SizeUnknown, frame_size);
    if (!lower) return refuse(Why::SizeUnknown, lower_size);
    const auto blended = frame == lower ? frame->pieces : blended_upper(*frame, *lower, pattern.seams);
    if (!blended) return tl::make_unexpected(blended.error());
    const auto& pieces = *blended;
    Applied out{{pieces, pattern.seams}, {}};
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        out.steps.push_back(trace_step(frame->pieces[i], frame_size));
        if (frame == lower || !goes_round(pieces[i])) continue;
        Step step = redrawn_step(frame->pieces[i], pieces[i], StepKind::DrawBlend);
        step.from_size = frame_size;
        step.to_size = lower_size;
        out.steps.push_back(std::move(step));
    }
    return out;
}

namespace {

// One part of the pattern, in the sizes that are asked for.
Pattern part_pattern(const Pattern& pattern, PartKind kind, const SizeNames& sizes)
{
    Pattern out{pattern.name, pattern.maker, {}, {}};
    for (const auto& sized : pattern.sizes) {
        if (sized.size != sizes.frame && sized.size != sizes.waist && sized.size != sizes.hip) continue;
        Garment view = part_view({sized.pieces, pattern.seams}, kind);
        out.sizes.push_back({sized.size, std::move(view.pieces)});
        out.seams = std::move(view.seams);
    }
    return out;
}

Piece* piece_with_id(std::vector<Piece>& pieces, const std::string& id)
{
    const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.id == id; });
    return it == pieces.end() ? nullptr : &*it;
}

// What is done to one piece comes before what is done to the next; what matches two pieces comes last.
void in_order_of(std::vector<Step>& steps, const std::vector<Piece>& pieces)
{
    const auto place = [&](const Step& s) {
        if (s.kind == StepKind::MatchSides) return pieces.size();
        const auto it =
            std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.id == s.piece; });
        return static_cast<std::size_t>(it - pieces.begin());
    };
    std::stable_sort(steps.begin(), steps.end(),
                     [&](const Step& a, const Step& b) { return place(a) < place(b); });
}

}  // namespace

Outcome<Applied> trace_pattern(const Pattern& pattern, const SizeNames& sizes)
{
    const auto& any_size = pattern.sizes.front().pieces;
    const auto parts = parts_of(any_size);
    const std::string& highest = sizes.at(rules(parts.front()).levels.front());
    const auto* sized = pattern.find(highest);
    if (!sized) return refuse(Why::SizeUnknown, highest);
    const bool one_part =
        std::all_of(any_size.begin(), any_size.end(), [&](const Piece& p) { return p.part == parts.front(); });
    if (one_part) return part_alter(parts.front()).trace(pattern, sizes);
    Applied out{{{}, pattern.seams}, {}};
    std::vector<Piece> traced;
    for (const auto kind : parts) {
        auto part = part_alter(kind).trace(part_pattern(pattern, kind, sizes), sizes);
        if (!part) return part;
        std::move(part->garment.pieces.begin(), part->garment.pieces.end(), std::back_inserter(traced));
        std::move(part->steps.begin(), part->steps.end(), std::back_inserter(out.steps));
    }
    for (const auto& p : sized->pieces) {
        if (!p.part) out.steps.push_back(trace_step(p, highest));
        Piece* own = p.part ? piece_with_id(traced, p.id) : nullptr;
        out.garment.pieces.push_back(own ? std::move(*own) : p);
    }
    in_order_of(out.steps, out.garment.pieces);
    return out;
}

}  // namespace sartorum
