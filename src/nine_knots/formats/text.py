"""Text that people typed, made safe for the file it goes into."""

import re
from datetime import date
from xml.sax import saxutils

NOT_XML = re.compile("[^\t\n\r\x20-\ud7ff\ue000-\ufffd\U00010000-\U0010ffff]")
"""What XML 1.0 does not allow, escaped or not [S: XML2008, production Char]."""
FORMULA = re.compile(r"^[=+\-@\t\r]")
DEFUSED = re.compile(r"^'(?=[=+\-@\t\r])")


def xml(text: str) -> str:
    """The text between tags of XML; control characters are left out."""
    return saxutils.escape(NOT_XML.sub("", text))


def xml_attribute(text: str) -> str:
    """The text as a quoted attribute."""
    return saxutils.quoteattr(NOT_XML.sub("", text))


def cell(text: str) -> str:
    """The text as a cell of a table that a spreadsheet takes for text and never for a formula."""
    return f"'{text}" if FORMULA.match(text) else text


def from_cell(text: str) -> str:
    """The text that such a cell was written from."""
    return DEFUSED.sub("", text)


def day_text(iso: str) -> str:
    """A date for print, which no reader takes for another: ``Sat 22 Aug 2026``."""
    day = date.fromisoformat(iso)
    return f"{day:%a} {day.day} {day:%b %Y}"
