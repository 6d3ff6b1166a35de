"""The leader under a growing pull: every element's spread, what has broken by when, some pulls."""

from dataclasses import dataclass
from math import gamma, log
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.failure_report import break_of
from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.mechanics.weakest_link import weibull_shape
from nine_knots.core.strength.elements import Hold, StrengthElement, hold_of
from nine_knots.core.strength.stretch import compliance_m_n
from nine_knots.words.facts import Fact
from nine_knots.words.failure_report import break_place, left_words, lost_words
from nine_knots.words.hold_facts import facts
from nine_knots.words.record_rule import RuleLine, record_lines

Array = NDArray[np.float64]

LIKELY = (0.05, 0.95)  # shares between which an element's band lies
POINTS = 80  # loads at which the pull is read
SPECIMENS = 24  # like leaders pulled, one after another
SEED = 9  # the same leader breaks in the same order each time it is looked at
IN_FIGURES = ((0.005, "none in 200"), (0.995, "all but one in 200"))


@dataclass(frozen=True, slots=True)
class ElementBand:
    """Where one piece or one side of a joint breaks: nine times in ten between low and high."""

    what: Literal["piece", "joint"]
    index: int
    from_m: float
    to_m: float
    low_n: float
    mean_n: float
    high_n: float
    text: str


@dataclass(frozen=True, slots=True)
class PullPoint:
    """The leader at one pull: the share of like leaders that would have broken, its stretch."""

    load: Quantity
    broken: float
    text: str


@dataclass(frozen=True, slots=True)
class PulledSpecimen:
    """One like leader pulled until it broke."""

    load: Quantity
    at_m: float
    words: str


@dataclass(frozen=True, slots=True)
class HoldReading:
    """The Hold stage in figures, from the same elements as the hold cord and lane."""

    mean: Quantity
    low: Quantity
    top_n: float
    need: Quantity
    bands: tuple[ElementBand, ...]
    points: tuple[PullPoint, ...]
    specimens: tuple[PulledSpecimen, ...]
    facts: tuple[Fact, ...]
    record: tuple[RuleLine, ...]


def hold_reading(
    design: Design,
    soaked: bool,
    record: bool,
    units: Units,
    own: tuple[PulledKnot, ...] = (),
) -> HoldReading:
    """Pull a design's leader apart; ``record`` also checks it against the record rule."""
    leader = design.leader
    hold = hold_of(leader, soaked, own)
    shapes = np.array([weibull_shape(e.spread) for e in hold.elements])
    scales = np.array(
        [e.mean_n / gamma(1.0 + 1.0 / k) for e, k in zip(hold.elements, shapes, strict=True)]
    )
    quantiles = [scales * (-log(1.0 - share)) ** (1.0 / shapes) for share in LIKELY]
    top_n = 2.2 * hold.mean_n
    loads = np.linspace(0.0, 1.6 * hold.mean_n, POINTS + 1)
    broken = 1.0 - np.exp(-((loads[:, None] / scales) ** shapes).sum(axis=1))
    give = compliance_m_n(leader)
    told = facts(design, hold, units, own)
    return HoldReading(
        mean=units.load(hold.mean_n),
        low=units.load(hold.low_n),
        top_n=top_n,
        need=told.need,
        bands=tuple(
            _band(leader, element, float(low), float(high), units)
            for element, low, high in zip(hold.elements, *quantiles, strict=True)
        ),
        points=tuple(
            _point(give, float(load), float(share), units)
            for load, share in zip(loads, broken, strict=True)
        ),
        specimens=_specimens(leader, hold, scales, shapes, units),
        facts=told.lines,
        record=record_lines(leader, units) if record else (),
    )


def _band(
    leader: Leader, element: StrengthElement, low_n: float, high_n: float, units: Units
) -> ElementBand:
    places = leader.joints_at_m
    at = places[element.index]
    chance = f"{element.chance:.0%}" if element.chance >= 0.005 else "hardly ever"
    return ElementBand(
        what=element.what,
        index=element.index,
        from_m=at,
        to_m=places[element.index + 1] if element.what == "piece" else at,
        low_n=low_n,
        mean_n=element.mean_n,
        high_n=high_n,
        text=f"{break_place(break_of(element, leader)).capitalize()}: {units.load(low_n).text} to "
        f"{units.load(high_n).text}, goes first {chance}",
    )


def _point(give_m_n: float, load_n: float, share: float, units: Units) -> PullPoint:
    if share <= IN_FIGURES[0][0]:
        gone = IN_FIGURES[0][1]
    elif share >= IN_FIGURES[1][0]:
        gone = IN_FIGURES[1][1]
    else:
        gone = f"{max(1, round(100 * share))} in 100"
    load, stretch = units.load(load_n), units.length(load_n * give_m_n).text
    text = f"{load.text}: {gone} would have broken; stretched by {stretch}."
    return PullPoint(load=load, broken=share, text=text)


def _specimens(
    leader: Leader,
    hold: Hold,
    scales: Array,
    shapes: Array,
    units: Units,
) -> tuple[PulledSpecimen, ...]:
    draws = np.random.default_rng(SEED).weibull(shapes, size=(SPECIMENS, shapes.size)) * scales
    broken = [(int(draw.argmin()), units.load(float(draw.min()))) for draw in draws]
    parted = {number for number, _ in broken}
    ends = {number: _end_of(hold.elements[number], leader, units) for number in parted}
    pulled = []
    for number, load in broken:
        at_m, place, costs = ends[number]
        pulled.append(PulledSpecimen(load, at_m, f"Broke {place} at {load.text}: {costs}."))
    return tuple(pulled)


def _end_of(first: StrengthElement, leader: Leader, units: Units) -> tuple[float, str, str]:
    """Where a leader parts at an element, in metres and in words, and what that costs."""
    broken = break_of(first, leader)
    lost, left = lost_words(broken, units), left_words(broken, units)
    return broken.at_m, break_place(broken), f"lost is {lost}, {left}"
