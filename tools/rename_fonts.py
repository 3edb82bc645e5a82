"""Gives the shipped B612 fonts family names of their own: rename_fonts.py IN_FOLDER OUT_FOLDER

The proportional and the mono cut both call their typographic family "B612", so a font system that has both cannot
tell them apart by name. Only the name table changes. Needs python3-fonttools.
"""
import pathlib
import sys

from fontTools.ttLib import TTFont

FAMILY, STYLE, FULL, POSTSCRIPT = 1, 2, 4, 6
TYPOGRAPHIC_FAMILY, TYPOGRAPHIC_STYLE = 16, 17


def rename(source: pathlib.Path, target: pathlib.Path) -> None:
    font = TTFont(source)
    _, style = source.stem.split("-")
    family = "Glumet Text"
    table = font["name"]
    table.names = [n for n in table.names if n.nameID not in (TYPOGRAPHIC_FAMILY, TYPOGRAPHIC_STYLE)]
    words = {FAMILY: family, STYLE: style, FULL: f"{family} {style}", POSTSCRIPT: f"{family}-{style}".replace(" ", "")}
    for name in table.names:
        if name.nameID in words:
            name.string = words[name.nameID]
    if "CFF " in font:
        cff = font["CFF "].cff
        cff.fontNames = [words[POSTSCRIPT]]
        cff.topDictIndex[0].FamilyName = family
        cff.topDictIndex[0].FullName = words[FULL]
    font.save(target)


def main() -> None:
    source, target = map(pathlib.Path, sys.argv[1:3])
    for style in ("Regular", "Bold"):
        rename(source / f"B612-{style}.otf", target / f"GlumetText-{style}.otf")


main()
