#!/usr/bin/python3
"""What of the core and the readers the tests run, from gcovr's summary; what lies below what is asked, and whether
docs/reliability.md says why.

    coverage.py SUMMARY.json PAGE
"""
import json
import re
import sys
from pathlib import Path

ASKED = 85  # percent, of lines and of branches


def main(summary, page):
    data = json.loads(summary.read_text())
    explained = set(re.findall(r"^\| `(src/[\w/.]+)`", page.read_text(), re.MULTILINE))
    low = [
        f for f in data["files"]
        if f["line_percent"] < ASKED or (f["branch_total"] and f["branch_percent"] < ASKED)
    ]
    print(f"{'lines':>8}{'branches':>10}")
    for f in sorted(low, key=lambda f: f["filename"]):
        note = "" if f["filename"] in explained else "   docs/reliability.md does not say why"
        print(f"{f['line_percent']:7.1f}%{f['branch_percent'] or 0:9.1f}%  {f['filename']}{note}")
    for name in sorted(explained - {f["filename"] for f in low}):
        print(f"{'':19}{name} is no longer below {ASKED} %")
    print(f"{data['line_percent']:7.1f}%{data['branch_percent']:9.1f}%  all of {len(data['files'])} files")


if __name__ == "__main__":
    main(Path(sys.argv[1]), Path(sys.argv[2]))
