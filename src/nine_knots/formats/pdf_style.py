"""Type and ink of what is printed."""

from pathlib import Path

from reportlab.lib.colors import HexColor
from reportlab.lib.styles import ParagraphStyle
from reportlab.pdfbase.pdfmetrics import registerFont, registerFontFamily
from reportlab.pdfbase.ttfonts import TTFont

from nine_knots.formats.tints import LIGHT

TEXT, BOLD = "Atkinson", "Atkinson-Bold"
INK, QUIET, HAIR = (HexColor(LIGHT[name]) for name in ("ink", "ink-2", "hair"))


FONTS = Path(__file__).parent / "fonts"


def use_fonts() -> None:
    """Make the text face known to what is printed."""
    registerFont(TTFont(TEXT, FONTS / "atkinson-hyperlegible-next-regular.ttf"))
    registerFont(TTFont(BOLD, FONTS / "atkinson-hyperlegible-next-bold.ttf"))
    registerFontFamily(TEXT, normal=TEXT, bold=BOLD, italic=TEXT, boldItalic=BOLD)


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
