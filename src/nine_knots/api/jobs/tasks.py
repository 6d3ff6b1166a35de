"""What the workers are asked: values that go to another process, and know how to work themselves.

An answer comes back as bytes, JSON unless the task says otherwise, so that it is written once,
beside the service, and kept at its true size.
"""

from abc import ABC, abstractmethod
from typing import Any, ClassVar

from pydantic import TypeAdapter

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.landings import ObservedLanding, landing_of
from nine_knots.core.assess.own_cast import UNKNOWN, Landing, OwnCast
from nine_knots.core.assess.reach import reach_of
from nine_knots.core.assess.sensitivity import sensitivity_of
from nine_knots.core.base.cancellation import report_partial
from nine_knots.core.base.errors import TimedOut
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Situation
from nine_knots.core.remedies.depth_table import depth_table
from nine_knots.core.remedies.tuning import tuned
from nine_knots.core.remedies.turnover import remedies_for
from nine_knots.core.remedies.water import water_remedies_for
from nine_knots.core.search.schools_today import not_judged, school_today
from nine_knots.core.search.search import Search
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.formats.card import Card, Paper
from nine_knots.formats.cast_export import write_cast_csv, write_cast_svg
from nine_knots.words.cast import CastReading, Near, cast_of, rough_cast_of
from nine_knots.words.depth_table import DepthTableReading, depth_table_reading
from nine_knots.words.evaluation import evaluate
from nine_knots.words.reach import ReachReading, reach_reading
from nine_knots.words.remedies import RemedyReading, remedy_readings
from nine_knots.words.schools_today import TodayCard, card_of
from nine_knots.words.search.reading import FindReading, found_so_far
from nine_knots.words.sensitivity import MattersReading, matters_reading
from nine_knots.words.tuning import Tuning, tuning_reading
from nine_knots.words.water.reading import WaterReading
from nine_knots.words.water_reading import water_reading
from nine_knots.words.what_if import Supposition, WhatIf, what_if

WAITS = 4.0  # times its processor time that a task may take on a busy machine


SHORTEN = "Shorten the line or the pauses, then try again."


class Task(Frozen, ABC):
    """Something to work out; ``heavy`` ones wait for light ones, searches go on ``behind`` all
    others. Each ends after ``most_s`` of processor time, and where the machine has little to give
    after ``most_wall_s`` at the latest; ``when_too_long`` then says what to do."""

    heavy: ClassVar[bool] = False
    behind: ClassVar[bool] = False
    most_s: ClassVar[float] = 8.0
    when_too_long: ClassVar[str] = "Try again. If it still takes too long, simplify the rig."
    answers: ClassVar[Any] = None

    @property
    def most_wall_s(self) -> float:
        """How long it may take by the clock, in s."""
        return WAITS * self.most_s

    @abstractmethod
    def work(self) -> Any:
        """The answer; CannotCompute where there is none."""

    def written(self) -> bytes:
        """The answer as bytes."""
        return adapter_of(type(self)).dump_json(self.work())


_adapters: dict[type[Task], TypeAdapter[Any]] = {}


def adapter_of(task: type[Task]) -> TypeAdapter[Any]:
    """Reads and writes the answers of a kind of task."""
    if task not in _adapters:
        _adapters[task] = TypeAdapter(task.answers)
    return _adapters[task]


class _Heavy(Task):
    heavy = True
    most_s = 20.0


class CastTask(Task):
    """A cast, with everything that it depends on."""

    answers = CastReading
    design: Design
    stroke: Stroke
    units: System
    near: Near | None = None
    rough: bool = False
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY

    def work(self) -> CastReading:
        """The cast's reading."""
        units = Units(self.units)
        if self.rough:
            near = self.near or Near()
            return rough_cast_of(self.design, self.stroke, units, near, self.own, self.gust)
        return cast_of(self.design, self.stroke, units, self.near, self.own, self.gust)


class CastFileTask(CastTask):
    """A cast as a file."""

    title: str
    kind: str

    def written(self) -> bytes:
        """The file."""
        reading = self.work()
        if self.kind == "csv":
            return write_cast_csv(reading).encode()
        materials = tuple(piece.strand.material for piece in self.design.leader.pieces)
        return write_cast_svg(self.title, materials, reading).encode()


class WaterTask(Task):
    """A rig in its water."""

    when_too_long = SHORTEN
    answers = WaterReading
    design: Design
    ask: WaterQuestion
    units: System
    movie: bool

    def work(self) -> WaterReading:
        """The rig's reading."""
        return water_reading(self.design, self.ask, Units(self.units), self.movie)


class LandingTask(Task):
    """What a landing that was seen tells."""

    answers = Landing
    seen: ObservedLanding

    def work(self) -> Landing:
        """The landing."""
        return landing_of(self.seen)


