"""Fly lines by standard weight, solved to diameter, mass and bend along the first 30 ft."""

from functools import lru_cache
from math import log, pi
from typing import Literal

import scipy
from pydantic import Field, model_validator

from nine_knots.core.base.limits import Title
from nine_knots.core.base.units.factors import FOOT_M, GRAIN_KG, INCH_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.tackle.backing import Backing
from nine_knots.core.domain.tackle.sink_classes import SINK_CLASS_M_S
from nine_knots.core.mechanics.thin_line import sinking_density_kg_m3

# Grains in the first 30 ft [S: AFFTA2004, figures M].
GRAINS = {
    1: 60,
    2: 80,
    3: 100,
    4: 120,
    5: 140,
    6: 160,
    7: 185,
    8: 210,
    9: 240,
    10: 280,
    11: 330,
    12: 380,
    13: 450,
    14: 500,
}
HEAD_M = 30.0 * FOOT_M
FLOATING_DENSITY = 870.0  # kg/m³ [M]
DENSEST_COATING = 3700.0  # kg/m³: about what a 1.05 mm line sinking 7 in/s has [M]
RUNNING_M = 0.030 * INCH_M  # [M]
LEVEL_TIP_M = 0.15
THINNEST_M, THICKEST_M = 5e-4, 4e-3  # of a head, on the mean
LEVEL = 1.01  # times its tip's diameter, below which a belly makes no taper
MOST_TAPER = 0.6  # of a head's length
FRONT_TAPER_M = {"short": 4.5 * FOOT_M, "standard": 6.5 * FOOT_M, "long": 10.0 * FOOT_M}  # [M]
TIP_BEND_NM2, TIP_BEND_AT_M = 3e-6, 0.035 * INCH_M  # [G: 2 to 4e-6], as the fourth power of d

Sinking = Literal[
    "floating",
    "intermediate",
    "sink-1",
    "sink-2",
    "sink-3",
    "sink-4",
    "sink-5",
    "sink-6",
    "sink-7",
]


class FlyLine(Frozen):
    """A fly line as it is sold: weight, how heavy for it, how it sinks, taper and tip."""

    title: Title
    weight: int = Field(ge=1, le=14)
    half_sizes_heavy: int = Field(default=0, ge=0, le=2, description="above the standard")
    sinking: Sinking = "floating"
    front_taper: Literal["short", "standard", "long"] = "standard"
    tip: Literal["loop", "bare"] = "loop"
    sink_tip_m: float | None = Field(
        default=None, ge=0.5, le=9.0, description="so much of a floating line's tip sinks"
    )
    tip_bend_nm2: float | None = Field(
        default=None, gt=1e-8, lt=1e-3, description="the angler's own, from a droop test"
    )
    tip_by: MeasuredSpread | None = Field(default=None, description="of that test, by its readings")
    belly_bend_nm2: float | None = Field(
        default=None,
        gt=1e-8,
        lt=1e-2,
        description="the angler's own, from a droop test of its belly",
    )
    belly_by: MeasuredSpread | None = Field(
        default=None, description="of that test, by its readings"
    )
    head_kg: float | None = Field(
        default=None, ge=0.002, le=0.06, description="of the head, where it is known"
    )
    head_m: float | None = Field(default=None, ge=2.0, le=20.0, description="length of the head")
    level_m: float | None = Field(
        default=None, ge=3e-4, le=1.5e-3, description="diameter of a level line without taper"
    )

    backing: Backing | None = Field(default=None, description="behind it on the reel, if known")

    @model_validator(mode="after")
    def _head_or_level(self) -> "FlyLine":
        if (self.head_kg is None) != (self.head_m is None):
            raise ValueError("a head needs both mass and length")
        if self.head_kg is not None and self.head_m is not None:
            mean_m = (4.0 * self.head_kg / (FLOATING_DENSITY * pi * self.head_m)) ** 0.5
            if not THINNEST_M <= mean_m <= THICKEST_M:
                raise ValueError("that mass isn't possible for a head of that length")
        if self.level_m is not None and (self.head_kg is not None or self.sinking != "floating"):
            raise ValueError("a level line floats, and has no head")
        return self


