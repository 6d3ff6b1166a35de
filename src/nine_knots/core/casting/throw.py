"""A cast: the rig launched as a loop at an aim, and flown."""

from dataclasses import dataclass
from functools import cache
from math import cos, pi, radians, sin

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.casting.rig import Rig
from nine_knots.core.casting.stroke import (
    DROP_AFTER_S,
    DROP_FOR_S,
    DROP_M_S,
    LOWER_LEG_M,
    NOT_MODELLED,
    ROD_TIP_M,
    Stroke,
)
from nine_knots.core.mechanics import flight
from nine_knots.core.mechanics.air import Air
from nine_knots.core.mechanics.chain import Chain

Array = NDArray[np.float64]

FRAME_S = 1.0 / 60.0
MOST_FRAMES = 200
LONGEST_S = 3.2
LOOP_POINTS = 2001
LONGEST_STEP_S = 4e-3
MOST_NODE_STEPS = 10_000_000  # about a third of a second; a usual full cast takes 250,000


@dataclass(frozen=True)
class Flight:
    """What a cast did, SI units; ``frames`` (k, n, 2) are every ``FRAME_S``, the last the landing.

    ``opening`` is how far the leader opened forward and ``straight`` how far it lay forward as the
    fly touched down, both of its length; ``straightness`` its greatest chord in any direction.
    """

    aim_deg: float
    opening: float
    straight: float
    straightness: float
    opened_at_s: float
    passing_j: Array
    launch_j: Array
    frames: Array
    steps: int
    landed: bool


def launched(rig: Rig, stroke: Stroke, aim_deg: float) -> tuple[Array, Array]:
    """Positions and velocities (n, 2) at the stop of the rod.

    A still lower leg forward of the rod's tip, a loop of the stroke's height, the rest straight
    back above it at the stroke's speed; the loop rolls at half that speed. The loop's curvature
    begins and ends at nothing: a jump of it would send short waves along the line. All is turned
    up by the aim.
    """
    along = np.concatenate([[0.0], np.cumsum(rig.rest)])
    share, turn, ahead, above = _loop()
    length = loop_length_m(stroke)
    at = (along - LOWER_LEG_M) / length
    angle = np.interp(at, share, turn)
    back = np.maximum(0.0, along - LOWER_LEG_M - length)
    x = np.minimum(along, LOWER_LEG_M) + length * np.interp(at, share, ahead) - back
    y = length * np.interp(at, share, above)
    half = stroke.speed_m_s / 2.0
    u, v = half * (1.0 - np.cos(angle)), -half * np.sin(angle)
    c, s = cos(radians(aim_deg)), sin(radians(aim_deg))
    place = np.stack([c * x - s * y, s * x + c * y + ROD_TIP_M], axis=1)
    speed = np.stack([c * u - s * v, s * u + c * v], axis=1)
    return place, speed


def loop_length_m(stroke: Stroke) -> float:
    """Length of line in the launch loop, in metres, whose height is the stroke's."""
    return stroke.loop_m / float(_loop()[3][-1])


@cache
def _loop() -> tuple[Array, Array, Array, Array]:
    """A launch loop of unit length: share along it, its turn in radians, and where it is, ahead
    and above of where it begins. θ(u) = π(u - sin 2πu / 2π), of no curvature at either end."""
    share = np.linspace(0.0, 1.0, LOOP_POINTS)
    turn = pi * (share - np.sin(2.0 * pi * share) / (2.0 * pi))
    place = [_integral(part, share[1]) for part in (np.cos(turn), np.sin(turn))]
    return share, turn, place[0], place[1]


def _integral(values: Array, step: float) -> Array:
    """The running integral of evenly spaced values, by trapezia."""
    return np.concatenate([[0.0], np.cumsum(0.5 * step * (values[1:] + values[:-1]))])


def chain_of(rig: Rig, stroke: Stroke) -> Chain:
    """The rig as a chain; CannotCompute for strokes not modelled and for too little line."""
    if stroke.kind in NOT_MODELLED:
        raise CannotCompute(
            f"A {stroke.kind} cast is not modelled yet.",
            where="stroke.kind",
            hint="Use an overhead cast.",
        )
    if rig.length_m < LOWER_LEG_M + loop_length_m(stroke) + 0.5:
        raise CannotCompute(
            f"{rig.length_m:.1f} m ({rig.length_m / FOOT_M:.0f} ft) of line and leader are "
            f"too short for a loop of {stroke.loop_m:.1f} m ({stroke.loop_m / FOOT_M:.0f} ft).",
            where="stroke.line_out_m",
            hint="Let more line out, or throw a smaller loop.",
        )
    # links across the loop are chords of it: they begin at the length they are laid out with
    laid = np.hypot(*np.diff(launched(rig, stroke, 0.0)[0], axis=0).T)
    held = np.zeros(rig.mass.size)
    held[0] = 1.0
    return Chain(
        laid, rig.mass, rig.stretch, rig.bend, rig.friction, rig.thick, rig.body, held, rig.leader
    )


def limits_of(rig: Rig, ends: int, stroke: Stroke | None = None) -> flight.Limits:
    """The limits of a throw that ends at one of ``flight``'s moments; with a stroke's drop."""
    steps = MOST_NODE_STEPS // rig.mass.size
    limits = flight.Limits(LONGEST_S, LONGEST_STEP_S, steps, FRAME_S, ends=ends)
    if stroke is None or not stroke.drop:
        return limits
    return limits._replace(drop_m_s=DROP_M_S, drop_after_s=DROP_AFTER_S, drop_for_s=DROP_FOR_S)


def cast_at(
    rig: Rig, stroke: Stroke, air: Air, aim_deg: float, ends: int = flight.AT_REST
) -> Flight:
    """One cast at one aim, without frames where it ends before the leader is at rest;
    CannotCompute where the model cannot follow it."""
    chain = chain_of(rig, stroke)
    check_cancelled()
    place, speed = launched(rig, stroke, aim_deg)
    energy = 0.5 * rig.mass * (speed**2).sum(axis=1)
    launch_j = energy[::-1].cumsum()[::-1][1:]
    frames = np.zeros((MOST_FRAMES if ends == flight.AT_REST else 0, rig.mass.size, 2))
    flown = flight.FlightRecord(frames, np.zeros(rig.rest.size))
    out = flight.fly(chain, place, speed, air, limits_of(rig, ends, stroke), flown)
    if out[flight.ENDED] in (flight.TOO_MANY_STEPS, flight.LENGTH_LOST):
        raise CannotCompute(
            "This rig moves too violently for the cast model to follow.",
            where="leader",
            hint="This happens with a very heavy fly on a very fine, short piece: lengthen or "
            "thicken it.",
        )
    return Flight(
        aim_deg=aim_deg,
        opening=float(out[flight.FORWARD]),
        straight=float(out[flight.TOUCH_DOWN]),
        straightness=float(out[flight.STRAIGHTEST]),
        opened_at_s=float(out[flight.STRAIGHTEST_AT]),
        passing_j=flown.passing,
        launch_j=launch_j,
        frames=flown.frames[~np.isnan(flown.frames[:, 0, 0])],
        steps=int(out[flight.STEPS]),
        landed=bool(out[flight.ENDED] == flight.LANDED),
    )
