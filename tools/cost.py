#!/usr/bin/python3
"""What a run of the tests cost, part by part, beside what is kept in docs/benchmarks.md.

    cost.py FOLDER KEPT

FOLDER holds `phases` (a line a phase: its name, the seconds it took, as it was written by ./run), `since` (when the run
began, in seconds) and the results of the tests (NAME.xml, JUnit, as ctest writes them). What was compiled is read from
ninja's own logs. A part that was kept and grew by more than a tenth and five seconds is shown in red. Nothing fails.
"""
import re
import sys
import xml.etree.ElementTree as xml
from pathlib import Path
from statistics import median

# What a file that was made belongs to: the first that fits.
PARTS = [
    ("precompiled headers", r"\.gch$"),
    ("moc, the demo notebook", r"(\.moc|moc_\w+\.cpp|autogen.*|demo_notebook|\.sartorum)$"),
    ("links", r"(\.a|/[\w-]+)$"),
    ("core", r"/sartorum_core\.dir/"),
    ("words, readers", r"/sartorum_(words|formats)\.dir/"),
    ("notebook, window, command line", r"^src/"),
    ("benchmarks", r"^bench/"),
    ("tests", r"^tests/"),
]


def compiled(log, since):
    """Seconds of one core for each part, of what was made since then."""
    last = {}
    for line in log.read_text().splitlines()[1:]:
        start, end, stamp, output, _ = line.split("\t")
        if int(stamp) / 1e9 >= since:
            last[output] = (int(end) - int(start)) / 1000
    costs = {}
    for output, seconds in last.items():
        for name, what in PARTS:
            if re.search(what, output):
                costs[name] = costs.get(name, 0) + seconds
                break
    return costs


def ran(results):
    """Seconds for each class of tests."""
    return {case.get("name"): float(case.get("time")) for case in xml.parse(results).getroot().iter("testcase")}


def kept(page):
    row = re.compile(r"^\| `run: ([^`]+)` \| ([0-9.]+) \|", re.MULTILINE)
    return {name: float(seconds) for name, seconds in row.findall(page.read_text())}


def main(folder, page):
    since = float((folder / "since").read_text())
    rows = []  # name, seconds
    for line in (folder / "phases").read_text().splitlines():
        name, _, seconds = line.rpartition(" ")
        rows.append((name, float(seconds)))
    whole = sum(seconds for name, seconds in rows if name != "install")
    rows.append(("all of it, packages not counted", whole))
    parts = []
    slowest = []
    for tree in ("release", "asan"):
        log = Path("build") / tree / ".ninja_log"
        for name, seconds in sorted(compiled(log, since).items() if log.exists() else []):
            parts.append((f"{tree}: {name}", seconds))
        results = folder / f"{tree}.xml"
        if results.exists():
            classes = ran(results)
            parts.append((f"{tree}: running the tests", sum(classes.values())))
            slowest += [(seconds, name) for name, seconds in classes.items()]
    was = kept(page)
    # A machine may be slower than that of the kept figures, or shared: what grew is told against the rest.
    clean = (folder / "clean").exists()
    same = [seconds / was[name] for name, seconds in parts if was.get(name, 0) >= 5]
    pace = median(same) if clean and same else None
    print(f"\n{'':44}{'s':>8}{'kept':>8}")
    for title, group in (("By the clock", rows), ("Of one core", parts)):
        print(title)
        for name, seconds in group:
            before = was.get(name)
            grew = pace and before and seconds > before * max(1.0, pace) * 1.1 and seconds > before * pace + 5
            line = f"  {name:42}{seconds:8.1f}{'' if before is None else format(before, '8.1f')}"
            print(f"\033[31m{line}  grew\033[0m" if grew else line)
    if slowest:
        print("Slowest: " + ", ".join(f"{name} {seconds:.0f}" for seconds, name in sorted(slowest, reverse=True)[:8]))
    if not clean:
        print("Not a clean run: what was made before is not counted, and nothing is compared.")
    elif pace:
        print(f"Everything took {pace:.2f} times what is kept.")


if __name__ == "__main__":
    main(Path(sys.argv[1]), Path(sys.argv[2]))
