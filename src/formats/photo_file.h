// photo_file.h: a photograph as it is kept: upright, not more than 1,600 pixels either way, and nothing in it but
// the picture: no place, no day, no camera.
//
// Untrusted: up to 64 MB; JPEG and PNG by what is in the file, not by its name; up to 200 million pixels where
// they can be read smaller (JPEG), else up to 60 million.
#pragma once
#include <QByteArray>
#include <QImage>
#include <QString>

#include "core/units/refusal.h"

namespace sartorum::formats {

inline constexpr int photo_most_pixels = 1600;

// A JPEG file.
[[nodiscard]] Outcome<QByteArray> read_photo(const QString& path);
// The same from a picture that is at hand.
[[nodiscard]] QByteArray photo_kept(const QImage&);
// A kept one, read again; empty where it is none.
[[nodiscard]] QImage photo_shown(const QByteArray&);

}  // namespace sartorum::formats
