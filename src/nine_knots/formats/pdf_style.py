"""Type and ink of what is printed."""

from reportlab.lib.colors import HexColor
from reportlab.lib.styles import ParagraphStyle

TEXT, BOLD = "Atkinson", "Atkinson-Bold"
INK, QUIET, HAIR = HexColor("#1c2a2c"), HexColor("#48585a"), HexColor("#b9c4c0")


def style(size: float, bold: bool = False, quiet: bool = False, after: float = 0) -> ParagraphStyle:
    """A paragraph of this size in points, its leading with it."""
    return ParagraphStyle(
        "text",
        fontName=BOLD if bold else TEXT,
        fontSize=size,
        leading=1.22 * size,
        textColor=QUIET if quiet else INK,
        spaceAfter=after,
    )
