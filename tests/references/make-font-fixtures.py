#!/usr/bin/env python3
"""Writes fixtures/fonts.json and fixtures/fonts/ with fontTools (Debian: python3-fonttools, python3-brotli): what a second reader finds in the bundled families, and the same letters in
other wrappings. Run with: python3 tests/references/make-font-fixtures.py"""
import json
import pathlib

import fontTools
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.ttLib import TTFont

root = pathlib.Path(__file__).resolve().parents[2]
families = root / "src/Sandbar.Core/Foundations/Type/Families"
folder = pathlib.Path(__file__).parent / "fixtures" / "fonts"
folder.mkdir(exist_ok=True)


def wrapped(source, name, flavor):
    font = TTFont(families / source)
    font.flavor = flavor
    font.save(folder / name)


def square(name):
    """Outlines of the other kind, which no bundled family has."""
    builder = FontBuilder(1000, isTTF=False)
    builder.setupGlyphOrder([".notdef", "space", "A"])
    builder.setupCharacterMap({0x20: "space", 0x41: "A"})
    pen = T2CharStringPen(600, None)
    pen.moveTo((50, 0))
    pen.lineTo((550, 0))
    pen.lineTo((550, 700))
    pen.lineTo((50, 700))
    pen.closePath()
    empty = T2CharStringPen(300, None).getCharString()
    builder.setupCFF("SandbarSquare", {}, {".notdef": empty, "space": empty, "A": pen.getCharString()}, {})
    builder.setupHorizontalMetrics({".notdef": (300, 0), "space": (300, 0), "A": (600, 50)})
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": "Sandbar Square", "styleName": "Italic", "licenseDescription": "Made for tests."})
    builder.setupOS2(sTypoAscender=900, sTypoDescender=-250, sTypoLineGap=60, usWeightClass=350, fsSelection=0x81, sxHeight=480, sCapHeight=700, fsType=2, version=4)
    builder.setupPost(isFixedPitch=1)
    builder.save(folder / name)


def facts(path):
    font = TTFont(path)
    head, hhea, os2, name = font["head"], font["hhea"], font["OS/2"], font["name"]
    typo = os2.fsSelection & 0x80
    axes = [[a.axisTag, a.minValue, a.defaultValue, a.maxValue] for a in font["fvar"].axes] if "fvar" in font else []
    weights = next(([round(a[1]), round(a[3])] for a in axes if a[0] == "wght"), [os2.usWeightClass] * 2)
    features = sorted({r.FeatureTag for t in ("GSUB", "GPOS") if t in font and font[t].table.FeatureList for r in font[t].table.FeatureList.FeatureRecord})
    order = font.getGlyphOrder()
    glyphs = []
    if "glyf" in font:
        # Every tenth glyph, simple or made of others: where its outline lies, and how far it leads.
        for index in range(0, len(order), 10):
            glyph = font["glyf"][order[index]]
            box = [glyph.xMin, glyph.yMin, glyph.xMax, glyph.yMax] if glyph.numberOfContours else None
            glyphs.append([index, font["hmtx"][order[index]][0], box])
    return {
        "file": path.name,
        "family": name.getDebugName(16) or name.getDebugName(1),
        "unitsPerEm": head.unitsPerEm,
        "ascent": os2.sTypoAscender if typo else hhea.ascent,
        "descent": os2.sTypoDescender if typo else hhea.descent,
        "lineGap": os2.sTypoLineGap if typo else hhea.lineGap,
        "capHeight": os2.sCapHeight,
        "xHeight": os2.sxHeight,
        "weights": weights,
        "italic": bool(os2.fsSelection & 1 or head.macStyle & 2),
        "axes": axes,
        "features": features,
        "characters": sorted(font.getBestCmap()),
        "licence": (name.getDebugName(13) or "").strip(),
        "glyphs": glyphs,
    }


wrapped("caveat-latin-wght-normal.woff2", "caveat.woff", "woff")
wrapped("caveat-latin-wght-normal.woff2", "caveat.ttf", None)
square("square.otf")
files = sorted(families.glob("*.woff2")) + sorted(folder.iterdir())
(pathlib.Path(__file__).parent / "fixtures" / "fonts.json").write_text(
    json.dumps({"madeBy": f"fontTools {fontTools.version} (make-font-fixtures.py)", "fonts": [facts(f) for f in files]}) + "\n"
)
