"""What the words of a way of fishing are: its fields, its reading, what it tells beside."""

from abc import ABC, abstractmethod
from typing import ClassVar

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.technique import Technique
from nine_knots.core.water.time_in_zone import FishedRig, fish_rig
from nine_knots.words.facts import Fact
from nine_knots.words.ruler import ruler
from nine_knots.words.scores.reading import ScoreReading, score_reading
from nine_knots.words.water.facts import order_of_weight, shot_place
from nine_knots.words.water.reading import AlternativePath, ThingPlace, TypedField, WaterReading
from nine_knots.words.water.section import flow, fly_reading, movie_of, steady, threads
from nine_knots.words.water_rules import rule_facts

Told = tuple[tuple[AlternativePath, ...], tuple[Fact, ...]]


class TechniqueWords(ABC):
    """How a way of fishing is told; one module in ``words.techniques`` for each technique."""

    technique: ClassVar[Technique]
    words: ClassVar[str]

    @abstractmethod
    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """How it is fished, in figures as they can be typed; only what this way goes by."""

    @abstractmethod
    def reading(
        self, design: Design, ask: WaterQuestion, units: Units, movie: bool
    ) -> WaterReading:
        """All of its stage, with its movie or without; CannotCompute where it cannot."""


class SimulatedWords(TechniqueWords):
    """The words of a way in which the rig is followed down.

    ``wants_anchor`` where a lighter point fly swings loose.
    """

    technique: ClassVar[SimulatedTechnique]
    wants_anchor: ClassVar[bool] = False

    def fields(
        self,
        design: Design,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[TypedField, ...]:
        """The depth wanted."""
        return (wanted_field(ask, units),)

    def own_facts(
        self,
        design: Design,
        fished: FishedRig,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """What is told of this way only."""
        return ()

    def what_if(
        self,
        design: Design,
        fished: FishedRig,
        ask: WaterQuestion,
        units: Units,
    ) -> Told:
        """Other cases, to draw beside it and to tell."""
        return (), ()

    def reading(
        self, design: Design, ask: WaterQuestion, units: Units, movie: bool
    ) -> WaterReading:
        """The section, the rig followed in it, its flies, the cords and the facts."""
        fishing = self.technique.fish(design, ask)
        fished = fish_rig(fishing)
        asides, told = self.what_if(design, fished, ask, units) if movie else ((), ())
        facts = (
            *self.own_facts(design, fished, ask, units),
            order_of_weight(design, fished, self.wants_anchor),
            shot_place(design, units),
        )
        things = design.leader.attachments
        return WaterReading(
            technique=self.technique.key,
            words=self.words,
            top=self.technique.top,
            followed=True,
            fields=self.fields(design, ask, units),
            depth=units.depth(fishing.stream.depth_m),
            zone_m=fished.zone_m,
            flow=flow(fishing.stream, units),
            depth_ticks=ruler(fishing.stream.depth_m, units),
            movie=movie_of(fishing) if movie else None,
            steady=steady(fishing),
            threads=threads(design, fishing.rig),
            flies=tuple(fly_reading(fly, fished, units) for fly in fished.flies),
            things=tuple(
                ThingPlace(thing, things[thing].kind, node)
                for thing, node in fishing.rig.things.items()
            ),
            asides=asides,
            lane=None,
            facts=(*(fact for fact in facts if fact is not None), *told),
            rules=rule_facts(design, units),
            drift=self._drift(design, fished, ask, units),
            depth_cord=score_reading(self.technique.depth(fished, ask), units),
        )

    def _drift(
        self, design: Design, fished: FishedRig, ask: WaterQuestion, units: Units
    ) -> ScoreReading:
        """The drift; where a longer one might do, that its length is taken and not given."""
        score = self.technique.drift(fished)
        if score.status != "too little" or not self.technique.drifts or ask.drift_m is not None:
            return score_reading(score, units)
        taken = units.on_spool(self.technique.drift_m(design, ask)).text
        return score_reading(score, units, f"A drift of {taken} is assumed: enter yours.")


def wanted_field(ask: WaterQuestion, units: Units) -> TypedField:
    """The depth at which the point fly is wanted; at the bed where none is given."""
    wanted = units.depth(ask.wanted_m).text if ask.wanted_m is not None else ""
    return TypedField("wanted", "Depth wanted", wanted, "by the bed")


def drift_field(
    technique: Technique, design: Design, ask: WaterQuestion, units: Units
) -> TypedField:
    """How long a drift is fished before the next cast."""
    return TypedField("drift", "Drift length", units.on_spool(technique.drift_m(design, ask)).text)


def lands_field(ask: WaterQuestion) -> TypedField:
    """How far off the flies land, of what is out."""
    return TypedField("lands", "Lands at, share of reach", f"{ask.lands:.0%}")


def line_field(ask: WaterQuestion, units: Units) -> TypedField:
    """The line that is out on the water."""
    return TypedField("line", "Line out", units.on_spool(ask.line_m).text)
