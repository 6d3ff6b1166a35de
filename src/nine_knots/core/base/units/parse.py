"""Text as an angler types it, read into SI; what cannot be read is refused with the mend."""

import re
from collections.abc import Mapping

from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import factors
from nine_knots.core.base.units.x_scale import diameter_of_x

LONGEST_TEXT = 40
_VULGAR = {"¼": " 1/4", "½": " 1/2", "¾": " 3/4"}
_NUMBER = r"(?:\d+\s+\d+/\d+|\d+/\d+|\d+\.\d*|\.\d+|\d+)"
_TERM = re.compile(rf"\s*({_NUMBER})\s*([a-zA-Z/]+|['\"])?\s*")
_HOOK = re.compile(r"^\s*(?:(?:no\.?|size|#)\s*)?(\d{1,2})(/0)?\s*$", re.IGNORECASE)


def _clean(text: str, kind: str, example: str) -> str:
    if not text.strip():
        raise Unreadable(f"No {kind} was given.", hint=f"Write one such as {example}.")
    if len(text) > LONGEST_TEXT:
        raise Unreadable(f"That is too long for a {kind}.", hint=f"Write one such as {example}.")
    text = text.replace("′", "'").replace("″", '"').replace("’", "'").replace("”", '"')
    for sign, fraction in _VULGAR.items():
        text = text.replace(sign, fraction)
    # A decimal comma, but not one between thousands: 1,27 m is read, 1,270 m is refused below.
    return re.sub(r"(\d),(\d{1,2})(?!\d)", r"\1.\2", text).strip()


def _value(number: str) -> float:
    total = 0.0
    for part in number.split():
        top, slash, bottom = part.partition("/")
        if slash and float(bottom) == 0.0:
            raise Unreadable(f"“{part}” divides by zero.", hint="Write a fraction such as 1/4.")
        total += float(top) / float(bottom) if slash else float(top)
    return total


def _terms(text: str, kind: str, example: str) -> list[tuple[float, str]]:
    terms: list[tuple[float, str]] = []
    place = 0
    while place < len(text):
        match = _TERM.match(text, place)
        if match is None:
            raise Unreadable(
                f"“{text}” is not a {kind}: “{text[place:]}” cannot be read.",
                hint=f"Write one such as {example}.",
            )
        terms.append((_value(match.group(1)), (match.group(2) or "").lower()))
        place = match.end()
    return terms


def _scaled(
    text: str, kind: str, example: str, units: Mapping[str, float], bare: str
) -> tuple[float, bool]:
    """Sum of the terms in SI, and whether every term named its unit."""
    total, named, last = 0.0, True, float("inf")
    for number, unit in _terms(_clean(text, kind, example), kind, example):
        if unit and unit not in units:
            known = ", ".join(sorted(u for u in units if u.isalpha() or "/" in u))
            raise Unreadable(
                f"“{unit}” is not a unit of {kind}.", hint=f"Use one of {known}: {example}."
            )
        if not unit and last is not float("inf"):
            # "4 ft 2": a bare last term after feet is inches
            unit = "in" if last == factors.FOOT_M and "in" in units else unit
        named = named and bool(unit)
        factor = units[unit or bare]
        if factor >= last:
            raise Unreadable(
                f"“{text}” has its units in the wrong order, or one twice.",
                hint=f"Write one such as {example}.",
            )
        total, last = total + number * factor, factor
    return total, named


def _within(value: float, low: float, high: float, text: str, span: str) -> float:
    if not low <= value <= high:
        raise OutOfRange(f"“{text}” is outside {span}.", hint="Check the figure and its unit.")
    return value


def parse_length(text: str, system: System = "imperial", most_m: float = 40.0) -> float:
    """A length in metres from ``4 ft 2 in``, ``50in``, ``1.27 m``, ``41 1/4``.

    A bare number is inches, or centimetres in metric units. 1 mm to ``most_m``; Unreadable or
    OutOfRange otherwise.
    """
    bare = "in" if system == "imperial" else "cm"
    value, _ = _scaled(text, "length", "4 ft 2 in, 50 in or 127 cm", factors.LENGTH_UNITS, bare)
    return _within(value, 0.001, most_m, text, f"1 mm to {most_m:g} m ({most_m / 0.3048:.0f} ft)")


