"""Which of the figures that are least known decides a turnover, and how it is made known."""

from dataclasses import replace
from math import log

from nine_knots.core.judge.own_cast import SPEED_SPREAD, UNKNOWN, OwnCast
from nine_knots.core.judge.turnover import CastResult, wanted
from nine_knots.core.models.cast.minimum_speed import opens_at
from nine_knots.core.models.cast.rig import Rig
from nine_knots.core.physics.air import Air
from nine_knots.core.trade.design import Design

DRAG_TIMES = 1.4  # times or over, a fly's drag area in the air by the tables [G ±40 %]
NEAR = 0.3  # of the logarithm of the lowest reserve wanted; beyond it no fly's drag decides [M]
BY_DRAG = "how this fly catches the air, known to some 40% only: time it falling indoors"
BY_SPEED = "how fast you throw: tell how a few of your casts landed"


def turnover_hangs_on(
    result: CastResult, rig: Rig, air: Air, design: Design, own: OwnCast = UNKNOWN
) -> str:
    """What decides a turnover that could well be another, in a sentence; nothing where none does.

    The fly is given more drag where the leader opens, less where it does not, and thrown again;
    the stroke's speed is moved as anglers' speeds are spread.
    """
    low, _ = wanted(design.leader, design.situation, own)
    off = log(result.margin / low)
    if abs(off) > NEAR:
        return ""
    doubts = []
    if design.situation.fly.drag_area_m2 is None:
        body = rig.body.copy()
        body[-1] *= DRAG_TIMES if off > 0.0 else 1.0 / DRAG_TIMES
        speed = result.stroke.speed_m_s / low
        opens = opens_at(speed, replace(rig, body=body), result.stroke, air)
        doubts += [BY_DRAG] if opens != (off > 0.0) else []
    if own == UNKNOWN and abs(off) < SPEED_SPREAD:
        doubts.append(BY_SPEED)
    return f"It hangs on {'; and on '.join(doubts)}." if doubts else ""