class SchoolTask(Task):
    """A school on a day."""

    answers = TodayCard
    key: str
    day: Situation
    stroke: Stroke
    angler: Angler
    gust: Gust = STEADY

    def work(self) -> TodayCard:
        """The school built, cast and fished, as a card; one that runs out of time says so, so that
        the others are shown."""
        try:
            found = school_today(self.key, self.day, self.stroke, self.angler, self.gust)
        except TimedOut as late:
            found = not_judged(self.key, f"Not judged: {late.what.lower()} {late.hint}")
        return card_of(found, self.angler.units)


class ThrownTask(Task):
    """A design under a stroke."""

    design: Design
    stroke: Stroke
    angler: Angler
    gust: Gust = STEADY


class RemedyTask(ThrownTask, _Heavy):
    """What would bring the turnover in."""

    answers = tuple[RemedyReading, ...]

    def work(self) -> tuple[RemedyReading, ...]:
        """The remedies found."""
        found = remedies_for(self.design, self.stroke, self.angler, self.gust)
        return remedy_readings(found, self.angler.units)


class MattersTask(ThrownTask, _Heavy):
    """What matters of a leader."""

    answers = MattersReading

    def work(self) -> MattersReading:
        """The reading."""
        found = sensitivity_of(self.design, self.stroke, self.angler, self.gust)
        return matters_reading(found, self.angler.units)


class WhatIfTask(ThrownTask):
    """A leader under another wind, stroke or fly."""

    answers = WhatIf
    supposed: Supposition

    def work(self) -> WhatIf:
        """The turnover under what is supposed."""
        return what_if(self.design, self.stroke, self.angler, self.supposed, self.gust)


class FindTask(Task):
    """A search for leaders, of which all that it comes to is shown while it goes on."""

    behind = True
    answers = FindReading
    most_s = 90.0
    when_too_long = "Try again: the search goes on from where it stopped."
    asked: Search

    def work(self) -> FindReading:
        """The last of the readings."""
        reading, write = None, adapter_of(FindTask).dump_json
        for reading in found_so_far(self.asked):
            report_partial(write(reading))
        assert reading is not None
        return reading


class WaterRemedyTask(RemedyTask):
    """What would bring drift and depth in."""

    ask: WaterQuestion

    def work(self) -> tuple[RemedyReading, ...]:
        """The remedies found."""
        found = water_remedies_for(self.design, self.stroke, self.angler, self.ask, self.gust)
        return remedy_readings(found, self.angler.units)


class RigTask(_Heavy):
    """A search through settings and weights."""

    when_too_long = SHORTEN
    design: Design
    ask: WaterQuestion
    angler: Angler


class ReachTask(RigTask):
    """How surely a rig reaches the zone."""

    answers = ReachReading

    def work(self) -> ReachReading:
        """The reading."""
        return reach_reading(reach_of(self.design, self.ask), self.angler.units)


class TuningTask(RigTask):
    """The settings and weights that work."""

    answers = Tuning

    def work(self) -> Tuning:
        """The lines found."""
        return tuning_reading(tuned(self.design, self.angler, self.ask), self.angler.units)


class DepthTableTask(RigTask):
    """A rig's depth table."""

    when_too_long = "Try again: it goes on from what was worked out."
    answers = DepthTableReading
    depths_m: tuple[float, ...] = ()

    def work(self) -> DepthTableReading:
        """The table."""
        table = depth_table(self.design, self.angler, self.ask, self.depths_m, partial_too=True)
        return depth_table_reading(table, self.angler.units)


class CardsTask(_Heavy):
    """Tying cards or labels as PDF: designs with how many of each."""

    most_s = 60.0
    when_too_long = "Print fewer leaders at once, or leave the depth table out."
    wanted: tuple[tuple[Design, int], ...]
    paper: Paper
    depth_table: bool
    chain: bool
    code: bool = False
    angler: Angler

    def work(self) -> bytes:
        """The PDF."""
        from nine_knots.formats.tying_pdf import write_pdf  # a worker's: its packages load slowly

        made = {design: self._card(design) for design in dict.fromkeys(d for d, _ in self.wanted)}
        several = self.paper.endswith(("sheet", "labels"))
        cards = [
            made[design] for design, count in self.wanted for _ in range(count if several else 1)
        ]
        return write_pdf(tuple(cards), self.paper)

    def written(self) -> bytes:
        """The PDF as it is."""
        return self.work()

    def _card(self, design: Design) -> Card:
        angler, table = self.angler, None
        if self.depth_table and technique_of(design).followed:
            table = depth_table_reading(depth_table(design, angler, USUAL_QUESTION), angler.units)
        reading = evaluate(design, angler.titles, angler.units, angler.tyer)
        return Card(design, reading, table, self.chain, self.code)
