"""The own cast as it is shown: each figure before any landing and now, with its spread."""

from dataclasses import dataclass
from math import exp, log

from nine_knots.core.assess.own_cast import Estimate, Landing, OwnCast, estimate
from nine_knots.core.base.units import Units
from nine_knots.core.casting.stroke import SPEEDS

SPEED_AXIS = (8.0, 28.0)  # m/s, ends of the drawing
RESERVE_AXIS = (0.5, 5.0)
WIDE = 0.12  # spread of a logarithm from which a figure is hardly known


@dataclass(frozen=True, slots=True)
class Spread:
    """A figure and one standard deviation to either side, as places from 0 to 1 on its axis."""

    low: float
    middle: float
    high: float


@dataclass(frozen=True, slots=True)
class OwnFigure:
    """One figure of the own cast: what was taken of anybody, and what the landings made of it."""

    title: str
    text: str
    usual: Spread
    now: Spread


@dataclass(frozen=True, slots=True)
class OwnReading:
    """All that landings say, in words and to draw."""

    words: str
    figures: tuple[OwnFigure, ...]


def own_reading(now: Estimate, count: int, units: Units) -> OwnReading:
    """The own cast after ``count`` landings."""
    before = estimate(())
    rows = (
        ("A normal stroke launches at", SPEEDS["normal"], _speed, SPEED_AXIS),
        ("Your leaders pile up below", 1.0, _piles_up, RESERVE_AXIS),
        ("fall soft up to", 1.0, _soft, RESERVE_AXIS),
        ("and lie dead straight above", 1.0, _slams, RESERVE_AXIS),
    )
    figures = []
    for title, scale, part, axis in rows:
        value, spread = part(now)
        low, high = scale * value * exp(-spread), scale * value * exp(spread)
        tell = units.about_speed if axis is SPEED_AXIS else _of_what_it_needs
        text = f"{tell(scale * value)}, likely {tell(low)} to {tell(high)}"
        usual, usual_spread = part(before)
        figures.append(
            OwnFigure(
                title=title,
                text=text,
                usual=_placed(scale * usual, usual_spread, axis),
                now=_placed(scale * value, spread, axis),
            )
        )
    return OwnReading(words=_words(now, count), figures=tuple(figures))


def expected(landing: Landing, own: OwnCast) -> str:
    """How the model would have this leader land, thrown by this angler."""
    speed_margin = exp(landing.usual) * (own.speed_factor if landing.by_word else 1.0)
    if speed_margin < own.piles_up:
        return "piled up"
    if speed_margin < own.soft:
        return "soft"
    return "straight" if speed_margin < own.slams else "slammed"


def _of_what_it_needs(speed_margin: float) -> str:
    return f"{speed_margin:.0%} of the stroke that opens them"


def _words(now: Estimate, count: int) -> str:
    if count == 0:
        return "Nothing is known about your cast yet, so a typical one is used."
    landings = "one landing" if count == 1 else f"{count} landings"
    change = now.own.speed_factor - 1.0
    if abs(change) < 0.02:
        pace = "as fast as most"
    else:
        pace = f"about {abs(change):.0%} {'faster' if change > 0 else 'slower'} than most"
    sure = ", though from few landings so far" if now.soft > WIDE else ""
    return f"From {landings}: you launch {pace}{sure}. Every cast here uses it."


def _speed(item: Estimate) -> tuple[float, float]:
    return item.own.speed_factor, item.speed


def _piles_up(item: Estimate) -> tuple[float, float]:
    return item.own.piles_up, item.piles_up


def _soft(item: Estimate) -> tuple[float, float]:
    return item.own.soft, item.soft


def _slams(item: Estimate) -> tuple[float, float]:
    return item.own.slams, item.slams


def _placed(value: float, spread: float, axis: tuple[float, float]) -> Spread:
    low, high = log(axis[0]), log(axis[1])

    def place(logarithm: float) -> float:
        return min(1.0, max(0.0, (logarithm - low) / (high - low)))

    middle = log(value)
    return Spread(place(middle - spread), place(middle), place(middle + spread))
