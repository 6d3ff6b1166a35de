"""How a leader lies as its fly touches down, thrown as low as it opens.

A caster drives a leader low over the water: at the lowest aim that opens it nearly as far as any.
How far it then lies along the cast, and so the slack, is the mean of throws at that aim and at the
next two degrees above it. Light flies spring back as the mesh lets them, so these three are thrown
on a finer one than the aim is sought on (docs/model.md).
"""

from dataclasses import dataclass
from functools import partial

import numpy as np

from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.opening import HIGHEST_AIM, LOWEST_AIM
from nine_knots.core.casting.rig import FINE, Mesh, Rig, rig_of
from nine_knots.core.casting.stroke import DROP_HIGHER_DEG, Stroke
from nine_knots.core.casting.throw import Flight, cast_at
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly, LineProfile
from nine_knots.core.mechanics import flight
from nine_knots.core.mechanics.air import Air

NEARLY = 0.1  # of a leader's length, less than the best opening, that still opens it as far
THROWS = 3  # a degree apart
PROBED_DEG = 3  # above where the lowest aim is expected, for the best opening
# The lowest aim by the margin of the stroke, where the search for it begins.
MARGINS, LOWEST_AIMS = (1.0, 1.2, 1.4, 1.6, 1.8), (9.0, 4.0, 0.0, -3.0, -5.0)


@dataclass(frozen=True)
class CastLanding:
    """A leader as it lies, thrown at ``aim_deg``: ``straight`` is the part of its length that it
    lies along the cast, ``opening`` how far it opened before, ``flight`` the middle of the throws
    and ``rig`` what was thrown."""

    aim_deg: int
    straight: float
    opening: float
    slack_m: float
    flight: Flight
    rig: Rig


def landing_of(
    leader: Leader,
    line: LineProfile,
    fly: Fly,
    stroke: Stroke,
    air: Air,
    minimum: MinimumLaunchSpeed,
    movie: bool = False,
    mesh: Mesh = FINE,
) -> CastLanding:
    """How a leader whose minimum launch speed is known lands by a stroke in this air; with frames
    of the flight where a ``movie`` is wanted. CannotCompute where the model cannot follow it.

    A stop and drop is thrown so much higher than the stroke without it.
    """
    flat = stroke.model_copy(update={"drop": False})
    expected = expected_aim(minimum.margin(stroke))
    aim = _lowest_aim(rig_of(leader, line, fly, stroke.line_out_m), flat, air, expected)
    higher = DROP_HIGHER_DEG if stroke.drop else 0.0
    fine = rig_of(leader, line, fly, stroke.line_out_m, mesh)
    shown = partial(cast_at, fine, stroke, air, aim + THROWS // 2 + higher)
    others = (
        partial(cast_at, fine, stroke, air, aim + number + higher, flight.FLY_TOUCHES)
        for number in range(THROWS)
        if number != THROWS // 2
    )
    ends = flight.AT_REST if movie else flight.FLY_TOUCHES
    thrown = run_parallel([partial(shown, ends), *others])  # the longest first
    straight = sum(each.straight for each in thrown) / THROWS
    return CastLanding(
        aim_deg=aim,
        straight=straight,
        opening=sum(each.opening for each in thrown) / THROWS,
        slack_m=max(0.0, (1.0 - straight) * fine.leader_m),
        flight=thrown[0],
        rig=fine,
    )


def expected_aim(margin: float) -> int:
    """About the lowest aim in whole degrees that opens a usual leader by a stroke of this margin,
    in still air."""
    return round(float(np.interp(margin, MARGINS, LOWEST_AIMS)))


def rough_slack_m(
    leader: Leader, line: LineProfile, fly: Fly, stroke: Stroke, air: Air, aim_deg: int
) -> float:
    """About the slack in metres in which a leader lands, of a single throw: the middle one of
    those that ``landing_of`` makes where the lowest aim is ``aim_deg``."""
    rig = rig_of(leader, line, fly, stroke.line_out_m, FINE)
    higher = DROP_HIGHER_DEG if stroke.drop else 0.0
    thrown = cast_at(rig, stroke, air, aim_deg + THROWS // 2 + higher, flight.FLY_TOUCHES)
    return max(0.0, (1.0 - thrown.straight) * rig.leader_m)


def _lowest_aim(rig: Rig, stroke: Stroke, air: Air, expected: int) -> int:
    """The lowest aim in whole degrees that opens it nearly as far as the best that is thrown,
    sought from the one that is ``expected``."""
    thrown: dict[int, float] = {}

    def opening(*aims: int) -> float:
        new = [aim for aim in aims if aim not in thrown]
        known = flight.OPENING_KNOWN
        flights = run_parallel([partial(cast_at, rig, stroke, air, aim, known) for aim in new])
        thrown.update((aim, each.opening) for aim, each in zip(new, flights, strict=True))
        return max(thrown[aim] for aim in aims)

    probed = min(HIGHEST_AIM, expected + PROBED_DEG)
    enough = opening(expected - 1, expected, probed) - NEARLY
    low, high = LOWEST_AIM - 1, min(aim for aim in thrown if thrown[aim] >= enough)
    low = max((aim for aim in thrown if aim < high), default=low)
    step = 1
    while low == LOWEST_AIM - 1 and high > LOWEST_AIM:  # it opens at the lowest that was thrown
        lower = max(LOWEST_AIM, high - step)
        low, high, step = (low, lower, 2 * step) if opening(lower) >= enough else (lower, high, 1)
    while high - low > 1:
        middle = (low + high) // 2
        low, high = (low, middle) if opening(middle) >= enough else (middle, high)
    return high
