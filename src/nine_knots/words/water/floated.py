"""The words of ways in which something floats the rig."""

from typing import ClassVar

from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.time_in_zone import GOOD_ANGLE, WIDE_ANGLE, FishedRig
from nine_knots.words.facts import Fact
from nine_knots.words.water.finer_tippet import finer_tippet
from nine_knots.words.water.reading import TypedField
from nine_knots.words.water.telling import (
    SimulatedWords,
    Told,
    drift_field,
    wanted_field,
)

RULE_OF_THUMB = 1.5  # of the depth, from what floats it to the lowest fly [P]


class FloatedWords(SimulatedWords):
    """How upright it hangs, and how much of what floats it is used.

    ``float_title`` is what floats it, at the head of a line; ``by_rule`` where the rule of thumb
    is about it.
    """

    float_title: ClassVar[str]
    by_rule: ClassVar[bool] = True

    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """The depth wanted, and how long it drifts."""
        return (wanted_field(ask, units), drift_field(self.technique, design, ask, units))

    def own_facts(
        self,
        design: Design,
        fished: FishedRig,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """The line's angle, the float's load, the rule of thumb."""
        moves = fished.fishing.stream.surface_m_s > 0.0
        return (
            _contact(fished) if moves else None,
            self._carried(fished) if moves else None,
            _rule(fished, units) if self.by_rule else None,
        )

    def floats_as(self, fished: FishedRig) -> str:
        """What floats it, at the head of a line."""
        return self.float_title

    def _carried(self, fished: FishedRig) -> Fact:
        floats = fished.fishing.floats
        assert floats is not None
        share = fished.pulled_n / floats.carries_n
        text = f"is loaded to {min(9.99, share):.0%} of what takes it under."
        status: Status = "too much" if share > 1.0 else "right"
        return Fact(self.floats_as(fished), text, status)

    def what_if(self, design: Design, fished: FishedRig, ask: WaterQuestion, units: Units) -> Told:
        """A finer tippet, where a drift settles."""
        if fished.fishing.settled is None:
            return (), ()
        return (), finer_tippet(design, fished, ask, units)


def _contact(fished: FishedRig) -> Fact:
    angle = 5.0 * round(fished.angle_deg / 5.0)
    if angle <= GOOD_ANGLE:
        return Fact("Line", f"hangs {angle:g}° from upright: takes show at once.")
    if angle <= WIDE_ANGLE:
        return Fact("Line", f"hangs {angle:g}° from upright, as is usual.")
    text = f"slants {angle:g}° from upright: too light, too thick, or set too long to show a take."
    return Fact("Line", text, "too little")


def _rule(fished: FishedRig, units: Units) -> Fact:
    depth, setting = fished.fishing.stream.depth_m, fished.fishing.rig.length_m
    ruled = units.depth(RULE_OF_THUMB * depth).text
    return Fact(
        "Set at",
        f"{units.length(setting).text}, {setting / depth:.1f} times the depth. The rule of thumb "
        f"says 1.5 times, {ruled}: right in fast water and for light flies, too long in slow "
        "water or with plenty of weight.",
    )
