"""A dry fly on the surface: how long slack keeps it from dragging, and how supple a tippet is."""

from dataclasses import dataclass
from math import sqrt

from scipy.integrate import quad
from scipy.optimize import brentq

from nine_knots.core.errors import CannotCompute
from nine_knots.core.situation import Water, WaterKind

# How much currents between angler and fly differ, as a share of the pace, and the width in metres
# of a lane of one pace, by the kind of water [G].
DIFFERS: dict[WaterKind, float] = {
    "pocket water": 0.3,
    "riffle": 0.25,
    "run": 0.2,
    "glide": 0.12,
    "pool": 0.15,
}
LANE_M: dict[WaterKind, float] = {"pocket water": 0.5, "riffle": 0.8, "run": 1.2}
USUAL_DIFFERS, USUAL_LANE_M = 0.1, 1.8
MICRO_M_S = 0.1  # of slip, at which suppleness is compared


@dataclass(frozen=True, slots=True)
class Drag:
    """How long slack keeps a dry fly free: seconds along the stream and across a lane, and inputs.

    None where no currents differ.
    """

    slack_m: float
    differs_m_s: float
    lane_m: float
    along_s: float | None
    across_s: float | None

    @property
    def free_s(self) -> float | None:
        """The smaller of the two."""
        times = [t for t in (self.along_s, self.across_s) if t is not None]
        return min(times) if times else None


def drag_of(water: Water, slack_m: float, differs_m_s: float | None = None) -> Drag:
    """A dry fly's free drift in this water with so much slack, in m."""
    differs = differs_m_s or DIFFERS.get(water.kind, USUAL_DIFFERS) * water.pace_m_s
    lane = LANE_M.get(water.kind, USUAL_LANE_M)
    if differs < 1e-3:
        return Drag(slack_m, 0.0, lane, None, None)
    return Drag(
        slack_m,
        differs,
        lane,
        along_s(slack_m, differs),
        across_s(lane, slack_m, differs),
    )


def along_s(slack_m: float, difference_m_s: float) -> float:
    """Seconds until slack that lies along the stream is used up by a difference of speeds."""
    _positive(difference_m_s)
    return slack_m / difference_m_s


def belly_m(lane_m: float, slack_m: float) -> float:
    """Belly in metres of a parabola of arc ``lane_m`` + ``slack_m`` over a lane of that width."""
    if lane_m <= 0.0 or slack_m < 0.0:
        raise CannotCompute("A lane has a width, and slack is not negative.", where="lane_m")
    if slack_m == 0.0:
        return 0.0

    def surplus(belly: float) -> float:
        slope = 8.0 * belly / lane_m**2
        arc, _ = quad(lambda x: sqrt(1.0 + (slope * x) ** 2), 0.0, 0.5 * lane_m)
        return 2.0 * arc - lane_m - slack_m

    return float(brentq(surplus, 0.0, lane_m + slack_m, xtol=1e-9))


def across_s(lane_m: float, slack_m: float, difference_m_s: float) -> float:
    """Seconds until slack that lies across a faster lane is bellied out."""
    _positive(difference_m_s)
    return belly_m(lane_m, slack_m) / difference_m_s


def bending_length_m(bend_nm2: float, drag_n_m: float) -> float:
    """Length in metres over which a tippet yields to a drag per length, (8EI/q)^⅓."""
    _positive(drag_n_m)
    return float((8.0 * bend_nm2 / drag_n_m) ** (1.0 / 3.0))


def _positive(value: float) -> None:
    if value <= 0.0:
        raise CannotCompute(
            "Where nothing pulls, nothing is used up.",
            where="difference",
            mend="Give a difference.",
        )
