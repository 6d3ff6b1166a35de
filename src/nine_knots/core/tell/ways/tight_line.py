"""Told on a tight line: how it is led, and what slower leading and a stop would do."""

from dataclasses import replace

import numpy as np

from nine_knots.core.base.measure import Fact
from nine_knots.core.base.units import Units
from nine_knots.core.judge.ways.tight_line import JUDGEMENT
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.water.fished import Fished, fished_of
from nine_knots.core.models.water.way import Fishing
from nine_knots.core.models.ways.tight_line import TIGHT_LINE, out_m
from nine_knots.core.physics.stepper import Leg, history
from nine_knots.core.tell.water_stage.reading import Aside, Field
from nine_knots.core.tell.water_stage.telling import (
    FollowedTelling,
    Told,
    drift_field,
    lands_field,
    wanted_field,
)
from nine_knots.core.trade.design import Design

SLOWER = 0.85  # of the lead
STOPPED_S = 4.0
HARDLY_M = 0.03
UNDER_M = 0.1  # of the sighter under water, from which it is said
WET_M = 0.01


class TightLineTelling(FollowedTelling):
    """A path rather than a shape."""

    way, judgement = TIGHT_LINE, JUDGEMENT
    words = "On a tight line, led by the rod's tip"
    wants_anchor = True

    def fields(self, design: Design, ask: WaterAsk, units: Units) -> tuple[Field, ...]:
        """The lead, the rod's tip, what is out beyond it."""
        out = units.length(units.snap_length(out_m(design, ask))).text
        return (
            wanted_field(ask, units),
            Field("lead", "Led, of the pace", f"{ask.lead:.0%}"),
            Field("tip", "Rod tip up", units.length(ask.tip_m).text),
            Field("out", "Beyond the tip", out),
            lands_field(ask),
            drift_field(self.way, design, ask, units),
        )

    def own_facts(
        self,
        design: Design,
        fished: Fished,
        ask: WaterAsk,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """How it is led."""
        return (_led(ask, units),)

    def warning(self, design: Design, fished: Fished, units: Units) -> str:
        """A sighter that goes under water while the flies fish shows nothing."""
        under_m = sighter_under_m(design, fished)
        if under_m < UNDER_M:
            return ""
        deep = units.length(units.snap_length(under_m)).text
        return f"{deep} of the sighter are under water: more tippet below it, or a higher tip."

    def what_if(self, design: Design, fished: Fished, ask: WaterAsk, units: Units) -> Told:
        """Led slower, and stopped where the fly is lowest."""
        return _led_otherwise(design, fished, ask, units)


def sighter_under_m(design: Design, fished: Fished) -> float:
    """How much of the sighter is under water, in m, where the flies are lowest."""
    history, rig = fished.fishing.history, fished.fishing.rig
    places = history.places[int(history.places[:, rig.lowest.node, 1].argmin())]
    under = 0.0
    for part in rig.parts:
        if part.piece < 0 or part.dropper or design.leader.pieces[part.piece].role != "sighter":
            continue
        reach = rig.tree.reach[list(part.nodes)]
        wet = places[list(part.nodes), 1] < fished.fishing.stream.depth_m - WET_M
        if wet.any():
            under += float(reach[-1] - reach[int(wet.argmax())])
    return under


def _led(ask: WaterAsk, units: Units) -> Fact:
    tip = units.depth(ask.tip_m).text
    return Fact(
        "Led",
        f"at {ask.lead:.0%} of the surface's pace, rod tip {tip} up. A tight line has no steady "
        "shape worth showing in so short a drift: read its path.",
    )


def _led_otherwise(design: Design, fished: Fished, ask: WaterAsk, units: Units) -> Told:
    slow_ask = ask.model_copy(update={"lead": SLOWER * ask.lead})
    slow = fished_of(TIGHT_LINE.fish(design, slow_ask))
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
    asides = (Aside("led slower", _way(slow.fishing)), Aside("stopped", _way(stopped)))
    return asides, tuple(facts)


def _stopped(fishing: Fishing) -> Fishing:
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


def _way(fishing: Fishing, from_frame: int = 0) -> tuple[tuple[float, float], ...]:
    places = fishing.history.places[from_frame:]
    way = places[:, fishing.rig.lowest.node] - places[:, 0] * np.array([1.0, 0.0])
    return tuple((round(float(x), 3), round(float(z), 3)) for x, z in way[::2])


TELLING = TightLineTelling()
