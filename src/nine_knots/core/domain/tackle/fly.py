"""Flies by hook, kind and bulk, with the mass and the air resistance that follow."""

from functools import cache
from math import exp
from typing import Literal

import numpy as np
from pydantic import Field

from nine_knots.core.base.limits import Title
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.measured import MeasuredSpread

FlyKind = Literal["dry", "midge", "foam", "emerger", "nymph", "wet", "streamer", "predator"]
Bulk = Literal["slim", "standard", "bushy"]
Dressing = Literal["soaks", "sheds"]
Head = Literal["small cone", "medium cone", "large cone", "small eyes", "medium eyes", "large eyes"]
FLOATERS: tuple[FlyKind, ...] = ("dry", "midge", "foam", "emerger")

# Hooks: size, wire in grams, body in millimetres [M ±25 %].
_SIZES = np.array([4, 6, 8, 10, 12, 14, 16, 18])
_WIRE_G = np.array([0.24, 0.17, 0.12, 0.085, 0.060, 0.042, 0.028, 0.018])
_BODY_MM = np.array([24.0, 19.0, 16.0, 13.0, 11.0, 9.0, 7.5, 6.0])
# Beyond the table both go on by the table's own mean growth a size.
_WIRE_STEP, _BODY_STEP = 0.185, 0.099

# Slotted tungsten beads: diameter in mm, grams; brass is .51 of it (.45 of the
# countersunk kind, which is 14 % heavier) [M ±15 %].
_BEAD_MM = np.array([1.5, 2.0, 2.5, 2.8, 3.0, 3.3, 3.8, 4.6])
_BEAD_G = np.array([0.022, 0.051, 0.10, 0.141, 0.173, 0.231, 0.352, 0.624])
_BRASS = 0.51

# A small dressing on a hook: share of the table's wire, dressing in g per cubed body length
# (g/cm³), and drag area in air over squared body length [G, set so that a size 14 bushy dry has
# 25 mg and .6 cm², a size 20 midge 5 mg and .15 cm², a size 8 foam dry 120 mg and 2 cm²].
_SMALL = {
    "dry": (0.50, 0.005, 0.50),
    "midge": (0.40, 0.003, 0.62),
    "foam": (0.75, 0.0073, 0.78),
    "emerger": (0.55, 0.008, 0.40),
    "nymph": (1.00, 0.060, 0.185),
    "wet": (0.90, 0.030, 0.35),
}
_THICKEST_M = 0.02  # a body as thick as that of a hook so long; larger hooks are dressed no thicker
# A long dressing flies along its axis: its mass goes with its length and what it soaks up, its area
# with its thickness. Length over that of the hook's body, at most so long (m), drag area in cm²
# over body length in mm to the power of .8, at most so much (cm²) [M, set so that a soaked
# streamer has .7 g and 2 to 3 cm² on a size 8, 1.2 g and 3.5 cm² on a size 4, a 4-inch baitfish of
# what sheds water 1.2 to 1.5 g, a pike fly of 6 to 8 in 3 to 5 g and 8 cm², a tube fly on a 10/0
# 4 to 6 g].
_LONG = {
    "streamer": (2.6, 0.20, 0.272, 8.0),
    "predator": (3.2, 0.20, 0.36, 8.0),
}
_GROWTH = 0.8
_G_A_CM = {"soaks": 0.145, "sheds": 0.08}  # of dressing as cast, wet [M]
# Weight at the head, in grams: cones, and dumb-bell eyes of lead [M ±20 %].
_HEAD_G = {
    "small cone": 0.2,
    "medium cone": 0.35,
    "large cone": 0.6,
    "small eyes": 0.47,
    "medium eyes": 0.79,
    "large eyes": 1.18,
}
HEAVIEST_KG = 0.015
"""No fly that is cast weighs more [M]."""
_TRAILING = 0.5  # of the hook's wire, a trailing hook and its link [G]
_TUBE = 0.67  # of a long hook's wire, on a tube [G]
_BULK = {"slim": 0.65, "standard": 1.0, "bushy": 1.48}


class Bead(Frozen):
    """A bead at the head of a fly."""

    diameter_mm: float = Field(ge=1.5, le=6.4)
    metal: Literal["tungsten", "brass"] = "tungsten"

    @property
    def mass_kg(self) -> float:
        """Mass in kg: the table's, or by the cube of the diameter beyond it."""
        if self.diameter_mm > _BEAD_MM[-1]:
            grams = float(_BEAD_G[-1]) * (self.diameter_mm / float(_BEAD_MM[-1])) ** 3
        else:
            grams = float(np.interp(self.diameter_mm, _BEAD_MM, _BEAD_G))
        return 1e-3 * grams * (1.0 if self.metal == "tungsten" else _BRASS)


