"""A cast: the rig launched as a loop at an aim, flown, and the aim trimmed to open low."""

from dataclasses import dataclass
from math import cos, pi, radians, sin

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.patience import still_wanted
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.models.cast.rig import Rig
from nine_knots.core.models.cast.stroke import (
    DROP_AFTER_S,
    DROP_FOR_S,
    DROP_HIGHER_DEG,
    DROP_M_S,
    LOWER_LEG_M,
    NOT_MODELLED,
    ROD_TIP_M,
    Stroke,
)
from nine_knots.core.physics import flight
from nine_knots.core.physics.air import Air
from nine_knots.core.physics.chain import Chain

Array = NDArray[np.float64]

FRAME_S = 1.0 / 60.0
MOST_FRAMES = 200
LONGEST_S = 3.2
LONGEST_STEP_S = 4e-3
MOST_NODE_STEPS = 10_000_000  # about a third of a second; a usual full cast takes 250,000
OPENS_AT_M = 0.25  # above the water, where an aim is trimmed to let the leader straighten
AIMS = (-4.0, 24.0)  # degrees
FIRST_AIM = 4.0
AIM_STEPS = 6
BOLD_DEG = 3.0
NEAR_M = 0.06  # of OPENS_AT_M, at which an aim is good enough
DEGREES_PER_M = 6.0  # of aim for a metre of height, where two casts have not yet told it


@dataclass(frozen=True)
class Flight:
    """What a cast did, SI units; ``frames`` (k, n, 2) are every ``FRAME_S``, the last the landing.

    ``arrival_m_s`` is None where the leader never opened to four fifths.
    """

    aim_deg: float
    arrival_m_s: float | None
    straightness: float
    opened_at_s: float
    height_m: float
    slack_m: float
    passing_j: Array
    launch_j: Array
    frames: Array
    steps: int
    landed: bool


def launched(rig: Rig, stroke: Stroke, aim_deg: float) -> tuple[Array, Array]:
    """Positions and velocities (n, 2) at the stop of the rod.

    A still lower leg forward of the rod's tip, a semicircle of the loop's size, the rest straight
    back above it at the stroke's speed; the loop rolls at half that speed. All is turned up by
    the aim.
    """
    along = np.concatenate([[0.0], np.cumsum(rig.rest)])
    radius = stroke.loop_m / 2.0
    angle = np.clip((along - LOWER_LEG_M) / radius, 0.0, pi)
    back = np.maximum(0.0, along - LOWER_LEG_M - pi * radius)
    x = np.minimum(along, LOWER_LEG_M) + radius * np.sin(angle) - back
    y = radius * (1.0 - np.cos(angle))
    half = stroke.speed_m_s / 2.0
    u, v = half * (1.0 - np.cos(angle)), -half * np.sin(angle)
    c, s = cos(radians(aim_deg)), sin(radians(aim_deg))
    place = np.stack([c * x - s * y, s * x + c * y + ROD_TIP_M], axis=1)
    speed = np.stack([c * u - s * v, s * u + c * v], axis=1)
    return place, speed


def prepared(rig: Rig, stroke: Stroke) -> Chain:
    """The rig as a chain; CannotCompute for strokes not modelled and for too little line."""
    if stroke.kind in NOT_MODELLED:
        raise CannotCompute(
            f"A {stroke.kind} cast is not modelled yet.",
            where="stroke.kind",
            mend="Ask for an overhead cast.",
        )
    if rig.length_m < LOWER_LEG_M + pi * stroke.loop_m / 2.0 + 0.5:
        raise CannotCompute(
            f"{rig.length_m:.1f} m ({rig.length_m / FOOT_M:.0f} ft) of line and leader make no "
            f"loop of {stroke.loop_m:.1f} m ({stroke.loop_m / FOOT_M:.0f} ft).",
            where="stroke.line_out_m",
            mend="Let more line out, or throw a smaller loop.",
        )
    # links across the loop are chords of it: they begin at the length they are laid out with
    laid = np.hypot(*np.diff(launched(rig, stroke, 0.0)[0], axis=0).T)
    held = np.zeros(rig.mass.size)
    held[0] = 1.0
    return Chain(laid, rig.mass, rig.stretch, rig.bend, rig.thick, rig.body, held, rig.leader)


def forward_of(rig: Rig, chain: Chain, stroke: Stroke, air: Air, aim_deg: float) -> float:
    """How far the leader opens forward, of its length, in a throw that ends once that is known.

    What the model cannot follow counts as not opening.
    """
    still_wanted()
    place, speed = launched(rig, stroke, aim_deg)
    flown = flight.Flown(np.zeros((0, rig.mass.size, 2)), np.zeros(rig.rest.size))
    limits = _limits(rig)
    return float(flight.fly(chain, place, speed, air, limits, flown)[flight.FORWARD])


