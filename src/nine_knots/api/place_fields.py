"""Figures of a stretch as they are typed: levels on a gauge, depths and paces in words."""

import re

from nine_knots.api.typed_fields import field
from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import parse_length
from nine_knots.words.sentence import parse_depth, parse_pace

TIME = re.compile(r"^\s*(\d{1,2})[:. ](\d{2})\s*$")


def level_m(text: str, units: System, where: str) -> float:
    """A level on the gauge; a bare figure is in feet or metres, and it may be below nought."""
    bare = text.strip()
    below = bare.startswith(("-", "−"))
    figure = bare.lstrip("-−").strip()
    with field(where):
        if figure.replace(".", "", 1).replace(",", "", 1).isdigit():
            figure = f"{figure} {'ft' if units == 'imperial' else 'm'}"
        if not figure or not any(letter.isdigit() for letter in figure):
            raise Unreadable(f"“{text}” is not a level.", hint="Write it as 0.62 m, or 2.03 ft.")
        zero = not any(letter in "123456789" for letter in figure)
        found_m = 0.0 if zero else parse_length(figure, units, most_m=60.0)
        return -found_m if below else found_m


def minute_of_day(text: str, where: str) -> float:
    """A time of day as ``06:10``, ``6.10`` or ``6 10``, in minutes."""
    with field(where):
        found = TIME.match(text)
        if found is None or int(found[1]) > 23 or int(found[2]) > 59:
            raise Unreadable(f"“{text}” is not a time of day.", hint="Write it as 06:10.")
        return 60.0 * int(found[1]) + int(found[2])


def degrees(text: str, most: float, where: str) -> float | None:
    """A latitude or longitude in degrees, north and east; none where nothing is typed."""
    if not text.strip():
        return None
    with field(where):
        try:
            value = float(text.strip().rstrip("°").replace(",", "."))
        except ValueError as error:
            raise Unreadable(f"“{text}” is not a number of degrees.", hint="Write 63.2.") from error
        if not -most <= value <= most:
            raise Unreadable(f"“{text}” is out of range.", hint=f"Give −{most:g} to {most:g}.")
        return value


def depth_m(text: str, units: System) -> float:
    """A depth in metres from a word or a figure."""
    with field("depth"):
        return parse_depth(text.strip(), units)


def pace_m_s(text: str, units: System) -> float:
    """A pace in m/s from a word, a speed or a stick over so many steps."""
    with field("pace"):
        return parse_pace(text.strip(), units)
