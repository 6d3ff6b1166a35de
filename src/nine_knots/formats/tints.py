"""The colours of materials and things, by lamp and by night: for files here and for the screen.

``python -m nine_knots.formats.tints`` prints them as the style sheet that the interface takes.
"""

LIGHT = {
    "nylon-stiff": "#b0752a",
    "nylon-medium": "#c8923f",
    "nylon-soft": "#e0b873",
    "copolymer": "#d3ab6c",
    "fluorocarbon": "#86b4c4",
    "wire": "#5b6468",
    "braided-loop": "#a39a84",
    "line": "#8fa39b",
    "sighter": "#d9632a",
    "sighter-dark": "#e08a2c",
    "sighter-light": "#f0e08a",
    "shot": "#5b6468",
    "indicator": "#e4572e",
    "mark": "#c2410c",
    "grease": "#1b5e5a",
    "ink": "#1c2a2c",
    "ink-2": "#48585a",
    "hair": "#c9d0c8",
    "little": "#2f5f8c",
    "right": "#2f6b35",
    "much": "#a83b24",
}
DARK = {
    "nylon-stiff": "#b57c33",
    "nylon-medium": "#cf9c4c",
    "nylon-soft": "#e6c384",
    "copolymer": "#dbb77c",
    "fluorocarbon": "#7fb2c6",
    "wire": "#8c979b",
    "braided-loop": "#b1a88f",
    "line": "#5f756d",
    "ink": "#e6ece6",
    "ink-2": "#a9b8b4",
    "hair": "#33433f",
    "little": "#86b6e6",
    "right": "#86c58a",
    "much": "#f08a6c",
}
"""What differs by night."""


def tint_of(material: str) -> str:
    """The colour of a material on paper."""
    return LIGHT["wire" if material.startswith("wire") else material]


def style_sheet() -> str:
    """The colours as custom properties, and the classes that give them to surfaces and lines."""
    first = "/* Written by scripts/api-types.sh from nine_knots.formats.tints. */"
    drawn = [name for name in LIGHT if name in DARK][:8]
    rules = [
        f":root {{\n{_properties(LIGHT)}\n}}",
        f":root[data-theme='dark'] {{\n{_properties(DARK)}\n}}",
        *(f".tint--{name} {{\n  fill: var(--{name});\n}}" for name in drawn),
        ".tint--sighter {\n  fill: url('#sighter-bands');\n}",
        *(f".stroke--{name} {{\n  stroke: var(--{name});\n}}" for name in drawn),
    ]
    return "\n\n".join([first, *rules]) + "\n"


def _properties(tints: dict[str, str]) -> str:
    return "\n".join(f"  --{name}: {tint};" for name, tint in tints.items())


if __name__ == "__main__":
    print(style_sheet(), end="")