def _limits(rig: Rig, stroke: Stroke | None = None) -> flight.Limits:
    """Of a whole cast by a stroke; without one, of a throw that only asks whether it opens."""
    steps = MOST_NODE_STEPS // rig.mass.size
    limits = flight.Limits(LONGEST_S, LONGEST_STEP_S, steps, FRAME_S, only_opening=stroke is None)
    if stroke is None or not stroke.drop:
        return limits
    return limits._replace(drop_m_s=DROP_M_S, drop_after_s=DROP_AFTER_S, drop_for_s=DROP_FOR_S)


def cast_at(rig: Rig, stroke: Stroke, air: Air, aim_deg: float) -> Flight:
    """One cast at one aim; CannotCompute where the model cannot follow it."""
    chain = prepared(rig, stroke)
    still_wanted()
    place, speed = launched(rig, stroke, aim_deg)
    energy = 0.5 * rig.mass * (speed**2).sum(axis=1)
    launch_j = energy[::-1].cumsum()[::-1][1:]
    flown = flight.Flown(np.zeros((MOST_FRAMES, rig.mass.size, 2)), np.zeros(rig.rest.size))
    out = flight.fly(chain, place, speed, air, _limits(rig, stroke), flown)
    if out[flight.ENDED] in (flight.TOO_MANY_STEPS, flight.LENGTH_LOST):
        raise CannotCompute(
            "This rig moves too violently for the cast model to follow.",
            where="leader",
            mend="A very heavy fly on a very fine, short piece does this: lengthen or thicken it.",
        )
    chord = float(np.hypot(*(place[-1] - place[rig.leader])))
    return Flight(
        aim_deg=aim_deg,
        arrival_m_s=float(out[flight.ARRIVAL]) or None,
        straightness=float(out[flight.STRAIGHTEST]),
        opened_at_s=float(out[flight.STRAIGHTEST_AT]),
        height_m=float(out[flight.HEIGHT]),
        slack_m=rig.leader_m - chord,
        passing_j=flown.passing,
        launch_j=launch_j,
        frames=flown.frames[~np.isnan(flown.frames[:, 0, 0])],
        steps=int(out[flight.STEPS]),
        landed=bool(out[flight.ENDED] == flight.LANDED),
    )


def cast_aimed(
    rig: Rig,
    stroke: Stroke,
    air: Air,
    first_deg: float = FIRST_AIM,
    most: int = AIM_STEPS,
    near_m: float = NEAR_M,
) -> Flight:
    """The cast whose aim lets the leader straighten about a quarter metre above the water.

    At most ``most`` casts from ``first_deg``: outward until one opens too low and one too high,
    then between them, until one is within ``near_m`` of that height. Where the
    height cannot be had (a leader that collapses, a wind that lifts), the one that opens best is
    answered, as a caster would throw it. A stop and drop is aimed so much higher than that.
    """
    if stroke.drop:
        flat = stroke.model_copy(update={"drop": False})
        aim = cast_aimed(rig, flat, air, first_deg, most, near_m).aim_deg
        return cast_at(rig, stroke, air, min(AIMS[1], aim + DROP_HIGHER_DEG))
    best, low, high, aim = None, None, None, first_deg
    for _ in range(most):
        found = cast_at(rig, stroke, air, aim)
        miss = found.height_m - OPENS_AT_M
        if best is None or _fault(found) < _fault(best):
            best = found
        if abs(miss) < near_m:
            break
        if miss < 0.0:
            low = (aim, miss)
        else:
            high = (aim, miss)
        aim = _next_aim(low, high)
        if not AIMS[0] <= aim <= AIMS[1]:
            break
    assert best is not None
    return best


def _fault(flight: Flight) -> float:
    """How far a cast is from opening wholly at the height wanted: metres, and what lacks of 1."""
    return abs(flight.height_m - OPENS_AT_M) + 1.0 - flight.straightness


def _next_aim(low: tuple[float, float] | None, high: tuple[float, float] | None) -> float:
    """Between an aim that was too low and one too high, or further out from the only one known.

    Each is an aim in degrees with how far it missed, in metres. A leader that touches the water
    before it opens does not tell by how much it was too low, so the step out is a bold one.
    """
    if low is not None and high is not None:
        (below, under), (above, over) = low, high
        share = min(0.8, max(0.2, -under / (over - under)))
        return below + share * (above - below)
    if low is not None:
        return low[0] + BOLD_DEG
    assert high is not None
    return high[0] - max(0.6, min(BOLD_DEG, DEGREES_PER_M * high[1]))
