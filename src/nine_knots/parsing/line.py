"""Which kind of thing a line of text says, and all lines of a list."""

import csv
import re
from dataclasses import dataclass

from nine_knots.core.base.errors import OutOfRange, Refused
from nine_knots.core.base.units import Units
from nine_knots.parsing.casting import LINE_WORDS, WEIGHT, parse_line, parse_rod
from nine_knots.parsing.flies import is_fly, parse_fly
from nine_knots.parsing.parsed import Parsed
from nine_knots.parsing.scan import Scan
from nine_knots.parsing.strands import is_taper, parse_packet, parse_spool

MOST_LINES = 200
_CODE = re.compile(r"\b(?:WF|DT|L)-?(\d{1,2})-?([FIS])?\b", re.IGNORECASE)
_SINKS = {"f": "floating", "i": "intermediate", "s": "sinking", "": "line"}


@dataclass(frozen=True, slots=True)
class ParsedLine:
    """A line and what was understood of it, or why it was not and how it would be."""

    number: int
    text: str
    understood: Parsed | None
    what: str = ""
    hint: str = ""


def parse_owned(text: str, units: Units) -> Parsed:
    """What a line says is owned; Unreadable or OutOfRange where it cannot be."""
    scan = Scan(_CODE.sub(_spelled, text))
    if scan.has(WEIGHT):
        return parse_line(scan, units) if scan.has(LINE_WORDS) else parse_rod(scan, units)
    if is_fly(scan):
        return parse_fly(scan, units)
    return parse_packet(scan, units) if is_taper(scan, units) else parse_spool(scan, units)


def parse_owned_lines(text: str, units: Units) -> tuple[ParsedLine, ...]:
    """Every line of a list that says something; those of a table may part its figures by commas
    or tabs, and a first line of headings is passed over. OutOfRange for too many."""
    lines = [line.replace("\t", " ") for line in text.splitlines()]
    filled = [(number, line) for number, line in enumerate(lines, start=1) if line.strip()]
    if len(filled) > MOST_LINES:
        raise OutOfRange(
            f"{len(filled)} lines are too many at once.", hint=f"Use {MOST_LINES} at a time."
        )
    if len(filled) > 1 and not any(letter.isdigit() for letter in filled[0][1]):
        filled = filled[1:]
    return tuple(_read(number, line, units) for number, line in filled)


def _spelled(code: re.Match[str]) -> str:
    """A line's code as words: ``WF5F`` is a floating five-weight."""
    return f"{code.group(1)} wt {_SINKS[(code.group(2) or '').lower()]}"


def _read(number: int, line: str, units: Units) -> ParsedLine:
    try:
        return ParsedLine(number, line.strip(), parse_owned(_plain(line), units))
    except Refused as error:
        return ParsedLine(number, line.strip(), None, error.what, error.hint)
    except ValueError:
        hint = "Check its figures: one of them is impossible."
        return ParsedLine(number, line.strip(), None, f"“{line.strip()}” cannot be.", hint)


def _plain(line: str) -> str:
    """A line of a table as words: quoted cells are opened where a comma parts them."""
    if line.count('","') or line.startswith('"'):
        cells = next(csv.reader([line]))
        if len(cells) > 1:
            return " ".join(cells)
    return line
