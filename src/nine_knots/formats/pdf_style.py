"""Type and ink of what is printed."""

from reportlab.lib.colors import HexColor
from reportlab.lib.styles import ParagraphStyle

from nine_knots.formats.tints import LIGHT

TEXT, BOLD = "Atkinson", "Atkinson-Bold"
INK, QUIET, HAIR = (HexColor(LIGHT[name]) for name in ("ink", "ink-2", "hair"))


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
