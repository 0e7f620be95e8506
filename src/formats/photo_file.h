// photo_file.h: a photograph as it is kept: upright, not more than 1,600 pixels either way, and nothing in it but
// the picture: no place, no day, no camera.
//
// Untrusted: up to 64 MB; JPEG and PNG by what is in the file, not by its name; up to 200 million pixels where
// they can be read smaller (JPEG), else up to 60 million, and as many where the picture is packed in layers; so
// many layers and no more; of a PNG nothing but the picture is looked at.
#pragma once
#include <QByteArray>
#include <QImage>
#include <QString>
#include <atomic>

#include "core/units/refusal.h"

namespace sartorum::formats {

inline constexpr int photo_most_pixels = 1600;

// A JPEG file. `stop`: once it is true the reading ends in the next moment.
[[nodiscard]] Outcome<QByteArray> read_photo(const QString& path, const std::atomic<bool>* stop = nullptr);
// How much memory one picture may take, for the whole program; to be said once at its start.
void limit_pictures();
// The same from a picture that is at hand.
[[nodiscard]] QByteArray photo_kept(const QImage&);
// A kept one, read again; empty where it is none.
[[nodiscard]] QImage photo_shown(const QByteArray&);

}  // namespace sartorum::formats