def parse_size(text: str, system: System = "imperial") -> tuple[float | None, float | None]:
    """A diameter in metres or a label in newtons, whichever was written; the other is None.

    Of ``5X``, ``.018``, ``20 lb``.
    """
    unit = re.sub(r"[^a-zA-Z]", "", text).lower()
    if unit in factors.LOAD_UNITS:
        return None, parse_load(text, system)
    return parse_diameter(text, system), None


def parse_as_sold(text: str, system: System = "imperial") -> tuple[float, float]:
    """Length and tip diameter in metres of a bought leader as it is sold: ``7½ ft 2X``."""
    words = _clean(text, "bought leader", "9 ft 5X").replace(",", " ").split()
    for last in (1, 2):
        try:
            tip_m = parse_diameter(" ".join(words[-last:]), system)
            return parse_length(" ".join(words[:-last]), system), tip_m
        except (Unreadable, OutOfRange):
            continue
    raise Unreadable(
        f"“{text}” is not a bought leader.", hint="Write its length and tip, such as 9 ft 5X."
    )


def parse_diameter(text: str, system: System = "imperial") -> float:
    """A diameter in metres from ``.018``, ``0.018"``, ``18 thou``, ``0.45 mm`` or ``5X``.

    A bare number is inches, or millimetres in metric units; one that only makes sense in the
    other system is refused with the question whether it was meant so. 0.05 to 2.5 mm.
    """
    by_x = diameter_of_x(text)
    if by_x is not None:
        return by_x
    bare, other = ("in", "mm") if system == "imperial" else ("mm", "in")
    value, named = _scaled(text, "diameter", ".018, 0.45 mm or 5X", factors.DIAMETER_UNITS, bare)
    low, high, span = 5e-5, 2.5e-3, "0.05 to 2.5 mm (.002 to .098 in)"
    if not named and not low <= value <= high:
        meant = value / factors.DIAMETER_UNITS[bare] * factors.DIAMETER_UNITS[other]
        if low <= meant <= high:
            raise OutOfRange(
                f"“{text}” {bare} is outside {span}.",
                hint=f"If you meant {text.strip()} {other}, write the unit with it.",
            )
    return _within(value, low, high, text, span)


def parse_load(text: str, system: System = "imperial") -> float:
    """A breaking strength or pull in newtons from ``12 lb``, ``5.4 kg`` or ``53 N``."""
    bare = "lb" if system == "imperial" else "kg"
    value, _ = _scaled(text, "strength", "12 lb or 5.4 kg", factors.LOAD_UNITS, bare)
    return _within(value, 0.5, 5000.0, text, "0.1 to 1100 lb (0.05 to 500 kg)")


def parse_mass(text: str, system: System = "imperial", bare: str | None = None) -> float:
    """A mass in kilograms from ``260 mg``, ``2 lb 8 oz``, ``140 gr``.

    A bare number is in ``bare``, or else in pounds or kilos by the system.
    """
    unit = bare or ("lb" if system == "imperial" else "kg")
    value, _ = _scaled(text, "weight", "260 mg, 1.2 kg or 2 lb 8 oz", factors.MASS_UNITS, unit)
    return _within(value, 1e-7, 1000.0, text, "0.1 mg to 1000 kg")


def parse_speed(text: str, system: System = "imperial") -> float:
    """A speed in metres per second from ``0.8 m/s``, ``2.5 ft/s``, ``12 mph``, ``20 km/h``."""
    return _speed(text, "2.5 ft/s or 0.8 m/s", "ft/s" if system == "imperial" else "m/s")


def parse_wind(text: str, system: System = "imperial") -> float:
    """A wind in metres per second: as a speed, but ``10`` alone is miles per hour."""
    return _speed(text, "10 mph or 4 m/s", "mph" if system == "imperial" else "m/s")


def _speed(text: str, example: str, bare: str) -> float:
    value, _ = _scaled(text, "speed", example, factors.SPEED_UNITS, bare)
    return _within(value, 0.0, 40.0, text, "0 to 40 m/s (90 mph)")


_STICK = re.compile(
    r"^\s*([\d.,]+)\s*(?:s|sec|seconds?)?\s*(?:for|over|/)\s*([\d.,]+)\s*steps?\s*$"
)
_PRICE = re.compile(r"\d{1,6}(?:[.,]\d{1,2})?")
_DEGREES = re.compile(r"^\s*(-?[\d.,]+)\s*°?\s*([cf]?)\s*$")
STEP_M = 0.75  # a walker's step [M]


