"""Flies by hook, kind and bulk, with the mass and the air resistance that follow."""

from math import exp
from typing import Literal

import numpy as np
from pydantic import Field

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.base.limits import Title

FlyKind = Literal["dry", "midge", "foam", "emerger", "nymph", "wet", "streamer", "predator"]
Bulk = Literal["slim", "standard", "bushy"]
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

# Kind: share of the hook table's wire, dressing in g per cubed body length (g/cm³), and drag
# area in air over squared body length [G, set so that a size 14 bushy dry has 25 mg and .6 cm²,
# a size 20 midge 5 mg and .15 cm², a size 8 foam dry 120 mg and 3 cm², a small wet streamer 2 g
# and 5 cm², a 10 cm predator streamer 3 g and 8 cm²].
_KINDS = {
    "dry": (0.50, 0.005, 0.50),
    "midge": (0.40, 0.003, 0.62),
    "foam": (0.75, 0.0073, 1.17),
    "emerger": (0.55, 0.008, 0.40),
    "nymph": (1.00, 0.060, 0.185),
    "wet": (0.90, 0.030, 0.35),
    "streamer": (1.00, 0.262, 1.39),
    "predator": (1.00, 0.040, 0.52),
}
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
    bead: Bead | None = None
    weighed_kg: float | None = Field(default=None, gt=0.0, le=0.1)
    drag_area_m2: float | None = Field(default=None, gt=0.0, le=0.05)
    sink_m_s: float | None = Field(
        default=None, ge=0.005, le=3.0, description="the angler's own, from a jar test"
    )
    barbless: bool = False
    tube: bool = Field(default=False, description="tied on a tube, its hook behind")

    @property
    def body_m(self) -> float:
        """Length of the hook's body in metres."""
        return 1e-3 * _by_size(self.hook, _BODY_MM, _BODY_STEP)

    @property
    def wire_kg(self) -> float:
        """Mass in kg of the hook alone, by the table; of a tube fly's shorter one two thirds."""
        grams = _KINDS[self.kind][0] * _by_size(self.hook, _WIRE_G, _WIRE_STEP)
        return 1e-3 * grams * (_TUBE if self.tube else 1.0)

    @property
    def mass_kg(self) -> float:
        """Mass in kg as cast: weighed, or wire, dressing and bead by the tables."""
        if self.weighed_kg is not None:
            return self.weighed_kg
        dressing_g = _KINDS[self.kind][1] * _BULK[self.bulk] * (100.0 * self.body_m) ** 3
        return self.wire_kg + 1e-3 * dressing_g + (self.bead.mass_kg if self.bead else 0.0)

    @property
    def air_drag_area_m2(self) -> float:
        """Drag area in air, C_d A, in m²: the angler's own, or by kind, bulk and body."""
        if self.drag_area_m2 is not None:
            return self.drag_area_m2
        return _KINDS[self.kind][2] * _BULK[self.bulk] * self.body_m**2


def floats_up(fly: Fly) -> bool:
    """Whether a fly is dressed to float."""
    return fly.kind in FLOATERS and fly.bead is None


def _by_size(hook: int, table: np.ndarray, step: float) -> float:
    if hook < _SIZES[0]:
        return float(table[0]) * exp(step * float(_SIZES[0] - hook))
    if hook > _SIZES[-1]:
        return float(table[-1]) * exp(-step * float(hook - _SIZES[-1]))
    return float(np.interp(hook, _SIZES, table))
