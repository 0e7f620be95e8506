// toile.h: one try-on as it is kept: what was put on, what was seen and felt on it, and what hands tried. Nothing
// of what it may come from: that is worked out (reasoning.h).
//
// On the figure  x out from the middle towards the wearer's left (seen from the side: forwards), y down; the
//                height of the figure is 100
#pragma once
#include <string>

#include "core/fitting/reasoning.h"

namespace sartorum {

// What was put on. Half a tissue is taped to the wearer at centre back; a garment is one that is sewn already.
enum class PutOn { Whole, Shoulders, Skirt, Sleeve, HalfTissue, Garment };
enum class Moment { Standing, Sitting, Reaching, Walking };
inline constexpr std::size_t moment_count = 4;

// What became of a sight since the toile before.
enum class Since { New, Less, Same, More, Gone };

struct FigurePoint {
    double x = 0;
    double y = 0;
    friend bool operator==(const FigurePoint&, const FigurePoint&) = default;
};

struct Note {
    Seen seen;
    Moment moment{};
    Since since{};
    std::optional<FigurePoint> at{};  // none: where it usually is
    std::string words{};              // her own
    [[nodiscard]] bool here() const { return since != Since::Gone; }
    friend bool operator==(const Note&, const Note&) = default;
};

// What hands found, as amounts at named places.
//   Offcut     the strip cut off beyond the pinned seam; places neck_end, tip; of front or back
//   WaistMark  the waist as it was marked, + above the paper's, − under it; places as of the waist line
//   BustDart   as it was pinned, from the one that is drawn; places place (+ lower), depth (+ deeper), length (+
//              longer)
//   WaistDart  each dart of front or back, as of the bust; place + nearer the side
//   BustDot    the dot of the bust point from the drawn one; places down (+ lower), out (+ from the centre)
//   LetOut     all round, where seams were opened until it lay; places waist, hip, upper_arm, thigh
enum class ByHand { Offcut, WaistMark, BustDot, LetOut, BustDart, WaistDart };
inline constexpr std::size_t by_hand_count = 6;
struct Found {
    ByHand what{};
    std::string at{};
    Face face = Face::Both;
    std::optional<Side> side{};  // none: alike on both
    Length by;
    friend bool operator==(const Found&, const Found&) = default;
};

struct TryOn {
    std::string date{};  // ISO 8601
    PutOn what{};
    std::string cloth{};
    std::string worn{};  // underwear and shoes
    std::vector<Moment> moments{Moment::Standing};
    std::string words{};
    std::vector<Note> notes{};
    std::vector<Answered> answers{};
    std::vector<Found> found{};
    bool nothing_to_see = false;  // it was looked at, and there was nothing; a note says otherwise
    friend bool operator==(const TryOn&, const TryOn&) = default;
};

// Of texts and lists; what is read from outside is refused beyond it.
inline constexpr std::size_t most_notes = 60;
inline constexpr std::size_t most_words = 2000;
inline constexpr Length found_most = Length::mm(200);

[[nodiscard]] std::string_view key(PutOn);
[[nodiscard]] std::string_view key(Moment);
[[nodiscard]] std::string_view key(Since);
[[nodiscard]] std::string_view key(ByHand);
[[nodiscard]] std::optional<PutOn> put_on_of_key(std::string_view);
[[nodiscard]] std::optional<Moment> moment_of_key(std::string_view);
[[nodiscard]] std::optional<Since> since_of_key(std::string_view);
[[nodiscard]] std::optional<ByHand> by_hand_of_key(std::string_view);
// Where that can be found; empty where the word is none of its.
[[nodiscard]] std::span<const std::string_view> places_of(ByHand);
// It is said of front and back apart.
[[nodiscard]] bool of_faces(ByHand);

// Of what was put on: shoulders and a sleeve say nothing of the hip.
[[nodiscard]] CanBe within(PutOn, CanBe);
// What is still there, for the reasoning.
[[nodiscard]] Observed observed(const TryOn&, std::vector<KnownOf>);
// A small test answered, in place of what was answered before.
void note_answer(TryOn&, const Answered&);
// A thing found, in place of what was found there before; zero where nothing moved is a finding too.
void note_found(TryOn&, const Found&);
// At that place, of that face and side, or as it is said of both; none where nothing is said. Without a side: what
// is said of both.
[[nodiscard]] std::optional<Length> found_at(const TryOn&, ByHand, std::string_view place, Face,
                                             std::optional<Side>);

}  // namespace sartorum