def parse_current(text: str, system: System = "imperial") -> float:
    """A current in m/s: a speed, or a stick's time over steps such as ``8 s for 10 steps``."""
    stick = _STICK.match(text.lower().removeprefix("a stick takes"))
    if stick is None:
        return parse_speed(text, system)
    seconds, steps = (float(number.replace(",", ".")) for number in stick.groups())
    if seconds <= 0.0:
        raise OutOfRange(f"“{text}” has no duration.", hint="Write such as 8 s for 10 steps.")
    return _within(STEP_M * steps / seconds, 0.0, 4.0, text, "0 to 4 m/s (13 ft/s)")


def parse_seconds(text: str) -> float:
    """A time in seconds from ``8``, ``8 s`` or ``1 min 20 s``."""
    value, _ = _scaled(text, "time", "8 s or 1 min 20 s", factors.TIME_UNITS, "s")
    return _within(value, 0.0, 3600.0, text, "0 s to an hour")


def parse_temperature(text: str, system: System = "imperial") -> float:
    """A temperature in °C from ``10 °C``, ``50 °F``; a bare number by the system. 0 to 30 °C."""
    match = _DEGREES.match(text.lower())
    if match is None:
        raise Unreadable(
            f"“{text}” is not a temperature.", hint="Write one such as 10 °C or 50 °F."
        )
    value, unit = float(match.group(1).replace(",", ".")), match.group(2)
    if unit == "f" or (not unit and system == "imperial"):
        value = (value - 32.0) / 1.8
    return _within(value, 0.0, 30.0, text, "0 to 30 °C (32 to 86 °F)")


def parse_price(text: str) -> float:
    """A sum of money from ``6.50`` or ``6,50``; which money is the angler's own affair."""
    match = _PRICE.fullmatch(text.strip())
    if match is None:
        raise Unreadable(f"“{text.strip()}” is not a price.", hint="Write it as 6.50.")
    return _within(float(match[0].replace(",", ".")), 0.01, 100_000.0, text, ".01 to 100,000")


def parse_share(text: str) -> float:
    """A share from ``80 %`` or ``80``; 0 to 150 %."""
    plain = text.strip().removesuffix("%").strip()
    try:
        value = float(plain.replace(",", ".")) / 100.0
    except ValueError as error:
        raise Unreadable(
            f"“{text}” is not a percentage.", hint="Write one such as 80 %."
        ) from error
    return _within(value, 0.0, 1.5, text, "0 to 150 %")


def parse_bead(text: str) -> float:
    """A bead's diameter in metres from ``3 mm``, ``3.3`` (millimetres) or ``7/64 in``."""
    value, _ = _scaled(text, "bead", "3 mm or 7/64 in", factors.DIAMETER_UNITS, "mm")
    return _within(value, 1.5e-3, 6.4e-3, text, "1.5 to 6.4 mm (1/16 to 1/4 in)")


_AREA = re.compile(r"^\s*(\d*[.,]?\d+)\s*(cm|mm|in)?\s*(?:²|\^?2)?\s*$")
_AREA_UNITS = {"cm": 1e-4, "mm": 1e-6, "in": factors.INCH_M**2}


def parse_area(text: str) -> float:
    """A drag area in m² from ``3 cm²``, ``3 cm2``, ``.5 in²``; a bare number is cm²."""
    match = _AREA.match(text.lower().removeprefix("sq ").replace("sq ", ""))
    if match is None:
        raise Unreadable(f"“{text}” is not an area.", hint="Write one such as 3 cm2.")
    value = float(match.group(1).replace(",", ".")) * _AREA_UNITS[match.group(2) or "cm"]
    return _within(value, 1e-7, 0.05, text, "0.1 mm² to 500 cm²")


def parse_hook(text: str) -> int:
    """A hook size as a number that falls as hooks grow: 14 is 14, 1 is 1, 1/0 is 0, 2/0 is -1."""
    match = _HOOK.match(text)
    if match is None:
        raise Unreadable(f"“{text}” is not a hook size.", hint="Write one such as 14 or 2/0.")
    size = int(match.group(1))
    number = 1 - size if match.group(2) else size
    if not -9 <= number <= 26 or size == 0:
        raise OutOfRange(
            f"Hook size “{text}” is outside 26 to 10/0.", hint="Enter a size from 26 to 10/0."
        )
    return number