class LineProfile(Frozen):
    """A line from its tip up: level tip, straight front taper, level belly (SI units).

    ``match_bend_nm2`` is the stiffness that butts are matched to: the tip's, but on a sinking line,
    whose thin hard coating says little of the butt it turns over, that of a floating tip of its
    weight, unless the angler measured its droop [P]. Beyond ``head_m`` runs thin running line.
    """

    tip_diameter_m: float
    belly_diameter_m: float
    front_taper_m: float
    density_kg_m3: float
    mass_kg: float
    tip_mass_kg_m: float
    tip_bend_nm2: float
    belly_bend_nm2: float
    match_bend_nm2: float
    head_m: float = 1e3
    sink_tip_m: float = 0.0
    sink_tip_density_kg_m3: float = 0.0

    def density_at(self, s_m: float) -> float:
        """Density in kg/m³ at ``s_m`` from the line's tip: a sink-tip's, or the line's."""
        return self.sink_tip_density_kg_m3 if s_m < self.sink_tip_m else self.density_kg_m3

    def diameter_at_m(self, s_m: float) -> float:
        """Diameter in metres at ``s_m`` from the line's tip; beyond the head, of running line."""
        if s_m > self.head_m:
            return RUNNING_M
        share = min(1.0, max(0.0, (s_m - LEVEL_TIP_M) / self.front_taper_m))
        return self.tip_diameter_m + share * (self.belly_diameter_m - self.tip_diameter_m)

    def bend_at_nm2(self, s_m: float) -> float:
        """Bending stiffness in N·m² at ``s_m`` from the tip: a power of diameter, the fourth where
        only one of tip and belly was measured."""
        thicker = self.diameter_at_m(s_m) / self.tip_diameter_m
        return float(self.tip_bend_nm2 * thicker**self._bend_power)

    @property
    def belly_mass_kg_m(self) -> float:
        """Mass of the belly, in kg/m."""
        return float(self.density_kg_m3 * pi * self.belly_diameter_m**2 / 4.0)

    @property
    def _bend_power(self) -> float:
        thicker = self.belly_diameter_m / self.tip_diameter_m
        if thicker < LEVEL:
            return 4.0
        return log(self.belly_bend_nm2 / self.tip_bend_nm2) / log(thicker)


def standard_mass_kg(line: FlyLine) -> float:
    """Mass of the first 30 ft in kg: the standard's grains, between weights by proportion."""
    low = GRAINS[line.weight]
    high = GRAINS[line.weight + 1] if line.weight < 14 else 2 * low - GRAINS[13]
    return float((low + line.half_sizes_heavy / 2 * (high - low)) * GRAIN_KG)


def _volume_m3(tip_m: float, belly_m: float, taper_m: float, over_m: float = HEAD_M) -> float:
    """Volume of level tip, frustum and level belly making up 30 ft, or a head's length."""
    frustum = pi / 12.0 * taper_m * (tip_m**2 + tip_m * belly_m + belly_m**2)
    belly = pi / 4.0 * belly_m**2 * (over_m - LEVEL_TIP_M - taper_m)
    return pi / 4.0 * tip_m**2 * LEVEL_TIP_M + frustum + belly


def _belly_m(
    mass_kg: float, density: float, tip_m: float, taper_m: float, over_m: float = HEAD_M
) -> float:
    def surplus(belly_m: float) -> float:
        return density * _volume_m3(tip_m, belly_m, taper_m, over_m) - mass_kg

    return float(scipy.optimize.brentq(surplus, 2e-4, 6e-3, xtol=1e-9))


@lru_cache(maxsize=256)
def line_profile(line: FlyLine) -> LineProfile:
    """Solve a line's belly so that its first 30 ft weigh what the standard says, or its head, over
    its length, what it was said to weigh.

    The tip is .035 in, .0015 in more for each weight above 5 [M]. A sinking line's density is
    that at which its belly sinks at its class's speed; its tip keeps the floating line's
    proportion of the belly. Where no coating is dense enough at the standard's mass (fast
    classes in light weights), the line is made thicker, and so heavier than the standard, as
    such lines are.
    """
    if line.level_m is not None:
        return _level(line, line.level_m)
    tip_m = (0.035 + 0.0015 * max(0, line.weight - 5)) * INCH_M
    over_m, mass_kg = line.head_m or HEAD_M, line.head_kg or standard_mass_kg(line)
    taper_m = min(FRONT_TAPER_M[line.front_taper], MOST_TAPER * over_m)
    if _volume_m3(tip_m, tip_m, taper_m, over_m) * FLOATING_DENSITY > mass_kg:
        # A 1- or 2-weight would taper backwards from .035 in: its tip is its belly less a tenth.
        tip_m = 0.9 * (4.0 * mass_kg / (FLOATING_DENSITY * pi * over_m)) ** 0.5
    density, floating_tip_m = FLOATING_DENSITY, tip_m
    belly_m = _belly_m(mass_kg, density, tip_m, taper_m, over_m)
    if line.sink_tip_m is not None and line.sinking != "floating":
        return _with_sink_tip(line)
    if line.sinking != "floating":
        ratio = tip_m / belly_m
        speed = SINK_CLASS_M_S[line.sinking]
        density, belly_m = _sinking_belly(mass_kg, speed, ratio, taper_m, over_m)
        tip_m = ratio * belly_m
        mass_kg = density * _volume_m3(tip_m, belly_m, taper_m, over_m)
    floating_bend = TIP_BEND_NM2 * (floating_tip_m / TIP_BEND_AT_M) ** 4
    tip_bend, belly_bend = _bends_nm2(line, tip_m, belly_m)
    match_bend = tip_bend if line.tip_bend_nm2 or line.sinking == "floating" else floating_bend
    return LineProfile(
        tip_diameter_m=tip_m,
        belly_diameter_m=belly_m,
        front_taper_m=taper_m,
        density_kg_m3=density,
        mass_kg=mass_kg,
        tip_mass_kg_m=density * pi * tip_m**2 / 4.0,
        tip_bend_nm2=tip_bend,
        belly_bend_nm2=belly_bend,
        match_bend_nm2=match_bend,
        head_m=line.head_m or 1e3,
    )