class Fly(Frozen):
    """A fly; hook sizes fall as hooks grow (14, 1, then 0 for 1/0 and -1 for 2/0)."""

    title: Title
    kind: FlyKind
    hook: int = Field(ge=-9, le=26)
    bulk: Bulk = "standard"
    length_m: float | None = Field(
        default=None, ge=0.003, le=0.35, description="of the whole fly, if measured"
    )
    dressing: Dressing | None = Field(default=None, description="whether it sheds or soaks water")
    bead: Bead | None = None
    head: Head | None = None
    trailing_hook: bool = False
    weighed_kg: float | None = Field(default=None, gt=0.0, le=0.1)
    drag_area_m2: float | None = Field(default=None, gt=0.0, le=0.05)
    sink_m_s: float | None = Field(
        default=None, ge=0.005, le=3.0, description="the angler's own, from a jar test"
    )
    sink_by: MeasuredSpread | None = Field(
        default=None, description="of that test, where it was timed"
    )
    barbless: bool = False
    tube: bool = Field(default=False, description="tied on a tube, its hook behind")

    @property
    def body_m(self) -> float:
        """Length of the hook's body in metres."""
        return 1e-3 * _body_mm(self.hook)

    @property
    def is_weighted(self) -> bool:
        """Whether it carries a bead, a cone or eyes."""
        return self.bead is not None or self.head is not None

    @property
    def is_long(self) -> bool:
        """Whether its dressing streams out beyond the hook."""
        return self.kind in _LONG

    @property
    def whole_m(self) -> float:
        """Length of the fly in metres: measured, or by the hook."""
        if self.length_m is not None:
            return self.length_m
        times, most_m, _, _ = _LONG.get(self.kind, (1.0, 1.0, 0.0, 0.0))
        return min(most_m, times * self.body_m)

    @property
    def wire_kg(self) -> float:
        """Mass in kg of the hook alone, by the table; of a tube fly's shorter one two thirds."""
        share = 1.0 if self.is_long else _SMALL[self.kind][0]
        share *= (_TUBE if self.tube else 1.0) + (_TRAILING if self.trailing_hook else 0.0)
        return 1e-3 * share * _wire_g(self.hook)

    @property
    def head_kg(self) -> float:
        """Mass in kg of a bead, and of a cone or eyes at the head."""
        eyes_g = _HEAD_G[self.head] if self.head else 0.0
        return 1e-3 * eyes_g + (self.bead.mass_kg if self.bead else 0.0)

    @property
    def reckoned_kg(self) -> float:
        """Mass in kg as cast, by the tables: wire, dressing with what it soaks up, head."""
        if self.is_long:
            dressing_g = _G_A_CM[self.dressing or "soaks"] * 100.0 * self.whole_m
        else:
            thick_cm = 100.0 * min(self.body_m, _THICKEST_M)
            dressing_g = _SMALL[self.kind][1] * thick_cm**2 * 100.0 * self.whole_m
        return self.wire_kg + 1e-3 * dressing_g * _BULK[self.bulk] + self.head_kg

    @property
    def mass_kg(self) -> float:
        """Mass in kg as cast: weighed, or by the tables."""
        return self.weighed_kg or self.reckoned_kg

    @property
    def air_drag_area_m2(self) -> float:
        """Drag area in air, C_d A, in m²: the angler's own, or by kind, bulk and body."""
        if self.drag_area_m2 is not None:
            return self.drag_area_m2
        if not self.is_long:
            return _SMALL[self.kind][2] * _BULK[self.bulk] * min(self.body_m, _THICKEST_M) ** 2
        _, _, area, most_cm2 = _LONG[self.kind]
        by_thickness = float(area * (1e3 * self.body_m) ** _GROWTH)
        return 1e-4 * _BULK[self.bulk] * min(most_cm2, by_thickness)


def floats_up(fly: Fly) -> bool:
    """Whether a fly is dressed to float."""
    return fly.kind in FLOATERS and fly.bead is None


@cache
def _body_mm(hook: int) -> float:
    return _by_size(hook, _BODY_MM, _BODY_STEP)


@cache
def _wire_g(hook: int) -> float:
    return _by_size(hook, _WIRE_G, _WIRE_STEP)


def _by_size(hook: int, table: np.ndarray, step: float) -> float:
    if hook < _SIZES[0]:
        return float(table[0]) * exp(step * float(_SIZES[0] - hook))
    if hook > _SIZES[-1]:
        return float(table[-1]) * exp(-step * float(hook - _SIZES[-1]))
    return float(np.interp(hook, _SIZES, table))
