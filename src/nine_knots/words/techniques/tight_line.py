"""Told on a tight line: how it is led, and what slower leading and a stop would do."""

from dataclasses import replace

import numpy as np

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import Leg, history
from nine_knots.core.techniques.tight_line import TIGHT_LINE, out_m
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.technique import RigInStream
from nine_knots.core.water.time_in_zone import FishedRig, fish_rig
from nine_knots.words.facts import Fact
from nine_knots.words.water.reading import AlternativePath, TypedField
from nine_knots.words.water.telling import (
    SimulatedWords,
    Told,
    drift_field,
    lands_field,
    wanted_field,
)

SLOWER = 0.85  # of the lead
STOPPED_S = 4.0
HARDLY_M = 0.03


class TightLineWords(SimulatedWords):
    """A path rather than a shape."""

    technique = TIGHT_LINE
    words = "On a tight line, led by the rod's tip"
    wants_anchor = True

    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """The lead, the rod's tip, what is out beyond it."""
        out = units.length(units.snap_length(out_m(design, ask))).text
        return (
            wanted_field(ask, units),
            TypedField("lead", "Led, share of speed", f"{ask.lead:.0%}"),
            TypedField("tip", "Rod tip up", units.length(ask.tip_m).text),
            TypedField("out", "Beyond the tip", out),
            lands_field(ask),
            drift_field(self.technique, design, ask, units),
        )

    def own_facts(
        self,
        design: Design,
        fished: FishedRig,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """How it is led."""
        return (_led(ask, units),)

    def what_if(self, design: Design, fished: FishedRig, ask: WaterQuestion, units: Units) -> Told:
        """Led slower, and stopped where the fly is lowest."""
        return _led_otherwise(design, fished, ask, units)


def _led(ask: WaterQuestion, units: Units) -> Fact:
    tip = units.depth(ask.tip_m).text
    return Fact(
        "Led",
        f"at {ask.lead:.0%} of the surface speed, rod tip {tip} up. In so short a drift a "
        "tight line has no steady shape; follow its path.",
    )


def _led_otherwise(design: Design, fished: FishedRig, ask: WaterQuestion, units: Units) -> Told:
    slow_ask = ask.model_copy(update={"lead": SLOWER * ask.lead})
    slow = fish_rig(TIGHT_LINE.fish(design, slow_ask))
    depth = fished.fishing.stream.depth_m
    at = units.depth(max(0.0, depth - slow.lowest.height_m)).text
    facts = [
        Fact(
            "Led slower",
            f"at {slow_ask.lead:.0%} of the pace it fishes at {at}, "
            f"{units.seconds(slow.lowest.zone_for_s)} in the zone.",
        )
    ]
    stopped = _stopped(fished.fishing)
    heights = stopped.history.places[:, stopped.rig.lowest.node, 1]
    every = stopped.history.every_s
    risen = [
        max(0.0, float(heights[min(len(heights) - 1, int(t / every))] - heights[0]))
        for t in (0.5 * STOPPED_S, STOPPED_S)
    ]
    lifts = [units.depth(up).text if up > HARDLY_M else "hardly at all" for up in risen]
    facts.append(
        Fact(
            "Stopped",
            f"where it fishes, the fly rises {lifts[0]} in two seconds and {lifts[1]} in four.",
        )
    )
    asides = (
        AlternativePath("led slower", _way(slow.fishing)),
        AlternativePath("stopped", _way(stopped)),
    )
    return asides, tuple(facts)


def _stopped(fishing: RigInStream) -> RigInStream:
    """The same rig from the moment its fly is lowest, the rod's tip standing still."""
    heights = fishing.history.places[:, fishing.rig.lowest.node, 1]
    start = fishing.history.places[int(heights.argmin())]
    followed = history(
        fishing.rig.tree,
        start,
        fishing.stream,
        (Leg(STOPPED_S, 0.0),),
        fishing.fluid,
        every_s=fishing.history.every_s,
    )
    return replace(fishing, follow=lambda: followed, begins_s=STOPPED_S)


def _way(fishing: RigInStream, from_frame: int = 0) -> tuple[tuple[float, float], ...]:
    places = fishing.history.places[from_frame:]
    way = places[:, fishing.rig.lowest.node] - places[:, 0] * np.array([1.0, 0.0])
    return tuple((round(float(x), 3), round(float(z), 3)) for x, z in way[::2])


TELLING = TightLineWords()
