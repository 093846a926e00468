#!/usr/bin/env python3
"""Writes fixtures/css-parsing.json from css-parsing-tests (CC0; Debian: python-tinycss2-common), made for the draft of CSS Syntax 3 of 2013."""
import json
import pathlib
import subprocess

SOURCE = pathlib.Path("/usr/share/python-tinycss2-common/css-parsing-tests")
KINDS = ["component_value_list", "declaration_list", "stylesheet", "An+B"]


def cases(kind):
    """The files hold what is parsed and what comes of it in turn."""
    rows = json.loads((SOURCE / f"{kind}.json").read_text())
    return [{"css": css, "expected": expected} for css, expected in zip(rows[::2], rows[1::2])]


version = subprocess.run(["dpkg-query", "-W", "-f=${Version}", "python-tinycss2-common"], capture_output=True, text=True, check=True).stdout
path = pathlib.Path(__file__).with_name("fixtures") / "css-parsing.json"
made = {"madeBy": "tests/references/make-parsing-fixtures.py", "python-tinycss2-common": version, **{kind: cases(kind) for kind in KINDS}}
path.write_text(json.dumps(made, indent=0) + "\n")
