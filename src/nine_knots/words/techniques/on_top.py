"""Told on the surface: the slack being used up, how supple the tippet is."""

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.mechanics.section import bend_stiffness_nm2
from nine_knots.core.mechanics.slack import bending_length_m
from nine_knots.core.mechanics.thin_line import normal_drag_n_m
from nine_knots.core.techniques.on_top import ON_TOP, drag_on
from nine_knots.core.water.dry_fly import MICRO_M_S, Drag
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.zone import zone_top_m
from nine_knots.words.facts import Fact
from nine_knots.words.ruler import ruler
from nine_knots.words.scores.reading import score_reading
from nine_knots.words.water.reading import SlackLane, TypedField, WaterReading
from nine_knots.words.water.section import flow
from nine_knots.words.water.telling import TechniqueWords
from nine_knots.words.water_rules import rule_facts


class OnTopWords(TechniqueWords):
    """A lane of water seen from above, with the slack that lies in it."""

    technique = ON_TOP
    words = "On the surface"

    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """How much the currents differ."""
        differs = drag_on(design, ask).differs_m_s
        return (TypedField("differs", "Currents differ", units.speed(differs).text),)

    def reading(
        self,
        design: Design,
        ask: WaterQuestion,
        units: Units,
        movie: bool,
    ) -> WaterReading:
        """The slack's lane in place of a section."""
        stream = stream_of(design.situation.water)
        drag = drag_on(design, ask)
        return WaterReading(
            technique=self.technique.key,
            words=self.words,
            top=self.technique.top,
            followed=False,
            fields=self.fields(design, ask, units),
            depth=units.depth(stream.depth_m),
            zone_m=zone_top_m(stream.depth_m),
            flow=flow(stream, units),
            depth_ticks=ruler(stream.depth_m, units),
            movie=None,
            steady=None,
            threads=(),
            flies=(),
            things=(),
            asides=(),
            lane=_lane(drag, units),
            facts=_facts(design, drag, units),
            rules=rule_facts(design, units),
            drift=score_reading(ON_TOP.free(design, ask), units),
            depth_cord=score_reading(ON_TOP.floats(design), units),
        )


def _lane(drag: Drag, units: Units) -> SlackLane:
    free = drag.free_s
    left: tuple[tuple[float, float], ...] = ()
    if free is not None and free > 0.0:
        times = np.linspace(0.0, free, 9)
        left = tuple((round(float(t), 3), round(1.0 - float(t) / free, 3)) for t in times)
    return SlackLane(units.length(drag.slack_m), units.speed(drag.differs_m_s).text, free, left)


def _facts(design: Design, drag: Drag, units: Units) -> tuple[Fact, ...]:
    """What limits its drift, how supple its tippet is."""
    tippet = design.leader.pieces[-1]
    found = []
    if drag.along_s is not None and drag.across_s is not None:
        found.append(
            Fact(
                "Slack",
                f"{units.seconds(drag.along_s)} before it is drawn straight along the stream, "
                f"{units.seconds(drag.across_s)} before it bellies across a lane of "
                f"{units.depth(drag.lane_m).text}. Once taut, the fly drags at about 40 % of "
                "the difference, whatever the tippet.",
            )
        )
    supple = _bending_m(design, tippet.lower_diameter_m)
    finer_m = tippet.lower_diameter_m - THOU_M
    if supple is not None and finer_m > 5e-5:
        finer = _bending_m(design, finer_m)
        assert finer is not None
        found.append(
            Fact(
                "Supple",
                f"It bends within {units.length(supple).text}; one X finer within "
                f"{units.length(finer).text}. Finer drifts better by being softer, not by being "
                "thinner.",
            )
        )
    stuff = MATERIALS[tippet.strand.material]
    if stuff.family == "fluorocarbon":
        found.append(
            Fact("Tippet", "Fluorocarbon sinks just under the film, which one school prefers.")
        )
    return tuple(found)


def _bending_m(design: Design, diameter_m: float) -> float | None:
    """Bending length in metres of the tippet's material at a diameter, at micro-drag's slip."""
    strand = design.leader.pieces[-1].strand
    drag = normal_drag_n_m(diameter_m, MICRO_M_S, fluid_of(design.situation.water))
    try:
        return bending_length_m(bend_stiffness_nm2(diameter_m, strand.stiffness_pa), drag)
    except CannotCompute:
        return None


TELLING = OnTopWords()
