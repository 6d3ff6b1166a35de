"""Which of the figures that are least known decides a turnover, and how it is made known."""

from dataclasses import dataclass, replace
from math import log
from typing import Literal

from nine_knots.core.assess.own_cast import SPEED_SPREAD, UNKNOWN, OwnCast
from nine_knots.core.assess.turnover import CastResult, wanted_margin_band
from nine_knots.core.casting.minimum_speed import opens_at
from nine_knots.core.casting.rig import Rig
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.tackle import FlyLine
from nine_knots.core.mechanics.air import Air

BentPart = Literal["tip", "belly"]
DRAG_TIMES = 1.4  # times or over, a fly's drag area in the air by the tables [G ±40 %]
NEAR, NEAR_BY_BEND = 0.2, 0.08  # of the logarithm of the lowest margin wanted: beyond them no fly's
# drag decides, and no line's stiffness [M]
BEND_TIMES = 1.4  # times or over, a line's stiffness where its droop was not measured [G]
Doubt = Literal["fly's drag", "line's stiffness", "own speed"]


@dataclass(frozen=True, slots=True)
class DominantUncertainty:
    """What decides a turnover that could well be another; the ``parts`` of the line whose droop
    would settle its stiffness, one alone where that decides by itself."""

    doubts: tuple[Doubt, ...]
    parts: tuple[BentPart, ...] = ()


def dominant_uncertainty(
    result: CastResult, rig: Rig, air: Air, design: Design, own: OwnCast = UNKNOWN
) -> DominantUncertainty | None:
    """What decides a turnover that could well be another; None where nothing does.

    The fly is given more drag and the line more stiffness where the leader opens, less where it
    does not, and thrown again; the stroke's speed is moved as anglers' speeds are spread.
    """
    low, _ = wanted_margin_band(design.leader, design.situation, own)
    off = log(result.margin / low)
    if abs(off) > NEAR:
        return None
    doubts: list[Doubt] = []
    parts: list[BentPart] = []
    if design.situation.fly.drag_area_m2 is None:
        body = rig.body.copy()
        body[-1] *= DRAG_TIMES if off > 0.0 else 1.0 / DRAG_TIMES
        speed = result.stroke.speed_m_s / low
        opens = opens_at(speed, replace(rig, body=body), result.stroke, air)
        doubts += ["fly's drag"] if opens != (off > 0.0) else []
    if abs(off) < NEAR_BY_BEND:
        parts = _by_bend(rig, result, low, air, design.situation.line)
        doubts += ["line's stiffness"] if parts else []
    if own == UNKNOWN and abs(off) < SPEED_SPREAD:
        doubts.append("own speed")
    return DominantUncertainty(tuple(doubts), tuple(parts)) if doubts else None


def _by_bend(rig: Rig, result: CastResult, low: float, air: Air, line: FlyLine) -> list[BentPart]:
    """The parts of the line whose droop would settle it: those not measured, one alone where its
    stiffness decides by itself."""
    parts: list[BentPart] = ["belly"] if line.belly_bend_nm2 is None else []
    parts += ["tip"] if line.tip_bend_nm2 is None else []
    opened = result.margin >= low
    times = BEND_TIMES if opened else 1.0 / BEND_TIMES

    def decides(changed: list[BentPart]) -> bool:
        tip, belly = (times if part in changed else 1.0 for part in ("tip", "belly"))
        other = rig.on_other_line(tip, belly)
        return opens_at(result.stroke.speed_m_s / low, other, result.stroke, air) != opened

    if not parts or not decides(parts):
        return []
    alone = next((part for part in parts if len(parts) > 1 and decides([part])), None)
    return [alone] if alone else parts
