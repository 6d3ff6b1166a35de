"""The picture of a search: every leader that serves and is beaten by none, by the first wish
against knots, or against how hard it must be thrown."""

from collections.abc import Sequence
from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.search.demands import Demands, Wish
from nine_knots.core.search.diverse_pick import Pick
from nine_knots.core.search.evaluated import Evaluated

ROOM = 0.08  # of an axis, left beyond its ends
MOST_MARKS = 7


@dataclass(frozen=True, slots=True)
class Mark:
    """A place on an axis with its figure."""

    at: float
    text: str


@dataclass(frozen=True, slots=True)
class Axis:
    """One axis: what it shows, from where to where, its marks."""

    title: str
    low: float
    high: float
    marks: tuple[Mark, ...]


@dataclass(frozen=True, slots=True)
class Point:
    """A leader in the picture; ``card`` is its place in the dozen, if it has one."""

    x: float
    y: float
    card: int | None


@dataclass(frozen=True, slots=True)
class FoundPicture:
    """Points between two axes."""

    across: Axis
    up: Axis
    points: tuple[Point, ...]


def picture_of(
    front: Sequence[Evaluated], dozen: tuple[Pick, ...], demands: Demands, units: Units
) -> FoundPicture | None:
    """The picture; None where nothing serves."""
    if not front:
        return None
    up: Wish = demands.wishes[0] if demands.wishes else "long and fine"
    across: Wish = "easy to throw" if up == "few knots" else "few knots"
    places = {id(chosen.one): number for number, chosen in enumerate(dozen)}
    shown = [*front, *(c.one for c in dozen if all(c.one is not item for item in front))]
    points = tuple(
        Point(_value(item, across), _value(item, up), places.get(id(item))) for item in shown
    )
    return FoundPicture(
        across=_axis(across, [point.x for point in points], units),
        up=_axis(up, [point.y for point in points], units),
        points=points,
    )


def _value(evaluated: Evaluated, wish: Wish) -> float:
    """A leader's figure by a wish, as it is shown."""
    return {
        "easy to throw": evaluated.speed_margin or 1.0,
        "fishing well": 50.0 * evaluated.by("fishing well"),
        "strong": evaluated.table.hold_times,
        "long and fine": evaluated.table.leader.length_m,
        "few knots": float(evaluated.table.knots),
    }[wish]


TITLES: dict[Wish, str] = {
    "easy to throw": "Your stroke over the minimum that opens it",
    "fishing well": "How near the middle of the wanted band it fishes",
    "strong": "What it holds over what the day may demand",
    "long and fine": "Length",
    "few knots": "Number of knots",
}
STEPS: dict[Wish, tuple[float, ...]] = {
    "easy to throw": (0.05, 0.1, 0.2, 0.5, 1.0),
    "fishing well": (5.0, 10.0, 20.0, 50.0),
    "strong": (0.2, 0.5, 1.0, 2.0, 5.0),
    "few knots": (1.0, 2.0, 5.0),
}


def _axis(wish: Wish, values: list[float], units: Units) -> Axis:
    low, high = min(values), max(values)
    room = max(ROOM * (high - low), {"few knots": 0.5, "fishing well": 2.0}.get(wish, 0.05))
    low, high = low - room, high + room
    unit_m = 1.0 if units.system == "metric" else FOOT_M
    of_wish = STEPS.get(wish, tuple(unit_m * item for item in (0.5, 1.0, 2.0, 5.0)))
    step = next((item for item in of_wish if (high - low) / item <= MOST_MARKS), of_wish[-1])
    first = int(low // step) + 1
    marks = tuple(
        Mark(step * number, _text(wish, step * number, units))
        for number in range(first, int(high // step) + 1)
    )
    return Axis(TITLES[wish], low, high, marks)


def _text(wish: Wish, value: float, units: Units) -> str:
    if wish == "long and fine":
        return units.length(value).text
    if wish == "few knots":
        return f"{value:.0f}"
    if wish == "fishing well":
        return f"{value:.0f} %"
    return f"{value:.1f} ×" if wish == "strong" else f"{value:.2g} ×"