def _bends_nm2(line: FlyLine, tip_m: float, belly_m: float) -> tuple[float, float]:
    """Bending stiffness of tip and belly in N·m²; one that was not measured follows from the other,
    by the fourth power of diameter, and both from a usual tip where neither was."""
    thicker = (belly_m / tip_m) ** 4
    by_belly = line.belly_bend_nm2 and line.belly_bend_nm2 / thicker
    tip_bend = line.tip_bend_nm2 or by_belly or TIP_BEND_NM2 * (tip_m / TIP_BEND_AT_M) ** 4
    return tip_bend, line.belly_bend_nm2 or tip_bend * thicker


def _level(line: FlyLine, across_m: float) -> LineProfile:
    """A level line, such as thin ones for nymphs."""
    area = pi * across_m**2 / 4.0
    bend, _ = _bends_nm2(line, across_m, across_m)
    return LineProfile(
        tip_diameter_m=across_m,
        belly_diameter_m=across_m,
        front_taper_m=FRONT_TAPER_M[line.front_taper],
        density_kg_m3=FLOATING_DENSITY,
        mass_kg=FLOATING_DENSITY * area * HEAD_M,
        tip_mass_kg_m=FLOATING_DENSITY * area,
        tip_bend_nm2=bend,
        belly_bend_nm2=bend,
        match_bend_nm2=bend,
    )


def _with_sink_tip(line: FlyLine) -> LineProfile:
    """The floating line of this weight whose tip sinks at its class's speed, as fast as the
    densest coating lets a tip of that thickness; it is that much heavier."""
    tip_m = line.sink_tip_m
    assert tip_m is not None
    floating = line_profile(line.model_copy(update={"sinking": "floating", "sink_tip_m": None}))
    middle_m = floating.diameter_at_m(0.5 * tip_m)
    asked = sinking_density_kg_m3(middle_m, SINK_CLASS_M_S[line.sinking])
    density = min(DENSEST_COATING, asked)
    volume = pi / 4.0 * middle_m**2 * tip_m
    return floating.model_copy(
        update={
            "mass_kg": floating.mass_kg + (density - floating.density_kg_m3) * volume,
            "tip_mass_kg_m": floating.tip_mass_kg_m * density / floating.density_kg_m3,
            "sink_tip_m": tip_m,
            "sink_tip_density_kg_m3": density,
        }
    )


def _sinking_belly(
    mass_kg: float, sink_m_s: float, ratio: float, taper_m: float, over_m: float = HEAD_M
) -> tuple[float, float]:
    """Density in kg/m³ and belly in metres of a line that sinks so fast, tip ``ratio`` of belly."""

    def belly_of(density: float) -> float:
        # tip and belly go together: the volume is nearly as the square of the belly
        return float(
            scipy.optimize.brentq(
                lambda b: density * _volume_m3(ratio * b, b, taper_m, over_m) - mass_kg,
                1e-4,
                6e-3,
                xtol=1e-10,
            )
        )

    def too_slow(density: float) -> float:
        return sinking_density_kg_m3(belly_of(density), sink_m_s) - density

    if too_slow(DENSEST_COATING) > 0.0:
        belly_m = scipy.optimize.brentq(
            lambda b: sinking_density_kg_m3(b, sink_m_s) - DENSEST_COATING, 1e-4, 6e-3, xtol=1e-10
        )
        return DENSEST_COATING, float(belly_m)
    density = float(scipy.optimize.brentq(too_slow, 1001.0, DENSEST_COATING, xtol=1e-6))
    return density, belly_of(density)
