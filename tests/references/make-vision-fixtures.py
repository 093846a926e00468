#!/usr/bin/env python3
"""Writes fixtures/vision.json from colorspacious (Debian: python3-colorspacious), which applies Machado et al. 2009 in linear RGB."""
import json
import pathlib
import random

import colorspacious

NAMES = {"protanopia": "protanomaly", "deuteranopia": "deuteranomaly", "tritanopia": "tritanomaly"}
random.seed(20260711)
colors = ["#8a2846", "#2f5d3a", "#e3b23c", "#ff0000", "#00ff00", "#0000ff"] + [f"#{random.randrange(1 << 24):06x}" for _ in range(40)]
cases = []
for vision, name in NAMES.items():
    for severity in (1, 0.7, 0.3):
        space = {"name": "sRGB1+CVD", "cvd_type": name, "severity": round(severity * 100)}
        for color in colors:
            rgb = [int(color[i:i + 2], 16) / 255 for i in (1, 3, 5)]
            seen = colorspacious.cspace_convert(rgb, space, "sRGB1").clip(0, 1)
            cases.append({"color": color, "vision": vision, "severity": severity, "rgb": [round(float(c), 6) for c in seen]})
path = pathlib.Path(__file__).with_name("fixtures") / "vision.json"
path.write_text(json.dumps({"madeBy": "tests/references/make-vision-fixtures.py", "colorspacious": colorspacious.__version__, "cases": cases}, indent=0) + "\n")
