"""Slack line on moving water: how long it lasts, and the length over which line yields."""

from math import sqrt

import scipy

from nine_knots.core.base.errors import CannotCompute


def along_s(slack_m: float, difference_m_s: float) -> float:
    """Seconds until slack that lies along the stream is used up by a difference of speeds.

    >>> along_s(0.25, 0.2)
    1.25
    """
    _positive(difference_m_s)
    return slack_m / difference_m_s


def belly_m(lane_m: float, slack_m: float) -> float:
    """Belly in metres of a parabola of arc ``lane_m`` + ``slack_m`` over a lane of that width.

    >>> round(belly_m(1.2, 0.25), 3)
    0.364
    """
    if lane_m <= 0.0 or slack_m < 0.0:
        raise CannotCompute("A lane needs a width, and slack can't be negative.", where="lane_m")
    if slack_m == 0.0:
        return 0.0

    def surplus(belly: float) -> float:
        slope = 8.0 * belly / lane_m**2
        arc, _ = scipy.integrate.quad(lambda x: sqrt(1.0 + (slope * x) ** 2), 0.0, 0.5 * lane_m)
        return 2.0 * arc - lane_m - slack_m

    return float(scipy.optimize.brentq(surplus, 0.0, lane_m + slack_m, xtol=1e-9))


def across_s(lane_m: float, slack_m: float, difference_m_s: float) -> float:
    """Seconds until slack that lies across a faster lane is bellied out.

    >>> round(across_s(1.2, 0.25, 0.2), 2)
    1.82
    """
    _positive(difference_m_s)
    return belly_m(lane_m, slack_m) / difference_m_s


def bending_length_m(bend_nm2: float, drag_n_m: float) -> float:
    """Length in metres over which a tippet yields to a drag per length, (8EI/q)^⅓.

    >>> round(1e3 * bending_length_m(4.6e-8, 0.05), 1)  # mm
    19.5
    """
    _positive(drag_n_m)
    return float((8.0 * bend_nm2 / drag_n_m) ** (1.0 / 3.0))


def _positive(value: float) -> None:
    if value <= 0.0:
        raise CannotCompute(
            "Without a speed difference, no slack is used up.",
            where="difference",
            hint="Enter a speed difference.",
        )
