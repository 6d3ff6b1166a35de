"""Type and ink of what is printed."""

from functools import cache
from itertools import groupby
from pathlib import Path

from reportlab.lib.colors import HexColor
from reportlab.lib.styles import ParagraphStyle
from reportlab.pdfbase.pdfmetrics import registerFont, registerFontFamily
from reportlab.pdfbase.ttfonts import TTFont

from nine_knots.formats.text import xml
from nine_knots.formats.tints import LIGHT

TEXT, BOLD = "Atkinson", "Atkinson-Bold"
SIGNS = "DejaVu"  # for letters and signs that the text face lacks
INK, QUIET, HAIR = (HexColor(LIGHT[name]) for name in ("ink", "ink-2", "hair"))


FONTS = Path(__file__).parent / "fonts"


def use_fonts() -> None:
    """Make the text face known to what is printed."""
    registerFont(TTFont(TEXT, FONTS / "atkinson-hyperlegible-next-regular.ttf"))
    registerFont(TTFont(BOLD, FONTS / "atkinson-hyperlegible-next-bold.ttf"))
    registerFont(TTFont(SIGNS, FONTS / "dejavu-sans-subset.ttf"))
    registerFontFamily(TEXT, normal=TEXT, bold=BOLD, italic=TEXT, boldItalic=BOLD)


@cache
def drawn_by(face: str) -> frozenset[int]:
    """The characters that a face can draw."""
    file = {TEXT: "atkinson-hyperlegible-next-regular.ttf", SIGNS: "dejavu-sans-subset.ttf"}[face]
    return frozenset(TTFont(face, FONTS / file).face.charToGlyph)


def marked_up(text: str) -> str:
    """Plain text as a paragraph's mark-up; what the text face lacks is set in another."""
    known = drawn_by(TEXT)
    runs = groupby(text, lambda sign: sign.isspace() or ord(sign) in known)
    return "".join(
        xml("".join(run)) if is_known else f'<font name="{SIGNS}">{xml("".join(run))}</font>'
        for is_known, run in runs
    )


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
