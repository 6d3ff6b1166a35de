"""A leader that was cast and fished, and how it stands against demands and wishes."""

from dataclasses import dataclass
from math import log

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.assessor import Assessor, FishedScores
from nine_knots.core.assess.changed_casts import WIND_OFF_M_S
from nine_knots.core.assess.sensitivity import STROKE_OFF
from nine_knots.core.assess.turnover import wanted_margin_band
from nine_knots.core.base.score import BAND_HIGH, Score
from nine_knots.core.casting.minimum_speed import (
    MinimumLaunchSpeed,
    opens_at,
    opens_roughly_at,
)
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.search.demands import WISHES, Wish
from nine_knots.core.search.standing_leader import (
    SEEN_EASE,
    SEEN_FISHING,
    SEEN_HOLD,
    SEEN_KNOTS,
    SEEN_LENGTH,
    UncastLeader,
)

Axes = NDArray[np.float64]

SLOWER = 1.0 - STROKE_OFF
"""A worse cast than the stroke chosen, which a leader must bear too in more wind: without such a
margin what is found stands on a cliff [M]."""
EASY = 0.8  # of the way through the band, by its logarithm, beyond which nothing is easier
FAR_FROM_IT = 0.35  # of a margin, beyond which the worse cast opens any leader (tests/core)
ON_THE_EDGE = 0.3  # steps short of opening, where only the worse cast does not open
SEEN: Axes = np.array([SEEN_EASE, SEEN_FISHING, SEEN_HOLD, SEEN_LENGTH, SEEN_KNOTS])
"""What one would notice of each wish, in the order of WISHES."""


@dataclass(frozen=True, slots=True)
class Evaluated:
    """A leader with all its measures, its place by the wishes (more is better, in the order of
    WISHES), and how far it falls short of each demand. ``speed_margin`` is None where its
    fly is thrown and not a line, ``margin`` the logarithm of the reserve over the least wanted;
    ``origin`` the
    school it was built by, if any; ``rough`` where it was only roughly cast."""

    table: UncastLeader
    origin: str
    fished: FishedScores
    speed_margin: float | None
    margin: float
    measures: tuple[Score, ...]
    axes: Axes
    short: dict[str, float]
    rough: bool = False

    @property
    def serves(self) -> bool:
        """Whether it meets every demand."""
        return not any(self.short.values())

    @property
    def falls_short(self) -> float:
        """How far from meeting all of them, in steps that one would notice."""
        return sum(self.short.values())

    def by(self, wish: Wish) -> float:
        """Its place by one wish."""
        return float(self.axes[WISHES.index(wish)])


def evaluate_candidate(
    table: UncastLeader,
    origin: str,
    reader: Assessor,
    stroke: Stroke,
    near: FishedScores | None,
    rough: bool = False,
) -> Evaluated:
    """Cast it and fish it; CannotCompute where a model cannot follow it. With ``rough`` it is cast
    by comparison with the leader ``near``: enough to see what it promises."""
    if rough and near is not None:
        read = reader.roughly_fished(table.leader, stroke, near)
    else:
        read, rough = reader.fished(table.leader, stroke, near.minimum if near else None), False
    turnover, *in_the_water = read.measures
    low, high = wanted_margin_band(table.leader, reader.day, reader.angler.cast)
    speed_margin, margin, short = None, EASY * log(high / low), _off_the_band(turnover) / SEEN_EASE
    if read.minimum is not None:
        speed_margin = read.minimum.margin(stroke)
        margin = log(speed_margin / low)
        short = max(0.0, log(low / speed_margin), log(speed_margin / high)) / SEEN_EASE
        if not short and margin < FAR_FROM_IT:
            like = read.minimum if rough else None
            opens = margin > -log(SLOWER) and _opens_worse(table, reader, stroke, low, like)
            short = 0.0 if opens else ON_THE_EDGE
    fishing = sum(1.0 - abs(score.position - 0.5) / (BAND_HIGH - 0.5) for score in in_the_water)
    axes = axes_of(table, margin, fishing, log(high / low))
    fishes = max((_off_the_band(score) for score in in_the_water), default=0.0) / SEEN_FISHING
    shorts = {"opens": short, "fishes": fishes, **table.short}
    return Evaluated(
        table,
        origin,
        read,
        speed_margin,
        margin,
        (*read.measures, *table.measures),
        axes,
        shorts,
        rough and read.minimum is not None,
    )


def axes_of(table: UncastLeader, margin: float, fishing: float, band: float) -> Axes:
    """A leader's place by the wishes; ``band`` is the logarithm of the highest reserve wanted over
    the lowest."""
    easy = min(margin, EASY * band)
    return np.array([easy, fishing, table.strong, table.stealthy, table.few])


def _off_the_band(measure: Score) -> float:
    """How far beyond its band a measure stands, in halves of the band."""
    if measure.status == "right":
        return 0.0
    return max(0.05, abs(measure.position - 0.5) / (BAND_HIGH - 0.5) - 1.0)


def _opens_worse(
    table: UncastLeader,
    reader: Assessor,
    stroke: Stroke,
    low: float,
    like: MinimumLaunchSpeed | None,
) -> bool:
    """Whether it opens as is wanted in a somewhat worse cast and wind; roughly, at the aim of one
    ``like`` it, where that is given."""
    air = air_of(reader.day.wind, reader.gust)
    worse = air._replace(wind_m_s=air.wind_m_s - WIND_OFF_M_S)
    speed, rig = SLOWER * stroke.speed_m_s / low, reader.rig(table.leader, stroke)
    if like is not None:
        return opens_roughly_at(speed, rig, stroke, worse, like)
    return opens_at(speed, rig, stroke, worse)
