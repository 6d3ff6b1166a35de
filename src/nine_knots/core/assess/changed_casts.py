"""A leader cast as it is and with one thing changed: what that does to its margin."""

from dataclasses import dataclass
from math import hypot, log
from typing import Literal

from nine_knots.core.assess.dominant_uncertainty import DRAG_TIMES, BentPart
from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.minimum_speed import (
    USUAL,
    MinimumLaunchSpeed,
    minimum_at_the_aim,
    minimum_launch_speed,
    opens_at,
)
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.rig import Rig, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust, air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Wind
from nine_knots.core.domain.tackle import Fly, line_profile
from nine_knots.core.mechanics.air import Air

WIND_OFF_M_S = 1.0  # of wind from cast to cast [G]
# of a line's stiffness, as a guess, of its tip or belly by a droop test of the other or of itself,
# and of its friction (3 to 10 ms) [G]
BEND_OFF, OTHER_DROOPED_OFF, DROOPED_OFF, FRICTION_OFF = 0.35, 0.2, 0.1, 0.6
STIFFER, LOSSIER = 1.5, 2.0  # times, that are thrown to tell what they do
DRAG_OFF, TIMED_OFF = 0.17, 0.05  # of a fly's drag area, by the tables and timed [M]
Source = Literal["lengths", "spools", "own speed", "stroke", "fly", "line", "wind"]


@dataclass(frozen=True, slots=True)
class UncertaintySource:
    """One source of doubt: its spread of the logarithm of the margin; ``piece`` of the spool that
    has most of it, and the spool's name where it is owned; ``part`` of the line whose droop would
    settle most."""

    source: Source
    spread: float
    piece: int | None = None
    spool: str = ""
    part: BentPart | None = None


@dataclass
class ChangedCasts:
    """A leader under a stroke; changed ones are cast from what was good for it."""

    design: Design
    stroke: Stroke
    air: Air

    @classmethod
    def of(cls, design: Design, stroke: Stroke, gust: Gust) -> "ChangedCasts":
        """CannotCompute where the fly pulls the leader out."""
        if mass_ratio(design.leader, design.situation.fly) is not None:
            raise CannotCompute(
                "The fly pulls the mono out without a loop, so there is no cast to analyse.",
                where="leader",
                hint="What matters is the fly's weight.",
            )
        return cls(design, stroke, air_of(design.situation.wind, gust))

    @cached_field
    def base(self) -> MinimumLaunchSpeed:
        """The minimum of the leader as it is; CannotCompute where no stroke opens it."""
        found = self._minimum(self.design.leader, self.design.situation.fly, self.air, USUAL)
        if found.speed_m_s is None:
            raise CannotCompute(
                "No stroke opens this leader, so small changes don't matter.",
                where="leader",
                hint="Take one of the turnover's remedies first.",
            )
        return found

    def factor(
        self, leader: Leader | None = None, fly: Fly | None = None, air: Air | None = None
    ) -> float:
        """The margin with something changed over that without."""
        design = self.design
        leader, fly = leader or design.leader, fly or design.situation.fly
        return self._by(self._rig(leader, fly), air or self.air)

    def dragged(self) -> float:
        """The spread of the margin's logarithm that comes of the fly's drag."""
        fly = self.design.situation.fly
        more = fly.model_copy(update={"drag_area_m2": DRAG_TIMES * fly.air_drag_area_m2})
        off = DRAG_OFF if fly.drag_area_m2 is None else TIMED_OFF
        return abs(log(self.factor(fly=more))) / log(DRAG_TIMES) * off

    def stiffer(self) -> UncertaintySource:
        """The spread of the margin's logarithm that comes of the line's stiffness and its internal
        friction."""
        day = self.design.situation
        line, usual = day.line, self._rig(self.design.leader, day.fly)
        by: dict[BentPart, float] = {
            "tip": self._changed(usual.on_other_line(tip_stiffer=STIFFER)) / log(STIFFER),
            "belly": self._changed(usual.on_other_line(belly_stiffer=STIFFER)) / log(STIFFER),
        }
        lost_by = self._changed(usual.on_other_line(lossier=LOSSIER)) / log(LOSSIER)
        known = {"tip": line.tip_bend_nm2 is not None, "belly": line.belly_bend_nm2 is not None}
        if any(known.values()):
            offs = {part: DROOPED_OFF if known[part] else OTHER_DROOPED_OFF for part in by}
            bent = hypot(*(by[part] * offs[part] for part in by))
        else:  # one guess for both
            bent = sum(by.values()) * BEND_OFF
        unknown = [part for part in by if not known[part]]
        part = max(unknown, key=lambda part: abs(by[part]), default=None)
        return UncertaintySource("line", hypot(bent, lost_by * FRICTION_OFF), part=part)

    def _changed(self, rig: Rig) -> float:
        """By how much another rig's margin differs, as a logarithm."""
        return log(self._by(rig, self.air))

    def _by(self, rig: Rig, air: Air) -> float:
        """A rig's margin over that of the leader as it is, both at the aim that serves this best:
        a small change is not lost in the choice of another."""
        found = minimum_at_the_aim(rig, self.stroke, air, self.base)
        return found.margin(self.stroke) / self.at_its_aim.margin(self.stroke)

    @cached_field
    def at_its_aim(self) -> MinimumLaunchSpeed:
        """The same at the aim that serves it best, with which changed leaders are compared."""
        usual = self._rig(self.design.leader, self.design.situation.fly)
        return minimum_at_the_aim(usual, self.stroke, self.air, self.base)

    def windier(self) -> float:
        """The spread of the margin's logarithm that comes of the wind."""
        more = self.air._replace(wind_m_s=self.air.wind_m_s - WIND_OFF_M_S)
        return abs(log(self.factor(air=more)))

    def opens_into(self, wind_m_s: float, low: float) -> bool:
        """Whether it opens with the margin wanted into a head wind."""
        air = air_of(Wind(speed_m_s=wind_m_s, bearing="in the face"), STEADY)
        rig = self._rig(self.design.leader, self.design.situation.fly)
        return opens_at(self.stroke.speed_m_s / low, rig, self.stroke, air)

    def _minimum(
        self, leader: Leader, fly: Fly, air: Air, near: MinimumLaunchSpeed
    ) -> MinimumLaunchSpeed:
        return minimum_launch_speed(self._rig(leader, fly), self.stroke, air, near)

    def _rig(self, leader: Leader, fly: Fly) -> Rig:
        line = line_profile(self.design.situation.line)
        return rig_of(leader, line, fly, self.stroke.line_out_m)
