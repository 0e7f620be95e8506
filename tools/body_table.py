#!/usr/bin/python3
"""Writes src/core/body/likely_table.h from tests/trade/data/body-dimensions.csv. Standard library only."""
import csv
import pathlib

root = pathlib.Path(__file__).resolve().parent.parent
rows = list(csv.DictReader(open(root / "tests/trade/data/body-dimensions.csv")))
columns = [("HighBust", "ChestG"), ("Waist", "WaistG"), ("Hip", "HipG"), ("Thigh", "ThighG"), ("Knee", "KneeG"),
           ("Calf", "CalfG"), ("UpperArm", "BicepG"), ("Wrist", "WristG"), ("Height", "Height")]


def table(name, people, cols):
    n = len(people)
    x = [[10 * float(p[c]) for _, c in cols] for p in people]
    mean = [sum(r[i] for r in x) / n for i in range(len(cols))]
    cov = [[sum((r[i] - mean[i]) * (r[j] - mean[j]) for r in x) / (n - 1) for j in range(len(cols))]
           for i in range(len(cols))]
    out = f"inline constexpr Sample<{len(cols)}> {name}{{\n    {n},\n    {{"
    out += ", ".join("Measure::" + m for m, _ in cols) + "},\n    {" + ", ".join(f"{v:.4f}" for v in mean) + "},\n    {{"
    out += ",\n      ".join("{" + ", ".join(f"{v:.4f}" for v in r) + "}" for r in cov) + "}}};\n"
    return out


text = """// likely_table.h: means and covariances in mm and mm². Made by tools/body_table.py; do not edit.
#pragma once
#include <array>

#include "core/body/measure.h"

namespace sartorum {

template <std::size_t N>
struct Sample {
    int people;
    std::array<Measure, N> measures;
    std::array<double, N> mean;
    std::array<std::array<double, N>, N> covariance;
};

// clang-format off
"""
text += table("women", [r for r in rows if r["Gender"] == "0"], columns)
text += "\n" + table("everyone", rows, columns[1:])
text += "// clang-format on\n\n}  // namespace sartorum\n"
(root / "src/core/body/likely_table.h").write_text(text)
